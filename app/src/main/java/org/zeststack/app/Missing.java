package org.zeststack.app;

/** What was asked for is not there. */
public class Missing extends RuntimeException {

    private static final long serialVersionUID = 1;

    /**
     * @param what in words: This bar
     */
    public Missing(String what) {
        super(what + " is not here.");
    }
}

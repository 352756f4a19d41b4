package org.zeststack.store;

/** Something that a newer release of the program wrote: this one does not know all of it, so it changes nothing of it. */
public class NewerRelease extends RuntimeException {

    public NewerRelease(String what) {
        super(what + " Nothing of it is changed. Start the newer release again to work with it.");
    }

    /** A bar, formula or box. */
    public static NewerRelease design(String name) {
        return new NewerRelease("%s was written by a newer release of the program.".formatted(name));
    }
}

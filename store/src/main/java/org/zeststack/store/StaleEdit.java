package org.zeststack.store;

/** Somebody else saved first. Nothing was written; the caller shows both. */
public final class StaleEdit extends RuntimeException {

    public StaleEdit(String what) {
        super(what + " was changed by somebody else meanwhile.");
    }
}

package org.zeststack.store.sheet;

import org.zeststack.store.NewerRelease;

/** A sheet that a newer release of the program wrote. */
public final class NewerSheet extends NewerRelease {

    private final int form;

    public NewerSheet(int form) {
        super("This sheet was written by a newer release of the program, in form %d; this release reads forms up to %d."
                .formatted(form, WrittenSheet.VERSION));
        this.form = form;
    }

    /** The form that it is written in. */
    public int form() {
        return form;
    }
}

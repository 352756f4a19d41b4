package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Faults;

/** A note for next time. */
public record Note(String text) implements EntryBody {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "text", text);
        EntryBody.notTooLong(faults, "text", text);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String text = typed.form().text("text").strip();
        return typed.form().build(() -> new Note(text));
    }
}

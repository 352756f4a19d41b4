package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Faults;

/**
 * The ring under a pot was turned.
 *
 * @param component key of the batch in the pot
 */
public record RingTurned(String component) implements EntryBody.OfPot {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.batch("component");
        return typed.form().build(() -> new RingTurned(component));
    }
}

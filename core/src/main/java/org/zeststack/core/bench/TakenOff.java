package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Faults;

/**
 * A pot was taken off the ring.
 *
 * @param component key of the batch in the pot
 */
public record TakenOff(String component) implements EntryBody.OfPot {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.batch("component");
        return typed.form().build(() -> new TakenOff(component));
    }
}

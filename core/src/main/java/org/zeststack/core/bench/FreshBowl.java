package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Faults;

/**
 * A bowl was emptied, and fresh couverture is in it.
 *
 * @param component key of what is tempered
 */
public record FreshBowl(String component) implements EntryBody.OfBowl {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.inTemper("component");
        return typed.form().build(() -> new FreshBowl(component));
    }
}

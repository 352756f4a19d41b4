package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Faults;

/**
 * Water got into a bowl.
 *
 * @param component key of what is tempered
 */
public record WaterIn(String component) implements EntryBody.OfBowl {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.inTemper("component");
        return typed.form().build(() -> new WaterIn(component));
    }
}

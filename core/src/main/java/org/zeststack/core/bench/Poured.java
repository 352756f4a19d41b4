package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;

/**
 * What was next is in the pot.
 *
 * @param component key of the batch in the pot
 */
public record Poured(String component) implements EntryBody.OfPot {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.batch("component");
        if (typed.sheet().pot(component).filter(b -> b.pours().isEmpty()).isPresent()) {
            typed.form().add(Fault.of("component", component, "Nothing is poured into this pot while it cooks."));
        }
        return typed.form().build(() -> new Poured(component));
    }
}

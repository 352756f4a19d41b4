package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Faults;

/**
 * A step that takes its time is begun.
 *
 * @param step id on the run sheet
 */
public record StepBegun(String step) implements EntryBody {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "step", step);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String step = typed.step();
        return typed.form().build(() -> new StepBegun(step));
    }
}

package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.typed.FormInput;

/**
 * A sign that ends a step was seen, or not yet.
 *
 * @param step id on the run sheet
 * @param sign as the step words it
 * @param found what was found instead; empty where it was seen as worded
 */
public record Sign(String step, String sign, String found) implements EntryBody {

    public Sign {
        found = found == null ? "" : found;
    }

    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "step", step);
        EntryBody.required(faults, "sign", sign);
        EntryBody.notTooLong(faults, "found", found);
    }

    public boolean seen() {
        return found.isEmpty();
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String step = typed.step();
        FormInput form = typed.form();
        String sign = form.text("sign");
        boolean known = typed.sheet()
                .step(step)
                .filter(s -> StepEnd.endings(typed.sheet(), s).stream()
                        .anyMatch(e -> e.words().equals(sign)))
                .isPresent();
        if (!known) {
            form.add(Fault.of("step", sign, "This step does not end by that."));
        }
        String found = form.text("found").strip();
        return form.build(() -> new Sign(step, sign, found));
    }
}

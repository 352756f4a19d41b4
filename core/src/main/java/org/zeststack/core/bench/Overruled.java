package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.typed.FormInput;

/**
 * Whoever stands at a bowl says which step it is in, against what its readings say.
 *
 * @param component key of what is tempered
 * @param reason why
 */
public record Overruled(String component, TemperVerdict.Step step, String reason) implements EntryBody.OfBowl {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
        if (step == null) {
            faults.add(Fault.of("overruled", "", "Choose the step that it is in."));
        }
        EntryBody.required(faults, "overruleReason", reason);
        EntryBody.notTooLong(faults, "overruleReason", reason);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.inTemper("overruled");
        FormInput form = typed.form();
        TemperVerdict.Step step = form.choice("overruled", TemperVerdict.Step.class);
        String reason = form.text("overruleReason").strip();
        return form.build(() -> new Overruled(component, step, reason));
    }
}

package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.typed.FormInput;

/**
 * One cup of something whipped, weighed before and after.
 *
 * @param component key of the batch
 */
public record Cup(String component, double beforeGrams, double afterGrams) implements EntryBody.OfPot {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
        if (faults.within("cupBeforeGrams", beforeGrams, Finish.CUP_GRAMS)
                && faults.within("cupAfterGrams", afterGrams, Finish.CUP_GRAMS)
                && afterGrams > beforeGrams) {
            faults.add(Fault.of(
                    "cupAfterGrams", String.valueOf(afterGrams), "With air in it the cup weighs less than before."));
        }
    }

    /** Air entered, as a fraction of the volume without it. */
    public double air() {
        return Finish.air(beforeGrams, afterGrams);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.batch("cupBeforeGrams");
        FormInput form = typed.form();
        double before = form.number("cupBeforeGrams", Finish.CUP_GRAMS);
        double after = form.number("cupAfterGrams", Finish.CUP_GRAMS);
        return form.build(() -> new Cup(component, before, after));
    }
}

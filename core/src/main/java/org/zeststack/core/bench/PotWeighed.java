package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.typed.FormInput;

/**
 * A pot weighed with what is in it: the scale as a second thermometer.
 *
 * @param component key of the batch in the pot
 * @param grossGrams pot and mass
 * @param tareGrams the empty pot with what stands in it
 * @param step id of the step that was under way where that is not the cook itself; empty else
 */
public record PotWeighed(String component, double grossGrams, double tareGrams, String step)
        implements EntryBody.OfPot {

    public PotWeighed {
        step = step == null ? "" : step;
    }

    /** A pot on its ring, or taken off it. */
    public PotWeighed(String component, double grossGrams, double tareGrams) {
        this(component, grossGrams, tareGrams, "");
    }

    public static final Range TARE = WeighIn.TARE;

    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
        boolean gross = faults.within("potGrossGrams", grossGrams, EntryBody.GRAMS);
        boolean tare = faults.within("potTareGrams", tareGrams, TARE);
        if (gross && tare && grossGrams <= tareGrams) {
            faults.add(Fault.of("potGrossGrams", String.valueOf(grossGrams), "Weight must be above the tare."));
        }
    }

    /** What is in the pot. */
    public double massGrams() {
        return grossGrams - tareGrams;
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.batch("potGrossGrams");
        FormInput form = typed.form();
        double gross = form.number("potGrossGrams", EntryBody.GRAMS);
        double tare = form.has("potTareGrams") ? form.number("potTareGrams", TARE) : 0;
        String step = form.has("step") ? typed.step() : "";
        return form.build(() -> new PotWeighed(component, gross, tare, step));
    }
}

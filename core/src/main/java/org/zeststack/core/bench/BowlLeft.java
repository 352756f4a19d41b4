package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.temper.Feed;
import org.zeststack.core.typed.FormInput;

/**
 * A bowl that is worked, put on the scale.
 *
 * @param component key of what is tempered
 * @param grams left in it, without the bowl
 * @param celsius where it stands; null where nobody read it
 */
public record BowlLeft(String component, double grams, Double celsius) implements EntryBody.OfBowl {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
        faults.within("leftGrams", grams, EntryBody.GRAMS);
        if (celsius != null) {
            faults.within("leftCelsius", celsius, Feed.IN_BOWL);
        }
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.inTemper("leftGrams");
        FormInput form = typed.form();
        double grams = form.number("leftGrams", EntryBody.GRAMS);
        Double celsius = form.has("leftCelsius") ? Double.valueOf(form.celsius("leftCelsius", Feed.IN_BOWL)) : null;
        return form.build(() -> new BowlLeft(component, grams, celsius));
    }
}

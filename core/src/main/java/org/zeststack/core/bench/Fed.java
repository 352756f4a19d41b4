package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.temper.Feed;
import org.zeststack.core.typed.FormInput;

/**
 * Warm couverture was stirred into a bowl that had thickened.
 *
 * @param component key of what is tempered
 */
public record Fed(String component, double grams, double celsius) implements EntryBody.OfBowl {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
        faults.within("fedGrams", grams, EntryBody.GRAMS);
        faults.within("fedCelsius", celsius, Feed.WARM_CELSIUS);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.inTemper("fedGrams");
        FormInput form = typed.form();
        double grams = form.number("fedGrams", EntryBody.GRAMS);
        double celsius = form.celsius("fedCelsius", Feed.WARM_CELSIUS);
        return form.build(() -> new Fed(component, grams, celsius));
    }
}

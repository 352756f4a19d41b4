package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.typed.FormInput;

/**
 * Another thermometer held into the same pot.
 *
 * @param component key of the batch in the pot
 * @param thermometer its name
 * @param celsius what it showed, its own error taken off
 */
public record SecondReading(String component, String thermometer, double celsius) implements EntryBody.OfPot {

    public static final Range CELSIUS = new Range(-10, 200, "°C");

    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
        EntryBody.required(faults, "second", thermometer);
        faults.within("secondCelsius", celsius, CELSIUS);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.batch("second");
        FormInput form = typed.form();
        double shown = form.celsius("secondCelsius", CELSIUS);
        Optional<TypedEntry.Other> second = typed.others().get().stream()
                .filter(t -> t.id().equals(form.text("second")))
                .findFirst();
        if (second.isEmpty()) {
            form.add(Fault.of("second", form.text("second"), "Choose which thermometer that is."));
            return Optional.empty();
        }
        return form.build(() -> new SecondReading(
                component, second.get().name(), second.get().thermometer().trueCelsius(shown)));
    }
}

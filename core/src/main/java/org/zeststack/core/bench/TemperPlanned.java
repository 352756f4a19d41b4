package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.air.DewPoint;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.Room;
import org.zeststack.core.typed.FormInput;

/**
 * How a bowl is brought into temper.
 *
 * @param component key of the couverture
 * @param bowlGrams the empty bowl; 0 where it is not reckoned with
 * @param roomCelsius where seed and pieces stand
 * @param humidityPercent of the room; null where nobody read it
 */
public record TemperPlanned(
        String component,
        Method method,
        double bowlGrams,
        Bowl.Material bowl,
        double roomCelsius,
        Double humidityPercent)
        implements EntryBody.OfBowl {
    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "component", component);
        if (method == null) {
            faults.add(Fault.of("method", "", "Choose how it is brought into temper."));
        }
        if (bowl == null) {
            faults.add(Fault.of("bowl", "", "Choose what the bowl is made of."));
        }
        faults.within("bowlGrams", bowlGrams, Bowl.GRAMS);
        Room.check(faults, "seedCelsius", roomCelsius);
        if (humidityPercent != null) {
            faults.within("roomHumidity", humidityPercent, DewPoint.RELATIVE_HUMIDITY_PERCENT);
        }
    }

    /** Whatever in the room is colder than this sweats, °C; empty where its humidity is not known. */
    public Optional<Double> dewPointCelsius() {
        return Optional.ofNullable(humidityPercent).map(h -> DewPoint.celsius(roomCelsius, h));
    }

    /** The bowl that it stands in. */
    public Bowl emptyBowl() {
        return new Bowl(bowlGrams, bowl);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String component = typed.inTemper("method");
        FormInput form = typed.form();
        Method method = form.choice("method", Method.class);
        Bowl.Material bowl = form.choice("bowl", Bowl.Material.class);
        double grams = form.has("bowlGrams") ? form.number("bowlGrams", Bowl.GRAMS) : 0;
        double seed = form.celsius("seedCelsius", Room.CELSIUS);
        Double humidity = form.has("roomHumidity")
                ? Double.valueOf(form.number("roomHumidity", DewPoint.RELATIVE_HUMIDITY_PERCENT))
                : null;
        return form.build(() -> new TemperPlanned(component, method, grams, bowl, seed, humidity));
    }
}

package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.air.AfterCold;
import org.zeststack.core.air.DewPoint;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.temper.Room;
import org.zeststack.core.typed.FormInput;

/**
 * Bars come out of the cold into a room.
 *
 * @param barCelsius as they come
 */
public record OutOfCold(double roomCelsius, double humidityPercent, double barCelsius) implements EntryBody {
    @Override
    public void check(Faults faults) {
        Room.check(faults, "coldRoom", roomCelsius);
        faults.within("humidity", humidityPercent, DewPoint.RELATIVE_HUMIDITY_PERCENT);
        faults.within("barCelsius", barCelsius, AfterCold.BAR_CELSIUS);
    }

    /** Air that is too full to lay anything out in is told beside its humidity. */
    static Optional<EntryBody> typed(TypedEntry typed) {
        FormInput form = typed.form();
        double room = form.celsius("coldRoom", Room.CELSIUS);
        double humidity = form.number("humidity", DewPoint.RELATIVE_HUMIDITY_PERCENT);
        double bars = form.celsius("barCelsius", AfterCold.BAR_CELSIUS);
        if (!form.faulty()) {
            try {
                AfterCold.of(room, humidity, bars, typed.sheet().bar().section().depthMm());
            } catch (InvalidInput full) {
                form.addAll(full.faults());
            }
        }
        return form.build(() -> new OutOfCold(room, humidity, bars));
    }
}

package org.zeststack.core.air;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * Bars that come out of the cold into a room. Colder than the room's dew point they sweat, and sweat becomes sugar bloom; in a closed box
 * they warm without its air.
 *
 * <p>A flat bar warms by Newton's law with the time constant ρ c d / (2 h): ρ = 1270 kg/m³, c = 1.6 kJ/(kg K), h = 4 W/(m² K) for still
 * air in a box (handbook values, from memory, rounded).
 *
 * @param dewPointCelsius of the room's air
 * @param boxMinutes in a closed box until they are half a kelvin above it; 0 where they do not sweat
 */
public record AfterCold(double dewPointCelsius, double boxMinutes) {

    public static final Range BAR_CELSIUS = new Range(-30, 30, "°C");

    private static final double DENSITY = 1270;
    private static final double HEAT = 1600;
    private static final double STILL_AIR = 4;
    private static final double SAFE_KELVIN = 0.5;
    private static final double MINUTE = 60;

    /**
     * Bars into a room.
     *
     * @param barCelsius as they come out of the cold
     * @param thickMm thickness of a bar, above 0
     * @throws org.zeststack.core.quantity.InvalidInput outside the ranges
     */
    public static AfterCold of(double roomCelsius, double relativeHumidityPercent, double barCelsius, double thickMm) {
        Faults faults = new Faults();
        faults.within("barCelsius", barCelsius, BAR_CELSIUS);
        faults.throwIfAny();
        double dew = DewPoint.celsius(roomCelsius, relativeHumidityPercent);
        double wanted = dew + SAFE_KELVIN;
        if (barCelsius >= wanted) {
            return new AfterCold(dew, 0);
        }
        if (wanted >= roomCelsius) {
            faults.add(Fault.of(
                    "humidity",
                    Numbers.plain(relativeHumidityPercent),
                    "Air of %s sweats on all that is not warmer than the room: dry it first."
                            .formatted(Say.percent(relativeHumidityPercent))));
            faults.throwIfAny();
        }
        double constant = DENSITY * HEAT * thickMm / 1000 / (2 * STILL_AIR);
        double seconds = constant * Math.log((roomCelsius - barCelsius) / (roomCelsius - wanted));
        return new AfterCold(dew, seconds / MINUTE);
    }

    /** Whether they sweat where they are laid out at once. */
    public boolean sweats() {
        return boxMinutes > 0;
    }
}

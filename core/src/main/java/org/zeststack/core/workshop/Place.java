package org.zeststack.core.workshop;

import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.air.Steam;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * Where the workshop stands, told in one of three ways.
 *
 * @param by how it is told
 * @param amount metres, kPa, or the temperature at which water was seen to boil, °C
 */
public record Place(By by, double amount) {

    /** The three ways, each with its range. */
    public enum By {
        ALTITUDE(Atmosphere.ALTITUDE_METRES),
        PRESSURE(Atmosphere.PRESSURE_KPA),
        BOILING_WATER(new Range(82, 102.5, "°C"));

        private final Range range;

        By(Range range) {
            this.range = range;
        }

        public Range range() {
            return range;
        }
    }

    public static final Place SEA_LEVEL = new Place(By.ALTITUDE, 0);

    /**
     * @throws org.zeststack.core.quantity.InvalidInput outside the range of that way
     */
    public Place {
        Faults faults = new Faults();
        faults.within("placeAmount", amount, by.range());
        faults.throwIfAny();
    }

    public double pressureKpa() {
        return switch (by) {
            case ALTITUDE -> Atmosphere.pressureKpa(amount);
            case PRESSURE -> amount;
            case BOILING_WATER -> Steam.saturationKpa(amount);
        };
    }

    /** Boiling point of pure water here. */
    public double waterBoilsCelsius() {
        return Steam.boilingCelsius(pressureKpa());
    }
}

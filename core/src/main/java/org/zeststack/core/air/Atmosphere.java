package org.zeststack.core.air;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;

/**
 * Air pressure by altitude in the ICAO standard atmosphere (ICAO Doc 7488; constants from memory):
 * p = 101.325 (1 − 2.25577e−5 h)^5.25588 kPa, h in metres.
 */
public final class Atmosphere {

    /** Pressure at sea level in the standard atmosphere. */
    public static final double SEA_LEVEL_KPA = 101.325;

    /** Altitudes of kitchens: the Dead Sea shore to the highest towns. */
    public static final Range ALTITUDE_METRES = new Range(-430, 5200, "m");

    /** Pressures that go with those altitudes, with the weather's swing. */
    public static final Range PRESSURE_KPA = new Range(50, 110, "kPa");

    private Atmosphere() {}

    /**
     * Standard pressure at an altitude.
     *
     * @param altitudeMetres −430 to 5200 m
     * @throws InvalidInput outside that range
     */
    public static double pressureKpa(double altitudeMetres) {
        require("altitudeMetres", altitudeMetres, ALTITUDE_METRES);
        return SEA_LEVEL_KPA * Math.pow(1 - 2.25577e-5 * altitudeMetres, 5.25588);
    }

    private static void require(String field, double amount, Range range) {
        if (!range.holds(amount)) {
            throw new InvalidInput(Fault.outside(field, Numbers.plain(amount), range));
        }
    }
}

package org.zeststack.core.air;

import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/** The temperature at which a room's air sweats on what is colder. Magnus with 17.62 and 243.12 °C (WMO No. 8; Sonntag 1990). */
public final class DewPoint {

    public static final Range CELSIUS = new Range(-40, 60, "°C");
    public static final Range RELATIVE_HUMIDITY_PERCENT = new Range(1, 100, "%");

    private static final double A = 17.62;
    private static final double B = 243.12;

    private DewPoint() {}

    /**
     * Dew point of air, °C: γ = ln(RH/100) + A T/(B + T), T_d = B γ/(A − γ).
     *
     * @throws org.zeststack.core.quantity.InvalidInput outside the ranges
     */
    public static double celsius(double airCelsius, double relativeHumidityPercent) {
        Faults faults = new Faults();
        faults.within("celsius", airCelsius, CELSIUS);
        faults.within("relativeHumidityPercent", relativeHumidityPercent, RELATIVE_HUMIDITY_PERCENT);
        faults.throwIfAny();
        double gamma = Math.log(relativeHumidityPercent / 100) + A * airCelsius / (B + airCelsius);
        return B * gamma / (A - gamma);
    }
}

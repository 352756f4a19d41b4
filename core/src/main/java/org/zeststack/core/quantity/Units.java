package org.zeststack.core.quantity;

/**
 * In which units a person reads.
 *
 * @param fahrenheit whether temperatures are in °F, not °C
 * @param ounces whether masses are in oz and lb, not g and kg
 * @param inches whether lengths are in inches, not mm
 * @param decimalMark point or comma
 */
public record Units(boolean fahrenheit, boolean ounces, boolean inches, char decimalMark) {

    /** As everything is computed. */
    public static final Units METRIC = new Units(false, false, false, '.');

    private static final double GRAMS_PER_OUNCE = 28.349523125;
    private static final double GRAMS_PER_POUND = 16 * GRAMS_PER_OUNCE;
    private static final double MILLIMETRES_PER_INCH = 25.4;

    /**
     * A quantity as this person reads it: as many digits as say the same.
     *
     * @param value in the measure's own unit
     * @param decimals that it is written with there
     * @param unit whether its unit is written too
     */
    String say(Measure measure, double value, int decimals, boolean unit) {
        return switch (measure) {
            case CELSIUS ->
                fahrenheit ? said(1.8 * value + 32, decimals, unit, " °F") : own(measure, value, decimals, unit);
            case KELVIN -> fahrenheit ? said(1.8 * value, decimals, unit, " °F") : own(measure, value, decimals, unit);
            case KELVIN_PER_MINUTE ->
                fahrenheit ? said(1.8 * value, decimals, unit, " °F/min") : own(measure, value, decimals, unit);
            case GRAMS ->
                ounces ? said(value / GRAMS_PER_OUNCE, decimals + 1, unit, " oz") : own(measure, value, decimals, unit);
            case MILLIGRAMS ->
                ounces ? said(value / 1000 / GRAMS_PER_OUNCE, 4, unit, " oz") : own(measure, value, decimals, unit);
            case KILOGRAMS ->
                ounces
                        ? said(1000 * value / GRAMS_PER_POUND, decimals, unit, " lb")
                        : own(measure, value, decimals, unit);
            case MILLIMETRES ->
                inches
                        ? said(value / MILLIMETRES_PER_INCH, decimals + 1, unit, " in")
                        : own(measure, value, decimals, unit);
            case CENTIMETRES ->
                inches
                        ? said(10 * value / MILLIMETRES_PER_INCH, decimals + 1, unit, " in")
                        : own(measure, value, decimals, unit);
            case METRES ->
                inches
                        ? said(1000 * value / MILLIMETRES_PER_INCH, Math.max(0, decimals - 1), unit, " in")
                        : own(measure, value, decimals, unit);
            default -> own(measure, value, decimals, unit);
        };
    }

    private String own(Measure measure, double value, int decimals, boolean unit) {
        return said(value, decimals, unit, measure.behind());
    }

    private String said(double value, int decimals, boolean unit, String behind) {
        return Numbers.fixed(value, decimals).replace('.', decimalMark) + (unit ? behind : "");
    }
}

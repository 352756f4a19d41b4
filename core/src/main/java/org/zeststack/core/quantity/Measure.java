package org.zeststack.core.quantity;

import java.util.Arrays;
import java.util.Optional;

/** What a quantity is a quantity of, in the unit that everything is computed in. */
public enum Measure {
    CELSIUS("°C"),
    KELVIN("K"),
    KELVIN_PER_MINUTE("K/min"),
    GRAMS("g"),
    MILLIGRAMS("mg"),
    KILOGRAMS("kg"),
    MILLIMETRES("mm"),
    CENTIMETRES("cm"),
    METRES("m"),
    MILLILITRES("mL"),
    LITRES("L"),
    GRAMS_PER_MILLILITRE("g/mL"),
    SECONDS("s"),
    MINUTES("min"),
    HOURS("h"),
    DAYS("days"),
    WEEKS("weeks"),
    PERCENT("%"),
    DEGREES("°"),
    KILOPASCALS("kPa"),
    KILOWATTS("kW"),
    KILOJOULES("kJ"),
    KILOJOULES_PER_KILOGRAM("kJ/kg"),
    JOULES("J"),
    JOULES_PER_KELVIN("J/K"),
    NUMBER("");

    private final String symbol;

    Measure(String symbol) {
        this.symbol = symbol;
    }

    /** The unit as it is written. */
    public String symbol() {
        return symbol;
    }

    /** What stands between a figure and its unit, and the unit. */
    String behind() {
        return symbol.isEmpty() ? "" : this == DEGREES ? symbol : " " + symbol;
    }

    /** The measure of a unit as it is written; empty where it is none of these: pieces, cavities. */
    public static Optional<Measure> in(String unit) {
        return Arrays.stream(values()).filter(m -> m.symbol.equals(unit)).findFirst();
    }
}

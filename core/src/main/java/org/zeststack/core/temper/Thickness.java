package org.zeststack.core.temper;

import org.zeststack.core.quantity.Range;

/**
 * Couverture in temper thickens as crystals grow: what it is good for as it does, by how it looks. The limits follow from its windows
 * (common practice, no source).
 */
public enum Thickness {
    LINES("loose enough to line", "runs off the spatula in one thread and levels"),
    SPREADS("holds a spread", "the trace of the spatula stays"),
    BENDS("cuts and bends", "on the sheet: dull, no longer sticks to a finger, does not crack"),
    SET("set", "hard, breaks with a snap");

    private static final double BENDS_KELVIN = 3;
    private static final double COLDEST = 0;

    private final String words;
    private final String sign;

    Thickness(String words, String sign) {
        this.words = words;
        this.sign = sign;
    }

    public String words() {
        return words;
    }

    public String sign() {
        return sign;
    }

    /** From where to where it is so, °C: the working window, from there to the cool window's foot, three kelvins on, and below. */
    public Range celsius(TemperWindow of) {
        double bends = of.coolTo().least() - BENDS_KELVIN;
        return switch (this) {
            case LINES -> of.work();
            case SPREADS -> new Range(of.coolTo().least(), of.work().least(), "°C");
            case BENDS -> new Range(bends, of.coolTo().least(), "°C");
            case SET -> new Range(COLDEST, bends, "°C");
        };
    }
}

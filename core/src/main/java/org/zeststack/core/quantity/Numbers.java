package org.zeststack.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Numbers written for people: no exponent, no trailing zeros that are not true. */
public final class Numbers {

    private Numbers() {}

    /** The shortest plain form of a number with at most six decimals, for example {@code 1.5} or {@code 40}. */
    public static String plain(double number) {
        if (!Double.isFinite(number)) {
            return String.valueOf(number);
        }
        BigDecimal rounded = BigDecimal.valueOf(number).setScale(6, RoundingMode.HALF_UP);
        return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
    }

    /** A number with exactly {@code decimals} decimals and a real minus sign. */
    public static String fixed(double number, int decimals) {
        BigDecimal rounded = BigDecimal.valueOf(number).setScale(decimals, RoundingMode.HALF_UP);
        return rounded.signum() < 0 ? "\u2212" + rounded.negate().toPlainString() : rounded.toPlainString();
    }
}

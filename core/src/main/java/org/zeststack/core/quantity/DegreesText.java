package org.zeststack.core.quantity;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a temperature as people type it: {@code 117}, {@code 117.5 C}, {@code 116,5 °C}, {@code 242 F}, {@code 242°F}. Without a letter it
 * is °C.
 */
public final class DegreesText {

    private static final int LONGEST = 40;
    private static final Pattern LETTER = Pattern.compile("([^CFcf°º]{1,20}) ?[°º]? ?([CFcf])");

    private DegreesText() {}

    private static final Pattern RANGE =
            Pattern.compile("([0-9.,]{1,8}) ?(?:-|\u2013|\u2014|to) ?([0-9.,]{1,8}) ?(?:[°º] ?)?([CFcf]?)");

    /**
     * The stop of a cook in °C, as recipes print it: {@code 118}, {@code 245 °F}, {@code 236\u2013239 °F}. A range means its middle; what
     * is typed in °F is told in tenths of a degree, which is finer than anybody reads.
     */
    public static OptionalDouble stop(String typed) {
        if (typed == null || typed.length() > LONGEST) {
            return OptionalDouble.empty();
        }
        Matcher range = RANGE.matcher(typed.strip());
        if (!range.matches()) {
            OptionalDouble one = parse(typed);
            boolean fahrenheit =
                    one.isPresent() && typed.strip().toLowerCase(Locale.ROOT).endsWith("f");
            return fahrenheit ? OptionalDouble.of(tenths(one.getAsDouble())) : one;
        }
        OptionalDouble least = parse(range.group(1) + range.group(3));
        OptionalDouble greatest = parse(range.group(2) + range.group(3));
        return least.isPresent() && greatest.isPresent() && least.getAsDouble() < greatest.getAsDouble()
                ? OptionalDouble.of(tenths((least.getAsDouble() + greatest.getAsDouble()) / 2))
                : OptionalDouble.empty();
    }

    private static double tenths(double celsius) {
        return Math.round(10 * celsius) / 10.0;
    }

    /** The temperature in °C, or empty where the text is none. */
    public static OptionalDouble parse(String typed) {
        if (typed == null || typed.length() > LONGEST) {
            return OptionalDouble.empty();
        }
        Matcher letter = LETTER.matcher(typed.strip());
        if (!letter.matches()) {
            return AmountText.parse(typed.replace("°", ""));
        }
        OptionalDouble degrees = AmountText.parse(letter.group(1));
        boolean fahrenheit = letter.group(2).equalsIgnoreCase("f");
        return degrees.isPresent() && fahrenheit ? OptionalDouble.of((degrees.getAsDouble() - 32) / 1.8) : degrees;
    }
}

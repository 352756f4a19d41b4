package org.zeststack.core.quantity;

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

package org.zeststack.core.quantity;

import java.text.Normalizer;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads an amount as people type it: {@code 12}, {@code 1.5}, {@code 1,5}, {@code ½}, {@code 1 ½}, {@code 3/4},
 * {@code −3}. A comma before exactly three digits is refused, since it may be a decimal or a thousands mark.
 */
public final class AmountText {

    /** A longer text is no number. */
    private static final int LONGEST = 100;

    private static final Pattern DECIMAL = Pattern.compile("[0-9]{1,12}(?:[.,][0-9]{0,9})?|[.,][0-9]{1,9}");
    private static final Pattern FRACTION = Pattern.compile("(?:([0-9]{1,6})[ ]+)?([0-9]{1,4})/([0-9]{1,4})");
    private static final Pattern AMBIGUOUS = Pattern.compile("[0-9]{1,3},[0-9]{3}");

    private AmountText() {}

    /** The number meant, or empty where the text is no single plain number. */
    public static OptionalDouble parse(String typed) {
        if (typed == null || typed.length() > LONGEST) {
            return OptionalDouble.empty();
        }
        String spaced = typed.replaceAll("([0-9])([\u00bc-\u00be\u2150-\u215e])", "$1 $2");
        String text = Normalizer.normalize(spaced, Normalizer.Form.NFKC)
                .replace('\u2044', '/')
                .replace('\u2212', '-')
                .strip();
        boolean negative = text.startsWith("-");
        String digits = negative || text.startsWith("+") ? text.substring(1).strip() : text;
        OptionalDouble size = magnitude(digits);
        return negative && size.isPresent() ? OptionalDouble.of(-size.getAsDouble()) : size;
    }

    private static OptionalDouble magnitude(String digits) {
        if (AMBIGUOUS.matcher(digits).matches()) {
            return OptionalDouble.empty();
        }
        if (DECIMAL.matcher(digits).matches()) {
            return OptionalDouble.of(Double.parseDouble(digits.replace(',', '.')));
        }
        Matcher fraction = FRACTION.matcher(digits);
        if (!fraction.matches() || Integer.parseInt(fraction.group(3)) == 0) {
            return OptionalDouble.empty();
        }
        double whole = fraction.group(1) == null ? 0 : Integer.parseInt(fraction.group(1));
        return OptionalDouble.of(
                whole + (double) Integer.parseInt(fraction.group(2)) / Integer.parseInt(fraction.group(3)));
    }
}

package org.zeststack.core.quantity;

import java.math.BigDecimal;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Quantities in sentences. A sentence is text with its quantities in their places, each with its value, its measure and how many decimals
 * are true; whoever shows it chooses units and decimal mark ({@link #in}). Words stay beside the rule that says them.
 *
 * <p>A quantity is written between characters of Unicode's private use that nobody types: measure, value, and the figure as it is said
 * where everything is metric. A text without them, as older sheets have, is shown as it stands.
 */
public final class Say {

    /** Before a quantity. */
    public static final char OPENS = '\uE000';

    /** Behind a quantity. */
    public static final char CLOSES = '\uE002';

    private static final char SHOWN = '\uE001';
    private static final char OF = '\uE003';
    private static final Pattern QUANTITY = Pattern.compile(
            OPENS + "([^" + OF + "]*)" + OF + "([^" + SHOWN + "]*)" + SHOWN + "([^" + CLOSES + "]*)" + CLOSES);

    private Say() {}

    /** A quantity with so many decimals. */
    public static String of(double value, int decimals, Measure measure) {
        return quantity(value, Numbers.fixed(value, decimals), measure);
    }

    /** A quantity as it was given, with no more decimals than it has. */
    public static String of(double value, Measure measure) {
        return quantity(value, Numbers.plain(value), measure);
    }

    private static String quantity(double value, String figure, Measure measure) {
        String exact = Double.isFinite(value) ? BigDecimal.valueOf(value).toPlainString() : figure;
        return OPENS + measure.symbol() + OF + exact + SHOWN + figure + measure.behind() + CLOSES;
    }

    public static String celsius(double value, int decimals) {
        return of(value, decimals, Measure.CELSIUS);
    }

    public static String celsius(double value) {
        return of(value, Measure.CELSIUS);
    }

    public static String kelvin(double value, int decimals) {
        return of(value, decimals, Measure.KELVIN);
    }

    public static String grams(double value, int decimals) {
        return of(value, decimals, Measure.GRAMS);
    }

    public static String grams(double value) {
        return of(value, Measure.GRAMS);
    }

    public static String mm(double value, int decimals) {
        return of(value, decimals, Measure.MILLIMETRES);
    }

    public static String mm(double value) {
        return of(value, Measure.MILLIMETRES);
    }

    public static String percent(double value, int decimals) {
        return of(value, decimals, Measure.PERCENT);
    }

    public static String percent(double value) {
        return of(value, Measure.PERCENT);
    }

    /** A figure without a unit. */
    public static String number(double value, int decimals) {
        return of(value, decimals, Measure.NUMBER);
    }

    public static String number(double value) {
        return of(value, Measure.NUMBER);
    }

    public static String minutes(double value, int decimals) {
        return of(value, decimals, Measure.MINUTES);
    }

    /** A small mass the way it is weighed: mg below a gram, 0.1 g below a hundred, whole grams above. */
    public static String mass(double grams) {
        double size = Math.abs(grams);
        return size < 1 && size > 0 ? of(1000 * grams, 0, Measure.MILLIGRAMS) : grams(grams, size < 100 ? 1 : 0);
    }

    /** From one quantity to another of the same measure: the unit stands once. */
    public static String range(String least, String greatest) {
        return bare(least) + " to " + greatest;
    }

    /** Quantities without their unit, which stands once behind the last of them. */
    public static String bare(String quantities) {
        Matcher each = QUANTITY.matcher(quantities);
        StringBuilder bare = new StringBuilder();
        while (each.find()) {
            each.appendReplacement(
                    bare,
                    Matcher.quoteReplacement(
                            OPENS + each.group(1) + OF + each.group(2) + SHOWN + figure(each) + CLOSES));
        }
        return each.appendTail(bare).toString();
    }

    /** A sentence where everything is metric. */
    public static String metric(String sentence) {
        return sentence == null || sentence.indexOf(OPENS) < 0
                ? sentence
                : QUANTITY.matcher(sentence).replaceAll(m -> Matcher.quoteReplacement(m.group(3)));
    }

    /** A sentence in the units that somebody reads. */
    public static String in(String sentence, Units units) {
        if (units.equals(Units.METRIC) || sentence.indexOf(OPENS) < 0) {
            return metric(sentence);
        }
        Matcher each = QUANTITY.matcher(sentence);
        StringBuilder said = new StringBuilder();
        while (each.find()) {
            each.appendReplacement(said, Matcher.quoteReplacement(said(each, units)));
        }
        return each.appendTail(said).toString();
    }

    private static String said(Matcher quantity, Units units) {
        String figure = figure(quantity);
        int point = figure.indexOf('.');
        try {
            return units.say(
                    measure(quantity),
                    Double.parseDouble(quantity.group(2)),
                    point < 0 ? 0 : figure.length() - point - 1,
                    !figure.equals(quantity.group(3)));
        } catch (NumberFormatException notFinite) {
            return quantity.group(3);
        }
    }

    /** What is shown of a quantity, without its unit. */
    private static String figure(Matcher quantity) {
        String shown = quantity.group(3);
        String behind = measure(quantity).behind();
        return shown.endsWith(behind) ? shown.substring(0, shown.length() - behind.length()) : shown;
    }

    private static Measure measure(Matcher quantity) {
        return Measure.in(quantity.group(1)).orElse(Measure.NUMBER);
    }
}

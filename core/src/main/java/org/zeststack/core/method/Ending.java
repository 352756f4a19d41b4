package org.zeststack.core.method;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.zeststack.core.quantity.AmountText;

/**
 * One sign that ends a step; a step may have several, told apart by {@code ;}, {@code ,} or {@code or}.
 *
 * @param kind what is looked at
 * @param least °C, minutes or grams; NaN where the sign is no number, or the number of the formula's stop
 * @param greatest upper end of a range; the same as {@code least} for a single value
 * @param words the sign as written
 */
public record Ending(Kind kind, double least, double greatest, String words) {

    /** What is looked at. */
    public enum Kind {
        READING("reading"),
        MINUTES("time"),
        WEIGHT("weight"),
        COLD_WATER("cold-water test"),
        FEEL("feel"),
        LOOK("look");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** A longer cue is no sign but a text: nothing is looked for in it. */
    public static final int LONGEST_CUE = 300;

    private static final String NUMBER = "(?<![0-9])([0-9]{1,9}(?:[.,][0-9]{1,9})?)";
    private static final Pattern DEGREES = Pattern.compile(
            NUMBER + "(?:\\s*(?:-|to|\u2013)\\s*" + NUMBER
                    + ")?\\s*(?:\u00b0\\s*|degrees?\\s*|deg\\.?\\s*)?(?:(c|celsius)|(f|fahrenheit))\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern TIME = Pattern.compile(
            NUMBER + "(?:\\s*(?:-|to|\u2013)\\s*" + NUMBER
                    + ")?\\s*(seconds?|secs?|minutes?|mins?|min|hours?|hrs?|hr|h|days?)\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern MASS =
            Pattern.compile("(?:weighs?\\s*|until\\s*)?" + NUMBER + "\\s*(kg|g)\\b.*", Pattern.CASE_INSENSITIVE);
    private static final Pattern STAGE = Pattern.compile(
            "\\b(cold[ -]water|thread|soft[ -]ball|firm[ -]ball|hard[ -]ball|soft[ -]crack|hard[ -]crack)\\b",
            Pattern.CASE_INSENSITIVE);
    /** A reading that stands elsewhere: the formula's stop. */
    private static final Pattern STOP =
            Pattern.compile("\\bstop reading\\b|\\breading is reached\\b", Pattern.CASE_INSENSITIVE);

    private static final Pattern TOUCHED = Pattern.compile(
            "\\b(firm|soft|sticky|tacky|springs?|bends?|touch|finger|press|feels?|stiff|dry to|leaves no mark|pliable|hard)\\b",
            Pattern.CASE_INSENSITIVE);

    /** Whether it is a number. */
    public boolean numbered() {
        return !Double.isNaN(least);
    }

    /** The signs in a cue as typed; empty for an empty cue. */
    public static List<Ending> read(String cue) {
        if (cue.isBlank()) {
            return List.of();
        }
        if (cue.length() > LONGEST_CUE) {
            return List.of(new Ending(Kind.LOOK, Double.NaN, Double.NaN, cue));
        }
        List<Ending> endings = new ArrayList<>();
        String plain = cue.replace('\u00a0', ' ').replace('\u202f', ' ').strip();
        if (plain.toLowerCase(Locale.ROOT).contains("overnight")) {
            endings.add(new Ending(Kind.MINUTES, 480, 960, "overnight"));
        }
        for (String part : plain.split("\\s*;\\s*|,\\s+|\\s+or\\s+(?=until|when|[0-9]|it|the)")) {
            String words = part.strip();
            if (!words.isEmpty() && !words.equalsIgnoreCase("overnight")) {
                endings.add(of(words));
            }
        }
        return List.copyOf(endings);
    }

    private static Ending of(String words) {
        Matcher degrees = DEGREES.matcher(words);
        if (degrees.find()) {
            boolean fahrenheit = degrees.group(4) != null;
            double least = celsius(degrees.group(1), fahrenheit);
            return new Ending(
                    Kind.READING,
                    least,
                    degrees.group(2) == null ? least : celsius(degrees.group(2), fahrenheit),
                    words);
        }
        if (STOP.matcher(words).find()) {
            return new Ending(Kind.READING, Double.NaN, Double.NaN, words);
        }
        Matcher time = TIME.matcher(words);
        if (time.find()) {
            double each = minutes(time.group(3));
            double least = number(time.group(1)) * each;
            return new Ending(Kind.MINUTES, least, time.group(2) == null ? least : number(time.group(2)) * each, words);
        }
        Matcher mass = MASS.matcher(words);
        if (mass.matches()) {
            double grams = number(mass.group(1)) * (mass.group(2).equalsIgnoreCase("kg") ? 1000 : 1);
            return new Ending(Kind.WEIGHT, grams, grams, words);
        }
        Kind kind = STAGE.matcher(words).find()
                ? Kind.COLD_WATER
                : TOUCHED.matcher(words).find() ? Kind.FEEL : Kind.LOOK;
        return new Ending(kind, Double.NaN, Double.NaN, words);
    }

    /** Minutes of one of a named unit of time. */
    private static double minutes(String unit) {
        return switch (Character.toLowerCase(unit.charAt(0))) {
            case 's' -> 1 / 60.0;
            case 'h' -> 60;
            case 'd' -> 1440;
            default -> 1;
        };
    }

    private static double celsius(String text, boolean fahrenheit) {
        return fahrenheit ? (number(text) - 32) / 1.8 : number(text);
    }

    private static double number(String text) {
        OptionalDouble number = AmountText.parse(text);
        return number.orElse(Double.parseDouble(text.replace(",", "")));
    }
}

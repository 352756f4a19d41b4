package org.zeststack.core.household;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;

/** Walks over the tokens of a line and reads numbers and measured amounts. */
final class Cursor {

    private static final Map<String, Double> NUMBER_WORDS = Map.ofEntries(
            Map.entry("a", 1.0),
            Map.entry("an", 1.0),
            Map.entry("one", 1.0),
            Map.entry("two", 2.0),
            Map.entry("three", 3.0),
            Map.entry("four", 4.0),
            Map.entry("five", 5.0),
            Map.entry("six", 6.0),
            Map.entry("seven", 7.0),
            Map.entry("eight", 8.0),
            Map.entry("nine", 9.0),
            Map.entry("ten", 10.0),
            Map.entry("eleven", 11.0),
            Map.entry("twelve", 12.0),
            Map.entry("dozen", 12.0),
            Map.entry("couple", 2.0),
            Map.entry("half", 0.5),
            Map.entry("third", 1 / 3.0),
            Map.entry("quarter", 0.25));
    private static final Pattern NUMBER = Pattern.compile("[0-9]+(?:[.,][0-9]+)*|\\.[0-9]+");
    private static final Set<String> PARTS = Set.of("half", "third", "quarter");
    private static final String[] ABOUT = {
        "about", "approximately", "approx", "circa", "ca", "scarce", "roughly", "around"
    };
    private static final String[] HEAPING = {"heaping", "heaped", "rounded", "generous"};
    private static final String[] QUALIFIERS = {
        "firmly", "tightly", "well", "packed", "level", "full", "good", "small", "medium", "large", "big", "-"
    };
    /** Kitchens measure in halves down to sixteenths. */
    private static final int LARGEST_PART = 16;

    private static final double HEAPED = 1.1;
    private static final double SCANT = 0.95;

    private final List<String> tokens;
    /** Words of the tokens, each worked out when it is first asked for. */
    private final String[] words;

    private int at;

    Cursor(List<String> tokens) {
        this.tokens = tokens;
        words = new String[tokens.size()];
    }

    boolean atEnd() {
        return at >= tokens.size();
    }

    int mark() {
        return at;
    }

    void back(int mark) {
        at = mark;
    }

    String raw(int ahead) {
        return at + ahead < tokens.size() ? tokens.get(at + ahead) : "";
    }

    String word(int ahead) {
        int place = at + ahead;
        if (place >= words.length) {
            return "";
        }
        if (words[place] == null) {
            words[place] = Words.folded(tokens.get(place));
        }
        return words[place];
    }

    /** Whether a whole number and a fraction stand at a place. */
    boolean isMixedNumber(int place) {
        boolean whole = place + 3 < tokens.size() && tokens.get(place).matches("[0-9]+");
        return whole
                && tokens.get(place + 1).matches("[0-9]+")
                && tokens.get(place + 2).equals("/");
    }

    boolean skip(String... words) {
        if (atEnd() || !List.of(words).contains(word(0))) {
            return false;
        }
        at++;
        return true;
    }

    /** The tokens that are left, and moves to the end. */
    List<String> rest() {
        List<String> rest = tokens.subList(Math.min(at, tokens.size()), tokens.size());
        at = tokens.size();
        return rest;
    }

    /** A number with fractions and words, or nothing; a number that is no good number is left standing. */
    OptionalDouble number() {
        OptionalDouble number = single();
        return number.isPresent() && skip("dozen") ? OptionalDouble.of(12 * number.getAsDouble()) : number;
    }

    private OptionalDouble single() {
        int start = at;
        OptionalDouble first = simple();
        if (first.isEmpty()) {
            return first;
        }
        double value = first.getAsDouble();
        boolean joined =
                (word(0).equals("-") || word(0).equals("and") || word(0).equals("&")) && value == Math.rint(value);
        int beforeJoin = at;
        if (joined) {
            at++;
            skip("a");
        }
        if (value == Math.rint(value)) {
            int beforeFraction = at;
            OptionalDouble fraction = simple();
            boolean proper = fraction.isPresent()
                    && fraction.getAsDouble() > 0
                    && fraction.getAsDouble() < 1
                    && (raw(-1).matches("[0-9]+") || raw(-1).matches("(?i)half|quarter|quarters"))
                    && !raw(beforeFraction - at).startsWith("0");
            if (proper) {
                return OptionalDouble.of(value + fraction.getAsDouble());
            }
            at = beforeFraction;
        }
        if (joined) {
            at = beforeJoin;
        }
        if (at == start) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(value);
    }

    private OptionalDouble simple() {
        String token = raw(0);
        if (NUMBER.matcher(token).matches()) {
            if (raw(1).equals("/")) {
                return fraction(token);
            }
            return plainNumber(token);
        }
        // Halves and quarters are pieces; only behind a number do they count.
        Double named = token.matches("(?i)halves|thirds|quarters") ? null : NUMBER_WORDS.get(word(0));
        if (named == null || token.isEmpty()) {
            return OptionalDouble.empty();
        }
        at++;
        boolean part = PARTS.contains(word(0));
        if (named == 1 && (part || word(0).equals("dozen") || word(0).equals("couple"))) {
            named = NUMBER_WORDS.get(word(0));
            at++;
        } else if (named > 1 && part) {
            named *= NUMBER_WORDS.get(word(0));
            at++;
        }
        if (named < 1 || token.equalsIgnoreCase("couple") || word(-1).equals("couple")) {
            skip("of");
            skip("a", "an");
        }
        return OptionalDouble.of(named);
    }

    private OptionalDouble fraction(String over) {
        String under = raw(2);
        if (!over.matches("[0-9]{1,6}") || !under.matches("[0-9]{1,4}") || Integer.parseInt(under) == 0) {
            return OptionalDouble.empty();
        }
        // 22/24 and 60/40 say what something is made of: no kitchen measures in such parts.
        if (Integer.parseInt(under) > LARGEST_PART && Integer.parseInt(over) > LARGEST_PART) {
            return OptionalDouble.empty();
        }
        at += 3;
        return OptionalDouble.of(Double.parseDouble(over) / Integer.parseInt(under));
    }

    private OptionalDouble plainNumber(String token) {
        boolean ambiguous =
                token.matches("[1-9][0-9]{0,2},[0-9]{3}") || token.matches(".*[.,].*[.,].*") || token.length() > 12;
        if (ambiguous) {
            return OptionalDouble.empty();
        }
        at++;
        return OptionalDouble.of(Double.parseDouble(token.replace(',', '.')));
    }

    /** A number or range and a unit, if they stand here. */
    Optional<Measured> measured() {
        int start = at;
        boolean about = skip(ABOUT);
        about |= skip(ABOUT);
        double factor = heapedOrScant();
        OptionalDouble first = number();
        String range = "";
        double amount = first.orElse(Double.NaN);
        if (first.isPresent() && (word(0).equals("-") || word(0).equals("to") || word(0).equals("or"))) {
            int beforeRange = at;
            at++;
            OptionalDouble second = number();
            if (second.isPresent()
                    && second.getAsDouble() > amount
                    && (isUnitHere() || raw(-1).matches("[0-9.,/]+"))
                    && !sizeFollows(beforeRange)) {
                range = "%s to %s".formatted(plain(amount), plain(second.getAsDouble()));
                amount = (amount + second.getAsDouble()) / 2;
            } else {
                at = beforeRange;
            }
        }
        if (first.isEmpty()) {
            boolean heaped = factor != 1 && isUnitHere();
            if (!heaped && !bareUnit()) {
                at = start;
                return Optional.empty();
            }
            amount = 1;
        }
        return Optional.of(unit(amount, range, factor, about));
    }

    private double heapedOrScant() {
        if (skip(HEAPING)) {
            return HEAPED;
        }
        return skip("scant") ? SCANT : 1;
    }

    /** {@code 2-14 oz cans}: the dash joins a count and a size. */
    private boolean sizeFollows(int beforeRange) {
        if (!tokens.get(beforeRange).equals("-")) {
            return false;
        }
        Optional<Unit> size = Unit.of(word(0));
        return size.isPresent()
                && !size.get().isContainer()
                && Unit.of(word(1)).filter(Unit::isContainer).isPresent();
    }

    private boolean bareUnit() {
        skip("good", "generous", "big", "large", "small", "tiny");
        Optional<Unit> unit = Unit.of(word(0));
        return unit.filter(u -> u == Unit.PINCH || u == Unit.DASH || u == Unit.VAGUE || u == Unit.SMIDGEN)
                        .isPresent()
                && !raw(1).isEmpty();
    }

    private boolean isUnitHere() {
        return Unit.of(word(0)).isPresent();
    }

    private Measured unit(double amount, String range, double factorBefore, boolean about) {
        double factor = factorBefore;
        boolean packed = false;
        boolean more = true;
        int beforeQualifiers = at;
        while (more) {
            double here = heapedOrScant();
            if (here != 1) {
                factor = here;
            } else if (skip(QUALIFIERS)) {
                packed |= raw(-1).equalsIgnoreCase("packed");
            } else {
                more = false;
            }
        }
        Unit unit = unitHere();
        String said = about ? "about: taken as it stands" : "";
        if (unit == null) {
            at = beforeQualifiers;
            return new Measured(amount, null, range, 1, said, false);
        }
        String hint = factor == HEAPED
                ? "heaped taken as a tenth more"
                : factor == SCANT ? "scant taken as a twentieth less" : said;
        return new Measured(amount + halfMore(), unit, range, factor, hint, packed);
    }

    /** {@code a stick and a half}: what follows the unit and is a part of it. */
    private double halfMore() {
        int mark = at;
        if (skip("and") && skip("a")) {
            Double part = PARTS.contains(word(0)) ? NUMBER_WORDS.get(word(0)) : null;
            if (part != null) {
                at++;
                return part;
            }
        }
        at = mark;
        return 0;
    }

    private Unit unitHere() {
        String word = word(0);
        if (raw(0).equals("T") || raw(0).equals("T.")) {
            at++;
            return Unit.TABLESPOON;
        }
        if (raw(0).equals("t") || raw(0).equals("t.")) {
            at++;
            return Unit.TEASPOON;
        }
        boolean fluid = word.equals("fl") || word.equals("fluid");
        if (fluid && (word(1).equals("oz") || word(1).equals("ounce"))) {
            at += 2;
            return Unit.FLUID_OUNCE;
        }
        Optional<Unit> unit = Unit.of(word);
        if (unit.isEmpty() || atEnd()) {
            return null;
        }
        at++;
        return unit.get();
    }

    private static String plain(double value) {
        return org.zeststack.core.quantity.Numbers.plain(Math.round(value * 1000) / 1000.0);
    }
}

package org.zeststack.core.household;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Reads the amount of a line: a number and a measure, with everything that is said about it: what is added or taken away, the size
 * of a tin, the same amount in another measure, how often it is taken.
 */
final class AmountReader {

    /** Something added to the amount or, with a negative sign, taken away from it. */
    record Term(int sign, Measured measured) {}

    private final List<Term> terms = new ArrayList<>();
    private Measured main;
    private Measured size;
    private Measured also;
    private double times = 1;

    /** The number and measure themselves; null where none is written. */
    Measured main() {
        return main;
    }

    /** What one of the things counted holds; null where it is not said. */
    Measured size() {
        return size;
    }

    /** The same amount in another measure; null where it is said once. */
    Measured also() {
        return also;
    }

    List<Term> terms() {
        return terms;
    }

    /** How often the whole amount is taken: {@code 100 g bar × 2}. */
    double times() {
        return times;
    }

    /** What of all these amounts is not certain. */
    Stream<String> hints() {
        return Stream.concat(Stream.of(main, size, also), terms.stream().map(Term::measured))
                .filter(m -> m != null && !m.hint().isEmpty())
                .map(Measured::hint);
    }

    /** Reads what stands here and leaves the cursor behind it. */
    boolean read(Cursor cursor) {
        int start = cursor.mark();
        Optional<Measured> first = cursor.measured();
        if (first.isEmpty()) {
            return false;
        }
        main = first.get();
        if (main.unit() == null) {
            readSize(cursor);
        } else if (main.isMass() || main.isVolume()) {
            Unit packed = skipPackage(cursor);
            if (packed != null && cursor.isMixedNumber(start)) {
                countPackages(packed);
            }
        }
        int before = -1;
        while (before != cursor.mark()) {
            before = cursor.mark();
            relation(cursor);
        }
        cursor.skip("of");
        return true;
    }

    /**
     * {@code 2 x 397 g tins}, {@code 4 of 50 g}, {@code 2 14-oz cans}: a count, a size and what it comes in. A number that merely stands
     * before an amount belongs to the name.
     */
    private void readSize(Cursor cursor) {
        int mark = cursor.mark();
        boolean times = cursor.skip("x", "\u00d7", "*", "of");
        if (!times) {
            cursor.skip("-");
        }
        Measured inner = cursor.measured().orElse(null);
        if (inner != null && inner.unit() != null && (inner.isMass() || inner.isVolume())) {
            cursor.skip("-");
            Unit container = Unit.of(cursor.word(0)).filter(Unit::isContainer).orElse(null);
            if (container == null && !times) {
                cursor.back(mark);
                return;
            }
            if (container != null) {
                cursor.skip(cursor.word(0));
            }
            size = inner;
            main = new Measured(main.amount(), container == null ? Unit.PIECE : container, main.range(), 1, "", false);
        } else {
            cursor.back(mark);
        }
    }

    /** {@code 2 1/4-oz packages} are two of a quarter of an ounce, not two and a quarter ounces. */
    private void countPackages(Unit packed) {
        double count = Math.floor(main.amount());
        String hint = "read as %s of %s %s"
                .formatted(
                        Weigher.rounded(count),
                        Weigher.rounded(main.amount() - count),
                        main.unit().word());
        size = new Measured(main.amount() - count, main.unit(), "", 1, hint, false);
        main = new Measured(count, packed, "", 1, "", false);
    }

    /** {@code 100 g bar}, {@code 14-oz can of}: what it comes in changes nothing of its mass. Null where nothing is named. */
    private static Unit skipPackage(Cursor cursor) {
        int mark = cursor.mark();
        cursor.skip("-");
        Optional<Unit> container = Unit.of(cursor.word(0)).filter(Unit::isPackage);
        if (container.isPresent() && !cursor.raw(1).isEmpty()) {
            cursor.skip(cursor.word(0));
            return container.get();
        }
        cursor.back(mark);
        return null;
    }

    private void relation(Cursor cursor) {
        int mark = cursor.mark();
        cursor.skip("of");
        boolean taken = false;
        if (cursor.skip("plus", "+", "and", "&")) {
            taken = term(1, cursor);
        } else if (cursor.skip("less", "minus")) {
            taken = term(-1, cursor);
        } else if (cursor.skip("/", "-", "=")) {
            taken = also(cursor);
        } else if (terms.isEmpty() && (main.isMass() || main.unit() == Unit.LITRE)) {
            Measured smaller = cursor.measured().orElse(null);
            Unit thousandth = main.unit() == Unit.KILOGRAM ? Unit.GRAM : main.unit() == Unit.LITRE ? Unit.ML : null;
            boolean bare =
                    smaller != null && smaller.unit() == null && smaller.range().isEmpty();
            if (bare && thousandth != null && ends(cursor) && smaller.amount() >= 1 && smaller.amount() < 1000) {
                // 1 kg 200: what stands behind kilograms and litres, alone, are grams and millilitres.
                smaller = new Measured(smaller.amount(), thousandth, "", 1, "", false);
            }
            taken = smaller != null
                            && smaller.isMass()
                            && main.isMass()
                            && smaller.unit().grams() < main.unit().grams()
                    || smaller != null && smaller.unit() == Unit.ML && main.unit() == Unit.LITRE;
            if (taken) {
                terms.add(new Term(1, smaller));
            }
        }
        if (!taken) {
            cursor.back(mark);
        }
    }

    /** Adds what is told elsewhere in the line. */
    void add(Measured more) {
        terms.add(new Term(1, more));
    }

    private static boolean ends(Cursor cursor) {
        return cursor.atEnd() || cursor.raw(0).matches("[,;:()-]");
    }

    private boolean term(int sign, Cursor cursor) {
        Measured measured = cursor.measured().filter(m -> m.unit() != null).orElse(null);
        if (measured != null) {
            terms.add(new Term(sign, measured));
        }
        return measured != null;
    }

    private boolean also(Cursor cursor) {
        Measured measured = cursor.measured().filter(m -> m.unit() != null).orElse(null);
        if (measured != null && also == null) {
            also = measured;
            return true;
        }
        return false;
    }

    /** Takes what stands behind the name: {@code less 2 tbsp}, {@code plus 1 tsp}, {@code x 2}; returns the tokens before it. */
    List<String> readBehind(List<String> tokens) {
        for (int i = tokens.size() - 2; i > 0 && i >= tokens.size() - 7; i--) {
            Cursor cursor = new Cursor(tokens);
            cursor.back(i);
            if (main != null && behind(cursor)) {
                int end = tokens.get(i - 1).equals(",") ? i - 1 : i;
                return tokens.subList(0, end);
            }
        }
        return tokens;
    }

    private boolean behind(Cursor cursor) {
        if (cursor.skip("x", "\u00d7", "*")) {
            var count = cursor.number();
            if (count.isPresent() && cursor.atEnd() && count.getAsDouble() > 0) {
                times = count.getAsDouble();
                return true;
            }
            return false;
        }
        int sign = cursor.skip("less", "minus") ? -1 : cursor.skip("plus", "+") ? 1 : 0;
        int known = terms.size();
        if (sign == 0 || !term(sign, cursor)) {
            return false;
        }
        if (cursor.atEnd()) {
            return true;
        }
        terms.subList(known, terms.size()).clear();
        return false;
    }

    /** An amount in parentheses: of one of the things counted, or the same as the amount before it. */
    void aside(Measured measured, boolean each) {
        boolean container = main.unit() != null && main.unit().isPackage() || main.unit() == Unit.VAGUE;
        boolean loose = measured.isMass() || main.unit() == Unit.VAGUE && measured.isVolume();
        if (each || container && loose) {
            size = measured;
        } else {
            also = measured;
        }
    }
}

package org.zeststack.core.rule;

import org.zeststack.core.quantity.CsvTable;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * A bound that rules judge by, one row of the table {@code bounds.csv}.
 *
 * @param code stable name
 * @param about what is bounded, in words
 * @param unit of its figures; empty for a share, {@code ratio} for one mass over another
 * @param basis whether a standard says so, the trade does, or the workshop itself
 * @param source where it stands
 */
public record Bound(String code, String about, Figures figures, String unit, Basis basis, String source) {

    /** What a bound rests on: a standard, law or handbook; what our own models hold for; the trade; or the workshop itself. */
    public enum Basis {
        PUBLISHED("published"),
        MODEL("our model"),
        PRACTICE("practice"),
        OWN("your workshop's own");

        private final String words;

        Basis(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** The figures of a bound; null where it bounds nothing. */
    public record Figures(Double least, Double usual, Double greatest) {}

    public double least() {
        return given(figures.least);
    }

    public double usual() {
        return given(figures.usual);
    }

    public double greatest() {
        return given(figures.greatest);
    }

    private double given(Double figure) {
        if (figure == null) {
            throw new IllegalStateException("bound " + code + " has no such figure");
        }
        return figure;
    }

    /** The least as sentences have it. */
    public String leastWords() {
        return words(least());
    }

    /** The greatest as sentences have it. */
    public String greatestWords() {
        return words(greatest());
    }

    /** A figure of this bound with its unit: shares in per cent. */
    public String words(double figure) {
        return switch (unit) {
            case "" -> Say.percent(100 * figure);
            case "ratio" -> Say.number(figure);
            default -> Say.of(figure, Measure.in(unit).orElseThrow());
        };
    }

    /** All its figures in words, for example {@code 1 to 3 mm}. */
    public String words() {
        if (figures.least == null) {
            return "up to " + greatestWords();
        }
        if (figures.greatest == null) {
            return "from " + leastWords();
        }
        return Say.range(leastWords(), greatestWords());
    }

    /** Least to greatest, both of which it must have. */
    public Range range() {
        return new Range(least(), greatest(), unit);
    }

    /** Between which figures a workshop may set its own. */
    public Range permitted() {
        return switch (unit) {
            case "" -> new Range(0, 1, "");
            case "ratio" -> new Range(0, 20, "");
            case "mm" -> new Range(0.1, 20, "mm");
            case "g" -> new Range(0.05, 20, "g");
            case "K" -> new Range(0, 20, "K");
            case "°" -> new Range(0, 45, "°");
            case "°C" -> new Range(0, 220, "°C");
            case "K/min" -> new Range(0.01, 100, "K/min");
            case "min" -> new Range(0.1, 600, "min");
            case "h" -> new Range(0.1, 10_000, "h");
            case "days" -> new Range(0, 60, "days");
            case "weeks" -> new Range(0, 104, "weeks");
            default -> throw new IllegalStateException("bound " + code + " is in " + unit);
        };
    }

    /** Whether a workshop may set its own figures: only where it may know better than the trade. */
    public boolean ownAllowed() {
        return basis == Basis.PRACTICE || basis == Basis.OWN;
    }

    /** The same with a workshop's own figures. */
    Bound own(Figures own) {
        return new Bound(code, about, own, unit, Basis.OWN, "Your workshop; shipped with " + words());
    }

    static Bound read(CsvTable.Row row) {
        Figures figures = new Figures(figure(row, "least"), figure(row, "usual"), figure(row, "greatest"));
        if (figures.least == null && figures.greatest == null) {
            throw row.bad("bounds nothing");
        }
        return new Bound(
                row.text("code"),
                row.text("about"),
                figures,
                row.text("unit"),
                row.constant(row.text("basis"), Basis.class),
                row.text("source"));
    }

    private static Double figure(CsvTable.Row row, String column) {
        return row.text(column).isEmpty() ? null : Double.valueOf(row.number(column));
    }
}

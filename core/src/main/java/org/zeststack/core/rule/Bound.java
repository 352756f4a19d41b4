package org.zeststack.core.rule;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.zeststack.core.quantity.CsvTable;

/**
 * A bound that rules judge by, one row of the table {@code bounds.csv}.
 *
 * @param code stable name
 * @param about what is bounded, in words
 * @param unit of its figures; empty for a share
 * @param basis whether a standard says so or the trade does
 * @param source where it stands
 */
public record Bound(String code, String about, Figures figures, String unit, Basis basis, String source) {

    private static final List<Bound> ALL = CsvTable.load(Bound.class, "bounds.csv").rows().stream()
            .map(Bound::read)
            .toList();
    private static final Map<String, Bound> BY_CODE =
            ALL.stream().collect(Collectors.toUnmodifiableMap(Bound::code, Function.identity()));

    /** What a bound rests on. */
    public enum Basis {
        PUBLISHED,
        PRACTICE
    }

    /** The figures of a bound; null where it bounds nothing. */
    public record Figures(Double least, Double usual, Double greatest) {}

    /** All bounds, in the order of the table. */
    public static List<Bound> all() {
        return ALL;
    }

    /**
     * The bound of a name.
     *
     * @throws IllegalArgumentException where there is none
     */
    public static Bound of(String code) {
        Bound bound = BY_CODE.get(code);
        if (bound == null) {
            throw new IllegalArgumentException("no bound " + code);
        }
        return bound;
    }

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

    private static Bound read(CsvTable.Row row) {
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

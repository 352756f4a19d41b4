package org.zeststack.web.rule;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.typed.FormInput;

/** A bound's figures as a form has them: shares in per cent. */
final class BoundFields {

    private BoundFields() {}

    /**
     * One figure of a bound.
     *
     * @param unit as shown beside it
     */
    record Field(String name, String label, String unit) {}

    /** The figures that a bound has. */
    static List<Field> fields(Bound bound) {
        List<Field> fields = new ArrayList<>();
        String unit = bound.unit().isEmpty() ? "%" : bound.unit().equals("ratio") ? "" : bound.unit();
        if (bound.figures().least() != null) {
            fields.add(new Field("least", "Least", unit));
        }
        if (bound.figures().usual() != null) {
            fields.add(new Field("usual", "Usual", unit));
        }
        if (bound.figures().greatest() != null) {
            fields.add(new Field("greatest", "Greatest", unit));
        }
        return fields;
    }

    static Map<String, String> of(Bound bound, Bound.Figures figures) {
        Map<String, String> fields = new LinkedHashMap<>();
        put(fields, bound, "least", figures.least());
        put(fields, bound, "usual", figures.usual());
        put(fields, bound, "greatest", figures.greatest());
        return fields;
    }

    private static void put(Map<String, String> fields, Bound bound, String name, Double figure) {
        if (figure != null) {
            fields.put(name, FormInput.shown(bound.unit().isEmpty() ? 100 * figure : figure));
        }
    }

    /** What may be typed, in words. */
    static String permitted(Bound bound) {
        Range range = bound.permitted();
        return bound.unit().isEmpty()
                ? new Range(100 * range.least(), 100 * range.greatest(), "%").inWords()
                : range.inWords();
    }

    /** The figures typed; empty with faults noted where they cannot be those of the bound. */
    static Optional<Bound.Figures> read(FormInput form, Bound bound) {
        Double least = figure(form, bound, "least", bound.figures().least());
        Double usual = figure(form, bound, "usual", bound.figures().usual());
        Double greatest = figure(form, bound, "greatest", bound.figures().greatest());
        return form.build(() -> {
            Bound.Figures figures = new Bound.Figures(least, usual, greatest);
            Bounds.check(bound, figures);
            return figures;
        });
    }

    private static Double figure(FormInput form, Bound bound, String name, Double shipped) {
        if (shipped == null) {
            return null;
        }
        return bound.unit().isEmpty() ? form.percent(name, bound.permitted()) : form.number(name, bound.permitted());
    }
}

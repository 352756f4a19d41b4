package org.zeststack.app.formula;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.zeststack.app.bar.BarWorkings;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Needs;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Vessel;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.store.workshop.Aside;
import org.zeststack.store.workshop.WorkshopStore;

/** Scales a formula by what the form asks for. */
@Component
public class ScaleForm {

    static final Range PIECES = new Range(1, 100_000, "pieces");
    static final Range MOULDS = new Range(1, 10_000, "moulds");
    private static final Range THICKNESS_MM = new Range(0.5, 80, "mm");

    /** What a formula may be scaled by. */
    public enum By {
        USABLE("usable grams"),
        FACTOR("factor"),
        PIECES("pieces of a bar"),
        MOULDS("moulds of a bar"),
        TRAY("frame or tray, by thickness"),
        TRAYS("from tray to tray, same thickness"),
        LINE("one ingredient I have");

        private final String words;

        By(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    private final WorkshopStore workshop;
    private final Aside aside;
    private final Designs<Bar> bars;
    private final BarWorkings workings;

    ScaleForm(WorkshopStore workshop, Aside aside, Designs<Bar> bars, BarWorkings workings) {
        this.workshop = workshop;
        this.aside = aside;
        this.bars = bars;
        this.workings = workings;
    }

    public List<Saved<Vessel>> vessels() {
        return aside.inUse(Aside.Kind.VESSEL, workshop.vessels());
    }

    /** Bars whose version to be made holds the formula. */
    public List<Designs.Version<Bar>> barsWith(long formula) {
        return bars.currentWith(formula);
    }

    private static boolean isOf(String material, long formula) {
        return FormulaLink.in(material).filter(l -> l.formula() == formula).isPresent();
    }

    /**
     * A formula to be scaled.
     *
     * @param used formulas that it is made of
     */
    public record Scaled(
            NamedFormula named,
            FormulaBalance balance,
            List<NamedFormula> used,
            IngredientTable table,
            double pressureKpa) {}

    /**
     * What a formula comes to.
     *
     * @param parts formulas that must be made for it first
     */
    public record Result(Scaling scaling, List<Needs.Batch> parts) {}

    /** A factor, or usable grams where those are asked for; the other is not a number. */
    private record Want(double factor, double usableGrams) {

        static Want times(double factor) {
            return new Want(factor, Double.NaN);
        }

        static Want usable(double grams) {
            return new Want(Double.NaN, grams);
        }
    }

    /** The scaling asked for; empty where none is, or where its fields are faulty. */
    public Optional<Result> scale(FormInput form, FormulaFields.Read read, Scaled of) {
        if (!form.has("scale.by") || !asked(form)) {
            return Optional.empty();
        }
        By by = form.choice("scale.by", By.class);
        FormInput own = FormInput.of(form.typed());
        Scaling.Limits limits = limits(own);
        try {
            Want want = by == null ? Want.times(Double.NaN) : want(by, own, read, of);
            double factor = Double.isNaN(want.usableGrams)
                    ? want.factor
                    : Scaling.factorForUsable(of.named.formula(), of.balance, want.usableGrams);
            if (!own.faulty() && !Scaling.FACTOR.holds(factor)) {
                own.add(Fault.of(
                        "scale.amount",
                        own.text("scale.amount"),
                        "That would be %s times the formula; permitted: %s times."
                                .formatted(
                                        org.zeststack.core.quantity.Numbers.plain(factor), Scaling.FACTOR.inWords())));
            }
            form.addAll(own.faults());
            return own.faulty() ? Optional.empty() : Optional.of(result(of, want, limits));
        } catch (Refusal refusal) {
            form.add(Fault.of("scale.amount", own.text("scale.amount"), refusal.getMessage()));
        } catch (InvalidInput input) {
            form.addAll(input.faults().stream().map(f -> f.at("scale.amount")).toList());
        }
        return Optional.empty();
    }

    /** What is usable goes through the needs of all formulas; a factor is a factor, and only the parts follow from it. */
    private static Result result(Scaled of, Want want, Scaling.Limits limits) {
        String own = of.named.link().text();
        Scaling byFactor =
                Double.isNaN(want.usableGrams) ? Scaling.of(of.named.formula(), of.balance, want.factor, limits) : null;
        Map<String, Double> laid = new LinkedHashMap<>();
        if (byFactor == null) {
            laid.put(own, want.usableGrams);
        } else {
            byFactor.lines().stream()
                    .filter(line -> of.named.formula().lines().get(line.index()).counts())
                    .forEach(line -> laid.merge(line.ingredient(), line.grams(), Double::sum));
        }
        List<NamedFormula> formulas = new ArrayList<>(of.used);
        if (byFactor == null) {
            formulas.add(of.named);
        }
        List<Needs.Batch> batches = Needs.of(new Needs.Order(
                laid,
                formulas,
                Set.of(),
                of.table,
                of.pressureKpa,
                f -> f.equals(of.named.formula()) ? limits : Scaling.Limits.NONE));
        if (byFactor != null) {
            return new Result(byFactor, batches);
        }
        int last = batches.size() - 1;
        return new Result(batches.get(last).scaling(), batches.subList(0, last));
    }

    private static boolean asked(FormInput form) {
        return form.has("scale.amount")
                || form.text("scale.by").equals(By.TRAYS.name()) && form.has("scale.tray") && form.has("scale.from");
    }

    private Scaling.Limits limits(FormInput form) {
        Double pot = form.has("scale.potLitres") ? form.number("scale.potLitres", Scaling.CAPACITY_LITRES) : null;
        Double bowl = form.has("scale.bowlLitres") ? form.number("scale.bowlLitres", Scaling.CAPACITY_LITRES) : null;
        double step = form.has("scale.resolution") ? form.number("scale.resolution", Scaling.RESOLUTION_GRAMS) : 0.1;
        return new Scaling.Limits(pot, bowl, step);
    }

    private Want want(By by, FormInput form, FormulaFields.Read read, Scaled of) {
        long id = of.named.id();
        return switch (by) {
            case USABLE -> Want.usable(form.number("scale.amount", Scaling.WANT_GRAMS));
            case FACTOR -> Want.times(form.number("scale.amount", Scaling.FACTOR));
            case PIECES -> Want.usable(laidGrams(form, id, form.number("scale.amount", PIECES)));
            case MOULDS -> Want.usable(moulds(form, id));
            case TRAY -> Want.usable(tray(form, of.balance));
            case TRAYS -> Want.times(trays(form));
            case LINE -> Want.times(line(form, read));
        };
    }

    private double line(FormInput form, FormulaFields.Read read) {
        double have = form.number("scale.amount", Scaling.WANT_GRAMS);
        int row = form.text("scale.line").matches("[0-9]{1,4}") ? Integer.parseInt(form.text("scale.line")) : -1;
        int index = read.rows().indexOf(row);
        if (index < 0) {
            form.add(Fault.of("scale.line", form.text("scale.line"), "Choose the line that you have."));
            return Double.NaN;
        }
        return Scaling.factorForLine(read.formula(), index, have);
    }

    private double tray(FormInput form, FormulaBalance balance) {
        double thickness = form.number("scale.amount", THICKNESS_MM);
        Vessel tray = tray(form, "scale.tray");
        if (tray == null || form.faulty()) {
            return Double.NaN;
        }
        return Scaling.slabGrams(tray.lengthMm(), tray.widthMm(), thickness, balance.densityGramsPerMl());
    }

    private double trays(FormInput form) {
        Vessel from = tray(form, "scale.from");
        Vessel to = tray(form, "scale.tray");
        return from == null || to == null ? Double.NaN : to.areaSquareMm() / from.areaSquareMm();
    }

    /** A tray as written, {@code 230 × 330 mm} or {@code 9 x 13 in}; null with a fault noted where it is none. */
    private static Vessel tray(FormInput form, String field) {
        String typed = form.brief(field);
        var sides = java.util.regex.Pattern.compile(
                        "([0-9]+(?:[.,][0-9]+)?)\\s*(?:x|\u00d7|\\*|by)\\s*([0-9]+(?:[.,][0-9]+)?)\\s*(mm|cm|in|inch|inches|\")?.*",
                        java.util.regex.Pattern.CASE_INSENSITIVE)
                .matcher(typed);
        if (!sides.matches()) {
            form.add(Fault.of(
                    field, typed, "Write length \u00d7 width, for example 230 \u00d7 330 mm or 9 \u00d7 13 in."));
            return null;
        }
        String unit = sides.group(3) == null ? "mm" : sides.group(3).toLowerCase(java.util.Locale.ROOT);
        double each = unit.equals("mm") ? 1 : unit.equals("cm") ? 10 : 25.4;
        try {
            return new Vessel(
                    Vessel.Kind.TRAY,
                    0,
                    each * Double.parseDouble(sides.group(1).replace(',', '.')),
                    each * Double.parseDouble(sides.group(2).replace(',', '.')));
        } catch (InvalidInput input) {
            form.add(input.faults().get(0).at(field));
            return null;
        }
    }

    private double moulds(FormInput form, long id) {
        double moulds = form.number("scale.amount", MOULDS);
        return bar(form, id)
                .map(b -> laidGrams(form, id, moulds * worked(b).stack().frame().piecesOfOne()))
                .orElse(Double.NaN);
    }

    /** What pieces of a bar take of a formula, off-cuts of theirs with it. */
    private double laidGrams(FormInput form, long id, double pieces) {
        Optional<Designs.Version<Bar>> bar = bar(form, id);
        if (bar.isEmpty() || Double.isNaN(pieces)) {
            return Double.NaN;
        }
        BarStack stack = worked(bar.get()).stack();
        double each = stack.layers().stream()
                .filter(l -> isOf(l.design().of(), id))
                .mapToDouble(StackLayer::laidGrams)
                .sum();
        return each * pieces;
    }

    private BarWorkings.Worked worked(Designs.Version<Bar> bar) {
        return workings.work(bar.content());
    }

    private Optional<Designs.Version<Bar>> bar(FormInput form, long id) {
        Optional<Designs.Version<Bar>> chosen = barsWith(id).stream()
                .filter(b -> String.valueOf(b.design()).equals(form.text("scale.bar")))
                .findFirst();
        if (chosen.isEmpty()) {
            form.add(Fault.of("scale.bar", form.text("scale.bar"), "Choose a bar that holds this formula."));
        }
        return chosen;
    }

    /** Lines of a scaling with their names, for the page. */
    record Shown(String name, Scaling.Line line, String role, boolean toEffect) {}

    public static List<Shown> shown(Scaling scaling, Formula formula, Map<String, String> names) {
        List<Shown> shown = new ArrayList<>();
        for (Scaling.Line line : scaling.lines()) {
            var of = formula.lines().get(line.index());
            shown.add(new Shown(names.get(line.ingredient()), line, of.role().words(), of.toEffect()));
        }
        return shown;
    }
}

package org.zeststack.app.run;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.zeststack.app.Missing;
import org.zeststack.app.bar.BarWorkings;
import org.zeststack.app.result.EyeCooks;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.picture.Plan;
import org.zeststack.core.plan.RunOrder;
import org.zeststack.core.plan.RunPlanner;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.core.workshop.Vessel;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.workshop.Aside;
import org.zeststack.store.workshop.WorkshopStore;

/** The sheet of a run: the frozen one, or while it is only planned the one it would start with now. */
@Component
public class RunSheets {

    private final Designs<Bar> bars;
    private final BarWorkings workings;
    private final WorkshopStore workshop;
    private final Aside aside;
    private final Shelf shelf;
    private final EyeCooks cooks;

    RunSheets(
            Designs<Bar> bars, BarWorkings workings, WorkshopStore workshop, Aside aside, Shelf shelf, EyeCooks cooks) {
        this.bars = bars;
        this.workings = workings;
        this.workshop = workshop;
        this.aside = aside;
        this.shelf = shelf;
        this.cooks = cooks;
    }

    /**
     * The sheet of a run.
     *
     * @throws org.zeststack.core.formula.YieldUnknown if it is only planned and something in it ends by eye, nobody knows how
     * @throws org.zeststack.store.sheet.NewerSheet if a newer release wrote it
     */
    public RunSheet of(Run run) {
        if (run.status() != Run.Status.PLANNED) {
            return run.frozen();
        }
        return of(new Runs.Plan(
                run.bar(),
                run.barVersion(),
                run.barName(),
                run.plannedFor(),
                run.pieces(),
                run.thermometer(),
                run.allowances(),
                run.lots(),
                run.said()));
    }

    /** The sheet that a plan comes to; throws as {@link #of(Run)}. */
    public RunSheet of(Runs.Plan plan) {
        Designs.Version<Bar> bar =
                bars.version(plan.bar(), plan.barVersion()).orElseThrow(() -> new Missing("This bar"));
        BarWorkings.Worked worked = workings.work(
                bar.content(),
                named -> cooks.narrowed(variant(named, plan.said().variants())));
        boolean measured = plan.thermometer() != Runs.WITHOUT;
        var thermometer = measured
                ? workshop.thermometer(plan.thermometer()).orElseThrow(() -> new Missing("This thermometer"))
                : null;
        List<Ingredient> taken = shelf.taken(plan.lots());
        IngredientTable table = shelf.table().with(taken);
        Map<String, NamedFormula> parts = new LinkedHashMap<>();
        for (NamedFormula filling : worked.formulas().values()) {
            var needs = shelf.needs(filling.id(), filling.name(), filling.formula(), table);
            needs.used().forEach(part -> parts.put(part.link().text(), part));
            table = needs.table();
        }
        // Lots of made-ahead parts win over what their formula would give, and need not be made for others.
        table = table.with(taken);
        RunOrder order = new RunOrder(
                bar.name(),
                bar.number(),
                worked.stack(),
                worked.formulas(),
                List.copyOf(parts.values()),
                plan.lots().keySet(),
                this::limits,
                carrierName(worked),
                worked.mould() == null ? 1 : worked.mould().content().owned(),
                workshop.place().orElseThrow().content(),
                measured ? thermometer.name() : "",
                measured ? thermometer.content() : Thermometer.TRUE,
                plan.pieces(),
                plan.allowances());
        return RunPlanner.plan(order, table);
    }

    /** A line that may be left out, and whether it is planned. */
    public record Variant(String key, String formula, String line, double grams, boolean planned) {}

    /** The lines of a run's formulas that may be left out. */
    public List<Variant> variants(Run run) {
        Bar bar = bars.version(run.bar(), run.barVersion())
                .orElseThrow(() -> new Missing("This bar"))
                .content();
        List<Variant> variants = new ArrayList<>();
        for (String of : bar.materials()) {
            FormulaLink.in(of).flatMap(shelf::version).ifPresent(named -> variants(named, run, variants));
        }
        return variants;
    }

    private void variants(NamedFormula named, Run run, List<Variant> variants) {
        List<FormulaLine> lines = named.formula().lines();
        for (int i = 0; i < lines.size(); i++) {
            FormulaLine line = lines.get(i);
            if (!line.counts()) {
                String key = named.link().text() + "#" + i;
                String name = shelf.names(List.of(line.ingredient())).get(line.ingredient());
                boolean planned = run.said().variants().contains(key);
                variants.add(new Variant(key, named.name(), name, line.grams(), planned));
            }
        }
    }

    /** A formula with the lines that are planned this time; itself where none is. */
    private NamedFormula variant(NamedFormula named, List<String> planned) {
        String prefix = named.link().text() + "#";
        Set<Integer> indexes = planned.stream()
                .filter(key -> key.startsWith(prefix))
                .map(key -> Integer.valueOf(key.substring(prefix.length())))
                .collect(Collectors.toSet());
        if (indexes.isEmpty()) {
            return named;
        }
        IngredientTable table =
                shelf.needs(named.id(), named.name(), named.formula()).table();
        return new NamedFormula(
                named.id(), named.name(), named.version(), named.formula().including(indexes, table));
    }

    /** The largest pot and, for what is whipped, the largest bowl that the workshop has. */
    private Scaling.Limits limits(Formula formula) {
        boolean whipped =
                formula.finish().overrunFraction() > 0 || formula.family().kind() == Family.Kind.NOUGAT;
        return new Scaling.Limits(
                largest(Vessel.Kind.POT),
                whipped ? largest(Vessel.Kind.BOWL) : null,
                Scaling.Limits.NONE.resolutionGrams());
    }

    private Double largest(Vessel.Kind kind) {
        return aside.inUse(Aside.Kind.VESSEL, workshop.vessels()).stream()
                .map(Saved::content)
                .filter(v -> v.kind() == kind)
                .map(Vessel::litres)
                .max(Double::compare)
                .orElse(null);
    }

    /** The mould's name, or what the pieces are cut from. */
    private static String carrierName(BarWorkings.Worked worked) {
        if (worked.mould() != null) {
            return worked.mould().name();
        }
        Plan plan = Plan.of(worked.stack());
        return "%s × %s mm".formatted(Numbers.fixed(plan.lengthMm(), 0), Numbers.fixed(plan.widthMm(), 0));
    }
}

package org.zeststack.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Working;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Needs;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.formula.WrittenAmounts;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sheet.BatchLine;
import org.zeststack.core.sheet.Cooking;
import org.zeststack.core.sheet.Finished;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.Mass;
import org.zeststack.core.sheet.Pieces;
import org.zeststack.core.sheet.Stop;
import org.zeststack.core.sheet.Uses;
import org.zeststack.core.sheet.WeighedOut;

/** Every formula of a run, multiplied by {@link Needs}, with what goes into its pots. */
final class FormulaPlanner {

    private final RunOrder order;
    private final IngredientTable ingredients;
    private final Pieces pieces;
    private final LaidMasses masses;

    FormulaPlanner(RunOrder order, IngredientTable ingredients, Pieces pieces, LaidMasses masses) {
        this.order = order;
        this.ingredients = ingredients;
        this.pieces = pieces;
        this.masses = masses;
    }

    /**
     * All of them, what others are made of first.
     *
     * @throws org.zeststack.core.quantity.Refusal naming a formula whose finished mass is not known
     */
    List<FormulaBatch> all() {
        Map<String, Double> laidGrams = new LinkedHashMap<>();
        List<NamedFormula> all = new ArrayList<>(order.formulas().values());
        order.formulas()
                .forEach((link, named) ->
                        laidGrams.put(link, masses.deposit(named.key()).total()));
        order.parts().stream()
                .filter(part -> !order.formulas().containsKey(part.link().text()))
                .forEach(all::add);
        return Needs.of(new Needs.Order(
                        laidGrams,
                        all,
                        order.fromStock(),
                        ingredients,
                        order.place().pressureKpa(),
                        order.limits()))
                .stream()
                .map(this::batch)
                .toList();
    }

    private FormulaBatch batch(Needs.Batch batch) {
        NamedFormula named = batch.named();
        Formula formula = named.formula();
        FormulaBalance made = batch.made();
        Optional<Stop> stop = made.cook()
                .map(c -> new Stop(
                        c.stopCelsius(),
                        c.stopCelsiusHere(),
                        order.thermometer().readingAt(c.stopCelsiusHere())));
        Composition pot = made.pots().main();
        return new FormulaBatch(
                named.key(),
                named.name(),
                formula.family().material(),
                new Uses(masses.deposit(named.key()), batch.takenGrams(), batch.usableGrams()),
                new WeighedOut(
                        batch.scaling().factor(),
                        made.before().totalGrams(),
                        OptionalDouble.of(made.before().waterGrams()),
                        lines(batch),
                        batch.scaling().batches(),
                        batch.scaling().sharedOut().orElse("")),
                new Finished(
                        made.leastGrams(),
                        made.greatestGrams(),
                        by(formula),
                        formula.finish().overrunFraction(),
                        Optional.of(fat(made.after()))),
                new Cooking(
                        new Mass(formula.boiled() ? pot.byPart() : Map.of(), pot.dextroseEquivalent()),
                        stop,
                        made.cook()
                                .map(c -> OptionalDouble.of(c.after().totalGrams()))
                                .orElse(OptionalDouble.empty()),
                        formula.cooked()
                                ? Optional.of(new PotPlanner(order, ingredients).plan(batch))
                                : Optional.empty()),
                worded(formula, batch.scaling()),
                why(batch, stop));
    }

    private List<BatchLine> lines(Needs.Batch batch) {
        List<BatchLine> lines = new ArrayList<>();
        for (Scaling.Line scaled : batch.scaling().lines()) {
            FormulaLine line = batch.named().formula().lines().get(scaled.index());
            if (line.counts()) {
                lines.add(new BatchLine(
                        scaled.ingredient(),
                        ingredients.get(scaled.ingredient()).name(),
                        scaled.grams(),
                        line.role().words(),
                        line.toEffect(),
                        line.withGrams(scaled.grams()).mostGrams()));
            }
        }
        return List.copyOf(lines);
    }

    /** The steps in their own words, with the amounts in them for one pot of this run. */
    private static List<MethodStep> worded(Formula formula, Scaling scaling) {
        double each = scaling.factor() / scaling.batches();
        return DefaultMethods.of(formula).stream()
                .map(step -> step.saying(WrittenAmounts.times(step.action(), each)))
                .map(step -> step.does() == Act.WEIGH
                        ? scaling.whole()
                                .map(whole -> step.saying(step.action() + ". " + whole.words(scaling.factor())))
                                .orElse(step)
                        : step)
                .toList();
    }

    private static Finished.Fat fat(Composition of) {
        double butter = of.grams(Part.COCOA_BUTTER);
        return new Finished.Fat(butter / of.totalGrams(), (of.grams(Part::isFat) - butter) / of.totalGrams());
    }

    private static Finished.By by(Formula formula) {
        if (formula.cooked()) {
            return Finished.By.READING;
        }
        if (formula.finish().byEye()) {
            return Finished.By.EYE;
        }
        return formula.finish().bakedLossFraction() > 0 ? Finished.By.BAKED : Finished.By.MIXED;
    }

    private Working why(Needs.Batch batch, Optional<Stop> stop) {
        NamedFormula named = batch.named();
        FormulaBalance made = batch.made();
        Working.Builder working = Working.of(named.name());
        if (batch.laidGrams() > 0) {
            working.line("Laid", "for %d pieces%s: %s", pieces.toMake(), spareWords(), Say.grams(batch.laidGrams(), 0));
        }
        batch.takenGrams().forEach((user, grams) -> working.line("Into " + user, "%s", Say.grams(grams, 0)));
        working.line(
                        "Finished mass to have",
                        "%s / (1 − %s left in pot and bag) = %s%s",
                        Say.grams(batch.usableGrams(), 0),
                        Say.percent(100 * named.formula().handlingLossFraction()),
                        Say.grams(made.leastGrams(), 0),
                        batch.scaling().spreads()
                                ? "; by eye it may come to %s".formatted(Say.grams(made.greatestGrams(), 0))
                                : "")
                .line(
                        "Multiply the formula by",
                        "%s / %s = %s",
                        Say.grams(made.leastGrams(), 0),
                        Say.grams(batch.balance().leastGrams(), 0),
                        Say.number(batch.scaling().factor(), 4))
                .line(
                        "Weigh out",
                        "%s; %s of it is finished",
                        Say.grams(made.before().totalGrams(), 0),
                        Say.percent(100 * made.leastGrams() / made.before().totalGrams(), 1));
        batch.scaling()
                .whole()
                .ifPresent(whole ->
                        working.line("Pieces", "%s", whole.words(batch.scaling().factor())));
        batch.scaling().sharedOut().ifPresent(words -> working.line("Batches", "%s", words));
        stop.ifPresent(s -> stop(working, s));
        return working.from("Same water left at this place: IAPWS, Starzak and Peacock 1997, Norrish 1966, Ross 1975.");
    }

    private void stop(Working.Builder working, Stop stop) {
        if (!order.measured()) {
            working.line("Stop", "without a thermometer: by weight and cold water");
            return;
        }
        working.line(
                "Stop",
                "%s at sea level = %s under %s; %s shows %s %s there: %s",
                Say.celsius(stop.seaLevel(), 1),
                Say.celsius(stop.here(), 1),
                Say.of(order.place().pressureKpa(), 2, Measure.KILOPASCALS),
                order.thermometerName(),
                stop.reading() < stop.here() ? "minus" : "plus",
                Say.kelvin(Math.abs(stop.reading() - stop.here()), 1),
                Say.celsius(stop.reading(), 1));
    }

    private String spareWords() {
        int spare = pieces.carriers().spare();
        return spare > 0 ? " and %d spare".formatted(spare) : "";
    }
}

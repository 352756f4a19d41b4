package org.zeststack.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaPots;
import org.zeststack.core.formula.Needs;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.sheet.Mass;
import org.zeststack.core.sheet.PotPlan;
import org.zeststack.core.sheet.Stop;
import org.zeststack.core.sugar.Cook;

/** Works out what goes into which pot of a batch, when, and what its thermometer shows then. */
final class PotPlanner {

    private final RunOrder order;
    private final IngredientTable ingredients;

    PotPlanner(RunOrder order, IngredientTable ingredients) {
        this.order = order;
        this.ingredients = ingredients;
    }

    /** The pots of a batch that is cooked to a reading. */
    PotPlan plan(Needs.Batch batch) {
        String key = batch.named().key();
        Formula formula = batch.named().formula();
        FormulaPots pots = batch.made().pots();
        List<PotPlan.Pour> pours = new ArrayList<>();
        Composition in = pots.start();
        for (FormulaPots.Pour pour : pots.pours()) {
            pours.add(new PotPlan.Pour(
                    PotPlan.Pour.step(key, pours.size()),
                    names(formula, pour.lines()),
                    Mass.of(pour.mass()),
                    at(in, pour.atCelsius())));
            in = in.plus(pour.mass());
        }
        return new PotPlan(Mass.of(pots.start()), pours, pots.second().map(s -> second(formula, s)), bowl(batch));
    }

    /** Where the pot stands when something is poured in; empty where another sign says when. */
    private Optional<PotPlan.At> at(Composition in, OptionalDouble seaLevel) {
        return seaLevel.isEmpty()
                ? Optional.empty()
                : Optional.of(new PotPlan.At(
                        seaLevel.getAsDouble(), order.thermometer().readingAt(here(in, seaLevel.getAsDouble()))));
    }

    /** What is in the bowl when it is dried: what was cooked, and lines that are said to go in by then. */
    private Optional<PotPlan.Bowl> bowl(Needs.Batch batch) {
        Formula formula = batch.named().formula();
        FormulaBalance made = batch.made();
        int drying = FormulaPots.numbered(formula).stream()
                        .map(MethodStep::does)
                        .toList()
                        .indexOf(Act.DRY)
                + 1;
        if (drying == 0) {
            return Optional.empty();
        }
        Composition mass = made.pots()
                .second()
                .map(s -> s.cook().after())
                .orElse(Composition.NOTHING)
                .plus(made.cook().orElseThrow().after());
        for (Scaling.Line scaled : batch.scaling().lines()) {
            FormulaLine line = formula.lines().get(scaled.index());
            boolean in = line.counts() && line.role() != FormulaLine.Role.POT && line.step() != null;
            if (in && line.step() <= drying) {
                mass = mass.plus(ingredients.get(scaled.ingredient()).grams(scaled.grams()));
            }
        }
        double lost = formula.finish().bakedLossFraction() * made.before().totalGrams();
        return Optional.of(new PotPlan.Bowl(
                Mass.of(mass), lost == 0 ? OptionalDouble.empty() : OptionalDouble.of(mass.totalGrams() - lost)));
    }

    private PotPlan.Second second(Formula formula, FormulaPots.Second second) {
        Cook cook = second.cook();
        return new PotPlan.Second(
                names(formula, second.lines()),
                Mass.of(cook.before()),
                new Stop(
                        cook.stopCelsius(),
                        cook.stopCelsiusHere(),
                        order.thermometer().readingAt(cook.stopCelsiusHere())),
                cook.cookedGrams());
    }

    private List<String> names(Formula formula, List<Integer> lines) {
        return lines.stream()
                .map(l -> ingredients.get(formula.lines().get(l).ingredient()).name())
                .toList();
    }

    /** The temperature here at which a mass holds the water that it holds at another at sea level; the same where it does not boil yet. */
    private double here(Composition mass, double seaLevel) {
        try {
            return Cook.to(mass, seaLevel, order.place().pressureKpa()).stopCelsiusHere();
        } catch (InvalidInput | Refusal cold) {
            return seaLevel;
        }
    }
}

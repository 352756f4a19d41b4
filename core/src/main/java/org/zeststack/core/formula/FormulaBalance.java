package org.zeststack.core.formula;

import java.util.Optional;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sugar.Cook;

/**
 * A formula before and after cooking, baking and whipping.
 *
 * @param before everything weighed out; optional lines are not counted
 * @param pot what is cooked, in all its pots
 * @param pots the same by pot and time
 * @param cook the cook of the first pot at sea-level target and this place's pressure; empty where none is made to a reading
 * @param after the finished mass; where it ends by eye, at the middle of the moisture claimed
 * @param leastGrams finished mass at the least moisture claimed
 * @param greatestGrams finished mass at the greatest moisture claimed, and with the most of what goes in to effect
 * @param moistureKnown false where it ends by eye and nobody has said how moist it is
 * @param density of the finished mass at 20 °C, with its air and the pores of what keeps them
 * @param bulk the same as an ingredient of another formula has it
 * @param freeWater how free its water is
 */
public record FormulaBalance(
        Composition before,
        Composition pot,
        FormulaPots pots,
        Optional<Cook> cook,
        Composition after,
        double leastGrams,
        double greatestGrams,
        boolean moistureKnown,
        Density density,
        Bulk bulk,
        FreeWater freeWater) {

    /**
     * Balances a formula whose lines have been checked.
     *
     * @param pressureKpa this place's pressure
     * @throws InvalidInput if the stop lies below the first boiling point, or more water leaves than there is
     * @throws Refusal if the cook cannot be modelled
     */
    public static FormulaBalance of(Formula formula, IngredientTable ingredients, double pressureKpa) {
        FormulaBalance started = started(formula, ingredients, pressureKpa);
        boolean ranges = formula.lines().stream().anyMatch(l -> l.counts() && l.mostGrams() > l.grams());
        return ranges ? started.upTo(started(most(formula), ingredients, pressureKpa)) : started;
    }

    /** With the most that may be used of every line that goes in to effect. */
    private static Formula most(Formula formula) {
        return formula.withLines(formula.lines().stream()
                .map(l -> l.counts() ? l.withGrams(l.mostGrams()) : l)
                .toList());
    }

    /** The same, with the finished mass that it may come to. */
    private FormulaBalance upTo(FormulaBalance most) {
        return new FormulaBalance(
                before,
                pot,
                pots,
                cook,
                after,
                Math.min(leastGrams, most.leastGrams),
                Math.max(greatestGrams, most.greatestGrams),
                moistureKnown,
                density,
                bulk,
                freeWater);
    }

    private static FormulaBalance started(Formula formula, IngredientTable ingredients, double pressureKpa) {
        FormulaPots pots = FormulaPots.of(formula, ingredients, pressureKpa);
        Composition pot = pots.all();
        Composition later = later(formula, ingredients);
        Composition before = pot.plus(later);
        Optional<Cook> cook = formula.cooked()
                ? Optional.of(Cook.to(pots.main(), formula.stopCelsius(), pressureKpa))
                : Optional.empty();
        Composition cooked = cook.map(Cook::after)
                .map(c -> pots.second().map(s -> c.plus(s.cook().after())).orElse(c))
                .orElse(pot);
        Finish finish = formula.finish();
        double least = cooked.totalGrams();
        double greatest = least;
        boolean known = true;
        if (finish.byEye() && finish.moistureKnown()) {
            Composition dry = atMoisture(pot, finish.moistureLeast());
            Composition moist = atMoisture(pot, finish.moistureGreatest());
            least = dry.totalGrams();
            greatest = moist.totalGrams();
            cooked = pot.withWater((dry.waterGrams() + moist.waterGrams()) / 2);
        } else if (finish.byEye()) {
            known = false;
            least = pot.totalGrams() - pot.waterGrams();
        }
        Composition whole = cooked.plus(later);
        Composition after = baked(whole, before, finish.bakedLossFraction());
        double other = after.totalGrams() - cooked.totalGrams();
        Density density = density(formula, ingredients, after);
        return new FormulaBalance(
                before,
                pots.all(),
                pots,
                cook,
                after,
                least + other,
                greatest + other,
                known,
                density,
                bulk(density, after),
                FreeWater.of(formula, ingredients, after, known));
    }

    /**
     * Volumes add up: the mass without pores, and the pores of lines that are not boiled or baked, each (1/ρ with pores − 1/ρ
     * without) of its grams. What is baked has the pores usual in its family, until somebody writes the air that it really holds.
     */
    private static Density density(Formula formula, IngredientTable ingredients, Composition after) {
        Finish finish = formula.finish();
        Optional<Density> baked = formula.family().baked();
        if (baked.isPresent() && finish.bakedLossFraction() > 0 && finish.overrunFraction() == 0) {
            return baked.get();
        }
        double solid = after.totalGrams() / Density.ofMass(after);
        double least = solid;
        double usual = solid;
        double greatest = solid;
        for (FormulaLine line : formula.lines()) {
            Ingredient ingredient = ingredients.get(line.ingredient());
            boolean keeps = ingredient.bulk().porous() && formula.keepsPores(line);
            if (line.counts() && keeps) {
                Density own = Density.of(ingredient);
                double without = 1 / Density.ofMass(ingredient.per100Grams());
                least += line.grams() * (1 / own.greatest() - without);
                usual += line.grams() * (1 / own.usual() - without);
                greatest += line.grams() * (1 / own.least() - without);
            }
        }
        double grams = after.totalGrams();
        return new Density(grams / greatest, grams / usual, grams / least).whipped(finish.overrunFraction());
    }

    private static Bulk bulk(Density density, Composition after) {
        return density.usual() < Density.ofMass(after) * (1 - 1e-9) ? Bulk.of(density.usual()) : Bulk.MASSIVE;
    }

    /** What goes in once the pot is off. */
    private static Composition later(Formula formula, IngredientTable ingredients) {
        Composition sum = Composition.NOTHING;
        for (FormulaLine line : formula.lines()) {
            if (line.counts() && line.role() != FormulaLine.Role.POT) {
                sum = sum.plus(ingredients.get(line.ingredient()).grams(line.grams()));
            }
        }
        return sum;
    }

    private static Composition atMoisture(Composition pot, double moisture) {
        double dry = pot.totalGrams() - pot.waterGrams();
        double raw = pot.waterGrams() / pot.totalGrams();
        double water = dry * moisture / (1 - moisture);
        if (water > pot.waterGrams()) {
            throw new InvalidInput(new Fault(
                    "moistureGreatest",
                    Numbers.plain(100 * moisture),
                    0.0,
                    100 * raw,
                    "%",
                    "%s is more than the %s of water that goes into the pot."
                            .formatted(Say.percent(100 * moisture), Say.percent(100 * raw, 1))));
        }
        return pot.withWater(water);
    }

    private static Composition baked(Composition whole, Composition before, double lossFraction) {
        double lost = lossFraction * before.totalGrams();
        if (lost > whole.waterGrams() + 1e-9) {
            double most = whole.waterGrams() / before.totalGrams();
            throw new InvalidInput(new Fault(
                    "bakedLossFraction",
                    Numbers.plain(100 * lossFraction),
                    0.0,
                    100 * most,
                    "%",
                    "%s is more than all its water: %s."
                            .formatted(Say.percent(100 * lossFraction), Say.percent(100 * most, 1))));
        }
        return lost == 0 ? whole : whole.withWater(Math.max(0, whole.waterGrams() - lost));
    }

    /** Density of the finished mass as it is reckoned with. */
    public double densityGramsPerMl() {
        return density.usual();
    }

    /** Finished mass over everything weighed out. */
    public double yieldFraction() {
        return after.totalGrams() / before.totalGrams();
    }

    public double moistureFraction() {
        return after.waterGrams() / after.totalGrams();
    }

    /** Fat over finished mass. */
    public double fatFraction() {
        return after.grams(Part::isFat) / after.totalGrams();
    }
}

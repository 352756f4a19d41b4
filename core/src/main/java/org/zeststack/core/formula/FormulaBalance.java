package org.zeststack.core.formula;

import java.util.Optional;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.heat.ChoiOkos;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.water.Solution;
import org.zeststack.core.water.WaterActivity;

/**
 * A formula before and after cooking.
 *
 * @param before everything weighed out
 * @param pot what goes into the pot; empty mass for an uncooked formula
 * @param cook the cook at sea-level target and this place's pressure; empty for an uncooked formula
 * @param after the finished mass
 * @param densityGramsPerMl of the finished mass at 20 °C, without air
 * @param activity water activity at 25 °C; empty where refused
 * @param activityRefused why there is no water activity; empty where there is one
 */
public record FormulaBalance(
        Composition before,
        Composition pot,
        Optional<Cook> cook,
        Composition after,
        double densityGramsPerMl,
        Optional<WaterActivity> activity,
        String activityRefused) {

    private static final double ROOM_CELSIUS = 20;

    /**
     * Balances a formula whose lines have been checked.
     *
     * @param pressureKpa this place's pressure
     * @throws org.zeststack.core.quantity.InvalidInput if the stop lies below the first boiling point
     * @throws Refusal if the cook cannot be modelled
     */
    public static FormulaBalance of(Formula formula, IngredientTable ingredients, double pressureKpa) {
        Composition pot = sum(formula, ingredients, FormulaLine.Role.POT);
        Composition offHeat = sum(formula, ingredients, FormulaLine.Role.OFF_HEAT);
        Optional<Cook> cook =
                formula.cooked() ? Optional.of(Cook.to(pot, formula.stopCelsius(), pressureKpa)) : Optional.empty();
        Composition after = cook.map(Cook::after).orElse(pot).plus(offHeat);
        double density = ChoiOkos.densityGramsPerMl(after, ROOM_CELSIUS);
        try {
            Optional<WaterActivity> activity = Optional.of(WaterActivity.at25(Solution.in(after)));
            return new FormulaBalance(pot.plus(offHeat), pot, cook, after, density, activity, "");
        } catch (Refusal refusal) {
            return new FormulaBalance(
                    pot.plus(offHeat), pot, cook, after, density, Optional.empty(), refusal.getMessage());
        }
    }

    private static Composition sum(Formula formula, IngredientTable ingredients, FormulaLine.Role role) {
        return formula.lines().stream()
                .filter(line -> line.role() == role)
                .map(line -> ingredients.get(line.ingredient()).grams(line.grams()))
                .reduce(Composition.NOTHING, Composition::plus);
    }

    /** Finished mass over everything weighed out. */
    public double yieldFraction() {
        return after.totalGrams() / before.totalGrams();
    }

    public double moistureFraction() {
        return after.waterGrams() / after.totalGrams();
    }
}

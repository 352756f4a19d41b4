package org.zeststack.core.formula;

import java.util.List;
import java.util.Optional;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.water.Solution;
import org.zeststack.core.water.WaterActivity;

/**
 * How free the water of a finished mass is. What it is made of decides, never what it is called: water that its dry goods brought
 * with them is as free as in those, typically; where there is more, there is a solution.
 *
 * @param solution water activity at 25 °C of the solution in it; empty where there is none or it is not modelled
 * @param typical water activity of the dry goods that hold all of its water, 0 to 1; empty where they do not
 * @param refused why there is none; empty where there is one
 * @param moistureKnown false where nobody has said how much water is in it at all
 */
public record FreeWater(
        Optional<WaterActivity> solution, Optional<Double> typical, String refused, boolean moistureKnown) {

    /** Of what came dry from the oven and was not measured (common practice, no source). */
    private static final double BAKED = 0.25;

    /** Water activity up to which what dry goods hold grows straight with it, nearly (common practice, no source). */
    private static final double STRAIGHT = 0.6;

    /** Share of the water of all dry goods from which one of them decides how free it is: sugar brings next to none. */
    private static final double DECIDES = 0.1;

    private static final Bound DRY_MASS = Bounds.shipped().of("dry-mass");
    private static final Bound KEEPS_CLEAR = Bounds.shipped().of("keeps-clear");

    private static FreeWater unknown(String why, boolean moistureKnown) {
        return new FreeWater(Optional.empty(), Optional.empty(), why, moistureKnown);
    }

    private static FreeWater typical(double activity) {
        return new FreeWater(Optional.empty(), Optional.of(activity), "", true);
    }

    /** A water activity that the solution in it has. */
    public static FreeWater of(WaterActivity activity) {
        return new FreeWater(Optional.of(activity), Optional.empty(), "", true);
    }

    /**
     * Of a mass that nobody boiled: where too little syrup and invert sugar keeps its sucrose dissolved, what is beyond saturation
     * lies in crystals.
     */
    public static FreeWater in(Composition mass) {
        double clear = mass.grams(Part.SYRUP_SOLIDS) + mass.grams(Part.GLUCOSE) + mass.grams(Part.FRUCTOSE);
        return in(mass, clear < KEEPS_CLEAR.least() * mass.grams(Part.SUCROSE));
    }

    private static FreeWater in(Composition mass, boolean crystals) {
        if (mass.waterGrams() < DRY_MASS.least() * mass.totalGrams()) {
            return unknown(
                    "Less than %s water: a dry or fat mass, which wants a measured water activity."
                            .formatted(DRY_MASS.leastWords()),
                    true);
        }
        try {
            return of(WaterActivity.at25(crystals ? Solution.saturated(mass) : Solution.in(mass)));
        } catch (Refusal refusal) {
            return unknown(refusal.getMessage(), true);
        }
    }

    /**
     * Of a finished formula.
     *
     * @param after the finished mass
     */
    static FreeWater of(Formula formula, IngredientTable ingredients, Composition after, boolean moistureKnown) {
        boolean oven = formula.family().baked().isPresent();
        boolean baked = formula.finish().bakedLossFraction() > 0;
        if (oven && !baked && after.waterGrams() >= DRY_MASS.least() * after.totalGrams()) {
            return unknown("It is baked, and nobody has said what it loses in the oven.", false);
        }
        if (!moistureKnown) {
            return unknown("It ends by eye and its moisture is not known: weigh the pot when done.", false);
        }
        DryGoods dry = DryGoods.in(formula, ingredients);
        if (!dry.unknown.isEmpty()) {
            return unknown("Nobody knows how moist %s is.".formatted(dry.unknown), false);
        }
        double activity = dry.activity(after.waterGrams());
        if (activity > 0 && activity <= STRAIGHT) {
            return typical(baked ? Math.max(BAKED, activity) : activity);
        }
        boolean grain = formula.family().kind() == Family.Kind.KNEADED
                || formula.family().kind() == Family.Kind.FONDANT;
        return formula.boiled() || grain ? in(after, grain) : in(after);
    }

    /** The water activity, 0 to 1. */
    public Optional<Double> ratio() {
        return solution.map(WaterActivity::ratio).or(() -> typical);
    }

    /**
     * What holds its own water in a formula: dry goods that are not boiled.
     *
     * @param waterGrams that they bring
     * @param ownActivity of the wettest; 0 where there are none
     * @param boundGrams water of all else that holds next to none, such as couverture
     * @param unknown the name of something in it of which nobody knows how moist it is; empty where there is none
     */
    private record DryGoods(double waterGrams, double ownActivity, double boundGrams, String unknown) {

        static DryGoods in(Formula formula, IngredientTable ingredients) {
            List<DryGoods> all = formula.lines().stream()
                    .filter(FormulaLine::counts)
                    .map(line -> of(formula, line, ingredients.get(line.ingredient())))
                    .toList();
            double water = all.stream().mapToDouble(DryGoods::waterGrams).sum();
            return new DryGoods(
                    water,
                    all.stream()
                            .filter(d -> d.waterGrams >= DECIDES * water)
                            .mapToDouble(DryGoods::ownActivity)
                            .max()
                            .orElse(0),
                    all.stream().mapToDouble(DryGoods::boundGrams).sum(),
                    all.stream()
                            .map(DryGoods::unknown)
                            .filter(name -> !name.isEmpty())
                            .findFirst()
                            .orElse(""));
        }

        private static DryGoods of(Formula formula, FormulaLine line, Ingredient of) {
            boolean boiled = formula.boiled() && line.role() == FormulaLine.Role.POT;
            double water = of.grams(line.grams()).waterGrams();
            if (of.dryActivity() > 0 && !boiled) {
                return new DryGoods(water, of.dryActivity(), 0, "");
            }
            boolean next = !boiled && water < DRY_MASS.least() * line.grams();
            return new DryGoods(0, 0, next ? water : 0, of.moistureUnknown() ? of.name() : "");
        }

        /** With so much water in all: as many times as free as they are by themselves as they hold more or less of it. */
        double activity(double allGrams) {
            return waterGrams == 0 ? 0 : ownActivity * Math.max(0, allGrams - boundGrams) / waterGrams;
        }
    }
}

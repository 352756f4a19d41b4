package org.zeststack.core.formula;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Nutrition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Nature;

/**
 * What a finished formula is made of, beyond its water.
 *
 * @param per100Grams nutrition panel of the finished mass; before cooking where the moisture is not known
 * @param sodiumPer100Grams sodium that is not in its salt
 * @param sweetness relative to the same mass of sucrose
 * @param liquidFatFraction share of the fat that is liquid at 20 °C; 0 without fat
 * @param allergens of all lines that count, in order of the alphabet
 * @param gramsOf by what its ingredients are to the rules that judge, as written
 * @param risks of its ingredients that no cooking takes away
 * @param cost of the whole formula as written, in the workshop's money; the lines without a price are left out
 * @param unpriced names of the ingredients without a price
 * @param cautions of the ingredients, by ingredient name
 * @param grain porous grain that is not boiled, and what binds it
 */
public record Makeup(
        Nutrition per100Grams,
        double sodiumPer100Grams,
        double sweetness,
        double liquidFatFraction,
        List<String> allergens,
        Map<Nature.Kind, Double> gramsOf,
        Set<Nature.Risk> risks,
        double cost,
        List<String> unpriced,
        Map<String, String> cautions,
        Grain grain) {

    /**
     * Grain in a binder.
     *
     * @param looseMl room that the grain takes when it lies loose: its pieces fill 0.6 of that (common practice, no source)
     * @param binderGrams everything else of the finished mass
     * @param binderMl room that this takes without air
     * @param meltedGrams grain that stands in the pot, where it becomes part of the binder
     */
    public record Grain(double grams, double looseMl, double binderGrams, double binderMl, double meltedGrams) {

        public static final Grain NONE = new Grain(0, 0, 0, 0, 0);

        /** Share of the room between the pieces that the binder fills; more than 1 where it carries them. */
        public double filled() {
            return binderMl / ((1 - Density.PACKING) * looseMl);
        }
    }

    private static Grain grain(Formula formula, FormulaBalance balance, IngredientTable table) {
        double grams = 0;
        double loose = 0;
        double melted = 0;
        for (FormulaLine line : formula.lines()) {
            Ingredient of = table.get(line.ingredient());
            if (!line.counts() || !of.bulk().porous()) {
                continue;
            }
            if (!formula.keepsPores(line)) {
                melted += UsualPlace.isGrain(of) ? line.grams() : 0;
            } else {
                grams += line.grams();
                loose += line.grams() / Density.of(of).usual() / Density.PACKING;
            }
        }
        double rest = Math.max(0, balance.after().totalGrams() - grams);
        return new Grain(
                grams, loose, grams == 0 ? 0 : rest, grams == 0 ? 0 : rest / Density.ofMass(balance.after()), melted);
    }

    /**
     * The make-up of a balanced formula.
     *
     * @param pricePerKg prices by slug; an absent one is told
     */
    public static Makeup of(
            Formula formula, FormulaBalance balance, IngredientTable table, Map<String, Double> pricePerKg) {
        double saturates = 0;
        double liquid = 0;
        double sodium = 0;
        double cost = 0;
        TreeSet<String> allergens = new TreeSet<>();
        EnumMap<Nature.Kind, Double> kinds = new EnumMap<>(Nature.Kind.class);
        EnumSet<Nature.Risk> risks = EnumSet.noneOf(Nature.Risk.class);
        TreeSet<String> unpriced = new TreeSet<>();
        Map<String, String> cautions = new TreeMap<>();
        for (FormulaLine line : formula.lines()) {
            if (!line.counts()) {
                continue;
            }
            Ingredient ingredient = table.get(line.ingredient());
            saturates += line.grams() / 100 * ingredient.saturatesPer100Grams();
            sodium += line.grams() / 100 * ingredient.sodiumPer100Grams();
            liquid += line.grams() / 100 * ingredient.liquidFatPer100Grams();
            allergens.addAll(ingredient.allergens());
            kinds.merge(ingredient.nature().kind(), line.grams(), Double::sum);
            if (ingredient.nature().is(Nature.Risk.INFANTS)) {
                risks.add(Nature.Risk.INFANTS);
            }
            if (!ingredient.caution().isEmpty()) {
                cautions.put(ingredient.name(), ingredient.caution());
            }
            Double price = pricePerKg.get(line.ingredient());
            if (price == null) {
                unpriced.add(ingredient.name());
            } else {
                cost += price * line.grams() / 1000;
            }
        }
        Composition after = balance.after();
        double fat = after.grams(Part::isFat);
        return new Makeup(
                Nutrition.of(after, saturates, sodium),
                100 * sodium / after.totalGrams(),
                Nutrition.sweetness(after),
                fat > 0 ? Math.min(1, liquid / fat) : 0,
                List.copyOf(allergens),
                Map.copyOf(kinds),
                Set.copyOf(risks),
                cost,
                List.copyOf(unpriced),
                cautions,
                grain(formula, balance, table));
    }

    /** Grams of ingredients of a kind, as written. */
    public double grams(Nature.Kind kind) {
        return gramsOf.getOrDefault(kind, 0.0);
    }
}

package org.zeststack.core.household;

import java.util.List;
import org.zeststack.core.composition.Part;
import org.zeststack.core.heat.ChoiOkos;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Say;

/**
 * Grams of an amount of an ingredient: by its household weights, else by its density. What is taken without being certain is
 * added to the guesses of the line.
 */
final class Weigher {

    /** What sifting before measuring takes from a cup (common practice, no source). */
    private static final double SIFTED_FIRST = 0.92;

    /** Water and alcohol in 100 g above which an ingredient is poured. */
    private static final double MOSTLY_WET = 50;

    private final Measures measures;
    private final List<String> guesses;

    Weigher(Measures measures, List<String> guesses) {
        this.measures = measures;
        this.guesses = guesses;
    }

    /**
     * Grams, or null where they are not known.
     *
     * @param ingredient null where it is not known: then only masses have grams
     */
    Double grams(Measured measured, Ingredient ingredient, boolean siftedFirst) {
        if (measured.isMass()) {
            boolean poured = ingredient != null
                    && isWet(ingredient)
                    && ingredient.household().containsKey("cup");
            if (measured.unit() == Unit.OUNCE && poured) {
                guesses.add("ounces by weight; fluid ounces would be a little different");
            }
            return measured.massGrams();
        }
        if (ingredient == null) {
            return null;
        }
        return measured.isVolume() ? volume(measured, ingredient, siftedFirst) : pieces(measured, ingredient);
    }

    private Double volume(Measured measured, Ingredient ingredient, boolean siftedFirst) {
        double millilitres = measured.amount() * measured.factor() * measures.millilitres(measured.unit());
        switch (measured.unit()) {
            case PINCH, DASH, SMIDGEN, DROP, DESSERTSPOON ->
                guesses.add("a %s taken as %s mL"
                        .formatted(measured.unit().word(), rounded(measures.millilitres(measured.unit()))));
            default -> {}
        }
        if (measured.unit() == Unit.DROP && ingredient.household().containsKey("drop")) {
            return measured.amount() * ingredient.household().get("drop").grams();
        }
        double perMl = gramsPerMl(measured.unit(), ingredient);
        if (Double.isNaN(perMl)) {
            return null;
        }
        if (siftedFirst && measured.unit() == Unit.CUP) {
            guesses.add("sifted before measuring: taken as 8 % lighter");
            perMl *= SIFTED_FIRST;
        }
        return millilitres * perMl;
    }

    private double gramsPerMl(Unit unit, Ingredient ingredient) {
        var household = ingredient.household();
        boolean spoon = unit == Unit.TEASPOON || unit == Unit.PINCH || unit == Unit.DASH || unit == Unit.SMIDGEN;
        List<String> order = spoon
                ? List.of("tsp", "tbsp", "cup")
                : unit == Unit.TABLESPOON ? List.of("tbsp", "cup", "tsp") : List.of("cup", "tbsp", "tsp");
        for (String measure : order) {
            if (household.containsKey(measure)) {
                if (household.get(measure).guess()) {
                    guesses.add("the weight of this measure varies");
                }
                return household.get(measure).grams() / tableMl(measure);
            }
        }
        return byDensity(unit, ingredient);
    }

    private double byDensity(Unit unit, Ingredient ingredient) {
        if (ingredient.densityGramsPerMl() > 0) {
            guesses.add("no measured cup: reckoned with %s"
                    .formatted(Say.of(ingredient.densityGramsPerMl(), Measure.GRAMS_PER_MILLILITRE)));
            return ingredient.densityGramsPerMl();
        }
        if (isWet(ingredient)) {
            double density = ChoiOkos.densityGramsPerMl(ingredient.per100Grams(), 20);
            guesses.add("no measured cup: reckoned with %s from the composition"
                    .formatted(Say.of(density, 2, Measure.GRAMS_PER_MILLILITRE)));
            return density;
        }
        guesses.add("no weight known for a %s of %s: write grams".formatted(unit.word(), ingredient.name()));
        return Double.NaN;
    }

    private static double tableMl(String measure) {
        return switch (measure) {
            case "tsp" -> Measures.TABLE_TEASPOON_ML;
            case "tbsp" -> Measures.TABLE_SPOON_ML;
            default -> Measures.TABLE_CUP_ML;
        };
    }

    private Double pieces(Measured measured, Ingredient ingredient) {
        var household = ingredient.household();
        String measure = measured.unit() == null ? "piece" : measured.unit().measure();
        if (!household.containsKey(measure) && measured.unit() == null && household.containsKey("sheet")) {
            measure = "sheet";
        }
        if (measured.unit() == Unit.VAGUE) {
            guesses.add("no measure is written: write grams");
            return null;
        }
        if (!household.containsKey(measure)) {
            guesses.add(
                    measured.unit() == null
                            ? "no unit is written, and no weight of one piece of %s is known"
                                    .formatted(ingredient.name())
                            : "no weight known for a %s of %s: write grams"
                                    .formatted(measured.unit().word(), ingredient.name()));
            return null;
        }
        Ingredient.Measure weight = household.get(measure);
        // Only a stick of butter is a measure; pieces, tins and sachets differ, whatever is usual.
        if (measured.unit() != Unit.STICK || weight.guess()) {
            guesses.add("one %s taken as %s".formatted(measure, Say.grams(weight.grams())));
        }
        return measured.amount() * weight.grams();
    }

    private static boolean isWet(Ingredient ingredient) {
        double wet =
                ingredient.per100Grams().waterGrams() + ingredient.per100Grams().grams(Part.ALCOHOL);
        return wet > MOSTLY_WET;
    }

    /** A number with at most three decimals. */
    static String rounded(double value) {
        return Numbers.plain(Math.round(value * 1000) / 1000.0);
    }
}

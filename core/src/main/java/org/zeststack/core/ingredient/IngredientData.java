package org.zeststack.core.ingredient;

import java.util.List;
import java.util.Map;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.temper.TemperWindow;

/**
 * An ingredient as plain data, the form in which it is kept and in which it travels; the composition as grams by part in
 * 100 g. The other components are those of {@link Ingredient}.
 */
public record IngredientData(
        String slug,
        String name,
        Map<Part, Double> gramsIn100,
        double dextroseEquivalent,
        double saturates,
        double liquidFat,
        Double sodium,
        String couverture,
        Nature nature,
        double densityGramsPerMl,
        Bulk bulk,
        double dryActivity,
        Double wetActivity,
        Map<String, Ingredient.Measure> household,
        List<String> also,
        List<String> allergens,
        Ingredient.Basis basis,
        Map<Part, Double> plusMinus,
        String caution,
        String note,
        TemperWindow.Limits windows) {

    public IngredientData {
        couverture = couverture == null ? "" : couverture;
        nature = nature == null ? Nature.PLAIN : nature;
        sodium = sodium == null ? Double.valueOf(0) : sodium;
        wetActivity = wetActivity == null ? Double.valueOf(0) : wetActivity;
        bulk = bulk == null ? Bulk.MASSIVE : bulk;
        household = household == null ? Map.of() : household;
        also = also == null ? List.of() : also;
        allergens = allergens == null ? List.of() : allergens;
        basis = basis == null ? Ingredient.Basis.SHEET : basis;
        plusMinus = plusMinus == null ? Map.of() : plusMinus;
        caution = caution == null ? "" : caution;
        note = note == null ? "" : note;
    }

    public static IngredientData of(Ingredient i) {
        return new IngredientData(
                i.slug(),
                i.name(),
                i.per100Grams().byPart(),
                i.per100Grams().dextroseEquivalent(),
                i.saturatesPer100Grams(),
                i.liquidFatPer100Grams(),
                i.sodiumPer100Grams(),
                i.couverture(),
                i.nature(),
                i.densityGramsPerMl(),
                i.bulk(),
                i.dryActivity(),
                i.wetActivity(),
                i.household(),
                i.also(),
                i.allergens(),
                i.basis(),
                i.plusMinus(),
                i.caution(),
                i.note(),
                i.windows());
    }

    /** The ingredient; not yet checked. */
    public Ingredient ingredient() {
        return new Ingredient(
                slug,
                name,
                Composition.of(gramsIn100, dextroseEquivalent),
                saturates,
                liquidFat,
                sodium,
                couverture,
                nature,
                densityGramsPerMl,
                bulk,
                dryActivity,
                wetActivity,
                household,
                also,
                allergens,
                basis,
                plusMinus,
                caution,
                note,
                windows);
    }
}

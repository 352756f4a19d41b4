package org.zeststack.store.ingredient;

import java.util.List;
import java.util.Map;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Ingredient;

/** An ingredient as it stands in the database: its composition as grams by part. */
record StoredIngredient(
        String slug,
        String name,
        Map<Part, Double> parts,
        double dextroseEquivalent,
        double saturates,
        double liquidFat,
        String couverture,
        double density,
        double dryActivity,
        Map<String, Ingredient.Measure> household,
        List<String> also,
        List<String> allergens,
        Ingredient.Basis basis,
        Map<Part, Double> plusMinus,
        String caution,
        String note) {

    static StoredIngredient of(Ingredient i) {
        return new StoredIngredient(
                i.slug(),
                i.name(),
                i.per100Grams().byPart(),
                i.per100Grams().dextroseEquivalent(),
                i.saturatesPer100Grams(),
                i.liquidFatPer100Grams(),
                i.couverture(),
                i.densityGramsPerMl(),
                i.dryActivity(),
                i.household(),
                i.also(),
                i.allergens(),
                i.basis(),
                i.plusMinus(),
                i.caution(),
                i.note());
    }

    Ingredient ingredient() {
        return new Ingredient(
                slug,
                name,
                Composition.of(parts, dextroseEquivalent),
                saturates,
                liquidFat,
                couverture,
                density,
                dryActivity,
                household,
                also,
                allergens,
                basis,
                plusMinus,
                caution,
                note);
    }
}

package org.zeststack.core.ingredient;

import java.util.List;
import org.zeststack.core.composition.Composition;

/**
 * An ingredient and what it is made of.
 *
 * @param slug stable short name used in formulas and interfaces
 * @param name the trade's name
 * @param per100Grams composition of 100 g; adds up to 100 ± 1
 * @param couverture kind of couverture (dark, milk, white, blond, ruby), empty for everything else
 * @param densityGramsPerMl set density where the ingredient carries its own; 0 where it follows from composition
 * @param allergens allergens it brings, by name
 * @param note what a person must know, for example that a value is typical from memory
 */
public record Ingredient(
        String slug,
        String name,
        Composition per100Grams,
        String couverture,
        double densityGramsPerMl,
        List<String> allergens,
        String note) {

    public Ingredient {
        allergens = List.copyOf(allergens);
    }

    public boolean isCouverture() {
        return !couverture.isEmpty();
    }

    /** What {@code grams} of it are made of. */
    public Composition grams(double grams) {
        return per100Grams.times(grams / per100Grams.totalGrams());
    }
}

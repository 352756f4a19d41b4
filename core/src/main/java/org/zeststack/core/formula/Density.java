package org.zeststack.core.formula;

import org.zeststack.core.composition.Composition;
import org.zeststack.core.heat.ChoiOkos;
import org.zeststack.core.ingredient.Ingredient;

/**
 * Density of a piece with its pores at 20 °C, g/mL, and how far it may be off; the three are one where it is known.
 *
 * @param usual what is reckoned with
 */
public record Density(double least, double usual, double greatest) {

    private static final double ROOM_CELSIUS = 20;
    private static final double CUP_ML = 236.588;

    /** Share of a cup that loose porous pieces fill, and how far off that may be (common practice, no source). */
    static final double PACKING = 0.6;

    private static final double PACKING_OFF = 0.25;

    /** A porous thing of which nothing is known: from puffed grain to a dense biscuit (common practice, no source). */
    private static final Density UNKNOWN = new Density(0.1, 0.35, 0.8);

    public static Density exactly(double gramsPerMl) {
        return new Density(gramsPerMl, gramsPerMl, gramsPerMl);
    }

    public boolean known() {
        return least == greatest;
    }

    /** Of an ingredient: its own figure; a porous one's by its piece, else by its measured cup, else hardly known. */
    public static Density of(Ingredient ingredient) {
        if (!ingredient.bulk().porous()) {
            return exactly(solid(ingredient));
        }
        if (ingredient.bulk().known()) {
            return exactly(ingredient.bulk().gramsPerMl());
        }
        Ingredient.Measure cup = ingredient.household().get("cup");
        if (cup == null) {
            return UNKNOWN;
        }
        double piece = cup.grams() / CUP_ML / PACKING;
        return new Density(piece * (1 - PACKING_OFF), piece, piece * (1 + PACKING_OFF));
    }

    /** Density of what an ingredient is made of, without pores. */
    static double solid(Ingredient ingredient) {
        return ingredient.densityGramsPerMl() > 0 ? ingredient.densityGramsPerMl() : ofMass(ingredient.per100Grams());
    }

    static double ofMass(Composition mass) {
        return ChoiOkos.densityGramsPerMl(mass, ROOM_CELSIUS);
    }

    /** With air whipped in: volume of air over volume without. */
    Density whipped(double overrun) {
        return new Density(least / (1 + overrun), usual / (1 + overrun), greatest / (1 + overrun));
    }
}

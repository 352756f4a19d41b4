package org.zeststack.core.composition;

/**
 * What a nutrition panel says of a mass, per 100 g.
 *
 * <p>Energy by Regulation (EU) 1169/2011, Annex XIV, kJ and kcal per g: fat 37/9, carbohydrate 17/4, polyols 10/2.4,
 * protein 17/4, alcohol 29/7, organic acids 13/3, fibre 8/2 (values from memory). Dry non-fat cocoa is taken as 23 %
 * protein, 40 % fibre, 20 % carbohydrate, 4 % acids (value from memory).
 *
 * @param kilojoules energy, kJ
 * @param kilocalories energy, kcal
 * @param carbohydrate without fibre and with polyols, g
 * @param sugars mono- and disaccharides, g
 * @param salt all sodium × 2.5, g: what was added as salt and what milk, egg or soda bring
 */
public record Nutrition(
        double kilojoules,
        double kilocalories,
        double fat,
        double saturates,
        double carbohydrate,
        double sugars,
        double polyols,
        double fibre,
        double protein,
        double salt) {

    /** Salt that a panel counts for sodium, Regulation (EU) 1169/2011, Annex I. */
    private static final double SALT_OF_SODIUM = 2.5;

    private static final double COCOA_PROTEIN = 0.23;
    private static final double COCOA_FIBRE = 0.40;
    private static final double COCOA_CARBOHYDRATE = 0.20;
    private static final double COCOA_ACIDS = 0.04;

    /** Mono- and disaccharides in the dry solids of a syrup of a dextrose equivalent: about DE percent up to 98. */
    private static double syrupSugars(Composition mass) {
        return mass.grams(Part.SYRUP_SOLIDS) * Math.min(1, mass.dextroseEquivalent() / 100);
    }

    /**
     * The panel of a mass.
     *
     * @param saturatesGrams saturates in the whole mass
     * @param sodiumGrams sodium in the whole mass that is not in its salt
     * @throws IllegalArgumentException for an empty mass
     */
    public static Nutrition of(Composition mass, double saturatesGrams, double sodiumGrams) {
        double total = mass.totalGrams();
        if (!(total > 0)) {
            throw new IllegalArgumentException("an empty mass has no nutrition panel");
        }
        double cocoa = mass.grams(Part.NONFAT_COCOA);
        double fat = mass.grams(Part::isFat);
        double sugars = sugars(mass);
        double polyols = mass.grams(Part.POLYOLS) + mass.grams(Part.GLYCEROL) + mass.grams(Part.ISOMALT);
        double starches = mass.grams(Part.STARCH) + mass.grams(Part.SYRUP_SOLIDS) - syrupSugars(mass);
        double carbohydrate = sugars + starches + COCOA_CARBOHYDRATE * cocoa;
        double fibre = mass.grams(Part.FIBRE) + COCOA_FIBRE * cocoa;
        double protein = mass.grams(Part.PROTEIN) + COCOA_PROTEIN * cocoa;
        double acids = mass.grams(Part.ACIDS) + COCOA_ACIDS * cocoa;
        double alcohol = mass.grams(Part.ALCOHOL);
        double kj = 37 * fat + 17 * (carbohydrate + protein) + 10 * polyols + 29 * alcohol + 13 * acids + 8 * fibre;
        double kcal = 9 * fat + 4 * (carbohydrate + protein) + 2.4 * polyols + 7 * alcohol + 3 * acids + 2 * fibre;
        double per = 100 / total;
        return new Nutrition(
                kj * per,
                kcal * per,
                fat * per,
                saturatesGrams * per,
                (carbohydrate + polyols) * per,
                sugars * per,
                polyols * per,
                fibre * per,
                protein * per,
                (mass.grams(Part.SALT) + SALT_OF_SODIUM * sodiumGrams) * per);
    }

    /** Grams of sugars as a panel counts them. */
    public static double sugars(Composition mass) {
        return mass.grams(Part.SUCROSE)
                + mass.grams(Part.GLUCOSE)
                + mass.grams(Part.FRUCTOSE)
                + mass.grams(Part.LACTOSE)
                + mass.grams(Part.MALTOSE)
                + syrupSugars(mass);
    }

    /**
     * Sweetness relative to the same mass of sucrose: sucrose 1, glucose 0.7, fructose 1.2, lactose 0.2, maltose 0.4, syrup
     * solids 0.1 + 0.8 DE/100, sorbitol and glycerol 0.6, isomalt 0.5 (commonly printed figures, from memory; tasters differ by a fifth).
     */
    public static double sweetness(Composition mass) {
        double syrup = 0.1 + 0.8 * mass.dextroseEquivalent() / 100;
        return (mass.grams(Part.SUCROSE)
                        + 0.7 * mass.grams(Part.GLUCOSE)
                        + 1.2 * mass.grams(Part.FRUCTOSE)
                        + 0.2 * mass.grams(Part.LACTOSE)
                        + 0.4 * mass.grams(Part.MALTOSE)
                        + syrup * mass.grams(Part.SYRUP_SOLIDS)
                        + 0.6 * (mass.grams(Part.POLYOLS) + mass.grams(Part.GLYCEROL))
                        + 0.5 * mass.grams(Part.ISOMALT))
                / mass.totalGrams();
    }
}

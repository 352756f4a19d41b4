package org.zeststack.core.heat;

import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Refusal;

/**
 * Density and heat capacity of a mass from its composition, Choi and Okos (1986; constants from memory). T in °C, −40 to
 * 150 as published; used here to 160.
 *
 * <p>Alcohol has no class there and is taken with 789 kg/m³ and 2.44 kJ/(kg K) (values from memory).
 */
public final class ChoiOkos {

    private enum Kind {
        PROTEIN(1329.9, -0.5184, 0, 2.0082, 1.2089e-3, -1.3129e-6),
        FAT(925.59, -0.41757, 0, 1.9842, 1.4733e-3, -4.8008e-6),
        CARBOHYDRATE(1599.1, -0.31046, 0, 1.5488, 1.9625e-3, -5.9399e-6),
        FIBRE(1311.5, -0.36589, 0, 1.8459, 1.8306e-3, -4.6509e-6),
        ASH(2423.8, -0.28063, 0, 1.0926, 1.8896e-3, -3.6817e-6),
        WATER(997.18, 0.0031439, -0.0037574, 4.1289, -9.0864e-5, 5.4731e-6),
        ALCOHOL(789, 0, 0, 2.44, 0, 0);

        private final double[] density;
        private final double[] capacity;

        Kind(double d0, double d1, double d2, double c0, double c1, double c2) {
            density = new double[] {d0, d1, d2};
            capacity = new double[] {c0, c1, c2};
        }

        private static double at(double[] c, double celsius) {
            return c[0] + c[1] * celsius + c[2] * celsius * celsius;
        }

        static Kind of(Part part) {
            return switch (part) {
                case WATER -> WATER;
                case PROTEIN -> PROTEIN;
                case COCOA_BUTTER, MILK_FAT, OTHER_FAT -> FAT;
                case FIBRE -> FIBRE;
                case SALT, ASH -> ASH;
                case ALCOHOL -> ALCOHOL;
                default -> CARBOHYDRATE;
            };
        }
    }

    private ChoiOkos() {}

    /**
     * Density in g/mL: 1/ρ = Σ w/ρᵢ.
     *
     * @throws Refusal for an empty mass
     */
    public static double densityGramsPerMl(Composition mass, double celsius) {
        double litresPerTonne = 0;
        for (var entry : mass.byPart().entrySet()) {
            litresPerTonne += entry.getValue() / Kind.at(Kind.of(entry.getKey()).density, celsius);
        }
        if (litresPerTonne == 0) {
            throw new Refusal("An empty mass has no density.");
        }
        return mass.totalGrams() / litresPerTonne / 1000;
    }

    /** Heat to warm the whole mass by one kelvin, kJ/K: Σ mᵢ cᵢ. */
    public static double kilojoulesPerKelvin(Composition mass, double celsius) {
        double sum = 0;
        for (var entry : mass.byPart().entrySet()) {
            sum += entry.getValue() / 1000 * Kind.at(Kind.of(entry.getKey()).capacity, celsius);
        }
        return sum;
    }

    /**
     * Heat of evaporation of water, kJ/kg: about 2256.5 − 2.72 (T − 100) between 80 and 140 °C (straight line through
     * steam-table values, from memory).
     */
    public static double evaporationKilojoulesPerKg(double celsius) {
        return 2256.5 - 2.72 * (celsius - 100);
    }
}

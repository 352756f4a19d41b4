package org.zeststack.core.weighing;

import org.zeststack.core.quantity.Range;

/** Packages of a declared weight under the average system: OIML R 87, Directive 76/211/EEC (values from memory). */
public final class AverageQuantity {

    public static final Range DECLARED_GRAMS = new Range(5, 10_000, "g");

    private AverageQuantity() {}

    /**
     * Tolerable deficiency T of one package: 9 % to 50 g, 4.5 g to 100 g, 4.5 % to 200 g, 9 g to 300 g, 3 % to 500 g, 15 g to
     * 1 kg, 1.5 % to 10 kg; percentages rounded up to 0.1 g.
     *
     * @param declaredGrams 5 to 10 000 g
     * @throws IllegalArgumentException outside that range
     */
    public static double tolerableDeficiencyGrams(double declaredGrams) {
        if (!DECLARED_GRAMS.holds(declaredGrams)) {
            throw new IllegalArgumentException(
                    "declared %s, permitted %s".formatted(declaredGrams, DECLARED_GRAMS.inWords()));
        }
        if (declaredGrams <= 50) {
            return up(0.09 * declaredGrams);
        }
        if (declaredGrams <= 100) {
            return 4.5;
        }
        if (declaredGrams <= 200) {
            return up(0.045 * declaredGrams);
        }
        if (declaredGrams <= 300) {
            return 9;
        }
        if (declaredGrams <= 500) {
            return up(0.03 * declaredGrams);
        }
        return declaredGrams <= 1000 ? 15 : up(0.015 * declaredGrams);
    }

    private static double up(double grams) {
        return Math.ceil(grams * 10 - 1e-9) / 10;
    }
}

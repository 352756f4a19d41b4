package org.zeststack.core.cavity;

/** The prismoidal formula, V = h (A₀ + 4 Aₘ + A₁) / 6, exact where the area is at most a cubic of the height. */
final class Prismoid {

    private static final double MM3_PER_ML = 1000;

    private Prismoid() {}

    static double ml(double area0Mm2, double areaMiddleMm2, double area1Mm2, double heightMm) {
        return heightMm * (area0Mm2 + 4 * areaMiddleMm2 + area1Mm2) / 6 / MM3_PER_ML;
    }
}

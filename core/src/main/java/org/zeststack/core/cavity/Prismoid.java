package org.zeststack.core.cavity;

/** The prismoidal formula, V = h (A₀ + 4 Aₘ + A₁) / 6, exact where length and width vary linearly with height. */
final class Prismoid {

    private static final double MM3_PER_ML = 1000;

    private Prismoid() {}

    static double ml(double length0Mm, double width0Mm, double length1Mm, double width1Mm, double heightMm) {
        double middle = (length0Mm + length1Mm) / 2 * (width0Mm + width1Mm) / 2;
        return heightMm * (length0Mm * width0Mm + 4 * middle + length1Mm * width1Mm) / 6 / MM3_PER_ML;
    }
}

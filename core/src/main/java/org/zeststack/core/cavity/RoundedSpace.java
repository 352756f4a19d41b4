package org.zeststack.core.cavity;

/**
 * The lower part of an ellipsoid with level axes a, b and upright axis c around a centre at or above the opening: half length
 * at height z is a √(1 − ((centre − z)/c)²). Its area is a quadratic of the height.
 */
record RoundedSpace(double aMm, double bMm, double cMm, double centreMm, double topMm) implements Hollow {

    @Override
    public double floorMm() {
        return centreMm - cMm;
    }

    @Override
    public Outline outline(double heightMm) {
        double up = (centreMm - heightMm) / cMm;
        double share = Math.sqrt(Math.max(0, 1 - up * up));
        return new Outline(Outline.Kind.ELLIPSE, 2 * aMm * share, 2 * bMm * share);
    }
}

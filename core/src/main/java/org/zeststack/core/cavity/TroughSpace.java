package org.zeststack.core.cavity;

/** A half-cylinder lying with its axis in the opening, with upright ends. */
record TroughSpace(double lengthMm, double radiusMm, double topMm) implements Hollow {

    private static final double MM3_PER_ML = 1000;

    @Override
    public double floorMm() {
        return topMm - radiusMm;
    }

    @Override
    public Outline outline(double heightMm) {
        double up = topMm - heightMm;
        double width = 2 * Math.sqrt(Math.max(0, radiusMm * radiusMm - up * up));
        return new Outline(Outline.Kind.RECTANGLE, lengthMm, width);
    }

    /** Exact: length times the area of the circle between two depths below its axis. */
    @Override
    public double volumeMl(double fromMm, double toMm) {
        return lengthMm * (aboveMm2(topMm - fromMm) - aboveMm2(topMm - toMm)) / MM3_PER_ML;
    }

    /** ∫₀ᵘ 2 √(R² − s²) ds = u √(R² − u²) + R² asin(u/R). */
    private double aboveMm2(double downMm) {
        double u = Math.max(-radiusMm, Math.min(radiusMm, downMm));
        return u * Math.sqrt(Math.max(0, radiusMm * radiusMm - u * u)) + radiusMm * radiusMm * Math.asin(u / radiusMm);
    }
}

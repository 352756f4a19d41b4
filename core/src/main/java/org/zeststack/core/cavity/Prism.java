package org.zeststack.core.cavity;

/** A space with upright walls and no top: what stands on a table, cut to an outline. */
public record Prism(Outline outline, double areaMm2) implements Hollow {

    private static final double MM3_PER_ML = 1000;
    private static final double NO_TOP_MM = 10_000;

    @Override
    public double floorMm() {
        return 0;
    }

    @Override
    public double topMm() {
        return NO_TOP_MM;
    }

    @Override
    public Outline outline(double heightMm) {
        return outline;
    }

    @Override
    public double areaMm2(double heightMm) {
        return areaMm2;
    }

    @Override
    public double volumeMl(double fromMm, double toMm) {
        return areaMm2 * (toMm - fromMm) / MM3_PER_ML;
    }

    @Override
    public double heightMm(double fromMm, double volumeMl) {
        return fromMm + Math.max(0, volumeMl) * MM3_PER_ML / areaMm2;
    }
}

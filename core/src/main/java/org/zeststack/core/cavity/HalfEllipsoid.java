package org.zeststack.core.cavity;

import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.quantity.Faults;

/**
 * The lower half of an ellipsoid. A surface at even distance inside it is no ellipsoid: its inside is taken as the ellipsoid that
 * holds as much as the body at even distance, V − S t + M t² − 4/3 π t³ (Steiner 1840), so that the shell weighs what a shell of
 * thickness t weighs. Its own thickness is then a little more at the ends of the axes and a little less between.
 *
 * @param lengthMm 5 to 400
 * @param widthMm 5 to 400
 * @param depthMm 2 to 100
 */
public record HalfEllipsoid(double lengthMm, double widthMm, double depthMm) implements Cavity {

    private static final int STEPS = 48;

    /**
     * @throws org.zeststack.core.quantity.InvalidInput naming every dimension at fault
     */
    public HalfEllipsoid {
        Faults faults = new Faults();
        faults.within("lengthMm", lengthMm, OPENING_MM);
        faults.within("widthMm", widthMm, OPENING_MM);
        faults.within("depthMm", depthMm, DEPTH_MM);
        faults.throwIfAny();
    }

    @Override
    public Hollow inside(double shellMm) {
        double less = evenMm(shellMm);
        return new RoundedSpace(lengthMm / 2 - less, widthMm / 2 - less, depthMm - less, depthMm, depthMm);
    }

    /** What the semi-axes lose so that the inside holds what the body at an even distance of {@code shellMm} holds. */
    private double evenMm(double shellMm) {
        double t = shellMm;
        double ellipsoid = ellipsoid(0);
        double even = ellipsoid - surface() * t + curvature() * t * t - 4 * Math.PI / 3 * t * t * t;
        double most = greatestShellMm();
        if (!(even > 0) || ellipsoid(t) <= 0 || (ellipsoid(0) - even) * (ellipsoid(most) - even) > 0) {
            return t;
        }
        return new BrentSolver(1e-10).solve(200, less -> ellipsoid(less) - even, 0, most);
    }

    private double ellipsoid(double less) {
        return 4 * Math.PI / 3 * (lengthMm / 2 - less) * (widthMm / 2 - less) * (depthMm - less);
    }

    /** Surface of the whole ellipsoid, over the directions of its parameters. */
    private double surface() {
        double a = lengthMm / 2;
        double b = widthMm / 2;
        double c = depthMm;
        return overDirections(
                (x, y, z) -> Math.sqrt(b * b * c * c * x * x + a * a * c * c * y * y + a * a * b * b * z * z));
    }

    /** Integral of its mean curvature: its half-widths over all directions. */
    private double curvature() {
        double a = lengthMm / 2;
        double b = widthMm / 2;
        double c = depthMm;
        return overDirections((x, y, z) -> Math.sqrt(a * a * x * x + b * b * y * y + c * c * z * z));
    }

    private interface OfDirection {
        double at(double x, double y, double z);
    }

    /** The integral over the unit sphere, by the midpoint rule over an eighth of it. */
    private static double overDirections(OfDirection of) {
        double sum = 0;
        for (int i = 0; i < STEPS; i++) {
            double z = (i + 0.5) / STEPS;
            double across = Math.sqrt(1 - z * z);
            for (int j = 0; j < STEPS; j++) {
                double angle = Math.PI / 2 * (j + 0.5) / STEPS;
                sum += of.at(across * Math.cos(angle), across * Math.sin(angle), z);
            }
        }
        return 8 * sum * Math.PI / 2 / STEPS / STEPS;
    }

    @Override
    public double greatestShellMm() {
        return Math.min(depthMm, Math.min(lengthMm, widthMm) / 2);
    }

    @Override
    public double draftDegrees() {
        return Double.NaN;
    }

    @Override
    public double floorEdgeMm() {
        return 0;
    }
}

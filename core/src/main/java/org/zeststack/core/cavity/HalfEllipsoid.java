package org.zeststack.core.cavity;

import org.zeststack.core.quantity.Faults;

/**
 * The lower half of an ellipsoid. Lined with t its semi-axes are taken as less t: an approximation, since a surface at even
 * distance from an ellipsoid is none; the shell is t thick at the ends of the axes and a little less between.
 *
 * @param lengthMm 5 to 400
 * @param widthMm 5 to 400
 * @param depthMm 2 to 100
 */
public record HalfEllipsoid(double lengthMm, double widthMm, double depthMm) implements Cavity {

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
        return new RoundedSpace(lengthMm / 2 - shellMm, widthMm / 2 - shellMm, depthMm - shellMm, depthMm, depthMm);
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

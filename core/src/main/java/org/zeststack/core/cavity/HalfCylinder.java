package org.zeststack.core.cavity;

import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * A half-cylinder lying on its round side, with upright ends. Lined with t it is a half-cylinder of radius − t and
 * length − 2 t, exactly.
 *
 * @param lengthMm 5 to 400
 * @param radiusMm 2 to 100; its depth
 */
public record HalfCylinder(double lengthMm, double radiusMm) implements Cavity {

    public static final Range RADIUS_MM = DEPTH_MM;

    /**
     * @throws org.zeststack.core.quantity.InvalidInput naming every dimension at fault
     */
    public HalfCylinder {
        Faults faults = new Faults();
        faults.within("lengthMm", lengthMm, OPENING_MM);
        faults.within("radiusMm", radiusMm, RADIUS_MM);
        faults.throwIfAny();
    }

    @Override
    public double depthMm() {
        return radiusMm;
    }

    @Override
    public Hollow inside(double shellMm) {
        return new TroughSpace(lengthMm - 2 * shellMm, radiusMm - shellMm, radiusMm);
    }

    @Override
    public double greatestShellMm() {
        return Math.min(radiusMm, lengthMm / 2);
    }

    /** Its ends are upright. */
    @Override
    public double draftDegrees() {
        return 0;
    }

    @Override
    public double floorEdgeMm() {
        return 0;
    }
}

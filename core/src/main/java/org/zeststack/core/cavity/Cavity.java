package org.zeststack.core.cavity;

import java.util.List;
import org.zeststack.core.quantity.Range;

/** A cavity of a mould, of any shape. All dimensions in mm; heights from its floor up. */
public sealed interface Cavity extends Hollow
        permits TaperedCavity, HalfCylinder, Dome, HalfEllipsoid, FrustumCavity, SegmentRow {

    Range OPENING_MM = new Range(5, 400, "mm");
    Range FLOOR_MM = new Range(1, 400, "mm");
    Range DEPTH_MM = new Range(2, 100, "mm");

    double depthMm();

    /** What is left inside a lining of even thickness; a lining of 0 leaves the cavity itself. */
    Hollow inside(double shellMm);

    /** The thickest shell that still leaves an inside, mm. */
    double greatestShellMm();

    /** Least angle of its walls against the upright, degrees; NaN where the walls are curved. */
    double draftDegrees();

    /** Length of the floor's edge that a rounding takes volume from, mm; 0 where it has none. */
    double floorEdgeMm();

    @Override
    default double floorMm() {
        return 0;
    }

    @Override
    default double topMm() {
        return depthMm();
    }

    @Override
    default Outline outline(double heightMm) {
        return inside(0).outline(heightMm);
    }

    @Override
    default List<Outline> undivided(double heightMm) {
        return inside(0).undivided(heightMm);
    }

    @Override
    default double areaMm2(double heightMm) {
        return inside(0).areaMm2(heightMm);
    }

    @Override
    default double volumeMl(double fromMm, double toMm) {
        return inside(0).volumeMl(fromMm, toMm);
    }

    /** This cavity lined with {@code shellMm} of couverture. */
    default LinedCavity lined(double shellMm) {
        return new LinedCavity(this, shellMm);
    }
}

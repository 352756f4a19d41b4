package org.zeststack.core.cavity;

import org.zeststack.core.quantity.Faults;

/**
 * A bar cavity with straight walls that lean outwards: a rectangle at the floor, a larger or equal one at the opening. Lined
 * with t, walls stand in by t √(1 + tan²θ) at constant height and the floor is raised by t. Volumes are exact.
 *
 * @param openingLengthMm 5 to 400
 * @param openingWidthMm 5 to 400
 * @param floorLengthMm 1 to the opening's length
 * @param floorWidthMm 1 to the opening's width
 * @param depthMm 2 to 100
 */
public record TaperedCavity(
        double openingLengthMm, double openingWidthMm, double floorLengthMm, double floorWidthMm, double depthMm)
        implements Cavity {

    /**
     * @throws org.zeststack.core.quantity.InvalidInput naming every dimension at fault
     */
    public TaperedCavity {
        Faults faults = new Faults();
        boolean length = faults.within("openingLengthMm", openingLengthMm, OPENING_MM);
        boolean width = faults.within("openingWidthMm", openingWidthMm, OPENING_MM);
        Walls.floor(faults, "floorLengthMm", floorLengthMm, length ? openingLengthMm : OPENING_MM.greatest());
        Walls.floor(faults, "floorWidthMm", floorWidthMm, width ? openingWidthMm : OPENING_MM.greatest());
        faults.within("depthMm", depthMm, DEPTH_MM);
        faults.throwIfAny();
    }

    @Override
    public Hollow inside(double shellMm) {
        return straight(shellMm);
    }

    StraightSpace straight(double shellMm) {
        return new StraightSpace(
                Outline.Kind.RECTANGLE,
                floorLengthMm - 2 * shellMm * Walls.secant(lengthRunMm(), depthMm),
                2 * lengthRunMm() / depthMm,
                floorWidthMm - 2 * shellMm * Walls.secant(widthRunMm(), depthMm),
                2 * widthRunMm() / depthMm,
                shellMm,
                depthMm);
    }

    private double lengthRunMm() {
        return (openingLengthMm - floorLengthMm) / 2;
    }

    private double widthRunMm() {
        return (openingWidthMm - floorWidthMm) / 2;
    }

    @Override
    public double greatestShellMm() {
        double byLength = Walls.closing(floorLengthMm, openingLengthMm, depthMm);
        double byWidth = Walls.closing(floorWidthMm, openingWidthMm, depthMm);
        return Math.min(depthMm, Math.min(byLength, byWidth));
    }

    @Override
    public double draftDegrees() {
        return Walls.degrees(Math.min(lengthRunMm(), widthRunMm()), depthMm);
    }

    @Override
    public double floorEdgeMm() {
        return 2 * (floorLengthMm + floorWidthMm);
    }
}

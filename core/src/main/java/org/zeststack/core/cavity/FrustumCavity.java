package org.zeststack.core.cavity;

import org.zeststack.core.quantity.Faults;

/**
 * A round or hexagonal cavity with straight walls. Lined as a tapered one; volumes are exact.
 *
 * @param hexagonal whether it has six flats, else it is round
 * @param openingWidthMm diameter or width across the flats at the opening, 5 to 400
 * @param floorWidthMm the same at the floor, 1 to the opening's
 * @param depthMm 2 to 100
 */
public record FrustumCavity(boolean hexagonal, double openingWidthMm, double floorWidthMm, double depthMm)
        implements Cavity {

    /**
     * @throws org.zeststack.core.quantity.InvalidInput naming every dimension at fault
     */
    public FrustumCavity {
        Faults faults = new Faults();
        boolean width = faults.within("openingWidthMm", openingWidthMm, OPENING_MM);
        Walls.floor(faults, "floorWidthMm", floorWidthMm, width ? openingWidthMm : OPENING_MM.greatest());
        faults.within("depthMm", depthMm, DEPTH_MM);
        faults.throwIfAny();
    }

    @Override
    public Hollow inside(double shellMm) {
        double floor = floorWidthMm - 2 * shellMm * Walls.secant(runMm(), depthMm);
        double gain = 2 * runMm() / depthMm;
        Outline.Kind kind = hexagonal ? Outline.Kind.HEXAGON : Outline.Kind.ELLIPSE;
        return new StraightSpace(kind, floor, gain, floor, gain, shellMm, depthMm);
    }

    private double runMm() {
        return (openingWidthMm - floorWidthMm) / 2;
    }

    @Override
    public double greatestShellMm() {
        return Math.min(depthMm, Walls.closing(floorWidthMm, openingWidthMm, depthMm));
    }

    @Override
    public double draftDegrees() {
        return Walls.degrees(runMm(), depthMm);
    }

    @Override
    public double floorEdgeMm() {
        return outline(0).perimeterMm();
    }
}

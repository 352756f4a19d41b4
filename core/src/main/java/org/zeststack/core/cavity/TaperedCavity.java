package org.zeststack.core.cavity;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;

/**
 * A bar cavity with straight walls that lean outwards: a rectangle at the floor, a larger or equal one at the opening. All
 * in mm. Volumes follow from area(z) = length(z) · width(z), exact by the prismoidal formula.
 *
 * @param openingLengthMm 5 to 400
 * @param openingWidthMm 5 to 400
 * @param floorLengthMm 1 to the opening's length
 * @param floorWidthMm 1 to the opening's width
 * @param depthMm 2 to 100
 */
public record TaperedCavity(
        double openingLengthMm, double openingWidthMm, double floorLengthMm, double floorWidthMm, double depthMm) {

    public static final Range OPENING_MM = new Range(5, 400, "mm");
    public static final Range FLOOR_MM = new Range(1, 400, "mm");
    public static final Range DEPTH_MM = new Range(2, 100, "mm");

    /**
     * @throws InvalidInput naming every dimension at fault
     */
    public TaperedCavity {
        Faults faults = new Faults();
        boolean length = faults.within("openingLengthMm", openingLengthMm, OPENING_MM);
        boolean width = faults.within("openingWidthMm", openingWidthMm, OPENING_MM);
        floor(faults, "floorLengthMm", floorLengthMm, length ? openingLengthMm : OPENING_MM.greatest());
        floor(faults, "floorWidthMm", floorWidthMm, width ? openingWidthMm : OPENING_MM.greatest());
        faults.within("depthMm", depthMm, DEPTH_MM);
        faults.throwIfAny();
    }

    private static void floor(Faults faults, String field, double floorMm, double openingMm) {
        if (faults.within(field, floorMm, FLOOR_MM) && floorMm > openingMm) {
            faults.add(new Fault(
                    field,
                    Numbers.plain(floorMm),
                    FLOOR_MM.least(),
                    openingMm,
                    "mm",
                    "%s mm is wider than the opening: the floor may be at most %s mm, or the bar cannot be released."
                            .formatted(Numbers.plain(floorMm), Numbers.plain(openingMm))));
        }
    }

    /** Length at a height above the floor. */
    public double lengthMm(double heightMm) {
        return floorLengthMm + (openingLengthMm - floorLengthMm) * heightMm / depthMm;
    }

    /** Width at a height above the floor. */
    public double widthMm(double heightMm) {
        return floorWidthMm + (openingWidthMm - floorWidthMm) * heightMm / depthMm;
    }

    public double volumeMl() {
        return Prismoid.ml(floorLengthMm, floorWidthMm, openingLengthMm, openingWidthMm, depthMm);
    }

    /** How far a wall of {@code shellMm} stands in from the side walls that bound the length, level with the floor. */
    double lengthInsetMm(double shellMm) {
        return shellMm * secant((openingLengthMm - floorLengthMm) / 2);
    }

    double widthInsetMm(double shellMm) {
        return shellMm * secant((openingWidthMm - floorWidthMm) / 2);
    }

    /** √(1 + tan²θ) for a wall that runs out by {@code runMm} over the depth. */
    private double secant(double runMm) {
        return Math.hypot(1, runMm / depthMm);
    }

    /**
     * The thickest shell that still leaves an inside, mm: the floor must stay below the opening and the walls apart at the
     * raised floor.
     */
    public double greatestShellMm() {
        double byDepth = depthMm;
        double byLength = closing(floorLengthMm, openingLengthMm);
        double byWidth = closing(floorWidthMm, openingWidthMm);
        return Math.min(byDepth, Math.min(byLength, byWidth));
    }

    /** Shell at which two walls meet at the raised floor: floor + (opening − floor) t/d = 2 t sec θ. */
    private double closing(double floorMm, double openingMm) {
        double gain = (openingMm - floorMm) / depthMm;
        double loss = 2 * secant((openingMm - floorMm) / 2);
        return loss <= gain ? Double.MAX_VALUE : floorMm / (loss - gain);
    }

    /** This cavity lined with {@code shellMm} of couverture. */
    public LinedCavity lined(double shellMm) {
        return new LinedCavity(this, shellMm);
    }
}

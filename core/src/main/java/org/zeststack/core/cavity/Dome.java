package org.zeststack.core.cavity;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * A cap of a sphere of radius S = (a² + h²) / 2h. Lined with t it is a cap of the sphere S − t around the same centre, exactly.
 *
 * @param openingRadiusMm a, 2.5 to 200
 * @param depthMm h, 2 mm to the opening's radius; deeper ones would hold the piece
 */
public record Dome(double openingRadiusMm, double depthMm) implements Cavity {

    public static final Range RADIUS_MM = new Range(2.5, 200, "mm");

    /**
     * @throws org.zeststack.core.quantity.InvalidInput naming every dimension at fault
     */
    public Dome {
        Faults faults = new Faults();
        boolean radius = faults.within("openingRadiusMm", openingRadiusMm, RADIUS_MM);
        if (faults.within("depthMm", depthMm, DEPTH_MM) && radius && depthMm > openingRadiusMm) {
            faults.add(new Fault(
                    "depthMm",
                    Numbers.plain(depthMm),
                    DEPTH_MM.least(),
                    openingRadiusMm,
                    "mm",
                    "%s is deeper than the opening's radius: at most %s, or the piece cannot be released."
                            .formatted(Say.mm(depthMm), Say.mm(openingRadiusMm))));
        }
        faults.throwIfAny();
    }

    private double sphereMm() {
        return (openingRadiusMm * openingRadiusMm + depthMm * depthMm) / (2 * depthMm);
    }

    @Override
    public Hollow inside(double shellMm) {
        double radius = sphereMm() - shellMm;
        return new RoundedSpace(radius, radius, radius, sphereMm(), depthMm);
    }

    @Override
    public double greatestShellMm() {
        return depthMm;
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

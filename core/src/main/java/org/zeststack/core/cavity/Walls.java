package org.zeststack.core.cavity;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Say;

/** Straight walls that lean outwards by {@code runMm} over the depth. */
final class Walls {

    private Walls() {}

    /** √(1 + tan²θ): a wall of thickness t stands in by t times this at constant height. */
    static double secant(double runMm, double depthMm) {
        return Math.hypot(1, runMm / depthMm);
    }

    static double degrees(double runMm, double depthMm) {
        return Math.toDegrees(Math.atan2(runMm, depthMm));
    }

    /** Shell at which two walls meet at the raised floor: floor + (opening − floor) t/d = 2 t sec θ. */
    static double closing(double floorMm, double openingMm, double depthMm) {
        double gain = (openingMm - floorMm) / depthMm;
        double loss = 2 * secant((openingMm - floorMm) / 2, depthMm);
        return loss <= gain ? Double.MAX_VALUE : floorMm / (loss - gain);
    }

    /** Notes a floor that is out of range or wider than its opening. */
    static void floor(Faults faults, String field, double floorMm, double openingMm) {
        if (faults.within(field, floorMm, Cavity.FLOOR_MM) && floorMm > openingMm) {
            faults.add(new Fault(
                    field,
                    Numbers.plain(floorMm),
                    Cavity.FLOOR_MM.least(),
                    openingMm,
                    "mm",
                    "%s is wider than the opening: the floor may be at most %s, or the bar cannot be released."
                            .formatted(Say.mm(floorMm), Say.mm(openingMm))));
        }
    }
}

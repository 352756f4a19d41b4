package org.zeststack.core.cavity;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * A lined cavity with filling and back: the back takes the top of the inside, the filling the rest.
 *
 * @param lined the lined cavity
 * @param depthMm the cavity's depth
 * @param backMm back as designed
 * @param backLeastMm thinnest back that still seals
 * @param backGreatestMm thickest back that one wants to bite
 */
public record FilledCavity(
        LinedCavity lined, double depthMm, double backMm, double backLeastMm, double backGreatestMm) {

    public static final Range BACK_MM = new Range(0, 50, "mm");
    public static final Range DENSITY = new Range(0.1, 3, "g/mL");

    /**
     * @throws InvalidInput naming every back that does not fit, or a least above the greatest
     */
    public FilledCavity {
        Range fits = new Range(0, lined.innerDepthMm(), "mm");
        Faults faults = new Faults();
        faults.within("backMm", backMm, fits);
        boolean least = faults.within("backLeastMm", backLeastMm, fits);
        if (faults.within("backGreatestMm", backGreatestMm, fits) && least && backLeastMm > backGreatestMm) {
            faults.add(new Fault(
                    "backLeastMm",
                    Numbers.plain(backLeastMm),
                    0.0,
                    backGreatestMm,
                    "mm",
                    "The least back of %s is above the greatest of %s."
                            .formatted(Say.mm(backLeastMm), Say.mm(backGreatestMm))));
        }
        faults.throwIfAny();
    }

    public static FilledCavity of(
            Cavity cavity, double shellMm, double backMm, double backLeastMm, double backGreatestMm) {
        return new FilledCavity(cavity.lined(shellMm), cavity.depthMm(), backMm, backLeastMm, backGreatestMm);
    }

    public double backMl() {
        return lined.volumeMl(depthMm - backMm, depthMm);
    }

    public double fillingMl() {
        return fillingMl(backMm);
    }

    /** Filling that leaves a back of {@code backMm}, mL. */
    public double fillingMl(double backMm) {
        return lined.volumeMl(lined.floorMm(), depthMm - backMm);
    }

    /** Filling that leaves the thickest back, mL: the bottom of the window. */
    public double fillingLeastMl() {
        return fillingMl(backGreatestMm);
    }

    /** Filling that leaves the thinnest back, mL: the top of the window. */
    public double fillingGreatestMl() {
        return fillingMl(backLeastMm);
    }
}

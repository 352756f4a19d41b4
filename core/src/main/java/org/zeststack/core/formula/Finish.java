package org.zeststack.core.formula;

import org.zeststack.core.quantity.Range;

/**
 * What happens to the mass besides cooking to a reading.
 *
 * @param byEye whether it is cooked without a reading, by look, feel or minutes
 * @param moistureLeast least moisture of the cooked mass as a fraction where it ends by eye; null where not known
 * @param moistureGreatest greatest moisture there; null where not known
 * @param bakedLossFraction share of the raw mass that leaves as water in the oven, 0 to 0.5
 * @param overrunFraction air volume over the volume without air, 0 to 5
 */
public record Finish(
        boolean byEye,
        Double moistureLeast,
        Double moistureGreatest,
        double bakedLossFraction,
        double overrunFraction) {

    public static final Range MOISTURE = new Range(0, 0.6, "");
    public static final Range BAKED_LOSS = new Range(0, 0.5, "");
    public static final Range OVERRUN = new Range(0, 5, "");
    public static final Finish PLAIN = new Finish(false, null, null, 0, 0);

    /** Whether a moisture is claimed for a mass that ends by eye. */
    public boolean moistureKnown() {
        return moistureLeast != null && moistureGreatest != null;
    }
}

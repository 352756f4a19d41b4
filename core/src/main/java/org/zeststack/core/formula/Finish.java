package org.zeststack.core.formula;

import org.zeststack.core.quantity.Range;

/**
 * What happens to the mass besides cooking to a reading.
 *
 * @param byEye whether it is cooked without a reading, by look, feel or minutes
 * @param moistureLeast least moisture of the cooked mass as a fraction where it ends by eye; null where not known
 * @param moistureGreatest greatest moisture there; null where not known
 * @param bakedLossFraction share of the raw mass that leaves as water in the oven, 0 to 0.5
 * @param overrunFraction air volume over the volume without air, 0 to 5: before / after − 1 where a cup was weighed
 * @param cupBeforeGrams what a level cup of it weighed before it was whipped; null where nobody weighed one
 * @param cupAfterGrams what the same cup weighed after; null likewise
 */
public record Finish(
        boolean byEye,
        Double moistureLeast,
        Double moistureGreatest,
        double bakedLossFraction,
        double overrunFraction,
        Double cupBeforeGrams,
        Double cupAfterGrams) {

    public static final Range CUP_GRAMS = new Range(1, 5000, "g");
    public static final Range MOISTURE = new Range(0, 0.6, "");
    public static final Range BAKED_LOSS = new Range(0, 0.5, "");
    public static final Range OVERRUN = new Range(0, 5, "");
    public static final Finish PLAIN = new Finish(false, null, null, 0, 0);

    public Finish {
        if (cupBeforeGrams != null && cupAfterGrams != null) {
            overrunFraction = air(cupBeforeGrams, cupAfterGrams);
        }
    }

    /** Air of which nobody has weighed a cup. */
    public Finish(
            boolean byEye,
            Double moistureLeast,
            Double moistureGreatest,
            double bakedLossFraction,
            double overrunFraction) {
        this(byEye, moistureLeast, moistureGreatest, bakedLossFraction, overrunFraction, null, null);
    }

    /** Air entered, as a fraction of the volume without it, from the weight of one cup before and after. */
    public static double air(double cupBeforeGrams, double cupAfterGrams) {
        return cupBeforeGrams / cupAfterGrams - 1;
    }

    /** The same with another moisture claimed. */
    public Finish withMoisture(double least, double greatest) {
        return new Finish(byEye, least, greatest, bakedLossFraction, overrunFraction, cupBeforeGrams, cupAfterGrams);
    }

    /** Whether a moisture is claimed for a mass that ends by eye. */
    public boolean moistureKnown() {
        return moistureLeast != null && moistureGreatest != null;
    }
}

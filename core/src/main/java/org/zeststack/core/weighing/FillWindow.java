package org.zeststack.core.weighing;

/**
 * The window of a deposit: grams that still leave a good piece.
 *
 * @param leastGrams bottom of the window
 * @param targetGrams what to aim for
 * @param greatestGrams top of the window
 */
public record FillWindow(double leastGrams, double targetGrams, double greatestGrams) {

    /** Where a weight lies against the window. */
    public enum Place {
        LIGHT,
        INSIDE,
        HEAVY
    }

    /** The same window for a part or a multiple. */
    public FillWindow times(double share) {
        return new FillWindow(leastGrams * share, targetGrams * share, greatestGrams * share);
    }

    public Place place(double grams) {
        if (grams < leastGrams) {
            return Place.LIGHT;
        }
        return grams > greatestGrams ? Place.HEAVY : Place.INSIDE;
    }
}

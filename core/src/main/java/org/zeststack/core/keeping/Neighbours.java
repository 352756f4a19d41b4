package org.zeststack.core.keeping;

import org.zeststack.core.rule.Bound;

/**
 * Water between two parts that touch: it moves from the higher water activity to the lower until both are alike. Crisp things
 * turn soft above a bound of the table.
 */
public final class Neighbours {

    private static final Bound SOFT_SOON_ACTIVITY = Bound.of("soft-soon-activity");
    private static final Bound CRISP_ACTIVITY = Bound.of("crisp-activity");
    private static final Bound BARRIER_FAT = Bound.of("barrier-fat");
    private static final Bound BARRIER_WATER = Bound.of("barrier-water");

    private Neighbours() {}

    /** Whether a layer keeps water from passing. */
    public static boolean isBarrier(double fatFraction, double waterFraction) {
        return fatFraction >= BARRIER_FAT.least() && waterFraction <= BARRIER_WATER.greatest();
    }

    /** Water activity up to which crisp goods are crisp. */
    public static double crispUpTo() {
        return CRISP_ACTIVITY.greatest();
    }

    /** Whether dry goods of that activity are crisp. */
    public static boolean isCrisp(double activity) {
        return activity <= crispUpTo();
    }

    /** Whether what is crisp is soft within days beside something of that activity. */
    public static boolean softensSoon(double otherActivity) {
        return otherActivity > SOFT_SOON_ACTIVITY.greatest();
    }

    /** Whether something crisp would turn soft beside something of that activity. */
    public static boolean softens(double crispActivity, double otherActivity) {
        return otherActivity > crispUpTo() && otherActivity > crispActivity;
    }
}

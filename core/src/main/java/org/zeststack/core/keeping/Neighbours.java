package org.zeststack.core.keeping;

/**
 * Water between two parts that touch: it moves from the higher water activity to the lower until both are alike. Crisp things
 * turn soft above about 0.40 (common practice, no source).
 */
public final class Neighbours {

    /** Crisp goods are still crisp at this activity. */
    public static final double CRISP_ACTIVITY = 0.40;

    /** From here on what is crisp is soft within days. */
    public static final double SOFT_SOON_ACTIVITY = 0.60;

    /** Fat over mass from which a layer holds water back, if it carries hardly any itself. */
    public static final double BARRIER_FAT = 0.25;

    public static final double BARRIER_WATER = 0.02;

    private Neighbours() {}

    /** Whether a layer keeps water from passing. */
    public static boolean isBarrier(double fatFraction, double waterFraction) {
        return fatFraction >= BARRIER_FAT && waterFraction <= BARRIER_WATER;
    }

    /** Whether something crisp would turn soft beside something of that activity. */
    public static boolean softens(double crispActivity, double otherActivity) {
        return otherActivity > CRISP_ACTIVITY && otherActivity > crispActivity;
    }
}

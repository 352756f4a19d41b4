package org.zeststack.core.keeping;

import org.zeststack.core.rule.Bounds;

/**
 * Water between two parts that touch: it moves from the higher water activity to the lower until both are alike. Crisp things
 * turn soft above a bound.
 */
public final class Neighbours {

    private final Bounds bounds;

    public Neighbours(Bounds bounds) {
        this.bounds = bounds;
    }

    /** Whether a layer keeps water from passing. */
    public boolean isBarrier(double fatFraction, double waterFraction) {
        return fatFraction >= bounds.of("barrier-fat").least()
                && waterFraction <= bounds.of("barrier-water").greatest();
    }

    /** Water activity up to which crisp goods are crisp. */
    public double crispUpTo() {
        return bounds.of("crisp-activity").greatest();
    }

    /** Whether dry goods of that activity are crisp. */
    public boolean isCrisp(double activity) {
        return activity <= crispUpTo();
    }

    /** Whether what is crisp is soft within days beside something of that activity. */
    public boolean softensSoon(double otherActivity) {
        return otherActivity > bounds.of("soft-soon-activity").greatest();
    }

    /** Whether something crisp would turn soft beside something of that activity. */
    public boolean softens(double crispActivity, double otherActivity) {
        return otherActivity > crispUpTo() && otherActivity > crispActivity;
    }
}

package org.zeststack.core.household;

/**
 * An amount in a unit, as read.
 *
 * @param amount how many; the middle of a range
 * @param unit null where pieces are counted
 * @param range how a range was written; empty where a single number was
 * @param factor 1.1 for heaped, 0.95 for scant, 1 otherwise
 * @param hint what about the unit is a guess; empty where nothing
 * @param packed whether the line says firmly packed
 */
record Measured(double amount, Unit unit, String range, double factor, String hint, boolean packed) {

    boolean isMass() {
        return unit != null && unit.isMass();
    }

    boolean isVolume() {
        return unit != null && unit.isVolume();
    }

    double massGrams() {
        return amount * unit.grams();
    }
}

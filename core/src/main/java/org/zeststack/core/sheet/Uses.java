package org.zeststack.core.sheet;

import java.util.Map;
import java.util.TreeMap;

/**
 * Where what is made of a formula goes.
 *
 * @param deposit where what is laid of it ends up
 * @param taken what other formulas take of it, by their names
 * @param usableGrams what reaches the pieces and other formulas
 */
public record Uses(Deposit deposit, Map<String, Double> taken, double usableGrams) {

    /** Taken by other formulas in all, g. */
    public double takenGrams() {
        return taken.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    Uses times(double share) {
        Map<String, Double> some = new TreeMap<>();
        taken.forEach((user, grams) -> some.put(user, grams * share));
        return new Uses(deposit.times(share), some, usableGrams * share);
    }
}

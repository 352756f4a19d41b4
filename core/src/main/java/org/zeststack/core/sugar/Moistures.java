package org.zeststack.core.sugar;

import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.descriptive.moment.Mean;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.quantity.Range;

/** How moist masses cooked by eye came out by the scale, and what the next one will be by that. */
public final class Moistures {

    /** What one weighing alone leaves open, and what the best series still does: scale, spoon and tare (our own choice). */
    private static final double ONE_ALONE = 0.02;

    private static final double LEAST = 0.005;
    private static final double CHANCE = 0.95;
    private static final Range POSSIBLE = new Range(0, 1, "");

    private Moistures() {}

    /**
     * Water over mass of a pot by its weight: all but its water stayed in it.
     *
     * @param pot what went into it
     * @param grams what it weighed when it was done
     * @return empty where it weighed less than what cannot boil off, or more than what went in: the tare is wrong
     */
    public static Optional<Double> of(Composition pot, double grams) {
        double dry = pot.totalGrams() - pot.waterGrams();
        boolean can = grams >= dry && grams <= pot.totalGrams();
        return can ? Optional.of((grams - dry) / grams) : Optional.empty();
    }

    /**
     * Where the next one will be with a chance of 95 %: mean ± t s √(1 + 1/n), after one alone ± 2 points, never nearer than half a
     * point; of that what the formula claims too, where the two meet.
     *
     * @param weighed moistures of earlier ones; at least one
     * @param claimed what the formula says; empty where it does not
     */
    public static Range next(List<Double> weighed, Optional<Range> claimed) {
        double[] each = weighed.stream().mapToDouble(Double::doubleValue).toArray();
        double mean = new Mean().evaluate(each);
        int n = each.length;
        double either = n == 1
                ? ONE_ALONE
                : Math.max(
                        LEAST,
                        new TDistribution(n - 1.0).inverseCumulativeProbability((1 + CHANCE) / 2)
                                * new StandardDeviation().evaluate(each)
                                * Math.sqrt(1 + 1.0 / n));
        Range own =
                new Range(Math.max(POSSIBLE.least(), mean - either), Math.min(POSSIBLE.greatest(), mean + either), "");
        return claimed.filter(c -> c.least() < own.greatest() && own.least() < c.greatest())
                .map(c -> new Range(Math.max(c.least(), own.least()), Math.min(c.greatest(), own.greatest()), ""))
                .orElse(own);
    }
}

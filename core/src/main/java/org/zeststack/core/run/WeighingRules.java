package org.zeststack.core.run;

import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;

/** When a weight is not likely, and when two cannot both be right: heard at the bench and in the ledger. */
public final class WeighingRules {

    private static final Rule WEIGHTS = Rule.of(Rule.About.BENCH, "unlikely-weight");

    private final Bounds bounds;

    public WeighingRules(Bounds bounds) {
        this.bounds = bounds;
    }

    /** Whether a batch weighs so many times more, or less, than any mass that was planned. */
    public boolean farFromPlanned(double grams, double least, double most) {
        return beyond("weighed-back", grams, least, most);
    }

    /** Whether a piece weighs so many times more, or less, than what is aimed for. */
    public boolean farFromTarget(double grams, double target) {
        return beyond("weighed-in", grams, target, target);
    }

    /** Whether there is so much more than there can be, in grams, that it is no matter of the scale. */
    public boolean contradicts(double tooMuchGrams) {
        return tooMuchGrams > greatest("scale-apart");
    }

    private boolean beyond(String code, double grams, double least, double most) {
        double times = greatest(code);
        return most > 0 && (grams > times * most || grams < least / times);
    }

    private double greatest(String code) {
        return WEIGHTS.bound(bounds, code).greatest();
    }
}

package org.zeststack.core.bench;

import static org.zeststack.core.quantity.Numbers.fixed;
import static org.zeststack.core.quantity.Numbers.plain;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Say;
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

    /** Asks about what is far from anything planned; what is planned may be a range. */
    Optional<Fault> apart(String field, double grams, double least, double most) {
        String planned = fixed(least, 0).equals(fixed(most, 0))
                ? Say.grams(most, 0)
                : Say.range(Say.grams(least, 0), Say.grams(most, 0));
        return farFromPlanned(grams, least, most)
                ? ask(field, grams, "%s; planned are %s.".formatted(Say.grams(grams, 0), planned))
                : Optional.empty();
    }

    static Optional<Fault> ask(String field, double given, String question) {
        return Optional.of(Fault.of(field, plain(given), question));
    }

    private boolean beyond(String code, double grams, double least, double most) {
        double times = greatest(code);
        return most > 0 && (grams > times * most || grams < least / times);
    }

    private double greatest(String code) {
        return WEIGHTS.bound(bounds, code).greatest();
    }
}

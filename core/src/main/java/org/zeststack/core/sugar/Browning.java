package org.zeststack.core.sugar;

import java.util.Optional;
import org.zeststack.core.explain.Call;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;

/** Sugar that is hotter than any water in it lets it be: it browns, then it burns. */
public final class Browning {

    private static final String CODE = "browning";

    private final Bounds bounds;

    public Browning(Bounds bounds) {
        this.bounds = bounds;
    }

    /**
     * What is to be said of a pot, with what to do; empty where nothing is.
     *
     * @param celsius its true temperature
     * @param dueCelsius how hot it is meant to become; sugar that is browned on purpose is not told of it on its way there
     */
    public Optional<Call> of(double celsius, double dueCelsius) {
        Bound burns = bounds.of("sugar-burns");
        Bound browns = bounds.of("sugar-browns");
        if (celsius > burns.greatest()) {
            return Optional.of(call(
                    Call.Weight.WILL_FAIL,
                    "Above %s sugar burns: it turns bitter, then it smokes. Take it off the heat, pour nothing in, let it cool in the pot, and begin again.",
                    celsius,
                    burns));
        }
        if (celsius > Math.max(browns.greatest(), dueCelsius)) {
            return Optional.of(call(
                    Call.Weight.TAKE_CARE,
                    "Above %s sugar browns by the second. Take it off the heat. Warm cream or water stops it: a little at a time, at arm's length, it spits steam.",
                    celsius,
                    browns));
        }
        return Optional.empty();
    }

    private Call call(Call.Weight weight, String words, double celsius, Bound bound) {
        return new Call(
                weight,
                CODE,
                words.formatted(bound.greatestWords()),
                "%s > %s".formatted(Say.celsius(celsius, 1), bound.greatestWords()),
                Rule.of(Rule.About.BENCH, CODE).source(bounds));
    }
}

package org.zeststack.core.temper;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.stat.descriptive.rank.Median;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;
import org.zeststack.core.temper.TemperVerdict.Reading;
import org.zeststack.core.temper.TemperVerdict.State;
import org.zeststack.core.temper.TemperVerdict.Step;
import org.zeststack.core.temper.TemperVerdict.Verdict;

/**
 * What is said to the hands beside the verdict: how fast the bowl goes, when it is where it goes, and what to mend. The rate is the median
 * of the slopes between the readings of the last two minutes (Theil 1950, Sen 1968), which one wild reading does not turn. How fast
 * is too fast is told by the bounds; how near and how far are common practice, no source.
 *
 * @param kelvinPerMinute falling is negative; empty before there are three readings over 20 s
 * @param minutes to the next window at this rate; empty where it does not go there
 * @param says what to mend, the most pressing first
 */
public record Coach(OptionalDouble kelvinPerMinute, OptionalDouble minutes, List<String> says) {

    private static final double LOOKS_BACK_SECONDS = 120;
    private static final double LEAST_SECONDS = 20;
    private static final int LEAST_READINGS = 3;
    private static final int MOST_READINGS = 60;
    private static final double MINUTE = 60;
    /** Slower than this it stands, K/min. */
    private static final double STANDS = 0.05;

    private static final double FARTHEST_MINUTES = 60;

    /** So near to where it turns, it is cooled or warmed slowly, K. */
    private static final double NEAR_KELVIN = 2;

    private static final Rule PACE = Rule.of(Rule.About.BENCH, "pace");

    /** Over so much more than this it is told that it takes too long, K. */
    private static final double TOO_SLOW_OVER_KELVIN = 3;

    /** Nearer to the foot of its window than this it may drift out of it, K. */
    private static final double DRIFTS_WITHIN_KELVIN = 1;

    /** A bowl that falls so far without having been melted out. */
    private static final double FELL_KELVIN = 1;

    /**
     * What is in the bowl that is looked at.
     *
     * @param heatJoulesPerKelvin of couverture and bowl; 0 where it is not known
     * @param bounds by which its pace is judged
     */
    public record Looked(TemperWindow window, Method method, double heatJoulesPerKelvin, Bounds bounds) {

        private Bound pace(String code) {
            return PACE.bound(bounds, code);
        }
    }

    /**
     * Looks at a bowl.
     *
     * @param readings true temperatures by second, the last ones at least, at least one
     * @param state what they say
     */
    public static Coach of(Looked at, List<Reading> readings, State state) {
        OptionalDouble rate = rate(readings);
        if (state.verdict() == Verdict.LOST) {
            return new Coach(rate, OptionalDouble.empty(), List.of());
        }
        List<String> says = new ArrayList<>();
        notMeltedOut(at, readings, state).ifPresent(says::add);
        rate.ifPresent(r -> pace(at, state, r).ifPresent(says::add));
        drifts(at, state, rate).ifPresent(says::add);
        return new Coach(rate, minutes(state, rate), List.copyOf(says));
    }

    private static OptionalDouble rate(List<Reading> readings) {
        double last = readings.get(readings.size() - 1).seconds();
        List<Reading> recent = readings.stream()
                .filter(r -> r.seconds() >= last - LOOKS_BACK_SECONDS)
                .toList();
        List<Reading> some = recent.subList(Math.max(0, recent.size() - MOST_READINGS), recent.size());
        if (some.size() < LEAST_READINGS || last - some.get(0).seconds() < LEAST_SECONDS) {
            return OptionalDouble.empty();
        }
        double[] slopes = new double[some.size() * (some.size() - 1) / 2];
        int n = 0;
        for (int i = 0; i < some.size(); i++) {
            for (int j = 0; j < i; j++) {
                double apart = some.get(i).seconds() - some.get(j).seconds();
                if (apart > 0) {
                    slopes[n++] = MINUTE * (some.get(i).celsius() - some.get(j).celsius()) / apart;
                }
            }
        }
        return OptionalDouble.of(new Median().evaluate(slopes, 0, n));
    }

    private static OptionalDouble minutes(State state, OptionalDouble rate) {
        double distance = state.distanceKelvin();
        if (rate.isEmpty() || distance == 0 || Math.abs(rate.getAsDouble()) < STANDS) {
            return OptionalDouble.empty();
        }
        double minutes = distance / rate.getAsDouble();
        return minutes > 0 && minutes <= FARTHEST_MINUTES ? OptionalDouble.of(minutes) : OptionalDouble.empty();
    }

    /** It was warm and comes down again before every crystal was gone. */
    private static Optional<String> notMeltedOut(Looked at, List<Reading> readings, State state) {
        double warmest = readings.stream().mapToDouble(Reading::celsius).max().orElseThrow();
        boolean falls = warmest - state.celsius() > FELL_KELVIN;
        return state.step() == Step.MELT && at.method.meltsOut() && falls
                ? Optional.of(
                        "It comes down from %s and was never melted out: crystals of before are still in it. Up to %s first."
                                .formatted(
                                        Say.celsius(warmest, 1),
                                        Say.celsius(at.window.meltOut().least(), 0)))
                : Optional.empty();
    }

    private static Optional<String> pace(Looked at, State state, double rate) {
        double distance = state.distanceKelvin();
        boolean near = Math.abs(distance) <= NEAR_KELVIN && distance != 0;
        if (state.step() == Step.COOL && near && rate < -at.pace("bowl-cools").greatest()) {
            return Optional.of("It falls %s a minute and runs through its window: off the cold, stir."
                    .formatted(Say.kelvin(-rate, 1)));
        }
        if ((state.step() == Step.REWARM || state.verdict() == Verdict.TOO_COLD)
                && near
                && rate > at.pace("bowl-warms").greatest()) {
            return Optional.of(
                    "It rises %s a minute and runs over the top: off the heat, stir.".formatted(Say.kelvin(rate, 1)));
        }
        if (state.step() == Step.COOL
                && distance < -TOO_SLOW_OVER_KELVIN
                && rate > -at.pace("bowl-hardly-falls").least()) {
            return Optional.of(
                    at.method.rewarms()
                            ? "It hardly falls: a colder bath or more of it on the slab."
                            : "It hardly falls: more seed.");
        }
        return Optional.empty();
    }

    private static Optional<String> drifts(Looked at, State state, OptionalDouble rate) {
        double foot = at.window.work().least();
        double middle = (foot + at.window.work().greatest()) / 2;
        boolean cold = state.step() == Step.WORK && state.verdict() == Verdict.TOO_COLD;
        boolean falls =
                rate.isPresent() && rate.getAsDouble() < -at.pace("bowl-drifts").greatest();
        boolean drifts = state.verdict() == Verdict.WORKING && falls && state.celsius() - foot <= DRIFTS_WITHIN_KELVIN;
        if (!cold && !drifts) {
            return Optional.empty();
        }
        double kelvin = middle - state.celsius();
        String heat = at.heatJoulesPerKelvin > 0
                ? ", %s: %s at half power or warm water under it"
                        .formatted(
                                Say.of(kelvin * at.heatJoulesPerKelvin / 1000, 1, Measure.KILOJOULES),
                                Say.of(kelvin * at.heatJoulesPerKelvin / TemperPlan.BURST_WATTS, 0, Measure.SECONDS))
                : "";
        return Optional.of("%s: warm it by %s%s, stirring."
                .formatted(cold ? "It is below its window" : "It drifts down", Say.kelvin(kelvin, 1), heat));
    }
}

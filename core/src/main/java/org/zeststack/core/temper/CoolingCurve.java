package org.zeststack.core.temper;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Say;

/**
 * The curve of a sample that a logger follows while it sets in the cold: it falls, the heat of its crystals holds it up, it falls on.
 * Where it is held up most, at the inflection, its slope tells the temper: clearly rising is under, near flat is well, a falling
 * shoulder is over. The slope is that of a parabola through the readings around a moment, weighted by the cube of a cube (Cleveland
 * 1979).
 *
 * @param inflectionSeconds when it is held up most
 * @param inflectionCelsius where it stands then
 * @param slopeKelvinPerMinute its slope then
 * @param slopes the fitted slope over time, as drawn beside the curve
 */
public record CoolingCurve(
        double inflectionSeconds,
        double inflectionCelsius,
        double slopeKelvinPerMinute,
        Judgement judgement,
        List<Slope> slopes) {

    /** Slopes that count as flat, K/min, both ends included (our own choice; instruments differ). */
    public static final double FLAT_KELVIN_PER_MINUTE = 0.3;

    public static final int LEAST_READINGS = 12;
    public static final int MOST_READINGS = 20_000;

    /** A curve must last so long, s. */
    private static final double LEAST_SECONDS = 90;

    /** Readings around a moment that its parabola is laid through: so much of the whole time, at least so many seconds. */
    private static final double WINDOW_SHARE = 0.08;

    private static final double WINDOW_SECONDS = 20;
    private static final double MINUTE = 60;

    /** Before and after it is held up it must fall faster by so much of its fastest fall. */
    private static final double STANDS_OUT = 0.1;

    /** What the slope says. */
    public enum Judgement {
        UNDER,
        WELL,
        OVER
    }

    /** A slope at a moment, K/min. */
    public record Slope(double seconds, double kelvinPerMinute) {}

    private record Fit(double seconds, double celsius, double slope) {}

    /**
     * Reads a curve.
     *
     * @param celsiusBySecond at least 12 readings over at least 90 s
     * @throws InvalidInput with fewer or shorter
     * @throws Refusal where nothing held it up: it did not set, or it was not read for long enough
     */
    public static CoolingCurve of(Map<Double, Double> celsiusBySecond) {
        TreeMap<Double, Double> sorted = new TreeMap<>(celsiusBySecond);
        check(sorted);
        double span = sorted.lastKey() - sorted.firstKey();
        double half = Math.max(WINDOW_SECONDS, WINDOW_SHARE * span);
        List<Fit> fits = new ArrayList<>();
        for (double second : sorted.keySet()) {
            if (second >= sorted.firstKey() + half && second <= sorted.lastKey() - half) {
                fits.add(fit(sorted, second, half));
            }
        }
        if (fits.isEmpty()) {
            throw unset();
        }
        int held = held(fits);
        Fit at = fits.get(held);
        return new CoolingCurve(
                at.seconds,
                at.celsius,
                at.slope,
                judge(at.slope),
                fits.stream().map(f -> new Slope(f.seconds, f.slope)).toList());
    }

    /** The moment with the greatest slope between two falls that are clearly faster. */
    private static int held(List<Fit> fits) {
        double fastest = fits.stream().mapToDouble(f -> -f.slope).max().orElse(0);
        int best = -1;
        double before = Double.NEGATIVE_INFINITY;
        double[] after = new double[fits.size() + 1];
        after[fits.size()] = Double.NEGATIVE_INFINITY;
        for (int i = fits.size() - 1; i >= 0; i--) {
            after[i] = Math.max(after[i + 1], -fits.get(i).slope);
        }
        for (int i = 0; i < fits.size(); i++) {
            double fall = -fits.get(i).slope;
            double least = fall + STANDS_OUT * fastest;
            boolean held = before >= least && after[i + 1] >= least;
            if (held && (best < 0 || fits.get(i).slope > fits.get(best).slope)) {
                best = i;
            }
            before = Math.max(before, fall);
        }
        if (best < 0 || fastest <= 0) {
            throw unset();
        }
        return best;
    }

    private static Refusal unset() {
        return new Refusal("Nothing held the curve up: it did not set, or it was not read for long enough.");
    }

    private static Judgement judge(double slope) {
        if (Math.abs(slope) <= FLAT_KELVIN_PER_MINUTE) {
            return Judgement.WELL;
        }
        return slope > 0 ? Judgement.UNDER : Judgement.OVER;
    }

    private static void check(TreeMap<Double, Double> sorted) {
        Faults faults = new Faults();
        int count = sorted.size();
        if (count < LEAST_READINGS || count > MOST_READINGS) {
            faults.add(Fault.of(
                    "readings",
                    String.valueOf(count),
                    "A curve needs %d to %d readings of different seconds.".formatted(LEAST_READINGS, MOST_READINGS)));
        } else if (sorted.lastKey() - sorted.firstKey() < LEAST_SECONDS) {
            faults.add(Fault.of(
                    "readings",
                    String.valueOf(sorted.lastKey() - sorted.firstKey()),
                    "A curve must last at least %s.".formatted(Say.of(LEAST_SECONDS, Measure.SECONDS))));
        }
        faults.throwIfAny();
    }

    /** A parabola through the readings around a second: least squares with tricube weights. */
    private static Fit fit(TreeMap<Double, Double> all, double at, double half) {
        double[] s = new double[5];
        double[] t = new double[3];
        for (Map.Entry<Double, Double> reading :
                all.subMap(at - half, true, at + half, true).entrySet()) {
            double x = (reading.getKey() - at) / half;
            double weight = Math.pow(1 - Math.pow(Math.abs(x), 3), 3);
            double power = weight;
            for (int i = 0; i < 5; i++) {
                s[i] += power;
                if (i < 3) {
                    t[i] += power * reading.getValue();
                }
                power *= x;
            }
        }
        double determinant = s[0] * (s[2] * s[4] - s[3] * s[3])
                - s[1] * (s[1] * s[4] - s[2] * s[3])
                + s[2] * (s[1] * s[3] - s[2] * s[2]);
        if (!(Math.abs(determinant) > 1e-12)) {
            throw unset();
        }
        double height = (t[0] * (s[2] * s[4] - s[3] * s[3])
                        - s[1] * (t[1] * s[4] - s[3] * t[2])
                        + s[2] * (t[1] * s[3] - s[2] * t[2]))
                / determinant;
        double slope = (s[0] * (t[1] * s[4] - s[3] * t[2])
                        - t[0] * (s[1] * s[4] - s[2] * s[3])
                        + s[2] * (s[1] * t[2] - t[1] * s[2]))
                / determinant;
        return new Fit(at, height, slope / half * MINUTE);
    }
}

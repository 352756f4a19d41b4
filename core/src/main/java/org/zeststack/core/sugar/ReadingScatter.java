package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.sugar.CookProgress.Point;

/**
 * How readings of a pot scatter about the straight line between their neighbours, as far as they come close enough to tell: K.
 *
 * <p>Of three readings the middle one is off by e = y₂ − (1 − s) y₁ − s y₃, s its share of the way; its standard deviation is
 * σ √(1 + s² + (1 − s)²). Taken over the median of the last ones, so that wild readings count little (the normal distribution's ratio
 * of the two, 1.4826).
 */
final class ReadingScatter {

    /** Readings of a stirred pot scatter so where nothing is known yet, and never more, K (common practice, no source). */
    static final double USUAL_KELVIN = 0.3;
    /** No thermometer in a pot is believed to scatter less, K; how close readings tell, and how many (our own choice). */
    static final double LEAST_KELVIN = 0.1;

    private static final double CLOSE_MINUTES = 12 / 60.0;
    private static final int MOST = 25;
    static final int ENOUGH = 9;
    /** Standard deviation over median of what is normally distributed. */
    private static final double OF_MEDIAN = 1.4826;

    private final List<Double> off = new ArrayList<>();
    private Point before;
    private Point last;

    void saw(Point point) {
        if (last != null && point.minute() - last.minute() < BoilWatch.LEAST_APART) {
            return;
        }
        if (before != null && point.minute() - before.minute() <= 2 * CLOSE_MINUTES) {
            double share = (last.minute() - before.minute()) / (point.minute() - before.minute());
            double line = before.celsius() + share * (point.celsius() - before.celsius());
            off.add(Math.abs(last.celsius() - line) / Math.sqrt(1 + share * share + (1 - share) * (1 - share)));
            if (off.size() > MOST) {
                off.remove(0);
            }
        }
        before = last;
        last = point;
    }

    double kelvin() {
        return off.size() < ENOUGH
                ? USUAL_KELVIN
                : Math.max(LEAST_KELVIN, Math.min(USUAL_KELVIN, OF_MEDIAN * BoilWatch.median(off)));
    }
}

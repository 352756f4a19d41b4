package org.zeststack.core.sugar;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.stat.descriptive.rank.Median;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.sugar.CookProgress.Point;

/**
 * What one cook that is over teaches of its pot on its ring.
 *
 * @param kilograms what was cooked, as it went in
 * @param kilowatts heat that the mass took up while it boiled
 * @param boiledMinutes from the boil to when it was taken off
 * @param afterHeatKelvin how much it climbed after it was taken off; empty where nobody said when that was, or too little was read after it
 */
public record CookLesson(double kilograms, double kilowatts, double boiledMinutes, OptionalDouble afterHeatKelvin) {

    /** A pot's bottom has no more in it than this; what climbs further is still on the ring (our own choice). */
    static final Range AFTER_HEAT_KELVIN = new Range(0, 6, "K");

    /** It must have been read not longer before it was taken off than this. */
    private static final double BEFORE_MINUTES = 1;

    private static final double AFTER_MINUTES = 6;
    private static final int LEAST_READINGS = 3;

    /**
     * Reads a cook once more.
     *
     * @param points true temperatures, oldest first
     * @param offMinute when it was taken off, in the pot's own time; empty where nobody said
     * @return empty where it never boiled as far as the readings tell
     */
    public static Optional<CookLesson> of(Cook cook, List<Point> points, OptionalDouble offMinute) {
        CookProgress progress = new CookProgress(cook);
        double end = offMinute.orElse(Double.MAX_VALUE);
        double last = 0;
        for (Point point : points) {
            if (point.minute() <= end) {
                progress.add(point, point.celsius());
                last = point.minute();
            }
        }
        double boiledAt = progress.boiledMinute();
        if (Double.isNaN(boiledAt)) {
            return Optional.empty();
        }
        return Optional.of(new CookLesson(
                cook.before().totalGrams() / 1000,
                progress.watts().orElseThrow() / 1000,
                offMinute.orElse(last) - boiledAt + progress.boiledUnread(),
                offMinute.isPresent() && end - last <= BEFORE_MINUTES
                        ? afterHeat(points, end, progress.celsiusAt(end))
                        : OptionalDouble.empty()));
    }

    /** The highest of the readings after it, each as a median of three so that a wild one does not count, less where it stood then. */
    private static OptionalDouble afterHeat(List<Point> points, double off, double was) {
        List<Point> after = points.stream()
                .filter(p -> p.minute() > off && p.minute() <= off + AFTER_MINUTES)
                .toList();
        if (after.size() < LEAST_READINGS) {
            return OptionalDouble.empty();
        }
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = LEAST_READINGS; i <= after.size(); i++) {
            highest = Math.max(highest, median(after.subList(i - LEAST_READINGS, i)));
        }
        double climbed = Math.max(0, highest - was);
        return AFTER_HEAT_KELVIN.holds(climbed) ? OptionalDouble.of(climbed) : OptionalDouble.empty();
    }

    private static double median(List<Point> of) {
        return new Median().evaluate(of.stream().mapToDouble(Point::celsius).toArray());
    }
}

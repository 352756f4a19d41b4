package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.stat.descriptive.rank.Median;
import org.zeststack.core.sugar.CookProgress.MinutesLeft;
import org.zeststack.core.sugar.CookProgress.Point;

/**
 * A straight line of heat against minutes, fitted by weighted least squares with Huber's reweighting (Huber 1964), and its
 * extension to the stop. Where the heat does not grow by more than its own standard error in a minute, the pot stands as far as
 * the readings tell, and there are no minutes.
 */
final class HeatFit {

    private static final double WINDOW_MINUTES = 6;
    private static final int LEAST_READINGS = 5;
    private static final int MOST_READINGS = 72;
    private static final double LEAST_SPAN_MINUTES = 0.5;
    private static final double HUBER = 1.345;
    private static final int PASSES = 6;
    /** Standard deviation of one reading, K: a stirred pot and a probe of 0.1 K resolution (common practice, no source). */
    private static final double READING_KELVIN = 0.3;
    /** Relative uncertainty of the slope from heat wander and composition (our own choice). */
    private static final double WANDER = 0.12;
    /** Uncertainty of the stop from the thermometer's correction, K (our own choice). */
    private static final double OFFSET_KELVIN = 0.3;

    private HeatFit() {}

    static Optional<MinutesLeft> minutesLeft(PotHeat heat, List<Point> all, double stopCelsius) {
        double now = all.get(all.size() - 1).minute();
        List<Point> recent = thinned(
                all.stream().filter(p -> p.minute() >= now - WINDOW_MINUTES).toList());
        if (recent.size() < LEAST_READINGS || now - recent.get(0).minute() < LEAST_SPAN_MINUTES) {
            return Optional.empty();
        }
        Line line = fit(heat, recent);
        if (!(line.slope > line.slopeError)) {
            return Optional.empty();
        }
        double remaining = heat.kilojoules(stopCelsius) - line.at(now);
        double minutes = Math.max(0, remaining / line.slope);
        double slopeShare = Math.hypot(line.slopeError / line.slope, WANDER);
        double stopError = OFFSET_KELVIN * heat.slope(stopCelsius) / line.slope;
        double half = 2 * Math.hypot(minutes * slopeShare, stopError);
        return Optional.of(new MinutesLeft(minutes, Math.max(0, minutes - half), minutes + half));
    }

    /** At most {@link #MOST_READINGS}, evenly taken, the last always among them. */
    private static List<Point> thinned(List<Point> points) {
        int step = (points.size() + MOST_READINGS - 1) / MOST_READINGS;
        int last = points.size() - 1;
        return IntStream.range(0, points.size())
                .filter(i -> step <= 1 || (last - i) % step == 0)
                .mapToObj(points::get)
                .toList();
    }

    private record Line(double intercept, double slope, double centre, double slopeError) {
        double at(double minute) {
            return intercept + slope * (minute - centre);
        }
    }

    private static Line fit(PotHeat heat, List<Point> points) {
        double[] weights = weights(heat, points);
        double[] robust = new double[points.size()];
        Line line = theilSen(heat, points);
        for (int pass = 0; pass < PASSES; pass++) {
            for (int i = 0; i < robust.length; i++) {
                Point p = points.get(i);
                double residual = Math.abs(heat.kilojoules(p.celsius()) - line.at(p.minute())) * Math.sqrt(weights[i]);
                robust[i] = residual <= HUBER ? 1 : HUBER / residual;
            }
            line = leastSquares(heat, points, weights, robust);
        }
        return line;
    }

    /** 1/(dH/dT · σ_T)²; a wild reading far below the boil may not weigh more than the typical one. */
    private static double[] weights(PotHeat heat, List<Point> points) {
        double[] slopes =
                points.stream().mapToDouble(p -> heat.slope(p.celsius())).toArray();
        double typical = median(slopes);
        return Arrays.stream(slopes)
                .map(slope -> Math.pow(Math.max(slope, typical) * READING_KELVIN, -2))
                .toArray();
    }

    /** The median of all pairwise slopes (Theil 1950, Sen 1968): a start that one wild reading cannot move. */
    private static Line theilSen(PotHeat heat, List<Point> points) {
        int n = points.size();
        double[] kilojoules =
                points.stream().mapToDouble(p -> heat.kilojoules(p.celsius())).toArray();
        List<Double> slopes = new ArrayList<>(n * (n - 1) / 2);
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                double minutes = points.get(j).minute() - points.get(i).minute();
                if (minutes > 0) {
                    slopes.add((kilojoules[j] - kilojoules[i]) / minutes);
                }
            }
        }
        double slope = median(slopes.stream().mapToDouble(Double::doubleValue).toArray());
        double[] rests = new double[n];
        for (int i = 0; i < n; i++) {
            rests[i] = kilojoules[i] - slope * points.get(i).minute();
        }
        return new Line(median(rests), slope, 0, 0);
    }

    private static double median(double[] amounts) {
        return new Median().evaluate(amounts);
    }

    private static Line leastSquares(PotHeat heat, List<Point> points, double[] weights, double[] robust) {
        double sum = 0;
        double sumMinute = 0;
        double sumHeat = 0;
        for (int i = 0; i < weights.length; i++) {
            double w = weights[i] * robust[i];
            sum += w;
            sumMinute += w * points.get(i).minute();
            sumHeat += w * heat.kilojoules(points.get(i).celsius());
        }
        double centre = sumMinute / sum;
        double mean = sumHeat / sum;
        double spread = 0;
        double cross = 0;
        for (int i = 0; i < weights.length; i++) {
            double w = weights[i] * robust[i];
            double dx = points.get(i).minute() - centre;
            spread += w * dx * dx;
            cross += w * dx * (heat.kilojoules(points.get(i).celsius()) - mean);
        }
        return new Line(mean, cross / spread, centre, Math.sqrt(1 / spread));
    }
}

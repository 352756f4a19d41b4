package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.stat.descriptive.rank.Median;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;
import org.zeststack.core.sugar.CookProgress.Point;

/** Minutes left against the truth, and what a straight line and a parabola of the temperature would have said. */
final class MinutesLeftScore {

    private static final int[] LINE_SECONDS = {60, 120, 180, 300};
    private static final double MOST_MINUTES = 60;
    private static final double LAST_MINUTES = 15;

    /**
     * What was said at one moment.
     *
     * @param truth minutes that were left
     * @param line what the lines said, by window; NaN where one had too few readings
     */
    record Said(
            double truth, double minutes, double low, double high, double[] line, double parabola, double sinceTurn) {

        double off() {
            return Math.abs(late());
        }

        /** Above 0 where too much time was promised. */
        double late() {
            return minutes - truth;
        }

        double width() {
            return (high - low) / truth;
        }

        boolean covered() {
            return low <= truth && truth <= high;
        }
    }

    final List<Said> said = new ArrayList<>();

    void add(SeededCooks.CookOf cook, SeededCooks.Reads reads) {
        BoilWatch watch = new BoilWatch(cook.told(), cook.pressureKpa(), cook.stopHere());
        List<Point> all = new ArrayList<>();
        double asked = Double.NEGATIVE_INFINITY;
        for (Point point : cook.readings(reads)) {
            watch.add(point, point.celsius());
            all.add(point);
            double second = 60 * point.minute();
            double truth = (cook.stoppedAt() - second) / 60;
            if (second < cook.boiledAt() + 60 || truth > LAST_MINUTES || truth <= 0 || second - asked < 10) {
                continue;
            }
            asked = second;
            BoilWatch.Answer answer = watch.answer();
            if (answer.minutes() == null && answer.reason() != CookProgress.Reason.PAST) {
                continue;
            }
            CookProgress.MinutesLeft left =
                    answer.minutes() == null ? new CookProgress.MinutesLeft(0, 0, 0) : answer.minutes();
            double[] lines = new double[LINE_SECONDS.length];
            for (int i = 0; i < lines.length; i++) {
                lines[i] = line(all, LINE_SECONDS[i], cook.stopHere());
            }
            said.add(new Said(
                    truth,
                    left.minutes(),
                    left.least(),
                    left.greatest(),
                    lines,
                    parabola(all, cook.stopHere()),
                    second - cook.turnedAt()));
        }
    }

    /** Whether a ring that was turned is said to have been, within 90 s and not before. */
    static boolean named(SeededCooks.CookOf cook) {
        BoilWatch watch = new BoilWatch(cook.told(), cook.pressureKpa(), cook.stopHere());
        for (Point point : cook.readings(SeededCooks.Reads.EVERY_FIVE)) {
            watch.add(point, point.celsius());
            double since = 60 * point.minute() - cook.turnedAt();
            if (!Double.isNaN(watch.turnedAt()) && since <= 90) {
                return since > 0;
            }
        }
        return false;
    }

    static double median(List<Said> of, ToDoubleFunction<Said> what) {
        return of.isEmpty()
                ? 0
                : new Median().evaluate(of.stream().mapToDouble(what).toArray());
    }

    static double coverage(List<Said> of) {
        return of.stream().filter(Said::covered).count() / (double) of.size();
    }

    static double parabola(List<Said> of) {
        return median(of, s -> Math.abs(s.parabola - s.truth));
    }

    /** Median error of the best line in hindsight. */
    static double bestLine(List<Said> of) {
        double best = Double.POSITIVE_INFINITY;
        for (int i = 0; i < LINE_SECONDS.length; i++) {
            int window = i;
            List<Said> with =
                    of.stream().filter(s -> !Double.isNaN(s.line[window])).toList();
            if (with.size() > of.size() / 2) {
                best = Math.min(best, median(with, s -> Math.abs(s.line[window] - s.truth)));
            }
        }
        return best;
    }

    /** What was said so many seconds after the ring was turned, and later. */
    List<Said> since(double seconds) {
        return said.stream().filter(s -> s.sinceTurn >= seconds).toList();
    }

    List<Said> between(double least, double greatest) {
        return said.stream().filter(s -> s.truth > least && s.truth <= greatest).toList();
    }

    private static double line(List<Point> all, int seconds, double stop) {
        List<Point> points = window(all, seconds);
        if (points.size() < 4) {
            return Double.NaN;
        }
        int step = Math.max(1, points.size() / 60);
        List<Double> slopes = new ArrayList<>();
        for (int i = 0; i < points.size(); i += step) {
            for (int j = i + step; j < points.size(); j += step) {
                slopes.add((points.get(j).celsius() - points.get(i).celsius())
                        / (points.get(j).minute() - points.get(i).minute()));
            }
        }
        double slope = median(slopes);
        double now = points.get(points.size() - 1).minute();
        double level = median(points.stream()
                .map(p -> p.celsius() + slope * (now - p.minute()))
                .toList());
        double minutes = (stop - level) / slope;
        return minutes > 0 ? Math.min(MOST_MINUTES, minutes) : MOST_MINUTES;
    }

    private static double parabola(List<Point> all, double stop) {
        List<Point> points = window(all, 300);
        if (points.size() < 4) {
            return MOST_MINUTES;
        }
        double now = points.get(points.size() - 1).minute();
        OLSMultipleLinearRegression fit = new OLSMultipleLinearRegression();
        fit.newSampleData(
                points.stream().mapToDouble(Point::celsius).toArray(),
                points.stream()
                        .map(p -> new double[] {p.minute() - now, Math.pow(p.minute() - now, 2)})
                        .toArray(double[][]::new));
        double[] c = fit.estimateRegressionParameters();
        double root = c[1] * c[1] - 4 * c[2] * (c[0] - stop);
        if (root < 0) {
            return MOST_MINUTES;
        }
        double least = MOST_MINUTES;
        for (double sign : new double[] {-1, 1}) {
            double at = (-c[1] + sign * Math.sqrt(root)) / (2 * c[2]);
            if (at > 0) {
                least = Math.min(least, at);
            }
        }
        return least;
    }

    private static List<Point> window(List<Point> all, int seconds) {
        double now = all.get(all.size() - 1).minute();
        int from = all.size();
        while (from > 0 && all.get(from - 1).minute() >= now - seconds / 60.0) {
            from--;
        }
        return all.subList(from, all.size());
    }

    private static double median(List<Double> of) {
        return new Median()
                .evaluate(of.stream().mapToDouble(Double::doubleValue).toArray());
    }
}

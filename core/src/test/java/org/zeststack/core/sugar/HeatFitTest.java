package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntPredicate;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.sugar.CookProgress.MinutesLeft;
import org.zeststack.core.sugar.CookProgress.Point;

/** Minutes left on readings whose answer is known: a pot that takes up the same heat every minute. */
public class HeatFitTest {

    private static final double STOP = 118;
    private static final PotHeat HEAT = PotHeat.of(Masses.checkCaramel(), 101.325, 15, STOP + 15);
    /** kJ in a minute, as of a ring of 1.5 kW. */
    private static final double RATE = 90;

    /** The pot's temperature when it has taken up so much. */
    private static double celsius(double kilojoules) {
        return new BrentSolver(1e-11).solve(200, c -> HEAT.kilojoules(c) - kilojoules, 15, STOP + 14.9);
    }

    /** Readings of a steady ring, the last of them {@code left} minutes before the stop. */
    private static List<Point> steady(int readings, double step, double left) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < readings; i++) {
            double before = left + (readings - 1 - i) * step;
            points.add(new Point(100 - before, celsius(HEAT.kilojoules(STOP) - RATE * before)));
        }
        return points;
    }

    private static Optional<MinutesLeft> left(List<Point> points) {
        return HeatFit.minutesLeft(HEAT, points, STOP);
    }

    /** Half the interval of a straight line through these readings, each known to 0.3 K: textbook weighted least squares. */
    private static double half(List<Point> used, double minutes) {
        double[] slopes =
                used.stream().mapToDouble(p -> HEAT.slope(p.celsius())).sorted().toArray();
        int n = slopes.length;
        double typical = n % 2 == 1 ? slopes[n / 2] : (slopes[n / 2 - 1] + slopes[n / 2]) / 2;
        double sum = 0;
        double mean = 0;
        for (Point p : used) {
            double weight = weight(p, typical);
            sum += weight;
            mean += weight * p.minute();
        }
        mean /= sum;
        double spread = 0;
        for (Point p : used) {
            spread += weight(p, typical) * Math.pow(p.minute() - mean, 2);
        }
        double slope = Math.sqrt(1 / spread) / RATE;
        double share = Math.sqrt(slope * slope + 0.12 * 0.12);
        double stop = 0.3 * HEAT.slope(STOP) / RATE;
        return 2 * Math.sqrt(Math.pow(minutes * share, 2) + stop * stop);
    }

    private static double weight(Point p, double typical) {
        double sigma = 0.3 * Math.max(typical, HEAT.slope(p.celsius()));
        return 1 / (sigma * sigma);
    }

    private static List<Point> every(List<Point> points, IntPredicate fromLast) {
        List<Point> some = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            if (fromLast.test(points.size() - 1 - i)) {
                some.add(points.get(i));
            }
        }
        return some;
    }

    /** Up to 72 readings all are taken; of more every second or third, the last always among them. */
    @DataProvider
    public Object[][] readings() {
        return new Object[][] {{5, 1}, {20, 1}, {71, 1}, {72, 1}, {73, 2}, {144, 2}, {145, 3}};
    }

    @Test(dataProvider = "readings")
    public void aSteadyRingIsReadExactlyWithItsInterval(int readings, int step) {
        List<Point> points = steady(readings, 4.5 / readings, 3.25);
        MinutesLeft left = left(points).orElseThrow();
        near(left.minutes(), 3.25, 1e-6, "property: the same heat every minute");
        double half = half(every(points, i -> i % step == 0), 3.25);
        near(left.greatest(), 3.25 + half, 1e-6, "textbook");
        near(left.least(), Math.max(0, 3.25 - half), 1e-6, "textbook");
    }

    @Test
    public void theIntervalNeverBeginsInThePast() {
        MinutesLeft left = left(steady(20, 0.25, 0.05)).orElseThrow();
        near(left.minutes(), 0.05, 1e-6, "property");
        near(left.least(), 0, 0, "not before now");
        assertTrue(left.greatest() > 0.1, left.toString());
        MinutesLeft early = left(steady(20, 0.25, 3.25)).orElseThrow();
        assertTrue(early.least() > 1.5, early.toString());
    }

    /** What happened more than six minutes ago, on another heat, does not count; six minutes ago still does. */
    @Test
    public void onlyTheLastSixMinutesCount() {
        List<Point> points = steady(33, 0.25, 3);
        for (int i = 0; i < 8; i++) {
            points.set(i, new Point(points.get(i).minute(), 60 + i));
        }
        near(left(points).orElseThrow().minutes(), 3, 1e-6, "the last six minutes");
        assertTrue(left(steady(5, 1.5, 3)).isPresent(), "the first of five just six minutes ago");
        assertTrue(left(steady(5, 1.50001, 3)).isEmpty(), "the first of five a little longer ago");
    }

    @Test
    public void nothingIsSaidFromLessThanFiveReadingsOrHalfAMinute() {
        assertTrue(left(steady(4, 0.25, 3)).isEmpty());
        assertTrue(left(steady(5, 0.125, 3)).isPresent(), "just half a minute");
        assertTrue(left(steady(5, 0.1249, 3)).isEmpty());
    }

    @Test
    public void aPotThatDoesNotTakeUpHeatHasNoMinutes() {
        List<Point> flat = new ArrayList<>();
        List<Point> falling = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            flat.add(new Point(0.25 * i, 110));
            falling.add(new Point(0.25 * i, 112 - 0.1 * i));
        }
        assertTrue(left(flat).isEmpty());
        assertTrue(left(falling).isEmpty());
    }

    /** Five readings in two minutes leave the slope uncertain by 0.3 K × dH/dT / √2.5 of a minute² (textbook). */
    @Test
    public void aPotThatMightAsWellStandHasNoMinutes() {
        double from = HEAT.kilojoules(117);
        double error = 0.3 * HEAT.slope(117) / Math.sqrt(2.5);
        for (double times : List.of(0.98, 1.02)) {
            List<Point> points = new ArrayList<>();
            for (int i = 0; i < 5; i++) {
                points.add(new Point(0.5 * i, celsius(from + times * error * 0.5 * i)));
            }
            assertEquals(left(points).isPresent(), times > 1, times + " standard errors in a minute");
        }
    }

    @Test
    public void twoReadingsOfOneMomentAreBothTaken() {
        List<Point> points = steady(20, 0.25, 3);
        points.add(10, points.get(10));
        near(left(points).orElseThrow().minutes(), 3, 1e-6, "property");
    }

    /**
     * Readings that wander by 0.3 K, one of them wild, through the first boil: against the least of Huber's loss (Huber 1964)
     * found by the simplex of Nelder and Mead, which shares nothing with reweighting but the loss.
     */
    @DataProvider
    public Object[][] wandering() {
        return new Object[][] {{3.0, 7, 60.0}, {5.0, 15, 130.0}, {12.0, 3, 40.0}, {1.0, 0, 140.0}};
    }

    @Test(dataProvider = "wandering")
    public void theFitIsHubers(double before, int wild, double wildCelsius) {
        List<Point> points = wander(before, wild, wildCelsius);
        double[] slopes = points.stream()
                .mapToDouble(p -> HEAT.slope(p.celsius()))
                .sorted()
                .toArray();
        double typical = (slopes[9] + slopes[10]) / 2;
        double now = points.get(19).minute();
        double scale = HEAT.kilojoules(points.get(19).celsius());
        double[] least = new SimplexOptimizer(1e-14, 1e-14)
                .optimize(
                        new MaxEval(20_000),
                        GoalType.MINIMIZE,
                        new InitialGuess(new double[] {scale, RATE}),
                        new NelderMeadSimplex(new double[] {50, 10}),
                        new ObjectiveFunction(line -> points.stream()
                                .mapToDouble(p -> {
                                    double off = HEAT.kilojoules(p.celsius()) - line[0] - line[1] * (p.minute() - now);
                                    double r = Math.abs(off) * Math.sqrt(weight(p, typical));
                                    return r <= 1.345 ? r * r / 2 : 1.345 * (r - 1.345 / 2);
                                })
                                .sum()))
                .getPoint();
        double expected = (HEAT.kilojoules(STOP) - least[0]) / least[1];
        near(left(points).orElseThrow().minutes(), expected, 1e-6 * expected, "Nelder and Mead");
    }

    private static List<Point> wander(double before, int wild, double wildCelsius) {
        List<Point> points = steady(20, 0.25, before);
        for (int i = 0; i < 20; i++) {
            Point p = points.get(i);
            points.set(i, new Point(p.minute(), i == wild ? wildCelsius : p.celsius() + 0.3 * Math.sin(2.4 * i * i)));
        }
        return points;
    }
}

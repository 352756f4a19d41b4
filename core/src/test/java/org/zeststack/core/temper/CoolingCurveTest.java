package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.temper.CoolingCurve.Judgement;

/** Curves of a sample in the cold whose crystals grow by Avrami's law; they are stepped finely and their slope is known. */
public class CoolingCurveTest {

    /** A curve and where its slope is greatest after the first fall. */
    private record Made(Map<Double, Double> readings, double seconds, double slope) {}

    /**
     * T' = −(T − 8)/τ + K α', α = 1 − exp(−(t/t₀)³).
     *
     * @param kelvin that the heat of crystals would warm the sample by
     */
    private static Made made(double tau, double setsSeconds, double kelvin, double every, double noise, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Map<Double, Double> readings = new TreeMap<>();
        double celsius = 32;
        double best = Double.NEGATIVE_INFINITY;
        double at = 0;
        double step = 0.1;
        double next = 0;
        for (double t = 0; t < 900; t += step) {
            if (t >= next - 1e-9) {
                readings.put((double) Math.round(t * 10) / 10, celsius + noise * random.nextGaussian());
                next += every;
            }
            double x = t / setsSeconds;
            double grows = 3 * x * x / setsSeconds * Math.exp(-x * x * x);
            double slope = -(celsius - 8) / tau + kelvin * grows;
            if (t > 0.4 * setsSeconds && t < 1.4 * setsSeconds && slope > best) {
                best = slope;
                at = t;
            }
            celsius += slope * step;
        }
        return new Made(readings, at, 60 * best);
    }

    @DataProvider
    public Object[][] curves() {
        return new Object[][] {
            {Judgement.UNDER, 260, 260, 18},
            {Judgement.WELL, 260, 260, 12},
            {Judgement.OVER, 260, 260, 6},
            {Judgement.UNDER, 200, 320, 20},
            {Judgement.OVER, 320, 200, 6},
        };
    }

    @Test(dataProvider = "curves")
    public void theSlopeWhereItIsHeldUpTellsTheTemper(Judgement wanted, double tau, double sets, double kelvin) {
        for (double every : new double[] {1, 5, 10}) {
            Made made = made(tau, sets, kelvin, every, 0.05, 7);
            CoolingCurve curve = CoolingCurve.of(made.readings);
            String why = "tau %s sets %s kelvin %s every %s: slope %.2f of %.2f at %.0f of %.0f s"
                    .formatted(
                            tau,
                            sets,
                            kelvin,
                            every,
                            curve.slopeKelvinPerMinute(),
                            made.slope,
                            curve.inflectionSeconds(),
                            made.seconds);
            assertEquals(curve.judgement(), wanted, why);
            assertEquals(curve.slopeKelvinPerMinute(), made.slope, 0.35, why);
            assertEquals(curve.inflectionSeconds(), made.seconds, 40, why);
        }
    }

    @Test
    public void flatIsFlatUpToTheLimit() {
        // Straight pieces have the slope that they are drawn with.
        assertEquals(pieces(0.3).judgement(), Judgement.WELL);
        assertEquals(pieces(-0.3).judgement(), Judgement.WELL);
        assertEquals(pieces(0.34).judgement(), Judgement.UNDER);
        assertEquals(pieces(-0.34).judgement(), Judgement.OVER);
    }

    /** Falls at 4 K/min, goes on for five minutes at a slope, falls again. */
    private static CoolingCurve pieces(double slope) {
        Map<Double, Double> readings = new TreeMap<>();
        double celsius = 32;
        for (int second = 0; second <= 600; second++) {
            readings.put((double) second, celsius);
            celsius += (second < 120 || second >= 420 ? -4 : slope * (1 - 1e-6)) / 60;
        }
        return CoolingCurve.of(readings);
    }

    @Test
    public void whatDoesNotSetIsNotJudged() {
        Made cold = made(260, 260, 0, 5, 0, 1);
        expectThrows(Refusal.class, () -> CoolingCurve.of(cold.readings));
        Map<Double, Double> few = new TreeMap<>();
        for (int i = 0; i < 11; i++) {
            few.put(10.0 * i, 30.0 - i);
        }
        assertEquals(
                expectThrows(InvalidInput.class, () -> CoolingCurve.of(few))
                        .faults()
                        .get(0)
                        .field(),
                "readings");
        Map<Double, Double> brief = new TreeMap<>();
        for (int i = 0; i < 12; i++) {
            brief.put(8.0 * i, 30.0 - i);
        }
        expectThrows(InvalidInput.class, () -> CoolingCurve.of(brief));
    }

    /** Slope and height at a moment by weighted least squares of a library, tricube weights (Cleveland 1979). */
    private static double[] reference(Map<Double, Double> readings, double at, double half) {
        List<double[]> rows = new ArrayList<>();
        List<Double> weighed = new ArrayList<>();
        readings.forEach((second, celsius) -> {
            double x = (second - at) / half;
            if (Math.abs(x) < 1) {
                double root = Math.pow(1 - Math.pow(Math.abs(x), 3), 1.5);
                rows.add(new double[] {root, root * x, root * x * x});
                weighed.add(root * celsius);
            }
        });
        OLSMultipleLinearRegression fit = new OLSMultipleLinearRegression();
        fit.setNoIntercept(true);
        fit.newSampleData(weighed.stream().mapToDouble(Double::doubleValue).toArray(), rows.toArray(double[][]::new));
        double[] found = fit.estimateRegressionParameters();
        return new double[] {found[0], 60 * found[1] / half};
    }

    /** Readings at uneven seconds that begin late, over a short and over a long time: the window is 20 s or 8 % of it to each side. */
    @Test
    public void everySlopeIsThatOfTheLibrarysFit() {
        for (double slower : new double[] {1, 4}) {
            Map<Double, Double> readings = new TreeMap<>();
            SplittableRandom random = new SplittableRandom(11);
            made(50 * slower, 50 * slower, 12, 0.1, 0.02, 3).readings.forEach((second, celsius) -> {
                if (second <= 220 * slower && random.nextInt(20) == 0) {
                    readings.put(1000 + second, celsius);
                }
            });
            CoolingCurve curve = CoolingCurve.of(readings);
            double first = readings.keySet().stream().min(Double::compare).orElseThrow();
            double last = readings.keySet().stream().max(Double::compare).orElseThrow();
            double half = Math.max(20, 0.08 * (last - first));
            assertEquals(
                    curve.slopes().stream().map(CoolingCurve.Slope::seconds).toList(),
                    readings.keySet().stream()
                            .filter(s -> s >= first + half && s <= last - half)
                            .toList());
            for (CoolingCurve.Slope slope : curve.slopes()) {
                assertEquals(slope.kelvinPerMinute(), reference(readings, slope.seconds(), half)[1], 1e-6);
            }
            double[] held = reference(readings, curve.inflectionSeconds(), half);
            assertEquals(curve.inflectionCelsius(), held[0], 1e-7);
            assertEquals(curve.slopeKelvinPerMinute(), held[1], 1e-6);
        }
    }

    /** A tenth of the fastest fall, 4 K/min, tells it apart. */
    @Test
    public void whatHardlyStandsOutIsNotHeldUp() {
        assertEquals(pieces(-3.5).judgement(), Judgement.OVER);
        assertEquals(pieces(-3.5).slopeKelvinPerMinute(), -3.5, 1e-4);
        expectThrows(Refusal.class, () -> pieces(-3.7));
    }

    /** A fall on one side only holds nothing up; nor does what rises. */
    @Test
    public void itFallsBeforeAndAfter() {
        Map<Double, Double> ends = new TreeMap<>();
        Map<Double, Double> begins = new TreeMap<>();
        Map<Double, Double> rises = new TreeMap<>();
        for (int i = 0; i <= 60; i++) {
            ends.put(10.0 * i, 32 - Math.min(i, 20) * 0.6);
            begins.put(10.0 * i, 32 - Math.max(0, i - 40) * 0.6);
            rises.put(10.0 * i, 20 + 0.1 * i);
        }
        for (Map<Double, Double> curve : List.of(ends, begins, rises)) {
            expectThrows(Refusal.class, () -> CoolingCurve.of(curve));
        }
    }

    @Test
    public void twelveReadingsOverNinetySecondsAreReadAndNoMoreThanTwentyThousand() {
        Map<Double, Double> least = new TreeMap<>();
        for (int i = 0; i < 11; i++) {
            least.put(1000 + 8.0 * i, 30.0 - i);
        }
        least.put(1090.0, 18.0);
        expectThrows(Refusal.class, () -> CoolingCurve.of(least));
        least.remove(1090.0);
        least.put(1089.5, 18.0);
        assertEquals(
                expectThrows(InvalidInput.class, () -> CoolingCurve.of(least))
                        .faults()
                        .get(0)
                        .given(),
                "89.5");
        Map<Double, Double> many = new TreeMap<>();
        for (int i = 0; i <= CoolingCurve.MOST_READINGS; i++) {
            many.put((double) i, 30 - i / 1000.0);
        }
        assertEquals(
                expectThrows(InvalidInput.class, () -> CoolingCurve.of(many))
                        .faults()
                        .get(0)
                        .given(),
                "20001");
    }
}

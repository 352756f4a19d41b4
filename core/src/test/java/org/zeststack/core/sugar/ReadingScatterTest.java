package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import org.testng.annotations.Test;
import org.zeststack.core.sugar.CookProgress.Point;

public class ReadingScatterTest {

    private static ReadingScatter of(int readings, double kelvin, double[] apartSeconds) {
        ReadingScatter scatter = new ReadingScatter();
        RandomGenerator random = new SplittableRandom(11);
        double seconds = 0;
        for (int i = 0; i < readings; i++) {
            scatter.saw(new Point(seconds / 60, 100 + seconds / 10 + kelvin * random.nextGaussian()));
            seconds += apartSeconds[i % apartSeconds.length];
        }
        return scatter;
    }

    /** A straight line has no scatter about itself, however unevenly it is read; it rises 0.1 K a second. */
    @Test
    public void aLineScattersNot() {
        assertEquals(of(40, 0, new double[] {5, 5}).kelvin(), ReadingScatter.LEAST_KELVIN);
        assertEquals(of(40, 0, new double[] {2, 9}).kelvin(), ReadingScatter.LEAST_KELVIN);
    }

    /** The spread that the readings were made with, within what 25 of them can tell. */
    @Test
    public void theSpreadThatTheyWereMadeWithIsFound() {
        for (double[] apart : new double[][] {{5}, {2, 9}, {3, 8, 5}}) {
            double sum = 0;
            ReadingScatter scatter = new ReadingScatter();
            RandomGenerator random = new SplittableRandom(7);
            double seconds = 0;
            for (int i = 0; i < 2000; i++) {
                scatter.saw(new Point(seconds / 60, 100 + seconds / 10 + 0.18 * random.nextGaussian()));
                seconds += apart[i % apart.length];
                sum += i < 100 ? 0 : scatter.kelvin();
            }
            assertEquals(sum / 1900, 0.18, 0.012, "read every so many seconds: " + java.util.Arrays.toString(apart));
        }
    }

    @Test
    public void nothingIsBelievedBeforeThereIsEnough() {
        int enough = ReadingScatter.ENOUGH + 2;
        assertEquals(of(enough - 1, 0, new double[] {5}).kelvin(), ReadingScatter.USUAL_KELVIN);
        assertEquals(of(enough, 0, new double[] {5}).kelvin(), ReadingScatter.LEAST_KELVIN);
        assertEquals(of(60, 5, new double[] {5}).kelvin(), ReadingScatter.USUAL_KELVIN, "never more than the usual");
    }

    /** Readings by hand, far apart, tell nothing of it; nor do several at once. */
    @Test
    public void readingsFarApartTellNothing() {
        assertEquals(of(40, 0, new double[] {45}).kelvin(), ReadingScatter.USUAL_KELVIN);
        assertEquals(of(40, 0, new double[] {12}).kelvin(), ReadingScatter.LEAST_KELVIN);
        assertEquals(of(40, 0, new double[] {13}).kelvin(), ReadingScatter.USUAL_KELVIN);
        assertTrue(of(40, 0, new double[] {0.1}).kelvin() >= ReadingScatter.LEAST_KELVIN);
    }
}

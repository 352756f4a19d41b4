package org.zeststack.core.temper;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import org.testng.Reporter;
import org.testng.annotations.Test;
import org.zeststack.core.temper.TemperVerdict.Reading;
import org.zeststack.core.temper.TemperVerdict.Verdict;

/** False and missed alarms over a dark bowl, top 32 °C: thermometers that scatter by 0.1 to 0.3 K, read every 1, 5 or 15 s. */
public class TemperAlarmTest {

    private static final TemperWindow DARK = TemperWindow.of("dark");
    private static final int STREAMS = 2000;

    /** Seconds from reading to reading. */
    private static final int[] EVERY = {1, 5, 15};

    /** A bowl that was melted and seeded half an hour ago. */
    private static List<Reading> begun() {
        List<Reading> readings = new ArrayList<>();
        readings.add(new Reading(-1800, 46.5, false));
        readings.add(new Reading(-900, 31.5, false));
        return readings;
    }

    @Test
    public void aBowlJustBelowItsTopIsNotCalledLost() {
        SplittableRandom random = new SplittableRandom(5_000_000);
        int[] lost = new int[EVERY.length];
        for (int i = 0; i < STREAMS; i++) {
            int every = EVERY[i % EVERY.length];
            double noise = random.nextDouble(0.1, 0.3);
            List<Reading> readings = begun();
            for (int second = 0; second <= 600; second += every) {
                readings.add(new Reading(second, 31.9 + noise * random.nextGaussian(), false));
            }
            Verdict verdict = TemperStream.of(DARK, Method.SEED, readings, TemperStream.UNCERTAIN_KELVIN)
                    .verdict();
            lost[i % EVERY.length] += verdict == Verdict.LOST ? 1 : 0;
        }
        String told = "falsely lost, every 1, 5, 15 s: " + Arrays.toString(lost) + " of " + STREAMS;
        Reporter.log(told, true);
        assertTrue(Arrays.stream(lost).sum() <= 0.01 * STREAMS, told);
    }

    @Test
    public void aBowlThatDriftsOverIsCalledLostInTime() {
        SplittableRandom random = new SplittableRandom(6_000_000);
        int[] missed = new int[EVERY.length];
        for (int i = 0; i < STREAMS; i++) {
            int every = EVERY[i % EVERY.length];
            double noise = random.nextDouble(0.1, 0.3);
            double perSecond = random.nextDouble(0.4, 1) / 60;
            double passes = 300 + random.nextDouble(0, 60);
            List<Reading> readings = begun();
            for (int second = 0; second <= passes + 45; second += every) {
                double level = Math.max(31.4, Math.min(33, 32.5 + perSecond * (second - passes)));
                readings.add(new Reading(second, level + noise * random.nextGaussian(), false));
            }
            Verdict verdict = TemperStream.of(DARK, Method.SEED, readings, TemperStream.UNCERTAIN_KELVIN)
                    .verdict();
            missed[i % EVERY.length] += verdict == Verdict.LOST ? 0 : 1;
        }
        String told = "missed, every 1, 5, 15 s: " + Arrays.toString(missed) + " of " + STREAMS;
        Reporter.log(told, true);
        assertTrue(Arrays.stream(missed).sum() <= 0.01 * STREAMS, told);
    }
}

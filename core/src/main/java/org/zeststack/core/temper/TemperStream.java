package org.zeststack.core.temper;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.stat.descriptive.rank.Median;
import org.zeststack.core.temper.TemperVerdict.Reading;

/**
 * The stream of a thermometer in a bowl, judged: readings that come closer than 5 s are first reduced to the median of 10 s, the top is
 * raised by what the thermometer leaves open, and readings that stand within 40 s are lost only by their level, with 2.4 of its
 * standard errors to spare. How much they scatter is told by how far each is from the middle of its neighbours. A confirmed reading is
 * taken as it is read.
 */
public final class TemperStream {

    /** What a thermometer leaves open where nobody has said, K (common practice, no source). */
    public static final double UNCERTAIN_KELVIN = 0.3;

    private static final int LEAST_READINGS = 12;
    private static final double LEAST_NOISE = 0.02;
    private static final double MEDIAN_OF_NORMAL = 0.6745;
    public static final double CLOSE_SECONDS = 5;
    private static final double MEDIAN_SECONDS = 10;

    private TemperStream() {}

    /**
     * Judges a stream, oldest reading first.
     *
     * @param uncertainKelvin of the thermometer, 0 or more
     */
    public static TemperVerdict.State of(
            TemperWindow window, Method method, List<Reading> readings, double uncertainKelvin) {
        return of(window, method, readings, List.of(), uncertainKelvin);
    }

    /** The same where somebody said against the readings which step it is in. */
    public static TemperVerdict.State of(
            TemperWindow window,
            Method method,
            List<Reading> readings,
            List<TemperVerdict.Overrule> overrules,
            double uncertainKelvin) {
        List<Reading> reduced = reduced(readings);
        return TemperVerdict.of(
                window,
                method,
                reduced,
                overrules,
                new TemperVerdict.Scatter(uncertainKelvin, noise(reduced, uncertainKelvin)));
    }

    /**
     * Standard deviation of a reading: the median distance from the middle of its neighbours, over 0.6745 √1.5. With few readings what the thermometer leaves open.
     */
    static double noise(List<Reading> readings, double uncertainKelvin) {
        if (readings.size() < LEAST_READINGS) {
            return uncertainKelvin;
        }
        double[] apart = new double[readings.size() - 2];
        for (int i = 1; i < readings.size() - 1; i++) {
            double middle = (readings.get(i - 1).celsius() + readings.get(i + 1).celsius()) / 2;
            apart[i - 1] = Math.abs(readings.get(i).celsius() - middle);
        }
        double noise = new Median().evaluate(apart) / (MEDIAN_OF_NORMAL * Math.sqrt(1.5));
        return Math.max(LEAST_NOISE, noise);
    }

    /** Runs of close readings as medians of ten seconds each, dated to their last. */
    static List<Reading> reduced(List<Reading> readings) {
        List<Reading> reduced = new ArrayList<>();
        List<Reading> together = new ArrayList<>();
        for (Reading reading : readings) {
            boolean close = !together.isEmpty()
                    && reading.seconds() - together.get(together.size() - 1).seconds() < CLOSE_SECONDS
                    && reading.seconds() - together.get(0).seconds() < MEDIAN_SECONDS;
            if (!close || reading.confirmed()) {
                flush(together, reduced);
            }
            if (reading.confirmed()) {
                reduced.add(reading);
            } else {
                together.add(reading);
            }
        }
        flush(together, reduced);
        return reduced;
    }

    private static void flush(List<Reading> together, List<Reading> into) {
        if (!together.isEmpty()) {
            double median = new Median()
                    .evaluate(together.stream().mapToDouble(Reading::celsius).toArray());
            into.add(new Reading(together.get(together.size() - 1).seconds(), median, false));
            together.clear();
        }
    }
}

package org.zeststack.core.temper;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.stat.descriptive.rank.Median;
import org.zeststack.core.temper.TemperVerdict.Reading;

/**
 * The stream of a thermometer in a bowl, judged: readings that come closer than 5 s are first reduced to the median of 10 s, and the top
 * is raised by what the thermometer leaves open. A confirmed reading is taken as it is read.
 */
public final class TemperStream {

    /** What a thermometer leaves open where nobody has said, K (common practice, no source). */
    public static final double UNCERTAIN_KELVIN = 0.3;

    private static final double CLOSE_SECONDS = 5;
    private static final double MEDIAN_SECONDS = 10;

    private TemperStream() {}

    /**
     * Judges a stream, oldest reading first.
     *
     * @param uncertainKelvin of the thermometer, 0 or more
     */
    public static TemperVerdict.State of(
            TemperWindow window, Method method, List<Reading> readings, double uncertainKelvin) {
        return TemperVerdict.of(window, method, reduced(readings), uncertainKelvin);
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

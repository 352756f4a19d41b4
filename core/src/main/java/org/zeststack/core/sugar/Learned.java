package org.zeststack.core.sugar;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import org.hipparchus.stat.descriptive.rank.Median;

/**
 * What earlier cooks teach, each figure the median of them, with how many it rests on.
 *
 * @param cooks that heat and minutes rest on
 * @param kilowattsPerKilogram heat that the mass took up, for a kilogram of what went in
 * @param minutesPerKilogram from the boil to when it was taken off, for a kilogram of what went in
 * @param climbs cooks that the after-heat rests on
 * @param afterHeatKelvin how much it climbs after it was taken off; 0 where no cook tells
 */
public record Learned(
        int cooks, double kilowattsPerKilogram, double minutesPerKilogram, int climbs, double afterHeatKelvin) {

    public static final Learned NOTHING = new Learned(0, 0, 0, 0, 0);

    /** Sums up lessons. */
    public static Learned of(List<CookLesson> lessons) {
        if (lessons.isEmpty()) {
            return NOTHING;
        }
        List<CookLesson> climbing =
                lessons.stream().filter(l -> l.afterHeatKelvin().isPresent()).toList();
        return new Learned(
                lessons.size(),
                median(lessons, l -> l.kilowatts() / l.kilograms()),
                median(lessons, l -> l.boiledMinutes() / l.kilograms()),
                climbing.size(),
                climbing.isEmpty()
                        ? 0
                        : median(climbing, l -> l.afterHeatKelvin().getAsDouble()));
    }

    private static double median(List<CookLesson> of, ToDoubleFunction<CookLesson> what) {
        return new Median().evaluate(of.stream().mapToDouble(what).toArray());
    }

    /** Minutes from the boil that so much will take; empty where no cook tells. */
    public OptionalDouble minutes(double grams) {
        return cooks == 0 ? OptionalDouble.empty() : OptionalDouble.of(minutesPerKilogram * grams / 1000);
    }
}

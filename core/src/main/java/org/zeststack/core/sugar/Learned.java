package org.zeststack.core.sugar;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import org.hipparchus.stat.descriptive.rank.Median;
import org.zeststack.core.sugar.CookProgress.MinutesLeft;

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

    /** Net heat of a kitchen's rings, kW for a kilogram of what went in: least, usual, greatest (common practice, no source). */
    private static final double[] RINGS = {0.25, 0.45, 0.7};

    /** Share by which the heat of one ring differs from cook to cook (our own choice). */
    private static final double SPREAD = 0.2;

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

    /**
     * Minutes that so much heat takes: at the heat that cooks of it took up, else at any that rings have.
     *
     * @param kilojoules to be taken up
     * @param grams what goes in
     */
    public MinutesLeft heating(double kilojoules, double grams) {
        double kilograms = grams / 1000;
        if (cooks > 0) {
            return at(kilowattsPerKilogram * kilograms, kilojoules);
        }
        double minutes = kilojoules / kilograms / 60;
        return new MinutesLeft(minutes / RINGS[1], minutes / RINGS[2], minutes / RINGS[0]);
    }

    /** Minutes that so much heat takes at a heat that is known as well as one cook tells of the next. */
    static MinutesLeft at(double kilowatts, double kilojoules) {
        double minutes = kilojoules / kilowatts / 60;
        return new MinutesLeft(minutes, minutes / (1 + SPREAD), minutes / (1 - SPREAD));
    }

    /** Minutes from the boil that so much will take; empty where no cook tells. */
    public OptionalDouble minutes(double grams) {
        return cooks == 0 ? OptionalDouble.empty() : OptionalDouble.of(minutesPerKilogram * grams / 1000);
    }
}

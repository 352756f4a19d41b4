package org.zeststack.core.weighing;

import java.util.List;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;
import org.zeststack.core.quantity.Say;

/**
 * What the weigh-ins of one layer say.
 *
 * @param count number of weigh-ins
 * @param meanGrams mean per cavity; 0 without weigh-ins
 * @param deviationGrams sample standard deviation; 0 with fewer than two
 * @param light weigh-ins below the window
 * @param heavy weigh-ins above it
 * @param advice one sentence for the next cavities
 */
public record WeighInSummary(int count, double meanGrams, double deviationGrams, int light, int heavy, String advice) {

    private static final int RECENT = 4;

    /** Summarises weights per cavity, oldest first. */
    public static WeighInSummary of(List<Double> grams, FillWindow window) {
        DescriptiveStatistics all = new DescriptiveStatistics();
        grams.forEach(all::addValue);
        int light = count(grams, window, FillWindow.Place.LIGHT);
        int heavy = count(grams, window, FillWindow.Place.HEAVY);
        return new WeighInSummary(
                grams.size(),
                grams.isEmpty() ? 0 : all.getMean(),
                grams.size() < 2 ? 0 : all.getStandardDeviation(),
                light,
                heavy,
                advice(grams, window));
    }

    private static int count(List<Double> grams, FillWindow window, FillWindow.Place place) {
        return (int) grams.stream().filter(g -> window.place(g) == place).count();
    }

    private static String advice(List<Double> grams, FillWindow window) {
        if (grams.isEmpty()) {
            return "";
        }
        List<Double> recent = grams.subList(Math.max(0, grams.size() - RECENT), grams.size());
        double off = recent.stream()
                .mapToDouble(g -> g - window.targetGrams())
                .average()
                .orElse(0);
        double last = grams.get(grams.size() - 1);
        FillWindow.Place place = window.place(last);
        if (place == FillWindow.Place.INSIDE && window.place(window.targetGrams() + off) == FillWindow.Place.INSIDE) {
            return "Inside the window.";
        }
        double bySize = place == FillWindow.Place.INSIDE ? off : last - window.targetGrams();
        String over = place == FillWindow.Place.INSIDE ? " over the last %d".formatted(recent.size()) : "";
        return bySize < 0
                ? "%s light%s: give more.".formatted(Say.grams(-bySize, 1), over)
                : "%s heavy%s: give less.".formatted(Say.grams(bySize, 1), over);
    }
}

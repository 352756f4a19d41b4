package org.zeststack.core.judge;

import static org.zeststack.core.quantity.Numbers.fixed;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.keeping.ShelfBand;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.StackLayer;

/**
 * How long a piece may keep: its weakest part decides, and a finish that is not tempered. A part that holds water of which nobody
 * knows how free it is makes it unknown.
 *
 * @param band of the weakest part, taken on the worse side of its uncertainty; null where it is not known
 * @param leastWeeks at least, 0 where it is not known
 * @param greatestWeeks at most, 0 where it is not known
 * @param unknown names of the parts that make it unknown; empty where it is known
 * @param arithmetic what decides
 */
public record Keeping(ShelfBand band, int leastWeeks, int greatestWeeks, String unknown, String arithmetic) {

    public static final String SOURCE = "Bands of water activity (from memory); weeks are common practice, no source.";

    public static Keeping of(BarStack stack) {
        List<StackLayer> unknown = stack.layers().stream()
                .filter(l ->
                        l.material().waterActivity() == null && l.material().holdsWater())
                .toList();
        if (!unknown.isEmpty()) {
            String names = unknown.stream().map(StackLayer::name).distinct().collect(Collectors.joining(", "));
            return new Keeping(null, 0, 0, names, "");
        }
        StackLayer wettest = stack.layers().stream()
                .filter(l -> l.material().waterActivity() != null)
                .max(Comparator.comparing(l -> l.material().waterActivity()))
                .orElse(null);
        double uncertainty = stack.bounds().of("activity-uncertainty").greatest();
        double activity = wettest == null ? 0 : Math.min(1, wettest.material().waterActivity() + uncertainty);
        ShelfBand band = ShelfBand.of(activity, stack.bounds());
        Bound weeks = band.weeks(stack.bounds());
        Bound cold =
                stack.bar().finish() == Bar.Finish.KEPT_COLD ? stack.bounds().of("kept-cold") : weeks;
        return new Keeping(
                band,
                (int) Math.min(cold.least(), weeks.least()),
                (int) Math.min(cold.greatest(), weeks.greatest()),
                "",
                wettest == null
                        ? "nothing in it holds free water: " + band.words()
                        : "%s at a_w %s ± %s: %s"
                                .formatted(
                                        wettest.name(),
                                        fixed(wettest.material().waterActivity(), 2),
                                        fixed(uncertainty, 2),
                                        band.words()));
    }

    public boolean known() {
        return band != null;
    }

    public String words() {
        return "about %d to %d weeks".formatted(leastWeeks, greatestWeeks);
    }
}

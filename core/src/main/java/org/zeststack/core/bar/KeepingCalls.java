package org.zeststack.core.bar;

import static org.zeststack.core.bar.BarCalls.PRACTICE;
import static org.zeststack.core.bar.BarCalls.percent;
import static org.zeststack.core.quantity.Numbers.fixed;

import java.util.Comparator;
import java.util.Optional;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.keeping.ShelfBand;

/** How long it may keep and what decides it; spirits. */
final class KeepingCalls {

    /** Alcohol over a layer's mass from which it is told, and over a piece's from which it must be declared with care. */
    private static final double SPIRIT = 0.005;

    private static final double MUCH_SPIRIT = 0.05;

    /** Without temper a piece lasts about so long in the cold (common practice, no source). */
    private static final int KEPT_COLD_WEEKS = 2;

    private final BarCalls calls;
    private final BarStack stack;

    private KeepingCalls(BarCalls calls) {
        this.calls = calls;
        this.stack = calls.stack();
    }

    static void add(BarCalls calls) {
        KeepingCalls own = new KeepingCalls(calls);
        own.keeping();
        own.spirits();
    }

    private static Optional<StackLayer> wettest(BarStack stack) {
        return stack.layers().stream()
                .filter(l ->
                        l.material().waterActivity() != null && !l.material().dry())
                .max(Comparator.comparing(l -> l.material().waterActivity()));
    }

    /** The band of a bar's wettest layer. */
    static ShelfBand band(BarStack stack) {
        return ShelfBand.of(Math.min(
                1, wettest(stack).map(l -> l.material().waterActivity()).orElse(0.0)));
    }

    private void keeping() {
        Optional<StackLayer> wettest = wettest(stack);
        ShelfBand band = band(stack);
        boolean keptCold = stack.bar().finish() == Bar.Finish.KEPT_COLD;
        String decides = wettest.map(l -> "%s at a_w %s ± 0.03: %s"
                        .formatted(l.name(), fixed(l.material().waterActivity(), 2), band.words()))
                .orElse("nothing in it holds free water: " + band.words());
        int least = keptCold ? Math.min(1, band.leastWeeks()) : band.leastWeeks();
        int greatest = keptCold ? Math.min(KEPT_COLD_WEEKS, band.greatestWeeks()) : band.greatestWeeks();
        calls.add(
                Weight.GOOD_TO_KNOW,
                "keeping",
                "May keep about %d to %d weeks%s. A laboratory's measurement and your local rules decide."
                        .formatted(least, greatest, keptCold ? ", since it is not tempered" : ""),
                decides,
                "Bands of water activity (from memory); weeks are common practice, no source.");
    }

    private void spirits() {
        for (StackLayer layer : stack.layers()) {
            Composition hundred = layer.material().per100Grams();
            double alcohol = hundred.grams(Part.ALCOHOL) / hundred.totalGrams();
            if (alcohol < SPIRIT) {
                continue;
            }
            double wet = hundred.grams(Part.ALCOHOL) / (hundred.grams(Part.ALCOHOL) + hundred.waterGrams());
            double ofPiece = alcohol * layer.grams() / stack.pieceGrams();
            Double activity = layer.material().waterActivity();
            calls.add(
                    ofPiece >= MUCH_SPIRIT ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                    "spirits",
                    "%s holds %s alcohol: not for children, and to be declared where local rules say so.%s"
                            .formatted(
                                    layer.name(),
                                    percent(alcohol),
                                    activity == null
                                            ? ""
                                            : " It counts as water-like and preserving: a_w about %s with it."
                                                    .formatted(fixed(activity, 2))),
                    "%s of the layer, %s of what is liquid in it, %s of the piece"
                            .formatted(percent(alcohol), percent(wet), percent(ofPiece)),
                    PRACTICE);
        }
    }
}

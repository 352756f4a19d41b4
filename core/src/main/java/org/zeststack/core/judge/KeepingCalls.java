package org.zeststack.core.judge;

import static org.zeststack.core.judge.BarCalls.percent;

import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.StackLayer;

/** How long it may keep and what decides it; spirits. */
final class KeepingCalls {

    private static final String SPIRITS_CARE = "spirits-care";
    private static final String SPIRITS_TOLD = "spirits-told";

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

    private void keeping() {
        Keeping keeping = Keeping.of(stack);
        calls.add(keeping.weight(), keeping.code(), keeping.message(), keeping.arithmetic());
    }

    private void spirits() {
        for (StackLayer layer : stack.layers()) {
            Composition hundred = layer.material().per100Grams();
            double alcohol = hundred.grams(Part.ALCOHOL) / hundred.totalGrams();
            if (alcohol < calls.bound(SPIRITS_TOLD).least()) {
                continue;
            }
            double wet = hundred.grams(Part.ALCOHOL) / (hundred.grams(Part.ALCOHOL) + hundred.waterGrams());
            double ofPiece = alcohol * layer.grams() / stack.pieceGrams();
            Double activity = layer.material().waterActivity();
            calls.add(
                    alcohol >= calls.bound(SPIRITS_CARE).least() ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                    "spirits",
                    "%s holds %s alcohol: not for children, and to be declared where local rules say so.%s"
                            .formatted(
                                    layer.name(),
                                    percent(alcohol),
                                    activity == null
                                            ? ""
                                            : " It counts as water-like and preserving: a_w about %s with it."
                                                    .formatted(Say.number(activity, 2))),
                    "%s of the layer, %s of what is liquid in it, %s of the piece"
                            .formatted(percent(alcohol), percent(wet), percent(ofPiece)));
        }
    }
}

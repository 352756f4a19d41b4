package org.zeststack.core.judge;

import static org.zeststack.core.quantity.Numbers.plain;

import java.util.List;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;

/** Whether something holds what is in a piece: a shell and a back, a layer around its pieces, a hollow with room. */
final class ContentCalls {

    private static final String PACKED_PIECES = "packed-pieces";
    private static final String LOOSE_PIECES = "loose-pieces";

    private final BarCalls calls;
    private final BarStack stack;
    private final Frame.Moulded frame;

    private ContentCalls(BarCalls calls, Frame.Moulded frame) {
        this.calls = calls;
        this.stack = calls.stack();
        this.frame = frame;
    }

    static void add(BarCalls calls) {
        crowded(calls);
        if (calls.stack().frame() instanceof Frame.Moulded moulded) {
            ContentCalls content = new ContentCalls(calls, moulded);
            content.enclosed();
            content.loose();
        }
    }

    /** Pieces that lie in a layer leave room between them that the layer must fill. */
    private static void crowded(BarCalls calls) {
        List<StackLayer> layers = calls.stack().layers();
        for (StackLayer level : layers) {
            if (!level.kind().level()) {
                continue;
            }
            List<StackLayer> in = layers.stream()
                    .filter(l -> l.kind() == LayerKind.INCLUSION && NeighbourCalls.touch(level, l))
                    .filter(l -> l.design().embedded() > 0)
                    .toList();
            double ml = in.stream()
                    .mapToDouble(l -> l.volumeMl() * l.design().embedded())
                    .sum();
            double share = ml / (ml + level.volumeMl());
            if (share > calls.bound(PACKED_PIECES).greatest()) {
                calls.add(
                        Weight.WILL_FAIL,
                        "inclusions-too-many",
                        "%s is too little to wrap what lies in it: loose pieces fill no more than %s of a room."
                                .formatted(
                                        level.name(),
                                        BarCalls.percent(
                                                calls.bound(PACKED_PIECES).greatest())),
                        "%s of pieces in %s: %s"
                                .formatted(
                                        Say.of(ml, 1, Measure.MILLILITRES),
                                        Say.of(ml + level.volumeMl(), 1, Measure.MILLILITRES),
                                        BarCalls.percent(share)));
            }
        }
    }

    /** A moulded bar is lined, and closed by a back or its other half, wherever it is not couverture or compound all through. */
    private void enclosed() {
        if (stack.bar().build() != Build.MOULDED) {
            return;
        }
        List<StackLayer> soft = stack.layers().stream()
                .filter(l -> l.kind().level() || l.kind() == LayerKind.INSERT)
                .filter(l -> !l.material().isCoating())
                .toList();
        if (soft.isEmpty()) {
            return;
        }
        if (stack.first(LayerKind.SHELL).isEmpty()) {
            calls.add(
                    Weight.WILL_FAIL,
                    "no-shell",
                    "Nothing lines the cavity: %s holds on to the mould. Line it with couverture first."
                            .formatted(soft.get(0).name()),
                    "a moulded bar without a shell");
        }
        StackLayer last = soft.get(soft.size() - 1);
        boolean joined = frame.halves() > 1;
        boolean covered = joined
                || stack.layers().stream()
                        .anyMatch(l -> l.index() > last.index()
                                && l.kind().level()
                                && l.material().isCoating());
        if (!covered) {
            calls.add(
                    Weight.WILL_FAIL,
                    "no-back",
                    "Nothing closes the back: %s dries out and leaks. Close it with couverture.".formatted(last.name()),
                    "a moulded bar without a back");
        }
    }

    /** Loose content of hollow pieces. */
    private void loose() {
        List<StackLayer> content = stack.all(LayerKind.INCLUSION);
        boolean filled = stack.layers().stream().anyMatch(l -> l.kind().level() && l.kind() != LayerKind.BACK);
        if (content.isEmpty() || filled) {
            return;
        }
        double bulk = content.stream().mapToDouble(StackLayer::volumeMl).sum()
                / calls.bound(LOOSE_PIECES).greatest();
        double room = frame.inside().volumeMl() * frame.halves();
        if (bulk > room) {
            calls.add(
                    Weight.WILL_FAIL,
                    "overfull",
                    "The loose content takes %s lying loose; the hollow has %s."
                            .formatted(Say.of(bulk, 1, Measure.MILLILITRES), Say.of(room, 1, Measure.MILLILITRES)),
                    "%s / %s = %s"
                            .formatted(
                                    Say.of(bulk * calls.bound(LOOSE_PIECES).greatest(), 1, Measure.MILLILITRES),
                                    plain(calls.bound(LOOSE_PIECES).greatest()),
                                    Say.of(bulk, 1, Measure.MILLILITRES)));
        }
    }
}

package org.zeststack.core.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.explain.Call;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.stack.BarStack;

/** Tries what a call proposes: only what clears its call and raises nothing as grave is offered. */
final class Mending {

    private Mending() {}

    /** The calls with those changes taken away that do not help. */
    static List<Call> tried(BarStack stack, List<Call> calls) {
        return calls.stream()
                .map(c -> c.change() == null || helps(stack, calls, c)
                        ? c
                        : new Call(c.weight(), c.code(), c.message(), c.arithmetic(), c.source()))
                .toList();
    }

    private static boolean helps(BarStack stack, List<Call> calls, Call call) {
        try {
            BarStack mended = BarStack.of(with(stack.bar(), call.change()), stack.parts());
            List<Call> after = BarCalls.said(mended);
            return count(after, call) < count(calls, call)
                    && after.stream()
                            .filter(c -> c.weight().compareTo(call.weight()) <= 0)
                            .allMatch(c -> count(after, c) <= count(calls, c));
        } catch (InvalidInput impossible) {
            return false;
        }
    }

    private static long count(List<Call> calls, Call like) {
        return calls.stream()
                .filter(c -> c.code().equals(like.code()) && c.weight() == like.weight())
                .count();
    }

    private static Bar with(Bar bar, Call.Change change) {
        Bar now = bar;
        for (Map.Entry<String, String> field : change.fields().entrySet()) {
            now = with(now, field.getKey(), field.getValue());
        }
        return now;
    }

    private static Bar with(Bar b, String field, String text) {
        String[] path = field.split("\\.");
        if (path[0].equals("layer")) {
            List<BarLayer> layers = new ArrayList<>(b.layers());
            int i = Integer.parseInt(path[1]);
            layers.set(i, with(layers.get(i), path[2], Double.parseDouble(text)));
            return b.with(layers);
        }
        return new Bar(
                b.build(),
                path[0].equals("body") ? with((Body.Slab) b.body(), path[1], Double.parseDouble(text)) : b.body(),
                b.layers(),
                field.equals("finish") ? Bar.Finish.valueOf(text) : b.finish(),
                field.equals("storage") ? Bar.Storage.valueOf(text) : b.storage(),
                field.equals("soldAs") ? Bar.SoldAs.valueOf(text) : b.soldAs(),
                field.equals("declaredGrams") ? Double.valueOf(text) : b.declaredGrams(),
                field.equals("centreCelsius") ? Double.valueOf(text) : b.centreCelsius(),
                b.bowlMm(),
                b.method());
    }

    private static Body.Slab with(Body.Slab slab, String field, double mm) {
        boolean length = field.equals("pieceLengthMm");
        return new Body.Slab(
                slab.lengthMm(),
                slab.widthMm(),
                length ? mm : slab.pieceLengthMm(),
                length ? slab.pieceWidthMm() : mm,
                slab.kerfMm(),
                slab.trimMm(),
                Math.min(slab.cornerMm(), mm / 2),
                slab.cutting());
    }

    private static BarLayer with(BarLayer layer, String field, double figure) {
        return switch (field) {
            case "amount" -> layer.amount(figure);
            case "celsius" -> layer.at(figure);
            case "lengthMm" -> layer.with(layer.insert().ofLength(figure));
            case "widthMm" -> layer.with(layer.insert().ofWidth(figure));
            case "heightMm" -> layer.with(layer.insert().ofHeight(figure));
            default -> throw new IllegalStateException("no call changes " + field);
        };
    }
}

package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.Body;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.cavity.Prism;
import org.zeststack.core.weighing.FillWindow;

/**
 * A sheet that is spread and broken: n pieces of it, n its mass less the crumbs over what a piece weighs in the mean, and each piece the
 * n-th part of everything. Pieces may weigh what is permitted, so every layer has that share as its window.
 */
final class SpreadBuild {

    private static final int MOST_ROUNDS = 50;

    private final Bar bar;
    private final Parts parts;
    private final Body.Spread body;
    private final List<Pour.Deposit> deposits;
    private final List<String> keys;

    SpreadBuild(Bar bar, Parts parts, Body.Spread body, List<Pour.Deposit> deposits, List<String> keys) {
        this.bar = bar;
        this.parts = parts;
        this.body = body;
        this.deposits = deposits;
        this.keys = keys;
    }

    BarStack stack() {
        int pieces = 1;
        BarStack stack = stack(pieces);
        for (int round = 0; round < MOST_ROUNDS; round++) {
            int next = (int) Math.max(1, Math.rint(pieces * stack.pieceGrams() / body.meanGrams()));
            if (next == pieces) {
                return stack;
            }
            pieces = next;
            stack = stack(pieces);
        }
        return stack;
    }

    private BarStack stack(int pieces) {
        double area = body.lengthMm() * body.widthMm() / pieces;
        double side = Math.sqrt(area);
        List<Pour.Deposit> whole = deposits.stream()
                .map(d -> d.times(1 / (1 - body.crumbsFraction())))
                .toList();
        Pour pour =
                Pour.into(new Prism(new Outline(Outline.Kind.RECTANGLE, side, side), area), LaidLayers.poured(whole));
        List<StackLayer> layers = new ArrayList<>();
        pour.laid().forEach(laid -> layers.add(LaidLayers.level(laid, keys)));
        double height = LaidLayers.heightMm(layers);
        for (Pour.Deposit d : whole) {
            if (LaidLayers.isStrewn(d)) {
                layers.add(LaidLayers.strewn(d, keys.get(d.index()), height));
            }
        }
        Frame frame = new Frame.Spread(
                body.lengthMm(), body.widthMm(), pieces, height, body.crumbsFraction(), pour.lackingMl());
        return new BarStack(bar, parts, frame, layers.stream().map(this::broken).toList());
    }

    /** What of a layer is in a piece once it is broken. */
    private StackLayer broken(StackLayer l) {
        double stays = 1 - body.crumbsFraction();
        double grams = l.grams() * stays;
        double mean = body.meanGrams();
        return l.part(
                stays, 1, new FillWindow(grams * body.leastGrams() / mean, grams, grams * body.greatestGrams() / mean));
    }
}

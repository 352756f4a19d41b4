package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.cavity.Prism;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.slab.Cutters;

/**
 * Stacks of discs or squares of falling size: cut from a sheet for each size, or laid to size on a plate. A layer of all sizes lies in
 * each of the stacks, its grams shared by their areas; a layer of one size lies in that only. What is piped in dots or rings stands
 * as high as it is told and fills its share of the outline.
 */
final class DiscsBuild {

    private final Bar bar;
    private final Parts parts;
    private final List<Pour.Deposit> deposits;
    private final List<String> keys;
    private final boolean round;
    private final List<Double> sizes;
    private final List<Cutters> cutters = new ArrayList<>();
    private double sheetMm2;

    DiscsBuild(Bar bar, Parts parts, List<Pour.Deposit> deposits, List<String> keys) {
        this.bar = bar;
        this.parts = parts;
        this.deposits = deposits;
        this.keys = keys;
        if (bar.body() instanceof Body.Sheet sheet) {
            round = sheet.round();
            sizes = sheet.cuttersMm();
            sheetMm2 = sheet.lengthMm() * sheet.widthMm();
            sizes.forEach(size -> cutters.add(cutters(sheet, size)));
        } else {
            Body.Plate plate = (Body.Plate) bar.body();
            round = plate.round();
            sizes = plate.sizesMm();
        }
    }

    private static Cutters cutters(Body.Sheet sheet, double size) {
        Cutters of = Cutters.of(sheet.lengthMm(), sheet.widthMm(), size, sheet.gapMm());
        if (of.pieces() == 0) {
            throw new InvalidInput(
                    Fault.of("body.cuttersMm", String.valueOf(size), "No piece of that size comes out of the sheet."));
        }
        return of;
    }

    BarStack stack() {
        double allMm2 = sizes.stream().mapToDouble(this::areaMm2).sum();
        double length = bar.body() instanceof Body.Sheet s ? s.lengthMm() : sizes.get(0);
        double width = bar.body() instanceof Body.Sheet s ? s.widthMm() : sizes.get(0);
        Frame.Discs bare = new Frame.Discs(length, width, round, sizes, cutters, List.of(), 0);
        StackLayer[] sums = new StackLayer[deposits.size()];
        List<Double> heights = new ArrayList<>();
        double lacking = 0;
        for (int k = 1; k <= sizes.size(); k++) {
            double area = areaMm2(sizes.get(k - 1));
            double share = cutters.isEmpty() ? 1 : sheetMm2 / (bare.piecesOfOne() * area);
            List<Pour.Deposit> here = here(k, area / allMm2);
            Pour pour = Pour.into(new Prism(outline(sizes.get(k - 1)), area), LaidLayers.poured(here));
            lacking += pour.lackingMl();
            List<StackLayer> layers = new ArrayList<>();
            pour.laid().forEach(laid -> layers.add(covered(LaidLayers.level(laid, keys))));
            heights.add(LaidLayers.heightMm(layers));
            for (Pour.Deposit d : here) {
                if (LaidLayers.isStrewn(d)) {
                    layers.add(LaidLayers.strewn(d, keys.get(d.index()), heights.get(k - 1)));
                }
            }
            for (StackLayer layer : layers) {
                boolean whole = bar.onCarrier(layer.index()) && !LaidLayers.byPiece(layer);
                StackLayer laid = whole ? layer.laid(share) : layer;
                StackLayer before = sums[layer.index()];
                sums[layer.index()] = before == null ? laid : before.plus(laid);
            }
        }
        Frame frame = new Frame.Discs(length, width, round, sizes, cutters, heights, lacking);
        return new BarStack(bar, parts, frame, List.of(sums));
    }

    /** Layers of one stack; grams of what lies in all of them are shared out. */
    private List<Pour.Deposit> here(int k, double share) {
        List<Pour.Deposit> here = new ArrayList<>();
        for (Pour.Deposit d : deposits) {
            Handling handling = d.layer().handling();
            if (handling.level() == 0 || handling.level() == k) {
                double part = handling.level() == 0 ? share : 1;
                here.add(d.times(
                        d.layer().kind().level() ? part / handling.cover().share() : part));
            }
        }
        return here;
    }

    /** What is piped leaves room between. */
    private static StackLayer covered(StackLayer l) {
        double share = l.kind().level() ? l.design().handling().cover().share() : 1;
        return l.part(share, share, l.window().times(share));
    }

    private double areaMm2(double size) {
        return outline(size).areaMm2();
    }

    private Outline outline(double size) {
        return new Outline(round ? Outline.Kind.ELLIPSE : Outline.Kind.RECTANGLE, size, size);
    }
}

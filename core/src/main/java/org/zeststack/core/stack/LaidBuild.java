package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.cavity.Prism;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.slab.SlabCut;

/** Lays the layers of a slab or tray and cuts it. */
final class LaidBuild {

    private final Bar bar;
    private final Parts parts;
    private final List<Pour.Deposit> deposits;
    private final List<String> keys;

    LaidBuild(Bar bar, Parts parts, List<Pour.Deposit> deposits, List<String> keys) {
        this.bar = bar;
        this.parts = parts;
        this.deposits = deposits;
        this.keys = keys;
    }

    BarStack stack() {
        if (bar.body() instanceof Body.Slab slab) {
            SlabCut cut = cut(() -> SlabCut.of(
                    slab.lengthMm(),
                    slab.widthMm(),
                    slab.pieceLengthMm(),
                    slab.pieceWidthMm(),
                    slab.kerfMm(),
                    slab.trimMm()));
            return cut(cut, slab.cornerMm());
        }
        Body.Tray tray = (Body.Tray) bar.body();
        SlabCut cut = cut(() -> SlabCut.strips(
                tray.lengthMm(), tray.widthMm(), tray.strips(), tray.perStrip(), tray.kerfMm(), tray.trimMm()));
        return cut(cut, 0);
    }

    /** A cut whose faults are told under the body's fields. */
    private static SlabCut cut(java.util.function.Supplier<SlabCut> of) {
        try {
            return of.get();
        } catch (InvalidInput input) {
            throw new InvalidInput(
                    input.faults().stream().map(f -> f.at("body." + f.field())).toList());
        }
    }

    private BarStack cut(SlabCut cut, double cornerMm) {
        double a = cut.alongMm();
        double b = cut.acrossMm();
        double area = areaMm2(a, b, cornerMm);
        Pour pour = Pour.into(new Prism(new Outline(Outline.Kind.RECTANGLE, a, b), area), LaidLayers.poured(deposits));
        double share = cut.lengthMm() * cut.widthMm() / (cut.pieces() * area);
        List<StackLayer> layers = new ArrayList<>();
        for (Pour.Laid laid : pour.laid()) {
            StackLayer layer = LaidLayers.level(laid, keys);
            layers.add(sheet(layer, cut).laid(LaidLayers.byPiece(layer) ? 1 : share));
        }
        double height = LaidLayers.heightMm(layers);
        double around = 2 * (a + b) - (8 - 2 * Math.PI) * cornerMm;
        Coats coats = new Coats(new Solid.Upright(area, around, height, b), new WholeSlab(cut, area, height));
        layers.addAll(coats.lay(deposits, keys));
        for (Pour.Deposit d : deposits) {
            if (LaidLayers.isStrewn(d)) {
                StackLayer layer = LaidLayers.strewn(d, keys.get(d.index()), height);
                boolean cutWith = bar.onCarrier(d.index()) && !LaidLayers.byPiece(layer);
                layers.add(cutWith ? layer.laid(share) : layer);
            }
        }
        return new BarStack(bar, parts, new Frame.Cut(cut, cornerMm, height, pour.lackingMl()), layers);
    }

    private static double areaMm2(double a, double b, double corner) {
        return a * b - (4 - Math.PI) * corner * corner;
    }

    /** A layer of the slab or tray that is itself cut from a larger sheet. */
    private static StackLayer sheet(StackLayer layer, SlabCut cut) {
        return LaidLayers.fromSheet(layer, cut.lengthMm(), cut.widthMm(), cut.lengthMm() * cut.widthMm(), false);
    }

    /** A slab coated before it is cut. */
    private record WholeSlab(SlabCut cut, double baseMm2, double heightMm) implements Coats.Whole {

        private static final double MM3_PER_ML = 1000;

        @Override
        public double laidMl(BarLayer.Faces faces, Solid.Growth growth, double mm) {
            Solid slab = new Solid.Upright(
                    cut.lengthMm() * cut.widthMm(),
                    2 * (cut.lengthMm() + cut.widthMm()),
                    coatedHeightMm(growth),
                    Math.min(cut.lengthMm(), cut.widthMm()));
            return Coats.passMl(slab, faces, Solid.Growth.NONE, mm) / cut.pieces();
        }

        /** Its own faces, and of the slab's sides what its outer pieces reach, shared by all. */
        @Override
        public double ownMl(BarLayer.Faces faces, Solid.Growth growth, double mm) {
            double flats = (faces.bottom() ? baseMm2 : 0) + (faces.top() ? baseMm2 : 0);
            double edges = faces.bareEnds() ? longSidesMm() : cut.outerSidesMm() + cut.outerEndsMm();
            double sides = faces.sides() ? edges * coatedHeightMm(growth) / cut.pieces() : 0;
            return (flats + sides) * mm / MM3_PER_ML;
        }

        private double longSidesMm() {
            return cut.lengthMm() >= cut.widthMm() ? cut.outerSidesMm() : cut.outerEndsMm();
        }

        private double coatedHeightMm(Solid.Growth growth) {
            return heightMm + growth.belowMm() + growth.aboveMm();
        }
    }
}

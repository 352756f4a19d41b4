package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.cavity.Prism;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.slab.Cutters;
import org.zeststack.core.slab.SlabCut;
import org.zeststack.core.weighing.FillWindow;

/** Lays the layers of a slab, tray or sheet on the table and cuts it. */
final class LaidBuild {

    private static final double RULERS_MM = 0.5;
    private static final double THIN_SHARE = 0.2;

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
        if (bar.body() instanceof Body.Sheet sheet) {
            return discs(sheet);
        }
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
        Pour pour = Pour.into(new Prism(new Outline(Outline.Kind.RECTANGLE, a, b), area), poured());
        double share = cut.lengthMm() * cut.widthMm() / (cut.pieces() * area);
        List<StackLayer> layers = levels(pour, share);
        double height = heightMm(layers);
        double around = 2 * (a + b) - (8 - 2 * Math.PI) * cornerMm;
        Coats coats = new Coats(new Solid.Upright(area, around, height), cut, area, height);
        layers.addAll(coats.lay(deposits, keys));
        strewn(layers, height, share);
        return new BarStack(bar, parts, new Frame.Cut(cut, cornerMm, height, pour.lackingMl()), layers);
    }

    private static double areaMm2(double a, double b, double corner) {
        return a * b - (4 - Math.PI) * corner * corner;
    }

    private BarStack discs(Body.Sheet sheet) {
        List<Cutters> cutters = new ArrayList<>();
        double area = 0;
        for (double size : sheet.cuttersMm()) {
            Cutters of = Cutters.of(sheet.lengthMm(), sheet.widthMm(), size, sheet.gapMm());
            if (of.pieces() == 0) {
                throw new InvalidInput(Fault.of(
                        "body.cuttersMm", String.valueOf(size), "No piece of that size comes out of the sheet."));
            }
            cutters.add(of);
            area += outline(sheet, size).areaMm2();
        }
        Pour pour = Pour.into(new Prism(outline(sheet, sheet.cuttersMm().get(0)), area), poured());
        Frame.Discs bare =
                new Frame.Discs(sheet.lengthMm(), sheet.widthMm(), sheet.round(), sheet.cuttersMm(), cutters, 0, 0);
        double share = 1 / (1 - bare.offcutFraction());
        List<StackLayer> layers = levels(pour, share);
        double height = heightMm(layers);
        strewn(layers, height, share);
        Frame frame = new Frame.Discs(
                sheet.lengthMm(), sheet.widthMm(), sheet.round(), sheet.cuttersMm(), cutters, height, pour.lackingMl());
        return new BarStack(bar, parts, frame, layers);
    }

    private static Outline outline(Body.Sheet sheet, double size) {
        return new Outline(sheet.round() ? Outline.Kind.ELLIPSE : Outline.Kind.RECTANGLE, size, size);
    }

    private List<Pour.Deposit> poured() {
        return deposits.stream()
                .filter(d -> d.layer().kind() != LayerKind.COAT && !isStrewn(d))
                .toList();
    }

    private static boolean isStrewn(Pour.Deposit deposit) {
        return deposit.layer().kind() == LayerKind.TOPPING || deposit.layer().kind() == LayerKind.DECORATION;
    }

    /** What is poured, with its share of off-cuts. */
    private List<StackLayer> levels(Pour pour, double share) {
        List<StackLayer> layers = new ArrayList<>();
        for (Pour.Laid laid : pour.laid()) {
            Pour.Deposit deposit = laid.deposit();
            layers.add(new StackLayer(
                    deposit.index(),
                    keys.get(deposit.index()),
                    deposit.layer(),
                    deposit.material(),
                    laid.fromMm(),
                    laid.toMm(),
                    laid.toMm() - laid.fromMm(),
                    laid.volumeMl(),
                    laid.grams(),
                    laid.grams() * share,
                    window(deposit.layer(), laid.toMm() - laid.fromMm(), laid.grams())));
        }
        return layers;
    }

    /** Between rulers a layer comes out half a millimetre higher or lower, thin ones a fifth (common practice, no source). */
    private static FillWindow window(BarLayer layer, double thick, double grams) {
        if (!layer.kind().level() || thick <= 0) {
            return new FillWindow(grams, grams, grams);
        }
        double play = Math.min(RULERS_MM, THIN_SHARE * thick);
        double least = layer.leastMm() == null ? thick - play : layer.leastMm();
        double greatest = layer.greatestMm() == null ? thick + play : layer.greatestMm();
        return new FillWindow(grams * least / thick, grams, grams * greatest / thick);
    }

    private static double heightMm(List<StackLayer> layers) {
        return layers.stream()
                .filter(l -> l.kind().level())
                .mapToDouble(StackLayer::toMm)
                .max()
                .orElse(0);
    }

    private void strewn(List<StackLayer> layers, double height, double share) {
        for (Pour.Deposit d : deposits) {
            if (isStrewn(d)) {
                StackLayer layer = strewn(d, keys.get(d.index()), height);
                layers.add(bar.onCarrier(d.index()) ? layer.laid(share) : layer);
            }
        }
    }

    /** What lies on top of a piece without a thickness of its own. */
    static StackLayer strewn(Pour.Deposit deposit, String key, double atMm) {
        double grams = Pour.massOf(deposit);
        return new StackLayer(
                deposit.index(),
                key,
                deposit.layer(),
                deposit.material(),
                atMm,
                atMm,
                0,
                grams / deposit.material().densityGramsPerMl(),
                grams,
                grams,
                strewnWindow(deposit.layer(), grams));
    }

    /** From piece to piece what is strewn or sprayed may differ as far as the bar allows. */
    private static FillWindow strewnWindow(BarLayer layer, double grams) {
        double each = layer.amount() == 0 ? 0 : grams / layer.amount();
        return new FillWindow(
                layer.leastMm() == null ? grams : layer.leastMm() * each,
                grams,
                layer.greatestMm() == null ? grams : layer.greatestMm() * each);
    }
}

package org.zeststack.core.stack;

import java.util.List;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.CutFrom;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.slab.Cutters;
import org.zeststack.core.slab.SlabCut;
import org.zeststack.core.weighing.FillWindow;

/** Layers as they come out of what is laid and strewn, whatever carries them. */
final class LaidLayers {

    private static final double RULERS_MM = 0.5;
    private static final double THIN_SHARE = 0.2;

    private LaidLayers() {}

    static List<Pour.Deposit> poured(List<Pour.Deposit> deposits) {
        return deposits.stream()
                .filter(d -> d.layer().kind() != LayerKind.COAT && !isStrewn(d))
                .toList();
    }

    static boolean isStrewn(Pour.Deposit deposit) {
        return deposit.layer().kind() == LayerKind.TOPPING || deposit.layer().kind() == LayerKind.DECORATION;
    }

    /** Whether it is set piece by piece, so that none of it lies on what is cut off. */
    static boolean byPiece(StackLayer layer) {
        return layer.design().by() == BarLayer.By.PIECES;
    }

    static StackLayer level(Pour.Laid laid, List<String> keys) {
        Pour.Deposit deposit = laid.deposit();
        double thick = laid.toMm() - laid.fromMm();
        return new StackLayer(
                deposit.index(),
                keys.get(deposit.index()),
                deposit.layer(),
                deposit.material(),
                laid.fromMm(),
                laid.toMm(),
                thick,
                laid.volumeMl(),
                laid.grams(),
                laid.grams(),
                window(deposit.layer(), thick, laid.grams()));
    }

    /** Between rulers a layer comes out half a millimetre higher or lower, thin ones a fifth (common practice, no source). */
    static FillWindow window(BarLayer layer, double thick, double grams) {
        if (!layer.kind().level() || thick <= 0) {
            return new FillWindow(grams, grams, grams);
        }
        double play = Math.min(RULERS_MM, THIN_SHARE * thick);
        double least = layer.leastMm() == null ? thick - play : layer.leastMm();
        double greatest = layer.greatestMm() == null ? thick + play : layer.greatestMm();
        return new FillWindow(grams * least / thick, grams, grams * greatest / thick);
    }

    static double heightMm(List<StackLayer> layers) {
        return layers.stream()
                .filter(l -> l.kind().level())
                .mapToDouble(StackLayer::toMm)
                .max()
                .orElse(0);
    }

    /** What lies on top of a piece without a thickness of its own; more of it is used than stays. */
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
                grams / (1 - deposit.layer().handling().misses()),
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

    /**
     * A layer that is cut from a sheet of its own, or of which some break: n of a sheet, of which n times its area is used.
     *
     * @param lengthMm of what is cut out, a disc's diameter
     * @throws InvalidInput at the layer's own fields, where none comes out of the sheet
     */
    static StackLayer fromSheet(StackLayer layer, double lengthMm, double widthMm, double areaMm2, boolean disc) {
        CutFrom sheet = layer.design().handling().cutFrom();
        if (sheet == null) {
            return layer.design().handling().spareFraction() > 0 ? layer.cutFrom(1, 1) : layer;
        }
        int pieces = pieces(sheet, layer.index(), lengthMm, widthMm, disc);
        return layer.cutFrom(pieces, sheet.lengthMm() * sheet.widthMm() / (pieces * areaMm2));
    }

    private static int pieces(CutFrom sheet, int index, double lengthMm, double widthMm, boolean disc) {
        try {
            double length = sheet.lengthMm() - 2 * sheet.trimMm();
            double width = sheet.widthMm() - 2 * sheet.trimMm();
            int discs =
                    disc ? Cutters.of(length, width, lengthMm, sheet.gapMm()).pieces() : 0;
            return discs > 0
                    ? discs
                    : SlabCut.of(sheet.lengthMm(), sheet.widthMm(), lengthMm, widthMm, sheet.gapMm(), sheet.trimMm())
                            .pieces();
        } catch (InvalidInput input) {
            throw new InvalidInput(input.faults().get(0).at("layer." + index + ".sheetLengthMm"));
        }
    }
}

package org.zeststack.core.slab;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * A slab cut into equal pieces: n = ⌊(side − 2 trim + kerf) / (piece + kerf)⌋ each way, trim taken off each of the four sides,
 * kerf lost between pieces. Of the two ways round the one with more pieces is taken; at equal count pieces are not turned.
 *
 * @param across pieces side by side over the slab's width
 * @param along pieces one after another over its length
 * @param turned whether a piece's length lies across the slab
 * @param alongMm a piece's side along the slab
 * @param acrossMm a piece's side across it
 */
public record SlabCut(
        double lengthMm,
        double widthMm,
        double kerfMm,
        double trimMm,
        int across,
        int along,
        boolean turned,
        double alongMm,
        double acrossMm) {

    public static final Range SLAB_MM = new Range(10, 2000, "mm");
    public static final Range PIECE_MM = new Range(5, 2000, "mm");
    public static final Range KERF_MM = new Range(0, 20, "mm");
    public static final Range TRIM_MM = new Range(0, 200, "mm");
    public static final Range COUNT = new Range(1, 200, "");

    /** What a length given in inches or as a quotient may lose to rounding. */
    private static final double ROUNDING = 1e-6;

    /**
     * The better way round.
     *
     * @throws org.zeststack.core.quantity.InvalidInput naming every faulty dimension, or where no piece fits
     */
    public static SlabCut of(
            double lengthMm, double widthMm, double pieceLengthMm, double pieceWidthMm, double kerfMm, double trimMm) {
        Faults faults = new Faults();
        faults.within("lengthMm", lengthMm, SLAB_MM);
        faults.within("widthMm", widthMm, SLAB_MM);
        faults.within("pieceLengthMm", pieceLengthMm, PIECE_MM);
        faults.within("pieceWidthMm", pieceWidthMm, PIECE_MM);
        faults.within("kerfMm", kerfMm, KERF_MM);
        faults.within("trimMm", trimMm, TRIM_MM);
        faults.throwIfAny();
        SlabCut straight = laid(lengthMm, widthMm, pieceLengthMm, pieceWidthMm, kerfMm, trimMm, false);
        SlabCut turned = laid(lengthMm, widthMm, pieceWidthMm, pieceLengthMm, kerfMm, trimMm, true);
        SlabCut better = turned.pieces() > straight.pieces() ? turned : straight;
        if (better.pieces() == 0) {
            double most = Math.max(lengthMm, widthMm) - 2 * trimMm;
            faults.add(new Fault(
                    "pieceLengthMm",
                    Numbers.plain(pieceLengthMm),
                    PIECE_MM.least(),
                    Math.max(0, most),
                    "mm",
                    "No piece of %s × %s comes out of %s × %s less %s trim a side."
                            .formatted(
                                    Say.bare(Say.mm(pieceLengthMm)),
                                    Say.mm(pieceWidthMm),
                                    Say.bare(Say.mm(lengthMm)),
                                    Say.mm(widthMm),
                                    Say.mm(trimMm))));
            faults.throwIfAny();
        }
        return better;
    }

    /**
     * Equal strips over the width, each cut into equal pieces: nothing is left over but trim and kerf.
     *
     * @param strips over the width, 1 to 200
     * @param perStrip pieces of a strip, 1 to 200
     * @throws org.zeststack.core.quantity.InvalidInput naming every faulty field
     */
    public static SlabCut strips(
            double lengthMm, double widthMm, int strips, int perStrip, double kerfMm, double trimMm) {
        Faults faults = new Faults();
        faults.within("lengthMm", lengthMm, SLAB_MM);
        faults.within("widthMm", widthMm, SLAB_MM);
        faults.within("strips", strips, COUNT);
        faults.within("perStrip", perStrip, COUNT);
        faults.within("kerfMm", kerfMm, KERF_MM);
        faults.within("trimMm", trimMm, TRIM_MM);
        faults.throwIfAny();
        double alongMm = (lengthMm - 2 * trimMm - (perStrip - 1) * kerfMm) / perStrip;
        double acrossMm = (widthMm - 2 * trimMm - (strips - 1) * kerfMm) / strips;
        faults.within("perStrip", alongMm, PIECE_MM);
        faults.within("strips", acrossMm, PIECE_MM);
        faults.throwIfAny();
        return new SlabCut(lengthMm, widthMm, kerfMm, trimMm, strips, perStrip, false, alongMm, acrossMm);
    }

    private static SlabCut laid(
            double length, double width, double alongMm, double acrossMm, double kerf, double trim, boolean turned) {
        int along = count(length, alongMm, kerf, trim);
        int across = count(width, acrossMm, kerf, trim);
        return new SlabCut(length, width, kerf, trim, across, along, turned, alongMm, acrossMm);
    }

    private static int count(double side, double piece, double kerf, double trim) {
        return Math.max(0, (int) Math.floor((side - 2 * trim + kerf) / (piece + kerf) + ROUNDING));
    }

    public int pieces() {
        return across * along;
    }

    /** Length of the slab's own long edges that pieces reach: none where they are trimmed off. Pieces are laid from one corner. */
    public double outerSidesMm() {
        double pieceLengths = along * alongMm;
        boolean farSide = across * acrossMm + (across - 1) * kerfMm >= widthMm * (1 - ROUNDING);
        return trimMm > 0 ? 0 : (farSide ? 2 : 1) * pieceLengths;
    }

    /** The same of its two ends. */
    public double outerEndsMm() {
        double pieceWidths = across * acrossMm;
        boolean farEnd = along * alongMm + (along - 1) * kerfMm >= lengthMm * (1 - ROUNDING);
        return trimMm > 0 ? 0 : (farEnd ? 2 : 1) * pieceWidths;
    }

    /** What is not pieces, over the whole: trim, kerf and rest. */
    public double offcutFraction() {
        return Math.max(0, 1 - pieces() * alongMm * acrossMm / (lengthMm * widthMm));
    }
}

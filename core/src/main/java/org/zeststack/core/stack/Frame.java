package org.zeststack.core.stack;

import java.util.List;
import org.zeststack.core.bar.Body;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.Hollow;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.slab.Cutters;
import org.zeststack.core.slab.SlabCut;

/** What a piece's layers were laid in: the measures that drawings, plans and calls need. */
public sealed interface Frame {

    /** Pieces of one mould, slab, tray or sheet. */
    int piecesOfOne();

    /** Share of a slab or sheet that is not pieces; 0 for others. */
    double offcutFraction();

    /** Room that what is laid in wants beyond what there is, mL. */
    double lackingMl();

    /** Height of a piece without its coats, mm; of both halves where two are joined. */
    double heightMm();

    /**
     * In a mould.
     *
     * @param outer the cavity as it was measured
     * @param inside what the shell leaves; the cavity itself without a shell
     * @param shellMm 0 without a shell
     * @param halves 2 where two shells are joined, else 1
     * @param emptyMm height left free at the opening
     * @param lackingMl room that layers given in grams want beyond what there is
     * @param lackingMm height that layers given in mm want beyond what there is
     */
    record Moulded(
            Cavity cavity,
            Hollow outer,
            Hollow inside,
            double shellMm,
            int halves,
            double emptyMm,
            double lackingMl,
            double lackingMm,
            int rows,
            int columns)
            implements Frame {
        @Override
        public double heightMm() {
            return cavity.depthMm() * halves;
        }

        /** Cavities of one mould. */
        public int cavities() {
            return Math.max(1, rows * columns);
        }

        @Override
        public int piecesOfOne() {
            return Math.max(1, cavities() / halves);
        }

        @Override
        public double offcutFraction() {
            return 0;
        }
    }

    /**
     * A slab or tray cut into pieces.
     *
     * @param cornerMm rounding of the corners seen from above
     * @param stackMm height of the layers without coats
     * @param lackingMl of one piece
     */
    record Cut(SlabCut cut, double cornerMm, double stackMm, double lackingMl) implements Frame {

        /** How a cutting tool is set for it: which wires, or how many passes. */
        public String set(Body.Cutting tool) {
            if (tool.pitchMm() != null) {
                return " With wires %s apart: every %d. along, every %d. across."
                        .formatted(
                                Say.mm(tool.pitchMm()),
                                Math.round((cut.alongMm() + cut.kerfMm()) / tool.pitchMm()),
                                Math.round((cut.acrossMm() + cut.kerfMm()) / tool.pitchMm()));
            }
            return tool.lanes() == null
                    ? ""
                    : " %d lanes: %d passes along, %d across."
                            .formatted(tool.lanes(), tool.passes(cut.across()), tool.passes(cut.along()));
        }

        @Override
        public double heightMm() {
            return stackMm;
        }

        @Override
        public int piecesOfOne() {
            return cut.pieces();
        }

        @Override
        public double offcutFraction() {
            return cut.offcutFraction();
        }
    }

    /**
     * Discs or squares of a sheet.
     *
     * @param sizesMm from the bottom up; a piece has one stack of layers of each
     * @param cutters arrangement of each size on its own sheet; none where they are laid to size on a plate
     * @param stacksMm height of each size's layers
     */
    record Discs(
            double lengthMm,
            double widthMm,
            boolean round,
            List<Double> sizesMm,
            List<Cutters> cutters,
            List<Double> stacksMm,
            double lackingMl)
            implements Frame {
        @Override
        public int piecesOfOne() {
            return cutters.stream().mapToInt(this::count).min().orElse(1);
        }

        @Override
        public double heightMm() {
            return stacksMm.stream().mapToDouble(Double::doubleValue).sum();
        }

        /** Height that a stack stands at, counted from 1 at the bottom. */
        public double baseMm(int number) {
            return stacksMm.subList(0, Math.max(0, number - 1)).stream()
                    .mapToDouble(Double::doubleValue)
                    .sum();
        }

        private int count(Cutters of) {
            return round ? of.pieces() : of.squarePieces();
        }

        @Override
        public double offcutFraction() {
            if (cutters.isEmpty()) {
                return 0;
            }
            double used = sizesMm.stream().mapToDouble(this::areaMm2).sum() * piecesOfOne();
            return 1 - used / (sizesMm.size() * lengthMm * widthMm);
        }

        double areaMm2(double sizeMm) {
            return outline(sizeMm).areaMm2();
        }

        public Outline outline(double sizeMm) {
            return new Outline(round ? Outline.Kind.ELLIPSE : Outline.Kind.RECTANGLE, sizeMm, sizeMm);
        }
    }

    /**
     * Spread and broken.
     *
     * @param pieces that it is broken into
     * @param stackMm how thick it is
     */
    record Spread(double lengthMm, double widthMm, int pieces, double stackMm, double offcutFraction, double lackingMl)
            implements Frame {
        @Override
        public int piecesOfOne() {
            return pieces;
        }

        @Override
        public double heightMm() {
            return stackMm;
        }

        /** Side of a square as large as a piece in the mean. */
        public double sideMm() {
            return Math.sqrt(lengthMm * widthMm / pieces);
        }
    }

    /**
     * Shaped by hand; the measures of one piece without coats, with all that is laid on its centre.
     *
     * @param slices pieces of one log; 1 where it is not sliced
     * @param endMm cut off each end of the log
     */
    record Hand(
            Body.Form form,
            double lengthMm,
            double widthMm,
            double heightMm,
            double lackingMl,
            int slices,
            double endMm)
            implements Frame {
        @Override
        public int piecesOfOne() {
            return slices;
        }

        @Override
        public double offcutFraction() {
            return slices == 1 ? 0 : 2 * endMm / (slices * lengthMm + 2 * endMm);
        }
    }
}

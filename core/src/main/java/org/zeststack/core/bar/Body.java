package org.zeststack.core.bar;

import java.util.List;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.slab.Cutters;
import org.zeststack.core.slab.SlabCut;

/** What carries the stack: a mould's cavity, a slab or tray that is cut, a form given by hand, a sheet and its cutter. */
public sealed interface Body {

    Range GRAMS = new Range(0.1, 2000, "g");
    Range SIDE_MM = new Range(3, 400, "mm");
    Range CORNER_MM = new Range(0, 100, "mm");

    /** Notes what is out of range; fields are {@code body.NAME}. */
    void check(Faults faults);

    /** Whether pieces are cut from it. */
    default boolean cutToPieces() {
        return true;
    }

    /** What is laid, lined or shaped as often as a run needs it: mould, slab, tray, sheet or piece. */
    String carrier();

    /**
     * Poured in a mould.
     *
     * @param mould the mould's id
     * @param halves whether two of them are joined to one piece
     */
    record Moulded(long mould, boolean halves) implements Body {
        @Override
        public boolean cutToPieces() {
            return false;
        }

        @Override
        public String carrier() {
            return "mould";
        }

        @Override
        public void check(Faults faults) {
            // The mould is looked up by its id and checked itself.
        }
    }

    /** A slab cut by size. Corners are rounded with a radius of {@code cornerMm}. */
    record Slab(
            double lengthMm,
            double widthMm,
            double pieceLengthMm,
            double pieceWidthMm,
            double kerfMm,
            double trimMm,
            double cornerMm)
            implements Body {
        @Override
        public String carrier() {
            return "slab";
        }

        @Override
        public void check(Faults faults) {
            faults.within("body.lengthMm", lengthMm, SlabCut.SLAB_MM);
            faults.within("body.widthMm", widthMm, SlabCut.SLAB_MM);
            faults.within("body.pieceLengthMm", pieceLengthMm, SlabCut.PIECE_MM);
            faults.within("body.pieceWidthMm", pieceWidthMm, SlabCut.PIECE_MM);
            faults.within("body.kerfMm", kerfMm, SlabCut.KERF_MM);
            faults.within("body.trimMm", trimMm, SlabCut.TRIM_MM);
            double most = Math.max(0, Math.min(pieceLengthMm, pieceWidthMm) / 2);
            faults.within("body.cornerMm", cornerMm, new Range(0, Math.min(CORNER_MM.greatest(), most), "mm"));
        }
    }

    /** A tray or sheet divided by count. */
    record Tray(double lengthMm, double widthMm, int strips, int perStrip, double kerfMm, double trimMm)
            implements Body {
        @Override
        public String carrier() {
            return "tray";
        }

        @Override
        public void check(Faults faults) {
            faults.within("body.lengthMm", lengthMm, SlabCut.SLAB_MM);
            faults.within("body.widthMm", widthMm, SlabCut.SLAB_MM);
            faults.within("body.strips", strips, SlabCut.COUNT);
            faults.within("body.perStrip", perStrip, SlabCut.COUNT);
            faults.within("body.kerfMm", kerfMm, SlabCut.KERF_MM);
            faults.within("body.trimMm", trimMm, SlabCut.TRIM_MM);
        }
    }

    /** Forms given by hand. */
    enum Form {
        BALL("ball"),
        LOG("log"),
        BLOCK("block");

        private final String words;

        Form(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** Whether it is cut as a circle across. */
        public boolean roundAcross() {
            return this != BLOCK;
        }
    }

    /**
     * Shaped by hand or with a press.
     *
     * @param lengthMm of a log or block; found from the mass where grams are given
     * @param widthMm diameter of a ball or log, width of a block; a ball's is found from the mass where grams are given
     * @param heightMm of a block
     * @param grams the centre's mass; 0 where the size is given
     */
    record Shaped(Form form, double lengthMm, double widthMm, double heightMm, double grams) implements Body {
        @Override
        public boolean cutToPieces() {
            return false;
        }

        @Override
        public String carrier() {
            return "piece";
        }

        @Override
        public void check(Faults faults) {
            boolean byMass = grams > 0;
            if (byMass) {
                faults.within("body.grams", grams, GRAMS);
            }
            if (form != Form.BALL || !byMass) {
                faults.within("body.widthMm", widthMm, SIDE_MM);
            }
            if (form == Form.BLOCK) {
                faults.within("body.heightMm", heightMm, SIDE_MM);
            }
            if (form != Form.BALL && !byMass) {
                faults.within("body.lengthMm", lengthMm, SIDE_MM);
            }
        }
    }

    /**
     * A sheet cut with cutters. With several sizes a piece is a stack of one of each, and every size is cut from a sheet of its
     * own.
     *
     * @param round whether the cutter is round, else square
     * @param cuttersMm diameters or sides, from the bottom of the piece up
     * @param gapMm between neighbours
     */
    record Sheet(double lengthMm, double widthMm, boolean round, List<Double> cuttersMm, double gapMm) implements Body {

        /** Most sizes in one piece. */
        public static final int MOST_SIZES = 8;

        public Sheet {
            cuttersMm = List.copyOf(cuttersMm);
        }

        @Override
        public String carrier() {
            return "sheet";
        }

        @Override
        public void check(Faults faults) {
            faults.within("body.lengthMm", lengthMm, SlabCut.SLAB_MM);
            faults.within("body.widthMm", widthMm, SlabCut.SLAB_MM);
            if (cuttersMm.isEmpty() || cuttersMm.size() > MOST_SIZES) {
                faults.add(Fault.of("body.cuttersMm", "", "Give 1 to 8 sizes of cutters, for example 60; 50; 40."));
            }
            cuttersMm.forEach(mm -> faults.within("body.cuttersMm", mm, Cutters.DIAMETER_MM));
            faults.within("body.gapMm", gapMm, SlabCut.KERF_MM);
        }
    }
}

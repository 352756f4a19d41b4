package org.zeststack.core.bar;

import java.util.List;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.slab.Cutters;
import org.zeststack.core.slab.SlabCut;

/** What carries the stack: a mould, a slab or tray that is cut, a form given by hand, a sheet that is cut or broken, a plate. */
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

    /** What is done to get pieces of it, as a title. */
    default String dividing() {
        return "Cut the pieces";
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

    /** What a slab is cut with. */
    enum Tool {
        KNIFE("knife", 1),
        WIRES("frame of wires", 0.5),
        SLITTER("rolling slitter", 1),
        SAW("saw blade", 1.5);

        private final String words;
        private final double kerfMm;

        Tool(String words, double kerfMm) {
            this.words = words;
            this.kerfMm = kerfMm;
        }

        public String words() {
            return words;
        }

        /** What a cut usually loses, mm (common practice, no source). */
        public double kerfMm() {
            return kerfMm;
        }
    }

    /**
     * How a cutting tool is set.
     *
     * @param pitchMm distance between wires: a side and its kerf are a multiple of it; null where any side can be cut
     * @param lanes most pieces that one pass cuts side by side; null where any number can
     */
    record Cutting(Tool tool, Double pitchMm, Integer lanes) {

        public static final Range PITCH_MM = new Range(2, 100, "mm");
        public static final Range LANES = new Range(1, 100, "lanes");
        private static final double PLAY_MM = 0.05;

        /** How often the tool must be drawn over for so many pieces side by side. */
        public int passes(int across) {
            return lanes == null ? 1 : (across + lanes - 1) / lanes;
        }

        void check(Faults faults, double lengthMm, double widthMm, double kerfMm) {
            if (lanes != null) {
                faults.within("body.lanes", lanes, LANES);
            }
            if (pitchMm != null && faults.within("body.pitchMm", pitchMm, PITCH_MM)) {
                pitched(faults, "body.pieceLengthMm", lengthMm, kerfMm);
                pitched(faults, "body.pieceWidthMm", widthMm, kerfMm);
            }
        }

        private void pitched(Faults faults, String field, double sideMm, double kerfMm) {
            double steps = (sideMm + kerfMm) / pitchMm;
            if (Math.abs(steps - Math.max(1, Math.rint(steps))) * pitchMm > PLAY_MM) {
                double below = Math.max(1, Math.floor(steps)) * pitchMm - kerfMm;
                faults.add(Fault.of(
                        field,
                        Numbers.plain(sideMm),
                        "Wires %s apart cut %s or %s, each less %s of the cut."
                                .formatted(
                                        Say.mm(pitchMm),
                                        Numbers.plain(below),
                                        Say.mm(below + pitchMm),
                                        Say.mm(kerfMm))));
            }
        }
    }

    /**
     * A slab cut by size. Corners are rounded with a radius of {@code cornerMm}.
     *
     * @param cutting what it is cut with; null where not said
     */
    record Slab(
            double lengthMm,
            double widthMm,
            double pieceLengthMm,
            double pieceWidthMm,
            double kerfMm,
            double trimMm,
            double cornerMm,
            Cutting cutting)
            implements Body {

        /** Cut with anything. */
        public Slab(
                double lengthMm,
                double widthMm,
                double pieceLengthMm,
                double pieceWidthMm,
                double kerfMm,
                double trimMm,
                double cornerMm) {
            this(lengthMm, widthMm, pieceLengthMm, pieceWidthMm, kerfMm, trimMm, cornerMm, null);
        }

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
            if (cutting != null) {
                cutting.check(faults, pieceLengthMm, pieceWidthMm, kerfMm);
            }
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
     * @param lengthMm of a log or block; found from the mass where grams are given; of a log that is sliced, of one slice
     * @param widthMm diameter of a ball or log, width of a block; a ball's is found from the mass where grams are given
     * @param heightMm of a block
     * @param grams the centre's mass; 0 where the size is given
     * @param slices pieces that a log is sliced into; 1 where it is one piece itself
     * @param endMm cut off each end of a log that is sliced
     */
    record Shaped(
            Form form, double lengthMm, double widthMm, double heightMm, double grams, Integer slices, Double endMm)
            implements Body {

        public static final Range SLICES = new Range(1, 100, "slices");
        public static final Range END_MM = new Range(0, 50, "mm");

        public Shaped {
            slices = slices == null ? Integer.valueOf(1) : slices;
            endMm = endMm == null ? Double.valueOf(0) : endMm;
        }

        /** Shaped as a piece by itself. */
        public Shaped(Form form, double lengthMm, double widthMm, double heightMm, double grams) {
            this(form, lengthMm, widthMm, heightMm, grams, 1, 0.0);
        }

        @Override
        public boolean cutToPieces() {
            return slices > 1;
        }

        @Override
        public String carrier() {
            return cutToPieces() ? "log" : "piece";
        }

        @Override
        public String dividing() {
            return "Slice the logs";
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
            faults.within("body.slices", slices, SLICES);
            faults.within("body.endMm", endMm, END_MM);
            if (cutToPieces() && form != Form.LOG) {
                faults.add(Fault.of("body.slices", String.valueOf(slices), "Only a log is sliced."));
            }
        }
    }

    /**
     * Levels of falling size laid or piped to size on a plate: nothing is cut, so nothing is cut off.
     *
     * @param round whether the levels are round, else square
     * @param sizesMm diameters or sides, from the bottom up
     */
    record Plate(boolean round, List<Double> sizesMm) implements Body {

        public Plate {
            sizesMm = List.copyOf(sizesMm);
        }

        @Override
        public boolean cutToPieces() {
            return false;
        }

        @Override
        public String carrier() {
            return "plate";
        }

        @Override
        public void check(Faults faults) {
            sizes(faults, "body.cuttersMm", sizesMm);
        }
    }

    /**
     * Spread on an area and broken by hand: pieces have a range of weights and no size. Only crumbs are lost.
     *
     * @param leastGrams lightest piece that is sold
     * @param greatestGrams heaviest
     * @param crumbsFraction share that falls to crumbs when it is broken
     */
    record Spread(double lengthMm, double widthMm, double leastGrams, double greatestGrams, double crumbsFraction)
            implements Body {

        public static final Range CRUMBS = new Range(0, 0.5, "");

        @Override
        public String dividing() {
            return "Break it and sort by weight";
        }

        /** What a piece weighs in the mean. */
        public double meanGrams() {
            return (leastGrams + greatestGrams) / 2;
        }

        @Override
        public String carrier() {
            return "sheet";
        }

        @Override
        public void check(Faults faults) {
            faults.within("body.lengthMm", lengthMm, SlabCut.SLAB_MM);
            faults.within("body.widthMm", widthMm, SlabCut.SLAB_MM);
            boolean known = faults.within("body.leastGrams", leastGrams, GRAMS)
                    && faults.within("body.greatestGrams", greatestGrams, GRAMS);
            if (known && leastGrams > greatestGrams) {
                faults.add(Fault.of(
                        "body.leastGrams",
                        Numbers.plain(leastGrams),
                        "The lightest piece of %s is heavier than the heaviest of %s."
                                .formatted(Say.grams(leastGrams), Say.grams(greatestGrams))));
            }
            faults.within("body.crumbs", crumbsFraction, CRUMBS);
        }
    }

    /** One to eight sizes, each in its range. */
    private static void sizes(Faults faults, String field, List<Double> sizesMm) {
        if (sizesMm.isEmpty() || sizesMm.size() > Sheet.MOST_SIZES) {
            faults.add(Fault.of(field, "", "Give 1 to 8 sizes of cutters, for example 60; 50; 40."));
        }
        sizesMm.forEach(mm -> faults.within(field, mm, Cutters.DIAMETER_MM));
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
            sizes(faults, "body.cuttersMm", cuttersMm);
            faults.within("body.gapMm", gapMm, SlabCut.KERF_MM);
        }
    }
}

package org.zeststack.core.bar;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.rule.Bound;

/**
 * One layer of a bar as designed.
 *
 * @param of slug of an ingredient, or the link of a formula's version
 * @param by what {@code amount} is
 * @param amount mm, g, mg or a count per piece, or % of the mass of what it lies on; not used for the rest
 * @param eachGrams mass of one, where pieces are counted; 0 where not
 * @param embedded share of an inclusion that lies inside its layer and displaces it, 0 to 1
 * @param repeat how often the layer is laid on itself
 * @param mix what it is thinned, tinted or marbled with; null where nothing
 * @param insert size of an insert; null for other layers
 * @param faces what a coat covers; null for other layers
 * @param leastMm thinnest that is allowed, or of what is strewn or sprayed the least in the unit of its amount; null where the
 *     usual bound holds
 * @param greatestMm the same for the thickest, or the most
 * @param celsius how warm it is laid; null where not said
 * @param handling how it is handled beyond what of it stays on a piece
 */
@RecordBuilder
public record BarLayer(
        LayerKind kind,
        String of,
        By by,
        double amount,
        double eachGrams,
        double embedded,
        int repeat,
        Mix mix,
        Insert insert,
        Faces faces,
        Double leastMm,
        Double greatestMm,
        Double celsius,
        Handling handling)
        implements BarLayerBuilder.With {

    public static final Range MM = new Range(0, 100, "mm");
    public static final Range GRAMS = new Range(0, 2000, "g");
    public static final Range MILLIGRAMS = new Range(0, 20_000, "mg");
    public static final Range PIECES = new Range(0, 200, "pieces");
    public static final Range EACH_GRAMS = new Range(0.01, 100, "g");
    public static final Range SHARE = new Range(0, 1, "");
    public static final Range SHARE_PERCENT = new Range(0, 300, "%");
    public static final Range REPEAT = new Range(1, 20, "times");
    public static final Range CELSIUS = new Range(-20, 130, "°C");

    /** How the amount is given. */
    public enum By {
        MM("mm"),
        GRAMS("g"),
        MILLIGRAMS("mg"),
        PIECES("pieces"),
        SHARE("% of base"),
        REST("the rest");

        private final String words;

        By(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Something else in the same layer.
     *
     * @param fraction of the layer's mass
     * @param marbled whether both are seen, else it is stirred in
     */
    public record Mix(String of, double fraction, boolean marbled) {}

    /**
     * Faces that a coat covers.
     *
     * @param wholeSlab whether the slab is coated before it is cut: its cut sides stay bare
     * @param bareEnds whether of the sides the two short ones stay bare
     */
    @RecordBuilder
    public record Faces(boolean bottom, boolean sides, boolean top, boolean wholeSlab, Boolean bareEnds) {
        public static final Faces ALL = new Faces(true, true, true, false);

        public Faces {
            bareEnds = bareEnds != null && bareEnds;
        }

        /** Whether it covers nothing. */
        public boolean none() {
            return !bottom && !sides && !top;
        }

        public Faces(boolean bottom, boolean sides, boolean top, boolean wholeSlab) {
            this(bottom, sides, top, wholeSlab, false);
        }
    }

    /** Shapes of an insert. */
    public enum Shape {
        BAR("bar"),
        DISC("disc"),
        FREE("free outline");

        private final String words;

        Shape(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * A crisp part laid into a filling.
     *
     * @param lengthMm trimmed length; a disc's diameter
     * @param widthMm trimmed width; not used for a disc
     * @param heightMm baked height
     * @param areaMm2 area of a free outline; 0 for the others
     * @param spreadMm how much the largest of a batch is longer and wider than the trimmed size
     * @param sinkMm how deep it is pressed into the layer below
     * @param rawLengthMm length before baking; 0 where not known
     */
    @RecordBuilder
    public record Insert(
            Shape shape,
            double lengthMm,
            double widthMm,
            double heightMm,
            double areaMm2,
            double spreadMm,
            double sinkMm,
            double rawLengthMm) {

        public static final Range SIDE_MM = new Range(2, 400, "mm");
        /** Length before baking; 0 where it is not known. */
        public static final Range RAW_MM = new Range(0, SIDE_MM.greatest(), "mm");

        public static final Range HEIGHT_MM = new Range(0.3, 60, "mm");
        public static final Range SPREAD_MM = new Range(0, 20, "mm");
        public static final Range SINK_MM = new Range(0, 60, "mm");
        public static final Range AREA_MM2 = new Range(4, 160_000, "mm²");

        /** Area seen from above. */
        public double outlineMm2() {
            return switch (shape) {
                case BAR -> lengthMm * widthMm;
                case DISC -> Math.PI / 4 * lengthMm * lengthMm;
                case FREE -> areaMm2;
            };
        }

        /** The same with another length; a free outline is drawn out with it. */
        public Insert ofLength(double mm) {
            return new Insert(shape, mm, widthMm, heightMm, areaMm2 * mm / lengthMm, spreadMm, sinkMm, rawLengthMm);
        }

        public Insert ofWidth(double mm) {
            double area = widthMm == 0 ? areaMm2 : areaMm2 * mm / widthMm;
            return new Insert(shape, lengthMm, mm, heightMm, area, spreadMm, sinkMm, rawLengthMm);
        }

        public Insert ofHeight(double mm) {
            return new Insert(shape, lengthMm, widthMm, mm, areaMm2, spreadMm, sinkMm, rawLengthMm);
        }

        public double acrossMm() {
            return shape == Shape.DISC ? lengthMm : widthMm;
        }

        void check(Faults faults, String field) {
            faults.within(field + "lengthMm", lengthMm, SIDE_MM);
            if (shape != Shape.DISC) {
                faults.within(field + "widthMm", widthMm, SIDE_MM);
            }
            if (shape == Shape.FREE && faults.within(field + "areaMm2", areaMm2, AREA_MM2)) {
                double most = Math.max(AREA_MM2.least(), lengthMm * widthMm);
                faults.within(field + "areaMm2", areaMm2, new Range(AREA_MM2.least(), most, "mm²"));
            }
            faults.within(field + "heightMm", heightMm, HEIGHT_MM);
            faults.within(field + "spreadMm", spreadMm, SPREAD_MM);
            faults.within(field + "sinkMm", sinkMm, SINK_MM);
            if (rawLengthMm != 0) {
                faults.within(field + "rawLengthMm", rawLengthMm, SIDE_MM);
            }
        }
    }

    public BarLayer {
        repeat = Math.max(1, repeat);
        handling = handling == null ? Handling.PLAIN : handling;
    }

    /** A layer given by its thickness. */
    public static BarLayer mm(LayerKind kind, String of, double mm) {
        return plain(kind, of, By.MM, mm);
    }

    /** A layer given by its mass per piece. */
    public static BarLayer grams(LayerKind kind, String of, double grams) {
        return plain(kind, of, By.GRAMS, grams);
    }

    /** The layer that takes what the others leave. */
    public static BarLayer rest(LayerKind kind, String of) {
        return plain(kind, of, By.REST, 0);
    }

    /** Pieces put in or on; all of each inside unless {@code embedded} says otherwise. */
    public static BarLayer pieces(String of, double count, double eachGrams, double embedded) {
        return plain(LayerKind.INCLUSION, of, By.PIECES, count)
                .with()
                .eachGrams(eachGrams)
                .embedded(embedded)
                .build();
    }

    static BarLayer plain(LayerKind kind, String of, By by, double amount) {
        Faces faces = kind.has(LayerKind.Field.FACES) ? Faces.ALL : null;
        return BarLayerBuilder.builder()
                .kind(kind)
                .of(of)
                .by(by)
                .amount(amount)
                .embedded(1)
                .faces(faces)
                .build();
    }

    /** Faces that a coat covers; all where none are said. */
    public Faces coated() {
        return faces == null ? Faces.ALL : faces;
    }

    /** Thinnest that is allowed: its own bound, or else the usual one. */
    public double least(Supplier<Bound> usual) {
        return leastMm == null ? usual.get().least() : leastMm;
    }

    /** Thickest that is allowed: its own bound, or else the usual one. */
    public double greatest(Supplier<Bound> usual) {
        return greatestMm == null ? usual.get().greatest() : greatestMm;
    }

    public BarLayer between(double least, double greatest) {
        return with().leastMm(least).greatestMm(greatest).build();
    }

    public BarLayer amount(double other) {
        return withAmount(other);
    }

    /** The same layer, its amount given otherwise. */
    public BarLayer given(By in, double other) {
        return with().by(in).amount(other).build();
    }

    public BarLayer mixed(Mix other) {
        return withMix(other);
    }

    public BarLayer with(Insert other) {
        return withInsert(other);
    }

    public BarLayer on(Faces other) {
        return withFaces(other);
    }

    public BarLayer at(double laidCelsius) {
        return withCelsius(laidCelsius);
    }

    public BarLayer handled(Handling other) {
        return withHandling(other);
    }

    void check(Faults faults, String field) {
        checkKind(faults, field);
        Range range =
                switch (by) {
                    case MM -> MM;
                    case GRAMS -> GRAMS;
                    case MILLIGRAMS -> MILLIGRAMS;
                    case PIECES -> PIECES;
                    case SHARE -> SHARE_PERCENT;
                    case REST -> null;
                };
        if (range != null && kind.amountAsked(by)) {
            faults.within(field + "amount", amount, range);
        }
        if (by == By.PIECES) {
            faults.within(field + "eachGrams", eachGrams, EACH_GRAMS);
        }
        faults.within(field + "embedded", embedded, SHARE);
        faults.within(field + "repeat", repeat, REPEAT);
        if (mix != null) {
            faults.within(field + "mixFraction", mix.fraction(), SHARE);
        }
        if (insert != null) {
            insert.check(faults, field);
        }
        if (celsius != null) {
            faults.within(field + "celsius", celsius, CELSIUS);
        }
        handling.check(faults, field);
    }

    /** Whether it is given as its kind may be, and has what its kind has. */
    private void checkKind(Faults faults, String field) {
        if (!kind.ways().contains(by)) {
            String ways = kind.ways().stream().map(By::words).collect(Collectors.joining(", "));
            faults.add(Fault.of(
                    field + "by",
                    by.words(),
                    "The %s cannot be given in %s; permitted: %s.".formatted(kind.words(), by.words(), ways)));
        }
        if (kind.has(LayerKind.Field.SIZE) && insert == null) {
            faults.add(Fault.of(field + "lengthMm", "", "Give the insert its size."));
        }
        if (!kind.has(LayerKind.Field.SIZE) && insert != null) {
            faults.add(Fault.of(field + "lengthMm", "", "A %s has no size of its own.".formatted(kind.words())));
        }
        List<Technique> techniques = Technique.of(kind);
        if (handling.technique() != null && !techniques.contains(handling.technique())) {
            String permitted = techniques.stream().map(Technique::words).collect(Collectors.joining(", "));
            faults.add(Fault.of(
                    field + "technique",
                    handling.technique().words(),
                    "A %s is not %s; %s."
                            .formatted(
                                    kind.words(),
                                    handling.technique().words(),
                                    permitted.isEmpty() ? "leave it open" : "permitted: " + permitted)));
        }
        if (!kind.has(LayerKind.Field.CUT_FROM) && handling.cutFrom() != null) {
            faults.add(Fault.of(
                    field + "sheetLengthMm", "", "A %s is not cut from a sheet of its own.".formatted(kind.words())));
        }
        if (!kind.has(LayerKind.Field.FACES) && faces != null) {
            faults.add(
                    Fault.of(field + "faces", "", "A %s covers no faces; only a coat does.".formatted(kind.words())));
        }
    }
}

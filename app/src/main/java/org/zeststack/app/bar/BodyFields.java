package org.zeststack.app.bar;

import static org.zeststack.core.typed.FormInput.shown;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.slab.Cutters;
import org.zeststack.core.slab.SlabCut;
import org.zeststack.core.typed.FormInput;

/** Fields of what carries a bar's stack, {@code body.kind} and so on; lengths may be typed in mm, cm or inches. */
public final class BodyFields {

    /** What carries the stack. */
    public enum Kind {
        MOULD("a mould", Body.Moulded.class),
        SLAB("a slab, cut by size", Body.Slab.class),
        TRAY("a tray or sheet, cut by count", Body.Tray.class),
        SHEET("a sheet, with cutters", Body.Sheet.class),
        PLATE("levels on a plate", Body.Plate.class),
        SPREAD("a sheet, broken by weight", Body.Spread.class),
        SHAPED("the hand", Body.Shaped.class);

        private final String words;
        private final Class<? extends Body> type;

        Kind(String words, Class<? extends Body> type) {
            this.words = words;
            this.type = type;
        }

        public String words() {
            return words;
        }

        /** Names of what may carry a build's stack, the usual one first. */
        public static List<String> of(Build build) {
            return build.bodies().stream()
                    .map(body -> Arrays.stream(values())
                            .filter(kind -> kind.type == body)
                            .findFirst()
                            .orElseThrow()
                            .name())
                    .toList();
        }
    }

    private static final Range ANY = new Range(0, 100_000, "mm");
    private static final double MM_PER_INCH = 25.4;

    private BodyFields() {}

    public static void put(Map<String, String> fields, Body body) {
        if (body instanceof Body.Moulded m) {
            fields.put("body.kind", Kind.MOULD.name());
            fields.put("body.mould", String.valueOf(m.mould()));
            fields.put("body.halves", m.halves() ? "yes" : "");
        } else if (body instanceof Body.Slab s) {
            fields.put("body.kind", Kind.SLAB.name());
            sides(fields, s.lengthMm(), s.widthMm());
            fields.put("body.pieceLengthMm", shown(s.pieceLengthMm()));
            fields.put("body.pieceWidthMm", shown(s.pieceWidthMm()));
            fields.put("body.kerfMm", shown(s.kerfMm()));
            fields.put("body.trimMm", shown(s.trimMm()));
            fields.put("body.cornerMm", shown(s.cornerMm()));
            Body.Cutting cutting = s.cutting();
            fields.put("body.tool", cutting == null ? "" : cutting.tool().name());
            fields.put("body.pitchMm", cutting == null || cutting.pitchMm() == null ? "" : shown(cutting.pitchMm()));
            fields.put("body.lanes", cutting == null || cutting.lanes() == null ? "" : String.valueOf(cutting.lanes()));
        } else if (body instanceof Body.Tray t) {
            fields.put("body.kind", Kind.TRAY.name());
            sides(fields, t.lengthMm(), t.widthMm());
            fields.put("body.strips", String.valueOf(t.strips()));
            fields.put("body.perStrip", String.valueOf(t.perStrip()));
            fields.put("body.kerfMm", shown(t.kerfMm()));
            fields.put("body.trimMm", shown(t.trimMm()));
        } else if (body instanceof Body.Shaped s) {
            fields.put("body.kind", Kind.SHAPED.name());
            fields.put("body.form", s.form().name());
            fields.put("body.lengthMm", orEmpty(s.lengthMm()));
            fields.put("body.widthMm", orEmpty(s.widthMm()));
            fields.put("body.heightMm", orEmpty(s.heightMm()));
            fields.put("body.grams", orEmpty(s.grams()));
            fields.put("body.slices", s.slices() == 1 ? "" : String.valueOf(s.slices()));
            fields.put("body.endMm", orEmpty(s.endMm()));
        } else if (body instanceof Body.Sheet s) {
            fields.put("body.kind", Kind.SHEET.name());
            sides(fields, s.lengthMm(), s.widthMm());
            sizes(fields, s.round(), s.cuttersMm());
            fields.put("body.gapMm", shown(s.gapMm()));
        } else if (body instanceof Body.Plate p) {
            fields.put("body.kind", Kind.PLATE.name());
            sizes(fields, p.round(), p.sizesMm());
        } else if (body instanceof Body.Spread s) {
            fields.put("body.kind", Kind.SPREAD.name());
            sides(fields, s.lengthMm(), s.widthMm());
            fields.put("body.leastGrams", shown(s.leastGrams()));
            fields.put("body.greatestGrams", shown(s.greatestGrams()));
            fields.put("body.crumbs", orEmpty(100 * s.crumbsFraction()));
        }
    }

    private static void sizes(Map<String, String> fields, boolean round, List<Double> sizesMm) {
        fields.put("body.cutter", round ? "round" : "square");
        fields.put("body.cuttersMm", sizesMm.stream().map(FormInput::shown).collect(Collectors.joining("; ")));
    }

    private static String orEmpty(double amount) {
        return amount == 0 ? "" : shown(amount);
    }

    private static void sides(Map<String, String> fields, double length, double width) {
        fields.put("body.lengthMm", shown(length));
        fields.put("body.widthMm", shown(width));
    }

    /** Reads a body; null with faults noted where it is none. */
    public static Body read(FormInput form) {
        Kind kind = form.choice("body.kind", Kind.class);
        if (kind == null) {
            return null;
        }
        return switch (kind) {
            case MOULD -> mould(form);
            case SLAB -> slab(form);
            case TRAY ->
                new Body.Tray(
                        mm(form, "body.lengthMm", SlabCut.SLAB_MM),
                        mm(form, "body.widthMm", SlabCut.SLAB_MM),
                        form.whole("body.strips", SlabCut.COUNT),
                        form.whole("body.perStrip", SlabCut.COUNT),
                        or(form, "body.kerfMm", SlabCut.KERF_MM),
                        or(form, "body.trimMm", SlabCut.TRIM_MM));
            case SHAPED -> shaped(form);
            case SHEET ->
                new Body.Sheet(
                        mm(form, "body.lengthMm", SlabCut.SLAB_MM),
                        mm(form, "body.widthMm", SlabCut.SLAB_MM),
                        !form.text("body.cutter").equals("square"),
                        cutters(form),
                        or(form, "body.gapMm", SlabCut.KERF_MM));
            case PLATE -> new Body.Plate(!form.text("body.cutter").equals("square"), cutters(form));
            case SPREAD ->
                new Body.Spread(
                        mm(form, "body.lengthMm", SlabCut.SLAB_MM),
                        mm(form, "body.widthMm", SlabCut.SLAB_MM),
                        form.number("body.leastGrams", Body.GRAMS),
                        form.number("body.greatestGrams", Body.GRAMS),
                        form.has("body.crumbs") ? form.percent("body.crumbs", Body.Spread.CRUMBS) : 0);
        };
    }

    /** What a cut loses is the tool's usual kerf, where nobody says otherwise. */
    private static Body slab(FormInput form) {
        Body.Tool tool = form.has("body.tool") ? form.choice("body.tool", Body.Tool.class) : null;
        boolean usual = tool != null && !form.has("body.kerfMm");
        boolean wires = tool == Body.Tool.WIRES && form.has("body.pitchMm");
        boolean lanes = tool == Body.Tool.SLITTER && form.has("body.lanes");
        return new Body.Slab(
                mm(form, "body.lengthMm", SlabCut.SLAB_MM),
                mm(form, "body.widthMm", SlabCut.SLAB_MM),
                mm(form, "body.pieceLengthMm", SlabCut.PIECE_MM),
                mm(form, "body.pieceWidthMm", SlabCut.PIECE_MM),
                usual ? tool.kerfMm() : or(form, "body.kerfMm", SlabCut.KERF_MM),
                or(form, "body.trimMm", SlabCut.TRIM_MM),
                or(form, "body.cornerMm", Body.CORNER_MM),
                tool == null
                        ? null
                        : new Body.Cutting(
                                tool,
                                wires ? Double.valueOf(mm(form, "body.pitchMm", Body.Cutting.PITCH_MM)) : null,
                                lanes ? Integer.valueOf(form.whole("body.lanes", Body.Cutting.LANES)) : null));
    }

    private static Body mould(FormInput form) {
        String id = form.text("body.mould");
        if (!id.matches("[0-9]{1,15}")) {
            form.add(Fault.of("body.mould", id, "Choose a mould."));
            return null;
        }
        return new Body.Moulded(Long.parseLong(id), form.text("body.halves").equals("yes"));
    }

    private static Body shaped(FormInput form) {
        Body.Form of = form.choice("body.form", Body.Form.class);
        if (of == null) {
            return null;
        }
        double grams = form.has("body.grams") ? form.number("body.grams", Body.GRAMS) : 0;
        boolean byMass = form.has("body.grams");
        double length = of == Body.Form.BALL || byMass ? 0 : mm(form, "body.lengthMm", Body.SIDE_MM);
        double width = of == Body.Form.BALL && byMass ? 0 : mm(form, "body.widthMm", Body.SIDE_MM);
        double height = of == Body.Form.BLOCK ? mm(form, "body.heightMm", Body.SIDE_MM) : 0;
        boolean sliced = of == Body.Form.LOG && form.has("body.slices");
        return new Body.Shaped(
                of,
                length,
                width,
                height,
                grams,
                sliced ? Integer.valueOf(form.whole("body.slices", Body.Shaped.SLICES)) : null,
                sliced ? Double.valueOf(or(form, "body.endMm", Body.Shaped.END_MM)) : null);
    }

    private static List<Double> cutters(FormInput form) {
        List<Double> sizes = new ArrayList<>();
        for (String size : form.brief("body.cuttersMm").split("[;\\s]+")) {
            if (!size.isBlank()) {
                FormInput one = FormInput.of(Map.of("body.cuttersMm", size));
                sizes.add(mm(one, "body.cuttersMm", Cutters.DIAMETER_MM));
                form.addAll(one.faults());
            }
        }
        if (sizes.isEmpty()) {
            form.add(Fault.of("body.cuttersMm", "", "Write one size, or several from the bottom up: 60; 50; 40."));
        }
        return sizes;
    }

    static double or(FormInput form, String field, Range range) {
        return form.has(field) ? mm(form, field, range) : 0;
    }

    /** A length in mm, or with cm or in behind it; what stands in the field is put into mm. */
    static double mm(FormInput form, String field, Range range) {
        String typed = form.brief(field);
        if (typed.isEmpty() && form.has(field)) {
            return Double.NaN;
        }
        String number = typed.replaceFirst("(?i)\\s*(mm|cm|in|inch|inches|\")$", "");
        double each = typed.matches("(?i).*(in|inch|inches|\")") ? MM_PER_INCH : typed.matches("(?i).*cm") ? 10 : 1;
        if (number.equals(typed)) {
            return form.number(field, range);
        }
        FormInput own = FormInput.of(Map.of(field, number));
        double mm = each * own.number(field, ANY);
        if (own.faulty() || !range.holds(mm)) {
            form.add(own.faulty() ? own.faults().get(0) : Fault.outside(field, shown(mm) + " mm", range));
            return Double.NaN;
        }
        return mm;
    }
}

package org.zeststack.web.workshop;

import static org.zeststack.core.typed.FormInput.shown;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.Dome;
import org.zeststack.core.cavity.FrustumCavity;
import org.zeststack.core.cavity.HalfCylinder;
import org.zeststack.core.cavity.HalfEllipsoid;
import org.zeststack.core.cavity.SegmentRow;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Mould;

/** Fields of a mould, to text and back: the dimensions that its shape has, and how many cavities it has. */
public final class MouldFields {

    /** Shapes of a cavity, with the fields of each. */
    public enum Shape {
        TAPERED("tapered bar", "openingLengthMm openingWidthMm floorLengthMm floorWidthMm depthMm"),
        HALF_CYLINDER("half-cylinder", "lengthMm diameterMm"),
        DOME("dome", "openingDiameterMm depthMm"),
        HALF_ELLIPSOID("half ellipsoid", "lengthMm widthMm depthMm"),
        ROUND("round, straight walls", "openingWidthMm floorWidthMm depthMm"),
        HEXAGONAL("hexagonal, across the flats", "openingWidthMm floorWidthMm depthMm"),
        SEGMENT_ROW(
                "row of segments to break off",
                "openingLengthMm openingWidthMm floorLengthMm floorWidthMm depthMm segments gapMm bridgeWidthMm bridgeDepthMm");

        private final String words;
        private final String fields;

        Shape(String words, String fields) {
            this.words = words;
            this.fields = fields;
        }

        public String words() {
            return words;
        }

        static Shape of(Cavity cavity) {
            if (cavity instanceof FrustumCavity frustum) {
                return frustum.hexagonal() ? HEXAGONAL : ROUND;
            }
            if (cavity instanceof HalfCylinder) {
                return HALF_CYLINDER;
            }
            if (cavity instanceof Dome) {
                return DOME;
            }
            if (cavity instanceof HalfEllipsoid) {
                return HALF_ELLIPSOID;
            }
            return cavity instanceof SegmentRow ? SEGMENT_ROW : TAPERED;
        }

        /** Whether the shape has a dimension. */
        public boolean has(String field) {
            return (" " + fields + " ").contains(" " + field + " ");
        }

        /** Names of the dimensions. */
        public String fields() {
            return fields;
        }
    }

    private MouldFields() {}

    static Map<String, String> blank() {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("shape", Shape.TAPERED.name());
        fields.put("edgeRadiusMm", "0");
        fields.put("rows", "1");
        fields.put("owned", "1");
        return fields;
    }

    static void put(Map<String, String> fields, Mould mould) {
        Cavity cavity = mould.cavity();
        fields.put("shape", Shape.of(cavity).name());
        if (cavity instanceof TaperedCavity t) {
            tapered(fields, t);
        } else if (cavity instanceof HalfCylinder h) {
            fields.put("lengthMm", shown(h.lengthMm()));
            fields.put("diameterMm", shown(2 * h.radiusMm()));
        } else if (cavity instanceof Dome d) {
            fields.put("openingDiameterMm", shown(2 * d.openingRadiusMm()));
            fields.put("depthMm", shown(d.depthMm()));
        } else if (cavity instanceof HalfEllipsoid e) {
            fields.put("lengthMm", shown(e.lengthMm()));
            fields.put("widthMm", shown(e.widthMm()));
            fields.put("depthMm", shown(e.depthMm()));
        } else if (cavity instanceof FrustumCavity f) {
            fields.put("openingWidthMm", shown(f.openingWidthMm()));
            fields.put("floorWidthMm", shown(f.floorWidthMm()));
            fields.put("depthMm", shown(f.depthMm()));
        } else if (cavity instanceof SegmentRow r) {
            tapered(fields, r.segment());
            fields.put("segments", String.valueOf(r.segments()));
            fields.put("gapMm", shown(r.gapMm()));
            fields.put("bridgeWidthMm", shown(r.bridgeWidthMm()));
            fields.put("bridgeDepthMm", shown(r.bridgeDepthMm()));
        }
        fields.put("edgeRadiusMm", shown(mould.edgeRadiusMm()));
        fields.put("waterGrams", mould.waterGrams() == null ? "" : shown(mould.waterGrams()));
        fields.put("rows", String.valueOf(mould.rows()));
        fields.put("columns", String.valueOf(mould.columns()));
        fields.put("owned", String.valueOf(mould.owned()));
    }

    private static void tapered(Map<String, String> fields, TaperedCavity cavity) {
        fields.put("openingLengthMm", shown(cavity.openingLengthMm()));
        fields.put("openingWidthMm", shown(cavity.openingWidthMm()));
        fields.put("floorLengthMm", shown(cavity.floorLengthMm()));
        fields.put("floorWidthMm", shown(cavity.floorWidthMm()));
        fields.put("depthMm", shown(cavity.depthMm()));
    }

    /** Reads a mould; every fault is noted in the form. */
    public static Optional<Mould> read(FormInput form) {
        Optional<Cavity> cavity = cavity(form);
        double edge = form.has("edgeRadiusMm") ? form.number("edgeRadiusMm", Mould.EDGE_MM) : 0;
        Double water = form.has("waterGrams") ? Double.valueOf(form.number("waterGrams", Mould.WATER_GRAMS)) : null;
        int rows = form.has("rows") ? form.whole("rows", Mould.ROWS) : 1;
        int columns = form.whole("columns", Mould.COLUMNS);
        int owned = form.whole("owned", Mould.OWNED);
        return form.build(() -> new Mould(cavity.orElseThrow(), edge, water, rows, columns, owned));
    }

    /** Reads the cavity alone; every fault is noted in the form. */
    public static Optional<Cavity> cavity(FormInput form) {
        Shape shape = form.choice("shape", Shape.class);
        if (shape == null) {
            return Optional.empty();
        }
        Sizes n = new Sizes(form, shape);
        double openingLength = n.mm("openingLengthMm", Cavity.OPENING_MM);
        double openingWidth = n.mm("openingWidthMm", Cavity.OPENING_MM);
        double floorLength = n.mm("floorLengthMm", Cavity.FLOOR_MM);
        double floorWidth = n.mm("floorWidthMm", Cavity.FLOOR_MM);
        double depth = n.mm("depthMm", Cavity.DEPTH_MM);
        double length = n.mm("lengthMm", Cavity.OPENING_MM);
        double width = n.mm("widthMm", Cavity.OPENING_MM);
        double radius = n.radius("diameterMm", "radiusMm", HalfCylinder.RADIUS_MM);
        double openingRadius = n.radius("openingDiameterMm", "openingRadiusMm", Dome.RADIUS_MM);
        double gap = n.mm("gapMm", SegmentRow.GAP_MM);
        double bridgeWidth = n.mm("bridgeWidthMm", SegmentRow.BRIDGE_MM);
        double bridgeDepth = n.mm("bridgeDepthMm", SegmentRow.BRIDGE_MM);
        int segments = shape == Shape.SEGMENT_ROW ? form.whole("segments", SegmentRow.SEGMENTS) : 0;
        return form.build(() -> switch (shape) {
            case TAPERED -> new TaperedCavity(openingLength, openingWidth, floorLength, floorWidth, depth);
            case HALF_CYLINDER -> new HalfCylinder(length, radius);
            case DOME -> new Dome(openingRadius, depth);
            case HALF_ELLIPSOID -> new HalfEllipsoid(length, width, depth);
            case ROUND, HEXAGONAL -> new FrustumCavity(shape == Shape.HEXAGONAL, openingWidth, floorWidth, depth);
            case SEGMENT_ROW ->
                new SegmentRow(
                        new TaperedCavity(openingLength, openingWidth, floorLength, floorWidth, depth),
                        segments,
                        gap,
                        bridgeWidth,
                        bridgeDepth);
        });
    }

    /** Numbers of the fields that the shape has. */
    private record Sizes(FormInput form, Shape shape) {
        double mm(String field, Range range) {
            return shape.has(field) ? form.number(field, range) : Double.NaN;
        }

        /** Half of what a page asks, since that is what a ruler measures; programs give the radius. */
        double radius(String diameter, String radius, Range range) {
            if (!shape.has(diameter)) {
                return Double.NaN;
            }
            boolean across = form.typed().containsKey(diameter);
            Range twice = new Range(2 * range.least(), 2 * range.greatest(), range.unit());
            return across ? form.number(diameter, twice) / 2 : form.number(radius, range);
        }
    }
}

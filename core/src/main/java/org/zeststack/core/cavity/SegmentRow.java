package org.zeststack.core.cavity;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * A bar to break: equal tapered segments in a row, joined at the opening by bridges. Lined, each segment is lined as a tapered
 * cavity; a bridge has an inside where it is deeper than the shell and wider than two of them, else it is solid.
 *
 * @param segment one segment; its length runs along the row
 * @param segments 2 to 30
 * @param gapMm between the openings of two segments, 0 to 50
 * @param bridgeWidthMm 0 to the segment's width
 * @param bridgeDepthMm from the opening down, 0 to the segment's depth
 */
public record SegmentRow(TaperedCavity segment, int segments, double gapMm, double bridgeWidthMm, double bridgeDepthMm)
        implements Cavity {

    public static final Range SEGMENTS = new Range(2, 30, "segments");
    public static final Range GAP_MM = new Range(0, 50, "mm");
    public static final Range BRIDGE_MM = new Range(0, 400, "mm");

    /**
     * @throws org.zeststack.core.quantity.InvalidInput naming every dimension at fault
     */
    public SegmentRow {
        Faults faults = new Faults();
        faults.within("segments", segments, SEGMENTS);
        faults.within("gapMm", gapMm, GAP_MM);
        bridge(faults, "bridgeWidthMm", bridgeWidthMm, segment.openingWidthMm(), "wide");
        bridge(faults, "bridgeDepthMm", bridgeDepthMm, segment.depthMm(), "deep");
        faults.throwIfAny();
    }

    private static void bridge(Faults faults, String field, double mm, double mostMm, String how) {
        if (faults.within(field, mm, BRIDGE_MM) && mm > mostMm) {
            faults.add(new Fault(
                    field,
                    Numbers.plain(mm),
                    0.0,
                    mostMm,
                    "mm",
                    "A bridge %s %s is more than its segments have; at most %s."
                            .formatted(Say.mm(mm), how, Say.mm(mostMm))));
        }
    }

    @Override
    public double depthMm() {
        return segment.depthMm();
    }

    @Override
    public Hollow inside(double shellMm) {
        double width = Math.max(0, bridgeWidthMm - 2 * shellMm);
        double floor = Math.min(depthMm(), depthMm() - bridgeDepthMm + shellMm);
        return new RowSpace(segment.straight(shellMm), segments, segment.openingLengthMm() + gapMm, width, floor);
    }

    @Override
    public double greatestShellMm() {
        return segment.greatestShellMm();
    }

    @Override
    public double draftDegrees() {
        return segment.draftDegrees();
    }

    @Override
    public double floorEdgeMm() {
        return segments * segment.floorEdgeMm();
    }
}

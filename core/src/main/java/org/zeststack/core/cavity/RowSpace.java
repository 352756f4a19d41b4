package org.zeststack.core.cavity;

import java.util.List;

/**
 * Equal segments in a row, joined by bridges at the opening: a bridge is a channel that reaches from the wall of one segment to
 * the next. Where a bridge is too shallow or narrow to have an inside, it is solid.
 *
 * @param segment one segment
 * @param pitchMm from the middle of one to the middle of the next
 * @param bridgeWidthMm 0 where the bridge has no inside
 * @param bridgeFloorMm height of the bridge's floor
 */
record RowSpace(StraightSpace segment, int segments, double pitchMm, double bridgeWidthMm, double bridgeFloorMm)
        implements Hollow {

    @Override
    public double floorMm() {
        return segment.floorMm();
    }

    @Override
    public double topMm() {
        return segment.topMm();
    }

    /** The rectangle around the row. */
    @Override
    public Outline outline(double heightMm) {
        Outline one = segment.outline(heightMm);
        return new Outline(Outline.Kind.RECTANGLE, one.lengthMm() + (segments - 1) * pitchMm, one.widthMm());
    }

    @Override
    public List<Outline> undivided(double heightMm) {
        Outline one = segment.outline(heightMm);
        boolean open = bridgeWidthMm > 0 && heightMm >= bridgeFloorMm;
        return open
                ? List.of(
                        one,
                        new Outline(Outline.Kind.RECTANGLE, outline(heightMm).lengthMm(), bridgeWidthMm))
                : List.of(one);
    }

    @Override
    public double areaMm2(double heightMm) {
        return segments * segment.areaMm2(heightMm)
                + (heightMm >= bridgeFloorMm ? (segments - 1) * bridgeMm2(heightMm) : 0);
    }

    private double bridgeMm2(double heightMm) {
        return bridgeWidthMm * Math.max(0, pitchMm - segment.lengthMm(heightMm));
    }

    @Override
    public double volumeMl(double fromMm, double toMm) {
        double low = Math.max(fromMm, bridgeFloorMm);
        double bridges =
                toMm <= low ? 0 : Prismoid.ml(bridgeMm2(low), bridgeMm2((low + toMm) / 2), bridgeMm2(toMm), toMm - low);
        return segments * segment.volumeMl(fromMm, toMm) + (segments - 1) * bridges;
    }
}

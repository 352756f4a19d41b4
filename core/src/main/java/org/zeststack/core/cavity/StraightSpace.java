package org.zeststack.core.cavity;

/**
 * A space with straight walls: extents vary linearly with height.
 *
 * @param kind its level cut
 * @param lengthAt0Mm length at height 0, of a hexagon across the flats
 * @param lengthGain gain of length per mm of height
 */
record StraightSpace(
        Outline.Kind kind,
        double lengthAt0Mm,
        double lengthGain,
        double widthAt0Mm,
        double widthGain,
        double floorMm,
        double topMm)
        implements Hollow {

    private static final double CORNERS_TO_FLATS = 2 / Math.sqrt(3);

    @Override
    public Outline outline(double heightMm) {
        double length = lengthAt0Mm + lengthGain * heightMm;
        double width = widthAt0Mm + widthGain * heightMm;
        return new Outline(kind, kind == Outline.Kind.HEXAGON ? length * CORNERS_TO_FLATS : length, width);
    }
}

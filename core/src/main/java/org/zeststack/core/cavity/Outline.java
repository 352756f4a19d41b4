package org.zeststack.core.cavity;

import java.util.ArrayList;
import java.util.List;

/**
 * A level cut: what is seen from above.
 *
 * @param lengthMm greatest extent along the length
 * @param widthMm greatest extent across; of a hexagon, across the flats
 */
public record Outline(Kind kind, double lengthMm, double widthMm) {

    /** Shapes of a level cut. */
    public enum Kind {
        RECTANGLE,
        ELLIPSE,
        /** Regular, flats on the long sides, so that its length is 2/√3 of its width. */
        HEXAGON
    }

    private static final int CORNERS_OF_ROUND = 48;

    /** A point seen from above, from the middle. */
    public record Point(double xMm, double yMm) {}

    public double areaMm2() {
        return switch (kind) {
            case RECTANGLE -> lengthMm * widthMm;
            case ELLIPSE -> Math.PI / 4 * lengthMm * widthMm;
            case HEXAGON -> Math.sqrt(3) / 2 * widthMm * widthMm;
        };
    }

    /** Length around; of an ellipse by Ramanujan's second approximation (1914). */
    public double perimeterMm() {
        return switch (kind) {
            case RECTANGLE -> 2 * (lengthMm + widthMm);
            case HEXAGON -> 6 * widthMm / Math.sqrt(3);
            case ELLIPSE -> {
                double sum = (lengthMm + widthMm) / 2;
                double h = sum == 0 ? 0 : Math.pow((lengthMm - widthMm) / 2 / sum, 2);
                yield Math.PI * sum * (1 + 3 * h / (10 + Math.sqrt(4 - 3 * h)));
            }
        };
    }

    /** The longest strip along the middle that is {@code acrossMm} wide and lies inside; 0 where none does. */
    public double longestMm(double acrossMm) {
        if (acrossMm > widthMm) {
            return 0;
        }
        return switch (kind) {
            case RECTANGLE -> lengthMm;
            case ELLIPSE -> lengthMm * Math.sqrt(1 - Math.pow(acrossMm / widthMm, 2));
            case HEXAGON -> lengthMm * (1 - acrossMm / (2 * widthMm));
        };
    }

    /** Diameter of the largest disc that lies inside, in the middle. */
    public double widestDiscMm() {
        return Math.min(lengthMm, widthMm);
    }

    /** Corners around, or points enough to draw a round one. */
    public List<Point> points() {
        double l = lengthMm / 2;
        double w = widthMm / 2;
        return switch (kind) {
            case RECTANGLE -> List.of(new Point(-l, -w), new Point(l, -w), new Point(l, w), new Point(-l, w));
            case HEXAGON ->
                List.of(
                        new Point(-l, 0),
                        new Point(-l / 2, -w),
                        new Point(l / 2, -w),
                        new Point(l, 0),
                        new Point(l / 2, w),
                        new Point(-l / 2, w));
            case ELLIPSE -> {
                List<Point> points = new ArrayList<>();
                for (int i = 0; i < CORNERS_OF_ROUND; i++) {
                    double angle = 2 * Math.PI * i / CORNERS_OF_ROUND;
                    points.add(new Point(l * Math.cos(angle), w * Math.sin(angle)));
                }
                yield points;
            }
        };
    }
}

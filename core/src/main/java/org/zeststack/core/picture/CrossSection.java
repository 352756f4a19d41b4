package org.zeststack.core.picture;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.Material;

/**
 * The cut face of a piece to scale, in mm: x across, y up. In a mould y counts from the cavity's floor and the opening is at the
 * top; a laid or shaped piece stands on y = 0.
 *
 * @param widthMm greatest extent across
 * @param depthMm greatest extent upwards
 * @param shapes closed outlines, drawn in order
 */
public record CrossSection(double widthMm, double depthMm, List<Shape> shapes) {

    private static final int STREAKS = 5;
    private static final double GOLDEN = 0.6180339887498949;

    /**
     * A closed outline.
     *
     * @param layer the layer's key
     * @param points corners in order
     */
    public record Shape(String layer, String name, String material, List<Point> points) {}

    /** A corner. */
    public record Point(double xMm, double yMm) {}

    /** The cut across the width. */
    public static CrossSection across(BarStack stack) {
        return of(stack, false);
    }

    /** The cut along the length. */
    public static CrossSection along(BarStack stack) {
        return of(stack, true);
    }

    private static CrossSection of(BarStack stack, boolean lengthwise) {
        Frame frame = stack.frame();
        CrossSection plain = frame instanceof Frame.Moulded moulded
                ? new MouldedSection(stack, moulded, lengthwise).section()
                : new StandingSection(stack, lengthwise).section();
        return marbled(stack, plain);
    }

    /** What a layer is marbled with is seen as streaks in it; the same bar always has the same ones. */
    private static CrossSection marbled(BarStack stack, CrossSection plain) {
        List<Shape> shapes = new ArrayList<>();
        for (Shape shape : plain.shapes) {
            shapes.add(shape);
            stack.layers().stream()
                    .filter(l -> l.key().equals(shape.layer()) && l.design().mix() != null)
                    .filter(l -> l.design().mix().marbled())
                    .findFirst()
                    .ifPresent(l -> streaks(
                            shapes,
                            shape,
                            stack.parts().materials().get(l.design().mix().of())));
        }
        return new CrossSection(plain.widthMm, plain.depthMm, List.copyOf(shapes));
    }

    private static void streaks(List<Shape> shapes, Shape in, Material other) {
        double left = in.points.stream().mapToDouble(Point::xMm).min().orElse(0);
        double right = in.points.stream().mapToDouble(Point::xMm).max().orElse(0);
        double low = in.points.stream().mapToDouble(Point::yMm).min().orElse(0);
        double high = in.points.stream().mapToDouble(Point::yMm).max().orElse(0);
        double height = (high - low) / 9;
        double width = (right - left) / 9;
        for (int i = 0; i < STREAKS; i++) {
            double x = left + width * 1.5 + (right - left - 3 * width) * ((i * GOLDEN) % 1);
            double y = low + 2 * height + (high - low - 4 * height) * ((i + 0.5) / STREAKS);
            shapes.add(new Shape(in.layer, other.name(), other.pattern(), oval(x, y, width, height, 16)));
        }
    }

    /** A rectangle. */
    static List<Point> box(double left, double bottom, double right, double top) {
        return List.of(new Point(left, bottom), new Point(right, bottom), new Point(right, top), new Point(left, top));
    }

    /** An ellipse. */
    static List<Point> oval(double xMm, double yMm, double halfWidth, double halfHeight, int corners) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < corners; i++) {
            double angle = 2 * Math.PI * i / corners;
            points.add(new Point(xMm + halfWidth * Math.cos(angle), yMm + halfHeight * Math.sin(angle)));
        }
        return points;
    }
}

package org.zeststack.core.bar;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * The cut face of a moulded bar to scale, in mm: x across, y up from the cavity's floor, the opening at the top.
 *
 * @param widthMm across the opening
 * @param depthMm of the cavity
 * @param shapes closed outlines, drawn in order
 */
public record CrossSection(double widthMm, double depthMm, List<Shape> shapes) {

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
        return cut(stack, h -> stack.cavity().widthMm(h), h -> stack.lined().widthMm(h));
    }

    /** The cut along the length. */
    public static CrossSection along(BarStack stack) {
        return cut(stack, h -> stack.cavity().lengthMm(h), h -> stack.lined().lengthMm(h));
    }

    private static CrossSection cut(BarStack stack, DoubleUnaryOperator outer, DoubleUnaryOperator inner) {
        double depth = stack.cavity().depthMm();
        double middle = outer.applyAsDouble(depth) / 2;
        List<Shape> shapes = new ArrayList<>();
        for (BarStack.Layer layer : stack.layers()) {
            List<Point> points = layer.kind() == BarStack.Kind.SHELL
                    ? shell(middle, depth, stack.lined().shellMm(), outer, inner)
                    : trapezium(middle, layer.fromMm(), layer.toMm(), inner);
            shapes.add(new Shape(layer.key(), layer.name(), layer.material(), points));
        }
        return new CrossSection(2 * middle, depth, List.copyOf(shapes));
    }

    private static List<Point> trapezium(double middle, double from, double to, DoubleUnaryOperator width) {
        double low = width.applyAsDouble(from) / 2;
        double high = width.applyAsDouble(to) / 2;
        return List.of(
                new Point(middle - low, from),
                new Point(middle + low, from),
                new Point(middle + high, to),
                new Point(middle - high, to));
    }

    private static List<Point> shell(
            double middle, double depth, double shellMm, DoubleUnaryOperator outer, DoubleUnaryOperator inner) {
        double floor = outer.applyAsDouble(0) / 2;
        double rim = inner.applyAsDouble(depth) / 2;
        double raised = inner.applyAsDouble(shellMm) / 2;
        return List.of(
                new Point(0, depth),
                new Point(middle - floor, 0),
                new Point(middle + floor, 0),
                new Point(2 * middle, depth),
                new Point(middle + rim, depth),
                new Point(middle + raised, shellMm),
                new Point(middle - raised, shellMm),
                new Point(middle - rim, depth));
    }
}

package org.zeststack.core.picture;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.Hollow;
import org.zeststack.core.cavity.SegmentRow;
import org.zeststack.core.picture.CrossSection.Point;
import org.zeststack.core.picture.CrossSection.Shape;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;

/** Cuts through a bar as it lies in its mould. */
final class MouldedSection {

    private static final int CURVE = 20;

    /** A sprayed colour is thinner than a line: it is drawn this thick. */
    private static final double COLOUR_MM = 0.3;

    /** Room that a drawing leaves between strewn pieces and the wall. */
    private static final double CLEAR_MM = 0.3;

    private final BarStack stack;
    private final Frame.Moulded frame;
    private final boolean lengthwise;
    private final List<Shape> shapes = new ArrayList<>();
    private final double middle;
    private final double throughMm;

    MouldedSection(BarStack stack, Frame.Moulded frame, boolean lengthwise) {
        this.stack = stack;
        this.frame = frame;
        this.lengthwise = lengthwise;
        double top = frame.cavity().depthMm();
        middle = widthMm(frame.cavity(), top) / 2;
        throughMm = lengthwise ? frame.cavity().widthMm(top) : frame.cavity().lengthMm(top);
    }

    private double widthMm(Hollow space, double heightMm) {
        return lengthwise ? space.lengthMm(heightMm) : space.widthMm(heightMm);
    }

    CrossSection section() {
        double depth = frame.cavity().depthMm();
        for (StackLayer layer : stack.layers()) {
            switch (layer.kind()) {
                case DECORATION, INCLUSION, INSERT, TOPPING -> {}
                case SHELL -> shape(layer, shell());
                default -> shape(layer, between(frame.inside(), layer.fromMm(), layer.toMm()));
            }
        }
        stack.all(LayerKind.INSERT).forEach(this::insert);
        stack.all(LayerKind.INCLUSION).forEach(this::inclusion);
        stack.all(LayerKind.DECORATION).forEach(l -> shape(l, between(frame.cavity(), 0, COLOUR_MM)));
        stack.all(LayerKind.TOPPING).forEach(this::topping);
        List<Shape> all = segments();
        if (frame.halves() == 2) {
            List<Shape> mirrored = new ArrayList<>(all);
            all.forEach(s -> mirrored.add(new Shape(
                    s.layer(),
                    s.name(),
                    s.material(),
                    s.points().stream()
                            .map(p -> new Point(p.xMm(), 2 * depth - p.yMm()))
                            .toList())));
            all = mirrored;
        }
        return new CrossSection(widthMm(frame.cavity(), depth), depth * frame.halves(), List.copyOf(all));
    }

    private void shape(StackLayer layer, List<Point> points) {
        if (points.size() > 2) {
            shapes.add(new Shape(layer.key(), layer.name(), layer.pattern(), points));
        }
    }

    /** Heights at which a wall is drawn: its ends where it is straight, more where it is curved. */
    private double[] heights(double from, double to) {
        boolean straight =
                !Double.isNaN(frame.cavity().draftDegrees()) && frame.cavity().floorEdgeMm() > 0;
        int steps = straight ? 1 : CURVE;
        double[] heights = new double[steps + 1];
        for (int i = 0; i <= steps; i++) {
            // Closer together at the bottom, where a round floor is flat.
            double share = straight ? i : Math.pow(i / (double) steps, 2);
            heights[i] = from + (to - from) * share;
        }
        return heights;
    }

    private List<Point> between(Hollow space, double from, double to) {
        if (!(to - from > 1e-6)) {
            return List.of();
        }
        List<Point> left = new ArrayList<>();
        List<Point> right = new ArrayList<>();
        for (double h : heights(from, to)) {
            double half = half(space, h);
            left.add(new Point(middle - half, h));
            right.add(new Point(middle + half, h));
        }
        Collections.reverse(left);
        right.addAll(left);
        return right;
    }

    /** Half the width; of a row of segments, that of one segment in its middle place. */
    private double half(Hollow space, double heightMm) {
        return widthMm(space, heightMm) / 2;
    }

    private List<Point> shell() {
        double depth = frame.cavity().depthMm();
        List<Point> points = new ArrayList<>(open(frame.cavity(), 0, depth, true));
        points.addAll(open(frame.inside(), frame.inside().floorMm(), depth, false));
        return points;
    }

    /** A wall from rim to rim, from left to right or back. */
    private List<Point> open(Hollow space, double from, double to, boolean fromLeft) {
        List<Point> wall = new ArrayList<>();
        double[] heights = heights(from, to);
        for (int i = heights.length - 1; i >= 0; i--) {
            wall.add(new Point(middle - half(space, heights[i]), heights[i]));
        }
        for (double h : heights) {
            wall.add(new Point(middle + half(space, h), h));
        }
        if (!fromLeft) {
            Collections.reverse(wall);
        }
        return wall;
    }

    private void insert(StackLayer layer) {
        BarLayer.Insert insert = layer.design().insert();
        double width = lengthwise ? insert.lengthMm() : insert.acrossMm();
        shape(layer, CrossSection.box(middle - width / 2, layer.fromMm(), middle + width / 2, layer.toMm()));
    }

    private void inclusion(StackLayer layer) {
        List<StackLayer> level = stack.layers().stream()
                .filter(l -> l.kind().level() && l.kind() != LayerKind.BACK)
                .toList();
        StackLayer host = level.stream()
                .filter(l -> l.index() < layer.index())
                .reduce((a, b) -> b)
                .orElse(level.isEmpty() ? null : level.get(0));
        double from = host == null ? frame.inside().floorMm() : host.fromMm();
        double to = host == null ? frame.inside().topMm() : host.toMm();
        double half = half(frame.inside(), to) - CLEAR_MM;
        for (Shape s : Strewn.between(layer, middle - half, middle + half, from, to, throughMm)) {
            shapes.add(inside(s, half));
        }
    }

    /** A strewn piece moved inwards as far as the walls lean at its height. */
    private Shape inside(Shape s, double half) {
        double x = s.points().stream().mapToDouble(Point::xMm).average().orElse(middle);
        double y = s.points().stream().mapToDouble(Point::yMm).average().orElse(0);
        double low = s.points().stream().mapToDouble(Point::yMm).min().orElse(0);
        double radius = y - low;
        double there =
                Math.max(frame.inside().floorMm(), Math.min(frame.inside().topMm(), Math.min(y - radius / 2, y)));
        double room = Math.max(0, half(frame.inside(), there) - CLEAR_MM - radius);
        double moved = middle + (x - middle) * room / Math.max(1e-9, half - radius);
        return new Shape(
                s.layer(),
                s.name(),
                s.material(),
                s.points().stream()
                        .map(p -> new Point(p.xMm() - x + moved, p.yMm()))
                        .toList());
    }

    /** What goes on after release lies on the cavity's floor side, below y = 0. */
    private void topping(StackLayer layer) {
        double half = half(frame.cavity(), 0);
        for (Shape s : Strewn.between(layer, middle - half, middle + half, 0, 0, throughMm)) {
            shapes.add(new Shape(
                    s.layer(),
                    s.name(),
                    s.material(),
                    s.points().stream().map(p -> new Point(p.xMm(), -p.yMm())).toList()));
        }
    }

    /** Along a row each segment stands for itself; what joins them at the opening belongs to the shell, or to what is poured. */
    private List<Shape> segments() {
        Cavity cavity = frame.cavity();
        if (!lengthwise || !(cavity instanceof SegmentRow row)) {
            return shapes;
        }
        double pitch = row.segment().openingLengthMm() + row.gapMm();
        double narrow = (row.segments() - 1) * pitch;
        List<Shape> all = new ArrayList<>();
        double depth = row.depthMm();
        for (Shape s : shapes) {
            for (int i = 0; i < row.segments(); i++) {
                double shift = i * pitch;
                all.add(new Shape(
                        s.layer(),
                        s.name(),
                        s.material(),
                        s.points().stream()
                                .map(p -> new Point(
                                        p.xMm() < middle ? p.xMm() + shift : p.xMm() - narrow + shift, p.yMm()))
                                .toList()));
            }
        }
        Shape joins = shapes.isEmpty() ? null : shapes.get(0);
        for (int i = 0; joins != null && i < row.segments() - 1 && row.bridgeDepthMm() > 0; i++) {
            double from = (i + 1) * pitch - row.gapMm();
            double lean =
                    (row.segment().openingLengthMm() - row.segment().floorLengthMm()) / 2 * row.bridgeDepthMm() / depth;
            double low = depth - row.bridgeDepthMm();
            all.add(new Shape(
                    joins.layer(),
                    joins.name(),
                    joins.material(),
                    List.of(
                            new Point(from - lean, low),
                            new Point(from + row.gapMm() + lean, low),
                            new Point(from + row.gapMm(), depth),
                            new Point(from, depth))));
        }
        return all;
    }
}

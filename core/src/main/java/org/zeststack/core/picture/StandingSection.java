package org.zeststack.core.picture;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.picture.CrossSection.Point;
import org.zeststack.core.picture.CrossSection.Shape;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;

/** Cuts through a piece that stands on the table: slab, tray, sheet, or shaped by hand. */
final class StandingSection {

    private static final int ROUND = 64;

    private final BarStack stack;
    private final boolean lengthwise;
    private final List<Shape> shapes = new ArrayList<>();
    private final double sideMm;
    private final double belowMm;
    private final double aboveMm;

    StandingSection(BarStack stack, boolean lengthwise) {
        this.stack = stack;
        this.lengthwise = lengthwise;
        double side = 0;
        double below = 0;
        double above = 0;
        for (StackLayer coat : stack.all(LayerKind.COAT)) {
            BarLayer.Faces faces = faces(coat);
            side += faces.sides() && !faces.wholeSlab() ? coat.thicknessMm() : 0;
            below += faces.bottom() ? coat.thicknessMm() : 0;
            above += faces.top() ? coat.thicknessMm() : 0;
        }
        sideMm = side;
        belowMm = below;
        aboveMm = above;
    }

    private static BarLayer.Faces faces(StackLayer coat) {
        return coat.design().coated();
    }

    CrossSection section() {
        Frame frame = stack.frame();
        if (frame instanceof Frame.Discs discs) {
            return discs(discs);
        }
        if (frame instanceof Frame.Cut cut) {
            return straight(
                    lengthwise ? cut.cut().alongMm() : cut.cut().acrossMm(),
                    cut.stackMm(),
                    lengthwise ? cut.cut().acrossMm() : cut.cut().alongMm());
        }
        if (frame instanceof Frame.Spread spread) {
            return straight(spread.sideMm(), spread.stackMm(), spread.sideMm());
        }
        Frame.Hand hand = (Frame.Hand) frame;
        boolean round = hand.form() == Body.Form.BALL || hand.form() == Body.Form.LOG && !lengthwise;
        if (round) {
            return round(hand);
        }
        return straight(
                lengthwise ? hand.lengthMm() : hand.widthMm(),
                hand.heightMm(),
                lengthwise ? hand.widthMm() : hand.lengthMm());
    }

    private CrossSection straight(double width, double height, double through) {
        coats(width, height);
        boolean log = stack.frame() instanceof Frame.Hand hand && hand.form().roundAcross();
        for (StackLayer layer : log ? outermostFirst() : stack.layers()) {
            if (layer.kind().level() && layer.toMm() > layer.fromMm()) {
                double from = belowMm + (log ? (height - layer.toMm()) / 2 : layer.fromMm());
                add(layer, CrossSection.box(sideMm, from, sideMm + width, from + layer.toMm() - layer.fromMm()));
            }
        }
        double top = belowMm + height + aboveMm;
        for (StackLayer layer : stack.layers()) {
            if (layer.kind() == LayerKind.INCLUSION) {
                StackLayer host = host(layer);
                double from = belowMm + (host == null ? 0 : host.fromMm());
                double to = belowMm + (host == null ? height : Math.max(host.fromMm(), Math.min(height, host.toMm())));
                shapes.addAll(Strewn.between(layer, sideMm, sideMm + width, from, to, through));
            } else if (layer.kind() == LayerKind.TOPPING) {
                shapes.addAll(Strewn.between(layer, 0, width + 2 * sideMm, top, top, through));
            }
        }
        return new CrossSection(width + 2 * sideMm, height + belowMm + aboveMm, List.copyOf(shapes));
    }

    /** Fillings around each other, as a ball or log has them. */
    private List<StackLayer> outermostFirst() {
        List<StackLayer> fillings = new ArrayList<>(stack.all(LayerKind.FILLING));
        Collections.reverse(fillings);
        return fillings;
    }

    /** The level layer that an inclusion lies in: the one laid before it, else the next. */
    private StackLayer host(StackLayer inclusion) {
        List<StackLayer> level =
                stack.layers().stream().filter(l -> l.kind().level()).toList();
        return level.stream()
                .filter(l -> l.index() < inclusion.index())
                .reduce((a, b) -> b)
                .orElse(level.isEmpty() ? null : level.get(0));
    }

    /** Strips of each coat, the outermost drawn first. */
    private void coats(double width, double height) {
        List<StackLayer> coats = new ArrayList<>(stack.all(LayerKind.COAT));
        Collections.reverse(coats);
        double left = 0;
        double right = width + 2 * sideMm;
        double bottom = 0;
        double top = height + belowMm + aboveMm;
        for (StackLayer coat : coats) {
            double t = coat.thicknessMm();
            BarLayer.Faces faces = faces(coat);
            double below = faces.bottom() ? t : 0;
            double above = faces.top() ? t : 0;
            double side = faces.sides() && !faces.wholeSlab() ? t : 0;
            if (below > 0) {
                add(coat, CrossSection.box(left, bottom, right, bottom + below));
            }
            if (above > 0) {
                add(coat, CrossSection.box(left, top - above, right, top));
            }
            if (side > 0) {
                add(coat, CrossSection.box(left, bottom + below, left + side, top - above));
                add(coat, CrossSection.box(right - side, bottom + below, right, top - above));
            }
            left += side;
            right -= side;
            bottom += below;
            top -= above;
        }
    }

    private CrossSection round(Frame.Hand hand) {
        double radius = hand.widthMm() / 2;
        List<StackLayer> coats = new ArrayList<>(stack.all(LayerKind.COAT));
        double outer =
                radius + coats.stream().mapToDouble(StackLayer::thicknessMm).sum();
        Collections.reverse(coats);
        double of = outer;
        for (StackLayer coat : coats) {
            add(coat, CrossSection.oval(outer, outer, of, of, ROUND));
            of -= coat.thicknessMm();
        }
        outermostFirst().forEach(l -> add(l, CrossSection.oval(outer, outer, l.toMm() / 2, l.toMm() / 2, ROUND)));
        for (StackLayer layer : stack.layers()) {
            if (layer.kind() == LayerKind.TOPPING) {
                double r = Strewn.radiusMm(layer);
                for (int i = 0; i < 24; i++) {
                    double angle = 2 * Math.PI * i / 24;
                    add(
                            layer,
                            CrossSection.oval(
                                    outer + (outer + r / 2) * Math.cos(angle),
                                    outer + (outer + r / 2) * Math.sin(angle),
                                    r / 2,
                                    r / 2,
                                    8));
                }
            } else if (layer.kind() == LayerKind.INCLUSION) {
                double reach = radius * 0.6;
                shapes.addAll(
                        Strewn.between(layer, outer - reach, outer + reach, outer - reach, outer + reach, 2 * radius));
            }
        }
        return new CrossSection(2 * outer, 2 * outer, List.copyOf(shapes));
    }

    private CrossSection discs(Frame.Discs discs) {
        double width = discs.sizesMm().stream().mapToDouble(d -> d).max().orElse(0);
        double base = 0;
        for (int i = 0; i < discs.sizesMm().size(); i++) {
            double size = discs.sizesMm().get(i);
            double left = (width - size) / 2;
            double at = base;
            for (StackLayer layer : stack.layers()) {
                if (layer.inStack(i + 1)) {
                    at = disc(layer, left, left + size, at);
                }
            }
            base += discs.stacksMm().get(i);
        }
        return new CrossSection(width, base, List.copyOf(shapes));
    }

    /** One layer of a stack of discs, standing at a height; returns the height on it. */
    private double disc(StackLayer layer, double left, double right, double at) {
        if (layer.kind() == LayerKind.INCLUSION || layer.kind() == LayerKind.TOPPING) {
            double under = Math.max(0, at - layer.thicknessMm());
            shapes.addAll(Strewn.between(layer, left, right, under, at, right - left));
            return at;
        }
        if (!layer.kind().level()) {
            return at;
        }
        int times = layer.design().repeat();
        double each = layer.thicknessMm() / times;
        for (int n = 0; n < times; n++) {
            for (double[] part : layer.design().handling().cover().across()) {
                double from = left + part[0] * (right - left);
                add(layer, CrossSection.box(from, at + n * each, left + part[1] * (right - left), at + (n + 1) * each));
            }
        }
        return at + layer.thicknessMm();
    }

    private void add(StackLayer layer, List<Point> points) {
        shapes.add(new Shape(layer.key(), layer.name(), layer.pattern(), points));
    }
}

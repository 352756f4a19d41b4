package org.zeststack.web.bar;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.zeststack.app.drawing.PlanDrawing;
import org.zeststack.app.drawing.SectionDrawing;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.picture.Plan;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;

/**
 * The picture of a bar: the cut face with its handles at the left and its legend at the right, the cut along the length and the
 * view from above. All in units of the drawing: what is drawn is as large as fits, letters and hatches look the same on every bar.
 *
 * @param right where the legend begins
 * @param wall the mould's wall; empty without a mould
 * @param other outlines of the version it is compared with
 */
public record BarDrawing(
        SectionDrawing across,
        SectionDrawing along,
        PlanDrawing plan,
        boolean exploded,
        String viewBox,
        double right,
        String wall,
        List<Label> labels,
        List<Grip> grips,
        List<SectionDrawing.Path> other,
        String widthText,
        String heightText) {

    private static final double LEFT = 10.6;
    private static final double SECTION_WIDE = 21;
    private static final double SECTION_HIGH = 14;
    private static final double LEGEND = 17;
    private static final double ALONG_WIDE = 46;
    private static final double ALONG_HIGH = 4.6;
    private static final double PLAN_WIDE = 24;
    private static final double PLAN_HIGH = 13;
    private static final double APART = 1.1;
    private static final double LINE = 2.25;
    private static final double GRIP_LINE = 1.35;
    private static final double ABOVE = 1.6;
    private static final double BELOW = 3.2;
    private static final int LONGEST_NAME = 30;

    /**
     * A layer's name and grams beside it.
     *
     * @param x1 where its line begins, in the layer
     */
    public record Label(String layer, String material, String name, String grams, double x1, double y1, double y) {

        /** Line from the layer to its name. */
        public String leader(double right) {
            return String.format(Locale.ROOT, "M%.3f %.3fL%.3f %.3fH%.3f", x1, y1, right - 1.1, y, right - 0.3);
        }
    }

    /** A handle with the place of its text. */
    public record Grip(Handle handle, double y, double textY) {}

    static BarDrawing of(BarStack stack, List<Handle> handles, Optional<BarStack> other, boolean exploded) {
        CrossSection section = CrossSection.across(stack);
        double units =
                SectionDrawing.fitting(section, SECTION_WIDE, SECTION_HIGH).unitsPerMm();
        List<String> order = exploded ? order(stack) : List.of();
        SectionDrawing across = SectionDrawing.of(section, units, order, APART);
        double lift = Math.max(0, order.size() - 1) * APART;
        double right = across.widthMm() + 2.6;
        List<Label> labels = labels(stack, section, units, order);
        double low = labels.stream().mapToDouble(Label::y).max().orElse(0) + LINE / 2;
        double high = labels.stream().mapToDouble(Label::y).min().orElse(0) - LINE / 2;
        double top = Math.min(-ABOVE - lift, high - 0.6);
        double bottom = Math.max(across.depthMm() + BELOW, low);
        String viewBox = String.format(
                Locale.ROOT, "%.3f %.3f %.3f %.3f", -LEFT, top, LEFT + SECTION_WIDE + 2.6 + LEGEND, bottom - top);
        return new BarDrawing(
                across,
                SectionDrawing.fitting(CrossSection.along(stack), ALONG_WIDE, ALONG_HIGH),
                PlanDrawing.fitting(Plan.of(stack), PLAN_WIDE, PLAN_HIGH),
                exploded,
                viewBox,
                right,
                wall(stack, section, units),
                labels,
                exploded ? List.of() : grips(handles, units),
                other.map(o -> SectionDrawing.of(CrossSection.across(o), units).paths())
                        .orElse(List.of()),
                Numbers.fixed(section.widthMm(), 1) + "\u202fmm",
                Numbers.fixed(section.depthMm(), 1) + "\u202fmm");
    }

    /** Keys of the layers in the order in which they are lifted: what encloses stays below. */
    private static List<String> order(BarStack stack) {
        return stack.layers().stream()
                .sorted(Comparator.comparingDouble(BarDrawing::height))
                .map(StackLayer::key)
                .toList();
    }

    private static double height(StackLayer layer) {
        return switch (layer.kind()) {
            case SHELL, COAT, DECORATION -> -1;
            case TOPPING -> 1e6;
            default -> (layer.fromMm() + layer.toMm()) / 2 + layer.index() * 1e-6;
        };
    }

    private static List<Label> labels(BarStack stack, CrossSection section, double units, List<String> order) {
        List<Label> wanted = new ArrayList<>();
        for (StackLayer layer : stack.layers()) {
            List<CrossSection.Shape> shapes = section.shapes().stream()
                    .filter(s -> s.layer().equals(layer.key()))
                    .toList();
            if (shapes.isEmpty()) {
                continue;
            }
            CrossSection.Shape shape = shapes.get(shapes.size() - 1);
            double lift = Math.max(0, order.indexOf(layer.key())) * APART;
            double[] at = anchor(layer, shape, section);
            String name = layer.name().length() > LONGEST_NAME
                    ? layer.name().substring(0, LONGEST_NAME - 1) + "…"
                    : layer.name();
            wanted.add(new Label(
                    layer.key(),
                    layer.pattern(),
                    name,
                    Numbers.fixed(layer.grams(), layer.grams() < 0.95 ? 2 : 1) + "\u202fg",
                    at[0] * units,
                    (section.depthMm() - at[1]) * units - lift,
                    0));
        }
        wanted.sort(Comparator.comparingDouble(Label::y1));
        List<Double> places = spread(wanted.stream().map(Label::y1).toList(), LINE);
        List<Label> placed = new ArrayList<>();
        for (int i = 0; i < wanted.size(); i++) {
            Label l = wanted.get(i);
            placed.add(new Label(l.layer(), l.material(), l.name(), l.grams(), l.x1(), l.y1(), places.get(i)));
        }
        return placed;
    }

    /** A point well inside the layer, towards the right. */
    private static double[] anchor(StackLayer layer, CrossSection.Shape shape, CrossSection section) {
        double least = shape.points().stream()
                .mapToDouble(CrossSection.Point::yMm)
                .min()
                .orElse(0);
        double greatest = shape.points().stream()
                .mapToDouble(CrossSection.Point::yMm)
                .max()
                .orElse(0);
        double right = shape.points().stream()
                .mapToDouble(CrossSection.Point::xMm)
                .max()
                .orElse(0);
        double left = shape.points().stream()
                .mapToDouble(CrossSection.Point::xMm)
                .min()
                .orElse(0);
        if (layer.kind() == LayerKind.SHELL) {
            // The floor of the shell, where it is widest.
            return new double[] {section.widthMm() * 0.72, layer.thicknessMm() / 2};
        }
        double inwards = Math.min((right - left) * 0.08, 2);
        return new double[] {right - inwards, (least + greatest) / 2};
    }

    /** Places as near to the wanted ones as a least distance allows; both in order. */
    static List<Double> spread(List<Double> wanted, double apart) {
        List<Double> placed = new ArrayList<>(wanted);
        for (int turn = 0; turn < 60; turn++) {
            for (int i = 0; i + 1 < placed.size(); i++) {
                double lack = apart - (placed.get(i + 1) - placed.get(i));
                if (lack > 1e-6) {
                    placed.set(i, placed.get(i) - lack / 2);
                    placed.set(i + 1, placed.get(i + 1) + lack / 2);
                }
            }
        }
        return placed;
    }

    private static List<Grip> grips(List<Handle> handles, double units) {
        List<Handle> sorted =
                handles.stream().sorted(Comparator.comparingDouble(Handle::yMm)).toList();
        List<Double> places = spread(sorted.stream().map(h -> h.yMm() * units).toList(), GRIP_LINE);
        List<Grip> grips = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i++) {
            grips.add(new Grip(sorted.get(i), sorted.get(i).yMm() * units, places.get(i)));
        }
        return grips;
    }

    private static String wall(BarStack stack, CrossSection section, double units) {
        if (!(stack.frame() instanceof Frame.Moulded m) || m.halves() == 2) {
            return "";
        }
        double depth = m.cavity().depthMm();
        double middle = section.widthMm() / 2;
        StringBuilder left = new StringBuilder();
        SectionDrawing.append(left, -2, 0);
        int steps = 24;
        for (int i = 0; i <= steps; i++) {
            double h = depth * Math.pow(1 - i / (double) steps, 2);
            SectionDrawing.append(left, (middle - m.cavity().widthMm(h) / 2) * units, (depth - h) * units);
        }
        for (int i = steps; i >= 0; i--) {
            double h = depth * Math.pow(1 - i / (double) steps, 2);
            SectionDrawing.append(left, (middle + m.cavity().widthMm(h) / 2) * units, (depth - h) * units);
        }
        SectionDrawing.append(left, section.widthMm() * units + 2, 0);
        return left.toString();
    }

    /** Changes when handles, layers or size change so that a drawing cannot be followed but must be exchanged. */
    public String signature() {
        StringBuilder all = new StringBuilder();
        grips.stream().map(g -> g.handle().field()).sorted().forEach(f -> all.append(f)
                .append(' '));
        return all.append(exploded).toString();
    }
}

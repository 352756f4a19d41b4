package org.zeststack.web.bar;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.LinedCavity;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;

/**
 * A boundary of the drawing that can be dragged or nudged.
 *
 * @param field the form's field it sets
 * @param label what it moves
 * @param yMm where it stands, from the top of the drawing down
 * @param perMm change of the field per mm downwards
 * @param unit mm or g
 */
public record Handle(
        String field,
        String label,
        double yMm,
        double perMm,
        double amount,
        double leastAmount,
        double greatestAmount,
        String unit) {

    private static final double ROOM_MM = 40;
    private static final double MM3_PER_ML = 1000;

    /** For the slider's spoken value. */
    public String spoken() {
        return label + " " + Numbers.fixed(amount, 1) + (unit.equals("mm") ? " millimetres" : " grams");
    }

    public String shown() {
        return Numbers.fixed(amount, 1) + "\u202f" + unit;
    }

    /**
     * The boundaries of a bar.
     *
     * @param rows the form's row of each layer
     */
    static List<Handle> of(BarStack stack, List<Integer> rows) {
        List<Handle> handles = new ArrayList<>();
        double top = CrossSection.across(stack).depthMm();
        for (StackLayer layer : stack.layers()) {
            String field = "layer." + rows.get(layer.index()) + ".amount";
            if (layer.kind() == LayerKind.SHELL) {
                shell(handles, stack, layer, field, top);
            } else if (layer.kind() == LayerKind.COAT) {
                coat(handles, stack, layer, field, top);
            } else if (layer.kind().level() && !(stack.frame() instanceof Frame.Hand)) {
                level(handles, stack, layer, field, top);
            }
        }
        if (stack.frame() instanceof Frame.Hand hand) {
            hand(handles, stack, hand, top);
        }
        return handles;
    }

    private static void shell(List<Handle> handles, BarStack stack, StackLayer layer, String field, double top) {
        if (layer.design().by() == BarLayer.By.MM && stack.frame() instanceof Frame.Moulded m) {
            double most = Math.min(m.cavity().greatestShellMm() * 0.95, LinedCavity.SHELL_MM.greatest());
            double mm = layer.design().amount();
            handles.add(new Handle(
                    field, "Shell", top - m.inside().floorMm(), -1, mm, LinedCavity.SHELL_MM.least(), most, "mm"));
        }
    }

    private static void level(List<Handle> handles, BarStack stack, StackLayer layer, String field, double top) {
        BarLayer design = layer.design();
        boolean mm = design.by() == BarLayer.By.MM;
        if (!mm && design.by() != BarLayer.By.GRAMS) {
            return;
        }
        boolean fromAbove = poursDown(stack, layer);
        double base = stack.frame() instanceof Frame.Discs discs
                ? discs.baseMm(layer.design().handling().level())
                : 0;
        double at = base + (fromAbove ? layer.fromMm() : layer.toMm());
        double each = mm ? 1.0 / design.repeat() : gramsPerMm(stack, layer, at) / design.repeat();
        double room = mm ? ROOM_MM : ROOM_MM * each;
        handles.add(new Handle(
                field,
                label(layer),
                top - below(stack) - at,
                fromAbove ? each : -each,
                design.amount(),
                0,
                design.amount() + room,
                mm ? "mm" : "g"));
    }

    /** Whether a layer lies above the one that takes the rest, and so moves with its lower boundary. */
    private static boolean poursDown(BarStack stack, StackLayer layer) {
        return stack.layers().stream().anyMatch(l -> l.design().by() == BarLayer.By.REST && l.index() < layer.index());
    }

    private static double gramsPerMm(BarStack stack, StackLayer layer, double atMm) {
        double area = stack.frame() instanceof Frame.Moulded m
                ? m.inside().areaMm2(atMm)
                : layer.thicknessMm() > 0 ? layer.volumeMl() * MM3_PER_ML / layer.thicknessMm() : 0;
        return area * layer.material().densityGramsPerMl() / MM3_PER_ML;
    }

    private static String label(StackLayer layer) {
        String words = layer.key().replace('-', ' ');
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** Thickness of the coats below the stack. */
    private static double below(BarStack stack) {
        return stack.all(LayerKind.COAT).stream()
                .filter(c -> c.design().faces() == null || c.design().faces().bottom())
                .mapToDouble(StackLayer::thicknessMm)
                .sum();
    }

    private static void coat(List<Handle> handles, BarStack stack, StackLayer layer, String field, double top) {
        BarLayer.Faces faces = layer.design().faces() == null
                ? BarLayer.Faces.ALL
                : layer.design().faces();
        boolean mm = layer.design().by() == BarLayer.By.MM;
        boolean round = stack.frame() instanceof Frame.Hand h && h.form() != Body.Form.BLOCK;
        if (!mm && layer.design().by() != BarLayer.By.GRAMS || !faces.top() && !faces.bottom() && !round) {
            return;
        }
        double each = mm ? 1 : layer.grams() / Math.max(1e-6, layer.thicknessMm());
        boolean above = faces.top() || round;
        double outer = above ? 0 : top;
        for (StackLayer other : stack.all(LayerKind.COAT)) {
            boolean over = other.index() > layer.index();
            outer += over ? (above ? 1 : -1) * other.thicknessMm() : 0;
        }
        handles.add(new Handle(
                field,
                label(layer),
                outer,
                above ? -each : each,
                layer.design().amount(),
                0,
                layer.design().amount() + 10 * each,
                mm ? "mm" : "g"));
    }

    private static void hand(List<Handle> handles, BarStack stack, Frame.Hand hand, double top) {
        Body.Shaped body = (Body.Shaped) stack.bar().body();
        double coats = hand.form() == Body.Form.BLOCK ? below(stack) : (top - hand.heightMm()) / 2;
        double at = top - coats - hand.heightMm();
        if (hand.form() == Body.Form.BLOCK) {
            handles.add(new Handle("body.heightMm", "Height", at, -1, body.heightMm(), 3, 400, "mm"));
        } else if (hand.form() == Body.Form.BALL && body.grams() > 0) {
            double each = 3 * body.grams() / hand.heightMm();
            handles.add(new Handle("body.grams", "Centre", at, -2 * each, body.grams(), 0.1, 2000, "g"));
        } else {
            handles.add(new Handle("body.widthMm", "Diameter", at, -2, body.widthMm(), 3, 400, "mm"));
        }
    }
}

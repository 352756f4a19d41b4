package org.zeststack.web.bar;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarStack;
import org.zeststack.core.quantity.Numbers;

/**
 * A boundary of the drawing that can be dragged or nudged.
 *
 * @param field the form's field it sets, in mm
 * @param label what it moves
 * @param yMm where it stands, from the opening down
 * @param direction change of the field per mm downwards: 1 or −1
 */
public record Handle(
        String field, String label, double yMm, int direction, double mm, double leastMm, double greatestMm) {

    static List<Handle> of(BarStack stack) {
        Bar bar = stack.bar();
        double depth = stack.cavity().depthMm();
        double inner = stack.lined().innerDepthMm();
        List<Handle> handles = new ArrayList<>();
        handles.add(new Handle("backMm", "Back", bar.backMm(), 1, bar.backMm(), 0, inner));
        if (bar.fillings().size() > 1) {
            double top = stack.fillings().get(0).toMm();
            double most = depth - bar.backMm() - bar.shellMm();
            double depthMm = bar.fillings().get(0).depthMm();
            handles.add(
                    new Handle("filling.0.depthMm", "First filling", depth - top, -1, depthMm, 0, Math.max(0, most)));
        }
        double most = Math.min(stack.cavity().greatestShellMm(), depth - bar.backMm());
        handles.add(new Handle("shellMm", "Shell", depth - bar.shellMm(), -1, bar.shellMm(), 0.2, most));
        return handles;
    }

    /** For the slider's spoken value. */
    public String spoken() {
        return label + " " + Numbers.fixed(mm, 1) + " millimetres";
    }
}

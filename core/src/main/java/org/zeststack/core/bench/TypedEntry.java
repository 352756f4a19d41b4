package org.zeststack.core.bench;

import java.util.List;
import java.util.function.Supplier;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Thermometer;

/**
 * An entry as it is typed at the bench of a run.
 *
 * @param others the workshop's thermometers, where one of them is named
 */
public record TypedEntry(FormInput form, RunSheet sheet, Supplier<List<Other>> others, Bounds bounds) {

    /** A thermometer of the workshop. */
    public record Other(String id, String name, Thermometer thermometer) {}

    /** Id of a step of this run. */
    String step() {
        String step = form.text("step");
        if (sheet.step(step).isEmpty()) {
            form.add(Fault.of("step", step, "This run has no such step."));
        }
        return step;
    }

    /** Key of a batch of this run; what is none is told beside a field. */
    String batch(String beside) {
        String component = form.text("component");
        if (sheet.pot(component).isEmpty()) {
            form.add(Fault.of(beside, component, "This run has nothing of that name."));
        }
        return component;
    }

    /** Key of something that this run tempers; what is none is told beside a field. */
    String inTemper(String beside) {
        String component = form.text("component");
        if (InTemper.of(sheet, component).isEmpty()) {
            form.add(Fault.of(beside, component, "This run tempers no such thing."));
        }
        return component;
    }
}

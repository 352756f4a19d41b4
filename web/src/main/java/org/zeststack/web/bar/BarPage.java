package org.zeststack.web.bar;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.exception.MathRuntimeException;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.zeststack.app.Missing;
import org.zeststack.app.bar.BarFields;
import org.zeststack.app.bar.BarWorkings;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.design.Designs;
import org.zeststack.store.workshop.WorkshopStore;

/** What a bar's form comes to: the stack with its picture, or the faults beside their fields. */
@Component
class BarPage {

    private static final double SNAP_MM = 3;

    private final Designs<Bar> bars;
    private final BarFields fields;
    private final BarWorkings workings;
    private final WorkshopStore workshop;

    BarPage(Designs<Bar> bars, BarFields fields, BarWorkings workings, WorkshopStore workshop) {
        this.bars = bars;
        this.fields = fields;
        this.workings = workings;
        this.workshop = workshop;
    }

    /**
     * A form read and computed.
     *
     * @param read empty where the form is faulty
     * @param worked empty where it cannot be computed
     */
    record Computed(Optional<BarFields.Read> read, Optional<BarWorkings.Worked> worked) {

        Optional<Bar> bar() {
            return read.map(BarFields.Read::bar);
        }

        Optional<BarStack> stack() {
            return worked.map(BarWorkings.Worked::stack);
        }

        List<Integer> rows() {
            return read.map(BarFields.Read::rows).orElse(List.of());
        }
    }

    /** The form of what is saved. */
    FormInput saved(long id) {
        return FormInput.of(fields.of(bars.draft(id).orElseThrow(() -> new Missing("This bar"))));
    }

    /** Reads and computes a form; every fault stands in it afterwards. */
    Computed compute(FormInput form) {
        Optional<BarFields.Read> read = fields.read(form);
        Optional<BarWorkings.Worked> worked = read.flatMap(r -> work(form, r));
        return new Computed(worked.isPresent() ? read : read.filter(r -> !form.faulty()), worked);
    }

    private Optional<BarWorkings.Worked> work(FormInput form, BarFields.Read read) {
        try {
            return Optional.of(workings.work(read.bar()));
        } catch (InvalidInput input) {
            input.faults().forEach(f -> form.add(BarFields.atField(f, read.rows())));
            return Optional.empty();
        }
    }

    /**
     * Moves the boundary that a hand is on to the nearest whole gram of its layer.
     *
     * @return fields that changed, to be put into the form on the page
     */
    Map<String, String> snap(FormInput form, Computed computed) {
        String moved = form.text("moved");
        if (!form.text("snap").equals("yes")
                || computed.worked.isEmpty()
                || !moved.matches("layer\\.[0-9]+\\.amount")) {
            return Map.of();
        }
        int index = computed.rows().indexOf(Integer.parseInt(moved.split("\\.")[1]));
        Bar bar = computed.bar().orElseThrow();
        if (index < 0 || bar.layers().get(index).by() != BarLayer.By.MM) {
            return Map.of();
        }
        BarStack stack = computed.stack().orElseThrow();
        double amount = bar.layers().get(index).amount();
        double target = Math.rint(grams(stack, index));
        try {
            double snapped = new BrentSolver(1e-4)
                    .solve(
                            60,
                            mm -> grams(BarStack.of(with(bar, index, mm), stack.parts()), index) - target,
                            Math.max(0.2, amount - SNAP_MM),
                            amount + SNAP_MM);
            Map<String, String> changed = new LinkedHashMap<>();
            changed.put(moved, FormInput.shown(Math.round(snapped * 1000) / 1000.0));
            form.typed().putAll(changed);
            return changed;
        } catch (MathRuntimeException | InvalidInput notHere) {
            // No whole gram within reach: the boundary stays where the hand has it.
            return Map.of();
        }
    }

    private static double grams(BarStack stack, int index) {
        return stack.layers().stream()
                .filter(l -> l.index() == index)
                .mapToDouble(StackLayer::grams)
                .sum();
    }

    private static Bar with(Bar bar, int index, double mm) {
        List<BarLayer> layers = new ArrayList<>(bar.layers());
        layers.set(index, layers.get(index).amount(mm));
        return bar.with(layers);
    }

    /** Puts the computed bar and its picture into the model. */
    void show(long id, FormInput form, Computed computed, Model model) {
        model.addAttribute("form", form);
        model.addAttribute("actUrl", "/bars/" + id + "/act");
        if (computed.worked.isEmpty()) {
            return;
        }
        BarStack stack = computed.stack().orElseThrow();
        Optional<BarStack> other = overlay(id, form);
        List<Handle> handles = Handle.of(stack, computed.rows());
        boolean exploded = form.text("view").equals("exploded");
        model.addAttribute("stack", stack);
        model.addAttribute("moulded", stack.frame() instanceof Frame.Moulded);
        model.addAttribute("calls", BarCalls.of(stack));
        model.addAttribute("ownBounds", stack.bounds().ownAsked());
        model.addAttribute("drawing", BarDrawing.of(stack, handles, other, exploded));
        model.addAttribute("other", other.orElse(null));
        model.addAttribute("currency", workshop.surroundings().currency());
    }

    /** The version that the bar is compared with; empty where none is chosen. */
    private Optional<BarStack> overlay(long id, FormInput form) {
        String number = form.text("overlay");
        return number.matches("[0-9]{1,6}") ? workings.version(id, Integer.parseInt(number)) : Optional.empty();
    }
}

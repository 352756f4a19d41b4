package org.zeststack.core.run;

import static org.zeststack.core.quantity.Numbers.fixed;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.run.RunSheet.BenchStep;
import org.zeststack.core.run.RunSheet.StepKind;
import org.zeststack.core.temper.TemperWindow;

/**
 * The steps of the bench in the order of the work: cooked fillings first, since they must cool, then the others, then
 * temper, line, fill, close and release.
 */
final class StepList {

    private static final String BURNS =
            "Boiling sugar sticks and burns deeply: long sleeves, no children near. A burn: cool running water for 20 "
                    + "minutes, then medical help.";

    private final RunOrder order;
    private final RunSheet.Moulds moulds;
    private final List<BenchStep> steps = new ArrayList<>();

    private StepList(RunOrder order, RunSheet.Moulds moulds) {
        this.order = order;
        this.moulds = moulds;
    }

    static List<BenchStep> of(
            RunOrder order,
            List<RunSheet.FormulaBatch> formulas,
            List<RunSheet.CouvertureBatch> couvertures,
            RunSheet.Moulds moulds) {
        StepList list = new StepList(order, moulds);
        formulas.stream().filter(RunSheet.FormulaBatch::cooked).forEach(list::cooked);
        formulas.stream().filter(f -> !f.cooked()).forEach(list::mixed);
        list.pieces(couvertures);
        return List.copyOf(list.steps);
    }

    private void cooked(RunSheet.FormulaBatch batch) {
        weigh(batch);
        String detail = "Take the pot off at %s °C on %s. Then weigh it."
                .formatted(fixed(batch.stopReading(), 1), order.thermometerName());
        add("cook:", StepKind.COOK, batch.key(), "", "Cook " + batch.name(), detail, BURNS);
    }

    private void mixed(RunSheet.FormulaBatch batch) {
        weigh(batch);
        String detail = "By its method, to %s g. Then weigh it.".formatted(fixed(batch.usableGrams(), 0));
        add("mix:", StepKind.MIX, batch.key(), "", "Make " + batch.name(), detail, "");
    }

    private void weigh(RunSheet.FormulaBatch batch) {
        String detail = "%d ingredients, %s g in all".formatted(batch.lines().size(), fixed(batch.rawGrams(), 0));
        add("weigh:", StepKind.WEIGH, batch.key(), "", "Weigh out " + batch.name(), detail, "");
    }

    private void pieces(List<RunSheet.CouvertureBatch> couvertures) {
        RunSheet.CouvertureBatch shell = couvertures.get(0);
        RunSheet.CouvertureBatch back = couvertures.get(couvertures.size() - 1);
        temper(shell);
        String lining = "%d moulds of %d, %d turns".formatted(moulds.fills(), moulds.cavities(), moulds.turns());
        String shellTarget = " Aim for %s g a shell; weigh some."
                .formatted(fixed(order.bar().shell().grams(), 1));
        add("line:", StepKind.LINE, shell.key(), "shell", "Line the cavities", lining + "." + shellTarget, "");
        for (var layer : order.bar().fillings()) {
            String detail = "Aim for %s g a cavity, %s to %s g. Cool to room temperature first."
                    .formatted(
                            fixed(layer.window().targetGrams(), 1),
                            fixed(layer.window().leastGrams(), 1),
                            fixed(layer.window().greatestGrams(), 1));
            add("fill:", StepKind.FILL, "", layer.key(), "Fill with " + layer.name(), detail, "");
        }
        if (back != shell) {
            temper(back);
        }
        add(
                "close:",
                StepKind.CLOSE,
                back.key(),
                "back",
                "Close the backs",
                "%s mm, about %s g each."
                        .formatted(
                                fixed(order.bar().bar().backMm(), 1),
                                fixed(order.bar().back().grams(), 1)),
                "");
        add("release:", StepKind.RELEASE, "", "", "Release and count", "Look, sort, count by reason.", "");
    }

    private void temper(RunSheet.CouvertureBatch batch) {
        TemperWindow window = TemperWindow.of(batch.kind());
        String detail = "Melt %s g to %s, cool to %s, work at %s."
                .formatted(
                        fixed(batch.meltGrams(), 0),
                        window.meltOut().inWords(),
                        window.coolTo().inWords(),
                        window.work().inWords());
        add("temper:", StepKind.TEMPER, batch.key(), "", "Temper " + batch.name(), detail, "");
    }

    private void add(
            String prefix, StepKind kind, String component, String layer, String title, String detail, String caution) {
        String id = prefix + (component.isEmpty() ? layer : component);
        steps.add(new BenchStep(id, kind, component, layer, title, detail, caution));
    }
}

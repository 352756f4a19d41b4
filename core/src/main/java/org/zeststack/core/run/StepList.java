package org.zeststack.core.run;

import static org.zeststack.core.quantity.Numbers.fixed;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.run.RunSheet.BenchStep;
import org.zeststack.core.run.RunSheet.StepKind;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.temper.TemperWindow;

/**
 * The steps of the bench in the order of the work: cooked fillings first, since they must cool, then the others, nothing before what
 * it is made of, then the layers
 * of the pieces, each couverture tempered before its first layer.
 */
final class StepList {

    private static final String BURNS =
            "Boiling sugar sticks and burns deeply: long sleeves, no children near. A burn: cool running water for 20 "
                    + "minutes, then medical help.";

    private static final String CUTS = "Knives and wires: fingers off the line, cut away from you.";

    private final RunOrder order;
    private final List<RunSheet.LayerTarget> targets;
    private final RunSheet.Moulds moulds;
    private final List<BenchStep> steps = new ArrayList<>();

    private StepList(RunOrder order, List<RunSheet.LayerTarget> targets, RunSheet.Moulds moulds) {
        this.order = order;
        this.targets = targets;
        this.moulds = moulds;
    }

    static List<BenchStep> of(
            RunOrder order,
            List<RunSheet.FormulaBatch> formulas,
            List<RunSheet.CouvertureBatch> couvertures,
            List<RunSheet.LayerTarget> targets,
            RunSheet.Moulds moulds) {
        StepList list = new StepList(order, targets, moulds);
        list.formulas(formulas);
        list.pieces(couvertures);
        return List.copyOf(list.steps);
    }

    /** What must cool first, but nothing before what it is made of. */
    private void formulas(List<RunSheet.FormulaBatch> formulas) {
        List<RunSheet.FormulaBatch> left = new ArrayList<>(formulas);
        left.sort(Comparator.comparing(f -> f.ending() != RunSheet.Ending.READING && !f.byEye()));
        while (!left.isEmpty()) {
            RunSheet.FormulaBatch next = left.stream()
                    .filter(f -> left.stream().noneMatch(part -> part.taken().containsKey(f.name())))
                    .findFirst()
                    .orElse(left.get(0));
            left.remove(next);
            weigh(next);
            if (next.cooked()) {
                cooked(next);
            } else {
                mixed(next);
            }
        }
    }

    private void cooked(RunSheet.FormulaBatch batch) {
        String detail = "Take the pot off at %s °C on %s. Then weigh it."
                .formatted(fixed(batch.stopReading(), 1), order.thermometerName());
        add("cook:", StepKind.COOK, batch.key(), "", "Cook " + batch.name(), detail, BURNS);
    }

    private void mixed(RunSheet.FormulaBatch batch) {
        String to = batch.spreads()
                ? "%s to %s g".formatted(fixed(batch.finishedGrams(), 0), fixed(batch.mostFinishedGrams(), 0))
                : "%s g".formatted(fixed(batch.finishedGrams(), 0));
        String detail = "By its method, to %s. Then weigh it.".formatted(to);
        String title = batch.byEye() ? "Cook %s by eye".formatted(batch.name()) : "Make " + batch.name();
        add("mix:", StepKind.MIX, batch.key(), "", title, detail, batch.byEye() ? BURNS : "");
    }

    private void weigh(RunSheet.FormulaBatch batch) {
        String shared = batch.sharedOut().isEmpty() ? "" : ": " + batch.sharedOut();
        String detail =
                "%d ingredients, %s g in all%s".formatted(batch.lines().size(), fixed(batch.rawGrams(), 0), shared);
        add("weigh:", StepKind.WEIGH, batch.key(), "", "Weigh out " + batch.name(), detail, "");
    }

    /** The pieces in the order of their layers; each couverture is tempered before its first layer. */
    private void pieces(List<RunSheet.CouvertureBatch> couvertures) {
        Set<String> ready = new HashSet<>();
        boolean isCut = order.bar().bar().body().cutToPieces();
        boolean cut = false;
        for (StackLayer layer : order.bar().layers()) {
            if (isCut && !cut && !order.bar().bar().onCarrier(layer.index())) {
                cut = true;
                add("cut:", StepKind.CLOSE, "", "", "Cut the pieces", cutting(), CUTS);
            }
            couvertures.stream()
                    .filter(c -> takes(layer, c.key()))
                    .filter(c -> ready.add(c.key()))
                    .forEach(this::temper);
            lay(layer);
        }
        if (isCut && !cut) {
            add("cut:", StepKind.CLOSE, "", "", "Cut the pieces", cutting(), CUTS);
        }
        boolean mould = moulds.carrier().equals("mould");
        String last = mould ? "Release and count" : "Finish and count";
        add("release:", StepKind.RELEASE, "", "", last, "Look, sort, count by reason.", "");
    }

    private static boolean takes(StackLayer layer, String component) {
        BarLayer.Mix mix = layer.design().mix();
        return component.equals("couverture-" + layer.design().of())
                || mix != null && component.equals("couverture-" + mix.of());
    }

    private String cutting() {
        String spare = moulds.spare() > 0 ? " %d pieces are spare.".formatted(moulds.spare()) : "";
        return "%d of one, %d to cut.%s".formatted(moulds.cavities(), moulds.fills(), spare);
    }

    private void lay(StackLayer layer) {
        String component =
                layer.material().isChocolate() ? "couverture-" + layer.design().of() : "";
        RunSheet.LayerTarget target = targets.stream()
                .filter(t -> t.key().equals(layer.key()))
                .findFirst()
                .orElseThrow();
        String each = fixed(target.window().targetGrams(), 1);
        switch (layer.kind()) {
            case SHELL -> {
                String lining = "%d moulds of %d, %d turns. Aim for %s g a shell; weigh some."
                        .formatted(moulds.fills(), moulds.cavities(), moulds.turns(), each);
                add("line:", StepKind.LINE, component, layer.key(), "Line the cavities", lining, "");
            }
            case FILLING, SHEET, BASE -> {
                String detail = moulds.carrier().equals("mould")
                        ? "Aim for %s g a cavity, %s to %s g. Cool to room temperature first."
                                .formatted(
                                        each,
                                        fixed(target.window().leastGrams(), 1),
                                        fixed(target.window().greatestGrams(), 1))
                        : moulds.carrier().equals("piece")
                                ? "%s g a piece, %s to %s g."
                                        .formatted(
                                                each,
                                                fixed(target.window().leastGrams(), 1),
                                                fixed(target.window().greatestGrams(), 1))
                                : "%s mm, %s g on each %s; %s g a piece."
                                        .formatted(
                                                fixed(layer.thicknessMm(), 1),
                                                fixed(layer.laidGrams() * moulds.cavities(), 0),
                                                moulds.carrier(),
                                                each);
                String verb =
                        switch (moulds.carrier()) {
                            case "mould" -> "Fill with ";
                            case "piece" -> "Shape ";
                            default -> "Lay ";
                        };
                add("fill:", StepKind.FILL, "", layer.key(), verb + layer.name(), detail, "");
            }
            case BACK -> {
                String detail = "%s mm, about %s g each.".formatted(fixed(layer.thicknessMm(), 1), each);
                add("close:", StepKind.CLOSE, component, "back", "Close the backs", detail, "");
            }
            default -> {
                String detail = "%s g a piece.".formatted(each);
                String title = "%s: %s".formatted(title(layer), layer.name());
                add("lay:", StepKind.CLOSE, "", layer.key(), title, detail, "");
            }
        }
    }

    private static String title(StackLayer layer) {
        String words = layer.kind().words();
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private void temper(RunSheet.CouvertureBatch batch) {
        if (order.bar().bar().finish() != Bar.Finish.TEMPERED || batch.kind().equals("compound")) {
            String warm = "Melt %s g gently, at most 45 °C.".formatted(fixed(batch.meltGrams(), 0));
            add("melt:", StepKind.CLOSE, batch.key(), "", "Melt " + batch.name(), warm, "");
            return;
        }
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
        boolean perLayer = component.isEmpty() || prefix.equals("lay:");
        String id = prefix + (perLayer ? layer : component);
        steps.add(new BenchStep(id, kind, component, layer, title, detail, caution));
    }
}

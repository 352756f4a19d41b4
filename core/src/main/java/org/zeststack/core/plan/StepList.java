package org.zeststack.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.CutFrom;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.Carriers;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.Deposit;
import org.zeststack.core.sheet.EqualBatches;
import org.zeststack.core.sheet.Finished;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.PotPlan;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.stack.BuildSteps;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.sugar.Stages;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.Room;
import org.zeststack.core.temper.TemperPlan;
import org.zeststack.core.temper.TemperWindow;

/**
 * The steps of the bench: those of the formulas and those of the bar, in the order of the work. What goes into cavities and what is
 * shaped must cool first, so all formulas come before the pieces, cooked ones first; what lies on a slab, tray or sheet is made when it is
 * laid. Nothing is made before what it is made of.
 */
final class StepList {

    private final RunOrder order;
    private final IngredientTable ingredients;
    private final RunSheet planned;
    private final Carriers carriers;
    private final LaidMasses masses;
    private final List<FormulaBatch> left;
    private final List<BenchStep> steps = new ArrayList<>();
    private final Set<String> begun = new HashSet<>();
    private String which = "";

    private StepList(RunOrder order, IngredientTable ingredients, RunSheet planned, LaidMasses masses) {
        this.order = order;
        this.ingredients = ingredients;
        this.planned = planned;
        this.masses = masses;
        carriers = planned.carriers();
        left = new ArrayList<>(planned.formulas());
        left.sort(Comparator.comparing(f -> f.finished().by() != Finished.By.READING && !f.byEye()));
    }

    /**
     * The steps of a run.
     *
     * @param planned its sheet but for them
     */
    static List<BenchStep> of(RunOrder order, IngredientTable ingredients, RunSheet planned, LaidMasses masses) {
        StepList list = new StepList(order, ingredients, planned, masses);
        list.all();
        return List.copyOf(list.steps);
    }

    private void all() {
        boolean whenLaid = order.bar().bar().body().cutToPieces();
        if (!whenLaid) {
            makeAll(left);
        }
        for (MethodStep step : BuildSteps.of(order.bar())) {
            if (step.does() == Act.LAY) {
                StackLayer layer = order.bar().layer(step.part()).orElseThrow();
                LayerTarget target = target(layer);
                makeAll(left.stream().filter(f -> target.laid().takes(f.key())).toList());
                lay(layer, target, step);
            } else {
                piece(step);
            }
        }
    }

    private void makeAll(List<FormulaBatch> wanted) {
        List.copyOf(wanted).forEach(this::make);
    }

    /** Its parts first. */
    private void make(FormulaBatch batch) {
        if (!left.contains(batch)) {
            return;
        }
        makeAll(left.stream().filter(p -> p.taken().containsKey(batch.name())).toList());
        left.remove(batch);
        List<FormulaBatch> each = EqualBatches.of(batch);
        boolean several = each.size() > 1;
        if (several) {
            batch.method().stream().filter(s -> s.does() == Act.WEIGH).forEach(s -> weigh(batch, s));
        }
        for (FormulaBatch one : each) {
            which = several ? "Batch %d of %d.".formatted(each.indexOf(one) + 1, each.size()) : "";
            int pours = 0;
            for (MethodStep step : one.method()) {
                if (step.does() == Act.ADD) {
                    pour(one, step, pours++);
                } else if (step.does() != Act.WEIGH || !several) {
                    formula(one, step);
                }
            }
        }
    }

    /** What goes into all its batches is weighed out at once, for each apart. */
    private void weigh(FormulaBatch batch, MethodStep step) {
        String shared =
                batch.out().sharedOut().isEmpty() ? "" : ": " + batch.out().sharedOut();
        String detail =
                "%d ingredients, %s in all%s".formatted(batch.lines().size(), Say.grams(batch.rawGrams(), 0), shared);
        add("weigh:" + batch.key(), StepKind.WEIGH, batch.key(), "", "Weigh out " + batch.name(), detail, step);
    }

    private void formula(FormulaBatch batch, MethodStep step) {
        switch (step.does()) {
            case WEIGH -> weigh(batch, step);
            case COOK -> cook(batch, step);
            case YIELD -> {
                String detail = batch.finished().spreads()
                        ? "Planned are %s to %s."
                                .formatted(
                                        Say.bare(Say.grams(batch.finishedGrams(), 0)),
                                        Say.grams(batch.finished().mostGrams(), 0))
                        : "Planned are %s.".formatted(Say.grams(batch.finishedGrams(), 0));
                add("mix:" + batch.key(), StepKind.MIX, batch.key(), "", "Weigh back " + batch.name(), detail, step);
            }
            case SECOND_POT -> second(batch.second().orElseThrow(), step);
            case TEMPER -> temper(batch, step);
            default -> hand(batch, step);
        }
    }

    /** A filling is tempered by its own fat; one without cocoa butter that sets is only stirred. */
    private void temper(FormulaBatch batch, MethodStep step) {
        Optional<TemperWindow> window =
                batch.finished().fat().flatMap(fat -> TemperWindow.byFat(fat.cocoaButter(), fat.other()));
        if (window.isEmpty()) {
            hand(batch, step);
            return;
        }
        double grams = batch.finishedGrams();
        String words = order.measured()
                ? inWords(grams, window.get())
                : "%s: cool it, stirring, until it thickens and a smear sets in %s."
                        .formatted(Say.grams(grams, 0), sets("filling-sets"));
        add("temper:" + batch.key(), StepKind.TEMPER, batch.key(), "", "Temper " + batch.name(), words, step);
    }

    private static String inWords(double grams, TemperWindow window) {
        return "%s, to be worked at %s. Each method has its own way there: choose it at the bench."
                .formatted(Say.grams(grams, 0), window.work().inWords());
    }

    private void pour(FormulaBatch batch, MethodStep step, int number) {
        PotPlan.Pour pour = batch.pours().get(number);
        String when = pour.at()
                .filter(at -> order.measured())
                .map(at -> ", when the pot reads %s on %s"
                        .formatted(Say.celsius(at.reading(), 1), order.thermometerName()))
                .orElse("");
        String detail = "%s: %s%s."
                .formatted(Say.grams(pour.mass().composition().totalGrams(), 0), String.join(", ", pour.names()), when);
        add(pour.step(), StepKind.HAND, batch.key(), "", step.action(), (which + " " + detail).strip(), step);
    }

    private void second(FormulaBatch second, MethodStep step) {
        String detail = order.measured()
                ? "Take it off at %s on %s.".formatted(Say.celsius(second.stop().reading(), 1), order.thermometerName())
                : unread(second);
        add("cook:" + second.key(), StepKind.COOK, second.key(), "", "Cook " + second.name(), detail, step);
    }

    private void cook(FormulaBatch batch, MethodStep step) {
        String id = "cook:" + batch.key();
        if (!batch.cooked()) {
            add(id, StepKind.HAND, batch.key(), "", "Cook %s by eye".formatted(batch.name()), "", step);
            return;
        }
        String detail = order.measured()
                ? "Take the pot off at %s on %s."
                        .formatted(Say.celsius(batch.stop().reading(), 1), order.thermometerName())
                : unread(batch);
        add(id, StepKind.COOK, batch.key(), "", "Cook " + batch.name(), detail, step);
    }

    /** The stop of a pot without a thermometer: what it weighs then, and how a drop in cold water is. */
    private static String unread(FormulaBatch batch) {
        return "The pot holds %s, and %s when it is done: weigh it, less its own weight. A drop in cold water: %s."
                .formatted(
                        Say.grams(batch.pot().totalGrams(), 0),
                        Say.grams(batch.cooking().cookedGrams().orElseThrow(), 0),
                        Stages.nameAt(batch.stop().seaLevel()));
    }

    private void hand(FormulaBatch batch, MethodStep step) {
        hand(batch.key(), which, step);
    }

    private void hand(String component, String detail, MethodStep step) {
        add("do:" + component + ":" + steps.size(), StepKind.HAND, component, "", step.action(), detail, step);
    }

    /** A step of the pieces other than laying. */
    private void piece(MethodStep step) {
        switch (step.does()) {
            case TEMPER, MELT, TINT -> bowl(step);
            case CUT ->
                add("cut:", StepKind.CLOSE, "", "", order.bar().bar().body().dividing(), cutting(), step);
            case COUNT -> {
                String last = carriers.carrier().equals("mould") ? "Release and count" : "Finish and count";
                add("release:", StepKind.RELEASE, "", "", last, "Look, sort, count by reason.", step);
            }
            default -> hand("", "", step);
        }
    }

    private String cutting() {
        String spare =
                carriers.spare() == 0 ? "" : " %s spare.".formatted(count(carriers.spare(), "piece is", "pieces are"));
        return "%d of one, %s.%s%s"
                .formatted(
                        carriers.cavities(),
                        count(carriers.fills(), carriers.carrier(), carriers.carrier() + "s"),
                        tool(),
                        spare);
    }

    private static String count(int number, String one, String many) {
        return number + " " + (number == 1 ? one : many);
    }

    /** How the cutting tool is set; empty where nothing is said of it. */
    private String tool() {
        return order.bar().frame() instanceof Frame.Cut cut
                        && order.bar().bar().body() instanceof Body.Slab slab
                        && slab.cutting() != null
                ? cut.set(slab.cutting())
                : "";
    }

    private LayerTarget target(StackLayer layer) {
        return planned.layer(layer.key()).orElseThrow();
    }

    private void lay(StackLayer layer, LayerTarget target, MethodStep step) {
        String each = Say.grams(target.window().targetGrams(), 1);
        switch (layer.kind()) {
            case SHELL -> {
                String lining = "%s of %d, %s. Aim for %s a shell; weigh some."
                        .formatted(
                                count(carriers.fills(), "mould", "moulds"),
                                carriers.cavities() * target.perPiece(),
                                count(carriers.turns(), "turn", "turns"),
                                each);
                add(
                        "line:" + target.component(),
                        StepKind.LINE,
                        target.component(),
                        layer.key(),
                        "Line the cavities",
                        lining,
                        step);
            }
            case FILLING, SHEET, BASE -> {
                String detail = carriers.carrier().equals("mould")
                        ? "Aim for %s a cavity, %s to %s. Cool to room temperature first."
                                .formatted(
                                        each,
                                        Say.bare(Say.grams(target.window().leastGrams(), 1)),
                                        Say.grams(target.window().greatestGrams(), 1))
                        : carriers.carrier().equals("piece")
                                ? "%s a piece, %s to %s."
                                        .formatted(
                                                each,
                                                Say.bare(Say.grams(
                                                        target.window().leastGrams(), 1)),
                                                Say.grams(target.window().greatestGrams(), 1))
                                : "%s, %s on each %s; %s a piece."
                                        .formatted(
                                                Say.mm(layer.thicknessMm(), 1),
                                                Say.grams(layer.laidGrams() * carriers.cavities(), 0),
                                                carriers.carrier(),
                                                each);
                String verb =
                        switch (carriers.carrier()) {
                            case "mould" -> "Fill with ";
                            case "piece" -> "Shape ";
                            default -> "Lay ";
                        };
                add(
                        "fill:" + layer.key(),
                        StepKind.FILL,
                        "",
                        layer.key(),
                        verb + layer.name(),
                        detail + sheets(layer),
                        step);
            }
            case BACK -> {
                String detail = "%s, about %s each.".formatted(Say.mm(layer.thicknessMm(), 1), each);
                add(
                        "close:" + target.component(),
                        StepKind.CLOSE,
                        target.component(),
                        "back",
                        "Close the backs",
                        detail,
                        step);
            }
            default -> {
                String detail = strewn(layer, target);
                String title = "%s: %s".formatted(title(layer), layer.name());
                add("lay:" + layer.key(), StepKind.CLOSE, "", layer.key(), title, detail, step);
            }
        }
    }

    /** Grams of what has no height of its own, what to have ready beyond them, and the sheets that it is cut from. */
    private String strewn(StackLayer layer, LayerTarget target) {
        String of = carriers.carrier().equals("mould") ? "cavity" : "piece";
        StringBuilder words =
                new StringBuilder("%s a %s.".formatted(Say.mass(target.window().targetGrams()), of));
        Deposit whole = masses.deposit(layer);
        if (whole.kept() > 0 || layer.design().handling().misses() > 0) {
            Technique technique = layer.design().handling().technique();
            String tool = technique == null ? "tool" : technique.tool();
            words.append(" Have %s ready: %s stay on"
                    .formatted(Say.mass(whole.total()), Say.mass(whole.pieces() + whole.spare())));
            words.append(whole.offcuts() > 0 ? ", %s land beside".formatted(Say.mass(whole.offcuts())) : "");
            words.append(whole.kept() > 0 ? ", %s stay in the %s".formatted(Say.mass(whole.kept()), tool) : "");
            words.append('.');
        }
        return words + sheets(layer);
    }

    /** Sheets that a layer is cut from; empty where it is cut from none. */
    private String sheets(StackLayer layer) {
        CutFrom from = layer.design().handling().cutFrom();
        if (layer.perSheet() == 0) {
            return "";
        }
        LaidMasses.Sheets of = masses.sheets(layer);
        if (from == null) {
            return " %d are laid, make %d: some break.".formatted(of.needed(), of.made());
        }
        BarLayer.Insert insert = layer.design().insert();
        double raw = insert == null || insert.rawLengthMm() == 0 ? 1 : insert.rawLengthMm() / insert.lengthMm();
        String rolled = raw == 1
                ? ""
                : ", rolled out to %s × %s raw"
                        .formatted(Say.bare(Say.mm(from.lengthMm() * raw, 0)), Say.mm(from.widthMm() * raw, 0));
        return " Cut from %d %s of %s × %s%s: %d of one, %d are laid, %d spare."
                .formatted(
                        of.sheets(),
                        of.sheets() == 1 ? "sheet" : "sheets",
                        Say.bare(Say.mm(from.lengthMm())),
                        Say.mm(from.widthMm()),
                        rolled,
                        of.perSheet(),
                        of.needed(),
                        of.sheets() * of.perSheet() - of.needed());
    }

    private static String title(StackLayer layer) {
        String words = layer.kind().words();
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** The bowl that a step is about. */
    private CouvertureBatch batch(MethodStep step) {
        LayerTarget target = target(order.bar().layer(BuildSteps.layerKey(step)).orElseThrow());
        String key =
                BuildSteps.mixed(step) ? target.laid().mixed().orElseThrow().component() : target.component();
        return planned.couverture(key).orElseThrow();
    }

    /** A bowl; the first of a couverture is all that is melted of it, less what a foot takes from a bowl of its own. */
    private void bowl(MethodStep step) {
        CouvertureBatch batch = batch(step);
        StackLayer layer = order.bar().layer(BuildSteps.layerKey(step)).orElseThrow();
        boolean foot = layer.kind() == LayerKind.FOOT;
        boolean again = !foot && !begun.add(batch.key());
        double melt = foot ? onCarriers(layer) : batch.meltGrams() - feetOf(batch);
        String id = batch.key() + (again || foot ? ":" + step.part() : "");
        if (step.does() == Act.TINT) {
            CouvertureBatch.Tint tint = batch.tint().orElseThrow();
            String stir = "Stir %s of %s into all of the bowl, %s with it."
                    .formatted(Say.mass(melt * tint.grams() / batch.meltGrams()), tint.name(), Say.grams(melt, 0));
            add("tint:" + id, StepKind.HAND, batch.key(), "", "Stir into the bowl: " + batch.name(), stir, step);
            begun.remove(batch.key());
            return;
        }
        if (step.does() == Act.MELT) {
            String most = order.measured() ? ", at most " + Say.celsius(45) + "." : ", until it is just smooth.";
            String warm = again ? "Gently" + most : "Melt %s gently%s".formatted(Say.grams(melt, 0), most);
            String name = "Melt " + batch.name() + (again ? " again" : "");
            add("melt:" + id, StepKind.CLOSE, batch.key(), "", name, warm, step);
            return;
        }
        String title = "Temper " + batch.name() + (again ? " again" : "");
        if (!order.measured()) {
            add("temper:" + id, StepKind.TEMPER, batch.key(), "", title, felt(batch, melt, again), step);
            return;
        }
        TemperWindow window = batch.window().orElseThrow();
        String words = again
                ? "Work at %s. Above it, melt out and begin again."
                        .formatted(window.work().inWords())
                : inWords(melt, window);
        add("temper:" + id, StepKind.TEMPER, batch.key(), "", title, words, step);
    }

    /** A bowl in temper by feel: as much seed as the plan of a light bowl has. */
    private String felt(CouvertureBatch batch, double meltGrams, boolean again) {
        if (again) {
            return "It must feel cool on the lip and flow; a thin smear sets in %s. Dull or thick: melt out and begin again."
                    .formatted(sets("smear-sets"));
        }
        TemperPlan plan = TemperPlan.of(
                Method.SEED,
                new TemperPlan.Of(
                        batch.window().orElseThrow(),
                        meltGrams,
                        batch.of().cocoaButterFraction().orElseThrow(),
                        Bowl.NONE,
                        Room.USUAL_CELSIUS,
                        false));
        return "Melt %s until no lump is left and it feels warm on the lip. Off the heat, stir in about %s grated, a handful at a time, until the last melts slowly and it feels cool on the lip; a heavy bowl wants more. A thin smear sets in %s."
                .formatted(Say.grams(plan.meltGrams(), 0), Say.grams(plan.seedGrams(), 0), sets("smear-sets"));
    }

    /** Within how long a smear sets, in words. */
    private String sets(String bound) {
        return order.bar().bounds().of(bound).words();
    }

    private double feetOf(CouvertureBatch batch) {
        return order.bar().all(LayerKind.FOOT).stream()
                .filter(f -> masses.of(f).equals(batch.key()))
                .mapToDouble(this::onCarriers)
                .sum();
    }

    /** Grams of a layer on all slabs, trays or sheets. */
    private double onCarriers(StackLayer layer) {
        return layer.laidGrams() * carriers.cavities() * carriers.fills();
    }

    private void add(
            String id, StepKind kind, String component, String layer, String title, String detail, MethodStep how) {
        steps.add(new BenchStep(id, kind, component, layer, title, detail, caution(kind, component, how), how));
    }

    /** What the step itself warns of; whoever weighs out is warned of what is in the bowls. */
    private String caution(StepKind kind, String component, MethodStep how) {
        Stream<String> own = Stream.of(how.caution().isEmpty() ? DefaultMethods.caution(how.does()) : how.caution());
        Stream<String> bowls = kind != StepKind.WEIGH
                ? Stream.of()
                : Stream.concat(order.formulas().values().stream(), order.parts().stream())
                        .distinct()
                        .filter(f -> f.key().equals(component))
                        .flatMap(f -> f.formula().lines().stream())
                        .filter(FormulaLine::counts)
                        .map(l -> ingredients.get(l.ingredient()))
                        .filter(i -> !i.caution().isEmpty())
                        .map(i -> i.name() + ": " + i.caution());
        return Stream.concat(own, bowls).filter(c -> !c.isEmpty()).distinct().collect(Collectors.joining(". "));
    }
}

package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.method.Woven;
import org.zeststack.core.quantity.CsvTable;

/**
 * The steps of a bar in the order of the work, as its layers want them.
 *
 * <p>A mould is decorated, lined, filled and closed, and what tops a closed piece comes after the release; a slab is rolled, then has
 * its foot, is turned and cut, and only then is the couverture tempered that coats its pieces; a slab that is coated whole is coated
 * before the cut; a tray begins with its base. A shell, a back and a coat each want their bowl in temper; a foot wants one that is only
 * melted. Common practice, no source.
 */
public final class BuildSteps {

    /** Behind the key of a layer: the bowl of what is mixed into it. */
    private static final String MIXED = "~mixed";

    private static final String ANY = "ANY";
    private static final Map<String, List<MethodStep>> TABLE = load();

    private final BarStack stack;
    private final List<MethodStep> steps = new ArrayList<>();
    private final Set<String> ready = new HashSet<>();
    private boolean footed;
    private boolean open;

    private BuildSteps(BarStack stack) {
        this.stack = stack;
    }

    /** The bar's own steps, with every act that its layers want. */
    public static List<MethodStep> of(BarStack stack) {
        List<MethodStep> own = stack.bar().method();
        List<MethodStep> usual = usual(stack);
        return own.isEmpty() || own.stream().anyMatch(MethodStep::acts) ? Woven.of(own, usual) : onlyTold(own, usual);
    }

    /**
     * A method that was written when methods were only read: the usual steps are worked, and what it says beyond them stands before
     * the count.
     */
    private static List<MethodStep> onlyTold(List<MethodStep> own, List<MethodStep> usual) {
        Set<String> shipped = TABLE.values().stream()
                .flatMap(List::stream)
                .map(MethodStep::action)
                .collect(Collectors.toSet());
        List<MethodStep> steps = new ArrayList<>(usual);
        steps.addAll(
                steps.size() - 1,
                own.stream().filter(s -> !shipped.contains(s.action())).toList());
        return List.copyOf(steps);
    }

    /** The usual steps of its layers. */
    public static List<MethodStep> usual(BarStack stack) {
        BuildSteps build = new BuildSteps(stack);
        build.layers();
        return List.copyOf(build.steps);
    }

    /** Slug of what is in the bowl of a step that tempers, melts or tints. */
    public static String inTheBowl(BarStack stack, MethodStep step) {
        BarLayer layer = stack.layer(layerKey(step)).orElseThrow().design();
        return mixed(step) ? layer.mix().of() : layer.of();
    }

    /** Whether a step's bowl is that of what is mixed into its layer. */
    public static boolean mixed(MethodStep step) {
        return step.part().endsWith(MIXED);
    }

    /** Key of the layer that a step lays or has a bowl for. */
    public static String layerKey(MethodStep step) {
        return mixed(step) ? step.part().substring(0, step.part().length() - MIXED.length()) : step.part();
    }

    private void layers() {
        Bar bar = stack.bar();
        boolean mould = bar.body() instanceof Body.Moulded;
        boolean closed = bar.first(LayerKind.BACK) >= 0;
        boolean isCut = bar.body().cutToPieces();
        boolean out = false;
        boolean cut = false;
        boolean scored = false;
        List<StackLayer> order = inOrder();
        for (int i = 0; i < order.size(); i++) {
            StackLayer layer = order.get(i);
            if (layer.kind() == LayerKind.FOOT) {
                continue;
            }
            if (mould && !out && closed && layer.kind() == LayerKind.TOPPING) {
                out = true;
                out();
            }
            if (isCut && !cut && !bar.onCarrier(layer.index())) {
                cut = true;
                cut();
            }
            if (layer.kind() == LayerKind.COAT) {
                feet();
            }
            if (isCut && !cut && !scored && setByPiece(layer)) {
                scored = true;
                put("SCORE", "");
            }
            lay(layer);
            boolean more = i + 1 < order.size()
                    && (order.get(i + 1).kind() == LayerKind.FILLING
                            || order.get(i + 1).kind() == LayerKind.BACK);
            if (mould && layer.kind() == LayerKind.FILLING && more) {
                put("SET", "");
            }
        }
        if (mould && !out) {
            out();
        }
        if (isCut && !cut) {
            cut();
        }
        coated();
        if (stack.frame() instanceof Frame.Discs discs && discs.sizesMm().size() > 1) {
            put("STACK", "");
        }
        put("END", "");
    }

    /** What lies on a slab, tray or sheet when it is cut comes before what is laid on the pieces. */
    private List<StackLayer> inOrder() {
        List<StackLayer> order = new ArrayList<>(stack.layers());
        if (stack.bar().body().cutToPieces()) {
            order.sort(Comparator.comparing(l -> !stack.bar().onCarrier(l.index())));
        }
        return order;
    }

    private static boolean setByPiece(StackLayer layer) {
        return layer.design().by() == BarLayer.By.PIECES;
    }

    private void out() {
        put("OUT", "");
        if (stack.bar().body() instanceof Body.Moulded m && m.halves()) {
            put("JOIN", "");
        }
    }

    private void cut() {
        coated();
        feet();
        if (stack.bar().body() instanceof Body.Slab slab) {
            put(slab.cutting() == null ? "CUT" : "CUT " + slab.cutting().tool().name(), "");
            if (slab.cornerMm() > 0) {
                put("CORNERS", "");
            }
        } else {
            put(stack.bar().body() instanceof Body.Spread ? "BREAK" : "CUT", "");
        }
    }

    /** The foot is the last thing a slab gets before it is turned over, and coated or cut. */
    private void feet() {
        List<StackLayer> feet = stack.all(LayerKind.FOOT);
        if (!footed && !feet.isEmpty()) {
            feet.forEach(this::lay);
            put("SIDES", "");
        }
        footed = true;
    }

    private void lay(StackLayer layer) {
        if (layer.kind() != LayerKind.TOPPING) {
            coated();
        }
        BarLayer design = layer.design();
        boolean stirred = stack.stirred(layer);
        bowl(layer, design.of(), stirred ? "~" + design.mix() : "", layer.key());
        if (design.mix() != null && design.mix().fraction() > 0 && !stirred) {
            bowl(layer, design.mix().of(), "", layer.key() + MIXED);
        }
        add(laying(stack.bar().build(), how(layer), layer.kind().name()), layer.key());
        open = layer.kind() == LayerKind.COAT || open && layer.kind() == LayerKind.TOPPING;
    }

    /** A coat sets when what tops it is on it. */
    private void coated() {
        if (open) {
            put("COATED", "");
        }
        open = false;
    }

    /** A bowl that was used before stands too long until a back or a coat; for everything else it still is in temper. */
    private void bowl(StackLayer layer, String of, String with, String part) {
        if (!stack.melted(layer, of)) {
            return;
        }
        if (!with.isEmpty() && (layer.kind() == LayerKind.FOOT || !ready.contains(of + with))) {
            put("TINT", part);
        }
        if (layer.kind() == LayerKind.FOOT) {
            put("MELT", part);
            return;
        }
        boolean first = ready.add(of + with);
        boolean again = layer.kind() == LayerKind.BACK || layer.kind() == LayerKind.COAT;
        if (first || again) {
            Material inIt = with.isEmpty() ? stack.parts().materials().get(of) : layer.material();
            boolean tempers = stack.bar().finish() == Bar.Finish.TEMPERED && inIt.isChocolate();
            put(tempers ? first ? "BOWL" : "AGAIN" : "MELT", part);
        }
    }

    private void put(String at, String part) {
        add(rows(stack.bar().build(), at), part);
    }

    private void add(List<MethodStep> rows, String part) {
        rows.stream()
                .map(step -> step.acts() ? step.doing(step.does(), part) : step)
                .map(step -> step.judgedBy(stack.bounds()))
                .forEach(steps::add);
    }

    /** In which way a layer is brought on, as the table of steps has it. */
    private String how(StackLayer layer) {
        if (layer.design().handling().technique() != null) {
            return layer.design().handling().technique().name();
        }
        if (layer.design().handling().cover().piped()) {
            return "PIPED";
        }
        return setByPiece(layer) && stack.bar().onCarrier(layer.index()) ? "SET" : "";
    }

    /** Steps that lay a kind of layer; a way or a kind that the table does not know yet is laid all the same. */
    static List<MethodStep> laying(Build build, String how, String kind) {
        for (String at : List.of(kind + " " + how, kind, "LAYER")) {
            List<MethodStep> rows = rows(build, at);
            if (!rows.isEmpty()) {
                return rows;
            }
        }
        return List.of();
    }

    private static List<MethodStep> rows(Build build, String at) {
        List<MethodStep> own = TABLE.get(build.name() + " " + at);
        return own == null ? TABLE.getOrDefault(ANY + " " + at, List.of()) : own;
    }

    private static Map<String, List<MethodStep>> load() {
        Map<String, List<MethodStep>> steps = new HashMap<>();
        for (CsvTable.Row row : CsvTable.load(BuildSteps.class, "steps.csv").rows()) {
            steps.computeIfAbsent(row.text("build") + " " + row.text("at"), k -> new ArrayList<>())
                    .add(MethodStep.in(row));
        }
        steps.replaceAll((at, rows) -> List.copyOf(rows));
        return steps;
    }
}

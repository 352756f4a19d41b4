package org.zeststack.core.formula;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.Ending;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.CsvTable;

/** Methods to start from, so that nobody begins with an empty page, and the steps of a formula as they are worked. */
public final class DefaultMethods {

    private static final String ANY = "ANY";

    /** How far the reading of a step may be from the stop and still be the stop, K: typed in whole degrees of either scale. */
    private static final double SAME_STOP_KELVIN = 1;

    private static final Map<String, List<MethodStep>> TABLE = load();

    private DefaultMethods() {}

    /** The usual steps of a family; never empty. */
    public static List<MethodStep> of(Family family) {
        return TABLE.get(family.name());
    }

    /**
     * The steps of a formula as they are worked: its own, else its family's, and in them what must be done once: weighed out, first;
     * cooked where it is cooked, behind that if no step says it; put on the scale, last.
     */
    public static List<MethodStep> of(Formula formula) {
        List<MethodStep> steps = new ArrayList<>();
        Set<Act> done = EnumSet.noneOf(Act.class);
        List<MethodStep> worded = untouched(formula) ? usual(formula) : placed(formula);
        for (int i = 0; i < worded.size(); i++) {
            MethodStep step = worded.get(i);
            boolean cold = step.does() == Act.COOK && !boils(formula);
            boolean fills = step.does() == Act.ADD || step.does() == Act.SECOND_POT;
            boolean empty = fills && !FormulaPots.used(formula, i);
            boolean again = step.acts() && step.does() != Act.ADD && !done.add(step.does());
            steps.add(cold || empty || again ? step.doing(Act.HAND, "") : step);
        }
        if (!done.contains(Act.WEIGH)) {
            steps.add(0, any(Act.WEIGH));
        }
        if (boils(formula) && !done.contains(Act.COOK)) {
            int weighed = steps.stream().map(MethodStep::does).toList().indexOf(Act.WEIGH);
            steps.add(weighed + 1, any(Act.COOK));
        }
        if (!done.contains(Act.YIELD)) {
            steps.add(any(Act.YIELD));
        }
        return List.copyOf(steps);
    }

    private static boolean untouched(Formula formula) {
        return formula.method().isEmpty() || formula.method().equals(of(formula.family()));
    }

    /** Its family's steps; what is not cooked has no pot to take off. */
    private static List<MethodStep> usual(Formula formula) {
        return of(formula.family()).stream()
                .filter(s -> s.does() != Act.COOK || boils(formula))
                .toList();
    }

    /** What everybody is warned of at an act, where a step does not say it itself. */
    public static String caution(Act act) {
        return TABLE.get(ANY).stream()
                .filter(s -> s.acts() && s.does() == act)
                .map(MethodStep::caution)
                .findFirst()
                .orElse("");
    }

    /** Whether a pot of it is taken off at a reading or by eye. */
    private static boolean boils(Formula formula) {
        return formula.boiled();
    }

    private static MethodStep any(Act act) {
        return TABLE.get(ANY).stream().filter(s -> s.does() == act).findFirst().orElseThrow();
    }

    /**
     * Its own steps; where none says that it cooks to the stop, the one does that ends at the stop's reading, else the one that its
     * family words so.
     */
    private static List<MethodStep> placed(Formula formula) {
        List<MethodStep> own = new ArrayList<>(formula.method());
        if (!boils(formula) || own.stream().anyMatch(s -> s.does() == Act.COOK)) {
            return own;
        }
        for (int i = own.size() - 1; i >= 0; i--) {
            MethodStep step = own.get(i);
            boolean reads = formula.cooked() && step.endings().stream().anyMatch(e -> endsAt(e, formula.stopCelsius()));
            boolean worded = of(formula.family()).stream()
                    .anyMatch(s -> s.does() == Act.COOK && s.action().equals(step.action()));
            if (!step.acts() && (reads || worded)) {
                own.set(i, step.doing(Act.COOK, ""));
                return own;
            }
        }
        return own;
    }

    private static boolean endsAt(Ending ending, double stop) {
        return ending.kind() == Ending.Kind.READING
                && stop >= ending.least() - SAME_STOP_KELVIN
                && stop <= ending.greatest() + SAME_STOP_KELVIN;
    }

    private static Map<String, List<MethodStep>> load() {
        Map<String, List<MethodStep>> methods = new HashMap<>();
        for (CsvTable.Row row :
                CsvTable.load(DefaultMethods.class, "methods.csv").rows()) {
            methods.computeIfAbsent(row.text("family"), f -> new ArrayList<>()).add(MethodStep.in(row));
        }
        methods.replaceAll((family, steps) -> List.copyOf(steps));
        return methods;
    }
}

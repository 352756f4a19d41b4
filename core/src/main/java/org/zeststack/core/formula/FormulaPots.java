package org.zeststack.core.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.Ending;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.sugar.Cook;

/**
 * What goes into which pot, and when. A line in the pot goes in at the start unless it names a step that pours it in later or that
 * cooks it in a second pot; both need a cook to a reading.
 *
 * @param start what is in the pot at first
 * @param pours what is poured in while it cooks, in the order of the steps
 * @param second what is cooked in a second pot; empty where there is none
 */
public record FormulaPots(Composition start, List<Pour> pours, Optional<Second> second) {

    /**
     * Poured into the pot while it cooks.
     *
     * @param lines numbers of the formula's lines
     * @param atCelsius when the pot is so hot, as at sea level; empty where its step ends by another sign
     */
    public record Pour(Composition mass, List<Integer> lines, OptionalDouble atCelsius) {}

    /**
     * A second pot, cooked to the reading of its step.
     *
     * @param lines numbers of the formula's lines
     */
    public record Second(Cook cook, List<Integer> lines) {}

    /** The method that the numbers of steps in the lines are of. */
    public static List<MethodStep> numbered(Formula formula) {
        return formula.method().isEmpty() ? DefaultMethods.of(formula.family()) : formula.method();
    }

    /**
     * Sorts the lines of a formula.
     *
     * @throws InvalidInput if the reading of the second pot is no stop for what is in it; the field is {@code step.N.cue}
     */
    static FormulaPots of(Formula formula, IngredientTable ingredients, double pressureKpa) {
        List<MethodStep> steps = numbered(formula);
        Composition start = Composition.NOTHING;
        List<List<Integer>> at = new ArrayList<>();
        steps.forEach(step -> at.add(new ArrayList<>()));
        for (int i = 0; i < formula.lines().size(); i++) {
            FormulaLine line = formula.lines().get(i);
            if (!line.counts() || line.role() != FormulaLine.Role.POT) {
                continue;
            }
            if (apart(formula, line)) {
                at.get(line.step() - 1).add(i);
            } else {
                start = start.plus(ingredients.get(line.ingredient()).grams(line.grams()));
            }
        }
        List<Pour> pours = new ArrayList<>();
        Optional<Second> second = Optional.empty();
        for (int s = 0; s < steps.size(); s++) {
            if (at.get(s).isEmpty()) {
                continue;
            }
            Composition mass = Composition.NOTHING;
            for (int i : at.get(s)) {
                FormulaLine line = formula.lines().get(i);
                mass = mass.plus(ingredients.get(line.ingredient()).grams(line.grams()));
            }
            OptionalDouble reading = reading(steps.get(s));
            if (steps.get(s).does() == Act.ADD) {
                pours.add(new Pour(mass, at.get(s), reading));
            } else {
                second = Optional.of(
                        new Second(cook(mass, reading.orElseThrow(), pressureKpa, s), List.copyOf(at.get(s))));
            }
        }
        return new FormulaPots(start, List.copyOf(pours), second);
    }

    /** Whether a line does not go into the pot at the start. */
    private static boolean apart(Formula formula, FormulaLine line) {
        List<MethodStep> steps = numbered(formula);
        return line.step() != null
                && line.step() >= 1
                && line.step() <= steps.size()
                && takesLines(formula, steps, line.step() - 1);
    }

    /** Whether lines may go in at a step: it pours into a pot before that is done, or cooks a second one to a reading. */
    private static boolean takesLines(Formula formula, List<MethodStep> steps, int at) {
        MethodStep step = steps.get(at);
        if (!formula.cooked()) {
            return false;
        }
        if (step.does() == Act.SECOND_POT) {
            boolean first = steps.subList(0, at).stream().noneMatch(s -> s.does() == Act.SECOND_POT);
            return first && reading(step).isPresent();
        }
        return step.does() == Act.ADD && steps.subList(0, at).stream().noneMatch(s -> s.does() == Act.COOK);
    }

    /** Whether lines of the formula go in at a step of {@link #numbered}. */
    static boolean used(Formula formula, int at) {
        return takesLines(formula, numbered(formula), at)
                && formula.lines().stream()
                        .anyMatch(l -> l.counts()
                                && l.role() == FormulaLine.Role.POT
                                && l.step() != null
                                && l.step() == at + 1);
    }

    private static OptionalDouble reading(MethodStep step) {
        return step.endings().stream()
                .filter(e -> e.kind() == Ending.Kind.READING && e.numbered())
                .mapToDouble(Ending::least)
                .findFirst();
    }

    private static Cook cook(Composition mass, double stop, double pressureKpa, int step) {
        try {
            return Cook.to(mass, stop, pressureKpa);
        } catch (InvalidInput invalid) {
            throw new InvalidInput(invalid.faults().get(0).at("step." + step + ".cue"));
        }
    }

    /** Everything that goes into the first pot. */
    public Composition main() {
        return pours.stream().map(Pour::mass).reduce(start, Composition::plus);
    }

    /** Everything that is cooked. */
    Composition all() {
        return second.map(s -> main().plus(s.cook().before())).orElseGet(this::main);
    }
}

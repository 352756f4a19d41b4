package org.zeststack.core.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.zeststack.core.household.Measures;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sugar.Cook;

/**
 * What one version of a formula says.
 *
 * @param family what it makes
 * @param lines ingredients and grams
 * @param stopCelsius sea-level stop temperature of a cooked formula; null where it is not cooked to a reading
 * @param handlingLossFraction share of the finished mass that stays in pots, bags and bowls, 0 to 0.5
 * @param method ordered steps
 * @param finish cooking by eye, baking and whipping
 * @param choices where schools differ, the way chosen, by the question's key; see {@link School}
 * @param measures kitchen measures that amounts typed into it are read in; null where nobody has said
 */
public record Formula(
        Family family,
        List<FormulaLine> lines,
        Double stopCelsius,
        double handlingLossFraction,
        List<MethodStep> method,
        Finish finish,
        Map<String, String> choices,
        Measures measures) {

    public static final Range LINE_GRAMS = new Range(0.01, 1_000_000, "g");
    public static final Range LOSS_FRACTION = new Range(0, 0.5, "");

    public Formula {
        lines = List.copyOf(lines);
        method = List.copyOf(method);
        finish = finish == null ? Finish.PLAIN : finish;
        choices = choices == null ? Map.of() : Map.copyOf(choices);
    }

    /** A formula that is cooked to a reading or not at all. */
    public Formula(
            Family family,
            List<FormulaLine> lines,
            Double stopCelsius,
            double handlingLossFraction,
            List<MethodStep> method) {
        this(family, lines, stopCelsius, handlingLossFraction, method, Finish.PLAIN, Map.of());
    }

    /** A formula whose amounts were typed in no measures of their own. */
    public Formula(
            Family family,
            List<FormulaLine> lines,
            Double stopCelsius,
            double handlingLossFraction,
            List<MethodStep> method,
            Finish finish,
            Map<String, String> choices) {
        this(family, lines, stopCelsius, handlingLossFraction, method, finish, choices, null);
    }

    public Formula withLines(List<FormulaLine> others) {
        return new Formula(family, others, stopCelsius, handlingLossFraction, method, finish, choices, measures);
    }

    /** The same formula, finished otherwise. */
    public Formula finished(Finish other) {
        return new Formula(family, lines, stopCelsius, handlingLossFraction, method, other, choices, measures);
    }

    /**
     * A variant with some of the lines that may be left out: they go in at their usual place, folded in warm where the pot is cooked
     * and that is the pot.
     *
     * @param indexes of lines that are planned this time
     */
    public Formula including(Set<Integer> indexes, IngredientTable ingredients) {
        boolean boiled = boiled();
        List<FormulaLine> planned = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            FormulaLine line = lines.get(i);
            planned.add(
                    line.counts() || !indexes.contains(i)
                            ? line
                            : line.at(UsualPlace.of(family, ingredients.get(line.ingredient()))
                                    .orElse(boiled ? FormulaLine.Role.WARM : FormulaLine.Role.POT)));
        }
        return withLines(planned);
    }

    /** Whether the pores of a line stay: what is boiled, or melted down to bind grain, has none left. */
    boolean keepsPores(FormulaLine line) {
        boolean melted = boiled() || family == Family.PUFFED;
        return !(melted && line.role() == FormulaLine.Role.POT);
    }

    /** Whether what stands in its pot is boiled, to a reading or by eye. */
    public boolean boiled() {
        return cooked() || finish.byEye();
    }

    /** Whether it is cooked to a reading. */
    public boolean cooked() {
        return stopCelsius != null;
    }

    /**
     * Checks everything that a person typed, apart from the cooking itself.
     *
     * @throws InvalidInput with every fault found; fields are {@code line.N.grams}, {@code stopCelsius}, …
     */
    public void check(IngredientTable ingredients) {
        Faults faults = new Faults();
        if (lines.stream().noneMatch(FormulaLine::counts)) {
            faults.add(Fault.of("lines", "", "A formula needs at least one line of ingredient and grams."));
        }
        for (int i = 0; i < lines.size(); i++) {
            FormulaLine line = lines.get(i);
            if (ingredients.find(line.ingredient()).isEmpty()) {
                faults.add(Fault.of(
                        "line." + i + ".ingredient", line.ingredient(), "Choose an ingredient from the store room."));
            }
            faults.within("line." + i + ".grams", line.grams(), LINE_GRAMS);
            if (line.upToGrams() != null) {
                faults.within(
                        "line." + i + ".upTo",
                        line.upToGrams(),
                        new Range(Math.max(LINE_GRAMS.least(), line.grams()), LINE_GRAMS.greatest(), "g"));
            }
        }
        if (stopCelsius != null) {
            faults.within("stopCelsius", stopCelsius, Cook.STOP_CELSIUS);
        }
        faults.within("handlingLossFraction", handlingLossFraction, LOSS_FRACTION);
        check(faults);
        faults.throwIfAny();
    }

    private void check(Faults faults) {
        if (finish.byEye() && cooked()) {
            faults.add(Fault.of("stopCelsius", "", "A cook ends at a reading or by eye, not both."));
        }
        if (finish.moistureLeast() != null || finish.moistureGreatest() != null) {
            if (!finish.moistureKnown()) {
                faults.add(Fault.of("moistureLeast", "", "Write both ends of the moisture, or neither."));
            } else if (faults.within("moistureLeast", finish.moistureLeast(), Finish.MOISTURE)
                    && faults.within("moistureGreatest", finish.moistureGreatest(), Finish.MOISTURE)
                    && finish.moistureLeast() > finish.moistureGreatest()) {
                faults.add(Fault.of("moistureLeast", "", "The least moisture is above the greatest."));
            }
        }
        faults.within("bakedLossFraction", finish.bakedLossFraction(), Finish.BAKED_LOSS);
        cups(faults);
        faults.within("overrunFraction", finish.overrunFraction(), Finish.OVERRUN);
    }

    private void cups(Faults faults) {
        Double before = finish.cupBeforeGrams();
        Double after = finish.cupAfterGrams();
        if (before == null && after == null) {
            return;
        }
        if (before == null || after == null) {
            faults.add(Fault.of("cupAfterGrams", "", "Weigh the same cup before and after, or write neither."));
        } else if (faults.within("cupBeforeGrams", before, Finish.CUP_GRAMS)
                && faults.within("cupAfterGrams", after, Finish.CUP_GRAMS)
                && after > before) {
            faults.add(Fault.of(
                    "cupAfterGrams",
                    Numbers.plain(after),
                    "A cup with air in it weighs less than before, at most %s.".formatted(Say.grams(before))));
        }
    }
}

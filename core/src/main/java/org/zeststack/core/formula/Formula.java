package org.zeststack.core.formula;

import java.util.List;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.sugar.Cook;

/**
 * What one version of a formula says.
 *
 * @param family what it makes
 * @param lines ingredients and grams
 * @param stopCelsius sea-level stop temperature of a cooked formula; null where it is not cooked
 * @param handlingLossFraction share of the finished mass that stays in pots, bags and bowls, 0 to 0.5
 * @param method ordered steps
 */
public record Formula(
        Family family,
        List<FormulaLine> lines,
        Double stopCelsius,
        double handlingLossFraction,
        List<MethodStep> method) {

    public static final Range LINE_GRAMS = new Range(0.01, 1_000_000, "g");
    public static final Range LOSS_FRACTION = new Range(0, 0.5, "");

    public Formula {
        lines = List.copyOf(lines);
        method = List.copyOf(method);
    }

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
        if (lines.isEmpty()) {
            faults.add(Fault.of("lines", "", "A formula needs at least one line of ingredient and grams."));
        }
        for (int i = 0; i < lines.size(); i++) {
            FormulaLine line = lines.get(i);
            if (ingredients.find(line.ingredient()).isEmpty()) {
                faults.add(Fault.of("line." + i + ".ingredient", line.ingredient(), "Choose an ingredient."));
            }
            faults.within("line." + i + ".grams", line.grams(), LINE_GRAMS);
        }
        if (stopCelsius != null) {
            faults.within("stopCelsius", stopCelsius, Cook.STOP_CELSIUS);
        }
        faults.within("handlingLossFraction", handlingLossFraction, LOSS_FRACTION);
        faults.throwIfAny();
    }
}

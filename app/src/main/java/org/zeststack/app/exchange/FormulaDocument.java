package org.zeststack.app.exchange;

import java.util.List;
import java.util.Map;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.household.Measures;
import org.zeststack.core.ingredient.IngredientData;
import org.zeststack.core.method.Act;

/**
 * A formula as it travels: with the ingredients and the formulas that its lines point to, so that it can be read where they
 * are not known. The published schema stands at {@code /assets/schema/formula-1.json}. Photographs do not travel.
 *
 * @param format always {@link #FORMAT}
 * @param formatVersion 1
 * @param ingredients every ingredient used, with its composition
 * @param formulas formulas used, those that must be made first standing first
 */
record FormulaDocument(
        String format, int formatVersion, Body formula, List<IngredientData> ingredients, List<Used> formulas) {

    static final String FORMAT = "zest-stack-formula";
    static final int VERSION = 1;

    /** A formula that another one uses, under the link that the lines name it by. */
    record Used(String link, Body formula) {}

    /** What a formula says. */
    record Body(
            String name,
            String why,
            Family family,
            Double stopCelsius,
            double handlingLossFraction,
            boolean byEye,
            Double moistureLeast,
            Double moistureGreatest,
            double bakedLossFraction,
            double overrunFraction,
            Double cupBeforeGrams,
            Double cupAfterGrams,
            Map<String, String> choices,
            Measures measures,
            List<Line> lines,
            List<Step> method) {}

    /** One line. */
    record Line(
            String ingredient,
            double grams,
            FormulaLine.Role role,
            Double pieces,
            boolean toEffect,
            Integer step,
            String written,
            List<String> guesses,
            Double upToGrams) {}

    /** One step. */
    record Step(
            String action,
            String cue,
            String caution,
            String tool,
            String setting,
            boolean handsOff,
            Double restLeastMinutes,
            Double restGreatestMinutes,
            String right,
            String wrong,
            Act does,
            List<String> takes,
            Boolean stir) {}
}

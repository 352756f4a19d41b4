package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Zone;

public class FormulaBalanceTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();
    private static final double SEA_LEVEL = 101.325;

    private static Formula cooked(double stop, FormulaLine... more) {
        List<FormulaLine> lines = new ArrayList<>(List.of(
                new FormulaLine("sugar", 1000, Role.POT),
                new FormulaLine("glucose-syrup-42", 700, Role.POT),
                new FormulaLine("cream-35", 1000, Role.POT)));
        lines.addAll(List.of(more));
        return new Formula(Family.CARAMEL, lines, stop, 0.03, List.of());
    }

    private static FormulaBalance balance(Formula formula) {
        return FormulaBalance.of(formula, TABLE, SEA_LEVEL);
    }

    @Test
    public void aCaramelOfThisKindKeepsEightToTenPercentWater() {
        FormulaBalance caramel = balance(cooked(118, new FormulaLine("butter", 120, Role.POT)));
        double moisture = caramel.moistureFraction();
        assertTrue(moisture >= 0.08 && moisture <= 0.10, "moisture " + moisture + " (common practice, no source)");
        near(caramel.activity().orElseThrow().ratio(), 0.51, 0.02, "this model");
        assertEquals(caramel.activity().orElseThrow().zone(), Zone.ESTIMATE);
        assertTrue(caramel.densityGramsPerMl() > 1.25 && caramel.densityGramsPerMl() < 1.40);
    }

    @Test
    public void whatGoesInOffTheHeatKeepsItsWater() {
        FormulaBalance inPot = balance(cooked(118, new FormulaLine("butter", 120, Role.POT)));
        FormulaBalance after = balance(cooked(118, new FormulaLine("butter", 120, Role.OFF_HEAT)));
        near(after.before().totalGrams(), inPot.before().totalGrams(), 1e-9, "the same weighed out");
        // Butter of 16 % water: 19.2 g that the pot cannot drive off.
        near(after.after().waterGrams() - inPot.after().waterGrams(), 19.2, 0.3, "butter's water, value from memory");
    }

    @Test
    public void placeMovesTheStopAndNotTheMass() {
        Formula formula = cooked(118);
        FormulaBalance hill = FormulaBalance.of(formula, TABLE, 83.5);
        near(hill.after().totalGrams(), balance(formula).after().totalGrams(), 1e-9, "the same water left");
        assertTrue(hill.cook().orElseThrow().stopCelsiusHere() < 113);
    }

    @Test
    public void dryPastesGetNoWaterActivityFromTheSoluteModel() {
        Formula paste = new Formula(
                Family.NUT_PASTE,
                List.of(new FormulaLine("hazelnut-roasted", 100, Role.POT), new FormulaLine("sugar", 100, Role.POT)),
                null,
                0,
                List.of());
        FormulaBalance balance = balance(paste);
        assertTrue(balance.activity().isEmpty());
        assertTrue(balance.activityRefused().contains("3 % water"), balance.activityRefused());
        near(balance.yieldFraction(), 1, 1e-12, "nothing boils off");
    }

    @Test
    public void spiritsGoInOffTheHeat() {
        expectThrows(Refusal.class, () -> balance(cooked(118, new FormulaLine("rum-54", 40, Role.POT))));
        FormulaBalance off = balance(cooked(118, new FormulaLine("rum-54", 40, Role.OFF_HEAT)));
        FormulaBalance plain = balance(cooked(118));
        // Alcohol preserves: it lowers the activity more than its water raises it, at this dryness it hardly matters.
        assertTrue(off.activity().isPresent() && plain.activity().isPresent());
        near(off.after().totalGrams() - plain.after().totalGrams(), 40, 1e-9, "all of it stays");
    }

    @Test
    public void aStopBelowTheBoilOfThisMassIsNamed() {
        InvalidInput fault = expectThrows(InvalidInput.class, () -> balance(cooked(90)));
        assertEquals(fault.faults().get(0).field(), "stopCelsius");
    }
}

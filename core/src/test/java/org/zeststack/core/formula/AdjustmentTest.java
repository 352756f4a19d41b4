package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.rule.Bounds;

public class AdjustmentTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();

    private static FormulaLine pot(String slug, double grams) {
        return new FormulaLine(slug, grams, Role.POT);
    }

    @DataProvider
    public Object[][] levers() {
        return new Object[][] {
            {Family.CARAMEL, List.of(pot("sugar", 500), pot("glucose-syrup-42", 300), pot("cream-35", 400)), 0.2, 0.6},
            {Family.GANACHE, List.of(pot("couverture-milk-38", 300), pot("cream-35", 200)), 0.7, 2.2},
            {Family.NUT_PASTE, List.of(pot("hazelnut-paste", 300), pot("couverture-milk-38", 200)), 0.1, 0.5},
            {Family.GEL, List.of(pot("raspberry-puree", 300), pot("sugar", 300), pot("pectin", 6)), 0.55, 0.78},
        };
    }

    @Test(dataProvider = "levers")
    public void everyLeverReachesWhatItsLinesAllow(Family family, List<FormulaLine> lines, double least, double most) {
        Formula formula = new Formula(family, lines, null, 0, List.of());
        double total = lines.stream().mapToDouble(FormulaLine::grams).sum();
        Random random = new Random(3);
        for (int i = 0; i < 25; i++) {
            double wanted = least + random.nextDouble() * (most - least);
            List<FormulaLine> moved = Adjustment.to(wanted, formula, TABLE).orElseThrow();
            near(moved.stream().mapToDouble(FormulaLine::grams).sum(), total, 0.25, "mass keeps, seed 3");
            Adjustment now = Adjustment.of(formula.withLines(moved), TABLE).orElseThrow();
            near(now.value(), wanted, 0.01, family + " at " + wanted);
            assertTrue(!now.words(Bounds.shipped()).isEmpty());
        }
    }

    @Test
    public void whereNoLineMovesItNothingIsProposed() {
        Formula sugarOnly = new Formula(Family.CARAMEL, List.of(pot("sugar", 100)), null, 0, List.of());
        assertTrue(Adjustment.to(0.4, sugarOnly, TABLE).isEmpty());
    }

    @Test
    public void methodsAreWovenTogetherStepByStep() {
        List<FormulaLine> lines = List.of(pot("sugar", 100));
        Formula one = new Formula(
                Family.OTHER,
                lines,
                null,
                0,
                List.of(
                        new MethodStep("Mix", "", ""),
                        new MethodStep("Rest", "1 h", ""),
                        new MethodStep("Cut", "", "")));
        Formula two = new Formula(
                Family.OTHER,
                lines,
                null,
                0,
                List.of(
                        new MethodStep("Mix", "", ""),
                        new MethodStep("Rest", "2 h", ""),
                        new MethodStep("Cut", "", "")));
        assertEquals(
                FormulaDiff.between(one, two).steps().stream()
                        .map(s -> s.change() + " " + s.words())
                        .toList(),
                List.of("same Mix", "dropped Rest — until 1 h", "new Rest — until 2 h", "same Cut"));
    }

    @Test
    public void makeupKnowsAllergensSweetnessAndLiquidFat() {
        Formula paste = new Formula(
                Family.NUT_PASTE,
                List.of(pot("hazelnut-paste", 100), pot("couverture-milk-38", 100)),
                null,
                0,
                List.of());
        FormulaBalance balance = FormulaBalance.of(paste, TABLE, Atmosphere.SEA_LEVEL_KPA);
        Makeup makeup = Makeup.of(paste, balance, TABLE, java.util.Map.of());
        assertEquals(makeup.allergens(), List.of("milk", "nuts", "soy"));
        assertEquals(makeup.unpriced().size(), 2);
        // 63 g of nut oil, 0.22 of 31 g cocoa butter and 0.8 of 6 g milk fat are liquid, in 100 g of fat.
        near(makeup.liquidFatFraction(), (63 + 0.22 * 31 + 0.8 * 6) / 100, 0.01, "shares of liquid fat, from memory");
        near(makeup.sweetness(), (5 + 39 + 0.2 * 8.5) / 200, 0.01, "sucrose 1, lactose 0.2");
    }
}

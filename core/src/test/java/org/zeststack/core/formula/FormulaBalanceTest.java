package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.quantity.Zone;
import org.zeststack.core.rule.Bounds;

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
        near(caramel.freeWater().solution().orElseThrow().ratio(), 0.51, 0.02, "this model");
        assertEquals(caramel.freeWater().solution().orElseThrow().zone(), Zone.ESTIMATE);
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
    public void dryPastesHaveTheWaterActivityOfTheirNuts() {
        Formula paste = new Formula(
                Family.NUT_PASTE,
                List.of(new FormulaLine("hazelnut-roasted", 100, Role.POT), new FormulaLine("sugar", 100, Role.POT)),
                null,
                0,
                List.of());
        FormulaBalance balance = balance(paste);
        assertTrue(balance.freeWater().solution().isEmpty());
        near(balance.freeWater().typical().orElseThrow(), 0.25, 1e-12, "as roasted hazelnuts");
        near(balance.yieldFraction(), 1, 1e-12, "nothing boils off");
    }

    @Test
    public void spiritsGoInOffTheHeat() {
        expectThrows(Refusal.class, () -> balance(cooked(118, new FormulaLine("rum-54", 40, Role.POT))));
        FormulaBalance off = balance(cooked(118, new FormulaLine("rum-54", 40, Role.OFF_HEAT)));
        FormulaBalance plain = balance(cooked(118));
        // Alcohol preserves: it lowers the activity more than its water raises it, at this dryness it hardly matters.
        assertTrue(
                off.freeWater().ratio().isPresent() && plain.freeWater().ratio().isPresent());
        near(off.after().totalGrams() - plain.after().totalGrams(), 40, 1e-9, "all of it stays");
    }

    @Test
    public void aStopBelowTheBoilOfThisMassIsNamed() {
        InvalidInput fault = expectThrows(InvalidInput.class, () -> balance(cooked(90)));
        assertEquals(fault.faults().get(0).field(), "stopCelsius");
    }

    /** 60 g of a porous thing of which only the cup is known and 40 g of butter: volumes add up. */
    @Test
    public void poresThatStayAddTheirVolume() {
        Ingredient rice = TABLE.get("rice-crisped");
        Ingredient cupped = new Ingredient(
                "puffed",
                "Puffed",
                rice.per100Grams(),
                0,
                0,
                0,
                "",
                Nature.PLAIN,
                0,
                Bulk.UNKNOWN,
                0,
                0,
                rice.household(),
                List.of(),
                List.of(),
                Ingredient.Basis.SHEET,
                Map.of(),
                "",
                "",
                null);
        IngredientTable table = TABLE.with(List.of(cupped));
        Density own = Density.of(cupped);
        near(own.greatest() / own.least(), 1.25 / 0.75, 1e-9, "only its cup is known");
        double butter = 40 / Density.ofMass(TABLE.get("butter").per100Grams());
        Density mixed = FormulaBalance.of(
                        mix(
                                Finish.PLAIN,
                                new FormulaLine("puffed", 60, Role.POT),
                                new FormulaLine("butter", 40, Role.POT)),
                        table,
                        SEA_LEVEL)
                .density();
        near(mixed.least(), 100 / (butter + 60 / own.least()), 2e-3, "sum of volumes");
        near(mixed.usual(), 100 / (butter + 60 / own.usual()), 2e-3, "sum of volumes");
        near(mixed.greatest(), 100 / (butter + 60 / own.greatest()), 2e-3, "sum of volumes");
        Density whipped = FormulaBalance.of(
                        mix(
                                new Finish(false, null, null, 0, 0.5),
                                new FormulaLine("puffed", 60, Role.POT),
                                new FormulaLine("butter", 40, Role.POT),
                                new FormulaLine("puffed", 60, Role.OPTIONAL)),
                        table,
                        SEA_LEVEL)
                .density();
        near(whipped.least(), mixed.least() / 1.5, 1e-9, "half its volume of air");
        near(whipped.usual(), mixed.usual() / 1.5, 1e-9, "half its volume of air");
    }

    @Test
    public void onlyWhatHoldsPoresOrAirIsPorousInAnotherFormula() {
        FormulaLine butter = new FormulaLine("butter", 40, Role.POT);
        assertTrue(!balance(mix(Finish.PLAIN, butter)).bulk().porous());
        assertTrue(balance(mix(new Finish(false, null, null, 0, 0.001), butter))
                .bulk()
                .porous());
    }

    private static Formula mix(Finish finish, FormulaLine... lines) {
        return new Formula(Family.OTHER, List.of(lines), null, 0, List.of(), finish, Map.of());
    }

    /** A mass with just the least water of one that is not dry has an activity, one with a little less has none. */
    @Test
    public void aDryMassIsRefusedFromItsBoundDown() {
        double least = Bounds.shipped().of("dry-mass").least();
        double share = TABLE.get("sugar").per100Grams().waterGrams() / 100;
        double water = 1000 * (least - share) / (1 - least);
        for (double grams : List.of(water * (1 + 1e-9), water * (1 - 1e-3))) {
            FormulaBalance balance = balance(mix(
                    Finish.PLAIN, new FormulaLine("sugar", 1000, Role.POT), new FormulaLine("water", grams, Role.POT)));
            boolean dry = balance.freeWater().refused().contains("a dry or fat mass");
            assertEquals(dry, grams < water, balance.freeWater().refused());
        }
    }

    @Test
    public void noMoreWaterLeavesThanThereIs() {
        FormulaLine[] half = {new FormulaLine("sugar", 500, Role.POT), new FormulaLine("water", 500, Role.POT)};
        double raw = balance(mix(Finish.PLAIN, half)).moistureFraction();
        near(balance(mix(new Finish(true, raw, raw, 0, 0), half)).moistureFraction(), raw, 1e-9, "all of it stays");
        InvalidInput wetter =
                expectThrows(InvalidInput.class, () -> balance(mix(new Finish(true, 0.1, 0.6, 0, 0), half)));
        near(wetter.faults().get(0).greatest(), 100 * raw, 1e-9, "permitted, in per cent");
        assertEquals(
                Say.metric(wetter.faults().get(0).message()),
                "60 % is more than the 50.1 % of water that goes into the pot.");
        near(
                balance(mix(new Finish(false, null, null, raw, 0), half))
                        .after()
                        .waterGrams(),
                0,
                1e-9,
                "all of it leaves");
        InvalidInput baked =
                expectThrows(InvalidInput.class, () -> balance(mix(new Finish(false, null, null, 0.6, 0), half)));
        near(baked.faults().get(0).greatest(), 100 * raw, 1e-9, "permitted, in per cent");
        assertEquals(Say.metric(baked.faults().get(0).message()), "60 % is more than all its water: 50.1 %.");
    }
}

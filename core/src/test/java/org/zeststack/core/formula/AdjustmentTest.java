package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Say;
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
            assertTrue(!Say.metric(now.words(Bounds.shipped())).isEmpty());
        }
    }

    @Test
    public void whereNoLineMovesItNothingIsProposed() {
        Formula sugarOnly = new Formula(Family.CARAMEL, List.of(pot("sugar", 100)), null, 0, List.of());
        assertTrue(Adjustment.to(0.4, sugarOnly, TABLE).isEmpty());
    }

    /** Every lever, a line of 100 g made of the parts given, and whether that line is moved up (1), down (-1) or not (0). */
    @DataProvider
    public Object[][] pushes() {
        return new Object[][] {
            {Family.CARAMEL, Map.of(Part.SYRUP_SOLIDS, 40.1, Part.SUCROSE, 40.0), 1},
            {Family.CARAMEL, Map.of(Part.SYRUP_SOLIDS, 40.0, Part.SUCROSE, 20.0), 0},
            {Family.CARAMEL, Map.of(Part.GLUCOSE, 25.0, Part.FRUCTOSE, 25.0), 1},
            {Family.CARAMEL, Map.of(Part.SYRUP_SOLIDS, 20.0, Part.GLUCOSE, 15.0, Part.FRUCTOSE, 15.0), 1},
            {Family.CARAMEL, Map.of(Part.SYRUP_SOLIDS, 45.0, Part.SUCROSE, 45.0), 0},
            {Family.CARAMEL, Map.of(Part.SUCROSE, 85.1), -1},
            {Family.CARAMEL, Map.of(Part.SUCROSE, 85.0), 0},
            {Family.GANACHE, Map.of(Part.COCOA_BUTTER, 15.1), 1},
            {Family.GANACHE, Map.of(Part.COCOA_BUTTER, 15.0), 0},
            {Family.GANACHE, Map.of(Part.WATER, 25.1), -1},
            {Family.GANACHE, Map.of(Part.WATER, 25.0), 0},
            {Family.NUT_PASTE, Map.of(Part.COCOA_BUTTER, 20.1), 1},
            {Family.NUT_PASTE, Map.of(Part.COCOA_BUTTER, 20.0), 0},
            {Family.NUT_PASTE, Map.of(Part.OTHER_FAT, 20.1), -1},
            {Family.NUT_PASTE, Map.of(Part.OTHER_FAT, 20.0), 0},
            {Family.GEL, Map.of(Part.SUCROSE, 60.1, Part.WATER, 39.9), 1},
            {Family.GEL, Map.of(Part.SUCROSE, 60.0, Part.WATER, 40.0), 0},
            {Family.GEL, Map.of(Part.SUCROSE, 70.0, Part.MILK_FAT, 4.9, Part.WATER, 25.1), 1},
            {Family.GEL, Map.of(Part.SUCROSE, 70.0, Part.MILK_FAT, 5.0, Part.WATER, 25.0), 0},
            {Family.GEL, Map.of(Part.SUCROSE, 39.9, Part.WATER, 60.1), -1},
            {Family.GEL, Map.of(Part.SUCROSE, 40.0, Part.WATER, 60.0), 0},
        };
    }

    /** Beside a hundred of what surely pushes up and a hundred of what surely pushes down. */
    @Test(dataProvider = "pushes")
    public void aLineIsMovedByWhatItIsMadeOf(Family family, Map<Part, Double> parts, int push) {
        Map<Part, Double> whole = new EnumMap<>(parts);
        double sum = parts.values().stream().mapToDouble(Double::doubleValue).sum();
        whole.merge(Part.ASH, 100 - sum, Double::sum);
        Ingredient probe = TABLE.get("salt").with(Composition.of(whole, 42), Ingredient.Basis.SHEET);
        String up = Map.of(Family.CARAMEL, "glucose-syrup-42", Family.GANACHE, "cocoa-butter", Family.GEL, "sugar")
                .getOrDefault(family, "cocoa-butter");
        String down = Map.of(Family.CARAMEL, "sugar", Family.GANACHE, "water", Family.GEL, "water")
                .getOrDefault(family, "hazelnut-paste");
        IngredientTable table = TABLE.with(List.of(probe));
        Formula formula =
                new Formula(family, List.of(pot(up, 100), pot(down, 100), pot("salt", 100)), null, 0, List.of());
        double value = Adjustment.of(formula, table).orElseThrow().value();
        List<FormulaLine> moved = Adjustment.to(value + 0.02, formula, table).orElseThrow();
        assertTrue(moved.get(0).grams() > 100 && moved.get(1).grams() < 100, moved.toString());
        assertEquals(Math.signum(moved.get(2).grams() - 100), (double) push, moved.toString());
    }

    /** What cannot be reached is met as far as the lines go: a fiftieth of one of the two is left. */
    @Test
    public void whatCannotBeReachedIsMetAsFarAsTheLinesGo() {
        Formula formula = new Formula(
                Family.CARAMEL,
                List.of(pot("sugar", 500), pot("glucose-syrup-42", 300), pot("cream-35", 400)),
                null,
                0,
                List.of());
        assertEquals(grams(Adjustment.to(0.001, formula, TABLE)), List.of(794.0, 6.0, 400.0));
        assertEquals(grams(Adjustment.to(0.999, formula, TABLE)), List.of(16.0, 784.0, 400.0));
    }

    private static List<Double> grams(Optional<List<FormulaLine>> lines) {
        return lines.orElseThrow().stream().map(FormulaLine::grams).toList();
    }

    @Test
    public void aValueIsToldInTheUnitOfItsLever() {
        assertEquals(Say.metric(new Adjustment(Adjustment.Lever.DOCTOR, 0.312).words(Bounds.shipped())), "31 %");
        assertEquals(
                Say.metric(new Adjustment(Adjustment.Lever.FIRMNESS, 0.8).words(Bounds.shipped())),
                "0.80, fills a shell");
        Formula fatless = new Formula(Family.NUT_PASTE, List.of(pot("sugar", 100)), null, 0, List.of());
        assertTrue(Adjustment.of(fatless, TABLE).isEmpty(), "no share of no fat");
    }

    /** (syrup solids + glucose + fructose + maltose) over these and sucrose: 5 + 10 + 20 + 40 of 100. */
    @Test
    public void everySugarThatKeepsSucroseFromGrainingCounts() {
        Composition sugars = Composition.of(
                Map.of(
                        Part.SYRUP_SOLIDS, 5.0,
                        Part.GLUCOSE, 10.0,
                        Part.FRUCTOSE, 20.0,
                        Part.MALTOSE, 40.0,
                        Part.SUCROSE, 25.0),
                42);
        near(Proportions.graining(sugars), 0.75, 1e-12, "definition");
        near(Proportions.graining(Composition.NOTHING), 1, 0, "nothing that could grain");
    }

    /** An egg is counted; of half the grams it is half an egg. What was typed stays with the line. */
    @Test
    public void countedPiecesFollowTheGrams() {
        FormulaLine egg = new FormulaLine("egg-whole", 100, Role.POT, 2.0, true, 3, "2 eggs", List.of("of 50 g each"));
        FormulaLine half = egg.withGrams(25);
        assertEquals(half, new FormulaLine("egg-whole", 25, Role.POT, 0.5, true, 3, "2 eggs", List.of("of 50 g each")));
        FormulaLine bare = new FormulaLine("sugar", 100, Role.POT, null, null, null, null, null);
        assertEquals(bare, pot("sugar", 100));
        assertNull(bare.withGrams(50).pieces());
    }
}

package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.workshop.Line;

/** What goes in to effect, what may be left out, air by the cup, and a line: sums by hand, check values only. */
public class FormulaWaysTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();

    private static FormulaLine effect(String slug, double grams, Double upTo) {
        return new FormulaLine(slug, grams, Role.OFF_HEAT, null, true, null, "", List.of(), upTo);
    }

    private static Formula formula(Family family, Double stop, Finish finish, FormulaLine... lines) {
        return new Formula(family, List.of(lines), stop, 0, List.of(), finish, null);
    }

    private static FormulaBalance balance(Formula formula) {
        return FormulaBalance.of(formula, TABLE, 101.325);
    }

    @Test
    public void whatGoesInToEffectMakesTheFinishedMassARange() {
        Formula paste = formula(
                Family.NUT_PASTE,
                null,
                Finish.PLAIN,
                new FormulaLine("hazelnut-paste", 300, Role.POT),
                effect("icing-sugar", 20, 45.0));
        near(balance(paste).leastGrams(), 320, 1e-9, "300 and at least 20 g");
        near(balance(paste).greatestGrams(), 345, 1e-9, "300 and at most 45 g");
        Scaling doubled = Scaling.of(paste, balance(paste), 2, Scaling.Limits.NONE);
        near(doubled.lines().get(1).grams(), 40, 1e-9, "by hand");
        near(paste.lines().get(1).withGrams(40).mostGrams(), 90, 1e-9, "the range is scaled with it");
        // Boiled: 100 g of sugar more leave their own water behind too, so the range is wider than what goes in.
        Formula caramel = formula(
                Family.CARAMEL,
                118.0,
                Finish.PLAIN,
                new FormulaLine("sugar", 500, Role.POT),
                new FormulaLine("water", 200, Role.POT),
                new FormulaLine("sugar", 100, Role.POT, null, true, null, "", List.of(), 200.0));
        double spread = balance(caramel).greatestGrams() - balance(caramel).leastGrams();
        near(spread, balance(caramel).leastGrams() / 6, 1e-6, "600 g of sugar become 700 g with as much water each");
        // Without a range, or not to effect, it is one figure.
        near(
                balance(formula(Family.OTHER, null, Finish.PLAIN, effect("sugar", 20, null)))
                        .greatestGrams(),
                20,
                1e-9,
                "nobody has said how much it may be");
    }

    @DataProvider
    public Object[][] upTo() {
        return new Object[][] {{20.0, ""}, {19.9, "line.0.upTo"}, {1_000_000.0, ""}, {1_000_001.0, "line.0.upTo"}};
    }

    @Test(dataProvider = "upTo")
    public void theMostIsNoLessThanTheLeast(double most, String field) {
        Formula formula = formula(Family.OTHER, null, Finish.PLAIN, effect("sugar", 20, most));
        if (field.isEmpty()) {
            formula.check(TABLE);
        } else {
            InvalidInput input = expectThrows(InvalidInput.class, () -> formula.check(TABLE));
            assertEquals(input.faults().get(0).field(), field);
        }
    }

    @Test
    public void whatMayBeLeftOutIsPlannedOrNot() {
        Formula caramel = formula(
                Family.CARAMEL,
                118.0,
                Finish.PLAIN,
                new FormulaLine("sugar", 500, Role.POT),
                new FormulaLine("water", 200, Role.POT),
                new FormulaLine("hazelnut-roasted", 150, Role.OPTIONAL),
                new FormulaLine("sea-salt-flakes", 6, Role.OPTIONAL));
        double without = balance(caramel).leastGrams();
        Formula nuts = caramel.including(Set.of(2), TABLE);
        near(balance(nuts).leastGrams(), without + 150, 1e-9, "nuts go in off the heat, the salt stays out");
        assertEquals(nuts.lines().get(2).role(), Role.OFF_HEAT);
        assertEquals(nuts.lines().get(3).role(), Role.OPTIONAL);
        near(balance(caramel.including(Set.of(2, 3), TABLE)).leastGrams(), without + 156, 1e-9, "both");
        assertEquals(caramel.including(Set.of(0, 1), TABLE), caramel, "what always goes in stays where it is");
        assertEquals(caramel.including(Set.of(3), TABLE).lines().get(3).role(), Role.WARM, "cooked: folded in warm");
        Formula raw = formula(Family.OTHER, null, Finish.PLAIN, new FormulaLine("sea-salt-flakes", 6, Role.OPTIONAL));
        assertEquals(raw.including(Set.of(0), TABLE).lines().get(0).role(), Role.POT);
    }

    @Test
    public void airIsWhatACupLoses() {
        // A cup of 250 g weighs 150 g whipped: 250 / 150 − 1 = two thirds of its volume is air come in.
        Finish cup = new Finish(false, null, null, 0, 0, 250.0, 150.0);
        near(cup.overrunFraction(), 2.0 / 3, 1e-12, "by hand");
        FormulaLine[] cream = {
            new FormulaLine("cream-35", 500, Role.POT), new FormulaLine("couverture-white-30", 500, Role.OFF_HEAT)
        };
        double flat = balance(formula(Family.GANACHE_WHIPPED, null, Finish.PLAIN, cream))
                .density()
                .usual();
        near(
                balance(formula(Family.GANACHE_WHIPPED, null, cup, cream))
                        .density()
                        .usual(),
                flat * 150 / 250,
                1e-9,
                "as much lighter as the cup");
    }

    @DataProvider
    public Object[][] cups() {
        return new Object[][] {
            {250.0, 250.0, ""}, {250.0, 250.1, "cupAfterGrams"}, {250.0, null, "cupAfterGrams"},
            {null, 250.0, "cupAfterGrams"}, {5001.0, 4000.0, "cupBeforeGrams"}, {1.0, 0.9, "cupAfterGrams"},
            {250.0, 41.0, "overrunFraction"}, {250.0, 42.0, ""}
        };
    }

    @Test(dataProvider = "cups")
    public void aCupIsWeighedTwice(Double before, Double after, String field) {
        Formula formula = formula(
                Family.GANACHE_WHIPPED,
                null,
                new Finish(false, null, null, 0, 0, before, after),
                new FormulaLine("cream-35", 500, Role.POT));
        if (field.isEmpty()) {
            formula.check(TABLE);
        } else {
            InvalidInput input = expectThrows(InvalidInput.class, () -> formula.check(TABLE));
            assertEquals(input.faults().get(0).field(), field);
        }
    }

    @Test
    public void theBinderFillsSoMuchOfTheRoomBetweenTheGrains() {
        Formula squares = formula(
                Family.PUFFED,
                null,
                Finish.PLAIN,
                new FormulaLine("marshmallow", 300, Role.POT),
                new FormulaLine("butter", 50, Role.POT),
                new FormulaLine("rice-crisped", 180, Role.WARM));
        FormulaBalance balance = balance(squares);
        Makeup.Grain grain = Makeup.of(squares, balance, TABLE, Map.of()).grain();
        // Pieces of 0.2 g/mL fill 0.6 of the room: 180 g lie in 1500 mL; a cup of 236.588 mL with 28 g says 1521 mL.
        near(grain.looseMl(), 180 / 0.2 / 0.6, 1e-9, "by the piece");
        near(grain.looseMl(), 180 / 28.0 * 236.588, 30, "by the cup, within 2 %");
        near(grain.binderGrams(), 350, 1e-9, "marshmallow and butter");
        near(grain.filled(), grain.binderMl() / (0.4 * grain.looseMl()), 1e-12, "of the room");
        assertEquals(
                Makeup.of(squares.withLines(squares.lines().subList(0, 2)), balance, TABLE, Map.of())
                        .grain(),
                Makeup.Grain.NONE);
        // Grain boiled in the pot has no pores left.
        Formula boiled =
                squares.withLines(List.of(squares.lines().get(0), new FormulaLine("rice-crisped", 180, Role.POT)));
        Formula pot = new Formula(
                boiled.family(), boiled.lines(), null, 0, List.of(), new Finish(true, 0.05, 0.05, 0, 0), null);
        Makeup.Grain melted = Makeup.of(pot, balance(pot), TABLE, Map.of()).grain();
        assertEquals(melted.grams(), 0.0);
        assertEquals(melted.meltedGrams(), 180.0);
        assertEquals(steps(DefaultMethods.of(squares)), "WEIGH HAND HAND HAND YIELD HAND HAND", "warmed, not cooked");
        Formula written = new Formula(
                Family.PUFFED, squares.lines(), null, 0, DefaultMethods.of(Family.PUFFED), Finish.PLAIN, Map.of());
        assertEquals(steps(DefaultMethods.of(written)), "WEIGH HAND HAND HAND YIELD HAND HAND", "the usual, unchanged");
    }

    private static String steps(List<MethodStep> method) {
        return method.stream().map(s -> s.does().name()).collect(Collectors.joining(" "));
    }

    @Test
    public void aLineHasLanesSpeedAndATunnel() {
        Line line = new Line(600, 20, 3, 2, 12, 1.5);
        near(line.tunnelMinutes(), 8, 1e-12, "12 m at 1.5 m/min");
        // 600 mm take (600 + 5) / (25 + 5) = 20 pieces of 25 mm; of 60 mm only 9, of 20 mm no more than there are
        // lanes.
        assertEquals(line.across(25, 5), 20);
        assertEquals(new Line(595, 0, 0, 0, 12, 1.5).across(25, 5), 20, "19 cuts between 20 pieces");
        assertEquals(line.across(60, 5), 9);
        assertEquals(line.across(20, 5), 20);
        assertEquals(new Line(600, 0, 0, 0, 12, 1.5).across(20, 5), 24);
        near(line.piecesPerMinute(70, 25, 5), 20 * 1500 / 75.0, 1e-9, "20 lanes, one every 75 mm");
        InvalidInput all = expectThrows(InvalidInput.class, () -> new Line(49, 201, 21, 7, 0.4, 61));
        assertEquals(all.faults().size(), 6);
        new Line(50, 0, 0, 0, 0.5, 0.05);
        new Line(3000, 200, 20, 6, 200, 60);
    }
}

package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.heat.ChoiOkos;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Say;

/** What a formula is refused for, what shares it into batches, and what its pores and air weigh. */
public class FormulaChecksTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();

    private static Formula formula(Family family, Double stop, double loss, Finish finish, Object... slugsAndGrams) {
        List<FormulaLine> lines = new ArrayList<>();
        for (int i = 0; i < slugsAndGrams.length; i += 2) {
            lines.add(new FormulaLine(
                    (String) slugsAndGrams[i], ((Number) slugsAndGrams[i + 1]).doubleValue(), Role.POT));
        }
        return new Formula(family, lines, stop, loss, List.of(), finish, Map.of());
    }

    private static FormulaBalance balance(Formula formula) {
        return FormulaBalance.of(formula, TABLE, Atmosphere.SEA_LEVEL_KPA);
    }

    private static Finish eye(Double least, Double greatest) {
        return new Finish(true, least, greatest, 0, 0);
    }

    private static Finish finish(double baked, double overrun) {
        return new Finish(false, null, null, baked, overrun);
    }

    /** Formulas and the fields at fault. */
    @DataProvider
    public Object[][] checked() {
        Family caramel = Family.CARAMEL;
        return new Object[][] {
            {formula(caramel, 113.0, 0.5, Finish.PLAIN, "sugar", 100, "water", 50), List.of()},
            {formula(caramel, 113.0, 0.51, Finish.PLAIN, "sugar", 100, "water", 50), List.of("handlingLossFraction")},
            {formula(caramel, null, 0, Finish.PLAIN), List.of("lines")},
            {formula(caramel, null, 0, Finish.PLAIN, "moon-dust", 100), List.of("line.0.ingredient")},
            {formula(caramel, null, 0, Finish.PLAIN, "sugar", 0.009), List.of("line.0.grams")},
            {formula(caramel, null, 0, Finish.PLAIN, "sugar", 0.01), List.of()},
            {formula(caramel, 59.0, 0, Finish.PLAIN, "sugar", 1), List.of("stopCelsius")},
            {formula(caramel, 113.0, 0, eye(null, null), "sugar", 1), List.of("stopCelsius")},
            {formula(caramel, null, 0, eye(0.1, null), "sugar", 1), List.of("moistureLeast")},
            {formula(caramel, null, 0, eye(null, 0.1), "sugar", 1), List.of("moistureLeast")},
            {formula(caramel, null, 0, eye(0.1, 0.1), "sugar", 1), List.of()},
            {formula(caramel, null, 0, eye(0.2, 0.1), "sugar", 1), List.of("moistureLeast")},
            {formula(caramel, null, 0, eye(-0.1, 0.1), "sugar", 1), List.of("moistureLeast")},
            {formula(caramel, null, 0, eye(0.1, 0.61), "sugar", 1), List.of("moistureGreatest")},
            {formula(caramel, null, 0, finish(0.51, 0), "sugar", 1), List.of("bakedLossFraction")},
            {formula(caramel, null, 0, finish(0, 5.1), "sugar", 1), List.of("overrunFraction")},
            {formula(caramel, null, 0, finish(0.5, 5), "sugar", 1), List.of()},
        };
    }

    @Test(dataProvider = "checked")
    public void isRefusedBesideItsField(Formula formula, List<String> fields) {
        List<String> told = new ArrayList<>();
        try {
            formula.check(TABLE);
        } catch (InvalidInput input) {
            input.faults().forEach(f -> told.add(f.field()));
        }
        assertEquals(told, fields);
    }

    @Test
    public void moreWaterThanThereIsIsRefusedWithItsRange() {
        Formula dry = formula(Family.CARAMEL, null, 0, eye(0.3, 0.4), "sugar", 80, "water", 20);
        Fault moist =
                expectThrows(InvalidInput.class, () -> balance(dry)).faults().get(0);
        assertEquals(Say.metric(moist.message()), "30 % is more than the 20.1 % of water that goes into the pot.");
        near(moist.greatest(), 20.08, 1e-9, "permitted to: sugar holds 0.1 % itself");
        Formula baked = formula(Family.BISCUIT_ROLLED, null, 0, finish(0.25, 0), "flour-wheat", 90, "water", 10);
        Fault lost =
                expectThrows(InvalidInput.class, () -> balance(baked)).faults().get(0);
        double water = balance(formula(Family.BISCUIT_ROLLED, null, 0, Finish.PLAIN, "flour-wheat", 90, "water", 10))
                .moistureFraction();
        near(lost.greatest(), 100 * water, 1e-9, "all its water");
        assertTrue(
                Say.metric(lost.message()).startsWith("25 % is more than all its water: "), Say.metric(lost.message()));
        balance(formula(Family.BISCUIT_ROLLED, null, 0, finish(water, 0), "flour-wheat", 90, "water", 10));
    }

    @Test
    public void byEyeItIsBetweenItsTwoEnds() {
        FormulaBalance known = balance(formula(Family.CARAMEL, null, 0, eye(0.08, 0.12), "sugar", 800, "water", 200));
        near(known.leastGrams(), 799.2 / 0.92, 1e-6, "drier; sugar holds 0.1 % itself");
        near(known.greatestGrams(), 799.2 / 0.88, 1e-6, "moister");
        FormulaBalance unknown = balance(formula(Family.CARAMEL, null, 0, eye(null, null), "sugar", 800, "water", 200));
        near(unknown.leastGrams(), 799.2, 1e-6, "all water gone");
        near(unknown.greatestGrams(), 1000, 1e-6, "none gone");
        assertFalse(unknown.moistureKnown());
    }

    /** Volumes add up: crisped rice of 0.2 g/mL with its pores in a couverture of its own density. */
    @Test
    public void poresStayWhereNothingBoilsThem() {
        FormulaBalance mix =
                balance(formula(Family.CRUNCH, null, 0, Finish.PLAIN, "rice-crisped", 100, "couverture-dark-58", 300));
        Composition rice = TABLE.get("rice-crisped").per100Grams();
        double massive = mix.after().totalGrams() / ChoiOkos.densityGramsPerMl(mix.after(), 20);
        double pores = 100 / 0.2 - 100 / ChoiOkos.densityGramsPerMl(rice, 20);
        near(mix.density().usual(), 400 / (massive + pores), 1e-9, "the pores come on top");
        near(mix.density().least(), mix.density().usual(), 1e-12, "its piece is known");
        assertTrue(mix.bulk().porous());
        FormulaBalance boiled =
                balance(formula(Family.CARAMEL, null, 0, eye(0.1, 0.1), "rice-crisped", 100, "water", 300));
        assertFalse(boiled.bulk().porous(), "what boils loses its pores");
        FormulaBalance unknown =
                balance(formula(Family.CRUNCH, null, 0, Finish.PLAIN, "cake-crumb", 100, "couverture-dark-58", 300));
        boolean range = unknown.density().least() < unknown.density().usual()
                && unknown.density().usual() < unknown.density().greatest();
        assertEquals(range, !Density.of(TABLE.get("cake-crumb")).known());
        Density whipped = new Density(0.6, 0.9, 1.2).whipped(0.5);
        assertEquals(
                List.of(whipped.least(), whipped.usual(), whipped.greatest()),
                List.of(0.6 / 1.5, 0.9 / 1.5, 1.2 / 1.5));
    }

    @Test
    public void makeUpAddsItsLinesUp() {
        Formula formula = formula(
                Family.GEL, null, 0, Finish.PLAIN, "butter", 200, "pectin", 5, "pectin", 7, "cocoa-butter", 100);
        FormulaBalance balance = balance(formula);
        Makeup makeup = Makeup.of(formula, balance, TABLE, Map.of("butter", 8.0, "pectin", 50.0));
        assertEquals(makeup.grams(Nature.Kind.PECTIN), 12.0);
        assertEquals(makeup.grams(Nature.Kind.GELLING), 0.0);
        near(makeup.cost(), 0.2 * 8 + 0.012 * 50, 1e-9, "of those with a price");
        assertEquals(makeup.unpriced(), List.of("Cocoa butter"));
        double fat = balance.after().grams(Part::isFat);
        double liquid = 2 * TABLE.get("butter").liquidFatPer100Grams()
                + TABLE.get("cocoa-butter").liquidFatPer100Grams();
        near(makeup.liquidFatFraction(), liquid / fat, 1e-9, "liquid of all fat");
        double saturates = 2 * TABLE.get("butter").saturatesPer100Grams()
                + TABLE.get("cocoa-butter").saturatesPer100Grams();
        near(makeup.per100Grams().saturates(), 100 * saturates / 312, 1e-6, "saturates of 312 g");
    }

    /** A pot of 3 L takes 3 L of foaming milk mass: counted by the foam of each. */
    @Test
    public void batchesAreSharedByPotAndBowl() {
        Formula milk = formula(
                Family.CARAMEL, 113.0, 0.1, Finish.PLAIN, "sugar", 500, "glucose-syrup-42", 300, "cream-35", 500);
        FormulaBalance balance = balance(milk);
        Scaling free = Scaling.of(milk, balance, 2, Scaling.Limits.NONE);
        assertTrue(free.sharedOut().isEmpty());
        double litres = balance.pot().totalGrams() * 2 / ChoiOkos.densityGramsPerMl(balance.pot(), 100) / 1000;
        for (int pots = 1; pots <= 4; pots++) {
            double just = litres * 3 / pots;
            assertEquals(batches(milk, balance, just * 1.0001, null), pots, "just held by " + pots);
            assertEquals(batches(milk, balance, just * 0.9999, null), pots + 1, "just not held by " + pots);
        }
        double finished = 2 * balance.leastGrams() / balance.densityGramsPerMl() / 1000;
        double bowl = finished / Scaling.MOST_BOWL / 2;
        assertEquals(batches(milk, balance, null, bowl * 1.0001), 2);
        assertEquals(batches(milk, balance, null, bowl * 0.9999), 3);
        Scaling two = Scaling.of(milk, balance, 2, new Scaling.Limits(null, bowl * 1.0001, 0.1));
        assertEquals(
                two.sharedOut().map(Say::metric).orElseThrow(), "2 equal batches of 1300 g, as the bowl holds no more");
        near(Scaling.factorForUsable(milk, balance, 900), 900 / (balance.leastGrams() * 0.9), 1e-9, "through its loss");
        near(Scaling.factorForLine(milk, 1, 450), 1.5, 1e-12, "uses 450 g of 300 g");
        near(Scaling.slabGrams(300, 200, 10, 1.3), 780, 1e-9, "600 mL at 1.3");
    }

    private static int batches(Formula formula, FormulaBalance balance, Double pot, Double bowl) {
        return Scaling.of(formula, balance, 2, new Scaling.Limits(pot, bowl, 0.1))
                .batches();
    }
}

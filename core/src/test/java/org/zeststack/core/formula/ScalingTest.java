package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Refusal;

public class ScalingTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();

    private static Formula caramel(double loss) {
        return new Formula(
                Family.CARAMEL,
                List.of(
                        new FormulaLine("sugar", 1000, Role.POT),
                        new FormulaLine("glucose-syrup-42", 700, Role.POT),
                        new FormulaLine("cream-35", 1000, Role.POT),
                        new FormulaLine("butter", 120, Role.POT)),
                118.0,
                loss,
                List.of());
    }

    private static FormulaBalance balance(Formula formula) {
        return FormulaBalance.of(formula, TABLE, Atmosphere.SEA_LEVEL_KPA);
    }

    @Test
    public void wantedUsableMassComesThroughTheCook() {
        Formula formula = caramel(0.03);
        FormulaBalance balance = balance(formula);
        double factor = Scaling.factorForUsable(formula, balance, 6000);
        Scaling scaling = Scaling.of(formula, balance, factor, new Scaling.Limits(4.0, null, 1));
        near(scaling.usableGrams(), 6000, 1e-6, "what was asked for");
        near(scaling.cookedGrams(), 6000 / 0.97, 1e-6, "handling loss inverted");
        // B09 gives 2263 g cooked of 2820 g: our model, 1 %.
        near(scaling.pouredGrams(), 2820 * (6000 / 0.97) / 2263, 0.01 * 7700, "cooking loss inverted");
        // Milk caramel foams to several times its volume (common practice, no source): 6.9 L cold want 5 pots of 4 L or
        // more.
        assertTrue(scaling.pots() >= 5 && scaling.pots() <= 6, scaling.pots() + " pots");
        assertTrue(scaling.why().lines().stream()
                .anyMatch(l -> l.what().equals("Pots") && l.arithmetic().contains("foams")));
    }

    /** Part of an egg is beaten and weighed where a whole one would change a small batch by more than a twentieth. */
    @Test
    public void eggsAreWholeUnlessThatChangesTheBatchTooMuch() {
        FormulaLine egg = new FormulaLine("egg-whole", 50, Role.POT, 1.0, false, null, "", List.of());
        Formula dough = new Formula(
                Family.BISCUIT_ROLLED, List.of(new FormulaLine("flour-wheat", 450, Role.POT), egg), null, 0, List.of());
        FormulaBalance balance = balance(dough);
        // A batch of 1.4: one egg instead of 1.4 takes 20 of 700 g, 2.9 %: whole.
        near(Scaling.of(dough, balance, 1.4, Scaling.Limits.NONE).lines().get(1).grams(), 50, 1e-9, "one egg");
        // A batch of 0.7: one instead of 0.7 adds 15 of 350 g, 4.3 %: whole.
        near(Scaling.of(dough, balance, 0.7, Scaling.Limits.NONE).lines().get(1).grams(), 50, 1e-9, "one egg");
        // A batch of 0.6: one instead of 0.6 adds 20 of 300 g, 6.7 %: beaten and weighed.
        Scaling small = Scaling.of(dough, balance, 0.6, Scaling.Limits.NONE);
        near(small.lines().get(1).grams(), 30, 1e-9, "0.6 of an egg");
        assertEquals(small.lines().get(1).pieces(), Double.valueOf(0.6));
        near(small.lines().get(0).grams(), 270, 1e-9, "and the flour as it should be");
    }

    @Test
    public void onlyWhatEndsByEyeSpreads() {
        Formula byEye = new Formula(
                Family.CARAMEL_MELTED,
                List.of(new FormulaLine("sugar", 500, Role.POT), new FormulaLine("cream-35", 300, Role.POT)),
                null,
                0,
                List.of(),
                new Finish(true, 0.08, 0.12, 0, 0),
                Map.of());
        assertTrue(Scaling.of(byEye, balance(byEye), 2, Scaling.Limits.NONE).spreads());
        Formula read = caramel(0);
        assertTrue(!Scaling.of(read, balance(read), 2, Scaling.Limits.NONE).spreads());
    }

    @Test
    public void roundingToTheScaleIsTold() {
        Formula formula = caramel(0);
        Scaling coarse = Scaling.of(formula, balance(formula), 0.0333, new Scaling.Limits(null, null, 1));
        for (Scaling.Line line : coarse.lines()) {
            near(line.weighedGrams() % 1, 0, 1e-9, "whole grams");
        }
        double weighed =
                coarse.lines().stream().mapToDouble(Scaling.Line::weighedGrams).sum();
        near(coarse.roundingGrams(), weighed - coarse.pouredGrams(), 1e-9, "definition");
        assertTrue(coarse.worstRounding() > 0 && coarse.worstRounding() < 0.5);
    }

    @Test
    public void traysGoByArea() {
        // F01: 9 × 9 in to 9 × 13 in, factor 1.444 ± 0.001; F02: 6 × 6 in to 9 × 13 in, factor 3.25. By area.
        double inch = 25.4;
        double square = Scaling.slabGrams(9 * inch, 9 * inch, 10, 1.3);
        double oblong = Scaling.slabGrams(9 * inch, 13 * inch, 10, 1.3);
        near(oblong / square, 1.444, 0.001, "F01");
        near(oblong / Scaling.slabGrams(6 * inch, 6 * inch, 10, 1.3), 3.25, 1e-9, "F02");
    }

    @Test
    public void eggsStayWholeAndTheRestTakesItUp() {
        Formula formula = new Formula(
                Family.NOUGAT,
                List.of(
                        new FormulaLine("egg-white", 66, Role.WARM, 2.0, false, null, "2 egg whites", List.of()),
                        new FormulaLine("sugar", 400, Role.POT),
                        new FormulaLine("honey", 200, Role.POT),
                        new FormulaLine("water", 100, Role.POT)),
                140.0,
                0,
                List.of());
        Scaling scaling = Scaling.of(formula, balance(formula), 1.7, Scaling.Limits.NONE);
        Scaling.Line eggs = scaling.lines().get(0);
        assertEquals(eggs.pieces(), 3.0, "3.4 whites are 3");
        near(eggs.grams(), 99, 1e-9, "3 of 33 g");
        double sum = scaling.lines().stream().mapToDouble(Scaling.Line::grams).sum();
        near(sum, 766 * 1.7, 1e-6, "the others take up the difference");
        Scaling shared = Scaling.of(formula, balance(formula), 7, new Scaling.Limits(2.0, null, 1));
        assertTrue(shared.batches() > 1);
        near(shared.lines().get(0).pieces() % shared.batches(), 0, 1e-9, "whole eggs in every batch");
    }

    @Test
    public void whereMoistureIsUnknownOnlyFactorsScale() {
        Formula formula = new Formula(
                Family.CARAMEL, caramel(0).lines(), null, 0, List.of(), new Finish(true, null, null, 0, 0), Map.of());
        FormulaBalance unknown = balance(formula);
        assertTrue(!unknown.moistureKnown() && unknown.activity().isEmpty());
        expectThrows(Refusal.class, () -> Scaling.factorForUsable(formula, unknown, 1000));
        near(Scaling.of(formula, unknown, 2, Scaling.Limits.NONE).pouredGrams(), 5640, 1e-9, "a factor still scales");
        Formula ranged = new Formula(
                Family.CARAMEL, formula.lines(), null, 0, List.of(), new Finish(true, 0.07, 0.10, 0, 0), Map.of());
        FormulaBalance range = balance(ranged);
        near(range.leastGrams() * 0.93, range.greatestGrams() * 0.90, 1e-6, "the same dry mass at 7 and 10 %");
        assertTrue(
                range.leastGrams() < range.after().totalGrams() && range.after().totalGrams() < range.greatestGrams());
    }

    @Test
    public void scalingThereAndBackIsNothing() {
        Random random = new Random(5);
        Formula formula = caramel(0.05);
        FormulaBalance balance = balance(formula);
        for (int i = 0; i < 200; i++) {
            double want = 10 + random.nextDouble() * 50_000;
            double factor = Scaling.factorForUsable(formula, balance, want);
            Scaling scaled = Scaling.of(formula, balance, factor, Scaling.Limits.NONE);
            List<FormulaLine> lines = scaled.lines().stream()
                    .map(l -> formula.lines().get(l.index()).withGrams(l.grams()))
                    .toList();
            FormulaBalance again = balance(formula.withLines(lines));
            near(again.after().totalGrams() * 0.95, want, 1e-6 * want, "property, seed 5");
        }
    }
}

package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.Test;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.IngredientTable;

/** One formula by itself and several together. Sums by hand. */
public class NeedsTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();
    private static final double SEA_LEVEL = 101.325;

    private static NamedFormula named(long id, String name, double loss, FormulaLine... lines) {
        return new NamedFormula(id, name, 1, new Formula(Family.OTHER, List.of(lines), null, loss, List.of()));
    }

    private static FormulaLine pot(String slug, double grams) {
        return new FormulaLine(slug, grams, Role.POT);
    }

    private static Needs.Batch alone(NamedFormula formula, double usable) {
        return Needs.of(formula, usable, TABLE, SEA_LEVEL, Scaling.Limits.NONE);
    }

    @Test
    public void aFormulaByItselfIsMadeThroughItsLoss() {
        Needs.Batch batch = alone(named(1, "mix", 0.2, pot("sugar", 60), pot("butter", 40)), 400);
        near(batch.usableGrams(), 400, 1e-9, "asked for");
        near(batch.laidGrams(), 400, 1e-9, "asked for");
        near(batch.finishedGrams(), 500, 1e-9, "400 / 0.8");
        near(batch.scaling().lines().get(0).grams(), 300, 1e-9, "60 % of it");
        near(batch.scaling().factor(), 5, 1e-12, "of 100 g as written");
    }

    /**
     * Two eggs of 50 g in 400 g of which half the water of the eggs bakes off: whole eggs are wetter or drier than the parts
     * that they stand for, so the rest is multiplied until the finished mass is there all the same.
     */
    @Test
    public void wholeEggsStandAndTheRestIsMultipliedUntilTheMassIsThere() {
        FormulaLine eggs = new FormulaLine("egg-whole", 100, Role.POT, 2.0, false, null, "", List.of());
        NamedFormula caramel = new NamedFormula(
                1,
                "egg caramel",
                1,
                new Formula(
                        Family.CARAMEL,
                        List.of(pot("sugar", 300), pot("glucose-syrup-42", 200), pot("cream-35", 200), eggs),
                        118.0,
                        0.1,
                        List.of()));
        for (double usable : List.of(700.0, 1000.0, 1700.0)) {
            Needs.Batch batch = alone(caramel, usable);
            double count = batch.scaling().lines().get(3).pieces();
            near(count, Math.rint(usable / 0.9 / batch.balance().leastGrams() * 2), 1e-9, "whole eggs");
            near(batch.finishedGrams(), usable / 0.9, 1e-6 * usable, "all that is finished, with whole eggs");
        }
        NamedFormula optional = new NamedFormula(
                2,
                "egg beside",
                1,
                new Formula(
                        Family.OTHER,
                        List.of(
                                pot("sugar", 100),
                                new FormulaLine("egg-whole", 50, Role.OPTIONAL, 1.0, false, null, "", List.of())),
                        null,
                        0,
                        List.of()));
        near(alone(optional, 170).scaling().factor(), 1.7, 1e-12, "an egg that is not counted changes nothing");
    }

    @Test
    public void whatOthersTakeIsMadeForThemUnlessItComesFromAJarOrMayBeLeftOut() {
        NamedFormula paste = named(1, "paste", 0.5, pot("hazelnut-roasted", 100));
        NamedFormula cream = named(2, "cream", 0, pot("formula:1:1", 25), pot("butter", 75));
        NamedFormula crunch = named(
                3,
                "crunch",
                0,
                pot("formula:1:1", 10),
                pot("formula:2:1", 40),
                new FormulaLine("formula:1:1", 90, Role.OPTIONAL),
                pot("sugar", 50));
        IngredientTable table = TABLE.with(List.of(
                FormulaBook.ingredient(paste, TABLE),
                FormulaBook.ingredient(cream, TABLE.with(List.of(FormulaBook.ingredient(paste, TABLE))))));
        List<Needs.Batch> made = Needs.of(order(table, Map.of("formula:3:1", 1000.0), Set.of(), paste, cream, crunch));
        assertEquals(made.stream().map(b -> b.named().name()).toList(), List.of("paste", "cream", "crunch"));
        assertEquals(made.get(1).takenGrams(), Map.of("crunch", 400.0));
        assertEquals(made.get(0).takenGrams(), Map.of("crunch", 100.0, "cream", 100.0));
        near(made.get(0).usableGrams(), 200, 1e-9, "a tenth of 1000 and a quarter of 400");
        near(made.get(0).laidGrams(), 0, 0, "nothing of it by itself");
        near(made.get(0).finishedGrams(), 400, 1e-9, "half of it stays behind");
        List<Needs.Batch> jar =
                Needs.of(order(table, Map.of("formula:3:1", 1000.0), Set.of("formula:1:1"), paste, cream, crunch));
        assertEquals(jar.stream().map(b -> b.named().name()).toList(), List.of("cream", "crunch"));
    }

    @Test
    public void whatNobodyKnowsTheYieldOfIsNamed() {
        NamedFormula byEye = new NamedFormula(
                7,
                "by eye",
                1,
                new Formula(
                        Family.CARAMEL,
                        List.of(pot("sugar", 100), pot("cream-35", 100)),
                        null,
                        0,
                        List.of(),
                        new Finish(true, null, null, 0, 0),
                        Map.of()));
        YieldUnknown unknown = expectThrows(YieldUnknown.class, () -> alone(byEye, 100));
        assertSame(unknown.formula(), byEye);
    }

    private static Needs.Order order(
            IngredientTable table, Map<String, Double> laid, Set<String> fromStock, NamedFormula... formulas) {
        return new Needs.Order(laid, List.of(formulas), fromStock, table, SEA_LEVEL, f -> Scaling.Limits.NONE);
    }
}

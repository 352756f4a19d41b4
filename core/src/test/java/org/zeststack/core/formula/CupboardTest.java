package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.IngredientTable;

/** What can be made from what is there. Sums by hand. */
public class CupboardTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();

    private static Cupboard.Candidate candidate(String name, double loss, Finish finish, FormulaLine... lines) {
        Formula formula = new Formula(Family.NUT_PASTE, List.of(lines), null, loss, List.of(), finish, Map.of());
        return new Cupboard.Candidate(
                new NamedFormula(name.length(), name, 1, formula), TABLE, FormulaBalance.of(formula, TABLE, 101.325));
    }

    private static FormulaLine line(String slug, double grams) {
        return new FormulaLine(slug, grams, Role.POT);
    }

    private static final Cupboard.Candidate PASTE = candidate(
            "paste",
            0.1,
            Finish.PLAIN,
            line("hazelnut-roasted", 150),
            line("sugar", 100),
            line("hazelnut-roasted", 50),
            line("water", 10),
            new FormulaLine("salt", 2, Role.OPTIONAL));

    /** 300 g of nuts for 200 and 120 g of sugar for 100: 1.2 times 310 g, less the tenth that stays in the bowl. */
    @Test
    public void theShortestIngredientEndsIt() {
        Cupboard one = Cupboard.of(List.of(PASTE), Map.of("hazelnut-roasted", 300.0, "sugar", 120.0))
                .get(0);
        near(one.factor(), 1.2, 1e-12, "by hand");
        near(one.usableGrams(), 1.2 * 310 * 0.9, 1e-9, "by hand");
        assertEquals(one.shortest(), TABLE.get("sugar").name());
        assertEquals(one.missing(), List.of(), "water comes from the tap and what is optional is not needed");
        assertEquals(
                Cupboard.of(List.of(PASTE), Map.of("hazelnut-roasted", 200.0, "sugar", 100.0))
                        .get(0)
                        .shortest(),
                TABLE.get("hazelnut-roasted").name(),
                "of two that end together the first is named");
    }

    @Test
    public void whatIsMissingIsNamedAndComesLastTheMostFirst() {
        Cupboard.Candidate rich = candidate("rich", 0, Finish.PLAIN, line("sugar", 10));
        Cupboard.Candidate again = candidate("again", 0, Finish.PLAIN, line("sugar", 10));
        Cupboard.Candidate small = candidate("a small one", 0, Finish.PLAIN, line("cocoa-butter", 10));
        Cupboard.Candidate byEye =
                candidate("by eye", 0, new Finish(true, null, null, 0, 0), line("sugar", 10), line("cocoa-butter", 1));
        Cupboard.Candidate tap = candidate("tap", 0, Finish.PLAIN, line("water", 10));
        List<Cupboard> made = Cupboard.of(
                List.of(PASTE, small, rich, byEye, tap, again), Map.of("sugar", 500.0, "cocoa-butter", 20.0));
        assertEquals(
                made.stream().map(c -> c.formula().name() + " " + c.missing()).toList(),
                List.of(
                        "again []",
                        "rich []",
                        "a small one []",
                        "by eye []",
                        "tap []",
                        "paste [" + TABLE.get("hazelnut-roasted").name() + "]"));
        near(made.get(3).factor(), 20, 1e-12, "as often as its butter");
        near(made.get(3).usableGrams(), 0, 0, "how much comes of it is not known");
        near(made.get(4).factor(), 0, 0, "nothing from the cupboard is needed: nothing can be told");
        near(made.get(5).factor(), 0, 0, "not at all");
    }
}

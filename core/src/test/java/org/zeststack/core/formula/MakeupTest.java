package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.Test;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Nature;

public class MakeupTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();

    private static Makeup makeup(Formula formula) {
        return Makeup.of(formula, FormulaBalance.of(formula, TABLE, 101.325), TABLE, Map.of());
    }

    private static Formula mix(FormulaLine... lines) {
        return new Formula(Family.OTHER, List.of(lines), null, 0, List.of());
    }

    private static FormulaLine pot(String slug, double grams) {
        return new FormulaLine(slug, grams, Role.POT);
    }

    @Test
    public void makeupKnowsAllergensSweetnessAndLiquidFat() {
        Makeup makeup = makeup(mix(pot("hazelnut-paste", 100), pot("couverture-milk-38", 100)));
        assertEquals(makeup.allergens(), List.of("milk", "nuts", "soy"));
        assertEquals(makeup.unpriced().size(), 2);
        // 63 g of nut oil, 0.22 of 31 g cocoa butter and 0.8 of 6 g milk fat are liquid, in 100 g of fat.
        near(makeup.liquidFatFraction(), (63 + 0.22 * 31 + 0.8 * 6) / 100, 0.01, "shares of liquid fat, from memory");
        near(makeup.sweetness(), (5 + 39 + 0.2 * 8.5) / 200, 0.01, "sucrose 1, lactose 0.2");
    }

    /** Sodium bicarbonate is 23 of 84 sodium (atomic weights): 20 g of it bring 5.48 g into 500 g. */
    @Test
    public void sodiumThatIsNotInSaltIsCountedAsSalt() {
        Makeup makeup = makeup(mix(pot("sugar", 480), pot("baking-soda", 20)));
        near(makeup.sodiumPer100Grams(), 20 * 22.99 / 84.007 / 5, 0.01, "atomic weights");
        near(makeup.per100Grams().salt(), 2.5 * makeup.sodiumPer100Grams(), 1e-9, "EU 1169/2011: salt is sodium × 2.5");
    }

    @Test
    public void risksAndCautionsAreThoseOfItsLines() {
        Makeup honeyed = makeup(mix(pot("sugar", 100), pot("honey", 10)));
        assertEquals(honeyed.risks(), Set.of(Nature.Risk.INFANTS));
        assertEquals(
                honeyed.cautions(),
                Map.of(TABLE.get("honey").name(), TABLE.get("honey").caution()));
        Makeup plain = makeup(mix(pot("sugar", 100), new FormulaLine("honey", 10, Role.OPTIONAL)));
        assertEquals(plain.risks(), Set.of());
        assertEquals(plain.cautions(), Map.of());
        near(plain.liquidFatFraction(), 0, 0, "no fat, none of it liquid");
    }

    /** A formula in another one brings its liquid fat, saturates and sodium per 100 g. */
    @Test
    public void aFormulaIsAnIngredientWithAllThatItHolds() {
        NamedFormula mix = new NamedFormula(1, "mix", 2, mix(pot("hazelnut-paste", 150), pot("baking-soda", 50)));
        Ingredient made = FormulaBook.ingredient(mix, TABLE);
        Ingredient paste = TABLE.get("hazelnut-paste");
        near(made.liquidFatPer100Grams(), 0.75 * paste.liquidFatPer100Grams(), 1e-9, "three quarters of it");
        near(made.saturatesPer100Grams(), 0.75 * paste.saturatesPer100Grams(), 1e-9, "three quarters of it");
        near(made.sodiumPer100Grams(), 0.25 * TABLE.get("baking-soda").sodiumPer100Grams(), 1e-9, "a quarter of it");
    }
}

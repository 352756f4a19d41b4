package org.zeststack.core.ingredient;

import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.temper.TemperWindow;

public class IngredientTableTest {

    private final IngredientTable table = IngredientTable.shipped();

    @Test
    public void everyIngredientAddsUp() {
        assertTrue(table.all().size() >= 160, "a small table: " + table.all().size());
        for (Ingredient ingredient : table.all()) {
            near(ingredient.per100Grams().totalGrams(), 100, 1, ingredient.slug());
            near(ingredient.grams(250).totalGrams(), 250, 1e-9, "property: a mass weighs what it weighs");
        }
    }

    @Test
    public void couverturesMeetTheDirectiveAndHaveAWindow() {
        // Directive 2000/36/EC, values from memory: dark couverture ≥ 31 % cocoa butter, milk couverture ≥ 31 % fat.
        List<Ingredient> couvertures =
                table.all().stream().filter(Ingredient::isCouverture).toList();
        assertTrue(couvertures.size() >= 12);
        for (Ingredient couverture : couvertures) {
            TemperWindow.of(couverture.couverture());
            assertTrue(couverture.densityGramsPerMl() >= 1.2 && couverture.densityGramsPerMl() <= 1.35);
            Composition mass = couverture.per100Grams();
            if (couverture.couverture().equals("dark")) {
                assertTrue(mass.grams(Part.COCOA_BUTTER) >= 31, couverture.slug());
            }
            if (couverture.couverture().equals("milk")) {
                assertTrue(mass.grams(Part::isFat) >= 31, couverture.slug());
            }
        }
    }

    @Test
    public void mixingSyrupsKeepsTheirMolecules() {
        Composition low = table.get("glucose-syrup-42").grams(100);
        Composition high = table.get("glucose-syrup-60").grams(300);
        Composition both = low.plus(high);
        // Moles are mass · DE / 18016, so the mixture's DE is the mean by mass of solids.
        near(both.dextroseEquivalent(), (80 * 42 + 240 * 60) / 320.0, 1e-9, "definition of DE");
        near(both.totalGrams(), 400, 1e-9, "property: masses add");
    }
}

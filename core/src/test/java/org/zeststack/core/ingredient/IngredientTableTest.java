package org.zeststack.core.ingredient;

import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import org.testng.annotations.DataProvider;
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

    /** The percentage in the name of a dark or milk couverture is its dry cocoa: common practice, no source. */
    @Test
    public void couverturesAreNamedByTheirCocoaAndTellTheirSoya() {
        for (Ingredient i : IngredientTable.shipped().all()) {
            if (i.isCouverture()) {
                assertTrue(i.allergens().contains("soy"), i.slug());
            }
            if (i.couverture().equals("dark") || i.couverture().equals("milk")) {
                double cocoa = i.per100Grams().grams(Part.COCOA_BUTTER)
                        + i.per100Grams().grams(Part.NONFAT_COCOA);
                double named = Double.parseDouble(i.slug().substring(i.slug().lastIndexOf('-') + 1));
                near(cocoa, named, 0.5, i.name());
            }
        }
    }

    @DataProvider
    public Object[][] figures() {
        // Printed figures, values from memory: slug, part or panel figure, least, greatest.
        IngredientTable table = IngredientTable.shipped();
        return new Object[][] {
            {"liquid at 20 °C in coconut oil", table.get("coconut-oil").liquidFatPer100Grams(), 55.0, 70.0},
            {"saturates of coconut oil", table.get("coconut-oil").saturatesPer100Grams(), 82.0, 92.0},
            {
                "alcohol of vanilla extract, 35 % vol",
                table.get("vanilla-extract").per100Grams().grams(Part.ALCOHOL),
                28.0,
                30.0
            },
            {"alcohol of rum, 40 % vol", table.get("rum-40").per100Grams().grams(Part.ALCOHOL), 32.5, 34.0},
        };
    }

    @Test(dataProvider = "figures")
    public void figuresAreThosePrinted(String what, double figure, double least, double greatest) {
        assertTrue(figure >= least && figure <= greatest, what + ": " + figure);
    }

    @Test
    public void whoeverAvoidsMilkOrSulphitesIsTold() {
        IngredientTable table = IngredientTable.shipped();
        assertTrue(table.get("margarine").allergens().contains("milk"));
        assertTrue(table.get("raisin-golden").allergens().contains("sulphites"));
        assertTrue(table.all().stream()
                .filter(i -> i.per100Grams().grams(Part.LACTOSE) > 0)
                .allMatch(i -> i.allergens().contains("milk")));
    }
}

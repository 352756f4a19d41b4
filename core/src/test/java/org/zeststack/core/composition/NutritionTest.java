package org.zeststack.core.composition;

import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;

/** Energy from composition by Regulation (EU) 1169/2011, Annex XIV, against what packs print. */
public class NutritionTest {

    /** Label energy in kcal per 100 g of well-known foods, values from memory. */
    @DataProvider
    public Object[][] foods() {
        return new Object[][] {
            {"sugar", 400},
            {"butter", 744},
            {"milk-whole", 64},
            {"honey", 325},
            {"sunflower-oil", 900},
            {"hazelnut-roasted", 650},
            {"couverture-dark-70", 580},
            {"couverture-milk-38", 560},
            {"condensed-milk", 325},
            {"flour-wheat", 345},
            {"cream-35", 335},
            {"almond-raw", 600},
            {"egg-whole", 143},
            {"oats-rolled", 370},
        };
    }

    @Test(dataProvider = "foods")
    public void energyIsWhatThePackPrints(String slug, int kilocalories) {
        Ingredient food = IngredientTable.shipped().get(slug);
        Nutrition panel = food.panel();
        near(panel.kilocalories(), kilocalories, 0.06 * kilocalories, slug + ", value from memory");
        near(panel.kilojoules() / panel.kilocalories(), 4.184, 0.12, "kJ to kcal");
    }

    @DataProvider
    public Object[][] salty() {
        return new Object[][] {
            {"salt", 100, 0.5},
            {"milk-whole", 0.11, 0.03},
            {"egg-white", 0.42, 0.05},
            {"milk-powder-skimmed", 1.25, 0.2},
            {"butter", 0.03, 0.03},
            {"butter-salted", 1.8, 0.3},
            // Sodium is 22.99 of the 84.01 g/mol of the bicarbonate.
            {"baking-soda", 100 * 22.99 / 84.01 * 2.5, 0.3},
            {"sugar", 0, 0.01},
        };
    }

    /** Salt of a panel is all its sodium times 2.5: Regulation (EU) 1169/2011, Annex I; figures as packs print them, from memory. */
    @Test(dataProvider = "salty")
    public void saltIsAllTheSodium(String slug, double salt, double tolerance) {
        near(IngredientTable.shipped().get(slug).panel().salt(), salt, tolerance, slug);
    }

    @Test
    public void everyPolyolCountsAsOne() {
        for (String slug : new String[] {"sorbitol", "glycerol", "isomalt"}) {
            Nutrition panel = IngredientTable.shipped().get(slug).panel();
            near(panel.polyols(), 98.5, 1.6, slug);
            near(panel.kilocalories(), 2.4 * panel.polyols(), 1, slug + ": Regulation (EU) 1169/2011, Annex XIV");
        }
    }

    @Test
    public void everyPanelIsPossible() {
        for (Ingredient i : IngredientTable.shipped().all()) {
            Nutrition n = i.panel();
            assertTrue(n.sugars() <= n.carbohydrate() + 1e-9, i.slug());
            assertTrue(n.saturates() <= n.fat() + 0.3, i.slug() + ": saturates within fat");
            assertTrue(i.liquidFatPer100Grams() <= n.fat() + 0.3, i.slug() + ": liquid within fat");
            assertTrue(n.fat() + n.carbohydrate() + n.fibre() + n.protein() + n.salt() < 101, i.slug());
        }
    }

    @Test
    public void sucroseIsTheMeasureOfSweetness() {
        Composition sugar = IngredientTable.shipped().get("fructose").grams(10);
        // Fructose 1.2 times sucrose by mass: commonly printed, from memory.
        near(Nutrition.sweetness(sugar), 1.2, 0.01, "fructose");
        near(Nutrition.sweetness(IngredientTable.shipped().get("sugar").grams(100)), 0.999, 1e-9, "sucrose");
    }
}

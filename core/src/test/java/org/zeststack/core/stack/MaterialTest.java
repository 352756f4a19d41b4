package org.zeststack.core.stack;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.water.Solution;
import org.zeststack.core.water.WaterActivity;

/** What the stack knows of what a layer is made of; made anew here, so that nothing that was kept hides a change. */
public class MaterialTest {

    private static Material material(String slug) {
        return Material.of(IngredientTable.shipped().get(slug), 10.0);
    }

    /** Short name, how it is drawn, its water activity (null: not known or no water), whether it is dry goods, what chocolate it is. */
    @DataProvider
    public Object[][] materials() {
        return new Object[][] {
            {"couverture-dark-58", "dark", null, false, "dark"},
            {"couverture-blond-32", "blond", null, false, "blond"},
            {"compound-dark", "dark", null, false, ""},
            {"compound-milk", "milk", null, false, ""},
            {"compound-white", "white", null, false, ""},
            {"coloured-butter-red", "coloured", null, false, ""},
            {"hazelnut-roasted", "nut-paste", 0.25, true, ""},
            {"peanut-roasted", "nut-paste", 0.25, true, ""},
            {"rice-crisped", "crunch", 0.2, true, ""},
            {"water", "fruit", 1.0, false, ""},
            {"butter-salted", "fruit", 0.91, false, ""},
            {"chocolate-chips-dark", "fruit", null, false, "dark"},
        };
    }

    @Test(dataProvider = "materials")
    public void knowsWhatItIs(String slug, String pattern, Double activity, boolean dry, String chocolate) {
        Material material = material(slug);
        assertEquals(material.pattern(), pattern);
        assertEquals(material.waterActivity(), activity);
        assertEquals(material.dry(), dry);
        assertEquals(material.chocolate(), chocolate);
        assertEquals(material.couverture(), slug.startsWith("couverture-"));
        assertEquals(material.compound(), slug.startsWith("compound-"));
    }

    /** Syrups are taken as clear, sugar that was never boiled as lying in crystals. */
    @Test
    public void reckonsTheActivityOfItsSolution() {
        Material honey = material("honey");
        near(
                honey.waterActivity(),
                WaterActivity.at25(Solution.in(honey.per100Grams())).ratio(),
                1e-12,
                "invert sugar keeps it clear");
        Material syrup = material("glucose-syrup-42");
        near(
                syrup.waterActivity(),
                WaterActivity.at25(Solution.in(syrup.per100Grams())).ratio(),
                1e-12,
                "and syrup solids do");
        assertTrue(material("water").holdsWater() && !material("sugar").holdsWater());
    }

    @Test
    public void liquidFatIsAShareOfTheMass() {
        near(material("couverture-dark-58").liquidFatFraction(), 0.0814, 1e-9, "8.14 g in 100 g");
        near(material("cocoa-butter").liquidFatFraction(), 0.22, 1e-9, "22 % of cocoa butter");
        near(material("couverture-dark-58").fatFraction(), 0.37, 1e-9, "all of it");
    }

    /** 80 g of a dark couverture with 20 g of cocoa butter in it: volumes add up, masses and prices are shared. */
    @Test
    public void aMixIsWhatIsInIt() {
        Material dark = material("couverture-dark-58");
        Material butter = Material.of(IngredientTable.shipped().get("cocoa-butter"), 20.0);
        Material thinned = dark.with(butter, new BarLayer.Mix("cocoa-butter", 0.2, false));
        assertEquals(thinned.name(), "Dark couverture 58 % with Cocoa butter");
        near(thinned.density().usual(), 1 / (0.8 / 1.28 + 0.2 / 0.97), 1e-9, "volumes add up");
        near(thinned.density().least(), thinned.density().greatest(), 1e-12, "both are known");
        near(thinned.fatFraction(), 0.8 * 0.37 + 0.2, 1e-9, "fat");
        near(thinned.liquidFatFraction(), 0.8 * 0.0814 + 0.2 * 0.22, 1e-9, "liquid fat");
        near(thinned.pricePerKg(), 0.8 * 10 + 0.2 * 20, 1e-9, "price");
        assertEquals(thinned.chocolate(), "dark", "thinned it is chocolate still");
        assertTrue(thinned.couverture());
        assertEquals(thinned.allergens(), List.of("soy"));
        assertNull(dark.with(
                        Material.of(IngredientTable.shipped().get("cocoa-butter"), null),
                        new BarLayer.Mix("cocoa-butter", 0.2, false))
                .pricePerKg());
        assertNull(Material.of(IngredientTable.shipped().get("cocoa-butter"), null)
                .with(dark, new BarLayer.Mix("couverture-dark-58", 0.2, false))
                .pricePerKg());
    }

    @Test
    public void whatMakesAMixNoChocolate() {
        Material dark = material("couverture-dark-58");
        assertEquals(dark.with(material("food-colour"), mix("food-colour")).chocolate(), "dark", "coloured");
        assertEquals(
                dark.with(material("coloured-butter-red"), mix("coloured-butter-red"))
                        .chocolate(),
                "dark");
        assertEquals(
                dark.with(material("couverture-milk-38"), mix("couverture-milk-38"))
                        .chocolate(),
                "dark");
        Material nuts = dark.with(material("hazelnut-roasted"), new BarLayer.Mix("hazelnut-roasted", 0.3, true));
        assertEquals(nuts.chocolate(), "", "nuts in it");
        assertFalse(nuts.couverture());
        assertEquals(nuts.name(), "Dark couverture 58 % marbled with Hazelnuts, roasted");
        assertEquals(nuts.allergens(), List.of("nuts", "soy"));
        assertTrue(nuts.nature().is(Nature.Risk.CHOKING), "the risks of both");
        Material compound = dark.with(material("compound-dark"), mix("compound-dark"));
        assertTrue(compound.compound() && compound.chocolate().isEmpty());
        assertTrue(
                material("rice-crisped").with(dark, mix("couverture-dark-58")).dry(), "dry goods stay dry goods");
        assertEquals(
                material("rice-crisped").with(dark, mix("couverture-dark-58")).waterActivity(),
                material("rice-crisped").waterActivity());
    }

    private static BarLayer.Mix mix(String of) {
        return new BarLayer.Mix(of, 0.1, false);
    }

    /** Fat masses are melted to coat with, whatever they are called; wet ones and formulas are not. */
    @Test
    public void fatMassesMelt() {
        assertTrue(material("compound-white").melts(Bounds.shipped())
                && material("cocoa-butter").melts(Bounds.shipped()));
        assertFalse(material("raspberry-jam").melts(Bounds.shipped())
                || material("sugar").melts(Bounds.shipped())
                || material("butter-salted").melts(Bounds.shipped()));
    }
}

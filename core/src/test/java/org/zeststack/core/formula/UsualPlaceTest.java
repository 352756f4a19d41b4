package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;

/** Where pasted lines usually go in. Common practice, no source. */
public class UsualPlaceTest {

    @DataProvider
    public Object[][] places() {
        return new Object[][] {
            {Family.NOUGAT, "egg-white", Role.WARM},
            {Family.NOUGAT, "albumen-powder", Role.WARM},
            {Family.NOUGAT, "couverture-white-34", Role.WARM},
            {Family.NOUGAT, "cocoa-butter", Role.WARM},
            {Family.NOUGAT, "almond-roasted", Role.WARM},
            {Family.NOUGAT, "peanut-salted", Role.WARM},
            {Family.NOUGAT, "sesame-seed", Role.WARM},
            {Family.NOUGAT, "butter", Role.WARM},
            {Family.NOUGAT, "honey", null},
            {Family.NOUGAT, "sugar", null},
            {Family.NOUGAT, "glucose-syrup-42", null},
            {Family.CARAMEL, "butter", Role.OFF_HEAT},
            {Family.CARAMEL, "butter-salted", Role.OFF_HEAT},
            {Family.CARAMEL, "rum-40", Role.OFF_HEAT},
            {Family.CARAMEL, "couverture-dark-70", Role.OFF_HEAT},
            {Family.CARAMEL, "cream-35", null},
            {Family.CARAMEL, "condensed-milk", null},
            {Family.CARAMEL, "milk-powder-skimmed", null},
            {Family.CARAMEL, "salt", null},
            {Family.GANACHE, "couverture-dark-66", Role.OFF_HEAT},
            {Family.GANACHE_FRUIT, "butter", Role.OFF_HEAT},
            {Family.GANACHE, "cream-48", null},
            {Family.GANACHE, "cocoa-powder", null},
            {Family.PUFFED, "rice-crisped", Role.WARM},
            {Family.PUFFED, "oats-rolled", Role.WARM},
            {Family.PUFFED, "coconut-desiccated", Role.WARM},
            {Family.PUFFED, "almond-flaked", Role.WARM},
            {Family.PUFFED, "cornflakes", Role.WARM},
            {Family.PUFFED, "marshmallow", null},
            {Family.PUFFED, "couverture-dark-58", null},
            {Family.PUFFED, "cocoa-powder", null},
            {Family.PUFFED, "butter", null},
            {Family.BISCUIT_PRESSED, "butter", null},
            {Family.NUT_PASTE, "almond-roasted", null},
        };
    }

    @Test(dataProvider = "places")
    public void isNotThePotForWhatItWouldSpoil(Family family, String slug, Role place) {
        assertEquals(
                UsualPlace.of(family, IngredientTable.shipped().get(slug)).orElse(null), place, family + " " + slug);
    }

    /** Oat flakes made of the parts given, and their place in a nougat: from each figure up it is one thing or the other. */
    @DataProvider
    public Object[][] made() {
        return new Object[][] {
            {Map.of(Part.COCOA_BUTTER, 15.0), Role.WARM},
            {Map.of(Part.COCOA_BUTTER, 14.9), null},
            {Map.of(Part.MILK_FAT, 60.0), Role.WARM},
            {Map.of(Part.MILK_FAT, 59.9), null},
            {Map.of(Part.ALCOHOL, 10.0), Role.OFF_HEAT},
            {Map.of(Part.ALCOHOL, 9.9), null},
            {Map.of(Part.PROTEIN, 5.0, Part.STARCH, 10.0, Part.FIBRE, 10.0), Role.WARM},
            {Map.of(Part.PROTEIN, 5.0, Part.STARCH, 10.0, Part.FIBRE, 9.9), null},
        };
    }

    @Test(dataProvider = "made")
    public void goesByWhatItIsMadeOf(Map<Part, Double> parts, Role place) {
        Map<Part, Double> whole = new EnumMap<>(parts);
        whole.merge(
                Part.SUCROSE,
                100 - parts.values().stream().mapToDouble(Double::doubleValue).sum(),
                Double::sum);
        Ingredient probe =
                IngredientTable.shipped().get("rice-crisped").with(Composition.of(whole, 42), Ingredient.Basis.SHEET);
        assertEquals(UsualPlace.of(Family.NOUGAT, probe).orElse(null), place);
    }

    @Test
    public void schoolsAreAskedOfTheFamiliesThatTheyDivide() {
        assertEquals(School.of(Family.GANACHE_WHIPPED), List.of(School.BUTTER, School.SPIRIT));
        assertEquals(School.of(Family.CARAMEL), List.of(School.STIRRING, School.CREAM));
        assertEquals(School.of(Family.NUT_PASTE), List.of());
        assertEquals(School.of(Family.NOUGAT_QUICK), List.of(School.TOPPING));
        assertEquals(School.of(Family.NOUGAT), List.of());
        assertEquals(School.CREAM.key(), "cream");
        assertEquals(School.CREAM.question(), "Cream goes in");
        assertEquals(School.CREAM.ways().stream().map(School.Way::key).toList(), List.of("start", "later"));
    }
}

package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.formula.FormulaLine.Role;
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
            {Family.BISCUIT_PRESSED, "butter", null},
            {Family.NUT_PASTE, "almond-roasted", null},
        };
    }

    @Test(dataProvider = "places")
    public void isNotThePotForWhatItWouldSpoil(Family family, String slug, Role place) {
        assertEquals(
                UsualPlace.of(family, IngredientTable.shipped().get(slug)).orElse(null), place, family + " " + slug);
    }
}

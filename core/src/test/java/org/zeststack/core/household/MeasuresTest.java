package org.zeststack.core.household;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.ingredient.IngredientTable;

public class MeasuresTest {

    /** NIST Handbook 44, Appendix C, and Weights and Measures Act 1985 (UK), Schedule 1; values from memory. */
    @DataProvider
    public Object[][] volumes() {
        return new Object[][] {
            {Measures.US, Unit.CUP, 236.588},
            {Measures.US, Unit.TABLESPOON, 14.787},
            {Measures.US, Unit.TEASPOON, 4.929},
            {Measures.US, Unit.FLUID_OUNCE, 29.574},
            {Measures.US, Unit.PINT, 473.176},
            {Measures.US, Unit.QUART, 946.353},
            {Measures.US, Unit.GALLON, 3785.41},
            {Measures.METRIC, Unit.CUP, 250},
            {Measures.METRIC, Unit.TABLESPOON, 15},
            {Measures.METRIC, Unit.LITRE, 1000},
            {Measures.IMPERIAL, Unit.PINT, 568.261},
            {Measures.IMPERIAL, Unit.FLUID_OUNCE, 28.413},
            {Measures.IMPERIAL, Unit.GALLON, 4546.09},
            {Measures.US_LEGAL, Unit.CUP, 240},
        };
    }

    @Test(dataProvider = "volumes")
    public void areWhatTheStandardsSay(Measures measures, Unit unit, double millilitres) {
        near(measures.millilitres(unit), millilitres, 1e-4 * millilitres, measures + " " + unit);
    }

    @Test
    public void spoonsAndCupsAddUp() {
        near(16 * Measures.US.millilitres(Unit.TABLESPOON), Measures.US.millilitres(Unit.CUP), 0.01, "16 spoons a cup");
        near(3 * Measures.US.millilitres(Unit.TEASPOON), Measures.US.millilitres(Unit.TABLESPOON), 0.01, "3 to one");
        near(16 * Unit.OUNCE.grams(), Unit.POUND.grams(), 1e-4, "16 ounces a pound");
        assertTrue(Double.isNaN(Measures.US.millilitres(Unit.STICK)), "a stick is no volume");
    }

    /** Plurals, accents, apostrophes and stops; what a word must be folded to. */
    @DataProvider
    public Object[][] words() {
        return new Object[][] {
            {"Cherries", "cherry"},
            {"potatoes", "potato"},
            {"dishes", "dish"},
            {"leaves", "leaf"},
            {"halves", "half"},
            {"glass", "glass"},
            {"cookies", "cookie"},
            {"Cr\u00e8me", "creme"},
            {"confectioners\u2019", "confectioner"},
            {"tbsp.", "tbsp"},
            {"eggs", "egg"},
            {"asparagus", "asparagus"},
            {"oz.", "oz"},
            {"70%", "70%"},
        };
    }

    @Test(dataProvider = "words")
    public void wordsAreFolded(String written, String folded) {
        assertEquals(Words.folded(written), folded);
    }

    @Test
    public void namesAreFoundOrAGuessOrNothing() {
        NameIndex index = new NameIndex(IngredientTable.shipped(), Map.of());
        assertTrue(
                index.find(Words.nameWords("finely chopped roasted hazelnuts")).certain());
        NameIndex.Match cream = index.find(Words.nameWords("cream"));
        assertEquals(cream.slug(), "cream-35");
        assertFalse(cream.certain(), "which cream is not said");
        assertTrue(cream.others().contains("cream-48"), cream.others().toString());
        NameIndex.Match percent = index.find(Words.nameWords("dark chocolate 85%"));
        assertEquals(percent.slug(), "couverture-dark-85");
        assertTrue(percent.certain(), percent.guesses().toString());
        assertFalse(index.find(Words.nameWords("dark chocolate 73%")).certain());
        assertEquals(index.find(Words.nameWords("unobtainium")).slug(), null);
        assertEquals(index.find(List.of()).slug(), null);
        // A word nobody knows beside a known one is never passed over in silence.
        assertFalse(index.find(Words.nameWords("fermented honey")).certain());
    }

    @Test
    public void withoutAMeasuredCupWetThingsAreReckonedByDensityAndMarked() {
        LineReader reader = new LineReader(IngredientTable.shipped());
        HouseholdLine acid = reader.read("10 ml lactic acid", Measures.METRIC);
        assertEquals(acid.grams(), null, "mostly dry and without a cup: no number");
        assertTrue(
                acid.guesses().get(0).contains("a ml of Lactic acid"),
                acid.guesses().toString());
        HouseholdLine butter = reader.read("10 ml crystallised cocoa butter", Measures.METRIC);
        near(butter.grams(), 9.7, 0.01, "its own density");
        assertFalse(butter.guesses().isEmpty());
    }
}

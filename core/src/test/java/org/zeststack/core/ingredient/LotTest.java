package org.zeststack.core.ingredient;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.time.LocalDate;
import java.util.Map;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.InvalidInput;

public class LotTest {

    private static final LocalDate DAY = LocalDate.of(2026, 5, 1);
    private static final Ingredient HONEY = IngredientTable.shipped().get("honey");

    private static Lot lot(Map<Part, Double> parts, Double moisture) {
        return new Lot("7", "Any", DAY, null, null, parts, 42, moisture, true, "");
    }

    @Test
    public void moistureAloneDriesOrWetsWhatIsUsual() {
        Ingredient wet = lot(Map.of(), 0.20).applied(HONEY);
        near(wet.per100Grams().waterGrams(), 20, 1e-9, "measured");
        near(wet.per100Grams().totalGrams(), 100, 1e-9, "still 100 g");
        double usual =
                HONEY.per100Grams().grams(Part.FRUCTOSE) / HONEY.per100Grams().grams(Part.GLUCOSE);
        near(
                wet.per100Grams().grams(Part.FRUCTOSE) / wet.per100Grams().grams(Part.GLUCOSE),
                usual,
                1e-9,
                "dry parts keep");
    }

    @Test
    public void aSheetOfItsOwnWins() {
        Map<Part, Double> parts = Map.of(Part.WATER, 18.0, Part.FRUCTOSE, 44.0, Part.GLUCOSE, 38.0);
        Ingredient own = lot(parts, 0.2).applied(HONEY);
        assertEquals(own.per100Grams().byPart(), parts);
        assertEquals(own.basis(), Ingredient.Basis.SHEET);
        assertEquals(lot(Map.of(), null).applied(HONEY), HONEY, "nothing known, nothing changed");
    }

    @Test
    public void faultsAreToldTogether() {
        Lot bad = new Lot(" ", "", DAY, DAY.minusDays(1), -1.0, Map.of(Part.WATER, 50.0), 42, 1.5, false, "");
        InvalidInput input = expectThrows(InvalidInput.class, bad::check);
        assertEquals(
                input.faults().stream().map(f -> f.field()).sorted().toList(),
                java.util.List.of("bestBefore", "code", "moistureFraction", "pricePerKg", "sum"));
        assertTrue(input.getMessage().contains("99 to 101"));
    }

    @Test
    public void searchingFindsByAnyWordAndByOtherNames() {
        IngredientTable table = IngredientTable.shipped();
        assertEquals(table.search("suga", 3).get(0).name().substring(0, 5), "Sugar");
        assertTrue(table.search("creme fra", 5).stream().anyMatch(i -> i.slug().equals("creme-fraiche")));
        assertTrue(table.search("heavy", 5).stream().anyMatch(i -> i.slug().equals("cream-35")));
        assertTrue(
                table.search("couv dark 7", 5).stream().anyMatch(i -> i.slug().equals("couverture-dark-70")));
        assertTrue(table.search("zzz", 5).isEmpty());
    }
}

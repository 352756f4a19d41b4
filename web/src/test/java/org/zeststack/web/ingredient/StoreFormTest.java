package org.zeststack.web.ingredient;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientData;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Lot;
import org.zeststack.core.typed.FormInput;

/** The store room's forms: to text and back, and awkward input told beside its field. */
public class StoreFormTest {

    @Test
    public void everyIngredientComesBackFromItsFields() {
        for (Ingredient ingredient : IngredientTable.shipped().all()) {
            FormInput form = FormInput.of(IngredientFields.of(ingredient));
            Optional<Ingredient> read = IngredientFields.read(form, ingredient);
            assertTrue(read.isPresent() && !form.faulty(), ingredient.slug() + " " + form.faults());
            assertEquals(
                    read.get().per100Grams().byPart().keySet(),
                    ingredient.per100Grams().byPart().keySet());
            assertEquals(read.get().household(), ingredient.household(), ingredient.slug());
            assertEquals(read.get().also(), ingredient.also());
            assertEquals(read.get().couverture(), ingredient.couverture());
            assertEquals(IngredientData.of(read.get()).note(), ingredient.note());
        }
    }

    @DataProvider
    public Object[][] awkwardIngredients() {
        return new Object[][] {
            {"name", "", "name"},
            {"part.WATER", "a lot", "part.WATER"},
            {"part.WATER", "101", "part.WATER"},
            {"part.WATER", "90", "sum"},
            {"part.WATER", "-1", "part.WATER"},
            {"de", "5", "de"},
            {"density", "9", "density"},
            {"dryActivity", "1.5", "dryActivity"},
            {"wetActivity", "1.5", "wetActivity"},
            {"saturates", "60", "saturates"},
            {"household", "cup heavy", "household"},
            {"household", "200", "household"},
            {"basis", "HEARSAY", "basis"},
            {"couverture", "purple", "couverture"},
            {"couverture", "dark", "density"},
        };
    }

    @Test(dataProvider = "awkwardIngredients")
    public void awkwardInputIsToldBesideItsField(String field, String typed, String told) {
        Ingredient honey = IngredientTable.shipped().get("honey");
        FormInput form = FormInput.of(IngredientFields.of(honey));
        form.typed().put(field, typed);
        assertTrue(IngredientFields.read(form, honey).isEmpty());
        assertTrue(!form.fault(told).isEmpty(), form.faults().toString());
        assertEquals(form.text(field), typed, "what was typed stays");
    }

    @Test
    public void shortNamesAreMadeFromNames() {
        assertEquals(IngredientFields.slug("Cr\u00e8me fra\u00eeche, 30 %"), "creme-fraiche-30");
        assertEquals(IngredientFields.slug("***"), "ingredient");
        assertTrue(IngredientFields.slug("x".repeat(200)).length() <= 60);
    }

    @Test
    public void aLotComesBackFromItsFields() {
        LocalDate day = LocalDate.of(2026, 11, 3);
        Map<Part, Double> parts = Map.of(Part.WATER, 20.0, Part.SYRUP_SOLIDS, 80.0);
        for (Lot lot : new Lot[] {
            new Lot("A-1", "Any", day, day.plusDays(9), 4.25, Map.of(), 42, null, false, "shelf"),
            new Lot("Jar 2", "", day, null, null, Map.of(), 42, 0.112, true, "cold"),
            new Lot("S", "Any", day, null, 0.0, parts, 60, null, false, ""),
        }) {
            assertEquals(LotFields.read(FormInput.of(LotFields.of(lot))).orElseThrow(), lot);
        }
    }

    @DataProvider
    public Object[][] awkwardLots() {
        return new Object[][] {
            {"code", " ", "code"},
            {"received", "yesterday", "received"},
            {"bestBefore", "2020-01-01", "bestBefore"},
            {"pricePerKg", "free", "pricePerKg"},
            {"moistureFraction", "130", "moistureFraction"},
            {"part.WATER", "50", "sum"},
        };
    }

    @Test(dataProvider = "awkwardLots")
    public void awkwardLotsAreTold(String field, String typed, String told) {
        Map<String, String> fields = new LinkedHashMap<>(
                LotFields.of(new Lot("A", "", LocalDate.of(2026, 11, 3), null, null, Map.of(), 42, null, false, "")));
        fields.put(field, typed);
        FormInput form = FormInput.of(fields);
        assertTrue(LotFields.read(form).isEmpty());
        assertTrue(!form.fault(told).isEmpty(), form.faults().toString());
    }
}

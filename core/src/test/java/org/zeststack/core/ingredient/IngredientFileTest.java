package org.zeststack.core.ingredient;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Say;

/** What the open table of ingredients holds, and how a faulty one is refused. */
public class IngredientFileTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();

    /** Groups that a confectioner's store room must have, with how many at least. */
    @DataProvider
    public Object[][] groups() {
        return new Object[][] {
            {"couverture-", 12}, {"compound-", 3}, {"glucose-syrup", 4}, {"-syrup", 8}, {"cream-", 5}, {"egg-", 3},
            {"-paste", 3}, {"flour-", 6}, {"-puffed", 4}, {"-puree", 10}, {"-dried", 5}, {"gelatine-", 2},
            {"coloured-butter-", 4}, {"biscuit-", 4}, {"rum-", 2}, {"-oil", 4}, {"cocoa-", 5},
        };
    }

    @Test(dataProvider = "groups")
    public void holdsEveryGroup(String part, int least) {
        long found = TABLE.all().stream().filter(i -> i.slug().contains(part)).count();
        assertTrue(found >= least, part + ": " + found);
    }

    @Test
    public void allergensAreOfTheFourteen() {
        // Regulation (EU) 1169/2011, Annex II, value from memory; those that sweets meet.
        Set<String> known = Set.of("milk", "nuts", "peanuts", "egg", "gluten", "soy", "sesame", "sulphites");
        for (Ingredient i : TABLE.all()) {
            assertTrue(known.containsAll(i.allergens()), i.slug() + " " + i.allergens());
        }
        for (String milky : List.of("butter", "cream-35", "couverture-milk-38", "condensed-milk", "lactose")) {
            assertTrue(TABLE.get(milky).allergens().contains("milk"), milky);
        }
        assertTrue(TABLE.get("marzipan").allergens().contains("nuts"));
        assertTrue(TABLE.get("peanut-butter").allergens().contains("peanuts"));
        assertFalse(TABLE.get("couverture-dark-66").allergens().contains("milk"));
    }

    @Test
    public void dryGoodsAreDryAndSayThatTheyMustStaySo() {
        // To stay crisp dry goods are kept below about 0.35 to 0.40 (common practice, no source).
        for (String slug : List.of("wafer-flakes", "rice-crisped", "pastry-threads", "popping-candy", "meringue")) {
            Ingredient dry = TABLE.get(slug);
            assertTrue(dry.dryActivity() > 0 && dry.dryActivity() <= 0.35, slug);
            assertTrue(dry.caution().startsWith("Must stay dry"), slug);
        }
    }

    @Test
    public void otherNamesPointToOneIngredientOnly() {
        Map<String, List<String>> byName = TABLE.all().stream()
                .flatMap(i -> i.also().stream().map(name -> Map.entry(name.replace("?", ""), i.slug())))
                .collect(Collectors.groupingBy(
                        Map.Entry::getKey, Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
        byName.forEach((name, slugs) -> assertEquals(slugs.size(), 1, name + " " + slugs));
    }

    @Test
    public void cupsWeighWhatACupCan() {
        for (Ingredient i : TABLE.all()) {
            Ingredient.Measure cup = i.household().get("cup");
            if (cup != null) {
                // 236.6 mL of the lightest puffed grain to the heaviest syrup, 1.45 g/mL.
                assertTrue(cup.grams() >= 7 && cup.grams() <= 345, i.slug() + " " + cup.grams());
            }
        }
    }

    private static Ingredient ingredient(Map<Part, Double> parts, double saturates, String name) {
        return new Ingredient(
                "any",
                name,
                Composition.of(parts, 42),
                saturates,
                0,
                0,
                "",
                Nature.PLAIN,
                0,
                Bulk.MASSIVE,
                0,
                0,
                Map.of("cup", new Ingredient.Measure(-1, false)),
                List.of(),
                List.of(),
                Ingredient.Basis.SHEET,
                Map.of(),
                "",
                "",
                null);
    }

    @Test
    public void faultsOfAnIngredientAreToldTogether() {
        InvalidInput input = expectThrows(
                InvalidInput.class, () -> ingredient(Map.of(Part.WATER, 60.0, Part.MILK_FAT, 20.0), 50, " ")
                        .check());
        assertEquals(
                input.faults().stream().map(f -> f.field()).sorted().toList(),
                List.of("household", "name", "saturates", "sum"));
        assertTrue(Say.metric(input.getMessage()).contains("80.00 g; permitted: 99 to 101 g"), input.getMessage());
    }

    @Test
    public void dataComesBackAsItWas() {
        for (Ingredient i : TABLE.all()) {
            Ingredient back = IngredientData.of(i).ingredient();
            assertEquals(back.per100Grams().byPart(), i.per100Grams().byPart());
            assertEquals(IngredientData.of(back), IngredientData.of(i));
        }
    }
}

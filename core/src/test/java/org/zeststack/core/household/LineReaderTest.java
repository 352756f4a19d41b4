package org.zeststack.core.household;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.CsvTable;

/** The lines of {@code lines.csv}, with the source of each beside it. */
public class LineReaderTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();
    private static final LineReader READER = new LineReader(TABLE);
    private static final List<CsvTable.Row> ROWS =
            CsvTable.load(LineReaderTest.class, "lines.csv").rows();

    @DataProvider
    public Object[][] lines() {
        return ROWS.stream().map(row -> new Object[] {row.text("line"), row}).toArray(Object[][]::new);
    }

    @Test(dataProvider = "lines")
    public void comesToWhatItMust(String line, CsvTable.Row row) {
        HouseholdLine read =
                READER.read(line, Measures.valueOf(row.text("measures").toUpperCase(Locale.ROOT)));
        String told = line + " " + read.guesses();
        String ingredient = row.text("ingredient");
        assertEquals(read.ingredient(), ingredient.isEmpty() ? null : ingredient, told);
        if (row.text("grams").isEmpty()) {
            assertNull(read.grams(), told);
        } else {
            assertTrue(read.grams() != null, told);
            near(read.grams(), row.number("grams"), row.number("tolerance"), told);
        }
        assertEquals(read.guesses().isEmpty(), row.text("mark").isEmpty(), told);
        assertEquals(read.source(), line);
    }

    @Test
    public void theCollectionIsLargeAndHard() {
        assertTrue(ROWS.size() >= 150, ROWS.size() + " lines");
        long marked = ROWS.stream().filter(r -> !r.text("mark").isEmpty()).count();
        assertTrue(marked >= 30, marked + " to be marked or refused");
    }

    @Test
    public void everyNameOfTheStoreRoomIsFoundByItself() {
        TABLE.all().forEach(i -> {
            HouseholdLine read = READER.read("12.5 g " + i.name(), Measures.METRIC);
            assertEquals(read.ingredient(), i.slug(), i.name() + " " + read.guesses());
            assertTrue(read.certain(), i.name() + " " + read.guesses());
        });
    }

    private static final double NONE = Double.NaN;

    @DataProvider
    public Object[][] several() {
        return new Object[][] {
            {"150 g sugar and 50 g water, for the brittle", List.of("sugar", "water"), List.of(150.0, 50.0)},
            {"1 sachet gelatine bloomed in 1 tbsp water", List.of("gelatine-powder", "water"), List.of(7.0, 15.0)},
            {"1 large egg + 1 yolk", List.of("egg-whole", "egg-yolk"), List.of(50.0, 18.0)},
            {"sugar 250g, butter 100g", List.of("sugar", "butter"), List.of(250.0, 100.0)},
            {"50 g each of pistachios and dried cherries", List.of("pistachio", "cherry-dried"), List.of(50.0, 50.0)},
            {"1 cup plus 2 tbsp honey", List.of("honey"), List.of(402.5)},
            {"10 g pectin mixed with 50 g of the sugar", List.of("pectin"), List.of(10.0)},
            {"1 kg 200 g sugar", List.of("sugar"), List.of(1200.0)},
            {"380 g + 40 g sugar", List.of("sugar"), List.of(420.0)},
            // Names that share a line are all kept; NaN: without an amount, and marked.
            {
                "salt, vanilla extract and 2 tbsp butter",
                List.of("salt", "vanilla-extract", "butter"),
                List.of(NONE, NONE, 28.8)
            },
            {"honey and 1 cup cream", List.of("honey", "cream-35"), List.of(NONE, 251.0)},
            {
                "vanilla, 1 cup sugar and 2 egg whites",
                List.of("vanilla-extract", "sugar", "egg-white"),
                List.of(NONE, 211.0, 66.0)
            },
            {"cream, butter and 1 cup sugar", List.of("cream-35", "butter", "sugar"), List.of(NONE, NONE, 211.0)},
            {"caster sugar 180 g; water 60 g", List.of("caster-sugar", "water"), List.of(180.0, 60.0)},
            {"1 tbsp coffee granules in 2 tbsp boiling water", List.of("coffee-instant", "water"), List.of(3.5, 30.0)},
            {
                "1/4 c. cocoa sifted with 1/4 c. powdered sugar",
                List.of("cocoa-powder", "icing-sugar"),
                List.of(22.5, 31.7)
            },
            {"butter and sugar, 100 g each", List.of("butter", "sugar"), List.of(100.0, 100.0)},
            {"20 g each of honey, butter and cream", List.of("honey", "butter", "cream-35"), List.of(20.0, 20.0, 20.0)},
            {"300 g sugar 60 g water", List.of("sugar", "water"), List.of(300.0, 60.0)},
            {"salt and vanilla pod", List.of("salt", "vanilla-pod"), List.of(NONE, NONE)},
            // One thing, whatever words it is written with.
            {"chocolate, milk, 200 g", List.of("couverture-milk-38"), List.of(200.0)},
            {"almonds, roasted, 100 g", List.of("almond-roasted"), List.of(100.0)},
            {"200 g butter, in cubes", List.of("butter"), List.of(200.0)},
            {"100 g cream, warmed with the vanilla", List.of("cream-35"), List.of(100.0)},
        };
    }

    @Test(dataProvider = "several")
    public void aLineOfSeveralBecomesSeveral(String line, List<String> slugs, List<Double> grams) {
        List<HouseholdLine> read = READER.readAll(line, Measures.METRIC);
        assertEquals(read.stream().map(HouseholdLine::ingredient).toList(), slugs, line);
        for (int i = 0; i < grams.size(); i++) {
            if (grams.get(i).isNaN()) {
                assertNull(read.get(i).grams(), line);
                assertFalse(read.get(i).guesses().isEmpty(), line);
            } else {
                near(read.get(i).grams(), grams.get(i), 0.02 * grams.get(i), line);
            }
        }
    }

    /** A division is worked out once from each place on, so that a line that cannot be divided is told soon. */
    @Test
    public void aLineThatCannotBeDividedIsReadFewTimes() {
        int[] reads = {0};
        String line = "1 cup sugar and ".repeat(17) + "and 5 xyzzy";
        new Division(line, part -> {
                    reads[0]++;
                    return READER.read(part, Measures.US);
                })
                .lines();
        assertTrue(reads[0] < 200, reads[0] + " reads");
    }

    @Test
    public void aWordThatNobodyKnowsIsNotUnderstood() {
        assertTrue(READER.read("100 g sugar", Measures.METRIC).understood());
        assertFalse(READER.read("100 g moonlit sugar", Measures.METRIC).understood());
    }

    @Test
    public void anAmountThatNothingWasDoneWithIsTold() {
        HouseholdLine read = READER.read("10 g pectin mixed with 50 g of the sugar", Measures.METRIC);
        assertTrue(
                read.guesses().stream().anyMatch(g -> g.contains("50 g of the sugar")),
                read.guesses().toString());
    }

    @Test
    public void formulasOfTheWorkshopAreReadByTheirNames() {
        LineReader reader = new LineReader(TABLE, Map.of("Burnt honey caramel", "formula:3:2"));
        HouseholdLine weighed = reader.read("500 g burnt honey caramel", Measures.METRIC);
        assertEquals(weighed.ingredient(), "formula:3:2");
        near(weighed.grams(), 500, 1e-9, "SI");
        assertTrue(weighed.certain(), weighed.guesses().toString());
        HouseholdLine spooned = reader.read("2 tbsp burnt honey caramel", Measures.METRIC);
        assertNull(spooned.grams());
        assertFalse(spooned.guesses().isEmpty());
        assertEquals(reader.read("500 g honey", Measures.METRIC).ingredient(), "honey");
    }

    @Test
    public void doublingTheAmountDoublesTheGrams() {
        Random random = new Random(31);
        String[] units = {"g", "oz", "cups", "tbsp", "tsp", "ml"};
        String[] names = {"sugar", "honey", "water", "heavy cream", "butter", "light corn syrup"};
        for (int i = 0; i < 300; i++) {
            double amount = 0.5 + random.nextInt(40) / 4.0;
            String rest = " " + units[random.nextInt(units.length)] + " " + names[random.nextInt(names.length)];
            for (Measures measures : Measures.values()) {
                double once = READER.read(amount + rest, measures).grams();
                near(READER.read(2 * amount + rest, measures).grams(), 2 * once, 1e-6, "property: " + amount + rest);
            }
        }
    }

    @Test
    public void nothingTypedBreaksIt() {
        Random random = new Random(7);
        String alphabet = "0123456789 ½/.,-()xgozcuptbsl%&+'öß\u00a0\u2013sugar or and";
        for (int i = 0; i < 5000; i++) {
            StringBuilder line = new StringBuilder();
            int length = random.nextInt(40);
            for (int n = 0; n < length; n++) {
                line.append(alphabet.charAt(random.nextInt(alphabet.length())));
            }
            HouseholdLine read = READER.read(line.toString(), Measures.METRIC);
            assertFalse(read.grams() != null && !(read.grams() > 0), "no grams at or below 0: " + line);
        }
    }
}

package org.zeststack.app.exchange;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.household.LineReader;
import org.zeststack.core.household.Measures;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.temper.TemperWindow;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Round trips lose nothing that the format can hold. */
public class ExchangeTest {

    private static final IngredientTable TABLE = IngredientTable.of(
            IngredientTable.shipped().all().stream().map(ExchangeTest::windowed).toList());
    private static final JsonMapper JSON = new JsonMapper();
    private static final List<Ingredient> ALL = List.copyOf(TABLE.all());

    /** Couvertures with tempering temperatures of their own sheets. */
    private static Ingredient windowed(Ingredient i) {
        return new Ingredient(
                i.slug(),
                i.name(),
                i.per100Grams(),
                i.saturatesPer100Grams(),
                i.liquidFatPer100Grams(),
                i.sodiumPer100Grams(),
                i.couverture(),
                i.nature(),
                i.densityGramsPerMl(),
                i.bulk(),
                i.dryActivity(),
                i.wetActivity(),
                i.household(),
                i.also(),
                i.allergens(),
                i.basis(),
                i.plusMinus(),
                i.caution(),
                i.note(),
                i.isCouverture() ? new TemperWindow.Limits(44, 46, 26, 27, 28.5, 30.5) : null);
    }

    private static Formula any(SplittableRandom random) {
        List<FormulaLine> lines = new ArrayList<>();
        int count = 1 + random.nextInt(12);
        for (int i = 0; i < count; i++) {
            boolean counted = random.nextInt(4) == 0;
            lines.add(new FormulaLine(
                    ALL.get(random.nextInt(ALL.size())).slug(),
                    (1 + random.nextInt(100_000)) / 100.0,
                    FormulaLine.Role.values()[random.nextInt(4)],
                    counted ? Double.valueOf(1 + random.nextInt(9)) : null,
                    random.nextBoolean(),
                    random.nextBoolean() ? Integer.valueOf(1 + random.nextInt(5)) : null,
                    random.nextBoolean() ? "1 \u00bd cups, \"heaped\"; =2+2" : "",
                    random.nextBoolean() ? List.of("heaped, taken as more", "T taken as tablespoon") : List.of()));
        }
        Family family = Family.values()[random.nextInt(Family.values().length)];
        boolean byEye = random.nextBoolean();
        Finish finish = new Finish(byEye, byEye ? 0.07 : null, byEye ? 0.1 : null, 0.05, 0.4);
        return new Formula(
                family,
                lines,
                byEye ? null : Double.valueOf(118.5),
                0.04,
                DefaultMethods.of(family),
                finish,
                Map.of("butter", "cool"));
    }

    private static Map<String, String> names(Formula formula) {
        Map<String, String> names = new LinkedHashMap<>();
        formula.lines()
                .forEach(
                        l -> names.put(l.ingredient(), TABLE.get(l.ingredient()).name()));
        return names;
    }

    @Test
    public void ourOwnFormatIsLosslessAndMeetsItsSchema() {
        SplittableRandom random = new SplittableRandom(2026);
        for (int i = 0; i < 60; i++) {
            Formula formula = any(random);
            Formula inner = any(random);
            NamedFormula used = new NamedFormula(9, "Inner", 2, inner);
            String json = FormulaJson.write("Any name", "because", formula, List.of(used), TABLE);
            assertEquals(FormulaSchema.faults(JSON.readTree(json)), List.of());
            FormulaJson.Read read = FormulaJson.read(json);
            assertEquals(read.formula(), formula, "seed 2026, round " + i);
            assertEquals(read.name(), "Any name");
            assertEquals(read.why(), "because");
            assertEquals(read.used().get("formula:9:2").formula(), inner);
            for (Ingredient ingredient : read.ingredients()) {
                Ingredient here = TABLE.get(ingredient.slug());
                assertEquals(
                        ingredient.per100Grams().byPart(), here.per100Grams().byPart());
                assertEquals(ingredient.household(), here.household());
                assertEquals(ingredient.allergens(), here.allergens());
                assertEquals(ingredient.windows(), here.windows());
            }
        }
    }

    /** Each value of a document in turn is nothing, a list, something huge: what is read then met the schema, the rest is told with its place. */
    @Test
    public void whatDoesNotMeetTheSchemaIsToldWithItsPlace() {
        Formula formula = any(new SplittableRandom(3));
        String whole =
                FormulaJson.write("Any", "because", formula, List.of(new NamedFormula(9, "Inner", 2, formula)), TABLE);
        List<String> silent = new ArrayList<>();
        for (String bad : List.of("null", "[null]", "{\"a\":null}", "-1e9", "\"" + "x".repeat(50_000) + "\"")) {
            for (String place : places(JSON.readTree(whole), "")) {
                JsonNode document = JSON.readTree(whole);
                put(document, place, JSON.readTree(bad));
                try {
                    FormulaJson.read(document.toString());
                } catch (InvalidInput told) {
                    if (told.faults().stream().noneMatch(f -> f.message().startsWith(place))) {
                        silent.add(place + " = " + bad.substring(0, Math.min(20, bad.length())) + ": "
                                + told.getMessage());
                    }
                }
            }
        }
        assertEquals(silent.toString(), "[]");
    }

    private static List<String> places(JsonNode node, String at) {
        List<String> places = new ArrayList<>();
        if (node instanceof ObjectNode object) {
            for (String name : object.propertyNames()) {
                places.add(at + "/" + name);
                places.addAll(places(object.get(name), at + "/" + name));
            }
        } else if (node instanceof ArrayNode array && !array.isEmpty()) {
            places.add(at + "/0");
            places.addAll(places(array.get(0), at + "/0"));
        }
        return places;
    }

    private static void put(JsonNode document, String place, JsonNode value) {
        int cut = place.lastIndexOf('/');
        JsonNode parent = document.at(place.substring(0, cut));
        if (parent instanceof ArrayNode array) {
            array.set(0, value);
        } else {
            ((ObjectNode) parent).set(place.substring(cut + 1), value);
        }
    }

    @Test
    public void sixtyLinesAreReadAndSixtyOneAreNot() {
        FormulaLine line = new FormulaLine("sugar", 1, FormulaLine.Role.POT);
        Formula sixty = new Formula(Family.OTHER, Collections.nCopies(60, line), null, 0.02, List.of());
        assertEquals(read(sixty).formula().lines().size(), 60);
        String told = expectThrows(InvalidInput.class, () -> read(sixty.withLines(Collections.nCopies(61, line))))
                .getMessage();
        assertTrue(told.contains("/formula/lines") && told.contains("60"), told);
    }

    private static FormulaJson.Read read(Formula formula) {
        return FormulaJson.read(FormulaJson.write("Any", "", formula, List.of(), TABLE));
    }

    @Test
    public void csvKeepsEveryLine() {
        SplittableRandom random = new SplittableRandom(7);
        for (int i = 0; i < 60; i++) {
            Formula formula = any(random);
            List<LinesCsv.Row> rows = LinesCsv.read(LinesCsv.write(formula, names(formula)));
            assertEquals(rows.size(), formula.lines().size());
            for (int n = 0; n < rows.size(); n++) {
                FormulaLine line = formula.lines().get(n);
                LinesCsv.Row row = rows.get(n);
                assertEquals(row.slug(), line.ingredient());
                assertEquals(Double.parseDouble(row.grams()), line.grams());
                assertEquals(
                        row.role().toUpperCase(java.util.Locale.ROOT),
                        line.role().name());
                assertEquals(row.pieces().isEmpty() ? null : Double.valueOf(row.pieces()), line.pieces());
                assertEquals(row.toEffect(), (boolean) line.toEffect());
                assertEquals(row.written(), line.written());
            }
        }
    }

    @Test
    public void aRecipeKeepsIngredientsGramsAndSteps() {
        SplittableRandom random = new SplittableRandom(12);
        LineReader reader = new LineReader(TABLE);
        for (int i = 0; i < 60; i++) {
            Formula formula = any(random);
            RecipeLd.Read read = RecipeLd.read(RecipeLd.write("A name", formula, names(formula), 1200.0));
            assertEquals(read.name(), "A name");
            assertEquals(read.family().orElseThrow(), formula.family());
            for (int n = 0; n < formula.lines().size(); n++) {
                FormulaLine line = formula.lines().get(n);
                var back = reader.read(read.ingredients().get(n), Measures.METRIC);
                assertEquals(
                        back.ingredient(), line.ingredient(), read.ingredients().get(n));
                assertEquals(back.grams(), line.grams(), 1e-6);
                assertEquals(back.optional(), line.role() == FormulaLine.Role.OPTIONAL);
            }
            for (int n = 0; n < formula.method().size(); n++) {
                var step = formula.method().get(n);
                var back = read.steps().get(n);
                assertEquals(back.action(), step.action());
                assertEquals(back.cue(), step.cue());
                assertEquals(back.caution(), step.caution());
                assertEquals(
                        back.tool() + back.setting() + back.right() + back.wrong(),
                        step.tool() + step.setting() + step.right() + step.wrong());
            }
        }
    }

    /** Shapes that pages on the web use; invented. */
    @Test
    public void recipesOfOthersAreFoundInGraphsAndSections() {
        String page = """
                {"@context":"https://schema.org","@graph":[{"@type":"WebPage","name":"x"},
                 {"@type":["Recipe","Thing"],"name":"Pier toffee","recipeIngredient":["1 cup sugar","2 sticks butter"],
                  "recipeInstructions":[{"@type":"HowToSection","name":"Cook","itemListElement":[
                    {"@type":"HowToStep","text":"Boil to 300°F."},{"@type":"HowToStep","text":"Pour."}]}]}]}
                """;
        RecipeLd.Read read = RecipeLd.read(page);
        assertEquals(read.name(), "Pier toffee");
        assertEquals(read.ingredients().size(), 2);
        assertEquals(read.steps().get(1).action(), "Pour.");
        assertEquals(
                RecipeLd.read("{\"@type\":\"Recipe\",\"name\":\"x\",\"recipeInstructions\":\"Boil.\\nPour.\"}")
                        .steps()
                        .size(),
                2);
    }

    @Test
    public void whatIsNoneOfThemIsSaid() {
        for (String bad :
                List.of("{}", "[1]", "{\"format\":\"zest-stack-formula\"}", "not json", "{\"formatVersion\":2}")) {
            expectThrows(InvalidInput.class, () -> FormulaJson.read(bad));
            expectThrows(InvalidInput.class, () -> RecipeLd.read(bad));
        }
        expectThrows(InvalidInput.class, () -> LinesCsv.read("a,b\n1,2"));
        expectThrows(InvalidInput.class, () -> LinesCsv.read("ingredient,grams\n\"open"));
    }

    /** A cell must be no formula of a spreadsheet, whatever stands before its sign; and it comes back as it was. */
    @Test
    public void aSpreadsheetFindsNoFormulaOfItsOwn() {
        for (String written : List.of(
                "=1+1", "+1", "-1", "@x", "\n=1+1", "\t=1", " =1", "\r\n  @x", "\u00a0=1", "'=1", "1 = 2", "plain")) {
            FormulaLine line = new FormulaLine("sugar", 1, FormulaLine.Role.POT, null, false, null, written, List.of());
            Formula formula = new Formula(Family.OTHER, List.of(line), null, 0.02, List.of());
            String csv = LinesCsv.write(formula, Map.of("sugar", written));
            List<LinesCsv.Row> rows = LinesCsv.read(csv);
            assertEquals(rows.get(0).written().strip(), written.strip(), csv);
            assertTrue(!csv.matches("(?s).*[,\"]\\s*[=+@-].*"), csv);
        }
    }

    @Test
    public void longListsAreToldBeforeTheyAreRead() {
        String entries = "\"1 cup sugar\",".repeat(61).replaceAll(",$", "");
        String told = expectThrows(
                        InvalidInput.class,
                        () -> RecipeLd.read("{\"@type\":\"Recipe\",\"recipeIngredient\":[" + entries + "]}"))
                .getMessage();
        assertTrue(told.contains("61 entries; at most 60"), told);
        RecipeLd.read(
                "{\"@type\":\"Recipe\",\"recipeIngredient\":[" + entries.replaceFirst("\"1 cup sugar\",", "") + "]}");
        assertEquals(LinesCsv.read("slug,grams\n" + "sugar,1\n".repeat(60)).size(), 60);
        expectThrows(InvalidInput.class, () -> LinesCsv.read("slug,grams\n" + "sugar,1\n".repeat(61)));
    }
}

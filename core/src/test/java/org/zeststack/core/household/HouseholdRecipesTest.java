package org.zeststack.core.household;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.testng.Reporter;
import org.testng.annotations.Test;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.CsvTable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Twelve whole recipes, 175 lines, by somebody who had not seen the reader. Each is read as it is pasted; what comes of each of its
 * lines is held against what anyone would read. A line is right if its ingredient and grams are, and an assumption is marked.
 */
public class HouseholdRecipesTest {

    private static final Map<String, Set<String>> SLUGS = names();

    private static Map<String, Set<String>> names() {
        Map<String, Set<String>> slugs = new LinkedHashMap<>();
        for (CsvTable.Row row :
                CsvTable.load(HouseholdRecipesTest.class, "household-names.csv").rows()) {
            String list = row.text("slugs");
            slugs.put(row.text("name"), list.isEmpty() ? Set.of() : Set.of(list.split(" ")));
        }
        return slugs;
    }

    private static JsonNode recipes() throws IOException {
        try (InputStream file = HouseholdRecipesTest.class.getResourceAsStream("household-recipes.json")) {
            return new JsonMapper().readTree(file);
        }
    }

    /** What a line came to. */
    private enum Result {
        RIGHT,
        RIGHT_BUT_MARKED,
        WRONG_MARKED,
        WRONG_SILENT,
        ASSUMED_SILENT
    }

    @Test
    public void nineLinesOfTenAreRightAndNoneIsWrongWithoutAMark() throws IOException {
        RecipeReader reader = new RecipeReader(new LineReader(IngredientTable.shipped()));
        Map<Result, List<String>> results = new LinkedHashMap<>();
        int lines = 0;
        for (JsonNode recipe : recipes()) {
            Measures measures =
                    Measures.valueOf(recipe.get("measures").asString().toUpperCase(Locale.ROOT));
            Recipe read = reader.read(recipe.get("text").asString(), measures);
            for (JsonNode line : recipe.get("lines")) {
                String source = line.get("source").asString();
                List<HouseholdLine> of = read.lines().stream()
                        .map(Recipe.Line::read)
                        .filter(l -> source.contains(l.source()))
                        .toList();
                results.computeIfAbsent(judge(line, of), r -> new ArrayList<>()).add(source + " -> " + told(of));
                lines++;
            }
        }
        Reporter.log(table(lines, results), true);
        assertEquals(lines, 175);
        assertTrue(
                !results.containsKey(Result.WRONG_SILENT),
                "wrong without a mark:\n" + rows(results, Result.WRONG_SILENT));
        assertTrue(
                !results.containsKey(Result.ASSUMED_SILENT),
                "assumed without a mark:\n" + rows(results, Result.ASSUMED_SILENT));
        int right = rows(results, Result.RIGHT).size()
                + rows(results, Result.RIGHT_BUT_MARKED).size();
        assertTrue(right >= 0.92 * lines, right + " right of " + lines + "\n" + rows(results, Result.WRONG_MARKED));
    }

    private static List<String> rows(Map<Result, List<String>> results, Result result) {
        return results.getOrDefault(result, List.of());
    }

    private static String table(int lines, Map<Result, List<String>> results) {
        StringBuilder table = new StringBuilder(lines + " lines");
        for (Result result : Result.values()) {
            table.append(", ").append(rows(results, result).size()).append(' ').append(result);
        }
        for (Result result : List.of(Result.WRONG_MARKED, Result.WRONG_SILENT, Result.ASSUMED_SILENT)) {
            rows(results, result)
                    .forEach(r ->
                            table.append("\n  ").append(result).append(": ").append(r));
        }
        return table.toString();
    }

    private static String told(List<HouseholdLine> lines) {
        return lines.stream()
                .map(l -> "%s %s g %s%s"
                        .formatted(l.ingredient(), l.grams(), l.guesses(), l.toEffect() ? " to effect" : ""))
                .toList()
                .toString();
    }

    private static Result judge(JsonNode line, List<HouseholdLine> read) {
        String flag = line.get("flag").asString();
        boolean marked = read.stream().anyMatch(l -> !l.guesses().isEmpty());
        boolean grams = read.stream().anyMatch(l -> l.grams() != null);
        return switch (flag) {
            case "none" -> read.isEmpty() ? Result.RIGHT : marked ? Result.WRONG_MARKED : Result.WRONG_SILENT;
            case "refuse" -> !grams ? Result.RIGHT : marked ? Result.WRONG_MARKED : Result.WRONG_SILENT;
            case "effect" -> {
                boolean right =
                        read.size() == 1 && !grams && (read.get(0).toEffect() || marked) && isNamed(line, read.get(0));
                yield right ? Result.RIGHT : marked ? Result.WRONG_MARKED : Result.WRONG_SILENT;
            }
            case "sure" ->
                isRight(line, read)
                        ? marked ? Result.RIGHT_BUT_MARKED : Result.RIGHT
                        : marked ? Result.WRONG_MARKED : Result.WRONG_SILENT;
            case "guess" ->
                isRight(line, read) || !grams && handful(line)
                        ? marked ? Result.RIGHT : Result.ASSUMED_SILENT
                        : marked ? Result.WRONG_MARKED : Result.WRONG_SILENT;
            default -> throw new IllegalArgumentException(flag);
        };
    }

    private static boolean handful(JsonNode line) {
        return line.get("note").asString().contains("refusal would be as good");
    }

    /** Ingredients in order and their grams; a line of several parts becomes several lines. */
    private static boolean isRight(JsonNode line, List<HouseholdLine> read) {
        JsonNode parts = line.get("parts");
        if (parts == null) {
            return read.size() == 1 && isRight(line, read.get(0));
        }
        boolean right = read.size() == parts.size();
        for (int i = 0; right && i < read.size(); i++) {
            right = isRight(parts.get(i), read.get(i));
        }
        return right;
    }

    private static boolean isRight(JsonNode expected, HouseholdLine read) {
        return isNamed(expected, read)
                && read.grams() != null
                && Math.abs(read.grams() - expected.get("grams").asDouble())
                        <= expected.get("tolerance").asDouble() + 1e-9;
    }

    private static boolean isNamed(JsonNode expected, HouseholdLine read) {
        return SLUGS.get(expected.get("ingredient").asString())
                .contains(read.ingredient() == null ? "" : read.ingredient());
    }
}

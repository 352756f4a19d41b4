package org.zeststack.core.household;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.testng.Reporter;
import org.testng.annotations.Test;
import org.zeststack.core.ingredient.IngredientTable;

/**
 * {@code unseen-lines.txt}: recipes in the ways that went wrong for people, written down before the reader was opened for them. Each is
 * read whole, as it is pasted; what comes of each line is held against what anyone would read.
 */
public class UnseenLinesTest {

    private static final RecipeReader READER = new RecipeReader(new LineReader(IngredientTable.shipped()));

    private enum Result {
        RIGHT,
        RIGHT_BUT_MARKED,
        WRONG_MARKED,
        WRONG_SILENT
    }

    /** A line of a recipe with what it must come to. */
    private record Case(String line, String expected) {}

    private record Cook(String title, Measures measures, List<Double> stops, List<Case> lines) {

        String text() {
            return lines.stream().map(Case::line).collect(Collectors.joining("\n"));
        }
    }

    private static List<Cook> cooks() throws IOException {
        List<Cook> cooks = new ArrayList<>();
        String title = "";
        Measures measures = null;
        List<Double> stops = List.of();
        List<Case> lines = new ArrayList<>();
        for (String line : text()) {
            if (line.startsWith("#") || line.isBlank()) {
                continue;
            }
            if (line.startsWith("== ")) {
                lines = new ArrayList<>();
                title = line.substring(3);
                stops = List.of();
            } else if (line.startsWith("measures: ")) {
                measures = Measures.valueOf(line.substring(10).toUpperCase(Locale.ROOT));
                cooks.add(new Cook(title, measures, stops, lines));
            } else if (line.startsWith("stops: ")) {
                stops = Arrays.stream(line.substring(7).split(" "))
                        .map(Double::valueOf)
                        .toList();
                cooks.set(cooks.size() - 1, new Cook(title, measures, stops, lines));
            } else {
                String[] sides = line.split(" ==> ");
                lines.add(new Case(sides[0], sides[1]));
            }
        }
        return cooks;
    }

    private static List<String> text() throws IOException {
        try (BufferedReader reader = new BufferedReader(new InputStreamReader(
                UnseenLinesTest.class.getResourceAsStream("unseen-lines.txt"), StandardCharsets.UTF_8))) {
            return reader.lines().toList();
        }
    }

    @Test
    public void nineLinesOfTenAreRightAndNoneIsWrongWithoutAMark() throws IOException {
        Map<Result, List<String>> results = new EnumMap<>(Result.class);
        int count = 0;
        for (Cook cook : cooks()) {
            Recipe recipe = READER.read(cook.text(), cook.measures());
            Deque<HouseholdLine> left = new ArrayDeque<>(
                    recipe.lines().stream().map(Recipe.Line::read).toList());
            for (Case one : cook.lines()) {
                List<HouseholdLine> read = new ArrayList<>();
                while (!left.isEmpty() && one.line().contains(left.peek().source())) {
                    read.add(left.poll());
                }
                // What stands among what was not read is shown as that.
                boolean shown = read.isEmpty() && recipe.rest().contains(one.line());
                Result result = !shown || one.expected().equals("none")
                        ? judge(one.expected(), read)
                        : one.expected().equals("? -") ? Result.RIGHT : Result.WRONG_MARKED;
                results.computeIfAbsent(result, r -> new ArrayList<>()).add(one.line() + " -> " + told(read));
                count++;
            }
        }
        StringBuilder table = new StringBuilder(count + " lines");
        for (Result result : Result.values()) {
            List<String> rows = results.getOrDefault(result, List.of());
            table.append(", ").append(rows.size()).append(' ').append(result);
        }
        for (Result result : List.of(Result.WRONG_SILENT, Result.WRONG_MARKED, Result.RIGHT_BUT_MARKED)) {
            results.getOrDefault(result, List.of())
                    .forEach(row ->
                            table.append("\n  ").append(result).append(": ").append(row));
        }
        Reporter.log(table.toString(), true);
        assertEquals(count, 125);
        assertEquals(results.getOrDefault(Result.WRONG_SILENT, List.of()), List.of(), "wrong without a mark");
        int right = results.getOrDefault(Result.RIGHT, List.of()).size()
                + results.getOrDefault(Result.RIGHT_BUT_MARKED, List.of()).size();
        assertTrue(right >= 0.95 * count, table.toString());
    }

    private static String told(List<HouseholdLine> lines) {
        return lines.stream()
                .map(l -> "%s %s g %s%s"
                        .formatted(l.ingredient(), l.grams(), l.guesses(), l.toEffect() ? " to effect" : ""))
                .toList()
                .toString();
    }

    private static boolean isMarked(HouseholdLine line) {
        return line.toEffect() || !line.guesses().isEmpty() || line.ingredient() == null;
    }

    private static Result judge(String expected, List<HouseholdLine> read) {
        boolean marked = read.stream().anyMatch(UnseenLinesTest::isMarked);
        if (expected.equals("none")) {
            return read.isEmpty() ? Result.RIGHT : marked ? Result.WRONG_MARKED : Result.WRONG_SILENT;
        }
        String[] parts = expected.split("; ");
        boolean right = parts.length == read.size();
        boolean sure = true;
        for (int i = 0; right && i < parts.length; i++) {
            right = isRight(parts[i].strip(), read.get(i));
            sure &= parts[i].contains("~") || parts[i].endsWith(" -") || !isMarked(read.get(i));
        }
        if (right) {
            return sure ? Result.RIGHT : Result.RIGHT_BUT_MARKED;
        }
        // Every part that is wrong must be marked; a part that is missing was dropped without a word.
        boolean told = read.size() >= parts.length && marked;
        return told ? Result.WRONG_MARKED : Result.WRONG_SILENT;
    }

    private static boolean isRight(String part, HouseholdLine read) {
        String[] words = part.split(" ");
        boolean named = words[0].equals("?")
                || Set.of(words[0].split("\\|")).contains(read.ingredient() == null ? "" : read.ingredient());
        if (words[1].equals("-")) {
            return named && read.grams() == null && isMarked(read);
        }
        boolean guess = words[1].startsWith("~");
        double grams = Double.parseDouble(words[1].replace("~", ""));
        return named
                && read.grams() != null
                && Math.abs(read.grams() - grams) <= Double.parseDouble(words[2]) + 1e-9
                && (!guess || isMarked(read));
    }

    @Test
    public void readingsAreTheProgramOfThePotInTheirOrder() throws IOException {
        for (Cook cook : cooks()) {
            if (cook.stops().isEmpty()) {
                continue;
            }
            Recipe recipe = READER.read(cook.text(), cook.measures());
            double last = cook.stops().get(cook.stops().size() - 1);
            assertEquals(recipe.stopCelsius(), last, 0.05, cook.title());
        }
    }
}

package org.zeststack.core.household;

import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.testng.Reporter;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.ingredient.IngredientTable;

/** Two dozen whole recipes: nine lines of ten right as they stand, and none wrong without a mark. */
public class AwkwardRecipesTest {

    private record Expected(
            String recipe, Measures measures, String line, String slug, Double grams, double tolerance) {}

    private static List<Expected> expected(String file) throws IOException {
        List<Expected> all = new ArrayList<>();
        String recipe = "";
        Measures measures = Measures.METRIC;
        try (InputStream stream = AwkwardRecipesTest.class.getResourceAsStream(file)) {
            for (String line : new String(stream.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList()) {
                if (line.startsWith("== ")) {
                    recipe = line.substring(3);
                } else if (line.startsWith("measures: ")) {
                    measures = Measures.valueOf(line.substring(10).toUpperCase(Locale.ROOT));
                } else if (line.contains(" ==> ") && !line.startsWith("#")) {
                    String[] parts = line.split(" ==> ");
                    String[] words = parts[1].split(" ");
                    boolean open = words[words.length - 1].equals("open");
                    all.add(new Expected(
                            recipe,
                            measures,
                            parts[0],
                            words[0].equals("open") ? null : words[0],
                            open ? null : Double.valueOf(words[1]),
                            open ? 0 : Double.parseDouble(words[2])));
                }
            }
        }
        return all;
    }

    @DataProvider
    public Object[][] dozens() {
        return new Object[][] {{"recipes.txt"}, {"recipes-2.txt"}, {"recipes-3.txt"}, {"recipes-4.txt"}};
    }

    @Test(dataProvider = "dozens")
    public void areReadRightOrMarked(String file) throws IOException {
        LineReader reader = new LineReader(IngredientTable.shipped());
        int right = 0;
        int rightUnmarked = 0;
        List<String> unmarkedWrong = new ArrayList<>();
        List<String> markedWrong = new ArrayList<>();
        List<Expected> all = expected(file);
        for (Expected e : all) {
            HouseholdLine read = reader.read(e.line, e.measures);
            boolean slug = e.slug == null || e.slug.equals(read.ingredient());
            boolean grams = e.grams == null
                    ? !read.guesses().isEmpty()
                    : read.grams() != null && Math.abs(read.grams() - e.grams) <= e.tolerance;
            String told =
                    "%s: %s -> %s %s g %s".formatted(e.recipe, e.line, read.ingredient(), read.grams(), read.guesses());
            if (slug && grams) {
                right++;
                rightUnmarked += read.guesses().isEmpty() ? 1 : 0;
            } else {
                (read.guesses().isEmpty() ? unmarkedWrong : markedWrong).add(told);
            }
        }
        String table = "%d lines: %d right (%d of them without a mark), %d wrong but marked, %d wrong without a mark"
                .formatted(all.size(), right, rightUnmarked, markedWrong.size(), unmarkedWrong.size());
        Reporter.log(table, true);
        assertTrue(unmarkedWrong.isEmpty(), String.join("\n", unmarkedWrong));
        assertTrue(right >= 0.9 * all.size(), table + "\n" + String.join("\n", markedWrong));
    }
}

package org.zeststack.core.ingredient;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.CsvTable;
import org.zeststack.core.quantity.InvalidInput;

/** Reads the open data file of generic ingredients; its columns are explained on top of the file. */
final class IngredientFile {

    private IngredientFile() {}

    static List<Ingredient> shipped() {
        return read(CsvTable.load(IngredientFile.class, "ingredients.csv"));
    }

    /** Reads a table; fails with file, line and reason where a row is faulty. */
    static List<Ingredient> read(CsvTable table) {
        return table.rows().stream().map(IngredientFile::read).toList();
    }

    private static Ingredient read(CsvTable.Row row) {
        Map<Part, Double> grams = new EnumMap<>(Part.class);
        for (Part part : Part.values()) {
            grams.put(part, row.number(part.name().toLowerCase(Locale.ROOT)));
        }
        double de = row.number("de");
        Ingredient ingredient = new Ingredient(
                row.text("slug"),
                row.text("name"),
                Composition.of(grams, de == 0 ? Composition.USUAL_DE : de),
                row.number("saturates"),
                row.number("liquid_fat"),
                row.number("sodium"),
                row.text("couverture"),
                nature(row),
                row.number("density"),
                row.text("bulk").equals("?") ? Bulk.UNKNOWN : bulk(row.number("bulk")),
                row.number("aw"),
                row.number("wet_aw"),
                household(row),
                row.words("also"),
                row.words("allergens"),
                row.constant(row.text("basis"), Ingredient.Basis.class),
                Map.of(),
                row.text("caution"),
                row.text("note"),
                null);
        try {
            ingredient.check();
        } catch (InvalidInput input) {
            throw row.bad(ingredient.slug() + ": " + input.getMessage());
        }
        return ingredient;
    }

    private static Nature nature(CsvTable.Row row) {
        return new Nature(
                row.text("kind").isEmpty() ? Nature.Kind.PLAIN : row.constant(row.text("kind"), Nature.Kind.class),
                row.words("risk").stream()
                        .map(word -> row.constant(word, Nature.Risk.class))
                        .collect(Collectors.toSet()));
    }

    private static Bulk bulk(double gramsPerMl) {
        return gramsPerMl > 0 ? Bulk.of(gramsPerMl) : Bulk.MASSIVE;
    }

    private static Map<String, Ingredient.Measure> household(CsvTable.Row row) {
        Map<String, Ingredient.Measure> measures = new LinkedHashMap<>();
        for (String word : row.words("household")) {
            String[] parts = word.split("=", 2);
            boolean guess = word.endsWith("?");
            try {
                double grams = Double.parseDouble(guess ? parts[1].substring(0, parts[1].length() - 1) : parts[1]);
                measures.put(parts[0], new Ingredient.Measure(grams, guess));
            } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
                throw row.bad("household " + word + " is not measure=grams");
            }
        }
        return measures;
    }
}

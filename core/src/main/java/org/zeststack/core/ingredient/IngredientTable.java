package org.zeststack.core.ingredient;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.CsvTable;

/** The ingredients known to the workshop, by slug. */
public final class IngredientTable {

    private static final double TOLERANCE_GRAMS = 1;

    private final Map<String, Ingredient> bySlug = new LinkedHashMap<>();

    /** The table shipped with the application; typical values from memory. */
    public static IngredientTable shipped() {
        IngredientTable table = new IngredientTable();
        CsvTable.load(IngredientTable.class, "ingredients.csv").rows().forEach(row -> table.add(read(row), row));
        return table;
    }

    private void add(Ingredient ingredient, CsvTable.Row row) {
        if (bySlug.put(ingredient.slug(), ingredient) != null) {
            throw row.bad("slug " + ingredient.slug() + " appears twice");
        }
    }

    private static Ingredient read(CsvTable.Row row) {
        Map<Part, Double> grams = new EnumMap<>(Part.class);
        for (Part part : Part.values()) {
            grams.put(part, row.number(part.name().toLowerCase(Locale.ROOT)));
        }
        double de = row.number("de");
        Composition composition = Composition.of(grams, de == 0 ? Composition.USUAL_DE : de);
        double sum = composition.totalGrams();
        if (Math.abs(sum - 100) > TOLERANCE_GRAMS) {
            throw row.bad("%s adds up to %.1f g, not 100 ± 1".formatted(row.text("slug"), sum));
        }
        return new Ingredient(
                row.text("slug"),
                row.text("name"),
                composition,
                row.text("couverture"),
                row.number("density"),
                words(row.text("allergens")),
                row.text("note"));
    }

    private static List<String> words(String cell) {
        List<String> words = new ArrayList<>();
        for (String word : cell.split(";")) {
            if (!word.isBlank()) {
                words.add(word.strip());
            }
        }
        return words;
    }

    public Optional<Ingredient> find(String slug) {
        return Optional.ofNullable(bySlug.get(slug));
    }

    /**
     * The ingredient with a slug.
     *
     * @throws IllegalArgumentException if there is none
     */
    public Ingredient get(String slug) {
        return find(slug).orElseThrow(() -> new IllegalArgumentException("no ingredient " + slug));
    }

    public Collection<Ingredient> all() {
        return List.copyOf(bySlug.values());
    }
}

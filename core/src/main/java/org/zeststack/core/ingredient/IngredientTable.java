package org.zeststack.core.ingredient;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The ingredients known to the workshop, by slug. Immutable. */
public final class IngredientTable {

    private final Map<String, Ingredient> bySlug;
    private final List<Searched> searched;

    private record Searched(Ingredient ingredient, String name, String all) {}

    private IngredientTable(Map<String, Ingredient> bySlug, List<Searched> searched) {
        this.bySlug = bySlug;
        this.searched = searched;
    }

    /** The table shipped with the application. */
    public static IngredientTable shipped() {
        return of(IngredientFile.shipped());
    }

    /**
     * A table of these ingredients.
     *
     * @throws IllegalArgumentException if a slug appears twice
     */
    public static IngredientTable of(Collection<Ingredient> ingredients) {
        Map<String, Ingredient> bySlug = new LinkedHashMap<>();
        List<Searched> searched = new ArrayList<>();
        for (Ingredient ingredient : ingredients) {
            if (bySlug.put(ingredient.slug(), ingredient) != null) {
                throw new IllegalArgumentException("slug " + ingredient.slug() + " appears twice");
            }
            String name = folded(ingredient.name());
            searched.add(
                    new Searched(ingredient, name, " " + name + " " + folded(String.join(" ", ingredient.also()))));
        }
        return new IngredientTable(bySlug, List.copyOf(searched));
    }

    /** This table with others added or put in the place of those of the same slug; they are not found by searching. */
    public IngredientTable with(Collection<Ingredient> others) {
        if (others.isEmpty()) {
            return this;
        }
        Map<String, Ingredient> both = new LinkedHashMap<>(bySlug);
        others.forEach(other -> both.put(other.slug(), other));
        return new IngredientTable(both, searched);
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

    /**
     * Ingredients of which every typed word begins a word of their names; those whose own name begins with the text first.
     *
     * @param most longest list wanted
     */
    public List<Ingredient> search(String typed, int most) {
        String text = folded(typed).strip();
        String[] words = Arrays.stream(text.split(" ")).map(w -> " " + w).toArray(String[]::new);
        return searched.stream()
                .filter(s -> Arrays.stream(words).allMatch(s.all::contains))
                .sorted(Comparator.comparing((Searched s) -> !s.name.startsWith(text))
                        .thenComparing(s -> !Arrays.stream(words).allMatch((" " + s.name)::contains))
                        .thenComparing(Searched::name))
                .limit(most)
                .map(Searched::ingredient)
                .toList();
    }

    private static String folded(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFKD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9%.]+", " ");
    }
}

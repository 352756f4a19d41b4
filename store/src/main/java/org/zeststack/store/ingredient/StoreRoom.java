package org.zeststack.store.ingredient;

import java.util.Collection;
import java.util.Optional;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.store.Stamp;

/** Keeps the ingredients. Saves throw {@link org.zeststack.store.StaleEdit}. */
public interface StoreRoom {

    /** An ingredient with its lock. */
    record Kept(Ingredient ingredient, int lock, Stamp stamp) {}

    /**
     * All ingredients, kept in memory until one changes. What this instance changes is there at once, what another changes
     * within a fifth of a second.
     */
    IngredientTable table();

    Optional<Kept> find(String slug);

    /** Adds a new ingredient; false if its slug is taken. */
    boolean add(Ingredient ingredient, Stamp stamp);

    void save(Ingredient ingredient, int lock, Stamp stamp);

    /** Takes these over if there is no ingredient yet; returns how many were taken. */
    int fillOnce(Collection<Ingredient> ingredients, Stamp stamp);
}

package org.zeststack.core.formula;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Nutrition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;

/**
 * Formulas used as ingredients of others: each version that a formula points to, directly or through others, stands in the
 * table under its link, with the composition of its finished mass. The same water is left wherever it is cooked, so the
 * sea-level stop is taken.
 */
public final class FormulaBook {

    private final IngredientTable base;
    private final Function<FormulaLink, Optional<NamedFormula>> versions;
    private final Map<FormulaLink, NamedFormula> used = new LinkedHashMap<>();
    private final Map<FormulaLink, Ingredient> made = new LinkedHashMap<>();

    private FormulaBook(IngredientTable base, Function<FormulaLink, Optional<NamedFormula>> versions) {
        this.base = base;
        this.versions = versions;
    }

    /**
     * What one formula needs.
     *
     * @param table the ingredients with the formulas used among them
     * @param used formulas used, those that must be made first standing first
     */
    public record Needs(IngredientTable table, List<NamedFormula> used) {}

    /**
     * Gathers what a formula points to.
     *
     * @param id the formula's own id; 0 for one that is not kept
     * @param name the formula's own name, to tell a circle by
     * @param versions finds a version of a formula
     * @throws InvalidInput if a version is missing or a formula would contain itself; fields are {@code line.N.ingredient}
     */
    public static Needs needs(
            long id,
            String name,
            Formula formula,
            IngredientTable base,
            Function<FormulaLink, Optional<NamedFormula>> versions) {
        FormulaBook book = new FormulaBook(base, versions);
        List<NamedFormula> path = new ArrayList<>();
        path.add(new NamedFormula(id, name, 0, formula));
        for (int i = 0; i < formula.lines().size(); i++) {
            String field = "line." + i + ".ingredient";
            FormulaLink.in(formula.lines().get(i).ingredient()).ifPresent(link -> book.visit(link, path, field));
        }
        return new Needs(base.with(book.made.values()), List.copyOf(book.used.values()));
    }

    private void visit(FormulaLink link, List<NamedFormula> path, String field) {
        NamedFormula found = versions.apply(link)
                .orElseThrow(() -> new InvalidInput(
                        Fault.of(field, link.text(), "There is no such version of a formula: choose another.")));
        refuseCircle(found, path, field);
        if (used.containsKey(link)) {
            return;
        }
        path.add(found);
        for (FormulaLine line : found.formula().lines()) {
            FormulaLink.in(line.ingredient()).ifPresent(inner -> visit(inner, path, field));
        }
        path.remove(path.size() - 1);
        used.put(link, found);
        made.put(link, ingredient(found, base.with(made.values())));
    }

    private static void refuseCircle(NamedFormula found, List<NamedFormula> path, String field) {
        for (int i = 0; i < path.size(); i++) {
            if (path.get(i).id() == found.id()) {
                StringBuilder circle = new StringBuilder(path.get(i).name());
                path.subList(i + 1, path.size())
                        .forEach(p -> circle.append(" uses ").append(p.name()).append(", which"));
                circle.append(" uses ").append(found.name());
                throw new InvalidInput(
                        Fault.of(field, found.link().text(), "A formula cannot contain itself: " + circle + "."));
            }
        }
    }

    /**
     * A finished formula as an ingredient.
     *
     * @throws InvalidInput or a refusal where it cannot be balanced
     */
    public static Ingredient ingredient(NamedFormula named, IngredientTable table) {
        FormulaBalance balance = FormulaBalance.of(named.formula(), table, Atmosphere.SEA_LEVEL_KPA);
        Makeup makeup = Makeup.of(named.formula(), balance, table, Map.of());
        Composition hundred = balance.after().times(100 / balance.after().totalGrams());
        Nutrition panel = makeup.per100Grams();
        return new Ingredient(
                named.link().text(),
                named.name() + ", version " + named.version(),
                hundred,
                panel.saturates(),
                makeup.liquidFatFraction() * panel.fat(),
                makeup.sodiumPer100Grams(),
                "",
                new Nature(
                        named.formula().family() == Family.COLOUR ? Nature.Kind.COLOURED_BUTTER : Nature.Kind.PLAIN,
                        makeup.risks()),
                balance.densityGramsPerMl(),
                balance.bulk(),
                balance.freeWater().typical().orElse(0.0),
                0,
                Map.of(),
                List.of(),
                makeup.allergens(),
                Ingredient.Basis.COMPUTED,
                balance.freeWater().moistureKnown() ? Map.of() : Map.of(Part.WATER, hundred.waterGrams()),
                "",
                "",
                null);
    }
}

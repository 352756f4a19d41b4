package org.zeststack.web.bar;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarParts;
import org.zeststack.core.bar.BarStack;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.workshop.Mould;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.shelf.Shelf;

/**
 * Looks up what a bar points to and computes it. Formula versions never change, so what one comes to is worked out once
 * and kept; a drag then costs one look-up of the mould and arithmetic.
 */
@Component
public class BarWorkings {

    /** A formula version and the density of its finished mass. */
    record Finished(Designs.Version<Formula> version, double densityGramsPerMl) {}

    private record Key(long formula, int version) {}

    private final Designs<Formula> formulas;
    private final WorkshopStore workshop;
    private final Shelf shelf;
    private final Map<Key, Finished> finished = new ConcurrentHashMap<>();
    private volatile IngredientTable finishedWith;

    BarWorkings(Designs<Formula> formulas, WorkshopStore workshop, Shelf shelf) {
        this.formulas = formulas;
        this.workshop = workshop;
        this.shelf = shelf;
    }

    /** A bar with everything it points to. */
    public record Worked(
            BarStack stack,
            BarParts parts,
            Saved<Mould> mould,
            Ingredient shell,
            Ingredient back,
            List<Designs.Version<Formula>> fillings) {}

    /**
     * Computes a bar.
     *
     * @throws InvalidInput if something it points to is missing or it cannot be drawn
     */
    public Worked work(Bar bar) {
        IngredientTable ingredients = shelf.table();
        bar.check(ingredients);
        Saved<Mould> mould =
                workshop.mould(bar.mould()).orElseThrow(() -> fault("mould", bar.mould(), "Choose a mould."));
        List<Finished> fillings = new ArrayList<>();
        for (int i = 0; i < bar.fillings().size(); i++) {
            fillings.add(finished(bar.fillings().get(i), i, ingredients));
        }
        Ingredient shell = ingredients.get(bar.shell());
        Ingredient back = ingredients.get(bar.back());
        BarParts parts = new BarParts(
                mould.content().cavity(),
                part(shell),
                part(back),
                fillings.stream().map(BarWorkings::part).toList());
        return new Worked(
                BarStack.of(bar, parts),
                parts,
                mould,
                shell,
                back,
                fillings.stream().map(Finished::version).toList());
    }

    private Finished finished(Bar.FillingLayer layer, int index, IngredientTable table) {
        if (finishedWith != table) {
            // An ingredient was changed: every density may be another.
            finished.clear();
            finishedWith = table;
        }
        return finished.computeIfAbsent(new Key(layer.formula(), layer.version()), key -> {
            Designs.Version<Formula> version = formulas.version(key.formula, key.version)
                    .orElseThrow(() -> fault(
                            "filling." + index + ".formula", key.formula, "Choose a formula that has a version."));
            IngredientTable needs = shelf.needs(key.formula, version.name(), version.content(), table)
                    .table();
            // Density is taken at the sea-level stop: the same water is left wherever it is cooked.
            double density = FormulaBalance.of(version.content(), needs, Atmosphere.SEA_LEVEL_KPA)
                    .densityGramsPerMl();
            return new Finished(version, density);
        });
    }

    private static InvalidInput fault(String field, long given, String message) {
        return new InvalidInput(Fault.of(field, String.valueOf(given), message));
    }

    private static BarParts.Part part(Ingredient couverture) {
        return new BarParts.Part(couverture.name(), couverture.couverture(), couverture.densityGramsPerMl());
    }

    private static BarParts.Part part(Finished filling) {
        return new BarParts.Part(
                filling.version.name(), filling.version.content().family().material(), filling.densityGramsPerMl);
    }
}

package org.zeststack.app.shelf;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.zeststack.app.design.Titles;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBook;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.household.LineReader;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.store.design.Designs;
import org.zeststack.store.ingredient.Lots;
import org.zeststack.store.ingredient.StoreRoom;

/** Resolves what the lines of formulas point to. */
@Component
public class Shelf {

    private final StoreRoom storeRoom;
    private final Lots lots;
    private final Designs<Formula> formulas;
    private volatile Versions versions = new Versions(null, Map.of());
    private volatile Read read = new Read(null, Map.of(), null);

    /** Versions never change; with another table of ingredients they may be those of other data, so each is read once for a table. */
    private record Versions(IngredientTable table, Map<FormulaLink, NamedFormula> byLink) {}

    private record Read(IngredientTable table, Map<String, String> own, LineReader reader) {}

    Shelf(StoreRoom storeRoom, Lots lots, Designs<Formula> formulas) {
        this.storeRoom = storeRoom;
        this.lots = lots;
        this.formulas = formulas;
    }

    /** The store room's ingredients as they are now. */
    public IngredientTable table() {
        return storeRoom.table();
    }

    /** Reader of household lines over the same ingredients and the names of formulas; made again only when they change. */
    public LineReader reader() {
        IngredientTable table = table();
        Map<String, String> own = new LinkedHashMap<>();
        formulas.choices().forEach(f -> own.put(f.name(), new FormulaLink(f.design(), f.number()).text()));
        Read now = read;
        if (now.table != table || !now.own.equals(own)) {
            now = new Read(table, own, new LineReader(table, own));
            read = now;
        }
        return now.reader;
    }

    /** A formula's table with the finished formulas that it uses, and those formulas. */
    public FormulaBook.Needs needs(long id, String name, Formula formula) {
        return needs(id, name, formula, table());
    }

    public FormulaBook.Needs needs(long id, String name, Formula formula, IngredientTable base) {
        return FormulaBook.needs(id, name, formula, base, this::version);
    }

    private Map<FormulaLink, NamedFormula> versions() {
        IngredientTable table = table();
        Versions now = versions;
        if (now.table != table) {
            now = new Versions(table, new ConcurrentHashMap<>());
            versions = now;
        }
        return now.byLink;
    }

    /** A version of a formula. */
    public Optional<NamedFormula> version(FormulaLink link) {
        Map<FormulaLink, NamedFormula> versions = versions();
        NamedFormula known = versions.get(link);
        if (known != null) {
            return Optional.of(known);
        }
        Optional<NamedFormula> found =
                formulas.version(link.formula(), link.version()).map(Shelf::named);
        found.ifPresent(version -> versions.put(link, version));
        return found;
    }

    public static NamedFormula named(Designs.Version<Formula> version) {
        return new NamedFormula(version.design(), version.name(), version.number(), version.content());
    }

    /** Every formula's version to be made, by name, without those that a newer release wrote. */
    public List<NamedFormula> current() {
        List<FormulaLink> made = made();
        Map<FormulaLink, NamedFormula> versions = versions();
        if (!versions.keySet().containsAll(made)) {
            formulas.current().forEach(v -> versions.put(new FormulaLink(v.design(), v.number()), named(v)));
        }
        return made.stream().map(versions::get).filter(Objects::nonNull).toList();
    }

    /** Which version of every formula is to be made. */
    public List<FormulaLink> made() {
        return formulas.choices().stream()
                .map(f -> new FormulaLink(f.design(), f.number()))
                .toList();
    }

    /** What chosen lots are made of, under the slug or link of what they are lots of. */
    public List<Ingredient> taken(Map<String, Long> chosen) {
        if (chosen.isEmpty()) {
            return List.of();
        }
        Map<Long, Lots.Kept> byId = new HashMap<>();
        lots.of(List.of(), chosen.values()).forEach(k -> byId.put(k.id(), k));
        IngredientTable table = table();
        List<Ingredient> applied = new ArrayList<>();
        chosen.forEach((what, id) -> {
            Lots.Kept kept = byId.get(id);
            if (kept != null) {
                usual(what, table).ifPresent(usual -> applied.add(kept.lot().applied(usual)));
            }
        });
        return applied;
    }

    /** An ingredient, or a formula's version as one. */
    public Optional<Ingredient> usual(String what, IngredientTable table) {
        Optional<FormulaLink> link = FormulaLink.in(what);
        if (link.isEmpty()) {
            return table.find(what);
        }
        return version(link.get())
                .map(named -> FormulaBook.ingredient(
                        named,
                        needs(named.id(), named.name(), named.formula(), table).table()));
    }

    /** What formulas are chosen by, by their ids. */
    public Map<Long, String> titles() {
        return Titles.of(current(), NamedFormula::id, NamedFormula::name, NamedFormula::version);
    }

    /** Names of slugs and links, for lists of lots. */
    public Map<String, String> names(Iterable<String> whats) {
        IngredientTable table = table();
        Map<String, String> names = new LinkedHashMap<>();
        for (String what : whats) {
            names.computeIfAbsent(what, w -> FormulaLink.in(w)
                    .flatMap(this::version)
                    .map(n -> n.name() + ", version " + n.version())
                    .or(() -> table.find(w).map(Ingredient::name))
                    .orElse(w));
        }
        return names;
    }
}

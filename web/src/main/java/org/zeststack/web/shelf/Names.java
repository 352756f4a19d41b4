package org.zeststack.web.shelf;

import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.ingredient.Ingredient;

/** Names as people type and read them, and the slugs and links that they stand for. */
@Component
public class Names {

    private final Shelf shelf;

    Names(Shelf shelf) {
        this.shelf = shelf;
    }

    /** The name a slug or link is shown under. */
    public String of(String slug) {
        return FormulaLink.in(slug)
                .flatMap(shelf::version)
                .map(n -> n.name() + ", version " + n.version())
                .or(() -> shelf.table().find(slug).map(Ingredient::name))
                .orElse(slug);
    }

    /**
     * What a typed name stands for.
     *
     * @param slug what it stood for when the page was drawn; empty where nothing
     */
    public Optional<String> slug(String typed, String slug) {
        if (!slug.isEmpty() && (typed.isEmpty() || of(slug).equals(typed))) {
            return Optional.of(slug);
        }
        return shelf.table()
                .find(typed)
                .map(Ingredient::slug)
                .or(() -> named(typed))
                .or(() -> FormulaLink.in(typed).flatMap(shelf::version).map(n -> n.link()
                        .text()))
                .or(() -> shelf.reader().named(typed));
    }

    /** A formula by its name, with or without its version. */
    private Optional<String> named(String typed) {
        return shelf.current().stream()
                .filter(n -> typed.equals(n.name() + ", version " + n.version()) || typed.equalsIgnoreCase(n.name()))
                .map(NamedFormula::link)
                .map(FormulaLink::text)
                .findFirst();
    }
}

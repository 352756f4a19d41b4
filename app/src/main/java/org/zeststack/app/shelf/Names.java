package org.zeststack.app.shelf;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.core.formula.FormulaLink;
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

    /** A formula by what it is chosen by; by its name alone where no other bears it. */
    public Optional<String> named(String typed) {
        Map<Long, String> titles = shelf.titles();
        List<String> found = shelf.current().stream()
                .filter(n -> typed.equals(titles.get(n.id()))
                        || typed.equals(n.name() + ", version " + n.version())
                        || typed.equalsIgnoreCase(n.name()))
                .sorted(Comparator.comparing(n -> !typed.equals(titles.get(n.id()))))
                .map(n -> n.link().text())
                .toList();
        boolean exactly = titles.containsValue(typed);
        return found.size() == 1 || exactly ? found.stream().findFirst() : Optional.empty();
    }
}

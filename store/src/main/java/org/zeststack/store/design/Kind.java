package org.zeststack.store.design;

import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.zeststack.core.formula.FormulaLink;

/**
 * What bars, formulas and boxes differ in as they are kept.
 *
 * @param name under which they stand in the table of designs
 * @param sort field of the content that lists sort and search by, beside the name; empty for none
 * @param titles what people call its values, in their order
 * @param materials slugs and links of what a design is made of
 */
record Kind<T>(
        String name,
        Class<T> type,
        String sort,
        Map<String, String> titles,
        Function<T, Collection<String>> materials) {

    static <E extends Enum<E>> Map<String, String> titles(E[] values, Function<E, String> title) {
        return Arrays.stream(values)
                .collect(Collectors.toMap(Enum::name, title, (one, other) -> one, LinkedHashMap::new));
    }

    /** Formulas that a design is made of. */
    Set<Long> formulas(T design) {
        return materials.apply(design).stream()
                .flatMap(of -> FormulaLink.in(of).stream())
                .map(FormulaLink::formula)
                .collect(Collectors.toSet());
    }
}

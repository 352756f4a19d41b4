package org.zeststack.app.design;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import org.zeststack.store.design.Designs;

/** What versions of designs are chosen by: name and version, with the design's number where another bears the same name. */
public final class Titles {

    private Titles() {}

    /** Titles of versions to be made, by design. */
    public static Map<Long, String> of(List<Designs.Choice> all) {
        return of(all, Designs.Choice::design, Designs.Choice::name, Designs.Choice::number);
    }

    /**
     * Titles by design.
     *
     * @param all versions to choose from, one of each design
     */
    public static <T> Map<Long, String> of(
            List<T> all, Function<T, Long> design, Function<T, String> name, Function<T, Integer> version) {
        Map<String, Integer> bearers = new HashMap<>();
        all.forEach(v -> bearers.merge(name.apply(v).toLowerCase(Locale.ROOT), 1, Integer::sum));
        Map<Long, String> titles = new LinkedHashMap<>();
        for (T v : all) {
            boolean shared = bearers.get(name.apply(v).toLowerCase(Locale.ROOT)) > 1;
            titles.put(
                    design.apply(v),
                    "%s, version %d%s"
                            .formatted(name.apply(v), version.apply(v), shared ? ", no. " + design.apply(v) : ""));
        }
        return titles;
    }
}

package org.zeststack.core.sheet;

import java.util.LinkedHashMap;
import java.util.Map;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;

/**
 * A mass as a sheet keeps it.
 *
 * @param grams by part; empty where nothing is known of it
 */
public record Mass(Map<Part, Double> grams, double dextroseEquivalent) {

    public static Mass of(Composition mass) {
        return new Mass(mass.byPart(), mass.dextroseEquivalent());
    }

    public Composition composition() {
        return Composition.of(grams, dextroseEquivalent);
    }

    /** Whether it is known what is in it. */
    public boolean known() {
        return !grams.isEmpty();
    }

    Mass times(double share) {
        Map<Part, Double> some = new LinkedHashMap<>();
        grams.forEach((part, of) -> some.put(part, of * share));
        return new Mass(some, dextroseEquivalent);
    }
}

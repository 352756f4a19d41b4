package org.zeststack.core.ingredient;

import java.time.LocalDate;
import java.util.Map;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * A lot of an ingredient, or of a component made ahead such as a jar of caramel.
 *
 * @param code the supplier's or the workshop's own
 * @param supplier empty for what was made here
 * @param received day it came or was made
 * @param bestBefore last good day; null where none is known
 * @param pricePerKg in the workshop's money; null where not known
 * @param parts grams of parts in 100 g where the lot's own sheet differs from the store room; empty where it does not
 * @param dextroseEquivalent of the lot's syrup solids; used with {@code parts} only
 * @param moistureFraction moisture of the lot where that is all that is known; null where the store room's holds
 * @param moistureMeasured whether the moisture was measured; if not, it is an estimate and says so
 * @param kept how and where it is kept
 */
public record Lot(
        String code,
        String supplier,
        LocalDate received,
        LocalDate bestBefore,
        Double pricePerKg,
        Map<Part, Double> parts,
        double dextroseEquivalent,
        Double moistureFraction,
        boolean moistureMeasured,
        String kept) {

    public static final Range PRICE = new Range(0, 100_000, "per kg");
    public static final Range MOISTURE = new Range(0, 0.99, "");
    public static final Range GRAMS = new Range(0.1, 10_000_000, "g");

    public Lot {
        parts = parts == null ? Map.of() : Map.copyOf(parts);
    }

    /** Whether it has a composition of its own. */
    public boolean ownComposition() {
        return !parts.isEmpty() || moistureFraction != null;
    }

    /**
     * The ingredient as this lot is: its own composition, or the usual one dried or wetted to its moisture.
     *
     * <p>With moisture m the dry parts are multiplied by (1 − m) / (1 − m₀), m₀ the usual moisture.
     */
    public Ingredient applied(Ingredient usual) {
        if (!parts.isEmpty()) {
            return usual.with(Composition.of(parts, dextroseEquivalent), Ingredient.Basis.SHEET);
        }
        if (moistureFraction == null) {
            return usual;
        }
        Composition hundred = usual.per100Grams();
        double dry = hundred.totalGrams() - hundred.waterGrams();
        Composition changed = hundred.times(100 * (1 - moistureFraction) / dry).withWater(100 * moistureFraction);
        return usual.with(changed, Ingredient.Basis.SHEET);
    }

    /**
     * Checks what a person typed.
     *
     * @throws org.zeststack.core.quantity.InvalidInput with every fault
     */
    public void check() {
        Faults faults = new Faults();
        if (code.isBlank()) {
            faults.add(
                    Fault.of("code", code, "Write the lot's code; for what is made here any mark that is on the jar."));
        }
        if (bestBefore != null && bestBefore.isBefore(received)) {
            faults.add(Fault.of("bestBefore", bestBefore.toString(), "Best before lies before the day it came."));
        }
        if (pricePerKg != null) {
            faults.within("pricePerKg", pricePerKg, PRICE);
        }
        if (moistureFraction != null) {
            faults.within("moistureFraction", moistureFraction, MOISTURE);
        }
        double sum = parts.values().stream().mapToDouble(Double::doubleValue).sum();
        if (!parts.isEmpty() && Math.abs(sum - 100) > Ingredient.TOLERANCE_GRAMS) {
            faults.add(Fault.of(
                    "sum",
                    Numbers.plain(sum),
                    "The parts add up to %s; permitted: 99 to 101 g.".formatted(Say.grams(sum, 2))));
        }
        faults.throwIfAny();
    }
}

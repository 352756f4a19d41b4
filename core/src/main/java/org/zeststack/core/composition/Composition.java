package org.zeststack.core.composition;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Predicate;

/**
 * What a mass is made of, in grams of each {@link Part}. Immutable; masses add and scale.
 *
 * <p>The dextrose equivalent belongs to the syrup solids alone. When masses are added it is averaged by mass of syrup
 * solids, which keeps the number of dissolved molecules (M = 18016 / DE).
 */
public final class Composition {

    /** Dextrose equivalent taken where syrup solids come without one. */
    public static final double USUAL_DE = 42;

    public static final Composition NOTHING = new Composition(new double[Part.values().length], USUAL_DE);

    private final double[] gramsByPart;
    private final double dextroseEquivalent;

    private Composition(double[] gramsByPart, double dextroseEquivalent) {
        this.gramsByPart = gramsByPart;
        this.dextroseEquivalent = dextroseEquivalent;
    }

    /**
     * A mass from its parts.
     *
     * @param grams grams by part; absent parts are 0
     * @param dextroseEquivalent DE of the syrup solids
     * @throws IllegalArgumentException if a part is negative or not finite
     */
    public static Composition of(Map<Part, Double> grams, double dextroseEquivalent) {
        double[] amounts = new double[Part.values().length];
        grams.forEach((part, amount) -> {
            if (!(amount >= 0) || Double.isInfinite(amount)) {
                throw new IllegalArgumentException(part + " of " + amount + " g");
            }
            amounts[part.ordinal()] = amount;
        });
        return new Composition(amounts, dextroseEquivalent);
    }

    public double grams(Part part) {
        return gramsByPart[part.ordinal()];
    }

    /** Grams of every part that {@code which} accepts. */
    public double grams(Predicate<Part> which) {
        double sum = 0;
        for (Part part : Part.values()) {
            if (which.test(part)) {
                sum += grams(part);
            }
        }
        return sum;
    }

    public double totalGrams() {
        return Arrays.stream(gramsByPart).sum();
    }

    public double waterGrams() {
        return grams(Part.WATER);
    }

    /** Grams dissolved in the water. */
    public double dissolvedGrams() {
        return grams(Part::dissolves);
    }

    /** Dissolved solids over dissolved solids and water, as stage tables print it; 0 for a mass with neither. */
    public double dissolvedSolidsFraction() {
        double wet = dissolvedGrams() + waterGrams();
        return wet == 0 ? 0 : dissolvedGrams() / wet;
    }

    public double dextroseEquivalent() {
        return dextroseEquivalent;
    }

    /** This mass multiplied by {@code factor}. */
    public Composition times(double factor) {
        return new Composition(Arrays.stream(gramsByPart).map(g -> g * factor).toArray(), dextroseEquivalent);
    }

    /** This mass and {@code other} together. */
    public Composition plus(Composition other) {
        double[] sum = gramsByPart.clone();
        for (int i = 0; i < sum.length; i++) {
            sum[i] += other.gramsByPart[i];
        }
        double mine = grams(Part.SYRUP_SOLIDS);
        double theirs = other.grams(Part.SYRUP_SOLIDS);
        double de = mine + theirs == 0
                ? dextroseEquivalent
                : (mine * dextroseEquivalent + theirs * other.dextroseEquivalent) / (mine + theirs);
        return new Composition(sum, de);
    }

    /** The same mass with another amount of water. */
    public Composition withWater(double waterGrams) {
        double[] changed = gramsByPart.clone();
        changed[Part.WATER.ordinal()] = waterGrams;
        return new Composition(changed, dextroseEquivalent);
    }

    /** Grams by part, zero parts left out. */
    public Map<Part, Double> byPart() {
        Map<Part, Double> map = new EnumMap<>(Part.class);
        for (Part part : Part.values()) {
            if (grams(part) > 0) {
                map.put(part, grams(part));
            }
        }
        return map;
    }
}

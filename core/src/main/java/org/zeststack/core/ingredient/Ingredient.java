package org.zeststack.core.ingredient;

import java.util.List;
import java.util.Map;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Nutrition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.temper.TemperWindow;

/**
 * An ingredient and what it is made of.
 *
 * @param slug stable short name used in formulas and interfaces
 * @param name the trade's name
 * @param per100Grams composition of 100 g; adds up to 100 ± 1
 * @param saturatesPer100Grams saturated fatty acids, g in 100 g
 * @param liquidFatPer100Grams fat that is liquid at 20 °C, g in 100 g
 * @param sodiumPer100Grams sodium that is not in its salt, g
 * @param couverture kind of couverture (dark, milk, white, blond, ruby), empty for everything else
 * @param nature what it is to the rules that judge
 * @param densityGramsPerMl set density where the ingredient carries its own; 0 where it follows from composition
 * @param bulk its pores and the density of a piece with them
 * @param dryActivity typical water activity of dry goods; 0 where the solute model is to be used
 * @param wetActivity typical water activity of what holds water that the solute model does not know; 0 where it does
 * @param household grams of household measures, by the measure's name
 * @param also other names that people write; a trailing {@code ?} marks a guess between several
 * @param allergens allergens it brings, by name
 * @param basis what the figures rest on
 * @param plusMinus uncertainty of a part in g per 100 g, where it is known
 * @param caution a short caution shown where the ingredient is used; empty where none
 * @param note what else a person must know
 * @param windows tempering temperatures of a couverture's own sheet; null where its kind's are taken
 */
public record Ingredient(
        String slug,
        String name,
        Composition per100Grams,
        double saturatesPer100Grams,
        double liquidFatPer100Grams,
        double sodiumPer100Grams,
        String couverture,
        Nature nature,
        double densityGramsPerMl,
        Bulk bulk,
        double dryActivity,
        double wetActivity,
        Map<String, Measure> household,
        List<String> also,
        List<String> allergens,
        Basis basis,
        Map<Part, Double> plusMinus,
        String caution,
        String note,
        TemperWindow.Limits windows) {

    /** Grams short of or beyond 100 that are still accepted. */
    public static final double TOLERANCE_GRAMS = 1;

    public static final Range MEASURE_GRAMS = new Range(0.001, 20_000, "g");

    private static final Range PART = new Range(0, 100, "g");
    /** Pure sodium bicarbonate has 27.4 g. */
    private static final Range SODIUM = new Range(0, 40, "g");

    private static final Range DENSITY = new Range(0, 3, "g/mL");
    private static final Range ACTIVITY = new Range(0, 1, "");

    /** What figures rest on. */
    public enum Basis {
        DEFINED("follows from what it is"),
        TYPICAL("typical, from memory"),
        PACK("estimated from a pack"),
        SHEET("from a supplier's sheet"),
        COMPUTED("computed from a formula");

        private final String words;

        Basis(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Grams of one household measure.
     *
     * @param guess whether the size differs so much that it must be marked where it is used
     */
    public record Measure(double grams, boolean guess) {}

    public Ingredient {
        household = Map.copyOf(household);
        also = List.copyOf(also);
        allergens = List.copyOf(allergens);
        plusMinus = Map.copyOf(plusMinus);
    }

    public boolean isCouverture() {
        return !couverture.isEmpty();
    }

    /** Whether it is a formula of which nobody has said how much water it ends with. */
    public boolean moistureUnknown() {
        return basis == Basis.COMPUTED && plusMinus.getOrDefault(Part.WATER, 0.0) > 0;
    }

    /** Its nutrition panel. */
    public Nutrition panel() {
        return Nutrition.of(per100Grams, saturatesPer100Grams, sodiumPer100Grams);
    }

    /** What {@code grams} of it are made of. */
    public Composition grams(double grams) {
        return per100Grams.times(grams / per100Grams.totalGrams());
    }

    /** The same ingredient with another composition, as a lot may have. */
    public Ingredient with(Composition other, Basis otherBasis) {
        return new Ingredient(
                slug,
                name,
                other,
                saturatesPer100Grams,
                liquidFatPer100Grams,
                sodiumPer100Grams,
                couverture,
                nature,
                densityGramsPerMl,
                bulk,
                dryActivity,
                wetActivity,
                household,
                also,
                allergens,
                otherBasis,
                Map.of(),
                caution,
                note,
                windows);
    }

    /**
     * Checks what a person typed.
     *
     * @throws org.zeststack.core.quantity.InvalidInput with every fault; parts are fields {@code part.NAME}
     */
    public void check() {
        Faults faults = new Faults();
        if (name.isBlank()) {
            faults.add(Fault.of("name", name, "Give the ingredient a name."));
        }
        per100Grams.byPart().forEach((part, grams) -> faults.within("part." + part.name(), grams, PART));
        double sum = per100Grams.totalGrams();
        if (Math.abs(sum - 100) > TOLERANCE_GRAMS) {
            faults.add(new Fault(
                    "sum",
                    Numbers.plain(sum),
                    100 - TOLERANCE_GRAMS,
                    100 + TOLERANCE_GRAMS,
                    "g",
                    "The parts add up to %s; permitted: 99 to 101 g.".formatted(Say.grams(sum, 2))));
        }
        double fat = per100Grams.grams(Part::isFat);
        Range ofFat = new Range(0, fat + TOLERANCE_GRAMS, "g, which is all its fat");
        faults.within("saturates", saturatesPer100Grams, ofFat);
        faults.within("liquidFat", liquidFatPer100Grams, ofFat);
        faults.within("density", densityGramsPerMl, DENSITY);
        faults.within("bulk", bulk.gramsPerMl(), DENSITY);
        faults.within("sodium", sodiumPer100Grams, SODIUM);
        faults.within("dryActivity", dryActivity, ACTIVITY);
        faults.within("wetActivity", wetActivity, ACTIVITY);
        if (dryActivity > 0 && wetActivity > 0) {
            faults.add(Fault.of(
                    "wetActivity", Numbers.plain(wetActivity), "It is either dry goods or wet: give one of the two."));
        }
        if (windows != null) {
            windows.check(faults);
            if (!isCouverture()) {
                faults.add(
                        Fault.of("couverture", "", "Tempering temperatures are a couverture's: say which kind it is."));
            }
        }
        household.forEach((measure, weight) -> faults.within("household", weight.grams(), MEASURE_GRAMS));
        faults.throwIfAny();
    }
}

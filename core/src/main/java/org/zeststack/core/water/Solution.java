package org.zeststack.core.water;

import java.util.EnumMap;
import java.util.Map;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Refusal;

/**
 * The wet part of a mass: water and what is dissolved in it. Fat, protein and other solids carry no rise and are left
 * out.
 *
 * <p>Water activity is the product of the activities that each solute would give alone in all the water (Ross 1975).
 * Sucrose follows Starzak and Peacock (1997): ln γ = Q/(R T) x² (1 + a x + b x²), a_w = (1 − x) γ, x the mole fraction of
 * sucrose, Q = −17638 J/mol, a = −1.0038, b = −0.24653. The others follow Norrish (1966): a_w = x_w exp(−K x_s²), K by
 * Chirife and others (1980). Constants are values from memory.
 */
public final class Solution {

    /** Above this share of dissolved solids the sucrose curve at 25 °C turns up again: no activity is given. */
    public static final double GREATEST_SOLIDS_AT_25 = 0.975;

    private static final double SUCROSE_GRAMS_PER_WATER_AT_25 = 2.07;

    /** Of maltose; isomalt, another double sugar whose own was not to be had, is taken as like it. */
    private static final double MALTOSE_K = 4.54;

    private static final double GAS_CONSTANT = 8.314462;
    private static final double WATER_MOLAR = 18.0153;
    private static final double SUCROSE_MOLAR = 342.297;
    private static final double Q = -17638;
    private static final double STARZAK_A = -1.0038;
    private static final double STARZAK_B = -0.24653;
    private static final double SYRUP_MOLAR_TIMES_DE = 18016;

    private static final double SUCROSE_K = 6.47;

    private final Composition mass;
    private final boolean norrishSucrose;

    private Solution(Composition mass) {
        this(mass, false);
    }

    private Solution(Composition mass, boolean norrishSucrose) {
        this.mass = mass;
        this.norrishSucrose = norrishSucrose;
    }

    /** The same with sucrose by Norrish (1966), K = 6.47: how far the two models lie apart is how far either may be trusted. */
    public Solution otherModel() {
        return new Solution(mass, true);
    }

    /**
     * The solution in a mass.
     *
     * @throws Refusal if the salt is more than a tenth of the water, or the syrup's DE lies outside 20 to 98
     */
    public static Solution in(Composition mass) {
        if (mass.grams(Part.SALT) > 0.1 * mass.waterGrams()) {
            throw new Refusal("The salt is more than 10 % of the water: brines are not modelled.");
        }
        double de = mass.dextroseEquivalent();
        if (mass.grams(Part.SYRUP_SOLIDS) > 0 && !(de >= 20 && de <= 98)) {
            throw new Refusal("A glucose syrup of DE " + de + " is outside the model's 20 to 98.");
        }
        return new Solution(mass);
    }

    /**
     * The solution in a mass whose sugar was never boiled clear: sucrose beyond saturation at 25 °C, 2.07 g in 1 g of water (value
     * from memory), lies in crystals and carries nothing.
     */
    public static Solution saturated(Composition mass) {
        double beyond = mass.grams(Part.SUCROSE) - SUCROSE_GRAMS_PER_WATER_AT_25 * mass.waterGrams();
        if (beyond <= 0) {
            return in(mass);
        }
        Map<Part, Double> clear = new EnumMap<>(mass.byPart());
        clear.put(Part.SUCROSE, mass.grams(Part.SUCROSE) - beyond);
        return in(Composition.of(clear, mass.dextroseEquivalent()));
    }

    /** Water activity at {@code celsius}, from 0 to 1; no check of zone. */
    double activity(double celsius) {
        return activity(celsius, mass.waterGrams());
    }

    /** Water activity at {@code celsius} if only {@code waterGrams} of the water were left. */
    double activity(double celsius, double waterGrams) {
        double waterMoles = waterGrams / WATER_MOLAR;
        double sucrose = mass.grams(Part.SUCROSE) / SUCROSE_MOLAR;
        double product = norrishSucrose
                ? norrish(sucrose, waterMoles, SUCROSE_K)
                : sucroseActivity(sucrose, waterMoles, celsius + 273.15);
        product *= norrish(mass.grams(Part.GLUCOSE) / 180.156, waterMoles, 2.25);
        product *= norrish(mass.grams(Part.FRUCTOSE) / 180.156, waterMoles, 2.25);
        product *= norrish(mass.grams(Part.MALTOSE) / SUCROSE_MOLAR, waterMoles, MALTOSE_K);
        product *= norrish(mass.grams(Part.LACTOSE) / SUCROSE_MOLAR, waterMoles, 10.2);
        product *= norrish(mass.grams(Part.POLYOLS) / 182.17, waterMoles, 1.65);
        product *= norrish(mass.grams(Part.GLYCEROL) / 92.094, waterMoles, 1.16);
        product *= norrish(mass.grams(Part.ISOMALT) / 344.31, waterMoles, MALTOSE_K);
        product *= norrish(2 * mass.grams(Part.SALT) / 58.443, waterMoles, 0);
        double syrupMolar = SYRUP_MOLAR_TIMES_DE / mass.dextroseEquivalent();
        return product * norrish(mass.grams(Part.SYRUP_SOLIDS) / syrupMolar, waterMoles, 2.31);
    }

    /** The same activity with alcohol counted as an ideal solute, as in an uncooked filling. */
    double activityUncooked(double celsius) {
        double alcohol = norrish(mass.grams(Part.ALCOHOL) / 46.069, mass.waterGrams() / WATER_MOLAR, 0);
        return activity(celsius) * alcohol;
    }

    boolean hasAlcohol() {
        return mass.grams(Part.ALCOHOL) > 0;
    }

    double waterGrams() {
        return mass.waterGrams();
    }

    double dissolvedGrams() {
        return mass.dissolvedGrams();
    }

    double dissolvedSolidsFraction() {
        return mass.dissolvedSolidsFraction();
    }

    private static double sucroseActivity(double soluteMoles, double waterMoles, double kelvin) {
        double x = soluteMoles / (soluteMoles + waterMoles);
        double logGamma = Q / (GAS_CONSTANT * kelvin) * x * x * (1 + STARZAK_A * x + STARZAK_B * x * x);
        return (1 - x) * Math.exp(logGamma);
    }

    private static double norrish(double soluteMoles, double waterMoles, double k) {
        double x = soluteMoles / (soluteMoles + waterMoles);
        return (1 - x) * Math.exp(-k * x * x);
    }
}

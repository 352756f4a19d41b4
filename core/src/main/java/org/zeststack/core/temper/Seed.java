package org.zeststack.core.temper;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * Seed that brings a melted bowl down into its window: what the bowl gives up warms the seed and melts its cocoa butter.
 *
 * <p>m = (M c_l + B) (T₁ − T₂) / (c_s (T₂ − T_seed) + L w melted), with B the bowl's heat capacity and w the cocoa butter of the seed.
 * c_l = 1.65, c_s = 1.40 kJ/(kg K), L = 137 kJ/kg of cocoa butter, ± 20 (handbook values, from memory).
 *
 * @param grams of seed to stir in, of which {@code meltedFraction} melts
 * @param perMelted that over the melted couverture
 * @param perTotal that over both
 */
public record Seed(double grams, double perMelted, double perTotal) {

    public static final Range CHOCOLATE_GRAMS = new Range(1, 1_000_000, "g");
    public static final Range FROM_CELSIUS = new Range(20, 65, "°C");
    public static final Range TO_CELSIUS = new Range(20, TemperWindow.FORM_V_MELTS_CELSIUS, "°C");
    public static final Range SEED_CELSIUS = new Range(-20, 33, "°C");
    public static final Range COCOA_BUTTER = new Range(0, 1, "");
    public static final Range MELTED = new Range(0, 1, "");

    /** Liquid and solid couverture, kJ/(kg K), and the heat of melting cocoa butter, kJ/kg (handbook values, from memory). */
    public static final double LIQUID = 1.65;

    /** Heat that so much melted couverture gives up for each kelvin, J/K. */
    public static double liquidJoulesPerKelvin(double grams) {
        return grams * LIQUID;
    }

    public static final double SOLID = 1.40;
    public static final double LATENT = 137;

    /**
     * A bowl to be seeded.
     *
     * @param grams of melted couverture
     * @param fromCelsius where it stands
     * @param toCelsius where it is wanted, at most 33.8 °C: above, seed melts away
     */
    public record Melt(double grams, double fromCelsius, double toCelsius, Bowl bowl) {

        public Melt {
            Faults faults = new Faults();
            faults.within("chocolateGrams", grams, CHOCOLATE_GRAMS);
            boolean from = faults.within("fromCelsius", fromCelsius, FROM_CELSIUS);
            boolean to = faults.within("toCelsius", toCelsius, TO_CELSIUS);
            faults.within("bowlGrams", bowl.grams(), Bowl.GRAMS);
            if (from && to && fromCelsius <= toCelsius) {
                faults.add(Fault.of(
                        "fromCelsius",
                        Numbers.plain(fromCelsius),
                        "%s must be above where it is to come down to, %s."
                                .formatted(Say.celsius(fromCelsius), Say.celsius(toCelsius))));
            }
            faults.throwIfAny();
        }

        private double joulesPerKelvin() {
            return grams * LIQUID + bowl.joulesPerKelvin();
        }
    }

    /**
     * Grams of seed.
     *
     * @param seedCelsius below where the bowl is to come to
     * @param cocoaButterFraction of the seed, 0 to 1
     * @param meltedFraction share of what is stirred in that melts, 0 to 1; the rest is lifted out
     * @throws org.zeststack.core.quantity.InvalidInput outside these
     */
    public static Seed of(Melt melt, double seedCelsius, double cocoaButterFraction, double meltedFraction) {
        Faults faults = new Faults();
        faults.within("cocoaButterFraction", cocoaButterFraction, COCOA_BUTTER);
        faults.within("meltedFraction", meltedFraction, MELTED);
        if (faults.within("seedCelsius", seedCelsius, SEED_CELSIUS) && seedCelsius >= melt.toCelsius()) {
            faults.add(Fault.of(
                    "seedCelsius",
                    Numbers.plain(seedCelsius),
                    "Seed of %s does not cool a bowl to %s."
                            .formatted(Say.celsius(seedCelsius), Say.celsius(melt.toCelsius()))));
        }
        faults.throwIfAny();
        double given = melt.joulesPerKelvin() * (melt.fromCelsius() - melt.toCelsius());
        double taken = SOLID * (melt.toCelsius() - seedCelsius) + LATENT * cocoaButterFraction * meltedFraction;
        double grams = given / taken;
        return new Seed(grams, grams / melt.grams(), grams / (melt.grams() + grams));
    }

    /**
     * Where a bowl lands with so much seed, all of it melted, °C: the same balance solved for T₂.
     *
     * @param melt its {@code toCelsius} does not matter
     */
    public static double lands(Melt melt, double seedGrams, double seedCelsius, double cocoaButterFraction) {
        double bowl = melt.joulesPerKelvin();
        double seed = SOLID * seedGrams;
        return (bowl * melt.fromCelsius() + seed * seedCelsius - LATENT * cocoaButterFraction * seedGrams)
                / (bowl + seed);
    }
}

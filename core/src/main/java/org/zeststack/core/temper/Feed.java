package org.zeststack.core.temper;

import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;

/**
 * Warm couverture that brings a bowl that has thickened up in its window again.
 *
 * <p>m = (M c_l + B)(T₂ − T₁) / (c_l (T_w − T₂)), with B the bowl's heat capacity and c_l as for {@link Seed}.
 *
 * @param grams of warm couverture
 * @param share of it in the bowl afterwards, 0 to 1
 */
public record Feed(double grams, double share) {

    public static final Range WARM_CELSIUS = new Range(32, 45, "°C");
    public static final Range IN_BOWL = new Range(20, TemperWindow.FORM_V_MELTS_CELSIUS, "°C");

    /**
     * Grams to feed.
     *
     * @param grams of couverture in the bowl, as for seed
     * @param celsius where it stands
     * @param toCelsius where it is wanted: above that, and below where the good crystals melt
     * @param warmCelsius of what is fed
     * @throws org.zeststack.core.quantity.InvalidInput outside the ranges
     */
    public static Feed of(double grams, Bowl bowl, double celsius, double toCelsius, double warmCelsius) {
        Faults faults = new Faults();
        faults.within("leftGrams", grams, Seed.CHOCOLATE_GRAMS);
        faults.within("bowlGrams", bowl.grams(), Bowl.GRAMS);
        boolean to = faults.within("toCelsius", toCelsius, IN_BOWL);
        if (faults.within("leftCelsius", celsius, IN_BOWL) && to && celsius >= toCelsius) {
            faults.add(Fault.of(
                    "leftCelsius",
                    Numbers.plain(celsius),
                    "At %s it needs no warm couverture: it is wanted at %s."
                            .formatted(Say.celsius(celsius), Say.celsius(toCelsius))));
        }
        if (faults.within("warmCelsius", warmCelsius, WARM_CELSIUS) && to && warmCelsius <= toCelsius) {
            faults.add(Fault.of(
                    "warmCelsius",
                    Numbers.plain(warmCelsius),
                    "%s does not warm a bowl to %s.".formatted(Say.celsius(warmCelsius), Say.celsius(toCelsius))));
        }
        faults.throwIfAny();
        double joules = (grams * Seed.LIQUID + bowl.joulesPerKelvin()) * (toCelsius - celsius);
        double fed = joules / (Seed.LIQUID * (warmCelsius - toCelsius));
        return new Feed(fed, fed / (fed + grams));
    }

    /** Whether it takes so much that the bowl must be proved again: what is fed has no crystals. */
    public boolean provesAgain(Bounds bounds) {
        return share > bounds.of("feed-share").greatest();
    }
}

package org.zeststack.core.sugar;

import java.util.OptionalDouble;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/**
 * What a scale says of a pot: everything but water stays in it, so its weight is a measurement of the water left.
 *
 * @param massGrams what is in the pot
 * @param waterGrams of it water; below 0 where it weighs less than what cannot boil off, so that the tare or the batch is wrong
 * @param toBoilOffGrams water that has still to go before the stop; negative once past
 * @param celsiusHere where it boils here with that water, °C; empty where the models give no figure
 */
public record WeighedPot(double massGrams, double waterGrams, double toBoilOffGrams, OptionalDouble celsiusHere) {

    /** Scales and spoons leave so much open (common practice, no source). */
    private static final double SCALE_SHARE = 0.02;

    /** Weighs the pot of a cook. */
    public static WeighedPot of(Cook cook, double massGrams) {
        Composition before = cook.before();
        double water = massGrams - (before.totalGrams() - before.waterGrams());
        return new WeighedPot(massGrams, water, water - cook.after().waterGrams(), celsius(cook, water));
    }

    private static OptionalDouble celsius(Cook cook, double water) {
        try {
            return OptionalDouble.of(Boiling.celsius(Solution.in(cook.before()), water, cook.pressureKpa()));
        } catch (Refusal refusal) {
            return OptionalDouble.empty();
        }
    }

    /** Whether it can be so: not drier than dry, and not heavier than what went in. */
    public boolean likely(Cook cook) {
        return waterGrams >= 0 && massGrams <= cook.before().totalGrams() * (1 + SCALE_SHARE);
    }
}

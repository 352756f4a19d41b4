package org.zeststack.core.sugar;

import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.air.Steam;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.explain.Working;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.quantity.Zone;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;
import org.zeststack.core.water.WaterActivity;

/**
 * A sugar mass cooked to a stop temperature. The stop is a sea-level target: what is kept at another place is the water
 * left, so the temperature to stop at there is the one at which the same mass boils with that water.
 *
 * @param before the mass as it goes into the pot
 * @param after the mass when the pot is taken off
 * @param stopCelsius the sea-level target
 * @param zone whether the water left is supported or an estimate
 * @param plusMinusMoisture how far the moisture may be off, as a fraction: the distance of the two models of sucrose, at least one point
 * @param stopCelsiusHere true temperature to stop at under this place's pressure
 * @param pressureKpa this place's pressure
 */
public record Cook(
        Composition before,
        Composition after,
        Zone zone,
        double plusMinusMoisture,
        double stopCelsius,
        double stopCelsiusHere,
        double pressureKpa) {

    /** What composition and a kitchen's thermometer leave open, however well the models agree (common practice, no source). */
    private static final double LEAST_PLUS_MINUS = 0.01;

    /** Stops that may be asked for. Between 160 °C and the end the model refuses. */
    public static final Range STOP_CELSIUS = new Range(60, 200, "°C");

    /**
     * Cooks a mass.
     *
     * @param stopCelsius sea-level target, from the mass's first boiling point at sea level to 160 °C
     * @param pressureKpa this place's pressure, 50 to 110 kPa
     * @throws InvalidInput if the stop lies below the mass's first boiling point, which is named
     * @throws Refusal where the water model gives no figure, as {@link Boiling#of} does for the same solution
     */
    public static Cook to(Composition mass, double stopCelsius, double pressureKpa) {
        Solution solution = Solution.in(mass);
        if (stopCelsius > Boiling.GREATEST_CELSIUS) {
            throw new Refusal("No water figure above " + Say.celsius(160) + ": sugar browns there and the models end.");
        }
        double first = Boiling.celsius(solution, mass.waterGrams(), Atmosphere.SEA_LEVEL_KPA);
        if (stopCelsius < first) {
            throw new InvalidInput(new Fault(
                    "stopCelsius",
                    Numbers.plain(stopCelsius),
                    first,
                    Boiling.GREATEST_CELSIUS,
                    "°C",
                    "%s is below this mass's first boiling point of %s at sea level; permitted up to %s."
                            .formatted(Say.celsius(stopCelsius), Say.celsius(first, 1), Say.celsius(160))));
        }
        Zone zone = Boiling.activity(stopCelsius, Atmosphere.SEA_LEVEL_KPA).zone();
        Composition after = left(mass, solution, stopCelsius);
        double here = Boiling.celsius(solution, after.waterGrams(), pressureKpa);
        double apart = Math.abs(moisture(after) - moisture(byOtherModel(mass, solution.otherModel(), stopCelsius)));
        return new Cook(mass, after, zone, Math.max(LEAST_PLUS_MINUS, apart), stopCelsius, here, pressureKpa);
    }

    private static Composition left(Composition mass, Solution solution, double celsius) {
        return mass.withWater(Boiling.waterLeftGrams(solution, celsius, Atmosphere.SEA_LEVEL_KPA));
    }

    /** By the other model a mass that is stopped early may not even boil yet: all its water is left. */
    private static Composition byOtherModel(Composition mass, Solution other, double celsius) {
        double first = Boiling.celsius(other, mass.waterGrams(), Atmosphere.SEA_LEVEL_KPA);
        return celsius <= first ? mass : left(mass, other, celsius);
    }

    private static double moisture(Composition of) {
        return of.waterGrams() / of.totalGrams();
    }

    public double cookedGrams() {
        return after.totalGrams();
    }

    /** Water left over cooked mass. */
    public double moistureFraction() {
        return moisture(after);
    }

    /** Cooked mass over what went into the pot. */
    public double yieldFraction() {
        return after.totalGrams() / before.totalGrams();
    }

    /** Water activity of the cooked mass at 25 °C; refused where {@link WaterActivity#at25} refuses. */
    public WaterActivity waterActivityAt25() {
        return WaterActivity.at25(Solution.in(after));
    }

    /** What households stop at here: the target less the drop of water's boiling point. A solution's boil drops a little more than water's. */
    public double householdRuleCelsius() {
        double drop = Steam.boilingCelsius(Atmosphere.SEA_LEVEL_KPA) - Steam.boilingCelsius(pressureKpa);
        return stopCelsius - drop;
    }

    /** The arithmetic of the water left and of the stop here. */
    public Working why() {
        return Working.of("Cooked mass and stop")
                .line(
                        "In the pot",
                        "%s, of it %s water",
                        Say.grams(before.totalGrams(), 0),
                        Say.grams(before.waterGrams(), 0))
                .line(
                        "Water left at %s, sea level".formatted(Say.celsius(stopCelsius, 1)),
                        "p_sat(T) · a_w = one atmosphere holds with %s water",
                        Say.grams(after.waterGrams(), 0))
                .line(
                        "Cooked mass",
                        "%s − (%s − %s) = %s",
                        Say.bare(Say.grams(before.totalGrams(), 0)),
                        Say.bare(Say.grams(before.waterGrams(), 0)),
                        Say.bare(Say.grams(after.waterGrams(), 0)),
                        Say.grams(cookedGrams(), 0))
                .line(
                        "The same water boils here",
                        "at %s under %s",
                        Say.celsius(stopCelsiusHere, 1),
                        Say.of(pressureKpa, 2, Measure.KILOPASCALS))
                .line(
                        "How sure",
                        "with sucrose by Norrish instead of Starzak and Peacock the moisture moves by %s points",
                        Say.number(100 * plusMinusMoisture, 1))
                .from("IAPWS steam pressure; Starzak and Peacock 1997, Norrish 1966, Ross 1975.");
    }
}

package org.zeststack.core.sugar;

import java.util.Map;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Working;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/**
 * A mass cooked too far, and what is poured back so that it boils at its target again. Temperatures are those at sea level.
 *
 * @param with what is poured in
 * @param addGrams how much of it
 * @param overcooked the mass as it stands, too dry
 * @param after the mass with what was poured in
 * @param targetCelsius where it boils then, and where it is taken off again
 */
public record Rescue(With with, double addGrams, Composition overcooked, Composition after, double targetCelsius) {

    /** What may be poured back. */
    public enum With {
        WATER(Composition.of(Map.of(Part.WATER, 100.0), Composition.USUAL_DE)),
        /** Cream of 35 % fat (58.5 % water, 3.2 % lactose, 2.2 % protein, 1.1 % other; common practice, no source). */
        CREAM35(Composition.of(
                Map.of(
                        Part.WATER, 58.5,
                        Part.MILK_FAT, 35.0,
                        Part.LACTOSE, 3.2,
                        Part.PROTEIN, 2.2,
                        Part.ASH, 1.1),
                Composition.USUAL_DE));

        private final Composition of100;

        With(Composition of100) {
            this.of100 = of100;
        }

        Composition grams(double grams) {
            return of100.times(grams / 100);
        }
    }

    /** No more is poured in than ten times the mass: a target so near the boil of what is poured in is never reached. */
    private static final double MOST_TIMES = 10;
    /** So much more is poured in and boiled off again: it mixes, and the amount is no surer than the water model (our own choice). */
    private static final double EXTRA = 0.75;

    /**
     * Works out what to pour back.
     *
     * @param mass as it went into the pot
     * @param nowCelsius where it boils now, to 160 °C
     * @param targetCelsius where it was to stop: below {@code nowCelsius}, not below the mass's first boiling point
     * @throws InvalidInput if the target is not below what it boils at now, or below the mass's first boiling point
     * @throws Refusal where the water model gives no figure, or where this target takes more than ten times the mass
     */
    public static Rescue of(Composition mass, double nowCelsius, double targetCelsius, With with) {
        if (!(nowCelsius > targetCelsius)) {
            throw new InvalidInput(new Fault(
                    "nowCelsius",
                    Numbers.plain(nowCelsius),
                    targetCelsius,
                    Boiling.GREATEST_CELSIUS,
                    "°C",
                    "%s is not past the target of %s: nothing has to be poured back; permitted above it up to 160 °C."
                            .formatted(Say.celsius(nowCelsius), Say.celsius(targetCelsius))));
        }
        Composition now = Cook.to(mass, nowCelsius, Atmosphere.SEA_LEVEL_KPA).after();
        double first = Boiling.celsius(Solution.in(mass), mass.waterGrams(), Atmosphere.SEA_LEVEL_KPA);
        if (targetCelsius < first) {
            throw new InvalidInput(new Fault(
                    "targetCelsius",
                    Numbers.plain(targetCelsius),
                    first,
                    nowCelsius,
                    "°C",
                    "%s is below this mass's first boiling point of %s at sea level; permitted from there to %s."
                            .formatted(Say.celsius(targetCelsius), Say.celsius(first, 1), Say.celsius(nowCelsius))));
        }
        double most = MOST_TIMES * mass.totalGrams();
        if (past(now, with, most, targetCelsius) > 0) {
            throw new Refusal("What is poured in hardly boils lower itself: this target is not reached with it.");
        }
        double grams = new BrentSolver(1e-12 * most).solve(300, g -> past(now, with, g, targetCelsius), 0, most);
        return new Rescue(with, grams, now, now.plus(with.grams(grams)), targetCelsius);
    }

    private static double past(Composition now, With with, double grams, double target) {
        Composition mass = now.plus(with.grams(grams));
        return Boiling.celsius(Solution.in(mass), mass.waterGrams(), Atmosphere.SEA_LEVEL_KPA) - target;
    }

    /** What to pour in so that something is left to boil off again while it mixes, g. */
    public double pourGrams() {
        return addGrams * (1 + EXTRA);
    }

    /** The arithmetic. */
    public Working why() {
        return Working.of("Poured back")
                .line(
                        "It stands at",
                        "%s, of it %s water",
                        Say.grams(overcooked.totalGrams(), 0),
                        Say.grams(overcooked.waterGrams(), 1))
                .line(
                        "It boils at %s again".formatted(Say.celsius(targetCelsius, 1)),
                        "with %s more, of it %s water",
                        Say.grams(addGrams, 1),
                        Say.grams(after.waterGrams() - overcooked.waterGrams(), 1))
                .line(
                        "Pour in",
                        "%s more, %s, and boil it to the target",
                        Say.percent(100 * EXTRA),
                        Say.grams(pourGrams(), 0))
                .from("IAPWS steam pressure; Starzak and Peacock 1997, Norrish 1966, Ross 1975.");
    }
}

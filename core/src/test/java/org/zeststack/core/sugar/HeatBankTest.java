package org.zeststack.core.sugar;

import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.air.Atmosphere;

/** On heat that does what the filters hold, they foresee as well as can be (Ornstein and Uhlenbeck 1930, Kalman 1960). */
public class HeatBankTest {

    private static final double STOP = 118;
    private static final double POWER = 100;
    private static final double WANDER = 10;
    private static final double WANDER_MINUTES = 1.5;
    private static final double STEP = 1 / 30.0;
    private static final double NOISE_KELVIN = 0.02;

    private final PotHeat heat = PotHeat.boiling(Masses.checkCaramel(), Atmosphere.SEA_LEVEL_KPA, 3, 130, 0);

    /** A ring that wanders about its power, and what it has given. */
    private static final class Ring {
        private final SplittableRandom random;
        private double given;
        private double wander;

        private Ring(long seed, double from) {
            random = new SplittableRandom(seed);
            given = from;
            wander = WANDER * random.nextGaussian();
        }

        private void step(double power) {
            double forget = Math.exp(-STEP / WANDER_MINUTES);
            given += (power + wander) * STEP;
            wander = wander * forget + WANDER * Math.sqrt(1 - forget * forget) * random.nextGaussian();
        }
    }

    private HeatBank bank(Ring ring) {
        HeatBank bank = new HeatBank(heat, 0, STOP);
        bank.begin(0, heat.celsiusAt(ring.given), NOISE_KELVIN, POWER, true);
        return bank;
    }

    private double follow(Ring ring, HeatBank bank, double power, double fromMinute, double minutes) {
        int steps = (int) Math.round(minutes / STEP);
        for (int i = 1; i <= steps; i++) {
            ring.step(power);
            double celsius = heat.celsiusAt(ring.given) + NOISE_KELVIN * ring.random.nextGaussian();
            bank.add(fromMinute + i * STEP, celsius, NOISE_KELVIN);
        }
        return fromMinute + steps * STEP;
    }

    private static double foreseen(HeatBank bank, double from, double minutes, double chance) {
        double least = from - 1000;
        double most = from + 1000;
        for (int i = 0; i < 60; i++) {
            double middle = (least + most) / 2;
            if (bank.chance(middle, minutes) > chance) {
                least = middle;
            } else {
                most = middle;
            }
        }
        return least;
    }

    @Test
    public void aWanderingRingIsForeseenAsWellAsItsWanderAllows() {
        double squares = 0;
        int inside = 0;
        int many = 150;
        for (int seed = 0; seed < many; seed++) {
            Ring ring = new Ring(seed, heat.kilojoules(104));
            HeatBank bank = bank(ring);
            follow(ring, bank, POWER, 0, 5);
            double middle = foreseen(bank, ring.given, 1, 0.5);
            double least = foreseen(bank, ring.given, 1, 0.95);
            double most = foreseen(bank, ring.given, 1, 0.05);
            for (int i = 0; i < 30; i++) {
                ring.step(POWER);
            }
            squares += Math.pow(ring.given - middle, 2);
            inside += least <= ring.given && ring.given <= most ? 1 : 0;
        }
        // An integrated wander that is known at first spreads by 5.3 kJ in a minute; that it is not known to the end
        // adds a little.
        double off = Math.sqrt(squares / many);
        assertTrue(off > 4 && off < 9, "off by %.1f kJ".formatted(off));
        assertTrue(inside > 0.85 * many, inside + " of " + many + " inside");
    }

    @Test
    public void aRingThatIsTurnedIsFoundWithItsPower() {
        Ring ring = new Ring(5, heat.kilojoules(104));
        HeatBank bank = bank(ring);
        double minute = follow(ring, bank, POWER, 0, 4);
        assertTrue(Double.isNaN(bank.turnedAt()), "nobody turned it");
        near(bank.power(), POWER, 10, "as it was");
        follow(ring, bank, POWER / 2, minute, 3);
        near(bank.turnedAt(), minute, 0.7, "when it was turned");
        near(bank.power(), POWER / 2, 15, "to a half, as far as its wander over three minutes lets it be known");
    }
}

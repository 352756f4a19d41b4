package org.zeststack.core.simulate;

import java.util.SplittableRandom;

/**
 * A bowl of couverture led through melting, cooling and rewarming by Newton's law towards a bath, in three stretches. Only
 * temperatures, no crystals. Our own illustration, for learning and for tests.
 */
public final class SimulatedBowl {

    private static final double MELT_SECONDS = 480;
    private static final double COOL_SECONDS = 540;
    private static final double REWARM_SECONDS = 300;
    private static final double ROOM_CELSIUS = 21;

    private final double melt;
    private final double cool;
    private final double end;
    private final long seed;

    /**
     * @param meltCelsius where the melt ends
     * @param coolCelsius where the cool-down ends
     * @param endCelsius where the rewarming settles; above the working window the bowl is lost
     */
    public SimulatedBowl(double meltCelsius, double coolCelsius, double endCelsius, long seed) {
        melt = meltCelsius;
        cool = coolCelsius;
        end = endCelsius;
        this.seed = seed;
    }

    /** Temperature after so many seconds of the bowl's own time, with the probe's noise of about 0.05 K. */
    public double celsiusAt(double seconds) {
        SplittableRandom random = new SplittableRandom(seed * 31 + Math.round(seconds * 10));
        return smooth(seconds) + 0.1 * (random.nextDouble() - 0.5);
    }

    private double smooth(double seconds) {
        if (seconds < MELT_SECONDS) {
            return towards(ROOM_CELSIUS, melt, seconds, MELT_SECONDS);
        }
        if (seconds < MELT_SECONDS + COOL_SECONDS) {
            return towards(melt, cool, seconds - MELT_SECONDS, COOL_SECONDS);
        }
        return towards(cool, end, seconds - MELT_SECONDS - COOL_SECONDS, REWARM_SECONDS);
    }

    /** Newton's law, scaled so that the stretch ends within 2 % of its goal. */
    private static double towards(double from, double to, double seconds, double within) {
        double overshoot = to + 0.02 * (to - from);
        double left = Math.exp(-4 * Math.min(seconds, within) / within);
        return overshoot + (from - overshoot) * left;
    }
}

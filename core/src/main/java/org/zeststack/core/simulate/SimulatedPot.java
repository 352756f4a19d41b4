package org.zeststack.core.simulate;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.heat.ChoiOkos;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/**
 * A pot of sugar mass on a constant flame, stepped second by second: first it warms, then it boils and dries. Our own
 * illustration, for learning and for tests; it shares no code with the estimator that judges it.
 *
 * <p>Heat goes into warming and steam in turn: each step takes P · Δt, less what the mass needs to stay at the boiling point
 * of the water it has left.
 */
public final class SimulatedPot {

    private static final double START_CELSIUS = 22;
    private static final double STEP_SECONDS = 5;
    private static final double LEAST_WATER_SHARE = 0.01;

    private final List<Double> celsiusByStep = new ArrayList<>();
    private final long seed;

    /**
     * Lays out a whole cook.
     *
     * @param mass what goes into the pot
     * @param watts heat that reaches the mass, 100 to 20 000 W
     * @param seed makes the probe's noise repeatable
     */
    public SimulatedPot(Composition mass, double pressureKpa, double watts, long seed) {
        this.seed = seed;
        Solution solution = Solution.in(mass);
        double water = mass.waterGrams();
        double celsius = START_CELSIUS;
        double boils = Boiling.celsius(solution, water, pressureKpa);
        while (water > LEAST_WATER_SHARE * mass.waterGrams() && boils < Boiling.GREATEST_CELSIUS - 4) {
            celsiusByStep.add(celsius);
            double kilojoules = watts * STEP_SECONDS / 1000;
            double warming = ChoiOkos.kilojoulesPerKelvin(mass.withWater(water), celsius);
            double toBoil = Math.min(kilojoules, Math.max(0, (boils - celsius) * warming));
            celsius += toBoil / warming;
            water -= (kilojoules - toBoil) / ChoiOkos.evaporationKilojoulesPerKg(celsius) * 1000;
            if (water <= 0) {
                break;
            }
            boils = Boiling.celsius(solution, water, pressureKpa);
        }
    }

    /** A flame that brings this mass to the boil in about six minutes. */
    public static double usualWatts(Composition mass) {
        return Math.max(300, mass.totalGrams() * 0.75);
    }

    /** True temperature after so many seconds of the pot's own time, without noise. */
    public double celsiusAt(double seconds) {
        double step = Math.max(0, seconds) / STEP_SECONDS;
        int before = (int) Math.min(celsiusByStep.size() - 1.0, Math.floor(step));
        int after = Math.min(celsiusByStep.size() - 1, before + 1);
        return celsiusByStep.get(before)
                + Math.min(1, step - before) * (celsiusByStep.get(after) - celsiusByStep.get(before));
    }

    /** The same with the probe's noise of about 0.15 K. */
    public double noisyCelsiusAt(double seconds) {
        SplittableRandom random = new SplittableRandom(seed * 31 + Math.round(seconds * 10));
        double noise = random.nextDouble() + random.nextDouble() + random.nextDouble() - 1.5;
        return celsiusAt(seconds) + 0.3 * noise;
    }
}

package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.heat.ChoiOkos;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/** The heat of a pot against the same sum taken in another way. */
public class PotHeatTest {

    private static final Composition MASS = Masses.checkCaramel();
    private static final Solution SOLUTION = Solution.in(MASS);
    private static final double PRESSURE = 101.325;
    private static final double FIRST = Boiling.celsius(SOLUTION, MASS.waterGrams(), PRESSURE);
    private static final PotHeat HEAT = PotHeat.of(MASS, PRESSURE, 15, 133);

    private static double water(double celsius) {
        return celsius <= FIRST ? MASS.waterGrams() : Boiling.waterLeftGrams(SOLUTION, celsius, PRESSURE);
    }

    /** Σ m c (T) dT + λ (−dW) from 15 °C by the trapezium rule, in steps that end where it begins to boil. */
    private static double summed(double to) {
        return to <= FIRST ? summed(15, to) : summed(15, FIRST) + summed(FIRST, to);
    }

    private static double summed(double least, double greatest) {
        double sum = 0;
        double step = (greatest - least) / Math.ceil((greatest - least) / 0.025);
        for (double from = least; from < greatest - step / 2; from += step) {
            double next = from + step;
            double sensible = (capacity(from) + capacity(next)) / 2 * (next - from);
            double latent = (ChoiOkos.evaporationKilojoulesPerKg(from) + ChoiOkos.evaporationKilojoulesPerKg(next))
                    / 2
                    * (water(from) - water(next))
                    / 1000;
            sum += sensible + latent;
        }
        return sum;
    }

    private static double capacity(double celsius) {
        return ChoiOkos.kilojoulesPerKelvin(MASS.withWater(water(celsius)), celsius);
    }

    @Test
    public void itsHeatIsTheSumOfWarmingAndBoilingOff() {
        near(HEAT.kilojoules(15), 0, 0, "counted from the first point");
        for (double celsius : new double[] {15.05, 60, FIRST - 0.05, FIRST, FIRST + 0.07, 110.03, 118, 132.96, 133}) {
            // Between points of the table the line leaves out h² H″ / 8: of 47 kJ/K there, 0.3 kJ.
            near(HEAT.kilojoules(celsius), summed(celsius), 0.3, "trapezium rule at " + celsius);
            near(HEAT.waterGrams(celsius), water(celsius), 0.15, "the solver's at " + celsius);
        }
        near(HEAT.waterGrams(FIRST), MASS.waterGrams(), 1e-9, "the first boil is a point of the table");
    }

    @Test
    public void itsSlopeJumpsWhereItBoils() {
        near(HEAT.slope(60), capacity(60), 0.01, "warming only");
        assertTrue(HEAT.slope(FIRST + 0.05) > 3 * HEAT.slope(FIRST - 0.05), "most of the heat now drives off water");
        near(HEAT.slope(118), (summed(118.05) - summed(117.95)) / 0.1, 0.05, "trapezium rule");
    }

    @Test
    public void beyondTheTableItsEndsStand() {
        assertEquals(HEAT.kilojoules(10), 0.0);
        assertEquals(HEAT.waterGrams(10), MASS.waterGrams());
        assertEquals(HEAT.kilojoules(150), HEAT.kilojoules(133));
        assertEquals(HEAT.waterGrams(150), HEAT.waterGrams(133));
        assertEquals(HEAT.slope(150), HEAT.slope(132.999));
        assertEquals(HEAT.slope(10), HEAT.slope(15.05));
    }
}

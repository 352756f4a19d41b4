package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.heat.ChoiOkos;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/**
 * The heat a pot has taken up when it stands at a temperature: first warming to the boil, then both warming and driving
 * off the water that the temperature tells. H = ∫ Σ mᵢ cᵢ(T) dT + ∫ λ(T) (−dW), kJ, counted from the first table point.
 *
 * <p>Tabulated once per mass and pressure; look-ups are linear between points 0.1 K apart or closer.
 */
final class PotHeat {

    private static final double STEP_KELVIN = 0.1;

    private final double[] celsius;
    private final double[] kilojoules;
    private final double[] waterGrams;

    private PotHeat(List<double[]> points) {
        celsius = points.stream().mapToDouble(p -> p[0]).toArray();
        kilojoules = points.stream().mapToDouble(p -> p[1]).toArray();
        waterGrams = points.stream().mapToDouble(p -> p[2]).toArray();
    }

    /**
     * Tabulates a pot.
     *
     * @param mass the mass put in
     * @param fromCelsius where the table starts, below the boil
     * @param toCelsius where it ends, at most 160 °C
     */
    static PotHeat of(Composition mass, double pressureKpa, double fromCelsius, double toCelsius) {
        Solution solution = Solution.in(mass);
        double first = Boiling.celsius(solution, mass.waterGrams(), pressureKpa);
        List<double[]> points = new ArrayList<>();
        double heat = 0;
        double water = mass.waterGrams();
        double previous = Math.min(fromCelsius, first);
        points.add(new double[] {previous, 0, water});
        while (previous < toCelsius - 1e-9) {
            double next = Math.min(toCelsius, previous + STEP_KELVIN);
            if (previous < first && next > first) {
                next = first;
            }
            double waterNext = next <= first ? water : Boiling.waterLeftGrams(solution, next, pressureKpa);
            double middle = (previous + next) / 2;
            Composition between = mass.withWater((water + waterNext) / 2);
            heat += ChoiOkos.kilojoulesPerKelvin(between, middle) * (next - previous)
                    + ChoiOkos.evaporationKilojoulesPerKg(middle) * (water - waterNext) / 1000;
            points.add(new double[] {next, heat, waterNext});
            previous = next;
            water = waterNext;
        }
        return new PotHeat(points);
    }

    double kilojoules(double atCelsius) {
        return interpolate(kilojoules, atCelsius);
    }

    double waterGrams(double atCelsius) {
        return interpolate(waterGrams, atCelsius);
    }

    /** dH/dT at a temperature, kJ/K. */
    double slope(double atCelsius) {
        int i = segment(atCelsius);
        return (kilojoules[i + 1] - kilojoules[i]) / (celsius[i + 1] - celsius[i]);
    }

    private double interpolate(double[] of, double atCelsius) {
        int i = segment(atCelsius);
        double share = Math.max(0, Math.min(1, (atCelsius - celsius[i]) / (celsius[i + 1] - celsius[i])));
        return of[i] + share * (of[i + 1] - of[i]);
    }

    private int segment(double atCelsius) {
        int found = Arrays.binarySearch(celsius, atCelsius);
        int insertion = found >= 0 ? found : -found - 2;
        return Math.max(0, Math.min(celsius.length - 2, insertion));
    }
}

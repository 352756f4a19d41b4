package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.zeststack.core.air.Steam;
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
    /** Nearer to pure water than this the water in a solution runs away, K. */
    private static final double LEAST_RISE_KELVIN = 0.2;

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
        double first = Boiling.celsius(Solution.in(mass), mass.waterGrams(), pressureKpa);
        return tabulated(mass, pressureKpa, first, Math.min(fromCelsius, first), toCelsius, 0);
    }

    /**
     * Tabulates a pot that boils all the way, with more water than was put in where it boils below its first boiling point: how much
     * there was is never known to the gram. The heat is that which the ring gives: what is lost to the room grows with the
     * temperature and is added.
     *
     * @param lossPerKelvin share of the heat that is lost for each kelvin above the first boil
     */
    static PotHeat boiling(
            Composition mass, double pressureKpa, double belowFirstKelvin, double toCelsius, double lossPerKelvin) {
        double first = Boiling.celsius(Solution.in(mass), mass.waterGrams(), pressureKpa);
        double from = Math.max(first - belowFirstKelvin, Steam.boilingCelsius(pressureKpa) + LEAST_RISE_KELVIN);
        Composition wetter = mass.withWater(Boiling.waterGramsAt(Solution.in(mass), from, pressureKpa));
        return tabulated(wetter, pressureKpa, from, from, toCelsius, lossPerKelvin);
    }

    private static PotHeat tabulated(
            Composition mass,
            double pressureKpa,
            double first,
            double fromCelsius,
            double toCelsius,
            double lossPerKelvin) {
        Solution solution = Solution.in(mass);
        List<double[]> points = new ArrayList<>();
        double heat = 0;
        double water = mass.waterGrams();
        double previous = fromCelsius;
        points.add(new double[] {previous, 0, water});
        while (previous < toCelsius - 1e-9) {
            double next = Math.min(toCelsius, previous + STEP_KELVIN);
            if (previous < first && next > first) {
                next = first;
            }
            double waterNext = next <= first ? water : Boiling.waterLeftGrams(solution, next, pressureKpa);
            double middle = (previous + next) / 2;
            Composition between = mass.withWater((water + waterNext) / 2);
            double kept = 1 - lossPerKelvin * Math.max(0, middle - first);
            heat += (ChoiOkos.kilojoulesPerKelvin(between, middle) * (next - previous)
                            + ChoiOkos.evaporationKilojoulesPerKg(middle) * (water - waterNext) / 1000)
                    / kept;
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

    /** The temperature at which so much heat has been taken up. */
    double celsiusAt(double heat) {
        int found = Arrays.binarySearch(kilojoules, heat);
        int i = Math.max(0, Math.min(celsius.length - 2, found >= 0 ? found : -found - 2));
        double share = (heat - kilojoules[i]) / (kilojoules[i + 1] - kilojoules[i]);
        return celsius[i] + Math.max(0, Math.min(1, share)) * (celsius[i + 1] - celsius[i]);
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

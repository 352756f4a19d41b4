package org.zeststack.core.simulate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.interpolation.AkimaSplineInterpolator;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.CsvTable;

/**
 * A pot of sugar mass on a ring, stepped second by second: it warms, boils and dries. Our own illustration, for learning and for
 * tests. Its physics is its own and shares nothing with the estimator that judges it: boiling by a table of sucrose solutions and
 * sucrose equivalents of the other sugars, heats by steam tables and rounded heat capacities.
 *
 * <p>The ring heats the bottom of the pot, the bottom heats the mass: m c dT/dt = (T_bottom − T)/R until it boils, and then
 * (T_bottom − T)/R = λ dW/dt + m c dT/dt with T the boiling point of the water that is left. The ring's heat wanders, falls as more
 * is lost to a cooler room, and changes when a hand turns it. A probe follows the mass with a lag.
 */
public final class SimulatedPot {

    /** The longest cook, s. */
    public static final int LONGEST_SECONDS = 3 * 3600;

    private static final double START_CELSIUS = 22;
    private static final double GREATEST_CELSIUS = 165;
    private static final double LEAST_WATER_SHARE = 0.005;
    private static final double WANDER_SECONDS = 90;
    /** Thermal resistance between bottom and mass times the watts through it, K: how much hotter the bottom is. */
    private static final double BOTTOM_HOTTER_KELVIN = 25;

    private static final double BOTTOM_SHARE = 0.5;
    private static final double STEEL = 0.5;

    /** Sucrose that holds as much water as one gram (equivalents of Grover 1947 for boiled sweets, values from memory). */
    private static final Map<Part, Double> EQUIVALENTS = new EnumMap<>(Map.ofEntries(
            Map.entry(Part.SUCROSE, 1.0),
            Map.entry(Part.MALTOSE, 1.0),
            Map.entry(Part.LACTOSE, 1.0),
            Map.entry(Part.ISOMALT, 1.0),
            Map.entry(Part.GLUCOSE, 1.3),
            Map.entry(Part.FRUCTOSE, 1.3),
            Map.entry(Part.POLYOLS, 2.0),
            Map.entry(Part.GLYCEROL, 4.0),
            Map.entry(Part.SALT, 9.0)));

    private static final double SYRUP_EQUIVALENT = 0.8;
    private static final double SYRUP_DE = 42;
    private static final double SYRUP_EQUIVALENT_PER_DE = 0.5 / 58;

    private static final UnivariateFunction RISE = curve("rise.csv", "solids_percent", "rise_kelvin");
    private static final UnivariateFunction BOILS = curve("steam.csv", "kpa", "boils_celsius");
    private static final UnivariateFunction EVAPORATION =
            curve("steam.csv", "boils_celsius", "evaporation_kilojoules_per_kg");

    /**
     * Where it stands.
     *
     * @param watts heat of the ring as it is at first
     * @param lossPerKelvin share of it that is lost for each kelvin above the first boil
     * @param wander relative standard deviation of the ring's heat, over 90 s
     * @param potKg steel of the pot
     */
    public record Ring(double pressureKpa, double watts, double lossPerKelvin, double wander, double potKg) {

        /** A ring that brings a mass to the boil in about six minutes. */
        public static Ring usual(Composition mass, double pressureKpa) {
            return new Ring(pressureKpa, usualWatts(mass), 0.006, 0.03, 0.4 + 0.25 * mass.totalGrams() / 1000);
        }
    }

    /**
     * What is in it to measure with.
     *
     * @param lagSeconds time constant
     * @param offsetKelvin what it shows above the truth
     * @param noiseKelvin standard deviation of a reading
     * @param outlierShare share of wild readings, half of them alone and half in bursts of 5 to 10 s
     * @param dropOutShare share of readings that do not come
     */
    public record Probe(
            double lagSeconds, double offsetKelvin, double noiseKelvin, double outlierShare, double dropOutShare) {

        public static final Probe GOOD = new Probe(6, 0, 0.15, 0, 0);
    }

    /** What somebody does to the pot. */
    public sealed interface Deed permits Turned, Added, TakenOff {
        double second();
    }

    /** The ring is turned to a share of its first heat. */
    public record Turned(double second, double factor) implements Deed {}

    /** Something is poured in. */
    public record Added(double second, Composition mass, double celsius) implements Deed {}

    /** The pot is taken off the ring. */
    public record TakenOff(double second) implements Deed {}

    private final Ring ring;
    private final Probe probe;
    private final List<Deed> deeds;
    private final long seed;
    private final SplittableRandom random;
    private final List<double[]> seconds = new ArrayList<>();

    private double celsius = START_CELSIUS;
    private double shown = START_CELSIUS;
    private double bottom = START_CELSIUS;
    private double water;
    private double equivalent;
    /** Heat capacity of all but the water and the pot's steel, kJ/K. */
    private double dryCapacity;

    private double turned = 1;
    private double wander;
    private double firstBoil = Double.NaN;
    private double firstWater;
    private double burstUntil;
    private double burst;

    /**
     * A pot that nothing has been done to yet.
     *
     * @param mass what goes into it
     * @param deeds what is done to it, in any order
     * @param seed makes wander and noise repeatable
     */
    public SimulatedPot(Composition mass, Ring ring, Probe probe, List<? extends Deed> deeds, long seed) {
        this.ring = ring;
        this.probe = probe;
        this.deeds = new ArrayList<>(deeds);
        this.deeds.sort(Comparator.comparingDouble(Deed::second));
        this.seed = seed;
        random = new SplittableRandom(seed);
        pour(mass);
        note();
    }

    /** A pot on a usual ring with a good probe. */
    public SimulatedPot(Composition mass, double pressureKpa, double watts, long seed) {
        this(
                mass,
                new Ring(pressureKpa, watts, 0.006, 0.03, 0.4 + 0.25 * mass.totalGrams() / 1000),
                Probe.GOOD,
                List.of(),
                seed);
    }

    /** A flame that brings this mass to the boil in about six minutes. */
    public static double usualWatts(Composition mass) {
        return Math.max(300, mass.totalGrams() * 0.75);
    }

    /** Somebody does something to it; what lies in the past is done in the next second. */
    public void does(Deed deed) {
        deeds.add(deed);
        deeds.sort(Comparator.comparingDouble(Deed::second));
    }

    /** True temperature of the mass after so many seconds. */
    public double celsiusAt(double second) {
        return at(second, 0);
    }

    /** Water in the mass after so many seconds, g. */
    public double waterGramsAt(double second) {
        return at(second, 1);
    }

    /** When it first boiled, s; NaN where it has not by then. */
    public double boiledAt(double second) {
        at(second, 0);
        return firstBoil;
    }

    /** What the probe shows without noise. */
    public double shownAt(double second) {
        return at(second, 2) + probe.offsetKelvin;
    }

    /** What the probe shows, noise and wild readings with it; empty where none comes. */
    public OptionalDouble readingAt(double second) {
        double wild = at(second, 3);
        SplittableRandom own = new SplittableRandom(seed * 31 + Math.round(second * 10));
        return own.nextDouble() < probe.dropOutShare
                ? OptionalDouble.empty()
                : OptionalDouble.of(shownAt(second) + wild + probe.noiseKelvin * own.nextGaussian());
    }

    private double at(double second, int column) {
        double asked = Math.max(0, Math.min(LONGEST_SECONDS, second));
        while (seconds.size() < asked + 2) {
            step();
        }
        int before = (int) asked;
        double share = column == 3 ? 0 : asked - before;
        return (1 - share) * seconds.get(before)[column] + share * seconds.get(before + 1)[column];
    }

    private void note() {
        seconds.add(new double[] {celsius, water, shown, wild()});
    }

    /** What a wild reading is off by; 0 where it is none. */
    private double wild() {
        int now = seconds.size();
        if (now < burstUntil) {
            return burst;
        }
        double far = (3 + 12 * random.nextDouble()) * (random.nextBoolean() ? 1 : -1);
        double chance = random.nextDouble();
        if (chance < probe.outlierShare / 2) {
            return far;
        }
        if (chance < probe.outlierShare / 2 + probe.outlierShare / 15) {
            burstUntil = now + 5 + 5 * random.nextDouble();
            burst = far;
            return burst;
        }
        return 0;
    }

    /** One second. */
    private void step() {
        int now = seconds.size();
        while (!deeds.isEmpty() && deeds.get(0).second() <= now) {
            done(deeds.remove(0));
        }
        double forget = Math.exp(-1 / WANDER_SECONDS);
        wander = wander * forget + ring.wander * Math.sqrt(1 - forget * forget) * random.nextGaussian();
        double above = Double.isNaN(firstBoil) ? 0 : Math.max(0, celsius - boilingCelsius(firstWater));
        double watts = ring.watts * turned * Math.max(0, 1 + wander) * Math.max(0, 1 - ring.lossPerKelvin * above);
        double resistance = BOTTOM_HOTTER_KELVIN / ring.watts;
        double through = (bottom - celsius) / resistance;
        double bottomJoules = 1000 * STEEL * BOTTOM_SHARE * ring.potKg;
        bottom += (watts - through) / bottomJoules;
        heat(through / 1000);
        shown += (celsius - shown) / Math.max(1, probe.lagSeconds);
        note();
    }

    /** Heat that goes into the mass in one second, kJ; it dries until nothing that the table knows is left. */
    private void heat(double kilojoules) {
        double capacity = dryCapacity + 0.00419 * water + STEEL * (1 - BOTTOM_SHARE) * ring.potKg;
        double boils = boilingCelsius(water);
        double toBoil = capacity * (boils - celsius);
        if (kilojoules <= toBoil) {
            celsius += kilojoules / capacity;
            return;
        }
        if (Double.isNaN(firstBoil)) {
            firstBoil = seconds.size();
            firstWater = water;
        }
        boolean dry = water < LEAST_WATER_SHARE * (water + equivalent) || boils >= GREATEST_CELSIUS;
        if (dry) {
            celsius = Math.min(GREATEST_CELSIUS + 20, celsius + kilojoules / capacity);
            return;
        }
        double perGram = (boilingCelsius(water * 0.999) - boils) / (water * 0.001);
        double gone = (kilojoules - toBoil) / (EVAPORATION.value(Math.min(160, boils)) / 1000 + capacity * perGram);
        water = Math.max(0.9 * water, water - gone);
        celsius = boilingCelsius(water);
    }

    private void done(Deed deed) {
        if (deed instanceof Turned turn) {
            turned = turn.factor;
        } else if (deed instanceof Added added) {
            double before = dryCapacity + 0.00419 * water;
            pour(added.mass);
            double after = dryCapacity + 0.00419 * water;
            celsius = (before * celsius + (after - before) * added.celsius) / after;
        } else {
            turned = 0;
        }
    }

    private void pour(Composition mass) {
        water += mass.waterGrams();
        for (Part part : Part.values()) {
            double grams = mass.grams(part);
            if (part != Part.WATER) {
                dryCapacity += grams * (part.isFat() ? 0.0021 : 0.0015);
            }
            double equal = part == Part.SYRUP_SOLIDS
                    ? SYRUP_EQUIVALENT + SYRUP_EQUIVALENT_PER_DE * (mass.dextroseEquivalent() - SYRUP_DE)
                    : EQUIVALENTS.getOrDefault(part, 0.0);
            equivalent += grams * equal;
        }
    }

    /** Where the mass boils with so much water, °C: the rise grows with the absolute temperature squared. */
    private double boilingCelsius(double waterGrams) {
        double pure = BOILS.value(ring.pressureKpa);
        double percent = Math.min(98, 100 * equivalent / (equivalent + waterGrams));
        return pure + RISE.value(percent) * Math.pow((pure + 273.15) / 373.15, 2);
    }

    private static UnivariateFunction curve(String file, String from, String to) {
        return new AkimaSplineInterpolator().interpolate(column(file, from), column(file, to));
    }

    private static double[] column(String file, String name) {
        return CsvTable.load(SimulatedPot.class, file).rows().stream()
                .mapToDouble(row -> row.number(name))
                .toArray();
    }
}

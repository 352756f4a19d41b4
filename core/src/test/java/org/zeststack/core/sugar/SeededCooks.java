package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.simulate.SimulatedPot;
import org.zeststack.core.sugar.CookProgress.Point;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/**
 * Cooks of an independent pot, each told by its seed: caramel, syrup or honey of 0.4 to 8 kg up to 2500 m, whose syrup, water and
 * thermometer are not quite what the formula says, on a ring that wanders and that may be turned.
 */
final class SeededCooks {

    /** How often somebody reads: every so many seconds, and by hand to a whole degree. */
    enum Reads {
        EVERY_SECOND(1, 0, "every second"),
        EVERY_FIVE(5, 0, "every 5 s"),
        EVERY_THIRTY(30, 0, "every 30 s"),
        BY_HAND(45, 1, "by hand");

        final int seconds;
        final double steps;
        final String words;

        Reads(int seconds, double steps, String words) {
            this.seconds = seconds;
            this.steps = steps;
            this.words = words;
        }
    }

    /** By how much the ring wanders, as a share, and the readings scatter, K. */
    enum Kitchen {
        POOR(0.1, 0.3),
        QUIET_RING(0.03, 0.3),
        QUIET(0.03, 0.1);

        final double wander;
        final double scatter;

        Kitchen(double wander, double scatter) {
            this.wander = wander;
            this.scatter = scatter;
        }
    }

    /** What a hand does to the ring before the stop: to such a share of its heat. */
    enum Turn {
        NONE(1, 2),
        EITHER(0.65, 1.3),
        DOWN(0.4, 0.75),
        UP(1.3, 1.8);

        final double least;
        final double greatest;

        Turn(double least, double greatest) {
            this.least = least;
            this.greatest = greatest;
        }
    }

    /**
     * One cook.
     *
     * @param told composition as the formula has it
     * @param stopHere true temperature to stop at
     * @param boiledAt when it first boiled, s
     * @param stoppedAt when it stood at the stop, s
     * @param turnedAt when the ring was turned, s; NaN where it was not
     */
    record CookOf(
            Composition told,
            double pressureKpa,
            double stopHere,
            SimulatedPot pot,
            double boiledAt,
            double stoppedAt,
            double turnedAt) {

        List<Point> readings(Reads reads) {
            return readings(reads, stoppedAt);
        }

        List<Point> readings(Reads reads, double until) {
            List<Point> points = new ArrayList<>();
            for (int second = 0; second <= until; second += reads.seconds) {
                OptionalDouble reading = pot.readingAt(second);
                if (reading.isPresent()) {
                    double shown = reading.getAsDouble();
                    double steps = reads.steps > 0 ? reads.steps : 0.1;
                    points.add(new Point(second / 60.0, Math.round(shown / steps) * steps));
                }
            }
            return points;
        }
    }

    private SeededCooks() {}

    /** So many cooks from a seed on; those that have no way from boil to stop are passed over. */
    static List<CookOf> from(long seed, int many, boolean turned) {
        return from(seed, many, turned ? Turn.EITHER : Turn.NONE, Kitchen.POOR);
    }

    /** The same with a ring that is turned so. */
    static List<CookOf> from(long seed, int many, Turn turn, Kitchen kitchen) {
        List<CookOf> cooks = new ArrayList<>();
        for (long s = seed; cooks.size() < many; s++) {
            SplittableRandom r = new SplittableRandom(~s);
            CookOf cook = cook(s, turn, kitchen, r.nextDouble(2, 8), r.nextDouble(turn.least, turn.greatest));
            if (cook != null) {
                cooks.add(cook);
            }
        }
        return cooks;
    }

    /** A cook whose ring is turned to a half eight kelvins before the stop. */
    static CookOf halved(long seed) {
        for (long s = seed; ; s++) {
            CookOf cook = cook(s, Turn.DOWN, Kitchen.POOR, 8, 0.5);
            if (cook != null) {
                return cook;
            }
        }
    }

    private static CookOf cook(long seed, Turn turn, Kitchen kitchen, double beforeStopKelvin, double factor) {
        SplittableRandom r = new SplittableRandom(seed);
        double grams = 400 * Math.pow(20, r.nextDouble());
        double pressure = Atmosphere.pressureKpa(r.nextDouble(0, 2500));
        int kind = r.nextInt(3);
        double de = kind == 2 ? 42 : r.nextDouble(36, 62);
        Map<Part, Double> told = parts(kind, grams, r);
        double stopSea =
                kind == 0 ? r.nextDouble(112, 122) : kind == 1 ? r.nextDouble(118, 142) : r.nextDouble(118, 130);
        Composition mass = Composition.of(told, de);
        double stop = Boiling.celsius(
                Solution.in(mass),
                Boiling.waterLeftGrams(Solution.in(mass), stopSea, Atmosphere.SEA_LEVEL_KPA),
                pressure);
        Map<Part, Double> really = new EnumMap<>(told);
        really.computeIfPresent(Part.WATER, (p, g) -> g * (1 + r.nextDouble(-0.05, 0.05)));
        really.computeIfPresent(Part.SYRUP_SOLIDS, (p, g) -> g * (1 + r.nextDouble(-0.05, 0.05)));
        Composition real = Composition.of(really, Math.max(21, de + r.nextDouble(-4, 4)));
        double watts = Math.min(3500, 1000 * grams / 1000 * r.nextDouble(0.25, 0.7));
        SimulatedPot.Ring ring =
                new SimulatedPot.Ring(pressure, watts, 0.006, kitchen.wander, 0.4 + 0.25 * grams / 1000);
        SimulatedPot.Probe probe = new SimulatedPot.Probe(8, 0.3 * r.nextGaussian(), kitchen.scatter, 0.02, 0.01);
        List<SimulatedPot.Deed> deeds = List.of();
        double turnedAt = Double.NaN;
        if (turn != Turn.NONE) {
            SimulatedPot before = new SimulatedPot(real, ring, probe, List.of(), seed);
            double from = stop - beforeStopKelvin;
            turnedAt = reaches(before, from);
            deeds = List.of(new SimulatedPot.Turned(turnedAt, factor));
        }
        SimulatedPot pot = new SimulatedPot(real, ring, probe, deeds, seed);
        double at = reaches(pot, stop);
        double boiled = pot.boiledAt(SimulatedPot.LONGEST_SECONDS);
        boolean useful = at < SimulatedPot.LONGEST_SECONDS && at > boiled + 180;
        return useful ? new CookOf(mass, pressure, stop, pot, boiled, at, turnedAt) : null;
    }

    private static double reaches(SimulatedPot pot, double celsius) {
        double second = 0;
        while (second < SimulatedPot.LONGEST_SECONDS && pot.celsiusAt(second) < celsius) {
            second++;
        }
        return second;
    }

    /** Shares of a cream caramel, a sugar syrup or a honey. */
    private static Map<Part, Double> parts(int kind, double grams, SplittableRandom r) {
        Map<Part, Double> share = new EnumMap<>(Part.class);
        if (kind == 0) {
            share.put(Part.SUCROSE, r.nextDouble(0.3, 0.42));
            share.put(Part.SYRUP_SOLIDS, r.nextDouble(0.12, 0.24));
            share.put(Part.LACTOSE, 0.012);
            share.put(Part.MILK_FAT, r.nextDouble(0.1, 0.2));
            share.put(Part.PROTEIN, 0.01);
            share.put(Part.WATER, r.nextDouble(0.2, 0.34));
        } else if (kind == 1) {
            share.put(Part.SUCROSE, r.nextDouble(0.45, 0.6));
            share.put(Part.SYRUP_SOLIDS, r.nextDouble(0.1, 0.25));
            share.put(Part.WATER, r.nextDouble(0.22, 0.38));
        } else {
            share.put(Part.FRUCTOSE, 0.38);
            share.put(Part.GLUCOSE, 0.31);
            share.put(Part.MALTOSE, 0.07);
            share.put(Part.SUCROSE, r.nextDouble(0.02, 0.1));
            share.put(Part.WATER, r.nextDouble(0.16, 0.2));
        }
        double all = share.values().stream().mapToDouble(Double::doubleValue).sum();
        share.replaceAll((part, s) -> s * grams / all);
        return share;
    }
}

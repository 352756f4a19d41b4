package org.zeststack.core.simulate;

import java.util.Arrays;
import java.util.Optional;
import java.util.SplittableRandom;
import org.zeststack.core.quantity.CsvTable;

/**
 * A bowl of couverture, stepped second by second: heat and two kinds of crystals. Our own illustration, for learning and for tests. Its
 * physics is its own and shares nothing with what judges or plans a bowl.
 *
 * <p>Of the liquid cocoa butter a share U is crystallised in unstable forms and a share V in the stable one. Unstable crystals start the
 * faster the colder it is below about 27 °C, grow below their melting point and melt above it. Stirring turns them into stable ones, which
 * grow below theirs, the faster for being stirred, and melt above it. Pieces melt at a rate that grows with their surface and with how far
 * the bowl is above where they soften; what melts below the melting point of the stable form leaves some of its crystals behind. Heat goes
 * to the room, to a bath with ice, to a stone slab and into the bowl's own wall; what crystallises gives heat back.
 */
public final class SimulatedBowl {

    private static final double MINUTE = 60;

    /** Heat capacities, kJ/(kg K), and heat of melting of cocoa butter, kJ/kg (rounded, apart from those that a plan reckons with). */
    private static final double LIQUID = 1.6;

    private static final double SOLID = 1.45;
    private static final double LATENT = 140;
    private static final double WATER = 4.2;
    private static final double ICE = 333;

    /** Heat that goes over, W/K: a kilogram to the room, to a bath under it, to a slab of stone, and to its bowl. */
    private static final double TO_ROOM = 0.7;

    private static final double TO_BATH = 7;
    private static final double TO_SLAB = 5;
    private static final double TO_WALL = 15;
    private static final double SLAB_JOULES = 60_000;
    private static final double SLAB_TO_ROOM = 15;

    /** Kinetics, per minute, and per kelvin where it says so (our own choice). */
    private static final double STARTS = 0.004;

    private static final double STARTS_CELSIUS_BELOW_MELTING = 1;
    private static final double STARTS_KELVIN = 0.8;
    private static final double MOST_STARTS = 0.3;
    private static final double UNSTABLE_GROWS_PER_KELVIN = 0.04;
    private static final double UNSTABLE_MELTS_PER_KELVIN = 0.6;
    private static final double TURNS = 0.002;
    private static final double TURNS_STIRRED = 0.25;
    private static final double STABLE_GROWS = 2.5;
    private static final double STABLE_MELTS_PER_KELVIN = 1.5;

    /** Stable crystals that do not dissolve: this share so far below their melting point, by a power of how far. */
    private static final double LASTS = 0.06;

    private static final double LASTS_POWER = 1.6;
    private static final double DISSOLVES = 10;

    /** Pieces melt, per minute and kelvin; they soften so far below the stable form's melting point. */
    private static final double PIECES_MELT = 0.1;

    private static final double GRATED_MELT = 0.25;
    private static final double SOFTENS_BELOW = 5.3;

    /** A bowl is in temper from this share of stable crystals on, while unstable ones are fewer than half as many. */
    private static final double ENOUGH = 0.001;

    /** From this share on it is too thick to line a mould with. */
    private static final double THICK = 0.09;

    private static final double NOISE_KELVIN = 0.05;

    /**
     * What is in the bowl.
     *
     * @param kind of couverture: dark, milk, white, blond or ruby
     * @param solid whether it lies there in pieces; else it is melted, without a crystal
     * @param softerKelvin how much lower than usual for the kind its crystals melt
     */
    public record Filling(
            String kind, double grams, double cocoaButterFraction, double celsius, boolean solid, double softerKelvin) {

        /** One whose crystals melt where they usually do. */
        public Filling(String kind, double grams, double cocoaButterFraction, double celsius, boolean solid) {
            this(kind, grams, cocoaButterFraction, celsius, solid, 0);
        }
    }

    /**
     * What it is in and where.
     *
     * @param wallJoules heat capacity of the empty bowl, J/K
     * @param conducts how fast heat goes through its wall, 1 for steel
     */
    public record Place(double wallJoules, double conducts, double roomCelsius) {}

    /** What somebody does to it. */
    public sealed interface Deed
            permits Heat, OverBath, OffBath, Stir, AddPieces, AddCrystals, LiftOut, OntoSlab, Back {}

    /** Heat from warm water, a lamp or bursts; 0 for none. */
    public record Heat(double watts) implements Deed {}

    /** It is set over cold water with ice in it. */
    public record OverBath(double waterGrams, double iceGrams) implements Deed {}

    public record OffBath() implements Deed {}

    /** From 0, left alone, to 1. */
    public record Stir(double speed) implements Deed {}

    /** Tempered couverture goes in. */
    public record AddPieces(double grams, double celsius, boolean grated) implements Deed {}

    /** Cocoa butter with a third of its crystals in the stable form. */
    public record AddCrystals(double grams) implements Deed {}

    /** What is left of pieces comes out. */
    public record LiftOut() implements Deed {}

    /** A share of it is poured on the slab and worked there. */
    public record OntoSlab(double share) implements Deed {}

    /** The slab's part comes back into the bowl. */
    public record Back() implements Deed {}

    /** Where crystals melt, and how far below the stable ones' melting point a bowl is worked. */
    private record Fat(double unstable, double stable, double lastsKelvin) {
        private Fat softer(double kelvin) {
            return new Fat(unstable - kelvin, stable - kelvin, lastsKelvin);
        }

        private static Fat of(String kind) {
            return CsvTable.load(SimulatedBowl.class, "fats.csv").rows().stream()
                    .filter(r -> r.text("kind").equals(kind))
                    .findFirst()
                    .map(r -> new Fat(r.number("unstable_melts"), r.number("stable_melts"), r.number("lasts_kelvin")))
                    .orElseThrow(() -> new IllegalArgumentException("no fat of " + kind));
        }
    }

    /** A mass that has one temperature, liquid and pieces together. */
    private final class Mass {
        private double grams;
        private double pieces;
        private double ofPieces = PIECES_MELT;
        private double celsius;
        private double unstable;
        private double stable;

        private double joules() {
            return LIQUID * grams + SOLID * pieces;
        }

        /** One second with so much heat coming in, W. */
        private void step(double watts, double speed, double film) {
            double joules = watts + (melt(speed) + crystallise(speed, film)) * LATENT * butter;
            celsius += joules / Math.max(1, joules());
        }

        /** Grams that melted, negative: heat goes into them. */
        private double melt(double speed) {
            double soft = fat.stable - SOFTENS_BELOW;
            if (pieces <= 0 || celsius <= soft) {
                return 0;
            }
            double share = ofPieces * (0.4 + 0.6 * speed) * (celsius - soft) / MINUTE;
            double most = (celsius - soft) * joules() / (LATENT * butter);
            double melted = pieces < 0.5 ? pieces : Math.min(pieces, Math.min(most, pieces * share));
            double left = lasts();
            stable = (stable * grams + left * melted) / (grams + melted);
            unstable = unstable * grams / (grams + melted);
            grams += melted;
            pieces -= melted;
            return -melted * (1 - left);
        }

        /** Share of stable crystals that does not dissolve as warm as it is. */
        private double lasts() {
            return Math.min(1, LASTS * Math.pow(Math.max(0, fat.stable - celsius) / fat.lastsKelvin, LASTS_POWER));
        }

        /** Grams that crystallised; negative where crystals melted. Where it touches cold stone more of them start. */
        private double crystallise(double speed, double film) {
            double liquid = Math.max(0, 1 - unstable - stable);
            double below = fat.unstable - celsius;
            double starts = Math.min(
                    MOST_STARTS,
                    STARTS * Math.exp((fat.unstable - film - STARTS_CELSIUS_BELOW_MELTING) / STARTS_KELVIN));
            double grown = below > 0
                    ? liquid * (starts + UNSTABLE_GROWS_PER_KELVIN * unstable * below)
                    : liquid * starts + UNSTABLE_MELTS_PER_KELVIN * unstable * below;
            double turned = unstable * (TURNS + TURNS_STIRRED * speed);
            double cold = fat.stable - celsius;
            double stableGrown = cold > 0
                    ? (stable < lasts() ? STABLE_GROWS : DISSOLVES) * stable * (lasts() - stable) * (0.3 + 0.7 * speed)
                    : STABLE_MELTS_PER_KELVIN * stable * cold;
            double before = unstable + stable;
            unstable = Math.max(0, unstable + (grown - turned) / MINUTE);
            stable = Math.max(0, Math.min(1, stable + (stableGrown + turned) / MINUTE));
            return grams * (unstable + stable - before);
        }

        private void take(Mass other) {
            double all = grams + other.grams;
            celsius = (joules() * celsius + other.joules() * other.celsius) / (joules() + other.joules());
            unstable = (grams * unstable + other.grams * other.unstable) / all;
            stable = (grams * stable + other.grams * other.stable) / all;
            grams = all;
        }

        private void add(double more, double at, double how) {
            celsius = (joules() * celsius + SOLID * more * at) / (joules() + SOLID * more);
            ofPieces = pieces > 0 ? (ofPieces * pieces + how * more) / (pieces + more) : how;
            pieces += more;
        }
    }

    private final double butter;
    private final Fat fat;
    private final Place place;
    private final long seed;
    private final Mass bowl = new Mass();
    private Mass onSlab;
    private double wall;
    private double slab;
    private double watts;
    private double bath = Double.NaN;
    private double bathWater;
    private double bathIce;
    private double speed;
    private int second;
    private double[] celsius = new double[4096];

    /**
     * A bowl that nothing was done to yet.
     *
     * @param seed makes its noise repeatable
     * @throws IllegalArgumentException for a kind without a fat
     */
    public SimulatedBowl(Filling filling, Place place, long seed) {
        this.butter = filling.cocoaButterFraction;
        this.fat = Fat.of(filling.kind).softer(filling.softerKelvin);
        this.place = place;
        this.seed = seed;
        bowl.grams = filling.solid ? 1 : filling.grams;
        bowl.pieces = filling.solid ? filling.grams - 1 : 0;
        bowl.celsius = filling.celsius;
        wall = filling.celsius;
        slab = place.roomCelsius;
        celsius[0] = filling.celsius;
    }

    /** Somebody does something to it now. */
    public void does(Deed deed) {
        if (deed instanceof Heat heat) {
            watts = heat.watts;
        } else if (deed instanceof OverBath over) {
            bath = over.iceGrams > 0 ? 0 : 15;
            bathWater = over.waterGrams;
            bathIce = over.iceGrams;
        } else if (deed instanceof OffBath) {
            bath = Double.NaN;
        } else if (deed instanceof Stir stir) {
            speed = stir.speed;
        } else if (deed instanceof AddPieces add) {
            bowl.add(add.grams, add.celsius, add.grated ? GRATED_MELT : PIECES_MELT);
        } else if (deed instanceof AddCrystals add) {
            bowl.stable += add.grams / 3 / (butter * bowl.grams);
            bowl.grams += add.grams;
        } else if (deed instanceof LiftOut) {
            bowl.pieces = 0;
        } else if (deed instanceof OntoSlab onto && onSlab == null) {
            onSlab = new Mass();
            onSlab.grams = onto.share * bowl.grams;
            onSlab.celsius = bowl.celsius;
            onSlab.unstable = bowl.unstable;
            onSlab.stable = bowl.stable;
            bowl.grams -= onSlab.grams;
        } else if (deed instanceof Back && onSlab != null) {
            bowl.take(onSlab);
            onSlab = null;
        }
    }

    /** Lets time pass up to a second of its own. */
    public void upTo(int until) {
        while (second < until) {
            step();
        }
    }

    private void step() {
        double kg = (bowl.grams + bowl.pieces) / 1000;
        double size = Math.cbrt(kg * kg);
        double moved = 0.4 + 0.6 * speed;
        double toWall = TO_WALL * place.conducts * size * moved * (bowl.celsius - wall);
        double toRoom = TO_ROOM * size * moved * (bowl.celsius - place.roomCelsius);
        double wallToRoom = TO_ROOM * size * (wall - place.roomCelsius) / 2;
        double wallToBath = Double.isNaN(bath) ? 0 : TO_BATH * place.conducts * size * (wall - bath);
        if (place.wallJoules > 0) {
            wall += (toWall - wallToRoom - wallToBath) / Math.max(place.wallJoules, 30);
            bowl.step(watts - toWall - toRoom, speed, bowl.celsius);
        } else {
            wall = bowl.celsius;
            bowl.step(watts - toRoom - wallToBath * moved, speed, bowl.celsius);
        }
        warmBath(wallToBath);
        if (onSlab != null) {
            double toSlab = TO_SLAB * onSlab.grams / 1000 * (onSlab.celsius - slab);
            onSlab.step(-toSlab, 1, (onSlab.celsius + slab) / 2);
            slab += (toSlab - SLAB_TO_ROOM * (slab - place.roomCelsius)) / SLAB_JOULES;
        }
        second++;
        if (second == celsius.length) {
            celsius = Arrays.copyOf(celsius, 2 * second);
        }
        celsius[second] = worked();
    }

    /** Where the spatula and the probe are: on the slab while something lies there. */
    private double worked() {
        return onSlab == null ? bowl.celsius : onSlab.celsius;
    }

    private void warmBath(double joules) {
        if (bathIce > 0) {
            bathIce -= joules / ICE;
            bathWater += joules / ICE;
        } else if (!Double.isNaN(bath)) {
            bath += joules / (WATER * bathWater);
        }
    }

    /** Its own time, s. */
    public int second() {
        return second;
    }

    /** True temperature of what is in the bowl now. */
    public double celsius() {
        return bowl.celsius;
    }

    /** True temperature of what is worked, on the slab or in the bowl, after a second that has passed. */
    public double celsiusAt(int second) {
        return celsius[second];
    }

    /** What a probe shows of a second that has passed. */
    public double shownAt(int second) {
        SplittableRandom random = new SplittableRandom(seed * 31 + second);
        return celsius[second] + NOISE_KELVIN * random.nextGaussian();
    }

    /** True temperature of what lies on the slab; empty where nothing does. */
    public Optional<Double> slabCelsius() {
        return Optional.ofNullable(onSlab).map(m -> m.celsius);
    }

    /** Pieces that have not melted, g. */
    public double piecesGrams() {
        return bowl.pieces;
    }

    /** Share of its cocoa butter in stable crystals. */
    public double stable() {
        return bowl.stable;
    }

    /** Share of its cocoa butter in unstable crystals. */
    public double unstable() {
        return bowl.unstable;
    }

    /** Whether what is dipped in it now sets as it should. */
    public boolean tempered() {
        return bowl.stable >= ENOUGH && bowl.unstable <= bowl.stable / 2;
    }

    /** Whether it is too thick to line with. */
    public boolean thick() {
        return bowl.stable + bowl.unstable > THICK;
    }
}

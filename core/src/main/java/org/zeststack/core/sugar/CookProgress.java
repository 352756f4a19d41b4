package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/**
 * What the readings of one pot tell: water left, stage and minutes left. Takes them one after the other; the work for one does not grow
 * with the length of the cook.
 */
public final class CookProgress {

    /** What a reading was taken for. */
    public enum Taken {
        /** The mass does not boil yet. */
        HEATING,
        /** The minutes rest on it. */
        USED,
        /** Too far off to be the mass: steam on the probe, or its bottom. */
        WILD
    }

    /** Why there are no minutes. */
    public enum Reason {
        NOT_BOILING("it does not boil yet"),
        TOO_FEW("a few readings more"),
        NOT_RISING("it does not rise"),
        PAST("past the stop"),
        POURS("something goes in first");

        private final String words;

        Reason(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * A true temperature at a moment.
     *
     * @param minute minutes since the pot was started, in the pot's own time
     * @param celsius true temperature, already corrected for the thermometer
     */
    public record Point(double minute, double celsius) {}

    /**
     * The time until the stop.
     *
     * @param minutes most likely
     * @param least early end of the interval; never below 0
     * @param greatest late end of the interval
     */
    public record MinutesLeft(double minutes, double least, double greatest) {}

    /**
     * The state of the pot after its last reading that was not wild.
     *
     * @param boiling whether the mass has reached its first boiling point here
     * @param modelled whether it stands where its water can be told; where not, water, mass, sea level and solids say nothing
     * @param waterGrams water left; what was put in until it boils
     * @param massGrams what the mass would weigh with it
     * @param seaLevelCelsius temperature as it would be at sea level
     * @param distanceKelvin where it is taken off less temperature; negative once past
     * @param minutesLeft empty where the readings do not tell
     * @param reason why they do not; empty where they do
     * @param usedReadings on which the minutes rest
     * @param heatChangedMinute when the ring was turned last, in the pot's own time; empty where it was not as far as they tell
     * @param watts heat that the mass takes up; empty until it boils
     */
    public record State(
            boolean boiling,
            boolean modelled,
            double celsius,
            double waterGrams,
            double massGrams,
            double seaLevelCelsius,
            double dissolvedSolids,
            double distanceKelvin,
            Optional<MinutesLeft> minutesLeft,
            Optional<Reason> reason,
            int usedReadings,
            OptionalDouble heatChangedMinute,
            OptionalDouble watts) {

        /** The same without minutes. */
        State without(Reason because) {
            return new State(
                    boiling,
                    modelled,
                    celsius,
                    waterGrams,
                    massGrams,
                    seaLevelCelsius,
                    dissolvedSolids,
                    distanceKelvin,
                    Optional.empty(),
                    Optional.of(because),
                    usedReadings,
                    heatChangedMinute,
                    watts);
        }

        /** Whether it is to be off the heat: it reads so, or the readings together say so. */
        public boolean past() {
            return reason.filter(Reason.PAST::equals).isPresent();
        }

        /** Whether it goes to no reading yet, but to something that is poured in by another sign. */
        public boolean pours() {
            return reason.filter(Reason.POURS::equals).isPresent();
        }

        /** The stage by one way of naming. */
        public String stage(Stages.Naming naming) {
            return naming == Stages.Naming.PRINTED ? Stages.nameAt(seaLevelCelsius) : Stages.nameOf(dissolvedSolids);
        }

        /** The stage by the printed temperatures. */
        public String stage() {
            return stage(Stages.Naming.PRINTED);
        }
    }

    private static final double START_CELSIUS = 15;
    private static final double ROOM_CELSIUS = 20;
    /** A pot that has warmed by so much is hot at its bottom too, and by so much more its heat shows, K (our own choice). */
    private static final double BOTTOM_HOT_KELVIN = 10;

    private static final double SHOWS_KELVIN = 10;

    /** No kitchen's pot warms by more than the second in a second; the first is what readings scatter (our own choice). */
    private static final double SPRING_KELVIN = 6;

    private static final double SPRING_KELVIN_PER_SECOND = 1;
    private static final double MINUTE_SECONDS = 60;
    private static final int PLANNED_POINTS = 40;

    private final Cook cook;
    private final Solution solution;
    private final double takeOffCelsius;
    private final double firstBoilingHere;
    /** Where the tables end. */
    private final double greatestCelsius;

    private final PotHeat heat;
    private final BoilWatch watch;
    private Point first;
    /** A reading that sprang, until the next one says whether it was right; null where none did. */
    private Point sprung;

    private Point last;
    /** From where on the heat is told while it warms; null until the pot's bottom is hot. */
    private Point warm;

    /** A pot that nothing has been read from yet, and that does not climb on when it is taken off. */
    public CookProgress(Cook cook) {
        this(cook, 0);
    }

    /**
     * A pot that nothing has been read from yet.
     *
     * @param afterHeatKelvin how much it climbs on after it is taken off: so much before the stop its minutes are over
     */
    public CookProgress(Cook cook, double afterHeatKelvin) {
        this.cook = cook;
        takeOffCelsius = cook.stopCelsiusHere() - afterHeatKelvin;
        solution = Solution.in(cook.before());
        firstBoilingHere = Boiling.celsius(solution, cook.before().waterGrams(), cook.pressureKpa());
        greatestCelsius = BoilWatch.greatestCelsius(cook.stopCelsiusHere());
        heat = PotHeat.of(cook.before(), cook.pressureKpa(), START_CELSIUS, greatestCelsius);
        watch = new BoilWatch(cook.before(), cook.pressureKpa(), takeOffCelsius);
    }

    /**
     * Takes the next reading.
     *
     * @param point true temperature, not before the last one
     * @param shown what the thermometer showed, which tells in which steps it is read
     */
    public Taken add(Point point, double shown) {
        if (springs(point)) {
            sprung = point;
            return Taken.WILD;
        }
        sprung = null;
        if (point.celsius() > greatestCelsius) {
            last = point;
            return Taken.USED;
        }
        Taken taken = watch.add(point, shown);
        if (taken != Taken.WILD || last == null) {
            last = point;
        }
        first = first == null ? point : first;
        if (warm == null && taken == Taken.HEATING && point.celsius() - first.celsius() >= BOTTOM_HOT_KELVIN) {
            warm = point;
        }
        return taken;
    }

    /**
     * Whether a pot that does not boil yet, or is beyond all that is reckoned, is said to be where no ring brings it so soon: steam, a
     * slip of the pen. The next reading beside it says that it was right; what reads a little past the stop is never passed over.
     */
    private boolean springs(Point point) {
        boolean beyond = last != null && point.celsius() > greatestCelsius;
        boolean watched = last != null && last.celsius() < firstBoilingHere - SPRING_KELVIN;
        if (!beyond && (!watched || point.celsius() >= takeOffCelsius)) {
            return false;
        }
        double since = MINUTE_SECONDS * (point.minute() - last.minute());
        boolean far = Math.abs(point.celsius() - last.celsius()) > SPRING_KELVIN + SPRING_KELVIN_PER_SECOND * since;
        boolean again = sprung != null && Math.abs(point.celsius() - sprung.celsius()) <= SPRING_KELVIN;
        return far && !again;
    }

    /** A hand says that the ring was turned at a minute of the pot's own time. */
    public void turned(double minute) {
        watch.turned(minute);
    }

    /** The state as far as it was read; there must have been a reading. */
    public State state() {
        boolean boiling = last.celsius() >= firstBoilingHere;
        boolean modelled = last.celsius() <= greatestCelsius;
        double water = heat.waterGrams(last.celsius());
        double seaLevel =
                boiling && modelled ? Boiling.celsius(solution, water, Atmosphere.SEA_LEVEL_KPA) : last.celsius();
        Composition mass = cook.before().withWater(water);
        double distance = takeOffCelsius - last.celsius();
        BoilWatch.Answer answer = distance <= 0 ? BoilWatch.Answer.PAST : watch.answer();
        return new State(
                boiling,
                modelled,
                last.celsius(),
                water,
                mass.totalGrams(),
                seaLevel,
                mass.dissolvedSolidsFraction(),
                distance,
                Optional.ofNullable(answer.minutes()),
                Optional.ofNullable(answer.reason()),
                watch.used(),
                known(watch.turnedAt()),
                modelled ? watts() : OptionalDouble.empty());
    }

    /** Heat that the mass takes up as far as its water can be told, W; empty until it boils. */
    OptionalDouble watts() {
        return known(watch.power() * 1000 / MINUTE_SECONDS);
    }

    /**
     * Minutes from its first boil to where it was first seen to boil, at the heat that it takes up: 0 where it was read from its boil on.
     */
    double boiledUnread() {
        double from = firstBoilingHere + BoilWatch.AT_THE_BOIL_KELVIN;
        return Math.max(0, (heat.kilojoules(watch.beganCelsius()) - heat.kilojoules(from)) / watch.power());
    }

    /** The way to the stop at the heat that the pot has now; empty where the readings do not tell. */
    public List<Point> ahead() {
        return watch.ahead();
    }

    /** The way from where it was read last to where it is taken off, at a steady heat that would bring it there in so many minutes. */
    List<Point> planned(double minutes) {
        List<Point> way = new ArrayList<>();
        double all = kilojoulesLeft();
        double from = heat.kilojoules(takeOffCelsius) - all;
        for (int i = 0; i <= PLANNED_POINTS; i++) {
            double share = (double) i / PLANNED_POINTS;
            way.add(new Point(last.minute() + share * minutes, heat.celsiusAt(from + share * all)));
        }
        return way;
    }

    /** When it began to boil, in the pot's own time; NaN where it has not as far as the readings tell. */
    double boiledMinute() {
        return watch.began();
    }

    /** Where the mass stands at a minute not before the last reading, °C; it boils. */
    double celsiusAt(double minute) {
        return watch.celsiusAt(minute);
    }

    /** Heat that the mass takes up from where it was read last, else from a room's warmth, to where it is taken off, kJ. */
    double kilojoulesLeft() {
        double from = last == null ? ROOM_CELSIUS : Math.max(START_CELSIUS, last.celsius());
        return Math.max(0, heat.kilojoules(takeOffCelsius) - heat.kilojoules(from));
    }

    /** Heat that it takes up while it warms, kW; empty until that shows, and once it boils. */
    OptionalDouble warmingKilowatts() {
        boolean shows = warm != null
                && last.celsius() < firstBoilingHere
                && last.celsius() - warm.celsius() >= SHOWS_KELVIN
                && last.minute() > warm.minute();
        return shows
                ? OptionalDouble.of((heat.kilojoules(last.celsius()) - heat.kilojoules(warm.celsius()))
                        / (last.minute() - warm.minute())
                        / MINUTE_SECONDS)
                : OptionalDouble.empty();
    }

    /** True temperature at which it is taken off, °C. */
    public double takeOffCelsius() {
        return takeOffCelsius;
    }

    private static OptionalDouble known(double amount) {
        return Double.isNaN(amount) ? OptionalDouble.empty() : OptionalDouble.of(amount);
    }
}

package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.stat.descriptive.rank.Median;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.heat.ChoiOkos;
import org.zeststack.core.sugar.CookProgress.Point;
import org.zeststack.core.sugar.CookProgress.Reason;
import org.zeststack.core.sugar.CookProgress.Taken;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/**
 * Follows one pot reading by reading and says how many minutes are left until it stands at the stop.
 *
 * <p>Until it boils it warms fast and tells nothing about drying. It is taken to boil when it stands near its first boiling point and
 * rises as slowly as a drying mass does. From then on three {@link HeatBank}s follow it, for a thermometer that is right and for two that
 * are off, because what is left of its error decides the last minutes.
 */
final class BoilWatch {

    /**
     * Minutes left or why there are none.
     *
     * @param minutes null where there are none
     * @param reason null where there are minutes
     */
    record Answer(CookProgress.MinutesLeft minutes, Reason reason) {
        static final Answer PAST = new Answer(null, Reason.PAST);
    }

    /** What is left of a thermometer's error, K (our own choice). */
    private static final double OFFSET_KELVIN = 0.3;
    /** What probes in sticky masses lag behind, minutes (our own choice). */
    private static final double LAG_MINUTES = 7 / 60.0;

    /** Share of the ring's heat that is lost for each kelvin above the first boil, with what the water model misses (our own choice). */
    private static final double LOSS_PER_KELVIN = 0.01;
    /** Share of the heat at which a mass warmed that is left to dry it (our own choice). */
    private static final double DRYING_SHARE = 0.92;

    private static final double USUAL_KILOWATTS_PER_KG = 0.45;
    /** No ring gives more to a mass that is cooked, kW/kg: what seems to is still warming. */
    private static final double MOST_KILOWATTS_PER_KG = 1.3;

    private static final int MOST_WARMING = 8;
    private static final double NEAR_KELVIN = 4;
    static final double AT_THE_BOIL_KELVIN = 1;
    /** How far beyond its stop a pot is followed, K (our own choice). */
    private static final double BEYOND_KELVIN = 15;

    private static final double BELOW_KELVIN = 6;
    private static final double LEAST_SPAN = 25 / 60.0;
    /** Readings closer than this, minutes, tell nothing more of a mass that warms, or of how they scatter. */
    static final double LEAST_APART = 0.2 / 60;

    private static final double MOST_MINUTES = 240;
    private static final int PATH_POINTS = 24;
    private static final double[] SHIFTS = {0, Math.sqrt(3) * OFFSET_KELVIN, -Math.sqrt(3) * OFFSET_KELVIN};
    private static final double[] WEIGHTS = {2 / 3.0, 1 / 6.0, 1 / 6.0};

    private final Composition mass;
    private final double stopCelsius;
    private final double firstCelsius;
    private final PotHeat heat;
    private final double stopHeat;
    private final List<HeatBank> banks = new ArrayList<>();
    private final List<Point> recent = new ArrayList<>();
    private final Resolution resolution = new Resolution();
    private final ReadingScatter scatter = new ReadingScatter();
    private final List<Double> warming = new ArrayList<>();
    private double warmedTo = Double.NEGATIVE_INFINITY;
    private double began = Double.NaN;
    private double beganCelsius = Double.NaN;
    private double minute;
    private int used;

    /**
     * A pot that no reading has come from yet.
     *
     * @param stopCelsius true temperature to stop at here
     */
    BoilWatch(Composition mass, double pressureKpa, double stopCelsius) {
        this.mass = mass;
        this.stopCelsius = stopCelsius;
        firstCelsius = Boiling.celsius(Solution.in(mass), mass.waterGrams(), pressureKpa);
        double to = greatestCelsius(Math.max(stopCelsius, firstCelsius));
        heat = PotHeat.boiling(mass, pressureKpa, BELOW_KELVIN, to, LOSS_PER_KELVIN);
        stopHeat = heat.kilojoules(stopCelsius);
    }

    /** How hot a pot with a stop may be for its water to be told, °C: hotter it browns, or nothing of the recipe is left. */
    static double greatestCelsius(double stopCelsius) {
        return Math.min(Boiling.GREATEST_CELSIUS - 0.01, stopCelsius + BEYOND_KELVIN);
    }

    /**
     * Takes the next reading.
     *
     * @param point with its true temperature
     * @param shown what the thermometer showed, which tells in which steps it is read
     */
    Taken add(Point point, double shown) {
        minute = Math.max(minute, point.minute());
        resolution.saw(shown);
        scatter.saw(point);
        if (!banks.isEmpty()) {
            return follow(point);
        }
        if (!recent.isEmpty() && point.minute() - recent.get(recent.size() - 1).minute() < LEAST_APART) {
            return Taken.HEATING;
        }
        recent.add(point);
        while (recent.size() > 2 && point.minute() - recent.get(1).minute() >= LEAST_SPAN) {
            recent.remove(0);
        }
        if (boils()) {
            begin();
            return Taken.USED;
        }
        return Taken.HEATING;
    }

    private Taken follow(Point point) {
        boolean wild = false;
        for (int i = 0; i < banks.size(); i++) {
            boolean thisOne = banks.get(i).add(point.minute(), point.celsius(), kelvin());
            wild = i == 0 ? thisOne : wild;
        }
        used += wild ? 0 : 1;
        return wild ? Taken.WILD : Taken.USED;
    }

    private double kelvin() {
        return Math.hypot(scatter.kelvin(), resolution.kelvin() / Math.sqrt(12));
    }

    /** Whether the last readings lie near the first boil and rise no faster than something that dries. */
    private boolean boils() {
        int n = recent.size();
        Point first = recent.get(0);
        Point last = recent.get(n - 1);
        if (n < 2 || last.minute() - first.minute() < LEAST_SPAN) {
            return false;
        }
        List<Point> early = recent.subList(0, n / 2);
        List<Point> late = recent.subList(n - n / 2, n);
        double celsius = celsius(late);
        double perMinute = (celsius - celsius(early)) / (minute(late) - minute(early));
        double perKelvin = ChoiOkos.kilojoulesPerKelvin(mass, celsius);
        if (celsius < firstCelsius - NEAR_KELVIN) {
            if (minute(early) >= warmedTo) {
                warming.add(perMinute * perKelvin);
                if (warming.size() > MOST_WARMING) {
                    warming.remove(0);
                }
                warmedTo = minute(late);
            }
            return false;
        }
        double dryingPerKelvin = heat.slope(celsius);
        double warmingPower = warmingPower();
        double limit = warmingPower > 0
                ? warmingPower * Math.sqrt(Math.max(1, dryingPerKelvin / perKelvin))
                : 60 * MOST_KILOWATTS_PER_KG * mass.totalGrams() / 1000;
        return perMinute * dryingPerKelvin < limit && perMinute * dryingPerKelvin > -limit;
    }

    private double warmingPower() {
        return warming.isEmpty() ? 0 : median(warming);
    }

    private void begin() {
        double warm = warmingPower();
        double power = warm > 0 ? DRYING_SHARE * warm : 60 * USUAL_KILOWATTS_PER_KG * mass.totalGrams() / 1000;
        List<Point> late = recent.subList(recent.size() / 2, recent.size());
        Point first = late.get(0);
        began = first.minute();
        beganCelsius = celsius(late);
        for (double shift : SHIFTS) {
            HeatBank bank = new HeatBank(heat, shift, stopCelsius);
            bank.begin(first.minute(), celsius(late), kelvin(), power, warm > 0);
            banks.add(bank);
        }
        used = 1;
        late.subList(1, late.size()).forEach(this::follow);
        recent.clear();
    }

    private static double celsius(List<Point> points) {
        return median(points.stream().map(Point::celsius).toList());
    }

    static double median(List<Double> of) {
        return new Median()
                .evaluate(of.stream().mapToDouble(Double::doubleValue).toArray());
    }

    private static double minute(List<Point> points) {
        return points.stream().mapToDouble(Point::minute).average().orElseThrow();
    }

    /** A hand says that the ring was turned at a minute. */
    void turned(double atMinute) {
        banks.forEach(bank -> bank.turned(atMinute));
    }

    /** When it began to boil, minutes; NaN before. */
    double began() {
        return began;
    }

    /** Where it stood then, °C; NaN before. */
    double beganCelsius() {
        return beganCelsius;
    }

    /** Readings that the fit rests on. */
    int used() {
        return used;
    }

    /** When the ring was turned as far as the readings tell, in minutes; NaN where they do not. */
    double turnedAt() {
        return banks.isEmpty() ? Double.NaN : banks.get(0).turnedAt();
    }

    /** Heat that the mass takes up, kJ a minute; NaN before it boils. */
    double power() {
        return banks.isEmpty() ? Double.NaN : banks.get(0).power();
    }

    /** Where the mass stands at a minute after the last reading, the probe's lag made good, °C; it boils. */
    double celsiusAt(double atMinute) {
        HeatBank bank = banks.get(0);
        return heat.celsiusAt(bank.heat() + bank.power() * (atMinute - minute + LAG_MINUTES));
    }

    /** The way to the stop at the heat that it has, from the last reading on; empty before it boils. */
    List<Point> ahead() {
        Answer answer = answer();
        if (answer.minutes() == null) {
            return List.of();
        }
        List<Point> path = new ArrayList<>();
        for (int i = 0; i <= PATH_POINTS; i++) {
            double after = answer.minutes().minutes() * i / PATH_POINTS;
            double now = banks.get(0).heat();
            path.add(new Point(minute + after, heat.celsiusAt(now + (stopHeat - now) * i / PATH_POINTS)));
        }
        return path;
    }

    Answer answer() {
        if (banks.isEmpty()) {
            return new Answer(null, notYet());
        }
        if (chance(0) >= 0.5) {
            return Answer.PAST;
        }
        if (used < 2 || minute - began < LEAST_SPAN / 2) {
            return new Answer(null, Reason.TOO_FEW);
        }
        if (chance(MOST_MINUTES) < 0.5) {
            return new Answer(null, Reason.NOT_RISING);
        }
        return new Answer(new CookProgress.MinutesLeft(when(0.5), when(0.05), when(0.95)), null);
    }

    private Reason notYet() {
        if (recent.isEmpty()) {
            return Reason.NOT_BOILING;
        }
        double celsius = celsius(recent.subList(recent.size() / 2, recent.size()));
        if (celsius >= stopCelsius) {
            return Reason.PAST;
        }
        double span = minute - recent.get(0).minute();
        boolean near = celsius >= firstCelsius - AT_THE_BOIL_KELVIN;
        return near && span < LEAST_SPAN ? Reason.TOO_FEW : Reason.NOT_BOILING;
    }

    private double when(double chance) {
        double least = 0;
        double greatest = MOST_MINUTES;
        for (int i = 0; i < 24; i++) {
            double middle = (least + greatest) / 2;
            if (chance(middle) < chance) {
                least = middle;
            } else {
                greatest = middle;
            }
        }
        return greatest;
    }

    /** Chance that the mass has come to the stop so many minutes after the last reading; the probe lags behind it. */
    private double chance(double minutes) {
        double sum = 0;
        for (int i = 0; i < SHIFTS.length; i++) {
            sum += WEIGHTS[i] * banks.get(i).chance(stopHeat, minutes + LAG_MINUTES);
        }
        return sum;
    }

    /** In which steps somebody reads: whole degrees, halves or tenths. */
    private static final class Resolution {
        private static final double[] STEPS = {1, 0.5, 0.1};
        private int step;
        private int seen;

        private void saw(double celsius) {
            seen++;
            while (step < STEPS.length - 1 && Math.abs(Math.IEEEremainder(celsius, STEPS[step])) > 1e-3) {
                step++;
            }
        }

        private double kelvin() {
            return seen < 2 ? STEPS[STEPS.length - 1] : STEPS[step];
        }
    }
}

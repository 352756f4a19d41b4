package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.simulate.SimulatedPot;
import org.zeststack.core.sugar.CookProgress.Point;

public class CookLessonTest {

    private static final double PRESSURE = 95;
    private final Cook cook = Cook.to(Masses.checkCaramel(), 118, PRESSURE);

    /** A pot with a heavy bottom that is taken off at a second, read every two seconds for a while after. */
    private SimulatedPot pot(double off, double steelKg) {
        double watts = SimulatedPot.usualWatts(Masses.checkCaramel());
        return new SimulatedPot(
                Masses.checkCaramel(),
                new SimulatedPot.Ring(PRESSURE, watts, 0.006, 0.03, steelKg),
                new SimulatedPot.Probe(6, 0, 0.1, 0, 0),
                List.of(new SimulatedPot.TakenOff(off)),
                3);
    }

    private static List<Point> points(SimulatedPot pot, double seconds) {
        List<Point> points = new ArrayList<>();
        for (int second = 0; second <= seconds; second += 2) {
            points.add(new Point(second / 60.0, pot.readingAt(second).getAsDouble()));
        }
        return points;
    }

    @Test
    public void teachesHeatMinutesAndAfterHeat() {
        double off = 900;
        SimulatedPot pot = pot(off, 3);
        CookLesson lesson = CookLesson.of(cook, points(pot, off + 240), OptionalDouble.of(off / 60))
                .orElseThrow();
        near(lesson.kilograms(), Masses.checkCaramel().totalGrams() / 1000, 1e-9, "what went in");
        near(lesson.kilowatts() * 1000 / SimulatedPot.usualWatts(Masses.checkCaramel()), 1, 0.25, "the ring's");
        near(lesson.boiledMinutes(), (off - pot.boiledAt(off)) / 60, 1, "from the boil on");
        double climbed = pot.celsiusAt(off + 200) - pot.celsiusAt(off);
        assertTrue(climbed > 0.4, "a heavy bottom climbs on " + climbed);
        near(lesson.afterHeatKelvin().getAsDouble(), climbed, 0.35, "as the mass did, whatever the probe lags");
    }

    /** A pot that was forgotten until 137 °C took up no less heat than one that was not. */
    @Test
    public void whatWasReadBeyondTheModelTeachesNoHeat() {
        SimulatedPot pot = pot(3000, 1);
        List<Point> all = new ArrayList<>(points(pot, 1100));
        for (double celsius = all.get(all.size() - 1).celsius(); celsius < 137; celsius += 1.2) {
            all.add(new Point(all.get(all.size() - 1).minute() + 0.5, celsius));
        }
        double watts = SimulatedPot.usualWatts(Masses.checkCaramel());
        double kilowatts =
                CookLesson.of(cook, all, OptionalDouble.empty()).orElseThrow().kilowatts();
        near(1000 * kilowatts / watts, 1, 0.3, "the ring's");
    }

    /** The boil is where the mass first boils, though somebody began to read later. */
    @Test
    public void theBoilBeganBeforeTheFirstReading() {
        double off = 900;
        SimulatedPot pot = pot(off, 1);
        double late = pot.boiledAt(off) / 60 + 5;
        List<Point> points =
                points(pot, off).stream().filter(p -> p.minute() >= late).toList();
        CookLesson lesson =
                CookLesson.of(cook, points, OptionalDouble.of(off / 60)).orElseThrow();
        near(lesson.boiledMinutes(), (off - pot.boiledAt(off)) / 60, 1.5, "from the boil on");
    }

    @Test
    public void whatIsNotKnownIsNotTaught() {
        SimulatedPot pot = pot(900, 3);
        List<Point> points = points(pot, 1100);
        assertTrue(CookLesson.of(cook, points, OptionalDouble.empty())
                .orElseThrow()
                .afterHeatKelvin()
                .isEmpty());
        List<Point> ended = points.stream().filter(p -> p.minute() <= 15.05).toList();
        assertTrue(
                CookLesson.of(cook, ended, OptionalDouble.of(15))
                        .orElseThrow()
                        .afterHeatKelvin()
                        .isEmpty(),
                "one reading after it is too few");
        List<Point> cold = points.stream().filter(p -> p.minute() < 3).toList();
        assertTrue(CookLesson.of(cook, cold, OptionalDouble.empty()).isEmpty(), "it never boiled");
    }

    @Test
    public void howOftenItWasReadMakesNoAfterHeat() {
        double off = 900;
        SimulatedPot pot = pot(off, 1);
        List<Point> all = points(pot, off + 240);
        double often = CookLesson.of(cook, all, OptionalDouble.of(15))
                .orElseThrow()
                .afterHeatKelvin()
                .getAsDouble();
        List<Point> few =
                all.stream().filter(p -> Math.round(60 * p.minute()) % 40 == 0).toList();
        double seldom = CookLesson.of(cook, few, OptionalDouble.of(15))
                .orElseThrow()
                .afterHeatKelvin()
                .getAsDouble();
        near(seldom, often, 0.4, "the last reading before it is 20 s old, in which it rose further");
        List<Point> gap =
                all.stream().filter(p -> p.minute() < 13.9 || p.minute() > 15).toList();
        assertTrue(
                CookLesson.of(cook, gap, OptionalDouble.of(15))
                        .orElseThrow()
                        .afterHeatKelvin()
                        .isEmpty(),
                "too old");
    }

    @Test
    public void aWildReadingAfterItIsNoAfterHeat() {
        List<Point> points = new ArrayList<>(points(pot(900, 0.3), 1100));
        OptionalDouble before =
                CookLesson.of(cook, points, OptionalDouble.of(15)).orElseThrow().afterHeatKelvin();
        points.add(new Point(18.4, 135));
        OptionalDouble after =
                CookLesson.of(cook, points, OptionalDouble.of(15)).orElseThrow().afterHeatKelvin();
        assertEquals(after, before);
    }

    @Test
    public void severalCooksTeachTheirMedian() {
        assertEquals(Learned.of(List.of()), Learned.NOTHING);
        assertTrue(Learned.NOTHING.minutes(1000).isEmpty());
        Learned learned = Learned.of(List.of(
                new CookLesson(2, 1.0, 20, OptionalDouble.of(0.8)),
                new CookLesson(2, 1.2, 16, OptionalDouble.empty()),
                new CookLesson(1, 0.9, 15, OptionalDouble.of(0.4))));
        assertEquals(learned.cooks(), 3);
        near(learned.kilowattsPerKilogram(), 0.6, 1e-9, "median of 0.5, 0.6, 0.9");
        near(learned.minutesPerKilogram(), 10, 1e-9, "median of 10, 8, 15");
        assertEquals(learned.climbs(), 2);
        near(learned.afterHeatKelvin(), 0.6, 1e-9, "median of 0.8 and 0.4");
        near(learned.minutes(2500).getAsDouble(), 25, 1e-9, "2.5 kg of 10 min each");
    }

    @Test
    public void aPotThatClimbsIsTakenOffEarlier() {
        SimulatedPot pot = pot(5000, 0.6);
        double second = 0;
        while (pot.celsiusAt(second) < cook.stopCelsiusHere() - 4) {
            second++;
        }
        CookProgress level = new CookProgress(cook);
        CookProgress climbs = new CookProgress(cook, 1.5);
        for (Point point : points(pot, second)) {
            level.add(point, point.celsius());
            climbs.add(point, point.celsius());
        }
        near(climbs.takeOffCelsius(), cook.stopCelsiusHere() - 1.5, 1e-9, "so much before the stop");
        near(level.state().distanceKelvin() - climbs.state().distanceKelvin(), 1.5, 1e-9, "so much nearer");
        double minutes = level.state().minutesLeft().orElseThrow().minutes();
        double sooner = climbs.state().minutesLeft().orElseThrow().minutes();
        assertTrue(sooner < 0.75 * minutes, sooner + " instead of " + minutes);
    }
}

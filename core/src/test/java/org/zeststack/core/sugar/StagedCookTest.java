package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.simulate.SimulatedPot;
import org.zeststack.core.sugar.CookProgress.Point;

/** A cook that warmed cream is poured into, on the independent pot. */
public class StagedCookTest {

    private static final double KPA = 95;
    private static final double POUR_CELSIUS = 128;
    private static final double STOP_CELSIUS = 118;
    private static final Composition SYRUP =
            Composition.of(Map.of(Part.SUCROSE, 400.0, Part.SYRUP_SOLIDS, 160.0, Part.WATER, 140.0), 42);
    private static final Composition CREAM =
            Composition.of(Map.of(Part.WATER, 175.0, Part.MILK_FAT, 105.0, Part.LACTOSE, 10.0, Part.PROTEIN, 7.0), 0);

    private static StagedCook cook(OptionalDouble due) {
        return new StagedCook(SYRUP, List.of(new StagedCook.Pour(CREAM, due)), STOP_CELSIUS, KPA, 0);
    }

    private static double when(SimulatedPot pot, double celsius, double from) {
        double second = from;
        while (pot.celsiusAt(second) < celsius) {
            second++;
        }
        return second;
    }

    @Test
    public void minutesGoToThePourAndThenToTheStop() {
        StagedCook staged = cook(OptionalDouble.of(POUR_CELSIUS));
        double due = staged.cook().orElseThrow().stopCelsiusHere();
        SimulatedPot.Ring ring = SimulatedPot.Ring.usual(SYRUP, KPA);
        SimulatedPot.Probe good = SimulatedPot.Probe.GOOD;
        double pourAt = when(new SimulatedPot(SYRUP, ring, good, List.of(), 7), due, 0);
        SimulatedPot pot = new SimulatedPot(SYRUP, ring, good, List.of(new SimulatedPot.Added(pourAt, CREAM, 70)), 7);
        for (double s = 0; s <= pourAt; s += 5) {
            staged.add(new Point(s / 60, pot.readingAt(s).orElseThrow()), pot.shownAt(s));
            boolean late = s > pourAt - 180 && s < pourAt - 10;
            if (late) {
                double left = staged.minutesLeft().orElseThrow().minutes();
                assertEquals(left, (pourAt - s) / 60, 0.5, "to the pour, at " + s);
            }
        }
        assertEquals(staged.state().orElseThrow().waterGrams(), pot.waterGramsAt(pourAt - 1), 8);

        staged.poured(pourAt / 60);
        assertTrue(staged.state().isEmpty(), "nothing was read of the mass that is in it now");
        Cook after = staged.cook().orElseThrow();
        double stopAt = when(pot, after.stopCelsiusHere(), pourAt + 30);
        assertTrue(stopAt > pourAt + 120, "the cream's water must boil off first");
        for (double s = pourAt + 5; s < stopAt; s += 5) {
            staged.add(new Point(s / 60, pot.readingAt(s).orElseThrow()), pot.shownAt(s));
            if (s > stopAt - 150 && s < stopAt - 15) {
                assertEquals(
                        staged.minutesLeft().orElseThrow().minutes(), (stopAt - s) / 60, 0.6, "to the stop, at " + s);
            }
        }
        double planned = Cook.to(SYRUP.plus(CREAM), STOP_CELSIUS, KPA).after().waterGrams();
        assertEquals(after.after().waterGrams(), planned, 1e-6, "only the sugars hold water at the stop");
    }

    @Test
    public void withoutAReadingThereAreNoMinutesToAPour() {
        StagedCook staged = cook(OptionalDouble.empty());
        SimulatedPot pot = new SimulatedPot(SYRUP, KPA, SimulatedPot.usualWatts(SYRUP), 3);
        for (double s = 0; s < 600; s += 10) {
            staged.add(new Point(s / 60, pot.celsiusAt(s)), pot.celsiusAt(s));
        }
        assertTrue(staged.minutesLeft().isEmpty());
        assertEquals(staged.state().orElseThrow().reason().orElseThrow(), CookProgress.Reason.POURS);
        assertTrue(staged.ahead(Learned.NOTHING).isEmpty());
        assertFalse(staged.state().orElseThrow().past());
        staged.poured(10);
        assertTrue(staged.next().isEmpty());
        staged.poured(11);
        assertEquals(staged.poured(), 1, "all is in");
        assertEquals(staged.pouredMinute(), 10, 0);
    }

    @Test
    public void beforeItBoilsTheWayIsPlanned() {
        StagedCook pot = new StagedCook(SYRUP, List.of(), STOP_CELSIUS, KPA, 0);
        pot.add(new Point(0, 22), 22);
        Learned known = new Learned(2, 0.5, 10, 0, 0);
        List<Point> way = pot.ahead(known);
        assertEquals(way.get(0).celsius(), 22, 0.01);
        Point end = way.get(way.size() - 1);
        assertEquals(end.minute(), pot.minutes(known).orElseThrow().minutes(), 1e-9);
        assertEquals(end.celsius(), pot.cook().orElseThrow().stopCelsiusHere(), 0.01);
        for (int i = 1; i < way.size(); i++) {
            assertTrue(way.get(i).celsius() > way.get(i - 1).celsius());
        }
    }

    @Test
    public void aReadingThatSpringsWhileItWarmsIsMarked() {
        StagedCook pot = new StagedCook(SYRUP, List.of(), STOP_CELSIUS, KPA, 0);
        assertEquals(pot.add(new Point(0, 30), 30), CookProgress.Taken.HEATING);
        // In ten seconds no further than 6 K and one a second: 46.
        assertEquals(pot.add(new Point(10 / 60.0, 46.1), 46.1), CookProgress.Taken.WILD);
        assertEquals(pot.add(new Point(20 / 60.0, 34), 34), CookProgress.Taken.HEATING);
        assertEquals(pot.state().orElseThrow().celsius(), 34, 0);
        assertEquals(pot.add(new Point(30 / 60.0, 0.5), 0.5), CookProgress.Taken.WILD);
        assertEquals(pot.add(new Point(40 / 60.0, 60), 60), CookProgress.Taken.HEATING, "26 K in 20 s may be");
        assertEquals(pot.add(new Point(50 / 60.0, 77), 77), CookProgress.Taken.WILD);
        assertEquals(pot.add(new Point(51 / 60.0, 80), 80), CookProgress.Taken.HEATING, "the next one says the same");
        pot.add(new Point(52 / 60.0, 125), 125);
        assertTrue(pot.state().orElseThrow().past(), "what reads past the stop is not passed over");
    }

    @Test
    public void whatIsPouredInAtAReadingIsNotTakenOffBeforeIt() {
        StagedCook pot = new StagedCook(
                SYRUP, List.of(new StagedCook.Pour(CREAM, OptionalDouble.of(POUR_CELSIUS))), STOP_CELSIUS, KPA, 2);
        double due = pot.cook().orElseThrow().stopCelsiusHere();
        pot.add(new Point(0, due - 1), due - 1);
        assertEquals(pot.state().orElseThrow().distanceKelvin(), 1, 1e-9, "a pot on its ring does not climb on");
        pot.poured(1);
        double stop = pot.cook().orElseThrow().stopCelsiusHere();
        pot.add(new Point(2, stop - 1), stop - 1);
        assertTrue(pot.state().orElseThrow().past(), "off it climbs on by two");
    }

    @Test
    public void whatWasNotReadStandsWhereThePourIsDue() {
        StagedCook staged = cook(OptionalDouble.of(POUR_CELSIUS));
        double left = staged.cook().orElseThrow().after().waterGrams();
        staged.poured(12);
        assertEquals(staged.cook().orElseThrow().before().waterGrams(), left + CREAM.waterGrams(), 1e-9);
    }

    @Test
    public void sugarMeltedDryHasNoWaterFigureUntilSomethingIsPouredIn() {
        Composition dry = Composition.of(Map.of(Part.SUCROSE, 300.0), 0);
        StagedCook staged =
                new StagedCook(dry, List.of(new StagedCook.Pour(CREAM, OptionalDouble.of(177))), STOP_CELSIUS, KPA, 0);
        assertTrue(staged.cook().isEmpty());
        staged.add(new Point(1, 170), 170);
        assertTrue(staged.state().isEmpty());
        staged.poured(2);
        staged.add(new Point(3, 101), 101);
        assertTrue(staged.state().isPresent());
        assertEquals(staged.cook().orElseThrow().before().waterGrams(), CREAM.waterGrams(), 1e-9);
    }
}

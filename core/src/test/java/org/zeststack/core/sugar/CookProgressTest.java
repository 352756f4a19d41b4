package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.simulate.SimulatedPot;
import org.zeststack.core.sugar.CookProgress.Point;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

public class CookProgressTest {

    private static final double PRESSURE = 93.7;

    private final Composition mass = Masses.checkCaramel();
    private final Cook cook = Cook.to(mass, 118, PRESSURE);

    private List<Point> readings(SimulatedPot pot, double minutes) {
        List<Point> points = new ArrayList<>();
        for (double second = 0; second <= minutes * 60; second += 10) {
            points.add(new Point(second / 60, pot.readingAt(second).getAsDouble()));
        }
        return points;
    }

    private double minutesToStop(SimulatedPot pot) {
        double second = 0;
        while (pot.celsiusAt(second) < cook.stopCelsiusHere()) {
            second++;
        }
        return second / 60;
    }

    /** The state after these readings. */
    private CookProgress.State at(List<Point> readings) {
        CookProgress progress = new CookProgress(cook);
        readings.forEach(point -> progress.add(point, point.celsius()));
        return progress.state();
    }

    private CookProgress.State at(double celsius) {
        return at(List.of(new Point(0, celsius)));
    }

    @Test
    public void heatTakenUpInASimulatedPotGrowsByItsFlame() {
        double watts = SimulatedPot.usualWatts(mass);
        SimulatedPot pot = new SimulatedPot(mass, PRESSURE, watts, 1);
        PotHeat heat = PotHeat.of(mass, PRESSURE, 15, cook.stopCelsiusHere());
        double end = minutesToStop(pot) * 60;
        double taken = heat.kilojoules(pot.celsiusAt(end)) - heat.kilojoules(pot.celsiusAt(0));
        near(taken / (watts * end / 1000), 1, 0.02, "property: conservation of energy, stepped and tabulated apart");
    }

    /** True temperatures that follow the pot's readings, and whether its water can be told at the last. */
    @DataProvider
    public Object[][] beyond() {
        double stop = Cook.to(Masses.checkCaramel(), 118, PRESSURE).stopCelsiusHere();
        return new Object[][] {{stop, true}, {stop + 14, true}, {stop + 16, false}, {185.9, false}};
    }

    @Test(dataProvider = "beyond")
    public void beyondItsModelAPotHasNoFigures(double celsius, boolean modelled) {
        SimulatedPot pot = new SimulatedPot(mass, PRESSURE, SimulatedPot.usualWatts(mass), 9);
        List<Point> points = readings(pot, minutesToStop(pot));
        double minute = points.get(points.size() - 1).minute();
        double before = at(points).watts().orElseThrow();
        while (points.get(points.size() - 1).celsius() < celsius - 4) {
            minute += 0.5;
            points.add(new Point(minute, points.get(points.size() - 1).celsius() + 3.5));
        }
        points.add(new Point(minute + 0.5, celsius));
        CookProgress.State state = at(points);
        assertEquals(state.modelled(), modelled);
        assertEquals(state.watts().isPresent(), modelled);
        assertTrue(state.past());
        assertTrue(before > 0);
    }

    /** Whatever comes first, what is to be taken off has no minutes left and is not said to be no longer boiling. */
    @Test
    public void pastTheStopNothingElseIsSaid() {
        double stop = cook.stopCelsiusHere();
        for (double first : new double[] {20, 90, 104, stop - 1, stop - 0.1, stop, stop + 0.1, stop + 3, 140}) {
            for (double second : new double[] {20, 100, stop - 0.3, stop, stop + 0.1, stop + 20}) {
                for (double minutes : new double[] {0.02, 0.2, 0.6, 3}) {
                    CookProgress progress = new CookProgress(cook);
                    progress.add(new Point(0, first), first);
                    boolean wild = progress.add(new Point(minutes, second), second) == CookProgress.Taken.WILD;
                    CookProgress.State state = progress.state();
                    String what = first + " then " + second + " after " + minutes;
                    assertTrue((wild ? first : second) < stop || state.past(), what);
                    assertFalse(state.past() && state.minutesLeft().isPresent(), what);
                    assertEquals(state.minutesLeft().isEmpty(), state.reason().isPresent(), what);
                }
            }
        }
    }

    @Test
    public void oneWildReadingHardlyMovesTheMinutes() {
        SimulatedPot pot = new SimulatedPot(mass, PRESSURE, SimulatedPot.usualWatts(mass), 9);
        List<Point> points = readings(pot, minutesToStop(pot) - 4);
        double clean = at(points).minutesLeft().orElseThrow().minutes();
        List<Point> wild = new ArrayList<>(points);
        wild.set(wild.size() - 6, new Point(wild.get(wild.size() - 6).minute(), 60));
        near(at(wild).minutesLeft().orElseThrow().minutes(), clean, 0.8, "property: robust fit");
    }

    @Test
    public void aWildReadingIsNotWhereThePotIs() {
        SimulatedPot pot = new SimulatedPot(mass, PRESSURE, SimulatedPot.usualWatts(mass), 9);
        List<Point> points = readings(pot, minutesToStop(pot) - 4);
        double before = at(points).celsius();
        points.add(new Point(points.get(points.size() - 1).minute() + 1 / 6.0, 60));
        assertEquals(at(points).celsius(), before);
    }

    @Test
    public void saysNothingFromOneReadingAndPastAfterTheStop() {
        assertEquals(at(60).reason().orElseThrow(), CookProgress.Reason.NOT_BOILING);
        assertEquals(at(101).reason().orElseThrow(), CookProgress.Reason.TOO_FEW);
        var past = at(cook.stopCelsiusHere() + 1);
        assertEquals(past.reason().orElseThrow(), CookProgress.Reason.PAST);
        assertTrue(past.distanceKelvin() < 0 && past.past());
        assertFalse(at(101).past());
        assertEquals(past.stage(Stages.Naming.PRINTED), "firm ball");
        assertEquals(past.stage(Stages.Naming.SOLIDS), "firm ball");
    }

    @Test
    public void beforeTheBoilAllWaterIsThere() {
        var state = at(60);
        assertFalse(state.boiling());
        near(state.waterGrams(), mass.waterGrams(), 1e-9, "nothing has boiled off");
        near(state.massGrams(), mass.totalGrams(), 1e-9, "nothing has boiled off");
    }

    @Test
    public void atTheStopItIsTheCooksOwn() {
        var state = at(cook.stopCelsiusHere());
        near(state.waterGrams(), cook.after().waterGrams(), 0.5, "property: table and solver agree");
        near(state.massGrams(), cook.cookedGrams(), 0.5, "property: table and solver agree");
        near(state.dissolvedSolids(), cook.after().dissolvedSolidsFraction(), 1e-3, "property: table and solver agree");
    }

    @Test
    public void itBoilsFromItsFirstBoil() {
        double first = Boiling.celsius(Solution.in(mass), mass.waterGrams(), PRESSURE);
        assertTrue(at(first).boiling());
        assertFalse(at(first - 1e-6).boiling());
    }

    @Test
    public void theHeatIsThatOfTheRing() {
        double watts = SimulatedPot.usualWatts(mass);
        SimulatedPot pot = new SimulatedPot(mass, PRESSURE, watts, 1);
        var state = at(readings(pot, minutesToStop(pot) - 3));
        near(state.watts().orElseThrow() / watts, 1, 0.25, "property: two models of one pot, a wandering ring");
        assertTrue(state.heatChangedMinute().isEmpty(), "nobody turned it");
    }

    @Test
    public void theWayAheadEndsAtTheStopWhenTheMinutesAreOver() {
        SimulatedPot pot = new SimulatedPot(mass, PRESSURE, SimulatedPot.usualWatts(mass), 2);
        CookProgress progress = new CookProgress(cook);
        List<Point> readings = readings(pot, minutesToStop(pot) - 5);
        readings.forEach(point -> progress.add(point, point.celsius()));
        List<Point> ahead = progress.ahead();
        Point last = ahead.get(ahead.size() - 1);
        near(last.celsius(), cook.stopCelsiusHere(), 0.01, "the stop");
        double left = progress.state().minutesLeft().orElseThrow().minutes();
        near(last.minute(), readings.get(readings.size() - 1).minute() + left, 1e-9, "the minutes left");
        for (int i = 1; i < ahead.size(); i++) {
            assertTrue(ahead.get(i).celsius() > ahead.get(i - 1).celsius(), "it rises");
        }
        assertTrue(new CookProgress(cook).ahead().isEmpty(), "nothing is known before the first reading");
    }
}

package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.stat.regression.SimpleRegression;
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
    private final CookProgress progress = new CookProgress(cook);

    private List<Point> readings(SimulatedPot pot, double minutes) {
        List<Point> points = new ArrayList<>();
        for (double second = 0; second <= minutes * 60; second += 10) {
            points.add(new Point(second / 60, pot.noisyCelsiusAt(second)));
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

    @DataProvider
    public Object[][] seeds() {
        return new Object[][] {{1L}, {2L}, {3L}, {4L}, {5L}, {6L}, {7L}, {8L}};
    }

    @Test(dataProvider = "seeds")
    public void minutesLeftBeatAStraightLineInTemperature(long seed) {
        SimulatedPot pot = new SimulatedPot(mass, PRESSURE, SimulatedPot.usualWatts(mass), seed);
        double end = minutesToStop(pot);
        double ours = 0;
        double straight = 0;
        for (double before = 8; before >= 2; before -= 1) {
            List<Point> points = readings(pot, end - before);
            var left = progress.at(points).minutesLeft().orElseThrow();
            assertTrue(left.least() <= left.minutes() && left.minutes() <= left.greatest(), "interval around");
            ours += Math.abs(left.minutes() - before);
            straight += Math.abs(straightLine(points) - before);
        }
        assertTrue(ours < straight, "ours %.2f, straight line %.2f".formatted(ours, straight));
        assertTrue(ours / 7 < 1.6, "mean error %.2f min".formatted(ours / 7));
    }

    private double straightLine(List<Point> points) {
        SimpleRegression line = new SimpleRegression();
        double now = points.get(points.size() - 1).minute();
        points.stream().filter(p -> p.minute() >= now - 6).forEach(p -> line.addData(p.minute(), p.celsius()));
        return (cook.stopCelsiusHere() - line.predict(now)) / line.getSlope();
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

    @Test
    public void oneWildReadingHardlyMovesTheMinutes() {
        SimulatedPot pot = new SimulatedPot(mass, PRESSURE, SimulatedPot.usualWatts(mass), 9);
        List<Point> points = readings(pot, minutesToStop(pot) - 4);
        double clean = progress.at(points).minutesLeft().orElseThrow().minutes();
        List<Point> wild = new ArrayList<>(points);
        wild.set(wild.size() - 6, new Point(wild.get(wild.size() - 6).minute(), 60));
        near(progress.at(wild).minutesLeft().orElseThrow().minutes(), clean, 0.8, "property: robust fit");
    }

    @Test
    public void saysNothingFromTooFewReadingsAndZeroPastTheStop() {
        assertFalse(progress.at(List.of(new Point(0, 100))).minutesLeft().isPresent());
        var past = progress.at(List.of(new Point(0, cook.stopCelsiusHere() + 1)));
        assertEquals(past.minutesLeft().orElseThrow().minutes(), 0.0);
        assertTrue(past.distanceKelvin() < 0);
        assertEquals(past.stage(), "firm ball");
    }

    @Test
    public void beforeTheBoilAllWaterIsThere() {
        var state = progress.at(List.of(new Point(0, 60)));
        assertFalse(state.boiling());
        near(state.waterGrams(), mass.waterGrams(), 1e-9, "nothing has boiled off");
    }

    @Test
    public void atTheStopTheWaterIsTheCooksOwn() {
        var state = progress.at(List.of(new Point(0, cook.stopCelsiusHere())));
        near(state.waterGrams(), cook.after().waterGrams(), 0.5, "property: table and solver agree");
    }

    @Test
    public void itBoilsFromItsFirstBoilAndIsDoneAtItsStop() {
        double first = Boiling.celsius(Solution.in(mass), mass.waterGrams(), PRESSURE);
        assertTrue(progress.at(List.of(new Point(0, first))).boiling());
        assertFalse(progress.at(List.of(new Point(0, first - 1e-6))).boiling());
        var done = progress.at(List.of(new Point(0, cook.stopCelsiusHere())));
        assertEquals(done.minutesLeft().orElseThrow(), new CookProgress.MinutesLeft(0, 0, 0));
        assertFalse(progress.at(List.of(new Point(0, cook.stopCelsiusHere() - 1e-6)))
                .minutesLeft()
                .isPresent());
    }
}

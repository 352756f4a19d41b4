package org.zeststack.core.simulate;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

public class SimulatedTest {

    private static final double PRESSURE = 95;

    private static SimulatedPot pot(long seed) {
        return new SimulatedPot(Masses.checkCaramel(), PRESSURE, SimulatedPot.usualWatts(Masses.checkCaramel()), seed);
    }

    @Test
    public void aPotCrawlsThenRaces() {
        SimulatedPot pot = pot(1);
        double first = Boiling.celsius(
                Solution.in(Masses.checkCaramel()), Masses.checkCaramel().waterGrams(), PRESSURE);
        double boils = 0;
        while (pot.celsiusAt(boils) < first) {
            boils += 5;
        }
        double crawl = pot.celsiusAt(boils + 180) - pot.celsiusAt(boils);
        double last = boils;
        while (pot.celsiusAt(last) < 118) {
            last += 5;
        }
        double race = pot.celsiusAt(last) - pot.celsiusAt(last - 180);
        assertTrue(race > 2.5 * crawl, "crawls %.1f K, races %.1f K in three minutes".formatted(crawl, race));
    }

    @Test
    public void temperatureNeverFallsOnASteadyFlame() {
        SimulatedPot pot = pot(2);
        double before = 0;
        for (int second = 0; second < 3600; second += 7) {
            double now = pot.celsiusAt(second);
            assertTrue(now >= before - 1e-9, "at " + second);
            before = now;
        }
    }

    @Test
    public void noiseIsSmallAndRepeatable() {
        assertEquals(pot(3).readingAt(200).getAsDouble(), pot(3).readingAt(200).getAsDouble());
        double sum = 0;
        for (int second = 0; second < 1000; second++) {
            double off = pot(4).readingAt(second).getAsDouble() - pot(4).shownAt(second);
            assertTrue(Math.abs(off) <= 0.75, "noise " + off);
            sum += off;
        }
        assertTrue(Math.abs(sum / 1000) < 0.02, "mean noise " + sum / 1000);
    }

    private static SimulatedPot pot(SimulatedPot.Probe probe, SimulatedPot.Deed... deeds) {
        SimulatedPot.Ring ring = SimulatedPot.Ring.usual(Masses.checkCaramel(), PRESSURE);
        return new SimulatedPot(Masses.checkCaramel(), ring, probe, List.of(deeds), 11);
    }

    @Test
    public void aLyingProbeShowsItsOffsetAndALaggingOneWhatWas() {
        SimulatedPot lies = pot(new SimulatedPot.Probe(6, 2.5, 0.15, 0, 0));
        SimulatedPot good = pot(SimulatedPot.Probe.GOOD);
        near(lies.shownAt(900) - good.shownAt(900), 2.5, 1e-9, "the offset");
        near(lies.celsiusAt(900), good.celsiusAt(900), 1e-9, "the mass knows nothing of the probe");
        SimulatedPot slow = pot(new SimulatedPot.Probe(30, 0, 0, 0, 0));
        near(slow.shownAt(200), slow.celsiusAt(170), 0.6, "a steadily warming mass is shown a time constant late");
    }

    @Test
    public void someReadingsAreWildAndSomeDoNotCome() {
        SimulatedPot pot = pot(new SimulatedPot.Probe(6, 0, 0.15, 0.02, 0.1));
        int none = 0;
        int wild = 0;
        for (int second = 0; second < 5000; second++) {
            OptionalDouble reading = pot.readingAt(second);
            none += reading.isEmpty() ? 1 : 0;
            double off = reading.orElse(pot.shownAt(second)) - pot.shownAt(second);
            wild += Math.abs(off) > 2 ? 1 : 0;
            assertTrue(Math.abs(off) < 16, "off by " + off);
        }
        assertTrue(none > 400 && none < 600, none + " do not come");
        assertTrue(wild > 50 && wild < 150, wild + " are wild");
    }

    @Test
    public void aRingTurnedToAHalfDriesHalfAsFast() {
        double steady = boiledOff(pot(SimulatedPot.Probe.GOOD), 500);
        double halved = boiledOff(pot(SimulatedPot.Probe.GOOD, new SimulatedPot.Turned(480, 0.5)), 500);
        near(halved / steady, 0.5, 0.06, "property: heat of evaporation");
    }

    private static double boiledOff(SimulatedPot pot, double second) {
        return pot.waterGramsAt(second) - pot.waterGramsAt(second + 200);
    }

    @Test
    public void offTheRingItGoesOnALittleAndStands() {
        SimulatedPot pot = pot(SimulatedPot.Probe.GOOD, new SimulatedPot.TakenOff(800));
        double after = pot.celsiusAt(860) - pot.celsiusAt(800);
        assertTrue(after > 0.05 && after < 3, "after-heat of the bottom " + after);
        near(pot.celsiusAt(1200), pot.celsiusAt(860), 0.05, "then it stands");
    }

    @Test
    public void whatIsPouredInCoolsItAndItsWaterHasToBoilOff() {
        Composition cream = Composition.of(Map.of(Part.WATER, 117.0, Part.MILK_FAT, 83.0), 42);
        SimulatedPot pot = pot(SimulatedPot.Probe.GOOD, new SimulatedPot.Added(700, cream, 60));
        SimulatedPot without = pot(SimulatedPot.Probe.GOOD);
        assertTrue(pot.celsiusAt(702) < without.celsiusAt(702) - 2, "cooler");
        near(pot.waterGramsAt(701) - without.waterGramsAt(701), 117, 3, "its water is in the pot");
    }

    /** Handbook tables of boiling sucrose solutions to 80 %, values from memory. */
    @Test
    public void sucroseBoilsAsHandbooksSay() {
        for (double[] row : new double[][] {{30, 0.6}, {50, 2.0}, {60, 3.0}, {70, 5.5}, {80, 10.5}}) {
            Composition syrup = Composition.of(Map.of(Part.SUCROSE, 10 * row[0], Part.WATER, 1000 - 10 * row[0]), 42);
            SimulatedPot pot = new SimulatedPot(syrup, 101.325, 3000, 1);
            double boils = pot.celsiusAt(pot.boiledAt(1000));
            near(boils - 100, row[1], 0.5, row[0] + " %");
        }
    }
}

package org.zeststack.core.simulate;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import org.testng.annotations.Test;
import org.zeststack.core.Masses;
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
        assertEquals(pot(3).noisyCelsiusAt(200), pot(3).noisyCelsiusAt(200));
        double sum = 0;
        for (int second = 0; second < 1000; second++) {
            double off = pot(4).noisyCelsiusAt(100) - pot(4).celsiusAt(100);
            assertTrue(Math.abs(off) <= 0.46, "noise " + off);
            sum += off;
            second += 99;
        }
        assertTrue(Math.abs(sum) < 5);
    }

    @Test
    public void aBowlFollowsItsThreeStretches() {
        SimulatedBowl bowl = new SimulatedBowl(47, 27.2, 31.2, 5);
        near(bowl.celsiusAt(0), 21, 0.2, "starts at the room");
        near(bowl.celsiusAt(480), 47, 0.7, "molten");
        near(bowl.celsiusAt(480 + 540), 27.2, 0.7, "cooled");
        near(bowl.celsiusAt(2000), 31.2, 0.2, "rewarmed");
    }
}

package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.simulate.SimulatedBowl;
import org.zeststack.core.temper.TemperWatch.Step;
import org.zeststack.core.temper.TemperWatch.Verdict;

/** Sequences of readings and what must be said of them; the rule of two is common practice, no source. */
public class TemperWatchTest {

    private static final Instant START = Instant.parse("2026-03-02T09:00:00Z");

    /** Reads "46 27 31 32.5c": one reading a minute, c for confirmed by hand. */
    private static List<TemperWatch.Reading> minutes(String text) {
        List<TemperWatch.Reading> readings = new ArrayList<>();
        for (String word : text.split(" ")) {
            boolean confirmed = word.endsWith("c");
            double celsius = Double.parseDouble(word.replace("c", ""));
            readings.add(new TemperWatch.Reading(START.plusSeconds(60L * readings.size()), celsius, confirmed));
        }
        return readings;
    }

    @DataProvider
    public Object[][] sequences() {
        return new Object[][] {
            // kind, readings, step, verdict, minute of the loss (−1 none), spikes
            {"dark", "30", Step.MELT, Verdict.UNDERWAY, -1, 0},
            {"dark", "30 46", Step.COOL, Verdict.UNDERWAY, -1, 0},
            {"dark", "46 33 32.5 31", Step.COOL, Verdict.UNDERWAY, -1, 0},
            {"dark", "46 27.5", Step.REWARM, Verdict.UNDERWAY, -1, 0},
            {"dark", "46 27.5 30.5", Step.WORK, Verdict.WORKING, -1, 0},
            {"dark", "46 27.5 32", Step.WORK, Verdict.WORKING, -1, 0},
            {"dark", "46 27.5 31 29.4", Step.WORK, Verdict.THICK, -1, 0},
            {"dark", "46 27.5 31 32.6", Step.WORK, Verdict.OVER, -1, 0},
            {"dark", "46 27.5 31 32.6 31.5", Step.WORK, Verdict.WORKING, -1, 1},
            {"dark", "46 27.5 31 32.6 32.4", Step.WORK, Verdict.LOST, 3, 0},
            {"dark", "46 27.5 31 32.6 32.4 31", Step.WORK, Verdict.LOST, 3, 0},
            {"dark", "46 27.5 31 32.6c", Step.WORK, Verdict.LOST, 3, 0},
            {"dark", "46 27.5 31 34.5", Step.WORK, Verdict.OVER, -1, 0},
            {"dark", "46 27.5 31 34.5c", Step.WORK, Verdict.LOST, 3, 0},
            {"dark", "46 27.5 33 31 33 31", Step.WORK, Verdict.WORKING, -1, 2},
            {"dark", "46 27.5 33 33", Step.WORK, Verdict.LOST, 2, 0},
            {"milk", "46 26 30", Step.WORK, Verdict.WORKING, -1, 0},
            {"milk", "46 26 31 31", Step.WORK, Verdict.LOST, 2, 0},
            {"white", "42 25.5 29", Step.WORK, Verdict.WORKING, -1, 0},
            {"ruby", "42 25.5 30 30", Step.WORK, Verdict.LOST, 2, 0},
        };
    }

    @Test(dataProvider = "sequences")
    public void verdictsFollowTheReadings(
            String kind, String text, Step step, Verdict verdict, int lostMinute, int spikes) {
        TemperWatch.State state = TemperWatch.of(TemperWindow.of(kind), minutes(text));
        assertEquals(state.step(), step);
        assertEquals(state.verdict(), verdict);
        Optional<Instant> lost = lostMinute < 0 ? Optional.empty() : Optional.of(START.plusSeconds(60L * lostMinute));
        assertEquals(state.lostAt(), lost);
        assertEquals(state.spikes().size(), spikes);
    }

    @Test
    public void windowsAreThoseOfPractice() {
        // Dark 30 to 32 °C, milk melted at 46, cooled to 26 and worked at 30: common practice, no source.
        TemperWindow dark = TemperWindow.of("dark");
        assertEquals(dark.work().least(), 30.0);
        assertEquals(dark.work().greatest(), 32.0);
        TemperWindow milk = TemperWindow.of("milk");
        assertTrue(milk.meltOut().holds(46)
                && milk.coolTo().holds(26)
                && milk.work().holds(30));
        // Wille and Lutton 1966, value from memory: form V melts at 33.8 °C, above every window.
        assertEquals(TemperWindow.FORM_V_MELTS_CELSIUS, 33.8);
    }

    @Test
    public void aSimulatedBowlPassesOrIsLostByWhereItEnds() {
        assertEquals(run(31.2), Verdict.WORKING);
        assertEquals(run(33.4), Verdict.LOST);
    }

    private static Verdict run(double endCelsius) {
        SimulatedBowl bowl = new SimulatedBowl(47, 27.2, endCelsius, 4);
        List<TemperWatch.Reading> readings = new ArrayList<>();
        for (int second = 0; second < 1500; second += 15) {
            readings.add(new TemperWatch.Reading(START.plusSeconds(second), bowl.celsiusAt(second), false));
        }
        return TemperWatch.of(TemperWindow.of("dark"), readings).verdict();
    }

    @Test
    public void distanceTellsWhichWayToGo() {
        assertEquals(TemperWatch.of(TemperWindow.of("dark"), minutes("40")).distanceKelvin(), 5.0);
        assertEquals(TemperWatch.of(TemperWindow.of("dark"), minutes("46 40")).distanceKelvin(), -12.0);
        assertEquals(
                TemperWatch.of(TemperWindow.of("dark"), minutes("46 27 28")).distanceKelvin(), 2.0);
        assertEquals(
                TemperWatch.of(TemperWindow.of("dark"), minutes("46 27 31")).distanceKelvin(), 0.0);
    }
}

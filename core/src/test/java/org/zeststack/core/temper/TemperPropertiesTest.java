package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.temper.TemperWatch.State;
import org.zeststack.core.temper.TemperWatch.Step;
import org.zeststack.core.temper.TemperWatch.Verdict;

/** What must hold for any sequence of readings. Seeds are fixed. */
public class TemperPropertiesTest {

    private static final Instant START = Instant.parse("2026-03-02T09:00:00Z");

    @DataProvider
    public Object[][] kinds() {
        return new Object[][] {{"dark"}, {"milk"}, {"white"}, {"blond"}, {"ruby"}};
    }

    private static List<TemperWatch.Reading> random(TemperWindow window, SplittableRandom random) {
        List<TemperWatch.Reading> readings = new ArrayList<>();
        double middle = (window.work().least() + window.work().greatest()) / 2;
        double[] path = {window.meltOut().least() + 1, window.coolTo().least()};
        for (int i = 0; i < 30; i++) {
            double celsius = i < path.length ? path[i] : middle + 6 * (random.nextDouble() - 0.5);
            readings.add(new TemperWatch.Reading(START.plusSeconds(60L * i), celsius, random.nextInt(12) == 0));
        }
        return readings;
    }

    @Test(dataProvider = "kinds")
    public void lostIsTerminalAndDatedInsideTheReadings(String kind) {
        TemperWindow window = TemperWindow.of(kind);
        SplittableRandom random = new SplittableRandom(kind.hashCode());
        int lost = 0;
        for (int round = 0; round < 100; round++) {
            List<TemperWatch.Reading> readings = random(window, random);
            State before = null;
            for (int i = 1; i <= readings.size(); i++) {
                State now = TemperWatch.of(window, readings.subList(0, i));
                if (before != null && before.verdict() == Verdict.LOST) {
                    assertEquals(now.verdict(), Verdict.LOST);
                    assertEquals(now.lostAt(), before.lostAt());
                }
                before = now;
            }
            if (before.verdict() == Verdict.LOST) {
                lost++;
                Instant at = before.lostAt().orElseThrow();
                double first = readings.stream()
                        .filter(r -> r.at().equals(at))
                        .findFirst()
                        .orElseThrow()
                        .celsius();
                assertTrue(first > window.work().greatest(), "dated to a reading over the window");
            }
        }
        assertTrue(lost > 10 && lost <= 100, kind + " lost " + lost);
    }

    @Test(dataProvider = "kinds")
    public void neverOverNeverLost(String kind) {
        TemperWindow window = TemperWindow.of(kind);
        SplittableRandom random = new SplittableRandom(11);
        List<TemperWatch.Reading> readings = new ArrayList<>();
        readings.add(new TemperWatch.Reading(START, window.meltOut().greatest(), false));
        readings.add(
                new TemperWatch.Reading(START.plusSeconds(60), window.coolTo().least(), false));
        for (int i = 2; i < 50; i++) {
            double celsius = window.work().least()
                    - 1
                    + random.nextDouble()
                            * (window.work().greatest() - window.work().least() + 1);
            readings.add(new TemperWatch.Reading(START.plusSeconds(60L * i), celsius, true));
            State state = TemperWatch.of(window, readings);
            assertTrue(state.lostAt().isEmpty() && state.spikes().isEmpty(), "at " + celsius);
        }
    }

    @Test(dataProvider = "kinds")
    public void windowsAreInOrderAndBelowFormFive(String kind) {
        TemperWindow window = TemperWindow.of(kind);
        assertTrue(window.coolTo().greatest() <= window.work().least() + 1e-9);
        assertTrue(window.work().greatest() < TemperWindow.FORM_V_MELTS_CELSIUS);
        assertTrue(window.meltOut().least() > 36.3, "form VI melts at 36.3 °C, Wille and Lutton 1966, from memory");
    }

    @Test
    public void stepsOnlyGoForward() {
        TemperWindow window = TemperWindow.of("dark");
        SplittableRandom random = new SplittableRandom(5);
        List<TemperWatch.Reading> readings = new ArrayList<>();
        Step before = Step.MELT;
        for (int i = 0; i < 200; i++) {
            double celsius = 24 + 24 * random.nextDouble();
            readings.add(new TemperWatch.Reading(START.plusSeconds(60L * i), celsius, false));
            Step now = TemperWatch.of(window, readings).step();
            assertTrue(now.compareTo(before) >= 0, before + " to " + now);
            before = now;
        }
        assertEquals(before, Step.WORK);
    }
}

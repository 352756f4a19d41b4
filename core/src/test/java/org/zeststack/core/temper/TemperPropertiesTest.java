package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.temper.TemperVerdict.Reading;
import org.zeststack.core.temper.TemperVerdict.State;
import org.zeststack.core.temper.TemperVerdict.Verdict;

/** What must hold for any sequence of readings. Seeds are fixed. */
public class TemperPropertiesTest {

    @DataProvider
    public Object[][] kinds() {
        List<Object[]> rows = new ArrayList<>();
        for (String kind : List.of("dark", "milk", "white", "blond", "ruby")) {
            for (Method method : Method.values()) {
                rows.add(new Object[] {kind, method});
            }
        }
        return rows.toArray(Object[][]::new);
    }

    private static List<Reading> random(TemperWindow window, SplittableRandom random) {
        List<Reading> readings = new ArrayList<>();
        double middle = (window.work().least() + window.work().greatest()) / 2;
        double[] path = {window.meltOut().least() + 1, window.coolTo().least()};
        for (int i = 0; i < 30; i++) {
            double celsius = i < path.length ? path[i] : middle + 6 * (random.nextDouble() - 0.5);
            readings.add(new Reading(40.0 * i, celsius, random.nextInt(12) == 0));
        }
        return readings;
    }

    @Test(dataProvider = "kinds")
    public void lostStaysAndIsDatedToAReadingOverTheTop(String kind, Method method) {
        TemperWindow window = TemperWindow.of(kind);
        SplittableRandom random = new SplittableRandom(kind.hashCode());
        int lost = 0;
        for (int round = 0; round < 40; round++) {
            List<Reading> readings = random(window, random);
            State before = null;
            for (int i = 1; i <= readings.size(); i++) {
                State now = TemperVerdict.of(window, method, readings.subList(0, i));
                boolean last = before != null && before.verdict() == Verdict.LOST;
                if (last && now.spikes().equals(before.spikes())) {
                    assertEquals(now.verdict(), Verdict.LOST, "melted out nowhere");
                    assertEquals(now.since(), before.since());
                }
                assertEquals(now.since().isPresent(), now.verdict() == Verdict.LOST);
                before = now;
            }
            if (before.verdict() == Verdict.LOST) {
                lost++;
                double first =
                        readings.get((int) (before.since().getAsDouble() / 40)).celsius();
                assertTrue(first > window.work().greatest(), "dated to a reading over the window");
            }
        }
        assertTrue(lost > 5, kind + " " + method + " lost " + lost);
    }

    @Test(dataProvider = "kinds")
    public void neverOverNeverLost(String kind, Method method) {
        TemperWindow window = TemperWindow.of(kind);
        SplittableRandom random = new SplittableRandom(11);
        List<Reading> readings = new ArrayList<>();
        if (method != Method.PARTIAL) {
            readings.add(new Reading(0, window.meltOut().greatest(), false));
            readings.add(new Reading(60, window.coolTo().least(), false));
        }
        double width = window.work().greatest() - window.work().least();
        for (int i = 2; i < 50; i++) {
            double celsius = window.work().least() - 1 + random.nextDouble() * (width + 1);
            readings.add(new Reading(60.0 * i, celsius, true));
            State state = TemperVerdict.of(window, method, readings);
            assertTrue(state.since().isEmpty() && state.verdict() != Verdict.OVER, "at " + celsius);
        }
    }

    @Test(dataProvider = "kinds")
    public void windowsAreInOrderAndBelowFormFive(String kind, Method method) {
        TemperWindow window = TemperWindow.of(kind);
        assertTrue(window.coolTo().greatest() <= window.work().least() + 1e-9);
        assertTrue(window.work().greatest() < TemperWindow.FORM_V_MELTS_CELSIUS);
        assertTrue(window.meltOut().least() > 36.3, "form VI melts at 36.3 °C, Wille and Lutton 1966, from memory");
        assertTrue(method == Method.SLAB == (method.rewarms() && method != Method.BATH));
    }

    @Test
    public void orderDoesNotMatterAndTheLaterOfOneSecondCounts() {
        TemperWindow window = TemperWindow.of("milk");
        List<Reading> readings = random(window, new SplittableRandom(3));
        State sorted = TemperVerdict.of(window, Method.BATH, readings);
        List<Reading> shuffled = new ArrayList<>(readings);
        Collections.shuffle(shuffled, new Random(1));
        assertEquals(TemperVerdict.of(window, Method.BATH, shuffled), sorted);
        List<Reading> twice = new ArrayList<>();
        readings.forEach(r -> twice.add(new Reading(r.seconds(), 99, false)));
        twice.addAll(readings);
        assertEquals(TemperVerdict.of(window, Method.BATH, twice), sorted);
        expectThrows(IllegalArgumentException.class, () -> TemperVerdict.of(window, Method.BATH, List.of()));
    }

    @Test
    public void closeReadingsAreReducedToMediansOfTenSeconds() {
        List<Reading> stream = new ArrayList<>();
        for (int i = 0; i < 25; i++) {
            stream.add(new Reading(i, i == 4 ? 60 : 31 + i, false));
        }
        List<Reading> reduced = TemperStream.reduced(stream);
        // Ten, ten and five: medians of 31, 32, 33, 34, 60, 36 … 40; of 41 … 50; of 51 … 55.
        assertEquals(reduced.stream().map(Reading::celsius).toList(), List.of(36.5, 45.5, 53.0));
        assertEquals(reduced.stream().map(Reading::seconds).toList(), List.of(9.0, 19.0, 24.0));
        List<Reading> apart =
                List.of(new Reading(0, 30, false), new Reading(5, 31, false), new Reading(9.9, 32, false));
        assertEquals(TemperStream.reduced(apart).size(), 2, "five seconds apart is not close, 4.9 is");
        List<Reading> confirmed =
                List.of(new Reading(0, 30, false), new Reading(1, 33, true), new Reading(2, 30, false));
        assertEquals(TemperStream.reduced(confirmed), confirmed, "a confirmed reading is taken as it is");
    }

    @Test
    public void theTopIsRaisedForAStreamAndNotForAConfirmedReading() {
        TemperWindow dark = TemperWindow.of("dark");
        List<Reading> near = List.of(
                new Reading(0, 46, false),
                new Reading(60, 31, false),
                new Reading(120, 32.3, false),
                new Reading(180, 32.3, false));
        assertEquals(TemperStream.of(dark, Method.SEED, near, 0.3).verdict(), Verdict.WORKING);
        assertEquals(TemperStream.of(dark, Method.SEED, near, 0.2).verdict(), Verdict.LOST);
        List<Reading> sure = new ArrayList<>(near);
        sure.set(3, new Reading(180, 32.1, true));
        assertEquals(TemperStream.of(dark, Method.SEED, sure, 0.3).verdict(), Verdict.LOST);
    }
}

package org.zeststack.core.rehearse;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rehearse.Deed.What;
import org.zeststack.core.rehearse.Practice.Mark;
import org.zeststack.core.rehearse.Rehearsal.SeenPot;

/** Rehearsals: who looks for what is hidden does well, who does not is told what it was. */
public class RehearsalTest {

    @DataProvider
    public Object[][] seeds() {
        return new Object[][] {{1L}, {2L}, {3L}};
    }

    private static SeenPot seen(Rehearsal rehearsal, int pot) {
        return rehearsal.pots().get(pot);
    }

    private static double reads(Rehearsal rehearsal, int pot) {
        return seen(rehearsal, pot).reading().orElse(0);
    }

    private static List<Boolean> good(Rehearsal rehearsal) {
        return rehearsal.marks().stream().map(Mark::good).toList();
    }

    /** Runs a pot until it reads a temperature; the second at which it does. */
    private static double until(Rehearsal rehearsal, int pot, double from, double celsius) {
        double second = from;
        while (reads(rehearsal, pot) < celsius && second < 7200) {
            rehearsal.upTo(++second);
        }
        return second;
    }

    @Test(dataProvider = "seeds")
    public void aLyingThermometerIsFoundInBoilingWater(long seed) {
        Rehearsal blind = new Rehearsal(Scenario.CREAM_CARAMEL, seed);
        blind.does(new Deed(0, What.RING, 0, 1));
        double stop = seen(blind, 0).stopReading();
        blind.does(new Deed(until(blind, 0, 0, stop), What.OFF, 0, 0));
        blind.end();
        assertTrue(blind.over());
        assertEquals(good(blind), List.of(false, false), blind.marks().toString());
        assertEquals(blind.checked(), "");

        Rehearsal careful = new Rehearsal(Scenario.CREAM_CARAMEL, seed);
        careful.does(new Deed(0, What.CHECK, 0, 0));
        assertTrue(
                Say.metric(careful.checked()).contains("water boils here at 96.0 °C"), Say.metric(careful.checked()));
        careful.does(new Deed(60, What.RING, 0, 1));
        double corrected = seen(careful, 0).stopReading();
        assertTrue(Math.abs(corrected - stop) >= 1.8, "what it lies by is in the stop reading now");
        careful.does(new Deed(until(careful, 0, 60, corrected - 0.2), What.OFF, 0, 0));
        careful.end();
        assertEquals(good(careful), List.of(true, true), careful.marks().toString());

        Rehearsal late = new Rehearsal(Scenario.CREAM_CARAMEL, seed);
        late.does(new Deed(0, What.RING, 0, 1));
        double off = until(late, 0, 0, stop);
        late.does(new Deed(off, What.OFF, 0, 0));
        late.does(new Deed(off + 5, What.CHECK, 0, 0));
        late.end();
        assertFalse(late.marks().get(1).good(), "a check afterwards helps the next pot only");
    }

    @Test(dataProvider = "seeds")
    public void aRacingSyrupIsTurnedDownOrRescued(long seed) {
        Rehearsal slow = new Rehearsal(Scenario.RACING_SYRUP, seed);
        slow.does(new Deed(0, What.RING, 0, 1));
        double stop = seen(slow, 0).stopReading();
        double near = until(slow, 0, 0, stop - 20);
        slow.does(new Deed(near, What.RING, 0, 0.3));
        slow.does(new Deed(until(slow, 0, near, stop - 0.8), What.OFF, 0, 0));
        slow.end();
        assertEquals(good(slow), List.of(true, true, true), slow.marks().toString());

        Rehearsal fast = new Rehearsal(Scenario.RACING_SYRUP, seed);
        fast.does(new Deed(0, What.RING, 0, 1));
        double off = until(fast, 0, 0, stop + 1.6);
        fast.does(new Deed(off, What.OFF, 0, 0));
        assertFalse(good(fast).get(0), "too far: " + fast.marks());
        assertFalse(good(fast).get(1), "at full heat to the end: " + fast.marks());
        fast.does(new Deed(off + 10, What.WATER, 0, 60));
        fast.does(new Deed(off + 30, What.RING, 0, 0.3));
        double again = until(fast, 0, off + 90, stop - 0.8);
        fast.does(new Deed(again, What.OFF, 0, 0));
        fast.end();
        assertTrue(good(fast).get(0), "boiled to the stop again: " + fast.marks());
        assertTrue(good(fast).get(2), "the water went in off the ring");

        Rehearsal steam = new Rehearsal(Scenario.RACING_SYRUP, seed);
        steam.does(new Deed(0, What.RING, 0, 1));
        steam.does(new Deed(300, What.WATER, 0, 60));
        steam.end();
        assertFalse(good(steam).get(2), "water on the heat");
        assertFalse(good(steam).get(0), "never off");
    }

    /** Seconds that a pot of a nougat takes at full heat. */
    private static double takes(long seed, int pot) {
        Rehearsal alone = new Rehearsal(Scenario.NOUGAT, seed);
        alone.does(new Deed(0, What.RING, pot, 1));
        return until(alone, pot, 0, seen(alone, pot).stopReading() - 0.5);
    }

    @Test(dataProvider = "seeds")
    public void aNougatMeets(long seed) {
        double syrup = takes(seed, 0);
        double honey = takes(seed, 1);
        double start = Math.max(0, 720 - syrup);
        Rehearsal good = new Rehearsal(Scenario.NOUGAT, seed);
        double pour = start + syrup - 120;
        Stream.of(
                        new Deed(pour - 600, What.WHISK, 0, 1),
                        new Deed(start, What.RING, 0, 1),
                        new Deed(pour - honey, What.RING, 1, 1))
                .sorted(Comparator.comparingDouble(Deed::second))
                .forEach(good::does);
        until(good, 1, pour - honey, seen(good, 1).stopReading() - 0.5);
        good.does(new Deed(good.minutes() * 60, What.OFF, 1, 0));
        assertEquals(good.whites(), "soft peaks");
        good.does(new Deed(good.minutes() * 60 + 5, What.POUR, 1, 0));
        double there = until(good, 0, good.minutes() * 60, seen(good, 0).stopReading() - 0.5);
        good.does(new Deed(there, What.POUR, 0, 0));
        assertTrue(good.over(), "all is in");
        assertEquals(
                good(good),
                List.of(true, true, true, true, true, true),
                good.marks().toString());

        Rehearsal together = new Rehearsal(Scenario.NOUGAT, seed);
        together.does(new Deed(0, What.WHISK, 0, 1));
        together.does(new Deed(0, What.RING, 0, 1));
        together.does(new Deed(0, What.RING, 1, 1));
        until(together, 1, 0, seen(together, 1).stopReading());
        together.does(new Deed(together.minutes() * 60, What.OFF, 1, 0));
        double end =
                until(together, 0, together.minutes() * 60, seen(together, 0).stopReading());
        together.does(new Deed(end, What.POUR, 0, 0));
        together.does(new Deed(end + 60, What.POUR, 1, 0));
        List<Boolean> marks = good(together);
        assertTrue(marks.get(0), together.marks().toString());
        assertFalse(marks.get(3), "the syrup first");
        assertFalse(marks.get(4), "the honey waited: " + together.marks());
    }

    @Test
    public void whatOneDoesNotHaveIsNotDone() {
        Rehearsal caramel = new Rehearsal(Scenario.CREAM_CARAMEL, 1);
        caramel.does(new Deed(0, What.RING, 3, 1));
        assertFalse(seen(caramel, 0).lit());
        caramel.does(new Deed(0, What.RING, 0, Double.NaN));
        assertFalse(seen(caramel, 0).lit());
        caramel.does(new Deed(0, What.WHISK, 0, 1));
        caramel.upTo(700);
        assertEquals(caramel.whites(), "not begun");
        caramel.end();
        caramel.does(new Deed(800, What.RING, 0, 1));
        assertFalse(seen(caramel, 0).lit(), "it is over");
        assertFalse(caramel.marks().get(0).good());
    }

    @Test
    public void whitesGoFromFoamToDry() {
        Rehearsal nougat = new Rehearsal(Scenario.NOUGAT, 1);
        nougat.does(new Deed(0, What.WHISK, 0, 1));
        nougat.upTo(350);
        assertEquals(nougat.whites(), "loose foam");
        nougat.upTo(365);
        assertEquals(nougat.whites(), "holds a trail");
        nougat.upTo(545);
        assertEquals(nougat.whites(), "soft peaks");
        nougat.does(new Deed(550, What.WHISK, 0, 0.1));
        nougat.upTo(1500);
        assertEquals(nougat.whites(), "soft peaks", "at the slowest speed they wait");
        nougat.does(new Deed(1500, What.WHISK, 0, 1));
        nougat.upTo(1700);
        assertEquals(nougat.whites(), "stiff, going dry");
    }
}

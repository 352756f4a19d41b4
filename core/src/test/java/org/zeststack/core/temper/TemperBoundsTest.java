package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Each end of a tempering window belongs to it: the step goes on at the figure itself. Windows are common practice, no source. */
public class TemperBoundsTest {

    private static final TemperWindow DARK = TemperWindow.of("dark");
    private static final Instant START = Instant.parse("2026-03-01T08:00:00Z");

    private static TemperWatch.State after(double... celsius) {
        List<TemperWatch.Reading> readings = new ArrayList<>();
        for (int i = 0; i < celsius.length; i++) {
            readings.add(new TemperWatch.Reading(START.plusSeconds(30L * i), celsius[i], false));
        }
        return TemperWatch.of(DARK, readings);
    }

    /** Readings of a dark couverture: 45 to 50, 27 to 28, 30 to 32 °C; the step after them and how far its window is. */
    @DataProvider
    public Object[][] paths() {
        return new Object[][] {
            {new double[] {44.9}, TemperWatch.Step.MELT, 0.1},
            {new double[] {45}, TemperWatch.Step.COOL, -17},
            {new double[] {45, 28.1}, TemperWatch.Step.COOL, -0.1},
            {new double[] {45, 28}, TemperWatch.Step.REWARM, 2},
            {new double[] {45, 28, 29.9}, TemperWatch.Step.REWARM, 0.1},
            {new double[] {45, 28, 30}, TemperWatch.Step.WORK, 0},
            {new double[] {45, 28, 32}, TemperWatch.Step.WORK, 0},
            {new double[] {45, 28, 31, 29.5}, TemperWatch.Step.WORK, 0.5},
            {new double[] {45, 28, 31, 33}, TemperWatch.Step.WORK, -1},
        };
    }

    @Test(dataProvider = "paths")
    public void aStepEndsAtItsOwnFigure(double[] celsius, TemperWatch.Step step, double distance) {
        TemperWatch.State state = after(celsius);
        assertEquals(state.step(), step);
        near(state.distanceKelvin(), distance, 1e-9, "to the window");
    }

    @Test
    public void isToldInWordsWhatToDo() {
        assertEquals(after(40).message(), "Melt to 45 to 50 °C.");
        assertEquals(after(45).message(), "Cool to 27 to 28 °C, stirring.");
        assertEquals(after(45, 28).message(), "Warm gently to 30 to 32 °C.");
        assertEquals(after(45, 28, 31).message(), "In temper. Dip a strip of paper as proof, then line.");
        assertEquals(after(45, 28, 30).verdict(), TemperWatch.Verdict.WORKING);
        assertEquals(after(45, 28, 30, 29.9).verdict(), TemperWatch.Verdict.THICK);
        assertEquals(after(45, 28, 30, 29.9).message(), "Below the window and thickening. Warm gently to 30 to 32 °C.");
        assertEquals(after(45, 28, 30, 32.1).message(), "Over 32 °C. Stir, read again.");
        assertEquals(
                after(45, 28, 30, 33, 33.8).message(),
                "Out of temper: confirmed over 32 °C. Melt out and start again.");
        assertTrue(after(45, 28, 30, 33, 33.9).message().contains("above 33.8 °C no good crystals are left"));
    }

    /** Rooms of 18 to 22 °C are wanted; common practice, no source. */
    @Test
    public void aRoomIsToldOnTheSideThatItIsOn() {
        assertEquals(Room.advice(20), "");
        assertTrue(Room.advice(30).contains("set slowly and dull"), Room.advice(30));
        assertTrue(Room.advice(12).contains("thickens fast"), Room.advice(12));
    }
}

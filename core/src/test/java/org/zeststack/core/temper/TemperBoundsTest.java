package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.temper.TemperVerdict.Step;

/** Each end of a tempering window belongs to it: the step goes on at the figure itself. Windows are common practice, no source. */
public class TemperBoundsTest {

    private static final TemperWindow DARK = TemperWindow.of("dark");

    private static TemperVerdict.State after(Method method, double... celsius) {
        List<TemperVerdict.Reading> readings = new ArrayList<>();
        for (int i = 0; i < celsius.length; i++) {
            readings.add(new TemperVerdict.Reading(30.0 * i, celsius[i], false));
        }
        return TemperVerdict.of(DARK, method, readings);
    }

    /** Readings of a dark couverture: 45 to 50, 27 to 28, 30 to 32 °C; the step after them and how far its end is. */
    @DataProvider
    public Object[][] paths() {
        return new Object[][] {
            {Method.BATH, new double[] {44.9}, Step.MELT, 0.1},
            {Method.BATH, new double[] {45}, Step.COOL, -17},
            {Method.BATH, new double[] {45, 28.1}, Step.COOL, -0.1},
            {Method.SLAB, new double[] {45, 28}, Step.REWARM, 2},
            {Method.SLAB, new double[] {45, 28, 29.9}, Step.REWARM, 0.1},
            {Method.SLAB, new double[] {45, 28, 30}, Step.WORK, 0},
            {Method.SLAB, new double[] {45, 28, 32}, Step.WORK, 0},
            {Method.SLAB, new double[] {45, 28, 31, 29.5}, Step.WORK, 0.5},
            {Method.SLAB, new double[] {45, 28, 31, 33}, Step.WORK, -1},
            {Method.SEED, new double[] {45}, Step.COOL, -13},
            {Method.SEED, new double[] {45, 32.1}, Step.COOL, -0.1},
            {Method.PREPARED_SEED, new double[] {45, 32}, Step.WORK, 0},
            {Method.PARTIAL, new double[] {29}, Step.MELT, 1},
            {Method.PARTIAL, new double[] {30}, Step.WORK, 0},
        };
    }

    @Test(dataProvider = "paths")
    public void aStepEndsAtItsOwnFigure(Method method, double[] celsius, Step step, double distance) {
        TemperVerdict.State state = after(method, celsius);
        assertEquals(state.step(), step);
        near(state.distanceKelvin(), distance, 1e-9, "to its end");
    }

    @Test
    public void eachMethodIsLedThroughItsOwnNumbers() {
        assertEquals(Say.metric(after(Method.SEED, 40).next()), "Melt to 45 to 50 °C.");
        assertEquals(
                Say.metric(after(Method.SEED, 45).next()), "Stir seed in, a handful at a time, down to 30 to 32 °C.");
        assertEquals(Say.metric(after(Method.SLAB, 45).next()), "Cool to 27 to 28 °C, moving all of it.");
        assertTrue(Say.metric(after(Method.PREPARED_SEED, 45).next()).contains("33 to 34 °C"));
        assertTrue(
                Say.metric(after(Method.PARTIAL, 25).next()).contains("never over 32 °C"),
                "nobody melts its seed away");
        assertEquals(Say.metric(after(Method.BATH, 45, 28).next()), "Warm gently to 30 to 32 °C.");
        assertEquals(Say.metric(after(Method.BATH, 45, 28, 31).next()), "Dip a proof before you work with it.");
        assertEquals(
                Say.metric(after(Method.BATH, 45, 26.9).reason()),
                "26.9 °C true: below 27 °C it thickens with the wrong crystals too.");
        assertEquals(Say.metric(after(Method.BATH, 45, 28, 30, 32.1).next()), "Stir, read again.");
        assertEquals(
                Say.metric(after(Method.BATH, 45, 28, 30, 33, 33.8).next()),
                "Melt out to 45 to 50 °C and start again.");
        assertTrue(Say.metric(after(Method.BATH, 45, 28, 30, 33, 33.9).next())
                .contains("Above 33.8 °C no good crystal is left"));
    }

    /** Rooms of 18 to 22 °C are wanted; common practice, no source. */
    @Test
    public void aRoomIsToldOnTheSideThatItIsOn() {
        assertTrue(Room.advice(20, Bounds.shipped()).isEmpty());
        assertTrue(Room.advice(30, Bounds.shipped()).orElseThrow().message().contains("set slowly and dull"));
        assertTrue(Room.advice(12, Bounds.shipped()).orElseThrow().message().contains("thickens fast"));
    }
}

package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.temper.TemperVerdict.Reading;
import org.zeststack.core.temper.TemperVerdict.Scatter;
import org.zeststack.core.temper.TemperVerdict.State;
import org.zeststack.core.temper.TemperVerdict.Verdict;

/** Readings that stand exactly on a limit of the verdict, and just beyond it: 30 to 32 °C are worked, 45 °C melts out. */
public class TemperEdgesTest {

    private static final TemperWindow DARK = TemperWindow.of("dark");

    /** Second and temperature in turn; a negative second is a reading that was confirmed. */
    private static State read(Scatter scatter, double... secondsAndCelsius) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < secondsAndCelsius.length; i += 2) {
            double second = secondsAndCelsius[i];
            readings.add(new Reading(Math.abs(second), secondsAndCelsius[i + 1], second < 0));
        }
        return TemperVerdict.of(DARK, Method.PARTIAL, readings, List.of(), scatter);
    }

    @Test
    public void theWindowIsTheWindowOfTheCases() {
        assertEquals(
                Say.metric(DARK.work().inWords()) + ", "
                        + Say.metric(DARK.meltOut().inWords()),
                "30 to 32 °C, 45 to 50 °C");
    }

    @DataProvider
    public Object[][] spikes() {
        return new Object[][] {
            {"3 K up and down is believed", List.of(), new double[] {0, 31, 30, 34, 60, 31}},
            {"more is a touch of the wall", List.of(30.0), new double[] {0, 31, 30, 34.125, 60, 31}},
            {"3 K down and up is believed", List.of(), new double[] {0, 31, 30, 28, 60, 31}},
            {"more is a probe in the air", List.of(30.0), new double[] {0, 31, 30, 27.875, 60, 31}},
            {"neighbours a kelvin apart are one level", List.of(30.0), new double[] {0, 31, 30, 35.5, 60, 32}},
            {"farther apart it moved", List.of(), new double[] {0, 31, 30, 35.5, 60, 32.125}},
            {"over a minute", List.of(30.0), new double[] {0, 31, 30, 35, 60, 31}},
            {"over more nobody knows", List.of(), new double[] {0, 31, 30, 35, 61, 31}},
            {"only up is no spike", List.of(), new double[] {0, 31, 30, 35.5, 60, 33}},
            {"confirmed is believed", List.of(), new double[] {0, 31, -30, 35, 60, 31}},
        };
    }

    @Test(dataProvider = "spikes")
    public void aSpikeCountsForNothing(String what, List<Double> spikes, double[] readings) {
        assertEquals(read(Scatter.NONE, readings).spikes(), spikes, what);
    }

    @DataProvider
    public Object[][] verdicts() {
        Scatter quarter = new Scatter(0.25, 0.01);
        return new Object[][] {
            {"at the foot it is worked", Verdict.WORKING, Scatter.NONE, new double[] {0, 30}},
            {"below it still melts", Verdict.MELTING, Scatter.NONE, new double[] {0, 29.875}},
            {"worked and cooled to the foot", Verdict.WORKING, Scatter.NONE, new double[] {0, 31, 60, 30}},
            {"below the foot it is too cold", Verdict.TOO_COLD, Scatter.NONE, new double[] {0, 31, 60, 29.875}},
            {"at the top it is worked", Verdict.WORKING, Scatter.NONE, new double[] {0, 31, 60, 32}},
            {"once over it", Verdict.OVER, Scatter.NONE, new double[] {0, 31, 60, 32.125}},
            {"twice over it", Verdict.LOST, Scatter.NONE, new double[] {0, 31, 60, 32.125, 120, 32.125}},
            {"back between", Verdict.OVER, Scatter.NONE, new double[] {0, 31, 60, 32.125, 120, 32, 180, 32.125}},
            {"once and confirmed", Verdict.LOST, Scatter.NONE, new double[] {0, 31, -60, 32.125}},
            {"what the probe leaves open", Verdict.WORKING, quarter, new double[] {0, 31, 60, 32.25}},
            {"more than that", Verdict.OVER, quarter, new double[] {0, 31, 60, 32.375}},
            {"confirmed is taken as read", Verdict.LOST, quarter, new double[] {0, 31, -60, 32.125}},
            {
                "two whose level is what the probe leaves open",
                Verdict.WORKING,
                quarter,
                new double[] {0, 31, 100, 32.375, 110, 32.125}
            },
            {"two whose level is over it", Verdict.LOST, quarter, new double[] {0, 31, 100, 32.375, 110, 32.25}},
            {
                "of two the second stands on what is left open",
                Verdict.WORKING,
                quarter,
                new double[] {0, 31, 100, 32.125, 110, 32.25}
            },
            {"of two the second is over it", Verdict.OVER, quarter, new double[] {0, 31, 100, 32.125, 110, 32.375}},
            {"40 s apart they are two", Verdict.WORKING, quarter, new double[] {0, 31, 100, 32.375, 140, 32.125}},
        };
    }

    @Test(dataProvider = "verdicts")
    public void eachSideOfALimit(String what, Verdict verdict, Scatter scatter, double[] readings) {
        assertEquals(read(scatter, readings).verdict(), verdict, what);
    }

    /** The reading that loses it counts among the three that melt it out. */
    @Test
    public void aLostBowlIsMeltedOutByThreeReadings() {
        State two = read(Scatter.NONE, 0, 31, -60, 45, 120, 45);
        assertEquals(two.verdict(), Verdict.LOST);
        assertEquals(two.since(), OptionalDouble.of(60));
        assertEquals(read(Scatter.NONE, 0, 31, -60, 45, 120, 45, 180, 45).verdict(), Verdict.COOLING);
        double[] warmer = {0, 31, -60, 34, 120, 45, 180, 45, 240, 45};
        assertEquals(read(Scatter.NONE, java.util.Arrays.copyOf(warmer, 8)).verdict(), Verdict.LOST);
        assertEquals(read(Scatter.NONE, warmer).verdict(), Verdict.COOLING);
        assertEquals(
                read(Scatter.NONE, 0, 31, -60, 45, 120, 45, 180, 44.875, 240, 45)
                        .verdict(),
                Verdict.LOST);
    }

    /** The middle of two neighbours of equal scatter scatters by its √½: a reading stands √1.5 of its own from it. */
    @Test
    public void theScatterOfAStreamIsThatOfItsReadings() {
        List<Reading> saw = new ArrayList<>();
        List<Reading> still = new ArrayList<>();
        for (int i = 0; i < 11; i++) {
            saw.add(new Reading(10 * i, 31 + i % 2 * 0.25, false));
            still.add(new Reading(10 * i, 31 - i, false));
        }
        near(TemperStream.noise(saw, 0.3), 0.3, 0, "of eleven readings nothing is told");
        saw.add(new Reading(110, 31.25, false));
        still.add(new Reading(110, 20, false));
        near(TemperStream.noise(saw, 0.3), 0.25 / (0.6745 * Math.sqrt(1.5)), 1e-12, "a saw of a quarter kelvin");
        near(TemperStream.noise(still, 0.3), 0.02, 0, "no stream is quite still");
    }
}

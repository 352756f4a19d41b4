package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.temper.TemperVerdict.Overrule;
import org.zeststack.core.temper.TemperVerdict.Reading;
import org.zeststack.core.temper.TemperVerdict.Step;
import org.zeststack.core.temper.TemperVerdict.Verdict;

/** What the coach says (common practice, no source). */
public class CoachTest {

    private static final TemperWindow DARK = TemperWindow.of("dark");

    /** Readings every ten seconds: to some temperatures, then on at a rate. */
    private static List<Reading> readings(double[] before, double from, double kelvinPerMinute) {
        List<Reading> all = new ArrayList<>();
        for (double celsius : before) {
            all.add(new Reading(all.size() * 60, celsius, false));
        }
        double start = all.size() * 60;
        for (int i = 0; i <= 12; i++) {
            all.add(new Reading(start + 10 * i, from + kelvinPerMinute * i / 6, false));
        }
        return all;
    }

    private static Coach coach(Method method, List<Reading> readings) {
        return Coach.of(
                new Coach.Looked(DARK, method, 1000 * 1.65, Bounds.shipped()),
                readings,
                TemperVerdict.of(DARK, method, readings));
    }

    private static String says(Method method, double[] before, double from, double kelvinPerMinute) {
        return Say.metric(String.join(
                " ", coach(method, readings(before, from, kelvinPerMinute)).says()));
    }

    @Test
    public void theRateAndTheMinutesToTheNextWindow() {
        // ends at 36 °C falling 1 K/min: 4 K above the top of the window
        Coach coach = coach(Method.SEED, readings(new double[] {46}, 38, -1));
        near(coach.kelvinPerMinute().orElseThrow(), -1, 1e-9, "rate");
        near(coach.minutes().orElseThrow(), 4, 1e-9, "minutes to 32 °C");
        assertEquals(coach.says(), List.of());
        Coach slab = coach(Method.SLAB, readings(new double[] {46}, 38, -1));
        near(slab.minutes().orElseThrow(), 8, 1e-9, "a slab goes on to 28 °C");
    }

    @Test
    public void oneWildReadingDoesNotTurnTheRate() {
        List<Reading> wild = readings(new double[] {46}, 38, -1);
        wild.set(8, new Reading(wild.get(8).seconds(), 45, false));
        near(coach(Method.SEED, wild).kelvinPerMinute().orElseThrow(), -1, 0.05, "rate");
    }

    @Test
    public void aBowlThatGoesAwayHasNoMinutes() {
        assertTrue(
                coach(Method.SEED, readings(new double[] {46}, 36, 0.5))
                        .minutes()
                        .isEmpty(),
                "it warms");
        assertTrue(
                coach(Method.SEED, readings(new double[] {46}, 36, 0)).minutes().isEmpty(), "it stands");
        List<Reading> two = List.of(new Reading(0, 46, false), new Reading(60, 45, false));
        assertTrue(coach(Method.SEED, two).kelvinPerMinute().isEmpty(), "two readings are no rate");
        List<Reading> close =
                List.of(new Reading(0, 46, false), new Reading(9, 45, false), new Reading(19, 44.5, false));
        assertTrue(coach(Method.SEED, close).kelvinPerMinute().isEmpty(), "19 s are no rate");
    }

    @DataProvider
    public Object[][] situations() {
        double[] melted = {46, 40};
        double[] slab = {46, 38, 27.5};
        double[] worked = {46, 38, 31.5};
        return new Object[][] {
            {"never melted out", Method.SEED, new double[] {43}, 42, -1.0, "never melted out"},
            {"a wobble of a kelvin is none", Method.SEED, new double[] {43}, 42.5, -0.2, ""},
            {"a partial melt is never melted out", Method.PARTIAL, new double[] {29}, 28, -0.5, ""},
            {"runs through its window", Method.BATH, melted, 36, -3.1, "runs through its window"},
            {"fast, not near yet", Method.BATH, melted, 38, -3.1, ""},
            {"quick enough", Method.BATH, melted, 35.9, -2.9, ""},
            {"rises over the top", Method.SLAB, slab, 26, 1.6, "runs over the top"},
            {"rises fast, not near yet", Method.SLAB, slab, 22, 1.6, ""},
            {"warmed gently", Method.SLAB, slab, 26.4, 1.4, ""},
            {"a bowl with seed hardly falls", Method.SEED, melted, 37, -0.2, "more seed"},
            {"a bath hardly cools", Method.BATH, melted, 37, -0.2, "colder bath"},
            {"slow, but nearly there", Method.SEED, melted, 34, -0.2, ""},
            {"slow enough", Method.SEED, melted, 37, -0.3, ""},
            {"drifts down", Method.SEED, worked, 31.2, -0.2, "It drifts down: warm it by 0.2 K"},
            {"falls from the middle", Method.SEED, worked, 31.9, -0.2, ""},
            {"stands low", Method.SEED, worked, 30.6, -0.05, ""},
            {"below its window", Method.SEED, worked, 29.8, 0.0, "below its window: warm it by 1.2 K, 2.0 kJ: 8 s"},
        };
    }

    @Test(dataProvider = "situations")
    public void saysWhatToMend(String what, Method method, double[] before, double from, double rate, String expected) {
        String says = says(method, before, from, rate);
        assertTrue(expected.isEmpty() ? says.isEmpty() : says.contains(expected), what + ": " + says);
    }

    @Test
    public void aLostBowlIsNotCoached() {
        Coach lost = coach(Method.SEED, readings(new double[] {46, 40, 31}, 34, -0.5));
        assertEquals(lost.says(), List.of());
        assertTrue(lost.minutes().isEmpty(), "it comes back to no window");
    }

    @Test
    public void aStepIsOverruled() {
        List<Reading> never =
                List.of(new Reading(0, 43, false), new Reading(60, 38, false), new Reading(120, 31, false));
        assertEquals(TemperVerdict.of(DARK, Method.SEED, never).verdict(), Verdict.MELTING);
        TemperVerdict.State cooled = stream(Method.SEED, never, new Overrule(30, Step.COOL));
        assertEquals(cooled.verdict(), Verdict.WORKING, "melted out, somebody says: the rest is as ever");
        List<Reading> warms =
                List.of(new Reading(0, 43, false), new Reading(60, 31, false), new Reading(120, 33.5, false));
        assertEquals(
                stream(Method.SEED, warms, new Overrule(60, Step.COOL)).verdict(),
                Verdict.OVER,
                "what is read in the same second belongs to the step that was said");
        TemperVerdict.State later = stream(Method.SEED, never, new Overrule(200, Step.WORK));
        assertEquals(later.verdict(), Verdict.WORKING, "said after the last reading");
        assertEquals(later.step(), Step.WORK);
        TemperVerdict.State cold = stream(Method.SLAB, never, new Overrule(200, Step.REWARM));
        assertEquals(cold.verdict(), Verdict.WORKING, "31 °C in rewarming is worked");
        TemperVerdict.State two = stream(Method.SEED, never, new Overrule(200, Step.WORK), new Overrule(30, Step.COOL));
        assertEquals(two.step(), Step.WORK, "in the order of their seconds");

        List<Reading> lost = List.of(
                new Reading(0, 46, false),
                new Reading(60, 31, false),
                new Reading(120, 35, true),
                new Reading(180, 31.5, false));
        assertEquals(TemperVerdict.of(DARK, Method.SEED, lost).verdict(), Verdict.LOST);
        assertEquals(
                stream(Method.SEED, lost, new Overrule(150, Step.WORK)).verdict(),
                Verdict.WORKING,
                "the probe touched the wall, somebody says");
    }

    private static TemperVerdict.State stream(Method method, List<Reading> readings, Overrule... said) {
        return TemperStream.of(DARK, method, readings, List.of(said), 0);
    }

    private static Coach at(Step step, Verdict verdict, double distance, double every, double from, double change) {
        List<Reading> three = List.of(
                new Reading(0, from, false),
                new Reading(every, from + change, false),
                new Reading(2 * every, from + 2 * change, false));
        TemperVerdict.State state = new TemperVerdict.State(
                step, verdict, from + 2 * change, distance, OptionalDouble.empty(), List.of(), "", "");
        return Coach.of(new Coach.Looked(DARK, Method.SLAB, 0, Bounds.shipped()), three, state);
    }

    @DataProvider
    public Object[][] edges() {
        Verdict cooling = Verdict.COOLING;
        Verdict warming = Verdict.WARMING;
        return new Object[][] {
            {"2 K before it turns it may fall 3 K/min", Step.COOL, cooling, -2.0, 10, 31.0, -0.5, ""},
            {"and no faster", Step.COOL, cooling, -2.0, 10, 31.0, -0.5625, "It falls 3.4 K a minute"},
            {"farther away it may", Step.COOL, cooling, -2.1, 10, 31.0, -0.5625, ""},
            {"there it has arrived", Step.COOL, cooling, 0.0, 10, 31.0, -0.5625, ""},
            {"2 K below its window it may rise 1.5 K/min", Step.REWARM, warming, 2.0, 10, 27.0, 0.25, ""},
            {"and no faster", Step.REWARM, warming, 2.0, 10, 27.0, 0.3125, "It rises 1.9 K a minute"},
            {"worked and too cold the same", Step.WORK, Verdict.TOO_COLD, 1.0, 10, 29.0, 0.3125, "It rises 1.9 K"},
            {"in its window nobody minds", Step.WORK, Verdict.WORKING, 1.0, 10, 31.5, 0.3125, ""},
            {"3 K above its window it may stand", Step.COOL, cooling, -3.0, 60, 35.0, -0.125, ""},
            {"farther away it hardly falls", Step.COOL, cooling, -3.125, 60, 35.0, -0.125, "It hardly falls"},
            {"a quarter of a kelvin a minute is a fall", Step.COOL, cooling, -3.125, 60, 35.0, -0.25, ""},
            {"melting is let be", Step.MELT, Verdict.MELTING, 3.5, 60, 38.0, 0.125, ""},
            {"a kelvin down is no fall", Step.MELT, Verdict.MELTING, 3.0, 60, 43.0, -0.5, ""},
            {"more is", Step.MELT, Verdict.MELTING, 3.0, 60, 43.0, -0.5625, "It comes down from 43.0 °C"},
            {"low in its window and falling", Step.WORK, Verdict.WORKING, 0.0, 60, 31.25, -0.125, "It drifts down"},
            {"a kelvin over its foot is low", Step.WORK, Verdict.WORKING, 0.0, 60, 31.5, -0.25, "It drifts down"},
        };
    }

    @Test(dataProvider = "edges")
    public void eachLimitHasTwoSides(
            String what,
            Step step,
            Verdict verdict,
            double distance,
            int every,
            double from,
            double change,
            String told) {
        String says = Say.metric(String.join(
                " ", at(step, verdict, distance, every, from, change).says()));
        assertTrue(told.isEmpty() ? says.isEmpty() : says.startsWith(told), what + ": " + says);
    }

    @Test
    public void minutesAreTheWayOverTheRate() {
        near(at(Step.COOL, Verdict.COOLING, -5, 10, 36, -0.5).minutes().orElseThrow(), 5 / 3.0, 1e-9, "3 K/min");
        near(at(Step.COOL, Verdict.COOLING, -60, 60, 99, -1).minutes().orElseThrow(), 60, 1e-9, "an hour");
        assertTrue(at(Step.COOL, Verdict.COOLING, -60.5, 60, 99, -1).minutes().isEmpty(), "longer is not told");
        assertTrue(at(Step.COOL, Verdict.COOLING, 0, 60, 31, -1).minutes().isEmpty(), "it is there");
    }

    @Test
    public void theRateIsThatOfTheLastTwoMinutesAndSixtyReadings() {
        near(at(Step.COOL, Verdict.COOLING, -5, 10, 36, -0.5).kelvinPerMinute().orElseThrow(), -3, 1e-9, "over 20 s");
        assertTrue(
                at(Step.COOL, Verdict.COOLING, -5, 9.5, 36, -0.5)
                        .kelvinPerMinute()
                        .isEmpty(),
                "over 19 s");
        List<Reading> old = new ArrayList<>(List.of(new Reading(0, 60, false)));
        List<Reading> older = new ArrayList<>(List.of(new Reading(-1, 60, false)));
        for (List<Reading> readings : List.of(old, older)) {
            readings.add(new Reading(100, 40, false));
            readings.add(new Reading(120, 40, false));
        }
        near(coach(Method.SEED, old).kelvinPerMinute().orElseThrow(), -10, 1e-9, "the middle of 0, −10 and −12");
        assertTrue(coach(Method.SEED, older).kelvinPerMinute().isEmpty(), "a second earlier it is gone");
        List<Reading> seconds = new ArrayList<>();
        for (int i = 0; i < 110; i++) {
            seconds.add(new Reading(i, i < 50 ? 46 : 46 - (i - 50) / 60.0, false));
        }
        near(coach(Method.SEED, seconds).kelvinPerMinute().orElseThrow(), -1, 1e-9, "of the last sixty");
    }
}

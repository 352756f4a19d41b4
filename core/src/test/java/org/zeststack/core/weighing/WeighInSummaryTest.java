package org.zeststack.core.weighing;

import static org.testng.Assert.assertEquals;
import static org.zeststack.core.Near.near;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Say;

public class WeighInSummaryTest {

    private static final FillWindow WINDOW = new FillWindow(35.3, 39.4, 43.6);

    @DataProvider
    public Object[][] advice() {
        return new Object[][] {
            {List.of(), ""},
            {List.of(39.4), "Inside the window."},
            {List.of(35.3), "Inside the window."},
            {List.of(43.6), "Inside the window."},
            {List.of(35.2), "4.2 g light: give more."},
            {List.of(44.0), "4.6 g heavy: give less."},
            {List.of(39.0, 39.0, 33.4), "6.0 g light: give more."},
            // One good cavity does not make up for a row of light ones.
            {List.of(34.0, 34.0, 34.0, 36.0), "4.9 g light over the last 4: give more."},
            // Only the newest four count.
            {List.of(20.0, 39.0, 39.5, 39.4, 39.6), "Inside the window."},
        };
    }

    @Test(dataProvider = "advice")
    public void advisesForTheNextCavities(List<Double> grams, String expected) {
        assertEquals(Say.metric(WeighInSummary.of(grams, WINDOW).advice()), expected);
    }

    @Test
    public void statisticsAreTheTextbooks() {
        // Worked example: 2, 4, 4, 4, 5, 5, 7, 9 has mean 5 and sample standard deviation √(32/7) (textbook, from
        // memory).
        WeighInSummary summary =
                WeighInSummary.of(List.of(2.0, 4.0, 4.0, 4.0, 5.0, 5.0, 7.0, 9.0), new FillWindow(3, 5, 8));
        near(summary.meanGrams(), 5, 1e-12, "textbook example");
        near(summary.deviationGrams(), Math.sqrt(32 / 7.0), 1e-12, "textbook example");
        assertEquals(summary.light(), 1);
        assertEquals(summary.heavy(), 1);
        assertEquals(summary.count(), 8);
    }

    @Test
    public void oneWeighInHasNoDeviation() {
        assertEquals(WeighInSummary.of(List.of(39.0), WINDOW).deviationGrams(), 0.0);
        assertEquals(WeighInSummary.of(List.of(), WINDOW).meanGrams(), 0.0);
    }
}

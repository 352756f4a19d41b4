package org.zeststack.app.words;

import static org.testng.Assert.assertEquals;

import java.time.LocalDate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.weighing.FillWindow;

/** Numbers as people read them: thin space before the unit, a real minus sign, no more digits than are true. */
public class ShowTest {

    private static final Show SHOW = Show.INSTANCE;

    @DataProvider
    public Object[][] shown() {
        return new Object[][] {
            {SHOW.grams(39.44), "39.4\u202fg"},
            {SHOW.grams(1678.4), "1678\u202fg"},
            {SHOW.grams(99.96), "100.0\u202fg"},
            {SHOW.grams((Double) null), "not weighed"},
            {SHOW.pieceGrams(153.24), "153.2\u202fg"},
            {SHOW.celsius(-3.26), "\u22123.3\u202f°C"},
            {SHOW.celsius(-0.01), "0.0\u202f°C"},
            {SHOW.percent(0.0822), "8.2\u202f%"},
            {SHOW.density(1.3104), "1.310\u202fg/mL"},
            {SHOW.window(new FillWindow(35.31, 39.44, 43.64)), "39.4\u202fg · 35.3–43.6"},
            {SHOW.pieces(1), "1\u202fpiece"},
            {SHOW.pieces(96), "96\u202fpieces"},
            {SHOW.part(0), ""},
            {SHOW.part(58.8), "58.8"},
            {SHOW.precise(3.456), "3.46\u202fg"},
            {SHOW.precise(396.89), "396.9\u202fg"},
            {SHOW.precise(2743.6), "2744\u202fg"},
            {SHOW.minutes(0.5), "30\u202fs"},
            {SHOW.minutes(20), "20\u202fmin"},
            {SHOW.minutes(480), "8\u202fh"},
            {SHOW.minutes(4320), "3\u202fdays"},
            {SHOW.partName(org.zeststack.core.composition.Part.SYRUP_SOLIDS), "glucose-syrup solids"},
            {SHOW.partName(org.zeststack.core.composition.Part.MILK_FAT), "milk fat"},
            {SHOW.day(LocalDate.of(2026, 11, 30)), "Mon 30 Nov 2026"},
        };
    }

    @Test(dataProvider = "shown")
    public void readsAsItIsUsed(String given, String expected) {
        assertEquals(given, expected);
    }
}

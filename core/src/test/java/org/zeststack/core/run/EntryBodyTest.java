package org.zeststack.core.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;

/** What is written down at the bench is checked field by field. */
public class EntryBodyTest {

    private static final String LONGEST = "x".repeat(EntryBody.LONGEST_TEXT);

    /** Entries and the fields at fault. */
    @DataProvider
    public Object[][] entries() {
        return new Object[][] {
            {new EntryBody.WeighIn("filling-1", 240, 140, 10), List.of()},
            {new EntryBody.WeighIn("filling-1", 140, 140, 10), List.of("grossGrams")},
            {new EntryBody.WeighIn(" ", 240, 140, 10), List.of("layer")},
            {new EntryBody.WeighIn("filling-1", 240, 140, 0), List.of("cavities")},
            {new EntryBody.Tally(EntryBody.Outcome.GOOD, 10, ""), List.of()},
            {new EntryBody.Tally(EntryBody.Outcome.REJECTED, 10, "cracked"), List.of()},
            {new EntryBody.Tally(EntryBody.Outcome.REJECTED, 10, " "), List.of("reason")},
            {new EntryBody.Tally(EntryBody.Outcome.SECOND, 10, null), List.of("reason")},
            {new EntryBody.Tally(null, 10, "cracked"), List.of("outcome")},
            {new EntryBody.Tally(EntryBody.Outcome.REWORKED, 10, LONGEST), List.of()},
            {new EntryBody.Tally(EntryBody.Outcome.REWORKED, 10, LONGEST + "x"), List.of("reason")},
            {new EntryBody.Note(LONGEST), List.of()},
            {new EntryBody.Note(LONGEST + "x"), List.of("text")},
            {new EntryBody.Note(""), List.of("text")},
            {new EntryBody.RingTurned("formula-1-v1"), List.of()},
            {new EntryBody.RingTurned(""), List.of("component")},
            {new EntryBody.SecondReading("formula-1-v1", "Short probe", 112.5), List.of()},
            {new EntryBody.SecondReading("", "", 201), List.of("component", "second", "secondCelsius")},
            {new EntryBody.TakenOff("formula-1-v1"), List.of()},
            {new EntryBody.TakenOff(null), List.of("component")},
            {new EntryBody.PotWeighed("formula-1-v1", 3600, 1400), List.of()},
            {new EntryBody.PotWeighed("formula-1-v1", 1400, 1400), List.of("potGrossGrams")},
            {new EntryBody.PotWeighed("", 3600, -1), List.of("component", "potTareGrams")},
            {new EntryBody.Actual("formula-1-v1", "salt", 3), List.of()},
            {new EntryBody.Actual("", "salt", 3), List.of("component")},
            {new EntryBody.Actual("formula-1-v1", null, 3), List.of("ingredient")},
            {new EntryBody.Actual("formula-1-v1", "salt", -3), List.of("actualGrams")},
        };
    }

    @Test(dataProvider = "entries")
    public void isToldBesideItsField(EntryBody body, List<String> fields) {
        Faults faults = new Faults();
        body.check(faults);
        assertEquals(faults.list().stream().map(Fault::field).toList(), fields);
    }

    @Test
    public void goodAndTidiedPiecesCount() {
        Set<EntryBody.Outcome> counting = Set.of(EntryBody.Outcome.GOOD, EntryBody.Outcome.REWORKED);
        for (EntryBody.Outcome outcome : EntryBody.Outcome.values()) {
            assertEquals(outcome.counts(), counting.contains(outcome), outcome.words());
        }
    }

    @Test
    public void aSheetFindsItsPartsByKey() {
        RunSheet sheet = RunTest.sheet(90, new Allowances(0.1, 0.03, 300));
        RunSheet.CouvertureBatch dark =
                sheet.couverture("couverture-couverture-dark-66").orElseThrow();
        assertEquals(dark.kind(), "dark");
        assertTrue(sheet.couverture("couverture-none").isEmpty());
        RunSheet.FormulaBatch caramel = sheet.formulas().stream()
                .filter(RunSheet.FormulaBatch::cooked)
                .findFirst()
                .orElseThrow();
        assertEquals(caramel.pot().byPart(), caramel.potGrams());
        assertFalse(caramel.byEye() || caramel.spreads());
    }
}

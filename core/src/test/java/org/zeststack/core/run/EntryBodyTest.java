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
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperVerdict;

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
            {new EntryBody.StepDone("s", null, LONGEST), List.of()},
            {new EntryBody.StepDone("", 0.0, LONGEST + "x"), List.of("step", "grams", "reason")},
            {new EntryBody.StepBegun("s"), List.of()},
            {new EntryBody.StepBegun(""), List.of("step")},
            {new EntryBody.Sign("s", "thick", ""), List.of()},
            {new EntryBody.Sign("", "", LONGEST + "x"), List.of("step", "sign", "found")},
            {new EntryBody.Cup("c", 80, 60), List.of()},
            {new EntryBody.Cup("c", 60, 60), List.of()},
            {new EntryBody.Cup("", 60, 61), List.of("component", "cupAfterGrams")},
            {new EntryBody.Cup("c", 0, 0), List.of("cupBeforeGrams")},
            {new EntryBody.Poured("c"), List.of()},
            {new EntryBody.Poured(""), List.of("component")},
            {new EntryBody.WaterIn("c"), List.of()},
            {new EntryBody.WaterIn(""), List.of("component")},
            {new EntryBody.FreshBowl("c"), List.of()},
            {new EntryBody.FreshBowl(""), List.of("component")},
            {new EntryBody.BowlLeft("c", 500, null), List.of()},
            {new EntryBody.BowlLeft("", 0, 60.0), List.of("component", "leftGrams", "leftCelsius")},
            {new EntryBody.Fed("c", 100, 40), List.of()},
            {new EntryBody.Fed("", 0, 60), List.of("component", "fedGrams", "fedCelsius")},
            {new EntryBody.OutOfCold(20, 50, 8), List.of()},
            {new EntryBody.OutOfCold(60, 0, 40), List.of("coldRoom", "humidity", "barCelsius")},
            {new EntryBody.Proof("c", 4, null, false, false, false, null, null), List.of()},
            {
                new EntryBody.Proof("", 0, 60.0, false, false, false, null, null),
                List.of("component", "proofMinutes", "proofRoom")
            },
            {new EntryBody.Overruled("c", TemperVerdict.Step.COOL, "stirred"), List.of()},
            {new EntryBody.Overruled("", null, ""), List.of("component", "overruled", "overruleReason")},
            {new EntryBody.Overruled("c", TemperVerdict.Step.COOL, LONGEST + "x"), List.of("overruleReason")},
            {new EntryBody.TemperPlanned("c", Method.SEED, 0, Bowl.Material.STEEL, 20, null), List.of()},
            {
                new EntryBody.TemperPlanned("", null, -1, null, 60, 0.0),
                List.of("component", "method", "bowl", "bowlGrams", "seedCelsius", "roomHumidity")
            },
        };
    }

    @Test(dataProvider = "entries")
    public void isToldBesideItsField(EntryBody body, List<String> fields) {
        Faults faults = new Faults();
        body.check(faults);
        assertEquals(faults.list().stream().map(Fault::field).toList(), fields);
    }

    /** A cup of 80 g that weighs 50 g whipped holds 0.6 of its own volume of air; air of 20 °C and 50 % has its dew point at 9.3 °C. */
    @Test
    public void whatFollowsFromAnEntry() {
        assertEquals(new EntryBody.Cup("c", 80, 50).air(), 0.6, 1e-9);
        var planned = new EntryBody.TemperPlanned("c", Method.SLAB, 900, Bowl.Material.GLASS, 20, 50.0);
        assertEquals(planned.dewPointCelsius().orElseThrow(), 9.3, 0.05);
        assertEquals(planned.emptyBowl(), new Bowl(900, Bowl.Material.GLASS));
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

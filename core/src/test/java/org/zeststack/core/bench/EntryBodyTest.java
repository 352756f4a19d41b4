package org.zeststack.core.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.plan.RunTest;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
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
            {new WeighIn("filling-1", 240, 140, 10), List.of()},
            {new WeighIn("filling-1", 140, 140, 10), List.of("grossGrams")},
            {new WeighIn(" ", 240, 140, 10), List.of("layer")},
            {new WeighIn("filling-1", 240, 140, 0), List.of("cavities")},
            {new Tally(PieceOutcome.GOOD, 10, ""), List.of()},
            {new Tally(PieceOutcome.REJECTED, 10, "cracked"), List.of()},
            {new Tally(PieceOutcome.REJECTED, 10, " "), List.of("reason")},
            {new Tally(PieceOutcome.SECOND, 10, null), List.of("reason")},
            {new Tally(null, 10, "cracked"), List.of("outcome")},
            {new Tally(PieceOutcome.REWORKED, 10, LONGEST), List.of()},
            {new Tally(PieceOutcome.REWORKED, 10, LONGEST + "x"), List.of("reason")},
            {new Note(LONGEST), List.of()},
            {new Note(LONGEST + "x"), List.of("text")},
            {new Note(""), List.of("text")},
            {new RingTurned("formula-1-v1"), List.of()},
            {new RingTurned(""), List.of("component")},
            {new SecondReading("formula-1-v1", "Short probe", 112.5), List.of()},
            {new SecondReading("", "", 201), List.of("component", "second", "secondCelsius")},
            {new TakenOff("formula-1-v1"), List.of()},
            {new TakenOff(null), List.of("component")},
            {new PotWeighed("formula-1-v1", 3600, 1400), List.of()},
            {new PotWeighed("formula-1-v1", 1400, 1400), List.of("potGrossGrams")},
            {new PotWeighed("", 3600, -1), List.of("component", "potTareGrams")},
            {new Actual("formula-1-v1", "salt", 3), List.of()},
            {new Actual("", "salt", 3), List.of("component")},
            {new Actual("formula-1-v1", null, 3), List.of("ingredient")},
            {new Actual("formula-1-v1", "salt", -3), List.of("actualGrams")},
            {new StepDone("s", null, LONGEST), List.of()},
            {new StepDone("", 0.0, LONGEST + "x"), List.of("step", "grams", "reason")},
            {new StepBegun("s"), List.of()},
            {new StepBegun(""), List.of("step")},
            {new Sign("s", "thick", ""), List.of()},
            {new Sign("", "", LONGEST + "x"), List.of("step", "sign", "found")},
            {new Cup("c", 80, 60), List.of()},
            {new Cup("c", 60, 60), List.of()},
            {new Cup("", 60, 61), List.of("component", "cupAfterGrams")},
            {new Cup("c", 0, 0), List.of("cupBeforeGrams")},
            {new Poured("c"), List.of()},
            {new Poured(""), List.of("component")},
            {new WaterIn("c"), List.of()},
            {new WaterIn(""), List.of("component")},
            {new FreshBowl("c"), List.of()},
            {new FreshBowl(""), List.of("component")},
            {new BowlLeft("c", 500, null), List.of()},
            {new BowlLeft("", 0, 60.0), List.of("component", "leftGrams", "leftCelsius")},
            {new Fed("c", 100, 40), List.of()},
            {new Fed("", 0, 60), List.of("component", "fedGrams", "fedCelsius")},
            {new OutOfCold(20, 50, 8), List.of()},
            {new OutOfCold(60, 0, 40), List.of("coldRoom", "humidity", "barCelsius")},
            {new Proof("c", 4, null, false, false, false, null, null), List.of()},
            {new Proof("", 0, 60.0, false, false, false, null, null), List.of("component", "proofMinutes", "proofRoom")
            },
            {new Overruled("c", TemperVerdict.Step.COOL, "stirred"), List.of()},
            {new Overruled("", null, ""), List.of("component", "overruled", "overruleReason")},
            {new Overruled("c", TemperVerdict.Step.COOL, LONGEST + "x"), List.of("overruleReason")},
            {new TemperPlanned("c", Method.SEED, 0, Bowl.Material.STEEL, 20, null), List.of()},
            {
                new TemperPlanned("", null, -1, null, 60, 0.0),
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
        assertEquals(new Cup("c", 80, 50).air(), 0.6, 1e-9);
        var planned = new TemperPlanned("c", Method.SLAB, 900, Bowl.Material.GLASS, 20, 50.0);
        assertEquals(planned.dewPointCelsius().orElseThrow(), 9.3, 0.05);
        assertEquals(planned.emptyBowl(), new Bowl(900, Bowl.Material.GLASS));
    }

    @Test
    public void goodAndTidiedPiecesCount() {
        Set<PieceOutcome> counting = Set.of(PieceOutcome.GOOD, PieceOutcome.REWORKED);
        for (PieceOutcome outcome : PieceOutcome.values()) {
            assertEquals(outcome.counts(), counting.contains(outcome), outcome.words());
        }
    }

    @Test
    public void aSheetFindsItsPartsByKey() {
        RunSheet sheet = RunTest.sheet(90, new Allowances(0.1, 0.03, 300));
        CouvertureBatch dark = sheet.couverture("couverture-couverture-dark-66").orElseThrow();
        assertEquals(dark.kind(), "dark");
        assertTrue(sheet.couverture("couverture-none").isEmpty());
        FormulaBatch caramel = sheet.formulas().stream()
                .filter(FormulaBatch::cooked)
                .findFirst()
                .orElseThrow();
        assertEquals(caramel.pot().byPart(), caramel.cooking().pot().grams());
        assertFalse(caramel.byEye() || caramel.finished().spreads());
    }
}

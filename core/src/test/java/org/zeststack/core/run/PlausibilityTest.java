package org.zeststack.core.run;

import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Working;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.run.EntryBody.Outcome;
import org.zeststack.core.weighing.FillWindow;
import org.zeststack.core.workshop.Thermometer;

/** Slips of comma, unit and tare are asked about; a bad day is not. Each bound from both sides; common practice, no source. */
public class PlausibilityTest {

    /** 1200 g weighed out, 300 g of it water, 1000 g finished; 30.9 g a cavity; 20 pieces in two moulds of 12. */
    private static final RunSheet SHEET = sheet();

    private static RunSheet sheet() {
        Working why = Working.of("why").line("a", "1").from("test");
        RunSheet.FormulaBatch caramel = new RunSheet.FormulaBatch(
                "formula-1-v1",
                "caramel",
                1,
                "caramel",
                950,
                950,
                1,
                1200,
                List.of(
                        new RunSheet.BatchLine("rice-crisped", "Crisped rice", 60, "folded in warm", true),
                        new RunSheet.BatchLine("powdered-sugar", "Powdered sugar", 60, "folded in warm", true, 150.0)),
                Map.of(Part.SUCROSE, 900.0, Part.WATER, 300.0),
                42,
                118.0,
                116.0,
                116.8,
                List.of(),
                why,
                1000.0,
                1000.0,
                new RunSheet.Deposit(950, 0, 0),
                Map.of(),
                300.0,
                RunSheet.Ending.READING,
                1,
                "",
                0.0,
                null,
                null,
                null);
        return new RunSheet(
                "bar",
                1,
                18,
                20,
                new RunSheet.Moulds("twelve", 12, 2, 2, 1, 8, "mould", 0, false),
                Allowances.USUAL,
                100,
                "probe",
                Thermometer.TRUE,
                new CrossSection(1, 1, List.of()),
                List.of(new RunSheet.LayerTarget(
                        "filling-1",
                        "formula-1-v1",
                        "FILLING",
                        "caramel",
                        "caramel",
                        8,
                        new FillWindow(28, 30.9, 33),
                        1,
                        "",
                        0.0,
                        "",
                        null)),
                45,
                List.of(caramel),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(new RunSheet.BenchStep(
                        "cook:formula-1-v1", RunSheet.StepKind.COOK, "formula-1-v1", "", "Cook", "", "", null)));
    }

    @DataProvider
    public Object[][] entries() {
        return new Object[][] {
            {new EntryBody.WeighIn("filling-1", 30.9, 0, 1), null},
            {new EntryBody.WeighIn("filling-1", 61, 0, 1), null},
            {new EntryBody.WeighIn("filling-1", 62, 0, 1), "grossGrams"},
            {new EntryBody.WeighIn("filling-1", 309, 0, 1), "about 10 on the scale"},
            {new EntryBody.WeighIn("filling-1", 309, 0, 10), null},
            {new EntryBody.WeighIn("filling-1", 12 * 30.9, 0, 12), null},
            {new EntryBody.WeighIn("filling-1", 13 * 30.9, 0, 13), "13 cavities; a mould has 12."},
            {new EntryBody.WeighIn("filling-1", 15.6, 0, 1), null},
            {new EntryBody.WeighIn("filling-1", 15.3, 0, 1), "grossGrams"},
            {new EntryBody.StepDone("cook:formula-1-v1", 1000.0), null},
            {new EntryBody.StepDone("cook:formula-1-v1", null), null},
            {new EntryBody.StepDone("cook:formula-1-v1", 10_000.0), "planned are 1000 g"},
            {new EntryBody.StepDone("cook:formula-1-v1", 100.0), "planned are 1000 g"},
            {new EntryBody.StepDone("cook:formula-1-v1", 1200.0), null},
            {new EntryBody.StepDone("cook:formula-1-v1", 1201.0), "the pot's own weight"},
            {new EntryBody.StepDone("cook:formula-1-v1", 900.0), null},
            {new EntryBody.StepDone("cook:formula-1-v1", 899.0), "only 300 g of water"},
            {new EntryBody.Tally(Outcome.GOOD, 20, ""), null},
            {new EntryBody.Tally(Outcome.GOOD, 24, ""), null},
            {new EntryBody.Tally(Outcome.GOOD, 25, ""), "24 can have been made"},
            {new EntryBody.Tally(Outcome.GOOD, 500, ""), "500 would be counted"},
            {new EntryBody.Actual("formula-1-v1", "rice-crisped", 90), null},
            {new EntryBody.Actual("formula-1-v1", "rice-crisped", 179), null},
            {new EntryBody.Actual("formula-1-v1", "rice-crisped", 181), "planned are 60 g"},
            {new EntryBody.Actual("formula-1-v1", "rice-crisped", 19), "planned are 60 g"},
            {new EntryBody.Actual("formula-1-v1", "powdered-sugar", 449), null},
            {new EntryBody.Actual("formula-1-v1", "powdered-sugar", 451), "planned are 60 to 150 g"},
            {new EntryBody.Actual("formula-1-v1", "powdered-sugar", 21), null},
            {new EntryBody.Actual("formula-1-v1", "powdered-sugar", 19), "planned are 60 to 150 g"},
            {new EntryBody.Note("all well"), null},
        };
    }

    @Test(dataProvider = "entries")
    public void whatIsNotLikelyIsAskedAbout(EntryBody body, String asked) {
        Optional<Fault> doubt = new Plausibility(SHEET, BenchState.of(SHEET, List.of()), Bounds.shipped()).doubt(body);
        if (asked == null) {
            assertTrue(doubt.isEmpty(), doubt.toString());
        } else {
            Fault fault = doubt.orElseThrow();
            assertTrue(fault.message().contains(asked) || fault.field().equals(asked), fault.toString());
        }
    }

    @Test
    public void piecesCountedBeforeCountToo() {
        BenchEntry counted = new BenchEntry(
                1, UUID.randomUUID(), new EntryBody.Tally(Outcome.GOOD, 20, ""), Instant.EPOCH, "Ada", null, false);
        Plausibility now = new Plausibility(SHEET, BenchState.of(SHEET, List.of(counted)), Bounds.shipped());
        assertTrue(now.doubt(new EntryBody.Tally(Outcome.REJECTED, 4, "leak")).isEmpty());
        assertTrue(now.doubt(new EntryBody.Tally(Outcome.REJECTED, 5, "leak")).isPresent());
    }
}

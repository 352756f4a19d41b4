package org.zeststack.core.bench;

import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Working;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BatchLine;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.Carriers;
import org.zeststack.core.sheet.Cooking;
import org.zeststack.core.sheet.Deposit;
import org.zeststack.core.sheet.Finished;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.Gauge;
import org.zeststack.core.sheet.LaidFrom;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.Mass;
import org.zeststack.core.sheet.Pieces;
import org.zeststack.core.sheet.PlannedBar;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.sheet.Stop;
import org.zeststack.core.sheet.Uses;
import org.zeststack.core.sheet.WeighedOut;
import org.zeststack.core.weighing.FillWindow;
import org.zeststack.core.workshop.Thermometer;

/** Slips of comma, unit and tare are asked about; a bad day is not. Each bound from both sides; common practice, no source. */
public class DoubtsTest {

    /** 1200 g weighed out, 300 g of it water, 1000 g finished; 30.9 g a cavity; 20 pieces in two moulds of 12. */
    private static final RunSheet SHEET = sheet();

    private static final WeighingRules RULES = new WeighingRules(Bounds.shipped());

    private static RunSheet sheet() {
        Working why = Working.of("why").line("a", "1").from("test");
        FormulaBatch caramel = new FormulaBatch(
                "formula-1-v1",
                "caramel",
                "caramel",
                new Uses(new Deposit(950, 0, 0), Map.of(), 950),
                new WeighedOut(
                        1,
                        1200,
                        OptionalDouble.of(300),
                        List.of(
                                new BatchLine("rice-crisped", "Crisped rice", 60, "folded in warm", true),
                                new BatchLine("powdered-sugar", "Powdered sugar", 60, "folded in warm", true, 150.0)),
                        1,
                        ""),
                new Finished(1000, 1000, Finished.By.READING, 0, Optional.empty()),
                new Cooking(
                        new Mass(Map.of(Part.SUCROSE, 900.0, Part.WATER, 300.0), 42),
                        Optional.of(new Stop(118, 116, 116.8)),
                        OptionalDouble.empty(),
                        Optional.empty()),
                List.of(),
                why);
        return new RunSheet(
                new PlannedBar(
                        "bar",
                        1,
                        new CrossSection(1, 1, List.of()),
                        45,
                        List.of(new LayerTarget(
                                "filling-1",
                                LayerKind.FILLING,
                                "caramel",
                                "caramel",
                                8,
                                new LaidFrom("formula-1-v1", Optional.empty(), Optional.empty()),
                                new FillWindow(28, 30.9, 33),
                                1,
                                OptionalDouble.empty()))),
                new Pieces(18, 20, Allowances.USUAL, new Carriers("twelve", 12, 2, 2, 1, 8, "mould", 0, false)),
                new Gauge(100, "probe", Thermometer.TRUE),
                List.of(caramel),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(new BenchStep("cook:formula-1-v1", StepKind.COOK, "formula-1-v1", "", "Cook", "", "", null)));
    }

    @DataProvider
    public Object[][] entries() {
        return new Object[][] {
            {new WeighIn("filling-1", 30.9, 0, 1), null},
            {new WeighIn("filling-1", 61, 0, 1), null},
            {new WeighIn("filling-1", 62, 0, 1), "grossGrams"},
            {new WeighIn("filling-1", 309, 0, 1), "about 10 on the scale"},
            {new WeighIn("filling-1", 309, 0, 10), null},
            {new WeighIn("filling-1", 12 * 30.9, 0, 12), null},
            {new WeighIn("filling-1", 13 * 30.9, 0, 13), "13 cavities; a mould has 12."},
            {new WeighIn("filling-1", 15.6, 0, 1), null},
            {new WeighIn("filling-1", 15.3, 0, 1), "grossGrams"},
            {new StepDone("cook:formula-1-v1", 1000.0), null},
            {new StepDone("cook:formula-1-v1", null), null},
            {new StepDone("cook:formula-1-v1", 10_000.0), "planned are 1000 g"},
            {new StepDone("cook:formula-1-v1", 100.0), "planned are 1000 g"},
            {new StepDone("cook:formula-1-v1", 1200.0), null},
            {new StepDone("cook:formula-1-v1", 1201.0), "the pot's own weight"},
            {new StepDone("cook:formula-1-v1", 900.0), null},
            {new StepDone("cook:formula-1-v1", 899.0), "only 300 g of water"},
            {new Tally(PieceOutcome.GOOD, 20, ""), null},
            {new Tally(PieceOutcome.GOOD, 24, ""), null},
            {new Tally(PieceOutcome.GOOD, 25, ""), "24 can have been made"},
            {new Tally(PieceOutcome.GOOD, 500, ""), "500 would be counted"},
            {new Actual("formula-1-v1", "rice-crisped", 90), null},
            {new Actual("formula-1-v1", "rice-crisped", 179), null},
            {new Actual("formula-1-v1", "rice-crisped", 181), "planned are 60 g"},
            {new Actual("formula-1-v1", "rice-crisped", 19), "planned are 60 g"},
            {new Actual("formula-1-v1", "powdered-sugar", 449), null},
            {new Actual("formula-1-v1", "powdered-sugar", 451), "planned are 60 to 150 g"},
            {new Actual("formula-1-v1", "powdered-sugar", 21), null},
            {new Actual("formula-1-v1", "powdered-sugar", 19), "planned are 60 to 150 g"},
            {new Note("all well"), null},
        };
    }

    @Test(dataProvider = "entries")
    public void whatIsNotLikelyIsAskedAbout(EntryBody body, String asked) {
        Optional<Fault> doubt = body.doubt(BenchState.of(SHEET, List.of()), RULES);
        if (asked == null) {
            assertTrue(doubt.isEmpty(), doubt.toString());
        } else {
            Fault fault = doubt.orElseThrow();
            assertTrue(
                    Say.metric(fault.message()).contains(asked) || fault.field().equals(asked), fault.toString());
        }
    }

    @Test
    public void piecesCountedBeforeCountToo() {
        BenchEntry counted = new BenchEntry(
                1, UUID.randomUUID(), new Tally(PieceOutcome.GOOD, 20, ""), Instant.EPOCH, "Ada", null, false);
        BenchState now = BenchState.of(SHEET, List.of(counted));
        assertTrue(new Tally(PieceOutcome.REJECTED, 4, "leak").doubt(now, RULES).isEmpty());
        assertTrue(new Tally(PieceOutcome.REJECTED, 5, "leak").doubt(now, RULES).isPresent());
    }
}

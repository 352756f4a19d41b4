package org.zeststack.store;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Working;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BatchLine;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.Carriers;
import org.zeststack.core.sheet.Chocolate;
import org.zeststack.core.sheet.Cooking;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.Deposit;
import org.zeststack.core.sheet.Finished;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.Gauge;
import org.zeststack.core.sheet.LaidFrom;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.Mass;
import org.zeststack.core.sheet.Melt;
import org.zeststack.core.sheet.Pieces;
import org.zeststack.core.sheet.PlannedBar;
import org.zeststack.core.sheet.PotPlan;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.sheet.Stop;
import org.zeststack.core.sheet.Uses;
import org.zeststack.core.sheet.WeighedOut;
import org.zeststack.core.weighing.FillWindow;
import org.zeststack.core.workshop.Thermometer;

/** A small run sheet for tests of the store; its numbers are not computed. */
public final class TestRun {

    public static final String CARAMEL = "formula-1-v1";

    private TestRun() {}

    public static RunSheet sheet() {
        Mass mass = new Mass(Map.of(Part.SUCROSE, 200.0, Part.WATER, 100.0), 42);
        Working why = Working.of("why").line("a", "1 + 1 = %d", 2).from("arithmetic");
        return new RunSheet(
                new PlannedBar(
                        "Test bar",
                        1,
                        new CrossSection(32, 14, List.of()),
                        53.2,
                        List.of(new LayerTarget(
                                "filling-1",
                                LayerKind.FILLING,
                                "caramel",
                                "caramel",
                                10.5,
                                new LaidFrom(
                                        CARAMEL,
                                        Optional.of(new LaidFrom.Mixed("laid-nuts", 0.2)),
                                        Optional.of(Technique.values()[0])),
                                new FillWindow(35, 39, 43),
                                1,
                                OptionalDouble.empty()))),
                new Pieces(10, 11, Allowances.USUAL, new Carriers("mould", 12, 2, 1, 1, 11, "mould", 0, false)),
                new Gauge(93.75, "probe", Thermometer.TRUE),
                List.of(new FormulaBatch(
                        CARAMEL,
                        "caramel",
                        "caramel",
                        new Uses(new Deposit(429, 0, 0), Map.of(), 429),
                        new WeighedOut(
                                0.25,
                                550.1,
                                OptionalDouble.of(100),
                                List.of(new BatchLine("sugar", "Sugar", 200.25, "in the pot", false)),
                                1,
                                ""),
                        new Finished(442.3, 442.3, Finished.By.READING, 0, Optional.empty()),
                        new Cooking(
                                mass,
                                Optional.of(new Stop(118, 115.5, 116.3)),
                                OptionalDouble.empty(),
                                Optional.of(new PotPlan(
                                        mass,
                                        List.of(),
                                        Optional.of(new PotPlan.Second(
                                                List.of("Honey"), mass, new Stop(121, 119.5, 120), 180)),
                                        Optional.empty()))),
                        List.of(),
                        why)),
                List.of(new CouvertureBatch(
                        "couverture-dark",
                        "dark",
                        new Chocolate("dark", OptionalDouble.of(0.36), Optional.empty(), Optional.of(List.of())),
                        new Melt(800, new Deposit(200, 0, 0), 10, 290, 300),
                        Optional.empty(),
                        why)),
                List.of(),
                List.of(),
                List.of(),
                List.of(new BenchStep("cook:" + CARAMEL, StepKind.COOK, CARAMEL, "", "Cook caramel", "", "", null)));
    }
}

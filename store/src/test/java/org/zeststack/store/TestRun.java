package org.zeststack.store;

import java.util.List;
import java.util.Map;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Working;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.run.Allowances;
import org.zeststack.core.run.PotPlan;
import org.zeststack.core.run.RunSheet;
import org.zeststack.core.weighing.FillWindow;
import org.zeststack.core.workshop.Thermometer;

/** A small run sheet for tests of the store; its numbers are not computed. */
public final class TestRun {

    public static final String CARAMEL = "formula-1-v1";

    private TestRun() {}

    public static RunSheet sheet() {
        PotPlan.Mass mass = new PotPlan.Mass(Map.of(Part.SUCROSE, 200.0, Part.WATER, 100.0), 42);
        Working why = Working.of("why").line("a", "1 + 1 = %d", 2).from("arithmetic");
        return new RunSheet(
                "Test bar",
                1,
                10,
                11,
                new RunSheet.Moulds("mould", 12, 2, 1, 1, 11, "mould", 0, false),
                Allowances.USUAL,
                93.75,
                "probe",
                Thermometer.TRUE,
                new CrossSection(32, 14, List.of()),
                List.of(new RunSheet.LayerTarget(
                        "filling-1",
                        CARAMEL,
                        "FILLING",
                        "caramel",
                        "caramel",
                        10.5,
                        new FillWindow(35, 39, 43),
                        1,
                        "",
                        0.0,
                        "",
                        null)),
                53.2,
                List.of(new RunSheet.FormulaBatch(
                        CARAMEL,
                        "caramel",
                        1,
                        "caramel",
                        429,
                        429,
                        0.25,
                        550.1,
                        List.of(new RunSheet.BatchLine("sugar", "Sugar", 200.25, "in the pot", false)),
                        Map.of(Part.SUCROSE, 200.0, Part.WATER, 100.0),
                        42,
                        118.0,
                        115.5,
                        116.3,
                        List.of(),
                        why,
                        442.3,
                        442.3,
                        new RunSheet.Deposit(429, 0, 0),
                        Map.of(),
                        100.0,
                        RunSheet.Ending.READING,
                        1,
                        "",
                        0.0,
                        null,
                        new PotPlan(
                                mass,
                                List.of(),
                                new PotPlan.Second(List.of("Honey"), mass, 121, 119.5, 120, 180),
                                null),
                        null)),
                List.of(new RunSheet.CouvertureBatch(
                        "couverture-dark",
                        "dark",
                        "dark",
                        200,
                        800,
                        590,
                        why,
                        new RunSheet.Deposit(200, 0, 0),
                        10.0,
                        290.0,
                        300.0,
                        null,
                        0.36,
                        null,
                        List.of())),
                List.of(),
                List.of(),
                List.of(),
                List.of(new RunSheet.BenchStep(
                        "cook:" + CARAMEL, RunSheet.StepKind.COOK, CARAMEL, "", "Cook caramel", "", "", null)));
    }
}

package org.zeststack.core.plan;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.BareQuantities;
import org.zeststack.core.Recorded;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.explain.Working;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;

/** Whole sheets as they are read at the bench: every step, working and line, against what was read through once by hand. */
public class WrittenSheetsTest {

    private static final Place HILL = new Place(Place.By.ALTITUDE, 900);

    private static NamedFormula named(
            int id, String name, Family family, Double stop, double loss, Finish finish, FormulaLine... lines) {
        return new NamedFormula(
                id, name, 1, new Formula(family, List.of(lines), stop, loss, List.of(), finish, Map.of()));
    }

    private static final NamedFormula CARAMEL = named(
            1,
            "Milk caramel",
            Family.CARAMEL,
            113.0,
            0.03,
            Finish.PLAIN,
            new FormulaLine("sugar", 500, Role.POT),
            new FormulaLine("glucose-syrup-42", 350, Role.POT),
            new FormulaLine("cream-35", 500, Role.POT),
            new FormulaLine("butter", 60, Role.OFF_HEAT));
    private static final NamedFormula MELTED = named(
            2,
            "Melted caramel",
            Family.CARAMEL_MELTED,
            null,
            0.02,
            new Finish(true, 0.08, 0.12, 0, 0),
            new FormulaLine("sugar", 600, Role.POT),
            new FormulaLine("glucose-syrup-42", 300, Role.POT),
            new FormulaLine("cream-35", 400, Role.POT));
    private static final NamedFormula BISCUIT = named(
            3,
            "Thin biscuit",
            Family.BISCUIT_ROLLED,
            null,
            0.1,
            new Finish(false, null, null, 0.12, 0),
            new FormulaLine("flour-wheat", 300, Role.POT),
            new FormulaLine("butter", 200, Role.POT),
            new FormulaLine("sugar", 100, Role.POT));

    private static RunSheet plan(
            Bar bar, TaperedCavity cavity, int pieces, Scaling.Limits limits, double offset, NamedFormula... formulas) {
        Map<String, NamedFormula> byLink = new LinkedHashMap<>();
        for (NamedFormula formula : formulas) {
            byLink.put(formula.link().text(), formula);
        }
        Map<String, Material> materials = RunTest.materials(formulas);
        Parts parts = cavity == null ? Parts.of(materials) : new Parts(cavity, 1, 0, 3, 8, materials);
        double boils = HILL.waterBoilsCelsius();
        RunOrder order = new RunOrder(
                "Bar",
                1,
                BarStack.of(bar, parts),
                byLink,
                List.of(),
                Set.of(),
                f -> limits,
                "what carries it",
                2,
                HILL,
                "the probe",
                new Thermometer(Thermometer.Kind.PROBE, offset, boils + offset, boils),
                pieces,
                new Allowances(0.05, 0.03, 250));
        return RunPlanner.plan(order, IngredientTable.shipped());
    }

    private static RunSheet sheet(String name) {
        return switch (name) {
            case "moulded" ->
                plan(
                        Bar.of(
                                Build.MOULDED,
                                new Body.Moulded(1, false),
                                List.of(
                                        LayerKind.DECORATION.usual(),
                                        BarLayer.mm(LayerKind.SHELL, "couverture-milk-38", 1.5),
                                        BarLayer.mm(LayerKind.FILLING, "formula:1:1", 6),
                                        BarLayer.grams(LayerKind.INCLUSION, "almond-slivered", 2),
                                        BarLayer.rest(LayerKind.FILLING, "gianduja"),
                                        BarLayer.mm(LayerKind.BACK, "couverture-milk-38", 2))),
                        new TaperedCavity(118, 32, 112, 26, 14),
                        50,
                        Scaling.Limits.NONE,
                        -0.7,
                        CARAMEL);
            case "slab" ->
                plan(
                        Bar.of(
                                Build.SLAB,
                                new Body.Slab(360, 270, 69, 25, 1, 5, 1.5),
                                List.of(
                                        BarLayer.mm(LayerKind.FOOT, "couverture-dark-66", 0.8),
                                        BarLayer.mm(LayerKind.FILLING, "formula:3:1", 4),
                                        BarLayer.mm(LayerKind.FILLING, "formula:1:1", 8),
                                        BarLayer.mm(LayerKind.COAT, "couverture-dark-66", 1),
                                        LayerKind.TOPPING.usual())),
                        null,
                        70,
                        new Scaling.Limits(1.5, null, 1.0),
                        0.5,
                        CARAMEL,
                        BISCUIT);
            default ->
                plan(
                        Bar.of(
                                Build.SHAPED,
                                new Body.Shaped(Body.Form.BALL, 0, 24, 0, 0),
                                List.of(
                                        BarLayer.grams(LayerKind.FILLING, "formula:2:1", 0),
                                        BarLayer.mm(LayerKind.COAT, "compound-dark", 1))),
                        null,
                        40,
                        Scaling.Limits.NONE,
                        0,
                        MELTED);
        };
    }

    private static String written(RunSheet sheet) {
        List<String> lines = new ArrayList<>();
        lines.add("make " + sheet.pieces().toMake() + " " + sheet.carriers());
        sheet.layers().forEach(l -> lines.add("layer " + l.key() + " of " + l.component()));
        for (FormulaBatch f : sheet.formulas()) {
            lines.add("formula %s %s ends %s batches %s shared '%s' spreads %s eye %s"
                    .formatted(
                            f.key(),
                            f.name(),
                            f.finished().by(),
                            f.batches(),
                            f.out().sharedOut(),
                            f.finished().spreads(),
                            f.byEye()));
            f.lines().forEach(l -> lines.add("  line " + l.name() + " " + tenths(l.grams()) + " " + l.role()));
            why(lines, f.why());
        }
        for (CouvertureBatch c : sheet.couvertures()) {
            lines.add("melt " + c.key() + " " + c.kind() + " " + tenths(c.meltGrams()));
            why(lines, c.why());
        }
        sheet.laid().forEach(l -> lines.add("laid " + l.key() + " " + l.name()));
        sheet.weighing().forEach(w -> lines.add("weigh " + w.name() + " " + tenths(w.grams()) + " for " + w.usedIn()));
        for (BenchStep s : sheet.steps()) {
            lines.add("step %s | %s | %s | %s | %s | %s"
                    .formatted(s.kind(), s.component(), s.layer(), s.title(), s.detail(), s.caution()));
        }
        return String.join("\n", lines) + "\n";
    }

    private static String tenths(double grams) {
        return String.valueOf(Math.round(10 * grams) / 10.0);
    }

    private static void why(List<String> lines, Working why) {
        why.lines().forEach(l -> lines.add("  why " + l.what() + ": " + l.arithmetic()));
        lines.add("  from " + why.source());
    }

    @DataProvider
    public Object[][] sheets() {
        return new Object[][] {{"moulded"}, {"slab"}, {"shaped"}};
    }

    @Test(dataProvider = "sheets")
    public void isWrittenAsItWasRead(String name) throws IOException {
        String said = written(sheet(name));
        BareQuantities.none(said);
        Recorded.check(WrittenSheetsTest.class, "sheet-" + name + ".txt", said);
    }

    /** The same sheet for who reads in °F, ounces and inches. */
    @Test
    public void isReadInOtherUnitsToo() throws IOException {
        String said = Say.in(written(sheet("slab")), BareQuantities.AMERICAN);
        Recorded.check(WrittenSheetsTest.class, "sheet-slab-american.txt", said);
    }
}

package org.zeststack.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BatchLine;
import org.zeststack.core.sheet.Carriers;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Parts;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;

/** What must hold for any run. The seed is fixed. */
public class RunPropertiesTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();
    private static final String DARK = "couverture-dark-58";

    private static RunSheet random(SplittableRandom random) {
        double width = 20 + 25 * random.nextDouble();
        TaperedCavity cavity =
                new TaperedCavity(width * 3, width, width * 3 - 5, width - 5, 9 + 8 * random.nextDouble());
        Formula syrup = new Formula(
                Family.CARAMEL,
                List.of(
                        new FormulaLine("sugar", 200 + 800 * random.nextDouble(), Role.POT),
                        new FormulaLine("glucose-syrup-60", 100 + 400 * random.nextDouble(), Role.POT),
                        new FormulaLine("milk-whole", 300 + 900 * random.nextDouble(), Role.POT),
                        new FormulaLine("butter", 1 + 100 * random.nextDouble(), Role.OFF_HEAT)),
                112 + 10 * random.nextDouble(),
                0.2 * random.nextDouble(),
                List.of());
        Place place = new Place(Place.By.ALTITUDE, 3000 * random.nextDouble());
        NamedFormula named = new NamedFormula(1, "syrup", 1, syrup);
        Bar bar = Bar.of(
                Build.MOULDED,
                new Body.Moulded(1, false),
                List.of(
                        BarLayer.mm(LayerKind.SHELL, DARK, 1 + random.nextDouble()),
                        BarLayer.rest(LayerKind.FILLING, named.link().text()),
                        BarLayer.mm(LayerKind.BACK, DARK, 1.5)));
        double boils = place.waterBoilsCelsius();
        int cavities = 1 + random.nextInt(30);
        return RunPlanner.plan(
                new RunOrder(
                        "any",
                        1,
                        BarStack.of(bar, new Parts(cavity, 1, 0, 1, cavities, RunTest.materials(named))),
                        Map.of(named.link().text(), named),
                        List.of(),
                        java.util.Set.of(),
                        f -> Scaling.Limits.NONE,
                        "mould",
                        1 + random.nextInt(9),
                        place,
                        "probe",
                        new Thermometer(
                                Thermometer.Kind.PROBE,
                                2 * random.nextDouble() - 1,
                                boils + 2 * random.nextDouble() - 1,
                                boils),
                        1 + random.nextInt(500),
                        new Allowances(
                                0.4 * random.nextDouble(), 0.1 * random.nextDouble(), 500 * random.nextDouble())),
                TABLE);
    }

    @Test
    public void planAndArithmeticAgree() {
        SplittableRandom random = new SplittableRandom(20261124);
        for (int i = 0; i < 80; i++) {
            RunSheet sheet = random(random);
            double kept =
                    sheet.pieces().toMake() * (1 - sheet.pieces().allowances().rejectFraction());
            assertTrue(kept >= sheet.pieces().wanted() - 1e-6, "enough pieces are made");
            assertTrue(
                    (sheet.pieces().toMake() - 1)
                                    * (1 - sheet.pieces().allowances().rejectFraction())
                            < sheet.pieces().wanted(),
                    "and not one too many");
            Carriers moulds = sheet.carriers();
            assertEquals(
                    (moulds.fills() - 1) * moulds.cavities() + moulds.cavitiesInLast(),
                    sheet.pieces().toMake());
            assertTrue(moulds.turns() * moulds.owned() >= moulds.fills());
            FormulaBatch batch = sheet.formulas().get(0);
            near(
                    batch.deposit().total(),
                    sheet.layer("filling-1").orElseThrow().window().targetGrams()
                            * sheet.pieces().toMake(),
                    1e-6,
                    "property: target × pieces");
            near(
                    batch.lines().stream().mapToDouble(BatchLine::grams).sum(),
                    batch.rawGrams(),
                    1e-6,
                    "property: the lines are what is weighed out");
            near(
                    sheet.gauge().thermometer().trueCelsius(batch.stop().reading()),
                    batch.stop().here(),
                    1e-9,
                    "property: the reading means the temperature");
            assertTrue(batch.stop().here() <= batch.stop().seaLevel() + 1e-9, "never hotter on a hill");
            double pieces = sheet.layers().stream()
                    .mapToDouble(l -> l.window().targetGrams())
                    .sum();
            near(pieces, sheet.bar().pieceGrams(), 1e-9, "property: the layers are the piece");
        }
    }
}

package org.zeststack.core.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.plan.RunOrder;
import org.zeststack.core.plan.RunPlanner;
import org.zeststack.core.plan.RunTest;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.PotPlan;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Parts;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;

/** Steps of a batch in its pots and bowl, from the plan to the bench. */
public class PotProgramTest {

    private static final Instant START = Instant.parse("2026-11-27T08:00:00Z");
    private static final Place PLACE = new Place(Place.By.ALTITUDE, 650);
    private static final IngredientTable TABLE = IngredientTable.shipped();

    private static FormulaLine line(String what, double grams, Role role, Integer step) {
        return new FormulaLine(what, grams, role, null, false, step, "", List.of());
    }

    private static MethodStep step(String action, String cue, Act act) {
        return new MethodStep(action, cue, "").doing(act, "");
    }

    public static Formula caramel(Double stop, Finish finish) {
        return new Formula(
                Family.CARAMEL,
                List.of(
                        line("sugar", 400, Role.POT, null),
                        line("glucose-syrup-42", 200, Role.POT, null),
                        line("water", 100, Role.POT, null),
                        line("cream-35", 300, Role.POT, 2),
                        line("honey", 100, Role.POT, 3),
                        line("butter", 40, Role.WARM, 5),
                        line("hazelnut-roasted", 80, Role.WARM, null)),
                stop,
                0,
                List.of(
                        step("Dissolve", "clear; 5 min", Act.HAND),
                        step("Cream in", "130 °C", Act.ADD),
                        step("Honey", "121 °C", Act.SECOND_POT),
                        step("Cook", "thick; The stop reading", Act.COOK),
                        step("Dry", "leaves the bowl; 3-4 min", Act.DRY),
                        step("Pour", "90 °C", Act.HAND)),
                finish,
                Map.of());
    }

    private static RunSheet sheet(Formula formula, boolean measured) {
        return sheet(formula, measured, Scaling.Limits.NONE);
    }

    public static RunSheet sheet(Formula formula, boolean measured, Scaling.Limits limits) {
        NamedFormula named = new NamedFormula(7, "Caramel", 1, formula);
        Bar bar = Bar.of(
                Build.MOULDED,
                new Body.Moulded(1, false),
                List.of(
                        BarLayer.mm(LayerKind.SHELL, "couverture-milk-38", 1.5),
                        BarLayer.rest(LayerKind.FILLING, named.link().text()),
                        BarLayer.mm(LayerKind.BACK, "couverture-dark-66", 2)));
        RunOrder order = new RunOrder(
                "Bar",
                1,
                BarStack.of(
                        bar, new Parts(new TaperedCavity(118, 32, 112, 26, 14), 1, 0, 1, 12, RunTest.materials(named))),
                Map.of(named.link().text(), named),
                List.of(),
                Set.of(),
                f -> limits,
                "twelve",
                3,
                PLACE,
                measured ? "probe" : "",
                new Thermometer(
                        Thermometer.Kind.PROBE, 0.8, PLACE.waterBoilsCelsius() + 0.8, PLACE.waterBoilsCelsius()),
                50,
                new Allowances(0.05, 0.03, 300));
        return RunPlanner.plan(order, TABLE);
    }

    public static BenchState state(RunSheet sheet, EntryBody... bodies) {
        List<BenchEntry> entries = new ArrayList<>();
        for (EntryBody body : bodies) {
            long number = entries.size() + 1L;
            entries.add(new BenchEntry(
                    number, new UUID(1, number), body, START.plusSeconds(60 * number), "Ada", null, false));
        }
        return BenchState.of(sheet, entries);
    }

    private static PotProgram program(RunSheet sheet, BenchState state, double celsius, int minutes) {
        OptionalDouble seaLevel = Double.isNaN(celsius) ? OptionalDouble.empty() : OptionalDouble.of(celsius);
        return PotProgram.of(sheet, sheet.formulas().get(0), state, seaLevel, START.plusSeconds(60L * minutes), 1);
    }

    private static String stands(PotProgram program) {
        return program.rows().stream()
                .map(r -> r.step().how().action() + " " + r.stand() + (r.pours() ? " pours" : ""))
                .collect(Collectors.joining(", "));
    }

    private static String ends(PotProgram program, String action) {
        return program.rows().stream()
                .filter(r -> r.step().how().action().equals(action))
                .flatMap(r -> r.ends().stream())
                .map(e -> e.ending().words()
                        + (e.reached() ? " reached" : "")
                        + (e.toGo().isPresent() ? " " + Math.round(e.toGo().getAsDouble()) + " to go" : "")
                        + (e.found().isEmpty() ? "" : " " + e.found()))
                .collect(Collectors.joining(", "));
    }

    private static String id(RunSheet sheet, String action) {
        return sheet.steps().stream()
                .filter(s -> s.how().action().equals(action))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    public void theSheetSaysWhatGoesIntoWhichPot() {
        RunSheet sheet = sheet(caramel(118.0, Finish.PLAIN), true);
        FormulaBatch batch = sheet.formulas().get(0);
        FormulaBatch honey = batch.second().orElseThrow();
        double f = batch.out().factor();
        assertEquals(batch.pot().totalGrams(), 1000 * f, 1e-6, "the first pot, with its cream");
        assertEquals(batch.start().totalGrams(), 700 * f, 1e-6, "without it");
        assertEquals(honey.pot().totalGrams(), 100 * f, 1e-6);
        assertEquals(honey.name(), "Honey for Caramel");
        assertEquals(honey.lines().size(), 1);
        assertEquals(sheet.pot(honey.key()).orElseThrow(), honey);
        assertEquals(sheet.whole(honey.key()).orElseThrow(), batch);
        assertTrue(sheet.formula(honey.key()).isEmpty(), "a second pot is no batch of its own");
        assertFalse(sheet.weighsAt(sheet.step("cook:" + honey.key()).orElseThrow()), "nor is it weighed as one");

        // Both readings are of the place and the thermometer: the same water there, and 0.8 K more on the scale.
        double kpa = PLACE.pressureKpa();
        Cook own = Cook.to(honey.pot(), 121, kpa);
        assertEquals(honey.stop().reading(), own.stopCelsiusHere() + 0.8, 0.02);
        Cook syrup = Cook.to(batch.start(), 130, kpa);
        assertEquals(batch.pours().get(0).at().orElseThrow().reading(), syrup.stopCelsiusHere() + 0.8, 0.02);
        assertEquals(batch.pours().get(0).names(), List.of("Cream 35 % fat"));
        assertEquals(sheet.program(batch).stream().map(BenchStep::id).toList().size(), 6, "all but weighing");
        String pour = sheet.step(batch.pours().get(0).step()).orElseThrow().detail();
        assertTrue(pour.contains("when the pot reads"), pour);

        // Butter is said to go in by the drying, hazelnuts are not; a tenth of all that was weighed out dries off.
        RunSheet dried = sheet(caramel(118.0, new Finish(false, null, null, 0.01, 0)), true);
        FormulaBatch dry = dried.formulas().get(0);
        PotPlan.Bowl bowl = dry.cooking().plan().orElseThrow().bowl().orElseThrow();
        double joined = dry.cooking().cookedGrams().orElseThrow()
                + dry.second().orElseThrow().cooking().cookedGrams().orElseThrow()
                + 40 * dry.out().factor();
        assertEquals(bowl.mass().composition().totalGrams(), joined, 1e-6);
        assertEquals(bowl.doneGrams().orElseThrow(), joined - 0.01 * dry.rawGrams(), 1e-6);
        assertTrue(
                batch.cooking()
                        .plan()
                        .orElseThrow()
                        .bowl()
                        .orElseThrow()
                        .doneGrams()
                        .isEmpty(),
                "nobody said how much dries off");
        Composition mass = bowl.mass().composition();
        assertEquals(
                Pots.moisture(bowl, bowl.doneGrams().orElseThrow()).orElseThrow(),
                1 - (mass.totalGrams() - mass.waterGrams()) / bowl.doneGrams().orElseThrow(),
                1e-9);
    }

    @Test
    public void ofSeveralPotsEachIsOnesOwn() {
        RunSheet one = sheet(caramel(118.0, Finish.PLAIN), true);
        RunSheet sheet = sheet(caramel(118.0, Finish.PLAIN), true, new Scaling.Limits(1.0, null, 0.1));
        FormulaBatch batch = sheet.formulas().get(0);
        int pots = batch.batches();
        assertTrue(pots > 1, "a litre is too small for all");
        double kpa = PLACE.pressureKpa();
        assertEquals(
                batch.start().totalGrams() * pots,
                batch.cooking().plan().orElseThrow().start().composition().totalGrams(),
                1e-6);
        assertEquals(
                Pots.planned(batch, kpa).cookedGrams() * pots,
                batch.cooking().cookedGrams().orElseThrow(),
                1e-6);
        assertEquals(
                batch.doneGrams().least() * pots, batch.cooking().cookedGrams().orElseThrow(), 1e-6);
        assertEquals(batch.second().orElseThrow().batches(), pots);
        double dry = (batch.pot().totalGrams() - batch.pot().waterGrams()) / pots;
        assertEquals(Pots.moisture(batch, dry / 0.9).orElseThrow(), 0.1, 1e-9);
        assertEquals(batch.stop().reading(), one.formulas().get(0).stop().reading(), 1e-9, "the reading is the same");
    }

    @Test
    public void stepsStandWhereHandsAre() {
        RunSheet sheet = sheet(caramel(118.0, Finish.PLAIN), true);
        FormulaBatch batch = sheet.formulas().get(0);
        PotProgram first = program(sheet, state(sheet), 126, 9);
        assertEquals(
                stands(first), "Dissolve NOW, Cream in LATER pours, Honey LATER, Cook LATER, Dry LATER, Pour LATER");
        assertEquals(ends(first, "Dissolve"), "clear, 5 min");
        assertEquals(ends(first, "Cream in"), "130 °C 4 to go", "due next whatever is ticked");
        assertEquals(ends(first, "Cook"), "The stop reading", "its reading rules, no look does");
        assertEquals(ends(first, "Pour"), "90 °C", "not watched yet");
        assertEquals(ends(program(sheet, state(sheet), 130, 9), "Cream in"), "130 °C reached");
        assertEquals(ends(program(sheet, state(sheet), Double.NaN, 9), "Cream in"), "130 °C");

        BenchState begun = state(sheet, new StepBegun(id(sheet, "Dissolve")));
        assertEquals(ends(program(sheet, begun, 126, 4), "Dissolve"), "clear, 5 min 2 to go");
        assertEquals(ends(program(sheet, begun, 126, 6), "Dissolve"), "clear, 5 min reached");

        EntryBody in = new Poured(batch.key());
        assertEquals(
                stands(program(sheet, state(sheet, in), 105, 9)),
                "Dissolve DONE, Cream in DONE, Honey NOW, Cook LATER, Dry LATER, Pour LATER");
        EntryBody cooked = new StepDone("cook:" + batch.key(), null);
        EntryBody honey = new StepDone("cook:" + batch.second().orElseThrow().key(), null);
        BenchState drying = state(
                sheet,
                in,
                honey,
                cooked,
                new StepBegun(id(sheet, "Dry")),
                new Sign(id(sheet, "Dry"), "leaves the bowl", "not yet"));
        assertEquals(ends(program(sheet, drying, 100, 5), "Dry"), "leaves the bowl not yet, 3-4 min 2 to go");
        BenchState dry = state(
                sheet,
                in,
                honey,
                cooked,
                new Sign(id(sheet, "Dry"), "leaves the bowl", "not yet"),
                new Sign(id(sheet, "Dry"), "leaves the bowl", ""),
                new StepDone(id(sheet, "Dry"), null));
        assertEquals(ends(program(sheet, dry, 100, 5), "Dry"), "leaves the bowl reached, 3-4 min");
        assertEquals(ends(program(sheet, dry, 100, 5), "Pour"), "90 °C 10 to go", "it cools to it");
        assertEquals(ends(program(sheet, dry, 90, 5), "Pour"), "90 °C reached");
    }

    @Test
    public void withoutAThermometerTheScaleSaysHowMoistItIs() {
        RunSheet sheet = sheet(caramel(null, new Finish(true, 0.08, 0.1, 0, 0)), false);
        FormulaBatch batch = sheet.formulas().get(0);
        double dry = batch.pot().totalGrams() - batch.pot().waterGrams();
        assertEquals(batch.doneGrams().least(), dry / 0.92, 0.01);
        assertEquals(batch.doneGrams().greatest(), dry / 0.9, 0.01);
        assertEquals(Pots.moisture(batch, dry / 0.91).orElseThrow(), 0.09, 1e-9);
        assertEquals(ends(program(sheet, state(sheet), Double.NaN, 1), "Cook"), "thick, The stop reading");
        RunSheet unread = sheet(caramel(118.0, Finish.PLAIN), false);
        assertEquals(
                ends(program(unread, state(unread), Double.NaN, 1), "Cook"),
                "thick, The stop reading, firm ball in cold water",
                "118 °C are 244.4 °F");
        assertTrue(batch.second().isEmpty(), "a second pot wants a reading");

        double done = dry / 0.91;
        EntryBody inPot = new PotWeighed(batch.key(), done + 500, 500, "cook:" + batch.key());
        EntryBody whole = new StepDone(
                "mix:" + batch.key(), dry / 0.9 + batch.rawGrams() - batch.pot().totalGrams());
        assertTrue(state(sheet).yields().moisture(batch).isEmpty());
        assertEquals(state(sheet, inPot).yields().moisture(batch).orElseThrow(), 0.09, 1e-9);
        assertEquals(state(sheet, whole).yields().moisture(batch).orElseThrow(), 0.1, 1e-9, "less what went in after");
        assertEquals(state(sheet, whole, inPot).yields().moisture(batch).orElseThrow(), 0.09, 1e-9, "the pot is surer");
        EntryBody tare = new PotWeighed(batch.key(), dry, 500, "cook:" + batch.key());
        assertEquals(
                state(sheet, whole, tare).yields().moisture(batch).orElseThrow(),
                0.1,
                1e-9,
                "a weight that cannot be is none");

        EntryBody atCook = new PotWeighed(batch.key(), 900, 100, "cook:" + batch.key());
        EntryBody off = new TakenOff(batch.key());
        assertTrue(
                state(sheet, off, atCook).yields().finishedGrams(batch.key()).isEmpty(),
                "a pot is not yet what came of it");
        assertEquals(
                state(sheet, off, new PotWeighed(batch.key(), 900, 100))
                        .yields()
                        .finishedGrams(batch.key())
                        .orElseThrow(),
                800,
                1e-9);
        assertEquals(
                state(sheet, atCook)
                        .pot(batch.key())
                        .weighed("cook:" + batch.key())
                        .orElseThrow()
                        .massGrams(),
                800,
                1e-9);
    }
}

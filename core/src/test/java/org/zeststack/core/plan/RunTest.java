package org.zeststack.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bench.Actual;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.BowlLeft;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.Note;
import org.zeststack.core.bench.PieceOutcome;
import org.zeststack.core.bench.PotWeighed;
import org.zeststack.core.bench.RingTurned;
import org.zeststack.core.bench.RoomReading;
import org.zeststack.core.bench.StepDone;
import org.zeststack.core.bench.StepEnd;
import org.zeststack.core.bench.TakenOff;
import org.zeststack.core.bench.Tally;
import org.zeststack.core.bench.Undo;
import org.zeststack.core.bench.WeighIn;
import org.zeststack.core.bench.WeighingRules;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaBook;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ledger.MassFlow;
import org.zeststack.core.ledger.RunAccount;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.Deposit;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.sheet.WeighingLine;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;

public class RunTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();
    private static final Place HILL = new Place(Place.By.ALTITUDE, 1600);

    private static final Formula CARAMEL = new Formula(
            Family.CARAMEL,
            List.of(
                    new FormulaLine("sugar", 1000, Role.POT),
                    new FormulaLine("glucose-syrup-42", 700, Role.POT),
                    new FormulaLine("cream-35", 1000, Role.POT),
                    new FormulaLine("butter", 120, Role.OFF_HEAT)),
            118.0,
            0.03,
            List.of());
    private static final Formula PASTE = new Formula(
            Family.NUT_PASTE,
            List.of(
                    new FormulaLine("almond-paste-pure", 300, Role.POT),
                    new FormulaLine("couverture-dark-66", 100, Role.POT)),
            null,
            0.02,
            List.of());

    public static RunSheet sheet(int pieces, Allowances allowances) {
        TaperedCavity cavity = new TaperedCavity(118, 32, 112, 26, 14);
        NamedFormula caramel = new NamedFormula(7, "caramel", 2, CARAMEL);
        NamedFormula paste = new NamedFormula(9, "paste", 1, PASTE);
        Bar bar = Bar.of(
                Build.MOULDED,
                new Body.Moulded(1, false),
                List.of(
                        BarLayer.mm(LayerKind.SHELL, "couverture-milk-38", 1.5),
                        BarLayer.mm(LayerKind.FILLING, caramel.link().text(), 5),
                        BarLayer.rest(LayerKind.FILLING, paste.link().text()),
                        BarLayer.mm(LayerKind.BACK, "couverture-dark-66", 2)));
        RunOrder order = new RunOrder(
                "Test bar",
                3,
                BarStack.of(bar, new Parts(cavity, 1, 0, 1, 12, materials(caramel, paste))),
                formulas(caramel, paste),
                List.of(),
                java.util.Set.of(),
                f -> Scaling.Limits.NONE,
                "twelve",
                3,
                HILL,
                "probe",
                new Thermometer(Thermometer.Kind.PROBE, 0.8, HILL.waterBoilsCelsius() + 0.8, HILL.waterBoilsCelsius()),
                pieces,
                allowances);
        return RunPlanner.plan(order, TABLE);
    }

    private static Map<String, NamedFormula> formulas(NamedFormula... all) {
        Map<String, NamedFormula> formulas = new LinkedHashMap<>();
        for (NamedFormula named : all) {
            formulas.put(named.link().text(), named);
        }
        return formulas;
    }

    /** The table's ingredients, and formulas finished at sea level. */
    public static Map<String, Material> materials(NamedFormula... formulas) {
        Map<String, Material> materials = new HashMap<>();
        TABLE.all().forEach(i -> materials.put(i.slug(), Material.of(i, null)));
        for (NamedFormula named : formulas) {
            FormulaBalance balance = FormulaBalance.of(named.formula(), TABLE, 101.325);
            Ingredient finished = FormulaBook.ingredient(named, TABLE);
            materials.put(named.link().text(), Material.of(named, finished, balance, null));
        }
        return materials;
    }

    private final RunSheet sheet = sheet(90, new Allowances(0.1, 0.03, 300));

    @Test
    public void piecesMouldsAndTurns() {
        assertEquals(sheet.pieces().toMake(), 100);
        assertEquals(sheet.carriers().fills(), 9);
        assertEquals(sheet.carriers().turns(), 3);
        assertEquals(sheet.carriers().cavitiesInLast(), 4);
    }

    @Test
    public void formulasAreScaledThroughYieldAndLoss() {
        FormulaBatch caramel = sheet.formula("formula-7-v2").orElseThrow();
        near(caramel.finishedGrams() * 0.97, caramel.uses().usableGrams(), 1e-9, "definition of the handling loss");
        near(caramel.uses().usableGrams(), caramel.deposit().total(), 1e-9, "nothing else takes of it");
        Formula scaled = new Formula(
                Family.CARAMEL,
                caramel.lines().stream()
                        .map(l -> new FormulaLine(
                                l.ingredient(), l.grams(), l.role().equals("in the pot") ? Role.POT : Role.OFF_HEAT))
                        .toList(),
                118.0,
                0.03,
                List.of());
        double finished =
                FormulaBalance.of(scaled, TABLE, HILL.pressureKpa()).after().totalGrams();
        near(finished, caramel.finishedGrams(), 1e-6, "property: the scaled formula cooks to what is wanted");
        assertTrue(caramel.rawGrams() > caramel.finishedGrams());
    }

    @Test
    public void theReadingToStopAtCarriesPlaceAndThermometer() {
        FormulaBatch caramel = sheet.formula("formula-7-v2").orElseThrow();
        near(caramel.stop().reading() - caramel.stop().here(), 0.8, 1e-6, "the thermometer reads 0.8 high");
        near(118 - caramel.stop().here(), 5.8, 0.4, "this model at 1600 m");
        assertFalse(sheet.formula("formula-9-v1").orElseThrow().cooked());
    }

    @Test
    public void couvertureToMeltComesBackOrStays() {
        CouvertureBatch shell = sheet.couvertures().get(0);
        near(
                shell.meltGrams() - shell.melt().comesBackGrams(),
                shell.melt().staysGrams() / 0.97,
                1,
                "what does not come back is in pieces or on the scraper, that in whole grams");
        near(
                shell.meltGrams(),
                shell.melt().staysGrams()
                        + shell.melt().scrapedGrams()
                        + shell.melt().pouredGrams()
                        + shell.melt().bowlGrams(),
                1e-9,
                "stays + scraped + poured out + left in the bowl, to the gram");
        double onSheet = sheet.layer("shell").orElseThrow().window().targetGrams() * 100;
        near(shell.melt().staysGrams(), onSheet, 1e-9, "pieces × shell");
        assertEquals(sheet.couvertures().size(), 2);
    }

    @Test
    public void weighingListMergesIngredients() {
        var dark = sheet.weighing().stream()
                .filter(l -> l.ingredient().equals("couverture-dark-66"))
                .findFirst();
        assertEquals(dark.orElseThrow().usedIn(), List.of("paste", "melt"));
        double listed =
                sheet.weighing().stream().mapToDouble(WeighingLine::grams).sum();
        double planned =
                sheet.formulas().stream().mapToDouble(FormulaBatch::rawGrams).sum()
                        + sheet.couvertures().stream()
                                .mapToDouble(CouvertureBatch::meltGrams)
                                .sum();
        near(listed, planned, 1e-6, "property: nothing is lost between plan and list");
    }

    @Test
    public void stepsFollowTheWork() {
        assertEquals(
                sheet.steps().stream()
                        .map(BenchStep::kind)
                        .filter(kind -> kind != StepKind.HAND)
                        .map(Enum::name)
                        .toList(),
                List.of(
                        "WEIGH", "COOK", "MIX", "WEIGH", "MIX", "TEMPER", "LINE", "FILL", "FILL", "TEMPER", "CLOSE",
                        "RELEASE"));
        assertTrue(sheet.steps().get(2).caution().contains("cool running water"));
    }

    private static final class Bench {
        final List<BenchEntry> entries = new ArrayList<>();

        UUID add(EntryBody body, UUID corrects) {
            UUID key = new UUID(0, entries.size() + 1L);
            entries.add(new BenchEntry(entries.size() + 1L, key, body, Instant.EPOCH, "hand", corrects, false));
            return key;
        }
    }

    @Test
    public void aPotWeighedOffTheRingIsWhatCameOfIt() {
        String caramel = "formula-7-v2";
        Bench bench = new Bench();
        bench.add(new PotWeighed(caramel, 4000, 1400), null);
        assertTrue(
                BenchState.of(sheet, bench.entries)
                        .yields()
                        .finishedGrams(caramel)
                        .isEmpty(),
                "it dries still");
        bench.add(new RingTurned(caramel), null);
        bench.add(new TakenOff(caramel), null);
        assertTrue(
                BenchState.of(sheet, bench.entries)
                        .yields()
                        .finishedGrams(caramel)
                        .isEmpty(),
                "not weighed since");
        bench.add(new PotWeighed("formula-9-v1", 3000, 1400), null);
        UUID weighed = bench.add(new PotWeighed(caramel, 3500, 1400), null);
        BenchState state = BenchState.of(sheet, bench.entries);
        assertEquals(state.yields().finishedGrams(caramel).orElseThrow(), 2100.0);
        assertEquals(state.pot(caramel).weighed().orElseThrow().massGrams(), 2100.0);
        assertEquals(state.pot(caramel).ringTurned().size(), 1);
        assertEquals(state.pot(caramel).takenOff().size(), 1);
        assertTrue(state.pot("formula-9-v1").takenOff().isEmpty()
                && state.pot("formula-9-v1").ringTurned().isEmpty());
        bench.add(new StepDone("cook:formula-7-v2", 2050.0), null);
        assertEquals(
                BenchState.of(sheet, bench.entries)
                        .yields()
                        .finishedGrams(caramel)
                        .orElseThrow(),
                2050.0,
                "the step's own");
        bench.entries.remove(bench.entries.size() - 1);
        bench.add(new Undo(), weighed);
        assertTrue(
                BenchState.of(sheet, bench.entries)
                        .yields()
                        .finishedGrams(caramel)
                        .isEmpty(),
                "taken back");
    }

    @Test
    public void theBenchFoldsItsEntries() {
        Bench bench = new Bench();
        bench.add(new StepDone("weigh:formula-7-v2", null), null);
        bench.add(new StepDone("cook:formula-7-v2", 2000.0), null);
        bench.add(new WeighIn("filling-1", 640, 400, 12), null);
        UUID slip = bench.add(new WeighIn("filling-1", 900, 400, 12), null);
        bench.add(new Undo(), slip);
        bench.add(new Tally(PieceOutcome.GOOD, 80, ""), null);
        bench.add(new Tally(PieceOutcome.REWORKED, 5, "chipped edge"), null);
        bench.add(new Tally(PieceOutcome.REJECTED, 6, "leak"), null);
        bench.add(new Tally(PieceOutcome.REJECTED, 2, "leak"), null);
        bench.add(new Note("cook one degree less"), null);
        bench.add(new RoomReading(26), null);
        BenchState state = BenchState.of(sheet, bench.entries);
        assertEquals(
                state.next().orElseThrow().id(), "do:formula-7-v2:3", "what was done by hand before the cook is over");
        assertTrue(state.passed(sheet.steps().get(1))
                && !state.passed(sheet.steps().get(3)));
        assertFalse(state.passed(sheet.step("mix:formula-7-v2").orElseThrow()), "a weighing is not passed by");
        assertEquals(state.pieces().weighIns("filling-1"), List.of(20.0));
        assertEquals(state.pieces().counted(PieceOutcome.REJECTED), 8);
        assertEquals(state.pieces().reasons().get("rejected: leak"), Integer.valueOf(8));
        assertEquals(state.notes(), List.of("cook one degree less"));
        assertTrue(
                Say.metric(state.room().advice(Bounds.shipped()).orElseThrow().message())
                        .contains("18 to 23 °C"));

        RunAccount account = RunAccount.of(sheet, state, Bounds.shipped());
        near(account.pieces().yieldFraction(), 0.85, 1e-12, "good and reworked over planned");
        MassFlow flow = account.flows().get(0);
        near(flow.of(MassFlow.Way.GOOD).measured(), 20 * 85, 1e-9, "mean weigh-in × good and reworked pieces");
        near(flow.of(MassFlow.Way.NOT_GOOD).measured(), 20 * 8, 1e-9, "and × the others");
        near(flow.of(MassFlow.Way.NOT_COUNTED).measured(), 20 * 7, 1e-9, "as heavy as those weighed");
        near(flow.of(MassFlow.Way.LEFT).measured(), 0, 1e-9, "cooked less deposited");
        near(flow.of(MassFlow.Way.STEAM).measured(), flow.weighed().measured() - 2000, 1e-9, "weighed out less cooked");
        assertTrue(flow.measured());
        MassFlow paste = account.flows().get(1);
        assertNull(paste.of(MassFlow.Way.GOOD).measured(), "what was not weighed is not known");
        assertNull(paste.of(MassFlow.Way.LEFT).measured());
        account.flows().forEach(f -> near(f.openPlanned(), 0, 1e-6, f.name() + ": the plan accounts for all of it"));
    }

    private RunAccount account(EntryBody... bodies) {
        return RunAccount.of(
                sheet,
                BenchState.of(
                        sheet,
                        java.util.Arrays.stream(bodies).map(RunTest::entry).toList()),
                Bounds.shipped());
    }

    private MassFlow flow(String name, EntryBody... bodies) {
        return account(bodies).flows().stream()
                .filter(f -> f.name().contains(name))
                .findFirst()
                .orElseThrow();
    }

    /** To be done with a step measures nothing: there is a plan, and what the scale said. */
    @Test
    public void whatNobodyWeighedIsNotMeasured() {
        List<EntryBody> done = new ArrayList<>();
        sheet.steps().forEach(s -> done.add(new StepDone(s.id(), null)));
        for (MassFlow flow : account(done.toArray(EntryBody[]::new)).flows()) {
            assertNull(flow.weighed().measured(), flow.name());
            assertNull(flow.finished().measured(), flow.name());
            assertFalse(flow.measured(), flow.name());
        }
    }

    /** What comes back of a bowl is planned until somebody weighs what is left; heavy shells accuse nobody. */
    @Test
    public void aBowlsRestIsPlannedUntilItIsWeighed() {
        CouvertureBatch milk = sheet.couvertures().stream()
                .filter(c -> c.name().contains("Milk"))
                .findFirst()
                .orElseThrow();
        LayerTarget shell = sheet.layers().stream()
                .filter(l -> l.component().equals(milk.key()))
                .findFirst()
                .orElseThrow();
        EntryBody heavy = new WeighIn(shell.key(), 1.04 * shell.window().targetGrams() * 12, 0, 12);
        EntryBody counted = new Tally(PieceOutcome.GOOD, 100, "");
        MassFlow planned = flow("Milk", heavy, counted);
        assertNull(planned.of(MassFlow.Way.BACK).measured());
        assertNull(planned.of(MassFlow.Way.SCRAPED).measured());
        near(
                planned.of(MassFlow.Way.BACK).planned(),
                milk.melt().pouredGrams() + milk.melt().bowlGrams(),
                1e-9,
                "by plan");
        assertEquals(planned.question(), MassFlow.Question.NONE);
        MassFlow weighed = flow("Milk", heavy, counted, new BowlLeft(milk.key(), 300, null));
        near(weighed.of(MassFlow.Way.BACK).measured(), 300, 0, "as weighed");
        near(
                weighed.of(MassFlow.Way.SCRAPED).measured(),
                milk.meltGrams() - 300 - weighed.of(MassFlow.Way.GOOD).measured(),
                1e-6,
                "the rest");
        double laid = weighed.of(MassFlow.Way.GOOD).measured();
        MassFlow less = flow("Milk", heavy, counted, new BowlLeft(milk.key(), milk.meltGrams() - laid + 40, null));
        near(less.of(MassFlow.Way.SCRAPED).measured(), -40, 1e-6, "more came back and was laid than was to be melted");
        assertEquals(less.question(), MassFlow.Question.NONE, "the plan is no measurement");
    }

    private MassFlow caramelWeighing(double grams) {
        List<BenchEntry> entries = List.of(entry(new StepDone("cook:formula-7-v2", grams)));
        return RunAccount.of(sheet, BenchState.of(sheet, entries), Bounds.shipped())
                .flows()
                .get(0);
    }

    @Test
    public void whatCannotBeIsAskedAboutInTheLedgerToo() {
        FormulaBatch caramel = sheet.formula("formula-7-v2").orElseThrow();
        double raw = caramel.rawGrams();
        double water = caramel.out().waterGrams().orElseThrow();
        assertEquals(caramelWeighing(raw - water + 1).question(), MassFlow.Question.NONE);
        assertEquals(caramelWeighing(raw - water - 1).question(), MassFlow.Question.MORE_THAN_ITS_WATER);
        assertEquals(caramelWeighing(raw).question(), MassFlow.Question.NONE);
        assertEquals(caramelWeighing(raw + 1).question(), MassFlow.Question.HEAVIER_THAN_WEIGHED_OUT);
    }

    @Test
    public void moreLaidThanThereWasIsAskedAbout() {
        List<BenchEntry> entries = new ArrayList<>();
        double finished = sheet.formula("formula-7-v2").orElseThrow().finishedGrams();
        entries.add(entry(new StepDone("cook:formula-7-v2", finished)));
        entries.add(entry(new Tally(PieceOutcome.GOOD, 100, "")));
        entries.add(entry(new WeighIn("filling-1", finished / 100, 0, 1)));
        MassFlow all = RunAccount.of(sheet, BenchState.of(sheet, entries), Bounds.shipped())
                .flows()
                .get(0);
        assertEquals(all.question(), MassFlow.Question.NONE, "all of it laid");
        entries.add(entry(new WeighIn("filling-1", finished / 100 + 0.1, 0, 1)));
        MassFlow more = RunAccount.of(sheet, BenchState.of(sheet, entries), Bounds.shipped())
                .flows()
                .get(0);
        assertEquals(more.question(), MassFlow.Question.MORE_LAID_THAN_THERE_WAS);
    }

    @Test
    public void theSameEntriesInOnePassOrTwoGiveTheSameState() {
        Bench bench = new Bench();
        for (int i = 1; i <= 20; i++) {
            bench.add(new Tally(PieceOutcome.GOOD, i, ""), i % 4 == 0 ? new UUID(0, i - 1) : null);
        }
        BenchState state = BenchState.of(sheet, bench.entries);
        // 1..20 less the ones taken back: 3, 7, 11, 15, 19.
        assertEquals(state.pieces().counted(PieceOutcome.GOOD), 210 - 55);
        assertFalse(state.next().isEmpty());
    }

    @DataProvider
    public Object[][] badBodies() {
        return new Object[][] {
            {new WeighIn("filling-1", 10, 20, 0), List.of("cavities", "grossGrams")},
            {new WeighIn("", Double.NaN, -1, 12), List.of("layer", "grossGrams", "tareGrams")},
            {new Tally(PieceOutcome.REJECTED, 3, " "), List.of("reason")},
            {new Tally(null, 0, ""), List.of("outcome", "pieces")},
            // A room of 70 °C: a slip heard in practice, probably 70 °F.
            {new RoomReading(70), List.of("roomCelsius")},
            {new RoomReading(Double.NaN), List.of("roomCelsius")},
            {new StepDone("", -5.0), List.of("step", "grams")},
            {new Note("x".repeat(2001)), List.of("text")},
        };
    }

    @Test(dataProvider = "badBodies")
    public void badEntriesNameTheirFields(EntryBody body, List<String> fields) {
        InvalidInput fault = expectThrows(InvalidInput.class, body::check);
        assertEquals(fault.faults().stream().map(Fault::field).toList(), fields);
    }

    @Test
    public void aRoomInFahrenheitIsRecognised() {
        InvalidInput fault = expectThrows(InvalidInput.class, () -> new RoomReading(70).check());
        assertEquals(
                Say.metric(fault.faults().get(0).message()),
                "70 is outside 5 to 45 °C. If 70 °F is meant: that is 21.1 °C.");
        new RoomReading(21).check();
    }

    @Test
    public void faultyOrdersAreRefused() {
        expectThrows(InvalidInput.class, () -> sheet(0, Allowances.USUAL));
        expectThrows(InvalidInput.class, () -> new Allowances(0.9, 0.5, -1));
        InvalidInput fault = expectThrows(InvalidInput.class, () -> new Formula(
                        Family.OTHER, List.of(new FormulaLine("ghost", -3, Role.POT)), 20.0, 0.9, List.of())
                .check(TABLE));
        assertEquals(
                fault.faults().stream().map(Fault::field).toList(),
                List.of("line.0.ingredient", "line.0.grams", "stopCelsius", "handlingLossFraction"));
    }

    /** A filling made of another formula: that one is planned first, in the amount that the filling takes. */
    @Test
    public void partsAreMadeFirstAndInTheirOwnAmount() {
        FormulaLine grain = new FormulaLine("rice-crisped", 100, Role.WARM, null, true, null, "", List.of());
        Formula crunch = new Formula(
                Family.CRUNCH,
                List.of(
                        new FormulaLine("formula:9:1", 300, Role.POT),
                        grain,
                        new FormulaLine("salt", 5, Role.OPTIONAL)),
                null,
                0.02,
                List.of());
        NamedFormula paste = new NamedFormula(9, "paste", 1, PASTE);
        var needs = org.zeststack.core.formula.FormulaBook.needs(
                11, "crunch", crunch, TABLE, link -> java.util.Optional.of(paste));
        NamedFormula named = new NamedFormula(11, "crunch", 1, crunch);
        Map<String, Material> materials = materials();
        materials.put(
                named.link().text(),
                Material.of(
                        named,
                        FormulaBook.ingredient(named, needs.table()),
                        FormulaBalance.of(crunch, needs.table(), 101.325),
                        null));
        String milk = "couverture-milk-38";
        Bar bar = Bar.of(
                Build.MOULDED,
                new Body.Moulded(1, false),
                List.of(
                        BarLayer.mm(LayerKind.SHELL, milk, 1.5),
                        BarLayer.rest(LayerKind.FILLING, named.link().text()),
                        BarLayer.mm(LayerKind.BACK, milk, 2)));
        RunOrder order = new RunOrder(
                "Crunch bar",
                1,
                BarStack.of(bar, new Parts(new TaperedCavity(118, 32, 112, 26, 14), 1, 0, 1, 12, materials)),
                formulas(named),
                needs.used(),
                java.util.Set.of(),
                f -> Scaling.Limits.NONE,
                "twelve",
                3,
                HILL,
                "probe",
                Thermometer.TRUE,
                24,
                new Allowances(0, 0, 0));
        RunSheet planned = RunPlanner.plan(order, needs.table());
        assertEquals(planned.formulas().get(0).name(), "paste");
        FormulaBatch made = planned.formulas().get(1);
        assertEquals(made.lines().size(), 2, "what may be left out is not weighed");
        assertTrue(made.lines().get(1).toEffect());
        FormulaBatch paste2 = planned.formulas().get(0);
        near(paste2.uses().usableGrams(), made.lines().get(0).grams(), 1e-9, "as much as the crunch takes");
        near(paste2.uses().takenGrams(), paste2.uses().usableGrams(), 1e-9, "all of it into the crunch");
        assertEquals(paste2.deposit().total(), 0.0, "none of it is laid by itself");
        near(paste2.finishedGrams(), made.lines().get(0).grams() / 0.98, 1e-9, "and its own loss");
        String key = made.key();
        BenchState state = BenchState.of(
                planned,
                List.of(entry(new Actual(key, "rice-crisped", 80)), entry(new Actual(key, "rice-crisped", 84))));
        assertEquals(state.yields().actualGrams(key, "rice-crisped").orElseThrow(), 84.0, "the last one counts");
        assertTrue(state.yields().actualGrams(key, "salt").isEmpty());
        double used = made.rawGrams() + 84 - made.lines().get(1).grams();
        near(state.yields().rawGrams(made), used, 1e-9, "what was really used");
        near(
                state.yields().expectedGrams(made),
                made.finishedGrams() * used / made.rawGrams(),
                1e-9,
                "what follows is planned by it");
        WeighingRules rules = new WeighingRules(Bounds.shipped());
        String mixed = "mix:" + key;
        assertTrue(new StepDone(mixed, used).doubt(state, rules).isEmpty());
        assertTrue(new StepDone(mixed, used + 2).doubt(state, rules).isPresent(), "more than was weighed out");
        MassFlow crunchFlow =
                RunAccount.of(planned, state, Bounds.shipped()).flows().get(1);
        near(
                crunchFlow.weighed().measured(),
                made.rawGrams() + 84 - made.lines().get(1).grams(),
                1e-9,
                "weighed out is what was really used");
    }

    private static BenchEntry entry(EntryBody body) {
        return new BenchEntry(
                1,
                java.util.UUID.randomUUID(),
                body,
                java.time.Instant.parse("2026-03-01T08:00:00Z"),
                "Ada",
                null,
                false);
    }

    private static final BarLayer COAT = BarLayer.mm(LayerKind.COAT, "couverture-dark-66", 1);

    private static final NamedFormula CARAMEL_NAMED = new NamedFormula(7, "caramel", 2, CARAMEL);

    private static RunSheet slab(int pieces, double rejects, BarLayer coat) {
        NamedFormula caramel = CARAMEL_NAMED;
        Bar bar = Bar.of(
                Build.SLAB,
                new Body.Slab(300, 200, 60, 25, 0, 5, 0),
                List.of(
                        BarLayer.mm(LayerKind.FOOT, "couverture-dark-66", 0.8),
                        BarLayer.mm(LayerKind.FILLING, caramel.link().text(), 12),
                        coat));
        RunOrder order = new RunOrder(
                "Slab bar",
                1,
                BarStack.of(bar, Parts.of(materials(caramel))),
                formulas(caramel),
                List.of(),
                java.util.Set.of(),
                f -> Scaling.Limits.NONE,
                "300 × 200 mm",
                1,
                HILL,
                "probe",
                Thermometer.TRUE,
                pieces,
                new Allowances(rejects, 0, 0));
        return RunPlanner.plan(order, TABLE);
    }

    /** A second slab that only the rejects expected ask for is told, with what one gives. */
    @Test
    public void aSlabOpenedForRejectsIsTold() {
        RunSheet told = slab(32, 0.05, COAT);
        assertEquals(told.carriers().fills(), 2, "34 to make, 33 of one slab");
        assertEquals(
                told.calls().stream()
                        .filter(c -> c.code().equals("carrier-for-rejects"))
                        .map(Call::message)
                        .toList(),
                List.of("One slab gives 33: expect 31 good, or 63 of 66 with one more."
                        + " Only the rejects expected ask for it."));
        for (RunSheet quiet : List.of(slab(34, 0.05, COAT), slab(31, 0.05, COAT), slab(40, 0, COAT))) {
            assertTrue(quiet.calls().stream().noneMatch(c -> c.code().equals("carrier-for-rejects")));
        }
    }

    /** A slab laid 2 % too thick: pieces good, not good and not counted, trim and spare pieces are all so much heavier, and the rest is left. */
    @Test
    public void everyWayOfASlabIsAccountedFor() {
        RunSheet planned = slab(40, 0.05, COAT);
        LayerTarget layer = planned.layers().get(1);
        FormulaBatch caramel = planned.formulas().get(0);
        int make = planned.pieces().toMake();
        double each = 1.02 * layer.window().targetGrams();
        BenchState state = BenchState.of(
                planned,
                List.of(
                        entry(new StepDone("mix:" + caramel.key(), caramel.finishedGrams() + 50)),
                        entry(new WeighIn(layer.key(), 2 * each, 0, 2)),
                        entry(new Tally(PieceOutcome.GOOD, make - 6, "")),
                        entry(new Tally(PieceOutcome.REWORKED, 1, "edge")),
                        entry(new Tally(PieceOutcome.REJECTED, 2, "cracked"))));
        RunAccount account = RunAccount.of(planned, state, Bounds.shipped());
        MassFlow flow = account.flows().get(0);
        Deposit laid = caramel.deposit();
        assertTrue(laid.offcuts() > 0 && laid.spare() > 0, laid.toString());
        near(flow.of(MassFlow.Way.GOOD).measured(), each * (make - 5), 1e-6, "counted good or tidied");
        near(flow.of(MassFlow.Way.NOT_GOOD).measured(), each * 2, 1e-6, "cracked");
        near(flow.of(MassFlow.Way.NOT_COUNTED).measured(), each * 3, 1e-6, "nobody counted them");
        near(flow.of(MassFlow.Way.OFFCUTS).measured(), 1.02 * laid.offcuts(), 1e-6, "as thick as the pieces");
        near(flow.of(MassFlow.Way.SPARE).measured(), 1.02 * laid.spare(), 1e-6, "as thick as the pieces");
        near(
                flow.of(MassFlow.Way.GOOD).planned()
                        + flow.of(MassFlow.Way.NOT_GOOD).planned(),
                laid.pieces(),
                1e-6,
                "the plan's pieces");
        near(flow.of(MassFlow.Way.GOOD).planned(), laid.pieces() * 40 / make, 1e-6, "as many as are wanted");
        double steam = caramel.rawGrams() - caramel.finishedGrams() - 50;
        near(flow.of(MassFlow.Way.STEAM).measured(), steam, 1e-6, "weighed back 50 g more");
        near(
                flow.of(MassFlow.Way.LEFT).measured(),
                caramel.rawGrams() - steam - 1.02 * (laid.pieces() + laid.offcuts() + laid.spare()),
                1e-6,
                "the rest");
        assertTrue(flow.measured());
        near(flow.openPlanned(), 0, 1e-6, "all of the plan");
        assertEquals(
                account.layers().stream().map(l -> l.target().key()).toList(), List.of(layer.key()), "weighed layers");
    }

    /** What the bench says is to be laid on a slab is right on the spot when the slab is weighed, its trim with it. */
    @Test
    public void aSlabIsWeighedWhole() {
        RunSheet planned = slab(40, 0, COAT);
        LayerTarget caramel = planned.layers().get(1);
        double whole = 300
                * 200
                * 12
                / 1000.0
                * materials(CARAMEL_NAMED).get(CARAMEL_NAMED.link().text()).densityGramsPerMl();
        near(caramel.wholeGrams().orElseThrow(), whole, 1e-6, "all that lies on it");
        assertTrue(planned.layers().get(2).wholeGrams().isEmpty(), "pieces are coated");
        String step = planned.steps().stream()
                .filter(s -> s.layer().equals(caramel.key()))
                .map(BenchStep::detail)
                .map(Say::metric)
                .findFirst()
                .orElseThrow();
        assertTrue(step.contains("%.0f g on each slab".formatted(whole)), step);
        BenchState state = BenchState.of(
                planned,
                List.of(
                        entry(new WeighIn(caramel.key(), 2 * whole + 500, 500, 2, true)),
                        entry(new WeighIn(caramel.key(), 1.02 * whole, 0, 1, true)),
                        entry(new WeighIn(caramel.key(), caramel.window().targetGrams(), 0, 1))));
        double each = caramel.window().targetGrams();
        near(state.pieces().weighIns(caramel.key()).get(0), each, 1e-9, "right on the spot");
        near(state.pieces().weighIns(caramel.key()).get(1), 1.02 * each, 1e-9, "as much heavier as the slab");
        near(state.pieces().weighIns(caramel.key()).get(2), each, 1e-9, "a piece is still a piece");
        assertTrue(new WeighIn(caramel.key(), whole, 0, 1, true)
                .doubt(state, new WeighingRules(Bounds.shipped()))
                .isEmpty());
    }

    /** A cue that is a reading is shown as this place and this thermometer read it: one stop on a screen. */
    @Test
    public void aReadingInWordsIsShownAsItIsReadHere() {
        BenchStep cook = sheet.step("cook:formula-7-v2").orElseThrow();
        double stop = sheet.formula("formula-7-v2").orElseThrow().stop().reading();
        String here = Numbers.fixed(stop, 1) + " °C on probe";
        assertEquals(
                Say.metric(StepEnd.asRead(sheet, cook, "242 °F; 20 min, or it is amber")),
                here + "; 20 min, or it is amber");
        assertEquals(Say.metric(StepEnd.asRead(sheet, cook, "the stop reading")), here);
        assertEquals(StepEnd.asRead(sheet, cook, "amber; 20 min"), "amber; 20 min");
        BenchStep release = sheet.steps().get(sheet.steps().size() - 1);
        assertEquals(StepEnd.asRead(sheet, release, "18 °C inside"), "18 °C inside", "no pot, no stop");
    }

    /** A coat that goes over the whole slab is on the spare pieces too. */
    @Test
    public void sparePiecesAreBareWhereOnlyThePiecesAreCoated() {
        assertTrue(slab(40, 0, COAT).carriers().spareBare());
        BarLayer whole = COAT.on(new BarLayer.Faces(true, false, false, true));
        assertFalse(slab(40, 0, whole).carriers().spareBare());
    }

    /** A slab is laid as often as it is needed, its off-cuts with it; the couverture of foot and coat is one. */
    @Test
    public void aSlabIsPlannedWithItsOffcuts() {
        NamedFormula caramel = new NamedFormula(7, "caramel", 2, CARAMEL);
        RunSheet planned = slab(40, 0, COAT);
        assertEquals(planned.carriers().carrier(), "slab");
        assertEquals(planned.carriers().fills(), 2, "33 pieces of one slab, turned");
        double density = materials(caramel).get(caramel.link().text()).densityGramsPerMl();
        double slab = 300 * 200 * 12 / 1000.0 * density;
        near(planned.formulas().get(0).deposit().total(), 2 * slab, 1e-6, "two slabs are two slabs' grams");
        assertEquals(planned.carriers().spare(), Integer.valueOf(26), "66 pieces of two slabs, 40 to make");
        assertEquals(planned.couvertures().size(), 1);
        List<String> titles = planned.steps().stream().map(BenchStep::title).toList();
        assertTrue(titles.indexOf("Cut the pieces") > titles.indexOf("Lay caramel"), titles.toString());
        assertEquals(titles.get(titles.size() - 1), "Finish and count");
        assertEquals(
                planned.steps().stream().map(BenchStep::id).distinct().count(),
                (long) planned.steps().size(),
                "every step has an id of its own");
    }
}

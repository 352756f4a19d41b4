package org.zeststack.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.BowlLeft;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.Fed;
import org.zeststack.core.bench.FreshBowl;
import org.zeststack.core.bench.GoingOn;
import org.zeststack.core.bench.InTemper;
import org.zeststack.core.bench.InTemper.Serves;
import org.zeststack.core.bench.Overruled;
import org.zeststack.core.bench.Proof;
import org.zeststack.core.bench.ProofStanding;
import org.zeststack.core.bench.TemperPlanned;
import org.zeststack.core.bench.WaterIn;
import org.zeststack.core.bench.WeighIn;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.DefaultMethods;
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
import org.zeststack.core.ledger.BowlAccount;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;

/** Bowls of a run: what is tempered, by which windows, what is left of it serves, and what speaks for bloom. */
public class BowlsOfRunTest {

    private static final String COAT = "couverture-milk-38";
    private static final TemperWindow.Limits OWN = new TemperWindow.Limits(44, 46, 26, 27, 28.5, 30);
    private static final Instant EIGHT = Instant.parse("2026-03-01T08:00:00Z");

    /** The shipped ingredients, the coat with windows of its own sheet. */
    private static final IngredientTable TABLE = table();

    private static IngredientTable table() {
        return IngredientTable.of(IngredientTable.shipped().all().stream()
                .map(i -> i.slug().equals(COAT) ? windowed(i) : i)
                .toList());
    }

    private static Ingredient windowed(Ingredient i) {
        return new Ingredient(
                i.slug(),
                i.name(),
                i.per100Grams(),
                i.saturatesPer100Grams(),
                i.liquidFatPer100Grams(),
                i.sodiumPer100Grams(),
                i.couverture(),
                i.nature(),
                i.densityGramsPerMl(),
                i.bulk(),
                i.dryActivity(),
                i.wetActivity(),
                i.household(),
                i.also(),
                i.allergens(),
                i.basis(),
                i.plusMinus(),
                i.caution(),
                i.note(),
                OWN);
    }

    private static final NamedFormula NUT = new NamedFormula(
            5,
            "nut filling",
            1,
            new Formula(
                    Family.NUT_TEMPERED,
                    List.of(
                            new FormulaLine("hazelnut-paste", 300, Role.POT),
                            new FormulaLine("couverture-dark-58", 300, Role.POT)),
                    null,
                    0,
                    DefaultMethods.of(Family.NUT_TEMPERED)));

    private static RunSheet plan(String thermometer, Bar.Finish finish) {
        Map<String, Material> materials = new HashMap<>();
        TABLE.all().forEach(i -> materials.put(i.slug(), Material.of(i, null)));
        materials.put(
                NUT.link().text(),
                Material.of(
                        NUT,
                        FormulaBook.ingredient(NUT, TABLE),
                        FormulaBalance.of(NUT.formula(), TABLE, 101.325),
                        null));
        Bar plain = Bar.of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.BLOCK, 60, 30, 15, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, NUT.link().text(), 0), BarLayer.mm(LayerKind.COAT, COAT, 1.5)));
        Bar bar = new Bar(
                plain.build(),
                plain.body(),
                plain.layers(),
                finish,
                plain.storage(),
                plain.soldAs(),
                null,
                null,
                null,
                plain.method());
        Map<String, NamedFormula> formulas = new LinkedHashMap<>();
        formulas.put(NUT.link().text(), NUT);
        RunOrder order = new RunOrder(
                "Nut block",
                1,
                BarStack.of(bar, Parts.of(materials)),
                formulas,
                List.of(),
                Set.of(),
                f -> Scaling.Limits.NONE,
                "tray",
                1,
                new Place(Place.By.ALTITUDE, 0),
                thermometer,
                Thermometer.TRUE,
                40,
                Allowances.USUAL);
        return RunPlanner.plan(order, TABLE);
    }

    private static RunSheet sheet() {
        return plan("probe", Bar.Finish.TEMPERED);
    }

    private static InTemper coat(RunSheet sheet) {
        return InTemper.of(sheet, sheet.couvertures().get(0).key()).orElseThrow();
    }

    @Test
    public void aCouvertureIsTemperedByItsOwnSheetAndAFillingByItsFat() {
        RunSheet sheet = sheet();
        assertEquals(coat(sheet).window().work().greatest(), 30.0, "the own sheet wins");
        assertTrue(
                sheet.steps().stream().anyMatch(s -> Say.metric(s.detail()).contains("worked at 28.5 to 30 °C")),
                "and stands on the sheet");
        InTemper nut = InTemper.of(sheet, sheet.formulas().get(0).key()).orElseThrow();
        double butter = TABLE.get("couverture-dark-58").per100Grams().grams(Part.COCOA_BUTTER);
        double all = butter
                + TABLE.get("hazelnut-paste").per100Grams().grams(Part::isFat)
                + TABLE.get("couverture-dark-58").per100Grams().grams(Part::isFat)
                - butter;
        near(
                nut.window().work().least(),
                30 - 10 * (all - butter) / all,
                0.26,
                "by the share that is not cocoa butter");
        assertTrue(nut.window().work().greatest() < 28, nut.window().toString());
        assertEquals(nut.sets(Bounds.shipped()).greatest(), 10.0);
        assertEquals(coat(sheet).sets(Bounds.shipped()).greatest(), 5.0);
        near(nut.grams(), sheet.formulas().get(0).finishedGrams(), 1e-9, "all that is made of it");
        List<String> allergens = sheet.couvertures().get(0).of().allergens().orElseThrow();
        assertTrue(allergens.contains("milk"), allergens.toString());
    }

    @Test
    public void withoutAThermometerNoDegreeIsAskedOfABowl() {
        RunSheet sheet = plan("", Bar.Finish.TEMPERED);
        sheet.steps().stream()
                .filter(s -> s.kind() == StepKind.TEMPER)
                .forEach(s -> assertTrue(!s.detail().contains("°C"), s.detail()));
        assertEquals(
                sheet.steps().stream().filter(s -> s.kind() == StepKind.TEMPER).count(), 2L);
    }

    @Test
    public void whatIsKeptColdIsNotTempered() {
        RunSheet sheet = plan("probe", Bar.Finish.KEPT_COLD);
        assertTrue(sheet.steps().stream()
                .noneMatch(s -> s.kind() == StepKind.TEMPER
                        && s.component().equals(sheet.couvertures().get(0).key())));
    }

    @Test
    public void whatIsLeftServesWhatIsBeyondTheWorkingDepth() {
        RunSheet sheet = sheet();
        InTemper bowl = coat(sheet);
        double each = sheet.layers().stream()
                .filter(l -> l.kind() == LayerKind.COAT)
                .findFirst()
                .orElseThrow()
                .window()
                .targetGrams();
        assertTrue(bowl.workingGrams() > 0);
        Serves serves = bowl.serves(sheet, bowl.workingGrams() + 10 * each).get(0);
        assertEquals(serves.layer(), "coat");
        assertEquals(serves.pieces(), 10);
        assertEquals(
                bowl.serves(sheet, bowl.workingGrams() + 10 * each - 0.1).get(0).pieces(), 9);
        assertEquals(bowl.serves(sheet, bowl.workingGrams() / 2).get(0).pieces(), 0);
    }

    private static BenchEntry entry(int minute, EntryBody body) {
        return new BenchEntry(
                minute, UUID.randomUUID(), body, EIGHT.plus(Duration.ofMinutes(minute)), "Ada", null, false);
    }

    private static List<String> against(RunSheet sheet, Integer lostMinute, BenchEntry... entries) {
        String key = coat(sheet).key();
        Map<String, Instant> lost =
                lostMinute == null ? Map.of() : Map.of(key, EIGHT.plus(Duration.ofMinutes(lostMinute)));
        return BowlAccount.of(sheet, BenchState.of(sheet, List.of(entries)), lost).stream()
                .filter(b -> b.bowl().key().equals(key))
                .flatMap(b -> b.against().stream())
                .map(BowlAccount.Against::words)
                .toList();
    }

    private static EntryBody proof(String key, double minutes, boolean streaks) {
        return new Proof(key, minutes, 20.0, false, streaks, false, null, null);
    }

    @Test
    public void theRecordTellsWhyItBloomed() {
        RunSheet sheet = sheet();
        String key = coat(sheet).key();
        String layer = sheet.layers().stream()
                .filter(l -> l.kind() == LayerKind.COAT)
                .findFirst()
                .orElseThrow()
                .key();
        BenchEntry dipped = entry(30, new WeighIn(layer, 20, 0, 1));
        assertEquals(against(sheet, null, dipped), List.of("It was worked without a proof."));
        assertEquals(
                against(sheet, null, dipped, entry(31, proof(key, 4, false))),
                List.of("It was worked without a proof."),
                "a proof afterwards proves nothing of before");
        assertEquals(against(sheet, null, entry(20, proof(key, 4, false)), dipped), List.of());
        assertEquals(
                against(sheet, null, entry(20, proof(key, 4, false)), entry(25, proof(key, 4, true)), dipped),
                List.of("The last proof before the work did not pass."));
        assertEquals(
                against(sheet, 28, entry(20, proof(key, 4, false)), dipped),
                List.of("It was over the top of its window, lost, and no proof passed after that."));
        assertEquals(against(sheet, 18, entry(20, proof(key, 4, false)), dipped), List.of(), "brought back and proved");
        assertEquals(
                against(
                        sheet,
                        null,
                        entry(20, proof(key, 4, false)),
                        entry(27, new Overruled(key, TemperVerdict.Step.WORK, "the probe lies")),
                        entry(29, new WaterIn(key)),
                        dipped),
                List.of("Its readings were overruled: the probe lies.", "Water got in."));
        assertEquals(against(sheet, null, entry(5, proof("another", 4, false))), List.of(), "never worked");
    }

    private static ProofStanding standing(int nowMinute, Integer begun, Integer lost, BenchEntry... entries) {
        RunSheet sheet = sheet();
        ProofStanding.Read read = new ProofStanding.Read(
                Optional.ofNullable(begun).map(m -> EIGHT.plus(Duration.ofMinutes(m))),
                Optional.ofNullable(lost).map(m -> EIGHT.plus(Duration.ofMinutes(m))));
        return ProofStanding.of(
                        coat(sheet),
                        BenchState.of(sheet, List.of(entries)),
                        read,
                        EIGHT.plus(Duration.ofMinutes(nowMinute)),
                        Bounds.shipped())
                .orElseThrow();
    }

    @Test
    public void aProofIsOneBowlsAndOfItsTime() {
        InTemper bowl = coat(sheet());
        BenchEntry dip = entry(20, proof(bowl.key(), 4, false));
        assertTrue(standing(50, 10, null, dip).holds());
        assertEquals(standing(50, 10, null, dip).again(), List.of(), "thirty minutes");
        assertEquals(
                standing(51, 10, null, dip).again().stream().map(Say::metric).toList(),
                List.of("the proof is 31 min old"));
        assertEquals(standing(30, 10, 25, dip).gone(), "it was lost since");
        assertEquals(standing(51, 10, 25, dip).again(), List.of(), "what no longer holds is not proved again");
        assertTrue(standing(30, 10, 15, dip).holds(), "lost before, brought back and proved");
        assertEquals(standing(30, 25, null, dip).gone(), "another bowl was begun since");
        BenchEntry planned = entry(25, new TemperPlanned(bowl.key(), Method.SEED, 0, Bowl.Material.STEEL, 20, null));
        assertEquals(standing(30, 10, null, dip, planned).gone(), "another bowl was begun since");
        assertTrue(
                !standing(30, 10, null, entry(20, proof(bowl.key(), 4, true))).holds(), "streaks");
        BenchEntry left = entry(22, new BowlLeft(bowl.key(), 400, null));
        BenchEntry fifth = entry(24, new Fed(bowl.key(), 100, 40));
        assertEquals(standing(30, 10, null, dip, left, fifth).again(), List.of(), "a fifth");
        BenchEntry more = entry(24, new Fed(bowl.key(), 101, 40));
        assertEquals(
                standing(30, 10, null, dip, left, more).again().stream()
                        .map(Say::metric)
                        .toList(),
                List.of("more than 20 % of it was fed since"));
        BenchEntry before = entry(19, new Fed(bowl.key(), 300, 40));
        assertEquals(standing(30, 10, null, dip, left, before).again(), List.of(), "fed before the proof");
    }

    @Test
    public void aProofPassesWithinItsMinutesAndWithoutAFlaw() {
        assertTrue(((Proof) proof("x", 5, false)).passed());
        assertTrue(!((Proof) proof("x", 5.1, false)).passed());
        assertTrue(!((Proof) proof("x", 4, true)).passed());
        assertTrue(new Proof("x", 10, null, false, false, false, 10.0, null).passed());
        assertTrue(!new Proof("x", 10.1, null, false, false, false, 10.0, null).passed());
        assertTrue(!new Proof("x", 4, null, true, false, false, null, null).passed(), "dull");
        assertTrue(!new Proof("x", 4, null, false, false, true, null, null).passed(), "a mark");
    }

    @Test
    public void theStateKnowsItsBowl() {
        RunSheet sheet = sheet();
        String key = coat(sheet).key();
        BenchEntry planned = entry(20, plan(key));
        BenchState state = BenchState.of(
                sheet,
                List.of(
                        planned,
                        entry(22, new Fed(key, 50, 40)),
                        entry(24, new BowlLeft(key, 300, null)),
                        entry(25, new BowlLeft("other", 100, null))));
        assertEquals(state.bowl(key).left().size(), 1);
        assertEquals(state.bowl(key).fed().size(), 1);
        assertEquals(state.bowl(key).entries().size(), 3);
        assertEquals(state.bowl(key).planned().orElseThrow().method(), Method.SLAB);
    }

    private static EntryBody plan(String key) {
        return new TemperPlanned(key, Method.SLAB, 0, Bowl.Material.STEEL, 20, null);
    }

    /** In the order of a day: it is planned, water gets in, and it is planned again; only an emptied bowl is dry. */
    @Test
    public void waterStaysInABowlUntilItIsEmptied() {
        RunSheet sheet = sheet();
        String key = coat(sheet).key();
        List<BenchEntry> day = List.of(
                entry(10, plan(key)),
                entry(12, new WaterIn(key)),
                entry(20, plan(key)),
                entry(30, new FreshBowl(key)),
                entry(40, new WaterIn(key)));
        List<Boolean> wet = new ArrayList<>();
        for (int n = 1; n <= day.size(); n++) {
            wet.add(BenchState.of(sheet, day.subList(0, n)).bowl(key).waterIn().isPresent());
        }
        assertEquals(wet, List.of(false, true, true, false, true));
    }

    private static Optional<String> goingOn(RunSheet sheet, String step, BenchEntry... entries) {
        BenchStep of = sheet.steps().stream()
                .filter(s -> s.id().startsWith(step))
                .findFirst()
                .orElseThrow();
        return GoingOn.against(sheet, BenchState.of(sheet, List.of(entries)), of);
    }

    @Test
    public void goingOnWithABowlThatIsNotFitIsAsked() {
        RunSheet sheet = sheet();
        String key = coat(sheet).key();
        String temper = sheet.steps().stream()
                .filter(s -> s.kind() == StepKind.TEMPER && s.component().equals(key))
                .map(BenchStep::id)
                .findFirst()
                .orElseThrow();
        String lays = sheet.steps().stream()
                .filter(s -> sheet.layer(s.layer())
                        .filter(l -> l.component().equals(key))
                        .isPresent())
                .map(BenchStep::id)
                .findFirst()
                .orElseThrow();
        BenchEntry failed = entry(20, proof(key, 4, true));
        BenchEntry water = entry(20, new WaterIn(key));
        for (String step : List.of(temper, lays)) {
            assertEquals(goingOn(sheet, step), Optional.empty(), step);
            assertTrue(goingOn(sheet, step, failed).orElseThrow().contains("did not pass"), step);
            assertTrue(goingOn(sheet, step, water).orElseThrow().startsWith("Water is in"), step);
            assertEquals(goingOn(sheet, step, failed, entry(22, proof(key, 4, false))), Optional.empty(), step);
            assertEquals(goingOn(sheet, step, failed, entry(22, plan(key))), Optional.empty(), step);
            assertTrue(goingOn(sheet, step, water, entry(22, plan(key))).isPresent(), step);
            assertEquals(goingOn(sheet, step, water, entry(22, new FreshBowl(key))), Optional.empty(), step);
        }
        String other = sheet.steps().stream()
                .filter(s -> s.kind() == StepKind.RELEASE)
                .map(BenchStep::id)
                .findFirst()
                .orElseThrow();
        assertEquals(goingOn(sheet, other, failed, water), Optional.empty());
    }

    /** What is planned anew is what was left then, with what it was fed; what is left later is of the next plan. */
    @Test
    public void temperingAgainPlansWhatIsLeft() {
        RunSheet sheet = sheet();
        String key = coat(sheet).key();
        BenchEntry left = entry(20, new BowlLeft(key, 700, null));
        BenchEntry fed = entry(22, new Fed(key, 50, 40));
        assertTrue(planned(sheet, key, entry(10, plan(key))).isEmpty());
        assertTrue(planned(sheet, key, entry(10, plan(key)), left).isEmpty());
        near(
                planned(sheet, key, entry(10, plan(key)), left, entry(25, plan(key)))
                        .orElseThrow(),
                700,
                0,
                "left");
        near(planned(sheet, key, left, fed, entry(25, plan(key))).orElseThrow(), 750, 0, "fed since");
        near(planned(sheet, key, left, entry(21, plan(key)), fed).orElseThrow(), 700, 0, "fed after the plan");
        assertTrue(planned(sheet, key, left, entry(21, new FreshBowl(key)), entry(25, plan(key)))
                .isEmpty());
    }

    private static OptionalDouble planned(RunSheet sheet, String key, BenchEntry... entries) {
        return BenchState.of(sheet, List.of(entries)).bowl(key).gramsPlanned();
    }
}

package org.zeststack.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.testng.annotations.Test;
import org.zeststack.core.bench.Actual;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.GoingOn;
import org.zeststack.core.bench.InTemper;
import org.zeststack.core.bench.PotProgramTest;
import org.zeststack.core.bench.PotWeighed;
import org.zeststack.core.bench.Poured;
import org.zeststack.core.bench.StepDone;
import org.zeststack.core.bench.WaterIn;
import org.zeststack.core.bench.WeighingRules;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ledger.MassFlow;
import org.zeststack.core.ledger.RunAccount;
import org.zeststack.core.method.Act;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;

/** A formula that wants several pots: each is cooked, poured into and weighed back on its own. */
public class EqualBatchesTest {

    private final RunSheet sheet =
            PotProgramTest.sheet(PotProgramTest.caramel(118.0, Finish.PLAIN), true, new Scaling.Limits(1.0, null, 0.1));
    private final FormulaBatch whole = sheet.formulas().get(0);
    private final int pots = whole.batches();
    private final List<FormulaBatch> each = sheet.firstPots();

    private List<BenchStep> steps(Act act) {
        return sheet.steps().stream().filter(s -> s.how().does() == act).toList();
    }

    private BenchState weighed(double... grams) {
        List<BenchStep> back = steps(Act.YIELD);
        List<EntryBody> bodies = new ArrayList<>();
        for (int i = 0; i < grams.length; i++) {
            bodies.add(new StepDone(back.get(i).id(), grams[i]));
        }
        return PotProgramTest.state(sheet, bodies.toArray(EntryBody[]::new));
    }

    private MassFlow account(BenchState state) {
        return RunAccount.of(sheet, state, Bounds.shipped()).flows().stream()
                .filter(f -> f.key().equals(whole.key()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    public void soManyPotsAreSoManyCooksAndWeighings() {
        assertTrue(pots > 2, "a litre is too small for all");
        for (Act act : List.of(Act.COOK, Act.SECOND_POT, Act.ADD, Act.DRY, Act.YIELD)) {
            assertEquals(steps(act).size(), pots, act.words());
        }
        assertEquals(steps(Act.WEIGH).size(), 1, "what is weighed out is weighed out at once");
        List<String> ids = sheet.steps().stream().map(BenchStep::id).toList();
        assertEquals(ids.stream().distinct().count(), ids.size(), "each has an id of its own");
        assertEquals(
                steps(Act.YIELD).get(1).title(), "Weigh back Caramel, batch 2 of %d".formatted(pots), "and its name");
        // One pot is done with before the next is begun: there is one ring's worth of hands.
        for (int i = 1; i < pots; i++) {
            int back = sheet.steps().indexOf(steps(Act.YIELD).get(i - 1));
            String next = each.get(i).key();
            assertTrue(sheet.steps().subList(0, back).stream()
                    .noneMatch(s -> s.component().equals(next)));
        }
    }

    @Test
    public void aPotIsAnEqualShare() {
        assertEquals(each.size(), pots);
        for (FormulaBatch pot : each) {
            assertEquals(pot.batches(), 1);
            assertEquals(pot.rawGrams() * pots, whole.rawGrams(), 1e-6);
            assertEquals(pot.finishedGrams() * pots, whole.finishedGrams(), 1e-6);
            assertEquals(pot.finished().mostGrams() * pots, whole.finished().mostGrams(), 1e-6);
            assertEquals(
                    pot.cooking().cookedGrams().orElseThrow() * pots,
                    whole.cooking().cookedGrams().orElseThrow(),
                    1e-6);
            assertEquals(
                    pot.out().waterGrams().orElseThrow() * pots,
                    whole.out().waterGrams().orElseThrow(),
                    1e-6);
            assertEquals(pot.deposit().total() * pots, whole.deposit().total(), 1e-6);
            assertEquals(pot.uses().usableGrams() * pots, whole.uses().usableGrams(), 1e-6);
            assertEquals(pot.out().factor() * pots, whole.out().factor(), 1e-9);
            assertEquals(pot.deposit().total() * pots, whole.deposit().total(), 1e-6);
            assertEquals(pot.start().totalGrams(), whole.start().totalGrams(), 1e-6, "one pot of it either way");
            assertEquals(pot.doneGrams().least(), whole.doneGrams().least(), 1e-6);
            assertEquals(pot.stop().reading(), whole.stop().reading());
            assertEquals(
                    pot.second().orElseThrow().cooking().cookedGrams().orElseThrow() * pots,
                    whole.second().orElseThrow().cooking().cookedGrams().orElseThrow(),
                    1e-6);
            assertEquals(
                    pot.cooking()
                                    .plan()
                                    .orElseThrow()
                                    .bowl()
                                    .orElseThrow()
                                    .mass()
                                    .composition()
                                    .totalGrams()
                            * pots,
                    whole.cooking()
                            .plan()
                            .orElseThrow()
                            .bowl()
                            .orElseThrow()
                            .mass()
                            .composition()
                            .totalGrams(),
                    1e-6);
            for (int i = 0; i < pot.lines().size(); i++) {
                assertEquals(
                        pot.lines().get(i).grams() * pots, whole.lines().get(i).grams(), 1e-6);
                assertEquals(
                        pot.lines().get(i).mostGrams() * pots,
                        whole.lines().get(i).mostGrams(),
                        1e-6);
            }
            assertEquals(pot.formula(), 7);
            assertEquals(FormulaBatch.wholeKey(pot.key()), whole.key());
            assertEquals(sheet.pot(pot.key()).orElseThrow(), pot);
            assertEquals(
                    sheet.whole(pot.second().orElseThrow().key()).orElseThrow().key(), pot.key());
        }
        assertTrue(sheet.pot(whole.key()).isEmpty(), "nothing is cooked under the name of all");
        assertEquals(sheet.pots().size(), 2 * pots);
    }

    @Test
    public void whatIsPouredIsPouredIntoOnePot() {
        EntryBody in = new Poured(each.get(1).key());
        BenchState state = PotProgramTest.state(sheet, in);
        assertFalse(state.done(each.get(0).pours().get(0).step()));
        assertTrue(state.done(each.get(1).pours().get(0).step()));
        assertEquals(state.pot(each.get(0).key()).pours(), 0);
    }

    @Test
    public void whatCameOfAllIsKnownOnceEachWasWeighed() {
        double planned = whole.finishedGrams() / pots;
        double[] some = new double[pots - 1];
        Arrays.fill(some, planned - 10);
        assertTrue(weighed(some).yields().finishedGrams(whole.key()).isEmpty(), "one was not");
        MassFlow open = account(weighed(some));
        assertEquals(open.finished().measured(), null);
        assertEquals(open.question(), MassFlow.Question.NOT_EVERY_BATCH_WEIGHED);
        double[] all = new double[pots];
        Arrays.fill(all, planned - 10);
        all[0] += 4;
        BenchState state = weighed(all);
        assertEquals(
                state.yields().finishedGrams(whole.key()).orElseThrow(), whole.finishedGrams() - 10 * pots + 4, 1e-6);
        assertEquals(state.yields().finishedGrams(each.get(0).key()).orElseThrow(), planned - 6, 1e-6);
        assertEquals(account(state).question(), MassFlow.Question.NONE);
        assertEquals(
                account(state).of(MassFlow.Way.STEAM).measured(),
                whole.rawGrams() - whole.finishedGrams() + 10 * pots - 4,
                1e-6);
        assertEquals(account(weighed()).question(), MassFlow.Question.NONE, "nobody weighed any");
    }

    @Test
    public void aPotOfAllIsAskedAbout() {
        BenchState nothing = PotProgramTest.state(sheet);
        String back = steps(Act.YIELD).get(1).id();
        WeighingRules rules = new WeighingRules(Bounds.shipped());
        double planned = whole.finishedGrams() / pots;
        assertTrue(new StepDone(back, planned).doubt(nothing, rules).isEmpty());
        assertTrue(
                new StepDone(back, whole.finishedGrams()).doubt(nothing, rules).isPresent(), "all on one scale");
    }

    @Test
    public void whatGoesInToEffectIsWrittenDownByPot() {
        FormulaBatch first = each.get(0);
        String sugar = first.lines().get(0).ingredient();
        double grams = first.lines().get(0).grams();
        BenchState one = PotProgramTest.state(sheet, new Actual(first.key(), sugar, grams - 5));
        assertEquals(one.yields().rawGrams(first), first.rawGrams() - 5, 1e-6);
        assertEquals(one.yields().rawGrams(each.get(1)), first.rawGrams(), 1e-6);
        assertEquals(one.yields().rawGrams(whole), whole.rawGrams() - 5, 1e-6);
        assertTrue(one.yields().actualGrams(whole.key(), sugar).isEmpty(), "of the others nobody said");
        assertEquals(account(one).weighed().measured(), whole.rawGrams() - 5, 1e-6, "as far as it is known");
        BenchState all = PotProgramTest.state(
                sheet,
                each.stream().map(p -> new Actual(p.key(), sugar, grams - 5)).toArray(EntryBody[]::new));
        assertEquals(all.yields().actualGrams(whole.key(), sugar).orElseThrow(), pots * (grams - 5), 1e-6);
    }

    @Test
    public void howMoistTheyWereIsTheMeanOfThoseWeighed() {
        double dry = (whole.pot().totalGrams() - whole.pot().waterGrams()) / pots;
        List<EntryBody> scales = Stream.of(0.10, 0.12)
                .<EntryBody>map(moist -> new PotWeighed(
                        each.get(moist == 0.10 ? 0 : 2).key(),
                        dry / (1 - moist),
                        0,
                        "cook:" + each.get(moist == 0.10 ? 0 : 2).key()))
                .toList();
        BenchState state = PotProgramTest.state(sheet, scales.toArray(EntryBody[]::new));
        assertEquals(state.yields().moisture(each.get(0)).orElseThrow(), 0.10, 1e-9);
        assertEquals(state.yields().moisture(whole).orElseThrow(), 0.11, 1e-9);
        assertTrue(PotProgramTest.state(sheet).yields().moisture(whole).isEmpty());
    }

    /** Each batch of a filling that is tempered has a bowl of its own; what is laid is laid of all of them. */
    @Test
    public void waterInOneBowlSpeaksAgainstWhatIsLaidOfAll() {
        Formula nut = new Formula(
                Family.NUT_TEMPERED,
                List.of(
                        new FormulaLine("hazelnut-paste", 300, FormulaLine.Role.POT),
                        new FormulaLine("couverture-dark-58", 300, FormulaLine.Role.POT)),
                null,
                0,
                DefaultMethods.of(Family.NUT_TEMPERED));
        RunSheet nuts = PotProgramTest.sheet(nut, true, new Scaling.Limits(null, 0.5, 0.1));
        FormulaBatch filling = nuts.formulas().get(0);
        List<InTemper> bowls = InTemper.all(nuts, filling.key());
        assertTrue(filling.batches() > 1, "half a litre is too small for all");
        assertEquals(bowls.size(), filling.batches());
        assertEquals(bowls.get(1).grams() * bowls.size(), filling.finishedGrams(), 1e-6);
        assertEquals(InTemper.all(nuts, "couverture-couverture-milk-38").size(), 1, "a couverture has one");
        BenchStep laying = nuts.steps().stream()
                .filter(s -> s.kind() == StepKind.FILL)
                .findFirst()
                .orElseThrow();
        BenchState wet = PotProgramTest.state(nuts, new WaterIn(bowls.get(1).key()));
        assertTrue(GoingOn.against(nuts, PotProgramTest.state(nuts), laying).isEmpty());
        assertTrue(GoingOn.against(nuts, wet, laying).orElseThrow().contains("batch 2 of"));
        assertFalse(bowls.get(0).serves(nuts, 200).isEmpty(), "it serves what is laid of all");
    }

    /** A sheet of an earlier release has one cook and one weighing of all. */
    @Test
    public void sheetsOfOneCookStayThat() {
        RunSheet one = PotProgramTest.sheet(PotProgramTest.caramel(118.0, Finish.PLAIN), true, Scaling.Limits.NONE);
        assertEquals(one.firstPots(), one.formulas());
        List<BenchStep> under = sheet.steps().stream()
                .filter(s -> !s.component().contains("/2"))
                .map(s -> new BenchStep(
                        s.id(),
                        s.kind(),
                        FormulaBatch.wholeKey(s.component()),
                        s.layer(),
                        s.title(),
                        s.detail(),
                        s.caution(),
                        s.how()))
                .toList();
        assertEquals(sheet.with(under).firstPots(), sheet.formulas());
    }
}

package org.zeststack.store.design;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.jooq.DSLContext;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Vessel;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.TestDatabase;
import org.zeststack.store.Trusted;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.run.TestRuns;
import org.zeststack.store.workshop.TestWorkshop;
import org.zeststack.store.workshop.WorkshopStore;

/** Which version is made, which lots a run takes, and the smaller things that are kept. */
public class CurrentVersionTest {

    private static final Stamp STAMP = new Stamp("Ada", Instant.parse("2026-03-01T08:00:00Z"));

    private DSLContext db;
    private Designs<Formula> formulas;

    @BeforeClass
    public void open() {
        db = TestDatabase.fresh().dsl();
        formulas = new DesignStores().formulas(db);
    }

    private static Formula full() {
        MethodStep step = new MethodStep(
                "Bake",
                "20 min",
                "Hot tray",
                "Oven",
                "160 °C",
                true,
                10.0,
                60.0,
                "gold",
                "pale",
                3L,
                null,
                Act.COOK,
                "part",
                List.of("oven"),
                true);
        FormulaLine line =
                new FormulaLine("egg-white", 66, Role.WARM, 2.0, true, 1, "2 egg whites", List.of("size guessed"));
        return new Formula(
                Family.BISCUIT_ROLLED,
                List.of(line),
                null,
                0.02,
                List.of(step),
                new Finish(true, 0.02, 0.04, 0.08, 0.3),
                Map.of("butter", "hot"));
    }

    @Test
    public void everythingAFormulaSaysIsKept() {
        long id = formulas.create("biscuit", full(), STAMP);
        assertEquals(formulas.draft(id).orElseThrow().content(), full());
    }

    @Test
    public void theNewestIsMadeUntilAnotherIsChosen() {
        long id = formulas.create("choice", full(), STAMP);
        assertEquals(formulas.currentNumber(0), 0, "one that is not saved yet has no version either");
        assertEquals(formulas.currentNumber(id), 0);
        formulas.keepVersion(id, 0, "one", STAMP);
        formulas.saveDraft(id, "choice", full(), 0, STAMP);
        formulas.keepVersion(id, 1, "two", STAMP);
        assertEquals(formulas.currentNumber(id), 2);
        assertTrue(formulas.choose(id, 1));
        assertFalse(formulas.choose(id, 9), "there is no such version");
        assertEquals(formulas.currentNumber(id), 1);
        assertEquals(
                formulas.current().stream()
                        .filter(v -> v.design() == id)
                        .map(Designs.Version::number)
                        .toList(),
                List.of(1));
        Designs.Listed listed = formulas.page("", Designs.By.NAME, 1).rows().stream()
                .filter(l -> l.id() == id)
                .findFirst()
                .orElseThrow();
        assertEquals(listed.newest(), 2);
        assertEquals(listed.current(), 1);
    }

    @Test
    public void lotsAreChosenBeforeTheStartAndNotAfter() {
        long run = TestRuns.planned(db);
        Runs runs = TestRuns.of(db);
        assertEquals(runs.find(run).orElseThrow().lots(), Map.of());
        assertTrue(runs.chooseLots(run, Map.of("sugar", 7L)));
        assertEquals(runs.find(run).orElseThrow().lots(), Map.of("sugar", 7L));
        runs.start(run, org.zeststack.store.TestRun.sheet(), STAMP.at());
        assertFalse(runs.chooseLots(run, Map.of()), "the sheet is frozen");
        Run started = runs.find(run).orElseThrow();
        assertEquals(started.lots(), Map.of("sugar", 7L));
        String key = started.sheet().orElseThrow().formulas().get(0).key();
        assertEquals(runs.with(key, 5).stream().map(Run::id).toList(), List.of(run));
        assertTrue(runs.with("formula-99-v1", 5).isEmpty());
    }

    @Test
    public void vesselsAndTheMoneyAreKept() {
        WorkshopStore workshop = TestWorkshop.of(db);
        workshop.setUp("Test", false, new Place(Place.By.ALTITUDE, 300), STAMP);
        assertEquals(workshop.surroundings().currency(), "EUR");
        workshop.saveCurrency("NOK");
        assertEquals(workshop.surroundings().currency(), "NOK", "what this instance changes it sees at once");
        assertEquals(workshop.surroundings().place().amount(), 300.0);
        Vessel tray = new Vessel(Vessel.Kind.TRAY, 0, 330, 230);
        long id = workshop.addVessel("Tray", tray, STAMP);
        workshop.saveVessel(id, "Big tray", new Vessel(Vessel.Kind.TRAY, 0, 600, 400), 0, STAMP);
        assertEquals(workshop.vessel(id).orElseThrow().name(), "Big tray");
        org.testng.Assert.expectThrows(StaleEdit.class, () -> workshop.saveVessel(id, "x", tray, 0, STAMP));
        assertEquals(workshop.vessels().size(), 1);
    }

    @Test(timeOut = 20_000)
    public void whatIsTrustedIsReadAgainAfterAWhileOrWhenForgotten() {
        AtomicInteger reads = new AtomicInteger();
        Trusted<Integer> trusted = new Trusted<>(reads::incrementAndGet);
        int first = trusted.get();
        trusted.forget();
        assertTrue(trusted.get() > first, "forgotten");
        int second = trusted.get();
        while (Optional.of(trusted.get()).filter(n -> n > second).isEmpty()) {
            Thread.onSpinWait();
        }
    }
}

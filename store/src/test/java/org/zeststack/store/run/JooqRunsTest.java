package org.zeststack.store.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.store.schema.Tables.COMPONENT;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.exception.DataAccessException;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.store.TestDatabase;
import org.zeststack.store.TestRun;

public class JooqRunsTest {

    private static final Instant NOW = Instant.parse("2026-03-02T09:00:00Z");

    private DSLContext db;
    private Runs runs;

    @BeforeClass
    public void open() {
        db = TestDatabase.fresh().dsl();
        runs = TestRuns.of(db);
    }

    @Test
    public void aRunGoesFromPlanToBenchToLedgerOnce() {
        long id = TestRuns.planned(db);
        assertTrue(runs.find(id).orElseThrow().sheet().isEmpty());
        assertFalse(runs.close(id, NOW), "what was not started cannot be closed");
        assertTrue(runs.start(id, TestRun.sheet(), NOW));
        assertFalse(runs.start(id, TestRun.sheet(), NOW));
        assertEquals(db.fetchCount(COMPONENT, COMPONENT.RUN.eq(id)), 3, "a formula, its second pot and a couverture");
        long formula = TestRun.sheet().formulas().get(0).formula();
        assertTrue(runs.made(formula, 50).stream().noneMatch(r -> r.id() == id), "it is not closed");
        assertTrue(runs.close(id, NOW.plusSeconds(60)));
        assertFalse(runs.close(id, NOW));
        assertEquals(runs.made(formula, 1).get(0).id(), id, "once, whatever pots it has");
        assertTrue(runs.made(formula + 1000, 50).isEmpty());
        Run closed = runs.find(id).orElseThrow();
        assertEquals(closed.status(), Run.Status.CLOSED);
        assertEquals(closed.startedAt(), NOW);
        assertEquals(closed.closedAt(), NOW.plusSeconds(60));
    }

    @Test
    public void listsAreByStateAndNewestDayFirst() {
        long older = TestRuns.planned(db);
        long newer = TestRuns.planned(db);
        List<Long> planned = runs.brief(List.of(Run.Status.PLANNED)).stream()
                .map(Runs.Brief::id)
                .toList();
        assertTrue(planned.indexOf(newer) < planned.indexOf(older));
        assertTrue(runs.list(List.of(Run.Status.STARTED)).stream().noneMatch(r -> r.id() == newer));
    }

    @Test
    public void whatIsSaidOfARunIsKept() {
        Run first = runs.find(TestRuns.planned(db)).orElseThrow();
        assertEquals(first.said(), Runs.Said.NOTHING);
        Runs.Said said = new Runs.Said(List.of("formula:1:1#3"), first.id(), "rice syrup for glucose");
        Runs.Plan plan = new Runs.Plan(
                first.bar(),
                first.barVersion(),
                "Beside",
                first.plannedFor(),
                10,
                Runs.WITHOUT,
                Allowances.USUAL,
                Map.of(),
                said);
        long id = runs.plan(plan);
        Run beside = runs.find(id).orElseThrow();
        assertEquals(beside.said(), said);
        assertEquals(
                runs.arms(first.id()),
                List.of(new Runs.Arm(
                        id, "Beside", first.plannedFor(), Run.Status.PLANNED, "rice syrup for glucose", true)));
        assertEquals(
                runs.arms(id),
                List.of(new Runs.Arm(
                        first.id(),
                        first.barName(),
                        first.plannedFor(),
                        Run.Status.PLANNED,
                        "rice syrup for glucose",
                        false)));
        assertEquals(runs.arms(TestRuns.planned(db)), List.of());
        assertEquals(beside.thermometer(), Runs.WITHOUT, "no thermometer is kept as none");
        assertTrue(runs.chooseVariants(id, List.of()));
        assertEquals(runs.find(id).orElseThrow().said(), said.with(List.of()));
        assertTrue(runs.start(id, TestRun.sheet(), NOW));
        assertFalse(runs.chooseVariants(id, List.of("formula:1:1#3")), "a sheet that is frozen stays so");
        Runs.Said nameless = new Runs.Said(List.of(), first.id(), "");
        Runs.Plan without = new Runs.Plan(
                plan.bar(),
                plan.barVersion(),
                "Beside",
                plan.plannedFor(),
                10,
                Runs.WITHOUT,
                Allowances.USUAL,
                Map.of(),
                nameless);
        expectThrows(DataAccessException.class, () -> runs.plan(without));
    }

    @Test
    public void aRunNeedsABarVersionThatIsThere() {
        Run run = runs.find(TestRuns.planned(db)).orElseThrow();
        Runs.Plan missing = new Runs.Plan(
                run.bar(), 99, "Ghost", run.plannedFor(), 10, run.thermometer(), Allowances.USUAL, Map.of());
        expectThrows(DataAccessException.class, () -> runs.plan(missing));
    }
}

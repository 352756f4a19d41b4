package org.zeststack.store.rule;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import org.jooq.DSLContext;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.TestDatabase;

public class OwnBoundsTest {

    private static final Stamp ADA = new Stamp("Ada", Instant.parse("2026-03-01T08:00:00Z"));
    private static final Stamp BO = new Stamp("Bo", Instant.parse("2026-03-02T08:00:00Z"));
    private static final Bound.Figures THIN = new Bound.Figures(0.8, 1.2, 2.5);
    private static final String SHELL = "shell-thickness";

    private DSLContext db;
    private OwnBounds own;

    @BeforeMethod
    public void open() {
        db = TestDatabase.fresh().dsl();
        own = new JooqOwnBounds(db);
    }

    @Test
    public void isJudgedByUntilItIsTakenBack() {
        assertSame(own.bounds(), Bounds.shipped());
        own.add(SHELL, THIN, "our moulds are polished", ADA);
        assertEquals(own.bounds().of(SHELL).figures(), THIN, "at once, without waiting");
        assertEquals(own.find(SHELL).orElseThrow(), new OwnBounds.Own(SHELL, THIN, "our moulds are polished", 0, ADA));
        own.save(SHELL, new Bound.Figures(0.9, 1.2, 2.5), "a little more", 0, BO);
        assertEquals(own.bounds().of(SHELL).least(), 0.9);
        assertEquals(own.find(SHELL).orElseThrow().lock(), 1);
        own.remove(SHELL, 1);
        assertEquals(own.bounds().of(SHELL).least(), 1.0);
        assertTrue(own.find(SHELL).isEmpty());
    }

    @Test
    public void theSecondOfTwoSaversIsTold() {
        own.add(SHELL, THIN, "", ADA);
        expectThrows(StaleEdit.class, () -> own.add(SHELL, new Bound.Figures(0.5, 1.2, 2.5), "", BO));
        own.save(SHELL, new Bound.Figures(0.9, 1.2, 2.5), "", 0, ADA);
        expectThrows(StaleEdit.class, () -> own.save(SHELL, THIN, "", 0, BO));
        expectThrows(StaleEdit.class, () -> own.remove(SHELL, 0));
        assertEquals(own.bounds().of(SHELL).least(), 0.9, "the first stays");
    }

    @Test
    public void figuresThatTheTableNoLongerAllowsAreNotJudgedBy() {
        db.execute("insert into own_bound (code, least, why, changed_by, changed_at)"
                + " values ('filled-chocolate', 0.1, '', 'Ada', now()), ('gone', 1, '', 'Ada', now())");
        assertEquals(new JooqOwnBounds(db).bounds().of("filled-chocolate").least(), 0.25);
    }
}

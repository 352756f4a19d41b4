package org.zeststack.store.design;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.store.schema.Tables.DESIGN_VERSION;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.exception.DataAccessException;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.method.MethodStep;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.TestDatabase;

public class JooqDesignsTest {

    private static final Stamp STAMP = new Stamp("Ada", Instant.parse("2026-03-01T08:00:00Z"));

    private DSLContext db;
    private Designs<Formula> formulas;

    @BeforeClass
    public void open() {
        db = TestDatabase.fresh().dsl();
        formulas = new DesignStores().formulas(db);
    }

    private static Formula caramel(double sugarGrams) {
        return new Formula(
                Family.CARAMEL,
                List.of(new FormulaLine("sugar", sugarGrams, Role.POT), new FormulaLine("salt", 1.25, Role.OFF_HEAT)),
                118.0,
                0.03,
                List.of(new MethodStep("Boil", "118 °C", "hot")));
    }

    @Test
    public void aSecondSaverIsToldAndNothingIsLost() {
        long id = formulas.create("caramel", caramel(100), STAMP);
        int lock = formulas.draft(id).orElseThrow().lock();
        formulas.saveDraft(id, "caramel", caramel(200), lock, STAMP);
        expectThrows(StaleEdit.class, () -> formulas.saveDraft(id, "caramel", caramel(300), lock, STAMP));
        assertEquals(formulas.draft(id).orElseThrow().content(), caramel(200));
        formulas.saveDraft(id, "caramel", caramel(300), lock + 1, STAMP);
        assertEquals(formulas.draft(id).orElseThrow().content(), caramel(300));
    }

    /** Designs share their numbers: what is known as a bar is no formula to be saved over. */
    @Test
    public void aFormulaIsNeverSavedOverABar() {
        Designs<Bar> bars = new DesignStores().bars(db);
        Bar bar = Bar.of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.BLOCK, 40, 25, 15, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, "gianduja", 0)));
        long id = bars.create("bar", bar, STAMP);
        expectThrows(StaleEdit.class, () -> formulas.saveDraft(id, "caramel", caramel(100), 0, STAMP));
        expectThrows(StaleEdit.class, () -> formulas.keepVersion(id, 0, "why", STAMP));
        assertEquals(bars.draft(id).orElseThrow().content(), bar);
        assertEquals(bars.draft(id).orElseThrow().name(), "bar");
        assertEquals(bars.versions(id), List.of());
        bars.keepVersion(id, 0, "first", STAMP);
        assertEquals(bars.currentNumber(id), 1);
        assertEquals(formulas.currentNumber(id), 0, "no version of a formula");
    }

    @Test
    public void versionsStayWhateverTheDraftBecomes() {
        long id = formulas.create("fudge", caramel(100), STAMP);
        assertEquals(formulas.keepVersion(id, 0, "first", STAMP), 1);
        formulas.saveDraft(id, "fudge two", caramel(150), 0, STAMP);
        expectThrows(StaleEdit.class, () -> formulas.keepVersion(id, 0, "stale", STAMP));
        assertEquals(formulas.keepVersion(id, 1, "firmer", STAMP), 2);
        assertEquals(formulas.version(id, 1).orElseThrow().content(), caramel(100));
        assertEquals(formulas.versions(id).stream().map(Designs.Kept::why).toList(), List.of("firmer", "first"));
        assertTrue(formulas.current().stream().anyMatch(v -> v.design() == id && v.number() == 2));
        expectThrows(DataAccessException.class, () -> db.update(DESIGN_VERSION)
                .set(DESIGN_VERSION.WHY, "rewritten")
                .execute());
    }

    @Test
    public void whatIsPutAsideIsLeftOutOfChoicesAndFoundByWhatUsesIt() {
        long id = formulas.create("old toffee", caramel(100), STAMP);
        formulas.keepVersion(id, 0, "first", STAMP);
        assertEquals(formulas.archived(id), Optional.empty());
        assertTrue(formulas.archive(id, true, STAMP));
        assertEquals(formulas.archived(id), Optional.of(STAMP));
        assertTrue(formulas.current().stream().noneMatch(v -> v.design() == id), "no choice any more");
        assertTrue(formulas.version(id, 1).isPresent(), "what is made of it still finds it");
        assertTrue(formulas.page("old toffee", Designs.By.NAME, 1).rows().isEmpty());
        assertEquals(formulas.archived("OLD toffee").rows().get(0).archived(), STAMP);
        assertTrue(formulas.archive(id, false, STAMP));
        assertTrue(formulas.current().stream().anyMatch(v -> v.design() == id), "and is one again");
        assertEquals(formulas.archived(id), Optional.empty());
        assertFalse(new DesignStores().bars(db).archive(id, true, STAMP), "a formula is no bar");
        assertFalse(formulas.archive(9_999_999, true, STAMP));
    }

    @Test
    public void barsAndFormulasDoNotMix() {
        long id = formulas.create("alone", caramel(1), STAMP);
        assertTrue(new DesignStores().bars(db).draft(id).isEmpty());
        assertTrue(formulas.page("alone", Designs.By.NAME, 1).rows().stream()
                .anyMatch(l -> l.id() == id && l.newest() == 0));
    }

    @Test
    public void anUncookedFormulaKeepsThatItIsNotCooked() {
        Formula paste = new Formula(Family.NUT_PASTE, List.of(), null, 0, List.of());
        long id = formulas.create("paste", paste, STAMP);
        assertEquals(formulas.draft(id).orElseThrow().content(), paste);
    }
}

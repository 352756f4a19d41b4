package org.zeststack.store.design;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.expectThrows;
import static org.zeststack.store.schema.Tables.COMPONENT;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.jooq.exception.DataAccessException;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.workshop.Mould;
import org.zeststack.store.TestDatabase;
import org.zeststack.store.workshop.TestWorkshop;

/** Bars and moulds of the first releases say the same after the move to five builds. */
public class OldBarTest {

    private static final String OLD = """
            {"mould": 1, "shell": "couverture-milk-38", "shellMm": 1.5, "back": "couverture-dark-58", "backMm": 1.6,
             "backLeastMm": 1, "backGreatestMm": 2.5,
             "fillings": [{"formula": 3, "version": 1, "depthMm": 4}, {"formula": 2, "version": 7, "depthMm": 0}]}
            """;

    @Test
    public void areToldInTheNewWords() {
        TestDatabase database = TestDatabase.empty();
        Flyway first = Flyway.configure()
                .dataSource(database.url(), database.user(), "")
                .target("2")
                .load();
        first.migrate();
        var db = database.dsl();
        db.execute("insert into mould (name, opening_length_mm, opening_width_mm, floor_length_mm, floor_width_mm,"
                + " depth_mm, cavities, owned, changed_by, changed_at)"
                + " values ('ten', 104, 31, 98, 25, 15.5, 10, 6, 'Ada', now())");
        db.execute("insert into design (kind, created_at) values ('BAR', now())");
        db.execute(
                "insert into design_draft (design, name, content, changed_by, changed_at)"
                        + " values (1, 'Quay', ?::jsonb, 'Ada', now())",
                OLD);
        db.execute(
                "insert into design_version (design, number, name, content, why, made_by, made_at)"
                        + " values (1, 1, 'Quay', ?::jsonb, 'first', 'Ada', now())",
                OLD);
        db.execute(
                "insert into thermometer (name, kind, ice_reading, boiling_reading, boiling_true, changed_by, changed_at)"
                        + " values ('probe', 'PROBE', 0, 100, 100, 'Ada', now())");
        db.execute("insert into run (bar, bar_version, bar_name, planned_for, pieces, thermometer, allowances, status)"
                + " values (1, 1, 'Quay', now(), 10, 1, '{}', 'PLANNED')");
        for (String key :
                List.of("formula-3-v1", "formula-2-v7/2~second", "couverture-formula-3-v1", "laid-rye-wafer")) {
            db.execute("insert into component (run, key, name) values (1, ?, 'any')", key);
        }
        Flyway.configure()
                .dataSource(database.url(), database.user(), "")
                .load()
                .migrate();
        Mould mould = TestWorkshop.of(db).mould(1).orElseThrow().content();
        assertEquals(mould, Mould.of(new TaperedCavity(104, 31, 98, 25, 15.5), 10, 6));
        Bar bar = TestDesigns.bars(db).version(1, 1).orElseThrow().content();
        assertEquals(TestDesigns.bars(db).draft(1).orElseThrow().content(), bar);
        assertEquals(bar.build(), Build.MOULDED);
        assertEquals(bar.body(), new Body.Moulded(1, false));
        assertEquals(
                bar.layers(),
                List.of(
                        BarLayer.mm(LayerKind.SHELL, "couverture-milk-38", 1.5),
                        BarLayer.mm(LayerKind.FILLING, "formula:3:1", 4),
                        BarLayer.rest(LayerKind.FILLING, "formula:2:7"),
                        BarLayer.mm(LayerKind.BACK, "couverture-dark-58", 1.6).between(1, 2.5)));
        assertNull(bar.declaredGrams());
        assertEquals(bar.method(), List.of());
        assertEquals(
                TestDesigns.formulas(db).usedIn(List.of(1L, 2L, 3L)), Map.of(2L, List.of("Quay"), 3L, List.of("Quay")));
        assertEquals(
                db.select(COMPONENT.FORMULA)
                        .from(COMPONENT)
                        .orderBy(COMPONENT.ID)
                        .fetch(COMPONENT.FORMULA),
                Arrays.asList(3L, 2L, null, null));
        expectThrows(DataAccessException.class, () -> db.execute("update design_version set why = 'other'"));
    }
}

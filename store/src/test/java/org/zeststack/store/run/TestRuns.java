package org.zeststack.store.run;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.workshop.Mould;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.store.design.TestDesigns;
import org.zeststack.store.workshop.TestWorkshop;

/** Runs with everything they hang on. */
public final class TestRuns {

    private TestRuns() {}

    public static Runs of(DSLContext db) {
        return new JooqRuns(db);
    }

    /** A planned run of a bar of its own. */
    public static long planned(DSLContext db) {
        Stamp stamp = new Stamp("Ada", Instant.parse("2026-03-01T08:00:00Z"));
        var workshop = TestWorkshop.of(db);
        long thermometer = workshop.addThermometer("probe", Thermometer.TRUE, stamp);
        long mould = workshop.addMould("twelve", Mould.of(new TaperedCavity(118, 32, 112, 26, 14), 12, 2), stamp);
        Designs<Bar> bars = TestDesigns.bars(db);
        long bar = bars.create(
                "Test bar",
                Bar.of(
                        Build.MOULDED,
                        new Body.Moulded(mould, false),
                        List.of(
                                BarLayer.mm(LayerKind.SHELL, "dark", 1.5),
                                BarLayer.rest(LayerKind.FILLING, "formula:1:1"),
                                BarLayer.mm(LayerKind.BACK, "dark", 2))),
                stamp);
        bars.keepVersion(bar, 0, "first", stamp);
        return of(db).plan(new Runs.Plan(
                bar, 1, "Test bar", LocalDate.of(2026, 3, 2), 10, thermometer, Allowances.USUAL, Map.of()));
    }
}

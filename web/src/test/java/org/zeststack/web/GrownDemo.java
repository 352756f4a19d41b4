package org.zeststack.web;

import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;

/** The demo's data again and again, as a workshop has them after a while: every copy under a number, a name and a day of its own. */
final class GrownDemo {

    /** One page of each list. */
    static final Sizes A_PAGE = new Sizes(21, 21, 21, 21, 2_000);

    /** A year of a busy workshop. */
    static final Sizes A_YEAR = new Sizes(2_000, 500, 400, 5_000, 200_000);

    /** How many there are afterwards. */
    record Sizes(int runs, int formulas, int bars, int lots, int readings) {}

    private final JdbcTemplate db;

    private GrownDemo(DataSource source) {
        db = new JdbcTemplate(source);
    }

    static TestApp of(Sizes sizes) {
        TestApp app = TestApp.demo();
        new GrownDemo(app.bean(DataSource.class)).grow(sizes);
        return app;
    }

    private void grow(Sizes sizes) {
        designs("FORMULA", sizes.formulas);
        designs("BAR", sizes.bars);
        lots(sizes.lots);
        runs(sizes.runs);
        readings(sizes.readings);
        db.execute("update ingredient_revision set revision = nextval('ingredient_revision_number')");
        db.execute("analyze");
    }

    private int missing(String table, int wanted) {
        return Math.max(0, wanted - db.queryForObject("select count(*) from " + table, Integer.class));
    }

    /** A copy of each in turn; {@code copied} keeps which is whose. */
    private void copies(String table, String which, int missing) {
        db.execute("drop table if exists copied");
        db.execute("""
                create table copied as
                select row_number() over () as n, was, nextval(pg_get_serial_sequence('%1$s', 'id')) as now from (
                  select generate_series as g, of.id as was from generate_series(1, %3$d),
                    lateral (select id from %1$s where %2$s order by id offset (generate_series %% (select count(*) from %1$s where %2$s)) limit 1) of
                ) each""".formatted(table, which, missing));
    }

    private void designs(String kind, int wanted) {
        String which = "kind = '" + kind + "' and id in (select design from design_version)";
        copies("design", which, missing("design where kind = '" + kind + "'", wanted));
        db.execute("insert into design (id, kind, created_at) overriding system value"
                + " select now, kind, created_at from copied join design on id = was");
        db.execute("""
                insert into design_draft (design, name, content, lock_version, changed_by, changed_at)
                select now, name || ' no. ' || n, content, lock_version, changed_by, changed_at - n * interval '3 hours'
                from copied join design_draft on design = was""");
        db.execute("""
                insert into design_version (design, number, name, content, why, made_by, made_at)
                select now, number, name || ' no. ' || n, content, why, made_by, made_at from copied join design_version on design = was""");
    }

    private void lots(int wanted) {
        copies("lot", "true", missing("lot", wanted));
        db.execute("""
                insert into lot (id, ingredient, content, lock_version, changed_by, changed_at) overriding system value
                select now, ingredient, jsonb_set(content, '{code}', to_jsonb((content ->> 'code') || '-' || n)), lock_version,
                  changed_by, changed_at from copied join lot on id = was""");
        db.execute("""
                insert into lot_movement (lot, key, kind, grams, run, why, moved_by, moved_at)
                select now, key, kind, grams, null, why, moved_by, moved_at from copied join lot_movement on lot = was order by id""");
    }

    private void runs(int wanted) {
        copies("run", "status = 'CLOSED'", missing("run", wanted));
        db.execute("""
                insert into run (id, bar, bar_version, bar_name, planned_for, pieces, thermometer, allowances, status, sheet, sequence,
                  lock_version, started_at, closed_at, lots, variants) overriding system value
                select now, bar, bar_version, bar_name || ' no. ' || n, planned_for - (n / 8)::int, pieces, thermometer, allowances,
                  status, sheet, sequence, lock_version, started_at - n * interval '3 hours', closed_at - n * interval '3 hours',
                  lots, variants from copied join run on id = was""");
        db.execute("""
                insert into component (run, key, name)
                select now, key, name from copied join component on run = was order by now, id""");
        db.execute("""
                insert into entry (run, sequence, key, component, kind, body, device, at, recorded_at, recorded_by, corrects, late)
                select now, e.sequence, e.key, c.id, e.kind, e.body, e.device, e.at, e.recorded_at, e.recorded_by, e.corrects, e.late
                from copied join entry e on e.run = was
                left join component of on of.id = e.component
                left join component c on c.run = now and c.key = of.key order by now, e.sequence""");
        db.execute("""
                insert into series (run, component, key, kind, started_at, ended_at, simulation, time_scale)
                select now, c.id, s.key, s.kind, s.started_at, s.ended_at, s.simulation, s.time_scale
                from copied join series s on s.run = was join component of on of.id = s.component
                join component c on c.run = now and c.key = of.key order by now, s.id""");
    }

    /** Each of the copied series has as many readings as it takes, one a second. */
    private void readings(int wanted) {
        db.execute("""
                insert into reading (series, key, sequence, at, milli_degrees)
                select s.id, gen_random_uuid(), g, s.started_at + g * interval '1 second', 20000 + g * 50
                from copied join series s on s.run = now,
                lateral generate_series(1, greatest(1, (%d / greatest(1, (select count(*) from copied join series on run = now)))::int)) g""".formatted(missing("reading", wanted)));
    }
}

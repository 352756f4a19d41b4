package org.zeststack.store.run;

import static org.zeststack.store.schema.Tables.COMPONENT;
import static org.zeststack.store.schema.Tables.RUN;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import org.zeststack.core.component.Component;
import org.zeststack.core.run.Allowances;
import org.zeststack.core.run.RunSheet;
import org.zeststack.store.json.StoredJson;
import org.zeststack.store.sheet.NewerSheet;
import org.zeststack.store.sheet.WrittenSheet;

@Repository
class JooqRuns implements Runs {

    private final DSLContext db;

    /** The lots of a run as they stand in the database. */
    private record LotIds(Map<String, Long> byIngredient) {

        private LotIds {
            byIngredient = byIngredient == null ? Map.of() : Map.copyOf(byIngredient);
        }
    }

    JooqRuns(DSLContext db) {
        this.db = db;
    }

    @Override
    public long plan(Plan plan) {
        return db.insertInto(RUN)
                .set(RUN.BAR, plan.bar())
                .set(RUN.BAR_VERSION, plan.barVersion())
                .set(RUN.BAR_NAME, plan.barName())
                .set(RUN.PLANNED_FOR, plan.plannedFor())
                .set(RUN.PIECES, plan.pieces())
                .set(RUN.THERMOMETER, plan.thermometer() == WITHOUT ? null : Long.valueOf(plan.thermometer()))
                .set(RUN.ALLOWANCES, StoredJson.write(plan.allowances()))
                .set(RUN.LOTS, StoredJson.write(new LotIds(plan.lots())))
                .set(RUN.VARIANTS, StoredJson.write(plan.said().variants()))
                .set(RUN.AGAINST, plan.said().against())
                .set(RUN.DIFFERENCE, plan.said().difference())
                .set(RUN.STATUS, Run.Status.PLANNED.name())
                .returningResult(RUN.ID)
                .fetchSingle()
                .value1();
    }

    @Override
    public Optional<Run> find(long id) {
        return select(RUN.ID.eq(id)).stream().findFirst();
    }

    @Override
    public List<Brief> brief(List<Run.Status> states) {
        return db.select(
                        RUN.ID,
                        RUN.BAR,
                        RUN.BAR_NAME,
                        RUN.BAR_VERSION,
                        RUN.PLANNED_FOR,
                        RUN.PIECES,
                        RUN.STATUS,
                        RUN.STARTED_AT,
                        RUN.CLOSED_AT)
                .from(RUN)
                .where(RUN.STATUS.in(names(states)))
                .orderBy(RUN.PLANNED_FOR.desc(), RUN.ID.desc())
                .fetch(r -> new Brief(
                        r.value1(),
                        r.value2(),
                        r.value3(),
                        r.value4(),
                        r.value5(),
                        r.value6(),
                        Run.Status.valueOf(r.value7()),
                        instant(r.value8()),
                        instant(r.value9())));
    }

    private static List<String> names(List<Run.Status> states) {
        return states.stream().map(Enum::name).toList();
    }

    @Override
    public List<Run> list(List<Run.Status> states) {
        return select(RUN.STATUS.in(names(states)));
    }

    @Override
    public List<Run> newest(int most) {
        return read(RUN.STATUS.ne(Run.Status.PLANNED.name()), most);
    }

    @Override
    public List<Arm> arms(long id) {
        var own = RUN.as("own");
        return db.select(RUN.ID, RUN.BAR_NAME, RUN.PLANNED_FOR, RUN.STATUS, RUN.AGAINST, RUN.DIFFERENCE, own.DIFFERENCE)
                .from(RUN)
                .join(own)
                .on(own.ID.eq(id))
                .where(RUN.AGAINST.eq(own.ID).or(RUN.ID.eq(own.AGAINST)))
                .orderBy(RUN.ID)
                .fetch(r -> {
                    boolean differs = r.value5() != null && r.value5() == id;
                    return new Arm(
                            r.value1(),
                            r.value2(),
                            r.value3(),
                            Run.Status.valueOf(r.value4()),
                            differs ? r.value6() : r.value7(),
                            differs);
                });
    }

    @Override
    public boolean chooseLots(long id, Map<String, Long> lots) {
        return db.update(RUN)
                        .set(RUN.LOTS, StoredJson.write(new LotIds(lots)))
                        .where(RUN.ID.eq(id))
                        .and(RUN.STATUS.eq(Run.Status.PLANNED.name()))
                        .execute()
                == 1;
    }

    @Override
    public boolean chooseVariants(long id, List<String> variants) {
        return db.update(RUN)
                        .set(RUN.VARIANTS, StoredJson.write(variants))
                        .where(RUN.ID.eq(id))
                        .and(RUN.STATUS.eq(Run.Status.PLANNED.name()))
                        .execute()
                == 1;
    }

    @Override
    public List<Run> with(String componentKey) {
        return read(
                DSL.exists(DSL.selectOne()
                        .from(COMPONENT)
                        .where(COMPONENT.RUN.eq(RUN.ID))
                        .and(COMPONENT.KEY.eq(componentKey))),
                Integer.MAX_VALUE);
    }

    @Override
    public List<Run> made(long formula, int most) {
        Condition of = RUN.STATUS
                .eq(Run.Status.CLOSED.name())
                .and(DSL.exists(DSL.selectOne()
                        .from(COMPONENT)
                        .where(COMPONENT.RUN.eq(RUN.ID))
                        .and(COMPONENT.KEY.startsWith(Component.Made.keysOf(formula)))));
        return read(of, most);
    }

    /** Those whose sheet can be read. */
    private List<Run> read(Condition which, int most) {
        return select(which, most).stream().filter(Run::readable).toList();
    }

    private List<Run> select(Condition which) {
        return select(which, Integer.MAX_VALUE);
    }

    private List<Run> select(Condition which, int most) {
        return db.select(
                        RUN.ID,
                        RUN.BAR,
                        RUN.BAR_VERSION,
                        RUN.BAR_NAME,
                        RUN.PLANNED_FOR,
                        RUN.PIECES,
                        RUN.THERMOMETER,
                        RUN.ALLOWANCES,
                        RUN.LOTS,
                        RUN.VARIANTS,
                        RUN.AGAINST,
                        RUN.DIFFERENCE,
                        RUN.STATUS,
                        RUN.SHEET,
                        RUN.SEQUENCE,
                        RUN.LOCK_VERSION,
                        RUN.STARTED_AT,
                        RUN.CLOSED_AT)
                .from(RUN)
                .where(which)
                .orderBy(RUN.PLANNED_FOR.desc(), RUN.ID.desc())
                .limit(most)
                .fetch(JooqRuns::run);
    }

    private static Run run(Record r) {
        Optional<RunSheet> sheet = Optional.empty();
        int newer = 0;
        try {
            sheet = Optional.ofNullable(r.get(RUN.SHEET)).map(WrittenSheet::read);
        } catch (NewerSheet written) {
            newer = written.form();
        }
        return new Run(
                r.get(RUN.ID),
                r.get(RUN.BAR),
                r.get(RUN.BAR_VERSION),
                r.get(RUN.BAR_NAME),
                r.get(RUN.PLANNED_FOR),
                r.get(RUN.PIECES),
                r.get(RUN.THERMOMETER) == null ? WITHOUT : r.get(RUN.THERMOMETER),
                StoredJson.read(r.get(RUN.ALLOWANCES), Allowances.class),
                StoredJson.read(r.get(RUN.LOTS), LotIds.class).byIngredient(),
                new Said(
                        List.of(StoredJson.read(r.get(RUN.VARIANTS), String[].class)),
                        r.get(RUN.AGAINST),
                        r.get(RUN.DIFFERENCE)),
                Run.Status.valueOf(r.get(RUN.STATUS)),
                sheet,
                newer,
                r.get(RUN.SEQUENCE),
                r.get(RUN.LOCK_VERSION),
                instant(r.get(RUN.STARTED_AT)),
                instant(r.get(RUN.CLOSED_AT)));
    }

    @Override
    public boolean start(long id, RunSheet sheet, Instant now) {
        return db.transactionResult(tx -> {
            DSLContext dsl = tx.dsl();
            int started = dsl.update(RUN)
                    .set(RUN.STATUS, Run.Status.STARTED.name())
                    .set(RUN.SHEET, WrittenSheet.write(sheet))
                    .set(RUN.STARTED_AT, now.atOffset(ZoneOffset.UTC))
                    .set(RUN.LOCK_VERSION, RUN.LOCK_VERSION.plus(1))
                    .where(RUN.ID.eq(id))
                    .and(RUN.STATUS.eq(Run.Status.PLANNED.name()))
                    .execute();
            if (started == 0) {
                return false;
            }
            var insert = dsl.insertInto(COMPONENT, COMPONENT.RUN, COMPONENT.KEY, COMPONENT.NAME);
            Map<String, String> names = new LinkedHashMap<>();
            sheet.formulas().forEach(f -> names.put(f.key(), f.name()));
            sheet.pots().forEach(p -> names.put(p.key(), p.name()));
            for (Map.Entry<String, String> named : names.entrySet()) {
                insert = insert.values(id, named.getKey(), named.getValue());
            }
            for (RunSheet.CouvertureBatch batch : sheet.couvertures()) {
                insert = insert.values(id, batch.key(), batch.name());
            }
            insert.execute();
            return true;
        });
    }

    @Override
    public boolean close(long id, Instant now) {
        return db.update(RUN)
                        .set(RUN.STATUS, Run.Status.CLOSED.name())
                        .set(RUN.CLOSED_AT, now.atOffset(ZoneOffset.UTC))
                        .set(RUN.LOCK_VERSION, RUN.LOCK_VERSION.plus(1))
                        .where(RUN.ID.eq(id))
                        .and(RUN.STATUS.eq(Run.Status.STARTED.name()))
                        .execute()
                == 1;
    }

    private static Instant instant(OffsetDateTime at) {
        return at == null ? null : at.toInstant();
    }
}

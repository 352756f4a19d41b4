package org.zeststack.store.run;

import static org.zeststack.store.schema.Tables.COMPONENT;
import static org.zeststack.store.schema.Tables.RUN;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.JSONB;
import org.jooq.OrderField;
import org.jooq.Record;
import org.jooq.SelectConditionStep;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import org.zeststack.core.component.Component;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.Part;
import org.zeststack.store.json.StoredJson;
import org.zeststack.store.sheet.NewerSheet;
import org.zeststack.store.sheet.WrittenSheet;

@Repository
class JooqRuns implements Runs {

    private static final List<OrderField<?>> NEWEST_DAY = List.of(RUN.PLANNED_FOR.desc(), RUN.ID.desc());

    private static final List<Field<?>> BRIEF = List.of(
            RUN.ID,
            RUN.SEQUENCE,
            RUN.BAR,
            RUN.BAR_NAME,
            RUN.BAR_VERSION,
            RUN.PLANNED_FOR,
            RUN.PIECES,
            RUN.STATUS,
            RUN.STARTED_AT,
            RUN.CLOSED_AT);

    private static final int MOST_SHEETS = 64;

    private final DSLContext db;

    private record Frozen(long run, OffsetDateTime startedAt) {}

    private final Map<Frozen, RunSheet> sheets =
            Collections.synchronizedMap(new LinkedHashMap<>(MOST_SHEETS, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Frozen, RunSheet> eldest) {
                    return size() > MOST_SHEETS;
                }
            });

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
    public List<Run> find(Collection<Long> ids) {
        return ids.isEmpty() ? List.of() : select(RUN.ID.in(ids));
    }

    @Override
    public Optional<Brief> brief(long id) {
        return briefly(RUN.ID.eq(id)).fetchOptional(JooqRuns::brief);
    }

    @Override
    public List<Brief> brief(List<Run.Status> states, int most) {
        return briefly(RUN.STATUS.in(names(states)))
                .orderBy(NEWEST_DAY)
                .limit(most)
                .fetch(JooqRuns::brief);
    }

    @Override
    public Part<Brief> page(List<Run.Status> states, String words, By by, int page) {
        Map<String, String> said = states.stream().collect(Collectors.toMap(Enum::name, Run.Status::words));
        Condition named = words.isBlank()
                ? DSL.noCondition()
                : DSL.concat(
                                RUN.BAR_NAME,
                                DSL.inline(" "),
                                DSL.case_(RUN.STATUS).mapValues(said))
                        .containsIgnoreCase(words.strip());
        Condition which = RUN.STATUS.in(names(states)).and(named);
        return Part.read(db.fetchCount(RUN, which), page, from -> briefly(which)
                .orderBy(orders(by))
                .limit(Part.ROWS)
                .offset(from)
                .fetch(JooqRuns::brief));
    }

    private static List<OrderField<?>> orders(By by) {
        List<OrderField<?>> orders = new ArrayList<>();
        switch (by) {
            case DAY -> {}
            case BAR -> orders.add(DSL.lower(RUN.BAR_NAME));
            case STATE ->
                orders.add(RUN.STATUS.sortAsc(
                        Run.Status.STARTED.name(), Run.Status.PLANNED.name(), Run.Status.CLOSED.name()));
        }
        orders.addAll(NEWEST_DAY);
        return orders;
    }

    @Override
    public Map<Long, Brief> newestOf(Collection<Long> bars, List<Run.Status> states) {
        return db.select(BRIEF)
                .distinctOn(RUN.BAR)
                .from(RUN)
                .where(RUN.BAR.in(bars))
                .and(RUN.STATUS.in(names(states)))
                .orderBy(RUN.BAR, RUN.PLANNED_FOR.desc(), RUN.ID.desc())
                .fetchMap(RUN.BAR, JooqRuns::brief);
    }

    @Override
    public Map<Long, List<Brief>> newestWith(Collection<Long> formulas, int most) {
        if (formulas.isEmpty()) {
            return Map.of();
        }
        var formula = DSL.unnest(formulas.toArray(Long[]::new)).as("made", "of_formula");
        Field<Long> id = formula.field("of_formula", Long.class);
        var newest = DSL.selectDistinct(COMPONENT.RUN)
                .from(COMPONENT)
                .where(COMPONENT.FORMULA.eq(id))
                .orderBy(COMPONENT.RUN.desc())
                .limit(most)
                .asTable("newest");
        return db
                .select(BRIEF)
                .select(id)
                .from(formula, DSL.lateral(newest))
                .join(RUN)
                .on(RUN.ID.eq(newest.field(COMPONENT.RUN)))
                .orderBy(NEWEST_DAY)
                .fetch()
                .stream()
                .collect(Collectors.groupingBy(
                        r -> r.get(id), Collectors.mapping(JooqRuns::brief, Collectors.toList())));
    }

    private SelectConditionStep<?> briefly(Condition which) {
        return db.select(BRIEF).from(RUN).where(which);
    }

    private static Brief brief(Record r) {
        return new Brief(
                r.get(RUN.ID),
                r.get(RUN.SEQUENCE),
                r.get(RUN.BAR),
                r.get(RUN.BAR_NAME),
                r.get(RUN.BAR_VERSION),
                r.get(RUN.PLANNED_FOR),
                r.get(RUN.PIECES),
                Run.Status.valueOf(r.get(RUN.STATUS)),
                instant(r.get(RUN.STARTED_AT)),
                instant(r.get(RUN.CLOSED_AT)));
    }

    private static List<String> names(List<Run.Status> states) {
        return states.stream().map(Enum::name).toList();
    }

    @Override
    public List<Run> list(List<Run.Status> states) {
        return select(RUN.STATUS.in(names(states)));
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
    public List<Run> with(String componentKey, int most) {
        return read(holding(COMPONENT.KEY.eq(componentKey)), most);
    }

    @Override
    public List<Brief> briefWith(String componentKey, int most) {
        return briefly(holding(COMPONENT.KEY.eq(componentKey)))
                .orderBy(NEWEST_DAY)
                .limit(most)
                .fetch(JooqRuns::brief);
    }

    private static Condition holding(Condition component) {
        return RUN.ID.in(DSL.select(COMPONENT.RUN).from(COMPONENT).where(component));
    }

    @Override
    public List<Run> made(long formula, int most) {
        Condition of = RUN.STATUS.eq(Run.Status.CLOSED.name()).and(holding(COMPONENT.FORMULA.eq(formula)));
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
                .fetch(this::run);
    }

    /** A frozen sheet is never written again: it is read once. */
    private RunSheet sheet(Record r, JSONB written) {
        return sheets.computeIfAbsent(
                new Frozen(r.get(RUN.ID), r.get(RUN.STARTED_AT)), frozen -> WrittenSheet.read(written));
    }

    private Run run(Record r) {
        Optional<RunSheet> sheet = Optional.empty();
        int newer = 0;
        try {
            sheet = Optional.ofNullable(r.get(RUN.SHEET)).map(written -> sheet(r, written));
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
            Map<String, String> names = new LinkedHashMap<>();
            sheet.formulas().forEach(f -> names.put(f.key(), f.name()));
            sheet.pots().forEach(p -> names.put(p.key(), p.name()));
            sheet.couvertures().forEach(c -> names.put(c.key(), c.name()));
            var insert = dsl.insertInto(COMPONENT, COMPONENT.RUN, COMPONENT.KEY, COMPONENT.NAME, COMPONENT.FORMULA);
            for (Map.Entry<String, String> named : names.entrySet()) {
                Long formula = Component.made(named.getKey())
                        .map(Component.Made::formula)
                        .orElse(null);
                insert = insert.values(id, named.getKey(), named.getValue(), formula);
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

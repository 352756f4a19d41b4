package org.zeststack.store.bench;

import static org.zeststack.store.schema.Tables.COMPONENT;
import static org.zeststack.store.schema.Tables.ENTRY;
import static org.zeststack.store.schema.Tables.READING;
import static org.zeststack.store.schema.Tables.RUN;
import static org.zeststack.store.schema.Tables.SERIES;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.EntryKind;
import org.zeststack.core.component.Component;
import org.zeststack.store.json.StoredJson;
import org.zeststack.store.live.Channel;

@Repository
class JooqBench implements Bench {

    private static final String STARTED = "STARTED";
    private static final String CLOSED = "CLOSED";

    private final DSLContext db;

    JooqBench(DSLContext db) {
        this.db = db;
    }

    @Override
    public Outcome append(long run, NewEntry entry, String by, Instant now) {
        return db.transactionResult(tx -> {
            DSLContext dsl = tx.dsl();
            String status = lockRun(dsl, run);
            if (status == null) {
                return Outcome.REFUSED;
            }
            EntryKind kind = EntryKind.of(entry.body());
            JSONB body = StoredJson.write(entry.body());
            Long component = componentId(dsl, run, entry.component());
            Optional<Outcome> known = known(dsl, run, entry, kind, body, component);
            if (known.isPresent()) {
                return known.get();
            }
            boolean late = status.equals(CLOSED);
            if (!late && !status.equals(STARTED) || !mayCorrect(dsl, run, entry.corrects())) {
                return Outcome.REFUSED;
            }
            dsl.insertInto(ENTRY)
                    .set(ENTRY.RUN, run)
                    .set(ENTRY.SEQUENCE, nextSequence(dsl, run))
                    .set(ENTRY.KEY, entry.key())
                    .set(ENTRY.COMPONENT, component)
                    .set(ENTRY.KIND, kind.name())
                    .set(ENTRY.BODY, body)
                    .set(ENTRY.DEVICE, entry.device())
                    .set(ENTRY.AT, utc(entry.at() == null ? now : entry.at()))
                    .set(ENTRY.RECORDED_AT, utc(now))
                    .set(ENTRY.RECORDED_BY, by)
                    .set(ENTRY.CORRECTS, entry.corrects())
                    .set(ENTRY.LATE, late)
                    .execute();
            return late ? Outcome.LATE : Outcome.ACCEPTED;
        });
    }

    /** The run's status, with its row locked; null if there is no such run. */
    private static String lockRun(DSLContext dsl, long run) {
        return dsl.select(RUN.STATUS)
                .from(RUN)
                .where(RUN.ID.eq(run))
                .forUpdate()
                .fetchOne(RUN.STATUS);
    }

    private static Optional<Outcome> known(
            DSLContext dsl, long run, NewEntry entry, EntryKind kind, JSONB body, Long component) {
        Condition same = ENTRY.KIND
                .eq(kind.name())
                .and(ENTRY.BODY.eq(body))
                .and(ENTRY.COMPONENT.isNotDistinctFrom(component))
                .and(ENTRY.CORRECTS.isNotDistinctFrom(entry.corrects()))
                .and(entry.at() == null ? DSL.noCondition() : ENTRY.AT.eq(utc(entry.at())));
        return dsl.select(DSL.field(same))
                .from(ENTRY)
                .where(ENTRY.RUN.eq(run))
                .and(ENTRY.KEY.eq(entry.key()))
                .fetchOptional(r -> Boolean.TRUE.equals(r.value1()) ? Outcome.KNOWN : Outcome.CONFLICT);
    }

    private static boolean mayCorrect(DSLContext dsl, long run, UUID corrects) {
        return corrects == null || dsl.fetchExists(ENTRY, ENTRY.RUN.eq(run).and(ENTRY.KEY.eq(corrects)));
    }

    private static Long componentId(DSLContext dsl, long run, String key) {
        return key.isEmpty()
                ? null
                : dsl.select(COMPONENT.ID)
                        .from(COMPONENT)
                        .where(COMPONENT.RUN.eq(run))
                        .and(COMPONENT.KEY.eq(key))
                        .fetchOne(COMPONENT.ID);
    }

    /** Takes the next number of a locked run and tells everyone once the transaction is through. */
    private static long nextSequence(DSLContext dsl, long run) {
        long sequence = dsl.update(RUN)
                .set(RUN.SEQUENCE, RUN.SEQUENCE.plus(1))
                .where(RUN.ID.eq(run))
                .returningResult(RUN.SEQUENCE)
                .fetchSingle()
                .value1();
        dsl.select(DSL.function(
                        "pg_notify", Object.class, DSL.val(Channel.NAME), DSL.val(Channel.message(run, sequence))))
                .execute();
        return sequence;
    }

    @Override
    public List<BenchEntry> entries(long run) {
        return entriesOf(List.of(run)).getOrDefault(run, List.of());
    }

    @Override
    public List<BenchEntry> entriesAfter(long run, long sequence) {
        return entries(ENTRY.RUN.eq(run).and(ENTRY.SEQUENCE.gt(sequence))).getOrDefault(run, List.of());
    }

    @Override
    public Map<Long, List<BenchEntry>> entriesOf(List<Long> runs) {
        return runs.isEmpty() ? Map.of() : entries(ENTRY.RUN.in(runs));
    }

    private Map<Long, List<BenchEntry>> entries(Condition which) {
        return db.select(
                        ENTRY.RUN,
                        ENTRY.SEQUENCE,
                        ENTRY.KEY,
                        ENTRY.KIND,
                        ENTRY.BODY,
                        ENTRY.AT,
                        ENTRY.RECORDED_BY,
                        ENTRY.CORRECTS,
                        ENTRY.LATE)
                .from(ENTRY)
                .where(which)
                .orderBy(ENTRY.SEQUENCE)
                .fetchGroups(
                        ENTRY.RUN,
                        r -> new BenchEntry(
                                r.value2(),
                                r.value3(),
                                WrittenEntry.read(r.value4(), r.value5()),
                                r.value6().toInstant(),
                                r.value7(),
                                r.value8(),
                                r.value9()));
    }

    @Override
    public Optional<Series> startSeries(
            long run, String component, UUID key, SeriesKind kind, String simulation, double timeScale, Instant now) {
        return db.transactionResult(tx -> {
            DSLContext dsl = tx.dsl();
            String status = lockRun(dsl, run);
            Long componentId = componentId(dsl, run, component);
            Optional<Series> known = select(dsl, SERIES.RUN.eq(run).and(SERIES.KEY.eq(key))).stream()
                    .findFirst();
            known.filter(k -> !k.isThe(component, kind, simulation, timeScale)).ifPresent(other -> {
                throw new KeyTaken(List.of(key));
            });
            if (known.isPresent() || !STARTED.equals(status) || componentId == null) {
                return known;
            }
            dsl.update(SERIES)
                    .set(SERIES.ENDED_AT, utc(now))
                    .where(SERIES.COMPONENT.eq(componentId))
                    .and(SERIES.ENDED_AT.isNull())
                    .execute();
            long id = dsl.insertInto(SERIES)
                    .set(SERIES.RUN, run)
                    .set(SERIES.COMPONENT, componentId)
                    .set(SERIES.KEY, key)
                    .set(SERIES.KIND, kind.name())
                    .set(SERIES.STARTED_AT, utc(now))
                    .set(SERIES.SIMULATION, simulation)
                    .set(SERIES.TIME_SCALE, timeScale)
                    .returningResult(SERIES.ID)
                    .fetchSingle()
                    .value1();
            nextSequence(dsl, run);
            return select(dsl, SERIES.ID.eq(id)).stream().findFirst();
        });
    }

    @Override
    public void endSeries(long series, Instant now) {
        db.transaction(tx -> {
            DSLContext dsl = tx.dsl();
            Long run = dsl.select(SERIES.RUN)
                    .from(SERIES)
                    .where(SERIES.ID.eq(series))
                    .fetchOne(SERIES.RUN);
            if (run == null) {
                return;
            }
            lockRun(dsl, run);
            int ended = dsl.update(SERIES)
                    .set(SERIES.ENDED_AT, utc(now))
                    .where(SERIES.ID.eq(series))
                    .and(SERIES.ENDED_AT.isNull())
                    .execute();
            if (ended == 1) {
                nextSequence(dsl, run);
            }
        });
    }

    @Override
    public Optional<Series> series(long id) {
        return select(db, SERIES.ID.eq(id)).stream().findFirst();
    }

    @Override
    public List<Series> seriesOf(long run) {
        return select(db, SERIES.RUN.eq(run));
    }

    @Override
    public List<Series> simulatedRunning() {
        return select(db, SERIES.ENDED_AT.isNull().and(SERIES.SIMULATION.ne("")));
    }

    private static List<Series> select(DSLContext dsl, Condition which) {
        return dsl.select(
                        SERIES.ID,
                        SERIES.RUN,
                        COMPONENT.KEY,
                        SERIES.KEY,
                        SERIES.KIND,
                        SERIES.STARTED_AT,
                        SERIES.ENDED_AT,
                        SERIES.SIMULATION,
                        SERIES.TIME_SCALE)
                .from(SERIES)
                .join(COMPONENT)
                .on(COMPONENT.ID.eq(SERIES.COMPONENT))
                .where(which)
                .orderBy(SERIES.ID)
                .fetch(JooqBench::series);
    }

    private static Series series(Record r) {
        OffsetDateTime ended = r.get(SERIES.ENDED_AT);
        return new Series(
                r.get(SERIES.ID),
                r.get(SERIES.RUN),
                r.get(COMPONENT.KEY),
                r.get(SERIES.KEY),
                SeriesKind.valueOf(r.get(SERIES.KIND)),
                r.get(SERIES.STARTED_AT).toInstant(),
                ended == null ? null : ended.toInstant(),
                r.get(SERIES.SIMULATION),
                r.get(SERIES.TIME_SCALE));
    }

    @Override
    public Came addReadings(long series, List<Reading> readings, Instant now) {
        return db.transactionResult(tx -> {
            DSLContext dsl = tx.dsl();
            Long run = dsl.select(SERIES.RUN)
                    .from(SERIES)
                    .where(SERIES.ID.eq(series))
                    .fetchOne(SERIES.RUN);
            if (run == null) {
                return new Came(0, 0, readings.size());
            }
            lockRun(dsl, run);
            OffsetDateTime ended = dsl.select(SERIES.ENDED_AT)
                    .from(SERIES)
                    .where(SERIES.ID.eq(series))
                    .fetchSingle()
                    .value1();
            Map<UUID, Reading> fresh = fresh(dsl, series, readings);
            List<Reading> taken = fresh.values().stream()
                    .map(r -> r.at() == null ? new Reading(r.key(), now, r.milliDegrees(), r.confirmed()) : r)
                    .filter(r -> ended == null || !r.at().isAfter(ended.toInstant()))
                    .toList();
            int known = readings.size() - fresh.size();
            if (taken.isEmpty()) {
                return new Came(0, known, fresh.size());
            }
            long sequence = nextSequence(dsl, run);
            var insert = dsl.insertInto(
                    READING,
                    READING.SERIES,
                    READING.KEY,
                    READING.SEQUENCE,
                    READING.AT,
                    READING.MILLI_DEGREES,
                    READING.CONFIRMED);
            for (Reading reading : taken) {
                insert = insert.values(
                        series,
                        reading.key(),
                        sequence,
                        utc(reading.at()),
                        reading.milliDegrees(),
                        reading.confirmed());
            }
            insert.execute();
            return new Came(taken.size(), known, fresh.size() - taken.size());
        });
    }

    /** Those that are not there yet, each once; a key with two readings is refused. */
    private static Map<UUID, Reading> fresh(DSLContext dsl, long series, List<Reading> readings) {
        Map<UUID, Reading> there = dsl.select(READING.KEY, READING.AT, READING.MILLI_DEGREES, READING.CONFIRMED)
                .from(READING)
                .where(READING.SERIES.eq(series))
                .and(READING.KEY.in(readings.stream().map(Reading::key).toList()))
                .fetchMap(READING.KEY, r -> new Reading(r.value1(), r.value2().toInstant(), r.value3(), r.value4()));
        Map<UUID, Reading> fresh = new LinkedHashMap<>();
        List<UUID> others = new ArrayList<>();
        for (Reading reading : readings) {
            Reading known = there.containsKey(reading.key())
                    ? there.get(reading.key())
                    : fresh.putIfAbsent(reading.key(), reading);
            if (known != null && !reading.isThe(known)) {
                others.add(reading.key());
            }
        }
        if (!others.isEmpty()) {
            throw new KeyTaken(others);
        }
        return fresh;
    }

    @Override
    public List<Reading> lastReadings(long series, Instant before, int most) {
        return db.select(READING.KEY, READING.AT, READING.MILLI_DEGREES, READING.CONFIRMED)
                .from(READING)
                .where(READING.SERIES.eq(series))
                .and(READING.AT.le(utc(before)))
                .orderBy(READING.AT.desc(), READING.SEQUENCE.desc(), READING.KEY)
                .limit(most)
                .fetch(r -> new Reading(r.value1(), r.value2().toInstant(), r.value3(), r.value4()));
    }

    @Override
    public Map<Long, List<Reading>> readingsOf(long run) {
        return db.select(READING.SERIES, READING.KEY, READING.AT, READING.MILLI_DEGREES, READING.CONFIRMED)
                .from(READING)
                .join(SERIES)
                .on(SERIES.ID.eq(READING.SERIES))
                .where(SERIES.RUN.eq(run))
                .orderBy(READING.AT, READING.SEQUENCE, READING.KEY)
                .fetchGroups(
                        READING.SERIES, r -> new Reading(r.value2(), r.value3().toInstant(), r.value4(), r.value5()));
    }

    @Override
    public Fresh readingsAfter(long series, long after) {
        return readingsAfter(Map.of(series, after)).get(series);
    }

    @Override
    public Map<Long, Fresh> readingsAfter(Map<Long, Long> after) {
        Condition fresh = DSL.or(after.entrySet().stream()
                .map(e -> READING.SERIES.eq(e.getKey()).and(READING.SEQUENCE.gt(e.getValue())))
                .toList());
        var rows = db.select(
                        READING.SERIES,
                        READING.KEY,
                        READING.AT,
                        READING.MILLI_DEGREES,
                        READING.CONFIRMED,
                        READING.SEQUENCE)
                .from(READING)
                .where(fresh)
                .orderBy(READING.AT, READING.SEQUENCE, READING.KEY)
                .fetchGroups(READING.SERIES);
        Map<Long, Fresh> all = new HashMap<>();
        after.forEach((series, before) -> all.put(series, new Fresh(List.of(), before)));
        rows.forEach((series, of) -> all.put(
                series,
                new Fresh(
                        of.map(r -> new Reading(r.value2(), r.value3().toInstant(), r.value4(), r.value5())),
                        of.stream().mapToLong(r -> r.value6()).max().orElseThrow())));
        return all;
    }

    @Override
    public Map<Long, List<PotSaid>> potsSaid(List<Long> runs) {
        var undo = ENTRY.as("undo");
        return db.select(ENTRY.RUN, DSL.jsonbGetAttributeAsText(ENTRY.BODY, "component"), ENTRY.AT, ENTRY.KIND)
                .from(ENTRY)
                .where(ENTRY.RUN.in(runs))
                .and(ENTRY.KIND.in(Arrays.stream(Said.values()).map(Said::name).toList()))
                .andNotExists(
                        DSL.selectOne().from(undo).where(undo.RUN.eq(ENTRY.RUN)).and(undo.CORRECTS.eq(ENTRY.KEY)))
                .orderBy(ENTRY.SEQUENCE)
                .fetchGroups(ENTRY.RUN, r -> new PotSaid(r.value2(), r.value3().toInstant(), Said.valueOf(r.value4())));
    }

    @Override
    public List<Series> cooksOver(long formula, boolean second, long before, int most) {
        Condition inSecond = COMPONENT.KEY.endsWith(Component.Made.keysOfSecondPots());
        List<Series> newest = new ArrayList<>(select(
                db,
                SERIES.ID.in(DSL.select(SERIES.ID)
                        .from(SERIES)
                        .join(COMPONENT)
                        .on(COMPONENT.ID.eq(SERIES.COMPONENT))
                        .where(SERIES.KIND.eq(SeriesKind.COOK.name()))
                        .and(SERIES.ENDED_AT.isNotNull())
                        .and(SERIES.SIMULATION.eq(""))
                        .and(SERIES.ID.lt(before))
                        .and(COMPONENT.FORMULA.eq(formula))
                        .and(second ? inSecond : DSL.not(inSecond))
                        .orderBy(SERIES.ID.desc())
                        .limit(most))));
        Collections.reverse(newest);
        return newest;
    }

    @Override
    public List<Series> cooksRunning() {
        return select(db, SERIES.ENDED_AT.isNull().and(SERIES.KIND.eq(SeriesKind.COOK.name())));
    }

    @Override
    public void touch(long run) {
        db.transaction(tx -> {
            lockRun(tx.dsl(), run);
            nextSequence(tx.dsl(), run);
        });
    }

    @Override
    public List<Event> eventsAfter(long run, long sequence, int most) {
        var entries = db.select(ENTRY.SEQUENCE, ENTRY.KIND)
                .from(ENTRY)
                .where(ENTRY.RUN.eq(run))
                .and(ENTRY.SEQUENCE.gt(sequence));
        var readings = DSL.selectDistinct(READING.SEQUENCE, DSL.inline("READING"))
                .from(READING)
                .join(SERIES)
                .on(SERIES.ID.eq(READING.SERIES))
                .where(SERIES.RUN.eq(run))
                .and(READING.SEQUENCE.gt(sequence));
        var changes = DSL.select(RUN.SEQUENCE, DSL.inline("RUN"))
                .from(RUN)
                .where(RUN.ID.eq(run))
                .and(RUN.SEQUENCE.gt(sequence));
        return entries.unionAll(readings)
                .unionAll(changes)
                .orderBy(DSL.field("1"), DSL.field("2"))
                .limit(most)
                .fetch(r -> new Event(r.value1(), r.value2()));
    }

    private static OffsetDateTime utc(Instant at) {
        return at.atOffset(ZoneOffset.UTC);
    }
}

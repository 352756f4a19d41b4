package org.zeststack.store.design;

import static org.zeststack.store.schema.Tables.DESIGN;
import static org.zeststack.store.schema.Tables.DESIGN_DRAFT;
import static org.zeststack.store.schema.Tables.DESIGN_VERSION;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.zeststack.store.Saved;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.json.StoredJson;

/** One implementation for bars and formulas; they differ in kind and content only. */
class JooqDesigns<T> implements Designs<T> {

    private final DSLContext db;
    private final String kind;
    private final Class<T> type;

    JooqDesigns(DSLContext db, String kind, Class<T> type) {
        this.db = db;
        this.kind = kind;
        this.type = type;
    }

    @Override
    public long create(String name, T draft, Stamp stamp) {
        return db.transactionResult(tx -> {
            long id = tx.dsl()
                    .insertInto(DESIGN)
                    .set(DESIGN.KIND, kind)
                    .set(DESIGN.CREATED_AT, utc(stamp))
                    .returningResult(DESIGN.ID)
                    .fetchSingle()
                    .value1();
            tx.dsl()
                    .insertInto(DESIGN_DRAFT)
                    .set(DESIGN_DRAFT.DESIGN, id)
                    .set(DESIGN_DRAFT.NAME, name)
                    .set(DESIGN_DRAFT.CONTENT, StoredJson.write(draft))
                    .set(DESIGN_DRAFT.CHANGED_BY, stamp.by())
                    .set(DESIGN_DRAFT.CHANGED_AT, utc(stamp))
                    .execute();
            return id;
        });
    }

    @Override
    public List<Listed> list() {
        var newest = DSL.coalesce(DSL.max(DESIGN_VERSION.NUMBER), 0);
        var current = DSL.coalesce(DESIGN.CURRENT_VERSION, newest);
        return db.select(
                        DESIGN.ID,
                        DESIGN_DRAFT.NAME,
                        newest,
                        current,
                        DESIGN_DRAFT.CHANGED_BY,
                        DESIGN_DRAFT.CHANGED_AT,
                        DESIGN.ARCHIVED_BY,
                        DESIGN.ARCHIVED_AT)
                .from(DESIGN)
                .join(DESIGN_DRAFT)
                .on(DESIGN_DRAFT.DESIGN.eq(DESIGN.ID))
                .leftJoin(DESIGN_VERSION)
                .on(DESIGN_VERSION.DESIGN.eq(DESIGN.ID))
                .where(DESIGN.KIND.eq(kind))
                .groupBy(DESIGN.ID, DESIGN_DRAFT.DESIGN)
                .orderBy(DESIGN_DRAFT.NAME, DESIGN.ID)
                .fetch(r -> new Listed(
                        r.get(DESIGN.ID),
                        r.get(DESIGN_DRAFT.NAME),
                        r.get(newest),
                        r.get(current),
                        stamp(r.get(DESIGN_DRAFT.CHANGED_BY), r.get(DESIGN_DRAFT.CHANGED_AT)),
                        aside(r)));
    }

    @Override
    public boolean archive(long id, boolean aside, Stamp stamp) {
        return db.update(DESIGN)
                        .set(DESIGN.ARCHIVED_BY, aside ? stamp.by() : null)
                        .set(DESIGN.ARCHIVED_AT, aside ? utc(stamp) : null)
                        .where(DESIGN.ID.eq(id))
                        .and(DESIGN.KIND.eq(kind))
                        .execute()
                == 1;
    }

    @Override
    public Optional<Stamp> archived(long id) {
        return db.select(DESIGN.ARCHIVED_BY, DESIGN.ARCHIVED_AT)
                .from(DESIGN)
                .where(DESIGN.ID.eq(id))
                .and(DESIGN.KIND.eq(kind))
                .fetchOptional(JooqDesigns::aside);
    }

    private static Stamp aside(Record r) {
        String by = r.get(DESIGN.ARCHIVED_BY);
        return by == null ? null : stamp(by, r.get(DESIGN.ARCHIVED_AT));
    }

    @Override
    public Optional<Saved<T>> draft(long id) {
        return drafts(DESIGN.ID.eq(id)).stream().findFirst();
    }

    @Override
    public List<Saved<T>> drafts() {
        return drafts(DSL.noCondition());
    }

    private List<Saved<T>> drafts(Condition which) {
        return db.select(
                        DESIGN.ID,
                        DESIGN_DRAFT.NAME,
                        DESIGN_DRAFT.CONTENT,
                        DESIGN_DRAFT.LOCK_VERSION,
                        DESIGN_DRAFT.CHANGED_BY,
                        DESIGN_DRAFT.CHANGED_AT)
                .from(DESIGN_DRAFT)
                .join(DESIGN)
                .on(DESIGN.ID.eq(DESIGN_DRAFT.DESIGN))
                .where(which)
                .and(DESIGN.KIND.eq(kind))
                .fetch(r -> new Saved<>(
                        r.value1(),
                        r.value2(),
                        StoredJson.read(r.value3(), type),
                        r.value4(),
                        stamp(r.value5(), r.value6())));
    }

    @Override
    public void saveDraft(long id, String name, T draft, int lock, Stamp stamp) {
        JSONB content = StoredJson.write(draft);
        int changed = db.update(DESIGN_DRAFT)
                .set(DESIGN_DRAFT.NAME, name)
                .set(DESIGN_DRAFT.CONTENT, content)
                .set(DESIGN_DRAFT.LOCK_VERSION, lock + 1)
                .set(DESIGN_DRAFT.CHANGED_BY, stamp.by())
                .set(DESIGN_DRAFT.CHANGED_AT, utc(stamp))
                .where(ours(id))
                .and(DESIGN_DRAFT.LOCK_VERSION.eq(lock))
                .execute();
        if (changed != 1) {
            throw new StaleEdit(name);
        }
    }

    /** The draft of a number that is of this kind: bars and formulas share their numbers. */
    private Condition ours(long id) {
        return DESIGN_DRAFT.DESIGN.in(
                DSL.select(DESIGN.ID).from(DESIGN).where(DESIGN.ID.eq(id)).and(DESIGN.KIND.eq(kind)));
    }

    @Override
    public int keepVersion(long id, int lock, String why, Stamp stamp) {
        return db.transactionResult(tx -> {
            DSLContext dsl = tx.dsl();
            var draft = dsl.select(DESIGN_DRAFT.NAME, DESIGN_DRAFT.CONTENT, DESIGN_DRAFT.LOCK_VERSION)
                    .from(DESIGN_DRAFT)
                    .where(ours(id))
                    .forUpdate()
                    .fetchOptional()
                    .orElseThrow(() -> new StaleEdit(String.valueOf(id)));
            if (draft.value3() != lock) {
                throw new StaleEdit(draft.value1());
            }
            int number = 1
                    + dsl.select(DSL.coalesce(DSL.max(DESIGN_VERSION.NUMBER), 0))
                            .from(DESIGN_VERSION)
                            .where(DESIGN_VERSION.DESIGN.eq(id))
                            .fetchSingle()
                            .value1();
            dsl.insertInto(DESIGN_VERSION)
                    .set(DESIGN_VERSION.DESIGN, id)
                    .set(DESIGN_VERSION.NUMBER, number)
                    .set(DESIGN_VERSION.NAME, draft.value1())
                    .set(DESIGN_VERSION.CONTENT, draft.value2())
                    .set(DESIGN_VERSION.WHY, why)
                    .set(DESIGN_VERSION.MADE_BY, stamp.by())
                    .set(DESIGN_VERSION.MADE_AT, utc(stamp))
                    .execute();
            return number;
        });
    }

    @Override
    public Optional<Version<T>> version(long id, int number) {
        return versions(DESIGN_VERSION.DESIGN.eq(id).and(DESIGN_VERSION.NUMBER.eq(number))).stream()
                .findFirst();
    }

    @Override
    public List<Kept> versions(long id) {
        return db.select(DESIGN_VERSION.NUMBER, DESIGN_VERSION.WHY, DESIGN_VERSION.MADE_BY, DESIGN_VERSION.MADE_AT)
                .from(DESIGN_VERSION)
                .join(DESIGN)
                .on(DESIGN.ID.eq(DESIGN_VERSION.DESIGN))
                .where(DESIGN.KIND.eq(kind))
                .and(DESIGN.ID.eq(id))
                .orderBy(DESIGN_VERSION.NUMBER.desc())
                .fetch(r -> new Kept(r.value1(), r.value2(), stamp(r.value3(), r.value4())));
    }

    @Override
    public List<Version<T>> current() {
        var other = DESIGN_VERSION.as("other");
        var newest = DSL.notExists(DSL.selectOne()
                .from(other)
                .where(other.DESIGN.eq(DESIGN_VERSION.DESIGN))
                .and(other.NUMBER.gt(DESIGN_VERSION.NUMBER)));
        return versions(DESIGN.ARCHIVED_AT
                .isNull()
                .and(DESIGN.CURRENT_VERSION
                        .eq(DESIGN_VERSION.NUMBER)
                        .or(DESIGN.CURRENT_VERSION.isNull().and(newest))));
    }

    @Override
    public int currentNumber(long id) {
        var newest = DSL.select(DSL.max(DESIGN_VERSION.NUMBER))
                .from(DESIGN_VERSION)
                .where(DESIGN_VERSION.DESIGN.eq(DESIGN.ID));
        return db.select(DSL.coalesce(DESIGN.CURRENT_VERSION, DSL.field(newest), DSL.inline(0)))
                .from(DESIGN)
                .where(DESIGN.ID.eq(id))
                .and(DESIGN.KIND.eq(kind))
                .fetchOptional(r -> r.value1())
                .orElse(0);
    }

    @Override
    public boolean choose(long id, int number) {
        return db.update(DESIGN)
                        .set(DESIGN.CURRENT_VERSION, number)
                        .where(DESIGN.ID.eq(id))
                        .and(DESIGN.KIND.eq(kind))
                        .and(DSL.exists(DSL.selectOne()
                                .from(DESIGN_VERSION)
                                .where(DESIGN_VERSION.DESIGN.eq(id))
                                .and(DESIGN_VERSION.NUMBER.eq(number))))
                        .execute()
                == 1;
    }

    private List<Version<T>> versions(Condition which) {
        return db.select(
                        DESIGN_VERSION.DESIGN,
                        DESIGN_VERSION.NUMBER,
                        DESIGN_VERSION.NAME,
                        DESIGN_VERSION.CONTENT,
                        DESIGN_VERSION.WHY,
                        DESIGN_VERSION.MADE_BY,
                        DESIGN_VERSION.MADE_AT)
                .from(DESIGN_VERSION)
                .join(DESIGN)
                .on(DESIGN.ID.eq(DESIGN_VERSION.DESIGN))
                .where(DESIGN.KIND.eq(kind))
                .and(which)
                .orderBy(DESIGN_VERSION.NUMBER.desc(), DESIGN_VERSION.NAME)
                .fetch(this::version);
    }

    private Version<T> version(Record r) {
        return new Version<>(
                r.get(DESIGN_VERSION.DESIGN),
                r.get(DESIGN_VERSION.NUMBER),
                r.get(DESIGN_VERSION.NAME),
                StoredJson.read(r.get(DESIGN_VERSION.CONTENT), type),
                r.get(DESIGN_VERSION.WHY),
                stamp(r.get(DESIGN_VERSION.MADE_BY), r.get(DESIGN_VERSION.MADE_AT)));
    }

    private static Stamp stamp(String by, OffsetDateTime at) {
        return new Stamp(by, at.toInstant());
    }

    private static OffsetDateTime utc(Stamp stamp) {
        return stamp.at().atOffset(ZoneOffset.UTC);
    }
}

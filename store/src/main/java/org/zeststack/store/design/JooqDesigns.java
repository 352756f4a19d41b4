package org.zeststack.store.design;

import static org.zeststack.store.schema.Tables.DESIGN;
import static org.zeststack.store.schema.Tables.DESIGN_DRAFT;
import static org.zeststack.store.schema.Tables.DESIGN_VERSION;
import static org.zeststack.store.schema.Tables.DESIGN_VERSION_USE;
import static org.zeststack.store.schema.Tables.RUN;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.JSONB;
import org.jooq.OrderField;
import org.jooq.Record;
import org.jooq.Table;
import org.jooq.impl.DSL;
import org.zeststack.store.NewerRelease;
import org.zeststack.store.Part;
import org.zeststack.store.Saved;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.json.StoredJson;

/** One implementation for bars and formulas; they differ in kind and content only. */
class JooqDesigns<T> implements Designs<T> {

    private static final int MOST_READ = 1_000;

    private final DSLContext db;
    /** Drafts that lists showed, for as long as nobody saves them. */
    private final Map<Long, Saved<T>> read = new ConcurrentHashMap<>();

    private final Kind<T> of;
    private final String kind;
    private final Class<T> type;

    JooqDesigns(DSLContext db, Kind<T> of) {
        this.db = db;
        this.of = of;
        this.kind = of.name();
        this.type = of.type();
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
    public Part<Listed> page(String words, By by, int page) {
        return page(DESIGN.ARCHIVED_AT.isNull(), words, page, orders(by));
    }

    @Override
    public Part<Listed> archived(String words) {
        return page(DESIGN.ARCHIVED_AT.isNotNull(), words, 1, List.of(DESIGN.ARCHIVED_AT.desc(), DESIGN.ID.desc()));
    }

    private List<OrderField<?>> orders(By by) {
        var name = DSL.lower(DESIGN_DRAFT.NAME);
        var lastRun = DSL.field(DSL.select(DSL.max(RUN.PLANNED_FOR)).from(RUN).where(RUN.BAR.eq(DESIGN.ID)));
        // Boxes are of one kind.
        By sort = by == By.KIND && of.titles().isEmpty() ? By.NAME : by;
        return switch (sort) {
            case NAME -> List.of(name, DESIGN.ID);
            case KIND -> List.of(sorted(place()), name, DESIGN.ID);
            case CHANGED -> List.of(DESIGN_DRAFT.CHANGED_AT.desc(), DESIGN.ID.desc());
            case RUN -> List.of(lastRun.desc().nullsLast(), name, DESIGN.ID);
        };
    }

    /** Where the build or family stands among the others. */
    private Map<String, Integer> place() {
        List<String> order = List.copyOf(of.titles().keySet());
        return order.stream().collect(Collectors.toMap(Function.identity(), order::indexOf));
    }

    private <V> Field<V> sorted(Map<String, V> values) {
        return DSL.case_(DSL.jsonbGetAttributeAsText(DESIGN_DRAFT.CONTENT, of.sort()))
                .mapValues(values);
    }

    private Part<Listed> page(Condition which, String words, int page, List<OrderField<?>> orders) {
        Condition listed = which.and(DESIGN.KIND.eq(kind)).and(named(words.strip()));
        int found = db.fetchCount(DSL.selectOne()
                .from(DESIGN)
                .join(DESIGN_DRAFT)
                .on(DESIGN_DRAFT.DESIGN.eq(DESIGN.ID))
                .where(listed));
        return Part.read(found, page, from -> listed(listed, orders, from));
    }

    private Condition named(String words) {
        if (words.isEmpty()) {
            return DSL.noCondition();
        }
        Field<String> whole = of.titles().isEmpty()
                ? DESIGN_DRAFT.NAME
                : DSL.concat(DESIGN_DRAFT.NAME, DSL.inline(" "), sorted(of.titles()));
        return whole.containsIgnoreCase(words);
    }

    private List<Listed> listed(Condition which, List<OrderField<?>> orders, int from) {
        var newest = newest();
        var current = toMake();
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
                .where(which)
                .orderBy(orders)
                .limit(Part.ROWS)
                .offset(from)
                .fetch(r -> new Listed(
                        r.get(DESIGN.ID),
                        r.get(DESIGN_DRAFT.NAME),
                        r.get(newest),
                        r.get(current),
                        stamp(r.get(DESIGN_DRAFT.CHANGED_BY), r.get(DESIGN_DRAFT.CHANGED_AT)),
                        aside(r)));
    }

    /** Number of a design's newest version, 0 where it has none. */
    private static Field<Integer> newest() {
        var of = DESIGN_VERSION.as("newest");
        return DSL.coalesce(
                DSL.field(DSL.select(DSL.max(of.NUMBER)).from(of).where(of.DESIGN.eq(DESIGN.ID))), DSL.inline(0));
    }

    /** Number of the version to be made: the chosen one, else the newest; 0 where there is none. */
    private static Field<Integer> toMake() {
        return DSL.coalesce(DESIGN.CURRENT_VERSION, newest());
    }

    @Override
    public boolean any() {
        return db.fetchExists(DESIGN, DESIGN.KIND.eq(kind).and(DESIGN.ARCHIVED_AT.isNull()));
    }

    @Override
    public List<Choice> choices() {
        return choices(DSL.noCondition());
    }

    @Override
    public List<Choice> lately(int most) {
        return choices(DESIGN.ID.in(DSL.select(DESIGN.ID)
                .from(DESIGN)
                .join(DESIGN_DRAFT)
                .on(DESIGN_DRAFT.DESIGN.eq(DESIGN.ID))
                .where(DESIGN.KIND.eq(kind))
                .and(DESIGN.ARCHIVED_AT.isNull())
                .and(DSL.exists(DSL.selectOne().from(DESIGN_VERSION).where(DESIGN_VERSION.DESIGN.eq(DESIGN.ID))))
                .orderBy(DESIGN_DRAFT.CHANGED_AT.desc(), DESIGN.ID.desc())
                .limit(most)));
    }

    @Override
    public Optional<Choice> choice(long id) {
        return choices(DESIGN.ID.eq(id)).stream().findFirst();
    }

    private List<Choice> choices(Condition which) {
        return db.select(DESIGN_VERSION.DESIGN, DESIGN_VERSION.NUMBER, DESIGN_VERSION.NAME)
                .from(DESIGN_VERSION)
                .join(DESIGN)
                .on(DESIGN.ID.eq(DESIGN_VERSION.DESIGN))
                .where(DESIGN.KIND.eq(kind))
                .and(toBeMade())
                .and(which)
                .orderBy(DSL.lower(DESIGN_VERSION.NAME), DESIGN.ID)
                .fetch(r -> new Choice(r.value1(), r.value2(), r.value3()));
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
        Condition one = DESIGN.ID.eq(id);
        return drafts(one).stream().findFirst().or(() -> {
            newer(DESIGN_DRAFT.NAME, DESIGN_DRAFT, DESIGN_DRAFT.DESIGN, one);
            return Optional.empty();
        });
    }

    /** Whatever is there and was not read is a newer release's. */
    private void newer(Field<String> name, Table<?> of, Field<Long> design, Condition which) {
        db.select(name)
                .from(of)
                .join(DESIGN)
                .on(DESIGN.ID.eq(design))
                .where(which)
                .and(DESIGN.KIND.eq(kind))
                .fetchOptional(name)
                .ifPresent(called -> {
                    throw NewerRelease.design(called);
                });
    }

    @Override
    public Map<Long, Saved<T>> drafts(Collection<Long> ids) {
        Map<Long, Saved<T>> found = new HashMap<>();
        List<Long> unknown = new ArrayList<>();
        db.select(DESIGN_DRAFT.DESIGN, DESIGN_DRAFT.LOCK_VERSION, DESIGN_DRAFT.CHANGED_AT)
                .from(DESIGN_DRAFT)
                .where(DESIGN_DRAFT.DESIGN.in(ids))
                .forEach(r -> {
                    Saved<T> draft = read.get(r.value1());
                    boolean same = draft != null
                            && draft.lock() == r.value2()
                            && draft.stamp().at().equals(r.value3().toInstant());
                    if (same) {
                        found.put(r.value1(), draft);
                    } else {
                        unknown.add(r.value1());
                    }
                });
        if (!unknown.isEmpty()) {
            if (read.size() > MOST_READ) {
                read.clear();
            }
            drafts(DESIGN.ID.in(unknown)).forEach(draft -> {
                found.put(draft.id(), draft);
                read.put(draft.id(), draft);
            });
        }
        return found;
    }

    private List<Saved<T>> drafts(Condition which) {
        return db
                .select(
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
                .fetch(r -> StoredJson.known(r.value3(), type)
                        .map(draft ->
                                new Saved<>(r.value1(), r.value2(), draft, r.value4(), stamp(r.value5(), r.value6()))))
                .stream()
                .flatMap(Optional::stream)
                .toList();
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
            for (long formula : of.formulas(StoredJson.read(draft.value2(), type))) {
                dsl.insertInto(DESIGN_VERSION_USE)
                        .set(DESIGN_VERSION_USE.DESIGN, id)
                        .set(DESIGN_VERSION_USE.NUMBER, number)
                        .set(DESIGN_VERSION_USE.FORMULA, formula)
                        .execute();
            }
            return number;
        });
    }

    @Override
    public Optional<Version<T>> version(long id, int number) {
        Condition one = DESIGN_VERSION.DESIGN.eq(id).and(DESIGN_VERSION.NUMBER.eq(number));
        return versions(one).stream().findFirst().or(() -> {
            newer(DESIGN_VERSION.NAME, DESIGN_VERSION, DESIGN_VERSION.DESIGN, one);
            return Optional.empty();
        });
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
        return versions(toBeMade());
    }

    private static Condition toBeMade() {
        return DESIGN.ARCHIVED_AT.isNull().and(DESIGN_VERSION.NUMBER.eq(toMake()));
    }

    @Override
    public List<Version<T>> currentWith(long formula) {
        return versions(toBeMade()
                .and(DSL.exists(DSL.selectOne()
                        .from(DESIGN_VERSION_USE)
                        .where(DESIGN_VERSION_USE.FORMULA.eq(formula))
                        .and(DESIGN_VERSION_USE.DESIGN.eq(DESIGN_VERSION.DESIGN))
                        .and(DESIGN_VERSION_USE.NUMBER.eq(DESIGN_VERSION.NUMBER)))));
    }

    @Override
    public Map<Long, List<String>> usedIn(Collection<Long> formulas) {
        return db.select(DESIGN_VERSION_USE.FORMULA, DESIGN_VERSION.NAME)
                .from(DESIGN_VERSION_USE)
                .join(DESIGN_VERSION)
                .on(DESIGN_VERSION.DESIGN.eq(DESIGN_VERSION_USE.DESIGN))
                .and(DESIGN_VERSION.NUMBER.eq(DESIGN_VERSION_USE.NUMBER))
                .join(DESIGN)
                .on(DESIGN.ID.eq(DESIGN_VERSION_USE.DESIGN))
                .where(DESIGN_VERSION_USE.FORMULA.in(formulas))
                .and(toBeMade())
                .groupBy(DESIGN_VERSION_USE.FORMULA, DESIGN_VERSION.NAME)
                .orderBy(DESIGN_VERSION.NAME)
                .fetchGroups(DESIGN_VERSION_USE.FORMULA, DESIGN_VERSION.NAME);
    }

    @Override
    public int currentNumber(long id) {
        var current = toMake();
        return db.select(current)
                .from(DESIGN)
                .where(DESIGN.ID.eq(id))
                .and(DESIGN.KIND.eq(kind))
                .fetchOptional(current)
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
        return db
                .select(
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
                .fetch(this::version)
                .stream()
                .flatMap(Optional::stream)
                .toList();
    }

    /** Empty where a newer release wrote it. */
    private Optional<Version<T>> version(Record r) {
        return StoredJson.known(r.get(DESIGN_VERSION.CONTENT), type)
                .map(content -> new Version<>(
                        r.get(DESIGN_VERSION.DESIGN),
                        r.get(DESIGN_VERSION.NUMBER),
                        r.get(DESIGN_VERSION.NAME),
                        content,
                        r.get(DESIGN_VERSION.WHY),
                        stamp(r.get(DESIGN_VERSION.MADE_BY), r.get(DESIGN_VERSION.MADE_AT))));
    }

    private static Stamp stamp(String by, OffsetDateTime at) {
        return new Stamp(by, at.toInstant());
    }

    private static OffsetDateTime utc(Stamp stamp) {
        return stamp.at().atOffset(ZoneOffset.UTC);
    }
}

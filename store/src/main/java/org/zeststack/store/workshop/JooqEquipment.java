package org.zeststack.store.workshop;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.JSONB;
import org.jooq.Record;
import org.jooq.Table;
import org.jooq.impl.DSL;
import org.zeststack.store.Saved;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.Trusted;
import org.zeststack.store.json.StoredJson;

/** One kind of equipment that is kept as it is told: a name and a content under optimistic locking. */
final class JooqEquipment<T> {

    private final DSLContext db;
    private final Table<?> table;
    private final Class<T> type;
    private final String what;
    private final Field<Long> id;
    private final Field<String> name;
    private final Field<JSONB> content;
    private final Field<Integer> lock;
    private final Field<String> changedBy;
    private final Field<OffsetDateTime> changedAt;
    private final Trusted<List<Saved<T>>> all = new Trusted<>(() -> which(DSL.noCondition()));

    JooqEquipment(DSLContext db, Table<?> table, Class<T> type, String what) {
        this.db = db;
        this.table = table;
        this.type = type;
        this.what = what;
        id = table.field("id", Long.class);
        name = table.field("name", String.class);
        content = table.field("content", JSONB.class);
        lock = table.field("lock_version", Integer.class);
        changedBy = table.field("changed_by", String.class);
        changedAt = table.field("changed_at", OffsetDateTime.class);
    }

    /** For lists and choices; what is edited is found by itself. */
    List<Saved<T>> all() {
        return all.get();
    }

    Optional<Saved<T>> find(long which) {
        return which(id.eq(which)).stream().findFirst();
    }

    private List<Saved<T>> which(Condition condition) {
        return db.select(id, name, content, lock, changedBy, changedAt)
                .from(table)
                .where(condition)
                .orderBy(id)
                .fetch(this::saved);
    }

    private Saved<T> saved(Record r) {
        Stamp stamp = new Stamp(r.get(changedBy), r.get(changedAt).toInstant());
        return new Saved<>(r.get(id), r.get(name), StoredJson.read(r.get(content), type), r.get(lock), stamp);
    }

    long add(String called, T equipment, Stamp stamp) {
        long added = db.insertInto(table)
                .set(name, called)
                .set(content, StoredJson.write(equipment))
                .set(changedBy, stamp.by())
                .set(changedAt, stamp.at().atOffset(ZoneOffset.UTC))
                .returningResult(id)
                .fetchSingle()
                .value1();
        all.forget();
        return added;
    }

    /** Saves a change; throws {@link StaleEdit} if {@code expectedLock} is not the current one. */
    void save(long which, String called, T equipment, int expectedLock, Stamp stamp) {
        int changed = db.update(table)
                .set(name, called)
                .set(content, StoredJson.write(equipment))
                .set(lock, expectedLock + 1)
                .set(changedBy, stamp.by())
                .set(changedAt, stamp.at().atOffset(ZoneOffset.UTC))
                .where(id.eq(which))
                .and(lock.eq(expectedLock))
                .execute();
        if (changed != 1) {
            throw new StaleEdit(what);
        }
        all.forget();
    }
}

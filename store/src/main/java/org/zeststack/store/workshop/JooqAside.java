package org.zeststack.store.workshop;

import static org.zeststack.store.schema.Tables.PUT_ASIDE;

import java.time.ZoneOffset;
import java.util.Map;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.zeststack.store.Stamp;

@Repository
class JooqAside implements Aside {

    private final DSLContext db;

    JooqAside(DSLContext db) {
        this.db = db;
    }

    @Override
    public void put(Kind kind, long id, boolean aside, Stamp stamp) {
        if (!aside) {
            db.deleteFrom(PUT_ASIDE)
                    .where(PUT_ASIDE.KIND.eq(kind.name()))
                    .and(PUT_ASIDE.ID.eq(id))
                    .execute();
            return;
        }
        db.insertInto(PUT_ASIDE)
                .set(PUT_ASIDE.KIND, kind.name())
                .set(PUT_ASIDE.ID, id)
                .set(PUT_ASIDE.PUT_BY, stamp.by())
                .set(PUT_ASIDE.PUT_AT, stamp.at().atOffset(ZoneOffset.UTC))
                .onConflictDoNothing()
                .execute();
    }

    @Override
    public Map<Long, Stamp> of(Kind kind) {
        return db.select(PUT_ASIDE.ID, PUT_ASIDE.PUT_BY, PUT_ASIDE.PUT_AT)
                .from(PUT_ASIDE)
                .where(PUT_ASIDE.KIND.eq(kind.name()))
                .fetchMap(r -> r.value1(), r -> new Stamp(r.value2(), r.value3().toInstant()));
    }
}

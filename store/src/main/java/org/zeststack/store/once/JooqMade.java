package org.zeststack.store.once;

import static org.zeststack.store.schema.Tables.MADE;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class JooqMade implements Made {

    private static final int DAYS = 7;

    private final DSLContext db;

    JooqMade(DSLContext db) {
        this.db = db;
    }

    @Override
    public boolean begin(UUID key, byte[] content, String by, Instant now) {
        var at = now.atOffset(ZoneOffset.UTC);
        db.deleteFrom(MADE).where(MADE.MADE_AT.lt(at.minusDays(DAYS))).execute();
        return db.insertInto(MADE)
                        .set(MADE.KEY, key)
                        .set(MADE.CONTENT, content)
                        .set(MADE.MADE_BY, by)
                        .set(MADE.MADE_AT, at)
                        .onConflictDoNothing()
                        .execute()
                == 1;
    }

    @Override
    public void finish(UUID key, byte[] content, String address) {
        db.update(MADE).set(MADE.ADDRESS, address).where(of(key, content)).execute();
    }

    @Override
    public String address(UUID key, byte[] content) {
        return db.select(MADE.ADDRESS).from(MADE).where(of(key, content)).fetchSingle(MADE.ADDRESS);
    }

    private static Condition of(UUID key, byte[] content) {
        return MADE.KEY.eq(key).and(MADE.CONTENT.eq(content));
    }
}

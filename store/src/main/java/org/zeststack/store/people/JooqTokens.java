package org.zeststack.store.people;

import static org.zeststack.store.schema.Tables.API_TOKEN;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record6;
import org.jooq.SelectJoinStep;
import org.springframework.stereotype.Repository;

@Repository
class JooqTokens implements Tokens {

    private final DSLContext db;

    JooqTokens(DSLContext db) {
        this.db = db;
    }

    @Override
    public void add(String label, byte[] sha256, boolean loopbackOnly, Maker of, Instant now) {
        db.insertInto(
                        API_TOKEN,
                        API_TOKEN.LABEL,
                        API_TOKEN.SHA256,
                        API_TOKEN.LOOPBACK_ONLY,
                        API_TOKEN.LOGIN,
                        API_TOKEN.CREATED_BY,
                        API_TOKEN.CREATED_AT)
                .values(label, sha256, loopbackOnly, of.login(), of.name(), now.atOffset(ZoneOffset.UTC))
                .onConflict(API_TOKEN.SHA256)
                .doNothing()
                .execute();
    }

    @Override
    public Optional<Token> findValid(byte[] sha256) {
        return select().where(API_TOKEN.SHA256.eq(sha256))
                .and(API_TOKEN.REVOKED_AT.isNull())
                .fetchOptional(JooqTokens::token);
    }

    @Override
    public List<Token> all() {
        return select().orderBy(API_TOKEN.CREATED_AT.desc()).fetch(JooqTokens::token);
    }

    @Override
    public void revoke(long id, Instant now) {
        db.update(API_TOKEN)
                .set(API_TOKEN.REVOKED_AT, now.atOffset(ZoneOffset.UTC))
                .where(API_TOKEN.ID.eq(id))
                .and(API_TOKEN.REVOKED_AT.isNull())
                .execute();
    }

    @Override
    public int revokeOf(Maker of, Instant now) {
        return db.update(API_TOKEN)
                .set(API_TOKEN.REVOKED_AT, now.atOffset(ZoneOffset.UTC))
                .where(API_TOKEN
                        .LOGIN
                        .eq(of.login())
                        .or(API_TOKEN.LOGIN.isNull().and(API_TOKEN.CREATED_BY.eq(of.name()))))
                .and(API_TOKEN.REVOKED_AT.isNull())
                .execute();
    }

    private SelectJoinStep<Record6<Long, String, Boolean, String, OffsetDateTime, OffsetDateTime>> select() {
        return db.select(
                        API_TOKEN.ID,
                        API_TOKEN.LABEL,
                        API_TOKEN.LOOPBACK_ONLY,
                        API_TOKEN.CREATED_BY,
                        API_TOKEN.CREATED_AT,
                        API_TOKEN.REVOKED_AT)
                .from(API_TOKEN);
    }

    private static Token token(Record6<Long, String, Boolean, String, OffsetDateTime, OffsetDateTime> row) {
        return new Token(
                row.value1(),
                row.value2(),
                row.value3(),
                row.value4(),
                row.value5().toInstant(),
                row.value6() != null);
    }
}

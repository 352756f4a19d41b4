package org.zeststack.store.people;

import static org.zeststack.store.schema.Tables.PERSON;
import static org.zeststack.store.schema.Tables.SIGN_IN_FAILURE;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record6;
import org.jooq.SelectJoinStep;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;

@Repository
class JooqPeople implements People {

    private final DSLContext db;

    JooqPeople(DSLContext db) {
        this.db = db;
    }

    @Override
    public boolean add(String login, String name, String passwordHash, Role role, Instant now) {
        return db.insertInto(PERSON, PERSON.LOGIN, PERSON.NAME, PERSON.PASSWORD_HASH, PERSON.ROLE, PERSON.CREATED_AT)
                        .values(login, name, passwordHash, role.name(), utc(now))
                        .onConflict(PERSON.LOGIN)
                        .doNothing()
                        .execute()
                == 1;
    }

    @Override
    public Optional<Person> find(String login) {
        return select().where(PERSON.LOGIN.eq(login)).fetchOptional(JooqPeople::person);
    }

    @Override
    public List<Person> all() {
        return select().orderBy(PERSON.NAME).fetch(JooqPeople::person);
    }

    @Override
    public boolean none() {
        return !db.fetchExists(PERSON);
    }

    @Override
    public void setActive(long id, boolean active) {
        db.update(PERSON).set(PERSON.ACTIVE, active).where(PERSON.ID.eq(id)).execute();
    }

    @Override
    public void setPassword(long id, String passwordHash) {
        db.update(PERSON)
                .set(PERSON.PASSWORD_HASH, passwordHash)
                .where(PERSON.ID.eq(id))
                .execute();
    }

    @Override
    public void setRole(long id, Role role) {
        db.update(PERSON).set(PERSON.ROLE, role.name()).where(PERSON.ID.eq(id)).execute();
    }

    @Override
    public void noteFailure(String login, String address, Instant at) {
        db.insertInto(SIGN_IN_FAILURE, SIGN_IN_FAILURE.LOGIN, SIGN_IN_FAILURE.ADDRESS, SIGN_IN_FAILURE.AT)
                .values(login, address, utc(at))
                .execute();
        db.deleteFrom(SIGN_IN_FAILURE)
                .where(SIGN_IN_FAILURE.AT.lt(utc(at).minusDays(1)))
                .execute();
    }

    @Override
    public Failures failuresSince(String login, String address, Instant since) {
        return db.select(
                        DSL.count().filterWhere(SIGN_IN_FAILURE.LOGIN.eq(login)),
                        DSL.count().filterWhere(SIGN_IN_FAILURE.ADDRESS.eq(address)))
                .from(SIGN_IN_FAILURE)
                .where(SIGN_IN_FAILURE.AT.ge(utc(since)))
                .fetchSingle(r -> new Failures(r.value1(), r.value2()));
    }

    @Override
    public void forgetFailures(String login) {
        db.deleteFrom(SIGN_IN_FAILURE).where(SIGN_IN_FAILURE.LOGIN.eq(login)).execute();
    }

    private SelectJoinStep<Record6<Long, String, String, String, String, Boolean>> select() {
        return db.select(PERSON.ID, PERSON.LOGIN, PERSON.NAME, PERSON.PASSWORD_HASH, PERSON.ROLE, PERSON.ACTIVE)
                .from(PERSON);
    }

    private static Person person(Record6<Long, String, String, String, String, Boolean> row) {
        return new Person(
                row.value1(), row.value2(), row.value3(), row.value4(), Role.valueOf(row.value5()), row.value6());
    }

    private static OffsetDateTime utc(Instant at) {
        return at.atOffset(ZoneOffset.UTC);
    }
}

package org.zeststack.store.people;

import static org.zeststack.store.schema.Tables.KNOWN_DEVICE;
import static org.zeststack.store.schema.Tables.PEOPLE_EVENT;
import static org.zeststack.store.schema.Tables.PERSON;
import static org.zeststack.store.schema.Tables.SIGN_IN_FAILURE;

import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.IntFunction;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record6;
import org.jooq.SelectJoinStep;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;

@Repository
class JooqPeople implements People {

    /** Spring Session keeps it as 36 characters. */
    private static final Field<String> SESSION_ID = DSL.field(DSL.name("session_id"), String.class);

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
    public boolean setActive(long id, boolean active) {
        return keepingAnOwner(dsl -> dsl.update(PERSON)
                .set(PERSON.ACTIVE, active)
                .where(PERSON.ID.eq(id))
                .execute());
    }

    /** Changes somebody, one after the other, and takes it back where nobody is left who owns the workshop. */
    private boolean keepingAnOwner(Consumer<DSLContext> change) {
        try {
            db.transaction(tx -> {
                DSLContext dsl = tx.dsl();
                dsl.select(PERSON.ID)
                        .from(PERSON)
                        .orderBy(PERSON.ID)
                        .forUpdate()
                        .fetch();
                change.accept(dsl);
                if (!dsl.fetchExists(PERSON, PERSON.ROLE.eq(Role.OWNER.name()).and(PERSON.ACTIVE))) {
                    throw new OwnerNeeded();
                }
            });
            return true;
        } catch (OwnerNeeded last) {
            return false;
        }
    }

    private static final class OwnerNeeded extends RuntimeException {
        private OwnerNeeded() {
            super("a workshop keeps an owner");
        }
    }

    @Override
    public void setPassword(long id, String passwordHash) {
        db.update(PERSON)
                .set(PERSON.PASSWORD_HASH, passwordHash)
                .where(PERSON.ID.eq(id))
                .execute();
    }

    @Override
    public boolean setRole(long id, Role role) {
        return keepingAnOwner(dsl -> dsl.update(PERSON)
                .set(PERSON.ROLE, role.name())
                .where(PERSON.ID.eq(id))
                .execute());
    }

    @Override
    public Duration mayTry(Try one, Duration window, Waits waits) {
        return db.transactionResult(tx -> {
            DSLContext dsl = tx.dsl();
            // One after the other, of an account and of an address; always in the same order.
            Stream.of("account " + one.login(), "address " + one.address())
                    .sorted()
                    .forEach(what ->
                            dsl.execute("select pg_advisory_xact_lock(hashtextextended({0}, 0))", DSL.val(what)));
            Condition recent = SIGN_IN_FAILURE.AT.gt(utc(one.at().minus(window)));
            Duration wait = left(dsl, recent.and(ofAccount(one)), waits::ofAccount, one.at());
            if (one.device() == null) {
                Condition address = SIGN_IN_FAILURE.ADDRESS.eq(one.address()).and(SIGN_IN_FAILURE.DEVICE.isNull());
                Duration other = left(dsl, recent.and(address), waits::ofAddress, one.at());
                wait = wait.compareTo(other) < 0 ? other : wait;
            }
            if (wait.isZero()) {
                dsl.insertInto(SIGN_IN_FAILURE)
                        .set(SIGN_IN_FAILURE.LOGIN, one.login())
                        .set(SIGN_IN_FAILURE.ADDRESS, one.address())
                        .set(SIGN_IN_FAILURE.DEVICE, one.device())
                        .set(SIGN_IN_FAILURE.AT, utc(one.at()))
                        .execute();
                dsl.deleteFrom(SIGN_IN_FAILURE)
                        .where(SIGN_IN_FAILURE.AT.lt(utc(one.at()).minusDays(1)))
                        .execute();
            }
            return wait;
        });
    }

    /** Failures of an account count apart for every device that is known of it. */
    private static Condition ofAccount(Try one) {
        return SIGN_IN_FAILURE.LOGIN.eq(one.login()).and(SIGN_IN_FAILURE.DEVICE.isNotDistinctFrom(one.device()));
    }

    /** What is left of the wait after the failures that there are. */
    private static Duration left(DSLContext dsl, Condition which, IntFunction<Duration> wait, Instant now) {
        return dsl.select(DSL.count(), DSL.max(SIGN_IN_FAILURE.AT))
                .from(SIGN_IN_FAILURE)
                .where(which)
                .fetchSingle(r -> {
                    Duration whole = wait.apply(r.value1());
                    Duration left = whole.isZero()
                            ? whole
                            : Duration.between(now, r.value2().toInstant().plus(whole));
                    return left.isNegative() ? Duration.ZERO : left;
                });
    }

    @Override
    public void succeeded(Try one) {
        db.deleteFrom(SIGN_IN_FAILURE).where(ofAccount(one)).execute();
    }

    @Override
    public void know(byte[] device, String login, Instant at) {
        db.insertInto(KNOWN_DEVICE)
                .set(KNOWN_DEVICE.SHA256, device)
                .set(KNOWN_DEVICE.LOGIN, login)
                .set(KNOWN_DEVICE.SEEN_AT, utc(at))
                .onConflict(KNOWN_DEVICE.SHA256, KNOWN_DEVICE.LOGIN)
                .doUpdate()
                .set(KNOWN_DEVICE.SEEN_AT, utc(at))
                .execute();
        db.deleteFrom(KNOWN_DEVICE)
                .where(KNOWN_DEVICE.SEEN_AT.lt(utc(at).minusYears(1)))
                .execute();
    }

    @Override
    public boolean knows(byte[] device, String login) {
        return db.fetchExists(KNOWN_DEVICE, KNOWN_DEVICE.SHA256.eq(device).and(KNOWN_DEVICE.LOGIN.eq(login)));
    }

    @Override
    public void note(Event event) {
        db.insertInto(PEOPLE_EVENT)
                .set(PEOPLE_EVENT.AT, utc(event.at()))
                .set(PEOPLE_EVENT.BY, event.by())
                .set(PEOPLE_EVENT.ABOUT, event.about())
                .set(PEOPLE_EVENT.WHAT, event.what())
                .execute();
    }

    @Override
    public List<Event> events(int most) {
        return db.select(PEOPLE_EVENT.AT, PEOPLE_EVENT.BY, PEOPLE_EVENT.ABOUT, PEOPLE_EVENT.WHAT)
                .from(PEOPLE_EVENT)
                .orderBy(PEOPLE_EVENT.AT.desc(), PEOPLE_EVENT.ID.desc())
                .limit(most)
                .fetch(r -> new Event(r.value1().toInstant(), r.value2(), r.value3(), r.value4()));
    }

    @Override
    public Set<String> sessionsThere(Collection<String> sessions, Instant now) {
        return db.select(SESSION_ID)
                .from(DSL.table(DSL.name("spring_session")))
                .where(SESSION_ID.in(sessions))
                .and(DSL.field(DSL.name("expiry_time"), Long.class).gt(now.toEpochMilli()))
                .fetchSet(SESSION_ID);
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

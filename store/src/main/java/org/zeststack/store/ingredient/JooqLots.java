package org.zeststack.store.ingredient;

import static org.zeststack.store.schema.Tables.LOT;
import static org.zeststack.store.schema.Tables.LOT_MOVEMENT;
import static org.zeststack.store.schema.Tables.PUT_ASIDE;

import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.OrderField;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jooq.impl.SQLDataType;
import org.springframework.stereotype.Repository;
import org.zeststack.core.ingredient.Lot;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.store.Part;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.Trusted;
import org.zeststack.store.json.StoredJson;
import org.zeststack.store.workshop.Aside;

@Repository
class JooqLots implements Lots {

    private static final List<OrderField<?>> SOONEST =
            List.of(DSL.jsonbGetAttributeAsText(LOT.CONTENT, "bestBefore").asc().nullsLast(), LOT.ID.asc());

    private static final Field<Double> LEFT = DSL.field(
            DSL.select(DSL.coalesce(DSL.sum(LOT_MOVEMENT.GRAMS), DSL.inline(0)).cast(SQLDataType.DOUBLE))
                    .from(LOT_MOVEMENT)
                    .where(LOT_MOVEMENT.LOT.eq(LOT.ID)));

    /** What a scale does not show. */
    private static final double SLACK_GRAMS = 0.05;

    private static final double LEAST_GRAMS = 1e-9;

    private static final Field<Double> PRICE =
            DSL.field("({0} ->> 'pricePerKg')::double precision", Double.class, LOT.CONTENT);
    private static final Field<String> RECEIVED = DSL.field("{0} ->> 'received'", String.class, LOT.CONTENT);

    private static final Condition AWAY =
            PUT_ASIDE.KIND.eq(Aside.Kind.LOT.name()).and(PUT_ASIDE.ID.eq(LOT.ID));
    private static final Condition IS_AWAY =
            DSL.exists(DSL.selectOne().from(PUT_ASIDE).where(AWAY));

    private static final List<Field<?>> KEPT =
            List.of(LOT.ID, LOT.INGREDIENT, LOT.CONTENT, LEFT, LOT.LOCK_VERSION, LOT.CHANGED_BY, LOT.CHANGED_AT);

    private final DSLContext db;
    private final Trusted<Map<String, Double>> prices = new Trusted<>(this::readPrices);

    JooqLots(DSLContext db) {
        this.db = db;
    }

    @Override
    public Part<Kept> page(String code, Collection<String> of, int page) {
        Condition listed = searched(code, of).and(DSL.not(IS_AWAY));
        return Part.read(db.fetchCount(LOT, listed), page, from -> select(listed, Part.ROWS, from));
    }

    private static Condition searched(String code, Collection<String> of) {
        return code.isBlank()
                ? DSL.noCondition()
                : DSL.jsonbGetAttributeAsText(LOT.CONTENT, "code")
                        .containsIgnoreCase(code.strip())
                        .or(LOT.INGREDIENT.in(of));
    }

    @Override
    public Part<Away> putAside(String code, Collection<String> of) {
        Condition listed = searched(code, of).and(IS_AWAY);
        return Part.read(db.fetchCount(LOT, listed), 1, from -> db.select(KEPT)
                .select(PUT_ASIDE.PUT_BY, PUT_ASIDE.PUT_AT)
                .from(LOT)
                .join(PUT_ASIDE)
                .on(AWAY)
                .where(listed)
                .orderBy(PUT_ASIDE.PUT_AT.desc(), LOT.ID.desc())
                .limit(Part.ROWS)
                .fetch(r -> new Away(
                        kept(r),
                        new Stamp(
                                r.get(PUT_ASIDE.PUT_BY), r.get(PUT_ASIDE.PUT_AT).toInstant()))));
    }

    @Override
    public List<String> whats() {
        return db.selectDistinct(LOT.INGREDIENT).from(LOT).fetch(LOT.INGREDIENT);
    }

    @Override
    public List<Kept> of(Collection<String> whats, Collection<Long> ids) {
        return select(LOT.INGREDIENT.in(whats).and(DSL.not(IS_AWAY)).or(LOT.ID.in(ids)), Integer.MAX_VALUE, 0);
    }

    @Override
    public Optional<Kept> find(long id) {
        return select(LOT.ID.eq(id), 1, 0).stream().findFirst();
    }

    @Override
    public Map<String, Double> gramsByIngredient() {
        var lot = DSL.select(LOT.INGREDIENT, LEFT.as("grams_left")).from(LOT).asTable("each");
        var grams = DSL.sum(lot.field("grams_left", Double.class)).cast(SQLDataType.DOUBLE);
        return db.select(lot.field(LOT.INGREDIENT), grams)
                .from(lot)
                .where(lot.field("grams_left", Double.class).gt(0.0))
                .groupBy(lot.field(LOT.INGREDIENT))
                .fetchMap(lot.field(LOT.INGREDIENT), grams);
    }

    private List<Kept> select(Condition which, int most, int from) {
        return db.select(KEPT)
                .from(LOT)
                .where(which)
                .orderBy(SOONEST)
                .limit(most)
                .offset(from)
                .fetch(JooqLots::kept);
    }

    private static Kept kept(Record r) {
        return new Kept(
                r.get(LOT.ID),
                r.get(LOT.INGREDIENT),
                StoredJson.read(r.get(LOT.CONTENT), Lot.class),
                r.get(LEFT),
                r.get(LOT.LOCK_VERSION),
                new Stamp(r.get(LOT.CHANGED_BY), r.get(LOT.CHANGED_AT).toInstant()));
    }

    @Override
    public long add(String ingredient, Lot lot, Move how, double grams, UUID key, Stamp stamp) {
        long added = db.transactionResult(tx -> {
            long id = tx.dsl()
                    .insertInto(LOT)
                    .set(LOT.INGREDIENT, ingredient)
                    .set(LOT.CONTENT, StoredJson.write(lot))
                    .set(LOT.CHANGED_BY, stamp.by())
                    .set(LOT.CHANGED_AT, stamp.at().atOffset(ZoneOffset.UTC))
                    .returningResult(LOT.ID)
                    .fetchSingle()
                    .value1();
            write(tx.dsl(), id, key, how, grams, null, "", stamp);
            return id;
        });
        prices.forget();
        return added;
    }

    @Override
    public void save(long id, Lot lot, int lock, Stamp stamp) {
        int changed = db.update(LOT)
                .set(LOT.CONTENT, StoredJson.write(lot))
                .set(LOT.LOCK_VERSION, lock + 1)
                .set(LOT.CHANGED_BY, stamp.by())
                .set(LOT.CHANGED_AT, stamp.at().atOffset(ZoneOffset.UTC))
                .where(LOT.ID.eq(id))
                .and(LOT.LOCK_VERSION.eq(lock))
                .execute();
        if (changed != 1) {
            throw new StaleEdit("Lot " + lot.code());
        }
        prices.forget();
    }

    @Override
    public Moved move(long lot, UUID key, Move move, double grams, String why, Stamp stamp) {
        return db.transactionResult(tx -> {
            double left = lockedLeft(tx.dsl(), lot);
            if (known(tx.dsl(), lot, key)) {
                return Moved.KNOWN;
            }
            double change =
                    switch (move) {
                        case RECEIVED, MADE -> grams;
                        case COUNTED -> grams - left;
                        case USED, WASTED -> -grams;
                    };
            if (left + change < -SLACK_GRAMS) {
                return Moved.TOO_LITTLE;
            }
            write(tx.dsl(), lot, key, move, Math.max(change, -left), null, why, stamp);
            return Moved.WRITTEN;
        });
    }

    @Override
    public void use(long lot, UUID key, double grams, long run, Stamp stamp) {
        db.transaction(tx -> {
            double taken = Math.min(grams, Math.max(0, lockedLeft(tx.dsl(), lot)));
            if (known(tx.dsl(), lot, key)) {
                return;
            }
            String more = grams - taken > SLACK_GRAMS
                    ? "; %s g more than the book held".formatted(Numbers.fixed(grams - taken, 1))
                    : "";
            write(tx.dsl(), lot, key, Move.USED, -taken, run, "as weighed out by the sheet" + more, stamp);
        });
    }

    /** What is left of a lot that nobody else changes until this transaction is through. */
    private static double lockedLeft(DSLContext dsl, long lot) {
        dsl.select(LOT.ID).from(LOT).where(LOT.ID.eq(lot)).forUpdate().fetch();
        return dsl.select(DSL.coalesce(DSL.sum(LOT_MOVEMENT.GRAMS), DSL.inline(0)))
                .from(LOT_MOVEMENT)
                .where(LOT_MOVEMENT.LOT.eq(lot))
                .fetchSingle()
                .value1()
                .doubleValue();
    }

    private static boolean known(DSLContext dsl, long lot, UUID key) {
        return dsl.fetchExists(LOT_MOVEMENT, LOT_MOVEMENT.LOT.eq(lot).and(LOT_MOVEMENT.KEY.eq(key)));
    }

    /** A movement of nothing is none. */
    private static void write(
            DSLContext dsl, long lot, UUID key, Move move, double grams, Long run, String why, Stamp stamp) {
        if (Math.abs(grams) < LEAST_GRAMS) {
            return;
        }
        dsl.insertInto(LOT_MOVEMENT)
                .set(LOT_MOVEMENT.LOT, lot)
                .set(LOT_MOVEMENT.KEY, key)
                .set(LOT_MOVEMENT.KIND, move.name())
                .set(LOT_MOVEMENT.GRAMS, grams)
                .set(LOT_MOVEMENT.RUN, run)
                .set(LOT_MOVEMENT.WHY, why)
                .set(LOT_MOVEMENT.MOVED_BY, stamp.by())
                .set(LOT_MOVEMENT.MOVED_AT, stamp.at().atOffset(ZoneOffset.UTC))
                .execute();
    }

    @Override
    public Map<String, Double> pricePerKg() {
        return prices.get();
    }

    private Map<String, Double> readPrices() {
        return db.select(LOT.INGREDIENT, PRICE)
                .distinctOn(LOT.INGREDIENT)
                .from(LOT)
                .where(PRICE.isNotNull())
                .orderBy(LOT.INGREDIENT, RECEIVED.desc(), LOT.ID.desc())
                .fetchMap(LOT.INGREDIENT, PRICE);
    }

    @Override
    public List<Movement> movements(long lot) {
        return db.select(
                        LOT_MOVEMENT.KIND,
                        LOT_MOVEMENT.GRAMS,
                        LOT_MOVEMENT.RUN,
                        LOT_MOVEMENT.WHY,
                        LOT_MOVEMENT.MOVED_BY,
                        LOT_MOVEMENT.MOVED_AT)
                .from(LOT_MOVEMENT)
                .where(LOT_MOVEMENT.LOT.eq(lot))
                .orderBy(LOT_MOVEMENT.ID)
                .fetch(r -> new Movement(
                        Move.valueOf(r.value1()),
                        r.value2(),
                        r.value3(),
                        r.value4(),
                        new Stamp(r.value5(), r.value6().toInstant())));
    }
}

package org.zeststack.store.rule;

import static org.zeststack.store.schema.Tables.OWN_BOUND;

import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.springframework.stereotype.Repository;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.Trusted;

@Repository
class JooqOwnBounds implements OwnBounds {

    private static final String WHAT = "This bound";

    private final DSLContext db;
    private final Trusted<Bounds> bounds = new Trusted<>(this::read);

    JooqOwnBounds(DSLContext db) {
        this.db = db;
    }

    @Override
    public Bounds bounds() {
        return bounds.get();
    }

    /** Figures that a later table no longer allows are left out: the shipped ones hold again. */
    private Bounds read() {
        Map<String, Bound.Figures> own = new HashMap<>();
        db.select(OWN_BOUND.CODE, OWN_BOUND.LEAST, OWN_BOUND.USUAL, OWN_BOUND.GREATEST)
                .from(OWN_BOUND)
                .forEach(r -> {
                    Bound.Figures figures = figures(r);
                    if (allowed(r.get(OWN_BOUND.CODE), figures)) {
                        own.put(r.get(OWN_BOUND.CODE), figures);
                    }
                });
        return own.isEmpty() ? Bounds.shipped() : Bounds.with(own);
    }

    private static boolean allowed(String code, Bound.Figures figures) {
        try {
            Bounds.shipped().find(code).ifPresent(bound -> Bounds.check(bound, figures));
            return true;
        } catch (InvalidInput no) {
            return false;
        }
    }

    private static Bound.Figures figures(Record r) {
        return new Bound.Figures(r.get(OWN_BOUND.LEAST), r.get(OWN_BOUND.USUAL), r.get(OWN_BOUND.GREATEST));
    }

    @Override
    public Optional<Own> find(String code) {
        return db.select(
                        OWN_BOUND.LEAST,
                        OWN_BOUND.USUAL,
                        OWN_BOUND.GREATEST,
                        OWN_BOUND.WHY,
                        OWN_BOUND.LOCK_VERSION,
                        OWN_BOUND.CHANGED_BY,
                        OWN_BOUND.CHANGED_AT)
                .from(OWN_BOUND)
                .where(OWN_BOUND.CODE.eq(code))
                .fetchOptional(r -> new Own(
                        code,
                        figures(r),
                        r.get(OWN_BOUND.WHY),
                        r.get(OWN_BOUND.LOCK_VERSION),
                        new Stamp(
                                r.get(OWN_BOUND.CHANGED_BY),
                                r.get(OWN_BOUND.CHANGED_AT).toInstant())));
    }

    @Override
    public void add(String code, Bound.Figures figures, String why, Stamp stamp) {
        requireOne(db.insertInto(OWN_BOUND)
                .set(OWN_BOUND.CODE, code)
                .set(OWN_BOUND.LEAST, figures.least())
                .set(OWN_BOUND.USUAL, figures.usual())
                .set(OWN_BOUND.GREATEST, figures.greatest())
                .set(OWN_BOUND.WHY, why)
                .set(OWN_BOUND.CHANGED_BY, stamp.by())
                .set(OWN_BOUND.CHANGED_AT, stamp.at().atOffset(ZoneOffset.UTC))
                .onConflict(OWN_BOUND.CODE)
                .doNothing()
                .execute());
    }

    @Override
    public void save(String code, Bound.Figures figures, String why, int lock, Stamp stamp) {
        requireOne(db.update(OWN_BOUND)
                .set(OWN_BOUND.LEAST, figures.least())
                .set(OWN_BOUND.USUAL, figures.usual())
                .set(OWN_BOUND.GREATEST, figures.greatest())
                .set(OWN_BOUND.WHY, why)
                .set(OWN_BOUND.LOCK_VERSION, lock + 1)
                .set(OWN_BOUND.CHANGED_BY, stamp.by())
                .set(OWN_BOUND.CHANGED_AT, stamp.at().atOffset(ZoneOffset.UTC))
                .where(OWN_BOUND.CODE.eq(code))
                .and(OWN_BOUND.LOCK_VERSION.eq(lock))
                .execute());
    }

    @Override
    public void remove(String code, int lock) {
        requireOne(db.deleteFrom(OWN_BOUND)
                .where(OWN_BOUND.CODE.eq(code))
                .and(OWN_BOUND.LOCK_VERSION.eq(lock))
                .execute());
    }

    private void requireOne(int changed) {
        bounds.forget();
        if (changed != 1) {
            throw new StaleEdit(WHAT);
        }
    }
}

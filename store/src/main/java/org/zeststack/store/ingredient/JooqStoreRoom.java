package org.zeststack.store.ingredient;

import static org.zeststack.store.schema.Sequences.INGREDIENT_REVISION_NUMBER;
import static org.zeststack.store.schema.Tables.DATA_EPOCH;
import static org.zeststack.store.schema.Tables.INGREDIENT;
import static org.zeststack.store.schema.Tables.INGREDIENT_REVISION;

import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientData;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.Trusted;
import org.zeststack.store.json.StoredJson;

@Repository
class JooqStoreRoom implements StoreRoom {

    private final DSLContext db;
    private final Trusted<IngredientTable> trusted = new Trusted<>(this::read);
    private volatile Held held = new Held(-1, null, IngredientTable.of(List.of()));

    private record Held(long revision, UUID epoch, IngredientTable table) {}

    JooqStoreRoom(DSLContext db) {
        this.db = db;
    }

    @Override
    public IngredientTable table() {
        return trusted.get();
    }

    private IngredientTable read() {
        var of = db.select(INGREDIENT_REVISION.REVISION, DATA_EPOCH.EPOCH)
                .from(INGREDIENT_REVISION, DATA_EPOCH)
                .fetchSingle();
        long revision = of.value1();
        UUID epoch = of.value2();
        // The revision is read first: a change in between only means reading the table once more next time.
        Held now = held;
        if (now.revision != revision || !epoch.equals(now.epoch)) {
            now = new Held(revision, epoch, IngredientTable.of(all()));
            held = now;
        }
        return now.table;
    }

    private List<Ingredient> all() {
        return db.select(INGREDIENT.CONTENT)
                .from(INGREDIENT)
                .orderBy(INGREDIENT.SLUG)
                .fetch(r -> StoredJson.read(r.value1(), IngredientData.class).ingredient());
    }

    @Override
    public Optional<Kept> find(String slug) {
        return db.select(INGREDIENT.CONTENT, INGREDIENT.LOCK_VERSION, INGREDIENT.CHANGED_BY, INGREDIENT.CHANGED_AT)
                .from(INGREDIENT)
                .where(INGREDIENT.SLUG.eq(slug))
                .fetchOptional(r -> new Kept(
                        StoredJson.read(r.value1(), IngredientData.class).ingredient(),
                        r.value2(),
                        new Stamp(r.value3(), r.value4().toInstant())));
    }

    @Override
    public boolean add(Ingredient ingredient, Stamp stamp) {
        boolean added = db.transactionResult(tx -> {
            nextRevision(tx.dsl());
            return insert(tx.dsl(), List.of(ingredient), stamp) == 1;
        });
        trusted.forget();
        return added;
    }

    private static int insert(DSLContext dsl, Collection<Ingredient> ingredients, Stamp stamp) {
        var insert = dsl.insertInto(
                INGREDIENT, INGREDIENT.SLUG, INGREDIENT.CONTENT, INGREDIENT.CHANGED_BY, INGREDIENT.CHANGED_AT);
        for (Ingredient i : ingredients) {
            insert = insert.values(
                    i.slug(),
                    StoredJson.write(IngredientData.of(i)),
                    stamp.by(),
                    stamp.at().atOffset(ZoneOffset.UTC));
        }
        return insert.onConflictDoNothing().execute();
    }

    @Override
    public void save(Ingredient ingredient, int lock, Stamp stamp) {
        db.transaction(tx -> {
            int changed = tx.dsl()
                    .update(INGREDIENT)
                    .set(INGREDIENT.CONTENT, StoredJson.write(IngredientData.of(ingredient)))
                    .set(INGREDIENT.LOCK_VERSION, lock + 1)
                    .set(INGREDIENT.CHANGED_BY, stamp.by())
                    .set(INGREDIENT.CHANGED_AT, stamp.at().atOffset(ZoneOffset.UTC))
                    .where(INGREDIENT.SLUG.eq(ingredient.slug()))
                    .and(INGREDIENT.LOCK_VERSION.eq(lock))
                    .execute();
            if (changed != 1) {
                throw new StaleEdit(ingredient.name());
            }
            nextRevision(tx.dsl());
        });
        trusted.forget();
    }

    @Override
    public int fillOnce(Collection<Ingredient> ingredients, Stamp stamp) {
        int taken = db.transactionResult(tx -> {
            // Locked first, so that of two instances starting together one fills and the other finds it filled.
            nextRevision(tx.dsl());
            return tx.dsl().fetchExists(INGREDIENT) ? 0 : insert(tx.dsl(), ingredients, stamp);
        });
        trusted.forget();
        return taken;
    }

    private static void nextRevision(DSLContext dsl) {
        dsl.update(INGREDIENT_REVISION)
                .set(INGREDIENT_REVISION.REVISION, INGREDIENT_REVISION_NUMBER.nextval())
                .execute();
    }
}

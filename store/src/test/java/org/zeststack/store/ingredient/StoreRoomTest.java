package org.zeststack.store.ingredient;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.store.schema.Tables.DATA_EPOCH;
import static org.zeststack.store.schema.Tables.INGREDIENT;
import static org.zeststack.store.schema.Tables.LOT_MOVEMENT;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jooq.DSLContext;
import org.jooq.exception.DataAccessException;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Lot;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.TestDatabase;
import org.zeststack.store.run.TestRuns;

public class StoreRoomTest {

    private static final Stamp STAMP = new Stamp("Ada", Instant.parse("2026-03-01T08:00:00Z"));
    private static final LocalDate DAY = LocalDate.of(2026, 3, 1);

    private DSLContext db;
    private StoreRoom room;
    private Lots lots;

    @BeforeClass
    public void open() {
        db = TestDatabase.fresh().dsl();
        room = new JooqStoreRoom(db);
        lots = new JooqLots(db);
        assertEquals(
                room.fillOnce(IngredientTable.shipped().all(), STAMP),
                IngredientTable.shipped().all().size());
    }

    @Test
    public void theOpenTableIsReadOnceAndComesBackAsItWas() {
        assertEquals(room.fillOnce(IngredientTable.shipped().all(), STAMP), 0, "only into an empty store room");
        IngredientTable table = room.table();
        for (Ingredient shipped : IngredientTable.shipped().all()) {
            Ingredient kept = table.get(shipped.slug());
            assertEquals(kept.per100Grams().byPart(), shipped.per100Grams().byPart(), shipped.slug());
            assertEquals(kept.household(), shipped.household());
            assertEquals(kept.also(), shipped.also());
            assertEquals(kept.basis(), shipped.basis());
        }
        assertSame(room.table(), table, "held in memory while nothing changes");
    }

    @Test(timeOut = 20_000)
    public void aChangeReachesEveryInstanceAndASecondSaverIsTold() {
        Ingredient mine = IngredientTable.shipped().get("tahini");
        Ingredient own = new Ingredient(
                "own-paste",
                "Own paste",
                mine.per100Grams(),
                0,
                0,
                0,
                "",
                Nature.PLAIN,
                0,
                Bulk.MASSIVE,
                0,
                0,
                Map.of(),
                List.of(),
                List.of(),
                Ingredient.Basis.SHEET,
                Map.of(),
                "",
                "",
                null);
        assertTrue(room.add(own, STAMP));
        StoreRoom other = new JooqStoreRoom(db);
        IngredientTable before = other.table();
        StoreRoom.Kept kept = room.find("own-paste").orElseThrow();
        Ingredient changed = kept.ingredient()
                .with(Composition.of(Map.of(Part.OTHER_FAT, 60.0, Part.PROTEIN, 40.0), 42), Ingredient.Basis.SHEET);
        room.save(changed, kept.lock(), STAMP);
        expectThrows(StaleEdit.class, () -> room.save(changed, kept.lock(), STAMP));
        assertEquals(room.table().get("own-paste").per100Grams().grams(Part.PROTEIN), 40.0, "here at once");
        while (other.table() == before) {
            Thread.onSpinWait();
        }
        assertEquals(other.table().get("own-paste").per100Grams().grams(Part.PROTEIN), 40.0);
        assertFalse(room.add(changed, STAMP), "its slug is taken");
    }

    /** After a restore the numbers may be the same and the data others. */
    @Test
    public void ingredientsOfAnotherEpochAreReadAgain() {
        DSLContext own = TestDatabase.fresh().dsl();
        StoreRoom room = new JooqStoreRoom(own);
        room.fillOnce(IngredientTable.shipped().all(), STAMP);
        IngredientTable before = room.table();
        String slug = before.all().iterator().next().slug();
        own.transaction(tx -> {
            tx.dsl().deleteFrom(INGREDIENT).where(INGREDIENT.SLUG.eq(slug)).execute();
            tx.dsl().update(DATA_EPOCH).set(DATA_EPOCH.EPOCH, UUID.randomUUID()).execute();
        });
        while (room.table() == before) {
            Thread.onSpinWait();
        }
        assertTrue(room.table().find(slug).isEmpty());
    }

    private static Lot lot(String code, Double price, Double moisture) {
        return new Lot(code, "Any", DAY, DAY.plusDays(30), price, Map.of(), 42, moisture, false, "shelf");
    }

    @Test
    public void whatIsLeftIsTheSumOfMovementsThatNeverChange() {
        UUID key = UUID.randomUUID();
        long id = lots.add("isomalt", lot("A", 2.0, null), Lots.Move.RECEIVED, 1000, key, STAMP);
        UUID used = UUID.randomUUID();
        assertEquals(lots.move(id, used, Lots.Move.USED, 300, "test", STAMP), Lots.Moved.WRITTEN);
        assertEquals(
                lots.move(id, used, Lots.Move.USED, 300, "test", STAMP), Lots.Moved.KNOWN, "sent twice counts once");
        assertEquals(lots.find(id).orElseThrow().gramsLeft(), 700.0);
        assertEquals(
                lots.movements(id).stream().map(Lots.Movement::move).toList(),
                List.of(Lots.Move.RECEIVED, Lots.Move.USED));
        expectThrows(
                DataAccessException.class,
                () -> db.update(LOT_MOVEMENT).set(LOT_MOVEMENT.GRAMS, 5.0).execute());
        expectThrows(
                DataAccessException.class, () -> db.deleteFrom(LOT_MOVEMENT).execute());
    }

    @Test
    public void twoHandsAtOnceTakeNoMoreThanIsThere() throws Exception {
        long id = lots.add("isomalt", lot("B", 2.0, null), Lots.Move.RECEIVED, 1000, UUID.randomUUID(), STAMP);
        ExecutorService hands = Executors.newFixedThreadPool(4);
        List<Callable<Lots.Moved>> work =
                Collections.nCopies(8, () -> lots.move(id, UUID.randomUUID(), Lots.Move.USED, 300, "at once", STAMP));
        List<Lots.Moved> came = new ArrayList<>();
        for (var one : hands.invokeAll(work)) {
            came.add(one.get());
        }
        hands.shutdown();
        assertEquals(Collections.frequency(came, Lots.Moved.WRITTEN), 3);
        assertEquals(Collections.frequency(came, Lots.Moved.TOO_LITTLE), 5);
        assertEquals(lots.find(id).orElseThrow().gramsLeft(), 100.0);
    }

    @Test
    public void stockEndsAtNothing() {
        long id = lots.add("isomalt", lot("C", 2.0, null), Lots.Move.RECEIVED, 100, UUID.randomUUID(), STAMP);
        assertEquals(lots.move(id, UUID.randomUUID(), Lots.Move.WASTED, 100.06, "", STAMP), Lots.Moved.TOO_LITTLE);
        assertEquals(lots.move(id, UUID.randomUUID(), Lots.Move.COUNTED, 80, "", STAMP), Lots.Moved.WRITTEN);
        assertEquals(lots.move(id, UUID.randomUUID(), Lots.Move.COUNTED, 80, "", STAMP), Lots.Moved.WRITTEN);
        assertEquals(lots.movements(id).size(), 2, "a count that changes nothing is no movement");
        assertEquals(lots.move(id, UUID.randomUUID(), Lots.Move.USED, 80.04, "", STAMP), Lots.Moved.WRITTEN);
        assertEquals(lots.find(id).orElseThrow().gramsLeft(), 0.0, "a scale does not show what was more");
        assertEquals(lots.move(id, UUID.randomUUID(), Lots.Move.COUNTED, 50, "", STAMP), Lots.Moved.WRITTEN);
        long run = TestRuns.planned(db);
        UUID key = UUID.randomUUID();
        lots.use(id, key, 10, run, STAMP);
        lots.use(id, key, 10, run, STAMP);
        assertEquals(lots.find(id).orElseThrow().gramsLeft(), 40.0, "sent twice is taken once");
        lots.use(id, UUID.randomUUID(), 62.5, run, STAMP);
        assertEquals(lots.find(id).orElseThrow().gramsLeft(), 0.0, "a run takes at most what the book holds");
        Lots.Movement last = lots.movements(id).get(lots.movements(id).size() - 1);
        assertEquals(last.why(), "as weighed out by the sheet; 22.5 g more than the book held");
        assertEquals(last.grams(), -40.0);
        assertEquals(last.run(), Long.valueOf(run));
    }

    @Test
    public void pricesAreOfTheLotThatCameLast() {
        lots.add("dextrose", lot("old", 1.0, null), Lots.Move.RECEIVED, 10, UUID.randomUUID(), STAMP);
        Lot later = new Lot("new", "Any", DAY.plusDays(3), null, 3.0, Map.of(), 42, null, false, "");
        long id = lots.add("dextrose", later, Lots.Move.RECEIVED, 20, UUID.randomUUID(), STAMP);
        assertEquals(lots.pricePerKg().get("dextrose"), 3.0);
        // Written down last, but received before it: the price is of the other.
        lots.add("dextrose", lot("found again", 9.0, null), Lots.Move.RECEIVED, 0, UUID.randomUUID(), STAMP);
        assertEquals(lots.pricePerKg().get("dextrose"), 3.0);
        assertEquals(lots.gramsByIngredient().get("dextrose"), 30.0);
        lots.save(id, lot("new", 4.0, 0.12), 0, STAMP);
        expectThrows(StaleEdit.class, () -> lots.save(id, lot("new", 5.0, null), 0, STAMP));
        assertEquals(lots.find(id).orElseThrow().lot(), lot("new", 4.0, 0.12));
    }
}

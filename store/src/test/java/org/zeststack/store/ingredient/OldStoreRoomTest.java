package org.zeststack.store.ingredient;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Set;
import org.flywaydb.core.Flyway;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.store.TestDatabase;

/** A store room in use learns what new ones know, and keeps what somebody changed by hand. */
public class OldStoreRoomTest {

    private static final String WAFER = """
            {"slug": "wafer-sheet", "name": "Our wafers", "gramsIn100": {"WATER": 4, "STARCH": 96}, "dextroseEquivalent": 42,
             "saturates": 0, "liquidFat": 0, "couverture": "", "densityGramsPerMl": 0, "dryActivity": 0.15, "household": {},
             "also": [], "allergens": ["gluten"], "basis": "SHEET", "plusMinus": {}, "caution": "", "note": "ours"}
            """;
    private static final String GLYCEROL = """
            {"slug": "glycerol", "name": "Glycerol", "gramsIn100": {"WATER": 0.5, "POLYOLS": 99.5}, "dextroseEquivalent": 42,
             "saturates": 0, "liquidFat": 0, "couverture": "", "densityGramsPerMl": 0, "dryActivity": 0, "household": {},
             "also": [], "allergens": [], "basis": "DEFINED", "plusMinus": {}, "caution": "", "note": ""}
            """;
    private static final String COCONUT = """
            {"slug": "coconut-oil", "name": "Coconut oil", "gramsIn100": {"OTHER_FAT": 100}, "dextroseEquivalent": 42,
             "saturates": 90, "liquidFat": 40, "couverture": "", "densityGramsPerMl": 0, "dryActivity": 0, "household": {},
             "also": [], "allergens": [], "basis": "DEFINED", "plusMinus": {}, "caution": "", "note": ""}
            """;

    @Test
    public void learnsPoresSodiumAndPolyolsAndKeepsWhatIsItsOwn() {
        TestDatabase database = TestDatabase.empty();
        Flyway.configure()
                .dataSource(database.url(), database.user(), "")
                .target("3")
                .load()
                .migrate();
        var db = database.dsl();
        String insert = "insert into ingredient (slug, content, lock_version, changed_by, changed_at)"
                + " values (?, ?::jsonb, ?, 'Ada', now())";
        db.execute(insert, "wafer-sheet", WAFER, 3);
        db.execute(insert, "glycerol", GLYCEROL, 0);
        db.execute(insert, "coconut-oil", COCONUT, 0);
        db.execute(insert, "compound-ours", COCONUT.replace("coconut-oil", "compound-ours"), 0);
        db.execute(
                insert,
                "our-sparks",
                COCONUT.replace("coconut-oil", "our-sparks")
                        .replace("\"caution\": \"\"", "\"caution\": \"Must stay dry\""),
                0);
        Flyway.configure()
                .dataSource(database.url(), database.user(), "")
                .load()
                .migrate();
        IngredientTable table = new JooqStoreRoom(db).table();
        assertEquals(table.get("wafer-sheet").name(), "Our wafers", "what was changed by hand stays");
        assertEquals(table.get("wafer-sheet").bulk(), Bulk.of(0.2), "and it has its pores");
        assertEquals(table.get("glycerol").per100Grams().grams(Part.GLYCEROL), 99.5);
        assertEquals(table.get("glycerol").per100Grams().grams(Part.POLYOLS), 0.0);
        assertEquals(table.get("coconut-oil").liquidFatPer100Grams(), 63.0, "nobody had changed it");
        assertEquals(table.get("wafer-sheet").nature(), new Nature(Nature.Kind.BAKERY, Set.of(Nature.Risk.STAY_DRY)));
        assertEquals(table.get("compound-ours").nature(), new Nature(Nature.Kind.COMPOUND, Set.of()));
        assertEquals(table.get("our-sparks").nature(), new Nature(Nature.Kind.PLAIN, Set.of(Nature.Risk.STAY_DRY)));
        assertTrue(table.find("sorbitol").isPresent(), "new ingredients come too");
        table.all().forEach(i -> i.check());
    }

    @Test
    public void anEmptyOneStaysEmptyForItsFirstStart() {
        TestDatabase database = TestDatabase.empty();
        Flyway.configure()
                .dataSource(database.url(), database.user(), "")
                .load()
                .migrate();
        assertTrue(new JooqStoreRoom(database.dsl()).table().all().isEmpty());
    }

    /** What the migration brings is what the open table holds. */
    @Test
    public void theMigrationAgreesWithTheOpenTable() {
        TestDatabase database = TestDatabase.empty();
        Flyway.configure()
                .dataSource(database.url(), database.user(), "")
                .target("3")
                .load()
                .migrate();
        database.dsl()
                .execute(
                        "insert into ingredient (slug, content, changed_by, changed_at) values (?, ?::jsonb, 'Ada', now())",
                        "coconut-oil",
                        COCONUT);
        Flyway.configure()
                .dataSource(database.url(), database.user(), "")
                .load()
                .migrate();
        IngredientTable table = new JooqStoreRoom(database.dsl()).table();
        IngredientTable shipped = IngredientTable.shipped();
        assertFalse(table.all().isEmpty());
        table.all().forEach(i -> {
            assertEquals(
                    i.per100Grams().byPart(),
                    shipped.get(i.slug()).per100Grams().byPart(),
                    i.slug());
            assertEquals(i.bulk(), shipped.get(i.slug()).bulk(), i.slug());
            assertEquals(i.household(), shipped.get(i.slug()).household(), i.slug());
            assertEquals(i.nature(), shipped.get(i.slug()).nature(), i.slug());
            assertEquals(i.wetActivity(), shipped.get(i.slug()).wetActivity(), i.slug());
            assertEquals(i.allergens(), shipped.get(i.slug()).allergens(), i.slug());
        });
    }
}

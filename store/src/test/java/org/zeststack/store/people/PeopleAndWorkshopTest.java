package org.zeststack.store.people;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import org.jooq.DSLContext;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.workshop.Mould;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.TestDatabase;
import org.zeststack.store.workshop.TestWorkshop;
import org.zeststack.store.workshop.WorkshopStore;

public class PeopleAndWorkshopTest {

    private static final Instant NOW = Instant.parse("2026-03-01T08:00:00Z");
    private static final Stamp STAMP = new Stamp("Ada", NOW);

    private People people;
    private Tokens tokens;
    private WorkshopStore workshop;

    @BeforeClass
    public void open() {
        DSLContext db = TestDatabase.fresh().dsl();
        people = new JooqPeople(db);
        tokens = new JooqTokens(db);
        workshop = TestWorkshop.of(db);
    }

    @Test
    public void aLoginIsTakenOnce() {
        assertTrue(people.add("ada", "Ada", "hash", Role.OWNER, NOW));
        assertFalse(people.add("ada", "Another", "hash", Role.VIEWER, NOW));
        Person ada = people.find("ada").orElseThrow();
        assertEquals(ada.role(), Role.OWNER);
        people.setActive(ada.id(), false);
        assertFalse(people.find("ada").orElseThrow().active());
        assertFalse(people.none());
    }

    @Test
    public void failuresAreCountedByLoginAndByAddress() {
        people.noteFailure("bo", "10.0.0.1", NOW);
        people.noteFailure("cy", "10.0.0.1", NOW.minusSeconds(30));
        people.noteFailure("bo", "10.0.0.2", NOW.minusSeconds(7200));
        assertEquals(people.failuresSince("bo", "10.0.0.9", NOW.minusSeconds(60)), new People.Failures(1, 0));
        assertEquals(people.failuresSince("nobody", "10.0.0.1", NOW.minusSeconds(60)), new People.Failures(0, 2));
        people.forgetFailures("bo");
        assertEquals(people.failuresSince("bo", "10.0.0.9", NOW.minusSeconds(9000)), new People.Failures(0, 0));
    }

    @Test
    public void aRevokedTokenIsNotFound() {
        byte[] hash = new byte[32];
        tokens.add("scale", hash, true, "Ada", NOW);
        Tokens.Token token = tokens.findValid(hash).orElseThrow();
        assertTrue(token.loopbackOnly());
        tokens.revoke(token.id(), NOW);
        assertTrue(tokens.findValid(hash).isEmpty());
        assertTrue(tokens.all().get(0).revoked());
    }

    @Test
    public void settingsAreSetUpOnceAndSavedUnderALock() {
        assertTrue(workshop.setUp("Quay", false, new Place(Place.By.ALTITUDE, 650), STAMP));
        assertFalse(workshop.setUp("Late", true, Place.SEA_LEVEL, STAMP));
        workshop.savePlace("Quay", new Place(Place.By.PRESSURE, 93), 0, STAMP);
        expectThrows(StaleEdit.class, () -> workshop.savePlace("Quay", Place.SEA_LEVEL, 0, STAMP));
        assertEquals(workshop.place().orElseThrow().content(), new Place(Place.By.PRESSURE, 93));
        assertFalse(workshop.justMe());
    }

    @Test
    public void mouldsAndThermometersComeBackAsTheyWere() {
        Mould mould = new Mould(new TaperedCavity(100, 30, 95, 25, 12.5), 1.5, 31.5, 2, 5, 4);
        long id = workshop.addMould("ten", mould, STAMP);
        assertEquals(workshop.mould(id).orElseThrow().content(), mould);
        workshop.saveMould(id, "ten b", mould, 0, STAMP);
        expectThrows(StaleEdit.class, () -> workshop.saveMould(id, "ten c", mould, 0, STAMP));
        Thermometer probe =
                new Thermometer(Thermometer.Kind.INFRARED, 0.4, 98.5, 97.8, java.time.LocalDate.of(2026, 11, 3));
        long t = workshop.addThermometer("gun", probe, STAMP);
        assertEquals(workshop.thermometer(t).orElseThrow().content(), probe);
        expectThrows(StaleEdit.class, () -> workshop.saveThermometer(t, "gun", probe, 5, STAMP));
    }
}

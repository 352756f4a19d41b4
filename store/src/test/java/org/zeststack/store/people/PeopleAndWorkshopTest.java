package org.zeststack.store.people;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.IntFunction;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
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

    private DSLContext db;
    private People people;
    private Tokens tokens;
    private WorkshopStore workshop;

    @BeforeClass
    public void open() {
        db = TestDatabase.fresh().dsl();
        people = new JooqPeople(db);
        tokens = new JooqTokens(db);
        workshop = TestWorkshop.of(db);
    }

    @Test
    public void aLoginIsTakenOnce() {
        assertTrue(people.add("ada", "Ada", "hash", Role.OWNER, NOW));
        assertTrue(people.add("bea", "Bea", "hash", Role.OWNER, NOW));
        assertFalse(people.add("ada", "Another", "hash", Role.VIEWER, NOW));
        Person ada = people.find("ada").orElseThrow();
        assertEquals(ada.role(), Role.OWNER);
        people.setActive(ada.id(), false);
        assertFalse(people.find("ada").orElseThrow().active());
        assertFalse(people.none());
    }

    private static final People.Waits WAITS = new People.Waits() {
        @Override
        public Duration ofAccount(int failures) {
            return failures < 2 ? Duration.ZERO : Duration.ofSeconds(10);
        }

        @Override
        public Duration ofAddress(int failures) {
            return failures < 3 ? Duration.ZERO : Duration.ofSeconds(20);
        }
    };

    private Duration tried(String login, String address, byte[] device, int second) {
        return people.mayTry(
                new People.Try(login, address, device, NOW.plusSeconds(second)), Duration.ofMinutes(1), WAITS);
    }

    @Test
    public void triesWaitByAccountAndByAddressAndKnownDevicesApart() {
        byte[] device = new byte[32];
        people.know(device, "bo", NOW);
        assertTrue(people.knows(device, "bo") && !people.knows(device, "cy") && !people.knows(new byte[] {1}, "bo"));
        assertEquals(tried("bo", "10.0.0.1", null, 0), Duration.ZERO);
        assertEquals(tried("bo", "10.0.0.2", null, 1), Duration.ZERO);
        assertEquals(tried("bo", "10.0.0.3", null, 2), Duration.ofSeconds(9), "whatever the address");
        assertEquals(tried("bo", "10.0.0.3", null, 2), Duration.ofSeconds(9), "what had to wait is no try");
        assertEquals(tried("bo", "10.0.0.3", device, 2), Duration.ZERO, "a known device has its own count");
        assertEquals(tried("bo", "10.0.0.3", device, 3), Duration.ZERO);
        assertEquals(tried("bo", "10.0.0.3", device, 4), Duration.ofSeconds(9));
        assertEquals(tried("bo", "10.0.0.4", null, 11), Duration.ZERO, "the wait is over");
        people.succeeded(new People.Try("bo", "10.0.0.3", device, NOW.plusSeconds(12)));
        assertEquals(tried("bo", "10.0.0.3", device, 12), Duration.ZERO);
        assertEquals(tried("bo", "10.0.0.4", null, 12), Duration.ofSeconds(9), "others' failures stay");
        assertEquals(tried("bo", "10.0.0.4", null, 200), Duration.ZERO, "and are forgotten after a while");
        for (int i = 0; i < 3; i++) {
            assertEquals(tried("name " + i, "10.9.9.9", null, 300 + i), Duration.ZERO);
        }
        assertEquals(tried("cy", "10.9.9.9", null, 303), Duration.ofSeconds(19));
        assertEquals(
                tried("cy", "10.9.9.8", null, 303), Duration.ZERO, "a wall of wrong names stands at its own address");
        assertEquals(tried("bo", "10.9.9.9", device, 303), Duration.ZERO, "and a known device passes it");
        for (String who : List.of("x", "y")) {
            assertEquals(tried(who, "10.9.9.7", null, 304), Duration.ZERO);
        }
        assertEquals(tried("bo", "10.9.9.7", device, 305), Duration.ZERO);
        assertEquals(
                tried("z", "10.9.9.7", null, 306), Duration.ZERO, "tries of a known device are none of its address");
    }

    @Test
    public void failuresCountForTheirWholeWindow() {
        Duration window = Duration.ofHours(1);
        Duration hours = Duration.ofHours(20);
        People.Waits long1 = new People.Waits() {
            @Override
            public Duration ofAccount(int failures) {
                return failures < 2 ? Duration.ZERO : hours;
            }

            @Override
            public Duration ofAddress(int failures) {
                return Duration.ZERO;
            }
        };
        IntFunction<Duration> tried = second ->
                people.mayTry(new People.Try("wim", "10.3.0.1", null, NOW.plusSeconds(second)), window, long1);
        assertEquals(tried.apply(0), Duration.ZERO);
        assertEquals(tried.apply(1), Duration.ZERO);
        people.mayTry(new People.Try("another", "10.3.0.2", null, NOW.plusSeconds(3500)), window, long1);
        assertTrue(tried.apply(3599).compareTo(Duration.ZERO) > 0, "both are in the window");
        assertEquals(tried.apply(3601), Duration.ZERO, "the first one is no longer");
    }

    @Test
    public void aSessionThatEndedIsNotThere() {
        String sql = "insert into spring_session (primary_id, session_id, creation_time, last_access_time,"
                + " max_inactive_interval, expiry_time) values ({0}, {0}, 0, 0, 60, {1})";
        long now = NOW.toEpochMilli();
        List<String> ids = List.of("stays", "ends", "never").stream()
                .map(name -> UUID.nameUUIDFromBytes(name.getBytes(UTF_8)).toString())
                .toList();
        db.execute(sql, DSL.val(ids.get(0)), DSL.val(now + 1));
        db.execute(sql, DSL.val(ids.get(1)), DSL.val(now));
        assertEquals(people.sessionsThere(ids, NOW), Set.of(ids.get(0)));
    }

    @Test
    public void aWorkshopKeepsAnOwner() throws Exception {
        db.execute("update person set role = 'BENCH'");
        people.add("one", "One", "x", Role.OWNER, NOW);
        people.add("two", "Two", "x", Role.OWNER, NOW);
        long one = people.find("one").orElseThrow().id();
        long two = people.find("two").orElseThrow().id();
        ExecutorService hands = Executors.newFixedThreadPool(2);
        for (int i = 0; i < 20; i++) {
            people.setRole(one, Role.OWNER);
            people.setRole(two, Role.OWNER);
            List<Callable<Boolean>> both = i % 2 == 0
                    ? List.of(() -> people.setRole(one, Role.VIEWER), () -> people.setRole(two, Role.BENCH))
                    : List.of(() -> people.setActive(one, false), () -> people.setRole(two, Role.BENCH));
            int done = 0;
            for (var demoted : hands.invokeAll(both)) {
                done += demoted.get() ? 1 : 0;
            }
            assertEquals(done, 1, "round " + i);
            people.setActive(one, true);
        }
        hands.shutdown();
        people.setRole(one, Role.OWNER);
        assertTrue(people.setRole(two, Role.VIEWER));
        assertFalse(people.setActive(one, false), "the last one");
        assertFalse(people.setRole(one, Role.VIEWER));
        assertTrue(people.find("one").orElseThrow().active());
        assertTrue(people.setRole(one, Role.OWNER), "what changes nothing is done");
    }

    @Test
    public void ofManyTriesAtOnceNoMoreAreMadeThanOneAfterTheOther() throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(8);
        List<Callable<Duration>> all = Collections.nCopies(
                40, () -> people.mayTry(new People.Try("dee", "10.1.1.1", null, NOW), Duration.ofMinutes(1), WAITS));
        int made = 0;
        for (var one : hands.invokeAll(all)) {
            made += one.get().isZero() ? 1 : 0;
        }
        hands.shutdown();
        assertEquals(made, 2);
    }

    @Test
    public void whatHappenedToPeopleIsKept() {
        people.note(new People.Event(NOW, "ada", "bo", "kept out"));
        people.note(new People.Event(NOW.plusSeconds(1), "ada", "bo", "let in"));
        assertEquals(people.events(2).stream().map(People.Event::what).toList(), List.of("let in", "kept out"));
    }

    @Test
    public void aRevokedTokenIsNotFound() {
        byte[] hash = new byte[32];
        tokens.add("scale", hash, true, new Tokens.Maker("ada", "Ada"), NOW);
        Tokens.Token token = tokens.findValid(hash).orElseThrow();
        assertTrue(token.loopbackOnly());
        assertEquals(tokens.revokeOf(new Tokens.Maker("bo", "Ada"), NOW), 0, "names may be the same");
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

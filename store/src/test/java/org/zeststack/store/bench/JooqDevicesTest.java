package org.zeststack.store.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.testng.annotations.Test;
import org.zeststack.store.TestDatabase;
import org.zeststack.store.run.TestRuns;

public class JooqDevicesTest {

    private static final Instant SINCE = Instant.parse("2026-03-02T09:00:00Z");

    private static Devices.Device device(String name, int unsent, boolean gone, Instant heard) {
        return new Devices.Device(UUID.nameUUIDFromBytes(name.getBytes()), name, "Teo", unsent, gone, heard);
    }

    @Test
    public void thoseWithSomethingUnsentAndThoseThatFellSilentAreTold() {
        DSLContext db = TestDatabase.fresh().dsl();
        Devices devices = new JooqDevices(db);
        long run = TestRuns.planned(db);
        assertTrue(devices.heard(run, device("one unsent", 1, false, SINCE)));
        devices.heard(run, device("left with four", 4, true, SINCE.minusSeconds(600)));
        devices.heard(run, device("silent", 0, false, SINCE.minusSeconds(1)));
        devices.heard(run, device("there", 0, false, SINCE));
        devices.heard(run, device("left", 0, true, SINCE.minusSeconds(600)));
        assertEquals(names(devices, run), List.of("left with four", "one unsent", "silent"));

        devices.heard(run, device("one unsent", 0, false, SINCE.plusSeconds(10)));
        devices.heard(run, device("silent", 0, true, SINCE.minusSeconds(1)));
        assertEquals(names(devices, run), List.of("left with four"), "what a device tells last counts");
        assertEquals(names(devices, TestRuns.planned(db)), List.of(), "each run has its own");
        assertFalse(devices.heard(999_999, device("there", 0, false, SINCE)), "no such run");
    }

    private static List<String> names(Devices devices, long run) {
        return devices.withUnsent(run, SINCE).stream().map(Devices.Device::name).toList();
    }
}

package org.zeststack.store.bench;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** What the devices at the bench told last of what they have not sent. */
public interface Devices {

    /**
     * A device as it was heard last.
     *
     * @param name what it calls itself
     * @param person who worked at it
     * @param unsent how many entries of the run waited on it
     * @param gone whether its page was left
     */
    record Device(UUID key, String name, String person, int unsent, boolean gone, Instant heardAt) {}

    /** Notes what a device tells; false where there is no such run. */
    boolean heard(long run, Device device);

    /** Those that have unsent entries, and those that fell silent with their page open since a moment and may have some. */
    List<Device> withUnsent(long run, Instant silentSince);
}

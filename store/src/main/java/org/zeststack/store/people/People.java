package org.zeststack.store.people;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Keeps people and counts their failed sign-ins. */
public interface People {

    /** Adds a person; false if the login is taken. */
    boolean add(String login, String name, String passwordHash, Role role, Instant now);

    Optional<Person> find(String login);

    List<Person> all();

    boolean none();

    /**
     * Lets a person in or keeps them out.
     *
     * @return false, and nothing is changed, where nobody would be left who owns the workshop
     */
    boolean setActive(long id, boolean active);

    void setPassword(long id, String passwordHash);

    /**
     * Gives a person another role.
     *
     * @return false, and nothing is changed, where nobody would be left who owns the workshop
     */
    boolean setRole(long id, Role role);

    /**
     * One try to sign in.
     *
     * @param device of somebody who signed in from it before, by what it carries; null where it is not known
     */
    record Try(String login, String address, byte[] device, Instant at) {}

    /**
     * Asks whether a try may be made, and counts it as failed until it is known to be right. Of many at once each sees those
     * before it.
     *
     * @param waits how long to wait after so many failures
     * @return how long this one has to wait; zero where it may be made and is counted
     */
    Duration mayTry(Try one, Duration window, Waits waits);

    /** How long to wait after the last of so many failures within the window. */
    interface Waits {

        /** Of an account on devices that are not known, or on one that is. */
        Duration ofAccount(int failures);

        /** Of an address, on devices that are not known. */
        Duration ofAddress(int failures);
    }

    /** The try was right: what failed of this account on this device, or on unknown ones, is forgotten. */
    void succeeded(Try one);

    void forgetFailures(String login);

    /** Notes a device that somebody signed in from. */
    void know(byte[] device, String login, Instant at);

    boolean knows(byte[] device, String login);

    /** What happened to people and tokens; nothing of it is ever changed. */
    record Event(Instant at, String by, String about, String what) {}

    void note(Event event);

    /** The newest, newest first. */
    List<Event> events(int most);

    /** Those of these sessions that are still there. */
    Set<String> sessionsThere(Collection<String> sessions, Instant now);
}

package org.zeststack.store.people;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Keeps people and counts their failed sign-ins. */
public interface People {

    /** Adds a person; false if the login is taken. */
    boolean add(String login, String name, String passwordHash, Role role, Instant now);

    Optional<Person> find(String login);

    List<Person> all();

    boolean none();

    /** Lets a person in or keeps them out. */
    void setActive(long id, boolean active);

    void setPassword(long id, String passwordHash);

    void setRole(long id, Role role);

    void noteFailure(String login, String address, Instant at);

    /** Failed sign-ins since a moment. */
    record Failures(int byLogin, int byAddress) {}

    Failures failuresSince(String login, String address, Instant since);

    void forgetFailures(String login);
}

package org.zeststack.store.people;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Bearer tokens of programs. Only their SHA-256 is kept. */
public interface Tokens {

    /**
     * A token as kept.
     *
     * @param loopbackOnly refused from anywhere but this machine
     */
    record Token(long id, String label, boolean loopbackOnly, String createdBy, Instant createdAt, boolean revoked) {}

    /** Who made a token. */
    record Maker(String login, String name) {}

    void add(String label, byte[] sha256, boolean loopbackOnly, Maker of, Instant now);

    /** A token that was not revoked. */
    Optional<Token> findValid(byte[] sha256);

    List<Token> all();

    void revoke(long id, Instant now);

    /** Revokes every token of a person; returns how many there were. */
    int revokeOf(Maker of, Instant now);
}

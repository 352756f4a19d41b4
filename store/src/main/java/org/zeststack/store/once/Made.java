package org.zeststack.store.once;

import java.time.Instant;
import java.util.UUID;

/** Remembers for a week what forms have made, by the form's key and content. All within the transaction that makes it. */
public interface Made {

    /**
     * Begins to make something; while another transaction makes the same, this one waits for it.
     *
     * @param content SHA-256 of what was sent
     * @return false where it is made already
     */
    boolean begin(UUID key, byte[] content, String by, Instant now);

    /** Notes where what was made is seen. */
    void finish(UUID key, byte[] content, String address);

    /** Where what was made is seen. */
    String address(UUID key, byte[] content);
}

package org.zeststack.store.bench;

import java.util.List;
import java.util.UUID;

/** Something else was written down under the same key. */
public final class KeyTaken extends RuntimeException {

    private final transient List<UUID> keys;

    KeyTaken(List<UUID> keys) {
        super("Something else was written down under the same key.");
        this.keys = List.copyOf(keys);
    }

    public List<UUID> keys() {
        return keys;
    }
}

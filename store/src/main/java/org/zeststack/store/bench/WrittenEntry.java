package org.zeststack.store.bench;

import org.jooq.JSONB;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.EntryKind;
import org.zeststack.core.bench.FromNewer;
import org.zeststack.store.json.StoredJson;

/** Reads bodies of entries as they were written. */
final class WrittenEntry {

    private WrittenEntry() {}

    /** One whose kind or fields this release does not know is told as a newer release's. */
    static EntryBody read(String kind, JSONB body) {
        return EntryKind.named(kind)
                .<EntryBody>flatMap(k -> StoredJson.known(body, k.type()))
                .orElseGet(() -> new FromNewer(kind));
    }
}

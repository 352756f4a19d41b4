package org.zeststack.store.bench;

import org.jooq.DSLContext;

/** Opens the store of the bench to tests of other packages. */
public final class TestBench {

    private TestBench() {}

    public static Bench of(DSLContext db) {
        return new JooqBench(db);
    }
}

package org.zeststack.store.workshop;

import org.jooq.DSLContext;

/** Opens the workshop store to tests of other packages. */
public final class TestWorkshop {

    private TestWorkshop() {}

    public static WorkshopStore of(DSLContext db) {
        return new JooqWorkshopStore(db);
    }

    public static Aside aside(DSLContext db) {
        return new JooqAside(db);
    }
}

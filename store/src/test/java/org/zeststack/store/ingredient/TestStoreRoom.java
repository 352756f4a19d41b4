package org.zeststack.store.ingredient;

import org.jooq.DSLContext;

/** Opens the store of lots to tests of other packages. */
public final class TestStoreRoom {

    private TestStoreRoom() {}

    public static Lots lots(DSLContext db) {
        return new JooqLots(db);
    }
}

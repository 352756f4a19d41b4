package org.zeststack.store.design;

import org.jooq.DSLContext;
import org.zeststack.core.bar.Bar;

/** Opens the design stores to tests of other packages. */
public final class TestDesigns {

    private TestDesigns() {}

    public static Designs<Bar> bars(DSLContext db) {
        return new DesignStores().bars(db);
    }
}

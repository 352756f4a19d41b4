package org.zeststack.store.design;

import org.jooq.DSLContext;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.box.Box;
import org.zeststack.core.formula.Formula;

/** Opens the design stores to tests of other packages. */
public final class TestDesigns {

    private TestDesigns() {}

    public static Designs<Bar> bars(DSLContext db) {
        return new DesignStores().bars(db);
    }

    public static Designs<Formula> formulas(DSLContext db) {
        return new DesignStores().formulas(db);
    }

    public static Designs<Box> boxes(DSLContext db) {
        return new DesignStores().boxes(db);
    }
}

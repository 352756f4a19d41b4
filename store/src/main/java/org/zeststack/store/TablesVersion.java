package org.zeststack.store;

import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;

/** Which change of the tables was the last one. */
@Repository
public class TablesVersion {

    private static final Field<Integer> VERSION =
            DSL.max(DSL.field(DSL.name("version"), String.class).cast(Integer.class));

    private final DSLContext db;

    TablesVersion(DSLContext db) {
        this.db = db;
    }

    /** Its number, read anew. */
    public int read() {
        return db.select(VERSION)
                .from(DSL.table(DSL.name("flyway_schema_history")))
                .where(DSL.field(DSL.name("success"), Boolean.class))
                .fetchSingle(VERSION);
    }
}

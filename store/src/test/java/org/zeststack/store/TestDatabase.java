package org.zeststack.store;

import java.util.concurrent.atomic.AtomicInteger;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.postgresql.ds.PGSimpleDataSource;
import org.zeststack.postgres.PrivatePostgres;

/** One throw-away PostgreSQL per test run; every test class gets a migrated database of its own by cloning a template. */
public final class TestDatabase {

    private static final String TEMPLATE = "template_zest";
    private static final AtomicInteger NUMBER = new AtomicInteger();
    private static PrivatePostgres server;

    private final String name;

    private TestDatabase(String name) {
        this.name = name;
    }

    /** A new database with nothing in it. */
    public static synchronized TestDatabase empty() {
        fresh();
        return made("");
    }

    /** A new migrated database. */
    public static synchronized TestDatabase fresh() {
        if (server == null) {
            server = PrivatePostgres.throwAway();
            server.execute(PrivatePostgres.NAME, "create database " + TEMPLATE);
            Flyway.configure()
                    .dataSource(server.url(TEMPLATE), PrivatePostgres.NAME, "")
                    .load()
                    .migrate();
        }
        return made(" template " + TEMPLATE);
    }

    /** A new database that begins as this one stands; nobody may be connected to it. */
    public TestDatabase copy() {
        return made(" template " + name);
    }

    private static synchronized TestDatabase made(String from) {
        String name = "test_" + NUMBER.incrementAndGet();
        server.execute(PrivatePostgres.NAME, "create database " + name + from);
        return new TestDatabase(name);
    }

    /** Runs something on the server itself, beside every database of a test. */
    public static synchronized void onServer(String sql) {
        server.execute(PrivatePostgres.NAME, sql);
    }

    public String url() {
        return server.url(name);
    }

    public String user() {
        return PrivatePostgres.NAME;
    }

    public DSLContext dsl() {
        PGSimpleDataSource source = new PGSimpleDataSource();
        source.setUrl(url());
        source.setUser(user());
        return DSL.using(source, SQLDialect.POSTGRES);
    }
}

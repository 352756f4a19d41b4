package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpResponse;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.Test;
import org.zeststack.store.TestDatabase;

/** The database is shut and opened again under a running application. */
public class OutOfReachTest {

    @Test
    public void aShutDatabaseIsToldAndComesBackByItself() throws Exception {
        try (TestApp app = TestApp.demo()) {
            Visitor runa = new Visitor(app.url()).signIn("runa", "lantern-harbour");
            assertEquals(runa.get("/bars").statusCode(), 200);
            String csrf = runa.csrf();
            String name = app.bean(JdbcTemplate.class).queryForObject("select current_database()", String.class);
            TestDatabase.onServer("alter database " + name + " allow_connections false");
            TestDatabase.onServer(
                    "select pg_terminate_backend(pid) from pg_stat_activity where datname = '" + name + "'");

            HttpResponse<String> page = runa.get("/bars");
            assertEquals(page.statusCode(), 503);
            assertTrue(page.body().contains("The workshop's memory does not answer"), page.body());
            assertTrue(page.body().contains("Nothing that was written down is lost"), page.body());
            assertFalse(page.body().contains("Exception"), "no words of the program");
            HttpResponse<String> entry = runa.postJson("/bench/4/entries", "{}", csrf);
            assertEquals(entry.statusCode(), 503);
            assertTrue(entry.body().contains("unreached"), entry.body());
            assertEquals(runa.get("/assets/css/zest.css").statusCode(), 200, "styles ask for nothing");
            assertEquals(new Visitor(app.url()).get("/assets/js/bench.js").statusCode(), 200, "nor scripts");

            TestDatabase.onServer("alter database " + name + " allow_connections true");
            HttpResponse<String> back = runa.get("/bars");
            for (int i = 0; i < 20 && back.statusCode() != 200; i++) {
                Thread.sleep(250);
                back = runa.get("/bars");
            }
            assertEquals(back.statusCode(), 200, "and still signed in");
        }
    }
}

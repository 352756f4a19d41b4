package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.zaxxer.hikari.HikariDataSource;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.Test;

/** What one person sends all at once leaves others their connections. */
public class StarvationTest extends WithDemo {

    @Test
    public void fortyOfOneKeyHoldFewConnectionsAndMakeOneThing() throws Exception {
        Visitor runa = new Visitor(app.url()).signIn("runa", "lantern-harbour");
        Visitor teo = new Visitor(app.url()).signIn("teo", "lantern-harbour");
        String page = runa.get("/store-room/lots/new").body();
        Map<String, String> fields = new HashMap<>(Map.of(
                "ingredient", "Honey", "grams", "500", "code", "FORTY", "received", "2026-11-02", "move", "RECEIVED"));
        fields.put("once", UUID.randomUUID().toString());
        fields.put("_csrf", runa.csrf());
        assertTrue(page.contains("name=\"once\""));
        HikariDataSource pool = app.bean(DataSource.class).unwrap(HikariDataSource.class);
        AtomicInteger most = new AtomicInteger();
        ExecutorService hands = Executors.newFixedThreadPool(41);
        List<Future<HttpResponse<String>>> sent = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            sent.add(hands.submit(() -> runa.post("/store-room/lots", fields)));
        }
        Future<?> watch = hands.submit(() -> {
            while (sent.stream().anyMatch(one -> !one.isDone())) {
                most.accumulateAndGet(pool.getHikariPoolMXBean().getActiveConnections(), Math::max);
            }
        });
        for (int i = 0; i < 10; i++) {
            assertEquals(teo.get("/bars").statusCode(), 200, "somebody else's page");
        }
        for (Future<HttpResponse<String>> one : sent) {
            assertEquals(one.get().statusCode() / 100, 3, one.get().body());
        }
        watch.get();
        hands.shutdown();
        assertTrue(most.get() <= 8, most + " connections at once");
        assertEquals(
                app.bean(JdbcTemplate.class)
                        .queryForObject("select count(*) from lot where content ->> 'code' = 'FORTY'", Integer.class),
                Integer.valueOf(1));
    }
}

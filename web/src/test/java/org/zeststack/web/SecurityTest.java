package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Roles, CSRF, headers and throttling, checked at the server without a browser's help. */
public class SecurityTest extends WithDemo {

    /** Five seconds are to be waited from the last wrong guess on, less only what went by since it was begun. */
    private static void waitsFive(long begunNanos, String told) {
        Matcher seconds =
                Pattern.compile("(?:/sign-in\\?wait=|try again in )([0-9]+)").matcher(told);
        assertTrue(seconds.find(), told);
        int wait = Integer.parseInt(seconds.group(1));
        double gone = (System.nanoTime() - begunNanos) / 1e9;
        assertTrue(wait <= 5 && wait >= Math.floor(5 - gone), wait + " s to wait, " + gone + " s gone by");
    }

    private Visitor visitor(String login) throws Exception {
        return new Visitor(app.url()).signIn(login, "lantern-harbour");
    }

    @Test
    public void everyPageAsksForSigningIn() throws Exception {
        for (String path : new String[] {"/", "/bars", "/formulas/1", "/runs", "/bench/4", "/ledger", "/workshop"}) {
            HttpResponse<String> response = new Visitor(app.url()).get(path);
            assertEquals(response.statusCode(), 302, path);
            String to = path.equals("/") ? "" : "?to=" + path.replace("/", "%2F");
            assertTrue(response.headers().firstValue("Location").orElse("").endsWith("/sign-in" + to), path);
            assertTrue(response.headers().firstValue("Set-Cookie").isEmpty(), "nothing is kept of strangers");
        }
        HttpClient quiet = HttpClient.newHttpClient();
        HttpResponse<String> fetched = quiet.send(
                HttpRequest.newBuilder(URI.create(app.url() + "/hello"))
                        .header("X-Requested-With", "fetch")
                        .build(),
                BodyHandlers.ofString());
        assertEquals(fetched.statusCode(), 401, "a queue that outlived its session waits for sign-in");
    }

    @DataProvider
    public Object[][] deeds() {
        return new Object[][] {
            // path, viewer, bench hand, owner
            {"/formulas/0", 403, 403, 400},
            {"/formulas/1", 403, 403, 400},
            {"/bars/4", 403, 403, 400},
            {"/bars/99/archive", 403, 403, 404},
            {"/runs", 403, 403, 400},
            {"/runs/5/start", 403, 302, 302},
            {"/workshop/place", 403, 403, 400},
            {"/formulas/1/act", 200, 200, 200},
            {"/formulas/1/versions/1/choose", 403, 403, 302},
            {"/formulas/import", 403, 403, 400},
            {"/runs/5/lots", 403, 302, 302},
            {"/store-room/lots", 403, 403, 400},
            {"/store-room/lots/1", 403, 403, 400},
            {"/store-room/lots/1/moves", 403, 400, 400},
            {"/store-room/ingredients/honey", 403, 403, 400},
            {"/store-room/pack", 403, 403, 400},
            {"/workshop/vessels/new", 403, 403, 400},
            {"/workshop/people", 403, 403, 200},
            {"/workshop/tokens", 403, 403, 200},
        };
    }

    @Test(dataProvider = "deeds")
    public void rolesAreCheckedAtTheServer(String path, int viewer, int bench, int owner) throws Exception {
        int[] expected = {viewer, bench, owner};
        String[] logins = {"ilse", "teo", "runa"};
        for (int i = 0; i < logins.length; i++) {
            Visitor visitor = visitor(logins[i]);
            HttpResponse<String> response = visitor.post(path, Map.of("_csrf", visitor.csrf()));
            assertEquals(response.statusCode(), expected[i], logins[i] + " at " + path);
        }
    }

    @Test
    public void aViewerCannotWriteAtTheBench() throws Exception {
        String entry = "{\"key\":\"%s\",\"kind\":\"NOTE\",\"fields\":{\"text\":\"hello\"}}";
        Visitor viewer = visitor("ilse");
        assertEquals(
                viewer.postJson("/bench/4/entries", entry.formatted(UUID.randomUUID()), viewer.csrf())
                        .statusCode(),
                403);
        Visitor hand = visitor("teo");
        String same = entry.formatted(UUID.randomUUID());
        String csrf = hand.csrf();
        assertEquals(hand.postJson("/bench/4/entries", same, csrf).statusCode(), 201);
        assertEquals(hand.postJson("/bench/4/entries", same, csrf).statusCode(), 200, "counted once");
        assertEquals(
                hand.postJson("/bench/4/entries", same.replace("hello", "other"), csrf)
                        .statusCode(),
                409,
                "another body under the same key");
        assertEquals(hand.get("/workshop/people").statusCode(), 403);
    }

    @Test
    public void withoutTheTokenOfThePageNothingIsChanged() throws Exception {
        Visitor owner = visitor("runa");
        assertEquals(owner.post("/formulas", Map.of()).statusCode(), 403);
        assertEquals(owner.postJson("/bench/4/entries", "{}", "wrong").statusCode(), 403);
    }

    @Test
    public void pagesCarryAStrictPolicyAndSaneCookies() throws Exception {
        HttpResponse<String> response = new Visitor(app.url()).get("/sign-in");
        String policy = response.headers().firstValue("Content-Security-Policy").orElse("");
        assertTrue(policy.contains("default-src 'none'") && policy.contains("frame-ancestors 'none'"), policy);
        assertFalse(policy.contains("unsafe"), policy);
        assertEquals(response.headers().firstValue("X-Frame-Options").orElse(""), "DENY");
        String cookie = response.headers().firstValue("Set-Cookie").orElse("");
        assertTrue(cookie.contains("HttpOnly") && cookie.contains("SameSite=Lax"), cookie);
    }

    @Test
    public void guessingIsSlowedDown() throws Exception {
        try (TestApp other = TestApp.demo()) {
            TestApp before = app;
            app = other;
            try {
                Visitor guesser = new Visitor(app.url());
                long last = 0;
                for (int i = 0; i < 5; i++) {
                    last = System.nanoTime();
                    guesser.makeUp("zest-device", "nobody-knows-" + i);
                    guesser.signIn("runa", "guess " + i);
                }
                guesser.makeUp("zest-device", "another");
                HttpResponse<String> answer = guesser.post(
                        "/sign-in", Map.of("username", "runa", "password", "lantern-harbour", "_csrf", guesser.csrf()));
                waitsFive(last, answer.headers().firstValue("Location").orElse(""));
            } finally {
                app = before;
            }
        }
    }

    /** Characters that nobody sees and no database keeps are none of a name: they give no other count, and no fault of the server. */
    @Test
    public void namesAreCountedAsTheyAreCompared() throws Exception {
        try (TestApp demo = TestApp.demo()) {
            Visitor guesser = new Visitor(demo.url());
            String csrf = guesser.csrf();
            String to = "";
            long fifth = 0;
            long begun = 0;
            for (String name : new String[] {"teo", "te\u0001o", "TEO", "teo\u0000", "\u202eteo", "t\u0000e\u0000o"}) {
                fifth = begun;
                begun = System.nanoTime();
                HttpResponse<String> answer =
                        guesser.post("/sign-in", Map.of("username", name, "password", "guess", "_csrf", csrf));
                assertEquals(answer.statusCode(), 302, name);
                to = answer.headers().firstValue("Location").orElse("");
            }
            waitsFive(fifth, to);
        }
    }

    @Test
    public void guessingAtAnOpenPageIsSlowedDownToo() throws Exception {
        try (TestApp demo = TestApp.demo()) {
            Visitor teo = new Visitor(demo.url()).signIn("teo", "lantern-harbour");
            String csrf = teo.csrf();
            Map<String, String> wrong =
                    Map.of("current", "guess", "password", "another-long-harbour-word", "_csrf", csrf);
            long last = 0;
            for (int i = 0; i < 5; i++) {
                last = System.nanoTime();
                assertTrue(teo.post("/account/password", wrong).body().contains("That is not your password now."));
            }
            Map<String, String> right =
                    Map.of("current", "lantern-harbour", "password", "another-long-harbour-word", "_csrf", csrf);
            HttpResponse<String> answer = teo.post("/account/password", right);
            waitsFive(last, answer.body());
            Visitor again = new Visitor(demo.url()).signIn("teo", "lantern-harbour");
            assertEquals(again.get("/bars").statusCode(), 200, "it keeps nobody out at the door");
        }
    }

    @Test
    public void theLastAccessIsWrittenOnceAMinuteAndSigningOutAtOnce() throws Exception {
        try (TestApp demo = TestApp.demo()) {
            TestApp before = app;
            app = demo;
            try {
                Visitor runa = visitor("runa");
                assertEquals(
                        runa.get("/bars").statusCode(), 200, "a changed session id and person are written at once");
                JdbcTemplate database = app.bean(JdbcTemplate.class);
                String lastAccess = "select last_access_time from spring_session where principal_name = 'runa'";
                long first = database.queryForObject(lastAccess, Long.class);
                runa.get("/bars");
                assertEquals(database.queryForObject(lastAccess, Long.class), Long.valueOf(first));
                database.update("update spring_session set last_access_time = last_access_time - 61000");
                runa.get("/bars");
                assertTrue(database.queryForObject(lastAccess, Long.class) >= first, "a minute later it is written");
                runa.post("/sign-out", Map.of("_csrf", csrfOf(runa)));
                assertEquals(database.queryForList(lastAccess).size(), 0);
            } finally {
                app = before;
            }
        }
    }

    @Test
    public void beingSignedInEndsAfterAWeek() throws Exception {
        Visitor ilse = visitor("ilse");
        JdbcTemplate database = app.bean(JdbcTemplate.class);
        String older = "update spring_session set creation_time = ? where principal_name = 'ilse'";
        long week = Duration.ofDays(7).toMillis();
        database.update(older, System.currentTimeMillis() - week + 60_000);
        assertEquals(ilse.get("/bars").statusCode(), 200);
        database.update(older, System.currentTimeMillis() - week - 1_000);
        assertEquals(ilse.get("/bars").statusCode(), 302);
    }

    @Test
    public void aStrangerLeavesNothingBehind() throws Exception {
        JdbcTemplate database = app.bean(JdbcTemplate.class);
        int before = database.queryForObject("select count(*) from spring_session", Integer.class);
        Visitor stranger = new Visitor(app.url());
        for (String path : new String[] {"/", "/sign-in", "/bars/4", "/hello", "/no/such/page"}) {
            stranger.get(path);
        }
        stranger.signIn("nobody", "guess");
        assertEquals(
                database.queryForObject("select count(*) from spring_session", Integer.class), Integer.valueOf(before));
    }

    private static String csrfOf(Visitor visitor) throws Exception {
        Matcher csrf = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"")
                .matcher(visitor.get("/bars").body());
        assertTrue(csrf.find());
        return csrf.group(1);
    }

    @Test
    public void justMeWorksOnItsOwnMachineOnly() throws Exception {
        try (TestApp empty = TestApp.empty()) {
            TestApp before = app;
            app = empty;
            try {
                Visitor me = new Visitor(app.url());
                assertTrue(
                        me.get("/").headers().firstValue("Location").orElse("").endsWith("/welcome"));
                Matcher csrf = Visitor.CSRF.matcher(me.get("/welcome").body());
                assertTrue(csrf.find());
                me.post(
                        "/welcome",
                        Map.of("_csrf", csrf.group(1), "workshop", "Attic", "placeAmount", "70", "mode", "just-me"));
                assertEquals(me.get("/").statusCode(), 200);
                HttpResponse<String> forwarded = HttpClient.newHttpClient()
                        .send(
                                HttpRequest.newBuilder(URI.create(app.url() + "/"))
                                        .header("X-Forwarded-For", "192.0.2.7")
                                        .build(),
                                BodyHandlers.ofString());
                assertEquals(forwarded.statusCode(), 403);
            } finally {
                app = before;
            }
        }
    }
}

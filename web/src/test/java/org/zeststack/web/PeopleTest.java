package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.net.http.HttpResponse;
import java.sql.Connection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.Test;
import org.zeststack.postgres.PostgresTrouble;
import org.zeststack.web.start.PasswordOnTheMachine;

/** Passwords and roles changed, checked at the server. */
public class PeopleTest extends WithDemo {

    private Visitor visitor(String login, String password) throws Exception {
        return new Visitor(app.url()).signIn(login, password);
    }

    private long id(String login) {
        return app.bean(JdbcTemplate.class).queryForObject("select id from person where login = ?", Long.class, login);
    }

    private static boolean in(Visitor visitor) throws Exception {
        return visitor.get("/bars").statusCode() == 200;
    }

    private static int post(Visitor visitor, String path, String field, String value) throws Exception {
        return visitor.post(path, Map.of(field, value, "_csrf", visitor.csrf())).statusCode();
    }

    @Test
    public void aPasswordIsChangedAndForgotten() throws Exception {
        onesOwnPasswordIsChangedAndOtherDevicesAreOut();
        whoForgotTheirsSetsAnotherOnTheMachine();
    }

    private void onesOwnPasswordIsChangedAndOtherDevicesAreOut() throws Exception {
        Visitor ilse = visitor("ilse", "lantern-harbour");
        Visitor other = visitor("ilse", "lantern-harbour");
        var wrong = ilse.post(
                "/account/password", Map.of("current", "guess", "password", "password1234", "_csrf", ilse.csrf()));
        assertEquals(wrong.statusCode(), 400);
        assertTrue(wrong.body().contains("That is not your password now"), "the old one is asked for");
        assertTrue(wrong.body().contains("guessed among the first"), "and the new one looked at");
        assertTrue(in(other));
        int changed = ilse.post(
                        "/account/password",
                        Map.of(
                                "current",
                                "lantern-harbour",
                                "password",
                                "brass kettle on the quay",
                                "_csrf",
                                ilse.csrf()))
                .statusCode();
        assertEquals(changed, 302);
        assertTrue(in(ilse), "this device stays");
        assertTrue(!in(other), "others sign in anew");
        assertTrue(!in(visitor("ilse", "lantern-harbour")));
        assertTrue(in(visitor(" ILSE", "brass kettle on the quay")));
    }

    /** A page that is still open goes on sending; the sign-in form that stands beside it stays good. */
    @Test
    public void whatAnOpenPageSendsSpoilsNoSigningIn() throws Exception {
        Visitor runa = new Visitor(app.url());
        var late = runa.postJson("/bench/4/device", "{}", "of-before");
        assertEquals(late.statusCode(), 403);
        assertEquals(late.headers().allValues("Set-Cookie"), List.of());
        assertTrue(in(runa.signIn("runa", "lantern-harbour")));
    }

    @Test
    public void othersAreChangedAndKeptOut() throws Exception {
        anOwnerSetsPasswordsAndRolesOfOthersOnly();
        whoIsKeptOutLosesTheirStreamsAndTokens();
    }

    private void anOwnerSetsPasswordsAndRolesOfOthersOnly() throws Exception {
        Visitor owner = visitor("runa", "lantern-harbour");
        Visitor teo = visitor("teo", "lantern-harbour");
        String path = "/workshop/people/" + id("teo");
        assertEquals(post(teo, path + "/role", "role", "OWNER"), 403, "nobody makes themselves an owner");
        assertEquals(post(teo, path + "/password", "password", "brass kettle on the quay"), 403);
        assertEquals(post(owner, path + "/password", "password", "short"), 400);
        assertTrue(!in(teo), "who was signed in signs in anew");
        assertTrue(in(visitor("teo", "lantern-harbour")), "nothing was changed");
        assertEquals(post(owner, path + "/password", "password", "sugar under a tin moon"), 302);
        Visitor again = visitor("teo", "sugar under a tin moon");
        assertTrue(in(again));
        assertEquals(post(owner, path + "/role", "role", "VIEWER"), 302);
        assertTrue(!in(again), "the role of before is out");
        Visitor viewer = visitor("teo", "sugar under a tin moon");
        assertEquals(post(viewer, "/runs/5/start", "x", "y"), 403);
        assertEquals(post(owner, path + "/role", "role", "BENCH"), 302);
        assertEquals(post(owner, "/workshop/people/" + id("runa") + "/role", "role", "VIEWER"), 302);
        assertTrue(in(owner), "an owner does not put themselves out");
        assertEquals(owner.get("/workshop/people").statusCode(), 200);
    }

    /** A page that is open follows the bench by a stream; it ends with its person, and so do the tokens that they made. */
    private void whoIsKeptOutLosesTheirStreamsAndTokens() throws Exception {
        Visitor owner = visitor("runa", "lantern-harbour");
        post(owner, "/workshop/people/" + id("teo") + "/role", "role", "OWNER");
        Visitor teo = visitor("teo", "sugar under a tin moon");
        assertEquals(post(teo, "/workshop/tokens", "label", "Teo's scale"), 302);
        HttpResponse<Stream<String>> stream = teo.follow("/bench/4/events?seen=0");
        assertEquals(stream.statusCode(), 200);
        CompletableFuture<Long> ended =
                CompletableFuture.supplyAsync(() -> stream.body().count());
        assertTrue(!ended.isDone(), "it goes on");
        assertEquals(post(owner, "/workshop/people/" + id("teo") + "/active", "active", "false"), 302);
        assertTrue(ended.get(10, TimeUnit.SECONDS) > 0);
        JdbcTemplate database = app.bean(JdbcTemplate.class);
        assertEquals(
                database.queryForObject(
                        "select count(*) from api_token where login = 'teo' and revoked_at is null", Integer.class),
                Integer.valueOf(0));
        assertEquals(
                database.queryForObject(
                        "select by || ' ' || about || ' ' || what from people_event order by id desc limit 1",
                        String.class),
                "runa teo kept out, tokens revoked: 1");
    }

    @Test
    public void namesAreLettersOnly() throws Exception {
        Visitor owner = visitor("runa", "lantern-harbour");
        var told = owner.post(
                "/workshop/people",
                Map.of(
                        "name",
                        "Somebody",
                        "login",
                        "ru\u202ena",
                        "password",
                        "brass kettle on the quay",
                        "role",
                        "BENCH",
                        "_csrf",
                        owner.csrf()));
        assertTrue(told.body().contains("Use letters, digits and"), "no characters that turn the rest round");
    }

    private void whoForgotTheirsSetsAnotherOnTheMachine() throws Exception {
        Visitor ilse = visitor("ilse", "brass kettle on the quay");
        assertTrue(in(ilse));
        try (Connection connection =
                app.bean(JdbcTemplate.class).getDataSource().getConnection()) {
            PasswordOnTheMachine.set(connection, "ilse", "three grey gulls at noon");
        }
        assertTrue(!in(ilse));
        assertTrue(in(visitor("ilse", "three grey gulls at noon")));
        try (Connection connection =
                app.bean(JdbcTemplate.class).getDataSource().getConnection()) {
            assertTrue(expectThrows(
                            PostgresTrouble.class,
                            () -> PasswordOnTheMachine.set(connection, "nobody", "three grey gulls at noon"))
                    .getMessage()
                    .contains("Nobody signs in as"));
            assertTrue(expectThrows(
                            PostgresTrouble.class, () -> PasswordOnTheMachine.set(connection, "ilse", "aaaaaaaaaaaa"))
                    .getMessage()
                    .contains("guessed among the first"));
        }
        assertTrue(in(visitor("ilse", "three grey gulls at noon")));
    }
}

package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.bench.Note;
import org.zeststack.store.bench.Bench;

/** A panel that is drawn once for all who watch it says to each only what is theirs. */
public class SharedPanelTest extends WithDemo {

    private static final String PANEL = "/bench/4/panel?step=release:";
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Pattern ONCE = Pattern.compile("once=([0-9a-f-]{36})");

    private Visitor owner;
    private Visitor hand;
    private Visitor viewer;

    @BeforeClass
    public void signIn() throws Exception {
        owner = new Visitor(app.url()).signIn("runa", "lantern-harbour");
        hand = new Visitor(app.url()).signIn("teo", "lantern-harbour");
        viewer = new Visitor(app.url()).signIn("ilse", "lantern-harbour");
    }

    private static String first(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        assertTrue(matcher.find(), pattern + " in " + text);
        return matcher.group(1);
    }

    /** What stays of it without what is each one's own. */
    private static String shared(String panel) {
        return ONCE.matcher(TOKEN.matcher(panel).replaceAll("")).replaceAll("");
    }

    @Test
    public void everyoneHasTokensOfTheirOwn() throws Exception {
        String ours = owner.get(PANEL).body();
        String theirs = hand.get(PANEL).body();
        assertEquals(shared(ours), shared(theirs));
        assertNotEquals(first(TOKEN, ours), first(TOKEN, theirs));
        assertNotEquals(first(ONCE, ours), first(ONCE, theirs));
        assertEquals(
                hand.post(
                                "/bench/4/write?kind=NOTE&from=release:&once=" + first(ONCE, theirs),
                                Map.of("_csrf", first(TOKEN, theirs), "text", "by its own token"))
                        .statusCode(),
                302);
        for (String token : List.of(first(TOKEN, ours), "made up")) {
            assertEquals(
                    hand.post(
                                    "/bench/4/write?kind=NOTE&from=release:&once=" + UUID.randomUUID(),
                                    Map.of("_csrf", token, "text", "by another's"))
                            .statusCode(),
                    403);
        }
    }

    @Test
    public void whoMayNotWriteSeesNoForms() throws Exception {
        owner.get(PANEL);
        assertFalse(viewer.get(PANEL).body().contains("data-entry"));
        assertTrue(owner.get(PANEL).body().contains("data-entry"));
    }

    @Test
    public void whatIsWrittenDownStandsThereAtOnce() throws Exception {
        owner.get(PANEL);
        var note = new Note("the third tray was cold");
        app.bean(Bench.class)
                .append(4, new Bench.NewEntry(UUID.randomUUID(), note, "", "", null, null), "Teo", Instant.now());
        assertTrue(owner.get(PANEL).body().contains("the third tray was cold"));
        assertTrue(hand.get(PANEL).body().contains("the third tray was cold"));
    }
}

package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bench.PieceOutcome;
import org.zeststack.core.bench.Tally;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.bench.Bench.NewEntry;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** Lists of a workshop that has more than one page of everything. */
public class ListPagesTest {

    private TestApp app;
    private Visitor owner;

    @BeforeClass
    public void grow() throws Exception {
        app = GrownDemo.of(new GrownDemo.Sizes(48, 45, 47, 66, 0));
        owner = new Visitor(app.url()).signIn("runa", "lantern-harbour");
    }

    @AfterClass(alwaysRun = true)
    public void close() {
        app.close();
    }

    private String get(String path) throws Exception {
        HttpResponse<String> page = owner.get(path);
        assertEquals(page.statusCode(), 200, path);
        return page.body();
    }

    private static List<String> rows(String page, String link) {
        return Pattern.compile("<th scope=\"row\"(?:(?!</th>).)*?<a\\s+href=\"" + link + "(\\d+)\"", Pattern.DOTALL)
                .matcher(page)
                .results()
                .map(m -> m.group(1))
                .toList();
    }

    @DataProvider
    public Object[][] lists() {
        return new Object[][] {
            {"/bars?", "/bars/"}, {"/formulas?", "/formulas/"}, {"/runs?", "/runs/"}, {"/ledger?", "/ledger/"},
        };
    }

    @Test(dataProvider = "lists")
    public void showTwentyRowsOfEachPageAndEveryOneOnce(String list, String link) throws Exception {
        List<String> first = rows(get(list), link);
        List<String> second = rows(get(list + "page=2"), link);
        List<String> third = rows(get(list + "page=3"), link);
        assertEquals(List.of(first.size(), second.size()), List.of(20, 20));
        assertTrue(third.size() > 0 && third.size() < 20, third.toString());
        assertTrue(second.stream().noneMatch(first::contains) && third.stream().noneMatch(second::contains));
        assertEquals(rows(get(list + "page=99"), link), third, "the last page there is");
        assertTrue(get(list + "page=2").contains("page=3"), "the way to the next page");
        assertTrue(get(list + "q=no.%2024").contains("no. 24"));
        assertEquals(rows(get(list + "q=nothing%20is%20called%20so"), link), List.of());
    }

    @Test
    public void aSearchGoesOnOverItsPages() throws Exception {
        String page = get("/ledger?q=no.&page=1");
        assertTrue(page.contains("/ledger?q=no.&amp;page=2"), page);
        assertTrue(get("/runs?q=closed&by=BAR").contains("/runs?q=closed&amp;by=BAR&amp;page=2"));
    }

    @DataProvider
    public Object[][] awkward() {
        return new Object[][] {
            {"q=%00"},
            {"q=a%00b"},
            {"q=%25%27%22%5C"},
            {"q=%ED%A0%80"},
            {"by=KIND"},
            {"by=RUN"},
            {"by=STATE"},
            {"page=-7"},
            {"page=2147483647"},
            {"q=" + "x".repeat(5_000)},
            {"lots=2147483647"},
            {"bar=999999999999999"},
            {"bar=x"},
        };
    }

    @Test(dataProvider = "awkward")
    public void whateverIsAskedForIsAnswered(String asked) throws Exception {
        for (String list : List.of("/bars", "/formulas", "/boxes", "/runs", "/ledger", "/store-room")) {
            int status = owner.get(list + "?" + asked).statusCode();
            assertTrue(status == 200 || status == 400, status + " for " + list + "?" + asked);
        }
    }

    @Test
    public void lotsHavePagesOfTheirOwn() throws Exception {
        String first = get("/store-room");
        assertEquals(rows(first, "/store-room/lots/").size(), 20);
        assertTrue(first.contains("/store-room?q=&amp;page=1&amp;lots=2"), first);
        String second = get("/store-room?lots=2&page=3");
        assertTrue(rows(second, "/store-room/lots/").stream().noneMatch(rows(first, "/store-room/lots/")::contains));
        assertTrue(second.contains("lots=2&amp;page=4"), "ingredients go on where the lots stand");
        String honey = get("/store-room?q=HONEY");
        assertTrue(rows(honey, "/store-room/lots/").size() > 0 && honey.contains("Buckwheat honey"), honey);
    }

    @Test
    public void whatIsArchivedIsFoundByItsName() throws Exception {
        List<String> some = rows(get("/bars?q=no.&page=2"), "/bars/");
        for (String id : some) {
            archive(id);
        }
        archive(rows(get("/bars?q=no."), "/bars/").get(0));
        String page = get("/bars");
        assertTrue(page.contains("archived: " + (some.size() + 1)), some.toString());
        List<String> listed = rows(page.substring(0, page.indexOf("archived:")), "/bars/");
        assertTrue(listed.size() == 20 && listed.stream().noneMatch(some::contains), listed.toString());
        assertFalse(get("/bars?q=nothing%20is%20called%20so").contains("archived:"));
    }

    private void archive(String id) throws Exception {
        assertEquals(
                owner.post("/bars/" + id + "/archive", Map.of("_csrf", owner.csrf()))
                        .statusCode(),
                302);
    }

    /** What is written down after a run was closed stands in the lists at once. */
    @Test
    public void aLateEntryIsInTheListAtOnce() throws Exception {
        Runs.Brief run =
                app.bean(Runs.class).brief(List.of(Run.Status.CLOSED), 1).get(0);
        int before = good(run.id());
        var tally = new Tally(PieceOutcome.GOOD, 7, "");
        var entry = new NewEntry(UUID.randomUUID(), tally, "", "", null, null);
        assertEquals(app.bean(Bench.class).append(run.id(), entry, "Teo", Instant.now()), Bench.Outcome.LATE);
        assertEquals(good(run.id()), before + 7);
    }

    private int good(long run) throws Exception {
        Matcher row = Pattern.compile("/ledger/" + run + "\">.*?</tr>", Pattern.DOTALL)
                .matcher(get("/ledger"));
        assertTrue(row.find());
        return Integer.parseInt(row.group().replaceAll("(?s).*?<td>\\d+</td>\\s*<td>(\\d+)</td>.*", "$1"));
    }

    @Test
    public void aSupervisorIsToldWhichReleaseAnswers() throws Exception {
        HttpResponse<String> health = new Visitor(app.url()).get("/health");
        assertEquals(health.statusCode(), 200);
        assertTrue(
                health.body().matches("\\{\"status\":\"up\",\"release\":\"[0-9.]+\",\"tables\":\\d+}"), health.body());
        String release = health.body().replaceAll(".*\"release\":\"([^\"]+)\".*", "$1");
        assertTrue(get("/ledger").contains("<footer class=\"foot\">Zest Stack <span>" + release + "</span>"));
        assertTrue(get("/api/v1/openapi.json").contains("\"version\":\"" + release + "\""));
    }
}

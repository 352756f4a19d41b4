package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpResponse;
import java.util.List;
import org.jooq.DSLContext;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.run.BenchEntry;
import org.zeststack.core.run.EntryBody;
import org.zeststack.store.bench.Bench;

/** A newer release was at work on these data: a closed run and the one on the bench have sheets that this release does not know. */
public class NewerReleaseTest extends WithDemo {

    private Visitor owner;

    @BeforeClass
    public void writeAsANewerRelease() throws Exception {
        app.bean(DSLContext.class)
                .execute("update run set started_at = started_at + interval '1 second',"
                        + " sheet = jsonb_set(sheet, '{schemaVersion}', '9') || '{\"hour\": 7}'"
                        + " where id in (2, 4)");
        app.bean(DSLContext.class)
                .execute("insert into entry (run, sequence, key, kind, body, device, at, recorded_at, recorded_by)"
                        + " select id, sequence + 1, gen_random_uuid(), kind, body::jsonb, 'x', now(), now(), 'Teo'"
                        + " from run, (values ('SMELL', '{\"nose\": 3}'), ('NOTE', '{\"text\": \"a\", \"hue\": 1}')) written (kind, body)"
                        + " where id = 1 and kind = 'SMELL' or id = 3 and kind = 'NOTE'");
        owner = new Visitor(app.url()).signIn("runa", "lantern-harbour");
    }

    @DataProvider
    public Object[][] pages() {
        return new Object[][] {
            {"/", "was started by a newer release, in form 9"},
            {"/ledger", "written by a newer release, in form 9"},
            {"/runs", "Start the newer release that wrote it"},
            {"/bench/pots", "<h1"},
            {"/formulas/1", "Burnt-honey"},
            {"/bars", "Lantern"},
        };
    }

    @Test(dataProvider = "pages")
    public void pagesTellItInItsRowAndGoOn(String path, String told) throws Exception {
        HttpResponse<String> page = owner.get(path);
        assertEquals(page.statusCode(), 200, path);
        assertTrue(page.body().contains(told), path + ": " + page.body());
    }

    /** Entries that this release does not know stand in the log by their kind, and the rest is reckoned. */
    @Test
    public void entriesOfANewerReleaseStandInTheLog() throws Exception {
        for (int run : new int[] {1, 3}) {
            assertEquals(owner.get("/ledger/" + run).statusCode(), 200);
        }
        var bench = app.bean(Bench.class);
        assertEquals(
                bench.entries(1).stream()
                        .map(BenchEntry::body)
                        .filter(EntryBody.FromNewer.class::isInstance)
                        .toList(),
                List.of(new EntryBody.FromNewer("SMELL")));
        assertEquals(
                bench.entries(3).stream()
                        .map(BenchEntry::body)
                        .filter(EntryBody.FromNewer.class::isInstance)
                        .toList(),
                List.of(new EntryBody.FromNewer("NOTE")));
    }

    @DataProvider
    public Object[][] runs() {
        return new Object[][] {{"/ledger/2"}, {"/runs/2"}, {"/bench/4"}, {"/runs/4"}};
    }

    @Test(dataProvider = "runs")
    public void theRunItselfSaysWhatToDo(String path) throws Exception {
        HttpResponse<String> page = owner.get(path);
        assertEquals(page.statusCode(), 409, path);
        assertTrue(page.body().contains("Start the newer release again"), page.body());
    }
}

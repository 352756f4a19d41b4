package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpResponse;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.FromNewer;
import org.zeststack.store.bench.Bench;

/**
 * A newer release was at work on these data: a closed run and the one on the bench have sheets that this release does not know, and so have
 * the drafts of a bar and a formula, and their newest versions.
 */
public class NewerReleaseTest extends WithDemo {

    private Visitor owner;
    private long bar;
    private long formula;

    private long id(String kind) {
        return app.bean(DSLContext.class)
                .fetchSingle("select min(id) from design where kind = ?", kind)
                .into(Long.class);
    }

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
        String first = "(select min(id) from design where kind in ('BAR', 'FORMULA') group by kind)";
        app.bean(DSLContext.class)
                .execute("update design_draft set content = content || '{\"hue\": 7}' where design in " + first);
        app.bean(DSLContext.class)
                .execute("insert into design_version (design, number, name, content, why, made_by, made_at)"
                        + " select design, 99, name, content || '{\"hue\": 7}', why, made_by, made_at"
                        + " from design_version where number = 1 and design in " + first);
        bar = id("BAR");
        formula = id("FORMULA");
        owner = new Visitor(app.url()).signIn("runa", "lantern-harbour");
    }

    @DataProvider
    public Object[][] pages() {
        return new Object[][] {
            {"/", "was started by a newer release, in form 9"},
            {"/ledger", "written by a newer release, in form 9"},
            {"/runs", "Start the newer release that wrote it"},
            {"/bench/pots", "<h1"},
            {"/bars", "Its draft was written by a newer release"},
            {"/bars", "Lantern"},
            {"/formulas", "Its draft was written by a newer release"},
            {"/formulas", "Burnt-honey"},
            {"/boxes", "<h1"},
            {"/store-room", "<h1"},
            {"/store-room/cupboard", "<h1"},
            {"/bars/new", "<h1"},
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
                        .filter(FromNewer.class::isInstance)
                        .toList(),
                List.of(new FromNewer("SMELL")));
        assertEquals(
                bench.entries(3).stream()
                        .map(BenchEntry::body)
                        .filter(FromNewer.class::isInstance)
                        .toList(),
                List.of(new FromNewer("NOTE")));
    }

    @DataProvider
    public Object[][] runs() {
        return new Object[][] {{"/ledger/2"}, {"/runs/2"}, {"/bench/4"}, {"/runs/4"}};
    }

    /** What it wrote of a design is not opened, and not written over; what is not of it still is. */
    @Test
    public void aDesignOfItIsLeftAsItIs() throws Exception {
        for (String path : List.of("/bars/" + bar, "/formulas/" + formula)) {
            HttpResponse<String> page = owner.get(path);
            assertEquals(page.statusCode(), 409, path);
            assertTrue(page.body().contains("was written by a newer release of the program"), page.body());
        }
        assertEquals(owner.get("/formulas/" + (formula + 1)).statusCode(), 200);
        assertEquals(
                app.bean(DSLContext.class)
                        .fetchCount(DSL.table("design_draft"), DSL.condition("content ->> 'hue' = '7'")),
                2);
    }

    @Test(dataProvider = "runs")
    public void theRunItselfSaysWhatToDo(String path) throws Exception {
        HttpResponse<String> page = owner.get(path);
        assertEquals(page.statusCode(), 409, path);
        assertTrue(page.body().contains("Start the newer release again"), page.body());
    }
}

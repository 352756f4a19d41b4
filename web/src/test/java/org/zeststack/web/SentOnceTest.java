package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Forms that make something, sent by two hands at once and once more. */
public class SentOnceTest extends WithDemo {

    private static final String FIRST_BAR =
            "select min(design) from design_version join design on id = design where kind = 'BAR'";

    private Visitor owner;
    private String csrf;
    private Page browser;

    @BeforeClass
    public void open() throws Exception {
        owner = new Visitor(app.url()).signIn("runa", "lantern-harbour");
        csrf = owner.csrf();
        browser = app.signedIn("runa");
    }

    /** Kind; the page with the form; where it is sent; what is typed; how many of them there are. */
    @DataProvider
    public Object[][] forms() {
        String thermometer = "select min(id) from thermometer";
        return new Object[][] {
            {
                "run",
                "/runs",
                "/runs",
                Map.of(
                        "bar", FIRST_BAR,
                        "pieces", "24",
                        "day", "2026-12-01",
                        "rejectFraction", "4",
                        "scrapeFraction", "3",
                        "bowlGrams", "60",
                        "thermometer", thermometer),
                "select count(*) from run"
            },
            {
                "formula",
                "/formulas/1",
                "/formulas/0",
                Map.of("name", "Sent twice"),
                "select count(*) from design where kind = 'FORMULA'"
            },
            {
                "lot",
                "/store-room/lots/new",
                "/store-room/lots",
                Map.of("ingredient", "Honey", "grams", "500", "code", "TWICE", "received", "2026-11-02"),
                "select count(*) from lot"
            },
            {
                "movement",
                "/store-room/lots/1",
                "/store-room/lots/1/moves",
                Map.of("move", "USED", "grams", "1", "why", "twice"),
                "select count(*) from lot_movement"
            },
            {
                "mould",
                "/workshop/moulds/1",
                "/workshop/moulds/new",
                Map.of("name", "Sent twice"),
                "select count(*) from mould"
            },
            {"token", "tokens", "/workshop/tokens", Map.of("label", "Sent twice"), "select count(*) from api_token"},
            {"copy", "copy", "/bars/0", Map.of("name", "A copy"), "select count(*) from design where kind = 'BAR'"},
        };
    }

    private long count(String sql) {
        return app.bean(JdbcTemplate.class).queryForObject(sql, Long.class);
    }

    /** What stands in the form of a page that has a key, with what is typed into it. */
    private Map<String, String> filled(String path, Map<String, String> typed) {
        browser.navigate(path);
        String action = "form => Object.fromEntries(new FormData(form))";
        Map<String, String> fields = new HashMap<>();
        ((Map<?, ?>) browser.locator("main form[method=post]:has([name=once])")
                        .last()
                        .evaluate(action))
                .forEach((name, value) -> fields.put(String.valueOf(name), String.valueOf(value)));
        typed.forEach(
                (name, value) -> fields.put(name, value.startsWith("select") ? String.valueOf(count(value)) : value));
        assertTrue(fields.containsKey("once"), "no key in " + path);
        fields.put("_csrf", csrf);
        return fields;
    }

    private List<HttpResponse<String>> atOnce(int times, String path, Map<String, String> fields) throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(times);
        List<Callable<HttpResponse<String>>> work = new ArrayList<>();
        for (int i = 0; i < times; i++) {
            work.add(() -> owner.post(path, fields));
        }
        List<HttpResponse<String>> answers = new ArrayList<>();
        for (var answer : hands.invokeAll(work)) {
            answers.add(answer.get());
        }
        hands.shutdown();
        return answers;
    }

    @Test(dataProvider = "forms")
    public void sentTwiceIsOne(String kind, String page, String path, Map<String, String> typed, String count)
            throws Exception {
        Map<String, String> fields = filled(
                page.equals("copy") ? "/bars/" + count(FIRST_BAR) : page.equals("tokens") ? "/workshop/people" : page,
                typed);
        long before = count(count);
        List<HttpResponse<String>> answers = atOnce(3, path, fields);
        answers.add(owner.post(path, fields));
        String first = answers.get(0)
                .headers()
                .firstValue("Location")
                .orElse("none: " + answers.get(0).body());
        for (HttpResponse<String> answer : answers) {
            assertEquals(answer.statusCode(), 302, kind + " " + answer.body());
            assertEquals(answer.headers().firstValue("Location").orElse("none"), first, kind);
        }
        assertEquals(count(count), before + 1, kind);
        assertEquals(owner.get(java.net.URI.create(first).getPath()).statusCode(), 200, kind);
        Map<String, String> again = new HashMap<>(fields);
        again.put("once", UUID.randomUUID().toString());
        owner.post(path, again);
        assertEquals(count(count), before + 2, kind + " made anew, from a page opened anew");
    }

    private String led(String path, Map<String, String> fields) throws Exception {
        return owner.post(path, fields).headers().firstValue("Location").orElse("nowhere");
    }

    /** Whoever goes back and changes what was sent makes another; each of them, sent again, leads to its own. */
    @Test
    public void theSameKeyWithOtherContentOrElsewhereMakesAnother() throws Exception {
        Map<String, String> one = filled("/formulas/1", Map.of("name", "One"));
        Map<String, String> other = new HashMap<>(one);
        other.put("name", "Another");
        String first = led("/formulas/0", one);
        String second = led("/formulas/0", other);
        assertNotEquals(first, second);
        assertEquals(led("/formulas/0", one), first);
        assertEquals(led("/formulas/0", other), second);

        Map<String, String> used = filled("/store-room/lots/1", Map.of("move", "USED", "grams", "1", "why", "both"));
        long before = count("select count(*) from lot_movement");
        for (String lot : List.of("1", "2", "1", "2")) {
            assertTrue(led("/store-room/lots/" + lot + "/moves", used).endsWith("/lots/" + lot));
        }
        assertEquals(count("select count(*) from lot_movement"), before + 2);
    }

    @Test
    public void whatIsSentBackWithFaultsIsNotRemembered() throws Exception {
        Map<String, String> fields = filled("/workshop/moulds/1", Map.of("name", ""));
        long before = count("select count(*) from mould");
        assertEquals(owner.post("/workshop/moulds/new", fields).statusCode(), 400);
        assertEquals(owner.post("/workshop/moulds/new", fields).statusCode(), 400);
        fields.put("name", "With a name");
        assertEquals(owner.post("/workshop/moulds/new", fields).statusCode(), 302, "the same key, another content");
        assertEquals(count("select count(*) from mould"), before + 1);
    }
}

package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/**
 * What anybody wrote, stored or sent is text on every page and never markup: each text is given an element and an attribute of its own
 * that must not be there when a page has been read as a browser reads it.
 */
public class MarkupTest extends WithDemo {

    private static final String MARK = "'\"><zest-mark zest-mark=\"1\">";
    /** Reads a page as a browser does, and counts what should have been text. */
    private static final String MARKED = "(html) => { const page = new DOMParser().parseFromString(html, 'text/html');"
            + " return page.querySelectorAll('zest-mark, [zest-mark]').length; }";

    /** Pages of one kind that are looked at: /bars/1 and /bars/2 are of one. */
    private static final int OF_A_KIND = 3;

    private static final JsonMapper JSON = new JsonMapper();

    @Test
    public void markupStaysTextWhereverItComesIn() {
        whatIsTypedInAnyFieldStaysText();
        whatIsStoredStaysText();
        whatIsImportedStaysText();
    }

    private void whatIsTypedInAnyFieldStaysText() {
        Page page = app.signedIn("runa");
        List<PageForms.Form> forms = PageForms.of(page);
        assertTrue(forms.size() > 40, forms.size() + " forms");
        page.navigate("/bars");
        assertEquals(inForms(page, forms).toString(), "{}");
    }

    /** Forms with markup in every field; what became markup, by their addresses. */
    static Map<String, Object> inForms(Page page, List<PageForms.Form> forms) {
        Map<String, Object> marked = new TreeMap<>();
        for (PageForms.Form form : forms) {
            Map<String, String> fields = new LinkedHashMap<>();
            form.fields().forEach((name, text) -> fields.put(name, spoiled(name, text)));
            Object answer = page.evaluate(
                    "async ({ action, fields, files }) => { const form = new FormData();"
                            + " Object.entries(fields).forEach(([name, text]) => form.append(name, text));"
                            + " form.set('_csrf', document.querySelector('meta[name=csrf]').content);"
                            + " const body = files ? form : new URLSearchParams(form);"
                            + " const answer = await fetch(action, { method: 'POST', body, headers: { Accept: 'text/html' } });"
                            + " const found = (" + MARKED + ")(await answer.text());"
                            + " return answer.status >= 500 ? 'answered ' + answer.status : found; }",
                    Map.of("action", form.action(), "fields", fields, "files", form.files()));
            if (!Integer.valueOf(0).equals(answer)) {
                marked.put(form.page() + " " + form.action(), answer);
            }
        }
        return marked;
    }

    /** Keys, locks and which rows there are stay, or nothing would be drawn. */
    private static String spoiled(String name, String text) {
        return name.matches("_csrf|once|lock|.*\\.(key|kind|by)|build|family|kind|body\\.kind") ? text : text + MARK;
    }

    private void whatIsStoredStaysText() {
        int changed = spoil(app.bean(JdbcTemplate.class));
        assertTrue(changed > 400, changed + " texts");
        assertEquals(crawled(app.signedIn("runa")).toString(), "{}");
    }

    /** A file from a stranger, as a bench hand's owner would bring it in. */
    private void whatIsImportedStaysText() {
        Page page = app.signedIn("runa");
        page.navigate("/formulas/import");
        ObjectNode document = (ObjectNode) JSON.readTree(
                (String) page.evaluate("fetch('/formulas/1/versions/1/formula.json').then((answer) => answer.text())"));
        JsonNode formula = document.get("formula");
        for (JsonNode text : List.of(
                formula, formula.get("lines").get(0), formula.get("method").get(0))) {
            for (String name : List.of(
                    "name", "why", "written", "action", "cue", "caution", "tool", "setting", "right", "wrong")) {
                if (text.has(name)) {
                    ((ObjectNode) text).put(name, text.get(name).asString() + MARK);
                }
            }
        }
        String recipe =
                "{\"@type\":\"Recipe\",\"name\":\"x%1$s\",\"recipeIngredient\":[\"1 cup sugar%1$s\"],\"recipeInstructions\":[\"Boil%1$s\"]}"
                        .formatted(MARK.replace("\"", "\\\""));
        String rows = "ingredient,grams,written\nsugar%1$s,1%1$s,x%1$s\n"
                .formatted(MARK.replace("\"", "").replace(",", ""));
        for (String text : List.of(document.toString(), recipe, rows, MARK)) {
            page.navigate("/formulas/import");
            page.fill("[name=text]", text);
            TestApp.sent(page, "main button[type=submit]");
            assertTrue(page.content().contains("zest-mark"), "what was sent is shown again, as text");
            assertEquals(page.locator("zest-mark, [zest-mark]").count(), 0, text);
        }
    }

    /** Every page that is reached from the first one; what became markup, by address. */
    static Map<String, Object> crawled(Page page) {
        Set<String> seen = new LinkedHashSet<>(List.of("/"));
        List<String> waiting = new ArrayList<>(seen);
        Map<String, Object> marked = new TreeMap<>();
        Map<String, Integer> kinds = new TreeMap<>();
        for (int i = 0; i < waiting.size(); i++) {
            if (kinds.merge(waiting.get(i).replaceAll("[0-9a-f-]*[0-9][0-9a-f-]*|=[^&]*", "*"), 1, Integer::sum)
                    > OF_A_KIND) {
                continue;
            }
            Map<?, ?> answer = (Map<?, ?>) page.evaluate(
                    "async (path) => { const answer = await fetch(path, { headers: { Accept: 'text/html' } });"
                            + " const html = await answer.text();"
                            + " const links = [...new DOMParser().parseFromString(html, 'text/html').querySelectorAll('a[href^=\"/\"]')];"
                            + " return { status: answer.status, found: (" + MARKED + ")(html),"
                            + " links: links.map((a) => a.getAttribute('href').split('#')[0]) }; }",
                    waiting.get(i));
            if (!Integer.valueOf(0).equals(answer.get("found")) || (Integer) answer.get("status") >= 500) {
                marked.put(waiting.get(i), answer.get("status") + ": " + answer.get("found"));
            }
            for (Object link : (List<?>) answer.get("links")) {
                if (seen.add((String) link)) {
                    waiting.add((String) link);
                }
            }
        }
        return marked;
    }

    /** Puts markup behind every text that a person may have written, in every table. */
    private static int spoil(JdbcTemplate database) {
        int changed = 0;
        for (Map<String, Object> column : database.queryForList(
                "select c.table_name as t, column_name as c, data_type as d from information_schema.columns c"
                        + " join information_schema.tables t using (table_schema, table_name)"
                        + " where table_schema = 'public' and table_type = 'BASE TABLE' and data_type in ('text', 'jsonb')"
                        + " and c.table_name not like 'spring%' and c.table_name not like 'flyway%'")) {
            String table = (String) column.get("t");
            String name = (String) column.get("c");
            boolean json = column.get("d").equals("jsonb");
            for (Map<String, Object> row : database.queryForList(
                    "select ctid::text as at, \"%s\"::text as was from \"%s\" where \"%s\" is not null"
                            .formatted(name, table, name))) {
                String was = (String) row.get("was");
                String spoiled = json ? spoiled(JSON.readTree(was)).toString() : text(was);
                if (!spoiled.equals(was)) {
                    changed += write(database, table, name, json, spoiled, (String) row.get("at"));
                }
            }
        }
        return changed;
    }

    private static int write(
            JdbcTemplate database, String table, String name, boolean json, String spoiled, String at) {
        try {
            return database.update(
                    "update \"%s\" set \"%s\" = ?%s where ctid = ?::tid".formatted(table, name, json ? "::jsonb" : ""),
                    spoiled,
                    at);
        } catch (DataAccessException refused) {
            // The table takes no such word there, or does not let rows be changed.
            return 0;
        }
    }

    /** Words that stand for something to the program are short, in capitals or without a capital; the rest somebody wrote. */
    private static String text(String text) {
        return text.contains(" ") || text.matches("\\p{Lu}\\p{Ll}.*") ? text + MARK : text;
    }

    private static JsonNode spoiled(JsonNode node) {
        if (node instanceof StringNode string) {
            return StringNode.valueOf(text(string.asString()));
        }
        if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                array.set(i, spoiled(array.get(i)));
            }
        } else if (node instanceof ObjectNode object) {
            List.copyOf(object.propertyNames()).forEach(name -> object.set(name, spoiled(object.get(name))));
        }
        return node;
    }
}

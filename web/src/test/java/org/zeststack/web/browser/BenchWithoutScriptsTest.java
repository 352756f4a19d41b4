package org.zeststack.web.browser;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.time.Instant;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.Test;
import org.zeststack.core.bench.EntryKind;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.Stamp;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Runs;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.TestApp;
import org.zeststack.web.WithDemo;

/** Every form of the bench is sent by a browser that runs no script, and what it writes down is there. */
public class BenchWithoutScriptsTest extends WithDemo {

    /** What hands type, by the name of the field. */
    private static final Map<String, String> TYPED = typed("""
            celsius 101, potGrossGrams 3900, potTareGrams 1400, secondCelsius 101, grams 900, actualGrams 40, cupBeforeGrams 240,
            cupAfterGrams 150, roomCelsius 21, bowlGrams 700, seedCelsius 21, roomHumidity 50, leftGrams 640, leftCelsius 31,
            fedGrams 60, fedCelsius 42, overruleReason stirred, proofMinutes 4, proofRoom 21, grossGrams 14, tareGrams 0, cavities 1,
            pieces 1, reason chipped, coldRoom 21, humidity 45, barCelsius 12, text firmer, found thicker""");

    private static final Map<String, String> CHOSEN = Map.of("method", "SEED", "bowl", "STEEL");

    /** Every kind once, and what a step needs before the others. */
    private static final List<String> ORDER = List.of(
            ("TEMPER start write log SECOND RING POT BEGUN SIGN POURED ROOM PROOF LEFT FED WATER FRESH OVERRULED ACTUAL CUP WEIGH_IN TALLY"
                            + " COLD NOTE UNDO OFF stop STEP_DONE")
                    .split(" "));

    private static final Set<String> AGAIN = Set.of("TEMPER", "start", "STEP_DONE");
    private static final Pattern KIND =
            Pattern.compile("/write\\?.*kind=([A-Z_]+)|/series/(?:[0-9]+/)?(start|stop|log|write)\\?");

    private static Map<String, String> typed(String table) {
        return List.of(table.split(",\\s+")).stream()
                .map(w -> w.strip().split(" "))
                .collect(Collectors.toMap(w -> w[0], w -> w[1]));
    }

    @Test
    public void everyFormWritesDownWhatItSays() {
        app.bean(WorkshopStore.class)
                .addThermometer(
                        "Another",
                        new Thermometer(Thermometer.Kind.PROBE, 0, 97.8, 97.8),
                        new Stamp("Runa", Instant.now()));
        Page drawn = app.signedIn("runa");
        drawn.navigate("/runs");
        String bar = "select[name=bar]";
        drawn.selectOption(
                bar,
                drawn.locator(bar + " option:has-text('Breakwater')").first().getAttribute("value"));
        drawn.fill("form[method=post] input[name=pieces]", "40");
        TestApp.sent(drawn, "form[method=post][action='/runs'] button[type=submit]");
        TestApp.sent(drawn, "button:has-text('Start')");
        long run = Long.parseLong(drawn.url().replaceAll(".*/bench/|\\?.*", ""));
        // One of its lines goes in to effect; it is another frozen sheet then.
        app.bean(JdbcTemplate.class)
                .update(
                        "update run set sheet = jsonb_set(sheet, '{formulas,0,out,lines,0,toEffect}', 'true'),"
                                + " started_at = started_at + interval '1 second' where id = ?",
                        run);
        RunSheet sheet = app.bean(Runs.class).find(run).orElseThrow().sheet().orElseThrow();

        BrowserContext quiet = drawn.context()
                .browser()
                .newContext(
                        new Browser.NewContextOptions().setBaseURL(app.url()).setJavaScriptEnabled(false));
        quiet.addCookies(drawn.context().cookies());
        Page page = quiet.newPage();
        Map<String, Integer> sent = new HashMap<>();
        Set<String> stopped = new TreeSet<>();
        // Steps of one kind that do the same have the same forms.
        Map<String, BenchStep> each = new LinkedHashMap<>();
        sheet.steps().forEach(s -> each.putIfAbsent(s.kind() + " " + s.how().does(), s));
        for (BenchStep step : each.values()) {
            all(page, "/bench/" + run + "?step=" + step.id(), sent, stopped);
        }
        assertEquals(stopped, Set.of(), "what was not written down");
        Set<EntryKind> kinds = EnumSet.noneOf(EntryKind.class);
        sent.keySet().stream().filter(k -> k.matches("[A-Z_]+")).forEach(k -> kinds.add(EntryKind.valueOf(k)));
        assertEquals(EnumSet.complementOf(EnumSet.copyOf(kinds)).toString(), "[]", "kinds that no form wrote");
        int written = sent.entrySet().stream()
                .filter(e -> e.getKey().matches("[A-Z_]+"))
                .mapToInt(Map.Entry::getValue)
                .sum();
        assertEquals(app.bean(Bench.class).entries(run).size(), written);
        assertEquals(
                app.bean(JdbcTemplate.class)
                        .queryForList(
                                "select distinct kind from entry where run = ? and component is null order by kind",
                                String.class,
                                run),
                List.of("COLD", "NOTE", "ROOM", "STEP_DONE", "TALLY", "UNDO"),
                "what is of no component");
        assertTrue(app.bean(Bench.class).seriesOf(run).size() >= 2, "series begun");
        assertTrue(sent.keySet().containsAll(Set.of("start", "stop", "log", "write")), sent.toString());
    }

    /** Sends forms of a page, one after the other, until each kind was sent. */
    private static void all(Page page, String address, Map<String, Integer> sent, Set<String> stopped) {
        Set<String> here = new TreeSet<>();
        while (true) {
            page.navigate(address);
            Map<String, Locator> forms = new HashMap<>();
            for (Locator form :
                    page.locator("form[method=post][action^='/bench/']").all()) {
                Matcher kind = KIND.matcher(form.getAttribute("action"));
                if (kind.find()) {
                    forms.putIfAbsent(kind.group(1) == null ? kind.group(2) : kind.group(1), form);
                }
            }
            Optional<String> next = ORDER.stream()
                    .filter(forms::containsKey)
                    .filter(k -> AGAIN.contains(k) ? !here.contains(k) : !sent.containsKey(k))
                    .findFirst();
            if (next.isEmpty()) {
                return;
            }
            send(page, forms.get(next.get()), next.get(), stopped);
            here.add(next.get());
            sent.merge(next.get(), 1, Integer::sum);
        }
    }

    private static void send(Page page, Locator form, String kind, Set<String> stopped) {
        // What is folded away opens without a script, too.
        form.evaluate("form => form.closest('details')?.setAttribute('open', '')");
        for (Locator field : form.locator("input:not([type=hidden]):not([type=file]), textarea")
                .all()) {
            String name = field.getAttribute("name");
            if (!List.of("checkbox", "radio").contains(String.valueOf(field.getAttribute("type")))) {
                assertTrue(TYPED.containsKey(name), "what is typed as " + name + " of " + kind);
                field.fill(kind.equals("log") ? "0,60\n30,75" : TYPED.get(name));
            }
        }
        for (Locator choice : form.locator("select").all()) {
            String name = choice.getAttribute("name");
            choice.selectOption(CHOSEN.getOrDefault(
                    name, choice.locator("option:not([value=''])").last().getAttribute("value")));
        }
        form.locator("button[type=submit]").last().click();
        if (page.locator("text=It is so: write it down").count() > 0) {
            page.click("text=It is so: write it down");
        }
        if (!page.url().matches(".*/bench/[0-9]+\\?step=.*") || page.title().startsWith("Not written")) {
            stopped.add(kind + ": " + page.locator("main").innerText());
        }
    }
}

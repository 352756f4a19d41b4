package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Runs;
import org.zeststack.web.WithDemo;

/** A whole nougat and a caramel that cream is poured into, cooked by simulated pots and done as the page says. */
public class PotsAndWhiskTest extends WithDemo {

    private static final String SPEED = "60";

    private Bench bench;
    private long run;
    private RunSheet sheet;
    private final List<String> errors = new ArrayList<>();

    @BeforeClass
    public void open() {
        bench = app.bean(Bench.class);
        Page page = hand("runa");
        page.navigate("/runs");
        String bar = "select[name=bar]";
        page.selectOption(
                bar, page.locator(bar + " option:has-text('Breakwater')").getAttribute("value"));
        page.fill("form[method=post] input[name=pieces]", "40");
        page.click("form[method=post][action='/runs'] button[type=submit]");
        page.waitForURL("**/runs/*");
        page.click("button:has-text('Start')");
        page.waitForURL("**/bench/*");
        run = Long.parseLong(page.url().replaceAll(".*/bench/", ""));
        sheet = app.bean(Runs.class).find(run).orElseThrow().sheet().orElseThrow();
    }

    @AfterMethod
    public void noErrors() {
        assertEquals(errors, List.of(), "errors in the console");
        errors.clear();
    }

    private Page hand(String who) {
        Page page = app.signedIn(who);
        page.onPageError(errors::add);
        return page;
    }

    private FormulaBatch batch(String name) {
        return sheet.formulas().stream()
                .filter(f -> f.name().startsWith(name))
                .findFirst()
                .orElseThrow();
    }

    private void at(Page page, String step) {
        page.navigate("/bench/" + run + "?step=" + step);
    }

    private void light(Page page) {
        page.selectOption("[data-series] [name=speed]", SPEED);
        page.click("text=Use the simulated thermometer");
        assertThat(page.locator("text=Stop reading this pot")).isVisible();
    }

    private BenchState state() {
        return BenchState.of(sheet, bench.entries(run));
    }

    @Test
    public void aWholeNougatComesTogetherAsThePageSays() {
        FormulaBatch nougat = batch("Buckwheat-honey nougat");
        FormulaBatch honey = nougat.second().orElseThrow();
        String syrupStep = "cook:" + nougat.key();
        String honeyStep = "cook:" + honey.key();
        Page page = hand("teo");
        at(page, syrupStep);
        assertThat(page.locator(".meeting .advice li").first()).hasText("Light the pot: Syrup, now.");
        assertThat(page.locator(".meeting .advice")).containsText("Start the whisk: Whites, in");
        light(page);

        Set<String> did = new HashSet<>();
        Instant begun = Instant.now();
        while (!did.contains("syrup in") && begun.plusSeconds(90).isAfter(Instant.now())) {
            String advice =
                    String.join("\n", page.locator(".meeting .advice li").allTextContents());
            if (advice.contains("Light the pot: Buckwheat honey, now") && did.add("honey lit")) {
                at(page, honeyStep);
                light(page);
                at(page, syrupStep);
            } else if (advice.contains("Start the whisk: Whites, now") && did.add("whisk")) {
                page.click("button:text-is('The whisk runs')");
            } else if (advice.contains("Buckwheat honey is there and waits") && did.add("honey waits")) {
                off(page, honeyStep);
                at(page, syrupStep);
            } else if (advice.contains("Syrup is there and waits") && did.add("syrup waits")) {
                page.click("button:text-is('The pot is off the heat')");
            } else if (advice.contains("Pour it in now") && advice.contains("honey") && did.add("honey in")) {
                off(page, honeyStep);
                page.click(".done-form button");
                at(page, syrupStep);
            } else if (advice.contains("Pour it in now") && advice.contains("Syrup") && did.add("syrup in")) {
                page.click(".done-form button");
            } else if (peaks(sheet, nougat) && did.add("peaks")) {
                page.click("button:text-is('Soft peaks')");
            }
            page.waitForTimeout(200);
        }
        assertTrue(did.containsAll(Set.of("honey lit", "whisk", "peaks", "honey in", "syrup in")), "did " + did);
        page.waitForCondition(() -> state().done(syrupStep));
        BenchState state = state();
        assertTrue(
                state.doneAt(honeyStep)
                        .orElseThrow()
                        .isBefore(state.doneAt(syrupStep).orElseThrow()),
                "the honey goes in first");
        assertThat(page.locator(".meeting")).hasCount(0);

        String drying = sheet.program(nougat).stream()
                .filter(s -> s.how().action().startsWith("Dry it"))
                .findFirst()
                .orElseThrow()
                .id();
        at(page, drying);
        double joined = nougat.cooking()
                .plan()
                .orElseThrow()
                .bowl()
                .orElseThrow()
                .mass()
                .composition()
                .totalGrams();
        page.fill("#potTareGrams", "500");
        page.fill("#potGrossGrams", String.valueOf(Math.round(500 + joined - 20)));
        page.click("button:text-is('Weigh it')");
        assertThat(page.locator("[data-out=weighed]")).containsText("% water");
        assertThat(page.locator("[data-out=done-grams]")).containsText("g, less the bowl");
        page.selectOption("select[name=found]", "not yet");
        page.click("form:has(input[value='Leaves the sides of the bowl']) button");
        assertThat(page.locator("[data-live=hands]")).containsText("Leaves the sides of the bowl: not yet");
        assertTrue(
                state().yields().finishedGrams(nougat.key()).isEmpty(),
                "a bowl without its nuts is not what came of it");
        page.navigate("/ledger/" + run);
        assertThat(page.locator("article.curve h3").first()).isVisible();
        assertThat(page.locator("main")).containsText(honey.name());
    }

    /** Whether the whites have run for eight minutes of the pots' time. */
    private boolean peaks(RunSheet of, FormulaBatch nougat) {
        String whisk = of.program(nougat).get(0).id();
        BenchState state = state();
        return !state.done(whisk)
                && state.begun(whisk)
                        .filter(at ->
                                at.plusSeconds(8 * 60 / Integer.parseInt(SPEED)).isBefore(Instant.now()))
                        .isPresent();
    }

    private void off(Page page, String step) {
        at(page, step);
        if (page.locator("button:text-is('The pot is off the heat')").count() > 0) {
            page.click("button:text-is('The pot is off the heat')");
            assertThat(page.locator("[data-out=is-off]")).isVisible();
        }
    }

    @Test
    public void creamIsPouredInAndTheMinutesStartAnew() {
        FormulaBatch caramel = batch("Sea-buckthorn caramel");
        String cook = "cook:" + caramel.key();
        Page page = hand("ilse");
        at(page, cook);
        assertThat(page.locator("[data-out=pour-reading]"))
                .hasText(String.format(
                                "at %.1f °C",
                                caramel.pours().get(0).at().orElseThrow().reading())
                        .replace(' ', '\u00a0')
                        .replaceFirst("\u00a0", " "));
        page = hand("teo");
        at(page, cook);
        assertThat(page.locator(".until")).containsText("until Cream");
        light(page);
        assertThat(page.locator("[data-out=off]"))
                .containsText(
                        "Pour it in now: Cream",
                        new com.microsoft.playwright.assertions.LocatorAssertions.ContainsTextOptions()
                                .setTimeout(60000));
        page.click("button:has-text('It is in: Cream')");
        assertThat(page.locator(".until")).hasCount(0);
        assertThat(page.locator("[data-out=off]")).hasCount(0);
        assertThat(page.locator(".program li.done").last()).containsText("Pour in the warmed cream");
        Page seen = page;
        page.waitForCondition(
                () -> number(seen, "[data-out=reading]") < 115, new Page.WaitForConditionOptions().setTimeout(20000));
        page.waitForCondition(
                () -> seen.textContent("[data-out=water]").matches("[0-9]{3,}.*"),
                new Page.WaitForConditionOptions().setTimeout(20000));
        assertEquals(state().pot(caramel.key()).pours(), 1);
        page.click(".log li:has-text('Poured into') button");
        assertThat(page.locator(".until")).containsText("until Cream");
    }

    private static double number(Page page, String selector) {
        String text = page.textContent(selector);
        return text.matches("[0-9.]+") ? Double.parseDouble(text) : Double.NaN;
    }
}

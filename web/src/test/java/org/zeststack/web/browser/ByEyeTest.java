package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.store.run.Runs;
import org.zeststack.web.WithDemo;

/** A cook without a thermometer: minutes at a stir, looks, a drop in cold water, and the scale. */
public class ByEyeTest extends WithDemo {

    private static final Stamp STAMP = new Stamp("Runa", Instant.parse("2026-11-20T08:00:00Z"));

    private Page page;
    private final List<String> errors = new ArrayList<>();

    @BeforeClass
    public void open() {
        page = app.signedIn("runa");
        page.onPageError(errors::add);
    }

    @AfterMethod
    public void noErrors() {
        assertEquals(errors, List.of(), "errors in the console");
        errors.clear();
    }

    @SuppressWarnings("unchecked")
    private <T> long keep(String designs, String name, T content) {
        Designs<T> of = (Designs<T>) app.beanNamed(designs);
        long id = of.create(name, content, STAMP);
        of.keepVersion(id, 0, "first", STAMP);
        return id;
    }

    private long caramel() {
        return keep(
                "formulas",
                "Harbour caramel",
                new Formula(
                        Family.CARAMEL,
                        List.of(
                                new FormulaLine("sugar", 400, Role.POT),
                                new FormulaLine("glucose-syrup-42", 200, Role.POT),
                                new FormulaLine("cream-35", 300, Role.POT)),
                        null,
                        0,
                        List.of(new MethodStep("Stir it on a low ring", "12-15 min; thick; firm in cold water", "")
                                .doing(Act.COOK, "")),
                        new Finish(true, 0.06, 0.14, 0, 0),
                        Map.of()));
    }

    private long bar(long caramel) {
        return keep(
                "bars",
                "Harbour block",
                Bar.of(
                        Build.SHAPED,
                        new Body.Shaped(Body.Form.BLOCK, 62, 29, 15, 0),
                        List.of(
                                BarLayer.mm(LayerKind.FILLING, "formula:" + caramel + ":1", 0),
                                BarLayer.mm(LayerKind.COAT, "couverture-dark-66", 1.6))));
    }

    private long run(long bar, int pieces) {
        page.navigate("/runs");
        page.selectOption("#bar", String.valueOf(bar));
        page.fill("[name=pieces]", String.valueOf(pieces));
        page.selectOption("select[name=thermometer]", "0");
        page.click("text=Plan the run");
        page.waitForURL("**/runs/*");
        return Long.parseLong(page.url().replaceAll(".*/runs/", ""));
    }

    private static double[] grams(String text) {
        return java.util.regex.Pattern.compile("[0-9][0-9\u202f]*(?:\\.[0-9]+)?")
                .matcher(text)
                .results()
                .mapToDouble(r -> Double.parseDouble(r.group().replace("\u202f", "")))
                .toArray();
    }

    @Test
    public void minutesLooksColdWaterAndTheScaleLeadItAndTeachTheNext() {
        long caramel = caramel();
        long bar = bar(caramel);
        long run = run(bar, 30);
        double[] planned = grams(page.textContent("[data-out=done-grams]"));
        assertTrue(planned[1] > 1.08 * planned[0], "6 to 14 % of water is a wide range");
        page.click("button:has-text('Start')");
        page.waitForURL("**/bench/*");
        RunSheet sheet = app.bean(Runs.class).find(run).orElseThrow().sheet().orElseThrow();
        FormulaBatch batch = sheet.formulas().get(0);
        page.navigate("/bench/" + run + "?step=cook:" + batch.key());
        assertThat(page.locator("[data-out=gone]")).hasText("—");
        page.click("button:text-is('Start the clock')");
        assertThat(page.locator("[data-out=gone]")).hasText("0.0");
        assertThat(page.locator(".program li.now")).containsText("12-15 min, 0.0 min gone");
        page.selectOption("form:has(input[value='firm in cold water']) select", "not yet");
        page.click("form:has(input[value='firm in cold water']) button");
        assertThat(page.locator("[data-live=hands]")).containsText("firm in cold water: not yet");
        page.selectOption("form:has(input[value='firm in cold water']) select", "");
        page.click("form:has(input[value='firm in cold water']) button");
        assertThat(page.locator("[data-live=hands]")).containsText("firm in cold water ✓");

        page.fill("#potGrossGrams", "20");
        page.click("button:text-is('Weigh it')");
        assertThat(page.locator("[data-out=weighed]")).containsText("that cannot be");
        double dry = batch.pot().totalGrams() - batch.pot().waterGrams();
        page.fill("#potTareGrams", "1000");
        page.fill("#potGrossGrams", String.valueOf(Math.round(10 * (1000 + dry / 0.91)) / 10.0));
        page.click("button:text-is('Weigh it')");
        assertThat(page.locator("[data-out=weighed]")).containsText("9.0 % water");
        page.click(".done-form button");

        page.navigate("/bench/" + run + "?step=release:");
        page.fill("#pieces", "30");
        page.click("button:text-is('Count')");
        assertThat(page.locator("[data-out=good]")).hasText("30");
        app.bean(Runs.class).close(run, Instant.now());

        long next = run(bar, 30);
        double[] narrowed = grams(page.textContent("[data-out=done-grams]"));
        assertEquals(narrowed[0] / planned[0], 1, 0.01, "as much is needed, drier a little denser");
        assertEquals(narrowed[1] / narrowed[0], 0.93 / 0.89, 0.002, "two points to either side of the one weighed");
        assertTrue(next > run);
        page.navigate("/formulas/" + caramel);
        assertThat(page.locator("[data-out=weighed-cooks]")).containsText("1 weighed cook says 7.0 % to 11.0 % water");
        page.click("[data-out=weighed-cooks] button");
        assertThat(page.locator("[name=moistureLeast]")).hasValue("7.0");
        assertThat(page.locator("[name=moistureGreatest]")).hasValue("11.0");
    }

    @Test
    public void fourPotsAreFourCooksAndFourWeighings() {
        long run = run(bar(caramel()), 600);
        page.click("button:has-text('Start')");
        page.waitForURL("**/bench/*");
        RunSheet sheet = app.bean(Runs.class).find(run).orElseThrow().sheet().orElseThrow();
        FormulaBatch whole = sheet.formulas().get(0);
        int pots = whole.batches();
        assertTrue(pots >= 3, "22 kg in one pot?");
        assertThat(page.locator(".weigh")).containsText("× " + pots + " = ");
        double sugar = whole.lines().get(0).grams() / pots;
        assertEquals(grams(page.textContent(".weigh .big-grams >> nth=0"))[0], sugar, 0.51, "what goes into one");
        page.click(".done-form button");
        for (int pot = 1; pot <= pots; pot++) {
            String name = "Harbour caramel, batch %d of %d".formatted(pot, pots);
            page.navigate("/bench/" + run);
            assertThat(page.locator("h1")).hasText("Cook %s by eye".formatted(name));
            double held = grams(page.textContent("[data-out=done-grams]"))[0];
            assertEquals(held, sheet.firstPots().get(pot - 1).doneGrams().least(), 0.51);
            page.click(".done-form button");
            page.navigate("/bench/" + run + "?step=mix:"
                    + sheet.firstPots().get(pot - 1).key());
            assertThat(page.locator("h1")).hasText("Weigh back " + name);
            page.fill("#grams", String.valueOf(Math.round(whole.finishedGrams() / pots)));
            page.click(".done-form button");
            assertThat(page.locator(".log li >> nth=0")).containsText("Weigh back " + name);
            if (pot == pots - 1) {
                page.navigate("/ledger/" + run);
                assertThat(page.locator(".asked")).containsText("Not every batch was weighed back");
            }
        }
        page.navigate("/ledger/" + run);
        assertThat(page.locator(".asked")).hasCount(0);
    }
}

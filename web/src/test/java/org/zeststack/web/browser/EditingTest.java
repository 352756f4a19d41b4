package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.web.TestApp;
import org.zeststack.web.WithDemo;

/** Two people at one design, awkward input, a viewer, two instances, accessibility; on the demo's data. */
public class EditingTest extends WithDemo {

    private Page runa;

    @BeforeClass
    public void signIn() {
        runa = app.signedIn("runa");
    }

    @Test
    public void theSecondSaverSeesBothAndLosesNothing() {
        Page first = app.signedIn("runa");
        Page second = app.signedIn("runa");
        first.navigate("/formulas/1");
        second.navigate("/formulas/1");
        first.fill("[name='line.0.grams']", "555");
        TestApp.sent(first, "text=Save the draft");
        assertThat(first.locator("[name='line.0.grams']")).hasValue("555");
        second.fill("[name='line.0.grams']", "577");
        second.fill("[name='step.0.cue']", "my own cue");
        second.click("text=Save the draft");
        assertThat(second.locator(".clash")).containsText("Runa saved while you were writing");
        assertThat(second.locator("tr[data-row='0'] .theirs").first()).containsText("555");
        assertEquals(second.inputValue("[name='line.0.grams']"), "577");
        assertEquals(second.inputValue("[name='step.0.cue']"), "my own cue");
        second.click("text=Save the draft");
        assertThat(second.locator(".clash")).hasCount(0);
        first.reload();
        assertThat(first.locator("[name='line.0.grams']")).hasValue("577");
    }

    @Test
    public void theSameHoldsForSettings() {
        Page first = app.signedIn("runa");
        Page second = app.signedIn("runa");
        first.navigate("/workshop/moulds/2");
        second.navigate("/workshop/moulds/2");
        first.fill("#owned", "5");
        TestApp.sent(first, "text=Save");
        second.fill("#owned", "7");
        second.click("text=Save");
        assertThat(second.locator(".theirs")).containsText("5");
        assertEquals(second.inputValue("#owned"), "7");
    }

    @DataProvider
    public Object[][] awkward() {
        return new Object[][] {
            // page, field, typed, what is said beside it
            {"/formulas/2", "[name='line.0.grams']", "-5", "outside 0.01 to 1000000 g"},
            {"/formulas/2", "[name='line.0.grams']", "", "Write a number"},
            {"/formulas/2", "[name='line.0.grams']", "NaN", "is no amount of it"},
            {"/formulas/2", "[name='line.0.grams']", "99999999999", "outside"},
            {"/formulas/2", "[name='line.0.grams']", "1,500", "is no amount of it"},
            {"/formulas/2", "#handlingLossFraction", "a lot", "is not a number"},
            {"/formulas/3", "#stopCelsius", "70", "first boiling point"},
            {"/formulas/3", "#stopCelsius", "177", "160 °C"},
            {"/formulas/3", "#stopCelsius", "5", "outside 60 to 200"},
            {"/bars/4", "[name='layer.0.amount']", "15", "as thick as the cavity is deep"},
            {"/bars/4", "[name='layer.0.amount']", "", "Write a number"},
            {"/bars/4", "[name='layer.1.amount']", "150", "outside 0 to 100 mm"},
            {"/bars/4", "[name='layer.3.leastMm']", "2.9", "above the greatest"},
            {"/bars/4", "[name='layer.1.ingredient']", "moon dust", "neither in the store room nor a formula"},
            {"/bars/16", "[name='body.pieceLengthMm']", "900", "No piece of 900"},
            {"/bars/17", "[name='body.strips']", "2.5", "whole number"},
            {"/bars/4", "#declaredGrams", "0", "outside 1 to 5000 g"},
        };
    }

    @Test(dataProvider = "awkward")
    public void badInputIsToldBesideItsFieldAndKept(String path, String field, String typed, String said) {
        Page page = app.beside(runa);
        page.navigate(path);
        Locator input = page.locator(field);
        input.fill(typed);
        Locator told = page.locator("[id='fault-" + input.getAttribute("name") + "']");
        assertThat(told).containsText(said);
        page.click("text=Save the draft");
        assertThat(page.locator("[id='fault-" + input.getAttribute("name") + "']"))
                .containsText(said);
        assertThat(page.locator(field)).hasValue(typed);
        page.context().close();
    }

    @Test
    public void whatStepsDoOutlastsASaveWithAFault() {
        Page page = app.beside(runa);
        page.navigate("/bars/18");
        String amount = "[name='layer.1.amount']";
        String was = page.inputValue(amount);
        page.fill(amount, "999");
        TestApp.sent(page, "text=Save the draft");
        assertThat(page.locator("[id='fault-layer.1.amount']")).containsText("outside");
        page.fill(amount, was);
        page.click("summary:has-text('steps of the build')");
        page.fill("[name='step.0.action']", "Roll it thin");
        TestApp.sent(page, "text=Save the draft");
        assertThat(page.locator("[name='step.0.action']")).hasValue("Roll it thin");
        assertThat(page.locator("[name='step.0.does']")).not().hasValue("");
        page.context().close();
    }

    @Test
    public void amountsAreReadAsPeopleTypeThem() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/4");
        Locator grams = page.locator("[data-layer=shell] td").first();
        page.fill("[name='layer.0.amount']", "1 ½");
        assertThat(grams).hasText("1.5");
        page.fill("[name='layer.0.amount']", "1,7");
        assertThat(grams).hasText("1.7");
        page.navigate("/bars/17");
        page.fill("[name='body.lengthMm']", "13 in");
        assertThat(page.locator("[data-live=plan] small")).containsText("330 × 230");
        page.fill("[name='body.widthMm']", "22.9 cm");
        assertThat(page.locator("[data-live=plan] small")).containsText("330 × 229");
    }

    @Test
    public void aFillingThatDoesNotFitIsCalledWithItsArithmetic() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/4");
        page.fill("[name='layer.1.amount']", "13");
        assertThat(page.locator("[data-call=overfull]")).containsText("1.4 mm higher than the inside");
        page.click("[data-call=overfull] summary");
        assertThat(page.locator("[data-call=overfull]")).containsText("layers 14.8 mm > inside 13.4 mm");
    }

    @Test
    public void whatIsDrawnAnewLeavesTheCaretWhereItWas() {
        Page page = app.signedIn("runa");
        page.navigate("/formulas/1");
        page.fill("[name='step.0.caution']", "Mind the copper handle");
        page.evaluate("() => { const field = document.querySelector('[name=\"step.0.caution\"]');"
                + " field.setSelectionRange(5, 8); window.before = field;"
                + " document.querySelector('[value=\"drop:1:step\"]').click(); }");
        page.waitForCondition(() -> (Boolean) page.evaluate("() => !window.before.isConnected"));
        assertEquals(
                page.evaluate("() => { const field = document.activeElement;"
                        + " return [field.name, field.selectionStart, field.selectionEnd].join(); }"),
                "step.0.caution,5,8");
    }

    @Test
    public void anotherMouldOrALayerMoreDrawsAnew() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/4");
        assertThat(page.locator(".handle")).hasCount(3);
        page.selectOption("#newKind", "FILLING");
        page.click("text=Add the layer");
        assertThat(page.locator(".handle")).hasCount(4);
        assertThat(page.locator(".layer-row").nth(3).locator("td.kind select")).hasValue("FILLING");
        page.click("#undo");
        assertThat(page.locator(".handle")).hasCount(3);
        String before = page.locator("#section").getAttribute("viewBox");
        page.selectOption("[id='body.mould']", "3");
        assertThat(page.locator("#section")).not().hasAttribute("viewBox", before);
        page.focus(".handle[data-field='layer.0.amount']");
        page.keyboard().press("ArrowUp");
        assertThat(page.locator("[name='layer.0.amount']")).hasValue("1.7");
    }

    @Test
    public void aViewerLooksAndCannotTouch() {
        Page page = app.signedIn("ilse");
        page.navigate("/bars/4");
        assertThat(page.locator("[name='layer.0.amount']")).isDisabled();
        assertThat(page.locator("text=Save the draft")).hasCount(0);
        page.navigate("/bench/4");
        assertThat(page.locator("text=Write it down")).hasCount(0);
        Response refused = page.navigate("/workshop/people");
        assertEquals(refused.status(), 403);
        assertThat(page.locator("h1")).hasText("Not done");
        assertThat(page.locator("main")).containsText("This part is for another role. Ask the owner of the workshop.");
    }

    @Test
    public void aReadingSentToOneInstanceAppearsOnAPageOfAnother() {
        try (TestApp other = app.second()) {
            Page here = app.signedIn("teo");
            Page there = other.signedIn("teo");
            here.navigate("/bench/4");
            there.navigate("/bench/4");
            here.fill("#celsius", "113.7");
            here.click("text=Write it down");
            assertThat(there.locator("[data-out=reading]")).hasText("113.7");
        }
    }

    @Test
    public void aRefusedSignInSaysSo() {
        Page page = app.page();
        page.navigate("/ledger");
        page.fill("#username", "teo");
        page.fill("#password", "wrong");
        page.click("button[type=submit]");
        assertThat(page.locator(".fault")).containsText("do not go together");
        page.fill("#username", "Teo ");
        page.fill("#password", "lantern-harbour");
        page.click("button[type=submit]");
        assertThat(page.locator("h1")).hasText("Ledger");
    }

    @DataProvider
    public Object[][] views() {
        return new Object[][] {
            {"/"},
            {"/bars"},
            {"/bars/4"},
            {"/formulas"},
            {"/formulas/new"},
            {"/workshop/rules"},
            {"/workshop/lines/new"},
            {"/bars/16"},
            {"/bars/new"},
            {"/boxes"},
            {"/workshop/moulds/3"},
            {"/formulas/1"},
            {"/formulas/1/versions/2"},
            {"/formulas/1/compare?from=1&to=2"},
            {"/formulas/import"},
            {"/store-room/ingredients/honey"},
            {"/store-room/ingredients/new"},
            {"/store-room/pack"},
            {"/store-room/lots/new"},
            {"/store-room/lots/9"},
            {"/store-room/cupboard"},
            {"/workshop/vessels/new"},
            {"/runs/5"},
            {"/runs"},
            {"/bench"},
            {"/bench/pots"},
            {"/bench/4"},
            {"/bench/4?step=temper:couverture-couverture-dark-66"},
            {"/rehearse"},
            {"/temper"},
            {"/temper?thermometer=none"},
            {"/temper/balance"},
            {"/temper/coating?centreCelsius=8"},
            {"/temper/setting"},
            {"/temper/colour"},
            {"/temper/order"},
            {"/temper/curve"},
            {"/bench/4?step=release:"},
            {"/bench/4?step=fill:filling-1"},
            {"/ledger"},
            {"/ledger/2"},
            {"/store-room"},
            {"/workshop"},
            {"/workshop/people"},
            {"/workshop/moulds/1"},
        };
    }

    @Test(dataProvider = "views")
    public void viewsAreAccessibleAndRunWithoutErrors(String path) {
        Page page = app.beside(runa);
        List<String> errors = new ArrayList<>();
        page.onConsoleMessage(m -> {
            if (m.type().equals("error")) {
                errors.add(m.text());
            }
        });
        page.onPageError(errors::add);
        page.navigate(path);
        List<String> broken = new ArrayList<>();
        // What is broken is asked for; to describe all that is not takes longer than to find that out.
        AxeRunOptions asked = new AxeRunOptions();
        asked.setResultTypes(List.of("violations"));
        for (Rule rule : new AxeBuilder(page)
                .options(asked)
                .withTags(List.of("wcag2a", "wcag2aa", "wcag21aa", "wcag22aa", "best-practice"))
                .setLegacyMode(true)
                .analyze()
                .getViolations()) {
            broken.add(rule.getId() + ": " + rule.getNodes().get(0).getHtml());
        }
        assertTrue(broken.isEmpty(), path + " " + broken);
        assertTrue(errors.isEmpty(), path + " " + errors);
        page.context().close();
    }
}

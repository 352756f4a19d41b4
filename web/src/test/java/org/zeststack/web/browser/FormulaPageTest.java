package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.store.run.Runs;
import org.zeststack.web.TestApp;
import org.zeststack.web.WithDemo;

/** From a household recipe to a balanced, scaled, versioned formula that is carried elsewhere and back. */
public class FormulaPageTest extends WithDemo {

    /** Invented; in US measures, with two guesses to correct. */
    private static final String RECIPE = """
            Breakwater caramels

            1 cup cream
            1 ½ cups sugar
            1 cup light corn syrup
            6 tbsp butter
            a pinch of salt

            Warm the cream with sugar, syrup and butter until dissolved.
            Boil to 245°F, stirring, about 20 minutes. Stir in the salt and pour.
            """;

    private Page page;
    private String json;

    @BeforeClass
    public void open() {
        page = app.signedIn("runa");
    }

    private Locator field(String name) {
        return page.locator("[name='" + name + "']");
    }

    /** A recipe from its pasting to what the bench offers to the next version: each part finds the formula as the one before left it. */
    @Test
    public void aRecipeThroughItsVersions() throws IOException {
        pasteARecipe();
        correctTwoGuesses();
        scaleToATray();
        typeUndoAndKeepVersionTwo();
        compareTheTwo();
        exportAndImport();
        recipesAndLinesComeInToo();
        namesAreSuggestedAndFormulasMayBeLines();
        theSliderProposesAndItsGramsCanBePutIn();
        whatTheBenchUsedToEffectIsOfferedToTheNextVersion();
        aPhotographOfRightIsKeptWithTheStep();
    }

    private void pasteARecipe() {
        page.navigate("/formulas");
        page.click("text=Write a new formula");
        page.click("text=paste a whole recipe");
        page.selectOption("#measures", "US");
        page.fill("#paste", RECIPE);
        page.click("text=Read it");
        assertThat(page.locator("#name")).hasValue("Breakwater caramels");
        assertThat(page.locator("#stopCelsius")).hasValue("118.3");
        assertThat(field("line.1.ingredient")).hasValue("Sugar (white)");
        assertThat(field("line.1.grams")).hasValue("300");
        assertThat(field("step.1.cue")).hasValue(Pattern.compile("245.*20 minutes"));
        assertThat(page.locator("[data-live=ends-1]")).containsText("118.3");
        // Which cream, how much a pinch is, and that butter boils, as the text says.
        assertThat(page.locator(".guess-mark")).hasCount(3);
        assertThat(page.locator("[name='line.3.role']")).hasValue("POT");
        assertThat(page.locator("[data-out=moisture]")).containsText("%");
    }

    private void correctTwoGuesses() {
        page.fill("[name=why]", "as pasted");
        page.click("text=Keep version");
        assertThat(page.locator("[id='fault-why']")).containsText("guess");
        // Nothing typed was lost by the refusal.
        assertThat(field("line.0.ingredient")).hasValue("Cream 35 % fat");
        page.locator("[data-live=note-0] button", new Page.LocatorOptions().setHasText("Double cream"))
                .click();
        assertThat(field("line.0.ingredient")).hasValue("Double cream 48 % fat");
        assertThat(field("line.0.grams")).hasValue("236");
        field("line.3.grams").focus();
        page.keyboard().press("Alt+Enter");
        assertThat(page.locator(".guess-mark")).hasCount(1);
        field("line.4.grams").focus();
        page.keyboard().press("Alt+Enter");
        assertThat(page.locator(".guess-mark")).hasCount(0);
        page.fill("[name=why]", "as pasted");
        page.click("text=Keep version");
        assertThat(page.locator(".versions")).containsText("as pasted");
    }

    private void scaleToATray() {
        page.selectOption("#scale-by", "TRAY");
        field("scale.amount").fill("12");
        field("scale.tray").fill("9 x 13 in");
        field("scale.potLitres").fill("2");
        assertThat(page.locator("[data-out=pots]")).containsText("equal batches");
        // Area × thickness × density: 22.86 × 33.02 × 1.2 cm are 905.8 mL.
        String density =
                page.locator("dd:near(dt:text('Density at 20'))").first().innerText();
        double gramsPerMl = Double.parseDouble(density.replaceAll("[^0-9.].*", ""));
        double usable =
                Double.parseDouble(page.locator("[data-out=usable]").innerText().replaceAll("[^0-9.]", ""));
        assertEquals(usable, 905.8 * gramsPerMl, 0.01 * usable);
        page.locator("[data-live=scaled] summary").click();
        assertThat(page.locator("[data-live=scaled]")).containsText("foams up");
    }

    private void typeUndoAndKeepVersionTwo() {
        page.fill("#quick", "2 tsp vanilla extract");
        page.press("#quick", "Enter");
        assertThat(field("line.5.ingredient")).hasValue("Vanilla extract");
        page.keyboard().press("Control+z");
        assertThat(field("line.5.ingredient")).not().hasValue("Vanilla extract");
        page.locator("#redo").click();
        assertThat(field("line.5.ingredient")).hasValue("Vanilla extract");
        // Spirit goes in off the heat: suggested, and no guess any more once somebody has chosen.
        assertThat(field("line.5.role")).hasValue("OFF_HEAT");
        assertThat(page.locator(".guess-mark")).hasCount(1);
        field("line.5.role").selectOption("WARM");
        assertThat(page.locator(".guess-mark")).hasCount(0);
        field("line.1.grams").fill("1 ¼ cups");
        assertThat(page.locator("[data-live=share-1]")).containsText("= 250");
        page.fill("[name=why]", "less sweet, vanilla");
        page.click("text=Keep version");
        assertThat(page.locator(".versions li")).hasCount(2);
    }

    private void compareTheTwo() {
        String address = page.url().replaceFirst("#.*", "");
        page.click("text=what changed since 1");
        assertThat(page.locator(".diff .is-new")).containsText("Vanilla extract");
        assertThat(page.locator("tr.is-changed")).containsText("Sugar (white)");
        assertThat(page.locator("tr.is-changed")).containsText("changed");
        page.navigate(address + "/versions/1");
        page.click("text=Make this one from now on");
        assertThat(page.locator("text=this one is made")).isVisible();
        page.navigate(address + "/versions/2");
        page.click("text=Make this one from now on");
        assertThat(page.locator("text=this one is made")).isVisible();
    }

    private void exportAndImport() throws IOException {
        Download file = page.waitForDownload(() -> page.click("a:text-is('JSON')"));
        json = Files.readString(file.path());
        assertTrue(json.contains("\"zest-stack-formula\""));
        page.navigate("/formulas/import");
        page.fill("#text", json);
        page.click("text=Bring it in");
        page.waitForURL("**/formulas/*");
        assertThat(page.locator("#name")).hasValue("Breakwater caramels");
        assertThat(field("line.5.ingredient")).hasValue("Vanilla extract");
        assertThat(field("line.5.role")).hasValue("WARM");
        assertThat(field("step.1.cue")).hasValue(Pattern.compile("245.*20 minutes"));
    }

    private void recipesAndLinesComeInToo() {
        page.navigate("/formulas/import");
        page.fill(
                "#text",
                "{\"@type\":\"Recipe\",\"name\":\"Pier toffee\",\"recipeIngredient\":[\"200 g sugar\",\"1 jar odd\"]}");
        page.click("text=Bring it in");
        assertThat(page.locator("#name")).hasValue("Pier toffee");
        assertThat(field("line.1.ingredient")).hasValue("1 jar odd");
        assertThat(page.locator("[data-live=note-1]")).containsText("no such ingredient");
        page.navigate("/formulas/import");
        page.fill("#text", "nothing of the kind");
        page.click("text=Bring it in");
        assertThat(page.locator("#fault-text")).containsText("name the columns");
        assertThat(page.locator("#text")).hasValue("nothing of the kind");
    }

    private void namesAreSuggestedAndFormulasMayBeLines() {
        page.navigate("/formulas");
        page.evaluate("localStorage.clear()");
        page.click("text=Write a new formula");
        field("line.0.ingredient").pressSequentially("roasted-sunflower paste");
        assertThat(page.locator(".suggestions li")).hasCount(1);
        assertThat(page.locator(".suggestions")).containsText("Roasted-sunflower paste, version 1");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        assertThat(field("line.0.slug")).hasValue("formula:2:1");
        assertThat(field("line.0.grams")).isFocused();
        page.keyboard().type("200");
        assertThat(page.locator("[data-out=allergens]")).containsText("milk");
        page.click("text=Add the family's usual method");
        assertThat(field("step.1.action")).hasValue(Pattern.compile("Boil.*"));
    }

    private void theSliderProposesAndItsGramsCanBePutIn() {
        page.navigate("/formulas/1");
        // Other lines move the value, and nobody having touched the slider, nothing is proposed.
        field("line.0.grams").fill("900");
        assertThat(page.locator(".slider output")).containsText("now 38 %");
        assertThat(page.locator("[aria-label='Proposed lines']")).hasCount(0);
        field("line.0.grams").fill("540");
        assertThat(page.locator(".slider output")).containsText("now 50 %");
        page.locator("#slider").fill("0.35");
        assertThat(page.locator("[aria-label='Proposed lines']")).containsText("Sugar (white)");
        page.click("text=Put these grams in");
        assertThat(field("line.0.grams")).not().hasValue("540");
        assertThat(page.locator(".slider output")).containsText("35 %");
        page.keyboard().press("Control+z");
    }

    private void whatTheBenchUsedToEffectIsOfferedToTheNextVersion() {
        @SuppressWarnings("unchecked")
        Designs<Bar> bars = (Designs<Bar>) app.beanNamed("bars");
        Stamp stamp = new Stamp("Ada", Instant.parse("2026-11-01T08:00:00Z"));
        Bar bar = Bar.of(
                Build.MOULDED,
                new Body.Moulded(1, false),
                List.of(
                        BarLayer.mm(LayerKind.SHELL, "couverture-milk-38", 1.5),
                        BarLayer.rest(LayerKind.FILLING, "formula:9:1"),
                        BarLayer.mm(LayerKind.BACK, "couverture-milk-38", 2)));
        long id = bars.create("Crunch bar", bar, stamp);
        bars.keepVersion(id, 0, "first", stamp);
        long run = app.bean(Runs.class)
                .plan(new Runs.Plan(id, 1, "Crunch bar", LocalDate.of(2026, 12, 1), 20, 1, Allowances.USUAL, Map.of()));
        page.navigate("/runs/" + run);
        // The paste that the crunch is made of is made first, in its own amount.
        assertThat(page.locator(".batch h2").first()).containsText("Roasted-sunflower paste");
        TestApp.sent(page, "text=Start: freeze this sheet");
        page.navigate("/bench/" + run + "?step=mix:formula-9-v1");
        page.fill("[name=actualGrams]", "nothing");
        page.click("[data-entry=ACTUAL] button");
        assertThat(page.locator("[data-fault=actualGrams]")).containsText("not a number");
        page.fill("[name=actualGrams]", "150");
        page.click("[data-entry=ACTUAL] button");
        assertThat(page.locator("[data-live=log]")).containsText("to effect 150");
        page.navigate("/formulas/9");
        assertThat(page.locator(".offers")).containsText("Run " + run + " used");
        page.click("text=Take it over");
        assertThat(field("line.2.grams")).not().hasValue("190");
    }

    private void aPhotographOfRightIsKeptWithTheStep() throws IOException {
        page.navigate("/formulas/1");
        page.locator("#steps details.more summary").first().click();
        BufferedImage picture = new BufferedImage(2000, 1000, BufferedImage.TYPE_INT_RGB);
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", png);
        page.locator("#steps input[type=file]")
                .first()
                .setInputFiles(new FilePayload("right.png", "image/png", png.toByteArray()));
        assertThat(field("step.0.rightPhoto")).hasValue(Pattern.compile("[0-9]+"));
        TestApp.sent(page, "text=Save the draft");
        Locator kept = page.locator("#steps figure img").first();
        assertEquals(kept.evaluate("async i => { await i.decode(); return i.naturalWidth; }"), 1200);
        page.locator("#steps details.more summary").first().click();
        page.locator("#steps input[type=file]")
                .first()
                .setInputFiles(new FilePayload("no.png", "image/png", new byte[] {1, 2, 3}));
        assertThat(page.locator("#steps figure .fault").first()).containsText("could not be read");
    }
}

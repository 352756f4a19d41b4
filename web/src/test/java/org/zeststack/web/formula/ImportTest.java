package org.zeststack.web.formula;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.formula.Formula;
import org.zeststack.store.design.Designs;
import org.zeststack.web.WithDemo;

/** Formulas brought in from files: with what they are made of, and with what is not known here. */
public class ImportTest extends WithDemo {

    private Page page;

    @BeforeClass
    public void open() {
        page = app.signedIn("runa");
    }

    private String exported(String path) {
        return page.request().get(app.url() + path).text();
    }

    private long brought(String text, String fileName) {
        page.navigate("/formulas/import");
        page.setInputFiles("#file", new FilePayload(fileName, "text/plain", text.getBytes(StandardCharsets.UTF_8)));
        page.click("text=Bring it in");
        page.waitForURL(Pattern.compile(".*/formulas/[0-9]+"));
        return Long.parseLong(page.url().replaceAll(".*/", ""));
    }

    @SuppressWarnings("unchecked")
    private Formula draft(long id) {
        return ((Designs<Formula>) app.beanNamed("formulas"))
                .draft(id)
                .orElseThrow()
                .content();
    }

    @Test
    public void aFormulaBringsTheFormulasItIsMadeOf() {
        long id = brought(exported("/formulas/9/versions/1/formula.json"), "crunch.json");
        String link = draft(id).lines().get(0).ingredient();
        assertTrue(link.matches("formula:[0-9]+:1") && !link.equals("formula:2:1"), "a copy of its own: " + link);
        assertThat(page.locator("[name='line.0.ingredient']")).hasValue("Roasted-sunflower paste, version 1");
        assertEquals(draft(id).lines().get(2), draft(9).lines().get(2), "to effect, its step and its grams");
        assertThat(page.locator("[data-out=allergens]")).containsText("gluten");
    }

    @Test
    public void anIngredientNotKnownHereComesAlong() {
        String json = exported("/formulas/8/versions/1/formula.json").replace("\"demerara\"", "\"skerry-sugar\"");
        long id = brought(json, "base.json");
        assertTrue(draft(id).lines().stream().anyMatch(l -> l.ingredient().equals("skerry-sugar")));
        assertTrue(app.bean(Shelf.class).table().find("skerry-sugar").isPresent());
        page.navigate("/formulas/import");
        page.fill(
                "#text",
                json.replace("\"SUCROSE\" : 98.5", "\"SUCROSE\" : 9.5").replace("skerry-sugar", "broken-sugar"));
        page.click("text=Bring it in");
        assertThat(page.locator("#fault-text")).containsText("broken-sugar");
        assertTrue(app.bean(Shelf.class).table().find("broken-sugar").isEmpty(), "whole or not at all");
    }

    @Test
    public void linesComeInAsCsvAndCanBeSaved() {
        page.navigate("/formulas/import");
        page.fill("#text", exported("/formulas/1/versions/2/lines.csv"));
        page.click("text=Bring it in");
        assertThat(page.locator("[name='line.6.ingredient']")).hasValue("Sea salt flakes");
        page.fill("#name", "From a spreadsheet");
        page.selectOption("#family", "CARAMEL");
        page.click("text=Save the draft");
        page.waitForURL(Pattern.compile(".*/formulas/[0-9]+"));
        long id = Long.parseLong(page.url().replaceAll(".*/", ""));
        assertEquals(draft(id).lines(), draft(1).lines());
    }
}

package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.web.WithDemo;

/** Ways of working typed from nothing, planned, and their run sheets read for numbers and order. Sums by hand. */
public class WaysPageTest extends WithDemo {

    private Page page;
    private final List<String> errors = new ArrayList<>();

    @BeforeClass
    public void open() {
        page = app.signedIn("runa");
        page.onConsoleMessage(m -> {
            if (m.type().equals("error")) {
                errors.add(m.text());
            }
        });
        page.onPageError(errors::add);
    }

    /** Acts are separated by blanks and newlines: {@code +KIND} adds a layer, {@code -N} drops one, {@code field=value} fills in. */
    @DataProvider
    public Object[][] ways() {
        return new Object[][] {
            {
                "tinted shell with a disc",
                "MOULDED",
                "mould-1",
                """
                layer.0.ingredient=White couverture 30
                layer.0.mix.ingredient=Coloured cocoa butter, red
                layer.0.mixFraction=4
                layer.1.by=MM
                layer.1.amount=4
                +DECORATION
                layer.0.technique=SPECKLE
                layer.0.misses=25
                layer.0.keepsGrams=5
                +INSERT
                layer.3.ingredient=Shortbread biscuit
                layer.3.shape=DISC
                layer.3.lengthMm=24
                layer.3.heightMm=3
                layer.3.sheetLengthMm=300
                layer.3.sheetWidthMm=200
                layer.3.spare=10
                layer.3.rawLengthMm=26
                +FILLING
                layer.4.by=REST
                """,
                // 40 pieces and 5 % are 43: 60 mg each are 2.58 g, a quarter of what is used misses: 0.86 g.
                List.of(
                        "Have 8.4 g ready: 2.6 g stay on, 860 mg land beside, 5.0 g stay in the stiff brush",
                        "Stir into the bowl",
                        "Temper White couverture",
                        "Line the cavities",
                        "Fill with",
                        "Cut from 1 sheet of 300 × 200 mm, rolled out to 325 × 217 mm raw",
                        "Temper Dark couverture",
                        "Close the backs",
                        "Release and count")
            },
            {
                "whole slab of halves",
                "SLAB",
                "free",
                """
                layer.1.amount=4
                layer.1.sheetLengthMm=62 cm
                layer.1.sheetWidthMm=210
                layer.1.sheetTrimMm=5
                +SHEET
                +FILLING
                layer.3.amount=4
                layer.3.sheetLengthMm=62 cm
                layer.3.sheetWidthMm=210
                layer.3.sheetTrimMm=5
                layer.4.wholeSlab=yes
                layer.4.bareEnds=yes
                body.trimMm=0
                body.tool=WIRES
                body.pitchMm=7.5
                body.kerfMm=0.5
                body.pieceLengthMm=59.5
                body.pieceWidthMm=22
                """,
                // 300 / 60 = 5 along, (200 + 0.5) / 22.5 = 8 across: two slabs, two halves each, from two sheets.
                List.of(
                        "Cut from 2 sheets of 620 × 210 mm: 2 of one, 4 are laid, 0 spare",
                        "Cut from 2 sheets",
                        "Melt Dark couverture",
                        "Turn the slab over",
                        "Coat: Dark couverture",
                        "40 of one, 2 slabs. With wires 7.5 mm apart: every 8. along, every 3. across",
                        "Finish and count")
            },
            {
                "log with a filling on it",
                "SHAPED",
                "hand",
                """
                body.form=LOG
                body.grams=
                body.lengthMm=80
                body.widthMm=18
                +FILLING
                layer.1.by=GRAMS
                layer.1.amount=6
                +TOPPING
                layer.3.ingredient=Almonds, slivered
                layer.3.by=MILLIGRAMS
                layer.3.amount=400
                layer.3.technique=ROLL
                layer.3.keepsGrams=120
                """,
                // 43 pieces: 17.2 g of almonds stay on and 120 g lie in the tray.
                List.of(
                        "Shape Marzipan",
                        "Chill until firm",
                        "6.0 g a piece",
                        "Temper Dark couverture",
                        "Coat: Dark couverture",
                        "Have 137 g ready: 17.2 g stay on, 120 g stay in the tray",
                        "Finish and count")
            },
            {
                "plated stack",
                "OPEN",
                "plate",
                """
                body.cuttersMm=70; 55; 40
                +FILLING
                layer.3.by=GRAMS
                layer.3.amount=5
                layer.3.level=2
                layer.3.cover=RINGS
                +SHEET
                layer.4.level=3
                layer.4.ingredient=Milk couverture 38
                """,
                // 70 mm across and 3 mm high, π/4 × 4900 × 3 mm³ × 1.28 g/mL = 14.8 g; the third, 40 mm and 1 mm, 1.6
                // g.
                List.of("14.8 g a piece", "5.0 g a piece", "1.6 g a piece", "Stack the sizes", "Finish and count")
            },
            {
                "free bark",
                "OPEN",
                "spread",
                """
                layer.0.amount=5
                layer.1.ingredient=Almonds, roasted
                layer.1.amount=20
                body.leastGrams=25
                body.greatestGrams=45
                """,
                // 300 × 200 × 5 mm × 1.28 g/mL = 384 g, a fifth on top, 3 % crumbs: 447 g are 13 pieces; 43 wanted, 4
                // sheets.
                List.of("384 g on each sheet", "Topping: Almonds", "13 of one, 4 sheets", "Finish and count")
            },
            {
                "pressed block",
                "SLAB",
                "free",
                """
                layer.1.ingredient=Marzipan
                +INCLUSION
                layer.2.ingredient=Almonds, roasted
                layer.2.by=PIECES
                layer.2.amount=2
                layer.2.eachGrams=1.2
                layer.2.embedded=40
                -0
                body.cornerMm=3
                """,
                List.of(
                        "Lay Marzipan",
                        "Score the cuts",
                        "2.4 g a piece",
                        "Chill until it cuts clean",
                        "Cut the pieces",
                        "Round the corners",
                        "Temper Dark couverture",
                        "Coat: Dark couverture",
                        "Finish and count")
            }
        };
    }

    @Test(dataProvider = "ways")
    public void isTypedPlannedAndRead(String name, String build, String madeIn, String acts, List<String> told) {
        errors.clear();
        page.navigate("/bars/new");
        page.check("[name=build][value=" + build + "]");
        page.check("[name=madeIn][value=" + madeIn + "]");
        page.click("text=Draw it");
        page.fill("#name", name);
        acts.lines().forEach(this::act);
        page.fill("[name=why]", "first");
        page.click("text=Keep version");
        assertThat(page.locator("h2", new Page.LocatorOptions().setHasText("Versions")))
                .isVisible();
        page.navigate("/runs");
        page.selectOption("#bar", new com.microsoft.playwright.options.SelectOption().setLabel(name + ", version 1"));
        page.fill("[name=pieces]", "40");
        page.click("text=Plan the run");
        String steps = page.locator(".sheet-steps ol")
                .innerText()
                .replace('\u202f', ' ')
                .replace("\n", " | ");
        int at = 0;
        for (String words : told) {
            int found = steps.indexOf(words, at);
            assertTrue(
                    found >= 0,
                    "“" + words + "” after “" + steps.substring(Math.max(0, at - 60), at) + "” in " + steps);
            at = found + words.length();
        }
        assertEquals(errors, List.of(), "console");
    }

    private void act(String act) {
        if (act.startsWith("+")) {
            int rows = page.locator(".layer-row").count();
            page.selectOption("#newKind", act.substring(1));
            page.click("text=Add the layer");
            assertThat(page.locator(".layer-row")).hasCount(rows + 1);
            return;
        }
        if (act.startsWith("-")) {
            int rows = page.locator(".layer-row").count();
            page.click(".layer-row[data-row='%s'] button[value^=drop]".formatted(act.substring(1)));
            assertThat(page.locator(".layer-row")).hasCount(rows - 1);
            return;
        }
        String[] field = act.split("=", 2);
        Locator input = page.locator("[name='" + field[0] + "']");
        if (!input.isVisible()) {
            input.locator("xpath=ancestor::details[1]")
                    .locator("summary")
                    .first()
                    .click();
        }
        if (input.evaluate("i => i.tagName").equals("SELECT")) {
            input.selectOption(field[1]);
        } else if (input.getAttribute("type") != null
                && input.getAttribute("type").equals("checkbox")) {
            input.check();
        } else {
            input.fill(field[1]);
        }
        if (field[0].endsWith("ingredient")) {
            page.locator("[role=option]").first().click();
        }
    }
}

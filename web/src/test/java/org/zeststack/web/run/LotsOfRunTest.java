package org.zeststack.web.run;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.app.run.RunSheets;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Lot;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.Stamp;
import org.zeststack.store.ingredient.Lots;
import org.zeststack.store.run.Runs;
import org.zeststack.web.TestApp;
import org.zeststack.web.WithDemo;

/** A lot's own composition changes only the runs that take the lot. */
public class LotsOfRunTest extends WithDemo {

    private static final Stamp STAMP = new Stamp("Ada", Instant.parse("2026-03-01T08:00:00Z"));
    private static final LocalDate DAY = LocalDate.of(2026, 12, 1);

    private Runs runs;
    private RunSheets sheets;
    private Lots lots;

    @BeforeClass
    public void open() {
        runs = app.bean(Runs.class);
        sheets = app.bean(RunSheets.class);
        lots = app.bean(Lots.class);
    }

    private long plan(long bar) {
        return runs.plan(new Runs.Plan(bar, 1, "Lantern", DAY, 40, 1, Allowances.USUAL, Map.of()));
    }

    private RunSheet sheet(long run) {
        return sheets.of(runs.find(run).orElseThrow());
    }

    @Test
    public void onlyTheRunThatTakesTheLotFollowsIt() {
        long with = plan(4);
        long without = plan(4);
        RunSheet before = sheet(with);
        assertEquals(before.formulas(), sheet(without).formulas());
        Lot wet = new Lot(
                "wet",
                "Any",
                DAY,
                null,
                null,
                Map.of(Part.WATER, 26.0, Part.GLUCOSE, 32.0, Part.FRUCTOSE, 42.0),
                42,
                null,
                true,
                "");
        long lot = lots.add("honey", wet, Lots.Move.RECEIVED, 9000, UUID.randomUUID(), STAMP);
        assertEquals(sheet(with).formulas(), before.formulas(), "a lot that nobody takes changes nothing");
        Page page = app.signedIn("runa");
        page.navigate("/runs/" + with);
        page.selectOption("[id='lot.honey']", String.valueOf(lot));
        TestApp.sent(page, "text=Take these lots");
        assertThat(page.locator("[id='lot.honey']")).hasValue(String.valueOf(lot));
        assertNotEquals(
                sheet(with).formulas().get(0).cooking().pot().grams().get(Part.WATER),
                before.formulas().get(0).cooking().pot().grams().get(Part.WATER));
        assertTrue(
                sheet(with).formulas().get(0).rawGrams()
                        > before.formulas().get(0).rawGrams(),
                "wetter honey: more to weigh out for the same caramel");
        assertEquals(sheet(without).formulas(), before.formulas());
        TestApp.sent(page, "text=Start: freeze this sheet");
        double honey = sheet(with).weighing().stream()
                .filter(w -> w.ingredient().equals("honey"))
                .findFirst()
                .orElseThrow()
                .grams();
        page.navigate("/ledger/" + with);
        page.evaluate(
                "run => fetch(`/runs/${run}/close`, {method: 'POST', headers: {'X-CSRF-TOKEN': document.querySelector('meta[name=csrf]').content}})",
                (int) with);
        page.navigate("/store-room/lots/" + lot);
        assertThat(page.locator("table[aria-label=Movements]")).containsText("run " + with);
        assertEquals(lots.find(lot).orElseThrow().gramsLeft(), 9000 - honey, 1e-6);
    }

    @Test
    public void gramsOfALotMoveAndNeverGoBelowNothing() {
        Page page = app.signedIn("runa");
        page.navigate("/store-room/lots/new");
        page.fill("#ingredient", "isomalt");
        page.fill("#grams", "1 1/2");
        page.click("text=Write it down");
        assertThat(page.locator("#fault-code")).containsText("Write the lot's code");
        assertThat(page.locator("#grams")).hasValue("1 1/2");
        page.fill("#code", "X1");
        page.fill("#grams", "500");
        page.click("text=Write it down");
        assertThat(page.locator("[data-out=left]")).containsText("500");
        page.fill("#grams", "600");
        page.click("text=Move");
        assertThat(page.locator("#fault-grams")).containsText("Only 500 g are left");
        page.selectOption("#move", "COUNTED");
        page.fill("#grams", "480");
        page.click("text=Move");
        assertThat(page.locator("[data-out=left]")).containsText("480");
        assertThat(page.locator("table[aria-label=Movements]")).containsText("\u221220.0");
    }

    @Test
    public void aJarCanBeCookedAgain() {
        Page page = app.signedIn("runa");
        page.navigate("/store-room/lots/9");
        page.fill("#stopCelsius", "120");
        page.click("text=Work it out");
        double grams =
                Double.parseDouble(page.locator("[data-out=again]").innerText().replaceAll("[^0-9.]", ""));
        assertTrue(grams < 1850 && grams > 1700, "some of its 11.2 % of water boils off: " + grams);
        page.fill("#stopCelsius", "101");
        page.click("text=Work it out");
        assertThat(page.locator("#fault-stopCelsius")).containsText("first boiling point");
    }

    @Test
    public void aPackIsEstimatedAndKept() {
        Page page = app.signedIn("runa");
        page.navigate("/store-room/pack");
        page.fill("#name", "Harbour hazelnut spread");
        page.fill("#FAT", "31");
        page.fill("#SUGARS", "53");
        page.fill("#PROTEIN", "6");
        page.fill("#ingredients", "sugar, palm fat, roasted hazelnuts (13 %), skimmed milk powder, odd gum");
        page.click("text=Estimate");
        assertThat(page.locator("#fault-ingredients")).containsText("odd gum");
        page.fill("#ingredients", "sugar, ".repeat(61));
        page.click("text=Estimate");
        assertThat(page.locator("#fault-ingredients")).containsText("at most 60 are read");
        page.fill("#ingredients", "1/".repeat(19_000));
        page.click("text=Estimate");
        assertThat(page.locator("#fault-ingredients")).containsText("at most 2000 fit");
        page.fill("#ingredients", "sugar, palm fat, roasted hazelnuts (13 %), skimmed milk powder");
        page.click("text=Estimate");
        assertThat(page.locator("aside")).containsText("sucrose");
        page.click("text=Keep it as an ingredient");
        assertThat(page.locator("h1")).hasText("Harbour hazelnut spread");
        assertThat(page.locator(".plus-minus")).containsText("±");
    }
}

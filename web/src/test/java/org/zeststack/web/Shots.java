package org.zeststack.web;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import org.testng.annotations.Test;

/** Takes the pictures of docs/screenshots from the demo. Run by {@code ./zest shots}, never with the tests. */
public class Shots {

    private static final Path TARGET = Path.of(System.getProperty("zest.shots", "../docs/screenshots"));

    private static void shoot(Page page, String path, String name) {
        page.navigate(path);
        page.waitForTimeout(700);
        page.screenshot(new Page.ScreenshotOptions().setPath(TARGET.resolve(name + ".png")));
    }

    /** A household recipe just read, its guesses marked. */
    private static void pasted(Page page) {
        page.navigate("/formulas");
        page.click("text=Write a new formula");
        page.click("text=paste a whole recipe");
        page.selectOption("#measures", "US");
        page.fill("#paste", """
                Net-loft caramels
                1 cup cream
                1 \u00bd cups packed brown sugar
                2/3 cup light corn syrup
                1 stick butter
                a good pinch of flaky salt
                Warm everything but the salt until dissolved.
                Boil to 245\u00b0F, stirring, about 20 minutes. Stir in the salt and pour.
                """);
        page.click("text=Read it");
        page.waitForSelector("[name='line.4.ingredient']");
        page.waitForTimeout(900);
        page.screenshot(new Page.ScreenshotOptions().setPath(TARGET.resolve("formula-pasted.png")));
    }

    private static void scaled(Page page) {
        page.navigate("/formulas/6");
        page.fill("[name='scale.amount']", "6000");
        page.fill("[name='scale.potLitres']", "4");
        page.fill("[name='scale.bowlLitres']", "6.9");
        page.waitForTimeout(700);
        page.click("[data-live=scaled] summary");
        page.locator(".scale-part").evaluate("part => part.scrollIntoView()");
        page.waitForTimeout(300);
        page.screenshot(new Page.ScreenshotOptions().setPath(TARGET.resolve("formula-scaled.png")));
    }

    private static void tempering(Page page) {
        page.navigate("/bench/4?step=temper:couverture-couverture-dark-66");
        page.fill("#bowlGrams", "900");
        page.fill("#roomHumidity", "52");
        page.click("button:text-is('Plan it')");
        page.waitForTimeout(900);
        page.screenshot(new Page.ScreenshotOptions().setPath(TARGET.resolve("bench-temper.png")));
    }

    @Test
    public void takeAll() {
        try (TestApp app = TestApp.demo()) {
            Page owner = app.signedIn("runa");
            shoot(owner, "/", "today");
            shoot(owner, "/workshop", "workshop");
            shoot(owner, "/store-room", "store-room");
            shoot(owner, "/formulas/1", "formula");
            shoot(owner, "/bars", "bars");
            pasted(owner);
            scaled(owner);
            shoot(owner, "/bars/15", "bar");
            shoot(owner, "/bars/16", "bar-slab");
            shoot(owner, "/bars/new", "bar-new");
            shoot(owner, "/workshop/rules", "rules");
            shoot(owner, "/runs/5", "run-sheet");
            shoot(owner, "/temper", "bowl");
            shoot(owner, "/ledger", "ledger");
            shoot(owner, "/ledger/2", "ledger-run");
            Page bench = app.signedIn("teo");
            shoot(bench, "/bench/4", "bench-cook");
            tempering(bench);
            shoot(bench, "/bench/4?step=fill:filling-1", "bench-fill");
            bench.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
            shoot(bench, "/bench/4?step=release:", "bench-count-dark");
        }
    }
}

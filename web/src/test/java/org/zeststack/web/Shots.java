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

    @Test
    public void takeAll() {
        try (TestApp app = TestApp.demo()) {
            Page owner = app.signedIn("runa");
            shoot(owner, "/", "today");
            shoot(owner, "/workshop", "workshop");
            shoot(owner, "/store-room", "store-room");
            shoot(owner, "/formulas/1", "formula");
            shoot(owner, "/bars/4", "bar");
            shoot(owner, "/runs", "runs");
            shoot(owner, "/runs/5", "run-sheet");
            shoot(owner, "/ledger", "ledger");
            shoot(owner, "/ledger/2", "ledger-run");
            Page bench = app.signedIn("teo");
            shoot(bench, "/bench/4", "bench-cook");
            shoot(bench, "/bench/4?step=temper:couverture-couverture-dark-66", "bench-temper");
            shoot(bench, "/bench/4?step=fill:filling-1", "bench-fill");
            bench.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
            shoot(bench, "/bench/4?step=release:", "bench-count-dark");
        }
    }
}

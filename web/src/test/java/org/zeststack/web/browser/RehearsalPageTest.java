package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;
import org.zeststack.store.bench.Bench;
import org.zeststack.web.WithDemo;

/** Rehearsing a cook in the browser. */
public class RehearsalPageTest extends WithDemo {

    @Test
    public void aViewerRehearsesAndIsTold() {
        List<String> errors = new ArrayList<>();
        int running = app.bean(Bench.class).cooksRunning().size();
        Page page = app.signedIn("ilse");
        page.onPageError(errors::add);
        page.navigate("/bench/pots");
        page.click("text=Rehearse a cook");
        page.click("li:has-text('A cream caramel') button");
        page.waitForURL("**/rehearse/*-*");
        assertThat(page.locator("[data-out=reading]")).hasText("—");
        String stop = page.textContent("[data-out=stop-reading]");
        page.click("button:has-text('Hold the thermometer')");
        assertThat(page.locator("[data-out=checked]")).containsText("water boils here at 96.0 °C");
        assertThat(page.locator("[data-out=stop-reading]")).not().hasText(stop);
        page.click("button:text-is('Light the ring')");
        assertThat(page.locator("[data-out=ring]")).hasText("100 %");
        assertThat(page.locator("[data-out=reading]")).hasText(Pattern.compile("[3-9][0-9]\\.[0-9]"));
        page.click("button:text-is('to 30 %')");
        assertThat(page.locator("[data-out=ring]")).hasText("30 %");
        page.click("button:text-is('Off the ring')");
        assertThat(page.locator("[data-out=ring]")).hasText("off");
        page.click("button:has-text('mark it')");
        assertThat(page.locator(".marks .missed")).hasCount(1);
        assertThat(page.locator(".marks .missed")).containsText("too early");
        assertThat(page.locator(".marks .good")).containsText("checked in time");
        assertEquals(errors, List.of());
        assertEquals(app.bean(Bench.class).cooksRunning().size(), running, "nothing of it is kept");

        String url = page.url();
        Page other = app.signedIn("teo");
        assertEquals(other.navigate(url).status(), 404, "each has their own");
        assertEquals(page.navigate(url.replaceAll("[^/]*$", "none")).status(), 404);
    }
}

package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.web.TestApp;

/** A bowl at the bench: planned, led by its method, proved. */
public class TemperPageTest {

    private static final String BOWL = "/bench/4?step=temper:couverture-couverture-dark-66";

    private TestApp app;
    private Page page;
    private final List<String> errors = new ArrayList<>();

    @BeforeClass
    public void open() {
        app = TestApp.demo();
        page = app.signedIn("teo");
        page.onPageError(errors::add);
    }

    @AfterClass(alwaysRun = true)
    public void close() {
        app.close();
    }

    @AfterMethod
    public void noErrors() {
        assertEquals(errors, List.of(), "errors in the console");
        errors.clear();
    }

    private void plan(String method) {
        page.navigate(BOWL);
        page.selectOption("#method", method);
        page.fill("#bowlGrams", "900");
        page.click("button:text-is('Plan it')");
        assertThat(page.locator(".log li").first()).containsText("Tempered by");
    }

    private void startAnew() {
        if (page.locator("text=Stop reading this bowl").count() > 0) {
            page.click("text=Stop reading this bowl");
        }
        page.click("[data-series].next");
        assertThat(page.locator("text=Stop reading this bowl")).isVisible();
    }

    private void reads(String celsius, String verdict) {
        page.fill("#celsius", celsius);
        page.check("[name=confirmed]");
        page.click("text=Write it down");
        assertThat(page.locator("[data-out=verdict]")).hasText(verdict);
    }

    @Test
    public void seedToAPassedProof() {
        page.navigate(BOWL);
        assertThat(page.locator("[data-out=choose]")).containsText("the numbers of one method ruin a bowl of another");
        plan("SEED");
        assertThat(page.locator("[data-out=choose]")).hasCount(0);
        assertThat(page.locator(".temper-plan")).containsText("Finely grated: stir in");
        assertThat(page.locator(".temper-plan")).containsText("lift out about");
        startAnew();
        reads("46", "cooling");
        assertThat(page.locator("[data-out=next]")).containsText("Stir seed in");
        reads("40", "cooling");
        reads("31.8", "working");
        page.fill("#proofMinutes", "80");
        page.click("text=Write the proof down");
        assertThat(page.locator("[data-fault=proofMinutes]")).containsText("0.5 to 60");
        page.fill("#proofMinutes", "4");
        page.check("[name=streaks]");
        page.click("text=Write the proof down");
        assertThat(page.locator("[data-out=proof]")).containsText("did not pass: not in temper");
        page.fill("#proofMinutes", "5");
        page.click("text=Write the proof down");
        assertThat(page.locator("[data-out=proof]")).containsText("In temper by the proof of");
    }

    @Test
    public void barsOutOfTheColdAreToldToSweat() {
        page.navigate("/bench/4?step=release:");
        page.fill("#coldRoom", "25");
        page.fill("#humidity", "50");
        page.fill("#barCelsius", "5");
        page.click("text=Will they sweat?");
        assertThat(page.locator("[data-out=after-cold]"))
                .containsText("They sweat in this room: its dew point is 13.9");
        assertThat(page.locator("[data-out=after-cold]")).containsText("min in a closed box first");
        page.fill("#humidity", "25");
        page.click("text=Will they sweat?");
        assertThat(page.locator("[data-out=after-cold]")).containsText("They do not sweat");
        page.fill("#humidity", "99");
        page.click("text=Will they sweat?");
        assertThat(page.locator("[data-fault=humidity]")).containsText("dry it first");
    }

    @Test(dependsOnMethods = "seedToAPassedProof")
    public void theSlabHasItsOwnCourseAndALostBowlIsCalled() {
        plan("SLAB");
        assertThat(page.locator(".temper-plan")).containsText("The kept part must stand at 38.0 °C");
        startAnew();
        reads("46.8", "cooling");
        reads("31.8", "cooling");
        reads("28.3", "warming");
        reads("31.5", "working");
        reads("88 F", "working");
        reads("34.9", "lost");
        assertThat(page.locator("[data-out=next]")).containsText("Above 33.8 °C no good crystal is left");
    }
}

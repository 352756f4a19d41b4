package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.web.WithDemo;

/** Pages of the bowl, apart from a run, and bowls to rehearse on. */
public class BowlPagesTest extends WithDemo {

    private Page page;
    private final List<String> errors = new ArrayList<>();

    @BeforeClass
    public void open() {
        page = app.signedIn("ilse");
        page.onPageError(errors::add);
    }

    @AfterMethod
    public void noErrors() {
        assertEquals(errors, List.of(), "errors in the console");
        errors.clear();
    }

    private String seed(String query) {
        page.navigate("/temper/balance?" + query);
        return page.textContent("[data-out=seed]");
    }

    private static double grams(String text) {
        return Double.parseDouble(text.replaceAll("(?s)^\\s*([0-9]+(?:\\.[0-9]+)?).*", "$1"));
    }

    /** Check values: heat balances and mixing arithmetic on common practice. */
    @Test
    public void seedAndSlabAsTheirBalancesSay() {
        assertEquals(grams(seed("chocolateGrams=1000&fromCelsius=46&toCelsius=32&cocoaButter=36")), 350, 35);
        String lift = seed("chocolateGrams=200&fromCelsius=46&toCelsius=32&cocoaButter=36&stirredGrams=100");
        assertEquals(grams(lift), 70, 7);
        assertTrue(lift.contains("30.1\u202fg are left"), lift);
        assertEquals(
                grams(seed("chocolateGrams=1000&fromCelsius=46&toCelsius=32&cocoaButter=36&bowl=GLASS&bowlGrams=600")),
                456,
                9);
        String few = seed("chocolateGrams=200&fromCelsius=46&toCelsius=32&cocoaButter=36&stirredGrams=40");
        assertTrue(few.contains("it lands at"), few);

        page.navigate("/temper/balance?slabFraction=2/3&slabCelsius=27&endCelsius=31");
        assertThat(page.locator("[data-out=slab]")).containsText("must stand at 39.0");
        page.fill("#keptCelsius", "48");
        page.click("button:text-is('Compute')");
        assertThat(page.locator("[data-out=slab]")).containsText("land at 34.0");
        assertThat(page.locator("[data-out=slab]")).containsText("lost");

        page.fill("#fromCelsius", "90");
        page.fill("#slabFraction", "2");
        page.click("button:text-is('Compute')");
        assertThat(page.locator("#fault-fromCelsius")).containsText("90 is outside 20 to 65");
        assertThat(page.locator("#fault-slabFraction")).containsText("0.05 to 0.95");
        assertThat(page.locator("#fromCelsius")).hasValue("90");
        assertThat(page.locator("[data-out=seed]")).hasCount(0);
    }

    @Test
    public void everyMethodIsPlannedSideBySide() {
        page.navigate("/temper");
        assertThat(page.locator(".methods article")).hasCount(7);
        assertThat(page.locator(".methods")).containsText("Never over 32 °C");
        assertThat(page.locator("table.ruled tbody tr").first()).containsText("Dark");
        int couvertures = page.locator("#couverture option").count();
        assertThat(page.locator("table.ruled tbody tr")).hasCount(couvertures);
        page.selectOption("#thermometer", "none");
        page.click("button:text-is('Plan it')");
        assertThat(page.locator(".methods")).containsText("feels warm on the lip");
        assertThat(page.locator(".methods article").first()).not().containsText("°C, stirring");
        page.fill("#grams", "none");
        page.click("button:text-is('Plan it')");
        assertThat(page.locator("#fault-grams")).containsText("is not a number");
        assertThat(page.locator("#grams")).hasValue("none");
    }

    @Test
    public void coatsSheetsColoursAndOrders() {
        page.navigate("/temper/coating");
        assertThat(page.locator("[data-out=pieces-open]")).containsText("piece");
        page.fill("#centreCelsius", "8");
        page.fill("#beforeGrams", "200");
        page.fill("#afterGrams", "250");
        page.fill("#leftGrams", "381");
        page.click("button:text-is('Compute')");
        assertThat(page.locator("#fault-centreCelsius")).containsText("too cold, 16 to 25 °C: the coat comes thick");
        assertThat(page.locator("[data-out=pick-up]")).containsText("5.0\u202fg a coat");
        assertThat(page.locator("[data-out=pick-up]")).containsText("480");
        assertThat(page.locator("[data-out=sheet]")).containsText("1000 cm²");

        page.navigate("/temper/setting?roomCelsius=24");
        assertThat(page.locator("tbody tr").first()).containsText("not here");
        assertThat(page.locator("tbody tr").nth(3)).containsText("12 min at 12 °C on a line");

        page.navigate("/temper/colour");
        page.fill("#palette", "3 red\n1 white");
        page.click("text=Share it out");
        // 6 g on each of 4 moulds and 10 g in the brush: 34 g
        assertThat(page.locator("[data-out=palette] tbody tr").first()).containsText("25.5");
        page.fill("#palette", "some red");
        page.click("text=Share it out");
        assertThat(page.locator("#fault-palette")).containsText("write parts and a name");
        assertThat(page.locator("#palette")).hasValue("some red");

        page.navigate("/temper/order");
        assertThat(page.locator("[data-out=by-allergen] li").first()).containsText("Dark");
        assertThat(page.locator("[data-out=by-colour] li").first()).containsText("White");
        assertThat(page.locator("[data-out=washes]")).containsText("specks of");
    }

    /** A sample that sets: it falls, is held up, and falls on. */
    private static String curve(double rise) {
        StringBuilder lines = new StringBuilder("seconds,celsius\n");
        for (int second = 0; second <= 480; second += 5) {
            double minutes = second / 60.0;
            double celsius = minutes < 2
                    ? 31 - 3.5 * minutes
                    : minutes < 4 ? 24 + rise * (minutes - 2) : 24 + 2 * rise - 2.5 * (minutes - 4);
            lines.append(String.format(Locale.ROOT, "%d,%.2f%n", second, celsius));
        }
        return lines.toString();
    }

    private void upload(String lines) {
        page.navigate("/temper/curve");
        page.setInputFiles("#file", new FilePayload("logger.csv", "text/csv", lines.getBytes(StandardCharsets.UTF_8)));
        page.click("text=Read the curve");
    }

    @Test
    public void anUploadedCurveIsDrawnAndJudged() {
        upload(curve(0));
        assertThat(page.locator("[data-out=judgement]")).hasText("Well tempered");
        assertThat(page.locator(".cooling-curve .tangent")).hasCount(2);
        upload(curve(1.2));
        assertThat(page.locator("[data-out=judgement]")).hasText("Under-tempered");
        assertThat(page.locator("[data-out=slope]")).containsText("+1.2");
        upload(curve(-1.2));
        assertThat(page.locator("[data-out=judgement]")).hasText("Over-tempered");
        upload("0,31\n5,thirty\n");
        assertThat(page.locator("#fault-text")).containsText("Line 2");
        assertThat(page.locator("#text")).hasValue(Pattern.compile("5,thirty"));
        upload("0,31\n5,30\n");
        assertThat(page.locator("#fault-text")).containsText("12 to 20000 readings");
        StringBuilder falls = new StringBuilder();
        for (int s = 0; s < 300; s += 5) {
            falls.append(s).append(',').append(40 - s / 10.0).append('\n');
        }
        upload(falls.toString());
        assertThat(page.locator("#fault-text")).containsText("Nothing held the curve up");
    }

    @Test
    public void aBowlIsRehearsedByAViewer() {
        page.navigate("/rehearse");
        page.click("li:has-text('Dark couverture over ice') button");
        page.waitForURL("**/rehearse/*-*");
        assertThat(page.locator("[data-out=reading]")).hasText(Pattern.compile("(19|20)\\.[0-9]"));
        assertThat(page.locator("[data-out=pieces]")).hasText("many");
        page.click("button:text-is('Melt it')");
        page.click("button:text-is('Stir')");
        assertThat(page.locator("[data-out=reading]")).hasText(Pattern.compile("3[0-9]\\.[0-9]"));
        page.click("[data-out=heat]");
        page.click("button:text-is('Over the ice')");
        page.click("button:text-is('Dip a proof')");
        assertThat(page.locator("[data-out=dip]")).isVisible();
        page.click("button:has-text('Work with it')");
        assertThat(page.locator(".marks .missed").first()).containsText("Off the bath inside its window");
        assertThat(page.locator(".marks")).containsText("Melted out first");
    }
}

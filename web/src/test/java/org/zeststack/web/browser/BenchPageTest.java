package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.Media;
import com.microsoft.playwright.options.RequestOptions;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.WeighIn;
import org.zeststack.store.bench.Bench;
import org.zeststack.web.WithDemo;

/** The bench with the network gone, with instruments that send odd things, and with the simulated thermometer. */
public class BenchPageTest extends WithDemo {

    private static final String TABLET = "/bench/4?step=fill:filling-1";

    private Bench bench;

    @BeforeClass
    public void open() {
        bench = app.bean(Bench.class);
    }

    private long weighIns() {
        return bench.entries(4).stream()
                .map(BenchEntry::body)
                .filter(WeighIn.class::isInstance)
                .count();
    }

    @Test
    public void withoutANetworkEntriesWaitAndThenCountOnce() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        long before = weighIns();
        hand.context().setOffline(true);
        hand.fill("#grossGrams", "18.4");
        hand.click("text=Weigh in");
        assertThat(hand.locator("[data-waiting]")).containsText("1 written down here and not sent yet");
        assertEquals(weighIns(), before);
        hand.context().setOffline(false);
        assertThat(hand.locator("[data-waiting]")).isHidden();
        assertThat(hand.locator("[data-out=last]")).hasText("18.4");
        assertEquals(weighIns(), before + 1);
    }

    @Test
    public void aSlipIsAskedAboutAndKeptWhenTheHandStandsByIt() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        long before = weighIns();
        hand.fill("#grossGrams", "184");
        hand.click("text=Weigh in");
        assertThat(hand.locator("[data-fault=grossGrams]")).containsText("Are there about 10 on the scale?");
        assertThat(hand.locator("#grossGrams")).hasValue("184");
        assertEquals(weighIns(), before, "nothing is written down before the answer");
        hand.click("text=It is so: write it down");
        assertThat(hand.locator("[data-out=last]")).containsText("184");
        assertEquals(weighIns(), before + 1);
        hand.fill("#grossGrams", "18.6");
        hand.click("text=Weigh in");
        assertThat(hand.locator("[data-out=last]")).containsText("18.6");
        assertThat(hand.locator("[data-keep]")).hasCount(0);
        hand.context().close();
    }

    @Test
    public void aQueueThatOutlivesItsSessionWaitsForSignIn() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        long before = weighIns();
        var cookies = hand.context().cookies();
        hand.context().clearCookies();
        hand.fill("#grossGrams", "18.6");
        hand.click("text=Weigh in");
        assertThat(hand.locator("[data-waiting]")).containsText("You are signed out: 1 written down");
        assertEquals(weighIns(), before);
        hand.context()
                .addCookies(cookies.stream()
                        .map(c -> new com.microsoft.playwright.options.Cookie(c.name, c.value)
                                .setDomain(c.domain)
                                .setPath(c.path))
                        .toList());
        assertThat(hand.locator("[data-waiting]")).isHidden();
        assertEquals(weighIns(), before + 1);
    }

    @Test
    public void theSimulatedThermometerComesInByTheSameDoor() {
        Page hand = app.signedIn("teo");
        hand.navigate("/bench/4?step=temper:couverture-couverture-dark-66");
        hand.selectOption("#method", "SEED");
        hand.click("text=Plan it");
        assertThat(hand.locator(".temper-plan")).containsText("of seed at 20 °C");
        hand.click("text=Use the simulated thermometer, 20 times as fast");
        assertThat(hand.locator("[data-out=step]")).hasText("melt");
        Page other = app.signedIn("ilse");
        other.navigate("/bench/4?step=temper:couverture-couverture-dark-66");
        assertThat(other.locator("[data-out=reading]")).hasText(java.util.regex.Pattern.compile("[0-9]{2}\\.[0-9]"));
        hand.click("text=Stop reading this bowl");
        assertThat(hand.locator("text=Start again")).isVisible();
        Bench.Series series = bench.seriesOf(4).stream()
                .filter(s -> s.kind() == Bench.SeriesKind.TEMPER)
                .findFirst()
                .orElseThrow();
        assertEquals(series.timeScale(), 20.0);
        List<Bench.Reading> readings = bench.readingsOf(4).get(series.id());
        long seconds = readings.stream().map(Bench.Reading::at).distinct().count();
        assertEquals(readings.size(), seconds, "one reading a tick, however many instances send it");
    }

    /** What an instrument may send, and the answer. */
    @DataProvider
    public Object[][] sent() {
        String key = UUID.randomUUID().toString();
        return new Object[][] {
            {Map.of("readings", List.of(Map.of("key", key, "celsius", "112.8"))), 201},
            {Map.of("readings", List.of(Map.of("key", key, "celsius", "112.8"))), 201},
            {Map.of("readings", List.of(Map.of("key", UUID.randomUUID().toString(), "celsius", "NaN"))), 422},
            {Map.of("readings", List.of(Map.of("key", UUID.randomUUID().toString(), "celsius", "900"))), 422},
            {Map.of("readings", List.of(Map.of("celsius", "100"))), 422},
            {Map.of("readings", List.of()), 422},
            {Map.of("readings", List.of(Map.of("key", "no key", "celsius", "100"))), 400},
        };
    }

    @Test(dataProvider = "sent")
    public void instrumentsGetPlainAnswers(Map<String, Object> body, int status) {
        Page hand = app.signedIn("teo");
        hand.navigate("/bench/4?step=cook:formula-1-v2");
        String url = hand.locator("form[data-reading]").getAttribute("data-url");
        String csrf = hand.locator("meta[name=csrf]").getAttribute("content");
        var answer = hand.request()
                .post(
                        app.url() + url,
                        RequestOptions.create().setHeader("X-CSRF-TOKEN", csrf).setData(body));
        assertEquals(answer.status(), status, answer.text());
        hand.context().close();
    }

    @Test
    public void anEntryIsNeverDatedIntoTheFuture() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        String csrf = hand.locator("meta[name=csrf]").getAttribute("content");
        UUID key = UUID.randomUUID();
        Map<String, Object> entry = Map.of(
                "key", key.toString(),
                "kind", "NOTE",
                "fields", Map.of("text", "from a clock gone wrong"),
                "at", Instant.now().plus(Duration.ofDays(400)).toString());
        var asked = hand.request()
                .post(
                        app.url() + "/bench/4/entries",
                        RequestOptions.create().setHeader("X-CSRF-TOKEN", csrf).setData(entry));
        assertEquals(asked.status(), 422);
        assertTrue(asked.text().contains("400 days ahead of the workshop's clock"), asked.text());
        Map<String, Object> sure = new HashMap<>(entry);
        sure.put("fields", Map.of("text", "from a clock gone wrong", "sure", "yes"));
        var answer = hand.request()
                .post(
                        app.url() + "/bench/4/entries",
                        RequestOptions.create().setHeader("X-CSRF-TOKEN", csrf).setData(sure));
        assertEquals(answer.status(), 201);
        BenchEntry kept = bench.entries(4).stream()
                .filter(e -> e.key().equals(key))
                .findFirst()
                .orElseThrow();
        assertTrue(kept.at().isBefore(Instant.now().plusSeconds(60)), kept.at().toString());
    }

    @Test
    public void theRunSheetPrintsWithoutThePathAndWithItsTicks() {
        Page page = app.signedIn("teo");
        page.navigate("/runs/5");
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        assertThat(page.locator(".top")).isHidden();
        assertThat(page.locator(".actions")).isHidden();
        assertThat(page.locator("[aria-label='Weighing list']")).isVisible();
        assertThat(page.locator(".stop")).containsText("105.1");
        byte[] pdf = page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true));
        assertTrue(pdf.length > 10_000, "a printed sheet of " + pdf.length + " bytes");
    }

    @Test
    public void theOwnerMakesATokenThatIsShownOnce() throws Exception {
        Page owner = app.signedIn("runa");
        owner.navigate("/workshop/people");
        owner.fill("#label", "Wedge scale");
        owner.click("text=Make a token");
        String token = owner.locator(".token code").textContent();
        assertEquals(token.length(), "zest-".length() + 43, "256 bits");
        owner.reload();
        assertThat(owner.locator(".token")).hasCount(0);
        var answer = owner.request()
                .post(
                        app.url() + "/api/v1/sugar/boiling-point",
                        RequestOptions.create()
                                .setHeader("Authorization", "Bearer " + token)
                                .setData(Map.of("waterGrams", 40, "sucroseGrams", 60)));
        assertEquals(answer.status(), 200);
    }

    @Test
    public void whoIsKeptOutIsOutAtOnce() {
        Page owner = app.signedIn("runa");
        Page teo = app.signedIn("teo");
        owner.navigate("/workshop/people");
        owner.click("tr:has-text('Teo') >> text=Keep out");
        assertThat(owner.locator("tr:has-text('Teo') >> text=Let in")).isVisible();
        teo.navigate("/bench/4");
        assertThat(teo.locator("h1")).hasText("Sign in");
        teo.fill("#username", "teo");
        teo.fill("#password", "lantern-harbour");
        teo.click("button[type=submit]");
        assertThat(teo.locator(".fault")).isVisible();
        owner.click("tr:has-text('Teo') >> text=Let in");
    }
}

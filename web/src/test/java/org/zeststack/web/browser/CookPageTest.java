package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.SecondReading;
import org.zeststack.core.bench.TakenOff;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.simulate.SimulatedPot;
import org.zeststack.core.simulate.SimulatedPot.Probe;
import org.zeststack.core.simulate.SimulatedPot.Turned;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.Stamp;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Runs;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.TestApp;
import org.zeststack.web.WithDemo;

/** A pot of caramel as the bench sees it; it is cooked by a pot that shares no physics with what judges it. */
public class CookPageTest extends WithDemo {

    private static final long RUN = 4;
    private static final String COMPONENT = "formula-1-v2";
    private static final String COOK = "/bench/4?step=cook:formula-1-v2";
    private static final Pattern NUMBER = Pattern.compile("[0-9]+\\.[0-9]");
    private static final Pattern INTERVAL = Pattern.compile("[0-9.]+–[0-9.]+");

    private Bench bench;
    private RunSheet sheet;
    private FormulaBatch batch;
    private final List<String> errors = new ArrayList<>();

    @BeforeClass
    public void open() {
        bench = app.bean(Bench.class);
        sheet = app.bean(Runs.class).find(RUN).orElseThrow().sheet().orElseThrow();
        batch = sheet.formula(COMPONENT).orElseThrow();
    }

    @AfterMethod
    public void noErrors() {
        assertEquals(errors, List.of(), "errors in the console");
        errors.clear();
    }

    private Page hand(String who) {
        Page page = app.signedIn(who);
        page.onPageError(errors::add);
        return page;
    }

    private SimulatedPot pot(Probe probe, SimulatedPot.Deed... deeds) {
        SimulatedPot.Ring ring =
                SimulatedPot.Ring.usual(batch.pot(), sheet.gauge().pressureKpa());
        return new SimulatedPot(batch.pot(), ring, probe, List.of(deeds), 5);
    }

    private double reaches(SimulatedPot pot, double celsius) {
        double second = 0;
        while (pot.celsiusAt(second) < celsius) {
            second++;
        }
        return second;
    }

    /** Starts a cook so long ago that all of the pot's readings up to a second lie behind. */
    private Bench.Series cooked(SimulatedPot pot, double seconds) {
        Instant started = Instant.now().minusSeconds((long) seconds);
        Bench.Series series = bench.startSeries(
                        RUN, COMPONENT, UUID.randomUUID(), Bench.SeriesKind.COOK, "", 1, started)
                .orElseThrow();
        List<Bench.Reading> readings = new ArrayList<>();
        for (int second = 0; second <= seconds; second += 5) {
            double celsius = pot.readingAt(second).getAsDouble();
            double shown = Math.round(10 * sheet.gauge().thermometer().readingAt(celsius)) / 10.0;
            readings.add(new Bench.Reading(
                    UUID.randomUUID(), started.plusSeconds(second), (int) Math.round(1000 * shown), false));
        }
        bench.addReadings(series.id(), readings, Instant.now());
        return series;
    }

    private double minutes(Page page) {
        return Double.parseDouble(page.textContent("[data-out=minutes]"));
    }

    @Test
    public void saysTemperatureMinutesAndWhatThePotWouldWeigh() {
        SimulatedPot pot = pot(Probe.GOOD);
        double stop = reaches(pot, batch.stop().here());
        cooked(pot, stop - 240);
        Page page = hand("teo");
        page.navigate(COOK);
        assertThat(page.locator("[data-out=minutes]")).hasText(NUMBER);
        assertEquals(minutes(page), 4, 1, "four minutes before the stop");
        assertThat(page.locator("[data-out=interval]")).hasText(INTERVAL);
        double huge = size(page, "[data-out=reading]");
        assertTrue(huge >= 120, "to be read from three metres, px " + huge);
        assertTrue(size(page, "[data-out=minutes]") > 0.7 * huge, "minutes nearly as large");
        assertThat(page.locator("[data-out=mass]")).containsText("g");
        assertThat(page.locator("[data-out=watts]")).containsText("kW");
    }

    private static double size(Page page, String selector) {
        return ((Number) page.evalOnSelector(selector, "e => parseFloat(getComputedStyle(e).fontSize)")).doubleValue();
    }

    @Test
    public void aTurnedRingIsFoundAndAHandMaySayItFirst() {
        SimulatedPot steady = pot(Probe.GOOD);
        double turned = reaches(steady, batch.stop().here() - 6);
        cooked(pot(Probe.GOOD, new Turned(turned, 0.5)), turned + 70);
        Page page = hand("teo");
        page.navigate(COOK);
        assertThat(page.locator("[data-out=watts]")).containsText("turned at");
        cooked(steady, turned);
        page.navigate(COOK);
        assertThat(page.locator("[data-out=interval]")).hasText(INTERVAL);
        double before = width(page);
        page.click("text=I turned the ring");
        assertThat(page.locator(".log")).containsText("Ring turned");
        page.waitForCondition(() -> width(page) > 1.4 * before);
        page.click(".log li:has-text('Ring turned') button");
        page.waitForCondition(() -> width(page) < 1.2 * before);
    }

    private static double width(Page page) {
        String[] ends = page.textContent("[data-out=interval]").split("–");
        return Double.parseDouble(ends[1]) - Double.parseDouble(ends[0]);
    }

    @Test
    public void pastTheStopItSaysOffAndWhatToPourBack() {
        SimulatedPot pot = pot(Probe.GOOD);
        cooked(pot, reaches(pot, batch.stop().here() + 3));
        Page page = hand("teo");
        page.navigate(COOK);
        assertThat(page.locator("[data-out=off]")).hasText("Take it off the heat now.");
        assertThat(page.locator("[data-out=reason]")).hasText("past the stop");
        assertThat(page.locator("[data-live=remedies]")).containsText("Pour in");
        assertThat(page.locator("[data-live=remedies]")).containsText("children out of the room");
    }

    @Test
    public void anOutlierIsMarkedAndIsNotWhereThePotIs() {
        SimulatedPot pot = pot(Probe.GOOD);
        double stop = reaches(pot, batch.stop().here());
        Bench.Series series = cooked(pot, stop - 200);
        Page page = hand("teo");
        page.navigate(COOK);
        String mass = page.textContent("[data-out=mass]");
        bench.addReadings(
                series.id(),
                List.of(new Bench.Reading(UUID.randomUUID(), Instant.now(), 140_000, false)),
                Instant.now());
        assertThat(page.locator("[data-out=reading]")).hasText("140.0");
        assertThat(page.locator("[data-out=mass]")).hasText(mass);
        assertThat(page.locator("[data-out=off]")).hasCount(0);
        String curve =
                page.request().get(app.url() + "/bench/4/curve/" + series.id()).text();
        assertFalse(curve.contains("\"wild\":[]"), "it is marked, not deleted");
    }

    @Test
    public void twoDevicesSeeOneSimulatedCookAndEachItsStrip() {
        Page hand = hand("teo");
        Page other = hand("ilse");
        Page all = hand("runa");
        hand.navigate(COOK);
        if (hand.locator("[data-end]").count() > 0) {
            hand.click("[data-end] button");
        }
        hand.selectOption("[data-series] [name=speed]", "60");
        hand.click("text=Use the simulated thermometer");
        other.navigate(COOK);
        all.navigate("/bench/pots");
        assertThat(all.locator(".pots li")).hasCount(1);
        assertThat(hand.locator("[data-out=reading]")).hasText(NUMBER);
        assertThat(other.locator("[data-out=reading]")).hasText(NUMBER);
        assertThat(all.locator(".pots [data-out=reading]")).hasText(NUMBER);
        other.waitForCondition(() -> Double.parseDouble(other.textContent("[data-out=reading]")) > 60);
        all.waitForCondition(() -> Double.parseDouble(all.textContent(".pots [data-out=reading]")) > 60);
        hand.click("[data-end] button");
        assertThat(all.locator(".pots li")).hasCount(0);
    }

    @Test
    public void readingsTypedWithoutANetworkArriveAndMayBeInFahrenheit() {
        SimulatedPot pot = pot(Probe.GOOD);
        Bench.Series series = cooked(pot, reaches(pot, batch.stop().here()) - 20);
        Page page = hand("teo");
        page.navigate(COOK);
        page.context().setOffline(true);
        page.fill("#celsius", "242 F");
        page.click("text=Write it down");
        assertThat(page.locator("[data-waiting]")).containsText("1 written down");
        page.context().setOffline(false);
        assertThat(page.locator("[data-waiting]")).isHidden();
        assertThat(page.locator("[data-out=reading]")).hasText("116.7");
        int before = bench.readingsAfter(series.id(), 0).readings().size();
        page.fill("#celsius", "2420 F");
        page.click("text=Write it down");
        assertThat(page.locator("[data-fault=celsius]")).containsText("-10 to 200");
        assertThat(page.locator("#celsius")).hasValue("2420 F");
        page.fill("#celsius", "½");
        page.click("text=Write it down");
        assertThat(page.locator("[data-fault=celsius]")).containsText("It read 116.7 °C");
        assertEquals(bench.readingsAfter(series.id(), 0).readings().size(), before, "a slip is asked about");
        errors.clear();
    }

    @Test
    public void theScaleIsASecondThermometer() {
        cooked(pot(Probe.GOOD), 300);
        Page page = hand("teo");
        page.navigate(COOK);
        double dry = batch.pot().totalGrams() - batch.pot().waterGrams();
        page.fill("#potGrossGrams", String.valueOf(Math.round(dry + 1400 + 300)));
        page.fill("#potTareGrams", "1400");
        page.click("text=Weigh the pot");
        assertThat(page.locator("[data-out=scale]")).containsText("300 g water");
        page.fill("#potGrossGrams", "1000");
        page.click("text=Weigh the pot");
        assertThat(page.locator("[data-fault=potGrossGrams]")).containsText("above the tare");
        page.fill("#potGrossGrams", String.valueOf(Math.round(dry + 1400 - 200)));
        page.click("text=Weigh the pot");
        assertThat(page.locator("[data-out=scale]")).containsText("look at the tare");
    }

    @Test
    public void aLoggersLinesAreTakenInOnce() {
        Bench.Series series = cooked(pot(Probe.GOOD), 30);
        int before = bench.readingsAfter(series.id(), 0).readings().size();
        Page page = hand("teo");
        page.navigate(COOK);
        page.click("text=Readings of a logger");
        page.fill("#logger", "seconds,celsius\n11,25.5\n12,no");
        page.click("text=Take them in");
        assertThat(page.locator("[data-fault=text]").first()).containsText("Line 3, “12,no”");
        page.fill("#logger", "seconds;celsius\n11;25,5\n12;78 F");
        page.click("text=Take them in");
        assertThat(page.locator("[data-logger] [data-fault=text]")).hasText("2 new");
        page.fill("#logger", "11,25.5\n12,78 F");
        page.click("text=Take them in");
        assertThat(page.locator("[data-logger] [data-fault=text]")).hasText("0 new");
        assertEquals(bench.readingsAfter(series.id(), 0).readings().size(), before + 2);
        errors.clear();
    }

    @Test
    public void stagesAreNamedAsTheDeviceChooses() {
        SimulatedPot pot = pot(Probe.GOOD);
        cooked(pot, reaches(pot, batch.stop().here() - 1));
        Page page = hand("teo");
        page.navigate(COOK);
        String printed = page.textContent("[data-out=stage]");
        page.click("summary:has-text('Why ')");
        assertThat(page.locator("[data-live=why-reading]")).containsText("Household rule");
        page.click("text=dissolved solids");
        assertThat(page.locator("button[value=SOLIDS]")).hasAttribute("aria-pressed", "true");
        String solids = page.textContent("[data-out=stage]");
        assertTrue(List.of("soft ball", "firm ball", "hard ball").contains(solids), printed + ", " + solids);
    }

    @Test
    public void earlierCooksTeachWhenToTakeItOffAndHowLongItTakes() {
        SimulatedPot pot = pot(Probe.GOOD);
        for (int i = 0; i < 8; i++) {
            // Broken off, so it teaches nothing and hides nothing that was learned.
            cooked(pot, 10);
        }
        double stop = reaches(pot, batch.stop().here());
        Bench.Series series = cooked(pot, stop - 100);
        Page page = hand("teo");
        page.navigate(COOK);
        assertThat(page.locator("[data-out=climbs]")).containsText(Pattern.compile("[23] cooks"));
        assertThat(page.locator(".detail")).containsText("it climbs on to");
        double climbs = Double.parseDouble(page.textContent("[data-out=climbs]").split("[^0-9.]")[0]);
        double off =
                Double.parseDouble(page.textContent("[data-out=stop-reading]").split("[^0-9.]")[0]);
        assertEquals(off, batch.stop().reading() - climbs, 0.16, "so much earlier");
        page.click("text=The pot is off the heat");
        assertThat(page.locator("[data-out=is-off]")).containsText("Off the heat since");
        assertThat(page.locator("[data-out=reason]")).hasText("off the heat");
        assertThat(page.locator("text=I turned the ring")).hasCount(0);
        double highest = Double.parseDouble(page.textContent("[data-out=reading]")) + 0.6;
        bench.addReadings(
                series.id(),
                List.of(new Bench.Reading(
                        UUID.randomUUID(), Instant.now().plusSeconds(1), (int) Math.round(1000 * highest), false)),
                Instant.now());
        assertThat(page.locator("[data-out=is-off]")).containsText("highest since");
        page.click(".log li:has-text('Off the heat') button");
        assertThat(page.locator("text=I turned the ring")).hasCount(1);
    }

    @Test
    public void whenAThermometerWasCheckedIsAskedForAndToldWhenItIsLongAgo() {
        Page page = hand("runa");
        page.navigate("/workshop/thermometers/1");
        page.fill("#checkedOn", "31 Feb");
        page.click("text=Save");
        assertThat(page.locator("main")).containsText("Write a day");
        page.fill("#checkedOn", "2199-01-01");
        page.click("text=Save");
        assertThat(page.locator("main")).containsText("still to come");
        page.fill("#checkedOn", "3 Feb 2026");
        TestApp.sent(page, "text=Save");
        page.navigate("/workshop");
        assertThat(page.locator("tr:has-text('Long probe')")).containsText("3 Feb 2026, check it again");
        page.navigate("/workshop/thermometers/1");
        page.fill("#boilingReading", "98.4");
        TestApp.sent(page, "text=Save");
        page.navigate("/workshop");
        assertThat(page.locator("tr:has-text('Long probe')")).not().containsText("3 Feb 2026");
        assertThat(page.locator("tr:has-text('Long probe')")).not().containsText("check it again");
        page.navigate(COOK);
        assertThat(page.locator("[data-out=checked]")).hasCount(0);
    }

    @Test
    public void sheetAndLedgerSayWhatCooksTaught() {
        Page page = hand("runa");
        page.navigate("/ledger/1");
        assertThat(page.locator("article.curve").first()).containsText("min from the boil, and climbed");
        page.navigate("/runs/4");
        assertThat(page.locator("[data-out=learned]").first()).containsText("Earlier cooks (");
    }

    @Test
    public void twoThermometersThatDisagreeAreTold() {
        WorkshopStore workshop = app.bean(WorkshopStore.class);
        long other = workshop.addThermometer(
                "Short probe",
                new Thermometer(Thermometer.Kind.PROBE, 0, 97.8, 97.8),
                new Stamp("Runa", Instant.now()));
        Page page = atThePot();
        double first =
                sheet.gauge().thermometer().trueCelsius(Double.parseDouble(page.textContent("[data-out=reading]")));
        page.fill("#secondCelsius", String.valueOf(Math.round(10 * (first + 0.5)) / 10.0));
        page.click("text=Compare");
        assertThat(page.locator("[data-fault=second]")).containsText("Choose which");
        page.selectOption("#second", String.valueOf(other));
        page.click("text=Compare");
        assertThat(page.locator("[data-out=second]")).containsText("Short probe agrees");
        page.fill("#secondCelsius", String.valueOf(Math.round(10 * (first - 2.4)) / 10.0));
        page.click("text=Compare");
        assertThat(page.locator("[data-out=second]")).containsText("apart by 2.4 K downwards");
    }

    private Page atThePot() {
        cooked(pot(Probe.GOOD), 500);
        Page page = hand("teo");
        page.navigate(COOK);
        return page;
    }

    private void ilse(EntryBody does) {
        Instant now = Instant.now();
        bench.append(RUN, new Bench.NewEntry(UUID.randomUUID(), does, COMPONENT, "", now, null), "Ilse", now);
    }

    /** Another thermometer that Ilse holds into the pot, off by so much. */
    private void compared(String name, double kelvin, Page page) {
        double first =
                sheet.gauge().thermometer().trueCelsius(Double.parseDouble(page.textContent("[data-out=reading]")));
        ilse(new SecondReading(COMPONENT, name, first + kelvin));
    }

    /** What somebody else writes makes a line grow above the button; it stays where it is until it is let go. */
    @Test
    public void aButtonDoesNotMoveAwayUnderAHand() {
        Page page = atThePot();
        page.fill("#potGrossGrams", "5150");
        page.fill("#potTareGrams", "1150");
        page.hover("text=Weigh the pot");
        page.mouse().down();
        page.waitForResponse("**/bench/4/panel*", () -> compared("Third probe", -3, page));
        page.waitForTimeout(300);
        page.locator("text=Weigh the pot")
                .evaluate("button => ['pointerup', 'pointerdown'].forEach((again) =>"
                        + " button.dispatchEvent(new PointerEvent(again, { bubbles: true })))");
        page.waitForTimeout(300);
        assertThat(page.locator("text=Third probe is apart")).hasCount(0);
        page.mouse().up();
        assertThat(page.locator("text=Third probe is apart")).hasCount(1);
        assertThat(page.locator(".log")).containsText("Pot weighed");
    }

    @Test
    public void aPageStaysWhereItWasScrolledTo() {
        Page page = atThePot();
        page.locator("text=Weigh the pot").scrollIntoViewIfNeeded();
        double before = page.locator("text=Weigh the pot").boundingBox().y;
        compared("Fourth probe", -4, page);
        assertThat(page.locator("text=Fourth probe is apart")).hasCount(1);
        assertEquals(page.locator("text=Weigh the pot").boundingBox().y, before, 2, "px from the top");
    }

    /** Somebody reads further down while the last field stands above; another work area moves neither. */
    @Test
    public void aPageDoesNotGoBackToTheFieldThatAHandWasIn() {
        Page page = atThePot();
        page.fill("#celsius", "101");
        page.evaluate("scrollTo(0, 1000)");
        ilse(new TakenOff(COMPONENT));
        try {
            assertThat(page.locator("[data-out=is-off]")).containsText("Off the heat since");
            assertEquals(page.evaluate("document.activeElement.id"), "celsius");
            assertEquals(page.inputValue("#celsius"), "101");
            assertTrue(((Number) page.evaluate("scrollY")).doubleValue() > 500, "px from the top");
        } finally {
            page.click(".log li:has-text('Off the heat') button");
            assertThat(page.locator("text=I turned the ring")).hasCount(1);
        }
    }
}

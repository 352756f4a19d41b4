package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.Note;
import org.zeststack.core.bench.WeighIn;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.bench.Devices;
import org.zeststack.web.TestApp;

/** Entries that wait on a device: none is lost, none counts twice, none is somebody else's. */
public class QueueTest {

    private static final String TABLET = "/bench/4?step=fill:filling-1";

    /** The button that stands there when every step is done. */
    private static final String CLOSING =
            "() => { const f = document.createElement('form'); f.method = 'post'; f.action = '/runs/4/close';"
                    + " f.dataset.close = ''; f.innerHTML = '<input name=_csrf><button>x</button>';"
                    + " f.elements._csrf.value = document.querySelector('meta[name=csrf]').content;"
                    + " document.querySelector('main').append(f); ";

    private TestApp app;
    private Bench bench;

    @BeforeMethod
    public void open() {
        app = TestApp.demo();
        bench = app.bean(Bench.class);
    }

    @AfterMethod(alwaysRun = true)
    public void close() {
        app.close();
    }

    private List<BenchEntry> notes() {
        return bench.entries(4).stream().filter(e -> e.body() instanceof Note).toList();
    }

    private List<String> said() {
        return notes().stream()
                .map(e -> ((Note) e.body()).text())
                .filter(text -> text.startsWith("note "))
                .toList();
    }

    private static void note(Page page, String text) {
        page.fill("#note", text);
        page.click("text=Keep the note");
    }

    private static void signIn(Page page, String login) {
        page.fill("#username", login);
        page.fill("#password", "lantern-harbour");
        page.click("button[type=submit]");
    }

    @Test
    public void whatWasWrittenOutOfReachOfAClosedRunIsKeptAsLate() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        hand.context().setOffline(true);
        for (int i = 0; i < 20; i++) {
            note(hand, "note " + i);
        }
        assertThat(hand.locator("[data-waiting]")).containsText("20 written down here and not sent yet");
        Page owner = app.signedIn("runa");
        owner.navigate("/bench/4");
        owner.evaluate("fetch('/runs/4/close', { method: 'POST', headers: { 'X-CSRF-TOKEN':"
                + " document.querySelector('meta[name=csrf]').content,"
                + " 'Content-Type': 'application/x-www-form-urlencoded' }, body: 'sure=yes' })");
        owner.navigate("/ledger/4");
        hand.context().setOffline(false);
        assertThat(hand.locator("[data-waiting]")).isHidden();
        assertEquals(said().size(), 20);
        assertTrue(notes().stream().filter(e -> e.by().equals("Teo")).allMatch(BenchEntry::late));
        owner.reload();
        assertThat(owner.locator("main")).containsText("20 entries came in after it was closed");
        assertThat(owner.locator("[data-out=late] li")).hasCount(20);
    }

    @Test
    public void whoClosesIsToldWhichDevicesHaveSomethingUnsent() {
        Devices devices = app.bean(Devices.class);
        Page owner = app.signedIn("runa");
        Instant now = Instant.now();
        devices.heard(4, new Devices.Device(UUID.randomUUID(), "tablet by the stove", "Teo", 3, false, now));
        devices.heard(
                4, new Devices.Device(UUID.randomUUID(), "phone", "Ilse", 0, false, now.minus(Duration.ofMinutes(5))));
        devices.heard(4, new Devices.Device(UUID.randomUUID(), "left", "Ilse", 0, true, now.minusSeconds(600)));
        devices.heard(4, new Devices.Device(UUID.randomUUID(), "here", "Ilse", 0, false, now));
        owner.navigate("/bench/4");
        owner.evaluate(CLOSING + "f.submit(); }");
        assertThat(owner.locator("h1")).hasText("Not everything has come in");
        assertThat(owner.locator("main li")).hasCount(2);
        assertThat(owner.locator("main li").first())
                .containsText("Teo at tablet by the stove: 3 written down and not sent");
        assertThat(owner.locator("main li").last()).containsText("out of reach, and may have written something down");
        owner.click("text=Close the run all the same");
        assertThat(owner.locator("main")).containsText("closed ");
    }

    /** The last entry and the closing are a moment apart; what this device itself sends is no reason to ask. */
    @Test
    public void whatIsOnItsWayComesInBeforeItsDeviceCloses() {
        Page owner = app.signedIn("runa");
        List<Route> held = new CopyOnWriteArrayList<>();
        owner.route("**/bench/4/entries", held::add);
        owner.route("**/bench/4/device", held::add);
        owner.navigate(TABLET);
        note(owner, "note last");
        owner.waitForCondition(() -> held.size() == 2);
        owner.evaluate(CLOSING + "f.requestSubmit(); }");
        owner.unroute("**/bench/4/entries");
        owner.unroute("**/bench/4/device");
        held.forEach(Route::resume);
        assertThat(owner.locator("main")).containsText("closed ");
        assertEquals(said(), List.of("note last"));
        assertTrue(notes().stream().noneMatch(BenchEntry::late));
    }

    @Test
    public void anOpenPageTellsWhatWaitsOnItAndThatItWasLeft() {
        Page hand = app.signedIn("teo");
        hand.route("**/bench/4/entries", Route::abort);
        hand.navigate(TABLET);
        note(hand, "note held");
        Devices devices = app.bean(Devices.class);
        hand.waitForCondition(() -> devices.withUnsent(4, Instant.EPOCH).stream()
                        .mapToInt(Devices.Device::unsent)
                        .sum()
                == 1);
        assertThat(hand.locator("[data-waiting]")).containsText("1 written down");
        hand.unroute("**/bench/4/entries");
        assertThat(hand.locator("[data-waiting]")).isHidden();
        assertEquals(said(), List.of("note held"));
    }

    /** A line that came and went with every entry would move everything that hands are about to press. */
    @Test
    public void whatIsJustOnItsWayIsNotToldToWait() {
        Page hand = app.signedIn("teo");
        List<Route> held = new CopyOnWriteArrayList<>();
        hand.route("**/bench/4/entries", held::add);
        hand.navigate(TABLET);
        hand.fill("#note", "note soon");
        assertEquals(
                hand.evaluate(
                        "() => { document.querySelector('#note').form.requestSubmit(); return new Promise((told) =>"
                                + " setTimeout(() => told(document.querySelector('[data-waiting]').hidden), 300)); }"),
                true);
        assertThat(hand.locator("[data-waiting]")).containsText("1 written down here and not sent yet");
        hand.waitForCondition(() -> !held.isEmpty());
        hand.unroute("**/bench/4/entries");
        held.forEach(Route::resume);
        assertThat(hand.locator("[data-waiting]")).isHidden();
        assertEquals(said(), List.of("note soon"));
    }

    @DataProvider
    public Object[][] later() {
        return new Object[][] {{408}, {425}, {429}, {503}};
    }

    /** Too slow, too many, not to be reached: none of these is a refusal. */
    @Test(dataProvider = "later")
    public void whatIsToComeLaterIsSentAgain(int status) {
        Page hand = app.signedIn("teo");
        AtomicInteger asked = new AtomicInteger();
        hand.route("**/bench/4/entries", route -> {
            if (asked.getAndIncrement() == 0) {
                route.fulfill(new Route.FulfillOptions().setStatus(status).setBody("later"));
            } else {
                route.resume();
            }
        });
        hand.navigate(TABLET);
        note(hand, "note later");
        hand.waitForCondition(() -> asked.get() >= 2);
        assertThat(hand.locator("[data-waiting]")).isHidden();
        assertThat(hand.locator("[data-refused]")).not().containsText("note later");
        assertEquals(said(), List.of("note later"));
    }

    @Test
    public void aPoisonedEntryDoesNotHoldTheOthersBack() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        hand.context().setOffline(true);
        note(hand, "note poison");
        note(hand, "note fails");
        note(hand, "note good");
        // One is spoiled on the device, one makes the server fail.
        hand.evaluate(
                "for (const key of Object.keys(localStorage).filter((k) => k.startsWith('zest-written:'))) {"
                        + " const item = JSON.parse(localStorage[key]);"
                        + " if (item.body.fields.text === 'note poison') { item.body.kind = 'NO_SUCH'; localStorage[key] = JSON.stringify(item); } }");
        hand.route("**/bench/4/entries", route -> {
            if (route.request().postData().contains("note fails")) {
                route.fulfill(new Route.FulfillOptions().setStatus(500).setBody("broken"));
            } else {
                route.resume();
            }
        });
        hand.context().setOffline(false);
        assertThat(hand.locator("[data-waiting]")).containsText("1 written down here and not sent yet");
        assertThat(hand.locator("[data-refused]")).containsText("note poison");
        assertEquals(said(), List.of("note good"));
        assertThat(hand.locator("[data-refused]")).containsText("note poison");
        hand.reload();
        assertThat(hand.locator("[data-refused]")).containsText("note poison");
        hand.click("text=Dismiss");
        assertThat(hand.locator("[data-refused]")).isHidden();
        hand.unroute("**/bench/4/entries");
        assertThat(hand.locator("[data-waiting]")).isHidden();
        assertEquals(said(), List.of("note good", "note fails"));
    }

    @Test
    public void severalTabsShareOneQueue() {
        Page first = app.signedIn("teo");
        Page second = first.context().newPage();
        first.navigate(TABLET);
        second.navigate(TABLET);
        first.context().setOffline(true);
        for (int i = 0; i < 6; i++) {
            note(i % 2 == 0 ? first : second, "note " + i);
        }
        assertThat(first.locator("[data-waiting]")).containsText("6 written down");
        assertThat(second.locator("[data-waiting]")).containsText("6 written down");
        first.context().setOffline(false);
        assertThat(first.locator("[data-waiting]")).isHidden();
        assertThat(second.locator("[data-waiting]")).isHidden();
        assertEquals(
                said().stream().sorted().toList(), List.of("note 0", "note 1", "note 2", "note 3", "note 4", "note 5"));
        assertThat(second.locator("[data-refused]")).isHidden();
    }

    /** What a tab left behind is sent by the next page that is opened. */
    @Test
    public void whatAClosedTabHadNotSentIsSentByAnother() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        hand.route("**/bench/4/entries", Route::abort);
        note(hand, "note left");
        assertThat(hand.locator("[data-waiting]")).containsText("1 written down");
        Page other = hand.context().newPage();
        hand.close();
        other.navigate(TABLET);
        assertThat(other.locator(".log")).containsText("note left");
        assertEquals(said(), List.of("note left"));
    }

    @Test
    public void whatABrowserHasNoRoomForStaysInItsFieldUntilItIsSent() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        hand.evaluate("Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError'); }; 0");
        hand.context().setOffline(true);
        note(hand, "note no room");
        assertThat(hand.locator("[data-waiting]")).containsText("This browser has no room to keep them");
        assertThat(hand.locator("#note")).hasValue("note no room");
        hand.context().setOffline(false);
        assertThat(hand.locator("[data-waiting]")).isHidden();
        assertThat(hand.locator("#note")).hasValue("");
        assertEquals(said(), List.of("note no room"));
    }

    @Test
    public void entriesBelongToWhoWroteThem() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        hand.context().setOffline(true);
        note(hand, "note of Teo");
        hand.context().setOffline(false);
        hand.context().clearCookies();
        Page same = hand.context().newPage();
        hand.close();
        same.navigate("/sign-in");
        signIn(same, "runa");
        same.waitForURL("**/");
        same.navigate(TABLET);
        assertThat(same.locator("[data-waiting]")).containsText("teo must sign in to send what is theirs");
        note(same, "note of Runa");
        assertThat(same.locator(".log")).containsText("note of Runa");
        assertEquals(said(), List.of("note of Runa"));
        same.context().clearCookies();
        same.navigate("/sign-in");
        signIn(same, "teo");
        same.waitForURL("**/");
        same.navigate(TABLET);
        assertThat(same.locator("[data-waiting]")).isHidden();
        assertEquals(
                notes().stream()
                        .filter(e -> ((Note) e.body()).text().equals("note of Teo"))
                        .map(BenchEntry::by)
                        .toList(),
                List.of("Teo"));
    }

    @Test
    public void aPageGoesOnAfterSigningInElsewhereWithoutLoadingAnew() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        hand.evaluate("window.sameAsBefore = true");
        app.bean(JdbcTemplate.class).update("delete from spring_session");
        note(hand, "note after the end");
        assertThat(hand.locator("[data-waiting]")).containsText("Sign in to send");
        hand.fill("#grossGrams", "18");
        Page other = hand.context().newPage();
        other.navigate("/sign-in");
        signIn(other, "teo");
        other.waitForURL("**/");
        assertThat(hand.locator("[data-waiting]")).isHidden();
        assertEquals(said(), List.of("note after the end"));
        assertThat(hand.locator("#grossGrams")).hasValue("18");
        assertEquals(hand.evaluate("window.sameAsBefore"), true);
        note(hand, "note then");
        assertThat(hand.locator(".log")).containsText("note then");
    }

    /** A tablet's clock is set by an hour while its entries wait: they are of the moment they were written at. */
    @Test
    public void aClockThatIsSetReordersNothing() {
        Page hand = app.signedIn("teo");
        hand.navigate(TABLET);
        hand.waitForCondition(() -> (Boolean) hand.evaluate("document.readyState === 'complete'"));
        hand.waitForTimeout(500);
        hand.context().setOffline(true);
        note(hand, "note before");
        Instant written = Instant.now();
        hand.evaluate("const real = Date.now; Date.now = () => real() + 3600000");
        note(hand, "note after");
        assertThat(hand.locator("[data-waiting]")).containsText("2 written down");
        hand.context().setOffline(false);
        assertThat(hand.locator("[data-waiting]")).isHidden();
        assertEquals(said(), List.of("note before", "note after"));
        for (BenchEntry entry :
                notes().stream().filter(e -> e.by().equals("Teo")).toList()) {
            Duration off = Duration.between(written, entry.at()).abs();
            assertTrue(off.compareTo(Duration.ofSeconds(30)) < 0, entry + " is off by " + off);
        }
    }

    @Test
    public void withoutScriptsTheFormsStillPost() {
        Page signedIn = app.signedIn("teo");
        BrowserContext plain = signedIn.context()
                .browser()
                .newContext(new Browser.NewContextOptions()
                        .setBaseURL(app.url())
                        .setJavaScriptEnabled(false)
                        .setStorageState(signedIn.context().storageState()));
        Page page = plain.newPage();
        page.navigate(TABLET);
        note(page, "note without scripts");
        assertThat(page.locator(".log")).containsText("note without scripts");
        page.fill("#grossGrams", "184");
        page.click("text=Weigh in");
        assertThat(page.locator("h1")).hasText("Not written down");
        assertThat(page.locator("main")).containsText("Are there about 10 on the scale?");
        assertFalse(bench.entries(4).stream().anyMatch(e -> e.body() instanceof WeighIn w && w.grossGrams() == 184));
        page.click("text=It is so: write it down");
        assertThat(page.locator("[data-out=last]")).containsText("184");
        page.click(".log li:has-text('note without scripts') button");
        assertThat(page.locator(".log")).not().containsText("note without scripts");
        plain.close();
    }
}

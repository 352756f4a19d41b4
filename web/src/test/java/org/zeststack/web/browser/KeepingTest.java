package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.LoadState;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;
import org.testng.annotations.Test;
import org.zeststack.web.TestApp;
import org.zeststack.web.WithDemo;

/** What is typed into a design and not saved comes back; what is new exists once it is saved. */
public class KeepingTest extends WithDemo {

    private static final String SHELL = "[name='layer.0.amount']";

    /** Gives the page's script the moment that it waits for a pause in typing. */
    private static void pause(Page page) {
        page.waitForTimeout(600);
    }

    @Test
    public void whatWasTypedBeforeTheTabWasClosedComesBack() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/4");
        String saved = page.inputValue(SHELL);
        page.fill(SHELL, "1.9");
        pause(page);
        Page other = page.context().newPage();
        page.close();
        other.navigate("/bars");
        assertThat(other.locator(".unsaved")).containsText("Typed here and not saved: Lantern");
        other.click(".unsaved a");
        assertThat(other.locator(SHELL)).hasValue("1.9");
        assertThat(other.locator(".unsaved")).containsText("and did not save is back");
        other.click("text=Take what is saved");
        assertThat(other.locator(SHELL)).hasValue(saved);
        assertThat(other.locator(".unsaved")).hasCount(0);
        other.navigate("/bars");
        assertThat(other.locator(".unsaved")).hasCount(0);
    }

    /** Rows that were added come back too, and an ingredient that nobody knows stands as it was typed. */
    @Test
    public void anUnknownIngredientStaysAsItWasTyped() {
        Page page = app.signedIn("runa");
        page.navigate("/formulas/3");
        page.fill("#quick", "2 cups moonflower dust");
        page.click("button[value=add]");
        String last = page.locator("#lines [name$='.ingredient']").nth(5).getAttribute("name");
        assertThat(page.locator("[name='" + last + "']")).hasValue(Pattern.compile(".*moonflower dust.*"));
        TestApp.sent(page, "text=Save the draft");
        assertThat(page.locator("#lines")).containsText(Pattern.compile("store room|Choose"));
        page.navigate("/formulas/1");
        page.navigate("/formulas/3");
        assertThat(page.locator("[name='" + last + "']")).hasValue(Pattern.compile(".*moonflower dust.*"));
        assertThat(page.locator(".unsaved")).containsText("is back");
        page.click("text=Take what is saved");
        assertThat(page.locator("[name$='.ingredient'] >> nth=5")).hasValue("");
    }

    @Test
    public void aServerThatIsGoneWhileSomebodyTypesLosesNothing() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/16");
        page.route("**/bars/16/**", Route::abort);
        page.route("**/bars/16", Route::abort);
        page.fill("[name='layer.1.amount']", "11.5");
        assertThat(page.locator(".away")).containsText("from before");
        page.unrouteAll();
        assertThat(page.locator(".away")).hasCount(0);
        AtomicBoolean gone = new AtomicBoolean();
        page.route("**/bars/16", route -> {
            gone.set(true);
            route.abort();
        });
        page.click("text=Save the draft");
        page.waitForCondition(gone::get);
        page.waitForTimeout(300);
        page.unrouteAll();
        page.navigate("/bars/16");
        assertThat(page.locator(".unsaved")).containsText("is back");
        assertThat(page.locator("[name='layer.1.amount']")).hasValue("11.5");
        // What came back is drawn and computed; the button stands still.
        page.waitForLoadState(LoadState.NETWORKIDLE);
        TestApp.sent(page, "text=Save the draft");
        assertThat(page.locator("[name='layer.1.amount']")).hasValue("11.5");
        assertThat(page.locator(".unsaved, .signed-out")).hasText(new String[0]);
        page.navigate("/bars");
        assertThat(page.locator(".unsaved")).hasCount(0);
    }

    /** What another person saved meanwhile is not written over without a word. */
    @Test
    public void whereSomebodySavedMeanwhileThePersonDecides() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/17");
        String amount = "[name='layer.1.amount']";
        page.fill(amount, "6.25");
        pause(page);
        Page away = app.signedIn("runa");
        away.navigate("/bars/17");
        away.fill(amount, "5.5");
        away.click("text=Save the draft");
        assertThat(away.locator("[name=lock]")).not().hasValue("0");
        page.reload();
        assertThat(page.locator(amount)).hasValue("5.5");
        assertThat(page.locator(".unsaved")).containsText("It was saved since you typed here");
        page.click("text=Bring back what I typed");
        assertThat(page.locator(amount)).hasValue("6.25");
    }

    /** Lists and choices leave out what is put aside; its old runs and its page stand. */
    @Test
    public void whatIsArchivedComesBack() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/5");
        page.click("text=Archive");
        assertThat(page.locator("h1")).hasText("Bars");
        assertThat(page.locator("table.ruled >> nth=0")).not().containsText("Quay");
        page.navigate("/runs");
        assertThat(page.locator("#bar")).not().containsText("Quay");
        page.navigate("/runs/5");
        assertThat(page.locator("h1")).containsText("Quay");
        page.navigate("/ledger/2");
        assertThat(page.locator("main")).containsText("Quay");
        page.navigate("/bars/5");
        assertThat(page.locator(".aside")).containsText("Archived by Runa");
        page.navigate("/bars");
        page.click("text=archived: 1");
        page.click("text=Bring it back");
        assertThat(page.locator("#name")).hasValue("Quay");
        page.navigate("/runs");
        assertThat(page.locator("#bar")).containsText("Quay");
        Page viewer = app.signedIn("ilse");
        viewer.navigate("/bars/5");
        assertThat(viewer.locator(".aside")).hasCount(0);
    }

    /** Equipment and lots that are put aside are no longer offered, still serve what was made with them, and come back. */
    @Test
    public void whatIsPutAsideIsNotOfferedAndComesBack() {
        Page page = app.signedIn("runa");
        page.navigate("/workshop/moulds/1");
        String name = page.inputValue("#name");
        page.click(".aside button");
        assertThat(page.locator("table").first()).not().containsText(name);
        page.navigate("/bars/new");
        assertThat(page.locator("label.drawn", new Page.LocatorOptions().setHasText(name)))
                .hasCount(0);
        page.navigate("/bars/4");
        assertThat(page.locator("[name='body.mould'] option[selected]")).hasText(name);
        page.navigate("/workshop");
        page.click("text=archived: 1");
        page.click("text=Bring it back");
        assertThat(page.locator("table").first()).containsText(name);
        page.navigate("/store-room/lots/1");
        TestApp.sent(page, ".aside button");
        page.navigate("/store-room/lots/1");
        assertThat(page.locator(".aside")).containsText("Archived by Runa");
        TestApp.sent(page, "text=Bring it back");
        page.navigate("/store-room");
        assertThat(page.locator(".archived")).hasCount(0);
        page.context().close();
    }

    @Test
    public void theListShowsEveryBarAndFindsSome() {
        Page page = app.signedIn("ilse");
        page.navigate("/bars");
        int all = page.locator(".bars-list tbody tr").count();
        assertTrue(all >= 7, all + " bars");
        assertThat(page.locator(".bars-list tbody svg")).hasCount(all);
        // The lantern is 31.0 mm wide at its opening; a hairline of 0.2 mm stands on each side.
        assertThat(page.locator("tr:has-text('Lantern') svg")).hasAttribute("width", "31.4mm");
        assertThat(page.locator("tr:has-text('Lantern')")).containsText("on the bench");
        assertThat(page.locator("tr:has-text('Lantern') .worst")).containsText("Honey is in it");
        page.fill("#q", "SLAB");
        page.selectOption("#by", "CHANGED");
        page.click("button:has-text('Show')");
        assertThat(page.locator(".bars-list tbody tr")).hasCount(1);
        assertThat(page.locator("#q")).hasValue("SLAB");
        page.navigate("/runs");
        assertThat(page.locator("tr:has-text('on the bench')")).containsText("Cook Burnt-honey and bay caramel");
        assertThat(page.locator("tr:has-text('planned')").first()).containsText("Start it");
        page.navigate("/formulas?q=nougat");
        assertThat(page.locator(".bars-list tbody tr")).hasCount(1);
        assertThat(page.locator(".bars-list tbody")).containsText("Breakwater");
        page.navigate("/bars");
        page.fill("#q", "<b>no such</b>");
        page.click("button:has-text('Show')");
        assertThat(page.locator("main")).containsText("No bar is called so.");
        assertThat(page.locator("#q")).hasValue("<b>no such</b>");
    }

    @Test
    public void aNewFormulaOrBarExistsOnceItIsSaved() {
        Page page = app.signedIn("runa");
        page.navigate("/formulas");
        int formulas = page.locator("tbody tr").count();
        page.click("text=Write a new formula");
        page.navigate("/formulas");
        assertEquals(page.locator("tbody tr").count(), formulas, "looking leaves nothing behind");
        assertThat(page.locator(".unsaved")).hasCount(0);
        page.click("text=Write a new formula");
        page.fill("[name='line.0.ingredient']", "sugar");
        page.fill("[name='line.0.grams']", "100");
        page.check("[name='line.0.effect']");
        page.fill("[name='line.0.upTo']", "150");
        page.fill("#stopCelsius", "");
        page.click("text=Save the draft");
        assertThat(page.locator("#fault-name")).not().hasText("");
        assertThat(page.locator("[name='line.0.grams']")).hasValue("100");
        assertThat(page.locator("[name='line.0.upTo']")).hasValue("150");
        page.fill("#name", "Plain sugar");
        page.click("text=Save the draft");
        assertThat(page).hasURL(Pattern.compile("/formulas/[1-9][0-9]*$"));
        page.navigate("/formulas");
        assertEquals(page.locator("tbody tr").count(), formulas + 1);
        assertThat(page.locator(".unsaved")).hasCount(0);

        page.navigate("/bars");
        int bars = page.locator("tbody tr").count();
        page.click("text=Draw a new bar");
        page.click("text=Draw it");
        assertThat(page.locator("#name")).hasValue("");
        page.fill(SHELL, "1.7");
        pause(page);
        page.navigate("/bars");
        assertEquals(page.locator("tbody tr").count(), bars);
        page.click(".unsaved a");
        assertThat(page.locator(SHELL)).hasValue("1.7");
        page.fill("#name", "Drawn twice");
        page.click("text=Save the draft");
        assertThat(page).hasURL(Pattern.compile("/bars/[1-9][0-9]*$"));
        assertThat(page.locator(SHELL)).hasValue("1.7");
        page.navigate("/bars");
        assertEquals(page.locator("tbody tr").count(), bars + 1);
        assertThat(page.locator(".unsaved")).hasCount(0);
    }
}

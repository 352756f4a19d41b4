package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import java.nio.file.Files;
import org.testng.annotations.Test;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;
import org.zeststack.web.TestApp;
import org.zeststack.web.WithDemo;

/** What is judged by can be read and taken away; an owner sets a bound, and bars say that they are judged by it. */
public class RulesPageTest extends WithDemo {

    @Test
    public void listsEveryRuleAndBoundAndGivesThemAsTables() throws Exception {
        Page page = app.signedIn("ilse");
        page.navigate("/workshop");
        page.click("text=Rules we judge by");
        assertThat(page.locator("[data-rule]")).hasCount(Rule.all().size());
        assertEquals(
                page.locator("#bounds tbody tr").count(), Bounds.shipped().all().size());
        assertThat(page.locator("#bounds a")).hasCount(0);
        Download rules = page.waitForDownload(() -> page.click("text=Rules as a table"));
        String text = Files.readString(rules.path());
        assertTrue(text.startsWith("about,code,looks_at,basis,source,bounds\r\n"), text.substring(0, 60));
        assertEquals(text.lines().count(), Rule.all().size() + 1);
        Download bounds = page.waitForDownload(() -> page.click("text=Bounds as a table"));
        String table = Files.readString(bounds.path());
        assertTrue(
                table.contains("back-thickness,Back of a moulded bar,1,2,3,mm,practice,\"Common practice, no source\""),
                table.substring(0, 300));
        assertEquals(table.lines().count(), Bounds.shipped().all().size() + 1);
    }

    @Test
    public void anOwnerSetsABoundAndItsBarsSaySo() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/4");
        assertThat(page.locator(".judged")).containsText("Judged by the shipped bounds.");
        page.navigate("/workshop/rules/shell-thickness");
        page.fill("[name=least]", "three");
        page.fill("[name=usual]", "50");
        page.fill("[name=why]", "our moulds are deep <b>");
        page.click("text=Judge by this");
        assertThat(page.locator("#fault-least")).containsText("not a number; permitted: 0.1 to 20 mm");
        assertThat(page.locator("#fault-usual")).containsText("50 is outside 0.1 to 20 mm");
        assertEquals(page.inputValue("[name=why]"), "our moulds are deep <b>", "nothing typed is lost");
        page.fill("[name=least]", "4");
        page.fill("[name=usual]", "3.5");
        page.click("text=Judge by this");
        assertThat(page.locator("#fault-usual")).containsText("3.5 mm is less than the 4 mm before it");
        page.fill("[name=least]", "2.5");
        page.fill("[name=usual]", "2.8");
        page.click("text=Judge by this");
        assertThat(page.locator("#shell-thickness")).containsText("2.5 to 3 mm");
        page.navigate("/bars/4");
        assertThat(page.locator(".judged"))
                .containsText("Judged by this workshop's own bounds: Shell of a moulded bar 2.5 to 3 mm.");
        assertThat(page.locator("[data-call=shell-too-thin]")).containsText("Take 2.5 mm or more");
        page.locator("[data-call=shell-too-thin] summary").click();
        assertThat(page.locator("[data-call=shell-too-thin] .source"))
                .containsText(
                        "Judged by your workshop's own bound: Shell of a moulded bar, 2.5 to 3 mm (shipped 1 to 3 mm).");
        page.navigate("/bars/16");
        assertThat(page.locator(".judged")).not().containsText("Shell");
        Page second = app.signedIn("runa");
        second.navigate("/workshop/rules/shell-thickness");
        page.navigate("/workshop/rules/shell-thickness");
        page.fill("[name=least]", "2.6");
        TestApp.sent(page, "text=Judge by this");
        second.fill("[name=least]", "2.7");
        second.click("text=Judge by this");
        assertThat(second.locator(".theirs")).containsText("2.6");
        assertEquals(second.inputValue("[name=least]"), "2.7");
        second.click("text=Back to what was shipped");
        assertThat(second.locator("#shell-thickness")).containsText("1 to 3 mm");
        page.navigate("/bars/4");
        assertThat(page.locator(".judged")).containsText("Judged by the shipped bounds.");
    }

    @Test
    public void publishedBoundsAndOtherRolesSetNothing() {
        Page owner = app.signedIn("runa");
        Response published = owner.navigate("/workshop/rules/filled-chocolate");
        assertEquals(published.status(), 404);
        assertEquals(owner.navigate("/workshop/rules/no-such-bound").status(), 404);
        Page viewer = app.signedIn("ilse");
        viewer.navigate("/workshop/rules/draft");
        assertFalse(viewer.locator("text=Judge by this").isVisible());
    }
}

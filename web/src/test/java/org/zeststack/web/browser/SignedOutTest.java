package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Page;
import org.springframework.jdbc.core.JdbcTemplate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.web.WithDemo;

/** What was typed is there again after signing in, whatever page it was typed into. */
public class SignedOutTest extends WithDemo {

    /** A page, a field, the button that sends it. */
    @DataProvider
    public Object[][] pages() {
        return new Object[][] {
            {"/formulas/1", "#name", "text=Save the draft"},
            {"/bars/4", "#name", "text=Save the draft"},
            {"/runs", "#pieces", "main form[action='/runs'][method=post] button[type=submit]"},
            {"/store-room/lots/new", "#ingredient", "text=Write it down"},
            {"/store-room/ingredients/honey", "#name", "main form button.next"},
            {"/workshop/place", "#name", "main form button.next"},
            {"/workshop/moulds/1", "#name", "main form button.next"},
        };
    }

    @Test(dataProvider = "pages")
    public void whatWasTypedComesBackAfterSigningIn(String path, String field, String button) {
        Page owner = app.signedIn("runa");
        owner.navigate(path);
        owner.fill(field, "37");
        app.bean(JdbcTemplate.class).update("delete from spring_session");
        owner.click(button);
        assertThat(owner.locator(".signed-out")).containsText("You are signed out");
        assertThat(owner.locator("body")).not().containsText("Ask the owner");
        assertThat(owner.locator(field)).hasValue("37");
        owner.click(".signed-out a");
        owner.fill("#username", "runa");
        owner.fill("#password", "lantern-harbour");
        owner.click("button[type=submit]");
        owner.waitForURL("**" + path);
        assertThat(owner.locator(field)).hasValue("37");
        owner.context().close();
    }

    @Test
    public void whoSignedInElsewhereGoesOnHere() {
        Page owner = app.signedIn("runa");
        owner.navigate("/workshop/place");
        owner.fill("#name", "Quay house");
        app.bean(JdbcTemplate.class).update("delete from spring_session");
        Page other = owner.context().newPage();
        other.navigate("/sign-in");
        other.fill("#username", "runa");
        other.fill("#password", "lantern-harbour");
        other.click("button[type=submit]");
        other.waitForURL("**/");
        owner.click("main form button.next");
        owner.waitForURL("**/workshop");
        assertEquals(
                app.bean(JdbcTemplate.class).queryForObject("select name from workshop", String.class), "Quay house");
    }

    /** Without the question before it, a form of before the last signing in says what to do, and nothing of roles. */
    @Test
    public void anOldPageSaysThatItIsOne() {
        Page owner = app.signedIn("runa");
        owner.navigate("/workshop/place");
        owner.evaluate(
                "() => { const form = document.querySelector('main form'); form.elements._csrf.value = 'of-before'; form.submit(); }");
        assertThat(owner.locator("main")).containsText("opened before the last signing in");
        assertThat(owner.locator("main")).not().containsText("Ask the owner");
    }
}

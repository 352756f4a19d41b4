package org.zeststack.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import java.util.HashMap;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** As many lines, steps and layers as are allowed can be sent and saved; one more is told with the number allowed. */
public class LargestDesignsTest extends WithDemo {

    private Visitor owner;
    private Page page;

    @BeforeClass
    public void open() throws Exception {
        owner = new Visitor(app.url()).signIn("runa", "lantern-harbour");
        page = app.signedIn("runa");
    }

    /** A page, what is numbered in it, a row to repeat, how many are allowed, and the words when there is one more. */
    @DataProvider
    public Object[][] designs() {
        return new Object[][] {
            {"/formulas/1", "line", 1, 60, "At most 60 lines."},
            {"/formulas/1", "step", 0, 60, "At most 60 steps."},
            {"/bars/4", "layer", 1, 24, "A bar has 1 to 24 layers."},
        };
    }

    /** The form of a page with one of its rows so many times. */
    private Map<String, String> with(String path, String what, int row, int most) {
        page.navigate(path);
        Map<String, String> fields = new HashMap<>();
        ((Map<?, ?>) page.locator("main form:has([name=lock])")
                        .last()
                        .evaluate("form => Object.fromEntries(new FormData(form))"))
                .forEach((name, value) -> fields.put(String.valueOf(name), String.valueOf(value)));
        String prefix = what + "." + row + ".";
        Map<String, String> one = new HashMap<>();
        fields.forEach((name, value) -> {
            if (name.startsWith(prefix)) {
                one.put(name.substring(prefix.length()), value);
            }
        });
        assertTrue(one.size() > 3, one.toString());
        fields.keySet().removeIf(name -> name.startsWith(what + "."));
        for (int i = 0; i < most; i++) {
            String at = what + "." + i + ".";
            one.forEach((name, value) -> fields.put(at + name, value));
        }
        return fields;
    }

    @Test(dataProvider = "designs")
    public void asManyAsAreAllowedCanBeSent(String path, String what, int row, int most, String words)
            throws Exception {
        Map<String, String> all = with(path, what, row, most);
        all.put("_csrf", owner.csrf());
        var answer = owner.post(path, all);
        assertTrue(
                answer.statusCode() == 302 || !answer.body().contains(words),
                answer.statusCode() + " with " + all.size() + " fields");
        Map<String, String> more = with(path, what, row, most + 3);
        more.put("_csrf", owner.csrf());
        var told = owner.post(path, more);
        assertEquals(told.statusCode(), 400, "with " + more.size() + " fields");
        assertTrue(
                told.body().contains(words),
                told.body().replaceAll("(?s).*?(class=\"fault\"[^<]*<)", "$1 ").substring(0, 300));
    }
}

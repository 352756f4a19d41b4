package org.zeststack.web;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** The forms of the demo's pages, with what stands in them. */
final class PageForms {

    /** What would end the attack itself, or start other programs. */
    private static final Pattern SPARED = Pattern.compile(
            "/sign-(out|in)|/account/password|/workshop/people/\\d+/.*|/welcome.*|/workshop/tokens/.*|/runs/\\d+/close");

    private static final List<String> PAGES = List.of(
            "/bars/4",
            "/bars/new",
            "/boxes/new",
            "/formulas/1",
            "/formulas/3",
            "/formulas/import",
            "/formulas/1/versions/1",
            "/runs",
            "/runs/5",
            "/bench/4",
            "/store-room/lots/new",
            "/store-room/lots/1",
            "/store-room/ingredients/honey",
            "/store-room/ingredients/new",
            "/store-room/pack",
            "/workshop/place",
            "/workshop/moulds/1",
            "/workshop/thermometers/1",
            "/workshop/vessels/new",
            "/workshop/lines/new",
            "/workshop/people",
            "/rehearse",
            "/temper/curve",
            "/workshop/rules",
            "/workshop/rules/shell-too-thin");

    private PageForms() {}

    /** A form as a page has it. */
    record Form(String page, String action, boolean files, Map<String, String> fields) {}

    /** All of them, and what a page asks while it is typed in. */
    static List<Form> of(Page page) {
        List<Form> forms = new ArrayList<>();
        for (String path : PAGES) {
            page.navigate(path);
            for (Object one : (List<?>)
                    page.evaluate(
                            "() => [...document.querySelectorAll('form[method=post]')].map((f) =>"
                                    + " ({ action: f.getAttribute('action') ?? location.pathname, files: f.enctype.startsWith('multipart'),"
                                    + " fields: [...new FormData(f)].map(([n, v]) => [n, typeof v === 'string' ? v : '']) }))")) {
                Map<?, ?> form = (Map<?, ?>) one;
                Map<String, String> fields = new LinkedHashMap<>();
                ((List<?>) form.get("fields"))
                        .forEach(f -> fields.put((String) ((List<?>) f).get(0), (String) ((List<?>) f).get(1)));
                String action = (String) form.get("action");
                if (!SPARED.matcher(action.split("\\?")[0]).matches()) {
                    forms.add(new Form(path, action, (Boolean) form.get("files"), fields));
                    if (action.matches("/(bars|formulas|boxes)/\\d+")) {
                        forms.add(new Form(path, action + "/compute", false, fields));
                        forms.add(new Form(path, action + "/act", false, fields));
                    }
                }
            }
        }
        return forms;
    }
}

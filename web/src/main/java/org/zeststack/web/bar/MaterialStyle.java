package org.zeststack.web.bar;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** Colours and hatches of the materials for drawings that leave the application: taken from its own style sheet. */
@Component
class MaterialStyle {

    private static final Pattern TOKEN = Pattern.compile("--([a-z-]+):\\s*(#[0-9a-f]{3,6})");
    private static final Pattern USED = Pattern.compile("var\\(--([a-z-]+)\\)");

    private final String css;

    MaterialStyle() {
        try {
            String sheet =
                    new ClassPathResource("static/assets/css/zest.css").getContentAsString(StandardCharsets.UTF_8);
            css = resolved(
                    part(sheet, "/* materials", "/* a formula")
                            + part(sheet, "/* the cross-section", "/* the run sheet"),
                    sheet);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String part(String sheet, String from, String to) {
        int start = sheet.indexOf(from);
        int end = sheet.indexOf(to, start);
        if (start < 0 || end < 0) {
            throw new IllegalStateException("zest.css has no part " + from);
        }
        return sheet.substring(start, end);
    }

    private static String resolved(String part, String sheet) {
        Map<String, String> tokens = new HashMap<>();
        Matcher token = TOKEN.matcher(sheet);
        while (token.find()) {
            tokens.putIfAbsent(token.group(1), token.group(2));
        }
        return USED.matcher(part).replaceAll(used -> tokens.getOrDefault(used.group(1), "#000"));
    }

    /** Rules without variables. */
    String css() {
        return css;
    }
}

package org.zeststack.core;

import static org.testng.Assert.assertEquals;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.quantity.Say;

/**
 * Texts that were read through once and are compared since. {@code ./zest record} writes them anew and shows what changed, to be read
 * through again.
 */
public final class Recorded {

    private static final int MOST_TOLD = 12;

    private Recorded() {}

    /** Holds a text against what was recorded beside a test. */
    public static void check(Class<?> test, String name, String said) throws IOException {
        String now = Say.metric(said);
        if (Boolean.getBoolean("zest.record")) {
            Path file = Path.of("src/test/resources", test.getPackageName().replace('.', '/'), name);
            Files.writeString(file, now);
            return;
        }
        try (InputStream read = test.getResourceAsStream(name)) {
            String before = read == null ? "" : new String(read.readAllBytes(), StandardCharsets.UTF_8);
            assertEquals(now.equals(before) ? "" : difference(before, now), "", name + " differs; ./zest record");
        }
    }

    private static String difference(String before, String now) {
        List<String> was = before.lines().toList();
        List<String> is = now.lines().toList();
        List<String> told = new ArrayList<>();
        for (int i = 0; i < Math.max(was.size(), is.size()) && told.size() < MOST_TOLD; i++) {
            String left = i < was.size() ? was.get(i) : "";
            String right = i < is.size() ? is.get(i) : "";
            if (!left.equals(right)) {
                told.add("%d:\n- %s\n+ %s".formatted(i + 1, left, right));
            }
        }
        return String.join("\n", told);
    }
}

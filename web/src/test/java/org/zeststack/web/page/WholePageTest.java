package org.zeststack.web.page;

import static org.testng.Assert.assertEquals;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.testng.annotations.Test;

public class WholePageTest {

    @Test
    public void noCharacterIsCutInTwo() throws IOException {
        for (int before = 0; before < 1_100; before++) {
            for (String last : new String[] {"", "\ud83c\udf6b", "\ud83c\udf6b½ é →" + "e".repeat(600)}) {
                String text = "a".repeat(before) + last;
                ByteArrayOutputStream out = new ByteArrayOutputStream();
                WholePage.encode(text, out);
                assertEquals(out.toString(StandardCharsets.UTF_8), text);
            }
        }
    }
}

package org.zeststack.web.page;

import static org.testng.Assert.assertEquals;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Say;

/** What goes out as text says its quantities, however it is written; everything else passes untouched. */
public class UnitsFilterTest {

    private static final String SAID =
            "ä “" + Say.celsius(118.04, 1) + "”, " + Say.range(Say.mm(1), Say.mm(3)) + " \ue123 " + Say.grams(5, 0);
    private static final String SHOWN = "ä “118.0 °C”, 1 to 3 mm \ue123 5 g";

    private static MockHttpServletResponse answer(String path, String type, int each, byte[] body) throws Exception {
        MockHttpServletResponse response = new MockHttpServletResponse();
        new UnitsFilter().doFilter(new MockHttpServletRequest("GET", path), response, (request, to) -> {
            to.setContentType(type);
            to.setContentLength(body.length);
            for (int at = 0; at < body.length; at += each) {
                to.getOutputStream().write(body, at, Math.min(each, body.length - at));
            }
        });
        return response;
    }

    private static String text(MockHttpServletResponse response) {
        return new String(response.getContentAsByteArray(), StandardCharsets.UTF_8);
    }

    /** Whoever writes may tell the length before the type, and as a header. */
    @Test
    public void theLengthOfATextIsItsOwn() throws Exception {
        byte[] body = SAID.getBytes(StandardCharsets.UTF_8);
        for (String type : new String[] {"application/json", "image/png"}) {
            MockHttpServletResponse response = new MockHttpServletResponse();
            new UnitsFilter().doFilter(new MockHttpServletRequest("GET", "/x"), response, (request, to) -> {
                ((HttpServletResponse) to).addHeader("Content-Length", String.valueOf(body.length));
                to.setContentType(type);
                to.getOutputStream().write(body);
            });
            assertEquals(
                    response.getHeader("Content-Length"), type.startsWith("image") ? "" + body.length : null, type);
        }
    }

    @DataProvider
    public Object[][] types() {
        return new Object[][] {
            {"text/html;charset=UTF-8"}, {"application/json"}, {"text/event-stream"}, {"image/svg+xml"}, {"text/csv"},
        };
    }

    /** In pieces of any size: a mark is of three bytes, and a piece may end in one. */
    @Test(dataProvider = "types")
    public void textIsSaidInPiecesOfAnySize(String type) throws Exception {
        byte[] body = SAID.getBytes(StandardCharsets.UTF_8);
        for (int each = 1; each <= body.length; each++) {
            MockHttpServletResponse response = answer("/bars", type, each, body);
            assertEquals(text(response), SHOWN, "in pieces of " + each);
            assertEquals(response.getHeader("Content-Length"), null, "it became shorter");
        }
    }

    @Test
    public void aWriterSaysItToo() throws Exception {
        MockHttpServletResponse response = new MockHttpServletResponse();
        new UnitsFilter().doFilter(new MockHttpServletRequest("GET", "/bars"), response, (request, to) -> {
            to.setContentType("text/html;charset=UTF-8");
            to.getWriter().write(SAID);
        });
        assertEquals(text(response), SHOWN);
    }

    /** A photograph may hold the bytes of a mark, and style sheets and scripts hold none. */
    @Test
    public void whatIsNoTextPasses() throws Exception {
        byte[] body = SAID.getBytes(StandardCharsets.UTF_8);
        for (String[] other :
                new String[][] {{"/photos/1", "image/jpeg"}, {"/assets/js/bench.js", "text/javascript"}}) {
            MockHttpServletResponse response = answer(other[0], other[1], 7, body);
            assertEquals(response.getContentAsByteArray(), body, other[0]);
            assertEquals(response.getContentLength(), body.length);
        }
    }

    /** Somebody may have pasted the mark alone: nothing behind it is lost. */
    @Test
    public void whatOpensAndDoesNotCloseIsSentAsItIs() throws Exception {
        String torn = "a" + Say.OPENS + "b".repeat(500) + Say.grams(5, 0) + "c" + Say.OPENS + "d";
        byte[] body = torn.getBytes(StandardCharsets.UTF_8);
        for (int each : new int[] {1, 7, 150, 5000}) {
            assertEquals(
                    text(answer("/bars", "text/html", each, body)),
                    "a" + Say.OPENS + "b".repeat(500) + "5 gc" + Say.OPENS + "d",
                    "in pieces of " + each);
        }
    }
}

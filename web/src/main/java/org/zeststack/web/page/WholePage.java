package org.zeststack.web.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Configuration;
import org.thymeleaf.spring6.view.ThymeleafView;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/** A page goes out in one piece once it is drawn, encoded at once; one that fails has sent nothing of itself. */
final class WholePage extends ThymeleafView {

    /** Most pieces of this length are ASCII and are encoded in one go; a single text of a whole page is encoded character by character. */
    private static final int PIECE = 512;

    @Configuration
    static class Pages {
        @Autowired
        void draw(ThymeleafViewResolver resolver) {
            resolver.setViewClass(WholePage.class);
            resolver.setProducePartialOutputWhileProcessing(false);
        }
    }

    @Override
    public void render(Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
            throws Exception {
        try {
            super.render(model, request, new Encoding(response));
        } catch (Exception e) {
            // Nothing was sent; what is answered instead may be no page.
            response.setContentType(null);
            throw e;
        }
    }

    /** Writes a text in UTF-8, piece by piece; no character is cut in two. */
    static void encode(String text, OutputStream out) throws IOException {
        for (int start = 0, end; start < text.length(); start = end) {
            end = Math.min(start + PIECE, text.length());
            if (end < text.length() && Character.isHighSurrogate(text.charAt(end - 1))) {
                end++;
            }
            out.write(text.substring(start, end).getBytes(StandardCharsets.UTF_8));
        }
    }

    /** Takes the page's text, and writes its bytes. */
    private static final class Encoding extends HttpServletResponseWrapper {
        private Encoding(HttpServletResponse response) {
            super(response);
        }

        @Override
        public PrintWriter getWriter() throws IOException {
            var out = getResponse().getOutputStream();
            return new PrintWriter(new Writer() {
                @Override
                public void write(String text, int from, int length) throws IOException {
                    encode(text.substring(from, from + length), out);
                }

                @Override
                public void write(char[] text, int from, int length) throws IOException {
                    write(new String(text, from, length), 0, length);
                }

                @Override
                public void flush() throws IOException {
                    out.flush();
                }

                @Override
                public void close() throws IOException {
                    out.close();
                }
            });
        }
    }
}

package org.zeststack.web.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
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

    /** Most pieces of this length have no character outside of ASCII, which takes a tenth of the time to encode. */
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
        super.render(model, request, new Encoding(response));
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
                    for (int start = from, end; start < from + length; start = end) {
                        end = Math.min(start + PIECE, from + length);
                        if (end < from + length && Character.isHighSurrogate(text.charAt(end - 1))) {
                            end++;
                        }
                        out.write(text.substring(start, end).getBytes(StandardCharsets.UTF_8));
                    }
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

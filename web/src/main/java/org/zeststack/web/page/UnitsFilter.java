package org.zeststack.web.page;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.quantity.Units;

/**
 * Quantities in what is sent as text are said in the units of whoever reads it: pages, parts of them, the interface, files and streams
 * alike. It stands outside of everything that writes.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class UnitsFilter extends OncePerRequestFilter {

    /** No quantity takes more, bytes: what opens and does not close by then is none. */
    private static final int LONGEST = 200;

    private static final byte[] OPENS = String.valueOf(Say.OPENS).getBytes(StandardCharsets.UTF_8);
    private static final byte[] CLOSES = String.valueOf(Say.CLOSES).getBytes(StandardCharsets.UTF_8);

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getRequestURI().startsWith("/assets/");
    }

    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Said said = new Said(response);
        chain.doFilter(request, said);
        said.over(request.isAsyncStarted());
    }

    /** An answer whose text is said in somebody's units; what is no text passes as it is. */
    private static final class Said extends HttpServletResponseWrapper {

        private Output output;
        private PrintWriter writer;
        private long length = -1;

        Said(HttpServletResponse response) {
            super(response);
        }

        private boolean isText() {
            String type = getContentType();
            return type != null && (type.startsWith("text/") || type.contains("json") || type.contains("xml"));
        }

        @Override
        public ServletOutputStream getOutputStream() throws IOException {
            if (output == null) {
                tellLength();
                output = new Output(super.getOutputStream());
            }
            return output;
        }

        @Override
        public PrintWriter getWriter() throws IOException {
            if (writer == null) {
                if (getContentType() != null && !getContentType().contains("charset")) {
                    setCharacterEncoding(StandardCharsets.UTF_8.name());
                }
                writer = new PrintWriter(new OutputStreamWriter(getOutputStream(), getCharacterEncoding()));
            }
            return writer;
        }

        /** A text becomes as long as it is said; what is none keeps its length, whether that or its type is told first. */
        @Override
        public void setContentLength(int told) {
            length = told;
        }

        @Override
        public void setContentLengthLong(long told) {
            length = told;
        }

        @Override
        public void setHeader(String name, String value) {
            if (HttpHeaders.CONTENT_LENGTH.equalsIgnoreCase(name)) {
                length = Long.parseLong(value);
            } else {
                super.setHeader(name, value);
            }
        }

        @Override
        public void addHeader(String name, String value) {
            if (HttpHeaders.CONTENT_LENGTH.equalsIgnoreCase(name)) {
                length = Long.parseLong(value);
            } else {
                super.addHeader(name, value);
            }
        }

        private void tellLength() {
            if (length >= 0 && !isText() && !isCommitted()) {
                super.setContentLengthLong(length);
            }
        }

        @Override
        public void flushBuffer() throws IOException {
            if (writer != null) {
                writer.flush();
            }
            super.flushBuffer();
        }

        @Override
        public void resetBuffer() {
            super.resetBuffer();
            forget();
        }

        @Override
        public void reset() {
            super.reset();
            forget();
        }

        private void forget() {
            length = -1;
            writer = null;
            output = null;
        }

        /** The answer is whole, or goes on as a stream. */
        void over(boolean goesOn) throws IOException {
            if (output == null) {
                tellLength();
            }
            if (writer != null && !goesOn) {
                writer.flush();
            }
            if (output != null && !goesOn) {
                output.release();
            }
        }

        private final class Output extends ServletOutputStream {

            private final ServletOutputStream to;
            private byte[] held = new byte[0];

            Output(ServletOutputStream to) {
                this.to = to;
            }

            @Override
            public void write(int one) throws IOException {
                write(new byte[] {(byte) one}, 0, 1);
            }

            /** What stands between two marks is said once it is whole. */
            @Override
            public void write(byte[] bytes, int from, int length) throws IOException {
                if (!isText() || held.length == 0 && indexOf(bytes, from, from + length, 1, OPENS) < 0) {
                    to.write(bytes, from, length);
                    return;
                }
                byte[] all = Arrays.copyOf(held, held.length + length);
                System.arraycopy(bytes, from, all, held.length, length);
                int at = 0;
                int opens = indexOf(all, 0, all.length, OPENS.length, OPENS);
                while (opens >= 0) {
                    int closes = indexOf(all, opens, Math.min(all.length, opens + LONGEST), CLOSES.length, CLOSES);
                    if (closes < 0 && all.length < opens + LONGEST) {
                        break;
                    }
                    to.write(all, at, opens - at);
                    at = opens;
                    int next = opens + OPENS.length;
                    if (closes >= 0) {
                        next = closes + CLOSES.length;
                        String quantity = new String(all, opens, next - opens, StandardCharsets.UTF_8);
                        to.write(Say.in(quantity, Units.METRIC).getBytes(StandardCharsets.UTF_8));
                        at = next;
                    }
                    opens = indexOf(all, next, all.length, OPENS.length, OPENS);
                }
                int keep = opens >= 0 ? opens : Math.max(at, all.length - begun(all));
                to.write(all, at, keep - at);
                held = Arrays.copyOfRange(all, keep, all.length);
            }

            /** What was begun and will not be closed is sent as it is. */
            private void release() throws IOException {
                to.write(held);
                held = new byte[0];
            }

            /** How many bytes at the end may be the beginning of a mark. */
            private static int begun(byte[] all) {
                for (int most = OPENS.length - 1; most > 0; most--) {
                    if (most <= all.length && indexOf(all, all.length - most, all.length, most, OPENS) >= 0) {
                        return most;
                    }
                }
                return 0;
            }

            /** Where the first so many bytes of a mark stand; −1 where they do not. */
            private static int indexOf(byte[] bytes, int from, int to, int many, byte[] mark) {
                for (int i = from; i + many <= to; i++) {
                    if (Arrays.equals(bytes, i, i + many, mark, 0, many)) {
                        return i;
                    }
                }
                return -1;
            }

            @Override
            public void flush() throws IOException {
                to.flush();
            }

            @Override
            public void close() throws IOException {
                release();
                to.close();
            }

            @Override
            public boolean isReady() {
                return to.isReady();
            }

            @Override
            public void setWriteListener(WriteListener listener) {
                to.setWriteListener(listener);
            }
        }
    }
}

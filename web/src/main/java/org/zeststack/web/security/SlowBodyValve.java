package org.zeststack.web.security;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Leaves whoever sends what belongs to a request so slowly that it only holds a thread. Tomcat's own timeout begins anew with
 * every byte, and it reads to their end even bodies that nothing asked for. Counted is the time that was waited for bytes;
 * allowed are {@link #GRACE} and a second for every {@value #BYTES_PER_SECOND} bytes that came. Of what nothing asked for at
 * most {@value #MOST_REST} bytes are read. One address holds at most {@value #MOST_WAITING} of the server's 200 threads so.
 */
final class SlowBodyValve extends ValveBase {

    static final Duration GRACE = Duration.ofSeconds(10);
    static final int BYTES_PER_SECOND = 5_000;
    static final int MOST_REST = 2_000_000;
    static final int MOST_WAITING = 60;

    private final LongSupplier nanos;
    /** Threads that wait for bytes, by where those come from. */
    private final Map<String, Integer> waiting = new ConcurrentHashMap<>();

    /** @param nanos a steady clock */
    SlowBodyValve(LongSupplier nanos) {
        super(true);
        this.nanos = nanos;
    }

    /** Puts the valve before everything that reads. */
    @Component
    static final class Installed implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
        @Override
        public void customize(TomcatServletWebServerFactory factory) {
            factory.addEngineValves(new SlowBodyValve(System::nanoTime));
        }
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        org.apache.coyote.Request below = request.getCoyoteRequest();
        InputBuffer whole = below.getInputBuffer();
        InputBuffer paced = paced(whole, request.getRemoteAddr());
        below.setInputBuffer(paced);
        try {
            getNext().invoke(request, response);
            if (!request.isAsync()) {
                response.finishResponse();
                if (!rest(paced)) {
                    below.action(ActionCode.DISABLE_SWALLOW_INPUT, null);
                }
            }
        } finally {
            below.setInputBuffer(whole);
        }
    }

    /** Reads what nothing asked for, so that the connection can be used again; else false, and it is to be closed. */
    static boolean rest(InputBuffer paced) {
        Unasked unasked = new Unasked();
        int came = 0;
        try {
            for (int read = 0; read >= 0 && came <= MOST_REST; read = paced.doRead(unasked)) {
                came += read;
            }
        } catch (IOException gone) {
            return false;
        }
        return came <= MOST_REST;
    }

    /** Takes bytes and forgets them. */
    private static final class Unasked implements ApplicationBufferHandler {
        private ByteBuffer bytes = ByteBuffer.allocate(0);

        @Override
        public void setByteBuffer(ByteBuffer buffer) {
            bytes = buffer;
        }

        @Override
        public ByteBuffer getByteBuffer() {
            return bytes;
        }

        @Override
        public void expand(int size) {
            // Nothing is kept.
        }
    }

    /** The same bytes, until they come too slowly, or too many of this address are waited for. */
    InputBuffer paced(InputBuffer whole, String from) {
        return new InputBuffer() {
            private long waited;
            private long came;

            @Override
            public int doRead(ApplicationBufferHandler handler) throws IOException {
                long begun = nanos.getAsLong();
                int read;
                try {
                    if (waiting.merge(from, 1, Integer::sum) > MOST_WAITING) {
                        throw new SocketTimeoutException("Too much is waited for from this address.");
                    }
                    read = whole.doRead(handler);
                } finally {
                    waiting.computeIfPresent(from, (address, threads) -> threads == 1 ? null : threads - 1);
                }
                waited += nanos.getAsLong() - begun;
                came += Math.max(0, read);
                long allowed = GRACE.toNanos() + TimeUnit.SECONDS.toNanos(came) / BYTES_PER_SECOND;
                if (read >= 0 && waited > allowed) {
                    throw new SocketTimeoutException("What was sent came too slowly.");
                }
                return read;
            }

            @Override
            public int available() {
                return whole.available();
            }
        };
    }
}

package org.zeststack.web.security;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.time.Duration;
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
 * every byte. Counted is the time that was waited for bytes; allowed are {@link #GRACE} and a second for every
 * {@value #BYTES_PER_SECOND} bytes that came.
 */
final class SlowBodyValve extends ValveBase {

    static final Duration GRACE = Duration.ofSeconds(10);
    static final int BYTES_PER_SECOND = 5_000;

    private final LongSupplier nanos;

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
        // Without this Tomcat would go on to read the rest, as slowly as it comes.
        below.setInputBuffer(paced(whole, () -> below.action(ActionCode.DISABLE_SWALLOW_INPUT, null)));
        try {
            getNext().invoke(request, response);
        } finally {
            below.setInputBuffer(whole);
        }
    }

    /** The same bytes, until they come too slowly. */
    InputBuffer paced(InputBuffer whole, Runnable leave) {
        return new InputBuffer() {
            private long waited;
            private long came;

            @Override
            public int doRead(ApplicationBufferHandler handler) throws IOException {
                long begun = nanos.getAsLong();
                int read = whole.doRead(handler);
                waited += nanos.getAsLong() - begun;
                came += Math.max(0, read);
                if (read >= 0
                        && waited
                                > GRACE.plus(Duration.ofSeconds(came).dividedBy(BYTES_PER_SECOND))
                                        .toNanos()) {
                    leave.run();
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

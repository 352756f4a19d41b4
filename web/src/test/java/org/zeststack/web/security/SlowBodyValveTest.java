package org.zeststack.web.security;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import java.io.IOException;
import java.net.SocketTimeoutException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

public class SlowBodyValveTest {

    private static final int END = -1;

    private long nanos;
    private int bytes;
    private long millis;
    private final AtomicInteger left = new AtomicInteger();
    private InputBuffer paced;

    @BeforeMethod
    public void open() {
        left.set(0);
        nanos = 0;
        InputBuffer client = new InputBuffer() {
            @Override
            public int doRead(ApplicationBufferHandler handler) {
                nanos += TimeUnit.MILLISECONDS.toNanos(millis);
                return bytes;
            }

            @Override
            public int available() {
                return 7;
            }
        };
        paced = new SlowBodyValve(() -> nanos).paced(client, left::incrementAndGet);
    }

    /** The next bytes, and how long the client lets us wait for them. */
    private int read(int after, int sent) throws IOException {
        millis = after;
        bytes = sent;
        return paced.doRead(null);
    }

    @Test
    public void tenSecondsAreWaitedAndASecondForEveryFiveThousandBytes() throws IOException {
        assertEquals(read(10_000, 1), 1);
        assertEquals(read(999, 4_999), 4_999);
        assertEquals(read(1, 0), 0, "eleven seconds for 5,000 bytes");
        assertThrows(SocketTimeoutException.class, () -> read(1, 4));
        assertEquals(left.get(), 1);
    }

    @Test
    public void bytesThatDripAreLeft() throws IOException {
        for (int second = 0; second < 10; second++) {
            assertEquals(read(1_000, 1), 1);
        }
        assertThrows(SocketTimeoutException.class, () -> read(1_000, 1));
    }

    @Test
    public void whatIsWholeIsTakenHoweverLongItTookAndWhatWeDoOurselvesIsNotCounted() throws IOException {
        assertEquals(read(9_000, 10), 10);
        nanos += TimeUnit.MINUTES.toNanos(5);
        assertEquals(read(900, 10), 10);
        assertEquals(read(60_000, END), END);
        assertEquals(left.get(), 0);
        assertEquals(paced.available(), 7);
    }
}

package org.zeststack.web.security;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.SocketTimeoutException;
import java.util.concurrent.TimeUnit;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

public class SlowBodyValveTest {

    private static final int END = -1;

    private long nanos;
    private int bytes;
    private int rest;
    private long millis;
    private InputBuffer paced;

    private interface Sends {
        int next() throws IOException;
    }

    private static InputBuffer client(Sends sends) {
        return new InputBuffer() {
            @Override
            public int doRead(ApplicationBufferHandler handler) throws IOException {
                return sends.next();
            }

            @Override
            public int available() {
                return 7;
            }
        };
    }

    @BeforeMethod
    public void open() {
        nanos = 0;
        millis = 0;
        rest = Integer.MAX_VALUE;
        InputBuffer client = client(() -> {
            nanos += TimeUnit.MILLISECONDS.toNanos(millis);
            rest -= bytes;
            return rest >= 0 ? bytes : END;
        });
        paced = new SlowBodyValve(() -> nanos).paced(client, "here");
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
        rest = 0;
        assertEquals(read(60_000, 1), END);
        assertEquals(paced.available(), 7);
    }

    @Test
    public void ofWhatNothingAskedForTwoMegabytesAreRead() {
        bytes = 1;
        rest = 2_000_000;
        assertTrue(SlowBodyValve.rest(paced));
        rest = 2_000_001;
        assertFalse(SlowBodyValve.rest(paced));
        rest = 100;
        millis = 10_000;
        assertFalse(SlowBodyValve.rest(paced), "too slow");
    }

    /** Each client lets its thread wait until one more has come. */
    private static int held(SlowBodyValve valve, int threads, String from) throws IOException {
        Sends sends = () -> threads == 1 ? 1 : 1 + held(valve, threads - 1, from);
        return valve.paced(client(sends), from).doRead(null);
    }

    @Test
    public void oneAddressHoldsSixtyThreadsAtMost() throws IOException {
        SlowBodyValve valve = new SlowBodyValve(() -> 0);
        assertEquals(held(valve, 60, "here"), 60);
        assertThrows(SocketTimeoutException.class, () -> held(valve, 61, "here"));
        assertEquals(held(valve, 60, "here"), 60, "nothing stays counted");
        Sends beside = () -> held(valve, 60, "here");
        assertEquals(valve.paced(client(beside), "there").doRead(null), 60, "another address");
    }
}

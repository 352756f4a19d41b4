package org.zeststack.web.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import org.testng.annotations.Test;

/** Times that devices tell, from both sides of every bound. */
public class ReadingBoundsTest {

    private static final Instant NOW = Instant.parse("2026-11-27T08:00:00Z");
    private static final Instant TWO_MINUTES_AHEAD = Instant.parse("2026-11-27T08:02:00Z");
    private static final Instant TWELVE_HOURS_AGO = Instant.parse("2026-11-26T20:00:00Z");
    private static final Instant A_DAY_AGO = Instant.parse("2026-11-26T08:00:00Z");

    @Test
    public void nothingIsDatedFurtherAheadThanTwoMinutes() {
        assertEquals(ReadingBounds.notAhead(TWO_MINUTES_AHEAD, NOW), TWO_MINUTES_AHEAD);
        assertNull(ReadingBounds.notAhead(TWO_MINUTES_AHEAD.plusSeconds(1), NOW), "the workshop's time, then");
        assertEquals(ReadingBounds.notAhead(A_DAY_AGO, NOW), A_DAY_AGO);
        assertNull(ReadingBounds.notAhead(null, NOW));
    }

    @Test
    public void timesFarOffAreAskedAbout() {
        assertTrue(ReadingBounds.doubt(null, NOW).isEmpty());
        assertTrue(ReadingBounds.doubt(NOW, NOW).isEmpty());
        assertTrue(ReadingBounds.doubt(TWO_MINUTES_AHEAD, NOW).isEmpty());
        assertTrue(ReadingBounds.doubt(TWELVE_HOURS_AGO, NOW).isEmpty());
        String ahead = ReadingBounds.doubt(TWO_MINUTES_AHEAD.plusSeconds(1), NOW)
                .orElseThrow()
                .message();
        assertTrue(ahead.contains("written down with the workshop’s time"), ahead);
        String old = ReadingBounds.doubt(TWELVE_HOURS_AGO.minusSeconds(1), NOW)
                .orElseThrow()
                .message();
        assertTrue(old.endsWith("Is that when it was?"), old);
    }

    @Test
    public void aReadingOfOverADayAgoIsOfNoCookThatRuns() {
        assertFalse(ReadingBounds.late(A_DAY_AGO, NOW));
        assertTrue(ReadingBounds.late(A_DAY_AGO.minusSeconds(1), NOW));
        assertFalse(ReadingBounds.late(TWO_MINUTES_AHEAD, NOW));
    }
}

package org.zeststack.core.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.rule.Bounds;

/** Times that devices tell, from both sides of every bound: kept or refused, and never replaced. */
public class MomentsTest {

    private static final Moments MOMENTS = new Moments(Bounds.shipped());
    private static final Instant NOW = Instant.parse("2026-11-27T08:00:00Z");

    private static String told(Optional<Fault> fault) {
        return fault.map(Fault::message).orElse("");
    }

    @DataProvider
    public Object[][] readings() {
        return new Object[][] {
            // at, begun, refused
            {"2026-11-27T08:00:00Z", "2026-11-27T07:30:00Z", ""},
            {"2026-11-27T08:02:00Z", "2026-11-27T07:30:00Z", ""},
            {
                "2026-11-27T08:02:01Z",
                "2026-11-27T07:30:00Z",
                "That is 2 min ahead of the workshop's clock; clocks may differ by 2 min."
            },
            {
                "2026-11-27T09:00:00Z",
                "2026-11-27T07:30:00Z",
                "That is 60 min ahead of the workshop's clock; clocks may differ by 2 min."
            },
            {"2026-11-26T07:30:00Z", "2026-11-27T07:30:00Z", ""},
            {
                "2026-11-26T07:29:59Z",
                "2026-11-27T07:30:00Z",
                "That is 24 h before this was begun to be read; at most 24 h are taken in."
            },
            {
                "1970-01-01T00:00:00Z",
                "2026-11-27T07:30:00Z",
                "That is 20784 days before this was begun to be read; at most 24 h are taken in."
            },
            // A tablet that lay without a network for a week: it belongs to its own pot.
            {"2026-11-20T09:00:00Z", "2026-11-20T08:00:00Z", ""},
        };
    }

    @Test
    public void aClockThatIsAheadIsAskedAboutAndMeansNow() {
        Instant within = NOW.plusSeconds(120);
        Instant beyond = NOW.plusSeconds(121);
        assertEquals(MOMENTS.doubt(within, NOW), Optional.empty());
        assertTrue(told(MOMENTS.doubt(beyond, NOW)).endsWith("2 min. Shall it be written down as of now?"));
        assertEquals(MOMENTS.asOf(within, NOW), Optional.of(within));
        assertEquals(MOMENTS.asOf(beyond, NOW), Optional.empty());
        assertEquals(MOMENTS.asOf(null, NOW), Optional.empty());
        Instant longAgo = NOW.minus(Duration.ofDays(3));
        assertEquals(MOMENTS.doubt(longAgo, NOW), MOMENTS.asked(longAgo, NOW));
    }

    @Test(dataProvider = "readings")
    public void aReadingIsKeptOrRefused(String at, String begun, String refused) {
        assertEquals(told(MOMENTS.refused(Instant.parse(at), NOW, Instant.parse(begun))), refused);
    }

    @Test
    public void somethingWrittenDownIsAskedAboutAfterHalfADayAndRefusedAfterTwoMonths() {
        Instant half = NOW.minus(Duration.ofHours(12));
        assertEquals(told(MOMENTS.asked(half, NOW)), "");
        assertEquals(
                told(MOMENTS.asked(half.minusSeconds(1), NOW)),
                "Its device says that this was 12 h ago. Is that when it was?");
        Instant old = NOW.minus(Duration.ofDays(60));
        assertEquals(told(MOMENTS.refusedEntry(old, NOW)), "");
        assertEquals(
                told(MOMENTS.refusedEntry(old.minusSeconds(1), NOW)),
                "That is 60 days ago; at most 60 days are taken in.");
        assertTrue(told(MOMENTS.refusedEntry(NOW.plusSeconds(121), NOW)).contains("ahead"));
        assertTrue(told(MOMENTS.refusedEntry(Instant.MIN.plusSeconds(1), NOW)).contains("days ago"));
    }

    @Test
    public void aClockMayBeOffByADayAndAZone() {
        assertTrue(MOMENTS.mayBeOff(Duration.ofHours(26)));
        assertTrue(MOMENTS.mayBeOff(Duration.ofHours(-26)));
        assertFalse(MOMENTS.mayBeOff(Duration.ofHours(26).plusSeconds(1)));
        assertFalse(MOMENTS.mayBeOff(Duration.ofHours(-26).minusSeconds(1)));
    }
}

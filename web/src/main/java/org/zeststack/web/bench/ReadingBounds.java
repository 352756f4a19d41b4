package org.zeststack.web.bench;

import java.time.Duration;
import java.time.Instant;
import org.zeststack.core.quantity.Range;

/** What may be sent as a reading, by whichever door. */
public final class ReadingBounds {

    public static final Range CELSIUS = new Range(-10, 200, "°C");
    public static final int MOST = 1000;

    private static final Duration CLOCK_AHEAD = Duration.ofMinutes(2);
    private static final Duration OLDEST = Duration.ofDays(1);

    private ReadingBounds() {}

    /** A device's clock may be a little ahead; nothing is ever dated into the future. */
    public static Instant notAhead(Instant at, Instant now) {
        return at == null || at.isAfter(now.plus(CLOCK_AHEAD)) ? now : at;
    }

    /** Whether it is too old to be of a cook that runs now. */
    public static boolean late(Instant at, Instant now) {
        return at.isBefore(now.minus(OLDEST));
    }
}

package org.zeststack.web.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Range;
import org.zeststack.web.page.Show;

/** What may be sent as a reading, by whichever door. */
public final class ReadingBounds {

    public static final Range CELSIUS = new Range(-10, 200, "°C");
    public static final int MOST = 1000;

    private static final Duration CLOCK_AHEAD = Duration.ofMinutes(2);
    private static final Duration FAR_OFF = Duration.ofHours(12);
    private static final Duration OLDEST = Duration.ofDays(1);

    private ReadingBounds() {}

    /** A device's clock may be a little ahead; nothing is dated further into the future: null, for the workshop's time, then. */
    public static Instant notAhead(Instant at, Instant now) {
        return at == null || isAhead(at, now) ? null : at;
    }

    private static boolean isAhead(Instant at, Instant now) {
        return at.isAfter(now.plus(CLOCK_AHEAD));
    }

    /** What is to be asked of a time that a device tells; empty where it may well be so. */
    static Optional<Fault> doubt(Instant at, Instant now) {
        if (at == null || !isAhead(at, now) && !at.isBefore(now.minus(FAR_OFF))) {
            return Optional.empty();
        }
        String says = Show.INSTANCE.moment(at) + ", and it is " + Show.INSTANCE.moment(now) + " here";
        String asked = isAhead(at, now)
                ? "Its device says that this was at %s. If it stands, it is written down with the workshop\u2019s time."
                : "Its device says that this was at %s. Is that when it was?";
        return Optional.of(Fault.of("at", at.toString(), asked.formatted(says)));
    }

    /** Whether it is too old to be of a cook that runs now. */
    public static boolean late(Instant at, Instant now) {
        return at.isBefore(now.minus(OLDEST));
    }
}

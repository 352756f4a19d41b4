package org.zeststack.core.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;

/**
 * When something at the bench may have been, by whichever door it comes in. A time that a device tells is kept or refused, and never
 * replaced: {@link #refused} says which. Bounds are {@code clock-ahead}, {@code clock-off}, {@code reading-age}, {@code entry-age} and
 * {@code entry-asked} of the table.
 */
public final class Moments {

    private static final long HOURS_TOLD_AS_DAYS = 72;

    private static final Rule TIME = Rule.of(Rule.About.BENCH, "unlikely-time");

    private final Bounds bounds;

    public Moments(Bounds bounds) {
        this.bounds = bounds;
    }

    /** Whether a device's clock may well be off by so much: by a zone, a summer's hour or a day, and no more. */
    public boolean mayBeOff(Duration off) {
        return off.abs().compareTo(greatest("clock-off")) <= 0;
    }

    /** Whether a device's clock is further ahead of the workshop's than clocks are. */
    public boolean ahead(Instant at, Instant now) {
        return at.isAfter(now.plus(greatest("clock-ahead")));
    }

    /**
     * Why a reading cannot have been then; empty where it can. However late it comes in, it belongs to its own pot or bowl.
     *
     * @param begun when that one was begun to be read
     */
    public Optional<Fault> refused(Instant at, Instant now, Instant begun) {
        Optional<Fault> ahead = refusedAhead(at, now);
        return ahead.isEmpty() && at.isBefore(begun.minus(greatest("reading-age")))
                ? told(
                        at,
                        "That is %s before this was begun to be read; at most %s are taken in."
                                .formatted(words(Duration.between(at, begun)), words(greatest("reading-age"))))
                : ahead;
    }

    /** Why something written down cannot have been then; empty where it can. A device may have lain unsent for weeks. */
    public Optional<Fault> refusedEntry(Instant at, Instant now) {
        Optional<Fault> ahead = refusedAhead(at, now);
        return ahead.isEmpty() && at.isBefore(now.minus(greatest("entry-age")))
                ? told(
                        at,
                        "That is %s ago; at most %s are taken in."
                                .formatted(words(Duration.between(at, now)), words(greatest("entry-age"))))
                : ahead;
    }

    private Optional<Fault> refusedAhead(Instant at, Instant now) {
        return ahead(at, now)
                ? told(
                        at,
                        "That is %s ahead of the workshop's clock; clocks may differ by %s."
                                .formatted(words(Duration.between(now, at)), words(greatest("clock-ahead"))))
                : Optional.empty();
    }

    /** What is to be asked of the time of something written down; empty where it may well be so. */
    public Optional<Fault> asked(Instant at, Instant now) {
        return at.isBefore(now.minus(greatest("entry-asked")))
                ? told(
                        at,
                        "Its device says that this was %s ago. Is that when it was?"
                                .formatted(words(Duration.between(at, now))))
                : Optional.empty();
    }

    /** What is to be asked of the time that a device tells: of a clock that is ahead, whether now is meant. */
    public Optional<Fault> doubt(Instant at, Instant now) {
        return ahead(at, now)
                ? refusedEntry(at, now)
                        .map(f -> Fault.of("at", f.given(), f.message() + " Shall it be written down as of now?"))
                : asked(at, now);
    }

    /** When it was; empty, for now, where its device tells nothing or its clock is ahead. */
    public Optional<Instant> asOf(Instant at, Instant now) {
        return Optional.ofNullable(at).filter(told -> !ahead(told, now));
    }

    private Duration greatest(String code) {
        Bound bound = TIME.bound(bounds, code);
        return Duration.ofSeconds(Math.round(bound.greatest() * (bound.unit().equals("h") ? 3600 : 60)));
    }

    private static Optional<Fault> told(Instant at, String message) {
        return Optional.of(Fault.of("at", at.toString(), message));
    }

    /** A span as it is said: {@code 40 min}, {@code 26 h}, {@code 12 days}. */
    public static String words(Duration span) {
        long minutes = Math.round(span.toSeconds() / 60.0);
        if (minutes < 180) {
            return minutes + " min";
        }
        long hours = Math.round(minutes / 60.0);
        return hours < HOURS_TOLD_AS_DAYS ? hours + " h" : Math.round(hours / 24.0) + " days";
    }
}

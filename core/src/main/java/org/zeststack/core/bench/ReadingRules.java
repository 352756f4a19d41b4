package org.zeststack.core.bench;

import static org.zeststack.core.quantity.Numbers.plain;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;
import org.zeststack.core.workshop.Thermometer;

/**
 * What may be read in a pot or a bowl, the same for the keypad, the lines of a logger, programs and simulated thermometers: what no
 * thermometer at the bench shows is refused, what is not likely is asked about and kept when somebody stands by it.
 */
public final class ReadingRules {

    /** Into what a thermometer is held. */
    public enum Kind {
        POT,
        BOWL
    }

    /**
     * A reading.
     *
     * @param minute in the pot's own time
     * @param celsius as the thermometer shows it
     */
    public record Seen(double minute, double celsius) {}

    private static final Rule UNLIKELY = Rule.of(Rule.About.BENCH, "unlikely-reading");

    private static final Rule THERMOMETERS = Rule.of(Rule.About.BENCH, "thermometers");

    private final Bounds bounds;

    public ReadingRules(Bounds bounds) {
        this.bounds = bounds;
    }

    /** What a thermometer may show, °C. */
    public Range celsius() {
        return bounds.of("reading").range();
    }

    /** Whether two thermometers that read so far apart in one stirred pot say the same. */
    public boolean agree(double apartKelvin) {
        return Math.abs(apartKelvin) <= greatest(THERMOMETERS, "thermometers-agree");
    }

    /** Whether a thermometer is to be checked again: it is long ago, or not known to have been at all. */
    public boolean stale(Thermometer thermometer, LocalDate today) {
        OptionalLong days = thermometer.checkedDays(today);
        return days.isEmpty() || days.getAsLong() > greatest(THERMOMETERS, "thermometer-checked");
    }

    /**
     * What to ask about a reading; empty where nothing.
     *
     * @param before what was read before it, the newest first; the second is looked at too, or one that sprang and was stood by would
     *     make a doubt of the next
     */
    public Optional<Fault> doubt(Kind kind, List<Seen> before, Seen seen) {
        return kind == Kind.BOWL ? bowl(seen.celsius()) : pot(before, seen);
    }

    /** No ring and no cold bath changes a pot so far so soon. */
    private Optional<Fault> pot(List<Seen> before, Seen seen) {
        if (before.isEmpty()
                || before.stream().limit(2).anyMatch(b -> Math.abs(seen.celsius - b.celsius) <= may(b, seen))) {
            return Optional.empty();
        }
        Seen last = before.get(0);
        return ask(
                seen.celsius,
                "It read %s %s ago. Is it %s now?"
                        .formatted(
                                Say.celsius(last.celsius, 1),
                                Say.of(Math.max(0, seen.minute - last.minute), 1, Measure.MINUTES),
                                Say.celsius(seen.celsius)));
    }

    /** How far apart two readings of a pot may lie, K. */
    private double may(Seen before, Seen seen) {
        return greatest(UNLIKELY, "pot-springs")
                + greatest(UNLIKELY, "pot-climbs") * Math.max(0, seen.minute - before.minute);
    }

    private Optional<Fault> bowl(double celsius) {
        if (celsius <= greatest(UNLIKELY, "bowl-scorches")) {
            return Optional.empty();
        }
        return ask(
                celsius,
                "%s would scorch couverture. %s °F is %s: was it read in Fahrenheit?"
                        .formatted(Say.celsius(celsius), plain(celsius), Say.celsius((celsius - 32) / 1.8, 1)));
    }

    private double greatest(Rule rule, String code) {
        return rule.bound(bounds, code).greatest();
    }

    private static Optional<Fault> ask(double given, String question) {
        return Optional.of(Fault.of("celsius", plain(given), question));
    }
}

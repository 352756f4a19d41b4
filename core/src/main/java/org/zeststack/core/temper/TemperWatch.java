package org.zeststack.core.temper;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.zeststack.core.quantity.Numbers;

/**
 * Follows the readings of one bowl through melting, cooling and rewarming into the working window, and gives a verdict.
 *
 * <p>Over the top of the window after the cool-down: the first reading says {@code OVER} (stir, read again); the second in
 * a row, one confirmed by hand, or a confirmed one above 33.8 °C says {@code LOST}, dated to the first. A single spike
 * between readings in the window is marked and changes nothing. {@code LOST} is terminal. The rule of two is common
 * practice, no source.
 */
public final class TemperWatch {

    /**
     * A true temperature of the bowl.
     *
     * @param confirmed read again by hand with a contact probe
     */
    public record Reading(Instant at, double celsius, boolean confirmed) {}

    /** What the bowl is in. */
    public enum Step {
        MELT,
        COOL,
        REWARM,
        WORK
    }

    /** What is said of it. */
    public enum Verdict {
        /** On the way; nothing to judge yet. */
        UNDERWAY,
        /** Inside the working window after the cool-down. */
        WORKING,
        /** Below the window: thickening. */
        THICK,
        /** One reading over the top: stir and read again. */
        OVER,
        /** Out of temper: start again. */
        LOST
    }

    /**
     * The bowl after all readings.
     *
     * @param distanceKelvin kelvin still to go to this step's end: negative to cool, positive to warm, 0 when there
     * @param lostAt first reading of the loss, if lost
     * @param spikes moments of single readings over the window that changed nothing
     * @param message what to do, in one sentence
     */
    public record State(
            Step step,
            Verdict verdict,
            double celsius,
            double distanceKelvin,
            Optional<Instant> lostAt,
            List<Instant> spikes,
            String message) {}

    private final TemperWindow window;
    private Step step = Step.MELT;
    private Verdict verdict = Verdict.UNDERWAY;
    private double celsius;
    private Instant firstOver;
    private Instant lostAt;
    private final List<Instant> spikes = new ArrayList<>();

    private TemperWatch(TemperWindow window) {
        this.window = window;
    }

    /** The state after these true temperatures, oldest first; there must be at least one. */
    public static State of(TemperWindow window, List<Reading> readings) {
        TemperWatch watch = new TemperWatch(window);
        readings.forEach(watch::take);
        return watch.state();
    }

    private void take(Reading reading) {
        celsius = reading.celsius();
        if (verdict == Verdict.LOST) {
            return;
        }
        advance();
        if (step != Step.REWARM && step != Step.WORK) {
            return;
        }
        if (celsius > window.work().greatest()) {
            over(reading);
        } else {
            if (firstOver != null) {
                spikes.add(firstOver);
                firstOver = null;
            }
            verdict = settled();
        }
    }

    private void advance() {
        if (step == Step.MELT && celsius >= window.meltOut().least()) {
            step = Step.COOL;
        } else if (step == Step.COOL && celsius <= window.coolTo().greatest()) {
            step = Step.REWARM;
        } else if (step == Step.REWARM && celsius >= window.work().least()) {
            step = Step.WORK;
        }
    }

    private Verdict settled() {
        if (step != Step.WORK) {
            return Verdict.UNDERWAY;
        }
        return celsius < window.work().least() ? Verdict.THICK : Verdict.WORKING;
    }

    private void over(Reading reading) {
        boolean second = firstOver != null;
        firstOver = second ? firstOver : reading.at();
        if (second || reading.confirmed()) {
            verdict = Verdict.LOST;
            lostAt = firstOver;
        } else {
            verdict = Verdict.OVER;
        }
    }

    private State state() {
        return new State(
                step, verdict, celsius, distance(), Optional.ofNullable(lostAt), List.copyOf(spikes), message());
    }

    private double distance() {
        return switch (step) {
            case MELT -> Math.max(0, window.meltOut().least() - celsius);
            case COOL -> Math.min(0, window.coolTo().greatest() - celsius);
            case REWARM, WORK ->
                celsius < window.work().least()
                        ? window.work().least() - celsius
                        : Math.min(0, window.work().greatest() - celsius);
        };
    }

    private String message() {
        String top = Numbers.plain(window.work().greatest());
        return switch (verdict) {
            case LOST ->
                celsius > TemperWindow.FORM_V_MELTS_CELSIUS
                        ? "Out of temper, and above 33.8 °C no good crystals are left. Melt out and start again."
                        : "Out of temper: confirmed over " + top + " °C. Melt out and start again.";
            case OVER -> "Over " + top + " °C. Stir, read again.";
            case THICK ->
                "Below the window and thickening. Warm gently to "
                        + window.work().inWords() + ".";
            case WORKING -> "In temper. Dip a strip of paper as proof, then line.";
            case UNDERWAY ->
                switch (step) {
                    case MELT -> "Melt to " + window.meltOut().inWords() + ".";
                    case COOL -> "Cool to " + window.coolTo().inWords() + ", stirring.";
                    default -> "Warm gently to " + window.work().inWords() + ".";
                };
        };
    }
}

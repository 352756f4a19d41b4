package org.zeststack.core.temper;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;

/**
 * Judges the readings of one bowl by its method's own course.
 *
 * <p>A spike departs from both neighbours by more than 3 K in the same direction, the neighbours within 1 K of each other, all three
 * within 60 s; a confirmed reading, the first and the last are never one. It melts until it reads melt-out (a partial melt: until it
 * reads the working window). It cools: with seed until it is down in the working window; on the slab or over a bath until it is down in
 * the cool window, and from there it is warmed up to the working window. Above the top the first reading says over, the second in a row
 * or a confirmed one says lost, from the first of them on. Lost stays lost until three readings in a row are melted out again. Limits
 * count as inside. Common practice, no source; the numbers of spikes are our own choice.
 */
public final class TemperVerdict {

    private static final double SPIKE_KELVIN = 3;
    private static final double NEIGHBOURS_KELVIN = 1;
    private static final double SPIKE_SECONDS = 60;
    private static final int MELTED_OUT_AGAIN = 3;

    /** Readings of the last so many seconds are one level. */
    public static final double TOGETHER_SECONDS = 40;

    /**
     * A true temperature of the bowl.
     *
     * @param confirmed read again by hand with a contact probe
     */
    public record Reading(double seconds, double celsius, boolean confirmed) {}

    /**
     * Somebody who stands at the bowl says which step it is in, against what its readings say.
     *
     * @param seconds from when on
     */
    public record Overrule(double seconds, Step step) {}

    /** What the bowl is in. */
    public enum Step {
        MELT,
        COOL,
        REWARM,
        WORK
    }

    /** What is said of it. */
    public enum Verdict {
        MELTING,
        COOLING,
        TOO_COLD,
        WARMING,
        WORKING,
        OVER,
        LOST
    }

    /**
     * The bowl after all readings.
     *
     * @param celsius last reading that counts
     * @param distanceKelvin to where this step ends: negative to cool, positive to warm, 0 where it is there
     * @param since seconds of the first reading of the loss; empty unless lost
     * @param spikes seconds of readings that count for nothing
     * @param reason what was read against which limit
     * @param next what to do
     */
    public record State(
            Step step,
            Verdict verdict,
            double celsius,
            double distanceKelvin,
            OptionalDouble since,
            List<Double> spikes,
            String reason,
            String next) {}

    private final TemperWindow window;
    private final Method method;
    private final Scatter scatter;
    /** Readings since it is worked, with what is read together with them. */
    private final List<Reading> worked = new ArrayList<>();

    private Step step = Step.MELT;
    private Verdict verdict = Verdict.MELTING;
    private double celsius = Double.NaN;
    private double firstOver = Double.NaN;
    private int meltedOut;

    private TemperVerdict(TemperWindow window, Method method, Scatter scatter) {
        this.window = window;
        this.method = method;
        this.scatter = scatter;
    }

    /**
     * What a stream of readings leaves open.
     *
     * @param uncertainKelvin of the thermometer: by so much the top is raised
     * @param noiseKelvin standard deviation of a reading
     */
    record Scatter(double uncertainKelvin, double noiseKelvin) {

        /** Readings as they are. */
        static final Scatter NONE = new Scatter(0, 0);

        /** Standard errors that the level of a stream must have to spare: between false and missed alarms (our own choice). */
        private static final double SIGMAS = 2.4;

        private double raise(int readings) {
            double noise = readings == 1 ? 0 : SIGMAS * noiseKelvin / Math.sqrt(readings);
            return Math.max(uncertainKelvin, noise);
        }
    }

    /**
     * Judges true temperatures in any order; of two of the same second the later one counts. There must be one.
     *
     * @throws IllegalArgumentException without a reading
     */
    public static State of(TemperWindow window, Method method, List<Reading> readings) {
        return of(window, method, readings, List.of(), Scatter.NONE);
    }

    /**
     * The same with a top that is raised by what the stream leaves open, and lost only where the level of the last 40 s is over it too; a
     * confirmed reading is taken as read. A step that is overruled begins anew from its second on.
     */
    static State of(
            TemperWindow window, Method method, List<Reading> readings, List<Overrule> overrules, Scatter scatter) {
        if (readings.isEmpty()) {
            throw new IllegalArgumentException("a bowl without readings");
        }
        TreeMap<Double, Reading> bySecond = new TreeMap<>();
        readings.forEach(r -> bySecond.put(r.seconds(), r));
        List<Reading> sorted = List.copyOf(bySecond.values());
        TemperVerdict judge = new TemperVerdict(window, method, scatter);
        List<Double> spikes = new ArrayList<>();
        Deque<Overrule> said = new ArrayDeque<>(overrules.stream()
                .sorted(Comparator.comparingDouble(Overrule::seconds))
                .toList());
        for (int i = 0; i < sorted.size(); i++) {
            while (!said.isEmpty() && said.peek().seconds() <= sorted.get(i).seconds()) {
                judge.begin(said.remove());
            }
            if (spike(sorted, i)) {
                spikes.add(sorted.get(i).seconds());
            } else {
                judge.take(sorted.get(i));
            }
        }
        // What was said after the last reading is seen in its light.
        while (!said.isEmpty()) {
            judge.begin(said.remove());
            judge.take(sorted.get(sorted.size() - 1));
        }
        return judge.state(spikes);
    }

    private void begin(Overrule said) {
        begin(
                said.step(),
                switch (said.step()) {
                    case MELT -> Verdict.MELTING;
                    case COOL -> Verdict.COOLING;
                    case REWARM -> Verdict.WARMING;
                    case WORK -> Verdict.WORKING;
                });
    }

    private static boolean spike(List<Reading> all, int i) {
        if (i == 0 || i == all.size() - 1 || all.get(i).confirmed()) {
            return false;
        }
        Reading before = all.get(i - 1);
        Reading after = all.get(i + 1);
        double up = all.get(i).celsius() - before.celsius();
        double down = all.get(i).celsius() - after.celsius();
        boolean far = up > SPIKE_KELVIN && down > SPIKE_KELVIN || up < -SPIKE_KELVIN && down < -SPIKE_KELVIN;
        return far
                && within(before.celsius() - after.celsius(), NEIGHBOURS_KELVIN)
                && after.seconds() - before.seconds() <= SPIKE_SECONDS;
    }

    /** Tenths of a degree are not exact in binary: a limit that is met by less than a billionth is met. */
    private static boolean within(double difference, double limit) {
        return Math.abs(difference) <= limit + 1e-9;
    }

    private void take(Reading reading) {
        celsius = reading.celsius();
        if (verdict == Verdict.LOST) {
            meltedOut = celsius >= window.meltOut().least() ? meltedOut + 1 : 0;
            if (meltedOut < MELTED_OUT_AGAIN) {
                return;
            }
            begin(Step.COOL, Verdict.COOLING);
            return;
        }
        switch (step) {
            case MELT -> melt(reading);
            case COOL -> cool(reading);
            case REWARM -> rewarm(reading);
            case WORK -> work(reading);
        }
    }

    private void begin(Step next, Verdict said) {
        step = next;
        verdict = said;
        firstOver = Double.NaN;
        meltedOut = 0;
        worked.clear();
    }

    private void melt(Reading reading) {
        if (method.meltsOut()) {
            if (celsius >= window.meltOut().least()) {
                begin(Step.COOL, Verdict.COOLING);
            }
        } else if (celsius >= window.work().least()) {
            begin(Step.WORK, Verdict.WORKING);
            work(reading);
        }
    }

    private void cool(Reading reading) {
        if (method.rewarms() && celsius <= window.coolTo().greatest()) {
            begin(Step.REWARM, Verdict.WARMING);
            rewarm(reading);
        } else if (!method.rewarms() && celsius <= window.work().greatest()) {
            begin(Step.WORK, Verdict.WORKING);
            work(reading);
        }
    }

    private void rewarm(Reading reading) {
        if (celsius >= window.work().least()) {
            begin(Step.WORK, Verdict.WORKING);
            work(reading);
        } else {
            verdict = celsius < window.coolTo().least() ? Verdict.TOO_COLD : Verdict.WARMING;
        }
    }

    private void work(Reading reading) {
        worked.add(reading);
        double top = window.work().greatest();
        List<Reading> together = together(reading);
        double raised = top + (reading.confirmed() ? 0 : scatter.raise(together.size()));
        double level = together.stream().mapToDouble(Reading::celsius).average().orElseThrow();
        boolean many = together.size() > 1;
        // One alone is over where it reads over the raised top; of many it is their level that must be over it.
        boolean over = celsius > (many ? top : raised);
        if (!over) {
            firstOver = Double.NaN;
            verdict = celsius < window.work().least() ? Verdict.TOO_COLD : Verdict.WORKING;
            return;
        }
        boolean second = !Double.isNaN(firstOver);
        firstOver = second ? firstOver : reading.seconds();
        boolean sure = reading.confirmed() || second && (!many || level > raised);
        boolean told = !many || celsius > top + scatter.uncertainKelvin();
        verdict = sure ? Verdict.LOST : told ? Verdict.OVER : Verdict.WORKING;
        meltedOut = verdict == Verdict.LOST && celsius >= window.meltOut().least() ? 1 : 0;
    }

    /** What is read as one with a reading: alone where readings are taken as they are, or it is confirmed. */
    private List<Reading> together(Reading reading) {
        if (reading.confirmed() || scatter.noiseKelvin() == 0) {
            return List.of(reading);
        }
        double from = reading.seconds() - TOGETHER_SECONDS;
        int first = worked.size() - 1;
        while (first > 0 && worked.get(first - 1).seconds() >= from) {
            first--;
        }
        return worked.subList(first, worked.size());
    }

    private State state(List<Double> spikes) {
        boolean lost = verdict == Verdict.LOST;
        return new State(
                step,
                verdict,
                celsius,
                distance(),
                lost ? OptionalDouble.of(firstOver) : OptionalDouble.empty(),
                List.copyOf(spikes),
                reason(),
                next());
    }

    private double distance() {
        double workLeast = window.work().least();
        return switch (step) {
            case MELT -> Math.max(0, (method.meltsOut() ? window.meltOut().least() : workLeast) - celsius);
            case COOL -> Math.min(0, (method.rewarms() ? window.coolTo() : window.work()).greatest() - celsius);
            case REWARM, WORK ->
                celsius < workLeast
                        ? workLeast - celsius
                        : Math.min(0, window.work().greatest() - celsius);
        };
    }

    private String reason() {
        String read = Say.celsius(Math.round(celsius * 10) / 10.0) + " true";
        return switch (verdict) {
            case MELTING ->
                method.meltsOut()
                        ? "%s: not yet %s, where no crystal is left."
                                .formatted(read, Say.celsius(window.meltOut().least()))
                        : "%s: below %s it still melts into its window."
                                .formatted(read, Say.celsius(window.work().least()));
            case COOLING ->
                method.rewarms()
                        ? "%s: not yet down at %s, where new crystals start."
                                .formatted(read, Say.celsius(window.coolTo().greatest()))
                        : "%s: not yet down at %s, where seed lasts."
                                .formatted(read, Say.celsius(window.work().greatest()));
            case WARMING ->
                "%s: cooled, and not yet up at %s."
                        .formatted(read, Say.celsius(window.work().least()));
            case TOO_COLD ->
                step == Step.REWARM
                        ? "%s: below %s it thickens with the wrong crystals too."
                                .formatted(read, Say.celsius(window.coolTo().least()))
                        : "%s: below %s it thickens."
                                .formatted(read, Say.celsius(window.work().least()));
            case WORKING -> "%s: inside %s.".formatted(read, window.work().inWords());
            case OVER ->
                "%s: over %s, read once."
                        .formatted(read, Say.celsius(window.work().greatest()));
            case LOST ->
                "Over %s from %s on, read %s."
                        .formatted(
                                Say.celsius(window.work().greatest()),
                                Say.of(firstOver, 0, Measure.SECONDS),
                                "again or confirmed");
        };
    }

    private String next() {
        return switch (verdict) {
            case MELTING ->
                method.meltsOut()
                        ? "Melt to %s.".formatted(window.meltOut().inWords())
                        : "Short bursts, stir between, never over %s, stop while some pieces are solid."
                                .formatted(Say.celsius(window.work().greatest()));
            case COOLING -> method.cooling(window);
            case WARMING -> "Warm gently to %s.".formatted(window.work().inWords());
            case TOO_COLD ->
                "Warm gently to %s, stirring.".formatted(window.work().inWords());
            case WORKING -> "Dip a proof before you work with it.";
            case OVER -> "Stir, read again.";
            case LOST ->
                celsius > TemperWindow.FORM_V_MELTS_CELSIUS
                        ? "Above " + Say.celsius(TemperWindow.FORM_V_MELTS_CELSIUS)
                                + " no good crystal is left. Melt out to %s and start again."
                                        .formatted(window.meltOut().inWords())
                        : "Melt out to %s and start again."
                                .formatted(window.meltOut().inWords());
        };
    }
}

package org.zeststack.app.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.PotProgram;
import org.zeststack.core.bench.Pots;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.Ending;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.PotPlan;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.sugar.CookProgress;
import org.zeststack.core.sugar.CookProgress.MinutesLeft;
import org.zeststack.core.sugar.Learned;
import org.zeststack.core.sugar.Meeting;
import org.zeststack.core.sugar.Meeting.Stand;
import org.zeststack.core.sugar.Meeting.Track;
import org.zeststack.core.sugar.Meeting.Who;

/**
 * A batch in its pots and bowl: its steps, and where there is a whisk, what must meet.
 *
 * @param whole the batch
 * @param program its steps
 * @param meeting of its pots and whisk; empty where there is no whisk, or all is over
 */
public record PotWork(FormulaBatch whole, PotProgram program, Optional<Axis> meeting) {

    /** Drawn of the axis on either side, px of its picture. */
    private static final double LEFT = 130;

    private static final double RIGHT = 620;

    /**
     * One row of the time axis, in px of its picture.
     *
     * @param step where it is worked
     * @param from where it begins
     * @param to where it ends most likely
     * @param least early end of that
     * @param greatest late end of that
     */
    public record Row(
            String name, BenchStep step, Stand stand, double from, double to, double least, double greatest) {}

    /** A whole minute on the axis. */
    public record Mark(int minute, double x) {}

    /**
     * Pots and whisk on one time axis.
     *
     * @param advice what to do, soonest first
     * @param meets where they meet on the axis
     * @param pours where the first pour is due; the same where there is only one pot
     * @param whisk the step of the whisk
     * @param begun whether it runs
     */
    public record Axis(
            Meeting meeting,
            List<String> advice,
            List<Row> rows,
            List<Mark> marks,
            double meets,
            double pours,
            BenchStep whisk,
            boolean begun) {}

    /** What is dried in its bowl once all is joined; null where nothing is. */
    public PotPlan.Bowl bowl() {
        return whole.cooking().plan().flatMap(PotPlan::bowl).orElse(null);
    }

    /**
     * How moist what is in hand is where it weighs so much; null where it cannot weigh that.
     *
     * @param dried the bowl that it is dried in; null where it is in its pot
     */
    public Double moisture(PotPlan.Bowl dried, double grams) {
        return (dried == null ? Pots.moisture(whole, grams) : Pots.moisture(dried, grams)).orElse(null);
    }

    /** Pots of a batch as they are read. */
    public interface Reads {
        Optional<FollowedPot> of(FormulaBatch pot);

        Learned learned(FormulaBatch pot);
    }

    public static PotWork of(RunSheet sheet, FormulaBatch whole, BenchState state, Reads pots, Instant now) {
        Optional<FollowedPot> first = pots.of(whole);
        OptionalDouble celsius = first.flatMap(FollowedPot::state)
                .map(s -> OptionalDouble.of(s.seaLevelCelsius()))
                .orElse(OptionalDouble.empty());
        double scale = Optional.of(first)
                .filter(Optional::isPresent)
                .or(() -> whole.second().map(pots::of))
                .flatMap(p -> p)
                .map(p -> p.series().timeScale())
                .orElse(1.0);
        PotProgram program = PotProgram.of(sheet, whole, state, celsius, now, scale);
        return new PotWork(whole, program, axis(sheet, whole, state, pots, now, scale));
    }

    private static Optional<Axis> axis(
            RunSheet sheet, FormulaBatch whole, BenchState state, Reads pots, Instant now, double scale) {
        List<BenchStep> steps = sheet.program(whole);
        Optional<BenchStep> whisk =
                steps.stream().filter(s -> s.how().does() == Act.WHISK).findFirst();
        Optional<BenchStep> cook = cook(steps, whole);
        if (whisk.isEmpty()
                || cook.isEmpty()
                || !sheet.gauge().measured()
                || state.done(cook.get().id())) {
            return Optional.empty();
        }
        Optional<Track> second = whole.second()
                .flatMap(pot -> cook(steps, pot).map(step -> track(Who.SECOND, pot, step, sheet, state, pots)));
        Track beaten = beaten(whisk.get(), state, now, scale);
        Meeting meeting = Meeting.of(track(Who.SYRUP, whole, cook.get(), sheet, state, pots), second, beaten);
        return Optional.of(draw(meeting, whole, steps, whisk.get(), state));
    }

    private static Optional<BenchStep> cook(List<BenchStep> steps, FormulaBatch pot) {
        return steps.stream()
                .filter(s -> s.kind() == StepKind.COOK && s.component().equals(pot.key()))
                .findFirst();
    }

    private static Track track(
            Who who, FormulaBatch pot, BenchStep step, RunSheet sheet, BenchState state, Reads pots) {
        Optional<FollowedPot> followed = pots.of(pot);
        boolean there = followed.filter(f -> f.off().isPresent()
                        || f.state().filter(CookProgress.State::past).isPresent())
                .isPresent();
        Stand stand = state.done(step.id())
                ? Stand.IN
                : followed.isEmpty() ? Stand.NOT_BEGUN : there ? Stand.READY : Stand.GOING;
        Learned learned = pots.learned(pot);
        MinutesLeft left = followed.flatMap(FollowedPot::minutes)
                .or(() -> Pots.cook(pot, sheet.gauge().pressureKpa(), learned.afterHeatKelvin())
                        .minutes(learned))
                .orElse(new MinutesLeft(0, 0, 0));
        return new Track(who, stand, left);
    }

    private static Track beaten(BenchStep whisk, BenchState state, Instant now, double scale) {
        MinutesLeft takes = whisk.how().endings().stream()
                .filter(e -> e.kind() == Ending.Kind.MINUTES)
                .findFirst()
                .map(e -> new MinutesLeft((e.least() + e.greatest()) / 2, e.least(), e.greatest()))
                .orElse(Meeting.WHISK_MINUTES);
        if (state.done(whisk.id())) {
            return new Track(Who.WHISK, Stand.READY, new MinutesLeft(0, 0, 0));
        }
        Optional<Instant> begun = state.begun(whisk.id());
        double gone = begun.map(at -> Duration.between(at, now).toMillis() / 60000.0 * scale)
                .orElse(0.0);
        MinutesLeft left = new MinutesLeft(
                Math.max(0, takes.minutes() - gone),
                Math.max(0, takes.least() - gone),
                Math.max(0, takes.greatest() - gone));
        return new Track(Who.WHISK, begun.isPresent() ? Stand.GOING : Stand.NOT_BEGUN, left);
    }

    private static Axis draw(
            Meeting meeting, FormulaBatch whole, List<BenchStep> steps, BenchStep whisk, BenchState state) {
        double longest = meeting.tracks().stream()
                .mapToDouble(t -> meeting.begins(t) + t.left().greatest())
                .max()
                .orElseThrow();
        double all = Math.max(5, Math.max(meeting.inMinutes(), longest) + 1);
        double perMinute = (RIGHT - LEFT) / all;
        List<Row> rows = new ArrayList<>();
        for (Track track : meeting.tracks()) {
            double begins = meeting.begins(track);
            boolean over = track.stand() == Stand.READY || track.stand() == Stand.IN;
            MinutesLeft left = over ? new MinutesLeft(0, 0, 0) : track.left();
            rows.add(new Row(
                    name(track.who(), whole),
                    step(track.who(), whole, steps, whisk),
                    track.stand(),
                    LEFT + begins * perMinute,
                    LEFT + (begins + left.minutes()) * perMinute,
                    LEFT + (begins + left.least()) * perMinute,
                    LEFT + (begins + left.greatest()) * perMinute));
        }
        int each = all > 40 ? 10 : all > 16 ? 5 : 2;
        List<Mark> marks = new ArrayList<>();
        for (int minute = 0; minute <= all; minute += each) {
            marks.add(new Mark(minute, LEFT + minute * perMinute));
        }
        double lead = meeting.tracks().stream().anyMatch(t -> t.who() == Who.SECOND && t.stand() != Stand.IN)
                ? Meeting.POUR_MINUTES
                : 0;
        return new Axis(
                meeting,
                meeting.advice().stream()
                        .sorted(Comparator.comparingDouble(Meeting.Advice::inMinutes))
                        .map(a -> a.words(name(a.who(), whole)))
                        .toList(),
                rows,
                marks,
                LEFT + meeting.inMinutes() * perMinute,
                LEFT + Math.max(0, meeting.inMinutes() - lead) * perMinute,
                whisk,
                state.begun(whisk.id()).isPresent());
    }

    private static String name(Who who, FormulaBatch whole) {
        return switch (who) {
            case SYRUP -> "Syrup";
            case SECOND ->
                whole.cooking()
                        .plan()
                        .flatMap(PotPlan::second)
                        .map(s -> String.join(", ", s.names()))
                        .orElse("");
            case WHISK -> "Whites";
        };
    }

    private static BenchStep step(Who who, FormulaBatch whole, List<BenchStep> steps, BenchStep whisk) {
        return switch (who) {
            case SYRUP -> cook(steps, whole).orElseThrow();
            case SECOND -> cook(steps, whole.second().orElseThrow()).orElseThrow();
            case WHISK -> whisk;
        };
    }

    /** What a step pours into the pot. */
    public PotPlan.Pour pourOf(BenchStep step) {
        return whole.pours().stream()
                .filter(p -> p.step().equals(step.id()))
                .findFirst()
                .orElseThrow();
    }
}

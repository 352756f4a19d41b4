package org.zeststack.app.bench;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.zeststack.core.bench.Moments;
import org.zeststack.core.bench.ReadingRules;
import org.zeststack.core.bench.ReadingRules.Seen;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.rule.Bounds;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.rule.OwnBounds;

/** The one door that readings come in by: of keypads, loggers, programs and simulated thermometers. */
@Component
public class ReadingDoor {

    /** How many are sent at once. */
    public static final int MOST = 1000;

    private static final int MOST_TOLD = 5;

    private final Bench bench;
    private final OwnBounds own;
    private final Clock clock;

    ReadingDoor(Bench bench, OwnBounds own, Clock clock) {
        this.bench = bench;
        this.own = own;
        this.clock = clock;
    }

    /**
     * A reading as it was given.
     *
     * @param at when; null for now
     */
    public record Given(UUID key, Instant at, double celsius, boolean confirmed) {}

    /** Something to tell or ask of one of the readings that were given. */
    public record Told(int number, Fault fault) {}

    /**
     * What came of readings; all of them or none.
     *
     * @param faults why none was taken
     * @param doubt what is asked before any is taken; empty for nothing
     * @param clockOff how far the clock behind them may be off, where all of them would do then; null else
     * @param came null where none was taken
     */
    public record Taken(List<Told> faults, Optional<Told> doubt, Duration clockOff, Bench.Came came) {

        private static Taken none(List<Told> faults, Told doubt, Duration clockOff) {
            return new Taken(faults, Optional.ofNullable(doubt), clockOff, null);
        }
    }

    /** What a thermometer may show. */
    public Range celsius() {
        return new ReadingRules(own.bounds()).celsius();
    }

    /**
     * Takes readings in, oldest first or in any order.
     *
     * @param sure whether somebody stands by what is asked about
     */
    public Taken take(Bench.Series series, List<Given> given, boolean sure) {
        Instant now = clock.instant();
        Bounds bounds = own.bounds();
        Moments moments = new Moments(bounds);
        Range celsius = new ReadingRules(bounds).celsius();
        List<Told> faults = each(
                given,
                one -> celsius.holds(one.celsius())
                        ? Optional.empty()
                        : Optional.of(Fault.outside("celsius", Numbers.plain(one.celsius()), celsius)));
        List<Told> untimely = each(
                given, one -> one.at() == null ? Optional.empty() : moments.refused(one.at(), now, series.startedAt()));
        if (!faults.isEmpty() || !untimely.isEmpty()) {
            Duration off = faults.isEmpty() ? clockOff(series, given, now, moments) : null;
            faults.addAll(untimely);
            return off == null ? Taken.none(faults, null, null) : Taken.none(List.of(), untimely.get(0), off);
        }
        Optional<Told> doubt = sure ? Optional.empty() : doubt(series, given, bounds, now);
        if (doubt.isPresent()) {
            return Taken.none(List.of(), doubt.get(), null);
        }
        List<Bench.Reading> readings = given.stream()
                .map(one ->
                        new Bench.Reading(one.key(), one.at(), (int) Math.round(one.celsius() * 1000), one.confirmed()))
                .toList();
        return new Taken(List.of(), Optional.empty(), null, bench.addReadings(series.id(), readings, now));
    }

    private static List<Told> each(List<Given> given, Function<Given, Optional<Fault>> judge) {
        List<Told> told = new ArrayList<>();
        for (int i = 0; i < given.size() && told.size() < MOST_TOLD; i++) {
            int number = i;
            judge.apply(given.get(i)).ifPresent(fault -> told.add(new Told(number, fault)));
        }
        return told;
    }

    /** How far a clock is off by which the newest of several readings is of now, if all of them would do then; null else. */
    private static Duration clockOff(Bench.Series series, List<Given> given, Instant now, Moments moments) {
        if (given.size() < 2 || given.stream().anyMatch(one -> one.at() == null)) {
            return null;
        }
        Instant newest =
                given.stream().map(Given::at).max(Comparator.naturalOrder()).orElseThrow();
        Duration off = Duration.between(now, newest);
        return moments.mayBeOff(off)
                        && given.stream()
                                .allMatch(one -> moments.refused(one.at().minus(off), now, series.startedAt())
                                        .isEmpty())
                ? off
                : null;
    }

    private Optional<Told> doubt(Bench.Series series, List<Given> given, Bounds bounds, Instant now) {
        ReadingRules rules = new ReadingRules(bounds);
        ReadingRules.Kind kind =
                series.kind() == Bench.SeriesKind.COOK ? ReadingRules.Kind.POT : ReadingRules.Kind.BOWL;
        List<Integer> inOrder = IntStream.range(0, given.size())
                .boxed()
                .sorted(Comparator.comparing(i -> moment(given.get(i), now)))
                .toList();
        List<Seen> before =
                new ArrayList<>(bench.lastReadings(series.id(), moment(given.get(inOrder.get(0)), now), 2).stream()
                        .map(r -> seen(series, r.at(), r.celsius()))
                        .toList());
        for (int number : inOrder) {
            Given one = given.get(number);
            Seen seen = seen(series, moment(one, now), one.celsius());
            Optional<Fault> doubt = rules.doubt(kind, before, seen);
            if (doubt.isPresent()) {
                return doubt.map(fault -> new Told(number, fault));
            }
            before.add(0, seen);
        }
        return Optional.empty();
    }

    private static Instant moment(Given one, Instant now) {
        return one.at() == null ? now : one.at();
    }

    private static Seen seen(Bench.Series series, Instant at, double celsius) {
        return new Seen(series.ownSeconds(at) / 60, celsius);
    }
}

package org.zeststack.app.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.bench.Pots;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.sugar.CookLesson;
import org.zeststack.core.sugar.CookProgress;
import org.zeststack.core.sugar.Learned;
import org.zeststack.core.sugar.StagedCook;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.bench.Bench;

/**
 * One cook that is followed: takes what came in since it was last looked at. Only where a reading came late, or a hand said at another
 * time that the ring was turned, is all read again.
 */
public final class FollowedPot {

    /**
     * A reading of the curve.
     *
     * @param minute of the pot's own time
     * @param celsius what the thermometer showed
     * @param wild whether it is left out of the fit
     */
    record Seen(double minute, double celsius, boolean wild) {}

    private final Bench.Series series;
    private final RunSheet sheet;
    private final Learned learned;
    private final FormulaBatch batch;
    private final Cook cook;
    private final Thermometer thermometer;
    private final List<Seen> curve = new ArrayList<>();
    private StagedCook progress;
    /** What hands did to it but taking it off, oldest first. */
    private List<Bench.PotSaid> deeds = List.of();

    private Instant off;
    private int deedsTaken;
    private int edition;
    private long upTo;
    private Instant last = Instant.MIN;

    /**
     * A pot that nothing was read of yet.
     *
     * @param learned from earlier cooks of what is in it
     */
    public FollowedPot(Bench.Series series, RunSheet sheet, FormulaBatch batch, Learned learned) {
        this.series = series;
        this.sheet = sheet;
        this.learned = learned;
        this.batch = batch;
        cook = Pots.planned(batch, sheet.gauge().pressureKpa());
        thermometer = sheet.gauge().thermometer();
        begin();
    }

    private void begin() {
        progress = Pots.cook(batch, sheet.gauge().pressureKpa(), learned.afterHeatKelvin());
        curve.clear();
        deedsTaken = 0;
    }

    Bench.Series series() {
        return series;
    }

    /** The sheet of its run, which never changes once the run is on the bench. */
    RunSheet sheet() {
        return sheet;
    }

    /** The greatest sequence number of what was read. */
    public synchronized long upTo() {
        return upTo;
    }

    /** As planned, with everything in it. */
    Cook cook() {
        return cook;
    }

    /** The same as far as it is: without what is not poured in yet; as planned where the models know no water of that. */
    synchronized Cook cookNow() {
        return progress.cook().orElse(cook);
    }

    /** How many pours are in. */
    synchronized int poured() {
        return progress.poured();
    }

    /** When the last pour went in, in the pot's own time; 0 before the first. */
    synchronized double pouredMinute() {
        return progress.pouredMinute();
    }

    /** Minutes to the next pour or the stop: by the readings, else by the heat that it has to take up. */
    synchronized Optional<CookProgress.MinutesLeft> minutes() {
        return progress.minutes(learned);
    }

    /**
     * Brings it up to date.
     *
     * @param fresh what came in after {@code since}
     * @param since where it was read up to when that was asked for
     * @param said what hands said of it, oldest first
     */
    public synchronized void follow(Bench bench, Bench.Fresh fresh, long since, List<Bench.PotSaid> said) {
        if (since != upTo) {
            return;
        }
        List<Bench.PotSaid> done = said.stream()
                .filter(s -> !s.off() && !s.at().isBefore(series.startedAt()))
                .sorted(Comparator.comparing(Bench.PotSaid::at))
                .toList();
        Bench.Fresh next = fresh;
        if (upTo > 0 && !goesOn(fresh, done)) {
            begin();
            edition++;
            next = bench.readingsAfter(series.id(), 0);
        }
        deeds = done;
        upTo = next.upTo();
        next.readings().forEach(this::take);
        doneBy(Instant.MAX);
        off = said.stream()
                .filter(s -> s.off() && !s.at().isBefore(series.startedAt()))
                .map(Bench.PotSaid::at)
                .reduce((earlier, later) -> later)
                .orElse(null);
    }

    /**
     * A pot that was taken off.
     *
     * @param reading what the thermometer showed last before; null where it was not read before
     * @param highest what it showed at most since; null where it was not read since
     */
    record Off(Instant at, Double reading, Double highest) {}

    /** Since when it is off the ring; empty while it is on it. */
    synchronized Optional<Off> off() {
        if (off == null) {
            return Optional.empty();
        }
        double minute = series.ownSeconds(off) / 60;
        Double before = null;
        Double highest = null;
        for (Seen seen : curve) {
            if (seen.minute() <= minute) {
                before = seen.wild() ? before : Double.valueOf(seen.celsius());
            } else if (!seen.wild()) {
                highest = highest == null ? seen.celsius() : Math.max(highest, seen.celsius());
            }
        }
        return Optional.of(new Off(off, before, highest));
    }

    /** True temperature at a moment by the last reading until then that is not wild; empty before the first one. */
    public synchronized OptionalDouble trueCelsius(Instant at) {
        double minute = series.ownSeconds(at) / 60;
        return curve.stream()
                .filter(s -> s.minute() <= minute && !s.wild())
                .mapToDouble(s -> thermometer.trueCelsius(s.celsius()))
                .reduce((earlier, later) -> later);
    }

    public Learned learned() {
        return learned;
    }

    /** What it teaches now that it is over; empty where it never boiled. */
    synchronized Optional<CookLesson> lesson() {
        if (progress.next().isPresent() || progress.cook().isEmpty()) {
            return Optional.empty();
        }
        return CookLesson.of(
                progress.cook().get(),
                curve.stream()
                        .filter(s -> s.minute() >= progress.pouredMinute())
                        .map(s -> new CookProgress.Point(s.minute(), thermometer.trueCelsius(s.celsius())))
                        .toList(),
                off == null ? OptionalDouble.empty() : OptionalDouble.of(series.ownSeconds(off) / 60));
    }

    /** Whether what is new comes after all that was read. */
    private boolean goesOn(Bench.Fresh fresh, List<Bench.PotSaid> done) {
        boolean more =
                done.size() >= deeds.size() && done.subList(0, deeds.size()).equals(deeds);
        return more
                && done.stream().skip(deeds.size()).noneMatch(s -> s.at().isBefore(last))
                && fresh.readings().stream().noneMatch(r -> r.at().isBefore(last));
    }

    private void take(Bench.Reading reading) {
        doneBy(reading.at());
        last = reading.at().isAfter(last) ? reading.at() : last;
        double minute = series.ownSeconds(reading.at()) / 60;
        CookProgress.Point point = new CookProgress.Point(minute, thermometer.trueCelsius(reading.celsius()));
        boolean wild = progress.add(point, reading.celsius()) == CookProgress.Taken.WILD;
        curve.add(new Seen(minute, reading.celsius(), wild));
    }

    /** Tells the fit of what hands did up to a moment. */
    private void doneBy(Instant at) {
        while (deedsTaken < deeds.size() && !deeds.get(deedsTaken).at().isAfter(at)) {
            Bench.PotSaid deed = deeds.get(deedsTaken++);
            double minute = series.ownSeconds(deed.at()) / 60;
            if (deed.what() == Bench.Said.POURED) {
                progress.poured(minute);
            } else {
                progress.turned(minute);
            }
        }
    }

    /** The way to the stop, as the thermometer would show it; empty once it is off. */
    synchronized List<Seen> ahead() {
        List<CookProgress.Point> way = off == null ? progress.ahead(learned) : List.of();
        return way.stream()
                .map(p -> new Seen(p.minute(), thermometer.readingAt(p.celsius()), false))
                .toList();
    }

    public synchronized int readings() {
        return curve.size();
    }

    /** What the thermometer showed last. */
    synchronized Optional<Double> lastReading() {
        return curve.isEmpty()
                ? Optional.empty()
                : Optional.of(curve.get(curve.size() - 1).celsius());
    }

    /** The last reading that is not wild, of the mass that is in it now; empty where there is none. */
    synchronized Optional<Seen> lastSure() {
        return curve.stream()
                .filter(s -> !s.wild() && s.minute() >= progress.pouredMinute())
                .reduce((earlier, later) -> later);
    }

    public synchronized Optional<CookProgress.State> state() {
        return progress.state();
    }

    /**
     * What a page has not drawn yet.
     *
     * @param edition changes when all was read again
     * @param from number of the first point of these
     */
    public record Piece(int edition, int from, List<Seen> points) {}

    /** The curve from a point on; all of it where another edition is known. */
    public synchronized Piece curve(int knownEdition, int from) {
        int start = knownEdition == edition ? Math.max(0, Math.min(from, curve.size())) : 0;
        return new Piece(edition, start, List.copyOf(curve.subList(start, curve.size())));
    }
}

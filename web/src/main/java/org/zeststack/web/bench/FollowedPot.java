package org.zeststack.web.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.zeststack.core.run.RunSheet;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.sugar.CookProgress;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.bench.Bench;

/**
 * One cook that is followed: takes what came in since it was last looked at. Only where a reading came late, or a hand said at another
 * time that the ring was turned, is all read again.
 */
final class FollowedPot {

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
    private final Cook cook;
    private final Thermometer thermometer;
    private final List<Seen> curve = new ArrayList<>();
    private CookProgress progress;
    private List<Instant> turned = List.of();
    private int turnsTaken;
    private int edition;
    private long upTo;
    private Instant last = Instant.MIN;

    FollowedPot(Bench.Series series, RunSheet sheet, RunSheet.FormulaBatch batch) {
        this.series = series;
        this.sheet = sheet;
        cook = Cook.to(batch.pot(), batch.stopCelsius(), sheet.pressureKpa());
        thermometer = sheet.thermometer();
        progress = new CookProgress(cook);
    }

    Bench.Series series() {
        return series;
    }

    /** The sheet of its run, which never changes once the run is on the bench. */
    RunSheet sheet() {
        return sheet;
    }

    /** The greatest sequence number of what was read. */
    synchronized long upTo() {
        return upTo;
    }

    Cook cook() {
        return cook;
    }

    /**
     * Brings it up to date.
     *
     * @param fresh what came in after {@code since}
     * @param since where it was read up to when that was asked for
     */
    synchronized void follow(Bench bench, Bench.Fresh fresh, long since, List<Instant> ringTurned) {
        if (since != upTo) {
            return;
        }
        Bench.Fresh next = fresh;
        if (upTo > 0 && !goesOn(fresh, ringTurned)) {
            progress = new CookProgress(cook);
            curve.clear();
            turnsTaken = 0;
            edition++;
            next = bench.readingsAfter(series.id(), 0);
        }
        turned = ringTurned;
        upTo = next.upTo();
        next.readings().forEach(this::take);
        turnedBy(Instant.MAX);
    }

    /** Whether what is new comes after all that was read. */
    private boolean goesOn(Bench.Fresh fresh, List<Instant> ringTurned) {
        boolean more = ringTurned.size() >= turned.size()
                && ringTurned.subList(0, turned.size()).equals(turned);
        return more
                && ringTurned.stream().skip(turned.size()).noneMatch(at -> at.isBefore(last))
                && fresh.readings().stream().noneMatch(r -> r.at().isBefore(last));
    }

    private void take(Bench.Reading reading) {
        turnedBy(reading.at());
        last = reading.at().isAfter(last) ? reading.at() : last;
        double minute = series.ownSeconds(reading.at()) / 60;
        CookProgress.Point point = new CookProgress.Point(minute, thermometer.trueCelsius(reading.celsius()));
        boolean wild = progress.add(point, reading.celsius()) == CookProgress.Taken.WILD;
        curve.add(new Seen(minute, reading.celsius(), wild));
    }

    /** Tells the fit of turns up to a moment. */
    private void turnedBy(Instant at) {
        while (turnsTaken < turned.size() && !turned.get(turnsTaken).isAfter(at)) {
            progress.turned(series.ownSeconds(turned.get(turnsTaken)) / 60);
            turnsTaken++;
        }
    }

    /** The way to the stop, as the thermometer would show it. */
    synchronized List<Seen> ahead() {
        return progress.ahead().stream()
                .map(p -> new Seen(p.minute(), thermometer.readingAt(p.celsius()), false))
                .toList();
    }

    synchronized int readings() {
        return curve.size();
    }

    /** What the thermometer showed last. */
    synchronized Optional<Double> lastReading() {
        return curve.isEmpty()
                ? Optional.empty()
                : Optional.of(curve.get(curve.size() - 1).celsius());
    }

    synchronized Optional<CookProgress.State> state() {
        return curve.isEmpty() ? Optional.empty() : Optional.of(progress.state());
    }

    /**
     * What a page has not drawn yet.
     *
     * @param edition changes when all was read again
     * @param from number of the first point of these
     */
    record Piece(int edition, int from, List<Seen> points) {}

    /** The curve from a point on; all of it where another edition is known. */
    synchronized Piece curve(int knownEdition, int from) {
        int start = knownEdition == edition ? Math.max(0, Math.min(from, curve.size())) : 0;
        return new Piece(edition, start, List.copyOf(curve.subList(start, curve.size())));
    }
}

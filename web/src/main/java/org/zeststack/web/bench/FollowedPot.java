package org.zeststack.web.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

    private final Cook cook;
    private final Thermometer thermometer;
    private final List<Seen> curve = new ArrayList<>();
    private CookProgress progress;
    private List<Instant> turned = List.of();
    private int turnsTaken;
    private int edition;
    private long upTo;
    private Instant last = Instant.MIN;

    FollowedPot(Cook cook, Thermometer thermometer) {
        this.cook = cook;
        this.thermometer = thermometer;
        progress = new CookProgress(cook);
    }

    Cook cook() {
        return cook;
    }

    /** Brings it up to date. */
    synchronized void follow(Bench bench, Bench.Series series, List<Instant> ringTurned) {
        Bench.Fresh fresh = bench.readingsAfter(series.id(), upTo);
        boolean late = fresh.readings().stream().anyMatch(r -> r.at().isBefore(last));
        boolean more = ringTurned.size() >= turned.size()
                && ringTurned.subList(0, turned.size()).equals(turned);
        boolean before = ringTurned.stream().skip(turned.size()).anyMatch(at -> at.isBefore(last));
        if (upTo > 0 && (late || !more || before)) {
            progress = new CookProgress(cook);
            curve.clear();
            turnsTaken = 0;
            edition++;
            fresh = bench.readingsAfter(series.id(), 0);
        }
        turned = ringTurned;
        upTo = fresh.upTo();
        fresh.readings().forEach(reading -> take(series, reading));
        turnedBy(series, Instant.MAX);
    }

    private void take(Bench.Series series, Bench.Reading reading) {
        turnedBy(series, reading.at());
        last = reading.at().isAfter(last) ? reading.at() : last;
        double minute = series.ownSeconds(reading.at()) / 60;
        CookProgress.Point point = new CookProgress.Point(minute, thermometer.trueCelsius(reading.celsius()));
        boolean wild = progress.add(point, reading.celsius()) == CookProgress.Taken.WILD;
        curve.add(new Seen(minute, reading.celsius(), wild));
    }

    /** Tells the fit of turns up to a moment. */
    private void turnedBy(Bench.Series series, Instant at) {
        while (turnsTaken < turned.size() && !turned.get(turnsTaken).isAfter(at)) {
            progress.turned(series.ownSeconds(turned.get(turnsTaken)) / 60);
            turnsTaken++;
        }
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

package org.zeststack.app.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.bench.Bench;

/** What was read of one bowl, taken in as it comes: the work for a reading does not grow with those before it. */
final class FollowedBowl {

    private final Bench.Series series;
    private final Thermometer thermometer;
    private final List<FollowedPot.Seen> curve = new ArrayList<>();
    private final List<TemperVerdict.Reading> readings = new ArrayList<>();
    private int edition;
    private long upTo;
    private Instant last = Instant.MIN;

    FollowedBowl(Bench.Series series, Thermometer thermometer) {
        this.series = series;
        this.thermometer = thermometer;
    }

    /** Takes in what is new; all of it again where that lies between what was there. */
    synchronized void follow(Bench bench) {
        Bench.Fresh fresh = bench.readingsAfter(series.id(), upTo);
        if (fresh.readings().stream().anyMatch(r -> r.at().isBefore(last))) {
            curve.clear();
            readings.clear();
            edition++;
            fresh = bench.readingsAfter(series.id(), 0);
        }
        upTo = fresh.upTo();
        fresh.readings().forEach(this::take);
    }

    private void take(Bench.Reading reading) {
        double seconds = series.ownSeconds(reading.at());
        last = reading.at();
        curve.add(new FollowedPot.Seen(seconds / 60, reading.celsius(), false));
        readings.add(
                new TemperVerdict.Reading(seconds, thermometer.trueCelsius(reading.celsius()), reading.confirmed()));
    }

    /** True temperatures, oldest first. */
    synchronized List<TemperVerdict.Reading> readings() {
        return List.copyOf(readings);
    }

    /** What the thermometer showed last. */
    synchronized Optional<Double> lastReading() {
        return curve.isEmpty()
                ? Optional.empty()
                : Optional.of(curve.get(curve.size() - 1).celsius());
    }

    /** The curve from a point on; all of it where another edition is known. */
    synchronized FollowedPot.Piece curve(int knownEdition, int from) {
        int start = knownEdition == edition ? Math.max(0, Math.min(from, curve.size())) : 0;
        return new FollowedPot.Piece(edition, start, List.copyOf(curve.subList(start, curve.size())));
    }
}

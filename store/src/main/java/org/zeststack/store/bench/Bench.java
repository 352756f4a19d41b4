package org.zeststack.store.bench;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.EntryBody;

/** Writes down what happens at the bench. Nothing is ever changed or deleted. */
public interface Bench {

    /** What came of an append. */
    enum Outcome {
        /** Written now. */
        ACCEPTED,
        /** Written now, after the run was closed. */
        LATE,
        /** The same key with the same body was there already: counts once. */
        KNOWN,
        /** The same key was there with another body, component or time: refused. */
        CONFLICT,
        /** The run is not on the bench, or it corrects an entry that is not there. */
        REFUSED
    }

    /**
     * An entry as a device sends it.
     *
     * @param component key of the component it belongs to; empty where none
     * @param at when it happened; null where the device does not know, then it is now
     * @param corrects key of the entry taken back; null for none
     */
    record NewEntry(UUID key, EntryBody body, String component, String device, Instant at, UUID corrects) {}

    Outcome append(long run, NewEntry entry, String by, Instant now);

    List<BenchEntry> entries(long run);

    /** Entries of a run that came in after so many events of it, oldest first. */
    List<BenchEntry> entriesAfter(long run, long sequence);

    /** Entries of many runs, oldest first, in one query. */
    Map<Long, List<BenchEntry>> entriesOf(List<Long> runs);

    /** What a series measures. */
    enum SeriesKind {
        COOK,
        TEMPER
    }

    /**
     * One cook or one temper.
     *
     * @param simulation which simulated device feeds it; empty for a real one
     * @param timeScale seconds of the pot's own time per second; 1 for a real one
     */
    record Series(
            long id,
            long run,
            String component,
            UUID key,
            SeriesKind kind,
            Instant startedAt,
            Instant endedAt,
            String simulation,
            double timeScale) {

        boolean isThe(String other, SeriesKind otherKind, String otherSimulation, double otherScale) {
            return component.equals(other)
                    && kind == otherKind
                    && simulation.equals(otherSimulation)
                    && timeScale == otherScale;
        }

        /** Seconds of the pot's own time at a moment. */
        public double ownSeconds(Instant at) {
            return (at.toEpochMilli() - startedAt.toEpochMilli()) / 1000.0 * timeScale;
        }
    }

    /**
     * One reading as the thermometer showed it.
     *
     * @param confirmed read again by hand
     */
    record Reading(UUID key, Instant at, int milliDegrees, boolean confirmed) {

        /** The database keeps a millionth of a second. */
        private static final long KEPT_NANOS = 1000;

        /** Whether this is what is there; of its time only where it says one, as finely as it is kept. */
        boolean isThe(Reading there) {
            return milliDegrees == there.milliDegrees
                    && confirmed == there.confirmed
                    && (at == null
                            || there.at == null
                            || Math.abs(ChronoUnit.NANOS.between(at, there.at)) < KEPT_NANOS);
        }

        public double celsius() {
            return milliDegrees / 1000.0;
        }
    }

    /**
     * Starts a series, or finds the one with this key, and ends the component's one before it. Empty if the run or component
     * is not on the bench.
     *
     * @throws KeyTaken if another series has this key
     */
    Optional<Series> startSeries(
            long run, String component, UUID key, SeriesKind kind, String simulation, double timeScale, Instant now);

    /** Ends a series; later readings are refused. */
    void endSeries(long series, Instant now);

    Optional<Series> series(long id);

    List<Series> seriesOf(long run);

    /** Every running series with a simulated device. */
    List<Series> simulatedRunning();

    /**
     * What came of readings.
     *
     * @param accepted how many were new
     * @param known how many were there already
     * @param refused how many were read after the end of their series, or are of none
     */
    record Came(int accepted, int known, int refused) {}

    /**
     * Adds readings. After the end of a series only those are taken that were read before it.
     *
     * @param readings with a time, or null for now
     * @throws KeyTaken if one of the keys has another reading; then none is taken
     */
    Came addReadings(long series, List<Reading> readings, Instant now);

    /** The last readings of a series before or at a moment, newest first, at most {@code most}. */
    List<Reading> lastReadings(long series, Instant before, int most);

    /** All readings of a run's series by series, oldest first, in one query. */
    Map<Long, List<Reading>> readingsOf(long run);

    /**
     * Readings that came in by a sequence number on, oldest first.
     *
     * @param upTo the greatest sequence number of the series' readings; {@code after} where none came in
     */
    record Fresh(List<Reading> readings, long upTo) {}

    /** What came in to a series after a sequence number; the work does not grow with what was there before. */
    Fresh readingsAfter(long series, long after);

    /** The same of many series, by series, in one query. */
    Map<Long, Fresh> readingsAfter(Map<Long, Long> after);

    /** What hands said of a pot. */
    record PotSaid(String component, Instant at, Said what) {

        public boolean off() {
            return what == Said.OFF;
        }
    }

    /** What may be said of a pot. */
    enum Said {
        RING,
        OFF,
        POURED
    }

    /** What hands said of pots and did not take back, of many runs, oldest first, in one query. */
    Map<Long, List<PotSaid>> potsSaid(List<Long> runs);

    /**
     * The newest cooks of a formula that are over, of any of its versions, oldest first. Simulated ones are none.
     *
     * @param second of its second pot, else of its first
     * @param before begun before this series
     */
    List<Series> cooksOver(long formula, boolean second, long before, int most);

    /** Every cook that is running, oldest first. */
    List<Series> cooksRunning();

    /** Tells everyone that the run changed in another way, for example that it was closed. */
    void touch(long run);

    /** One thing that happened, for live pages. */
    record Event(long sequence, String kind) {}

    /** What happened after a sequence number, oldest first, at most {@code most}. */
    List<Event> eventsAfter(long run, long sequence, int most);
}

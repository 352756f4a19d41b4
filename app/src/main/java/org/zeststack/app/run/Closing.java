package org.zeststack.app.run;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.zeststack.app.Missing;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.bench.Devices;
import org.zeststack.store.run.Runs;

/** Closes a run: what is still read ends, its lots are used, nothing on the bench waits for it any more. */
@Component
public class Closing {

    /** A page at the bench that was not heard for so long is out of reach. */
    private static final Duration SILENT = Duration.ofSeconds(25);

    private final Runs runs;
    private final Bench bench;
    private final Devices devices;
    private final LotsOfRun lots;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Closing(Runs runs, Bench bench, Devices devices, LotsOfRun lots, TransactionTemplate transaction, Clock clock) {
        this.runs = runs;
        this.bench = bench;
        this.devices = devices;
        this.lots = lots;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Devices on which something of the run may wait to be sent. */
    public List<Devices.Device> unsent(long run) {
        return devices.withUnsent(run, clock.instant().minus(SILENT));
    }

    /**
     * Closes a run; one that is closed stays as it is.
     *
     * @throws Missing where there is none
     */
    public void close(long run, String by) {
        transaction.executeWithoutResult(tx -> {
            Instant now = clock.instant();
            if (runs.close(run, now)) {
                bench.seriesOf(run).stream()
                        .filter(s -> s.endedAt() == null)
                        .forEach(s -> bench.endSeries(s.id(), now));
                lots.use(runs.find(run).orElseThrow(() -> new Missing("This run")), by);
                bench.touch(run);
            }
        });
    }
}

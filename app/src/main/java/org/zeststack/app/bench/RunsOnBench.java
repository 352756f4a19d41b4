package org.zeststack.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** Runs that have begun as they stand. A sheet is read once, an entry when it has come in; what nobody changed is not read again. */
@Component
public class RunsOnBench {

    private static final int MOST = 64;

    /**
     * A run at one moment.
     *
     * @param run says by its sequence number which moment
     */
    public record Standing(Runs.Brief run, RunSheet sheet, List<BenchEntry> entries, BenchState state) {

        private boolean isOf(Runs.Brief brief) {
            return run.id() == brief.id() && run.startedAt().equals(brief.startedAt());
        }

        private long lastEntry() {
            return entries.isEmpty() ? 0 : entries.get(entries.size() - 1).sequence();
        }
    }

    private final Runs runs;
    private final Bench bench;
    private final Map<Long, Standing> known = new ConcurrentHashMap<>();

    RunsOnBench(Runs runs, Bench bench) {
        this.runs = runs;
        this.bench = bench;
    }

    /** Empty where there is no such run, or it has not begun. */
    public Optional<Standing> find(long id) {
        return runs.brief(id).filter(run -> run.status() != Run.Status.PLANNED).map(this::now);
    }

    private Standing now(Runs.Brief run) {
        Standing before = known.get(run.id());
        if (before != null && before.run().equals(run)) {
            return before;
        }
        Standing now = before != null && before.isOf(run) ? after(before, run) : fresh(run);
        if (known.size() >= MOST) {
            known.clear();
        }
        known.put(run.id(), now);
        return now;
    }

    private Standing after(Standing before, Runs.Brief run) {
        List<BenchEntry> more = bench.entriesAfter(run.id(), before.lastEntry());
        if (more.isEmpty()) {
            return new Standing(run, before.sheet(), before.entries(), before.state());
        }
        List<BenchEntry> all = new ArrayList<>(before.entries());
        all.addAll(more);
        return of(run, before.sheet(), all);
    }

    private Standing fresh(Runs.Brief run) {
        return of(run, runs.find(run.id()).orElseThrow().frozen(), bench.entries(run.id()));
    }

    private static Standing of(Runs.Brief run, RunSheet sheet, List<BenchEntry> entries) {
        return new Standing(run, sheet, List.copyOf(entries), BenchState.of(sheet, entries));
    }
}

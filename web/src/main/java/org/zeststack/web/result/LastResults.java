package org.zeststack.web.result;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.zeststack.core.run.BenchEntry;
import org.zeststack.core.run.BenchState;
import org.zeststack.core.run.EntryBody.Outcome;
import org.zeststack.core.run.RunSheet;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** How the newest runs went, for lists: read in two queries however many rows there are. */
@Component
public class LastResults {

    private static final int NEWEST = 40;

    /** What came of a formula in a run, and what was planned, g. */
    public record Batch(long run, double finishedGrams, double plannedGrams) {}

    /**
     * Results by what they are of.
     *
     * @param good share of the pieces planned that came out good, by run
     * @param batches the newest batch weighed, by the formula's id
     */
    public record Results(Map<Long, Double> good, Map<Long, Batch> batches) {}

    private final Runs runs;
    private final Bench bench;

    LastResults(Runs runs, Bench bench) {
        this.runs = runs;
        this.bench = bench;
    }

    public Results read() {
        List<Run> newest = runs.newest(NEWEST);
        Map<Long, List<BenchEntry>> entries =
                bench.entriesOf(newest.stream().map(Run::id).toList());
        Map<Long, Double> good = new HashMap<>();
        Map<Long, Batch> batches = new HashMap<>();
        for (Run run : newest) {
            RunSheet sheet = run.frozen();
            BenchState state = BenchState.of(sheet, entries.getOrDefault(run.id(), List.of()));
            if (run.status() == Run.Status.CLOSED && state.countedInAll() > 0) {
                int counting = state.counted(Outcome.GOOD) + state.counted(Outcome.REWORKED);
                good.put(run.id(), (double) counting / sheet.piecesToMake());
            }
            for (RunSheet.FormulaBatch batch : sheet.formulas()) {
                state.finishedGrams(batch.key())
                        .ifPresent(grams -> batches.putIfAbsent(
                                batch.formula(), new Batch(run.id(), grams, batch.finishedGrams())));
            }
        }
        return new Results(good, batches);
    }
}

package org.zeststack.app.result;

import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.ledger.PieceCount;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** How runs stand and went, for lists: worked out once for what happened in a run, and again when more has happened. */
@Component
public class RunResults {

    private static final int MOST_KEPT = 5_000;

    /** What came of a formula in a run, and what was planned, g. */
    public record Batch(long run, double finishedGrams, double plannedGrams) {}

    /**
     * How a run stands.
     *
     * @param newerForm the form of its sheet where a newer release wrote it, else 0; then there is nothing else
     * @param pieces null where a newer release wrote it
     * @param next what comes next on the bench
     * @param batches what was weighed of its formulas, by the formula
     */
    public record Result(int newerForm, PieceCount pieces, String next, List<String> notes, Map<Long, Batch> batches) {

        /** Good and reworked pieces over pieces planned; null where none was counted or nobody can tell. */
        public Double good() {
            return pieces == null || pieces.counted() == 0 ? null : Double.valueOf(pieces.yieldFraction());
        }
    }

    private final Runs runs;
    private final Bench bench;
    /** By all that a list knows of a run: after an entry that is another one. */
    private final Map<Runs.Brief, Result> known = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Runs.Brief, Result> eldest) {
            return size() > MOST_KEPT;
        }
    });

    RunResults(Runs runs, Bench bench) {
        this.runs = runs;
        this.bench = bench;
    }

    /** Results of the runs that have begun, by their ids; what is not known yet is read in two queries. */
    public Map<Long, Result> of(Collection<Runs.Brief> briefs) {
        Map<Long, Result> results = new HashMap<>();
        Map<Long, Runs.Brief> unknown = new HashMap<>();
        for (Runs.Brief brief : briefs) {
            if (brief.status() != Run.Status.PLANNED) {
                Result result = known.get(brief);
                if (result == null) {
                    unknown.put(brief.id(), brief);
                } else {
                    results.put(brief.id(), result);
                }
            }
        }
        List<Run> read = runs.find(unknown.keySet());
        Map<Long, List<BenchEntry>> entries =
                bench.entriesOf(read.stream().map(Run::id).toList());
        for (Run run : read) {
            Result result = of(run, entries.getOrDefault(run.id(), List.of()));
            known.put(unknown.get(run.id()), result);
            results.put(run.id(), result);
        }
        return results;
    }

    private static Result of(Run run, List<BenchEntry> entries) {
        if (!run.readable()) {
            return new Result(run.newerForm(), null, "Start the newer release that wrote it", List.of(), Map.of());
        }
        RunSheet sheet = run.frozen();
        BenchState state = BenchState.of(sheet, entries);
        Map<Long, Batch> batches = new HashMap<>();
        for (FormulaBatch batch : sheet.formulas()) {
            state.yields()
                    .finishedGrams(batch.key())
                    .ifPresent(grams ->
                            batches.putIfAbsent(batch.formula(), new Batch(run.id(), grams, batch.finishedGrams())));
        }
        return new Result(
                0,
                PieceCount.of(sheet, state),
                state.next().map(BenchStep::title).orElse("Close the run"),
                state.notes(),
                Map.copyOf(batches));
    }
}

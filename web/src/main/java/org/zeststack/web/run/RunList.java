package org.zeststack.web.run;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.zeststack.core.run.BenchEntry;
import org.zeststack.core.run.BenchState;
import org.zeststack.core.run.RunSheet;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.web.page.Part;
import org.zeststack.web.result.LastResults;

/** The list of runs: how each stands, what comes next in it or what came of it. */
@Component
class RunList {

    /** What the list is sorted by. */
    enum By {
        DAY("day", Comparator.comparing((Row r) -> r.run().plannedFor()).reversed()),
        BAR("bar", Comparator.comparing((Row r) -> r.run().barName().toLowerCase(Locale.ROOT))),
        STATE(
                "how it stands",
                Comparator.comparing((Row r) -> r.run().status() == Run.Status.CLOSED)
                        .thenComparing(r -> r.run().status() == Run.Status.PLANNED));

        private final String words;
        private final Comparator<Row> order;

        By(String words, Comparator<Row> order) {
            this.words = words;
            this.order = order;
        }

        public String words() {
            return words;
        }
    }

    /**
     * One run.
     *
     * @param next what comes next on the bench; empty where it is not there
     * @param good share of the pieces planned that came out good; null where it is not closed
     */
    record Row(Runs.Brief run, String next, Double good) {}

    private final Runs runs;
    private final Bench bench;
    private final LastResults results;

    RunList(Runs runs, Bench bench, LastResults results) {
        this.runs = runs;
        this.bench = bench;
        this.results = results;
    }

    /** Runs whose bar or state holds what was typed, sorted, one page of them. */
    Part<Row> of(List<Runs.Brief> all, String typed, By by, int page) {
        Map<Long, String> next = next();
        Map<Long, Double> good = results.read().good();
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        return Part.of(
                all.stream()
                        .map(r -> new Row(r, next.getOrDefault(r.id(), ""), good.get(r.id())))
                        .filter(r -> (r.run.barName() + " " + r.run.status().words())
                                .toLowerCase(Locale.ROOT)
                                .contains(wanted))
                        .sorted(by.order)
                        .toList(),
                page);
    }

    /** What comes next in every run under way. */
    private Map<Long, String> next() {
        List<Run> started = runs.list(List.of(Run.Status.STARTED));
        Map<Long, List<BenchEntry>> entries =
                bench.entriesOf(started.stream().map(Run::id).toList());
        Map<Long, String> next = new HashMap<>();
        for (Run run : started) {
            if (!run.readable()) {
                next.put(run.id(), "Start the newer release that wrote it");
                continue;
            }
            BenchState state = BenchState.of(run.frozen(), entries.getOrDefault(run.id(), List.of()));
            next.put(run.id(), state.next().map(RunSheet.BenchStep::title).orElse("Close the run"));
        }
        return next;
    }
}

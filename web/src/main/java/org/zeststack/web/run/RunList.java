package org.zeststack.web.run;

import java.util.Map;
import org.springframework.stereotype.Component;
import org.zeststack.app.result.RunResults;
import org.zeststack.store.Part;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** The list of runs: how each stands, what comes next in it or what came of it. */
@Component
class RunList {

    /**
     * One run.
     *
     * @param next what comes next on the bench; empty where it is not there
     * @param good share of the pieces planned that came out good; null where it is not closed
     */
    record Row(Runs.Brief run, String next, Double good) {}

    private final RunResults results;

    RunList(RunResults results) {
        this.results = results;
    }

    /** One page of them. */
    Part<Row> of(Part<Runs.Brief> listed) {
        Map<Long, RunResults.Result> how = results.of(listed.rows());
        return listed.map(run -> {
            RunResults.Result result = how.get(run.id());
            boolean on = run.status() == Run.Status.STARTED;
            boolean over = run.status() == Run.Status.CLOSED;
            return new Row(run, on ? result.next() : "", over ? result.good() : null);
        });
    }
}

package org.zeststack.web.ledger;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.app.bench.SeriesView;
import org.zeststack.app.bench.SeriesViews;
import org.zeststack.app.result.RunResults;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.ledger.BowlAccount;
import org.zeststack.core.ledger.RunAccount;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.Part;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.web.page.Page;

/** The ledger: every closed run with its account. */
@Page
class LedgerController {

    private final Runs runs;
    private final Bench bench;
    private final RunResults results;
    private final SeriesViews views;
    private final OwnBounds own;

    LedgerController(Runs runs, RunResults results, Bench bench, SeriesViews views, OwnBounds own) {
        this.runs = runs;
        this.results = results;
        this.bench = bench;
        this.views = views;
        this.own = own;
    }

    /** A closed run in the list. */
    record Line(Runs.Brief run, RunResults.Result result) {}

    @GetMapping("/ledger")
    String list(@RequestParam(defaultValue = "") String q, @RequestParam(defaultValue = "1") int page, Model model) {
        Part<Runs.Brief> closed = runs.page(List.of(Run.Status.CLOSED), q, Runs.By.DAY, page);
        Map<Long, RunResults.Result> how = results.of(closed.rows());
        model.addAttribute("q", q);
        model.addAttribute("part", closed.map(run -> new Line(run, how.get(run.id()))));
        return "ledger/list";
    }

    @GetMapping("/ledger/{id}")
    String account(@PathVariable long id, Model model) {
        Run run =
                runs.find(id).filter(r -> r.status() != Run.Status.PLANNED).orElseThrow(() -> new Missing("This run"));
        RunSheet sheet = run.frozen();
        BenchState state = BenchState.of(sheet, bench.entries(id));
        model.addAttribute("run", run);
        model.addAttribute("sheet", sheet);
        model.addAttribute("state", state);
        model.addAttribute("arms", runs.arms(id));
        model.addAttribute(
                "late", state.entries().stream().filter(BenchEntry::late).toList());
        model.addAttribute("account", RunAccount.of(sheet, state, own.bounds()));
        List<SeriesView> series = views.of(sheet, state, id);
        model.addAttribute("series", series);
        Map<String, Instant> lost = new HashMap<>();
        series.forEach(v -> v.lostAt().ifPresent(at -> lost.put(v.series().component(), at)));
        model.addAttribute("bowls", BowlAccount.of(sheet, state, lost));
        model.addAttribute("lessons", views.lessons(sheet, state, id));
        return "ledger/account";
    }
}

package org.zeststack.web.ledger;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.zeststack.core.ledger.BowlAccount;
import org.zeststack.core.ledger.RunAccount;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.run.BenchEntry;
import org.zeststack.core.run.BenchState;
import org.zeststack.core.run.RunSheet;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.web.bench.SeriesView;
import org.zeststack.web.bench.SeriesViews;
import org.zeststack.web.page.Page;
import org.zeststack.web.page.Trouble;

/** The ledger: every closed run with its account. */
@Page
class LedgerController {

    private final Runs runs;
    private final Bench bench;
    private final SeriesViews views;
    private final OwnBounds own;

    LedgerController(Runs runs, Bench bench, SeriesViews views, OwnBounds own) {
        this.runs = runs;
        this.bench = bench;
        this.views = views;
        this.own = own;
    }

    /** A closed run in the list; its account is null where a newer release wrote its sheet. */
    record Line(Run run, RunAccount account) {}

    @GetMapping("/ledger")
    String list(Model model) {
        List<Run> closed = runs.list(List.of(Run.Status.CLOSED));
        var entries = bench.entriesOf(closed.stream().map(Run::id).toList());
        Bounds bounds = own.bounds();
        List<Line> lines = closed.stream()
                .map(run -> {
                    if (!run.readable()) {
                        return new Line(run, null);
                    }
                    RunSheet sheet = run.frozen();
                    var state = BenchState.of(sheet, entries.getOrDefault(run.id(), List.of()));
                    return new Line(run, RunAccount.of(sheet, state, bounds));
                })
                .toList();
        model.addAttribute("lines", lines);
        return "ledger/list";
    }

    @GetMapping("/ledger/{id}")
    String account(@PathVariable long id, Model model) {
        Run run = runs.find(id)
                .filter(r -> r.status() != Run.Status.PLANNED)
                .orElseThrow(() -> Trouble.missing("This run"));
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

package org.zeststack.web.page;

import java.util.List;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.zeststack.app.drawing.SectionDrawing;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.design.Designs;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.workshop.WorkshopStore;

/** The first page: what is on the bench now and the next thing that hands must do. */
@Page
class TodayController {

    /** A run on the bench and its next step. */
    record Now(Run run, RunSheet sheet, BenchState state, SectionDrawing section) {}

    private static final int MOST_CLOSED = 5;

    private final Runs runs;
    private final Bench bench;
    private final WorkshopStore workshop;
    private final Designs<Bar> bars;
    private final Designs<Formula> formulas;

    TodayController(Runs runs, Bench bench, WorkshopStore workshop, Designs<Bar> bars, Designs<Formula> formulas) {
        this.runs = runs;
        this.bench = bench;
        this.workshop = workshop;
        this.bars = bars;
        this.formulas = formulas;
    }

    private Now now(Run run) {
        RunSheet sheet = run.frozen();
        BenchState state = BenchState.of(sheet, bench.entries(run.id()));
        return new Now(run, sheet, state, SectionDrawing.of(sheet.bar().section()));
    }

    @GetMapping("/")
    String today(Model model) {
        List<Run> started = runs.list(List.of(Run.Status.STARTED));
        model.addAttribute(
                "now", started.stream().filter(Run::readable).map(this::now).toList());
        model.addAttribute(
                "newer", started.stream().filter(run -> !run.readable()).toList());
        model.addAttribute("planned", runs.brief(List.of(Run.Status.PLANNED)));
        model.addAttribute("closed", runs.brief(List.of(Run.Status.CLOSED), MOST_CLOSED));
        model.addAttribute("first", !bars.any() || !formulas.any());
        model.addAttribute("workshop", workshop.place().orElseThrow());
        return "today";
    }
}

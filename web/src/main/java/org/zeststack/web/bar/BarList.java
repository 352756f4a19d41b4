package org.zeststack.web.bar;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.zeststack.app.bar.BarWorkings;
import org.zeststack.app.drawing.SectionDrawing;
import org.zeststack.app.result.RunResults;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.explain.Call;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.workshop.Mould;
import org.zeststack.store.Part;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.workshop.WorkshopStore;

/** The list of bars, each shown as it stands: everything it needs is read at once, and only the page's own are computed. */
@Component
class BarList {

    /** As wide as the style sheet lets a drawing be. */
    private static final double WIDEST_MM = 60;

    /** What the list may be sorted by. */
    static final List<Designs.By> ORDERS = List.of(Designs.By.NAME, Designs.By.CHANGED, Designs.By.RUN);

    /**
     * One bar.
     *
     * @param bar its draft; null where a newer release wrote it
     * @param stack null where its draft cannot be computed
     * @param lastRun the newest run of it; null where there is none
     * @param good share of the pieces that came out good in the newest run that is closed; null where there is none
     */
    record Row(
            Designs.Listed listed,
            Bar bar,
            Runs.Brief lastRun,
            Double good,
            BarStack stack,
            SectionDrawing section,
            Call worst) {

        /** Width of the drawing with its hairlines, mm. */
        public String wideMm() {
            return Numbers.fixed(section.widthMm() + 0.4, 1);
        }

        public String highMm() {
            return Numbers.fixed(section.depthMm() + 0.4, 1);
        }

        /** Whether the list has room for it in its own size. */
        public boolean trueSize() {
            return section.widthMm() + 0.4 <= WIDEST_MM;
        }
    }

    private final Designs<Bar> bars;
    private final WorkshopStore workshop;
    private final BarWorkings workings;
    private final Runs runs;
    private final RunResults results;

    BarList(Designs<Bar> bars, WorkshopStore workshop, BarWorkings workings, Runs runs, RunResults results) {
        this.bars = bars;
        this.workshop = workshop;
        this.workings = workings;
        this.runs = runs;
        this.results = results;
    }

    /** One page of them, computed. */
    Part<Row> of(Part<Designs.Listed> listed) {
        List<Long> ids = listed.rows().stream().map(Designs.Listed::id).toList();
        Map<Long, Saved<Bar>> drafts = bars.drafts(ids);
        Map<Long, Saved<Mould>> moulds =
                workshop.moulds().stream().collect(Collectors.toMap(Saved::id, Function.identity()));
        Map<Long, Runs.Brief> last = runs.newestOf(ids, List.of(Run.Status.values()));
        Map<Long, Runs.Brief> closed = runs.newestOf(ids, List.of(Run.Status.CLOSED));
        Map<Long, RunResults.Result> how = results.of(closed.values());
        return listed.map(of -> {
            Runs.Brief over = closed.get(of.id());
            Bar bar =
                    Optional.ofNullable(drafts.get(of.id())).map(Saved::content).orElse(null);
            BarWorkings.Picture picture = bar == null ? BarWorkings.Picture.NONE : workings.picture(bar, moulds);
            return new Row(
                    of,
                    bar,
                    last.get(of.id()),
                    over == null ? null : how.get(over.id()).good(),
                    picture.stack(),
                    picture.section(),
                    picture.worst());
        });
    }
}

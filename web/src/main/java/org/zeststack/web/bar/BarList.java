package org.zeststack.web.bar;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.explain.Call;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.workshop.Mould;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.drawing.SectionDrawing;
import org.zeststack.web.page.Part;
import org.zeststack.web.result.LastResults;

/** The list of bars, each shown as it stands: everything it needs is read at once, and only the page's own are computed. */
@Component
class BarList {

    /** As wide as the style sheet lets a drawing be. */
    private static final double WIDEST_MM = 60;

    /** What the list is sorted by. */
    enum By {
        NAME("name", Comparator.comparing((Row r) -> r.listed().name().toLowerCase(Locale.ROOT))),
        CHANGED(
                "last changed",
                Comparator.comparing((Row r) -> r.listed().stamp().at()).reversed()),
        RUN(
                "last run",
                Comparator.comparing(
                        (Row r) -> r.lastRun() == null ? null : r.lastRun().plannedFor(),
                        Comparator.nullsLast(Comparator.reverseOrder())));

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
     * One bar.
     *
     * @param stack null until it is shown, and where its draft cannot be computed
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

        private Row shown(Optional<BarStack> of) {
            return of.map(s -> new Row(
                            listed,
                            bar,
                            lastRun,
                            good,
                            s,
                            SectionDrawing.of(CrossSection.across(s)),
                            BarCalls.of(s).stream().findFirst().orElse(null)))
                    .orElse(this);
        }
    }

    private final Designs<Bar> bars;
    private final WorkshopStore workshop;
    private final BarWorkings workings;
    private final Runs runs;
    private final LastResults results;

    BarList(Designs<Bar> bars, WorkshopStore workshop, BarWorkings workings, Runs runs, LastResults results) {
        this.bars = bars;
        this.workshop = workshop;
        this.workings = workings;
        this.runs = runs;
        this.results = results;
    }

    /** Bars whose name or build holds what was typed, sorted, one page of them computed. */
    Part<Row> of(List<Designs.Listed> listed, String typed, By by, int page) {
        Map<Long, Bar> drafts = bars.drafts().stream().collect(Collectors.toMap(Saved::id, Saved::content));
        Map<Long, Saved<Mould>> moulds =
                workshop.moulds().stream().collect(Collectors.toMap(Saved::id, Function.identity()));
        Map<Long, Runs.Brief> last = new HashMap<>();
        Map<Long, Double> good = new HashMap<>();
        Map<Long, Double> ofRuns = results.read().good();
        runs.brief(List.of(Run.Status.values())).forEach(run -> {
            last.putIfAbsent(run.bar(), run);
            if (ofRuns.containsKey(run.id())) {
                good.putIfAbsent(run.bar(), ofRuns.get(run.id()));
            }
        });
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        List<Row> found = listed.stream()
                .map(l -> new Row(l, drafts.get(l.id()), last.get(l.id()), good.get(l.id()), null, null, null))
                .filter(r -> (r.listed.name() + " " + r.bar.build().title())
                        .toLowerCase(Locale.ROOT)
                        .contains(wanted))
                .sorted(by.order)
                .toList();
        return Part.of(found, page, r -> r.shown(workings.drafted(r.bar, moulds)));
    }
}

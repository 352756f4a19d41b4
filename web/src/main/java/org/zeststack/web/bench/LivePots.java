package org.zeststack.web.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.core.run.RunSheet;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Runs;

/** The pots that are on the rings now, of every run. */
@Component
class LivePots {

    private final Bench bench;
    private final Runs runs;
    private final SeriesViews views;

    LivePots(Bench bench, Runs runs, SeriesViews views) {
        this.bench = bench;
        this.runs = runs;
        this.views = views;
    }

    List<PotStrip> running() {
        List<Bench.Series> series = bench.cooksRunning();
        Map<Long, List<Bench.PotSaid>> said =
                bench.potsSaid(series.stream().map(Bench.Series::run).distinct().toList());
        return views.followAll(series, said, this::sheet).stream()
                .map(this::strip)
                .flatMap(Optional::stream)
                .toList();
    }

    private RunSheet sheet(long run) {
        return runs.find(run).flatMap(r -> r.sheet()).orElseThrow();
    }

    private Optional<PotStrip> strip(FollowedPot pot) {
        RunSheet sheet = pot.sheet();
        return sheet.formula(pot.series().component()).flatMap(batch -> sheet.steps().stream()
                .filter(s -> s.kind() == RunSheet.StepKind.COOK && s.component().equals(batch.key()))
                .findFirst()
                .map(step -> new PotStrip(
                        pot.series(),
                        sheet.barName(),
                        batch.name(),
                        step.id(),
                        batch.stopReading(),
                        pot.lastReading(),
                        pot.state(),
                        pot.off().isPresent())));
    }
}

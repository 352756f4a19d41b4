package org.zeststack.app.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.PotPlan;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** The pots that are on the rings now, of every run. */
@Component
public class LivePots {

    private final Bench bench;
    private final Runs runs;
    private final SeriesViews views;

    LivePots(Bench bench, Runs runs, SeriesViews views) {
        this.bench = bench;
        this.runs = runs;
        this.views = views;
    }

    public List<PotStrip> running() {
        List<Bench.Series> series = bench.cooksRunning();
        Map<Long, List<Bench.PotSaid>> said =
                bench.potsSaid(series.stream().map(Bench.Series::run).distinct().toList());
        return views.followAll(series, said, this::sheet).stream()
                .map(this::strip)
                .flatMap(Optional::stream)
                .toList();
    }

    private Optional<RunSheet> sheet(long run) {
        return runs.find(run).flatMap(Run::sheet);
    }

    private Optional<PotStrip> strip(FollowedPot pot) {
        RunSheet sheet = pot.sheet();
        return sheet.pot(pot.series().component()).flatMap(batch -> sheet.steps().stream()
                .filter(s -> s.kind() == StepKind.COOK && s.component().equals(batch.key()))
                .findFirst()
                .map(step -> strip(pot, sheet, batch, step)));
    }

    private static PotStrip strip(FollowedPot pot, RunSheet sheet, FormulaBatch batch, BenchStep step) {
        Optional<PotPlan.Pour> next = batch.pours().stream().skip(pot.poured()).findFirst();
        double due = next.flatMap(PotPlan.Pour::at)
                .map(PotPlan.At::reading)
                .orElse(batch.stop().reading());
        return new PotStrip(
                pot.series(),
                sheet.bar().name(),
                batch.name(),
                step.id(),
                due,
                pot.lastReading(),
                pot.state(),
                pot.off().isPresent(),
                next.map(p -> String.join(", ", p.names())).orElse(""));
    }
}

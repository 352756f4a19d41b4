package org.zeststack.web.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.core.run.BenchState;
import org.zeststack.core.run.RunSheet;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.temper.TemperWatch;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.bench.Bench;

/** Reads series through the core. A pot is followed: what was read of it once is not read again. */
@Component
public class SeriesViews {

    private static final int MOST_POTS = 100;

    private final Bench bench;

    private final Map<Long, FollowedPot> pots = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, FollowedPot> eldest) {
            return size() > MOST_POTS;
        }
    };

    SeriesViews(Bench bench) {
        this.bench = bench;
    }

    /** All series of a run, oldest first. */
    public List<SeriesView> of(RunSheet sheet, BenchState state, long run) {
        Map<Long, List<Bench.Reading>> readings = bench.readingsOf(run);
        return bench.seriesOf(run).stream()
                .map(s -> of(sheet, state, s, readings.getOrDefault(s.id(), List.of())))
                .toList();
    }

    /** One series as it stands. */
    SeriesView of(RunSheet sheet, BenchState state, Bench.Series series) {
        boolean pot = series.kind() == Bench.SeriesKind.COOK;
        return of(
                sheet,
                state,
                series,
                pot ? List.of() : bench.readingsAfter(series.id(), 0).readings());
    }

    private SeriesView of(RunSheet sheet, BenchState state, Bench.Series series, List<Bench.Reading> readings) {
        Optional<FollowedPot> pot = pot(sheet, state, series);
        if (pot.isPresent()) {
            return new SeriesView(
                    series,
                    pot.get().readings(),
                    pot.get().lastReading(),
                    pot.get().state(),
                    Optional.of(pot.get().cook()),
                    Optional.empty(),
                    Optional.empty());
        }
        Optional<Double> last = readings.isEmpty()
                ? Optional.empty()
                : Optional.of(readings.get(readings.size() - 1).celsius());
        Optional<TemperWindow> window = sheet.couverture(series.component()).map(c -> TemperWindow.of(c.kind()));
        Optional<TemperWatch.State> temper = readings.isEmpty()
                ? Optional.empty()
                : window.map(w -> TemperWatch.of(w, temperatures(sheet.thermometer(), readings)));
        return new SeriesView(series, readings.size(), last, Optional.empty(), Optional.empty(), temper, window);
    }

    /** The pot of a series, up to date; empty for a bowl. */
    Optional<FollowedPot> pot(RunSheet sheet, BenchState state, Bench.Series series) {
        Optional<FollowedPot> pot = sheet.formula(series.component())
                .filter(RunSheet.FormulaBatch::cooked)
                .map(batch -> pot(series.id(), sheet, batch));
        pot.ifPresent(p -> p.follow(bench, series, state.ringTurned(series.component())));
        return pot;
    }

    private synchronized FollowedPot pot(long series, RunSheet sheet, RunSheet.FormulaBatch batch) {
        return pots.computeIfAbsent(
                series,
                s -> new FollowedPot(
                        Cook.to(batch.pot(), batch.stopCelsius(), sheet.pressureKpa()), sheet.thermometer()));
    }

    private static List<TemperWatch.Reading> temperatures(Thermometer thermometer, List<Bench.Reading> readings) {
        return readings.stream()
                .map(r -> new TemperWatch.Reading(r.at(), thermometer.trueCelsius(r.celsius()), r.confirmed()))
                .toList();
    }
}

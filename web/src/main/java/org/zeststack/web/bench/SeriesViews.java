package org.zeststack.web.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.core.run.RunSheet;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.sugar.CookProgress;
import org.zeststack.core.temper.TemperWatch;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.bench.Bench;

/** Reads series through the core. A pot's heat table is worked out once per component of a run and kept. */
@Component
public class SeriesViews {

    private static final int MOST_POTS = 100;

    private record Pot(Cook cook, CookProgress progress) {}

    private record Key(long run, String component) {}

    private final Map<Key, Pot> pots = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Pot> eldest) {
            return size() > MOST_POTS;
        }
    };

    /** All series of a run, oldest first. */
    public List<SeriesView> of(RunSheet sheet, List<Bench.Series> series, Map<Long, List<Bench.Reading>> readings) {
        return series.stream()
                .map(s -> of(sheet, s, readings.getOrDefault(s.id(), List.of())))
                .toList();
    }

    private SeriesView of(RunSheet sheet, Bench.Series series, List<Bench.Reading> readings) {
        Optional<Double> last = readings.isEmpty()
                ? Optional.empty()
                : Optional.of(readings.get(readings.size() - 1).celsius());
        Optional<RunSheet.FormulaBatch> batch =
                sheet.formula(series.component()).filter(RunSheet.FormulaBatch::cooked);
        if (batch.isPresent()) {
            Pot pot = pot(new Key(series.run(), series.component()), sheet, batch.get());
            Optional<CookProgress.State> state = readings.isEmpty()
                    ? Optional.empty()
                    : Optional.of(pot.progress.at(points(sheet.thermometer(), series, readings)));
            return new SeriesView(
                    series, readings, last, state, Optional.of(pot.cook), Optional.empty(), Optional.empty());
        }
        Optional<TemperWindow> window = sheet.couverture(series.component()).map(c -> TemperWindow.of(c.kind()));
        Optional<TemperWatch.State> state = readings.isEmpty()
                ? Optional.empty()
                : window.map(w -> TemperWatch.of(w, temperatures(sheet.thermometer(), readings)));
        return new SeriesView(series, readings, last, Optional.empty(), Optional.empty(), state, window);
    }

    private synchronized Pot pot(Key key, RunSheet sheet, RunSheet.FormulaBatch batch) {
        return pots.computeIfAbsent(key, k -> {
            Cook cook = Cook.to(batch.pot(), batch.stopCelsius(), sheet.pressureKpa());
            return new Pot(cook, new CookProgress(cook));
        });
    }

    private static List<CookProgress.Point> points(
            Thermometer thermometer, Bench.Series series, List<Bench.Reading> readings) {
        return readings.stream()
                .map(r -> new CookProgress.Point(series.ownSeconds(r.at()) / 60, thermometer.trueCelsius(r.celsius())))
                .toList();
    }

    private static List<TemperWatch.Reading> temperatures(Thermometer thermometer, List<Bench.Reading> readings) {
        return readings.stream()
                .map(r -> new TemperWatch.Reading(r.at(), thermometer.trueCelsius(r.celsius()), r.confirmed()))
                .toList();
    }
}

package org.zeststack.app.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sugar.CookLesson;
import org.zeststack.core.sugar.Learned;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** What the last cooks of a formula teach. A cook that is over is read once and its lesson kept. */
@Component
public class CookLessons {

    /** So many of the last cooks are looked at; some teach nothing, since they ended before their stop. */
    private static final int MOST_COOKS = 24;

    private static final int MOST_LESSONS = 8;
    private static final int MOST_KEPT = 500;

    private final Bench bench;
    private final Runs runs;
    private final Map<UUID, Optional<CookLesson>> kept = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<UUID, Optional<CookLesson>> eldest) {
            return size() > MOST_KEPT;
        }
    };

    CookLessons(Bench bench, Runs runs) {
        this.bench = bench;
        this.runs = runs;
    }

    /** From the cooks of this formula that were over when this series began. */
    public Learned of(Bench.Series series, FormulaBatch batch) {
        return of(batch.formula(), batch.inSecondPot(), series.id());
    }

    /** From the last cooks of what is in a pot. */
    public Learned of(FormulaBatch batch) {
        return of(batch.formula(), batch.inSecondPot(), Long.MAX_VALUE);
    }

    private synchronized Learned of(long formula, boolean second, long before) {
        List<Bench.Series> over = bench.cooksOver(formula, second, before, MOST_COOKS);
        List<Bench.Series> unread =
                over.stream().filter(s -> !kept.containsKey(s.key())).toList();
        if (!unread.isEmpty()) {
            read(unread);
        }
        List<CookLesson> lessons = over.stream()
                .map(s -> kept.get(s.key()))
                .flatMap(Optional::stream)
                .toList();
        return Learned.of(lessons.subList(Math.max(0, lessons.size() - MOST_LESSONS), lessons.size()));
    }

    private void read(List<Bench.Series> series) {
        List<Long> ids = series.stream().map(Bench.Series::run).distinct().toList();
        Map<Long, Run> of = ids.stream()
                .map(id -> runs.find(id).orElseThrow())
                .collect(Collectors.toMap(Run::id, Function.identity()));
        Map<Long, List<Bench.PotSaid>> said = bench.potsSaid(ids);
        Map<Long, Bench.Fresh> readings =
                bench.readingsAfter(series.stream().collect(Collectors.toMap(Bench.Series::id, s -> 0L)));
        for (Bench.Series one : series) {
            Optional<RunSheet> sheet = of.get(one.run()).sheet();
            kept.put(
                    one.key(),
                    sheet.flatMap(s -> s.pot(one.component()))
                            .filter(FormulaBatch::cooked)
                            .flatMap(batch -> {
                                FollowedPot pot = new FollowedPot(one, sheet.get(), batch, Learned.NOTHING);
                                List<Bench.PotSaid> ofIt = said.getOrDefault(one.run(), List.of()).stream()
                                        .filter(t -> t.component().equals(one.component()))
                                        .filter(t -> !t.at().isAfter(one.endedAt()))
                                        .toList();
                                pot.follow(bench, readings.get(one.id()), 0, ofIt);
                                return pot.lesson();
                            }));
        }
    }
}

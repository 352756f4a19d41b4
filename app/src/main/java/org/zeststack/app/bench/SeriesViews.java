package org.zeststack.app.bench;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.LongFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.InTemper;
import org.zeststack.core.bench.Overruled;
import org.zeststack.core.bench.TemperPlanned;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sugar.CookLesson;
import org.zeststack.core.sugar.Learned;
import org.zeststack.core.temper.Coach;
import org.zeststack.core.temper.Seed;
import org.zeststack.core.temper.TemperStream;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.rule.OwnBounds;

/** Reads series through the core. A pot is followed: what was read of it once is not read again. */
@Component
public class SeriesViews {

    private static final int MOST_POTS = 100;

    private final Bench bench;
    private final CookLessons lessons;
    private final OwnBounds own;

    private final Map<UUID, FollowedPot> pots = latest();
    private final Map<UUID, FollowedBowl> bowls = latest();

    private static <T> Map<UUID, T> latest() {
        return new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<UUID, T> eldest) {
                return size() > MOST_POTS;
            }
        };
    }

    SeriesViews(Bench bench, CookLessons lessons, OwnBounds own) {
        this.bench = bench;
        this.lessons = lessons;
        this.own = own;
    }

    /** All series of a run, oldest first. */
    public List<SeriesView> of(RunSheet sheet, BenchState state, long run) {
        return bench.seriesOf(run).stream().map(s -> of(sheet, state, s)).toList();
    }

    /** What the cooks of a run teach, by series; those that never boiled teach nothing. */
    public Map<Long, CookLesson> lessons(RunSheet sheet, BenchState state, long run) {
        Map<Long, CookLesson> lessons = new LinkedHashMap<>();
        for (Bench.Series series : bench.seriesOf(run)) {
            pot(sheet, state, series).flatMap(FollowedPot::lesson).ifPresent(l -> lessons.put(series.id(), l));
        }
        return lessons;
    }

    /** One series as it stands. */
    public SeriesView of(RunSheet sheet, BenchState state, Bench.Series series) {
        Optional<FollowedPot> pot = pot(sheet, state, series);
        if (pot.isPresent()) {
            return new SeriesView(
                    series,
                    pot.get().readings(),
                    pot.get().lastReading(),
                    pot.get().state(),
                    pot,
                    pot.get().off(),
                    pot.get().learned(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }
        FollowedBowl followed = bowl(sheet, series);
        List<TemperVerdict.Reading> celsius = followed.readings();
        Optional<InTemper> bowl = InTemper.of(sheet, series.component());
        Optional<TemperPlanned> planned = state.bowl(series.component()).planned();
        Optional<TemperVerdict.State> temper = celsius.isEmpty()
                ? Optional.empty()
                : bowl.flatMap(b -> planned.map(p -> TemperStream.of(
                        b.window(), p.method(), celsius, overruled(series, state), TemperStream.UNCERTAIN_KELVIN)));
        Optional<Coach> coach = temper.map(t -> Coach.of(looked(bowl.get(), planned.get()), celsius, t));
        return new SeriesView(
                series,
                celsius.size(),
                followed.lastReading(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Learned.NOTHING,
                temper,
                bowl.map(InTemper::window),
                coach);
    }

    private Coach.Looked looked(InTemper bowl, TemperPlanned planned) {
        return new Coach.Looked(
                bowl.window(),
                planned.method(),
                planned.emptyBowl().joulesPerKelvin() + Seed.liquidJoulesPerKelvin(bowl.grams()),
                own.bounds());
    }

    private static List<TemperVerdict.Overrule> overruled(Bench.Series series, BenchState state) {
        return state.bowl(series.component()).overruled().stream()
                .filter(e -> !e.at().isBefore(series.startedAt()))
                .map(e -> new TemperVerdict.Overrule(series.ownSeconds(e.at()), ((Overruled) e.body()).step()))
                .toList();
    }

    /** The bowl of a series, up to date. */
    private FollowedBowl bowl(RunSheet sheet, Bench.Series series) {
        FollowedBowl bowl;
        synchronized (this) {
            bowl = bowls.computeIfAbsent(
                    series.key(), key -> new FollowedBowl(series, sheet.gauge().thermometer()));
        }
        bowl.follow(bench);
        return bowl;
    }

    /** What a page has not drawn yet of a series' curve, and the way a pot is to go on. */
    public Curve curve(RunSheet sheet, BenchState state, Bench.Series series, int edition, int from) {
        Optional<FollowedPot> pot = pot(sheet, state, series);
        return pot.isPresent()
                ? Curve.of(pot.get().curve(edition, from), pot.get().ahead())
                : Curve.of(bowl(sheet, series).curve(edition, from), List.of());
    }

    /** The pot of a series, up to date; empty for a bowl. */
    public Optional<FollowedPot> pot(RunSheet sheet, BenchState state, Bench.Series series) {
        Optional<FollowedPot> pot = known(series, run -> Optional.of(sheet));
        pot.ifPresent(p -> {
            long since = p.upTo();
            p.follow(bench, bench.readingsAfter(series.id(), since), since, said(state, series.component()));
        });
        return pot;
    }

    /** The pots of many series, up to date, their readings in one query. */
    List<FollowedPot> followAll(
            List<Bench.Series> series, Map<Long, List<Bench.PotSaid>> said, LongFunction<Optional<RunSheet>> sheets) {
        List<FollowedPot> all = series.stream()
                .map(s -> known(s, sheets))
                .flatMap(Optional::stream)
                .toList();
        Map<Long, Long> since =
                all.stream().collect(Collectors.toMap(p -> p.series().id(), FollowedPot::upTo));
        Map<Long, Bench.Fresh> fresh = since.isEmpty() ? Map.of() : bench.readingsAfter(since);
        for (FollowedPot pot : all) {
            long id = pot.series().id();
            List<Bench.PotSaid> ofIt = said.getOrDefault(pot.series().run(), List.of()).stream()
                    .filter(t -> t.component().equals(pot.series().component()))
                    .toList();
            pot.follow(bench, fresh.get(id), since.get(id), ofIt);
        }
        return all;
    }

    private static List<Bench.PotSaid> said(BenchState state, String component) {
        return Stream.concat(
                        said(component, Bench.Said.RING, state.pot(component).ringTurned()),
                        Stream.concat(
                                said(
                                        component,
                                        Bench.Said.POURED,
                                        state.pot(component).poured()),
                                said(
                                        component,
                                        Bench.Said.OFF,
                                        state.pot(component).takenOff())))
                .toList();
    }

    private static Stream<Bench.PotSaid> said(String component, Bench.Said what, List<Instant> at) {
        return at.stream().map(when -> new Bench.PotSaid(component, when, what));
    }

    private synchronized Optional<FollowedPot> known(Bench.Series series, LongFunction<Optional<RunSheet>> sheets) {
        FollowedPot pot = pots.get(series.key());
        if (pot == null) {
            pot = sheets.apply(series.run())
                    .flatMap(sheet -> sheet.pot(series.component())
                            .filter(b -> b.cooked() && series.kind() == Bench.SeriesKind.COOK)
                            .map(b -> new FollowedPot(series, sheet, b, lessons.of(series, b))))
                    .orElse(null);
            if (pot != null) {
                pots.put(series.key(), pot);
            }
        }
        return Optional.ofNullable(pot);
    }
}

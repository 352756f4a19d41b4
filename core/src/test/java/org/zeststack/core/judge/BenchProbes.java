package org.zeststack.core.judge;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.DoublePredicate;
import org.zeststack.core.bench.InTemper;
import org.zeststack.core.bench.Moments;
import org.zeststack.core.bench.Proof;
import org.zeststack.core.bench.ReadingRules;
import org.zeststack.core.bench.ReadingRules.Kind;
import org.zeststack.core.bench.ReadingRules.Seen;
import org.zeststack.core.bench.WeighingRules;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.sugar.Browning;
import org.zeststack.core.temper.Coach;
import org.zeststack.core.temper.Feed;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.Room;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.core.workshop.Thermometer;

/** Readings and times that lie beyond a bound. */
final class BenchProbes {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);
    private static final Instant NOW = Instant.parse("2026-11-27T08:00:00Z");

    private BenchProbes() {}

    /** By code: whether a figure is beyond the bound. */
    static Map<String, DoublePredicate> all() {
        Map<String, DoublePredicate> all = new HashMap<>();
        all.put("reading", celsius -> !rules().celsius().holds(celsius));
        all.put("clock-ahead", minutes -> moments().ahead(ago(-minutes / 60), NOW));
        all.put("clock-off", hours -> !moments().mayBeOff(Duration.between(ago(hours), NOW)));
        all.put("reading-age", hours -> moments().refused(ago(hours), NOW, NOW).isPresent());
        all.put("entry-age", hours -> moments().refusedEntry(ago(hours), NOW).isPresent());
        all.put("entry-asked", hours -> moments().asked(ago(hours), NOW).isPresent());
        all.put("pot-springs", kelvin -> doubted(0, kelvin));
        all.put(
                "pot-climbs",
                kelvin -> doubted(2, Bars.judgedBy.of("pot-springs").greatest() + 2 * kelvin));
        all.put(
                "sugar-browns",
                celsius -> new Browning(Bars.judgedBy).of(celsius, 118).isPresent());
        all.put("sugar-burns", celsius -> new Browning(Bars.judgedBy)
                .of(celsius, 118)
                .orElseThrow()
                .message()
                .contains("burns"));
        all.put("thermometer-checked", days -> rules().stale(checked(Math.round(days)), TODAY));
        all.put("thermometers-agree", kelvin -> !rules().agree(-kelvin));
        all.put("weighed-back", times -> weights().farFromPlanned(100 * times, 100, 100));
        all.put("weighed-in", times -> weights().farFromTarget(100 * times, 100));
        all.put("scale-apart", grams -> weights().contradicts(grams));
        all.put("smear-sets", minutes -> !proof("smear-sets", minutes).passed());
        all.put("filling-sets", minutes -> !proof("filling-sets", minutes).passed());
        all.put("bowl-cools", rate -> coached(Method.BATH, 29.8, -rate, "runs through", 46, 40));
        all.put("bowl-warms", rate -> coached(Method.SLAB, 29.2, rate, "runs over", 46, 38, 27.5));
        all.put("bowl-hardly-falls", rate -> coached(Method.SEED, 37, -rate, "hardly falls", 46, 40));
        all.put("bowl-drifts", rate -> coached(Method.SEED, 30.8, -rate, "drifts down", 46, 38, 31.5));
        all.put("room-wanted", celsius -> Room.advice(celsius, Bars.judgedBy).isPresent());
        all.put("feed-share", share -> new Feed(100, share).provesAgain(Bars.judgedBy));
        all.put("bowl-scorches", celsius -> rules().doubt(Kind.BOWL, List.of(), new Seen(0, celsius))
                .isPresent());
        return all;
    }

    /** Whether it is told of a dark bowl that came to where it is in two minutes, read every ten seconds. */
    private static boolean coached(
            Method method, double celsius, double kelvinPerMinute, String told, double... before) {
        TemperWindow dark = TemperWindow.of("dark");
        List<TemperVerdict.Reading> readings = new ArrayList<>();
        for (double earlier : before) {
            readings.add(new TemperVerdict.Reading(60 * readings.size(), earlier, false));
        }
        double end = 60 * readings.size() + 120;
        for (int second = -120; second <= 0; second += 10) {
            readings.add(new TemperVerdict.Reading(end + second, celsius + kelvinPerMinute * second / 60, false));
        }
        return Coach.of(
                        new Coach.Looked(dark, method, 0, Bars.judgedBy),
                        readings,
                        TemperVerdict.of(dark, method, readings))
                .says()
                .stream()
                .anyMatch(s -> s.contains(told));
    }

    private static Proof proof(String sets, double minutes) {
        var bowl = new InTemper("a", "a", TemperWindow.of("dark"), 500, OptionalDouble.of(0.3), 0, sets);
        double within = bowl.sets(Bars.judgedBy).greatest();
        return new Proof("a", minutes, null, false, false, false, within, null);
    }

    private static Thermometer checked(long daysAgo) {
        return new Thermometer(Thermometer.Kind.PROBE, 0, 100, 100, TODAY.minusDays(daysAgo));
    }

    private static Instant ago(double hours) {
        return NOW.minusMillis(Math.round(3_600_000 * hours));
    }

    private static boolean doubted(double minutes, double kelvin) {
        return rules().doubt(Kind.POT, List.of(new Seen(5, 60)), new Seen(5 + minutes, 60 + kelvin))
                .isPresent();
    }

    private static ReadingRules rules() {
        return new ReadingRules(Bars.judgedBy);
    }

    private static WeighingRules weights() {
        return new WeighingRules(Bars.judgedBy);
    }

    private static Moments moments() {
        return new Moments(Bars.judgedBy);
    }
}

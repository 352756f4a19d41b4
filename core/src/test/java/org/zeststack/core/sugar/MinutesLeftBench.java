package org.zeststack.core.sugar;

import java.util.List;
import java.util.Locale;
import org.testng.annotations.Test;
import org.zeststack.core.sugar.MinutesLeftScore.Said;
import org.zeststack.core.sugar.SeededCooks.CookOf;
import org.zeststack.core.sugar.SeededCooks.Kitchen;
import org.zeststack.core.sugar.SeededCooks.Reads;
import org.zeststack.core.sugar.SeededCooks.Turn;

/** A hundred seeded cooks read in four ways. Run by {@code ./zest bench}, never with the tests; prints {@code name: value}. */
public class MinutesLeftBench {

    private static final long UNSEEN = 2_000_000;
    private static final int COOKS = 100;
    private static final int FEWER = 40;
    private static final double[] BANDS = {0, 2, 5, 10, 15};
    private static final double[] SINCE = {0, 30, 60, 120, 1e9};

    private static void say(String name, double amount) {
        System.out.printf(Locale.ROOT, "%s: %.3f%n", name, amount);
    }

    @Test
    public void steady() {
        List<CookOf> cooks = SeededCooks.from(UNSEEN, COOKS, false);
        MinutesLeftScore all = new MinutesLeftScore();
        for (Reads reads : Reads.values()) {
            MinutesLeftScore score = new MinutesLeftScore();
            cooks.forEach(cook -> score.add(cook, reads));
            say("minutes left, " + reads.words + ", error", MinutesLeftScore.median(score.said, Said::off));
            all.said.addAll(score.said);
        }
        double off = MinutesLeftScore.median(all.said, Said::off);
        say("minutes left, error", off);
        say("minutes left, error of the best line over ours", MinutesLeftScore.bestLine(all.said) / off);
        say("minutes left, error of the parabola over ours", MinutesLeftScore.parabola(all.said) / off);
        say("minutes left, interval covers", MinutesLeftScore.coverage(all.said));
        say("minutes left, interval over time left", MinutesLeftScore.median(all.said, Said::width));
        for (int i = 0; i + 1 < BANDS.length; i++) {
            List<Said> of = all.between(BANDS[i], BANDS[i + 1]);
            String band = String.format(Locale.ROOT, "minutes left, %.0f to %.0f to go, ", BANDS[i], BANDS[i + 1]);
            say(band + "error", MinutesLeftScore.median(of, Said::off));
            say(band + "covers", MinutesLeftScore.coverage(of));
        }
    }

    /** By kitchen, how the ring is turned and how it is read. */
    @Test
    public void byKind() {
        for (Kitchen kitchen : Kitchen.values()) {
            String name =
                    "minutes left, " + kitchen.name().toLowerCase(Locale.ROOT).replace('_', ' ') + ", ";
            List<CookOf> steady = SeededCooks.from(UNSEEN, FEWER, Turn.NONE, kitchen);
            row(name + "every 5 s", scored(steady, Reads.EVERY_FIVE, 0));
            row(name + "by hand", scored(steady, Reads.BY_HAND, 0));
            for (Turn turn : List.of(Turn.DOWN, Turn.UP)) {
                List<CookOf> cooks = SeededCooks.from(UNSEEN, FEWER, turn, kitchen);
                String way = name + "ring " + turn.name().toLowerCase(Locale.ROOT);
                row(way + " since 40 s", scored(cooks, Reads.EVERY_FIVE, 40));
                say(
                        way + ", named",
                        cooks.stream().filter(MinutesLeftScore::named).count() / (double) FEWER);
            }
        }
    }

    private static List<Said> scored(List<CookOf> cooks, Reads reads, double sinceTurn) {
        MinutesLeftScore score = new MinutesLeftScore();
        cooks.forEach(cook -> score.add(cook, reads));
        return sinceTurn == 0 ? score.said : score.since(sinceTurn);
    }

    private static void row(String name, List<Said> of) {
        say(name + ", error", MinutesLeftScore.median(of, Said::off));
        say(name + ", bias", MinutesLeftScore.median(of, Said::late));
        say(name + ", covers", MinutesLeftScore.coverage(of));
        say(name + ", interval over time left", MinutesLeftScore.median(of, Said::width));
    }

    @Test
    public void turned() {
        MinutesLeftScore all = new MinutesLeftScore();
        List<CookOf> cooks = SeededCooks.from(UNSEEN, COOKS, true);
        for (Reads reads : Reads.values()) {
            cooks.forEach(cook -> all.add(cook, reads));
        }
        say("ring turned, interval covers", MinutesLeftScore.coverage(all.said));
        for (int i = 0; i + 1 < SINCE.length; i++) {
            double from = SINCE[i];
            double to = SINCE[i + 1];
            List<Said> of = all.said.stream()
                    .filter(s -> s.sinceTurn() > from && s.sinceTurn() <= to)
                    .toList();
            String band = String.format(Locale.ROOT, "ring turned, from %.0f s on, ", from);
            say(band + "error", MinutesLeftScore.median(of, Said::off));
            say(band + "error of the parabola", MinutesLeftScore.parabola(of));
            say(band + "covers", MinutesLeftScore.coverage(of));
        }
    }
}

package org.zeststack.core.sugar;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.Recorded;
import org.zeststack.core.sugar.CookProgress.MinutesLeft;
import org.zeststack.core.sugar.CookProgress.Point;
import org.zeststack.core.sugar.SeededCooks.CookOf;
import org.zeststack.core.sugar.SeededCooks.Kitchen;
import org.zeststack.core.sugar.SeededCooks.Reads;
import org.zeststack.core.sugar.SeededCooks.Turn;

/**
 * What is said all along a few cooks of the independent pot, with the minutes that were truly left beside it: {@link MinutesLeftTest}
 * holds how far off it may be, this that nothing of it changes unread.
 */
public class RecordedMinutesTest {

    private static final long SEED = 40_000;
    private static final double EVERY_MINUTES = 0.5;
    private static final double TOLD_MINUTES = 0.4;
    private static final int WAY_EVERY = 6;
    private static final double HIDDEN_MINUTES = 3;

    @DataProvider
    public Object[][] cooks() {
        return new Object[][] {
            {"steady", Turn.NONE, Kitchen.POOR, Reads.EVERY_FIVE},
            {"quiet", Turn.NONE, Kitchen.QUIET, Reads.EVERY_SECOND},
            {"by-hand", Turn.NONE, Kitchen.QUIET_RING, Reads.BY_HAND},
            {"turned-up", Turn.UP, Kitchen.QUIET, Reads.EVERY_FIVE},
            {"turned-down", Turn.DOWN, Kitchen.POOR, Reads.EVERY_FIVE},
            {"turned-down-by-hand", Turn.DOWN, Kitchen.QUIET_RING, Reads.BY_HAND},
        };
    }

    @Test(dataProvider = "cooks")
    public void areAsTheyWereReadThrough(String name, Turn turn, Kitchen kitchen, Reads reads) throws IOException {
        StringBuilder all = new StringBuilder();
        for (CookOf cook : SeededCooks.from(SEED, 2, turn, kitchen)) {
            all.append(along(cook, cook.readings(reads), false));
        }
        CookOf told = SeededCooks.from(SEED + 500, 1, turn, kitchen).get(0);
        all.append("what hands say of the ring\n").append(along(told, told.readings(reads), true));
        List<Point> readings = told.readings(reads);
        double hidden = told.boiledAt() / 60 - 1;
        all.append("nobody read while it came to the boil\n")
                .append(along(
                        told,
                        readings.stream()
                                .filter(p -> p.minute() < hidden || p.minute() > hidden + HIDDEN_MINUTES)
                                .toList(),
                        false));
        Recorded.check(RecordedMinutesTest.class, "minutes-" + name + ".txt", all.toString());
    }

    private static String along(CookOf cook, List<Point> readings, boolean told) {
        BoilWatch watch = new BoilWatch(cook.told(), cook.pressureKpa(), cook.stopHere());
        StringBuilder lines = new StringBuilder("truly said least most used began power turned\n");
        double next = cook.boiledAt() / 60 - 2 * EVERY_MINUTES;
        boolean said = false;
        int rows = 0;
        for (Point point : readings) {
            watch.add(point, point.celsius());
            if (told && !said && point.minute() > cook.turnedAt() / 60 + TOLD_MINUTES) {
                watch.turned(cook.turnedAt() / 60);
                said = true;
            }
            if (point.minute() >= next) {
                lines.append(line(cook, watch, point));
                if (++rows % WAY_EVERY == 0) {
                    lines.append(way(watch.ahead()));
                }
                next = point.minute() + EVERY_MINUTES;
            }
        }
        return lines.toString();
    }

    private static String line(CookOf cook, BoilWatch watch, Point point) {
        BoilWatch.Answer answer = watch.answer();
        MinutesLeft left = answer.minutes();
        String minutes = left == null
                ? answer.reason().words()
                : String.format(Locale.ROOT, "%.2f %.2f %.2f", left.minutes(), left.least(), left.greatest());
        return String.format(
                Locale.ROOT,
                "%.2f %s %d %.2f %.1f %.2f%n",
                cook.stoppedAt() / 60 - point.minute(),
                minutes,
                watch.used(),
                watch.began(),
                watch.power(),
                watch.turnedAt());
    }

    private static String way(List<Point> ahead) {
        StringBuilder way = new StringBuilder("ahead");
        ahead.forEach(p -> way.append(String.format(Locale.ROOT, " %.2f:%.2f", p.minute(), p.celsius())));
        return way.append('\n').toString();
    }
}

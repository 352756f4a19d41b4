package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.sugar.CookProgress.Point;
import org.zeststack.core.sugar.CookProgress.Reason;
import org.zeststack.core.sugar.CookProgress.Taken;
import org.zeststack.core.sugar.MinutesLeftScore.Said;
import org.zeststack.core.sugar.SeededCooks.CookOf;
import org.zeststack.core.sugar.SeededCooks.Kitchen;
import org.zeststack.core.sugar.SeededCooks.Reads;
import org.zeststack.core.sugar.SeededCooks.Turn;

/** Minutes left on cooks of a pot that shares no physics with the estimator, seeds not used in choosing its constants. */
public class MinutesLeftTest {

    private static final long UNSEEN = 900_000;
    private static final int COOKS = 24;

    private final MinutesLeftScore steady = new MinutesLeftScore();
    private final MinutesLeftScore turned = new MinutesLeftScore();
    private List<CookOf> cooks;

    @BeforeClass
    public void cook() {
        cooks = SeededCooks.from(UNSEEN, COOKS, false);
        for (Reads reads : List.of(Reads.EVERY_FIVE, Reads.BY_HAND)) {
            cooks.forEach(cook -> steady.add(cook, reads));
        }
        SeededCooks.from(UNSEEN, COOKS, true).forEach(cook -> turned.add(cook, Reads.EVERY_FIVE));
    }

    @DataProvider
    public Object[][] bands() {
        return new Object[][] {{0.0, 2.0, 0.25}, {2.0, 5.0, 0.5}, {5.0, 10.0, 1.2}, {10.0, 15.0, 2.0}};
    }

    @Test(dataProvider = "bands")
    public void areNearerTheNearerTheStop(double from, double to, double most) {
        List<Said> of = steady.between(from, to);
        assertTrue(of.size() > 50, of.size() + " readings");
        double off = MinutesLeftScore.median(of, Said::off);
        assertTrue(off <= most, "median error %.2f min".formatted(off));
        double covered = MinutesLeftScore.coverage(of);
        assertTrue(covered >= 0.8, "the interval covers %.2f".formatted(covered));
    }

    @Test
    public void beatALineAndAParabolaAndAreAsSureAsTheySay() {
        double off = MinutesLeftScore.median(steady.said, Said::off);
        double line = MinutesLeftScore.bestLine(steady.said);
        double parabola = MinutesLeftScore.parabola(steady.said);
        assertTrue(
                off < line / 6 && off < parabola / 3, "%.2f, line %.2f, parabola %.2f".formatted(off, line, parabola));
        double covered = MinutesLeftScore.coverage(steady.said);
        assertTrue(covered >= 0.85 && covered <= 0.97, "covers " + covered);
        double width = MinutesLeftScore.median(steady.said, Said::width);
        assertTrue(width > 0.3 && width <= 0.7, "width over time left " + width);
    }

    @Test
    public void knowWhenTheRingWasTurned() {
        List<Said> after = turned.said.stream().filter(s -> s.sinceTurn() > 0).toList();
        List<Said> later = after.stream().filter(s -> s.sinceTurn() >= 60).toList();
        assertTrue(later.size() > 100, later.size() + " readings");
        assertTrue(
                MinutesLeftScore.median(later, Said::off) <= MinutesLeftScore.parabola(later),
                "no worse than a parabola");
        assertTrue(MinutesLeftScore.coverage(after) >= 0.8, "covers " + MinutesLeftScore.coverage(after));
        assertTrue(MinutesLeftScore.coverage(later) >= 0.85, "covers " + MinutesLeftScore.coverage(later));
    }

    /** A hand turns a ring down or up, not by a little either way: to hold so tells in the minute in which it is found. */
    @Test
    public void theMinuteInWhichATurnIsFoundIsTold() {
        MinutesLeftScore score = new MinutesLeftScore();
        for (Turn turn : List.of(Turn.DOWN, Turn.UP)) {
            SeededCooks.from(UNSEEN, COOKS, turn, Kitchen.QUIET_RING)
                    .forEach(cook -> score.add(cook, Reads.EVERY_FIVE));
        }
        double soon = MinutesLeftScore.coverage(score.said.stream()
                .filter(s -> s.sinceTurn() > 40 && s.sinceTurn() <= 90)
                .toList());
        assertTrue(soon >= 0.76, "covers %.2f".formatted(soon));
    }

    /** A quiet ring and a quiet thermometer are learned from what they show: the interval is narrower, a turn is seen at once. */
    @Test
    public void aQuietKitchenIsToldMoreSurely() {
        MinutesLeftScore quiet = new MinutesLeftScore();
        SeededCooks.from(UNSEEN, COOKS, Turn.NONE, Kitchen.QUIET).forEach(cook -> quiet.add(cook, Reads.EVERY_FIVE));
        double covered = MinutesLeftScore.coverage(quiet.said);
        assertTrue(covered >= 0.88 && covered <= 0.98, "covers " + covered);
        double width = MinutesLeftScore.median(quiet.said, Said::width);
        double usual = MinutesLeftScore.median(steady.said, Said::width);
        assertTrue(width < 0.75 * usual, "width over time left %.2f, else %.2f".formatted(width, usual));
        for (Turn turn : List.of(Turn.DOWN, Turn.UP)) {
            List<CookOf> turning = SeededCooks.from(UNSEEN, COOKS, turn, Kitchen.QUIET);
            long named = turning.stream().filter(MinutesLeftScore::named).count();
            assertTrue(named >= 0.6 * COOKS, turn + ": " + named + " named");
            MinutesLeftScore score = new MinutesLeftScore();
            turning.forEach(cook -> score.add(cook, Reads.EVERY_FIVE));
            double late = MinutesLeftScore.median(score.since(40), Said::late);
            assertTrue(Math.abs(late) <= 0.3, turn + ": %.2f min too much".formatted(late));
        }
    }

    @Test
    public void aTurnedRingIsFoundAndASteadyOneIsNot() {
        CookOf cook = SeededCooks.halved(UNSEEN);
        BoilWatch watch = new BoilWatch(cook.told(), cook.pressureKpa(), cook.stopHere());
        double found = Double.NaN;
        for (Point point : cook.readings(Reads.EVERY_FIVE)) {
            watch.add(point, point.celsius());
            boolean before = 60 * point.minute() < cook.turnedAt();
            assertTrue(!before || Double.isNaN(watch.turnedAt()), "not turned yet at " + point);
            found = Double.isNaN(found) ? watch.turnedAt() : found;
        }
        assertEquals(60 * found, cook.turnedAt(), 45, "when it was turned, s");
    }

    @Test
    public void aHandThatSaysSoMakesTheIntervalWideAtOnce() {
        CookOf cook = cooks.get(0);
        List<Point> points = cook.readings(Reads.EVERY_FIVE);
        BoilWatch watch = new BoilWatch(cook.told(), cook.pressureKpa(), cook.stopHere());
        points.subList(0, points.size() - 40).forEach(p -> watch.add(p, p.celsius()));
        CookProgress.MinutesLeft before = watch.answer().minutes();
        watch.turned(points.get(points.size() - 41).minute());
        CookProgress.MinutesLeft after = watch.answer().minutes();
        assertTrue(
                after.greatest() - after.least() > 1.5 * (before.greatest() - before.least()),
                before + " before, " + after + " after");
    }

    @Test
    public void wildReadingsAreMarkedAndNothingElse() {
        int wild = 0;
        int far = 0;
        int near = 0;
        int readings = 0;
        for (CookOf cook : cooks) {
            BoilWatch watch = new BoilWatch(cook.told(), cook.pressureKpa(), cook.stopHere());
            for (Point point : cook.readings(Reads.EVERY_FIVE)) {
                boolean taken = watch.add(point, point.celsius()) == Taken.WILD;
                double off = Math.abs(point.celsius() - cook.pot().shownAt(60 * point.minute()));
                if (60 * point.minute() > cook.boiledAt() + 60) {
                    readings++;
                    wild += off > 2.5 ? 1 : 0;
                    far += off > 2.5 && taken ? 1 : 0;
                    near += off < 1 && taken ? 1 : 0;
                }
            }
        }
        assertTrue(wild > 30, wild + " wild readings");
        assertTrue(far > 0.85 * wild, far + " of " + wild + " marked");
        assertTrue(near < 0.005 * readings, near + " good ones marked of " + readings);
    }

    @Test
    public void manyReadingsAtOnceAreNoMoreThanOne() {
        CookOf cook = cooks.get(0);
        BoilWatch once = new BoilWatch(cook.told(), cook.pressureKpa(), cook.stopHere());
        BoilWatch often = new BoilWatch(cook.told(), cook.pressureKpa(), cook.stopHere());
        List<Point> warming = cook.readings(Reads.EVERY_FIVE).stream()
                .filter(p -> 60 * p.minute() < cook.boiledAt() - 30)
                .toList();
        for (Point point : warming) {
            once.add(point, point.celsius());
            for (int i = 0; i < 50; i++) {
                often.add(point, point.celsius());
            }
        }
        assertEquals(often.answer(), once.answer());
        List<Point> rest = cook.readings(Reads.EVERY_FIVE);
        rest.subList(warming.size(), rest.size() - 30).forEach(p -> {
            once.add(p, p.celsius());
            often.add(p, p.celsius());
        });
        assertEquals(often.answer(), once.answer());
    }

    @Test
    public void areOverWhenThePotStandsAtItsStop() {
        List<Double> late = new ArrayList<>();
        for (CookOf cook : cooks) {
            BoilWatch watch = new BoilWatch(cook.told(), cook.pressureKpa(), cook.stopHere());
            double over = Double.NaN;
            for (Point point : cook.readings(Reads.EVERY_SECOND, cook.stoppedAt() + 120)) {
                watch.add(point, point.celsius());
                boolean near = 60 * point.minute() > cook.stoppedAt() - 120;
                if (near && Double.isNaN(over) && watch.answer().reason() == Reason.PAST) {
                    over = 60 * point.minute();
                }
            }
            late.add(over - cook.stoppedAt());
        }
        double[] seconds =
                late.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        double median = seconds[seconds.length / 2];
        assertTrue(Math.abs(median) < 6, "as often early as late, median %.1f s of %s".formatted(median, late));
        assertTrue(seconds[0] > -90 && seconds[seconds.length - 1] < 90, late.toString());
    }

    @Test
    public void sayWhyThereAreNone() {
        CookOf cook = cooks.get(0);
        double stop = cook.stopHere();
        double first = stop - 15;
        assertEquals(reason(cook, 0, 20), Reason.NOT_BOILING, "cold");
        assertEquals(reason(cook, 0, stop + 1), Reason.PAST, "one reading past the stop");
        assertEquals(reason(cook, 0, first, 0.1, first), Reason.TOO_FEW, "near the boil, but only just seen");
        List<Double> still = new ArrayList<>();
        for (int i = 0; i <= 60; i++) {
            still.add(i / 6.0);
            still.add(first);
        }
        assertEquals(
                reason(cook, still.stream().mapToDouble(Double::doubleValue).toArray()),
                Reason.NOT_RISING,
                "it stands");
    }

    private static Reason reason(CookOf cook, double... minutesAndCelsius) {
        BoilWatch watch = new BoilWatch(cook.told(), cook.pressureKpa(), cook.stopHere());
        for (int i = 0; i < minutesAndCelsius.length; i += 2) {
            watch.add(new Point(minutesAndCelsius[i], minutesAndCelsius[i + 1]), minutesAndCelsius[i + 1]);
        }
        return watch.answer().reason();
    }
}

package org.zeststack.web.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.app.bench.FollowedPot;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.simulate.SimulatedPot;
import org.zeststack.core.sugar.Learned;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Runs;
import org.zeststack.web.TestApp;

/** Followed reading by reading a pot says what it says when all is read at once. */
public class FollowedPotTest {

    private static final String COMPONENT = "formula-1-v2";

    private TestApp app;
    private Bench bench;
    private RunSheet sheet;
    private FormulaBatch batch;
    private Bench.Series series;
    private final List<Bench.Reading> readings = new ArrayList<>();

    @BeforeClass
    public void cook() {
        app = TestApp.demo();
        bench = app.bean(Bench.class);
        sheet = app.bean(Runs.class).find(4).orElseThrow().sheet().orElseThrow();
        batch = sheet.formula(COMPONENT).orElseThrow();
        Instant started = Instant.now().minusSeconds(3600);
        series = bench.startSeries(4, COMPONENT, UUID.randomUUID(), Bench.SeriesKind.COOK, "", 1, started)
                .orElseThrow();
        SimulatedPot pot =
                new SimulatedPot(batch.pot(), sheet.gauge().pressureKpa(), SimulatedPot.usualWatts(batch.pot()), 3);
        for (int second = 0; second < 720; second += 5) {
            double shown =
                    sheet.gauge().thermometer().readingAt(pot.readingAt(second).getAsDouble());
            readings.add(new Bench.Reading(
                    UUID.randomUUID(), started.plusSeconds(second), (int) Math.round(shown * 10) * 100, false));
        }
    }

    @AfterClass(alwaysRun = true)
    public void close() {
        app.close();
    }

    private void follow(FollowedPot pot, List<Instant> turned) {
        long since = pot.upTo();
        pot.follow(
                bench,
                bench.readingsAfter(series.id(), since),
                since,
                turned.stream()
                        .map(at -> new Bench.PotSaid(COMPONENT, at, Bench.Said.RING))
                        .toList());
    }

    @Test
    public void aPotIsFollowedByManyEyes() {
        lateReadingsAndTurnsAreTakenWhereTheyBelong();
        twoWhoLookAtOnceTakeNothingTwice();
    }

    private void lateReadingsAndTurnsAreTakenWhereTheyBelong() {
        FollowedPot step = new FollowedPot(series, sheet, batch, Learned.NOTHING);
        Bench.Reading late = readings.get(100);
        for (int i = 0; i < readings.size(); i++) {
            if (i != 100) {
                bench.addReadings(series.id(), List.of(readings.get(i)), Instant.now());
            }
            follow(step, List.of());
        }
        int edition = step.curve(-1, 0).edition();
        FollowedPot without = new FollowedPot(series, sheet, batch, Learned.NOTHING);
        follow(without, List.of());
        assertEquals(step.state(), without.state(), "followed and at once");
        bench.addReadings(series.id(), List.of(late), Instant.now());
        follow(step, List.of());
        FollowedPot whole = new FollowedPot(series, sheet, batch, Learned.NOTHING);
        follow(whole, List.of());
        assertEquals(step.state(), whole.state(), "one came late");
        assertEquals(step.readings(), readings.size());
        assertNotEquals(step.curve(edition, 50).edition(), edition, "pages draw all of it again");
        assertEquals(step.curve(edition, 50).from(), 0);
        FollowedPot.Piece piece = step.curve(step.curve(-1, 0).edition(), 140);
        assertEquals(piece.points().size(), readings.size() - 140, "only what is new");
        Instant said = readings.get(120).at().plusSeconds(2);
        follow(step, List.of(said));
        FollowedPot told = new FollowedPot(series, sheet, batch, Learned.NOTHING);
        follow(told, List.of(said));
        assertEquals(step.state(), told.state(), "a hand said so later");
        assertNotEquals(step.state(), whole.state(), "and it matters");
        follow(step, List.of());
        assertEquals(step.state(), whole.state(), "it was taken back");
    }

    private void twoWhoLookAtOnceTakeNothingTwice() {
        FollowedPot pot = new FollowedPot(series, sheet, batch, Learned.NOTHING);
        Bench.Fresh all = bench.readingsAfter(series.id(), 0);
        pot.follow(bench, all, 0, List.of());
        pot.follow(bench, all, 0, List.of());
        assertEquals(pot.readings(), readings.size());
        assertTrue(pot.upTo() > 0);
    }
}

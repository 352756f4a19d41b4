package org.zeststack.store.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.store.schema.Tables.ENTRY;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.jooq.DSLContext;
import org.jooq.exception.DataAccessException;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.Note;
import org.zeststack.core.bench.PieceOutcome;
import org.zeststack.core.bench.Poured;
import org.zeststack.core.bench.RingTurned;
import org.zeststack.core.bench.RoomReading;
import org.zeststack.core.bench.StepDone;
import org.zeststack.core.bench.TakenOff;
import org.zeststack.core.bench.Tally;
import org.zeststack.core.bench.Undo;
import org.zeststack.core.bench.WeighIn;
import org.zeststack.core.component.Component;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.TestDatabase;
import org.zeststack.store.TestRun;
import org.zeststack.store.bench.Bench.NewEntry;
import org.zeststack.store.bench.Bench.Outcome;
import org.zeststack.store.bench.Bench.Reading;
import org.zeststack.store.bench.Bench.Series;
import org.zeststack.store.bench.Bench.SeriesKind;
import org.zeststack.store.live.LiveFeed;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.run.TestRuns;

public class JooqBenchTest {

    private static final Instant NOW = Instant.parse("2026-03-02T09:00:00Z");

    private TestDatabase database;
    private DSLContext db;
    private Bench bench;
    private Runs runs;
    private long run;

    @BeforeClass
    public void open() {
        database = TestDatabase.fresh();
        db = database.dsl();
        bench = new JooqBench(db);
        runs = TestRuns.of(db);
    }

    @BeforeMethod
    public void startRun() {
        run = TestRuns.planned(db);
        assertTrue(runs.start(run, TestRun.sheet(), NOW));
    }

    private static NewEntry entry(long key, EntryBody body, UUID corrects) {
        return new NewEntry(new UUID(7, key), body, "", "tablet", NOW, corrects);
    }

    private static EntryBody good(int pieces) {
        return new Tally(PieceOutcome.GOOD, pieces, "");
    }

    @Test
    public void theSameKeyCountsOnceAndAnotherBodyIsAConflict() {
        assertEquals(bench.append(run, entry(1, good(5), null), "Ada", NOW), Outcome.ACCEPTED);
        assertEquals(bench.append(run, entry(1, good(5), null), "Ada", NOW), Outcome.KNOWN);
        assertEquals(bench.append(run, entry(1, good(6), null), "Ada", NOW), Outcome.CONFLICT);
        List<BenchEntry> entries = bench.entries(run);
        assertEquals(entries.size(), 1);
        assertEquals(entries.get(0).body(), good(5));
        assertEquals(entries.get(0).by(), "Ada");
    }

    @Test
    public void theSameKeyWithAnotherComponentOrTimeIsAConflict() {
        NewEntry first = new NewEntry(new UUID(7, 1), good(5), TestRun.CARAMEL, "tablet", NOW, null);
        assertEquals(bench.append(run, first, "Ada", NOW), Outcome.ACCEPTED);
        assertEquals(bench.append(run, first, "Ada", NOW.plusSeconds(9)), Outcome.KNOWN, "sent again later");
        assertEquals(
                bench.append(run, new NewEntry(first.key(), good(5), "", "tablet", NOW, null), "Ada", NOW),
                Outcome.CONFLICT);
        Instant other = NOW.plusMillis(1);
        assertEquals(
                bench.append(run, new NewEntry(first.key(), good(5), TestRun.CARAMEL, "x", other, null), "Ada", NOW),
                Outcome.CONFLICT);
        assertEquals(
                bench.append(run, new NewEntry(first.key(), good(5), TestRun.CARAMEL, "x", null, null), "Ada", other),
                Outcome.KNOWN,
                "a device that tells no time says nothing of another");
        NewEntry timeless = new NewEntry(new UUID(7, 2), good(5), "", "tablet", null, null);
        assertEquals(bench.append(run, timeless, "Ada", NOW.plusSeconds(3)), Outcome.ACCEPTED);
        assertEquals(bench.append(run, timeless, "Ada", NOW.plusSeconds(8)), Outcome.KNOWN);
        assertEquals(bench.entries(run).get(1).at(), NOW.plusSeconds(3), "then it is the workshop's");
    }

    /** A tablet that was out of reach when the run was closed loses nothing. */
    @Test
    public void whatComesAfterClosingIsKeptAsLate() {
        bench.append(run, entry(1, good(5), null), "Ada", NOW);
        assertTrue(runs.close(run, NOW.plusSeconds(60)));
        for (int i = 2; i < 22; i++) {
            assertEquals(bench.append(run, entry(i, good(i), null), "Teo", NOW.plusSeconds(99)), Outcome.LATE);
            assertEquals(bench.append(run, entry(i, good(i), null), "Teo", NOW.plusSeconds(99)), Outcome.KNOWN);
        }
        assertEquals(
                bench.entries(run).stream().map(BenchEntry::late).toList(),
                IntStream.range(0, 21).mapToObj(i -> i > 0).toList());
    }

    @Test
    public void aSeriesOfTheSameKeyIsTheSameOrAConflict() {
        Series first = bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "", 1, NOW)
                .orElseThrow();
        expectThrows(
                KeyTaken.class,
                () -> bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.TEMPER, "", 1, NOW));
        expectThrows(
                KeyTaken.class,
                () -> bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "POT", 20, NOW));
        expectThrows(
                KeyTaken.class,
                () -> bench.startSeries(
                        run,
                        Component.made(TestRun.CARAMEL)
                                .orElseThrow()
                                .secondPot()
                                .key(),
                        new UUID(1, 1),
                        SeriesKind.COOK,
                        "",
                        1,
                        NOW));
        assertEquals(bench.seriesOf(run), List.of(first));
    }

    @Test
    public void aReadingOfTheSameKeyIsTheSameOrAConflictAndNothingOfItsBatchIsKept() {
        long series = bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "", 1, NOW)
                .orElseThrow()
                .id();
        Reading first = new Reading(new UUID(2, 1), NOW, 90_000, false);
        Reading next = new Reading(new UUID(2, 2), NOW.plusSeconds(5), 91_000, false);
        bench.addReadings(series, List.of(first), NOW);
        for (Reading other : List.of(
                new Reading(first.key(), NOW, 90_100, false),
                new Reading(first.key(), NOW.plusSeconds(1), 90_000, false),
                new Reading(first.key(), NOW, 90_000, true))) {
            KeyTaken taken = expectThrows(KeyTaken.class, () -> bench.addReadings(series, List.of(next, other), NOW));
            assertEquals(taken.keys(), List.of(first.key()));
        }
        expectThrows(
                KeyTaken.class,
                () -> bench.addReadings(series, List.of(next, new Reading(next.key(), next.at(), 92_000, false)), NOW));
        assertEquals(bench.readingsOf(run).get(series), List.of(first));
        assertEquals(
                bench.addReadings(series, List.of(new Reading(first.key(), null, 90_000, false), next), NOW),
                new Bench.Came(1, 1, 0));
    }

    /** Read while the pot was cooking, sent when it was over: they belong to it; what was read after it does not. */
    @Test
    public void readingsFromBeforeTheEndAreTakenAfterIt() {
        long series = bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "", 1, NOW)
                .orElseThrow()
                .id();
        bench.endSeries(series, NOW.plusSeconds(60));
        runs.close(run, NOW.plusSeconds(70));
        Reading during = new Reading(new UUID(2, 1), NOW.plusSeconds(60), 90_000, false);
        Reading after = new Reading(new UUID(2, 2), NOW.plusSeconds(61), 91_000, false);
        Reading untimed = new Reading(new UUID(2, 3), null, 91_000, false);
        assertEquals(
                bench.addReadings(series, List.of(during, after, untimed), NOW.plusSeconds(99)),
                new Bench.Came(1, 0, 2));
        assertEquals(bench.readingsOf(run).get(series), List.of(during));
        assertEquals(bench.addReadings(987_654, List.of(during), NOW), new Bench.Came(0, 0, 1));
    }

    @Test
    public void everyKindOfBodyComesBackAsItWas() {
        List<EntryBody> bodies = List.of(
                new StepDone("cook:" + TestRun.CARAMEL, 440.5),
                new StepDone("release", null),
                new WeighIn("filling-1", 512.3, 40.1, 12),
                new Tally(PieceOutcome.REJECTED, 3, "leak"),
                new Note("½ °C less — “next time”"),
                new RoomReading(21.5),
                new Undo());
        for (int i = 0; i < bodies.size(); i++) {
            bench.append(run, entry(i, bodies.get(i), null), "Ada", NOW);
        }
        assertEquals(bench.entries(run).stream().map(BenchEntry::body).toList(), bodies);
    }

    @Test
    public void entriesCannotBeChangedOrDeleted() {
        bench.append(run, entry(1, good(5), null), "Ada", NOW);
        expectThrows(
                DataAccessException.class,
                () -> db.update(ENTRY).set(ENTRY.DEVICE, "other").execute());
        expectThrows(DataAccessException.class, () -> db.deleteFrom(ENTRY).execute());
    }

    @Test
    public void correctingWhatIsNotThereIsRefused() {
        assertEquals(bench.append(run, entry(2, new Undo(), UUID.randomUUID()), "Ada", NOW), Outcome.REFUSED);
        assertEquals(bench.append(999_999, entry(1, good(1), null), "Ada", NOW), Outcome.REFUSED);
        long planned = TestRuns.planned(db);
        assertEquals(
                bench.append(planned, entry(3, good(1), null), "Ada", NOW), Outcome.REFUSED, "not on the bench yet");
    }

    @Test
    public void noEntryCorrectsAnotherRuns() {
        NewEntry here = entry(1, good(5), null);
        bench.append(run, here, "Ada", NOW);
        long other = TestRuns.planned(db);
        assertTrue(runs.start(other, TestRun.sheet(), NOW));
        assertEquals(bench.append(other, entry(2, new Undo(), here.key()), "Ada", NOW), Outcome.REFUSED);
        assertTrue(bench.entries(other).isEmpty());
        assertEquals(bench.append(run, entry(2, new Undo(), here.key()), "Ada", NOW), Outcome.ACCEPTED);
    }

    @Test
    public void theLastReadingsAreOfTheirOwnSeriesAndNewestFirst() {
        Series first = bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "", 1, NOW)
                .orElseThrow();
        for (int second : new int[] {3, 1, 2, 9}) {
            bench.addReadings(
                    first.id(),
                    List.of(new Reading(new UUID(5, second), NOW.plusSeconds(second), 1000 * second, false)),
                    NOW);
        }
        Series other = bench.startSeries(
                        run, TestRun.CARAMEL, new UUID(1, 2), SeriesKind.COOK, "", 1, NOW.plusSeconds(10))
                .orElseThrow();
        bench.addReadings(other.id(), List.of(new Reading(new UUID(6, 1), NOW.plusSeconds(4), 7000, false)), NOW);
        assertEquals(
                bench.lastReadings(first.id(), NOW.plusSeconds(3), 2).stream()
                        .map(Reading::celsius)
                        .toList(),
                List.of(3.0, 2.0));
    }

    @Test
    public void entriesFromManyHandsTakeDistinctNumbers() throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(4);
        List<Callable<Outcome>> work = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            // Every third is a repeat of the one before it, as a device does that lost the answer.
            long key = i % 3 == 2 ? i - 1L : i;
            work.add(() -> bench.append(run, entry(key, good((int) key + 1), null), "Ada", NOW));
        }
        for (var done : hands.invokeAll(work)) {
            assertTrue(Set.of(Outcome.ACCEPTED, Outcome.KNOWN).contains(done.get()));
        }
        hands.shutdown();
        assertEquals(
                bench.entries(run).stream().map(BenchEntry::sequence).toList(),
                LongStream.rangeClosed(1, 40).boxed().toList());
    }

    @Test
    public void readingsCountOnceAndStopWithTheSeries() {
        Series series = bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "", 1, NOW)
                .orElseThrow();
        assertEquals(
                bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "", 1, NOW)
                        .orElseThrow()
                        .id(),
                series.id());
        List<Reading> batch = IntStream.range(0, 50)
                .mapToObj(i -> new Reading(new UUID(2, i), NOW.plusSeconds(i), 90_000 + 100 * i, false))
                .toList();
        assertEquals(bench.addReadings(series.id(), batch, NOW), new Bench.Came(50, 0, 0));
        assertEquals(bench.addReadings(series.id(), batch.subList(40, 50), NOW), new Bench.Came(0, 10, 0));
        bench.endSeries(series.id(), NOW.plusSeconds(60));
        Reading after = new Reading(new UUID(3, 1), NOW.plusSeconds(90), 1, true);
        assertEquals(bench.addReadings(series.id(), List.of(after), NOW), new Bench.Came(0, 0, 1));
        List<Reading> kept = bench.readingsOf(run).get(series.id());
        assertEquals(kept, batch);
    }

    @Test
    public void onlyWhatIsNewIsReadAgain() {
        Series series = bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "", 1, NOW)
                .orElseThrow();
        assertEquals(bench.readingsAfter(series.id(), 0), new Bench.Fresh(List.of(), 0));
        Reading late = new Reading(new UUID(2, 1), NOW.plusSeconds(9), 91_000, false);
        Reading early = new Reading(new UUID(2, 2), NOW.plusSeconds(3), 90_000, false);
        bench.addReadings(series.id(), List.of(late, early), NOW);
        Bench.Fresh first = bench.readingsAfter(series.id(), 0);
        assertEquals(first.readings(), List.of(early, late), "by their own time");
        Reading next = new Reading(new UUID(2, 3), NOW.plusSeconds(5), 90_500, false);
        bench.addReadings(series.id(), List.of(early, next), NOW);
        Bench.Fresh then = bench.readingsAfter(series.id(), first.upTo());
        assertEquals(then.readings(), List.of(next));
        assertEquals(bench.readingsAfter(series.id(), then.upTo()), new Bench.Fresh(List.of(), then.upTo()));
        assertTrue(bench.cooksRunning().stream().anyMatch(s -> s.id() == series.id()));
        bench.endSeries(series.id(), NOW.plusSeconds(60));
        assertTrue(bench.cooksRunning().stream().noneMatch(s -> s.id() == series.id()));
    }

    @Test
    public void whatHandsSaidOfPotsStandsUntilItIsTakenBack() {
        bench.append(run, entry(1, new RingTurned(TestRun.CARAMEL), null), "Ada", NOW);
        bench.append(run, entry(2, new TakenOff(TestRun.CARAMEL), null), "Ada", NOW);
        bench.append(run, entry(3, new RingTurned(TestRun.CARAMEL), null), "Ada", NOW);
        bench.append(run, entry(4, new Undo(), entry(3, good(1), null).key()), "Ada", NOW);
        bench.append(run, entry(5, new Poured(TestRun.CARAMEL), null), "Ada", NOW);
        List<Bench.PotSaid> said = bench.potsSaid(List.of(run)).get(run);
        assertEquals(
                said.stream().map(Bench.PotSaid::what).toList(),
                List.of(Bench.Said.RING, Bench.Said.OFF, Bench.Said.POURED));
        assertTrue(said.stream().allMatch(s -> s.component().equals(TestRun.CARAMEL)));
        assertTrue(bench.potsSaid(List.of(run + 1000)).isEmpty());
    }

    @Test
    public void cooksOfAFormulaThatAreOverAreFoundNewestLast() {
        long formula = Long.parseLong(TestRun.CARAMEL.split("-")[1]);
        List<Long> ids = new ArrayList<>();
        for (String simulation : List.of("", "", "POT", "")) {
            UUID key = new UUID(7, ids.size());
            ids.add(bench.startSeries(run, TestRun.CARAMEL, key, SeriesKind.COOK, simulation, 1, NOW)
                    .orElseThrow()
                    .id());
        }
        long all = Long.MAX_VALUE;
        List<Long> over = bench.cooksOver(formula, false, all, 50).stream()
                .map(Series::id)
                .toList();
        assertTrue(over.containsAll(ids.subList(0, 2)) && !over.contains(ids.get(3)), "the last one runs still");
        assertFalse(over.contains(ids.get(2)), "a simulated one is none");
        assertEquals(bench.cooksOver(formula, false, all, 1).get(0).id(), ids.get(1), "the newest of them");
        assertEquals(bench.cooksOver(formula, false, ids.get(1), 1).get(0).id(), ids.get(0), "begun before");
        String honey = Component.made(TestRun.CARAMEL).orElseThrow().secondPot().key();
        long second = bench.startSeries(run, honey, new UUID(7, 9), SeriesKind.COOK, "", 1, NOW)
                .orElseThrow()
                .id();
        bench.endSeries(second, NOW.plusSeconds(60));
        assertTrue(bench.cooksOver(formula, true, all, 50).stream()
                .map(Series::id)
                .toList()
                .contains(second));
        assertTrue(
                bench.cooksOver(formula, false, all, 50).stream().noneMatch(s -> s.id() == second),
                "a second pot is another pot");
        assertTrue(bench.cooksOver(formula + 1000, false, all, 50).isEmpty());
    }

    @Test
    public void aSecondCookDoesNotChangeWhenTheFirstEnded() {
        Series first = bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "", 1, NOW)
                .orElseThrow();
        bench.endSeries(first.id(), NOW.plusSeconds(60));
        bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 2), SeriesKind.COOK, "", 1, NOW.plusSeconds(600));
        bench.endSeries(first.id(), NOW.plusSeconds(700));
        assertEquals(bench.series(first.id()).orElseThrow().endedAt(), NOW.plusSeconds(60));
    }

    @Test
    public void aComponentMayBeCookedTwice() {
        bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "", 1, NOW);
        bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 2), SeriesKind.COOK, "pot", 20, NOW);
        List<Series> series = bench.seriesOf(run);
        assertEquals(series.size(), 2);
        assertEquals(series.get(0).endedAt(), NOW, "a second cook ends the first");
        assertTrue(bench.startSeries(run, "no-such", new UUID(1, 3), SeriesKind.COOK, "", 1, NOW)
                .isEmpty());
        assertTrue(bench.simulatedRunning().stream().anyMatch(s -> s.run() == run && s.timeScale() == 20));
    }

    @Test
    public void eventsAreRereadFromASequenceNumber() {
        bench.append(run, entry(1, good(5), null), "Ada", NOW);
        Series series = bench.startSeries(run, TestRun.CARAMEL, new UUID(1, 1), SeriesKind.COOK, "", 1, NOW)
                .orElseThrow();
        bench.addReadings(series.id(), List.of(new Reading(new UUID(2, 1), NOW, 90_000, false)), NOW);
        bench.append(run, entry(2, good(6), null), "Ada", NOW);
        List<Bench.Event> events = bench.eventsAfter(run, 1, 100);
        assertEquals(events.stream().map(e -> e.sequence() + e.kind()).toList(), List.of("3READING", "4RUN", "4TALLY"));
        assertTrue(bench.eventsAfter(run, 4, 100).isEmpty());
    }

    @Test
    public void whatOneInstanceWritesAnotherHears() throws Exception {
        BlockingQueue<Long> heard = new LinkedBlockingQueue<>();
        try (LiveFeed feed = new LiveFeed(database.url(), database.user(), "", heard::add)) {
            assertEquals(heard.poll(10, TimeUnit.SECONDS), Long.valueOf(LiveFeed.EVERY_RUN));
            bench.append(run, entry(1, good(5), null), "Ada", NOW);
            assertEquals(heard.poll(10, TimeUnit.SECONDS), Long.valueOf(run));
        }
    }

    @Test
    public void aFrozenSheetComesBackWhole() {
        Run kept = runs.find(run).orElseThrow();
        RunSheet sheet = kept.sheet().orElseThrow();
        assertEquals(sheet, TestRun.sheet());
        assertEquals(kept.status(), Run.Status.STARTED);
        assertEquals(kept.allowances(), Allowances.USUAL);
        assertEquals(kept.plannedFor(), LocalDate.of(2026, 3, 2));
        assertTrue(!runs.start(run, TestRun.sheet(), NOW), "a run starts once");
        Set<Long> listed = ConcurrentHashMap.newKeySet();
        runs.list(List.of(Run.Status.STARTED)).forEach(r -> listed.add(r.id()));
        assertTrue(listed.contains(run));
    }
}

package org.zeststack.demo;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.function.DoubleUnaryOperator;
import org.springframework.stereotype.Component;
import org.zeststack.app.run.RunSheets;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.InTemper;
import org.zeststack.core.bench.Note;
import org.zeststack.core.bench.PieceOutcome;
import org.zeststack.core.bench.Proof;
import org.zeststack.core.bench.StepDone;
import org.zeststack.core.bench.TakenOff;
import org.zeststack.core.bench.Tally;
import org.zeststack.core.bench.TemperPlanned;
import org.zeststack.core.bench.WeighIn;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.rehearse.BowlHand;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.simulate.SimulatedPot;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperPlan;
import org.zeststack.demo.DemoDesigns.Made;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** Runs of the demo: closed ones with readings, weigh-ins and rejects, one on the bench, one planned. */
@Component
class DemoRuns {

    private static final long DAY_SECONDS = 24 * 3600;
    private static final long MINUTE = 60;

    private final Runs runs;
    private final Bench bench;
    private final RunSheets sheets;

    DemoRuns(Runs runs, Bench bench, RunSheets sheets) {
        this.runs = runs;
        this.bench = bench;
        this.sheets = sheets;
    }

    void load(Made made, Instant now) {
        Instant morning = now.minusSeconds(2 * 3600);
        closed(made, made.lantern(), 90, morning.minusSeconds(20 * DAY_SECONDS), 0.030, false, 9);
        closed(made, made.quay(), 120, morning.minusSeconds(13 * DAY_SECONDS), 0.022, true, 11);
        closed(made, made.lantern(), 150, morning.minusSeconds(6 * DAY_SECONDS), 0.014, false, 6);
        onBench(made, now);
        runs.plan(plan(made, made.quay(), 96, now.plusSeconds(2 * DAY_SECONDS)));
    }

    private static Runs.Plan plan(Made made, long bar, int pieces, Instant day) {
        LocalDate date = day.atZone(ZoneId.systemDefault()).toLocalDate();
        String name = bar == made.lantern() ? "Lantern" : "Quay";
        return new Runs.Plan(bar, 1, name, date, pieces, made.thermometer(), Allowances.USUAL, Map.of());
    }

    private final class Hand {
        private final long run;
        private final RunSheet sheet;
        private final SplittableRandom random;
        private Instant at;
        private int count;

        private Hand(long run, RunSheet sheet, Instant at) {
            this.run = run;
            this.sheet = sheet;
            this.at = at;
            this.random = new SplittableRandom(run);
        }

        private UUID key() {
            return UUID.nameUUIDFromBytes(("demo " + run + " " + count++).getBytes(StandardCharsets.UTF_8));
        }

        private void write(EntryBody body) {
            var entry = new Bench.NewEntry(key(), body, "", "bench tablet", at, null);
            bench.append(run, entry, "Teo", at);
            at = at.plusSeconds(MINUTE);
        }

        /** Reads a simulated vessel with the run's thermometer until a moment of its own time. */
        private void read(
                BenchStep step, Bench.SeriesKind kind, DoubleUnaryOperator celsius, double seconds, boolean end) {
            long series = bench.startSeries(run, step.component(), key(), kind, "", 1, at)
                    .orElseThrow()
                    .id();
            List<Bench.Reading> readings = new ArrayList<>();
            for (double second = 0; second <= seconds; second += 30) {
                double reading = sheet.gauge().thermometer().readingAt(celsius.applyAsDouble(second));
                readings.add(new Bench.Reading(
                        key(), at.plusSeconds((long) second), (int) Math.round(reading * 10) * 100, false));
            }
            bench.addReadings(series, readings, at);
            at = at.plusSeconds((long) seconds);
            if (end) {
                bench.endSeries(series, at);
            }
        }

        /** Cooks until a distance from the stop; 0 cooks to it. */
        private void cook(BenchStep step, double shortOfStop) {
            FormulaBatch batch = sheet.pot(step.component()).orElseThrow();
            var mass = batch.pot();
            SimulatedPot pot = new SimulatedPot(mass, sheet.gauge().pressureKpa(), SimulatedPot.usualWatts(mass), run);
            double second = 0;
            while (pot.celsiusAt(second) < batch.stop().here() - shortOfStop) {
                second += 5;
            }
            if (shortOfStop == 0) {
                takeOff(step, mass, second);
                return;
            }
            read(step, Bench.SeriesKind.COOK, s -> pot.readingAt(s).orElseThrow(), second, shortOfStop == 0);
        }

        /** The pot comes off the ring when it stands at its stop, and is read for a while after. */
        private void takeOff(BenchStep step, Composition mass, double second) {
            SimulatedPot pot = new SimulatedPot(
                    mass,
                    SimulatedPot.Ring.usual(mass, sheet.gauge().pressureKpa()),
                    SimulatedPot.Probe.GOOD,
                    List.of(new SimulatedPot.TakenOff(second)),
                    run);
            Instant began = at;
            read(step, Bench.SeriesKind.COOK, s -> pot.readingAt(s).orElseThrow(), second + 4 * MINUTE, true);
            Instant ended = at;
            at = began.plusSeconds((long) second);
            bench.append(
                    run,
                    new Bench.NewEntry(
                            key(), new TakenOff(step.component()), step.component(), "bench tablet", at, null),
                    "Teo",
                    at);
            at = ended;
        }

        private void temper(BenchStep step, boolean tooWarm) {
            write(new TemperPlanned(step.component(), Method.SLAB, 900, Bowl.Material.STEEL, 21, 48.0));
            InTemper bowl = InTemper.of(sheet, step.component()).orElseThrow();
            double top = bowl.window().work().greatest();
            TemperPlan.Of of = new TemperPlan.Of(
                    bowl.window(),
                    bowl.grams(),
                    bowl.cocoaButterFraction().orElseThrow(),
                    new Bowl(900, Bowl.Material.STEEL),
                    21,
                    true);
            BowlHand hand = new BowlHand(Method.SLAB, of, tooWarm ? top + 1.7 : top - 0.7, run + count);
            int through = hand.through();
            DoubleUnaryOperator reading = s -> hand.readingAt((int) s).orElseThrow();
            read(step, Bench.SeriesKind.TEMPER, reading, through + 5 * MINUTE, true);
            if (!tooWarm) {
                write(new Proof(
                        step.component(),
                        4,
                        21.0,
                        false,
                        false,
                        false,
                        bowl.sets(Bounds.shipped()).greatest(),
                        null));
            }
            at = at.plusSeconds(2 * MINUTE);
        }

        private void weighIn(String layer, double spread) {
            var window = sheet.layer(layer).orElseThrow().window();
            for (int i = 0; i < 6; i++) {
                double off = (random.nextDouble() + random.nextDouble() - 1) * 2 * spread;
                double grams = Math.round(window.targetGrams() * (1 + off) * 10) / 10.0;
                write(new WeighIn(layer, grams, 0, 1));
            }
        }
    }

    private void closed(Made made, long bar, int pieces, Instant start, double spread, boolean lostOnce, int faulty) {
        Hand hand = start(made, bar, pieces, start);
        for (BenchStep step : hand.sheet.steps()) {
            work(hand, step, spread, lostOnce);
        }
        tally(hand, faulty);
        hand.write(new Note(
                lostOnce
                        ? "Milk bowl went over while filling the piping bags. Keep the lamp off."
                        : "Paste sets fast below 24 °C: fill warm bags only."));
        runs.close(hand.run, hand.at);
    }

    private Hand start(Made made, long bar, int pieces, Instant start) {
        long id = runs.plan(plan(made, bar, pieces, start));
        Run run = runs.find(id).orElseThrow();
        RunSheet sheet = sheets.of(run);
        runs.start(id, sheet, start);
        return new Hand(id, sheet, start.plusSeconds(5 * MINUTE));
    }

    private static void work(Hand hand, BenchStep step, double spread, boolean lostOnce) {
        Double grams = null;
        if (step.kind() == StepKind.COOK) {
            hand.cook(step, 0);
        }
        if (hand.sheet.weighsAt(step)) {
            FormulaBatch batch = hand.sheet.pot(step.component()).orElseThrow();
            grams = (double) Math.round(batch.finishedGrams() * (1 - 0.012 * hand.random.nextDouble()));
        }
        if (step.kind() == StepKind.TEMPER) {
            if (lostOnce && step.component().contains("milk")) {
                hand.temper(step, true);
            }
            hand.temper(step, false);
        }
        if (hand.sheet.layer(step.layer()).isPresent()) {
            hand.weighIn(step.layer(), spread);
        }
        hand.write(new StepDone(step.id(), grams));
        hand.at = hand.at.plusSeconds(6 * MINUTE);
    }

    private static void tally(Hand hand, int faulty) {
        int make = hand.sheet.pieces().toMake();
        int chipped = faulty / 3;
        int streaked = faulty / 4;
        int leaking = faulty - chipped - streaked;
        hand.write(new Tally(PieceOutcome.GOOD, make - faulty, ""));
        hand.write(new Tally(PieceOutcome.REWORKED, chipped, "chipped edge"));
        hand.write(new Tally(PieceOutcome.SECOND, streaked, "streaks"));
        hand.write(new Tally(PieceOutcome.REJECTED, leaking, "leak at the back"));
    }

    /** The run under way: weighed out and on the flame, a few degrees short of the stop. */
    private void onBench(Made made, Instant now) {
        Hand hand = start(made, made.lantern(), 110, now.minusSeconds(45 * MINUTE));
        for (BenchStep step : hand.sheet.steps()) {
            if (step.kind() == StepKind.COOK) {
                hand.cook(step, 4.5);
                return;
            }
            hand.write(new StepDone(step.id(), null));
        }
    }
}

package org.zeststack.app.bench;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.InTemper;
import org.zeststack.core.bench.TemperPlanned;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.rehearse.BowlHand;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.simulate.SimulatedPot;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperPlan;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.bench.KeyTaken;
import org.zeststack.store.run.Runs;

/**
 * Thermometers that stand in simulated pots and bowls. Their readings come in by the same door as real ones. Which reading
 * falls due is a function of the series' start alone, and its key of series and tick, so it does not matter which instance
 * sends it, or that two do. A pot does what hands say of it.
 */
@Component
public class SimulatedDevices {

    /** Devices by the name kept with the series. */
    public enum Device {
        POT,
        /** The ring is turned down six kelvins before the stop. */
        POT_TURNED,
        /** Steam hits the probe, and it touches the bottom. */
        POT_SPIKES,
        POT_DROPS,
        /** The probe shows more than the run's thermometer is known for. */
        POT_LIES,
        BOWL,
        WARM_BOWL;

        private SimulatedPot.Probe probe() {
            return switch (this) {
                case POT_SPIKES -> new SimulatedPot.Probe(6, 0, 0.15, 0.06, 0);
                case POT_DROPS -> new SimulatedPot.Probe(6, 0, 0.15, 0, 0.4);
                case POT_LIES -> new SimulatedPot.Probe(6, 2, 0.15, 0, 0);
                default -> SimulatedPot.Probe.GOOD;
            };
        }
    }

    /** What a device shows at a second of its own time; nothing where a reading drops out. */
    private interface Source {
        OptionalDouble at(double second);

        /** What hands said of the pot that it stands in, oldest first. */
        default void hears(List<Bench.PotSaid> said) {
            // a bowl hears nothing
        }
    }

    /** A pot that does what hands say of it: what is poured is in it, and off the ring it is not heated. */
    private static final class PotSource implements Source {
        private final RunSheet sheet;
        private final FormulaBatch batch;
        private final Bench.Series series;
        private final SimulatedPot pot;
        private int heard;

        private PotSource(RunSheet sheet, FormulaBatch batch, Bench.Series series, SimulatedPot pot) {
            this.sheet = sheet;
            this.batch = batch;
            this.series = series;
            this.pot = pot;
        }

        @Override
        public OptionalDouble at(double second) {
            return shown(sheet, pot.readingAt(second));
        }

        @Override
        public void hears(List<Bench.PotSaid> said) {
            List<Bench.PotSaid> ofIt = said.stream()
                    .filter(s -> s.component().equals(series.component())
                            && !s.at().isBefore(series.startedAt())
                            && s.what() != Bench.Said.RING)
                    .toList();
            int pours = 0;
            for (int i = 0; i < ofIt.size(); i++) {
                Bench.PotSaid one = ofIt.get(i);
                double second = series.ownSeconds(one.at());
                boolean pour = one.what() == Bench.Said.POURED;
                if (i >= heard && pour && pours < batch.pours().size()) {
                    Composition mass = batch.pours().get(pours).mass().composition();
                    pot.does(new SimulatedPot.Added(second, mass.times(1.0 / batch.batches()), WARMED_CELSIUS));
                } else if (i >= heard && !pour) {
                    pot.does(new SimulatedPot.TakenOff(second));
                }
                pours += pour ? 1 : 0;
            }
            heard = Math.max(heard, ofIt.size());
        }
    }

    private static final Duration TICK = Duration.ofSeconds(1);
    private static final double LONGEST_SECONDS = SimulatedPot.LONGEST_SECONDS;
    private static final double TURNED_BEFORE_KELVIN = 6;
    private static final double TURNED_TO = 0.5;
    private static final double WARMED_CELSIUS = 70;
    private static final double TOO_WARM_KELVIN = 1.5;
    /** Of a couverture on a sheet that does not know it. */
    private static final double USUAL_BUTTER = 0.35;

    private static final double USUAL_ROOM_CELSIUS = 20;

    private final Bench bench;
    private final Runs runs;
    private final ReadingDoor door;
    private final Clock clock;
    private final Map<Long, Source> devices = new ConcurrentHashMap<>();

    SimulatedDevices(Bench bench, Runs runs, ReadingDoor door, Clock clock) {
        this.bench = bench;
        this.runs = runs;
        this.door = door;
        this.clock = clock;
    }

    @Scheduled(fixedRate = 1000)
    void tick() {
        List<Bench.Series> running = bench.simulatedRunning();
        devices.keySet().removeIf(id -> running.stream().noneMatch(s -> s.id() == id));
        Map<Long, List<Bench.PotSaid>> said = running.isEmpty()
                ? Map.of()
                : bench.potsSaid(
                        running.stream().map(Bench.Series::run).distinct().toList());
        running.forEach(s -> tick(s, said.getOrDefault(s.run(), List.of())));
    }

    private void tick(Bench.Series series, List<Bench.PotSaid> said) {
        long number = Duration.between(series.startedAt(), clock.instant()).dividedBy(TICK);
        Instant at = series.startedAt().plus(TICK.multipliedBy(number));
        if (number < 0) {
            return;
        }
        if (series.ownSeconds(at) > LONGEST_SECONDS) {
            bench.endSeries(series.id(), clock.instant());
            return;
        }
        device(series).hears(said);
        OptionalDouble reading = device(series).at(series.ownSeconds(at));
        if (reading.isEmpty()) {
            return;
        }
        UUID key = UUID.nameUUIDFromBytes(("simulated " + series.id() + " " + number).getBytes(StandardCharsets.UTF_8));
        double shown = Math.round(reading.getAsDouble() * 10) / 10.0;
        try {
            // Whoever simulates steam at a probe stands by what it shows.
            door.take(series, List.of(new ReadingDoor.Given(key, at, shown, false)), true);
        } catch (KeyTaken another) {
            // Another instance read this one a moment earlier.
        }
    }

    private Source device(Bench.Series series) {
        return devices.computeIfAbsent(series.id(), id -> build(series));
    }

    /** The device shows what this run's thermometer would show, to 0.1 °C. */
    private Source build(Bench.Series series) {
        RunSheet sheet = runs.find(series.run()).orElseThrow().frozen();
        Optional<FormulaBatch> batch = sheet.pot(series.component());
        if (batch.isPresent()) {
            SimulatedPot pot = pot(sheet, batch.get(), Device.valueOf(series.simulation()), series.id());
            return new PotSource(sheet, batch.get(), series, pot);
        }
        BowlHand hand = hand(sheet, series);
        return seconds -> shown(sheet, hand.readingAt((int) seconds));
    }

    /** A hand that follows the method that was chosen, of a bowl that nobody chose one for a usual one; too warm in the end if so said. */
    private BowlHand hand(RunSheet sheet, Bench.Series series) {
        InTemper bowl = InTemper.of(sheet, series.component()).orElseThrow();
        TemperWindow window = bowl.window();
        Optional<TemperPlanned> planned = BenchState.of(sheet, bench.entries(series.run()))
                .bowl(series.component())
                .planned();
        double end = Device.valueOf(series.simulation()) == Device.WARM_BOWL
                ? window.work().greatest() + TOO_WARM_KELVIN
                : (window.work().least() + window.work().greatest()) / 2;
        double butter = bowl.cocoaButterFraction().orElse(USUAL_BUTTER);
        return new BowlHand(
                planned.map(TemperPlanned::method).orElse(Method.BATH),
                new TemperPlan.Of(
                        window,
                        bowl.grams(),
                        butter,
                        planned.map(TemperPlanned::emptyBowl).orElse(Bowl.NONE),
                        planned.map(TemperPlanned::roomCelsius).orElse(USUAL_ROOM_CELSIUS),
                        true),
                end,
                series.id());
    }

    private static OptionalDouble shown(RunSheet sheet, OptionalDouble celsius) {
        return celsius.isEmpty()
                ? celsius
                : OptionalDouble.of(sheet.gauge().thermometer().readingAt(celsius.getAsDouble()));
    }

    private static SimulatedPot pot(RunSheet sheet, FormulaBatch batch, Device device, long seed) {
        Composition mass = batch.start();
        SimulatedPot.Ring ring = SimulatedPot.Ring.usual(mass, sheet.gauge().pressureKpa());
        SimulatedPot steady = new SimulatedPot(mass, ring, device.probe(), List.of(), seed);
        if (device != Device.POT_TURNED) {
            return steady;
        }
        double second = 0;
        while (second < LONGEST_SECONDS
                && steady.celsiusAt(second) < batch.stop().here() - TURNED_BEFORE_KELVIN) {
            second++;
        }
        return new SimulatedPot(mass, ring, device.probe(), List.of(new SimulatedPot.Turned(second, TURNED_TO)), seed);
    }
}

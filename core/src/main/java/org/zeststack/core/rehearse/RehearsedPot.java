package org.zeststack.core.rehearse;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.simulate.SimulatedPot;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.sugar.CookProgress;
import org.zeststack.core.sugar.Learned;
import org.zeststack.core.sugar.StagedCook;

/** One pot of a rehearsal: the simulated one, and what its readings tell whoever watches it. */
final class RehearsedPot {

    private static final double HOT_WATER_CELSIUS = 90;

    private final Scenario.Pot pot;
    private final double pressureKpa;
    private final double strength;
    private final double offsetKelvin;
    private final int everySeconds;
    private final long seed;
    private final double stopCelsiusHere;
    private SimulatedPot simulated;
    private StagedCook watched;
    private double litAt = Double.NaN;
    private double offAt = Double.NaN;
    private double inAt = Double.NaN;
    private double ring;
    private double read;
    private double last = Double.NaN;
    /** What is known of the thermometer's error. */
    private double assumed;

    /**
     * A pot that stands beside its ring.
     *
     * @param strength how many times as strong as usual its ring is
     * @param offsetKelvin what the thermometer shows above the truth
     */
    RehearsedPot(Scenario scenario, Scenario.Pot pot, double strength, double offsetKelvin, long seed) {
        this.pot = pot;
        this.pressureKpa = scenario.pressureKpa();
        this.strength = strength;
        this.offsetKelvin = offsetKelvin;
        this.everySeconds = scenario.everySeconds();
        this.seed = seed;
        stopCelsiusHere = Cook.to(pot.mass(), pot.stopCelsius(), pressureKpa).stopCelsiusHere();
        watched = watch(pot.mass());
    }

    private StagedCook watch(Composition mass) {
        return new StagedCook(mass, List.of(), pot.stopCelsius(), pressureKpa, 0);
    }

    /** The pot on its ring at full heat. */
    private SimulatedPot simulated(SimulatedPot.Probe probe) {
        SimulatedPot.Ring usual = SimulatedPot.Ring.usual(pot.mass(), pressureKpa);
        SimulatedPot.Ring own = new SimulatedPot.Ring(
                pressureKpa, strength * usual.watts(), usual.lossPerKelvin(), usual.wander(), usual.potKg());
        return new SimulatedPot(pot.mass(), own, probe, List.of(), seed);
    }

    void ring(double second, double share) {
        if (simulated == null) {
            simulated = simulated(new SimulatedPot.Probe(6, offsetKelvin, 0.1, 0, 0));
            litAt = second;
            read = second;
        }
        upTo(second);
        simulated.does(new SimulatedPot.Turned(second - litAt, share));
        ring = share;
        offAt = Double.NaN;
        watched.turned((second - litAt) / 60);
    }

    void off(double second) {
        if (simulated != null && Double.isNaN(offAt)) {
            upTo(second);
            simulated.does(new SimulatedPot.TakenOff(second - litAt));
            ring = 0;
            offAt = second;
        }
    }

    void water(double second, double grams) {
        if (simulated != null) {
            upTo(second);
            Composition water = Composition.of(Map.of(Part.WATER, grams), 0);
            simulated.does(new SimulatedPot.Added(second - litAt, water, HOT_WATER_CELSIUS));
            double left = watched.state()
                    .map(CookProgress.State::waterGrams)
                    .orElse(pot.mass().waterGrams());
            watched = watch(pot.mass().withWater(left + grams));
        }
    }

    void pour(double second) {
        off(second);
        inAt = second;
    }

    /** Reads the thermometer as often as it is read. */
    void upTo(double second) {
        while (simulated != null && Double.isNaN(inAt) && read <= second) {
            double own = read - litAt;
            OptionalDouble shown = simulated.readingAt(own);
            if (shown.isPresent()) {
                last = Math.round(10 * shown.getAsDouble()) / 10.0;
                watched.add(new CookProgress.Point(own / 60, last - assumed), last);
            }
            read += everySeconds;
        }
    }

    /** From here on the thermometer's error is known, and what was read is read anew by it. */
    void known(double offset) {
        assumed = offset;
        watched = watch(pot.mass());
        last = Double.NaN;
        read = Double.isNaN(litAt) ? read : litAt;
    }

    Optional<CookProgress.MinutesLeft> minutes() {
        return Double.isNaN(litAt) || !Double.isNaN(offAt) ? Optional.empty() : watched.minutes(Learned.NOTHING);
    }

    OptionalDouble reading() {
        return Double.isNaN(last) ? OptionalDouble.empty() : OptionalDouble.of(last);
    }

    /** What the thermometer shows at the stop here, by what is known of it. */
    double stopReading() {
        return stopCelsiusHere + assumed;
    }

    double stopCelsiusHere() {
        return stopCelsiusHere;
    }

    double trueCelsius(double second) {
        return simulated == null ? Double.NaN : simulated.celsiusAt(second - litAt);
    }

    /** How long it takes over the last kelvins before its stop at full heat, s. */
    double lastSeconds(double kelvin) {
        SimulatedPot alone = simulated(SimulatedPot.Probe.GOOD);
        double from = 0;
        while (alone.celsiusAt(from) < stopCelsiusHere - kelvin) {
            from++;
        }
        double to = from;
        while (alone.celsiusAt(to) < stopCelsiusHere) {
            to++;
        }
        return to - from;
    }

    Scenario.Pot pot() {
        return pot;
    }

    double ring() {
        return ring;
    }

    boolean lit() {
        return !Double.isNaN(litAt);
    }

    double offAt() {
        return offAt;
    }

    double inAt() {
        return inAt;
    }
}

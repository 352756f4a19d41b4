package org.zeststack.core.rehearse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.simulate.SimulatedBowl;
import org.zeststack.core.temper.Coach;
import org.zeststack.core.temper.Slab;
import org.zeststack.core.temper.TemperPlan;
import org.zeststack.core.temper.TemperStream;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.temper.TemperWindow;

/** A bowl to practise on. It is simulated with crystals of its own; what is said of it is what the bench says. */
public final class BowlRehearsal implements Practice {

    private static final int READS_EVERY = 5;
    private static final double MELTING_WATTS_PER_KG = 420;
    private static final double BURST_WATTS = 250;
    private static final int BURST_SECONDS = 12;
    private static final int EVEN_SECONDS = 25;
    private static final double BATH_WATER_GRAMS = 1500;
    private static final double BATH_ICE_GRAMS = 600;
    private static final double MOST_SEED = 1000;
    private static final int PROOF_SECONDS = 150;

    /** A slab that comes back lands inside where the kept part is so near to what it must be, K. */
    private static final double KEPT_WITHIN_KELVIN = 3;

    private static final double HIDDEN_WARMTH_WATTS = 45;
    /** Less than this share of the bowl in pieces is none to be seen. */
    private static final double UNSEEN_SHARE = 0.02;

    private static final double TOO_COLD_KELVIN = 1;
    private static final double OVER_KELVIN = 0.3;

    /** A dip that was looked at. */
    public record Dip(double minute, boolean passed, String look) {}

    private final BowlScenario scenario;
    private final TemperWindow window;
    private final SimulatedBowl bowl;
    private final double strength;
    private final List<TemperVerdict.Reading> readings = new ArrayList<>();
    private boolean inWater;
    private int burstEnds = -EVEN_SECONDS;
    private double heat;
    private boolean seeded;
    private double seedGrams;
    private double keptAtReturn = Double.NaN;
    private double slabAtReturn;
    private double warmest;
    private double warmestWorked;
    private double coldest = Double.POSITIVE_INFINITY;
    private boolean meltedOut;
    private int dippedAt = -1;
    private Dip dip;
    private boolean ended;

    /**
     * Begins one.
     *
     * @param seed what it hides depends on it
     */
    public BowlRehearsal(BowlScenario scenario, long seed) {
        this.scenario = scenario;
        window = scenario.window();
        inWater = scenario == BowlScenario.SLAB;
        strength = 1.3 + 0.3 * new SplittableRandom(seed).nextDouble();
        TemperPlan.Of of = scenario.of(scenario.grams());
        bowl = new SimulatedBowl(
                new SimulatedBowl.Filling(
                        window.kind(), scenario.grams(), of.cocoaButterFraction(), of.roomCelsius(), true),
                BowlHand.place(of.bowl(), of.roomCelsius()),
                seed);
        read();
    }

    public BowlScenario scenario() {
        return scenario;
    }

    @Override
    public String title() {
        return scenario.title();
    }

    @Override
    public String task() {
        return scenario.task();
    }

    @Override
    public boolean upTo(double second) {
        while (!ended && bowl.second() < (int) second) {
            warmIt();
            bowl.upTo(bowl.second() + 1);
            follow();
        }
        return ended;
    }

    /** What was asked for, what a burst brings, and what a slab's bowl gets from the warm water that it stands in. */
    private void warmIt() {
        double watts = heat;
        if (bowl.second() < burstEnds) {
            watts += BURST_WATTS * (scenario == BowlScenario.PARTIAL ? strength : 1);
        }
        if (inWater && bowl.slabCelsius().isPresent()) {
            watts += HIDDEN_WARMTH_WATTS;
        }
        bowl.does(new SimulatedBowl.Heat(watts));
    }

    private void follow() {
        double celsius = bowl.celsiusAt(bowl.second());
        warmest = Math.max(warmest, celsius);
        meltedOut |= celsius >= window.meltOut().least() && unseen();
        boolean partly = !scenario.method().meltsOut();
        if (meltedOut || partly) {
            coldest = Math.min(coldest, celsius);
        }
        boolean down = partly || coldest <= window.work().greatest();
        boolean even = bowl.second() >= burstEnds + EVEN_SECONDS;
        if (down && even) {
            warmestWorked = Math.max(warmestWorked, celsius);
        }
        if (bowl.second() % READS_EVERY == 0 && even) {
            read();
        }
        if (dippedAt >= 0 && bowl.second() == dippedAt + PROOF_SECONDS) {
            dippedAt = -1;
        }
    }

    private boolean unseen() {
        return bowl.piecesGrams() < UNSEEN_SHARE * scenario.grams();
    }

    private void read() {
        readings.add(new TemperVerdict.Reading(bowl.second(), bowl.shownAt(bowl.second()), false));
    }

    @Override
    public void does(Deed deed) {
        if (ended || !scenario.takes(deed.what()) || !Double.isFinite(deed.amount())) {
            return;
        }
        upTo(deed.second());
        double share = Math.max(0, Math.min(1, deed.amount()));
        switch (deed.what()) {
            case HEAT -> heat = share * MELTING_WATTS_PER_KG * scenario.grams() / 1000;
            case STIR -> bowl.does(new SimulatedBowl.Stir(share));
            case BURST -> burst();
            case SEED -> {
                if (deed.amount() > 0) {
                    seed(Math.min(MOST_SEED, deed.amount()));
                }
            }
            case LIFT -> bowl.does(new SimulatedBowl.LiftOut());
            case BATH ->
                bowl.does(
                        deed.amount() > 0
                                ? new SimulatedBowl.OverBath(BATH_WATER_GRAMS, BATH_ICE_GRAMS)
                                : new SimulatedBowl.OffBath());
            case SLAB -> bowl.does(new SimulatedBowl.OntoSlab(TemperPlan.SLAB_SHARE));
            case OFF -> inWater = false;
            case BACK -> back();
            case PROOF -> prove();
            default -> {
                // nothing of a bowl
            }
        }
    }

    /** Whoever bursts again before it was stirred through heats what is hot. */
    private void burst() {
        if (burstEnds > 0) {
            warmestWorked = Math.max(warmestWorked, bowl.celsius());
        }
        burstEnds = bowl.second() + BURST_SECONDS;
    }

    private void seed(double grams) {
        seeded = true;
        seedGrams += grams;
        bowl.does(new SimulatedBowl.AddPieces(grams, scenario.of(1).roomCelsius(), true));
    }

    private void back() {
        bowl.slabCelsius().ifPresent(slab -> {
            keptAtReturn = bowl.celsius();
            slabAtReturn = slab;
            bowl.does(new SimulatedBowl.Back());
        });
    }

    private void prove() {
        boolean good = bowl.tempered() && bowl.celsius() <= window.work().greatest() + OVER_KELVIN;
        String look = good
                ? bowl.thick() ? "sets in 3 min, glossy, but it is thick" : "sets in 4 min, glossy"
                : bowl.unstable() > bowl.stable()
                        ? "sets dull, soft, with streaks"
                        : "is still wet after 8 min, then dull";
        dip = new Dip(bowl.second() / 60.0, good, look);
        dippedAt = bowl.second();
    }

    @Override
    public boolean over() {
        return ended;
    }

    @Override
    public void end() {
        ended = true;
    }

    @Override
    public double minutes() {
        return bowl.second() / 60.0;
    }

    /** What the probe shows, on the slab while something lies there. */
    public double reading() {
        return readings.get(readings.size() - 1).celsius();
    }

    /** What stands in the bowl while the rest is on the slab. */
    public Optional<Double> kept() {
        return bowl.slabCelsius().map(s -> bowl.celsius());
    }

    /** What the bench says of its readings. */
    public TemperVerdict.State state() {
        return TemperStream.of(window, scenario.method(), readings, TemperStream.UNCERTAIN_KELVIN);
    }

    /** What is said to the hands, by bounds that judge the bowl's pace. */
    public Coach coach(Bounds bounds) {
        TemperPlan.Of of = scenario.of(scenario.grams());
        var looked = new Coach.Looked(window, scenario.method(), of.bowl().joulesPerKelvin(), bounds);
        return Coach.of(looked, readings, state());
    }

    /** What is seen of what has not melted. */
    public String pieces() {
        double share = bowl.piecesGrams() / scenario.grams();
        return unseen() ? "none" : share < 0.15 ? "a few" : share < 0.35 ? "about a quarter" : "many";
    }

    /** How it runs. */
    public String runs() {
        return bowl.thick()
                ? "thick, its trace stays"
                : bowl.tempered() ? "in one thread, with body" : "thin, like oil";
    }

    /** Whether the bowl stands in warm water. */
    public boolean inWater() {
        return inWater;
    }

    public boolean onSlab() {
        return bowl.slabCelsius().isPresent();
    }

    public boolean heated() {
        return heat > 0 || bowl.second() < burstEnds;
    }

    /** The last dip once it is set; empty before. */
    public Optional<Dip> dip() {
        return dippedAt >= 0 ? Optional.empty() : Optional.ofNullable(dip);
    }

    /** Whether a dip is drying. */
    public boolean dipping() {
        return dippedAt >= 0;
    }

    @Override
    public List<Mark> marks() {
        List<Mark> marks = new ArrayList<>();
        marks.add(
                switch (scenario) {
                    case SEED -> enoughSeed();
                    case SLAB -> keptPart();
                    case BATH -> offTheBath();
                    case PARTIAL -> neverOver();
                });
        if (scenario != BowlScenario.PARTIAL) {
            marks.add(new Mark(
                    "Melted out first",
                    meltedOut,
                    "It came to %s; from %s on no crystal of before is left."
                            .formatted(
                                    Say.celsius(warmest, 1),
                                    Say.celsius(window.meltOut().least(), 0))));
        }
        marks.add(inTemper());
        marks.add(new Mark(
                "Proved before the work",
                dip != null && dip.passed() && dippedAt < 0,
                dip == null
                        ? "No dip was made: only a dip tells temper from warmth."
                        : "The dip of minute %s %s.".formatted(Say.bare(Say.minutes(dip.minute(), 0)), dip.look())));
        return marks;
    }

    private Mark enoughSeed() {
        double alone = scenario.seedGrams(false);
        double with = scenario.seedGrams(true);
        boolean good = seeded && coldest <= window.work().greatest() + OVER_KELVIN && unseen();
        return new Mark(
                "Enough seed, and none of it left solid",
                good,
                "%s went in. The couverture alone asks for %s; the glass holds heat for %s more."
                        .formatted(Say.grams(seedGrams, 0), Say.grams(alone, 0), Say.grams(with - alone, 0)));
    }

    private Mark keptPart() {
        double middle = (window.work().least() + window.work().greatest()) / 2;
        if (Double.isNaN(keptAtReturn)) {
            return new Mark("The kept part as warm as it must be", false, "Nothing came back from a slab.");
        }
        double must = Slab.keptCelsius(
                TemperPlan.SLAB_SHARE,
                Math.max(Slab.SLAB_CELSIUS.least(), Math.min(Slab.SLAB_CELSIUS.greatest(), slabAtReturn)),
                middle);
        return new Mark(
                "The kept part as warm as it must be",
                Math.abs(keptAtReturn - must) <= KEPT_WITHIN_KELVIN,
                "The slab came back at %s, so the kept part had to stand at %s; it stood at %s. Warm water under it kept warming it."
                        .formatted(Say.celsius(slabAtReturn, 1), Say.celsius(must, 1), Say.celsius(keptAtReturn, 1)));
    }

    private Mark offTheBath() {
        if (!meltedOut) {
            return new Mark(
                    "Off the bath inside its window", false, "It was never melted out, so nothing began anew in it.");
        }
        double least = window.coolTo().least() - TOO_COLD_KELVIN;
        boolean good = coldest >= least && coldest <= window.coolTo().greatest();
        return new Mark(
                "Off the bath inside its window",
                good,
                "It came down to %s; %s is wanted. Thin steel over ice falls several kelvins a minute: off it early, it falls on."
                        .formatted(Say.celsius(coldest, 1), window.coolTo().inWords()));
    }

    private Mark neverOver() {
        boolean good = warmestWorked <= window.work().greatest() + OVER_KELVIN;
        return new Mark(
                "Never over the top of its window",
                good,
                "It came to %s; %s is the top. The oven was %s times as strong as it looked, and glass goes on warming after a burst."
                        .formatted(
                                Say.celsius(warmestWorked, 1),
                                Say.celsius(window.work().greatest(), 1),
                                Say.number(strength, 1)));
    }

    private Mark inTemper() {
        double celsius = bowl.celsius();
        boolean inside = celsius >= window.work().least() - OVER_KELVIN
                && celsius <= window.work().greatest() + OVER_KELVIN;
        boolean good = bowl.tempered() && inside && bowl.slabCelsius().isEmpty();
        String crystals = bowl.tempered()
                ? "It had the right crystals"
                : bowl.unstable() > bowl.stable()
                        ? "Its crystals were mostly the wrong ones"
                        : "It had too few crystals";
        return new Mark(
                "In temper and in its window when the work began",
                good,
                "%s and stood at %s; it is worked at %s."
                        .formatted(
                                crystals, Say.celsius(celsius, 1), window.work().inWords()));
    }
}

package org.zeststack.core.rehearse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.zeststack.core.air.Steam;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sugar.CookProgress.MinutesLeft;

/**
 * A cook to practise on. The pots are simulated and hide something; what hands do is taken in order of time, and when all is done it is
 * marked, each mark with its reason.
 */
public final class Rehearsal implements Practice {

    /** Whites at soft peaks: the share of the whisking that they need, from which and to which (common practice, no source). */
    private static final double SOFT = 0.9;

    private static final double STIFF = 1.25;

    /** A pot that stands off its ring longer than this is too cool and too stiff to pour, s (common practice, no source). */
    private static final double LONGEST_WAIT = 240;

    /** The honey goes in so long before the syrup, at most, s (common practice, no source). */
    private static final double LONGEST_APART = 300;

    private static final double NEAR_KELVIN = 8;
    private static final double WHITES_SECONDS = 600;

    /**
     * A pot as it is seen.
     *
     * @param reading what the thermometer shows; empty before the first reading
     * @param stopReading what it shows at the stop here, by what is known of it
     * @param ring share of its heat
     */
    public record SeenPot(
            String name,
            boolean lit,
            double ring,
            boolean off,
            boolean in,
            OptionalDouble reading,
            double stopReading,
            Optional<MinutesLeft> minutes) {}

    private final Scenario scenario;
    private final List<RehearsedPot> pots = new ArrayList<>();
    private final List<Deed> deeds = new ArrayList<>();
    private final double offsetKelvin;
    private double now;
    private double whiskSpeed;
    private double whisked;
    private double whiskedAtPour = Double.NaN;
    private double checkedAt = Double.NaN;
    private boolean ended;

    /**
     * Begins one.
     *
     * @param seed what it hides depends on it
     */
    public Rehearsal(Scenario scenario, long seed) {
        this.scenario = scenario;
        SplittableRandom random = new SplittableRandom(seed);
        double lie = (1.8 + 1.2 * random.nextDouble()) * (random.nextBoolean() ? 1 : -1);
        offsetKelvin = scenario.checks() ? lie : 0;
        for (int i = 0; i < scenario.pots().size(); i++) {
            boolean strong = scenario.pours() || i > 0;
            double strength = strong ? 1.6 + 0.3 * random.nextDouble() : 0.95 + 0.1 * random.nextDouble();
            pots.add(new RehearsedPot(scenario, scenario.pots().get(i), strength, offsetKelvin, seed + i));
        }
    }

    public Scenario scenario() {
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

    /**
     * Lets time pass to a second of its own; what lies before the last one is that one.
     *
     * @return whether it was over by then
     */
    @Override
    public boolean upTo(double second) {
        if (!over()) {
            double to = Math.max(now, second);
            whisked += whiskSpeed * (to - now);
            now = to;
            pots.forEach(p -> p.upTo(now));
        }
        return over();
    }

    /** Somebody does something, not before the last deed; nothing once it is over, and nothing that this one does not have. */
    @Override
    public void does(Deed deed) {
        boolean pot = deed.pot() >= 0 && deed.pot() < pots.size();
        if (over() || !pot || !Double.isFinite(deed.amount())) {
            return;
        }
        upTo(deed.second());
        RehearsedPot of = pots.get(deed.pot());
        switch (deed.what()) {
            case RING -> of.ring(now, Math.max(0, Math.min(1, deed.amount())));
            case OFF -> of.off(now);
            case WATER -> pour(of, deed);
            case CHECK -> check();
            case WHISK -> whiskSpeed = scenario.whisks() ? Math.max(0, Math.min(1, deed.amount())) : 0;
            case POUR -> join(of);
            default -> {
                return;
            }
        }
        deeds.add(new Deed(now, deed.what(), deed.pot(), deed.amount()));
    }

    private void pour(RehearsedPot of, Deed deed) {
        if (scenario.pours()) {
            of.water(now, Math.max(1, Math.min(200, deed.amount())));
        }
    }

    private void check() {
        if (scenario.checks()) {
            checkedAt = now;
            pots.forEach(p -> p.known(offsetKelvin));
        }
    }

    private void join(RehearsedPot of) {
        if (scenario.whisks() && of.lit()) {
            of.pour(now);
            whiskedAtPour = Double.isNaN(whiskedAtPour) ? whisked : whiskedAtPour;
        }
    }

    /** Whether all is done: the pots are in, or where nothing is joined, off. */
    @Override
    public boolean over() {
        return ended || scenario.whisks() && pots.stream().noneMatch(p -> Double.isNaN(p.inAt()));
    }

    /** Whoever rehearses says that it is done. */
    @Override
    public void end() {
        ended = true;
    }

    @Override
    public double minutes() {
        return now / 60;
    }

    public List<SeenPot> pots() {
        return pots.stream()
                .map(p -> new SeenPot(
                        p.pot().name(),
                        p.lit(),
                        p.ring(),
                        !Double.isNaN(p.offAt()),
                        !Double.isNaN(p.inAt()),
                        p.reading(),
                        p.stopReading(),
                        p.minutes()))
                .toList();
    }

    /** What the whites look like. */
    public String whites() {
        double share = whisked / WHITES_SECONDS;
        if (share == 0) {
            return "not begun";
        }
        if (share < 0.6) {
            return "loose foam";
        }
        if (share < SOFT) {
            return "holds a trail";
        }
        return share <= STIFF ? "soft peaks" : "stiff, going dry";
    }

    /** What a check of the thermometer said; empty before it. */
    public String checked() {
        if (Double.isNaN(checkedAt)) {
            return "";
        }
        double boils = Steam.boilingCelsius(scenario.pressureKpa());
        return "In boiling water it shows %s; water boils here at %s."
                .formatted(Say.celsius(boils + offsetKelvin, 1), Say.celsius(boils, 1));
    }

    /** What is said of it once it is over. */
    @Override
    public List<Mark> marks() {
        List<Mark> marks = new ArrayList<>();
        pots.forEach(p -> marks.add(stop(p)));
        switch (scenario) {
            case CREAM_CARAMEL -> marks.add(checkedInTime());
            case RACING_SYRUP -> {
                marks.add(turnedDown());
                marks.add(pouredOffTheRing());
            }
            case NOUGAT -> {
                marks.add(whitesWaited());
                marks.add(order());
                marks.add(waited(pots.get(1), "Its ring was stronger than the other's."));
                marks.add(waited(pots.get(0), ""));
            }
        }
        return marks;
    }

    private Mark stop(RehearsedPot pot) {
        String what = pot.pot().name() + ": off at its stop";
        if (Double.isNaN(pot.offAt())) {
            return new Mark(what, false, "It never came off the ring.");
        }
        double was = pot.trueCelsius(pot.offAt());
        double away = was - pot.stopCelsiusHere();
        boolean good = Math.abs(away) <= pot.pot().withinKelvin();
        return new Mark(
                what,
                good,
                "It was at a true %s; %s at sea level are %s here. %s"
                        .formatted(
                                Say.celsius(was, 1),
                                Say.celsius(pot.pot().stopCelsius(), 1),
                                Say.celsius(pot.stopCelsiusHere(), 1),
                                good
                                        ? "Within %s."
                                                .formatted(Say.of(pot.pot().withinKelvin(), Measure.KELVIN))
                                        : "%s too %s."
                                                .formatted(Say.kelvin(Math.abs(away), 1), away > 0 ? "far" : "early")));
    }

    private Mark checkedInTime() {
        double off = pots.get(0).offAt();
        boolean good = checkedAt < off || Double.isNaN(off) && !Double.isNaN(checkedAt);
        return new Mark(
                "The thermometer was checked in time",
                good,
                "It showed %s too %s. Hold one that you do not know into boiling water before the pot is hot."
                        .formatted(Say.kelvin(Math.abs(offsetKelvin), 1), offsetKelvin > 0 ? "much" : "little"));
    }

    private Mark turnedDown() {
        RehearsedPot pot = pots.get(0);
        Optional<Deed> down = deeds.stream()
                .filter(d -> d.what() == Deed.What.RING && d.amount() < 1)
                .filter(d -> pot.trueCelsius(d.second()) < pot.stopCelsiusHere())
                .findFirst();
        return new Mark(
                "The ring was turned down before the stop",
                down.isPresent(),
                "Its ring was stronger than it looked: at full heat the last %s take %s, and it is read every %s."
                        .formatted(
                                Say.of(NEAR_KELVIN, Measure.KELVIN),
                                Say.of(pot.lastSeconds(NEAR_KELVIN), 0, Measure.SECONDS),
                                Say.of(scenario.everySeconds(), 0, Measure.SECONDS)));
    }

    /** Water on a pot that is on its ring throws steam. */
    private Mark pouredOffTheRing() {
        double heat = 0;
        boolean good = true;
        for (Deed deed : deeds) {
            heat = deed.what() == Deed.What.RING ? deed.amount() : deed.what() == Deed.What.OFF ? 0 : heat;
            good &= deed.what() != Deed.What.WATER || heat == 0;
        }
        return new Mark(
                "Water only into a pot that is off its ring",
                good,
                "Water on boiling sugar throws steam and hot drops: off the heat, slowly, at arm's length.");
    }

    private Mark whitesWaited() {
        double share = whiskedAtPour / WHITES_SECONDS;
        boolean good = share >= SOFT && share <= STIFF;
        return new Mark(
                "Whites at soft peaks when the first pot went in",
                good,
                Double.isNaN(share)
                        ? "Nothing was poured onto them."
                        : "They were whisked for %s of the %s that they need; they were slow ones."
                                .formatted(
                                        Say.bare(Say.minutes(whiskedAtPour / 60, 1)),
                                        Say.of(WHITES_SECONDS / 60, 0, Measure.MINUTES)));
    }

    private Mark order() {
        double apart = pots.get(0).inAt() - pots.get(1).inAt();
        boolean good = apart > 0 && apart <= LONGEST_APART;
        return new Mark(
                "The honey first, the syrup soon after",
                good,
                Double.isNaN(apart)
                        ? "Not both went in."
                        : apart > 0
                                ? "The syrup went in %s after the honey."
                                        .formatted(Say.of(apart / 60, 1, Measure.MINUTES))
                                : "The syrup went in first: hot as it is, it cooks the whites before the honey loosens them.");
    }

    private Mark waited(RehearsedPot pot, String hidden) {
        double wait = pot.inAt() - pot.offAt();
        return new Mark(
                pot.pot().name() + ": poured while it runs",
                wait <= LONGEST_WAIT,
                Double.isNaN(wait)
                        ? "It never went in."
                        : "It stood off its ring for %s; up to %s it still runs. %s"
                                .formatted(
                                        Say.of(wait / 60, 1, Measure.MINUTES),
                                        Say.bare(Say.minutes(LONGEST_WAIT / 60, 0)),
                                        hidden)
                                .strip());
    }
}

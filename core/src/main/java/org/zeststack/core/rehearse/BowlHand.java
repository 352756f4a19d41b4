package org.zeststack.core.rehearse;

import java.util.BitSet;
import java.util.OptionalDouble;
import org.zeststack.core.simulate.SimulatedBowl;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperPlan;
import org.zeststack.core.temper.TemperWindow;

/**
 * A hand that follows a plan to the letter on a simulated bowl: it reads every five seconds, does what the plan says next and then keeps
 * the bowl in its window.
 */
public final class BowlHand {

    private static final int READS_EVERY = 5;
    private static final int LONGEST_SECONDS = 3 * 3600;
    private static final double MELTING_WATTS_PER_KG = 420;
    private static final double GENTLE_WATTS_PER_KG = 45;
    private static final int HANDFULS = 5;
    private static final int HANDFUL_SECONDS = 25;
    /** After a burst it is stirred so long. */
    private static final int STIRRED_SECONDS = 40;

    /** What it reads is not the mass before it was stirred so long. */
    private static final int EVEN_SECONDS = 20;

    private static final double SOLID_SHARE = 0.25;
    private static final double NEAR_TOP_KELVIN = 0.8;
    /** So far below its window a burst is a third as long. */
    private static final double NEAR_KELVIN = 1.5;

    private enum Stage {
        MELT,
        COOL,
        HOLD,
        SEED,
        SLAB,
        BURST,
        STIR,
        SETTLE,
        WORK
    }

    private final TemperPlan plan;
    private final TemperWindow window;
    private final SimulatedBowl bowl;
    private final double kg;
    private final double seedCelsius;
    private final double endCelsius;
    private Stage stage;
    private int since;
    private int handfuls;
    private int burstEnds = -HANDFUL_SECONDS;
    private final BitSet uneven = new BitSet();

    /**
     * A bowl that somebody begins with.
     *
     * @param endCelsius where it is kept in the end; above the working window it is lost
     */
    public BowlHand(Method method, TemperPlan.Of of, double endCelsius, long seed) {
        this.plan = TemperPlan.of(method, of);
        this.window = of.window();
        this.endCelsius = endCelsius;
        this.seedCelsius = of.roomCelsius();
        this.kg = of.grams() / 1000;
        bowl = new SimulatedBowl(
                new SimulatedBowl.Filling(
                        window.kind(),
                        plan.meltGrams(),
                        of.cocoaButterFraction(),
                        of.roomCelsius(),
                        true,
                        window.softerKelvin()),
                place(of.bowl(), of.roomCelsius()),
                seed);
        bowl.does(new SimulatedBowl.Stir(1));
        stage = method.meltsOut() ? Stage.MELT : Stage.STIR;
    }

    /** A bowl in a room. */
    public static SimulatedBowl.Place place(Bowl bowl, double roomCelsius) {
        double conducts =
                switch (bowl.material()) {
                    case STEEL -> 1;
                    case GLASS -> 0.5;
                    case POLYPROPYLENE -> 0.35;
                };
        return new SimulatedBowl.Place(bowl.joulesPerKelvin(), conducts, roomCelsius);
    }

    /** The bowl after so many seconds. */
    public SimulatedBowl upTo(int second) {
        while (bowl.second() < second) {
            if (bowl.second() % READS_EVERY == 0 || bowl.second() == burstEnds) {
                reads();
            }
            bowl.upTo(bowl.second() + 1);
            uneven.set(bowl.second(), bowl.second() < burstEnds + EVEN_SECONDS);
        }
        return bowl;
    }

    /** What a probe shows after so many seconds; empty while a burst heats it unevenly. */
    public OptionalDouble readingAt(int second) {
        upTo(second);
        return uneven.get(second) ? OptionalDouble.empty() : OptionalDouble.of(bowl.shownAt(second));
    }

    /**
     * Works the plan through: the bowl is kept in its window from then on.
     *
     * @return its second then
     * @throws IllegalStateException where it is not through after three hours
     */
    public int through() {
        while (stage != Stage.WORK) {
            if (bowl.second() >= LONGEST_SECONDS) {
                throw new IllegalStateException("not through, at %s °C".formatted(bowl.celsius()));
            }
            upTo(bowl.second() + READS_EVERY);
        }
        return bowl.second();
    }

    private double middle(double least, double greatest) {
        return (least + greatest) / 2;
    }

    private void next(Stage to) {
        stage = to;
        since = bowl.second();
    }

    private void heat(double watts) {
        bowl.does(new SimulatedBowl.Heat(watts));
    }

    private void reads() {
        double celsius = bowl.celsius();
        switch (stage) {
            case MELT -> melt(celsius);
            case COOL -> cool(celsius);
            case HOLD -> {
                if (bowl.second() - since >= 60 * TemperPlan.THICKENS_MINUTES) {
                    next(Stage.WORK);
                }
            }
            case SEED -> seed(celsius);
            case SLAB -> slab(celsius);
            case BURST -> {
                if (bowl.second() >= burstEnds) {
                    heat(0);
                    next(Stage.STIR);
                }
            }
            case STIR -> stir(celsius);
            case SETTLE -> {
                if (celsius <= window.work().greatest()) {
                    next(Stage.WORK);
                }
            }
            case WORK -> work(celsius);
        }
    }

    private void melt(double celsius) {
        boolean out =
                celsius >= middle(window.meltOut().least(), window.meltOut().greatest()) - 0.2
                        && bowl.piecesGrams() < 1;
        boolean hot = celsius > window.meltOut().greatest() - 0.5;
        heat(out || hot ? 0 : MELTING_WATTS_PER_KG * kg);
        if (out) {
            switch (plan.method()) {
                case SEED -> next(Stage.SEED);
                case SLAB, PREPARED_SEED, PARTIAL -> next(Stage.COOL);
                case BATH -> {
                    next(Stage.COOL);
                    bowl.does(new SimulatedBowl.OverBath(
                            plan.doses().waterGrams(), plan.doses().iceGrams()));
                }
            }
        }
    }

    private void cool(double celsius) {
        double cooled = middle(window.coolTo().least(), window.coolTo().greatest());
        switch (plan.method()) {
            case BATH -> {
                if (celsius <= cooled) {
                    bowl.does(new SimulatedBowl.OffBath());
                    next(Stage.HOLD);
                }
            }
            case SLAB -> {
                if (celsius <= plan.doses().keptCelsius() + 2) {
                    bowl.does(new SimulatedBowl.OntoSlab(plan.doses().slabShare()));
                    next(Stage.SLAB);
                }
            }
            case SEED, PREPARED_SEED, PARTIAL -> {
                if (celsius <= middle(TemperPlan.PREPARED_CELSIUS.least(), TemperPlan.PREPARED_CELSIUS.greatest())) {
                    bowl.does(new SimulatedBowl.AddCrystals(plan.seedGrams()));
                    next(Stage.SETTLE);
                }
            }
        }
    }

    private void slab(double celsius) {
        double kept = plan.doses().keptCelsius();
        heat(celsius < kept ? GENTLE_WATTS_PER_KG * kg : 0);
        double cooled = middle(window.coolTo().least(), window.coolTo().greatest());
        if (bowl.slabCelsius().orElse(cooled) <= cooled) {
            heat(0);
            bowl.does(new SimulatedBowl.Back());
            next(Stage.SETTLE);
        }
    }

    private void seed(double celsius) {
        if (handfuls < HANDFULS && bowl.second() - since >= handfuls * HANDFUL_SECONDS) {
            handfuls++;
            bowl.does(new SimulatedBowl.AddPieces(plan.seedGrams() / HANDFULS, seedCelsius, true));
        } else {
            heat(celsius < window.work().least() + 0.2 ? GENTLE_WATTS_PER_KG * kg : 0);
        }
        if (handfuls == HANDFULS && celsius <= window.work().greatest() && bowl.piecesGrams() < plan.seedGrams() / 20) {
            next(Stage.WORK);
        }
    }

    private void stir(double celsius) {
        double share = bowl.piecesGrams() / plan.meltGrams();
        if (bowl.second() - since < STIRRED_SECONDS) {
            return;
        }
        boolean enough = celsius >= window.work().least() && share <= SOLID_SHARE
                || celsius > window.work().greatest() - NEAR_TOP_KELVIN;
        if (!enough) {
            boolean near = celsius > window.work().least() - NEAR_KELVIN;
            heat(plan.doses().burstWatts());
            burstEnds = bowl.second() + (int) Math.ceil(plan.doses().burstSeconds() / (near ? 3 : 1));
            next(Stage.BURST);
        } else if (share < 0.02) {
            next(Stage.WORK);
        }
    }

    private void work(double celsius) {
        heat(celsius < endCelsius ? GENTLE_WATTS_PER_KG * kg : 0);
    }
}

package org.zeststack.core.rehearse;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.rehearse.Deed.What;
import org.zeststack.core.rehearse.Practice.Mark;
import org.zeststack.core.temper.Method;

/** Bowls played by script: who looks for what is hidden does well, who does not is told what it was. */
public class BowlRehearsalTest {

    private static final int HOUR = 3600;

    @DataProvider
    public Object[][] seeds() {
        return new Object[][] {{1L}, {2L}, {3L}};
    }

    /** Hands at one bowl. */
    private static final class Hands {
        private final BowlRehearsal at;
        private double second;

        private Hands(BowlScenario scenario, long seed) {
            at = new BowlRehearsal(scenario, seed);
            does(What.STIR, 1);
        }

        private void does(What what, double amount) {
            at.does(new Deed(second, what, 0, amount));
        }

        private void until(String what, BooleanSupplier met) {
            double end = second + HOUR;
            while (!met.getAsBoolean()) {
                assertTrue(second < end, what + " never; reads " + at.reading());
                passes(1);
            }
        }

        private void passes(double seconds) {
            second += seconds;
            at.upTo(second);
        }

        private void melt(double celsius) {
            does(What.HEAT, 1);
            until("melted", () -> at.reading() >= celsius && at.pieces().equals("none"));
            does(What.HEAT, 0);
        }

        /** Warms it gently and keeps it there. */
        private void keep(double celsius, double seconds) {
            for (double gone = 0; gone < seconds; gone += 5) {
                does(What.HEAT, at.reading() < celsius ? 0.1 : 0);
                passes(5);
            }
        }

        private List<Boolean> proved() {
            does(What.PROOF, 0);
            assertTrue(at.dip().isEmpty() && at.dipping(), "it takes its time");
            keep(at.scenario().window().work().least() + 0.7, 160);
            assertTrue(at.dip().isPresent());
            at.end();
            return good();
        }

        private List<Boolean> good() {
            return at.marks().stream().map(Mark::good).toList();
        }
    }

    /** Prepared seed is weighed in at one temperature: nothing of it wants practice. */
    @Test
    public void everyMethodButOneHasABowlToPractiseOn() {
        Set<Method> practised = Stream.of(BowlScenario.values())
                .map(BowlScenario::method)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Method.class)));
        assertEquals(practised, EnumSet.complementOf(EnumSet.of(Method.PREPARED_SEED)));
        for (BowlScenario scenario : BowlScenario.values()) {
            assertEquals(scenario.takes(What.SEED), scenario.method() == Method.SEED, "seed is offered: " + scenario);
            assertFalse(scenario.takes(What.WHISK), "no whisk in a bowl of couverture");
        }
    }

    /** By as much seed as the couverture alone asks for, or with the glass. */
    private static Hands seeded(long seed, double grams) {
        Hands hands = new Hands(BowlScenario.SEED, seed);
        hands.melt(44.5);
        for (int i = 0; i < 5; i++) {
            hands.does(What.SEED, grams / 5);
            hands.passes(30);
        }
        hands.passes(300);
        return hands;
    }

    @Test(dataProvider = "seeds")
    public void glassTakesItsOwnSeed(long seed) {
        Hands careful = seeded(seed, BowlScenario.SEED.seedGrams(true));
        careful.keep(29.8, 240);
        assertEquals(
                careful.proved(),
                List.of(true, true, true, true),
                careful.at.marks().toString());

        Hands blind = seeded(seed, BowlScenario.SEED.seedGrams(false));
        blind.at.end();
        assertEquals(blind.good().get(0), Boolean.FALSE, blind.at.marks().toString());
        assertEquals(blind.good().get(1), Boolean.TRUE, "it was melted out");
        assertFalse(blind.good().get(2), "not in temper: " + blind.at.marks());
        assertTrue(
                blind.at.marks().get(3).reason().contains("No dip"),
                blind.at.marks().toString());
    }

    private static Hands slab(long seed, boolean careful) {
        Hands hands = new Hands(BowlScenario.SLAB, seed);
        hands.melt(46.5);
        if (careful) {
            hands.does(What.OFF, 0);
            hands.until("cooled", () -> hands.at.reading() <= 40.5);
        }
        hands.does(What.SLAB, 0);
        hands.until("on the slab", () -> {
            hands.does(What.HEAT, careful && hands.at.kept().orElse(0.0) < 37.7 ? 0.1 : 0);
            return hands.at.reading() <= 27.6;
        });
        hands.does(What.HEAT, 0);
        hands.does(What.BACK, 0);
        hands.passes(60);
        return hands;
    }

    @Test(dataProvider = "seeds")
    public void theKeptPartMustNotStayHot(long seed) {
        Hands careful = slab(seed, true);
        careful.keep(30.8, 300);
        assertEquals(
                careful.proved(),
                List.of(true, true, true, true),
                careful.at.marks().toString());

        Hands blind = slab(seed, false);
        blind.passes(60);
        blind.does(What.PROOF, 0);
        blind.passes(160);
        blind.at.end();
        assertEquals(blind.good().get(0), Boolean.FALSE, blind.at.marks().toString());
        assertEquals(blind.good().get(1), Boolean.TRUE, "it was melted out");
        assertFalse(blind.good().get(2), "it landed over its window: " + blind.at.marks());
        assertFalse(blind.good().get(3), "a dip that does not pass proves nothing: " + blind.at.marks());

        Hands cool = new Hands(BowlScenario.SLAB, seed);
        cool.melt(46.5);
        cool.does(What.OFF, 0);
        cool.until("cooled", () -> cool.at.reading() <= 40.5);
        cool.does(What.SLAB, 0);
        cool.until("on the slab", () -> cool.at.reading() <= 27.6);
        cool.does(What.BACK, 0);
        cool.at.end();
        assertFalse(cool.good().get(0), "left to itself the kept part is too cold by then: " + cool.at.marks());
    }

    private static Hands bath(long seed, double offCelsius) {
        Hands hands = new Hands(BowlScenario.BATH, seed);
        hands.melt(46.5);
        hands.does(What.BATH, 1);
        hands.until("cooled", () -> hands.at.reading() <= offCelsius);
        hands.does(What.BATH, 0);
        return hands;
    }

    @Test(dataProvider = "seeds")
    public void aThinBowlFallsOn(long seed) {
        Hands careful = bath(seed, 28.6);
        careful.keep(27.3, 180);
        careful.keep(30.8, 420);
        assertEquals(
                careful.proved(),
                List.of(true, true, true, true),
                careful.at.marks().toString());

        Hands blind = bath(seed, 25.5);
        blind.keep(30.8, 120);
        blind.at.end();
        assertEquals(blind.good().get(0), Boolean.FALSE, blind.at.marks().toString());
        assertEquals(blind.good().get(1), Boolean.TRUE, "it was melted out");
    }

    @Test(dataProvider = "seeds")
    public void anOvenIsStrongerThanItLooks(long seed) {
        Hands careful = new Hands(BowlScenario.PARTIAL, seed);
        while (careful.at.pieces().equals("many")) {
            careful.does(What.BURST, 0);
            careful.passes(45);
            careful.until("stirred through", () -> careful.at.reading() <= 29);
        }
        careful.until("stirred smooth", () -> {
            if (careful.at.reading() < 29) {
                careful.does(What.HEAT, 0.1);
            } else {
                careful.does(What.HEAT, 0);
            }
            return careful.at.pieces().equals("none") && careful.at.reading() >= 29;
        });
        careful.keep(29.6, 120);
        assertEquals(
                careful.proved(), List.of(true, true, true), careful.at.marks().toString());

        Hands blind = new Hands(BowlScenario.PARTIAL, seed);
        while (!blind.at.pieces().equals("none")) {
            blind.does(What.BURST, 0);
            blind.passes(14);
        }
        blind.at.end();
        assertEquals(blind.good().get(0), Boolean.FALSE, blind.at.marks().toString());
    }

    @Test
    public void whatABowlDoesNotHaveIsNotDone() {
        Hands hands = new Hands(BowlScenario.SEED, 1);
        hands.does(What.BATH, 1);
        hands.does(What.SLAB, 1);
        hands.does(What.RING, 1);
        hands.does(What.HEAT, Double.NaN);
        hands.passes(60);
        assertTrue(Math.abs(hands.at.reading() - 20) < 1, "nothing warmed or cooled it: " + hands.at.reading());
        assertFalse(hands.at.onSlab());
        hands.at.end();
        assertTrue(hands.at.over());
        hands.does(What.HEAT, 1);
        hands.passes(60);
        assertEquals(hands.at.minutes(), 1.0, "over is over");
        assertEquals(hands.good(), List.of(false, false, false, false));
        assertEquals(new Hands(BowlScenario.SLAB, 1).at.marks().get(0).reason(), "Nothing came back from a slab.");
    }
}

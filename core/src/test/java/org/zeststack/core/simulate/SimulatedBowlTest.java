package org.zeststack.core.simulate;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.simulate.SimulatedBowl.Filling;
import org.zeststack.core.simulate.SimulatedBowl.Heat;
import org.zeststack.core.simulate.SimulatedBowl.OffBath;
import org.zeststack.core.simulate.SimulatedBowl.OverBath;
import org.zeststack.core.simulate.SimulatedBowl.Place;
import org.zeststack.core.simulate.SimulatedBowl.Stir;

/** The simulated bowl does what bowls do (common practice, no source). */
public class SimulatedBowlTest {

    @DataProvider
    public Object[][] kinds() {
        return new Object[][] {{"dark"}, {"milk"}, {"white"}, {"blond"}, {"ruby"}};
    }

    private static final Place STEEL = new Place(450, 1, 21);

    private static SimulatedBowl melted(String kind, double celsius) {
        return new SimulatedBowl(new Filling(kind, 1000, 0.36, celsius, false), STEEL, 7);
    }

    private static void until(SimulatedBowl bowl, double celsius) {
        boolean cools = bowl.celsius() > celsius;
        int end = bowl.second() + 7200;
        while (cools ? bowl.celsius() > celsius : bowl.celsius() < celsius) {
            assertTrue(bowl.second() < end, "never at " + celsius + ", at " + bowl.celsius());
            bowl.upTo(bowl.second() + 1);
        }
    }

    /** Warms it to a temperature and keeps it there. */
    private static void keep(SimulatedBowl bowl, double celsius, int seconds) {
        for (int second = 0; second < seconds; second += 5) {
            bowl.does(new Heat(bowl.celsius() < celsius ? 60 : 0));
            bowl.upTo(bowl.second() + 5);
        }
    }

    private static double below(String kind, double dark) {
        return dark - (kind.equals("dark") ? 0 : kind.equals("milk") ? 1 : 2);
    }

    @Test(dataProvider = "kinds")
    public void slowlyAndStirredItTempersFastAndAloneItDoesNot(String kind) {
        SimulatedBowl slow = melted(kind, 46);
        slow.does(new Stir(1));
        assertFalse(slow.tempered(), "melted out");
        until(slow, below(kind, 27.5));
        keep(slow, below(kind, 27.5), 120);
        keep(slow, below(kind, 31), 360);
        assertTrue(slow.tempered(), slow.stable() + " stable, " + slow.unstable() + " unstable");

        SimulatedBowl fast = melted(kind, 46);
        fast.does(new OverBath(2000, 1500));
        until(fast, below(kind, 27.5));
        fast.does(new OffBath());
        keep(fast, below(kind, 31), 360);
        assertFalse(fast.tempered(), fast.stable() + " stable, " + fast.unstable() + " unstable");
    }

    @Test(dataProvider = "kinds")
    public void at34DegreesItIsLost(String kind) {
        SimulatedBowl bowl = melted(kind, below(kind, 31));
        bowl.does(new Stir(1));
        bowl.does(new SimulatedBowl.AddCrystals(10));
        keep(bowl, below(kind, 31), 60);
        assertTrue(bowl.tempered(), "crystallised butter seeds it");
        keep(bowl, 34, 1200);
        assertFalse(bowl.tempered(), bowl.stable() + " at " + bowl.celsius());
        keep(bowl, below(kind, 31), 600);
        assertFalse(bowl.tempered(), "coming back down brings nothing back");
    }

    /** Cooled far and stirred it has both kinds of crystals: it is in temper only when the wrong ones are melted again. */
    @Test
    public void theWrongCrystalsMustGo() {
        SimulatedBowl bowl = melted("dark", 46);
        bowl.does(new Stir(1));
        bowl.does(new OverBath(2000, 1500));
        until(bowl, 25);
        bowl.does(new OffBath());
        keep(bowl, 26, 60);
        assertTrue(bowl.stable() > 0.001 && bowl.unstable() > bowl.stable() / 2, bowl.stable() + " " + bowl.unstable());
        assertFalse(bowl.tempered(), "it sets with streaks");
        keep(bowl, 31, 300);
        assertTrue(bowl.tempered(), bowl.stable() + " " + bowl.unstable());
    }

    @Test
    public void stirredInTemperItThickens() {
        SimulatedBowl bowl = melted("dark", 31);
        bowl.does(new Stir(1));
        bowl.does(new SimulatedBowl.AddCrystals(10));
        assertFalse(bowl.thick());
        keep(bowl, 29.8, 3600);
        assertTrue(bowl.thick(), "after an hour: " + bowl.stable());
        keep(bowl, 31.8, 1800);
        assertFalse(bowl.thick(), "warmed it runs again: " + bowl.stable());
        assertTrue(bowl.tempered(), "and is still in temper");
    }

    @Test
    public void iceTakesItsHeatAndTheRoomItsOwn() {
        SimulatedBowl alone = melted("dark", 45);
        alone.upTo(1200);
        assertTrue(alone.celsius() > 30 && alone.celsius() < 41, "twenty minutes in a room: " + alone.celsius());
        SimulatedBowl bath = melted("dark", 45);
        bath.does(new Stir(1));
        bath.does(new OverBath(1000, 115));
        int before = bath.second();
        until(bath, 28);
        assertTrue(bath.second() - before > 100 && bath.second() - before < 600, "in " + bath.second() + " s");
    }

    @Test
    public void whatMeltsTakesItsHeat() {
        SimulatedBowl bowl = melted("dark", 45);
        bowl.does(new Stir(1));
        bowl.does(new SimulatedBowl.AddPieces(300, 20, true));
        bowl.upTo(240);
        // 1000 × 1.6 + 450 J/K from 45 °C; 300 g take 1.45 × (t − 20) + 140 × 0.36 J each, the room a little
        double expected = (2050 * 45 + 300 * 1.45 * 20 - 300 * 140 * 0.36) / (2050 + 300 * 1.45);
        near(bowl.celsius(), expected, 2.0, "balance");
        assertTrue(bowl.piecesGrams() < 15, "grated, all of it melts: " + bowl.piecesGrams());
    }

    @Test
    public void anUnknownKindIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> melted("compound", 45));
        assertEquals(melted("dark", 45).piecesGrams(), 0.0);
    }
}

package org.zeststack.core.rehearse;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.simulate.SimulatedBowl;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperPlan;
import org.zeststack.core.temper.TemperStream;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.temper.TemperWindow;

/** Plans that are followed to the letter temper a simulated bowl, whose physics shares nothing with them. */
public class BowlHandTest {

    @DataProvider
    public Object[][] everyPlan() {
        List<Object[]> all = new ArrayList<>();
        for (String kind : new String[] {"dark", "milk", "white", "blond", "ruby"}) {
            for (Method method : Method.values()) {
                for (Bowl bowl : new Bowl[] {new Bowl(700, Bowl.Material.STEEL), new Bowl(900, Bowl.Material.GLASS)}) {
                    all.add(new Object[] {kind, method, bowl});
                }
            }
        }
        return all.toArray(Object[][]::new);
    }

    private static TemperPlan.Of of(String kind, Bowl bowl) {
        return new TemperPlan.Of(TemperWindow.of(kind), 1200, 0.35, bowl, 20, true);
    }

    @Test(dataProvider = "everyPlan")
    public void tempersToTheLetter(String kind, Method method, Bowl bowl) {
        TemperWindow window = TemperWindow.of(kind);
        double middle = (window.work().least() + window.work().greatest()) / 2;
        BowlHand hand = new BowlHand(method, of(kind, bowl), middle, 3);
        int second = hand.through();
        SimulatedBowl after = hand.upTo(second + 360);
        String seen = "%s by %s: %s °C, %s stable, %s unstable, %s g solid, %s s"
                .formatted(
                        kind, method, after.celsius(), after.stable(), after.unstable(), after.piecesGrams(), second);
        assertTrue(after.tempered(), seen);
        assertFalse(after.thick(), seen);
        assertTrue(
                after.celsius() >= window.work().least() - 0.3
                        && after.celsius() <= window.work().greatest(),
                seen);
        List<TemperVerdict.Reading> readings = new ArrayList<>();
        for (int s = 0; s <= after.second(); s += 5) {
            int at = s;
            hand.readingAt(s).ifPresent(c -> readings.add(new TemperVerdict.Reading(at, c, false)));
        }
        TemperVerdict.State judged = TemperStream.of(window, method, readings, TemperStream.UNCERTAIN_KELVIN);
        assertEquals(judged.verdict(), TemperVerdict.Verdict.WORKING, seen + ": " + judged);
    }

    /** A nut filling whose fat is four tenths of nut oil, worked below 30 °C. */
    @Test
    public void aFillingIsTemperedByItsOwnWindows() {
        TemperWindow window = TemperWindow.byFat(60, 40).orElseThrow();
        assertEquals(window.softerKelvin(), 4, 1e-9);
        for (Method method : List.of(Method.SLAB, Method.BATH)) {
            BowlHand hand = new BowlHand(
                    method,
                    new TemperPlan.Of(window, 900, 0.2, new Bowl(500, Bowl.Material.STEEL), 20, true),
                    (window.work().least() + window.work().greatest()) / 2,
                    5);
            SimulatedBowl after = hand.upTo(hand.through() + 360);
            assertTrue(after.tempered(), method + " at " + after.celsius() + ": " + after.stable());
        }
    }

    @Test
    public void keptTooWarmItIsLost() {
        BowlHand hand = new BowlHand(Method.SLAB, of("dark", new Bowl(700, Bowl.Material.STEEL)), 34.5, 3);
        int second = hand.through();
        assertFalse(
                hand.upTo(second + 1500).tempered(),
                "at " + hand.upTo(second + 1500).celsius());
    }
}

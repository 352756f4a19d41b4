package org.zeststack.core.air;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import org.testng.annotations.Test;
import org.zeststack.core.quantity.InvalidInput;

/** Out of the cold into a room. */
public class AfterColdTest {

    @Test
    public void coldBarsWaitInAClosedBox() {
        AfterCold bars = AfterCold.of(25, 50, 5, 15);
        assertEquals(bars.dewPointCelsius(), 13.85, 0.1, "Magnus, WMO No. 8");
        assertTrue(bars.sweats());
        // By hand: 1270 × 1600 × 0.015 / 8 = 3810 s; ln((25 − 5) / (25 − 14.35)) = 0.630: 2401 s.
        assertEquals(bars.boxMinutes(), 40, 0.5);
        assertEquals(
                AfterCold.of(25, 50, 5, 30).boxMinutes(), 2 * bars.boxMinutes(), 1e-9, "twice as thick, twice as long");
    }

    @Test
    public void atTheDewPointItIsTooColdHalfAKelvinAboveItIsNot() {
        double dew = DewPoint.celsius(22, 60);
        assertFalse(AfterCold.of(22, 60, dew + 0.5, 12).sweats());
        assertTrue(AfterCold.of(22, 60, dew + 0.49, 12).sweats());
        assertFalse(AfterCold.of(20, 35, 12, 12).sweats(), "a dry room");
    }

    @Test
    public void airThatIsFullMustBeDriedFirst() {
        InvalidInput full = expectThrows(InvalidInput.class, () -> AfterCold.of(20, 99, 5, 12));
        assertEquals(full.faults().get(0).field(), "humidity");
        assertEquals(
                expectThrows(InvalidInput.class, () -> AfterCold.of(20, 50, 31, 12))
                        .faults()
                        .get(0)
                        .field(),
                "barCelsius");
    }
}

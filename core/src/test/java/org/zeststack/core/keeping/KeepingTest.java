package org.zeststack.core.keeping;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;

public class KeepingTest {

    private static final Neighbours NEIGHBOURS = new Neighbours(Bounds.shipped());

    @DataProvider
    public Object[][] activities() {
        // Below 0.60 nothing grows; 0.85 is the limit for pathogens in 21 CFR 114.3 (values from memory).
        return new Object[][] {
            {0.30, ShelfBand.DRY},
            {0.599, ShelfBand.DRY},
            {0.60, ShelfBand.NEARLY_DRY},
            {0.70, ShelfBand.BETWEEN},
            {0.849, ShelfBand.MOIST},
            {0.85, ShelfBand.WET},
            {0.919, ShelfBand.WET},
            {0.92, ShelfBand.GROWS_IN_COLD},
            {0.97, ShelfBand.AS_CREAM},
            {1.0, ShelfBand.AS_CREAM},
        };
    }

    @Test(dataProvider = "activities")
    public void bandsByWaterActivity(double activity, ShelfBand band) {
        assertEquals(ShelfBand.of(activity, Bounds.shipped()), band);
        Bound time = band.time(Bounds.shipped());
        assertTrue(time.least() < time.greatest());
    }

    @Test
    public void thereIsNoActivityAboveOne() {
        expectThrows(IllegalArgumentException.class, () -> ShelfBand.of(1.2, Bounds.shipped()));
    }

    @Test
    public void waterMovesFromTheHigherActivityToTheLower() {
        // Common practice, no source: crisp up to about 0.40; caramel about 0.5, ganache 0.80 to 0.90.
        assertTrue(NEIGHBOURS.softens(0.2, 0.5));
        assertTrue(NEIGHBOURS.softens(0.2, 0.85));
        assertFalse(NEIGHBOURS.softens(0.2, 0.35));
        assertFalse(NEIGHBOURS.softens(0.6, 0.5), "the wetter one gives, it does not take");
        assertTrue(NEIGHBOURS.isBarrier(0.38, 0.005), "couverture");
        assertFalse(NEIGHBOURS.isBarrier(0.30, 0.20), "ganache is fat but wet");
    }
}

package org.zeststack.core.air;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.InvalidInput;

public class DewPointTest {

    @DataProvider
    public Object[][] air() {
        return new Object[][] {
            {25, 50, 13.85, 0.1, "Magnus, WMO No. 8"},
            {22, 60, 13.9, 0.1, "Magnus, WMO No. 8"},
            {20, 50, 9.3, 0.15, "psychrometric table, value from memory"},
            {30, 80, 26.2, 0.15, "psychrometric table, value from memory"},
            {10, 30, -6.7, 0.3, "psychrometric table, value from memory"},
        };
    }

    @Test(dataProvider = "air")
    public void sweatsWhereTheTablesSay(double celsius, double percent, double dew, double tolerance, String from) {
        near(DewPoint.celsius(celsius, percent), dew, tolerance, from);
    }

    @Test
    public void fullAirSweatsAtOnceAndMoistureOnlyRaisesIt() {
        for (double celsius = -30; celsius <= 50; celsius += 10) {
            assertEquals(DewPoint.celsius(celsius, 100), celsius, 1e-9);
            for (double percent = 10; percent < 100; percent += 10) {
                assertTrue(DewPoint.celsius(celsius, percent) < DewPoint.celsius(celsius, percent + 10));
            }
        }
        InvalidInput dry = expectThrows(InvalidInput.class, () -> DewPoint.celsius(61, 0.9));
        assertEquals(dry.faults().size(), 2);
        assertEquals(dry.faults().get(1).field(), "relativeHumidityPercent");
    }
}

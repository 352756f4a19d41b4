package org.zeststack.core.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class DegreesTextTest {

    @DataProvider
    public Object[][] typed() {
        return new Object[][] {
            {"117", 117.0},
            {"117,5", 117.5},
            {"116.7 C", 116.7},
            {"116.7°C", 116.7},
            {"116 °", 116.0},
            {"242 F", 116.6666667},
            {"242F", 116.6666667},
            {"242 °f", 116.6666667},
            {" 242 ° F ", 116.6666667},
            {"-4 F", -20.0},
            {"212 F", 100.0},
            {"32 F", 0.0},
        };
    }

    @Test(dataProvider = "typed")
    public void readsEitherScale(String typed, double celsius) {
        assertEquals(DegreesText.parse(typed).getAsDouble(), celsius, 1e-6);
    }

    @DataProvider
    public Object[][] stops() {
        return new Object[][] {
            {"118", 118.0},
            {"118.25 C", 118.25},
            {"245 F", 118.3},
            {"236\u2013239 °F", 114.2},
            {"236 to 239 F", 114.2},
            {"113.3-115", 114.2},
            {"113,3 \u2014 115 °C", 114.2},
            {"239-236 F", Double.NaN},
            {"118-118", Double.NaN},
            {"to 118", Double.NaN},
            {"1-2-3", Double.NaN},
            {"\u2013".repeat(60), Double.NaN},
        };
    }

    @Test(dataProvider = "stops")
    public void aStopMayBeARange(String typed, double celsius) {
        assertEquals(DegreesText.stop(typed).orElse(Double.NaN), celsius, 1e-9);
    }

    @DataProvider
    public Object[][] none() {
        return new Object[][] {{""}, {"F"}, {"warm"}, {"242 K"}, {"242 FF"}, {"24 F 2 F"}, {"1".repeat(60)}, {null}};
    }

    @Test(dataProvider = "none")
    public void whatIsNoTemperatureIsNone(String typed) {
        assertTrue(DegreesText.parse(typed).isEmpty());
    }
}

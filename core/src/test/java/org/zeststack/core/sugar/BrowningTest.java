package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.explain.Call;
import org.zeststack.core.rule.Bounds;

public class BrowningTest {

    /**
     * True temperature, stop, and what is said: sucrose browns from 160 °C (handbooks, value from memory); dry sugar for colour is taken
     * off at about 177 °C, 350 °F (common practice, no source).
     */
    @DataProvider
    public Object[][] pots() {
        return new Object[][] {
            {118.0, 118.0, ""},
            {159.9, 118.0, ""},
            {160.1, 118.0, "browns"},
            {160.1, 177.0, ""},
            {176.9, 177.0, ""},
            {178.0, 177.0, "browns"},
            {185.9, 118.0, "burns"},
            {185.9, 177.0, "burns"},
            {185.9, 160.0, "burns"},
        };
    }

    @Test(dataProvider = "pots")
    public void isSaidWithWhatToDo(double celsius, double stop, String said) {
        Browning browning = new Browning(Bounds.shipped());
        String words = browning.of(celsius, stop).map(Call::message).orElse("");
        assertEquals(words.contains("browns"), said.equals("browns"), words);
        assertEquals(words.contains("burns"), said.equals("burns"), words);
        assertEquals(words.isEmpty(), said.isEmpty(), words);
        assertTrue(said.isEmpty() || words.contains("off the heat"), words);
    }
}

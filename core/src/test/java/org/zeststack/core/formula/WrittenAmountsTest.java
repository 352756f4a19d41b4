package org.zeststack.core.formula;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class WrittenAmountsTest {

    @DataProvider
    public Object[][] words() {
        return new Object[][] {
            {"Boil 100 ml cream", 2.5, "Boil 250 ml (written: 100 ml) cream"},
            {"Stir in 30g butter, then the salt", 3, "Stir in 90g (written: 30g) butter, then the salt"},
            {"Add 1 1/2 cups of it", 2, "Add 3 cups (written: 1 1/2 cups) of it"},
            {"Whisk 3 egg whites", 0.5, "Whisk 1.5 egg whites (written: 3 egg whites)"},
            {"Dissolve in 2,5 dl water", 1.333, "Dissolve in 3.33 dl (written: 2,5 dl) water"},
            {"Boil to 118 °C for 20 min", 3, "Boil to 118 °C for 20 min"},
            {"Pour into a 20 x 30 cm tray, 12 mm high", 3, "Pour into a 20 x 30 cm tray, 12 mm high"},
            {"Cut into 24 pieces of 15 x 30 mm", 3, "Cut into 24 pieces of 15 x 30 mm"},
            {"Boil 100 ml cream", 1.004, "Boil 100 ml cream"},
            {"Boil 100 ml cream", 1.006, "Boil 101 ml (written: 100 ml) cream"},
            {"Half of the cream", 2, "Half of the cream"},
        };
    }

    @Test(dataProvider = "words")
    public void followTheBatch(String written, double factor, String told) {
        assertEquals(WrittenAmounts.times(written, factor), told);
    }
}

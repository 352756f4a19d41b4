package org.zeststack.core.quantity;

import static org.testng.Assert.assertEquals;

import java.util.OptionalDouble;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class AmountTextTest {

    @DataProvider
    public Object[][] read() {
        return new Object[][] {
            {"12", 12.0},
            {" 1.5 ", 1.5},
            {"1,5", 1.5},
            {"½", 0.5},
            {"1½", 1.5},
            {"1 ½", 1.5},
            {"3/4", 0.75},
            {"1 3/4", 1.75},
            {"2⅓", 2 + 1 / 3.0},
            {"\u22123", -3.0},
            {"-0.5", -0.5},
            {"+4", 4.0},
            {".5", 0.5},
            {"1\u20444", 0.25},
            {"1000000000", 1e9},
        };
    }

    @Test(dataProvider = "read")
    public void readsWhatPeopleType(String typed, double number) {
        assertEquals(AmountText.parse(typed).orElseThrow(), number, 1e-12);
    }

    @DataProvider
    public Object[][] refused() {
        return new Object[][] {
            {""},
            {" "},
            {"NaN"},
            {"Infinity"},
            {"1e3"},
            {"0x10"},
            {"abc"},
            {"12 g"},
            {"1,500"},
            {"1/0"},
            {"--3"},
            {"1.2.3"},
            {"1 2"},
            {"."},
            {"99999999999999999999999"},
            {null},
        };
    }

    @Test(dataProvider = "refused")
    public void refusesWhatIsNoSinglePlainNumber(String typed) {
        assertEquals(AmountText.parse(typed), OptionalDouble.empty());
    }
}

package org.zeststack.core.weighing;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** OIML R 87 and Directive 76/211/EEC, tolerable deficiencies (values from memory). */
public class AverageQuantityTest {

    @DataProvider
    public Object[][] declared() {
        return new Object[][] {
            {45.0, 4.1},
            {50.0, 4.5},
            {80.0, 4.5},
            {120.0, 5.4},
            {250.0, 9.0},
            {400.0, 12.0},
            {750.0, 15.0},
            {2000.0, 30.0},
        };
    }

    @Test(dataProvider = "declared")
    public void tolerableDeficiency(double declaredGrams, double expected) {
        assertEquals(AverageQuantity.tolerableDeficiencyGrams(declaredGrams), expected, 1e-9);
    }

    @Test
    public void onlyWeightsThatTheTableHas() {
        expectThrows(IllegalArgumentException.class, () -> AverageQuantity.tolerableDeficiencyGrams(2));
    }
}

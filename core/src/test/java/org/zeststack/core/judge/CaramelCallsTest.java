package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.formula.Family;
import org.zeststack.core.judge.FormulaProbes.Mass;

/** What a caramel is good for, and whether it grains. */
public class CaramelCallsTest {

    /** Stop at sea level, °C, what that stop is used for and what it is not (common practice, no source). */
    @DataProvider
    public Object[][] stops() {
        return new Object[][] {
            {105.0, "a sauce that runs", "sawn"},
            {110.0, "rolled out between papers", "sawn"},
            {112.0, "in a cavity", "formed by hand"},
            {112.0, "sliced or sawn", "a sauce"},
            {113.3, "sliced or sawn", "in a cavity"},
            {115.0, "sliced or sawn", "rolled out"},
            {116.7, "formed by hand", "sliced or sawn"},
            {124.0, "hard", "formed by hand"},
        };
    }

    @Test(dataProvider = "stops")
    public void isGoodFor(double celsius, String use, String not) {
        Mass mass = FormulaProbes.stopped(celsius);
        assertTrue(mass.says("texture", use), use);
        assertFalse(mass.says("texture", not), not);
    }

    /**
     * Finished masses of 1 g: water, sucrose, glucose and fructose, lactose, protein, and how gravely graining is told (common
     * practice, no source).
     */
    @DataProvider
    public Object[][] masses() {
        return new Object[][] {
            {"condensed milk, brown sugar, golden syrup, to 113 °C", 0.13, 0.46, 0.05, 0.08, 0.05, Weight.GOOD_TO_KNOW},
            {"condensed milk boiled by itself", 0.27, 0.45, 0.0, 0.13, 0.09, null},
            {"condensed milk with nothing but sugar, to soft ball", 0.07, 0.70, 0.005, 0.04, 0.03, Weight.WILL_FAIL},
            {"sugar and cream, no syrup, to 118 °C", 0.07, 0.62, 0.0, 0.02, 0.012, Weight.WILL_FAIL},
            {"a little syrup in a cream caramel", 0.07, 0.55, 0.09, 0.02, 0.012, Weight.TAKE_CARE},
        };
    }

    @Test(dataProvider = "masses")
    public void grains(
            String what, double water, double sucrose, double invert, double lactose, double protein, Weight told) {
        Mass mass = new Mass(Family.CARAMEL)
                .of(Part.WATER, water)
                .of(Part.SUCROSE, sucrose)
                .of(Part.GLUCOSE, invert / 2)
                .of(Part.FRUCTOSE, invert / 2)
                .of(Part.LACTOSE, lactose)
                .of(Part.PROTEIN, protein)
                .rest(Part.MILK_FAT);
        for (Weight weight : Weight.values()) {
            assertEquals(mass.told("graining", weight), weight == told, what + ": " + weight);
        }
    }
}

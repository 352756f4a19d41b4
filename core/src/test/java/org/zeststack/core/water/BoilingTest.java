package org.zeststack.core.water;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import com.hummeling.if97.IF97;
import java.util.Map;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.air.Steam;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Zone;

public class BoilingTest {

    @DataProvider
    public Object[][] sucroseSolutions() {
        return new Object[][] {
            // percent, expected °C, tolerance, provenance
            {10.0, 100.1, 0.15, "handbook table of boiling points of sucrose solutions, value from memory"},
            {20.0, 100.3, 0.15, "the same"},
            {30.0, 100.6, 0.2, "the same"},
            {40.0, 101.0, 0.3, "the same"},
            {50.0, 101.8, 0.4, "the same"},
            {70.0, 105.5, 1.0, "the same"},
            {60.0, 103.0, 0.6, "handbook table of boiling points of sucrose solutions, value from memory"},
            {80.0, 110.7, 1.6, "between a modern fit (109.4) and an old handbook table (112.0), values from memory"},
            {90.0, 122.4, 1.5, "Starzak and Peacock 1997 fit, constants from memory"},
        };
    }

    @Test(dataProvider = "sucroseSolutions")
    public void sucroseSolutionsBoilWhereTheTablesSay(double percent, double celsius, double tolerance, String from) {
        near(Boiling.of(Solution.in(Masses.sucrose(percent)), 101.325).celsius(), celsius, tolerance, from);
    }

    @Test
    public void waterBoilsWhereTheSteamEquationSays() {
        near(Steam.boilingCelsius(101.325), 99.974, 0.01, "IAPWS saturation equation");
        near(Steam.boilingCelsius(Atmosphere.pressureKpa(1600)), 94.65, 0.1, "ICAO standard atmosphere and IAPWS");
    }

    @DataProvider
    public Object[][] steamTable() {
        return IntStream.rangeClosed(6, 18)
                .mapToObj(i -> new Object[] {i * 10.0})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "steamTable")
    public void saturationAgreesWithASteamTableLibrary(double celsius) {
        double library = new IF97(IF97.UnitSystem.DEFAULT).saturationPressureT(celsius + 273.15) * 1000;
        near(Steam.saturationKpa(celsius) / library, 1, 2e-4, "IAPWS-IF97 library com.hummeling:if97");
    }

    @Test
    public void boilingPointsAndWaterLeftInvert() {
        for (double percent = 50; percent <= 92; percent += 3) {
            Composition mass = Masses.sucrose(percent);
            double celsius = Boiling.of(Solution.in(mass), 95).celsius();
            double water = Boiling.waterLeftGrams(Solution.in(Masses.sucrose(40)), celsius, 95);
            near(40 / (40 + water), percent / 100, 1e-6, "property: one curve read both ways");
        }
    }

    @Test
    public void zonesFollowWaterActivity() {
        assertEquals(
                Boiling.of(Solution.in(Masses.sucrose(60)), 101.325).activity().zone(), Zone.SUPPORTED);
        assertEquals(
                Boiling.of(Solution.in(Masses.sucrose(90)), 101.325).activity().zone(), Zone.ESTIMATE);
        assertThrows(Refusal.class, () -> WaterActivity.classed(0.19));
        assertThrows(Refusal.class, () -> WaterActivity.at25(Solution.in(Masses.sucrose(98))));
    }

    @DataProvider
    public Object[][] refused() {
        return new Object[][] {
            {Map.of(Part.WATER, 50.0, Part.ALCOHOL, 10.0, Part.SUCROSE, 40.0), 42.0, "Alcohol"},
            {Map.of(Part.SUCROSE, 40.0), 42.0, "Without water"},
            {Map.of(Part.SUCROSE, 999.0, Part.WATER, 1.0), 42.0, "160 °C"},
            {Map.of(Part.WATER, 50.0, Part.SALT, 10.0), 42.0, "salt"},
            {Map.of(Part.WATER, 50.0, Part.SYRUP_SOLIDS, 10.0), 10.0, "DE"},
        };
    }

    @Test(dataProvider = "refused")
    public void refusesWhatTheModelDoesNotCover(Map<Part, Double> parts, double de, String reason) {
        try {
            Boiling.of(Solution.in(Composition.of(parts, de)), 101.325);
        } catch (Refusal refusal) {
            assertTrue(refusal.getMessage().contains(reason), refusal.getMessage());
            return;
        }
        throw new AssertionError("not refused: " + parts);
    }

    @Test
    public void altitudesOutsideTheRangeAreNamed() {
        InvalidInput fault = org.testng.Assert.expectThrows(InvalidInput.class, () -> Atmosphere.pressureKpa(9000));
        assertEquals(fault.faults().get(0).greatest(), 5200.0);
        assertThrows(InvalidInput.class, () -> Atmosphere.pressureKpa(Double.NaN));
    }

    @DataProvider
    public Object[][] polyols() {
        // Water activity at 25 °C of solutions of 50 % by mass, values from memory; isomalt as its neighbour maltose.
        return new Object[][] {
            {Part.GLYCEROL, 0.82, 0.02},
            {Part.POLYOLS, 0.885, 0.02},
            {Part.ISOMALT, 0.945, 0.015},
        };
    }

    @Test(dataProvider = "polyols")
    public void everyPolyolBindsWaterInItsOwnWay(Part polyol, double activity, double tolerance) {
        Composition half = Composition.of(Map.of(polyol, 50.0, Part.WATER, 50.0), 42);
        near(WaterActivity.at25(Solution.in(half)).ratio(), activity, tolerance, "value from memory");
    }

    @Test
    public void sugarBeyondSaturationCarriesNothing() {
        // Saturated sucrose solution at 25 °C: a_w 0.84 to 0.86 in tables of saturated solutions, value from memory.
        double saturated =
                WaterActivity.at25(Solution.saturated(Masses.sucrose(90))).ratio();
        near(saturated, 0.85, 0.015, "saturated sucrose solution at 25 °C, value from memory");
        double clear = WaterActivity.at25(Solution.in(Masses.sucrose(90))).ratio();
        assertTrue(clear < saturated - 0.2, "boiled clear, all of it counts");
        double thin = WaterActivity.at25(Solution.saturated(Masses.sucrose(50))).ratio();
        near(
                thin,
                WaterActivity.at25(Solution.in(Masses.sucrose(50))).ratio(),
                1e-12,
                "below saturation nothing changes");
    }
}

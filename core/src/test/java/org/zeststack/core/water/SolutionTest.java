package org.zeststack.core.water;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.EnumMap;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.air.Steam;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Zone;

/** Each solute alone against its own formula and printed activities; every bound from both sides. */
public class SolutionTest {

    private static Composition mass(Object... partsAndGrams) {
        Map<Part, Double> grams = new EnumMap<>(Part.class);
        for (int i = 0; i < partsAndGrams.length; i += 2) {
            grams.put((Part) partsAndGrams[i], ((Number) partsAndGrams[i + 1]).doubleValue());
        }
        return Composition.of(grams, 42);
    }

    private static double activity(Composition mass) {
        return WaterActivity.at25(Solution.in(mass)).ratio();
    }

    /**
     * Grams in 100 g of water, molar mass, constant of Norrish 1966, and an activity at 25 °C: of salt at 0.9 molal by Robinson
     * and Stokes 1959, of the sugars and polyols from handbook curves (values from memory), within 0.01.
     */
    @DataProvider
    public Object[][] solutes() {
        return new Object[][] {
            {Part.GLUCOSE, 100.0, 180.156, 2.25, 0.89},
            {Part.FRUCTOSE, 100.0, 180.156, 2.25, 0.89},
            {Part.MALTOSE, 67.0, 342.297, 4.54, 0.96},
            {Part.LACTOSE, 20.0, 342.297, 10.2, 0.99},
            {Part.POLYOLS, 100.0, 182.17, 1.65, 0.89},
            {Part.GLYCEROL, 50.0, 92.094, 1.16, 0.90},
            {Part.ISOMALT, 67.0, 344.31, 4.54, 0.96},
        };
    }

    @Test(dataProvider = "solutes")
    public void followsNorrishForEachSolute(Part part, double grams, double molar, double k, double printed) {
        double ratio = activity(mass(Part.WATER, 100, part, grams));
        double solute = grams / molar;
        double x = solute / (solute + 100 / 18.0153);
        near(ratio, (1 - x) * Math.exp(-k * x * x), 1e-9, part + " by its formula");
        near(ratio, printed, 0.015, part + " as printed");
        double both = activity(mass(Part.WATER, 100, part, grams, Part.SUCROSE, 50));
        near(both, ratio * activity(mass(Part.WATER, 100, Part.SUCROSE, 50)), 1e-9, "activities multiply, Ross 1975");
    }

    @Test
    public void saltCountsAsTwoIons() {
        double sugar = activity(mass(Part.WATER, 100, Part.SUCROSE, 50));
        double salted = activity(mass(Part.WATER, 100, Part.SUCROSE, 50, Part.SALT, 5.26));
        near(salted / sugar, 0.970, 0.002, "0.9 molal sodium chloride, Robinson and Stokes 1959 (value from memory)");
    }

    @Test
    public void alcoholIsAnIdealSoluteOfWhatIsNotCooked() {
        double sugar = activity(mass(Part.WATER, 100, Part.SUCROSE, 50));
        double spirit = activity(mass(Part.WATER, 100, Part.SUCROSE, 50, Part.ALCOHOL, 46.069));
        near(spirit / sugar, 1 - 1 / (1 + 100 / 18.0153), 1e-9, "one mole beside the water");
        Composition pot = mass(Part.WATER, 100, Part.SUCROSE, 50, Part.ALCOHOL, 10);
        expectThrows(Refusal.class, () -> Boiling.of(Solution.in(pot), Atmosphere.SEA_LEVEL_KPA));
        expectThrows(Refusal.class, () -> Boiling.waterLeftGrams(Solution.in(pot), 110, Atmosphere.SEA_LEVEL_KPA));
    }

    @Test
    public void refusesBrinesAndSyrupsOutsideItsModel() {
        Solution.in(mass(Part.WATER, 100, Part.SALT, 10));
        expectThrows(Refusal.class, () -> Solution.in(mass(Part.WATER, 100, Part.SALT, 10.1)));
        for (double de : new double[] {20, 98}) {
            Solution.in(Composition.of(Map.of(Part.WATER, 20.0, Part.SYRUP_SOLIDS, 80.0), de));
        }
        for (double de : new double[] {19.9, 98.1}) {
            Composition odd = Composition.of(Map.of(Part.WATER, 20.0, Part.SYRUP_SOLIDS, 80.0), de);
            expectThrows(Refusal.class, () -> Solution.in(odd));
        }
        Solution.in(Composition.of(Map.of(Part.WATER, 20.0, Part.SUCROSE, 80.0), 5));
    }

    @Test
    public void whatLiesInCrystalsCarriesNothing() {
        Composition just = mass(Part.WATER, 10, Part.SUCROSE, 20.7);
        Composition beyond = mass(Part.WATER, 10, Part.SUCROSE, 60);
        near(
                WaterActivity.at25(Solution.saturated(beyond)).ratio(),
                activity(just),
                1e-9,
                "saturated at 2.07 g in 1 g");
        near(WaterActivity.at25(Solution.saturated(just)).ratio(), activity(just), 1e-12, "not a grain beyond");
        near(activity(just), 0.85, 0.01, "saturated sucrose at 25 °C, Greenspan 1977 has 0.85 (value from memory)");
    }

    @Test
    public void saysFromWhichActivityItIsAnEstimate() {
        assertEquals(WaterActivity.classed(0.75).zone(), Zone.SUPPORTED);
        assertEquals(WaterActivity.classed(0.7499).zone(), Zone.ESTIMATE);
        assertEquals(WaterActivity.classed(0.20).zone(), Zone.ESTIMATE);
        expectThrows(Refusal.class, () -> WaterActivity.classed(0.1999));
    }

    @Test
    public void refusesWhatIsNoSolution() {
        expectThrows(Refusal.class, () -> activity(mass(Part.WATER, 100)));
        expectThrows(Refusal.class, () -> activity(mass(Part.SUCROSE, 100)));
        activity(Composition.of(Map.of(Part.WATER, 2.5, Part.SYRUP_SOLIDS, 97.5), 20));
        Composition drier = Composition.of(Map.of(Part.WATER, 2.4, Part.SYRUP_SOLIDS, 97.6), 20);
        Refusal dry = expectThrows(Refusal.class, () -> activity(drier));
        assertTrue(dry.getMessage().contains("97.5 %"), dry.getMessage());
    }

    @Test
    public void boilsBetweenWaterAndItsOwnLimit() {
        Solution sugar = Solution.in(mass(Part.WATER, 40, Part.SUCROSE, 60));
        double first = Boiling.celsius(sugar, 40, Atmosphere.SEA_LEVEL_KPA);
        near(Boiling.waterLeftGrams(sugar, first, Atmosphere.SEA_LEVEL_KPA), 40, 1e-6, "nothing has left");
        Refusal early = expectThrows(
                Refusal.class, () -> Boiling.waterLeftGrams(sugar, first - 0.01, Atmosphere.SEA_LEVEL_KPA));
        assertTrue(early.getMessage().contains("only at a higher"), early.getMessage());
        assertTrue(Boiling.waterLeftGrams(sugar, 160, Atmosphere.SEA_LEVEL_KPA) > 0);
        expectThrows(Refusal.class, () -> Boiling.waterLeftGrams(sugar, 160.01, Atmosphere.SEA_LEVEL_KPA));
        Solution plain = Solution.in(mass(Part.WATER, 100));
        near(
                Boiling.celsius(plain, 100, Atmosphere.SEA_LEVEL_KPA),
                Steam.boilingCelsius(Atmosphere.SEA_LEVEL_KPA),
                1e-9,
                "water boils as water does");
        Refusal nothing =
                expectThrows(Refusal.class, () -> Boiling.waterLeftGrams(plain, 101, Atmosphere.SEA_LEVEL_KPA));
        assertTrue(nothing.getMessage().contains("Nothing is dissolved"), nothing.getMessage());
        expectThrows(Refusal.class, () -> Boiling.celsius(sugar, 0, Atmosphere.SEA_LEVEL_KPA));
        Refusal dry = expectThrows(Refusal.class, () -> Boiling.celsius(sugar, 0.1, Atmosphere.SEA_LEVEL_KPA));
        assertTrue(dry.getMessage().contains("160"), dry.getMessage());
    }
}

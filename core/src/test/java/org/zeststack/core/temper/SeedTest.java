package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.InvalidInput;

/** Heat balances of seed and slab. */
public class SeedTest {

    private static Seed dark(double grams, double from, double to, Bowl bowl) {
        return Seed.of(new Seed.Melt(grams, from, to, bowl), 20, 0.36, 1);
    }

    @Test
    public void seedOfDarkCouverture() {
        near(dark(1000, 46, 32, Bowl.NONE).grams(), 349.4, 0.5, "by hand: 1650 × 14 / (1.40 × 12 + 137 × 0.36)");
        near(
                dark(200, 46, 32, Bowl.NONE).grams(),
                70,
                1,
                "of 100 g stirred in about 30 are lifted out (common practice, no source)");
        Bowl glass = new Bowl(600, Bowl.Material.GLASS);
        near(dark(1000, 46, 32, glass).grams(), 456, 2, "by hand: (1650 + 504) × 14 / 66.12");
        near(dark(1000, 45, 31, Bowl.NONE).perMelted(), 0.357, 0.002, "by hand: 23.1 / 64.72");
        Seed seed = dark(1000, 45, 31, Bowl.NONE);
        assertEquals(seed.perTotal(), seed.perMelted() / (1 + seed.perMelted()), 1e-12, "two shares that are mixed up");
    }

    @Test
    public void sixPartsAndTwoPartsFinelyGrated() {
        Seed.Melt six = new Seed.Melt(600, 45, 31, Bowl.NONE);
        near(
                Seed.lands(six, 200, 20, 0.36),
                31.7,
                0.1,
                "6 × 1.65 (45 − T) = 2 (1.4 (T − 20) + 49.3); common practice, no source");
    }

    @Test
    public void heatBalancesClose() {
        SplittableRandom random = new SplittableRandom(11);
        for (int i = 0; i < 500; i++) {
            Bowl bowl = new Bowl(random.nextDouble(0, 3000), Bowl.Material.values()[random.nextInt(3)]);
            double to = random.nextDouble(27, 33.5);
            Seed.Melt melt = new Seed.Melt(random.nextDouble(50, 20_000), random.nextDouble(40, 55), to, bowl);
            double at = random.nextDouble(5, 26);
            double butter = random.nextDouble(0.2, 0.5);
            double melted = random.nextDouble(0, 1);
            double seed = Seed.of(melt, at, butter, melted).grams();
            double given = (melt.grams() * 1.65 + bowl.joulesPerKelvin()) * (melt.fromCelsius() - to);
            double taken = seed * 1.40 * (to - at) + seed * melted * butter * 137;
            assertEquals(taken / given, 1, 1e-9, "property: what one gives the other takes");
            double all = Seed.of(melt, at, butter, 1).grams();
            assertEquals(Seed.lands(melt, all, at, butter), to, 1e-9, "property: one balance read both ways");
        }
    }

    @DataProvider
    public Object[][] bowls() {
        return new Object[][] {
            {Bowl.Material.GLASS, 0.84}, {Bowl.Material.STEEL, 0.5}, {Bowl.Material.POLYPROPYLENE, 1.9}
        };
    }

    @Test(dataProvider = "bowls")
    public void bowlsHoldHeat(Bowl.Material material, double perGram) {
        near(new Bowl(1000, material).joulesPerKelvin(), 1000 * perGram, 1e-9, "handbook values, from memory");
    }

    @Test
    public void whatCannotCoolIsRefusedByItsField() {
        assertEquals(fault(() -> new Seed.Melt(1000, 32, 32, Bowl.NONE)), "fromCelsius");
        assertEquals(fault(() -> new Seed.Melt(1000, 46, 33.9, Bowl.NONE)), "toCelsius", "seed would melt away");
        assertEquals(fault(() -> new Seed.Melt(0, 46, 32, Bowl.NONE)), "chocolateGrams");
        Seed.Melt melt = new Seed.Melt(1000, 46, 32, Bowl.NONE);
        assertEquals(fault(() -> Seed.of(melt, 32, 0.36, 1)), "seedCelsius");
        assertEquals(fault(() -> Seed.of(melt, 20, 1.1, 1)), "cocoaButterFraction");
        assertEquals(fault(() -> Seed.of(melt, 20, 0.36, -0.1)), "meltedFraction");
    }

    private static String fault(org.testng.Assert.ThrowingRunnable what) {
        return expectThrows(InvalidInput.class, what).faults().get(0).field();
    }

    @Test
    public void theKeptThirdMustHaveItsTemperature() {
        near(Slab.keptCelsius(2 / 3.0, 27, 31), 39.0, 1e-9, "mixing arithmetic on common practice");
        near(Slab.endCelsius(2 / 3.0, 27, 48), 34.0, 1e-9, "mixing arithmetic: above the window, lost");
        near(Slab.keptCelsius(2 / 3.0, 28.5, 31), 36.0, 1e-9, "mixing arithmetic");
        assertEquals(fault(() -> Slab.keptCelsius(1, 27, 31)), "slabFraction");
        assertEquals(fault(() -> Slab.endCelsius(0.5, 27, 19)), "keptCelsius");
    }
}

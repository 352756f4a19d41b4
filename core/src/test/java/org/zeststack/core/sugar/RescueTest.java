package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.simulate.SimulatedPot;
import org.zeststack.core.sugar.Rescue.With;

public class RescueTest {

    private static final Composition CARAMEL = Masses.checkCaramel();

    @DataProvider
    public Object[][] overshoots() {
        return new Object[][] {{112.0, 1.0}, {118.0, 2.5}, {121.0, 8.0}, {140.0, 5.0}};
    }

    @Test(dataProvider = "overshoots")
    public void waterPutBackIsTheWaterThatBoiledOff(double target, double by) {
        double meant =
                Cook.to(CARAMEL, target, Atmosphere.SEA_LEVEL_KPA).after().waterGrams();
        double now =
                Cook.to(CARAMEL, target + by, Atmosphere.SEA_LEVEL_KPA).after().waterGrams();
        Rescue rescue = Rescue.of(CARAMEL, target + by, target, With.WATER);
        near(rescue.addGrams(), meant - now, 1e-6, "property: rescue inverts overshoot");
        near(rescue.after().waterGrams(), meant, 1e-6, "property: the water that was meant");
        near(rescue.pourGrams(), 1.75 * (meant - now), 1e-6, "three quarters more");
    }

    @Test(dataProvider = "overshoots")
    public void withCreamItBoilsAtTheTargetToo(double target, double by) {
        Rescue rescue = Rescue.of(CARAMEL, target + by, target, With.CREAM35);
        double again = Cook.to(
                        rescue.after().withWater(1.2 * rescue.after().waterGrams()), target, Atmosphere.SEA_LEVEL_KPA)
                .after()
                .waterGrams();
        near(again, rescue.after().waterGrams(), 1e-5, "property: cooked to the target there is as much water");
        Composition added = rescue.after();
        near(
                added.grams(Part.MILK_FAT) - rescue.overcooked().grams(Part.MILK_FAT),
                0.35 * rescue.addGrams(),
                1e-9,
                "fat");
        near(added.waterGrams() - rescue.overcooked().waterGrams(), 0.585 * rescue.addGrams(), 1e-9, "water of cream");
        near(
                added.grams(Part.LACTOSE) - rescue.overcooked().grams(Part.LACTOSE),
                0.032 * rescue.addGrams(),
                1e-9,
                "lactose");
        near(added.totalGrams() - rescue.overcooked().totalGrams(), rescue.addGrams(), 1e-9, "all of it");
    }

    @Test
    public void creamIsMoreThanWater() {
        double water = Rescue.of(CARAMEL, 122, 118, With.WATER).addGrams();
        double cream = Rescue.of(CARAMEL, 122, 118, With.CREAM35).addGrams();
        // Of cream 58.5 % is water; its lactose binds a little.
        assertTrue(cream > water / 0.585 && cream < water / 0.585 * 1.1, water + " of water, " + cream + " of cream");
    }

    @Test
    public void whatIsNotPastIsNotRescued() {
        var notPast = expectThrows(InvalidInput.class, () -> Rescue.of(CARAMEL, 118, 118, With.WATER));
        assertEquals(notPast.faults().get(0).field(), "nowCelsius");
        assertTrue(Rescue.of(CARAMEL, 118.001, 118, With.WATER).addGrams() > 0);
        var below = expectThrows(InvalidInput.class, () -> Rescue.of(CARAMEL, 118, 100.5, With.WATER));
        assertEquals(below.faults().get(0).field(), "targetCelsius");
        expectThrows(Refusal.class, () -> Rescue.of(CARAMEL, 161, 118, With.WATER));
    }

    /**
     * The pot's own physics, not the model's: after the addition and the boil up to the target again it has the water that it had when
     * it first stood there.
     */
    @Test
    public void aHundredOvershotPotsComeBackToTheirWater() {
        SplittableRandom random = new SplittableRandom(77);
        double worst = 0;
        for (int i = 0; i < 100; i++) {
            double target = random.nextDouble(112, 124);
            double by = random.nextDouble(1, 8);
            With with = random.nextBoolean() ? With.WATER : With.CREAM35;
            SimulatedPot.Ring ring = SimulatedPot.Ring.usual(CARAMEL, Atmosphere.SEA_LEVEL_KPA);
            SimulatedPot pot = pot(ring, List.of(), i);
            double meant = pot.waterGramsAt(reaches(pot, 0, target));
            double over = reaches(pot, 0, target + by);
            Rescue rescue = Rescue.of(CARAMEL, target + by, target, with);
            SimulatedPot again =
                    pot(ring, List.of(new SimulatedPot.Added(over, with.grams(rescue.pourGrams()), 60)), i);
            double water = again.waterGramsAt(reaches(again, over + 5, target));
            worst = Math.max(worst, Math.abs(water / meant - 1));
        }
        assertTrue(worst < 0.03, "the worst is off by %.4f of its water".formatted(worst));
    }

    private static SimulatedPot pot(SimulatedPot.Ring ring, List<SimulatedPot.Deed> deeds, long seed) {
        return new SimulatedPot(CARAMEL, ring, SimulatedPot.Probe.GOOD, deeds, seed);
    }

    private static double reaches(SimulatedPot pot, double from, double celsius) {
        double second = from;
        while (pot.celsiusAt(second) < celsius) {
            second++;
        }
        return second;
    }
}

package org.zeststack.core.composition;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.zeststack.core.Near.near;

import java.util.EnumMap;
import java.util.Map;
import java.util.SplittableRandom;
import org.testng.annotations.Test;

public class CompositionTest {

    private static Composition random(SplittableRandom random) {
        Map<Part, Double> grams = new EnumMap<>(Part.class);
        for (Part part : Part.values()) {
            if (random.nextBoolean()) {
                grams.put(part, 100 * random.nextDouble());
            }
        }
        return Composition.of(grams, 25 + 60 * random.nextDouble());
    }

    @Test
    public void massesAddAndScale() {
        SplittableRandom random = new SplittableRandom(3);
        for (int i = 0; i < 100; i++) {
            Composition a = random(random);
            Composition b = random(random);
            near(a.plus(b).totalGrams(), a.totalGrams() + b.totalGrams(), 1e-9, "property: mass is conserved");
            near(a.times(3).totalGrams(), 3 * a.totalGrams(), 1e-9, "property: scaling");
            near(a.plus(b).dissolvedGrams(), a.dissolvedGrams() + b.dissolvedGrams(), 1e-9, "property: parts add");
            if (a.plus(b).grams(Part.SYRUP_SOLIDS) > 0) {
                near(
                        a.plus(b).dextroseEquivalent(),
                        b.plus(a).dextroseEquivalent(),
                        1e-9,
                        "property: the order does not matter");
            }
            near(a.withWater(7).totalGrams(), a.totalGrams() - a.waterGrams() + 7, 1e-9, "property: only the water");
        }
    }

    @Test
    public void dissolvedSolidsAreNotTotalSolids() {
        Composition caramel = Composition.of(Map.of(Part.SUCROSE, 80.0, Part.WATER, 20.0, Part.MILK_FAT, 50.0), 42);
        near(caramel.dissolvedSolidsFraction(), 0.8, 1e-12, "fat is not dissolved");
        assertEquals(Composition.NOTHING.dissolvedSolidsFraction(), 0.0);
        assertEquals(caramel.byPart().size(), 3);
    }

    @Test
    public void negativeAndEndlessMassesAreRefused() {
        assertThrows(IllegalArgumentException.class, () -> Composition.of(Map.of(Part.WATER, -1.0), 42));
        assertThrows(IllegalArgumentException.class, () -> Composition.of(Map.of(Part.WATER, Double.NaN), 42));
        assertThrows(
                IllegalArgumentException.class, () -> Composition.of(Map.of(Part.SALT, Double.POSITIVE_INFINITY), 42));
    }
}

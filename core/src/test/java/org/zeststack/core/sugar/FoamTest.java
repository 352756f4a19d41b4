package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.Map;
import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;

public class FoamTest {

    @Test
    public void milkFoamsHigherThanSyrup() {
        Foam caramel = Foam.of(Masses.checkCaramel());
        assertTrue(caramel.milk());
        // 2.82 kg of a cream caramel lie in 2.3 to 2.5 L (common practice, no source).
        near(caramel.litres(), 2.4, 0.15, "its own volume");
        near(caramel.potLitres(), 3 * caramel.litres(), 1e-9, "three times as high");
        Foam syrup = Foam.of(Masses.sucrose(70));
        assertFalse(syrup.milk());
        near(syrup.potLitres(), 1.8 * syrup.litres(), 1e-9, "1.8 times as high");
    }

    @Test
    public void aTraceOfProteinIsNoMilk() {
        assertFalse(Foam.of(with(2.9)).milk());
        assertTrue(Foam.of(with(3.1)).milk());
        assertEquals(Foam.of(with(3.1)).times(), 3.0);
    }

    private static Composition with(double protein) {
        return Composition.of(Map.of(Part.SUCROSE, 700.0, Part.WATER, 300 - protein, Part.PROTEIN, protein), 42);
    }
}

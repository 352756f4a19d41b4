package org.zeststack.core.sugar;

import static org.testng.Assert.assertEquals;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import org.zeststack.core.Masses;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.IngredientTable;

public class FoamTest {

    @Test
    public void milkFoamsHigherThanSyrup() {
        Foam caramel = Foam.of(Masses.checkCaramel());
        assertEquals(caramel.mass(), Foam.Mass.MILK);
        // 2.82 kg of a cream caramel lie in 2.3 to 2.5 L (common practice, no source).
        near(caramel.litres(), 2.4, 0.15, "its own volume");
        near(caramel.potLitres(), 3 * caramel.litres(), 1e-9, "three times as high");
        Foam syrup = Foam.of(Masses.sucrose(70));
        assertEquals(syrup.mass(), Foam.Mass.SYRUP);
        near(syrup.potLitres(), 1.8 * syrup.litres(), 1e-9, "1.8 times as high");
    }

    @Test
    public void aTraceOfProteinFoamsNoMore() {
        assertEquals(Foam.of(with(2.9, 0)).mass(), Foam.Mass.SYRUP);
        assertEquals(Foam.of(with(3.1, 0)).mass(), Foam.Mass.PROTEIN);
        assertEquals(Foam.of(with(3.1, 0)).times(), 3.0);
    }

    /** A fruit purée with a little butter is no mass with milk; cream, milk powder and condensed milk are (their milk sugar). */
    @Test
    public void fruitIsNoMilk() {
        assertEquals(Foam.of(with(8, 3.9)).mass(), Foam.Mass.PROTEIN);
        assertEquals(Foam.of(with(8, 4.1)).mass(), Foam.Mass.MILK);
        assertEquals(Foam.of(with(2, 4)).mass(), Foam.Mass.SYRUP, "too little to foam");
        IngredientTable table = IngredientTable.shipped();
        for (String milk : List.of("cream-35", "milk-powder-skimmed", "condensed-milk", "buttermilk")) {
            assertEquals(Foam.of(table.get(milk).grams(100)).mass(), Foam.Mass.MILK, milk);
        }
        assertEquals(Foam.of(table.get("raspberry-puree").grams(100)).mass(), Foam.Mass.PROTEIN);
    }

    private static Composition with(double protein, double milkSugar) {
        return Composition.of(
                Map.of(
                        Part.SUCROSE,
                        700 - milkSugar,
                        Part.WATER,
                        300 - protein,
                        Part.PROTEIN,
                        protein,
                        Part.LACTOSE,
                        milkSugar),
                42);
    }
}

package org.zeststack.core.ingredient;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Nutrition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.PackFit.Figure;
import org.zeststack.core.quantity.InvalidInput;

public class PackFitTest {

    private static final IngredientTable TABLE = IngredientTable.shipped();

    private static List<Ingredient> named(String... slugs) {
        return List.of(slugs).stream().map(TABLE::get).toList();
    }

    private static Map<Figure, Double> panel(Nutrition n) {
        Map<Figure, Double> panel = new EnumMap<>(Figure.class);
        panel.put(Figure.FAT, Math.round(n.fat() * 10) / 10.0);
        panel.put(Figure.SATURATES, Math.round(n.saturates() * 10) / 10.0);
        panel.put(Figure.CARBOHYDRATE, Math.round(n.carbohydrate() * 10) / 10.0);
        panel.put(Figure.SUGARS, Math.round(n.sugars() * 10) / 10.0);
        panel.put(Figure.PROTEIN, Math.round(n.protein() * 10) / 10.0);
        return panel;
    }

    /** Mixtures made up at random, their panels printed as a pack would, then estimated back. */
    @Test
    public void theTrueMixtureLiesInsideItsPlusMinus() {
        Random random = new Random(11);
        List<Ingredient> parts =
                named("sugar", "hazelnut-roasted", "sunflower-oil", "cocoa-powder", "milk-powder-skimmed");
        for (int round = 0; round < 40; round++) {
            double[] shares = random.doubles(parts.size(), 0.02, 1).sorted().toArray();
            double sum = java.util.Arrays.stream(shares).sum();
            Composition truth = Composition.NOTHING;
            double saturates = 0;
            double sodium = 0;
            for (int i = 0; i < parts.size(); i++) {
                double share = shares[parts.size() - 1 - i] / sum;
                truth = truth.plus(parts.get(i).grams(100 * share));
                saturates += share * parts.get(i).saturatesPer100Grams();
                sodium += share * parts.get(i).sodiumPer100Grams();
            }
            PackFit fit = PackFit.of(panel(Nutrition.of(truth, saturates, sodium)), parts);
            assertTrue(fit.misfit().isEmpty(), fit.misfit().toString());
            for (Part part : Part.values()) {
                double off = Math.abs(fit.per100Grams().grams(part) - truth.grams(part));
                // The estimate need not be the middle of the span, so the truth may be up to a whole span away.
                double span = 2 * fit.plusMinus().getOrDefault(part, 0.0);
                assertTrue(off <= span + 1e-6, "seed 11, round " + round + ": " + part + " off by " + off);
            }
        }
    }

    @Test
    public void theOrderOfThePackIsKept() {
        PackFit fit = PackFit.of(
                Map.of(Figure.FAT, 30.0, Figure.SUGARS, 50.0), named("sugar", "palm-oil", "milk-powder-skimmed"));
        for (int i = 1; i < fit.shares().size(); i++) {
            assertTrue(fit.shares().get(i) <= fit.shares().get(i - 1) + 1e-9);
        }
        assertTrue(Math.abs(fit.per100Grams().totalGrams() - 100) < 1e-6);
        assertTrue(fit.plusMinus().values().stream().allMatch(v -> v >= -1e-9));
    }

    @Test
    public void whatCannotBeIsSaid() {
        PackFit fit = PackFit.of(Map.of(Figure.PROTEIN, 40.0), named("sugar", "palm-oil"));
        assertEquals(fit.misfit().size(), 1);
        InvalidInput faults = expectThrows(
                InvalidInput.class,
                () -> PackFit.of(Map.of(Figure.SUGARS, 60.0, Figure.CARBOHYDRATE, 50.0, Figure.FAT, 120.0), List.of()));
        assertTrue(faults.faults().stream().anyMatch(f -> f.field().equals("SUGARS")));
        assertTrue(faults.faults().stream().anyMatch(f -> f.field().equals("FAT")));
        assertTrue(faults.faults().stream().anyMatch(f -> f.field().equals("ingredients")));
    }
}

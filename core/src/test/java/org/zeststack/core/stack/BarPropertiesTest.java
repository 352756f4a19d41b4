package org.zeststack.core.stack;

import static org.testng.Assert.assertEquals;
import static org.zeststack.core.Near.near;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;
import static org.zeststack.core.stack.Bars.MILK;
import static org.zeststack.core.stack.Bars.PASTE;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.picture.CrossSection;

/** What must hold for any bar. The seed is fixed. */
public class BarPropertiesTest {

    private static final int ROUNDS = 120;

    private static Cavity cavity(SplittableRandom random) {
        return RandomBars.cavity(random);
    }

    private static Bar bar(SplittableRandom random) {
        List<BarLayer> layers = new ArrayList<>();
        layers.add(BarLayer.mm(LayerKind.SHELL, DARK, 1 + random.nextDouble()));
        layers.add(BarLayer.mm(LayerKind.FILLING, CARAMEL, 1 + 2 * random.nextDouble()));
        layers.add(BarLayer.rest(LayerKind.FILLING, PASTE));
        layers.add(BarLayer.mm(LayerKind.BACK, MILK, 1 + 2 * random.nextDouble()));
        return Bar.of(Build.MOULDED, new Body.Moulded(1, false), layers);
    }

    @Test
    public void layersAddUpToThePiece() {
        SplittableRandom random = new SplittableRandom(41);
        for (int round = 0; round < ROUNDS; round++) {
            Cavity cavity = cavity(random);
            BarStack stack = Bars.of(bar(random), cavity);
            double volume =
                    stack.layers().stream().mapToDouble(StackLayer::volumeMl).sum();
            near(volume, cavity.volumeMl(), 1e-6 * cavity.volumeMl(), "seed 41, round " + round + " " + cavity);
            double grams =
                    stack.layers().stream().mapToDouble(StackLayer::grams).sum();
            near(stack.pieceGrams(), grams, 1e-9, "seed 41, round " + round);
        }
    }

    @Test
    public void movingABoundaryMovesMassBetweenItsNeighboursOnly() {
        SplittableRandom random = new SplittableRandom(42);
        for (int round = 0; round < ROUNDS; round++) {
            Cavity cavity = cavity(random);
            Bar bar = bar(random);
            List<BarLayer> moved = new ArrayList<>(bar.layers());
            moved.set(1, moved.get(1).amount(moved.get(1).amount() + 0.4));
            List<StackLayer> before = Bars.of(bar, cavity).layers();
            List<StackLayer> after = Bars.of(bar.with(moved), cavity).layers();
            String where = "seed 42, round " + round + " " + cavity;
            assertEquals(after.get(0).grams(), before.get(0).grams(), 1e-9, where);
            assertEquals(after.get(3).grams(), before.get(3).grams(), 1e-9, where);
            double gained = after.get(1).volumeMl() - before.get(1).volumeMl();
            double lost = before.get(2).volumeMl() - after.get(2).volumeMl();
            near(gained, lost, 1e-9, where);
        }
    }

    @Test
    public void reassemblingAnAssembledBarChangesNothing() {
        SplittableRandom random = new SplittableRandom(43);
        for (int round = 0; round < ROUNDS; round++) {
            Cavity cavity = cavity(random);
            Bar bar = bar(random);
            BarStack stack = Bars.of(bar, cavity);
            List<BarLayer> weighed = new ArrayList<>();
            for (StackLayer layer : stack.layers()) {
                boolean rest = layer.kind() == LayerKind.BACK;
                weighed.add(
                        rest
                                ? BarLayer.rest(LayerKind.BACK, layer.design().of())
                                : BarLayer.grams(layer.kind(), layer.design().of(), layer.grams()));
            }
            List<StackLayer> again = Bars.of(bar.with(weighed), cavity).layers();
            for (int i = 0; i < again.size(); i++) {
                String where = "seed 43, round " + round + ", layer " + i + " " + cavity;
                near(again.get(i).grams(), stack.layers().get(i).grams(), 1e-5, where);
                near(again.get(i).toMm(), stack.layers().get(i).toMm(), 1e-5, where);
            }
        }
    }

    @Test
    public void theDrawingHoldsEveryLayerOfEveryShape() {
        SplittableRandom random = new SplittableRandom(44);
        for (int round = 0; round < ROUNDS; round++) {
            BarStack stack = Bars.of(bar(random), cavity(random));
            List<String> drawn = CrossSection.across(stack).shapes().stream()
                    .map(CrossSection.Shape::layer)
                    .distinct()
                    .toList();
            assertEquals(drawn, List.of("shell", "filling-1", "filling-2", "back"), "seed 44, round " + round);
        }
    }
}

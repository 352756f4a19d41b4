package org.zeststack.core.stack;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;
import static org.zeststack.core.stack.Bars.PASTE;
import static org.zeststack.core.stack.Bars.TAPERED;
import static org.zeststack.core.stack.Bars.back;
import static org.zeststack.core.stack.Bars.layer;
import static org.zeststack.core.stack.Bars.moulded;
import static org.zeststack.core.stack.Bars.plain;
import static org.zeststack.core.stack.Bars.shell;

import java.util.List;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Dome;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;

/** Bars in a mould. */
public class BarStackTest {

    @Test
    public void windowIsTheCheckValue() {
        var window = layer(plain(1.5, 2), "filling-1").window();
        near(window.leastGrams(), 35.3, 0.1, "prismoidal formula on the inset shape");
        near(window.greatestGrams(), 43.6, 0.1, "prismoidal formula on the inset shape");
        near(window.targetGrams(), 30.34 * 1.3, 0.03, "prismoidal formula on the inset shape");
        near(layer(plain(1.5, 2), "shell").volumeMl(), 9.86, 0.02, "prismoidal formula on the inset shape");
        near(layer(plain(1.5, 2), "back").volumeMl(), 6.53, 0.02, "prismoidal formula on the inset shape");
    }

    @Test
    public void layersFillTheCavityAndWindowsShareItsEnds() {
        BarStack stack = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.FILLING, CARAMEL, 4),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                back(2));
        double volume =
                stack.layers().stream().mapToDouble(StackLayer::volumeMl).sum();
        near(volume, TAPERED.volumeMl(), 1e-9, "property: the parts are the whole");
        double least = 0;
        for (StackLayer filling : stack.all(LayerKind.FILLING)) {
            least += filling.window().leastGrams() / filling.material().densityGramsPerMl();
        }
        double thickest = TAPERED.lined(1.5).volumeMl(1.5, 14 - 3);
        near(least, thickest, 1e-9, "both at their least leave the thickest back");
    }

    @Test
    public void aShellByWeightIsTheOneThatWeighsThat() {
        BarStack byMm = plain(1.7, 2);
        double grams = layer(byMm, "shell").grams();
        BarStack byGrams = moulded(
                TAPERED,
                BarLayer.grams(LayerKind.SHELL, DARK, grams),
                BarLayer.rest(LayerKind.FILLING, CARAMEL),
                back(2));
        near(layer(byGrams, "shell").thicknessMm(), 1.7, 1e-6, "property: an emptied shell tells its thickness");
        InvalidInput heavy = expectThrows(
                InvalidInput.class, () -> moulded(TAPERED, BarLayer.grams(LayerKind.SHELL, DARK, 400), back(2)));
        assertEquals(heavy.faults().get(0).field(), "layer.0.amount");
        assertTrue(heavy.faults().get(0).message().contains("permitted"), heavy.getMessage());
    }

    @Test
    public void aFillingByWeightLeavesTheBackWhatIsLeft() {
        double grams = layer(plain(1.5, 2), "filling-1").grams();
        BarStack stack = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.grams(LayerKind.FILLING, CARAMEL, grams),
                BarLayer.rest(LayerKind.BACK, DARK).between(1, 3));
        near(layer(stack, "back").thicknessMm(), 2, 1e-6, "property: the same grams leave the same back");
    }

    @Test
    public void softFillingIsDisplacedByWhatIsLaidIn() {
        BarLayer.Insert finger = new BarLayer.Insert(BarLayer.Shape.BAR, 60, 15, 4, 0, 0, 2, 0);
        BarStack stack = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.FILLING, CARAMEL, 4),
                BarLayer.mm(LayerKind.INSERT, "biscuit-shortbread", 0).with(finger),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                back(2));
        StackLayer insert = layer(stack, "insert-1");
        near(insert.fromMm(), 1.5 + 4 - 2, 1e-9, "rests 2 mm deep in a layer that reaches 5.5 mm");
        near(insert.volumeMl(), 60 * 15 * 4 / 1000.0, 1e-9, "length × width × height");
        double all = stack.layers().stream().mapToDouble(StackLayer::volumeMl).sum();
        near(all, TAPERED.volumeMl(), 1e-6, "property: the parts are the whole");
        double lower = layer(stack, "filling-1").volumeMl();
        near(lower, TAPERED.lined(1.5).volumeMl(1.5, 5.5) - 60 * 15 * 2 / 1000.0, 1e-9, "less what is pressed in");
    }

    @Test
    public void whatLiesOnTheRestStandsInTheLayerAboveIt() {
        BarLayer.Insert finger = new BarLayer.Insert(BarLayer.Shape.BAR, 60, 15, 2, 0, 0, 0.5, 0);
        BarStack stack = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                BarLayer.mm(LayerKind.INSERT, "biscuit-shortbread", 0).with(finger),
                BarLayer.grams(LayerKind.FILLING, CARAMEL, 12),
                back(2));
        double all = stack.layers().stream().mapToDouble(StackLayer::volumeMl).sum();
        near(all, TAPERED.volumeMl(), 1e-6, "property: the parts are the whole");
        near(layer(stack, "filling-2").grams(), 12, 1e-9, "as much as was given");
        near(layer(stack, "insert-1").fromMm(), layer(stack, "filling-1").toMm() - 0.5, 1e-9, "pressed in 0.5 mm");
    }

    @Test
    public void whatIsEmbeddedDisplacesAndWhatStandsOnTopDoesNot() {
        BarLayer rest = BarLayer.rest(LayerKind.FILLING, CARAMEL);
        BarStack none = moulded(TAPERED, shell(1.5), rest, back(2));
        BarStack inside = moulded(TAPERED, shell(1.5), rest, BarLayer.pieces("hazelnut-roasted", 5, 1, 1), back(2));
        BarStack half = moulded(TAPERED, shell(1.5), rest, BarLayer.pieces("hazelnut-roasted", 5, 1, 0.5), back(2));
        double nuts = 5 / Bars.MATERIALS.get("hazelnut-roasted").densityGramsPerMl();
        near(
                layer(none, "filling-1").volumeMl() - layer(inside, "filling-1").volumeMl(),
                nuts,
                1e-9,
                "Archimedes: what goes under takes its own volume");
        near(
                layer(none, "filling-1").volumeMl() - layer(half, "filling-1").volumeMl(),
                nuts / 2,
                1e-9,
                "half of it goes under");
    }

    @Test
    public void twoHalvesAreOnePiece() {
        Dome dome = new Dome(15, 15);
        List<BarLayer> layers = List.of(shell(2), BarLayer.grams(LayerKind.INCLUSION, "cocoa-nibs", 1));
        BarStack one = Bars.of(Bar.of(Build.OPEN, new Body.Moulded(1, false), layers), dome);
        BarStack two = Bars.of(Bar.of(Build.OPEN, new Body.Moulded(1, true), layers), dome);
        near(two.pieceGrams(), 2 * one.pieceGrams(), 1e-9, "two half-shells joined");
        double sphere = 4 * Math.PI / 3 * (Math.pow(15, 3) - Math.pow(13, 3)) / 1000;
        near(layer(two, "shell").volumeMl(), sphere, 1e-6 * sphere, "a hollow sphere, 4/3 π (R³ − r³)");
    }

    @Test
    public void waterCorrectsTheModel() {
        Parts measured = new Parts(TAPERED, 1.05, 0, 1, 1, Bars.MATERIALS);
        Bar bar = plain(1.5, 2).bar();
        BarStack stack = BarStack.of(bar, measured);
        near(
                stack.layers().stream().mapToDouble(StackLayer::volumeMl).sum(),
                1.05 * TAPERED.volumeMl(),
                1e-9,
                "definition of the calibration");
    }

    @Test
    public void aColourMayDifferFromCavityToCavityAndWeighsWhatItWeighs() {
        BarLayer spray = new BarLayer(
                LayerKind.DECORATION,
                "coloured-butter-red",
                BarLayer.By.MILLIGRAMS,
                80,
                0,
                1,
                1,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
        BarStack stack = moulded(TAPERED, spray, shell(1.5), BarLayer.rest(LayerKind.FILLING, CARAMEL), back(2));
        near(layer(stack, "decoration-1").grams(), 0.08, 1e-12, "80 mg");
        BarStack bounded = moulded(
                TAPERED, spray.between(60, 110), shell(1.5), BarLayer.rest(LayerKind.FILLING, CARAMEL), back(2));
        near(layer(bounded, "decoration-1").window().leastGrams(), 0.06, 1e-12, "60 mg");
        near(layer(bounded, "decoration-1").window().greatestGrams(), 0.11, 1e-12, "110 mg");
        near(stack.pieceGrams() - plain(1.5, 2).pieceGrams(), 0.08, 1e-9, "it comes on top");
    }

    @Test
    public void theDrawingIsTheGeometry() {
        BarStack stack = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.FILLING, CARAMEL, 4),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                back(2));
        CrossSection section = CrossSection.across(stack);
        assertEquals(section.widthMm(), 32.0);
        assertEquals(section.shapes().size(), 4);
        double area = section.shapes().stream().mapToDouble(BarStackTest::area).sum();
        near(area, (32 + 26) / 2.0 * 14, 1e-9, "the shapes cover the trapezium of the cavity");
        assertEquals(CrossSection.along(stack).widthMm(), 118.0);
    }

    /** The shoelace formula. */
    public static double area(CrossSection.Shape shape) {
        double twice = 0;
        for (int i = 0; i < shape.points().size(); i++) {
            var a = shape.points().get(i);
            var b = shape.points().get((i + 1) % shape.points().size());
            twice += a.xMm() * b.yMm() - b.xMm() * a.yMm();
        }
        return Math.abs(twice) / 2;
    }

    @Test
    public void faultsOfADesignAreCollected() {
        Bar bad = Bar.of(
                Build.MOULDED,
                new Body.Tray(300, 200, 4, 10, 1, 0),
                List.of(
                        BarLayer.mm(LayerKind.SHELL, DARK, 1.5),
                        BarLayer.mm(LayerKind.COAT, DARK, -1),
                        BarLayer.rest(LayerKind.FILLING, CARAMEL),
                        BarLayer.rest(LayerKind.BACK, DARK)));
        InvalidInput fault = expectThrows(InvalidInput.class, bad::check);
        assertEquals(
                fault.faults().stream().map(Fault::field).toList(),
                List.of("build", "layer.1.amount", "layer.1.kind", "layer.3.by"));
    }

    @Test
    public void whatIsMissingIsToldBesideItsLayer() {
        InvalidInput fault = expectThrows(
                InvalidInput.class,
                () -> moulded(TAPERED, shell(1.5), BarLayer.rest(LayerKind.FILLING, "formula:99:1"), back(2)));
        assertEquals(fault.faults().get(0).field(), "layer.1.of");
    }
}

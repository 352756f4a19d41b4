package org.zeststack.core.bar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.List;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar.FillingLayer;
import org.zeststack.core.bar.BarParts.Part;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.explain.Call;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;

public class BarStackTest {

    private static final TaperedCavity CAVITY = new TaperedCavity(118, 32, 112, 26, 14);
    private static final Part DARK = new Part("dark", "dark", 1.27);
    private static final Part CARAMEL = new Part("caramel", "caramel", 1.30);
    private static final Part PASTE = new Part("paste", "nut-paste", 1.10);

    private static BarStack bar(double shell, double back, double... depths) {
        List<FillingLayer> layers = depths.length == 0
                ? List.of(new FillingLayer(1, 1, 0))
                : List.of(new FillingLayer(1, 1, depths[0]), new FillingLayer(2, 1, 0));
        List<Part> fillings = depths.length == 0 ? List.of(CARAMEL) : List.of(CARAMEL, PASTE);
        Bar bar = new Bar(1, "couverture-dark-66", shell, "couverture-dark-66", back, 1, 3, layers);
        return BarStack.of(bar, new BarParts(CAVITY, DARK, DARK, fillings));
    }

    private static List<String> codes(BarStack stack) {
        return stack.calls().stream().map(Call::code).toList();
    }

    @Test
    public void windowIsTheCheckValue() {
        var window = bar(1.5, 2).fillings().get(0).window();
        near(window.leastGrams(), 35.3, 0.1, "prismoidal formula on the inset shape");
        near(window.greatestGrams(), 43.6, 0.1, "prismoidal formula on the inset shape");
        near(window.targetGrams(), 30.34 * 1.3, 0.03, "prismoidal formula on the inset shape");
    }

    @Test
    public void layersFillTheCavityAndWindowsShareItsEnds() {
        BarStack stack = bar(1.5, 2, 4);
        double volume =
                stack.layers().stream().mapToDouble(BarStack.Layer::volumeMl).sum();
        near(volume, CAVITY.volumeMl(), 1e-9, "property: the parts are the whole");
        double least = 0;
        for (BarStack.Layer layer : stack.fillings()) {
            least += layer.window().leastGrams() / (layer.grams() / layer.volumeMl());
        }
        near(least, stack.filled().fillingLeastMl(), 1e-9, "both at their least leave the thickest back");
    }

    @Test
    public void callsComeWithTheirArithmetic() {
        Call thin = bar(1.5, 0.6).calls().get(0);
        assertEquals(thin.code(), "back-thin");
        assertEquals(thin.weight(), Call.Weight.WILL_FAIL);
        assertTrue(thin.message().startsWith("Back will be 0.6 mm: it will leak."), thin.message());
        double less = (bar(1.5, 0.6).fillings().get(0).grams()
                - bar(1.5, 1).fillings().get(0).grams());
        assertTrue(thin.message().contains("%.1f g less".formatted(less)), thin.message());
        assertEquals(codes(bar(1.5, 4)), List.of("back-thick", "chocolate-share"));
        assertEquals(codes(bar(0.8, 2)).get(0), "shell-thin");
        assertEquals(codes(bar(1.5, 2, 11)).get(0), "filling-fit");
        assertEquals(codes(bar(1.5, 2)), List.of("chocolate-share"));
    }

    @Test
    public void lessThanAQuarterChocolateIsNoFilledChocolate() {
        // Directive 2000/36/EC, value from memory: at least 25 % chocolate.
        BarStack thin = bar(1, 1);
        assertTrue(thin.chocolateShare() < 0.25, "share " + thin.chocolateShare());
        Call call = thin.calls().stream()
                .filter(c -> c.code().equals("chocolate-share"))
                .findFirst()
                .orElseThrow();
        assertEquals(call.weight(), Call.Weight.TAKE_CARE);
        assertTrue(bar(1.5, 2).chocolateShare() >= 0.25);
    }

    @Test
    public void theDrawingIsTheGeometry() {
        CrossSection section = CrossSection.across(bar(1.5, 2, 4));
        assertEquals(section.widthMm(), 32.0);
        assertEquals(section.shapes().size(), 4);
        double area = section.shapes().stream().mapToDouble(BarStackTest::area).sum();
        near(area, (32 + 26) / 2.0 * 14, 1e-9, "the shapes cover the trapezium of the cavity");
        double length = CrossSection.along(bar(1.5, 2, 4)).widthMm();
        assertEquals(length, 118.0);
    }

    /** The shoelace formula. */
    private static double area(CrossSection.Shape shape) {
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
        Bar bad = new Bar(1, "sugar", 0, "nothing", -1, 1, 3, List.of());
        InvalidInput fault = expectThrows(InvalidInput.class, () -> bad.check(IngredientTable.shipped()));
        assertEquals(
                fault.faults().stream().map(Fault::field).toList(),
                List.of("shell", "back", "shellMm", "backMm", "fillings"));
    }
}

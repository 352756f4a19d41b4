package org.zeststack.core.stack;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Say;

/** Heights, off-cuts, composition, price and arithmetic of whole pieces; geometry. */
public class FrameTest {

    private static final BarLayer DARK = BarLayer.mm(LayerKind.FILLING, Bars.DARK, 3);

    private static BarStack sheet(boolean round, Double... sizes) {
        return Bars.of(Bar.of(Build.OPEN, new Body.Sheet(300, 200, round, List.of(sizes), 2), List.of(DARK)));
    }

    private static BarStack slab(BarLayer... layers) {
        return Bars.of(Bar.of(Build.SLAB, new Body.Slab(120, 50, 60, 25, 0, 0, 0), List.of(layers)));
    }

    @Test
    public void aPieceIsAsHighAsItsLayersAndCoats() {
        assertEquals(Bars.plain(1.5, 2).frame().heightMm(), 14.0, "the cavity's depth");
        assertEquals(sheet(true, 60.0, 40.0).frame().heightMm(), 6.0, "one stack of each size");
        assertEquals(slab(DARK, BarLayer.mm(LayerKind.COAT, Bars.DARK, 1)).pieceHeightMm(), 5.0, "below and above");
        BarLayer top = BarLayer.mm(LayerKind.COAT, Bars.DARK, 1).on(new BarLayer.Faces(false, true, true, false));
        assertEquals(slab(DARK, top).pieceHeightMm(), 4.0, "above only");
        Bar ball = Bar.of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.BALL, 0, 24, 0, 0),
                List.of(BarLayer.grams(LayerKind.FILLING, Bars.CARAMEL, 0), BarLayer.mm(LayerKind.COAT, Bars.DARK, 1)));
        near(Bars.of(ball).pieceHeightMm(), 26, 1e-9, "a ball all around");
    }

    /** Squares of 60 mm with 2 mm between on 300 × 200 mm: 4 × 3. */
    @Test
    public void aSheetGivesWholeRows() {
        BarStack squares = sheet(false, 60.0);
        assertEquals(squares.frame().piecesOfOne(), 12);
        near(squares.frame().offcutFraction(), 1 - 12 * 3600 / 60000.0, 1e-9, "the rest is off-cuts");
        assertTrue(sheet(true, 60.0).frame().piecesOfOne() >= 12, "round ones nest");
        near(
                sheet(true, 60.0).frame().offcutFraction(),
                1 - sheet(true, 60.0).frame().piecesOfOne() * Math.PI * 900 / 60000,
                1e-9,
                "of round ones");
        BarStack two = sheet(false, 60.0, 30.0);
        assertEquals(two.frame().piecesOfOne(), 12, "the larger ones decide");
        near(two.frame().offcutFraction(), 1 - 12 * (3600 + 900) / 120000.0, 1e-9, "of both sheets");
    }

    @Test
    public void addsUpWhatItIsMadeOfAndCosts() {
        BarStack stack = slab(DARK, BarLayer.mm(LayerKind.FILLING, Bars.CARAMEL, 4));
        double dark = stack.layers().get(0).grams();
        double caramel = stack.layers().get(1).grams();
        near(stack.composition().totalGrams(), dark + caramel, 1e-9, "all of it");
        near(
                stack.composition().waterGrams(),
                0.1 * caramel + dark * Bars.MATERIALS.get(Bars.DARK).waterFraction(),
                1e-9,
                "water of both");
        assertTrue(stack.composition().grams(Part.COCOA_BUTTER) > 0);
        near(stack.cost(), (dark + caramel) / 100, 1e-9, "ten a kilogram, nothing cut off");
        assertEquals(stack.unpriced(), List.of());
        Map<String, Material> some = new HashMap<>(Bars.MATERIALS);
        some.put(Bars.DARK, Material.of(IngredientTable.shipped().get(Bars.DARK), null));
        BarStack unpriced = BarStack.of(stack.bar(), Parts.of(some));
        assertEquals(unpriced.unpriced(), List.of("Dark couverture 66 %"));
        near(unpriced.cost(), caramel / 100, 1e-9, "of what has a price");
    }

    @Test
    public void tellsItsArithmetic() {
        List<String> moulded =
                Bars.plain(1.5, 2).why().lines().stream().map(l -> l.what()).toList();
        assertEquals(moulded.subList(0, 2), List.of("Cavity", "Inside the shell"));
        assertEquals(moulded.size(), 5);
        BarStack bare = Bars.of(Bar.of(Build.OPEN, new Body.Moulded(1, false), List.of(DARK)), Bars.TAPERED);
        assertEquals(
                bare.why().lines().stream().map(l -> l.what()).toList(), List.of("Cavity", "Dark couverture 66 %"));
        assertEquals(bare.pouredOutGrams(), 0.0, "nothing is poured out without a shell");
        assertTrue(Say.metric(bare.why().lines().get(0).arithmetic()).startsWith("∫ A(z) dz over 14.0 mm = 46.7"));
        assertEquals(slab(DARK).why().lines().size(), 1, "nothing is cut off");
        assertEquals(
                Say.metric(sheet(false, 60.0).why().lines().get(0).arithmetic()), "12; 28.0 % of the area is off-cuts");
        String layer = Say.metric(slab(DARK).why().lines().get(0).arithmetic());
        assertEquals(layer, "4.50 mL × 1.270 g/mL = 5.7 g");
    }

    @Test
    public void aFaultyBarIsNotAssembled() {
        BarLayer much = BarLayer.mm(LayerKind.FILLING, Bars.DARK, 101);
        assertThrows(InvalidInput.class, () -> slab(much));
    }
}

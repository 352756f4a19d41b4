package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;
import static org.zeststack.core.stack.Bars.MILK;
import static org.zeststack.core.stack.Bars.TAPERED;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.Bar.SoldAs;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.stack.StackLayer;

/** What a piece may be called, by Directive 2000/36/EC, Annex I (values from memory): its outside decides. */
public class NamesTest {

    private static final Body.Moulded MOULD = new Body.Moulded(1, false);
    private static final Body.Slab SLAB = new Body.Slab(300, 200, 60, 25, 0, 0, 0);

    static BarStack sold(SoldAs as, Build build, Body body, BarLayer... layers) {
        Bar bar = new Bar(
                build, body, List.of(layers), Bar.Finish.TEMPERED, Bar.Storage.COOL, as, null, null, null, List.of());
        return body instanceof Body.Moulded ? Bars.of(bar, TAPERED) : Bars.of(bar);
    }

    private static BarLayer mm(LayerKind kind, String of, double mm) {
        return BarLayer.mm(kind, of, mm);
    }

    private static boolean met(BarStack stack) {
        return !Bars.codes(stack).contains("name-not-met");
    }

    @Test
    public void aBareTabletIsChocolateAllThrough() {
        BarStack tablet = sold(SoldAs.OWN_NAME, Build.OPEN, MOULD, BarLayer.rest(LayerKind.FILLING, DARK));
        near(tablet.chocolateShare(), 1, 1e-9, "nothing else covers it");
        assertTrue(Bars.call(tablet, "chocolate-share").message().contains("no filling"));
    }

    @Test
    public void aSheetBetweenFillingsIsNotTheOutside() {
        BarLayer caramel = mm(LayerKind.FILLING, CARAMEL, 6);
        BarStack inner = sold(
                SoldAs.OWN_NAME,
                Build.SLAB,
                SLAB,
                caramel,
                mm(LayerKind.SHEET, DARK, 3),
                caramel,
                mm(LayerKind.COAT, DARK, 0.8));
        near(inner.outsideChocolateGrams(), inner.all(LayerKind.COAT).get(0).grams(), 1e-9, "the coat only");
        BarStack foot = sold(
                SoldAs.OWN_NAME,
                Build.SLAB,
                SLAB,
                mm(LayerKind.FOOT, DARK, 1),
                caramel,
                mm(LayerKind.VENEER, DARK, 1),
                mm(LayerKind.COAT, DARK, 0.8));
        double chocolate = foot.layers().stream()
                .filter(l -> l.material().isChocolate())
                .mapToDouble(StackLayer::grams)
                .sum();
        near(foot.outsideChocolateGrams(), chocolate, 1e-9, "foot and veneer are one with the coat");
    }

    /** Almonds of the whole piece, and whether it may be called chocolate. */
    @DataProvider
    public Object[][] almonds() {
        return new Object[][] {{0.38, true}, {0.42, false}};
    }

    @Test(dataProvider = "almonds")
    public void otherSubstancesAreFortyPerCentAtMost(double share, boolean met) {
        BarStack tablet = withAlmonds(share);
        StackLayer almonds = tablet.all(LayerKind.TOPPING).get(0);
        near(almonds.grams() / tablet.pieceGrams(), share, 0.002, "made so");
        assertEquals(met(tablet), met, Bars.codes(tablet).toString());
    }

    /** A dark tablet with so much of it almonds that stand on top. */
    static BarStack withAlmonds(double share) {
        double chocolate = sold(SoldAs.CHOCOLATE, Build.OPEN, MOULD, BarLayer.rest(LayerKind.FILLING, DARK))
                .pieceGrams();
        BarLayer almonds = BarLayer.grams(LayerKind.TOPPING, "almond-roasted", chocolate * share / (1 - share));
        return sold(SoldAs.CHOCOLATE, Build.OPEN, MOULD, BarLayer.rest(LayerKind.FILLING, DARK), almonds);
    }

    /** Share of milk couverture 38 % in a dark one, what it is sold as, and whether it may be (Directive 2000/36/EC, from memory). */
    @DataProvider
    public Object[][] mixed() {
        return new Object[][] {
            {0.7, SoldAs.MILK_CHOCOLATE, true},
            {0.7, SoldAs.CHOCOLATE, false},
            {0.1, SoldAs.CHOCOLATE, true},
            {0.1, SoldAs.MILK_CHOCOLATE, false},
        };
    }

    /** What is mixed is one chocolate or the other, and nobody is told that it is not both. */
    @Test(dataProvider = "mixed")
    public void aMixedCouvertureIsJudgedByTheNameDeclared(double milk, SoldAs sold, boolean met) {
        BarStack tablet = sold(
                sold,
                Build.OPEN,
                MOULD,
                BarLayer.rest(LayerKind.SHEET, DARK).mixed(new BarLayer.Mix(MILK, milk, false)));
        assertEquals(met(tablet), met, Bars.codes(tablet).toString());
        assertTrue(
                !Bars.codes(tablet).contains("couverture-name"),
                Bars.codes(tablet).toString());
    }

    @Test
    public void whatHasNothingInsideIsNotFilled() {
        BarLayer shell = mm(LayerKind.SHELL, DARK, 2);
        assertTrue(!met(sold(SoldAs.FILLED_CHOCOLATE, Build.OPEN, MOULD, BarLayer.rest(LayerKind.SHEET, DARK))));
        assertTrue(!met(sold(SoldAs.FILLED_CHOCOLATE, Build.OPEN, new Body.Moulded(1, true), shell)));
        assertTrue(met(sold(SoldAs.OWN_NAME, Build.OPEN, new Body.Moulded(1, true), shell)));
        BarLayer caramel = mm(LayerKind.FILLING, CARAMEL, 11);
        BarStack joined = sold(SoldAs.FILLED_CHOCOLATE, Build.MOULDED, new Body.Moulded(1, true), shell, caramel);
        assertEquals(Bars.faults(joined), List.of(), "joined halves close each other");
        assertTrue(Bars.codes(sold(SoldAs.FILLED_CHOCOLATE, Build.MOULDED, MOULD, shell, caramel))
                .contains("no-back"));
    }

    @Test
    public void aFilledBarIsNotPlainChocolate() {
        BarLayer shell = mm(LayerKind.SHELL, MILK, 1.5);
        BarLayer back = mm(LayerKind.BACK, MILK, 2);
        BarLayer caramel = BarLayer.rest(LayerKind.FILLING, CARAMEL);
        assertTrue(!met(sold(SoldAs.MILK_CHOCOLATE, Build.MOULDED, MOULD, shell, caramel, back)));
        assertTrue(met(sold(SoldAs.FILLED_CHOCOLATE, Build.MOULDED, MOULD, shell, caramel, back)));
        assertTrue(met(sold(SoldAs.OWN_NAME, Build.MOULDED, MOULD, shell, caramel, back)));
    }

    @Test
    public void theOutsideDecidesWhichChocolateItIs() {
        BarLayer milk = BarLayer.rest(LayerKind.FILLING, MILK);
        assertTrue(met(sold(SoldAs.MILK_CHOCOLATE, Build.OPEN, MOULD, milk)));
        BarStack dark = sold(
                SoldAs.MILK_CHOCOLATE,
                Build.SLAB,
                SLAB,
                mm(LayerKind.FILLING, MILK, 10),
                mm(LayerKind.COAT, DARK, 0.8));
        assertTrue(!met(dark), "milk inside, dark outside");
    }

    @Test
    public void bakeryInsideIsNoFilledChocolate() {
        BarLayer.Insert finger = new BarLayer.Insert(BarLayer.Shape.BAR, 60, 15, 4, 0, 0, 0, 0);
        BarLayer shell = mm(LayerKind.SHELL, DARK, 2.5);
        BarLayer back = mm(LayerKind.BACK, DARK, 2.5);
        BarLayer caramel = BarLayer.rest(LayerKind.FILLING, CARAMEL);
        BarLayer wafer = mm(LayerKind.INSERT, "wafer-sheet", 0).with(finger);
        assertTrue(!met(sold(SoldAs.FILLED_CHOCOLATE, Build.MOULDED, MOULD, shell, wafer, caramel, back)));
        assertTrue(met(sold(SoldAs.OWN_NAME, Build.MOULDED, MOULD, shell, wafer, caramel, back)));
        BarStack base = sold(
                SoldAs.FILLED_CHOCOLATE,
                Build.TRAY,
                new Body.Tray(300, 200, 8, 5, 0, 0),
                mm(LayerKind.BASE, "wafer-sheet", 5),
                mm(LayerKind.FILLING, CARAMEL, 6),
                mm(LayerKind.VENEER, DARK, 5));
        assertTrue(!met(base), "a bare base is bakery ware too");
    }
}

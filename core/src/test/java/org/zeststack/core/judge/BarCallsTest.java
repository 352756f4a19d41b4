package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;
import static org.zeststack.core.stack.Bars.MILK;
import static org.zeststack.core.stack.Bars.PASTE;
import static org.zeststack.core.stack.Bars.TAPERED;
import static org.zeststack.core.stack.Bars.back;
import static org.zeststack.core.stack.Bars.call;
import static org.zeststack.core.stack.Bars.codes;
import static org.zeststack.core.stack.Bars.faults;
import static org.zeststack.core.stack.Bars.layer;
import static org.zeststack.core.stack.Bars.moulded;
import static org.zeststack.core.stack.Bars.plain;
import static org.zeststack.core.stack.Bars.shell;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.explain.Call;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;

/** Judgements with their arithmetic, and the changes that they offer. Bounds are common practice, no source, unless said. */
public class BarCallsTest {

    private static BarLayer rest() {
        return BarLayer.rest(LayerKind.FILLING, CARAMEL);
    }

    private static Bar sold(BarStack stack, Bar.SoldAs name, Double declared) {
        Bar b = stack.bar();
        return new Bar(
                b.build(), b.body(), b.layers(), b.finish(), b.storage(), name, declared, null, null, b.method());
    }

    @Test
    public void aGoodBarIsLeftInPeace() {
        assertEquals(faults(plain(1.5, 2)), List.of());
    }

    @Test
    public void backOutOfItsWindowSaysByHowManyGrams() {
        Call thin = call(plain(1.5, 0.6), "back-too-thin");
        assertEquals(thin.weight(), Call.Weight.WILL_FAIL);
        double less = layer(plain(1.5, 0.6), "filling-1").grams()
                - layer(plain(1.5, 2), "filling-1").grams();
        assertTrue(Say.metric(thin.message()).contains(Numbers.fixed(less, 1) + " g less"), Say.metric(thin.message()));
        assertEquals(thin.change().fields().get("layer.2.amount"), "2");
        assertEquals(faults(plain(1.5, 4)), List.of("back-too-thick"));
    }

    @Test
    public void theChangeOfferedMendsTheBack() {
        BarStack heavy = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.grams(LayerKind.FILLING, CARAMEL, 44.5),
                BarLayer.rest(LayerKind.BACK, DARK).between(1, 3));
        Call thin = call(heavy, "back-too-thin");
        double grams = Double.parseDouble(thin.change().fields().get("layer.1.amount"));
        BarStack mended = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.grams(LayerKind.FILLING, CARAMEL, grams),
                BarLayer.rest(LayerKind.BACK, DARK).between(1, 3));
        near(layer(mended, "back").thicknessMm(), 2, 0.02, "the middle of its window");
        assertEquals(faults(mended), List.of());
    }

    @Test
    public void whatDoesNotFitIsToldByHowMuch() {
        BarStack full = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.grams(LayerKind.FILLING, CARAMEL, 60),
                BarLayer.rest(LayerKind.BACK, DARK).between(1, 3));
        double over = 60 - TAPERED.lined(1.5).volumeMl(1.5, TAPERED.depthMm() - 2) * 1.3;
        Call told = call(full, "overfull");
        assertTrue(Say.metric(told.message()).contains(Numbers.fixed(over, 1) + " g less"), Say.metric(told.message()));
        assertFalse(faults(full).contains("back-too-thin"), "one fault, one figure");
        double fill = Double.parseDouble(told.change().fields().get("layer.1.amount"));
        BarStack mended = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.grams(LayerKind.FILLING, CARAMEL, fill),
                BarLayer.rest(LayerKind.BACK, DARK).between(1, 3));
        assertEquals(faults(mended), List.of(), "the figure offered makes it fit with a good back");
        BarStack low = moulded(TAPERED, shell(1.5), BarLayer.mm(LayerKind.FILLING, CARAMEL, 5), back(2));
        assertTrue(faults(low).contains("empty-room"), faults(low).toString());
        BarStack little =
                moulded(TAPERED, shell(1.5), BarLayer.mm(LayerKind.FILLING, CARAMEL, TAPERED.depthMm() - 4.3), back(2));
        assertTrue(faults(little).contains("empty-room"), "0.8 mm is right only where halves are joined");
        BarStack squeezed = moulded(TAPERED, shell(1.5), BarLayer.mm(LayerKind.FILLING, CARAMEL, 11), rest(), back(2));
        assertTrue(faults(squeezed).contains("overfull"), faults(squeezed).toString());
    }

    private static BarStack finger(double length, double width, double height) {
        BarLayer.Insert insert = new BarLayer.Insert(BarLayer.Shape.BAR, length, width, height, 0, 0, 0, 0);
        return moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.FILLING, PASTE, 3),
                BarLayer.mm(LayerKind.INSERT, "biscuit-shortbread", 0).with(insert),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                back(2));
    }

    @Test
    public void insertsMustFitInsideTheLinedWalls() {
        assertEquals(faults(finger(100, 18, 4)), List.of());
        double room = TAPERED.lined(1.5).lengthMm(4.5);
        Call longer = call(finger(114, 18, 4), "insert-too-long");
        assertTrue(
                Say.metric(longer.message()).contains(Numbers.fixed(114 + 1 - room, 1) + " mm too long"),
                Say.metric(longer.message()));
        double fits = Double.parseDouble(longer.change().fields().get("layer.2.lengthMm"));
        assertEquals(faults(finger(fits, 18, 4)), List.of());
        assertEquals(faults(finger(100, 28, 4)), List.of("insert-too-wide"));
        // A coin-thin layer entered as almost 10 mm (slip heard in practice): queried, it does not fit.
        Call proud = call(finger(100, 18, 9.8), "insert-proud");
        assertEquals(proud.weight(), Call.Weight.WILL_FAIL);
        assertTrue(
                Say.metric(proud.message()).contains(Numbers.fixed(4.5 + 9.8 - 12, 1) + " mm up into the back"),
                Say.metric(proud.message()));
    }

    @Test
    public void aDiscIsMeasuredAcross() {
        BarLayer.Insert disc = new BarLayer.Insert(BarLayer.Shape.DISC, 26, 26, 2, 0, 0, 0, 0);
        BarStack stack = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.INSERT, "rye-wafer", 0)
                        .with(disc)
                        .mixed(new BarLayer.Mix("cocoa-butter", 0.2, false)),
                rest(),
                back(2));
        assertEquals(faults(stack), List.of("insert-too-wide"));
    }

    @DataProvider
    public Object[][] shells() {
        return new Object[][] {{0.8, "shell-too-thin"}, {3.4, "shell-too-thick"}};
    }

    @Test(dataProvider = "shells")
    public void shellsHoldAndAreBitten(double mm, String code) {
        assertEquals(faults(plain(mm, 2)), List.of(code));
        assertNotNull(call(plain(mm, 2), code).change());
    }

    private static BarStack coated(BarLayer filling, BarLayer... more) {
        List<BarLayer> layers = new ArrayList<>(List.of(filling));
        layers.addAll(List.of(more));
        return Bars.of(Bar.of(Build.SLAB, new Body.Slab(300, 200, 60, 25, 0, 0, 0), layers));
    }

    @Test
    public void coatsHoldAndAreBitten() {
        BarLayer caramel = BarLayer.mm(LayerKind.FILLING, CARAMEL, 12);
        assertEquals(faults(coated(caramel, BarLayer.mm(LayerKind.COAT, DARK, 1))), List.of());
        assertEquals(faults(coated(caramel, BarLayer.mm(LayerKind.COAT, DARK, 0.3))), List.of("coat-too-thin"));
        BarLayer thick = BarLayer.mm(LayerKind.COAT, DARK, 1.5);
        assertEquals(faults(coated(caramel, thick, thick)), List.of("coat-too-thick"));
    }

    @Test
    public void crispBesideWetTurnsSoft() {
        BarLayer jam = BarLayer.rest(LayerKind.FILLING, "raspberry-jam");
        BarLayer rice = BarLayer.grams(LayerKind.INCLUSION, "rice-crisped", 0.5);
        Call soft = call(moulded(TAPERED, shell(1.5), jam, rice, back(2)), "crisp-beside-wet");
        assertEquals(soft.weight(), Call.Weight.WILL_FAIL);
        assertTrue(Say.metric(soft.arithmetic()).contains("a_w"), Say.metric(soft.arithmetic()));
        BarLayer coated = rice.mixed(new BarLayer.Mix("cocoa-butter", 0.3, false));
        assertEquals(faults(moulded(TAPERED, shell(1.5), jam, coated, back(2))), List.of("keeps-days-only"));
        BarLayer paste = BarLayer.rest(LayerKind.FILLING, PASTE);
        assertEquals(faults(moulded(TAPERED, shell(1.5), paste, rice, back(2))), List.of());
    }

    @Test
    public void aSheetOfCouvertureKeepsWaterFromABase() {
        Body tray = new Body.Tray(330, 230, 4, 10, 0, 0);
        BarLayer base = BarLayer.mm(LayerKind.BASE, "biscuit-shortbread", 4);
        BarLayer caramel = BarLayer.mm(LayerKind.FILLING, CARAMEL, 6);
        BarLayer veneer = BarLayer.mm(LayerKind.VENEER, DARK, 2);
        assertEquals(
                faults(Bars.of(Bar.of(Build.TRAY, tray, List.of(base, caramel, veneer)))), List.of("crisp-beside-wet"));
        BarLayer sheet = BarLayer.mm(LayerKind.SHEET, DARK, 0.6);
        assertEquals(faults(Bars.of(Bar.of(Build.TRAY, tray, List.of(base, sheet, caramel, veneer)))), List.of());
    }

    @Test
    public void whatMustStayDryIsKeptFromWater() {
        BarLayer candy = BarLayer.grams(LayerKind.INCLUSION, "popping-candy", 1);
        BarLayer milk = BarLayer.rest(LayerKind.FILLING, "condensed-milk");
        assertTrue(faults(moulded(TAPERED, shell(1.5), candy, milk, back(2))).contains("dry-beside-wet"));
        BarLayer paste = BarLayer.rest(LayerKind.FILLING, PASTE);
        assertEquals(faults(moulded(TAPERED, shell(1.5), candy, paste, back(2))), List.of());
    }

    @Test
    public void liquidNutOilMovesIntoCouverture() {
        BarLayer pure = BarLayer.rest(LayerKind.FILLING, "hazelnut-paste");
        assertEquals(faults(moulded(TAPERED, shell(1.5), pure, back(2))), List.of("oil-into-chocolate"));
    }

    @Test
    public void fillingsMustNotMeltTheShell() {
        assertEquals(faults(moulded(TAPERED, shell(1.5), rest().at(45), back(2))), List.of("poured-too-warm"));
        assertEquals(faults(moulded(TAPERED, shell(1.5), rest().at(24), back(2))), List.of());
    }

    private static Bar dipped(Double centre, BarLayer coat) {
        Bar b = coated(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12), coat).bar();
        return new Bar(
                b.build(), b.body(), b.layers(), b.finish(), b.storage(), b.soldAs(), null, centre, null, List.of());
    }

    @DataProvider
    public Object[][] warmths() {
        return new Object[][] {
            {6.0, null, List.of("centre-too-cold")},
            {30.0, null, List.of("centre-too-warm")},
            {20.0, 31.0, List.of()},
            {20.0, 35.0, List.of("bowl-hot")}
        };
    }

    @Test(dataProvider = "warmths")
    public void centresAndBowlsHaveTheirWarmth(Double centre, Double bowl, List<String> expected) {
        BarLayer coat = BarLayer.mm(LayerKind.COAT, DARK, 1);
        assertEquals(faults(Bars.of(dipped(centre, bowl == null ? coat : coat.at(bowl)))), expected);
    }

    @Test
    public void lessThanAQuarterChocolateIsNoFilledChocolate() {
        // Directive 2000/36/EC, value from memory: at least 25 % chocolate.
        BarStack thin = plain(1, 1);
        assertTrue(thin.chocolateShare() < 0.25, "share " + thin.chocolateShare());
        assertEquals(faults(Bars.of(sold(thin, Bar.SoldAs.FILLED_CHOCOLATE, null), TAPERED)), List.of("name-not-met"));
        assertEquals(faults(Bars.of(sold(plain(1.5, 2), Bar.SoldAs.FILLED_CHOCOLATE, null), TAPERED)), List.of());
        Bar biscuit = sold(finger(100, 18, 4), Bar.SoldAs.FILLED_CHOCOLATE, null);
        assertEquals(faults(Bars.of(biscuit, TAPERED)), List.of("name-not-met"));
    }

    @Test
    public void thinnedCouvertureKeepsItsNameOnlySoFar() {
        BarLayer.Mix much = new BarLayer.Mix("cocoa-butter", 0.4, false);
        BarLayer.Mix little = new BarLayer.Mix("cocoa-butter", 0.05, false);
        BarLayer thin = BarLayer.mm(LayerKind.SHELL, MILK, 1.5);
        assertEquals(faults(moulded(TAPERED, thin.mixed(much), rest(), back(2))), List.of("couverture-name"));
        assertEquals(faults(moulded(TAPERED, thin.mixed(little), rest(), back(2))), List.of());
    }

    @Test
    public void lighterThanDeclared() {
        BarStack stack = plain(1.5, 2);
        Bar heavy = sold(stack, Bar.SoldAs.OWN_NAME, Math.ceil(stack.pieceGrams()));
        Call light = call(Bars.of(heavy, TAPERED), "lighter-than-declared");
        // OIML R 87, value from memory: 4.5 g from 50 to 100 g.
        assertTrue(Say.metric(light.arithmetic()).contains("4.5 g short"), Say.metric(light.arithmetic()));
        Bar right = sold(stack, Bar.SoldAs.OWN_NAME, Math.floor(stack.pieceGrams()));
        assertEquals(faults(Bars.of(right, TAPERED)), List.of());
    }

    @Test
    public void uprightWallsHoldThePiece() {
        TaperedCavity upright = new TaperedCavity(100, 30, 100, 30, 12);
        assertTrue(faults(moulded(upright, shell(1.5), rest(), back(2))).contains("low-draft"));
    }

    @Test
    public void finishAndStorageMustAgree() {
        Bar b = plain(1.5, 2).bar();
        Bar warm = new Bar(
                b.build(),
                b.body(),
                b.layers(),
                Bar.Finish.KEPT_COLD,
                Bar.Storage.ROOM,
                b.soldAs(),
                null,
                null,
                null,
                List.of());
        assertTrue(faults(Bars.of(warm, TAPERED)).contains("storage-against-finish"));
        Bar compound = new Bar(
                b.build(),
                b.body(),
                b.layers(),
                Bar.Finish.COMPOUND,
                Bar.Storage.ROOM,
                b.soldAs(),
                null,
                null,
                null,
                List.of());
        assertEquals(faults(Bars.of(compound, TAPERED)), List.of("finish-differs"));
    }

    @Test
    public void manyOffcutsAreCalledAndPiecesProposedThatDivide() {
        Bar wasteful = Bar.of(
                Build.SLAB,
                new Body.Slab(300, 200, 85, 70, 2, 5, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12)));
        Call offcuts = call(Bars.of(wasteful), "offcuts-high");
        assertEquals(offcuts.weight(), Call.Weight.TAKE_CARE);
        double length = Double.parseDouble(offcuts.change().fields().get("body.pieceLengthMm"));
        double width = Double.parseDouble(offcuts.change().fields().get("body.pieceWidthMm"));
        Bar mended = Bar.of(
                Build.SLAB,
                new Body.Slab(300, 200, length, width, 2, 5, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12)));
        assertEquals(call(Bars.of(mended), "offcuts").weight(), Call.Weight.GOOD_TO_KNOW);
    }

    @Test
    public void everyBarSaysWhatItHoldsAndHowLongItKeeps() {
        BarStack stack = moulded(TAPERED, shell(1.5), rest(), BarLayer.pieces("hazelnut-roasted", 3, 1.1, 1), back(2));
        assertTrue(
                codes(stack).containsAll(List.of("allergens", "keeping", "whole-nuts-choking")),
                codes(stack).toString());
        assertTrue(Say.metric(call(stack, "allergens").message()).contains("nuts"));
        assertTrue(
                Say.metric(call(stack, "keeping").arithmetic()).contains("a_w 0.52"),
                Say.metric(call(stack, "keeping").arithmetic()));
        BarLayer spirit = BarLayer.rest(LayerKind.FILLING, "marzipan").mixed(new BarLayer.Mix("rum-54", 0.1, false));
        assertTrue(codes(moulded(TAPERED, shell(1.5), spirit, back(2))).contains("spirits"));
    }

    @Test
    public void theDippingBowlHasAWorkingDepth() {
        Bar b = coated(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12), BarLayer.mm(LayerKind.COAT, DARK, 1))
                .bar();
        Bar bowl = new Bar(
                b.build(), b.body(), b.layers(), b.finish(), b.storage(), b.soldAs(), null, null, 200.0, List.of());
        double grams =
                Math.PI * 100 * 100 * 24 / 1000 * Bars.MATERIALS.get(DARK).densityGramsPerMl();
        assertTrue(
                Say.metric(call(Bars.of(bowl), "bowl-depth").message()).contains(Numbers.fixed(grams, 0) + " g"),
                Say.metric(call(Bars.of(bowl), "bowl-depth").message()));
    }

    @Test
    public void everyCallHasItsGrounds() {
        for (BarStack stack : List.of(plain(0.5, 5), finger(120, 40, 12), plain(1.5, 2))) {
            for (Call call : BarCalls.of(stack)) {
                assertTrue(
                        !Say.metric(call.message()).isBlank() && !call.source().isBlank(), call.toString());
            }
        }
    }
}

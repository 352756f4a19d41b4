package org.zeststack.core.stack;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;
import static org.zeststack.core.stack.Bars.MILK;
import static org.zeststack.core.stack.Bars.PASTE;
import static org.zeststack.core.stack.Bars.layer;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.picture.Plan;

/** Bars that are laid, cut, shaped or poured open. */
public class BuildsTest {

    private static final double DARK_DENSITY = Bars.MATERIALS.get(DARK).densityGramsPerMl();

    private static BarStack slab(BarLayer... layers) {
        return Bars.of(Bar.of(Build.SLAB, new Body.Slab(302, 202, 60, 25, 0, 1, 0), List.of(layers)));
    }

    @Test
    public void aSlabWeighsAreaByThicknessByDensity() {
        BarStack stack = slab(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12));
        near(stack.pieceGrams(), 60 * 25 * 12 / 1000.0 * 1.3, 1e-9, "area × thickness × density");
        assertEquals(stack.frame().piecesOfOne(), 5 * 8);
        double whole = layer(stack, "filling-1").laidGrams() * 40;
        near(whole, 302 * 202 * 12 / 1000.0 * 1.3, 1e-6, "the whole slab, off-cuts and trim with it");
    }

    @Test
    public void aLaidLayerHasTheWindowOfItsRulers() {
        // Common practice, no source: half a millimetre up or down, thin layers a fifth.
        StackLayer thick = layer(slab(BarLayer.mm(LayerKind.FILLING, CARAMEL, 10)), "filling-1");
        near(thick.window().leastGrams() / thick.grams(), 0.95, 1e-9, "9.5 of 10 mm");
        near(thick.window().greatestGrams() / thick.grams(), 1.05, 1e-9, "10.5 of 10 mm");
        StackLayer thin = layer(slab(BarLayer.mm(LayerKind.FOOT, DARK, 0.8)), "foot-1");
        near(thin.window().leastGrams() / thin.grams(), 0.8, 1e-9, "a fifth less");
        StackLayer own = layer(slab(BarLayer.mm(LayerKind.FILLING, CARAMEL, 10).between(9, 12)), "filling-1");
        near(own.window().greatestGrams() / own.grams(), 1.2, 1e-9, "as the bar says");
    }

    @Test
    public void aCoatIsItsSurfaceByItsThickness() {
        BarStack stack = slab(BarLayer.mm(LayerKind.FILLING, CARAMEL, 10), BarLayer.mm(LayerKind.COAT, DARK, 1));
        double surface = 2 * 60 * 25 + 2 * (60 + 25) * 10;
        double parallel = surface + Math.PI * (60 + 25 + 10) + 4 * Math.PI / 3;
        near(
                layer(stack, "coat-1").grams(),
                parallel / 1000.0 * DARK_DENSITY,
                1e-9,
                "S t + π(a+b+c) t² + 4/3 π t³, Steiner");
        double picked = layer(stack, "coat-1").grams();
        BarStack weighed =
                slab(BarLayer.mm(LayerKind.FILLING, CARAMEL, 10), BarLayer.grams(LayerKind.COAT, DARK, picked));
        near(layer(weighed, "coat-1").thicknessMm(), 1, 1e-9, "a measured pick-up tells the thickness");
    }

    @Test
    public void facesAreCoatedOneByOne() {
        BarLayer bottom = BarLayer.mm(LayerKind.COAT, DARK, 1).on(new BarLayer.Faces(true, false, false, false));
        BarLayer sides = BarLayer.mm(LayerKind.COAT, DARK, 1).on(new BarLayer.Faces(false, true, false, false));
        BarStack stack = slab(BarLayer.mm(LayerKind.FILLING, CARAMEL, 10), bottom, sides);
        near(layer(stack, "coat-1").volumeMl(), 60 * 25 / 1000.0, 1e-9, "the bottom");
        double corners = Math.PI * 11;
        near(
                layer(stack, "coat-2").volumeMl(),
                (2 * (60 + 25) * 11 + corners) / 1000,
                1e-9,
                "the sides, with the bottom's coat");
    }

    @Test
    public void aSlabCoatedWholeHasBareSidesWhereItIsCut() {
        BarLayer whole = BarLayer.mm(LayerKind.COAT, DARK, 1).on(new BarLayer.Faces(true, true, true, true));
        BarStack stack = slab(BarLayer.mm(LayerKind.FILLING, CARAMEL, 10), whole);
        double parallel = 2 * 302 * 202 + 2 * (302 + 202) * 10 + Math.PI * (302 + 202 + 10) + 4 * Math.PI / 3;
        StackLayer coat = layer(stack, "coat-1");
        double laid = coat.laidGrams() / DARK_DENSITY;
        near(laid, parallel / 1000 / 40, 1e-9, "a fortieth of what the slab takes is laid for each piece");
        near(coat.volumeMl(), 2 * 60 * 25 / 1000.0, 1e-9, "a piece keeps its own two faces; the trim has the sides");
        assertEquals(CrossSection.across(stack).widthMm(), 25.0, "no coat on a cut side");
    }

    @Test
    public void onAnUntrimmedSlabTheOuterPiecesKeepItsSides() {
        // 300 × 200 mm is five by eight pieces of 60 × 25 mm: all four sides belong to pieces.
        BarLayer whole = BarLayer.mm(LayerKind.COAT, DARK, 1).on(new BarLayer.Faces(true, true, true, true));
        Bar bar = Bar.of(
                Build.SLAB,
                new Body.Slab(300, 200, 60, 25, 0, 0, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 10), whole));
        double sides = 2 * (300 + 200) * 10 / 40.0;
        near(
                layer(Bars.of(bar), "coat-1").volumeMl(),
                (2 * 60 * 25 + sides) / 1000,
                1e-9,
                "two faces and a fortieth of the sides");
        // 310 × 200 mm leaves 10 mm at one end: that side goes with the off-cuts.
        Bar longer = Bar.of(
                Build.SLAB,
                new Body.Slab(310, 200, 60, 25, 0, 0, 0),
                List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 10), whole));
        double three = (2 * 300 + 200) * 10 / 40.0;
        near(
                layer(Bars.of(longer), "coat-1").volumeMl(),
                (2 * 60 * 25 + three) / 1000,
                1e-9,
                "three of the four sides");
    }

    @Test
    public void roundedCornersAndRepeatedLayers() {
        Bar bar = Bar.of(
                Build.SLAB,
                new Body.Slab(300, 200, 60, 25, 0, 0, 5),
                List.of(repeated(BarLayer.mm(LayerKind.FILLING, CARAMEL, 3), 4)));
        double area = 60 * 25 - (4 - Math.PI) * 25;
        near(Bars.of(bar).pieceGrams(), area * 12 / 1000 * 1.3, 1e-9, "a rectangle less its four corners, four layers");
    }

    private static BarLayer repeated(BarLayer l, int times) {
        return new BarLayer(
                l.kind(), l.of(), l.by(), l.amount(), 0, 1, times, null, null, null, null, null, null, null);
    }

    @Test
    public void nutsLaidOnAPieceBeforeCuttingAreOnEveryPiece() {
        BarStack stack =
                slab(BarLayer.mm(LayerKind.FILLING, CARAMEL, 12), BarLayer.pieces("hazelnut-roasted", 6, 1.1, 1));
        near(layer(stack, "inclusion-1").grams(), 6.6, 1e-9, "six of 1.1 g");
        long nuts = Plan.of(stack).areas().stream()
                .filter(a -> a.kind() == Plan.Kind.NUT)
                .count();
        assertEquals(nuts, 6L * 40);
        near(
                layer(stack, "filling-1").volumeMl()
                        + layer(stack, "inclusion-1").volumeMl(),
                60 * 25 * 12 / 1000.0,
                1e-9,
                "what is embedded takes the layer's room");
    }

    @Test
    public void aTrayOfNineByThirteenInchesGivesFortyPieces() {
        // Common practice, no source: four strips of ten.
        BarStack stack = Bars.of(Bar.of(
                Build.TRAY,
                new Body.Tray(13 * 25.4, 9 * 25.4, 4, 10, 0, 0),
                List.of(
                        BarLayer.mm(LayerKind.BASE, "biscuit-shortbread", 7),
                        BarLayer.mm(LayerKind.FILLING, CARAMEL, 6),
                        BarLayer.mm(LayerKind.VENEER, DARK, 2))));
        assertEquals(stack.frame().piecesOfOne(), 40);
        near(stack.frame().offcutFraction(), 0, 1e-12, "strips leave nothing over");
        near(CrossSection.across(stack).depthMm(), 15, 1e-9, "7 + 6 + 2 mm");
    }

    /** S t + M t² + 4/3 π t³ with t = 0.5 mm. */
    private static double steiner(double surface, double curvature) {
        return surface * 0.5 + curvature * 0.25 + 4 * Math.PI / 3 * 0.125;
    }

    @Test
    public void aCoatPassedTwiceIsTheCoatOfBothTogether() {
        BarLayer half = BarLayer.mm(LayerKind.COAT, DARK, 0.5);
        for (Body.Form form : Body.Form.values()) {
            Body.Shaped body = new Body.Shaped(form, 60, 22, 14, 0);
            BarLayer centre = BarLayer.mm(LayerKind.FILLING, CARAMEL, 0);
            double twice = Bars.of(Bar.of(Build.SHAPED, body, List.of(centre, half, half)))
                    .pieceGrams();
            double once = Bars.of(Bar.of(Build.SHAPED, body, List.of(centre, BarLayer.mm(LayerKind.COAT, DARK, 1))))
                    .pieceGrams();
            double repeated = Bars.of(Bar.of(Build.SHAPED, body, List.of(centre, repeated(half, 2))))
                    .pieceGrams();
            near(twice, once, 1e-9, form + ": property");
            near(repeated, once, 1e-9, form + ": property");
        }
    }

    @Test
    public void aBallDippedOnItsBottomIsCoatedToItsMiddle() {
        BarLayer centre = BarLayer.mm(LayerKind.FILLING, CARAMEL, 0);
        BarLayer bottom = BarLayer.mm(LayerKind.COAT, DARK, 1).on(new BarLayer.Faces(true, false, false, false));
        Body.Shaped ball = new Body.Shaped(Body.Form.BALL, 0, 30, 0, 0);
        double half = Math.PI / 6 * (32 * 32 * 32 - 27000) / 2 / 1000;
        BarStack dipped = Bars.of(Bar.of(Build.SHAPED, ball, List.of(centre, bottom)));
        near(layer(dipped, "coat-1").volumeMl(), half, 1e-9, "half a spherical shell");
        BarStack both =
                Bars.of(Bar.of(Build.SHAPED, ball, List.of(centre, BarLayer.mm(LayerKind.COAT, DARK, 0.5), bottom)));
        double over = Math.PI / 6 * (33 * 33 * 33 - 31 * 31 * 31) / 2 / 1000;
        near(layer(both, "coat-2").volumeMl(), over, 1e-9, "half a shell on what was coated before");
    }

    @Test
    public void offcutsCarryWhatLiesOnTheSlab() {
        // 300 × 200 mm gives 5 × 5 pieces of 60 × 25 mm with 62.5 % of its area: 37.5 % is off-cuts.
        Bar bar = Bar.of(
                Build.SLAB,
                new Body.Slab(300, 200, 60, 25, 15, 0, 0),
                List.of(
                        BarLayer.mm(LayerKind.FILLING, CARAMEL, 10),
                        BarLayer.grams(LayerKind.INCLUSION, "cocoa-nibs", 4.4),
                        BarLayer.pieces("hazelnut-roasted", 4, 1.1, 0.5),
                        BarLayer.mm(LayerKind.COAT, DARK, 1),
                        BarLayer.grams(LayerKind.TOPPING, "cocoa-nibs", 0.5)));
        BarStack stack = Bars.of(bar);
        double share = 1 / (1 - stack.frame().offcutFraction());
        for (String laid : List.of("filling-1", "inclusion-1")) {
            near(layer(stack, laid).laidGrams(), share * layer(stack, laid).grams(), 1e-9, laid);
        }
        near(layer(stack, "inclusion-2").laidGrams(), 4.4, 1e-12, "set on each piece by itself: none on off-cuts");
        near(layer(stack, "topping-1").laidGrams(), 0.5, 1e-12, "strewn on the coated pieces: nothing on off-cuts");
        near(layer(stack, "coat-1").laidGrams(), layer(stack, "coat-1").grams(), 1e-12, "pieces are dipped one by one");
    }

    @DataProvider
    public Object[][] forms() {
        // Closed forms of geometry: form, length, width, height, volume in mm³, and S, M of Steiner's formula for half
        // a millimetre.
        return new Object[][] {
            {Body.Form.BALL, 0.0, 30.0, 0.0, Math.PI / 6 * 27000, Math.PI / 6 * (31 * 31 * 31 - 27000)},
            {
                Body.Form.LOG,
                80.0,
                20.0,
                0.0,
                Math.PI * 100 * 80,
                steiner(2 * Math.PI * 100 + Math.PI * 20 * 80, Math.PI * 80 + Math.PI * Math.PI * 10)
            },
            {
                Body.Form.BLOCK,
                70.0,
                30.0,
                15.0,
                70.0 * 30 * 15,
                steiner(2.0 * (70 * 30 + 70 * 15 + 30 * 15), Math.PI * (70 + 30 + 15))
            },
        };
    }

    @Test(dataProvider = "forms")
    public void shapedPiecesByMassAndBySizeAgree(
            Body.Form form, double length, double width, double height, double volume, double coat) {
        List<BarLayer> layers =
                List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 0), BarLayer.mm(LayerKind.COAT, DARK, 0.5));
        BarStack bySize = Bars.of(Bar.of(Build.SHAPED, new Body.Shaped(form, length, width, height, 0), layers));
        near(layer(bySize, "filling-1").volumeMl(), volume / 1000, 1e-9, "closed form");
        near(layer(bySize, "coat-1").volumeMl(), coat / 1000, 1e-9, "S t + M t² + 4/3 π t³, Steiner");
        double grams = layer(bySize, "filling-1").grams();
        BarStack byMass = Bars.of(Bar.of(Build.SHAPED, new Body.Shaped(form, 0, width, height, grams), layers));
        near(byMass.pieceGrams(), bySize.pieceGrams(), 1e-9, "property: mass and size tell the same piece");
        Frame.Hand hand = (Frame.Hand) byMass.frame();
        near(hand.widthMm(), width, 1e-9, "property: mass and size tell the same piece");
    }

    @Test
    public void aPieceMayStayUncoated() {
        BarStack stack = Bars.of(Bar.of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.BALL, 0, 0, 0, 12),
                List.of(
                        BarLayer.mm(LayerKind.FILLING, PASTE, 0),
                        BarLayer.grams(LayerKind.TOPPING, "cocoa-powder", 0.6))));
        near(stack.pieceGrams(), 12.6, 1e-9, "centre and powder picked up");
        assertTrue(Bars.faults(stack).isEmpty(), Bars.faults(stack).toString());
    }

    @Test
    public void aTabletWithNutsStandingOutOfIt() {
        // Common practice, no source: a small tablet cavity holds about 40 g.
        var cavity = new org.zeststack.core.cavity.TaperedCavity(90, 45, 86, 41, 8.2);
        BarStack stack = Bars.of(
                Bar.of(Build.OPEN, new Body.Moulded(1, false), List.of(BarLayer.rest(LayerKind.SHEET, DARK))), cavity);
        near(stack.pieceGrams(), 40, 4, "about 40 g");
        BarStack bark = Bars.of(
                Bar.of(
                        Build.OPEN,
                        new Body.Moulded(1, false),
                        List.of(
                                BarLayer.grams(LayerKind.SHEET, DARK, 30),
                                BarLayer.pieces("almond-roasted", 4, 1.2, 0.5))),
                cavity);
        near(bark.pieceGrams(), 34.8, 1e-9, "30 g and four of 1.2 g");
        assertTrue(((Frame.Moulded) bark.frame()).emptyMm() > 0, "a tablet need not be filled to the rim");
    }

    @Test
    public void discsStackAndGrade() {
        Body.Sheet one = new Body.Sheet(300, 200, true, List.of(50.0), 2);
        BarLayer leaf = repeated(BarLayer.mm(LayerKind.SHEET, DARK, 0.8), 3);
        BarStack stack = Bars.of(Bar.of(Build.OPEN, one, List.of(leaf)));
        near(stack.pieceGrams(), 3 * Math.PI * 625 * 0.8 / 1000 * DARK_DENSITY, 1e-9, "three discs");
        Body.Sheet graded = new Body.Sheet(300, 200, true, List.of(50.0, 40.0, 30.0), 2);
        BarStack tower = Bars.of(Bar.of(Build.OPEN, graded, List.of(BarLayer.mm(LayerKind.SHEET, MILK, 2))));
        double volume = Math.PI / 4 * (2500 + 1600 + 900) * 2 / 1000;
        near(layer(tower, "sheet-1").volumeMl(), volume, 1e-9, "one disc of each size");
        near(CrossSection.across(tower).depthMm(), 6, 1e-9, "three of 2 mm on each other");
        assertEquals(tower.frame().piecesOfOne(), stack.frame().piecesOfOne(), "the largest size limits the pieces");
    }

    @Test
    public void drawingsOfStandingPiecesCoverThem() {
        BarStack stack = slab(BarLayer.mm(LayerKind.FILLING, CARAMEL, 10), BarLayer.mm(LayerKind.COAT, DARK, 1));
        CrossSection across = CrossSection.across(stack);
        near(across.widthMm(), 27, 1e-9, "25 mm and a coat on each side");
        near(across.depthMm(), 12, 1e-9, "10 mm and a coat below and above");
        double area = across.shapes().stream().mapToDouble(BarStackTest::area).sum();
        near(area, 27 * 12, 1e-9, "coats and centre cover the cut face");
    }
}

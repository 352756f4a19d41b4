package org.zeststack.core.stack;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;
import static org.zeststack.core.stack.Bars.PASTE;
import static org.zeststack.core.stack.Bars.TAPERED;
import static org.zeststack.core.stack.Bars.back;
import static org.zeststack.core.stack.Bars.codes;
import static org.zeststack.core.stack.Bars.layer;
import static org.zeststack.core.stack.Bars.moulded;
import static org.zeststack.core.stack.Bars.shell;

import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.HalfEllipsoid;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.Nature;

/** What lies in each other's way, what stands in what, and what airy things weigh. */
public class PouringTest {

    private static BarLayer wafer(double length, double width, double height, double sink) {
        return BarLayer.mm(LayerKind.INSERT, "wafer-sheet", 0)
                .with(new BarLayer.Insert(BarLayer.Shape.BAR, length, width, height, 0, 0, sink, 0));
    }

    @Test
    public void aWaferWeighsWhatAWaferWeighs() {
        BarStack bar = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.FILLING, PASTE, 2),
                wafer(95, 18, 6, 0),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                back(2));
        // 95 × 18 × 6 mm of wafer weigh about 2 g (common practice, no source), not the 15 g of solid starch.
        near(layer(bar, "insert-1").grams(), 2, 0.3, "common practice, no source");
        near(layer(bar, "insert-1").volumeMl(), 95 * 18 * 6 / 1000.0, 1e-9, "and displaces its own size");
    }

    @DataProvider
    public Object[][] airy() {
        // What a cup of 236.6 mL holds and how dense a single piece is; common practice, no source.
        return new Object[][] {
            {"wafer-sheet", 0.12, 0.30},
            {"rice-crisped", 0.12, 0.30},
            {"rice-puffed", 0.06, 0.20},
            {"popcorn", 0.03, 0.12},
            {"marshmallow", 0.25, 0.50},
            {"meringue", 0.15, 0.40},
            {"honeycomb", 0.25, 0.60},
            {"whipped-topping", 0.25, 0.45},
            {"raspberry-freeze-dried", 0.08, 0.25},
            {"biscuit-digestive", 0.45, 0.75},
            {"biscuit-shortbread", 0.55, 0.95},
            {"hazelnut-roasted", 0.95, 1.15},
            {"couverture-dark-66", 1.22, 1.32},
        };
    }

    @Test(dataProvider = "airy")
    public void aPieceIsAsDenseAsItsPoresLeaveIt(String slug, double least, double greatest) {
        double density = Bars.MATERIALS.get(slug).densityGramsPerMl();
        assertTrue(density >= least && density <= greatest, slug + " " + density);
    }

    @Test
    public void whatNobodyHasWeighedIsARange() {
        var shop = Bars.MATERIALS.get("wafer-sheet");
        Material unknown = Bars.own("wafer-sheet", Nature.PLAIN, Bulk.UNKNOWN, Map.of());
        assertFalse(unknown.density().known());
        var materials = new java.util.HashMap<>(Bars.MATERIALS);
        materials.put("own-wafer", unknown);
        BarLayer insert = BarLayer.mm(LayerKind.INSERT, "own-wafer", 0)
                .with(new BarLayer.Insert(BarLayer.Shape.BAR, 90, 16, 4, 0, 0, 0, 0));
        Bar bar = Bar.of(
                Build.MOULDED,
                new Body.Moulded(1, false),
                List.of(
                        shell(1.5),
                        BarLayer.mm(LayerKind.FILLING, PASTE, 2),
                        insert,
                        BarLayer.rest(LayerKind.FILLING, PASTE),
                        back(2)));
        BarStack stack = BarStack.of(bar, Parts.of(TAPERED, materials));
        StackLayer layer = layer(stack, "insert-1");
        assertTrue(
                layer.window().leastGrams() < 0.5 * layer.grams(),
                layer.window().toString());
        assertTrue(
                layer.window().greatestGrams() > 2 * layer.grams(),
                layer.window().toString());
        assertTrue(codes(stack).contains("density-unknown"), codes(stack).toString());
        assertTrue(shop.density().known(), "the open table knows its wafers");
        // A cup of 24 g: pieces fill about 0.6 of it, give or take a quarter (common practice, no source).
        Material cupped =
                Bars.own("wafer-sheet", Nature.PLAIN, Bulk.UNKNOWN, Map.of("cup", new Ingredient.Measure(24, false)));
        near(cupped.densityGramsPerMl(), 24 / 236.588 / 0.6, 1e-9, "from its measured cup");
        BarStack weighed = BarStack.of(
                bar.with(List.of(
                        shell(1.5),
                        BarLayer.mm(LayerKind.FILLING, PASTE, 2),
                        BarLayer.grams(LayerKind.INSERT, "own-wafer", 1.4).with(insert.insert()),
                        BarLayer.rest(LayerKind.FILLING, PASTE),
                        back(2))),
                Parts.of(TAPERED, materials));
        near(layer(weighed, "insert-1").grams(), 1.4, 1e-12, "a piece that was weighed wins");
    }

    @Test
    public void aWaferPressedThroughItsBarrierStandsInTheJam() {
        BarLayer jam = BarLayer.mm(LayerKind.FILLING, "raspberry-jam", 4);
        BarLayer barrier = BarLayer.mm(LayerKind.FILLING, DARK, 1);
        BarStack over = moulded(
                TAPERED,
                shell(1.5),
                jam,
                barrier,
                wafer(80, 12, 2, 0),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                back(2));
        assertFalse(codes(over).contains("crisp-beside-wet"), codes(over).toString());
        BarStack through = moulded(
                TAPERED,
                shell(1.5),
                jam,
                barrier,
                wafer(80, 12, 3, 2.5),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                back(2));
        assertTrue(codes(through).contains("crisp-beside-wet"), codes(through).toString());
    }

    @Test
    public void whatIsPressedInDisplacesEveryLayerItGoesThrough() {
        // A wafer through a layer of 6 g and into the one of 8 g below: both are higher by what it takes in them.
        BarStack without = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.grams(LayerKind.FILLING, CARAMEL, 8),
                BarLayer.grams(LayerKind.FILLING, PASTE, 3),
                BarLayer.rest(LayerKind.BACK, DARK));
        BarStack with = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.grams(LayerKind.FILLING, CARAMEL, 8),
                BarLayer.grams(LayerKind.FILLING, PASTE, 3),
                wafer(90, 14, 2, 2),
                BarLayer.rest(LayerKind.BACK, DARK));
        StackLayer insert = layer(with, "insert-1");
        double level = layer(with, "filling-2").toMm();
        near(insert.fromMm(), level - 2, 1e-9, "pressed in by two millimetres");
        double before = layer(without, "filling-2").toMm();
        assertTrue(insert.fromMm() < layer(with, "filling-1").toMm(), "down into the caramel");
        double displaced = 90 * 14 * 2 / 1000.0;
        Frame.Moulded frame = (Frame.Moulded) with.frame();
        near(
                frame.inside().volumeMl(before, level),
                displaced,
                1e-6,
                "the level rises by what is pressed in, Archimedes");
    }

    @Test
    public void nutsHalfInALayerStandInTheOneAbove() {
        BarStack bar = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.FILLING, CARAMEL, 5),
                BarLayer.pieces("hazelnut-roasted", 3, 1, 0.5),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                back(2));
        BarStack bare = moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.FILLING, CARAMEL, 5),
                BarLayer.rest(LayerKind.FILLING, PASTE),
                back(2));
        double half = layer(bar, "inclusion-1").volumeMl() / 2;
        near(
                layer(bare, "filling-1").volumeMl() - layer(bar, "filling-1").volumeMl(),
                half,
                1e-9,
                "half of each below");
        near(
                layer(bare, "filling-2").volumeMl() - layer(bar, "filling-2").volumeMl(),
                half,
                1e-9,
                "half of each above");
    }

    @Test
    public void aBackWeighedTwiceIsAsThickAsBoth() {
        BarLayer once = BarLayer.grams(LayerKind.BACK, DARK, 8);
        BarLayer twice = new BarLayer(
                LayerKind.BACK, DARK, BarLayer.By.GRAMS, 4, 0, 1, 2, null, null, null, null, null, null, null);
        BarLayer caramel = BarLayer.rest(LayerKind.FILLING, CARAMEL);
        StackLayer one = layer(moulded(TAPERED, shell(1.5), caramel, once), "back");
        StackLayer two = layer(moulded(TAPERED, shell(1.5), caramel, twice), "back");
        near(two.grams(), one.grams(), 1e-9, "property");
        near(two.thicknessMm(), one.thicknessMm(), 1e-9, "property");
    }

    @Test
    public void twoWafersOnEachOtherAreTwiceAsHigh() {
        BarLayer caramel = BarLayer.mm(LayerKind.FILLING, CARAMEL, 4);
        BarLayer one = wafer(80, 12, 1.5, 0.5);
        BarLayer two = new BarLayer(
                one.kind(),
                one.of(),
                one.by(),
                one.amount(),
                0,
                1,
                2,
                null,
                one.insert(),
                null,
                null,
                null,
                null,
                null);
        BarLayer rest = BarLayer.rest(LayerKind.FILLING, PASTE);
        StackLayer pair = layer(moulded(TAPERED, shell(1.5), caramel, two, rest, back(2)), "insert-1");
        StackLayer single = layer(moulded(TAPERED, shell(1.5), caramel, one, rest, back(2)), "insert-1");
        near(pair.thicknessMm(), 2 * 1.5, 1e-9, "property");
        near(pair.volumeMl(), 2 * single.volumeMl(), 1e-9, "property");
        near(pair.grams(), 2 * single.grams(), 1e-9, "property");
        near(pair.fromMm(), single.fromMm(), 1e-9, "both rest on the caramel");
    }

    @Test
    public void sidesCoatedThinlyAreJudgedByThemselves() {
        BarLayer caramel = BarLayer.mm(LayerKind.FILLING, CARAMEL, 12);
        BarLayer bottom = BarLayer.mm(LayerKind.COAT, DARK, 0.8).on(new BarLayer.Faces(true, false, false, false));
        BarLayer all = BarLayer.mm(LayerKind.COAT, DARK, 0.4);
        BarStack bar =
                Bars.of(Bar.of(Build.SLAB, new Body.Slab(300, 200, 60, 25, 0, 0, 0), List.of(caramel, bottom, all)));
        assertTrue(
                Bars.call(bar, "coat-too-thin").message().contains("0.4 mm"),
                Bars.call(bar, "coat-too-thin").message());
        BarLayer enough = BarLayer.mm(LayerKind.COAT, DARK, 0.6);
        BarStack good =
                Bars.of(Bar.of(Build.SLAB, new Body.Slab(300, 200, 60, 25, 0, 0, 0), List.of(caramel, bottom, enough)));
        assertFalse(codes(good).contains("coat-too-thin"), codes(good).toString());
    }

    /** Shell of even thickness inside half an ellipsoid, by brute force: points of it nearer to its surface than the thickness. */
    @Test
    public void theShellOfAHalfEllipsoidWeighsAnEvenShell() {
        HalfEllipsoid cavity = new HalfEllipsoid(60, 36, 14);
        for (double t : new double[] {1, 1.5, 2}) {
            double even = 0;
            int n = 60;
            double step = 1.0 / n;
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < n; j++) {
                    for (int k = 0; k < n; k++) {
                        double x = (i + 0.5) * step * 30;
                        double y = (j + 0.5) * step * 18;
                        double z = (k + 0.5) * step * 14;
                        boolean inside = x * x / 900 + y * y / 324 + z * z / 196 <= 1;
                        even += inside && nearestMm(x, y, z) <= t ? 4 * 30 * 18 * 14 * step * step * step : 0;
                    }
                }
            }
            near(cavity.lined(t).shellMl(), even / 1000, 0.02 * even / 1000, "brute force, t = " + t);
        }
    }

    /** Distance of a point in the ellipsoid to its surface: x(s) = a² x / (a² + s) with the s that lies on it (Eberly 2013). */
    private static double nearestMm(double x, double y, double z) {
        double low = -196 + 14 * z;
        double high = 0;
        for (int i = 0; i < 60; i++) {
            double s = (low + high) / 2;
            double f = sq(30 * x / (900 + s)) + sq(18 * y / (324 + s)) + sq(14 * z / (196 + s)) - 1;
            if (f > 0) {
                low = s;
            } else {
                high = s;
            }
        }
        double s = (low + high) / 2;
        return Math.sqrt(sq(x - 900 * x / (900 + s)) + sq(y - 324 * y / (324 + s)) + sq(z - 196 * z / (196 + s)));
    }

    private static double sq(double v) {
        return v * v;
    }

    @Test
    public void whatIsShapedOrPouredByHandHasAWindow() {
        BarStack ball = Bars.of(Bar.of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.BALL, 0, 0, 0, 12),
                List.of(
                        BarLayer.mm(LayerKind.FILLING, PASTE, 0),
                        BarLayer.grams(LayerKind.TOPPING, "cocoa-powder", 0.6))));
        near(
                layer(ball, "filling-1").window().leastGrams(),
                11.4,
                1e-9,
                "a twentieth less, common practice, no source");
        near(layer(ball, "filling-1").window().greatestGrams(), 12.6, 1e-9, "a twentieth more");
        BarStack own = Bars.of(Bar.of(
                Build.SHAPED,
                new Body.Shaped(Body.Form.BALL, 0, 0, 0, 12),
                List.of(BarLayer.mm(LayerKind.FILLING, PASTE, 0).between(11, 14))));
        assertEquals(layer(own, "filling-1").window().greatestGrams(), 14.0, "as the person says");
    }
}

package org.zeststack.core.picture;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;

import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Dome;
import org.zeststack.core.cavity.FrustumCavity;
import org.zeststack.core.cavity.HalfCylinder;
import org.zeststack.core.cavity.HalfEllipsoid;
import org.zeststack.core.cavity.Outline.Point;
import org.zeststack.core.cavity.SegmentRow;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.BarStackTest;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.stack.Parts;

/** What is seen from above, and cuts through pieces of every kind. */
public class PlanTest {

    private static double area(List<Point> points) {
        double twice = 0;
        for (int i = 0; i < points.size(); i++) {
            Point a = points.get(i);
            Point b = points.get((i + 1) % points.size());
            twice += a.xMm() * b.yMm() - b.xMm() * a.yMm();
        }
        return Math.abs(twice) / 2;
    }

    private static List<Plan.Area> of(Plan plan, Plan.Kind kind) {
        return plan.areas().stream().filter(a -> a.kind() == kind).toList();
    }

    private static void inside(Plan plan, String where) {
        for (Plan.Area a : plan.areas()) {
            for (Point p : a.points()) {
                assertTrue(
                        p.xMm() >= -1e-6
                                && p.yMm() >= -1e-6
                                && p.xMm() <= plan.lengthMm() + 1e-6
                                && p.yMm() <= plan.widthMm() + 1e-6,
                        where + ": " + p + " outside");
            }
        }
    }

    private static BarStack slab(Body body) {
        return Bars.of(Bar.of(Build.SLAB, body, List.of(BarLayer.mm(LayerKind.FILLING, CARAMEL, 10))));
    }

    /** Whatever the slab and the piece, pieces lie inside, are as many as counted, and with the off-cuts make up the whole. */
    @Test
    public void piecesOfASlabLieInsideAndAddUp() {
        SplittableRandom random = new SplittableRandom(51);
        for (int round = 0; round < 100; round++) {
            Body.Slab body = new Body.Slab(
                    200 + 300 * random.nextDouble(),
                    150 + 200 * random.nextDouble(),
                    30 + 60 * random.nextDouble(),
                    15 + 30 * random.nextDouble(),
                    3 * random.nextDouble(),
                    10 * random.nextDouble(),
                    0);
            BarStack stack = slab(body);
            Plan plan = Plan.of(stack);
            String where = "seed 51, round " + round + " " + body;
            inside(plan, where);
            List<Plan.Area> pieces = of(plan, Plan.Kind.PIECE);
            assertEquals(pieces.size(), stack.frame().piecesOfOne(), where);
            double covered = pieces.stream().mapToDouble(a -> area(a.points())).sum();
            double whole = body.lengthMm() * body.widthMm();
            near(1 - covered / whole, stack.frame().offcutFraction(), 1e-9, where);
        }
    }

    @Test
    public void roundedCornersAreDrawnRound() {
        Plan plan = Plan.of(slab(new Body.Slab(300, 200, 60, 25, 1, 5, 4)));
        double drawn = area(plan.areas().get(0).points());
        near(drawn, 60 * 25 - (4 - Math.PI) * 16, 1, "a rectangle less its four corners, drawn with six chords each");
    }

    @DataProvider
    public Object[][] cavities() {
        // cavity, outlines of one cavity in the plan (opening and floor), area of its opening in mm²
        return new Object[][] {
            {new TaperedCavity(100, 30, 94, 24, 14), 2, 3000.0, 1e-9},
            {new HalfCylinder(80, 12), 2, 80 * 24.0, 1e-9},
            {new Dome(15, 15), 2, Math.PI * 225, 4},
            {new HalfEllipsoid(60, 30, 12), 2, Math.PI / 4 * 1800, 6},
            {new FrustumCavity(false, 40, 34, 15), 2, Math.PI * 400, 6},
            {new FrustumCavity(true, 40, 34, 15), 2, Math.sqrt(3) / 2 * 1600, 1e-9},
            {new SegmentRow(new TaperedCavity(24, 30, 19, 25, 14), 4, 2, 12, 5), 8, 24 * 30.0, 1e-9},
        };
    }

    @Test(dataProvider = "cavities")
    public void cavitiesStandInRowsAndColumns(
            org.zeststack.core.cavity.Cavity cavity, int outlines, double opening, double tolerance) {
        Bar bar = Bar.of(Build.OPEN, new Body.Moulded(1, false), List.of(BarLayer.rest(LayerKind.SHEET, DARK)));
        BarStack stack = BarStack.of(bar, new Parts(cavity, 1, 0, 3, 5, Bars.MATERIALS));
        Plan plan = Plan.of(stack);
        assertEquals(plan.areas().size(), 15 * outlines, cavity.toString());
        assertEquals(stack.frame().piecesOfOne(), 15);
        inside(plan, cavity.toString());
        near(area(of(plan, Plan.Kind.CAVITY).get(0).points()), opening, tolerance, "area of the opening");
    }

    @Test(dataProvider = "cavities")
    public void cutsOfEveryCavityLieInsideTheirMeasures(
            org.zeststack.core.cavity.Cavity cavity, int outlines, double opening, double tolerance) {
        Bar bar = Bar.of(
                Build.MOULDED,
                new Body.Moulded(1, false),
                List.of(
                        BarLayer.mm(LayerKind.SHELL, DARK, 1.2),
                        BarLayer.mm(LayerKind.FILLING, CARAMEL, 3),
                        BarLayer.rest(LayerKind.FILLING, Bars.PASTE),
                        BarLayer.mm(LayerKind.BACK, DARK, 1.5)));
        BarStack stack = BarStack.of(bar, Parts.of(cavity, Bars.MATERIALS));
        for (CrossSection cut : List.of(CrossSection.across(stack), CrossSection.along(stack))) {
            for (CrossSection.Shape shape : cut.shapes()) {
                for (CrossSection.Point p : shape.points()) {
                    assertTrue(
                            p.xMm() >= -1e-6
                                    && p.xMm() <= cut.widthMm() + 1e-6
                                    && p.yMm() >= -1e-6
                                    && p.yMm() <= cut.depthMm() + 1e-6,
                            cavity + " " + shape.layer() + " " + p);
                }
            }
        }
        double drawn = CrossSection.across(stack).shapes().stream()
                .mapToDouble(BarStackTest::area)
                .sum();
        double depth = cavity.depthMm();
        double face = 0;
        int slices = 4000;
        for (int i = 0; i < slices; i++) {
            face += cavity.widthMm(depth * (i + 0.5) / slices) * depth / slices;
        }
        near(
                drawn,
                face,
                0.02 * face,
                "the layers cover the cut face, by the midpoint rule; curves are drawn with chords");
    }

    @Test
    public void discsOfASheetDoNotOverlap() {
        Bar bar = Bar.of(
                Build.OPEN,
                new Body.Sheet(300, 200, true, List.of(44.0), 2),
                List.of(BarLayer.mm(LayerKind.SHEET, DARK, 1)));
        Plan plan = Plan.of(Bars.of(bar));
        inside(plan, "sheet");
        List<double[]> middles = plan.areas().stream()
                .map(a -> new double[] {
                    a.points().stream().mapToDouble(Point::xMm).average().orElseThrow(),
                    a.points().stream().mapToDouble(Point::yMm).average().orElseThrow()
                })
                .toList();
        for (int i = 0; i < middles.size(); i++) {
            for (int j = i + 1; j < middles.size(); j++) {
                double apart = Math.hypot(middles.get(i)[0] - middles.get(j)[0], middles.get(i)[1] - middles.get(j)[1]);
                assertTrue(apart >= 46 - 1e-6, "two discs " + apart + " mm apart, diameter 44 mm and gap 2 mm");
            }
        }
    }

    @Test
    public void gradedDiscsAndInsertsAreShownFromAbove() {
        Bar tower = Bar.of(
                Build.OPEN,
                new Body.Sheet(300, 200, true, List.of(50.0, 40.0, 30.0), 2),
                List.of(BarLayer.mm(LayerKind.SHEET, DARK, 1)));
        Plan plan = Plan.of(Bars.of(tower));
        assertEquals(
                of(plan, Plan.Kind.OTHER_SIZE).size(),
                2 * of(plan, Plan.Kind.PIECE).size());
        assertTrue(plan.title().contains("3 sheets"), plan.title());
        BarLayer.Insert disc = new BarLayer.Insert(BarLayer.Shape.DISC, 26, 26, 3, 0, 0, 0, 0);
        BarStack filled = Bars.moulded(
                new FrustumCavity(false, 44, 38, 16),
                Bars.shell(1.5),
                BarLayer.mm(LayerKind.INSERT, "rye-wafer", 0).with(disc),
                BarLayer.rest(LayerKind.FILLING, Bars.PASTE),
                Bars.back(2));
        List<Plan.Area> inserts = of(Plan.of(filled), Plan.Kind.INSERT);
        near(area(inserts.get(0).points()), Math.PI * 169, 3, "a disc of 26 mm, drawn with chords");
    }

    @Test
    public void marblingIsSeenInTheCut() {
        BarLayer marbled =
                BarLayer.mm(LayerKind.SHEET, DARK, 3).mixed(new BarLayer.Mix("couverture-white-34", 0.3, true));
        Bar bar = Bar.of(Build.OPEN, new Body.Tray(300, 200, 4, 5, 0, 0), List.of(marbled));
        List<String> drawn = CrossSection.across(Bars.of(bar)).shapes().stream()
                .map(CrossSection.Shape::material)
                .distinct()
                .toList();
        assertEquals(drawn, List.of("dark", "white"));
    }

    @Test
    public void twoHalvesAreDrawnOnEachOther() {
        Bar bar = Bar.of(Build.OPEN, new Body.Moulded(1, true), List.of(BarLayer.mm(LayerKind.SHELL, DARK, 2)));
        CrossSection cut = CrossSection.across(Bars.of(bar, new Dome(15, 15)));
        near(cut.depthMm(), 30, 1e-9, "two of 15 mm");
        double area = cut.shapes().stream().mapToDouble(BarStackTest::area).sum();
        near(area, Math.PI * (225 - 169), 6, "a ring between two circles, drawn with chords");
    }
}

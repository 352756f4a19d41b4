package org.zeststack.core.cavity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import org.testng.annotations.Test;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Say;

/** What water says of a mould, rounded floors, spaces without a top, and outlines. Geometry; water weighs 0.9982 g/mL at 20 °C. */
public class CalibratedTest {

    /** An upright box of 100 × 40 mm, 10 mm deep: 40 mL. */
    private static final TaperedCavity BOX = new TaperedCavity(100, 40, 100, 40, 10);

    private static Fault fault(Runnable making) {
        return expectThrows(InvalidInput.class, making::run).faults().get(0);
    }

    @Test
    public void waterCorrectsTheModelUpToAFifth() {
        assertEquals(Calibrated.factor(BOX, 0, null), 1.0);
        near(Calibrated.factor(BOX, 0, 40 * 0.9982), 1, 1e-12, "as measured");
        near(Calibrated.factor(BOX, 0, 44 * 0.9982), 1.1, 1e-12, "a tenth more");
        near(Calibrated.factor(BOX, 0, 47.99 * 0.9982), 1.19975, 1e-9, "just a fifth more");
        near(Calibrated.factor(BOX, 0, 32.01 * 0.9982), 0.80025, 1e-9, "just a fifth less");
        Fault more = fault(() -> Calibrated.factor(BOX, 0, 48.1 * 0.9982));
        assertEquals(more.field(), "waterGrams");
        near(more.least(), 32 * 0.9982, 1e-9, "permitted from");
        near(more.greatest(), 48 * 0.9982, 1e-9, "permitted to");
        assertTrue(
                Say.metric(more.message()).contains("is 48.1 mL, but these dimensions give 40.0 mL"),
                Say.metric(more.message()));
        fault(() -> Calibrated.factor(BOX, 0, 31.9 * 0.9982));
    }

    /** A rounding of radius r along an edge takes (1 − π/4) r² of each millimetre of it. */
    @Test
    public void aRoundedFloorHoldsLess() {
        double edge = 2 * (100 + 40);
        assertEquals(BOX.floorEdgeMm(), edge);
        double lostMl = (1 - Math.PI / 4) * 9 * edge / 1000;
        Calibrated rounded = new Calibrated(BOX, 1, 3, edge);
        near(rounded.volumeMl(), 40 - lostMl, 1e-9, "all of it");
        near(rounded.volumeMl(0, 3), 12 - lostMl, 1e-9, "up to the rounding");
        near(rounded.volumeMl(0, 1.5), 6 - lostMl / 2, 1e-9, "half of the rounding");
        near(rounded.volumeMl(1, 2), 4 - lostMl / 3, 1e-9, "a slice of it");
        near(rounded.volumeMl(3, 10), 28, 1e-9, "above it nothing is lost");
        near(rounded.areaMm2(1), 4000 - 1000 * lostMl / 3, 1e-9, "area within the rounding");
        near(rounded.areaMm2(3), 4000, 1e-9, "area above it");
        Calibrated measured = new Calibrated(BOX, 1.1, 3, edge);
        near(measured.volumeMl(), 1.1 * (40 - lostMl), 1e-9, "and more by water");
        near(measured.areaMm2(5), 4400, 1e-9, "area by water");
        near(new Calibrated(BOX, 1, 0, edge).volumeMl(0, 1), 4, 1e-12, "no rounding");
    }

    @Test
    public void asksTheSpaceItself() {
        Calibrated lined = new Calibrated(BOX.lined(2), 1.05, 0, 0);
        assertEquals(lined.floorMm(), 2.0);
        assertEquals(lined.topMm(), 10.0);
        assertEquals(lined.outline(5), BOX.lined(2).outline(5));
        assertEquals(lined.undivided(5), BOX.lined(2).undivided(5));
        assertEquals(BOX.lined(2).shellMm(), 2.0);
    }

    @Test
    public void pouredInStandsAtItsHeight() {
        near(BOX.heightMm(0, 12), 3, 1e-6, "12 mL of 40 mL in 10 mm");
        near(BOX.heightMm(2, 12), 5, 1e-6, "poured on a level");
        assertEquals(BOX.heightMm(4, 24), 10.0);
        assertEquals(BOX.heightMm(4, 30), 10.0, "it runs over");
        assertEquals(BOX.heightMm(4, 0), 4.0);
        assertEquals(BOX.heightMm(4, -1), 4.0);
    }

    @Test
    public void whatStandsOnATableHasNoTop() {
        Prism disc = new Prism(new Outline(Outline.Kind.ELLIPSE, 60, 60), Math.PI * 900);
        near(disc.volumeMl(1, 3), Math.PI * 900 * 2 / 1000, 1e-9, "area times height");
        near(disc.heightMm(1, Math.PI * 0.9), 2, 1e-9, "and back");
        assertEquals(disc.heightMm(1, -5), 1.0);
        near(disc.areaMm2(7), Math.PI * 900, 1e-12, "upright");
        assertEquals(disc.outline(7).lengthMm(), 60.0);
        assertEquals(disc.floorMm(), 0.0);
    }

    /** Perimeters: of a circle exactly, of an ellipse of axes 2 : 1 from the complete elliptic integral, 9.68845 a / 2 (Abramowitz and Stegun 17.3). */
    @Test
    public void outlinesHaveTheirPerimeters() {
        near(new Outline(Outline.Kind.RECTANGLE, 100, 40).perimeterMm(), 280, 1e-12, "rectangle");
        near(new Outline(Outline.Kind.ELLIPSE, 60, 60).perimeterMm(), Math.PI * 60, 1e-9, "circle");
        near(new Outline(Outline.Kind.ELLIPSE, 40, 20).perimeterMm(), 96.8845, 0.001, "ellipse");
        near(new Outline(Outline.Kind.ELLIPSE, 20, 40).perimeterMm(), 96.8845, 0.001, "the other way");
        assertEquals(new Outline(Outline.Kind.ELLIPSE, 0, 0).perimeterMm(), 0.0);
        near(
                new Outline(Outline.Kind.HEXAGON, 40 / Math.sqrt(3) * 2, 40).perimeterMm(),
                240 / Math.sqrt(3),
                1e-9,
                "hexagon");
        assertEquals(new Outline(Outline.Kind.ELLIPSE, 40, 20).points().size(), 48);
    }

    /** Draft is the lean of a wall: 5 mm over 10 mm are 26.565°. */
    @Test
    public void wallsLeanByTheirDraft() {
        near(new FrustumCavity(false, 30, 20, 10).draftDegrees(), Math.toDegrees(Math.atan(0.5)), 1e-9, "round");
        near(new FrustumCavity(false, 30, 20, 10).floorEdgeMm(), Math.PI * 20, 1e-9, "round edge");
        near(new SegmentRow(new TaperedCavity(24, 24, 14, 14, 10), 3, 2, 10, 5).draftDegrees(), 26.565, 0.001, "row");
        assertEquals(new SegmentRow(new TaperedCavity(24, 24, 14, 14, 10), 3, 2, 10, 5).floorEdgeMm(), 3 * 56.0);
        assertTrue(Double.isNaN(new HalfEllipsoid(40, 40, 15).draftDegrees()), "curved");
    }

    /** A shell closes where two walls meet: an upright slot 10 mm wide at 5 mm. */
    @Test
    public void shellsCloseWhereWallsMeet() {
        near(new TaperedCavity(100, 10, 100, 10, 40).greatestShellMm(), 5, 1e-9, "upright walls");
        near(new FrustumCavity(false, 10, 10, 40).greatestShellMm(), 5, 1e-9, "round");
        double lean = 2 * Math.sqrt(1 + 1.0 / 64);
        near(
                new TaperedCavity(100, 20, 95, 10, 40).greatestShellMm(),
                10 / (lean - 0.25),
                1e-9,
                "leaning: floor / (2 sec − gain)");
        Fault deep = fault(() -> BOX.lined(10));
        assertTrue(
                Say.metric(deep.message()).contains("as thick as the cavity is deep (10 mm); permitted 0.2 to 10.0 mm"),
                Say.metric(deep.message()));
        Fault narrow = fault(() -> new TaperedCavity(100, 10, 100, 10, 40).lined(6));
        assertTrue(
                Say.metric(narrow.message())
                        .contains("leaves no inside in a cavity 40 mm deep; permitted 0.2 to 5.0 mm"),
                Say.metric(narrow.message()));
        assertEquals(BOX.lined(0.2).shellMm(), 0.2);
        fault(() -> BOX.lined(0.19));
    }

    /** A row: bridges count where they are open, and only there. */
    @Test
    public void bridgesHoldWhatTheyAreOpenFor() {
        SegmentRow row = new SegmentRow(new TaperedCavity(20, 20, 20, 20, 10), 3, 4, 8, 6);
        Hollow bare = row.inside(0);
        near(bare.volumeMl(), 3 * 4 + 2 * 8 * 4 * 6 / 1000.0, 1e-9, "three boxes and two bridges");
        near(bare.areaMm2(3.9), 3 * 400, 1e-9, "below the bridges");
        near(bare.areaMm2(4), 3 * 400 + 2 * 8 * 4, 1e-9, "on their floor");
        near(bare.volumeMl(0, 4), 4.8, 1e-9, "below them");
        assertEquals(bare.outline(5).lengthMm(), 20 + 2 * 24.0);
        assertEquals(bare.undivided(3.9).size(), 1);
        assertEquals(bare.undivided(4).get(1).widthMm(), 8.0);
        Hollow lined = row.inside(1);
        assertEquals(lined.undivided(9).get(1).widthMm(), 6.0, "lined on both sides");
        near(lined.areaMm2(5), 3 * 18 * 18 + 2 * 6 * 6, 1e-9, "the bridge runs from wall to wall");
        assertEquals(row.inside(4).undivided(9).size(), 1, "a bridge as wide as two shells is solid");
        Fault wide = fault(() -> new SegmentRow(new TaperedCavity(20, 20, 20, 20, 10), 3, 4, 20.1, 6));
        assertEquals(wide.field(), "bridgeWidthMm");
        new SegmentRow(new TaperedCavity(20, 20, 20, 20, 10), 3, 4, 20, 10);
    }

    /** The body inside an even shell of an ellipsoid: V − S t + M t² − 4π/3 t³ (Steiner 1840); of a sphere that is the smaller sphere. */
    @Test
    public void anEllipsoidLinedEvenlyHoldsWhatSteinerSays() {
        HalfEllipsoid sphere = new HalfEllipsoid(60, 60, 30);
        near(sphere.lined(3).volumeMl(), 2 * Math.PI / 3 * Math.pow(27, 3) / 1000, 1e-6, "the smaller half sphere");
        near(sphere.greatestShellMm(), 30, 1e-12, "closed at its radius");
        assertEquals(new HalfEllipsoid(60, 40, 30).greatestShellMm(), 20.0);
        assertEquals(new HalfEllipsoid(60, 40, 10).greatestShellMm(), 10.0);
        // A prolate spheroid of half-axes 40, 20, 20: S = 2π b² (1 + a/(b e) asin e) = 8 596.5 mm², e = √3/2.
        double e = Math.sqrt(0.75);
        double surface = 2 * Math.PI * 400 * (1 + 2 / e * Math.asin(e));
        // Mean curvature integral of a prolate spheroid: 2π (a + b²/√(a² − b²) · artanh e).
        double curvature = 2 * Math.PI * (40 + 400 / Math.sqrt(1200) * Math.log((1 + e) / (1 - e)) / 2);
        double t = 2;
        double whole = 4 * Math.PI / 3 * 40 * 400 - surface * t + curvature * t * t - 4 * Math.PI / 3 * t * t * t;
        near(new HalfEllipsoid(80, 40, 20).lined(t).volumeMl(), whole / 2000, 2e-4 * whole / 2000, "half of it");
    }

    @Test
    public void theLeastBackIsNotAboveTheGreatest() {
        FilledCavity.of(BOX, 1.5, 2, 1, 3);
        FilledCavity.of(BOX, 1.5, 2, 2, 2);
        Fault crossed = fault(() -> FilledCavity.of(BOX, 1.5, 2, 3, 1));
        assertEquals(crossed.field(), "backLeastMm");
    }
}

package org.zeststack.core.cavity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.List;
import org.hipparchus.analysis.integration.RombergIntegrator;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;

/** Volumes against closed forms, against numerical integration and, lined, against a mesh of the offset surface. */
public class ShapesTest {

    private static final TaperedCavity SEGMENT = new TaperedCavity(24, 30, 20, 26, 10);

    @DataProvider
    public Object[][] closedForms() {
        double frustum = Math.PI * 12 / 3 * (225 + 15 * 11 + 121);
        double hexagon = Math.sqrt(3) / 2 * 12 / 3 * (900 + 30 * 22 + 484);
        return new Object[][] {
            // Volumes of solids as printed in any handbook of geometry.
            {new HalfCylinder(80, 11), Math.PI * 121 / 2 * 80},
            {new Dome(15, 15), 2 * Math.PI / 3 * Math.pow(15, 3)},
            {new Dome(20, 8), Math.PI * 8 / 6 * (3 * 400 + 64)},
            {new HalfEllipsoid(60, 30, 12), 2 * Math.PI / 3 * 30 * 15 * 12},
            {new FrustumCavity(false, 30, 22, 12), frustum},
            {new FrustumCavity(true, 30, 22, 12), hexagon},
            {new TaperedCavity(118, 32, 112, 26, 14), 14 / 6.0 * (118 * 32 + 4 * 115 * 29 + 112 * 26)},
            {
                new SegmentRow(SEGMENT, 4, 6, 10, 3),
                4 * SEGMENT.volumeMl() * 1000 + 3 * 10 * (6 * 3 + 0.5 * 3 * 3 * (24 - 20) / 10.0)
            },
        };
    }

    @Test(dataProvider = "closedForms")
    public void volumesAreThoseOfClosedForms(Cavity cavity, double mm3) {
        near(cavity.volumeMl(), mm3 / 1000, 1e-6 * mm3 / 1000, "closed form");
    }

    @Test(dataProvider = "closedForms")
    public void volumesAreTheIntegralOfTheArea(Cavity cavity, double mm3) {
        for (double shell : new double[] {0, 1.3}) {
            Hollow inside = cavity.inside(shell);
            // The area of a half-cylinder rises with infinite slope at its floor, so pieces are integrated from above
            // it.
            double from = inside.floorMm() + (inside.topMm() - inside.floorMm()) * 0.15;
            double bend =
                    cavity instanceof SegmentRow row ? row.depthMm() - row.bridgeDepthMm() + shell : inside.topMm();
            double integral = integral(inside, from, bend) + integral(inside, bend, inside.topMm());
            near(inside.volumeMl(from, inside.topMm()), integral, 1e-6 * integral, "numerical integration, Hipparchus");
        }
    }

    private static double integral(Hollow hollow, double from, double to) {
        return to - from < 1e-9
                ? 0
                : new RombergIntegrator(1e-9, 1e-12, 4, 30)
                                .integrate(
                                        1_000_000,
                                        z -> hollow.areaMm2(Math.min(to - 1e-9, Math.max(from + 1e-9, z))),
                                        from,
                                        to)
                        / 1000;
    }

    /**
     * The inside of a lined shape is what lies at least t from every wall. A fine triangle mesh of that surface is closed by its
     * opening and its volume taken by the divergence theorem, V = Σ a · (b × c) / 6.
     */
    @Test
    public void insetsAgreeWithAMeshOfTheOffsetSurface() {
        near(mesh(new Dome(20, 8), 1.5), new Dome(20, 8).lined(1.5).volumeMl(), 2e-3, "mesh of the offset cap");
        near(mesh(new Dome(14, 14), 2), new Dome(14, 14).lined(2).volumeMl(), 2e-3, "mesh of the offset half-ball");
        FrustumCavity round = new FrustumCavity(false, 30, 22, 12);
        near(mesh(round, 1.5), round.lined(1.5).volumeMl(), 2e-3, "mesh of the offset cone");
        HalfEllipsoid egg = new HalfEllipsoid(60, 30, 12);
        double stated = egg.lined(1.5).volumeMl();
        near(mesh(egg, 1.5), stated, 0.06 * stated, "stated approximation: semi-axes less t");
    }

    /** Volume of the body of revolution or ellipse whose wall stands t off the cavity's, measured along its normal. */
    private static double mesh(Cavity cavity, double t) {
        int rings = 1200;
        int sectors = 720;
        double top = cavity.topMm();
        double[][] ring = new double[rings + 1][];
        for (int i = 0; i <= rings; i++) {
            ring[i] = offsetPoint(cavity, t, i / (double) rings);
        }
        double sum = 0;
        for (int i = 0; i < rings; i++) {
            if (ring[i][2] >= top) {
                break;
            }
            double[] a = ring[i];
            double[] b = ring[i + 1];
            if (b[2] > top) {
                double share = (top - a[2]) / (b[2] - a[2]);
                b = new double[] {a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1]), top};
            }
            for (int s = 0; s < sectors; s++) {
                double from = 2 * Math.PI * s / sectors;
                double to = 2 * Math.PI * (s + 1) / sectors;
                sum += triangle(at(a, from), at(b, from), at(b, to)) + triangle(at(a, from), at(b, to), at(a, to));
                double[] middle = {0, 0, top};
                boolean last = b[2] >= top;
                if (last) {
                    sum += triangle(at(b, to), at(b, from), middle);
                }
            }
        }
        return Math.abs(sum) / 6 / 1000;
    }

    private static double[] at(double[] ring, double angle) {
        return new double[] {ring[0] * Math.cos(angle), ring[1] * Math.sin(angle), ring[2]};
    }

    private static double triangle(double[] a, double[] b, double[] c) {
        return a[0] * (b[1] * c[2] - b[2] * c[1])
                + a[1] * (b[2] * c[0] - b[0] * c[2])
                + a[2] * (b[0] * c[1] - b[1] * c[0]);
    }

    /** Half length, half width and height of the ring a share of the way up the wall, moved inwards by t along the normal. */
    private static double[] offsetPoint(Cavity cavity, double t, double share) {
        if (cavity instanceof FrustumCavity cone) {
            double run = (cone.openingWidthMm() - cone.floorWidthMm()) / 2;
            double theta = Math.atan2(run, cone.depthMm());
            // From the middle of the raised floor out to the wall, then up it.
            double corner = cone.floorWidthMm() / 2 + t * Math.tan(theta) - t / Math.cos(theta);
            double z = t + (cone.depthMm() - t) * Math.max(0, 2 * share - 1);
            double r = share < 0.5 ? corner * 2 * share : corner + (z - t) * Math.tan(theta);
            return new double[] {r, r, share < 0.5 ? t : z};
        }
        if (cavity instanceof Dome dome) {
            double s = (dome.openingRadiusMm() * dome.openingRadiusMm() + dome.depthMm() * dome.depthMm())
                    / (2 * dome.depthMm());
            double angle = share * Math.PI / 2;
            double r = (s - t) * Math.sin(angle);
            return new double[] {r, r, s - (s - t) * Math.cos(angle)};
        }
        HalfEllipsoid egg = (HalfEllipsoid) cavity;
        double angle = share * Math.PI / 2;
        double a = egg.lengthMm() / 2;
        double b = egg.widthMm() / 2;
        double c = egg.depthMm();
        // Offset in the two upright planes of the axes; between them the ring is taken as an ellipse.
        double[] long1 = offset(a, c, t, angle);
        double[] wide = offset(b, c, t, angle);
        return new double[] {long1[0], wide[0], c - (long1[1] + wide[1]) / 2};
    }

    private static double[] offset(double a, double c, double t, double angle) {
        double x = a * Math.sin(angle);
        double down = c * Math.cos(angle);
        double nx = x / (a * a);
        double nz = down / (c * c);
        double n = Math.hypot(nx, nz);
        return new double[] {x - t * nx / n, down - t * nz / n};
    }

    @Test
    public void partsOfAnyShapeAreTheWholeAndHeightsInvert() {
        for (Object[] row : closedForms()) {
            Cavity cavity = (Cavity) row[0];
            LinedCavity lined = cavity.lined(1.2);
            double level = lined.floorMm() + 0.4 * lined.innerDepthMm();
            double parts =
                    lined.shellMl() + lined.volumeMl(lined.floorMm(), level) + lined.volumeMl(level, lined.topMm());
            near(parts, cavity.volumeMl(), 1e-9, "property: the parts are the whole");
            double height = lined.heightMm(lined.floorMm(), lined.volumeMl(lined.floorMm(), level));
            near(height, level, 1e-6, "property: volume and height invert");
        }
    }

    @Test
    public void aShallowBridgeIsSolidAndDraftIsThatOfTheSteepestWall() {
        LinedCavity solid = new SegmentRow(SEGMENT, 4, 6, 10, 1.2).lined(1.5);
        near(solid.volumeMl(), 4 * SEGMENT.lined(1.5).volumeMl(), 1e-9, "no inside in the bridges");
        assertEquals(SEGMENT.draftDegrees(), Math.toDegrees(Math.atan(0.2)), 1e-9);
        assertEquals(new HalfCylinder(80, 11).draftDegrees(), 0.0);
        assertTrue(Double.isNaN(new Dome(15, 15).draftDegrees()));
    }

    @Test
    public void outlinesHoldWhatFits() {
        Outline hexagon = new FrustumCavity(true, 30, 22, 12).outline(12);
        near(hexagon.lengthMm(), 30 * 2 / Math.sqrt(3), 1e-9, "across corners of a hexagon");
        near(hexagon.longestMm(30), 30 / Math.sqrt(3), 1e-9, "at full width only the flat side is left");
        near(hexagon.perimeterMm(), 6 * 30 / Math.sqrt(3), 1e-9, "six sides");
        Outline ellipse = new Outline(Outline.Kind.ELLIPSE, 60, 30);
        near(ellipse.longestMm(18), 60 * 0.8, 1e-9, "3-4-5: cos of the angle whose sine is 0.6");
        near(new Outline(Outline.Kind.ELLIPSE, 20, 20).perimeterMm(), Math.PI * 20, 1e-9, "a circle's");
        assertEquals(ellipse.longestMm(31), 0.0);
        assertEquals(ellipse.widestDiscMm(), 30.0);
        for (Outline outline : List.of(hexagon, ellipse)) {
            double polygon = 0;
            var points = outline.points();
            for (int i = 0; i < points.size(); i++) {
                var p = points.get(i);
                var q = points.get((i + 1) % points.size());
                polygon += (p.xMm() * q.yMm() - q.xMm() * p.yMm()) / 2;
            }
            near(polygon, outline.areaMm2(), 0.004 * outline.areaMm2(), "shoelace formula over the drawn corners");
        }
    }

    @Test
    public void impossibleShapesAreRefusedByField() {
        assertEquals(fields(() -> new Dome(10, 12)), List.of("depthMm"));
        assertEquals(fields(() -> new FrustumCavity(true, 20, 21, 12)), List.of("floorWidthMm"));
        assertEquals(fields(() -> new HalfCylinder(3, Double.NaN)), List.of("lengthMm", "radiusMm"));
        assertEquals(fields(() -> new HalfEllipsoid(0, 500, 1)), List.of("lengthMm", "widthMm", "depthMm"));
        assertEquals(
                fields(() -> new SegmentRow(SEGMENT, 1, 60, 31, 11)),
                List.of("segments", "gapMm", "bridgeWidthMm", "bridgeDepthMm"));
    }

    private static List<String> fields(org.testng.Assert.ThrowingRunnable shape) {
        return expectThrows(InvalidInput.class, shape).faults().stream()
                .map(Fault::field)
                .toList();
    }
}

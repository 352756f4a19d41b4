package org.zeststack.core.cavity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;

public class TaperedCavityTest {

    private static final String PRISMOID = "prismoidal formula";
    private final TaperedCavity cavity = new TaperedCavity(118, 32, 112, 26, 14);

    @Test
    public void volumesOfTheCheckCavity() {
        FilledCavity filled = FilledCavity.of(cavity, 1.5, 2.0, 1.0, 3.0);
        near(cavity.volumeMl(), 46.73, 0.01, PRISMOID);
        near(filled.lined().shellMl(), 9.86, 0.02, PRISMOID + " on the inset shape");
        near(filled.fillingMl(), 30.34, 0.02, PRISMOID + " on the inset shape");
        near(filled.backMl(), 6.53, 0.02, PRISMOID + " on the inset shape");
        near(filled.fillingLeastMl() * 1.30, 35.3, 0.1, PRISMOID + " on the inset shape");
        near(filled.fillingGreatestMl() * 1.30, 43.6, 0.1, PRISMOID + " on the inset shape");
    }

    @Test
    public void straightWallsMakeABox() {
        TaperedCavity box = new TaperedCavity(40, 20, 40, 20, 10);
        near(box.volumeMl(), 8, 1e-12, "length × width × depth");
        near(box.lined(1).volumeMl(), 38 * 18 * 9 / 1000.0, 1e-12, "length × width × depth");
    }

    @Test
    public void wallThicknessIsMeasuredAcrossTheWall() {
        // A wall leaning at 45°: level with the floor a 1 mm wall is √2 mm wide.
        TaperedCavity leaning = new TaperedCavity(40, 40, 20, 20, 10);
        near((leaning.widthMm(5) - leaning.lined(1).widthMm(5)) / 2, Math.sqrt(2), 1e-12, "geometry of a 45° wall");
    }

    @Test
    public void volumesAddUpAndHeightsInvert() {
        SplittableRandom random = new SplittableRandom(7);
        for (int i = 0; i < 200; i++) {
            double width = 15 + 60 * random.nextDouble();
            double depth = 6 + 20 * random.nextDouble();
            TaperedCavity any = new TaperedCavity(
                    width * 3, width, width * 3 - 4 * random.nextDouble(), width - 4 * random.nextDouble(), depth);
            double shell = 0.3 + 1.5 * random.nextDouble();
            double back = (depth - shell) * random.nextDouble();
            FilledCavity filled = FilledCavity.of(any, shell, back, 0, depth - shell);
            double parts = filled.lined().shellMl() + filled.fillingMl() + filled.backMl();
            near(parts, any.volumeMl(), 1e-9, "property: the parts are the whole");
            double height = filled.lined().heightMm(shell, filled.fillingMl());
            near(height, depth - back, 1e-6, "property: volume and height invert");
        }
    }

    @DataProvider
    public Object[][] faulty() {
        return new Object[][] {
            {new double[] {118, 32, 120, 26, 14}, List.of("floorLengthMm")},
            {new double[] {118, 32, 112, 33, 14}, List.of("floorWidthMm")},
            {new double[] {-1, 32, 112, 26, 0}, List.of("openingLengthMm", "depthMm")},
            {new double[] {Double.NaN, 1e9, 112, 26, 14}, List.of("openingLengthMm", "openingWidthMm")},
            {new double[] {118, 32, 112, 26, Double.POSITIVE_INFINITY}, List.of("depthMm")},
        };
    }

    @Test(dataProvider = "faulty")
    public void everyFaultyDimensionIsNamed(double[] mm, List<String> fields) {
        InvalidInput fault =
                expectThrows(InvalidInput.class, () -> new TaperedCavity(mm[0], mm[1], mm[2], mm[3], mm[4]));
        assertEquals(fault.faults().stream().map(Fault::field).toList(), fields);
    }

    @DataProvider
    public Object[][] tooThick() {
        return new Object[][] {{14.0}, {20.0}, {0.0}, {-1.0}, {Double.NaN}};
    }

    @Test(dataProvider = "tooThick")
    public void aShellThatLeavesNoInsideIsRefusedWithItsRange(double shellMm) {
        InvalidInput fault = expectThrows(InvalidInput.class, () -> cavity.lined(shellMm));
        assertEquals(fault.faults().get(0).field(), "shellMm");
        assertEquals(fault.faults().get(0).greatest(), 14.0);
        assertTrue(cavity.lined(14 - 1e-6).volumeMl() > 0, "just inside the range's end there is still an inside");
    }

    @Test
    public void inANarrowCavityTheWallsMeetBeforeTheFloorReachesTheRim() {
        TaperedCavity narrow = new TaperedCavity(100, 12, 100, 12, 20);
        assertEquals(narrow.greatestShellMm(), 6.0, 1e-12);
        InvalidInput fault = expectThrows(InvalidInput.class, () -> narrow.lined(6.5));
        assertEquals(fault.faults().get(0).greatest(), 6.0, 1e-12);
    }

    @Test
    public void aThicknessThatDoesNotFitTheLinedCavityIsQueried() {
        // A coin-thin layer typed as almost 10 mm: a slip heard in practice.
        TaperedCavity shallow = new TaperedCavity(40, 40, 38, 38, 8);
        InvalidInput fault = expectThrows(InvalidInput.class, () -> FilledCavity.of(shallow, 1, 9.8, 1, 3));
        assertEquals(fault.faults().get(0).greatest(), 7.0);
    }
}

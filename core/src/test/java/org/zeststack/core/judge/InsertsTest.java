package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.PASTE;
import static org.zeststack.core.stack.Bars.TAPERED;
import static org.zeststack.core.stack.Bars.back;
import static org.zeststack.core.stack.Bars.codes;
import static org.zeststack.core.stack.Bars.shell;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.SegmentRow;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;

/** Inserts in a bar to break, and several of them in one. Geometry of the design. */
public class InsertsTest {

    /** Five segments of 24 × 24 mm, 14 mm deep, with bridges 12 mm wide and 6 mm deep. */
    private static final SegmentRow ROW = new SegmentRow(new TaperedCavity(24, 24, 20, 20, 14), 5, 2, 12, 6);

    private static BarLayer wafer(double length, double width) {
        return BarLayer.mm(LayerKind.INSERT, "wafer-sheet", 0)
                .with(new BarLayer.Insert(BarLayer.Shape.BAR, length, width, 2, 0, 0, 0, 0));
    }

    private static BarStack bar(Cavity cavity, double bed, BarLayer... inserts) {
        List<BarLayer> layers = new ArrayList<>(List.of(shell(1.5), BarLayer.mm(LayerKind.FILLING, PASTE, bed)));
        layers.addAll(List.of(inserts));
        layers.add(BarLayer.rest(LayerKind.FILLING, PASTE));
        layers.add(back(2));
        return Bars.moulded(cavity, layers.toArray(BarLayer[]::new));
    }

    /** Bed below the insert, its size, and what is called. */
    @DataProvider
    public Object[][] segments() {
        return new Object[][] {
            {3.0, 16.0, 16.0, ""},
            {3.0, 60.0, 10.0, "insert-too-long"},
            {3.0, 16.0, 23.0, "insert-too-wide"},
            // Above the floor of the bridges a narrow one lies across them, a wider one does not.
            {9.0, 100.0, 6.0, ""},
            {9.0, 100.0, 12.0, "insert-too-long"},
        };
    }

    @Test(dataProvider = "segments")
    public void isMeasuredAgainstItsSegment(double bed, double length, double width, String call) {
        List<String> told = codes(bar(ROW, bed, wafer(length, width)));
        List<String> fit = told.stream().filter(c -> c.startsWith("insert-too")).toList();
        assertEquals(fit, call.isEmpty() ? List.of() : List.of(call), told.toString());
    }

    @Test
    public void theButtonMakesItFitItsSegment() {
        BarStack stack = bar(ROW, 3, wafer(60, 10));
        double mm = Double.parseDouble(
                Bars.call(stack, "insert-too-long").change().fields().get("layer.2.lengthMm"));
        assertTrue(mm > 15 && mm < 24, "a segment's inside: " + mm);
        assertFalse(codes(bar(ROW, 3, wafer(mm, 10))).contains("insert-too-long"));
    }

    /** Two on one level, by length and width: side by side or end to end they have room, or they lie on each other. */
    @DataProvider
    public Object[][] pairs() {
        return new Object[][] {
            {100.0, 10.0, 100.0, 10.0, false},
            {50.0, 20.0, 50.0, 20.0, false},
            {100.0, 14.0, 100.0, 14.0, true},
            {60.0, 20.0, 60.0, 20.0, true},
        };
    }

    @Test(dataProvider = "pairs")
    public void twoOnOneLevelNeedRoomForBoth(
            double length, double width, double other, double across, boolean overlap) {
        BarStack stack = bar(TAPERED, 4, wafer(length, width), wafer(other, across));
        assertEquals(codes(stack).contains("overlap"), overlap, codes(stack).toString());
    }

    @Test
    public void oneAboveTheOtherDoesNotOverlap() {
        BarStack stack = Bars.moulded(
                TAPERED,
                shell(1.5),
                BarLayer.mm(LayerKind.FILLING, PASTE, 2),
                wafer(100, 20),
                BarLayer.mm(LayerKind.FILLING, PASTE, 3),
                wafer(100, 20),
                BarLayer.rest(LayerKind.FILLING, CARAMEL),
                back(2));
        assertFalse(codes(stack).contains("overlap"), codes(stack).toString());
    }
}

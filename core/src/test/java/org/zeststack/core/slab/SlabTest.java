package org.zeststack.core.slab;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Say;

public class SlabTest {

    private static final double INCH = 25.4;

    @Test
    public void aTrayInFourStripsOfTenGivesForty() {
        // Common practice, no source.
        SlabCut strips = SlabCut.strips(13 * INCH, 9 * INCH, 4, 10, 0, 0);
        assertEquals(strips.pieces(), 40);
        near(strips.offcutFraction(), 0, 1e-12, "nothing is left over");
        SlabCut same = SlabCut.of(13 * INCH, 9 * INCH, strips.alongMm(), strips.acrossMm(), 0, 0);
        assertEquals(same.pieces(), 40, "the same pieces cut by size");
    }

    @Test
    public void aSheetHalvedGivesTwo() {
        // Common practice, no source: 24 × 30 cm halved is two sheets of 12 × 30 cm.
        SlabCut halved = SlabCut.of(300, 240, 300, 120, 0, 0);
        assertEquals(halved.across(), 2);
        assertEquals(halved.along(), 1);
        assertFalse(halved.turned());
        assertEquals(halved.offcutFraction(), 0, 1e-12);
    }

    @DataProvider
    public Object[][] cuts() {
        return new Object[][] {
            // length, width, piece length, piece width, kerf, trim, across, along, turned; counted by hand
            {400, 300, 90, 30, 0, 0, 10, 4, false},
            {400, 300, 90, 30, 1, 5, 9, 4, false},
            {300, 100, 90, 30, 0, 0, 1, 10, true},
            {310, 95, 90, 30, 1, 0, 1, 10, true},
            {100, 100, 33.4, 33.3, 0, 0, 3, 2, false},
        };
    }

    @Test(dataProvider = "cuts")
    public void gridsAreCounted(
            double length,
            double width,
            double pieceLength,
            double pieceWidth,
            double kerf,
            double trim,
            int across,
            int along,
            boolean turned) {
        SlabCut cut = SlabCut.of(length, width, pieceLength, pieceWidth, kerf, trim);
        assertEquals(cut.across() * cut.along(), across * along);
        assertEquals(cut.turned(), turned);
        assertEquals(cut.across(), across);
    }

    @Test
    public void piecesAlwaysFitAndTheBetterWayRoundIsTaken() {
        SplittableRandom random = new SplittableRandom(11);
        for (int i = 0; i < 300; i++) {
            double length = 200 + 300 * random.nextDouble();
            double width = 150 + 250 * random.nextDouble();
            double pl = 20 + 80 * random.nextDouble();
            double pw = 10 + 40 * random.nextDouble();
            double kerf = 2 * random.nextDouble();
            double trim = 8 * random.nextDouble();
            SlabCut cut = SlabCut.of(length, width, pl, pw, kerf, trim);
            SlabCut other = SlabCut.of(width, length, pl, pw, kerf, trim);
            assertEquals(cut.pieces(), other.pieces(), "turning the slab changes nothing");
            double used = cut.along() * cut.alongMm() + (cut.along() - 1) * kerf + 2 * trim;
            assertTrue(used <= length + 1e-3, "pieces lie inside the slab");
            assertTrue(cut.offcutFraction() >= -1e-9 && cut.offcutFraction() < 1);
        }
    }

    @Test
    public void aPieceThatDoesNotFitIsRefusedWithItsSize() {
        InvalidInput fault = expectThrows(InvalidInput.class, () -> SlabCut.of(100, 80, 120, 30, 0, 0));
        assertEquals(fault.faults().get(0).field(), "pieceLengthMm");
        assertTrue(Say.metric(fault.getMessage()).contains("100 × 80 mm"), Say.metric(fault.getMessage()));
        assertEquals(
                expectThrows(InvalidInput.class, () -> SlabCut.of(5, 1e9, -1, Double.NaN, 90, 0))
                        .faults()
                        .size(),
                5);
    }

    @Test
    public void staggeredDiscsTouchAndNeverOverlap() {
        // Ten rows of ten discs of 10 mm: the densest packing of circles (Thue 1910) wins on a large sheet.
        Cutters large = Cutters.of(1000, 1000, 10, 0);
        assertEquals(large.squarePieces(), 100 * 100);
        double covered = large.hexagonalPieces() * Math.PI * 25 / 1e6;
        assertTrue(covered > 0.88 && covered < Math.PI / Math.sqrt(12), "below Thue's bound: " + covered);
        for (Cutters cutters : new Cutters[] {Cutters.of(240, 300, 38, 2), Cutters.of(301, 97, 22, 1)}) {
            var middles = cutters.middles();
            for (int i = 0; i < middles.size(); i++) {
                for (int j = 0; j < i; j++) {
                    double apart = Math.hypot(
                            middles.get(i).xMm() - middles.get(j).xMm(),
                            middles.get(i).yMm() - middles.get(j).yMm());
                    assertTrue(apart > 23 - 1e-3, "discs lie apart: " + apart);
                }
            }
            assertEquals(cutters.pieces(), Math.max(cutters.squarePieces(), cutters.hexagonalPieces()));
        }
    }

    @Test
    public void aSheetOneDiscWideHoldsOneRow() {
        Cutters row = Cutters.of(105, 20, 20, 1);
        assertEquals(row.squarePieces(), 5);
        assertEquals(row.hexagonalPieces(), 5);
        assertEquals(Cutters.of(15, 300, 20, 0).pieces(), 0);
    }
}

package org.zeststack.core.slab;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * Round cutters on a sheet, gap between neighbours. In rows and columns: ⌊(side + gap) / (d + gap)⌋ each way. Staggered: rows lie
 * (d + gap) √3/2 apart and every other one is shifted by half a step; of rows along and rows across the better is taken.
 *
 * @param middles middles of the discs of the arrangement that gives more, from a corner of the sheet
 * @param square middles in rows and columns, as square cutters go
 */
public record Cutters(int squarePieces, int hexagonalPieces, List<Middle> middles, List<Middle> square) {

    public static final Range DIAMETER_MM = new Range(5, 400, "mm");
    public static final Range GAP_MM = new Range(0, 50, "mm");
    private static final double ROUNDING = 1e-6;

    /** Middle of a disc. */
    public record Middle(double xMm, double yMm) {}

    /**
     * @throws org.zeststack.core.quantity.InvalidInput naming every faulty dimension
     */
    public static Cutters of(double lengthMm, double widthMm, double diameterMm, double gapMm) {
        Faults faults = new Faults();
        faults.within("lengthMm", lengthMm, SlabCut.SLAB_MM);
        faults.within("widthMm", widthMm, SlabCut.SLAB_MM);
        faults.within("diameterMm", diameterMm, DIAMETER_MM);
        faults.within("gapMm", gapMm, GAP_MM);
        faults.throwIfAny();
        List<Middle> square = square(lengthMm, widthMm, diameterMm, gapMm);
        List<Middle> rowsAlong = staggered(lengthMm, widthMm, diameterMm, gapMm);
        List<Middle> rowsAcross = staggered(widthMm, lengthMm, diameterMm, gapMm).stream()
                .map(m -> new Middle(m.yMm, m.xMm))
                .toList();
        List<Middle> hexagonal = rowsAcross.size() > rowsAlong.size() ? rowsAcross : rowsAlong;
        return new Cutters(
                square.size(), hexagonal.size(), hexagonal.size() > square.size() ? hexagonal : square, square);
    }

    /** How many fit between {@code from} and {@code to} in a row. */
    private static int inRow(double room, double diameter, double gap) {
        return Math.max(0, (int) Math.floor((room + gap) / (diameter + gap) + ROUNDING));
    }

    private static List<Middle> square(double length, double width, double diameter, double gap) {
        List<Middle> middles = new ArrayList<>();
        int columns = inRow(length, diameter, gap);
        int rows = inRow(width, diameter, gap);
        for (int row = 0; row < rows; row++) {
            row(middles, 0, diameter / 2 + row * (diameter + gap), columns, diameter, gap);
        }
        return middles;
    }

    private static List<Middle> staggered(double length, double width, double diameter, double gap) {
        List<Middle> middles = new ArrayList<>();
        double step = (diameter + gap) * Math.sqrt(3) / 2;
        int rows = width + ROUNDING < diameter ? 0 : 1 + (int) Math.floor((width - diameter) / step + ROUNDING);
        for (int row = 0; row < rows; row++) {
            double shift = row % 2 == 0 ? 0 : (diameter + gap) / 2;
            int count = inRow(length - shift, diameter, gap);
            row(middles, shift, diameter / 2 + row * step, count, diameter, gap);
        }
        return middles;
    }

    private static void row(List<Middle> middles, double shift, double y, int count, double diameter, double gap) {
        for (int i = 0; i < count; i++) {
            middles.add(new Middle(shift + diameter / 2 + i * (diameter + gap), y));
        }
    }

    /** Discs that the better arrangement gives. */
    public int pieces() {
        return middles.size();
    }
}

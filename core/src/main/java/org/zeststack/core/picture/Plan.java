package org.zeststack.core.picture;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.cavity.Outline.Point;
import org.zeststack.core.cavity.SegmentRow;
import org.zeststack.core.slab.Cutters;
import org.zeststack.core.slab.SlabCut;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;

/**
 * What is seen from above, in mm from a corner: the mould with its cavities, the slab or tray with its cuts, the sheet with its
 * cutters, or one shaped piece.
 *
 * @param offcuts whether what no area covers is off-cut
 */
public record Plan(double lengthMm, double widthMm, boolean offcuts, String title, List<Area> areas) {

    /** What an area is. */
    public enum Kind {
        PIECE,
        CAVITY,
        FLOOR,
        INSERT,
        NUT,
        /** Pieces taken with another cutter of a graded set. */
        OTHER_SIZE
    }

    /** A closed outline. */
    public record Area(Kind kind, List<Point> points) {}

    /** Room between cavities and around them; a drawing's own, moulds differ. */
    private static final double BETWEEN_MM = 8;

    public static Plan of(BarStack stack) {
        Frame frame = stack.frame();
        if (frame instanceof Frame.Moulded moulded) {
            return mould(stack, moulded);
        }
        if (frame instanceof Frame.Cut cut) {
            return cut(stack, cut);
        }
        if (frame instanceof Frame.Discs discs) {
            return discs(discs);
        }
        if (frame instanceof Frame.Spread spread) {
            String title = "A sheet, broken into about %d pieces".formatted(spread.pieces());
            return new Plan(spread.lengthMm(), spread.widthMm(), false, title, broken(spread));
        }
        return hand(stack, (Frame.Hand) frame);
    }

    /** Shards as they may come: rows of even pieces with slanting breaks. */
    private static List<Area> broken(Frame.Spread spread) {
        int rows = (int) Math.max(1, Math.rint(spread.widthMm() / spread.sideMm()));
        int columns = (spread.pieces() + rows - 1) / rows;
        double slant = spread.lengthMm() / columns / 4;
        double height = spread.widthMm() / rows;
        List<Area> areas = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            int here = spread.pieces() / rows + (row < spread.pieces() % rows ? 1 : 0);
            double length = spread.lengthMm() / Math.max(1, here);
            double low = row * height;
            for (int i = 0; i < here; i++) {
                double lean = (i + row) % 2 == 0 ? slant : -slant;
                double left = i == 0 ? 0 : i * length - lean;
                double right = i == here - 1 ? spread.lengthMm() : (i + 1) * length + lean;
                areas.add(new Area(
                        Kind.PIECE,
                        List.of(
                                new Point(i * length, low),
                                new Point((i + 1) * length, low),
                                new Point(right, low + height),
                                new Point(left, low + height))));
            }
        }
        return areas;
    }

    private static Plan mould(BarStack stack, Frame.Moulded m) {
        Outline opening = m.cavity().outline(m.cavity().depthMm());
        double stepX = opening.lengthMm() + BETWEEN_MM;
        double stepY = opening.widthMm() + BETWEEN_MM;
        int rows = Math.max(1, m.rows());
        int columns = Math.max(1, m.columns());
        List<Area> areas = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                double x = BETWEEN_MM + opening.lengthMm() / 2 + column * stepX;
                double y = BETWEEN_MM + opening.widthMm() / 2 + row * stepY;
                cavity(stack, m, areas, x, y);
            }
        }
        String title = "%d × %d cavities".formatted(rows, columns);
        return new Plan(columns * stepX + BETWEEN_MM, rows * stepY + BETWEEN_MM, false, title, areas);
    }

    private static void cavity(BarStack stack, Frame.Moulded m, List<Area> areas, double x, double y) {
        double depth = m.cavity().depthMm();
        if (m.cavity() instanceof SegmentRow row) {
            double pitch = row.segment().openingLengthMm() + row.gapMm();
            double first = x - (row.segments() - 1) * pitch / 2;
            for (int i = 0; i < row.segments(); i++) {
                areas.add(moved(Kind.CAVITY, row.segment().outline(depth).points(), first + i * pitch, y));
                areas.add(moved(Kind.FLOOR, row.segment().outline(0).points(), first + i * pitch, y));
            }
        } else {
            areas.add(moved(Kind.CAVITY, m.cavity().outline(depth).points(), x, y));
            areas.add(moved(Kind.FLOOR, m.cavity().outline(0).points(), x, y));
        }
        for (StackLayer insert : stack.all(LayerKind.INSERT)) {
            areas.add(moved(Kind.INSERT, outline(insert.design().insert()).points(), x, y));
        }
    }

    /** Outline of an insert; a free one as the ellipse of its size. */
    public static Outline outline(BarLayer.Insert insert) {
        Outline.Kind kind = insert.shape() == BarLayer.Shape.BAR ? Outline.Kind.RECTANGLE : Outline.Kind.ELLIPSE;
        return new Outline(kind, insert.lengthMm(), insert.acrossMm());
    }

    private static Plan cut(BarStack stack, Frame.Cut frame) {
        SlabCut cut = frame.cut();
        List<Area> areas = new ArrayList<>();
        for (int along = 0; along < cut.along(); along++) {
            for (int across = 0; across < cut.across(); across++) {
                double x = cut.trimMm() + along * (cut.alongMm() + cut.kerfMm());
                double y = cut.trimMm() + across * (cut.acrossMm() + cut.kerfMm());
                areas.add(new Area(Kind.PIECE, rounded(x, y, cut.alongMm(), cut.acrossMm(), frame.cornerMm())));
                nuts(stack, areas, x, y, cut.alongMm(), cut.acrossMm());
            }
        }
        String title = "%d pieces: %d across × %d along%s"
                .formatted(cut.pieces(), cut.across(), cut.along(), cut.turned() ? ", pieces turned" : "");
        return new Plan(cut.lengthMm(), cut.widthMm(), true, title, areas);
    }

    /** Whole pieces laid on each before cutting, in rows as even as they go. */
    private static void nuts(BarStack stack, List<Area> areas, double x, double y, double length, double width) {
        for (StackLayer layer : stack.all(LayerKind.INCLUSION)) {
            int count = layer.design().by() == BarLayer.By.PIECES
                    ? (int) Math.round(layer.design().amount())
                    : 0;
            if (count == 0) {
                continue;
            }
            double radius = Math.min(Strewn.radiusMm(layer), Math.min(length, width) / 2);
            int rows = Math.max(1, (int) Math.round(Math.sqrt(count * width / length)));
            int columns = (count + rows - 1) / rows;
            for (int i = 0; i < count; i++) {
                double cx = x + length * (i % columns + 0.5) / columns;
                double cy = y + width * (i / columns + 0.5) / rows;
                areas.add(moved(Kind.NUT, new Outline(Outline.Kind.ELLIPSE, 2 * radius, 2 * radius).points(), cx, cy));
            }
        }
    }

    private static Plan discs(Frame.Discs frame) {
        List<Area> areas = new ArrayList<>();
        double size = frame.sizesMm().get(0);
        if (frame.cutters().isEmpty()) {
            for (double of : frame.sizesMm()) {
                areas.add(moved(
                        of == size ? Kind.PIECE : Kind.OTHER_SIZE,
                        frame.outline(of).points(),
                        frame.lengthMm() / 2,
                        frame.widthMm() / 2));
            }
            return new Plan(frame.lengthMm(), frame.widthMm(), false, "One piece, nothing cut off", areas);
        }
        int smallest = frame.sizesMm().size() - 1;
        Cutters cutters = frame.cutters().get(0);
        for (Cutters.Middle middle : frame.round() ? cutters.middles() : cutters.square()) {
            areas.add(moved(Kind.PIECE, frame.outline(size).points(), middle.xMm(), middle.yMm()));
            for (int i = 1; i <= smallest; i++) {
                areas.add(moved(
                        Kind.OTHER_SIZE, frame.outline(frame.sizesMm().get(i)).points(), middle.xMm(), middle.yMm()));
            }
        }
        String title = smallest == 0
                ? "%d pieces of one sheet".formatted(frame.piecesOfOne())
                : "%d pieces of %d sheets, one for each size; the largest is shown"
                        .formatted(frame.piecesOfOne(), smallest + 1);
        return new Plan(frame.lengthMm(), frame.widthMm(), true, title, areas);
    }

    private static Plan hand(BarStack stack, Frame.Hand hand) {
        List<Area> areas = new ArrayList<>();
        Outline outline = hand.form() == Body.Form.BALL
                ? new Outline(Outline.Kind.ELLIPSE, hand.lengthMm(), hand.widthMm())
                : new Outline(Outline.Kind.RECTANGLE, hand.lengthMm(), hand.widthMm());
        double end = hand.slices() > 1 ? hand.endMm() : 0;
        for (int i = 0; i < hand.slices(); i++) {
            double x = end + i * hand.lengthMm();
            areas.add(moved(Kind.PIECE, outline.points(), x + hand.lengthMm() / 2, hand.widthMm() / 2));
            nuts(stack, areas, x, 0, hand.lengthMm(), hand.widthMm());
        }
        String title =
                hand.slices() > 1 ? "%d slices of one log".formatted(hand.slices()) : "One centre, before its coat";
        return new Plan(hand.slices() * hand.lengthMm() + 2 * end, hand.widthMm(), end > 0, title, areas);
    }

    private static Area moved(Kind kind, List<Point> points, double x, double y) {
        return new Area(
                kind,
                points.stream().map(p -> new Point(p.xMm() + x, p.yMm() + y)).toList());
    }

    private static List<Point> rounded(double x, double y, double length, double width, double radius) {
        if (radius <= 0) {
            return List.of(
                    new Point(x, y),
                    new Point(x + length, y),
                    new Point(x + length, y + width),
                    new Point(x, y + width));
        }
        List<Point> points = new ArrayList<>();
        double[][] middles = {
            {x + length - radius, y + width - radius},
            {x + radius, y + width - radius},
            {x + radius, y + radius},
            {x + length - radius, y + radius}
        };
        for (int corner = 0; corner < 4; corner++) {
            for (int i = 0; i <= 6; i++) {
                double angle = Math.PI / 2 * (corner + i / 6.0);
                points.add(new Point(
                        middles[corner][0] + radius * Math.cos(angle), middles[corner][1] + radius * Math.sin(angle)));
            }
        }
        return points;
    }
}

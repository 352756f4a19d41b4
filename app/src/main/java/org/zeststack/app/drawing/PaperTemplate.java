package org.zeststack.app.drawing;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.picture.Plan;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;

/**
 * True-size templates on A4, to lie under the parchment: what is cut, scored, laid or piped, with a ruler of 100 mm that proves the
 * scale. What is larger than a sheet runs over several, with marks to join them.
 */
public final class PaperTemplate {

    private static final float POINTS_PER_MM = 72 / 25.4f;
    private static final double PAGE_WIDE = 210;
    private static final double PAGE_HIGH = 297;
    private static final double MARGIN = 12;
    private static final double HEAD = 16;
    private static final double RULER = 16;
    private static final double WIDE = PAGE_WIDE - 2 * MARGIN;
    private static final double HIGH = PAGE_HIGH - 2 * MARGIN - HEAD - RULER;
    private static final double CORNER = 4;

    private final PDDocument document;
    private final String name;
    private final PDType1Font font = new PDType1Font(Standard14Fonts.FontName.HELVETICA);
    private final PDType1Font bold = new PDType1Font(Standard14Fonts.FontName.HELVETICA_BOLD);

    private PaperTemplate(PDDocument document, String name) {
        this.document = document;
        this.name = name;
    }

    /** One outline to draw, in mm from the lower left. */
    private record Line(boolean dashed, List<Outline.Point> points) {}

    /** The templates of a bar as a PDF. */
    public static byte[] of(String name, BarStack stack) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PaperTemplate paper = new PaperTemplate(document, name);
            paper.all(stack);
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        }
    }

    private void all(BarStack stack) throws IOException {
        if (stack.frame() instanceof Frame.Moulded moulded) {
            mould(stack, moulded);
            return;
        }
        Plan plan = Plan.of(stack);
        List<Line> lines = new ArrayList<>();
        boolean ground = plan.offcuts();
        if (ground) {
            lines.add(new Line(true, box(0, 0, plan.lengthMm(), plan.widthMm())));
        }
        for (Plan.Area area : plan.areas()) {
            lines.add(new Line(area.kind() == Plan.Kind.OTHER_SIZE, area.points()));
        }
        String what = stack.bar().body() instanceof Body.Tray ? "cut and score lines" : "pieces";
        sheets("%s; %s. Dashed: the whole.".formatted(plan.title(), what), plan.lengthMm(), plan.widthMm(), lines);
    }

    /** In a mould: what is laid in, raw and trimmed, and the opening of a cavity as a guide for piping. */
    private void mould(BarStack stack, Frame.Moulded moulded) throws IOException {
        Outline opening = moulded.cavity().outline(moulded.cavity().depthMm());
        double width = Math.max(opening.lengthMm(), WIDE / 2);
        List<Line> lines = new ArrayList<>();
        double y = 0;
        for (StackLayer insert : stack.all(LayerKind.INSERT)) {
            var size = insert.design().insert();
            double raw = Math.max(size.rawLengthMm(), size.lengthMm());
            double factor = raw / size.lengthMm();
            Outline trimmed = Plan.outline(size);
            lines.add(new Line(false, moved(trimmed.points(), raw / 2, y + size.acrossMm() * factor / 2)));
            if (factor > 1) {
                Outline before = new Outline(trimmed.kind(), raw, size.acrossMm() * factor);
                lines.add(new Line(true, moved(before.points(), raw / 2, y + size.acrossMm() * factor / 2)));
            }
            y += size.acrossMm() * factor + 6;
        }
        Outline inside = moulded.inside().outline(moulded.inside().topMm());
        lines.add(new Line(true, moved(opening.points(), opening.lengthMm() / 2, y + opening.widthMm() / 2)));
        lines.add(new Line(false, moved(inside.points(), opening.lengthMm() / 2, y + opening.widthMm() / 2)));
        String what = stack.all(LayerKind.INSERT).isEmpty()
                ? "One cavity: the lined opening to pipe in; dashed: the mould's."
                : "What is laid in, trimmed; dashed: before baking. Below: the lined opening of one cavity.";
        sheets(what, width, y + opening.widthMm(), lines);
    }

    private static List<Outline.Point> moved(List<Outline.Point> points, double x, double y) {
        return points.stream()
                .map(p -> new Outline.Point(p.xMm() + x, p.yMm() + y))
                .toList();
    }

    private static List<Outline.Point> box(double x, double y, double length, double width) {
        return List.of(
                new Outline.Point(x, y),
                new Outline.Point(x + length, y),
                new Outline.Point(x + length, y + width),
                new Outline.Point(x, y + width));
    }

    private void sheets(String what, double length, double width, List<Line> lines) throws IOException {
        int columns = (int) Math.max(1, Math.ceil(length / WIDE - 1e-9));
        int rows = (int) Math.max(1, Math.ceil(width / HIGH - 1e-9));
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                String place = columns * rows == 1
                        ? ""
                        : " Sheet %d of %d: row %d, column %d; join at the corner marks."
                                .formatted(row * columns + column + 1, columns * rows, row + 1, column + 1);
                sheet(what + place, column * WIDE, row * HIGH, lines);
            }
        }
    }

    private void sheet(String what, double fromX, double fromY, List<Line> lines) throws IOException {
        PDPage page = new PDPage(new PDRectangle(points(PAGE_WIDE), points(PAGE_HIGH)));
        document.addPage(page);
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            text(content, bold, 13, MARGIN, PAGE_HIGH - MARGIN - 4, name + ", true size");
            text(content, font, 8.5f, MARGIN, PAGE_HIGH - MARGIN - 9, what);
            text(
                    content,
                    font,
                    8.5f,
                    MARGIN,
                    PAGE_HIGH - MARGIN - 13,
                    "Print at 100 %, never fitted to the page; prove it on the ruler below.");
            ruler(content);
            corners(content);
            content.saveGraphicsState();
            content.addRect(points(MARGIN), points(MARGIN + RULER), points(WIDE), points(HIGH));
            content.clip();
            for (Line line : lines) {
                outline(content, line, MARGIN - fromX, MARGIN + RULER - fromY);
            }
            content.restoreGraphicsState();
        }
    }

    private static float points(double mm) {
        return (float) (mm * POINTS_PER_MM);
    }

    private static void text(PDPageContentStream content, PDType1Font font, float size, double x, double y, String text)
            throws IOException {
        content.beginText();
        content.setFont(font, size);
        content.newLineAtOffset(points(x), points(y));
        content.showText(printable(text));
        content.endText();
    }

    /** The standard fonts know Latin letters only. */
    private static String printable(String text) {
        StringBuilder known = new StringBuilder();
        for (char c : text.toCharArray()) {
            known.append(c == '\u202f' || c == '\u00a0' ? ' ' : c < 256 && c >= 32 ? c : '?');
        }
        return known.toString();
    }

    private void ruler(PDPageContentStream content) throws IOException {
        double y = MARGIN + 6;
        content.setLineWidth(0.6f);
        content.moveTo(points(MARGIN), points(y));
        content.lineTo(points(MARGIN + 100), points(y));
        for (int mm = 0; mm <= 100; mm += 5) {
            content.moveTo(points(MARGIN + mm), points(y));
            content.lineTo(points(MARGIN + mm), points(y + (mm % 50 == 0 ? 4 : mm % 10 == 0 ? 3 : 1.5)));
        }
        content.stroke();
        for (int mm = 0; mm <= 100; mm += 50) {
            text(content, font, 7, MARGIN + mm - 1.5, y - 3.5, String.format(Locale.ROOT, "%d mm", mm));
        }
    }

    private static void corners(PDPageContentStream content) throws IOException {
        content.setLineWidth(0.3f);
        double[] xs = {MARGIN, MARGIN + WIDE};
        double[] ys = {MARGIN + RULER, MARGIN + RULER + HIGH};
        for (double x : xs) {
            for (double y : ys) {
                content.moveTo(points(x - CORNER / 2), points(y));
                content.lineTo(points(x + CORNER / 2), points(y));
                content.moveTo(points(x), points(y - CORNER / 2));
                content.lineTo(points(x), points(y + CORNER / 2));
            }
        }
        content.stroke();
    }

    private static void outline(PDPageContentStream content, Line line, double dx, double dy) throws IOException {
        content.setLineWidth(line.dashed ? 0.35f : 0.6f);
        content.setLineDashPattern(line.dashed ? new float[] {4, 3} : new float[0], 0);
        boolean first = true;
        for (Outline.Point p : line.points) {
            float x = points(p.xMm() + dx);
            float y = points(p.yMm() + dy);
            if (first) {
                content.moveTo(x, y);
                first = false;
            } else {
                content.lineTo(x, y);
            }
        }
        content.closePath();
        content.stroke();
    }
}

package org.zeststack.app.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.quantity.Numbers;

/**
 * A cross-section as SVG paths: y runs down from the top of the piece, as SVG wants it. Lengths are in units of the drawing.
 *
 * @param unitsPerMm 1 where the drawing is in mm
 * @param widthMm of the piece, in units
 * @param depthMm of the piece, in units
 */
public record SectionDrawing(double unitsPerMm, double widthMm, double depthMm, List<Path> paths) {

    /**
     * One layer's outline.
     *
     * @param d the path
     */
    public record Path(String layer, String name, String material, String d) {}

    /** In mm. */
    public static SectionDrawing of(CrossSection section) {
        return of(section, 1);
    }

    /** As large as fits, so that hatches and letters look the same on every bar. */
    public static SectionDrawing fitting(CrossSection section, double mostWide, double mostHigh) {
        return of(section, Math.min(mostWide / section.widthMm(), mostHigh / Math.max(1, section.depthMm())));
    }

    public static SectionDrawing of(CrossSection section, double unitsPerMm) {
        return of(section, unitsPerMm, List.of(), 0);
    }

    /**
     * With its layers drawn apart.
     *
     * @param order keys of the layers that are lifted, the lowest first; empty for none
     * @param gap between two of them, in units
     */
    public static SectionDrawing of(CrossSection section, double unitsPerMm, List<String> order, double gap) {
        List<Path> paths = new ArrayList<>();
        for (CrossSection.Shape s : section.shapes()) {
            double lift = gap * Math.max(0, order.indexOf(s.layer()));
            paths.add(new Path(s.layer(), s.name(), s.material(), path(s, section.depthMm(), unitsPerMm, lift)));
        }
        return new SectionDrawing(
                unitsPerMm, section.widthMm() * unitsPerMm, section.depthMm() * unitsPerMm, List.copyOf(paths));
    }

    private static String path(CrossSection.Shape shape, double depth, double unitsPerMm, double lift) {
        StringBuilder d = new StringBuilder();
        for (CrossSection.Point point : shape.points()) {
            append(d, point.xMm() * unitsPerMm, (depth - point.yMm()) * unitsPerMm - lift);
        }
        return d.append("Z").toString();
    }

    /** Appends a corner of a path. */
    public static void append(StringBuilder d, double x, double y) {
        d.append(d.length() == 0 ? 'M' : 'L')
                .append(Numbers.plain(Math.round(x * 1000) / 1000.0))
                .append(' ')
                .append(Numbers.plain(Math.round(y * 1000) / 1000.0));
    }

    /** The view box with room around, in units. */
    public String viewBox(double left, double top, double right, double bottom) {
        return "%s %s %s %s"
                .formatted(number(-left), number(-top), number(widthMm + left + right), number(depthMm + top + bottom));
    }

    private static String number(double number) {
        return String.format(Locale.ROOT, "%.3f", number);
    }
}

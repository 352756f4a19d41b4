package org.zeststack.web.drawing;

import java.util.List;
import java.util.Locale;
import org.zeststack.core.bar.CrossSection;
import org.zeststack.core.quantity.Numbers;

/**
 * A cross-section as SVG in millimetres: y runs down from the opening, as SVG wants it.
 *
 * @param widthMm across the opening
 * @param depthMm of the cavity
 */
public record SectionDrawing(double widthMm, double depthMm, List<Path> paths) {

    /**
     * One layer's outline.
     *
     * @param d the path
     */
    public record Path(String layer, String name, String material, String d) {}

    public static SectionDrawing of(CrossSection section) {
        List<Path> paths = section.shapes().stream()
                .map(s -> new Path(s.layer(), s.name(), s.material(), path(s, section.depthMm())))
                .toList();
        return new SectionDrawing(section.widthMm(), section.depthMm(), paths);
    }

    private static String path(CrossSection.Shape shape, double depth) {
        StringBuilder d = new StringBuilder();
        for (CrossSection.Point point : shape.points()) {
            d.append(d.length() == 0 ? "M" : "L")
                    .append(String.format(Locale.ROOT, "%.3f %.3f", point.xMm(), depth - point.yMm()));
        }
        return d.append("Z").toString();
    }

    /** The view box with room around, in mm. */
    public String viewBox(double left, double top, double right, double bottom) {
        return "%s %s %s %s"
                .formatted(
                        Numbers.plain(-left),
                        Numbers.plain(-top),
                        Numbers.plain(widthMm + left + right),
                        Numbers.plain(depthMm + top + bottom));
    }
}

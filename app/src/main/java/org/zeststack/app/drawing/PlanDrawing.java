package org.zeststack.app.drawing;

import java.util.List;
import java.util.Locale;
import org.zeststack.core.cavity.Outline;
import org.zeststack.core.picture.Plan;

/**
 * What is seen from above, as SVG paths.
 *
 * @param width of the ground, in units of the drawing
 * @param offcuts whether the ground is hatched as off-cut
 */
public record PlanDrawing(double width, double height, boolean offcuts, String title, String size, List<Path> paths) {

    /** One outline; {@code kind} names its look. */
    public record Path(String kind, String d) {}

    /** As large as fits. */
    public static PlanDrawing fitting(Plan plan, double mostWide, double mostHigh) {
        double units = Math.min(mostWide / plan.lengthMm(), mostHigh / plan.widthMm());
        List<Path> paths = plan.areas().stream()
                .map(a -> new Path(a.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'), path(a.points(), units)))
                .toList();
        String size = String.format(Locale.ROOT, "%.0f × %.0f mm", plan.lengthMm(), plan.widthMm());
        return new PlanDrawing(
                plan.lengthMm() * units, plan.widthMm() * units, plan.offcuts(), plan.title(), size, paths);
    }

    private static String path(List<Outline.Point> points, double units) {
        StringBuilder d = new StringBuilder();
        points.forEach(p -> SectionDrawing.append(d, p.xMm() * units, p.yMm() * units));
        return d.append('Z').toString();
    }

    public String viewBox() {
        return String.format(Locale.ROOT, "-0.3 -0.3 %.3f %.3f", width + 0.6, height + 0.6);
    }
}

package org.zeststack.core.picture;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.stack.StackLayer;

/** Pieces strewn in or on a layer, as a drawing shows them: at places that are always the same for the same bar. */
final class Strewn {

    private static final int MOST = 14;
    private static final int CORNERS = 10;
    private static final double USUAL_RADIUS_MM = 1.1;
    private static final double GOLDEN = 0.6180339887498949;
    private static final double MM3_PER_ML = 1000;

    private Strewn() {}

    /** Radius that a piece is drawn with. */
    static double radiusMm(StackLayer layer) {
        double each = layer.design().eachGrams();
        if (layer.design().by() != BarLayer.By.PIECES || each <= 0) {
            return layer.kind() == LayerKind.TOPPING ? USUAL_RADIUS_MM / 2 : USUAL_RADIUS_MM;
        }
        double mm3 = each / layer.material().densityGramsPerMl() * MM3_PER_ML;
        return Math.cbrt(3 * mm3 / (4 * Math.PI));
    }

    /** How many are seen in a cut, from their number and how much of the length one takes. */
    private static int seen(StackLayer layer, double radius, double throughMm) {
        double one = 4.0 / 3 * Math.PI * radius * radius * radius / MM3_PER_ML;
        double count =
                layer.design().by() == BarLayer.By.PIECES ? layer.design().amount() : layer.volumeMl() / one;
        return (int) Math.max(1, Math.min(MOST, Math.round(count * 2 * radius / Math.max(2 * radius, throughMm))));
    }

    /**
     * Pieces between two heights: inside as far as they are embedded, the rest of each standing above the upper one.
     *
     * @param throughMm how deep the piece is behind the cut
     */
    static List<CrossSection.Shape> between(
            StackLayer layer, double left, double right, double fromMm, double toMm, double throughMm) {
        double radius = radiusMm(layer);
        int count = seen(layer, radius, throughMm);
        double embedded = layer.kind() == LayerKind.TOPPING ? 0 : layer.design().embedded();
        List<CrossSection.Shape> shapes = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double x = left + radius + (right - left - 2 * radius) * ((i + 0.5) / count);
            double room = Math.max(0, toMm - fromMm - 2 * radius);
            double inside = fromMm + radius + room * ((i * GOLDEN) % 1);
            double y = embedded >= 1
                    ? Math.min(inside, Math.max(fromMm + radius, toMm - radius))
                    : toMm + radius * (1 - 2 * embedded);
            shapes.add(new CrossSection.Shape(
                    layer.key(), layer.name(), layer.pattern(), CrossSection.oval(x, y, radius, radius, CORNERS)));
        }
        return shapes;
    }
}

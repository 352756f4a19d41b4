package org.zeststack.core.bar;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.weighing.FillWindow;

/**
 * A centre shaped by hand with its coats. A ball or log that is dipped on its bottom only is taken as coated on half its surface.
 */
final class ShapedBuild {

    private static final double MM3_PER_ML = 1000;

    private final Bar bar;
    private final Parts parts;
    private final Body.Shaped body;
    private final List<Pour.Deposit> deposits;
    private final List<String> keys;

    ShapedBuild(Bar bar, Parts parts, Body.Shaped body, List<Pour.Deposit> deposits, List<String> keys) {
        this.bar = bar;
        this.parts = parts;
        this.body = body;
        this.deposits = deposits;
        this.keys = keys;
    }

    BarStack stack() {
        Pour.Deposit centre = deposits.get(bar.first(LayerKind.FILLING));
        double density = centre.material().densityGramsPerMl();
        double embedded = deposits.stream()
                .filter(d -> d.layer().kind() == LayerKind.INCLUSION)
                .mapToDouble(d ->
                        d.layer().embedded() * Pour.massOf(d) / d.material().densityGramsPerMl())
                .sum();
        double whole = body.grams() > 0 ? body.grams() / density + embedded : volumeMl(body);
        Frame.Hand frame = frame(whole);
        double filling = Math.max(0, whole - embedded);
        List<StackLayer> layers = new ArrayList<>();
        double grams = filling * density;
        layers.add(new StackLayer(
                centre.index(),
                keys.get(centre.index()),
                centre.layer(),
                centre.material(),
                0,
                frame.heightMm(),
                frame.heightMm(),
                filling,
                grams,
                grams,
                new FillWindow(grams, grams, grams)));
        layers.addAll(new Coats((faces, side, below, above) -> surface(frame, faces, side, below + above))
                .lay(deposits, keys));
        for (Pour.Deposit d : deposits) {
            if (d.layer().kind() == LayerKind.INCLUSION || d.layer().kind() == LayerKind.TOPPING) {
                layers.add(LaidBuild.strewn(d, keys.get(d.index()), frame.heightMm()));
            }
        }
        return new BarStack(bar, parts, frame, layers);
    }

    private static double volumeMl(Body.Shaped body) {
        double d = body.widthMm();
        return switch (body.form()) {
            case BALL -> Math.PI / 6 * d * d * d / MM3_PER_ML;
            case LOG -> Math.PI / 4 * d * d * body.lengthMm() / MM3_PER_ML;
            case BLOCK -> body.lengthMm() * d * body.heightMm() / MM3_PER_ML;
        };
    }

    private Frame.Hand frame(double ml) {
        double mm3 = ml * MM3_PER_ML;
        double d = body.widthMm();
        return switch (body.form()) {
            case BALL -> {
                double of = Math.cbrt(6 * mm3 / Math.PI);
                yield new Frame.Hand(Body.Form.BALL, of, of, of);
            }
            case LOG -> new Frame.Hand(Body.Form.LOG, mm3 / (Math.PI / 4 * d * d), d, d);
            case BLOCK -> new Frame.Hand(Body.Form.BLOCK, mm3 / (d * body.heightMm()), d, body.heightMm());
        };
    }

    private static double surface(Frame.Hand frame, BarLayer.Faces faces, double side, double upright) {
        double l = frame.lengthMm() + 2 * side;
        double w = frame.widthMm() + 2 * side;
        if (frame.form() == Body.Form.BLOCK) {
            double flat = l * w;
            return (faces.bottom() ? flat : 0)
                    + (faces.top() ? flat : 0)
                    + (faces.sides() ? 2 * (l + w) * (frame.heightMm() + upright) : 0);
        }
        double all = frame.form() == Body.Form.BALL ? Math.PI * w * w : Math.PI * w * l + Math.PI / 2 * w * w;
        return faces.sides() || faces.top() ? all : faces.bottom() ? all / 2 : 0;
    }
}

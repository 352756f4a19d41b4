package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.LayerKind;

/** A centre shaped by hand with its coats. A ball or log that is dipped on its bottom only is taken as coated to its middle. */
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
        Frame.Hand frame = frame(whole, Math.max(0, embedded - whole));
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
                MouldedBuild.byHand(centre.layer(), grams)));
        layers.addAll(new Coats(solid(frame)).lay(deposits, keys));
        for (Pour.Deposit d : deposits) {
            if (d.layer().kind() == LayerKind.INCLUSION) {
                layers.add(LaidBuild.strewn(d, keys.get(d.index()), frame.heightMm())
                        .from(0));
            } else if (d.layer().kind() == LayerKind.TOPPING) {
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

    private Frame.Hand frame(double ml, double lackingMl) {
        double mm3 = ml * MM3_PER_ML;
        double d = body.widthMm();
        return switch (body.form()) {
            case BALL -> {
                double of = Math.cbrt(6 * mm3 / Math.PI);
                yield new Frame.Hand(Body.Form.BALL, of, of, of, lackingMl);
            }
            case LOG -> new Frame.Hand(Body.Form.LOG, mm3 / (Math.PI / 4 * d * d), d, d, lackingMl);
            case BLOCK -> new Frame.Hand(Body.Form.BLOCK, mm3 / (d * body.heightMm()), d, body.heightMm(), lackingMl);
        };
    }

    private static Solid solid(Frame.Hand frame) {
        double l = frame.lengthMm();
        double w = frame.widthMm();
        return frame.form() == Body.Form.BLOCK
                ? new Solid.Upright(l * w, 2 * (l + w), frame.heightMm())
                : new Solid.Round(frame.form() == Body.Form.BALL, w, l);
    }
}

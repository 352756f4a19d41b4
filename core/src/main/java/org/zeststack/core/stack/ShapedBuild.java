package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.LayerKind;

/**
 * A centre shaped by hand with its coats. A ball or log that is dipped on its bottom only is taken as coated to its middle. Further
 * fillings lie on top of a block and around a ball or log; what is a strip on a log in truth takes as much coat as if it lay all round.
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
        double embedded = embeddedMl();
        double whole = body.grams() > 0 ? body.grams() / density + embedded : sizedMl();
        double lacking = Math.max(0, embedded - whole);
        double filling = Math.max(0, whole - embedded);
        double share = 1 / (1 - frame(whole, lacking).offcutFraction());
        List<StackLayer> layers = new ArrayList<>();
        Frame.Hand frame = frame(whole, lacking);
        layers.add(
                filling(centre, 0, frame.heightMm(), frame.heightMm(), filling).laid(share));
        double ml = whole;
        for (Pour.Deposit d : deposits) {
            if (d.layer().kind() == LayerKind.FILLING && d != centre) {
                boolean block = body.form() == Body.Form.BLOCK;
                double before = frame.heightMm();
                double more = onTopMl(frame, d);
                ml += more;
                frame = frame(ml, lacking);
                double grown = frame.heightMm() - before;
                layers.add(filling(d, block ? before : 0, frame.heightMm(), block ? grown : grown / 2, more)
                        .laid(share));
            }
        }
        layers.addAll(new Coats(solid(frame), frame.slices() > 1 ? new WholeLog(frame) : null).lay(deposits, keys));
        for (Pour.Deposit d : deposits) {
            boolean inside = d.layer().kind() == LayerKind.INCLUSION;
            if (inside || d.layer().kind() == LayerKind.TOPPING) {
                StackLayer strewn = LaidLayers.strewn(d, keys.get(d.index()), frame.heightMm());
                boolean cut = bar.onCarrier(d.index()) && !LaidLayers.byPiece(strewn);
                layers.add((inside ? strewn.from(0) : strewn).laid(cut ? share : 1));
            }
        }
        return new BarStack(bar, parts, frame, layers);
    }

    private StackLayer filling(Pour.Deposit d, double from, double to, double thick, double ml) {
        double grams = ml * d.material().densityGramsPerMl();
        return new StackLayer(
                d.index(),
                keys.get(d.index()),
                d.layer(),
                d.material(),
                from,
                to,
                thick,
                ml,
                grams,
                grams,
                MouldedBuild.byHand(d.layer(), grams));
    }

    /** Room that what lies inside takes from the centre. */
    private double embeddedMl() {
        return deposits.stream()
                .filter(d -> d.layer().kind() == LayerKind.INCLUSION)
                .mapToDouble(d ->
                        d.layer().embedded() * Pour.massOf(d) / d.material().densityGramsPerMl())
                .sum();
    }

    private double sizedMl() {
        return volumeMl(body.form(), body.lengthMm(), body.widthMm(), body.heightMm());
    }

    /** Volume of one more filling: its grams, or so many mm on top of a block and all round a ball or log. */
    private static double onTopMl(Frame.Hand on, Pour.Deposit d) {
        if (d.layer().by() != BarLayer.By.MM) {
            return Pour.massOf(d) / d.material().densityGramsPerMl();
        }
        double mm = d.layer().amount() * d.layer().repeat();
        double across = on.form() == Body.Form.BLOCK ? 0 : 2 * mm;
        double up = on.form() == Body.Form.BLOCK ? mm : 0;
        double now = volumeMl(on.form(), on.lengthMm(), on.widthMm(), on.heightMm());
        return volumeMl(on.form(), on.lengthMm(), on.widthMm() + across, on.heightMm() + up) - now;
    }

    private static double volumeMl(Body.Form form, double length, double d, double height) {
        return switch (form) {
            case BALL -> Math.PI / 6 * d * d * d / MM3_PER_ML;
            case LOG -> Math.PI / 4 * d * d * length / MM3_PER_ML;
            case BLOCK -> length * d * height / MM3_PER_ML;
        };
    }

    /** The body of so much: its centre is as long as it comes to, and what is laid on it makes it higher or thicker. */
    private Frame.Hand frame(double ml, double lackingMl) {
        double mm3 = ml * MM3_PER_ML;
        double d = body.widthMm();
        double length = lengthMm();
        return switch (body.form()) {
            case BALL -> {
                double of = Math.cbrt(6 * mm3 / Math.PI);
                yield hand(of, of, of, lackingMl);
            }
            case LOG -> {
                double of = Math.sqrt(mm3 / (Math.PI / 4 * length));
                yield hand(length, of, of, lackingMl);
            }
            case BLOCK -> hand(length, d, mm3 / (d * length), lackingMl);
        };
    }

    /** Length of the centre: as given, or what its mass comes to. */
    private double lengthMm() {
        if (body.grams() <= 0) {
            return body.lengthMm();
        }
        double density = deposits.get(bar.first(LayerKind.FILLING)).material().densityGramsPerMl();
        double mm3 = (body.grams() / density + embeddedMl()) * MM3_PER_ML;
        double across = body.widthMm();
        return mm3 / (body.form() == Body.Form.BLOCK ? across * body.heightMm() : Math.PI / 4 * across * across);
    }

    private Frame.Hand hand(double length, double width, double height, double lackingMl) {
        return new Frame.Hand(body.form(), length, width, height, lackingMl, body.slices(), body.endMm());
    }

    private static Solid solid(Frame.Hand frame) {
        double l = frame.lengthMm();
        double w = frame.widthMm();
        return frame.form() == Body.Form.BLOCK
                ? new Solid.Upright(l * w, 2 * (l + w), frame.heightMm(), w)
                : new Solid.Round(frame.form() == Body.Form.BALL, w, l, true);
    }

    /** A log coated before it is sliced: the cut faces stay bare. */
    private record WholeLog(Frame.Hand piece) implements Coats.Whole {

        @Override
        public double laidMl(BarLayer.Faces faces, Solid.Growth growth, double mm) {
            double length = piece.slices() * piece.lengthMm() + 2 * piece.endMm();
            Solid log = new Solid.Round(false, piece.widthMm(), length, true);
            return Coats.passMl(log, faces, growth, mm) / piece.slices();
        }

        @Override
        public double ownMl(BarLayer.Faces faces, Solid.Growth growth, double mm) {
            Solid slice = new Solid.Round(false, piece.widthMm(), piece.lengthMm(), false);
            return Coats.passMl(slice, faces, growth, mm);
        }
    }
}

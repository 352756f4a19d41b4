package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.CutFrom;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;

/**
 * Random bars with all that may be said of how they are worked: techniques with what misses and stays in the tool, sheets of their own
 * and spare ones, shares, one of two halves, ends left bare, wires and slitters, plates with levels and piping, sheets that are broken,
 * logs that are sliced and carry a second filling.
 */
public final class RandomWays {

    private final RandomBars bars;
    private final SplittableRandom random;

    public RandomWays(RandomBars bars, SplittableRandom random) {
        this.bars = bars;
        this.random = random;
    }

    public RandomBars.Made next() {
        RandomBars.Made made = bars.next();
        Bar bar = made.bar();
        List<BarLayer> layers = new ArrayList<>(bar.layers());
        Body body = body(bar.body(), layers);
        layers.replaceAll(l -> said(l, body));
        Bar other = new Bar(
                bar.build(),
                body,
                layers,
                bar.finish(),
                bar.storage(),
                bar.soldAs(),
                bar.declaredGrams(),
                bar.centreCelsius(),
                bar.bowlMm(),
                bar.method());
        return new RandomBars.Made(other, made.cavity());
    }

    private boolean one(int of) {
        return random.nextInt(of) == 0;
    }

    private double from(double least, double greatest) {
        return least + (greatest - least) * random.nextDouble();
    }

    private Body body(Body body, List<BarLayer> layers) {
        if (body instanceof Body.Sheet s && one(2)) {
            return new Body.Plate(s.round(), s.cuttersMm());
        }
        boolean open = layers.stream()
                .allMatch(l -> l.kind() == LayerKind.SHEET || !l.kind().level());
        if (body instanceof Body.Tray t && open && one(2)) {
            return new Body.Spread(t.lengthMm(), t.widthMm(), 20, from(20, 60), one(2) ? 0 : from(0, 0.1));
        }
        if (body instanceof Body.Slab s && one(2)) {
            Body.Tool tool = Body.Tool.values()[random.nextInt(4)];
            return new Body.Slab(
                    s.lengthMm(),
                    s.widthMm(),
                    s.pieceLengthMm(),
                    s.pieceWidthMm(),
                    s.kerfMm(),
                    s.trimMm(),
                    s.cornerMm(),
                    new Body.Cutting(tool, null, tool == Body.Tool.SLITTER ? 1 + random.nextInt(9) : null));
        }
        if (body instanceof Body.Shaped s) {
            if (one(3)) {
                layers.add(1, BarLayer.grams(LayerKind.FILLING, layers.get(0).of(), from(1, 5)));
            }
            if (s.form() == Body.Form.LOG && one(2)) {
                return new Body.Shaped(
                        s.form(), s.lengthMm(), s.widthMm(), 0, s.grams(), 2 + random.nextInt(9), from(0, 20));
            }
        }
        return body;
    }

    private BarLayer said(BarLayer layer, Body body) {
        BarLayer said = layer;
        boolean nothingAround = layer.kind() == LayerKind.TOPPING || layer.kind() == LayerKind.DECORATION;
        if (nothingAround && one(4)) {
            said = said.given(BarLayer.By.SHARE, from(1, 30));
        }
        if (layer.kind() == LayerKind.COAT && one(3)) {
            BarLayer.Faces f = layer.coated();
            said = said.on(new BarLayer.Faces(f.bottom(), f.sides(), f.top(), f.wholeSlab(), true));
        }
        return one(2) ? said : said.handled(handling(layer, body, nothingAround));
    }

    private Handling handling(BarLayer layer, Body body, boolean nothingAround) {
        int sizes = body instanceof Body.Sheet s
                ? s.cuttersMm().size()
                : body instanceof Body.Plate p ? p.sizesMm().size() : 0;
        boolean slab = body instanceof Body.Slab || body instanceof Body.Tray;
        boolean cut = layer.kind().has(LayerKind.Field.CUT_FROM) && (slab || layer.insert() != null);
        List<Technique> techniques = Technique.of(layer.kind());
        CutFrom sheet = new CutFrom(from(400, 900), from(400, 700), from(0, 3), from(0, 8));
        return new Handling(
                techniques.isEmpty() ? null : techniques.get(random.nextInt(techniques.size())),
                nothingAround && one(2) ? Double.valueOf(from(0, 0.6)) : null,
                nothingAround && one(2) ? Double.valueOf(from(0, 40)) : null,
                cut && one(2) ? sheet : null,
                cut && one(2) ? Double.valueOf(from(0, 0.3)) : null,
                sizes > 0 ? random.nextInt(sizes + 1) : 0,
                sizes > 0 && layer.kind().level() ? Handling.Cover.values()[random.nextInt(4)] : null,
                body instanceof Body.Moulded m && m.halves() && one(2));
    }
}

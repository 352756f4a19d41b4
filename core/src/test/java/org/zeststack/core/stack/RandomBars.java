package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.Dome;
import org.zeststack.core.cavity.FrustumCavity;
import org.zeststack.core.cavity.HalfCylinder;
import org.zeststack.core.cavity.HalfEllipsoid;
import org.zeststack.core.cavity.SegmentRow;
import org.zeststack.core.cavity.TaperedCavity;

/**
 * Bars of every build with every feature: repeated layers, a rest, inclusions in and on layers, several inserts pressed in or not,
 * joined halves, mixtures, second coats, slabs coated whole, graded discs.
 */
public final class RandomBars {

    private final SplittableRandom random;
    private final List<String> wet;
    private final List<String> coatings;
    private final List<String> crisp;

    /**
     * Bars of these materials.
     *
     * @param wet slugs or links of fillings
     */
    public RandomBars(SplittableRandom random, List<String> wet) {
        this.random = random;
        this.wet = wet;
        coatings = List.of("couverture-dark-66", "couverture-milk-38", "compound-dark");
        crisp = List.of("wafer-sheet", "biscuit-shortbread", "hazelnut-roasted", "rice-crisped");
    }

    /** A bar and the cavity it is laid in; null for one without a mould. */
    public record Made(Bar bar, Cavity cavity) {}

    public Made next() {
        Build build = Build.values()[random.nextInt(Build.values().length)];
        return switch (build) {
            case MOULDED -> moulded(Build.MOULDED);
            case SLAB -> slab();
            case TRAY -> tray();
            case SHAPED -> shaped();
            case OPEN -> random.nextInt(3) == 0 ? sheet() : random.nextBoolean() ? moulded(Build.OPEN) : openTray();
        };
    }

    private double from(double least, double greatest) {
        return least + (greatest - least) * random.nextDouble();
    }

    private String one(List<String> of) {
        return of.get(random.nextInt(of.size()));
    }

    /** A cavity of any shape. */
    public static Cavity cavity(SplittableRandom random) {
        double size = 24 + 30 * random.nextDouble();
        return switch (random.nextInt(6)) {
            case 0 -> new TaperedCavity(3 * size, size, 3 * size - 6, size - 6, 14 + 4 * random.nextDouble());
            case 1 -> new HalfCylinder(3 * size, size / 2);
            case 2 -> new Dome(size / 2, size / 2.2);
            case 3 -> new HalfEllipsoid(2 * size, size, 14 + 4 * random.nextDouble());
            case 4 -> new FrustumCavity(random.nextBoolean(), size, size - 5, 14);
            default -> new SegmentRow(new TaperedCavity(24, size, 19, size - 5, 14), 3, 2, size / 2, 5);
        };
    }

    private BarLayer dressed(BarLayer layer) {
        int times = random.nextInt(5) == 0 ? 2 : 1;
        BarLayer.Mix mix = random.nextInt(6) == 0
                ? new BarLayer.Mix(
                        random.nextBoolean() ? "cocoa-butter" : one(coatings), from(0.05, 0.4), random.nextBoolean())
                : null;
        return new BarLayer(
                layer.kind(),
                layer.of(),
                layer.by(),
                layer.amount() / times,
                layer.eachGrams(),
                layer.embedded(),
                times,
                mix,
                layer.insert(),
                layer.faces(),
                layer.leastMm(),
                layer.greatestMm(),
                random.nextInt(8) == 0 ? Double.valueOf(Math.rint(from(15, 60))) : null,
                null);
    }

    private BarLayer inclusion() {
        BarLayer nuts =
                BarLayer.pieces("hazelnut-roasted", 1 + random.nextInt(3), from(0.3, 0.8), random.nextInt(3) / 2.0);
        return random.nextBoolean() ? nuts : BarLayer.grams(LayerKind.INCLUSION, one(crisp), from(0.1, 0.8));
    }

    private BarLayer insert(double length, double width) {
        BarLayer.Shape shape = BarLayer.Shape.values()[random.nextInt(3)];
        double across = from(0.3, 0.6) * width;
        double along = shape == BarLayer.Shape.DISC ? across : from(0.2, 0.4) * length;
        BarLayer.Insert insert = new BarLayer.Insert(
                shape,
                along,
                across,
                from(0.8, 3),
                Math.min(across / 2, along) * across,
                from(0, 0.4),
                random.nextInt(3) * from(0, 3),
                0);
        boolean weighed = random.nextInt(4) == 0;
        BarLayer.By by = weighed ? BarLayer.By.GRAMS : BarLayer.By.MM;
        return new BarLayer(
                LayerKind.INSERT,
                one(crisp),
                by,
                weighed ? from(0.2, 2) : 0,
                0,
                1,
                1,
                null,
                insert,
                null,
                null,
                null,
                null,
                null);
    }

    private Made moulded(Build build) {
        Cavity cavity = cavity(random);
        double depth = cavity.depthMm();
        double ml = cavity.volumeMl();
        List<BarLayer> layers = new ArrayList<>();
        if (random.nextInt(3) == 0) {
            layers.add(new BarLayer(
                    LayerKind.DECORATION,
                    "coloured-butter-red",
                    BarLayer.By.MILLIGRAMS,
                    from(5, 80),
                    0,
                    1,
                    1,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null));
        }
        boolean shell = build == Build.MOULDED || random.nextInt(3) == 0;
        if (shell) {
            layers.add(dressed(BarLayer.mm(LayerKind.SHELL, one(coatings), from(0.8, 2))));
        }
        int fillings = 1 + random.nextInt(3);
        int rest = random.nextInt(fillings + 2);
        for (int i = 0; i < fillings; i++) {
            LayerKind kind = build == Build.OPEN && random.nextBoolean() ? LayerKind.SHEET : LayerKind.FILLING;
            String of = random.nextInt(5) == 0 ? one(coatings) : one(wet);
            layers.add(
                    i == rest
                            ? BarLayer.rest(kind, of)
                            : dressed(
                                    random.nextBoolean()
                                            ? BarLayer.mm(kind, of, from(0.5, 0.25 * depth))
                                            : BarLayer.grams(kind, of, from(0.05, 0.5 / fillings) * ml)));
            if (random.nextInt(3) == 0) {
                layers.add(inclusion());
            }
            for (int n = random.nextInt(3) == 0 ? 1 + random.nextInt(2) : 0; n > 0; n--) {
                layers.add(insert(cavity.lengthMm(depth / 2), cavity.widthMm(depth / 2)));
            }
        }
        boolean halves = random.nextInt(4) == 0;
        if (build == Build.MOULDED || random.nextBoolean()) {
            layers.add(
                    rest >= fillings
                            ? BarLayer.rest(LayerKind.BACK, one(coatings))
                            : random.nextBoolean()
                                    ? BarLayer.mm(LayerKind.BACK, one(coatings), from(0.6, 3.4))
                                    : BarLayer.grams(LayerKind.BACK, one(coatings), from(0.03, 0.15) * ml));
        }
        if (random.nextInt(4) == 0) {
            layers.add(BarLayer.grams(LayerKind.TOPPING, "cocoa-nibs", from(0.1, 1)));
        }
        return new Made(finished(Bar.of(build, new Body.Moulded(1, halves), layers)), cavity);
    }

    /** Ways to finish, keep and name it, at random. */
    private Bar finished(Bar bar) {
        return new Bar(
                bar.build(),
                bar.body(),
                bar.layers(),
                one(Bar.Finish.values()),
                one(Bar.Storage.values()),
                one(Bar.SoldAs.values()),
                random.nextInt(4) == 0 ? Double.valueOf(Math.rint(from(8, 60))) : null,
                random.nextInt(3) == 0 ? Double.valueOf(Math.rint(from(8, 35))) : null,
                random.nextInt(3) == 0 ? Double.valueOf(Math.rint(from(120, 300))) : null,
                bar.method());
    }

    private <T> T one(T[] of) {
        return of[random.nextInt(of.length)];
    }

    private void coats(List<BarLayer> layers, boolean slab) {
        for (int n = random.nextInt(3); n > 0; n--) {
            boolean whole =
                    slab && layers.stream().noneMatch(l -> l.kind() == LayerKind.COAT) && random.nextInt(3) == 0;
            BarLayer.Faces faces = random.nextBoolean()
                    ? new BarLayer.Faces(true, true, true, whole)
                    : new BarLayer.Faces(true, random.nextBoolean(), random.nextBoolean(), whole);
            BarLayer coat = random.nextBoolean()
                    ? BarLayer.mm(LayerKind.COAT, one(coatings), from(0.2, 1.6))
                    : BarLayer.grams(LayerKind.COAT, one(coatings), from(1, 5));
            layers.add(dressed(coat.on(faces)));
        }
        if (random.nextBoolean()) {
            layers.add(BarLayer.grams(LayerKind.TOPPING, "cocoa-nibs", from(0.1, 0.6)));
        }
    }

    private void laid(List<BarLayer> layers, LayerKind first, String of) {
        layers.add(dressed(BarLayer.mm(first, of, from(0.6, 6))));
        for (int n = 1 + random.nextInt(3); n > 0; n--) {
            layers.add(dressed(
                    random.nextBoolean()
                            ? BarLayer.mm(LayerKind.FILLING, one(wet), from(2, 10))
                            : BarLayer.grams(LayerKind.FILLING, one(wet), from(3, 12))));
            if (random.nextInt(2) == 0) {
                layers.add(inclusion());
            }
        }
        if (random.nextBoolean()) {
            layers.add(dressed(BarLayer.mm(LayerKind.VENEER, one(coatings), from(0.6, 2))));
        }
    }

    private Made slab() {
        List<BarLayer> layers = new ArrayList<>();
        laid(layers, LayerKind.FOOT, one(coatings));
        coats(layers, true);
        Body body = new Body.Slab(
                from(200, 420),
                from(150, 330),
                from(40, 95),
                from(18, 32),
                from(0, 3),
                random.nextBoolean() ? 0 : 6,
                from(0, 4));
        return new Made(finished(Bar.of(Build.SLAB, body, layers)), null);
    }

    private Made tray() {
        List<BarLayer> layers = new ArrayList<>();
        laid(layers, LayerKind.BASE, "biscuit-shortbread");
        coats(layers, true);
        Body body = new Body.Tray(
                from(200, 400), from(150, 300), 2 + random.nextInt(5), 3 + random.nextInt(8), from(0, 2), from(0, 5));
        return new Made(finished(Bar.of(Build.TRAY, body, layers)), null);
    }

    private Made openTray() {
        List<BarLayer> layers = new ArrayList<>();
        layers.add(dressed(BarLayer.mm(LayerKind.SHEET, one(coatings), from(1, 5))));
        layers.add(inclusion());
        if (random.nextBoolean()) {
            layers.add(BarLayer.grams(LayerKind.TOPPING, "cocoa-nibs", from(0.1, 1)));
        }
        Body body = new Body.Tray(from(200, 400), from(150, 300), 2 + random.nextInt(5), 3 + random.nextInt(8), 0, 0);
        return new Made(finished(Bar.of(Build.OPEN, body, layers)), null);
    }

    private Made sheet() {
        List<Double> sizes = new ArrayList<>();
        double size = from(35, 60);
        for (int n = 1 + random.nextInt(3); n > 0; n--) {
            sizes.add(size);
            size *= 0.8;
        }
        List<BarLayer> layers = new ArrayList<>();
        layers.add(dressed(BarLayer.mm(LayerKind.SHEET, one(coatings), from(0.6, 2))));
        if (random.nextBoolean()) {
            layers.add(BarLayer.mm(LayerKind.FILLING, one(wet), from(1, 4)));
            layers.add(BarLayer.mm(LayerKind.SHEET, one(coatings), from(0.6, 2)));
        }
        if (random.nextBoolean()) {
            layers.add(inclusion());
        }
        Body body = new Body.Sheet(from(200, 400), from(150, 300), random.nextBoolean(), sizes, from(0, 3));
        return new Made(finished(Bar.of(Build.OPEN, body, layers)), null);
    }

    private Made shaped() {
        Body.Form form = Body.Form.values()[random.nextInt(3)];
        double grams = random.nextBoolean() ? from(8, 30) : 0;
        Body body = new Body.Shaped(form, grams > 0 ? 0 : from(40, 90), from(16, 30), from(8, 16), grams);
        List<BarLayer> layers = new ArrayList<>();
        layers.add(BarLayer.mm(LayerKind.FILLING, one(wet), 0));
        if (random.nextBoolean()) {
            layers.add(inclusion());
        }
        coats(layers, false);
        return new Made(finished(Bar.of(Build.SHAPED, body, layers)), null);
    }
}

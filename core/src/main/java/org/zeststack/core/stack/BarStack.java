package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.bar.Technique;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.explain.Working;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;

/**
 * A bar computed: level, volume and mass of every layer of one piece, the windows of its fillings and the calls.
 *
 * <p>With several fillings each one's window is its own share of the inside: if every filling stands at the same end of its
 * window, the back stands at that end of its own.
 */
public final class BarStack {

    /** A piece must be covered with this much to be dipped without touching the bottom (common practice, no source). */
    public static final double BOWL_OVER_MM = 10;

    private static final double MM3_PER_ML = 1000;
    private static final double STILL_GRAMS = 1e-9;
    private static final int MOST_ROUNDS = 200;

    private final Bar bar;
    private final Parts parts;
    private final Frame frame;
    private final List<StackLayer> layers;

    BarStack(Bar bar, Parts parts, Frame frame, List<StackLayer> layers) {
        this.bar = bar;
        this.parts = parts;
        this.frame = frame;
        this.layers = layers.stream()
                .sorted((a, b) -> Integer.compare(a.index(), b.index()))
                .toList();
    }

    /**
     * Computes a bar.
     *
     * @throws org.zeststack.core.quantity.InvalidInput if the bar is faulty, points to nothing known, or a shell, cut or form
     *     cannot be made
     */
    public static BarStack of(Bar bar, Parts given) {
        bar.check();
        Parts parts = given.judgedBy(given.bounds().watched());
        double[] shares = new double[bar.layers().size()];
        BarStack stack = laid(bar, parts, shares);
        for (int round = 0; round < MOST_ROUNDS && stack.shared(shares); round++) {
            stack = laid(bar, parts, shares);
        }
        return stack;
    }

    private static BarStack laid(Bar bar, Parts parts, double[] shares) {
        List<Pour.Deposit> deposits = new ArrayList<>();
        for (int i = 0; i < bar.layers().size(); i++) {
            BarLayer layer = bar.layers().get(i);
            deposits.add(new Pour.Deposit(i, layer, parts.of(layer, i), shares[i], 1));
        }
        List<String> keys = keys(bar.layers());
        Body body = bar.body();
        if (body instanceof Body.Moulded moulded) {
            return new MouldedBuild(bar, parts, moulded, deposits, keys).stack();
        }
        if (body instanceof Body.Shaped shaped) {
            return new ShapedBuild(bar, parts, shaped, deposits, keys).stack();
        }
        if (body instanceof Body.Spread spread) {
            return new SpreadBuild(bar, parts, spread, deposits, keys).stack();
        }
        return body instanceof Body.Sheet || body instanceof Body.Plate
                ? new DiscsBuild(bar, parts, deposits, keys).stack()
                : new LaidBuild(bar, parts, deposits, keys).stack();
    }

    /** Finds the grams of what is given as a share of what it lies on; whether any of them moved. */
    private boolean shared(double[] shares) {
        boolean moved = false;
        for (StackLayer layer : layers) {
            if (layer.design().by() == BarLayer.By.SHARE) {
                double of = on(layer).map(StackLayer::grams).orElse(0.0);
                double grams = layer.design().amount() / 100 * of / cavities(layer);
                moved |= Math.abs(grams - shares[layer.index()]) > STILL_GRAMS;
                shares[layer.index()] = grams;
            }
        }
        return moved;
    }

    /** Cavities of a piece that a layer is laid in: 2 where two halves are joined and it is in both. */
    public int cavities(StackLayer layer) {
        return frame instanceof Frame.Moulded m && !layer.design().handling().oneHalf() ? m.halves() : 1;
    }

    /** What something is strewn on: the last layer before it that is spread, lined, shaped or coated, else the first after it. */
    public Optional<StackLayer> on(StackLayer strewn) {
        List<StackLayer> under = layers.stream()
                .filter(l -> l.kind().level() || l.kind() == LayerKind.SHELL || l.kind() == LayerKind.COAT)
                .toList();
        return under.stream()
                .filter(l -> l.index() < strewn.index())
                .reduce((a, b) -> b)
                .or(() -> under.stream().findFirst());
    }

    /** One word for what a bar has once, a number behind it for what it may have often. */
    private static List<String> keys(List<BarLayer> layers) {
        Map<LayerKind, Integer> counted = new EnumMap<>(LayerKind.class);
        List<String> keys = new ArrayList<>();
        for (BarLayer layer : layers) {
            int number = counted.merge(layer.kind(), 1, Integer::sum);
            keys.add(layer.kind().once() ? layer.kind().words() : layer.kind().words() + "-" + number);
        }
        return keys;
    }

    public Bar bar() {
        return bar;
    }

    public Parts parts() {
        return parts;
    }

    /** What the workshop judges it by. */
    public Bounds bounds() {
        return parts.bounds();
    }

    public Frame frame() {
        return frame;
    }

    /** Layers in the order of the work. */
    public List<StackLayer> layers() {
        return layers;
    }

    public Optional<StackLayer> first(LayerKind kind) {
        return layers.stream().filter(l -> l.kind() == kind).findFirst();
    }

    public List<StackLayer> all(LayerKind kind) {
        return layers.stream().filter(l -> l.kind() == kind).toList();
    }

    public Optional<StackLayer> layer(String key) {
        return layers.stream().filter(l -> l.key().equals(key)).findFirst();
    }

    /**
     * Whether what a layer is laid of comes from a bowl of melted couverture or compound: chocolate or compound that is laid, and
     * whatever fat mass the piece is coated with; not what is only strewn, and no formula, which has steps of its own.
     */
    public boolean melted(StackLayer layer, String of) {
        Material material = parts.materials().get(of);
        Technique technique = layer.design().handling().technique();
        boolean strewn = layer.kind() == LayerKind.INCLUSION
                || layer.kind() == LayerKind.TOPPING && (technique == null || !technique.liquid())
                || layer.kind() == LayerKind.INSERT;
        if (strewn || !takes(layer, of) || material.family() != null) {
            return false;
        }
        return material.isChocolate()
                || material.compound()
                || material.melts(bounds()) && all(LayerKind.COAT).stream().anyMatch(coat -> takes(coat, of));
    }

    /**
     * Whether something is stirred into the bowl that a layer is laid from, as a colour is: then all of the bowl is the mixture, also
     * what is poured out, scraped off and left in it. What is marbled has two bowls, and what is a formula is made by itself.
     */
    public boolean stirred(StackLayer layer) {
        BarLayer.Mix mix = layer.design().mix();
        return mix != null
                && mix.fraction() > 0
                && !mix.marbled()
                && melted(layer, layer.design().of())
                && parts.materials().get(mix.of()).family() == null;
    }

    private static boolean takes(StackLayer layer, String of) {
        BarLayer.Mix mix = layer.design().mix();
        return layer.design().of().equals(of) || mix != null && mix.of().equals(of);
    }

    public double pieceGrams() {
        return layers.stream().mapToDouble(StackLayer::grams).sum();
    }

    /** Chocolate on the outside over the whole piece. */
    public double chocolateShare() {
        return outsideChocolateGrams() / Math.max(1e-9, pieceGrams());
    }

    public double outsideChocolateGrams() {
        return layers.stream()
                .filter(l -> outside(l) && l.material().isChocolate())
                .mapToDouble(StackLayer::grams)
                .sum();
    }

    /**
     * Whether a layer is part of the piece's outside: shells, coats and what lies on them, and couverture or compound that is one
     * with them or bare, from below and from above as far as the first layer of anything else.
     */
    public boolean outside(StackLayer layer) {
        if (!layer.kind().level()) {
            return layer.kind() != LayerKind.INSERT && layer.kind() != LayerKind.INCLUSION;
        }
        List<StackLayer> levels = layers.stream().filter(l -> l.kind().level()).toList();
        int here = levels.indexOf(layer);
        return levels.subList(0, here + 1).stream().allMatch(l -> l.material().isCoating())
                || levels.subList(here, levels.size()).stream()
                        .allMatch(l -> l.material().isCoating());
    }

    /** What the whole piece is made of. */
    public Composition composition() {
        Composition sum = Composition.NOTHING;
        for (StackLayer layer : layers) {
            Composition hundred = layer.material().per100Grams();
            sum = sum.plus(hundred.times(layer.grams() / hundred.totalGrams()));
        }
        return sum;
    }

    /** Allergens of every layer, in order of the alphabet. */
    public List<String> allergens() {
        TreeSet<String> all = new TreeSet<>();
        layers.forEach(l -> all.addAll(l.material().allergens()));
        return List.copyOf(all);
    }

    /** What the materials of one piece cost with their off-cuts; layers without a price are left out. */
    public double cost() {
        return layers.stream()
                .filter(l -> l.material().pricePerKg() != null)
                .mapToDouble(l -> l.laidGrams() / 1000 * l.material().pricePerKg())
                .sum();
    }

    /** Names of the layers without a price. */
    public List<String> unpriced() {
        return layers.stream()
                .filter(l -> l.material().pricePerKg() == null)
                .map(StackLayer::name)
                .distinct()
                .toList();
    }

    /** Couverture poured out of one mould, every cavity filled to the rim, when only the shells stay, g; 0 without a shell. */
    public double pouredOutGrams() {
        return frame instanceof Frame.Moulded m && m.shellMm() > 0
                ? first(LayerKind.SHELL)
                        .map(s -> m.inside().volumeMl() * s.material().densityGramsPerMl() * m.cavities())
                        .orElse(0.0)
                : 0;
    }

    /** Couverture that must stand in the dipping bowl beyond what the pieces take, g; it comes back. 0 where no bowl is told. */
    public double bowlGrams() {
        List<StackLayer> coats = all(LayerKind.COAT);
        Double bowl = bar.bowlMm();
        if (bowl == null || coats.isEmpty()) {
            return 0;
        }
        double density = coats.get(coats.size() - 1).material().densityGramsPerMl();
        return Math.PI / 4 * bowl * bowl * bowlDepthMm() / MM3_PER_ML * density;
    }

    public double bowlDepthMm() {
        return pieceHeightMm() + BOWL_OVER_MM;
    }

    /** Height of a piece with its coats, mm. */
    public double pieceHeightMm() {
        boolean round = frame instanceof Frame.Hand hand && hand.form().roundAcross();
        double coats = all(LayerKind.COAT).stream()
                .mapToDouble(c -> {
                    BarLayer.Faces faces = c.design().coated();
                    int covered = round ? 2 : (faces.bottom() ? 1 : 0) + (faces.top() ? 1 : 0);
                    return covered * c.thicknessMm();
                })
                .sum();
        return frame.heightMm() + coats;
    }

    /** The arithmetic of volumes, grams and window. */
    public Working why() {
        Working.Builder working = Working.of("Grams per piece");
        if (frame instanceof Frame.Moulded m) {
            working.line(
                    "Cavity",
                    "∫ A(z) dz over %s = %s",
                    Say.mm(m.cavity().depthMm(), 1),
                    Say.of(m.outer().volumeMl(), 2, Measure.MILLILITRES));
            if (m.shellMm() > 0) {
                working.line(
                        "Inside the shell",
                        "walls and floor in by %s: %s",
                        Say.mm(m.shellMm(), 2),
                        Say.of(m.inside().volumeMl(), 2, Measure.MILLILITRES));
            }
        } else if (frame.offcutFraction() > 0) {
            working.line(
                    "Pieces of one",
                    "%d; %s of the area is off-cuts",
                    frame.piecesOfOne(),
                    Say.percent(100 * frame.offcutFraction(), 1));
        }
        for (StackLayer layer : layers) {
            working.line(
                    layer.name(),
                    "%s × %s = %s",
                    Say.of(layer.volumeMl(), 2, Measure.MILLILITRES),
                    Say.of(layer.material().densityGramsPerMl(), 3, Measure.GRAMS_PER_MILLILITRE),
                    Say.grams(layer.grams(), 1));
        }
        return working.from("Geometry; densities by Choi and Okos 1986, the couverture's own, or as measured.");
    }

    private static String fixed(double number, int decimals) {
        return Numbers.fixed(number, decimals);
    }
}

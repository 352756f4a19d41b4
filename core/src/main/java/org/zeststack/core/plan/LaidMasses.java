package org.zeststack.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.component.Component;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.sheet.Carriers;
import org.zeststack.core.sheet.Deposit;
import org.zeststack.core.sheet.LaidFrom;
import org.zeststack.core.sheet.LaidFrom.Mixed;
import org.zeststack.core.sheet.Pieces;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.StackLayer;

/**
 * From which component each layer of a run is laid, and where its mass ends up.
 *
 * <p>What lies on a slab, tray or sheet lies on its off-cuts and spare pieces. What is cut from a sheet of its own wants
 * ⌈⌈needed / (1 − what breaks)⌉ / n of a sheet⌉ whole sheets; layers of the same sheet share them.
 */
final class LaidMasses {

    /** A bowl of melted couverture or compound, with what is stirred into all of it. */
    record Melted(Component.Bowl bowl, Material material, BarLayer.Mix tint) {}

    /** Sheets that layers are cut from, for all of a run. */
    record Sheets(int needed, int made, int sheets, int perSheet) {}

    private final RunOrder order;
    private final BarStack bar;
    private final int pieces;
    private final Carriers carriers;

    LaidMasses(RunOrder order, Pieces planned) {
        this.order = order;
        bar = order.bar();
        pieces = planned.toMake();
        carriers = planned.carriers();
    }

    /** Key of the component that a layer is laid from. */
    String of(StackLayer layer) {
        return component(layer).key();
    }

    private Component component(StackLayer layer) {
        BarLayer.Mix mix = layer.design().mix();
        String slug = layer.design().of();
        return bar.stirred(layer)
                ? new Component.Bowl(slug, Optional.of(new Component.Stirred(mix.of(), 100 * mix.fraction())))
                : component(layer, slug);
    }

    /** What is mixed into a layer by itself; empty where nothing is, or where it is stirred into the bowl. */
    Optional<Mixed> mixed(StackLayer layer) {
        return mixedIn(layer).map(c -> new Mixed(c.key(), layer.design().mix().fraction()));
    }

    private Optional<Component> mixedIn(StackLayer layer) {
        BarLayer.Mix mix = layer.design().mix();
        return mix == null || mix.fraction() == 0 || bar.stirred(layer)
                ? Optional.empty()
                : Optional.of(component(layer, mix.of()));
    }

    private Component component(StackLayer layer, String slug) {
        NamedFormula formula = order.formulas().get(slug);
        if (formula != null) {
            return formula.component();
        }
        boolean melts = bar.layers().stream().anyMatch(l -> bar.melted(l, slug));
        return melts ? new Component.Bowl(slug, Optional.empty()) : new Component.Laid(slug);
    }

    /** Every bowl once, in the order of the design. */
    List<Melted> bowls() {
        Map<Component, Melted> bowls = new LinkedHashMap<>();
        for (StackLayer layer : designed()) {
            boolean stirred = bar.stirred(layer);
            String own = layer.design().of();
            bowl(
                    bowls,
                    component(layer),
                    stirred ? layer.material() : bar.parts().materials().get(own),
                    stirred ? layer.design().mix() : null);
            mixedIn(layer)
                    .ifPresent(c -> bowl(
                            bowls,
                            c,
                            bar.parts().materials().get(layer.design().mix().of()),
                            null));
        }
        return List.copyOf(bowls.values());
    }

    private static void bowl(Map<Component, Melted> bowls, Component component, Material of, BarLayer.Mix tint) {
        if (component instanceof Component.Bowl bowl) {
            bowls.putIfAbsent(bowl, new Melted(bowl, of, tint));
        }
    }

    /** Plain ingredients that are laid as they are. */
    Map<Component.Laid, Material> plain() {
        Map<Component.Laid, Material> plain = new LinkedHashMap<>();
        for (StackLayer layer : designed()) {
            Stream.concat(Stream.of(component(layer)), mixedIn(layer).stream()).forEach(c -> {
                if (c instanceof Component.Laid laid) {
                    plain.put(laid, bar.parts().materials().get(laid.slug()));
                }
            });
        }
        return plain;
    }

    private List<StackLayer> designed() {
        List<StackLayer> layers = new ArrayList<>(bar.layers());
        layers.sort((a, b) -> Integer.compare(a.index(), b.index()));
        return layers;
    }

    /** Where all that is laid of a component ends up, mixtures included. */
    Deposit deposit(String key) {
        Deposit sum = Deposit.NOTHING;
        for (StackLayer layer : bar.layers()) {
            double share = new LaidFrom(of(layer), mixed(layer), Optional.empty()).shareOf(key);
            sum = sum.plus(deposit(layer).times(share));
        }
        return sum;
    }

    /** Where a layer ends up over the whole run. */
    Deposit deposit(StackLayer layer) {
        boolean whole = bar.bar().onCarrier(layer.index());
        int spare = whole ? carriers.spare() : 0;
        double inPieces = layer.grams() * pieces;
        double inSpare = layer.grams() * spare;
        double keeps = layer.grams() > 0 ? layer.design().handling().keeps() : 0;
        if (layer.perSheet() == 0) {
            double beside = (layer.laidGrams() - layer.grams()) * (pieces + spare);
            return new Deposit(inPieces, beside, inSpare, keeps);
        }
        Sheets sheets = sheets(layer);
        double laid = layer.laidGrams() * (1 - layer.design().handling().spareFraction());
        double each = laid * perCut(layer);
        double net = layer.grams() * perCut(layer);
        double cut = (double) sheets.sheets() * sheets.perSheet() * cuts(layer) / sheets.needed();
        double extra = (cut - cuts(layer)) * net;
        return new Deposit(inPieces, cut * each - extra - inPieces - inSpare, inSpare + extra, keeps);
    }

    /** Sheets that a layer is cut from, with the other layers of the same. */
    Sheets sheets(StackLayer layer) {
        int needed = bar.layers().stream()
                .filter(l -> l.perSheet() == layer.perSheet()
                        && l.design().of().equals(layer.design().of())
                        && l.design().handling().equals(layer.design().handling()))
                .mapToInt(this::cuts)
                .sum();
        int made = (int) Math.ceil(needed / (1 - layer.design().handling().spareFraction()) - 1e-9);
        int sheets = (made + layer.perSheet() - 1) / layer.perSheet();
        return new Sheets(needed, made, sheets, layer.perSheet());
    }

    /** How many are cut out for a layer in all: one for each time it lies on a slab, or in a cavity. */
    private int cuts(StackLayer layer) {
        boolean whole = bar.bar().onCarrier(layer.index());
        return layer.design().repeat() * (whole ? carriers.fills() : pieces * bar.cavities(layer));
    }

    /** Pieces that one cut lies in. */
    private double perCut(StackLayer layer) {
        boolean whole = bar.bar().onCarrier(layer.index());
        return (whole ? carriers.cavities() : 1.0 / bar.cavities(layer))
                / layer.design().repeat();
    }
}

package org.zeststack.web.bar;

import java.util.List;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;

/** Bars to begin with: what a build, what it is made in and one filling come to before anybody has drawn anything. */
final class StartingBars {

    private static final String DARK = "couverture-dark-62";

    private StartingBars() {}

    /** A layer as it is added, with usual amounts. */
    static BarLayer layer(LayerKind kind) {
        return switch (kind) {
            case DECORATION ->
                new BarLayer(
                        kind,
                        "coloured-butter-white",
                        BarLayer.By.MILLIGRAMS,
                        60,
                        0,
                        1,
                        1,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null);
            case SHELL -> BarLayer.mm(kind, DARK, 1.5);
            case FOOT -> BarLayer.mm(kind, DARK, 0.8);
            case BASE -> BarLayer.mm(kind, "biscuit-shortbread", 7);
            case SHEET -> BarLayer.mm(kind, DARK, 1);
            case FILLING -> BarLayer.mm(kind, "gianduja", 4);
            case INSERT ->
                BarLayer.mm(kind, "wafer-sheet", 0)
                        .with(new BarLayer.Insert(BarLayer.Shape.BAR, 60, 15, 3, 0, 0.5, 0, 0));
            case INCLUSION -> BarLayer.grams(kind, "cocoa-nibs", 1);
            case BACK -> BarLayer.mm(kind, DARK, 2).between(1, 3);
            case VENEER -> BarLayer.mm(kind, DARK, 2);
            case COAT -> BarLayer.mm(kind, DARK, 1);
            case TOPPING -> BarLayer.grams(kind, "sea-salt-flakes", 0.2);
        };
    }

    /**
     * A bar of a build.
     *
     * @param of slug or link of what it is mainly made of
     */
    static Bar of(Build build, Body body, String of) {
        BarLayer filling = BarLayer.mm(LayerKind.FILLING, of, 10);
        List<BarLayer> layers =
                switch (build) {
                    case MOULDED ->
                        List.of(layer(LayerKind.SHELL), BarLayer.rest(LayerKind.FILLING, of), layer(LayerKind.BACK));
                    case SLAB -> List.of(layer(LayerKind.FOOT), filling, layer(LayerKind.COAT));
                    case TRAY -> List.of(layer(LayerKind.BASE), filling.amount(6), layer(LayerKind.VENEER));
                    case SHAPED -> List.of(filling.amount(0), layer(LayerKind.COAT));
                    case OPEN ->
                        List.of(
                                body instanceof Body.Moulded
                                        ? BarLayer.rest(LayerKind.SHEET, of)
                                        : BarLayer.mm(LayerKind.SHEET, of, 3));
                };
        return Bar.of(build, body, layers);
    }
}

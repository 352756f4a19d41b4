package org.zeststack.app.bar;

import java.util.List;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.bar.LayerKind;

/** Bars to begin with: what a build, what it is made in and one filling come to before anybody has drawn anything. */
final class StartingBars {

    private static final String DARK = "couverture-dark-62";

    private StartingBars() {}

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
                        List.of(LayerKind.SHELL.usual(), BarLayer.rest(LayerKind.FILLING, of), LayerKind.BACK.usual());
                    case SLAB -> List.of(LayerKind.FOOT.usual(), filling, LayerKind.COAT.usual());
                    case TRAY -> List.of(LayerKind.BASE.usual(), filling.amount(6), LayerKind.VENEER.usual());
                    case SHAPED -> List.of(filling.amount(0), LayerKind.COAT.usual());
                    case OPEN -> open(body, of);
                };
        return Bar.of(build, body, layers);
    }

    private static List<BarLayer> open(Body body, String of) {
        if (body instanceof Body.Moulded) {
            return List.of(BarLayer.rest(LayerKind.SHEET, of));
        }
        BarLayer sheet = BarLayer.mm(LayerKind.SHEET, of, 3);
        if (body instanceof Body.Plate) {
            BarLayer piped = BarLayer.mm(LayerKind.FILLING, "gianduja", 6);
            return List.of(
                    sheet.handled(Handling.on(1, Handling.Cover.WHOLE)),
                    piped.handled(Handling.on(1, Handling.Cover.DOTS)),
                    sheet.handled(Handling.on(2, Handling.Cover.WHOLE)));
        }
        return body instanceof Body.Spread
                ? List.of(sheet, LayerKind.TOPPING.usual().given(BarLayer.By.SHARE, 1))
                : List.of(sheet);
    }
}

package org.zeststack.core.bar;

import static org.zeststack.core.bar.LayerKind.BACK;
import static org.zeststack.core.bar.LayerKind.BASE;
import static org.zeststack.core.bar.LayerKind.COAT;
import static org.zeststack.core.bar.LayerKind.DECORATION;
import static org.zeststack.core.bar.LayerKind.FILLING;
import static org.zeststack.core.bar.LayerKind.FOOT;
import static org.zeststack.core.bar.LayerKind.INCLUSION;
import static org.zeststack.core.bar.LayerKind.INSERT;
import static org.zeststack.core.bar.LayerKind.SHEET;
import static org.zeststack.core.bar.LayerKind.SHELL;
import static org.zeststack.core.bar.LayerKind.TOPPING;
import static org.zeststack.core.bar.LayerKind.VENEER;

import java.util.List;

/** The five ways a bar is built, and the layers each may have in the order of the work. */
public enum Build {
    MOULDED(
            "Moulded",
            "lined, filled, closed, released",
            List.of(Body.Moulded.class),
            List.of(DECORATION, SHELL, FILLING, INSERT, INCLUSION, BACK, TOPPING)),
    SLAB(
            "Slab, cut and coated",
            "layers between rulers, a foot, cut, dipped",
            List.of(Body.Slab.class),
            List.of(FOOT, FILLING, SHEET, INCLUSION, VENEER, COAT, TOPPING)),
    TRAY(
            "Tray",
            "a base, a cooked layer, a veneer, sawn into fingers",
            List.of(Body.Tray.class),
            List.of(BASE, FILLING, SHEET, INCLUSION, VENEER, COAT, TOPPING)),
    SHAPED(
            "Shaped and dipped",
            "balls, logs and blocks by hand or press",
            List.of(Body.Shaped.class),
            List.of(FILLING, INCLUSION, COAT, TOPPING)),
    OPEN(
            "Open",
            "tablets, bark, thin sheets, discs, hollow halves",
            List.of(Body.Moulded.class, Body.Tray.class, Body.Sheet.class, Body.Plate.class, Body.Spread.class),
            List.of(DECORATION, SHELL, SHEET, FILLING, INSERT, INCLUSION, BACK, TOPPING));

    private final String title;
    private final String about;
    private final List<Class<? extends Body>> bodies;
    private final List<LayerKind> kinds;

    Build(String title, String about, List<Class<? extends Body>> bodies, List<LayerKind> kinds) {
        this.title = title;
        this.about = about;
        this.bodies = bodies;
        this.kinds = kinds;
    }

    public String title() {
        return title;
    }

    /** How it is made, in a few words. */
    public String about() {
        return about;
    }

    /** What may carry its stack, the usual one first. */
    public List<Class<? extends Body>> bodies() {
        return bodies;
    }

    public List<LayerKind> kinds() {
        return kinds;
    }
}

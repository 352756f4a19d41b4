package org.zeststack.core;

import java.util.Map;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;

/** Masses that several tests cook. Check values only; never demo data. */
public final class Masses {

    private Masses() {}

    /** A sucrose solution of {@code percent} by mass, 100 g. */
    public static Composition sucrose(double percent) {
        return Composition.of(Map.of(Part.SUCROSE, percent, Part.WATER, 100 - percent), 42);
    }

    /** Sugar 1000, glucose syrup DE 42 at 80 % 700, cream 1000 and butter 120 g, all from the start. */
    public static Composition checkCaramel() {
        return Composition.of(
                Map.of(
                        Part.SUCROSE, 1000.0,
                        Part.SYRUP_SOLIDS, 560.0,
                        Part.WATER, 140 + 585 + 19.2,
                        Part.LACTOSE, 32.0,
                        Part.MILK_FAT, 350 + 98.4,
                        Part.PROTEIN, 22.0,
                        Part.ASH, 11 + 2.4),
                42);
    }
}

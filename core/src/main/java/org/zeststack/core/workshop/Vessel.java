package org.zeststack.core.workshop;

import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * Something a mass is cooked, whipped or spread in.
 *
 * @param kind pots and bowls hold litres, frames and trays a length and a width
 * @param litres capacity to the brim; 0 for frames and trays
 * @param lengthMm inside; 0 for pots and bowls
 * @param widthMm inside; 0 for pots and bowls
 */
public record Vessel(Kind kind, double litres, double lengthMm, double widthMm) {

    public static final Range LITRES = new Range(0.1, 1000, "L");
    public static final Range SIDE_MM = new Range(20, 3000, "mm");

    /** What it is. */
    public enum Kind {
        POT("Pot", true),
        BOWL("Mixer bowl", true),
        FRAME("Frame", false),
        TRAY("Tray", false);

        private final String title;
        private final boolean holdsLitres;

        Kind(String title, boolean holdsLitres) {
            this.title = title;
            this.holdsLitres = holdsLitres;
        }

        public String title() {
            return title;
        }

        public boolean holdsLitres() {
            return holdsLitres;
        }
    }

    /**
     * @throws org.zeststack.core.quantity.InvalidInput if what its kind needs is outside its range
     */
    public Vessel {
        Faults faults = new Faults();
        if (kind.holdsLitres) {
            faults.within("litres", litres, LITRES);
        } else {
            faults.within("lengthMm", lengthMm, SIDE_MM);
            faults.within("widthMm", widthMm, SIDE_MM);
        }
        faults.throwIfAny();
    }

    public double areaSquareMm() {
        return lengthMm * widthMm;
    }
}

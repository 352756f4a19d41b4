package org.zeststack.core.workshop;

import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * A continuous line: rolls that make a sheet, a slitter with lanes, a coater and a cooling tunnel, with one belt through all of it.
 *
 * @param beltMm width that can be used
 * @param lanes pieces side by side after the slitter; 0 where it does not slit
 * @param rolls pairs of rolls, each a little closer than the one before; 0 where the sheet comes ready
 * @param coats passes of couverture that the coater lays; 0 where it does not coat
 * @param tunnelMetres length of the cooling tunnel
 * @param metresPerMinute speed of the belt
 */
public record Line(double beltMm, int lanes, int rolls, int coats, double tunnelMetres, double metresPerMinute) {

    public static final Range BELT_MM = new Range(50, 3000, "mm");
    public static final Range LANES = new Range(0, 200, "lanes");
    public static final Range ROLLS = new Range(0, 20, "pairs");
    public static final Range COATS = new Range(0, 6, "coats");
    public static final Range TUNNEL = new Range(0.5, 200, "m");
    public static final Range SPEED = new Range(0.05, 60, "m/min");

    private static final double MM_PER_METRE = 1000;

    /**
     * @throws org.zeststack.core.quantity.InvalidInput with every fault
     */
    public Line {
        Faults faults = new Faults();
        faults.within("beltMm", beltMm, BELT_MM);
        faults.within("lanes", lanes, LANES);
        faults.within("rolls", rolls, ROLLS);
        faults.within("coats", coats, COATS);
        faults.within("tunnelMetres", tunnelMetres, TUNNEL);
        faults.within("metresPerMinute", metresPerMinute, SPEED);
        faults.throwIfAny();
    }

    /** Minutes that a piece cools: length of the tunnel / speed. */
    public double tunnelMinutes() {
        return tunnelMetres / metresPerMinute;
    }

    /** Pieces of a width that go side by side, a kerf between two, as far as belt and lanes reach. */
    public int across(double pieceMm, double kerfMm) {
        int room = (int) Math.floor((beltMm + kerfMm) / (pieceMm + kerfMm) + 1e-9);
        return lanes == 0 ? room : Math.min(room, lanes);
    }

    /** Pieces per minute: side by side × speed / (length and gap). */
    public double piecesPerMinute(double pieceLengthMm, double pieceWidthMm, double gapMm) {
        return across(pieceWidthMm, gapMm) * metresPerMinute * MM_PER_METRE / (pieceLengthMm + gapMm);
    }
}

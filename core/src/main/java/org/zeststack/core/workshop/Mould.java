package org.zeststack.core.workshop;

import org.zeststack.core.cavity.Calibrated;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * A mould the workshop owns.
 *
 * @param cavity one of its cavities
 * @param edgeRadiusMm rounding of the floor's edge, 0 to 10
 * @param waterGrams one cavity filled to the rim with water at 20 °C; null where not weighed
 * @param rows rows of cavities, 1 to 50
 * @param columns cavities in a row, 1 to 200
 * @param owned moulds of this kind, 1 to 1000
 */
public record Mould(Cavity cavity, double edgeRadiusMm, Double waterGrams, int rows, int columns, int owned) {

    public static final Range EDGE_MM = new Range(0, 10, "mm");
    public static final Range WATER_GRAMS = new Range(0.5, 5000, "g");
    public static final Range ROWS = new Range(1, 50, "rows");
    public static final Range COLUMNS = new Range(1, 200, "cavities in a row");
    public static final Range OWNED = new Range(1, 1000, "moulds");

    /**
     * @throws org.zeststack.core.quantity.InvalidInput if a count is outside its range, or water contradicts the dimensions
     */
    public Mould {
        Faults faults = new Faults();
        faults.within("edgeRadiusMm", edgeRadiusMm, new Range(0, Math.min(EDGE_MM.greatest(), cavity.depthMm()), "mm"));
        faults.within("rows", rows, ROWS);
        faults.within("columns", columns, COLUMNS);
        faults.within("owned", owned, OWNED);
        faults.throwIfAny();
        Calibrated.factor(cavity, edgeRadiusMm, waterGrams);
    }

    /** A mould with one row of sharp-edged cavities that nobody has weighed. */
    public static Mould of(Cavity cavity, int cavities, int owned) {
        return new Mould(cavity, 0, null, 1, cavities, owned);
    }

    public int cavities() {
        return rows * columns;
    }

    /** What water said of the cavity's volume over what its dimensions say. */
    public double volumeFactor() {
        return Calibrated.factor(cavity, edgeRadiusMm, waterGrams);
    }

    /** Volume of one cavity as measured, mL. */
    public double cavityMl() {
        return new Calibrated(cavity, volumeFactor(), edgeRadiusMm, cavity.floorEdgeMm()).volumeMl();
    }
}

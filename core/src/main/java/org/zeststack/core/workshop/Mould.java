package org.zeststack.core.workshop;

import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * A mould the workshop owns.
 *
 * @param cavity one of its cavities
 * @param cavities cavities per mould, 1 to 200
 * @param owned moulds of this kind, 1 to 1000
 */
public record Mould(TaperedCavity cavity, int cavities, int owned) {

    public static final Range CAVITIES = new Range(1, 200, "cavities");
    public static final Range OWNED = new Range(1, 1000, "moulds");

    /**
     * @throws org.zeststack.core.quantity.InvalidInput if a count is outside its range
     */
    public Mould {
        Faults faults = new Faults();
        faults.within("cavities", cavities, CAVITIES);
        faults.within("owned", owned, OWNED);
        faults.throwIfAny();
    }
}

package org.zeststack.core.temper;

import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * Couverture of which a part is worked cold on the slab and returned: T_end = f T_slab + (1 − f) T_kept. Nothing is lost to the room
 * meanwhile; the parts have the same heat capacity.
 */
public final class Slab {

    public static final Range FRACTION = new Range(0.05, 0.95, "");
    public static final Range SLAB_CELSIUS = new Range(15, 34, "°C");
    public static final Range KEPT_CELSIUS = new Range(20, 65, "°C");
    public static final Range END_CELSIUS = new Range(20, 40, "°C");

    private Slab() {}

    /**
     * How warm the kept part must be when the slab comes back.
     *
     * @throws org.zeststack.core.quantity.InvalidInput outside the ranges
     */
    public static double keptCelsius(double slabFraction, double slabCelsius, double endCelsius) {
        Faults faults = new Faults();
        faults.within("slabFraction", slabFraction, FRACTION);
        faults.within("slabCelsius", slabCelsius, SLAB_CELSIUS);
        faults.within("endCelsius", endCelsius, END_CELSIUS);
        faults.throwIfAny();
        return (endCelsius - slabFraction * slabCelsius) / (1 - slabFraction);
    }

    /**
     * Where both together land.
     *
     * @throws org.zeststack.core.quantity.InvalidInput outside the ranges
     */
    public static double endCelsius(double slabFraction, double slabCelsius, double keptCelsius) {
        Faults faults = new Faults();
        faults.within("slabFraction", slabFraction, FRACTION);
        faults.within("slabCelsius", slabCelsius, SLAB_CELSIUS);
        faults.within("keptCelsius", keptCelsius, KEPT_CELSIUS);
        faults.throwIfAny();
        return slabFraction * slabCelsius + (1 - slabFraction) * keptCelsius;
    }
}

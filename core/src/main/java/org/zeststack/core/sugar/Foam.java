package org.zeststack.core.sugar;

import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.heat.ChoiOkos;

/**
 * How high a mass rises when it boils (common practice, no source).
 *
 * @param litres of the mass itself
 * @param times its volume that it rises to
 * @param milk whether there is milk in it, which makes it foam
 */
public record Foam(double litres, double times, boolean milk) {

    private static final double MILK = 3;
    private static final double SYRUP = 1.8;
    private static final double MILK_PROTEIN = 0.003;
    private static final double BOILING_CELSIUS = 100;

    /** Of what goes into the pot. */
    public static Foam of(Composition pot) {
        boolean milk = pot.grams(Part.PROTEIN) > MILK_PROTEIN * pot.totalGrams();
        double litres = pot.totalGrams() / ChoiOkos.densityGramsPerMl(pot, BOILING_CELSIUS) / 1000;
        return new Foam(litres, milk ? MILK : SYRUP, milk);
    }

    /** Litres that it rises to: no smaller may the pot be. */
    public double potLitres() {
        return litres * times;
    }
}

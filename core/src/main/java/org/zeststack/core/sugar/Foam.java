package org.zeststack.core.sugar;

import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.heat.ChoiOkos;

/**
 * How high a mass rises when it boils (common practice, no source).
 *
 * @param litres of the mass itself
 * @param times its volume that it rises to
 * @param mass what boils
 */
public record Foam(double litres, double times, Mass mass) {

    /** What rises. */
    public enum Mass {
        SYRUP("a boiling syrup", 1.8),
        PROTEIN("a mass with protein in it, which foams up", 3),
        MILK("a mass with milk, which foams up", 3);

        private final String words;
        private final double times;

        Mass(String words, double times) {
            this.words = words;
            this.times = times;
        }

        public String words() {
            return words;
        }
    }

    private static final double FOAMING_PROTEIN = 0.003;
    /** Milk has more milk sugar than protein; fruit, nuts and egg have none. */
    private static final double MILK_SUGAR = 0.5;

    private static final double BOILING_CELSIUS = 100;

    /** Of what goes into the pot. */
    public static Foam of(Composition pot) {
        double protein = pot.grams(Part.PROTEIN);
        boolean foams = protein > FOAMING_PROTEIN * pot.totalGrams();
        boolean milk = pot.grams(Part.LACTOSE) > MILK_SUGAR * protein;
        Mass mass = !foams ? Mass.SYRUP : milk ? Mass.MILK : Mass.PROTEIN;
        double litres = pot.totalGrams() / ChoiOkos.densityGramsPerMl(pot, BOILING_CELSIUS) / 1000;
        return new Foam(litres, mass.times, mass);
    }

    /** Litres that it rises to: no smaller may the pot be. */
    public double potLitres() {
        return litres * times;
    }
}

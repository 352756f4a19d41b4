package org.zeststack.core.temper;

import org.zeststack.core.quantity.Range;

/**
 * A bowl that couverture stands in: what its walls hold of the heat.
 *
 * @param grams 0 where it is not reckoned with
 */
public record Bowl(double grams, Material material) {

    public static final Range GRAMS = new Range(0, 20_000, "g");
    public static final Bowl NONE = new Bowl(0, Material.STEEL);

    /** What bowls are made of, with heat capacities (handbook values, from memory). */
    public enum Material {
        GLASS("glass", 0.84),
        STEEL("steel", 0.5),
        POLYPROPYLENE("polypropylene", 1.9);

        private final String words;
        private final double kilojoulesPerKgKelvin;

        Material(String words, double kilojoulesPerKgKelvin) {
            this.words = words;
            this.kilojoulesPerKgKelvin = kilojoulesPerKgKelvin;
        }

        public String words() {
            return words;
        }
    }

    /** Heat that it gives up for each kelvin, J/K. */
    public double joulesPerKelvin() {
        return grams * material.kilojoulesPerKgKelvin;
    }
}

package org.zeststack.core.temper;

import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * How long a layer of couverture in temper takes to set in some air.
 *
 * <p>t = ρ d / (n h) · (c ln((T₀ − T_a)/(T_e − T_a)) + L w x g / (T_m − T_a)): what it holds goes by Newton's law, and what crystallises,
 * a share x of its cocoa butter w, on the way to set, of which g is gone, at the middle T_m of the way. ρ = 1270 kg/m³, c and L as for {@link Seed}, n faces that
 * the air reaches (handbook values, from memory; x and h are our own choice).
 */
public final class Setting {

    public static final Range THICK_MM = new Range(0.3, 40, "mm");
    public static final Range AIR_CELSIUS = new Range(-25, 24, "°C");

    private static final double DENSITY = 1.270;
    private static final double CRYSTALLISES = 0.6;
    private static final double MINUTE = 60;

    /** Where it may set, with what is usual there (common practice, no source). */
    public enum Where {
        ROOM(
                "in the room",
                18,
                8,
                "bars at " + Say.range(Say.celsius(18), Say.celsius(20))
                        + ": slow, the best gloss for coats and sheets"),
        REFRIGERATOR(
                "in the refrigerator",
                5,
                12,
                "shells and backs " + Say.range(Say.of(10, Measure.MINUTES), Say.of(20, Measure.MINUTES))
                        + ", then out: longer draws water"),
        FREEZER(
                "in the freezer",
                -18,
                12,
                "about " + Say.of(5, Measure.MINUTES)
                        + ", never longer: the shell cracks and sweats when it comes out"),
        LINE("in a tunnel", 12, 25, Say.of(12, Measure.MINUTES) + " at " + Say.celsius(12) + " on a line"),
        FROZEN("on a frozen surface", -18, 150, "strips and nests at once: they set dull and are for decoration");

        private final String words;
        private final double celsius;
        private final double wattsPerSquareMetre;
        private final String usual;

        Where(String words, double celsius, double wattsPerSquareMetre, String usual) {
            this.words = words;
            this.celsius = celsius;
            this.wattsPerSquareMetre = wattsPerSquareMetre;
            this.usual = usual;
        }

        public String words() {
            return words;
        }

        public double celsius() {
            return celsius;
        }

        public String usual() {
            return usual;
        }
    }

    private Setting() {}

    /**
     * A layer.
     *
     * @param cocoaButterFraction 0 to 1
     * @param faces that the air reaches: 1 on a sheet or in a mould, 2 for a coat that hangs free
     */
    public record Layer(TemperWindow window, double cocoaButterFraction, double thickMm, int faces) {}

    /**
     * Minutes from the working window until it is as cold as something is to be done with it.
     *
     * @param airCelsius at least a kelvin colder than that
     * @throws org.zeststack.core.quantity.InvalidInput outside the ranges, and where the air is too warm for it
     */
    public static double minutes(Layer layer, Where where, double airCelsius, double untilCelsius) {
        Faults faults = new Faults();
        faults.within("thickMm", layer.thickMm, THICK_MM);
        faults.within("airCelsius", airCelsius, new Range(AIR_CELSIUS.least(), untilCelsius - 1, "°C"));
        faults.throwIfAny();
        double from = (layer.window.work().least() + layer.window.work().greatest()) / 2;
        double gramsPerSquareMetre = 1000 * DENSITY * layer.thickMm;
        double conducts = layer.faces * where.wattsPerSquareMetre;
        double middle = (from + untilCelsius) / 2;
        double falls = Seed.SOLID * Math.log((from - airCelsius) / (untilCelsius - airCelsius));
        double gone = (from - untilCelsius)
                / (from - Thickness.SET.celsius(layer.window).greatest());
        double sets = Seed.LATENT * layer.cocoaButterFraction * CRYSTALLISES * gone / (middle - airCelsius);
        return gramsPerSquareMetre * (falls + sets) / conducts / MINUTE;
    }

    /** Minutes until it is set. */
    public static double minutes(Layer layer, Where where, double airCelsius) {
        return minutes(
                layer, where, airCelsius, Thickness.SET.celsius(layer.window).greatest());
    }
}

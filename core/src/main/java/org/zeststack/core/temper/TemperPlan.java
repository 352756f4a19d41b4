package org.zeststack.core.temper;

import static org.zeststack.core.quantity.Numbers.fixed;
import static org.zeststack.core.quantity.Numbers.plain;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.quantity.Range;

/**
 * What one method asks of one bowl, in the order of the work, each figure with what it rests on.
 *
 * @param lines what to do
 * @param seedGrams of seed or crystallised butter that melt in; 0 where none goes in
 * @param meltGrams to be melted; the whole bowl less the seed
 */
public record TemperPlan(Method method, List<Line> lines, double meltGrams, double seedGrams) {

    /** Seed in pieces does not all melt: of what is stirred in so much does, the rest is lifted out (common practice, no source). */
    private static final double MELTS_OF_PIECES = 0.7;

    /** Of a bowl on the slab (common practice, no source). */
    private static final double SLAB_SHARE = 2 / 3.0;

    /** Crystallised butter on the whole bowl, and where it goes in, °C (common practice, no source). */
    private static final double PREPARED_SHARE = 0.01;

    private static final Range PREPARED_CELSIUS = new Range(33, 34, "°C");

    /** Ice melts and its water warms to where a bath still cools, kJ/kg and °C (handbook values, from memory). */
    private static final double ICE = 334;

    private static final double WATER = 4.19;
    private static final double BATH_CELSIUS = 15;
    private static final double TAP_CELSIUS = 18;

    /** Of a partial melt so much cocoa butter melts, the rest is the seed (common practice, no source). */
    private static final double PARTLY = 0.75;

    /** Heat that a burst at half power brings into a bowl, W, and the longest of them, s (our own choice). */
    private static final double BURST_WATTS = 250;

    private static final double LONGEST_BURST = 30;
    private static final double SHORTEST_BURST = 8;
    private static final double BURST_KELVIN = 3;

    /**
     * A line of a plan.
     *
     * @param words what to do, with its figures
     * @param why what they rest on
     */
    public record Line(String words, String why) {}

    /**
     * A bowl to be brought into temper.
     *
     * @param grams of couverture in all, its seed with it
     * @param cocoaButterFraction of it
     * @param bowl that it stands in
     * @param roomCelsius where seed, ice's water and the couverture in pieces stand
     */
    public record Of(TemperWindow window, double grams, double cocoaButterFraction, Bowl bowl, double roomCelsius) {

        private double middle() {
            return (window.work().least() + window.work().greatest()) / 2;
        }

        private double melted() {
            return (window.meltOut().least() + window.meltOut().greatest()) / 2;
        }

        private double cooled() {
            return (window.coolTo().least() + window.coolTo().greatest()) / 2;
        }
    }

    /** The plan of a method. */
    public static TemperPlan of(Method method, Of of) {
        return switch (method) {
            case SEED -> seed(of);
            case SLAB -> slab(of);
            case BATH -> bath(of);
            case PARTIAL -> partial(of);
            case PREPARED_SEED -> prepared(of);
        };
    }

    private static Line melt(Of of, double grams) {
        return new Line(
                "Melt %s g to %s, stirring; nothing solid is left."
                        .formatted(fixed(grams, 0), of.window.meltOut().inWords()),
                "The window of the couverture: every crystal is gone there.");
    }

    private static Line proof(Of of) {
        return new Line(
                "Work at %s. Dip a proof first.".formatted(of.window.work().inWords()),
                "The working window of the couverture.");
    }

    /** Of the whole bowl G: m = (G c_l + B) ΔT / (c_s (T₂ − T_seed) + L w + c_l ΔT). */
    private static TemperPlan seed(Of of) {
        double fall = of.melted() - of.middle();
        double heat = Seed.SOLID * (of.middle() - of.roomCelsius) + Seed.LATENT * of.cocoaButterFraction;
        double seed = (of.grams * Seed.LIQUID + of.bowl.joulesPerKelvin()) * fall / (heat + Seed.LIQUID * fall);
        double stirred = seed / MELTS_OF_PIECES;
        String balance =
                "%s g × 1.65 and the bowl's %s J/K give up %s K; each gram of seed takes 1.40 × %s + 137 × %s = %s J"
                        .formatted(
                                fixed(of.grams - seed, 0),
                                fixed(of.bowl.joulesPerKelvin(), 0),
                                fixed(fall, 1),
                                fixed(of.middle() - of.roomCelsius, 1),
                                plain(of.cocoaButterFraction),
                                fixed(heat, 0));
        return new TemperPlan(
                Method.SEED,
                List.of(
                        melt(of, of.grams - seed),
                        new Line(
                                "Finely grated: stir in %s g of seed at %s °C, a handful at a time; all of it melts."
                                        .formatted(fixed(seed, 0), plain(of.roomCelsius)),
                                balance),
                        new Line(
                                "In pieces: stir in %s g, lift out about %s g that are left when it stands at %s °C."
                                        .formatted(fixed(stirred, 0), fixed(stirred - seed, 0), fixed(of.middle(), 1)),
                                "Of pieces about seven in ten melt (common practice, no source)."),
                        proof(of)),
                of.grams - seed,
                seed);
    }

    private static TemperPlan slab(Of of) {
        double kept = Slab.keptCelsius(SLAB_SHARE, of.cooled(), of.middle());
        return new TemperPlan(
                Method.SLAB,
                List.of(
                        melt(of, of.grams),
                        new Line(
                                "Work %s g on the slab down to %s; keep %s g in the bowl."
                                        .formatted(
                                                fixed(SLAB_SHARE * of.grams, 0),
                                                of.window.coolTo().inWords(),
                                                fixed((1 - SLAB_SHARE) * of.grams, 0)),
                                "Two thirds on the slab (common practice, no source)."),
                        new Line(
                                "The kept part must stand at %s °C when the slab comes back: warm it or let it cool to that. Together they land at %s °C."
                                        .formatted(fixed(kept, 1), fixed(of.middle(), 1)),
                                "(%s − 2/3 × %s) / (1/3)".formatted(fixed(of.middle(), 1), fixed(of.cooled(), 1))),
                        proof(of)),
                of.grams,
                0);
    }

    private static TemperPlan bath(Of of) {
        double kilojoules = (of.grams * Seed.LIQUID + of.bowl.joulesPerKelvin()) * (of.melted() - of.cooled()) / 1000;
        double water = of.grams;
        double warm = water / 1000 * WATER * (TAP_CELSIUS - BATH_CELSIUS);
        double ice = 1000 * (kilojoules + warm) / (ICE + WATER * BATH_CELSIUS);
        return new TemperPlan(
                Method.BATH,
                List.of(
                        melt(of, of.grams),
                        new Line(
                                "Set it over %s g of cold water with %s g of ice, stirring all of it, down to %s."
                                        .formatted(
                                                fixed(water, 0),
                                                fixed(ice, 0),
                                                of.window.coolTo().inWords()),
                                "%s kJ go into the bath, which ends at %s °C: ice takes 334 kJ/kg to melt."
                                        .formatted(fixed(kilojoules, 0), plain(BATH_CELSIUS))),
                        new Line(
                                "Wipe the bowl's foot and keep the water low: a drop in the bowl seizes it.",
                                "Common practice, no source."),
                        new Line(
                                "Warm it gently to %s."
                                        .formatted(of.window.work().inWords()),
                                "The wrong crystals melt, the right ones stay."),
                        proof(of)),
                of.grams,
                0);
    }

    private static TemperPlan partial(Of of) {
        double perGram = Seed.SOLID * (of.middle() - of.roomCelsius) + Seed.LATENT * of.cocoaButterFraction * PARTLY;
        double all = of.grams * perGram + of.bowl.joulesPerKelvin() * (of.middle() - of.roomCelsius);
        double perKelvin = of.grams * Seed.LIQUID + of.bowl.joulesPerKelvin();
        double burst = Math.max(SHORTEST_BURST, Math.min(LONGEST_BURST, perKelvin * BURST_KELVIN / BURST_WATTS));
        long bursts = Math.round(Math.max(1, all / BURST_WATTS / burst));
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(
                "Warm %s g in pieces in about %d bursts of %s s at half power, stirring after each."
                        .formatted(fixed(of.grams, 0), bursts, fixed(burst, 0)),
                "%s kJ melt about three quarters; a burst brings about %s K."
                        .formatted(fixed(all / 1000, 0), plain(BURST_KELVIN))));
        if (of.bowl.material() == Bowl.Material.GLASS && of.bowl.grams() > 0) {
            lines.add(new Line(
                    "Glass holds heat and goes on melting: wait a minute before the last bursts.",
                    "%s g of glass hold %s J for each kelvin."
                            .formatted(fixed(of.bowl.grams(), 0), fixed(of.bowl.joulesPerKelvin(), 0))));
        }
        lines.add(new Line(
                "Never over %s °C. Stop while some pieces are solid and stir until they are gone."
                        .formatted(plain(of.window.work().greatest())),
                "The top of the window: above it the seed that is in it melts."));
        lines.add(proof(of));
        return new TemperPlan(Method.PARTIAL, List.copyOf(lines), of.grams, 0);
    }

    private static TemperPlan prepared(Of of) {
        double butter = PREPARED_SHARE * of.grams;
        return new TemperPlan(
                Method.PREPARED_SEED,
                List.of(
                        melt(of, of.grams - butter),
                        new Line(
                                "Let it cool to %s, stirring.".formatted(PREPARED_CELSIUS.inWords()),
                                "Hotter, the butter's crystals melt away."),
                        new Line(
                                "Stir in %s g of crystallised cocoa butter of %s."
                                        .formatted(fixed(butter, 1), PREPARED_CELSIUS.inWords()),
                                "One per cent of the bowl (common practice, no source)."),
                        new Line(
                                "Stir it down to %s.".formatted(of.window.work().inWords()),
                                "The working window of the couverture."),
                        proof(of)),
                of.grams - butter,
                butter);
    }
}

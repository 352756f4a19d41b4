package org.zeststack.core.temper;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * What one method asks of one bowl, in the order of the work, each figure with what it rests on.
 *
 * @param lines what to do
 * @param seedGrams of seed or crystallised butter that melt in; 0 where none goes in
 * @param meltGrams to be melted; the whole bowl less the seed
 * @param doses the other figures
 */
public record TemperPlan(Method method, List<Line> lines, double meltGrams, double seedGrams, Doses doses) {

    /**
     * Figures of one method; those of the others are 0.
     *
     * @param stirredGrams of pieces to stir in, of which the seed melts and the rest is lifted out
     * @param slabShare of the bowl that is worked on the slab
     * @param keptCelsius of the part in the bowl when the slab's comes back
     * @param waterGrams in the bath
     * @param iceGrams in it
     * @param burstSeconds length of one
     * @param bursts about how many
     * @param burstWatts heat that one brings while it lasts
     */
    public record Doses(
            double stirredGrams,
            double slabShare,
            double keptCelsius,
            double waterGrams,
            double iceGrams,
            double burstSeconds,
            long bursts,
            double burstWatts) {

        static final Doses NONE = new Doses(0, 0, 0, 0, 0, 0, 0, 0);
    }

    private static final String FELT = "Common practice, no source: without a thermometer the proof decides.";

    /** Seed in pieces does not all melt: of what is stirred in so much does, the rest is lifted out (common practice, no source). */
    private static final double MELTS_OF_PIECES = 0.7;

    /** Of a bowl on the slab (common practice, no source). */
    public static final double SLAB_SHARE = 2 / 3.0;

    /** Crystallised butter on the whole bowl, and where it goes in, °C (common practice, no source). */
    private static final double PREPARED_SHARE = 0.01;

    public static final Range PREPARED_CELSIUS = new Range(33, 34, "°C");

    /** A bowl that was cooled is stirred so long before it is warmed (common practice, no source). */
    public static final int THICKENS_MINUTES = 3;

    /** Ice melts and its water warms to where a bath still cools, kJ/kg and °C (handbook values, from memory). */
    private static final double ICE = 334;

    private static final double WATER = 4.19;
    private static final double BATH_CELSIUS = 15;
    private static final double TAP_CELSIUS = 18;

    /** Of a partial melt so much cocoa butter melts, the rest is the seed (common practice, no source). */
    private static final double PARTLY = 0.75;

    /** Heat that a burst at half power brings into a bowl, W, and the longest of them, s (our own choice). */
    static final double BURST_WATTS = 250;

    /** At the lowest power, for bowls that half power would heat too fast. */
    private static final double LEAST_WATTS = 80;

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
     * @param measured whether there is a thermometer in it
     */
    public record Of(
            TemperWindow window,
            double grams,
            double cocoaButterFraction,
            Bowl bowl,
            double roomCelsius,
            boolean measured) {

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
        return of.measured
                ? new Line(
                        "Melt %s to %s, stirring; nothing solid is left."
                                .formatted(
                                        Say.grams(grams, 0), of.window.meltOut().inWords()),
                        "The window of the couverture: every crystal is gone there.")
                : new Line(
                        "Melt %s over steam until no lump is left and a drop feels warm on the lip, not hot."
                                .formatted(Say.grams(grams, 0)),
                        FELT);
    }

    private static Line proof(Of of) {
        return of.measured
                ? new Line(
                        "Work at %s. Dip a proof first."
                                .formatted(of.window.work().inWords()),
                        "The working window of the couverture.")
                : new Line(
                        "A drop feels just cool on the lip, and it runs off the spatula in one thread. Dip a proof: in a room of "
                                + Say.celsius(20) + " it sets soon and with gloss.",
                        "The lip is warmer than the working window. " + FELT);
    }

    /** The figure where there is a thermometer, else what is felt. */
    private static String there(Of of, String celsius, String felt) {
        return of.measured ? celsius : felt;
    }

    /** Of the whole bowl G: m = (G c_l + B) ΔT / (c_s (T₂ − T_seed) + L w + c_l ΔT). */
    private static TemperPlan seed(Of of) {
        double fall = of.melted() - of.middle();
        double heat = Seed.SOLID * (of.middle() - of.roomCelsius) + Seed.LATENT * of.cocoaButterFraction;
        double seed = (of.grams * Seed.LIQUID + of.bowl.joulesPerKelvin()) * fall / (heat + Seed.LIQUID * fall);
        double inPieces = stirred(of, fall);
        double melts = MELTS_OF_PIECES * inPieces;
        String balance = "%s × %s and the bowl's %s give up %s; each gram of seed takes %s × %s + %s × %s = %s"
                .formatted(
                        Say.grams(of.grams - seed, 0),
                        Say.number(Seed.LIQUID, 2),
                        Say.of(of.bowl.joulesPerKelvin(), 0, Measure.JOULES_PER_KELVIN),
                        Say.kelvin(fall, 1),
                        Say.number(Seed.SOLID, 2),
                        Say.number(of.middle() - of.roomCelsius, 1),
                        Say.number(Seed.LATENT),
                        Say.number(of.cocoaButterFraction),
                        Say.of(heat, 0, Measure.JOULES));
        return new TemperPlan(
                Method.SEED,
                List.of(
                        melt(of, of.grams - seed),
                        new Line(
                                "Finely grated: stir in %s of seed at %s, a handful at a time; all of it melts."
                                        .formatted(Say.grams(seed, 0), Say.celsius(of.roomCelsius)),
                                balance),
                        new Line(
                                "In pieces: melt %s, stir in %s, lift out about %s that are left when %s."
                                        .formatted(
                                                Say.grams(of.grams - melts, 0),
                                                Say.grams(inPieces, 0),
                                                Say.grams(inPieces - melts, 0),
                                                there(
                                                        of,
                                                        "it stands at %s".formatted(Say.celsius(of.middle(), 1)),
                                                        "they hardly melt any more")),
                                "Of pieces about %s melt (common practice, no source); all of them warm."
                                        .formatted(Say.percent(100 * MELTS_OF_PIECES))),
                        new Line(
                                "Seed is couverture of this kind that is in temper itself: glossy, with a snap.",
                                "Bloomed seed brings the wrong crystals."),
                        proof(of)),
                of.grams - seed,
                seed,
                new Doses(inPieces, 0, 0, 0, 0, 0, 0, 0));
    }

    /**
     * Seed in pieces for a bowl of G in all, with what melts of it: s = (G c_l + B) ΔT / (c_s (T₂ − T_seed) + x L w + x c_l ΔT), x the
     * share that melts. What is lifted out has been warmed too.
     */
    private static double stirred(Of of, double fall) {
        double each = Seed.SOLID * (of.middle() - of.roomCelsius)
                + MELTS_OF_PIECES * (Seed.LATENT * of.cocoaButterFraction + Seed.LIQUID * fall);
        return (of.grams * Seed.LIQUID + of.bowl.joulesPerKelvin()) * fall / each;
    }

    private static TemperPlan slab(Of of) {
        double kept = Slab.keptCelsius(SLAB_SHARE, of.cooled(), of.middle());
        return new TemperPlan(
                Method.SLAB,
                List.of(
                        melt(of, of.grams),
                        new Line(
                                "Work %s on the slab %s; keep %s in the bowl."
                                        .formatted(
                                                Say.grams(SLAB_SHARE * of.grams, 0),
                                                there(
                                                        of,
                                                        "down to %s, until it thickens"
                                                                .formatted(
                                                                        of.window
                                                                                .coolTo()
                                                                                .inWords()),
                                                        "until it thickens to a soft paste and feels cold on the lip"),
                                                Say.grams((1 - SLAB_SHARE) * of.grams, 0)),
                                "%s on the slab (common practice, no source)."
                                        .formatted(Say.percent(100 * SLAB_SHARE, 0))),
                        of.measured
                                ? new Line(
                                        "The kept part must stand at %s when the slab comes back: warm it or let it cool to that. Together they land at %s."
                                                .formatted(Say.celsius(kept, 1), Say.celsius(of.middle(), 1)),
                                        "(%s − %s × %s) / %s"
                                                .formatted(
                                                        Say.number(of.middle(), 1),
                                                        Say.number(SLAB_SHARE, 3),
                                                        Say.number(of.cooled(), 1),
                                                        Say.number(1 - SLAB_SHARE, 3)))
                                : new Line(
                                        "The kept part must be no more than hand-warm when the slab comes back: as hot as it was melted it ruins both.",
                                        FELT),
                        proof(of)),
                of.grams,
                0,
                new Doses(0, SLAB_SHARE, kept, 0, 0, 0, 0, 0));
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
                                "Set it over %s of cold water with %s of ice, stirring all of it, %s."
                                        .formatted(
                                                Say.grams(water, 0),
                                                Say.grams(ice, 0),
                                                there(
                                                        of,
                                                        "down to "
                                                                + of.window
                                                                        .coolTo()
                                                                        .inWords(),
                                                        "until it thickens at the wall and feels cold on the lip")),
                                "%s go into the bath, which ends at %s: ice takes %s to melt."
                                        .formatted(
                                                Say.of(kilojoules, 0, Measure.KILOJOULES),
                                                Say.celsius(BATH_CELSIUS),
                                                Say.of(ICE, Measure.KILOJOULES_PER_KILOGRAM))),
                        new Line(
                                "Wipe the bowl's foot and keep the water low: a drop in the bowl seizes it.",
                                "Common practice, no source."),
                        new Line(
                                "Off the bath, stir it there for %s: it thickens as crystals form."
                                        .formatted(Say.of(THICKENS_MINUTES, 0, Measure.MINUTES)),
                                "Common practice, no source."),
                        new Line(
                                "Warm it gently %s."
                                        .formatted(there(
                                                of,
                                                "to " + of.window.work().inWords(),
                                                "for a few seconds at a time, until it just runs again")),
                                "The wrong crystals melt, the right ones stay."),
                        proof(of)),
                of.grams,
                0,
                new Doses(0, 0, 0, water, ice, 0, 0, 0));
    }

    private static TemperPlan partial(Of of) {
        double perGram = Seed.SOLID * (of.middle() - of.roomCelsius) + Seed.LATENT * of.cocoaButterFraction * PARTLY;
        double all = of.grams * perGram + of.bowl.joulesPerKelvin() * (of.middle() - of.roomCelsius);
        double perKelvin = of.grams * Seed.LIQUID + of.bowl.joulesPerKelvin();
        boolean small = perKelvin * BURST_KELVIN / BURST_WATTS < SHORTEST_BURST;
        double watts = small ? LEAST_WATTS : BURST_WATTS;
        double burst = Math.min(LONGEST_BURST, perKelvin * BURST_KELVIN / watts);
        long bursts = Math.round(Math.max(1, all / watts / burst));
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(
                "Warm %s in pieces in about %d bursts of %s at %s power, stirring after each."
                        .formatted(
                                Say.grams(of.grams, 0),
                                bursts,
                                Say.of(burst, 0, Measure.SECONDS),
                                small ? "the lowest" : "half"),
                "%s melt about %s; a burst brings about %s."
                        .formatted(
                                Say.of(all / 1000, 0, Measure.KILOJOULES),
                                Say.percent(100 * PARTLY),
                                Say.kelvin(watts * burst / perKelvin, 1))));
        if (of.bowl.material() == Bowl.Material.GLASS && of.bowl.grams() > 0) {
            lines.add(new Line(
                    "Glass holds heat and goes on melting: wait a minute before the last bursts.",
                    "%s of glass hold %s for each kelvin."
                            .formatted(
                                    Say.grams(of.bowl.grams(), 0),
                                    Say.of(of.bowl.joulesPerKelvin(), 0, Measure.JOULES))));
        }
        lines.add(new Line(
                "%s Stop while about %s of the pieces is solid and stir until they are gone."
                        .formatted(
                                there(
                                        of,
                                        "Never over %s."
                                                .formatted(Say.celsius(
                                                        of.window.work().greatest())),
                                        "A drop never feels warm on the lip."),
                                Say.percent(100 * (1 - PARTLY))),
                "Above the top of the window the seed that is in it melts."));
        lines.add(new Line(
                "The pieces must be in temper: glossy, with a snap, without bloom.",
                "They are the seed; nothing else makes crystals here."));
        lines.add(proof(of));
        return new TemperPlan(
                Method.PARTIAL, List.copyOf(lines), of.grams, 0, new Doses(0, 0, 0, 0, 0, burst, bursts, watts));
    }

    private static TemperPlan prepared(Of of) {
        double butter = PREPARED_SHARE * of.grams;
        return new TemperPlan(
                Method.PREPARED_SEED,
                List.of(
                        melt(of, of.grams - butter),
                        new Line(
                                "Let it cool to %s, stirring.%s"
                                        .formatted(
                                                PREPARED_CELSIUS.inWords(),
                                                there(of, "", " That cannot be felt: borrow a thermometer for it.")),
                                "Hotter, the butter's crystals melt away."),
                        new Line(
                                "Stir in %s of crystallised cocoa butter of %s."
                                        .formatted(Say.grams(butter, 1), PREPARED_CELSIUS.inWords()),
                                "%s of the bowl (common practice, no source)."
                                        .formatted(Say.percent(100 * PREPARED_SHARE))),
                        new Line(
                                "Stir it down %s."
                                        .formatted(there(
                                                of,
                                                "to " + of.window.work().inWords(),
                                                "until a drop feels just cool on the lip")),
                                "The working window of the couverture."),
                        proof(of)),
                of.grams - butter,
                butter,
                Doses.NONE);
    }
}

package org.zeststack.core.sugar;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.water.Boiling;
import org.zeststack.core.water.Solution;

/** What to do with a cooked mass that did not come out, in grams of this batch. */
public final class Remedies {

    /**
     * One remedy.
     *
     * @param when what is wrong
     * @param advice what to do, with its arithmetic
     * @param caution what can hurt; empty where nothing
     */
    public record Remedy(String when, String advice, String caution) {}

    private static final String SPITS =
            "It boils up and spits: off the heat, pour slowly at arm's length, long sleeves, nobody beside you, children out of the room.";
    private static final String HOT = "Burns as deep as when it was first cooked.";
    /** A spoon of liquid for a kilogram of split caramel (common practice, no source). */
    private static final double SPLIT_SHARE = 0.015;
    /** Mass melted down again needs some water over its own to dissolve evenly (common practice, no source). */
    private static final double MELT_SHARE = 0.05;
    /** Crystals are gone for certain where so much of what is dissolved and water is dissolved (common practice, no source). */
    private static final double DISSOLVES_AT = 0.75;
    /** One step of firmness, K (common practice, no source). */
    private static final double FIRMER_KELVIN = 1.5;

    private Remedies() {}

    /**
     * Remedies for a mass that was to stop at its cook's stop.
     *
     * @param seaLevelCelsius where it boils as at sea level, or did when it was taken off
     */
    public static List<Remedy> of(Cook cook, double seaLevelCelsius) {
        List<Remedy> remedies = new ArrayList<>();
        tooFar(cook, seaLevelCelsius, remedies);
        tooSoft(cook, remedies);
        Composition after = cook.after();
        if (after.grams(Part::isFat) > 0) {
            remedies.add(new Remedy(
                    "Fat stands on it",
                    "Off the heat, let it cool to about %s and whisk in hot water or cream by the spoon, up to %s."
                            .formatted(Say.celsius(90), Say.grams(SPLIT_SHARE * after.totalGrams(), 0)),
                    HOT));
        }
        double water = after.dissolvedGrams() * (1 - DISSOLVES_AT) / DISSOLVES_AT - after.waterGrams();
        if (after.grams(Part.SUCROSE) > 0 && water > 0) {
            remedies.add(new Remedy(
                    "It is grainy",
                    ("Back into the pot with %s of water, to %s dissolved. Warm gently until a drop between the fingers has no grain, "
                                    + "wash the sides down, then cook to the stop without stirring crystals in.")
                            .formatted(Say.grams(water, 0), Say.percent(100 * DISSOLVES_AT, 0)),
                    SPITS));
        }
        return remedies;
    }

    private static void tooFar(Cook cook, double seaLevelCelsius, List<Remedy> remedies) {
        try {
            Rescue water = Rescue.of(cook.before(), seaLevelCelsius, cook.stopCelsius(), Rescue.With.WATER);
            Rescue cream = Rescue.of(cook.before(), seaLevelCelsius, cook.stopCelsius(), Rescue.With.CREAM35);
            boolean creamy = cook.before().grams(Part.MILK_FAT) > 0;
            String lacks = "%s of water are missing. ".formatted(Say.grams(water.addGrams(), 0));
            String pour = creamy
                    ? "Pour in %s of hot water, or %s of hot cream of 35 %% fat, "
                            .formatted(Say.grams(water.pourGrams(), 0), Say.grams(cream.pourGrams(), 0))
                    : "Pour in %s of hot water, ".formatted(Say.grams(water.pourGrams(), 0));
            remedies.add(new Remedy(
                    "It went too far",
                    lacks + pour + "a little more than that, and boil it to the same reading again.",
                    SPITS));
        } catch (InvalidInput | Refusal notPast) {
            // It did not go too far, or there is no figure for it.
        }
    }

    private static void tooSoft(Cook cook, List<Remedy> remedies) {
        try {
            double firmer = cook.stopCelsius() + FIRMER_KELVIN;
            Cook further = Cook.to(cook.before(), firmer, Atmosphere.SEA_LEVEL_KPA);
            double here =
                    Boiling.celsius(Solution.in(cook.before()), further.after().waterGrams(), cook.pressureKpa());
            remedies.add(new Remedy(
                    "Too soft when cold",
                    ("Back into the pot with %s of water so that it melts evenly, and cook to a true %s here, %s further: "
                                    + "%s less water in it than now.")
                            .formatted(
                                    Say.grams(MELT_SHARE * cook.cookedGrams(), 0),
                                    Say.celsius(here, 1),
                                    Say.kelvin(here - cook.stopCelsiusHere(), 1),
                                    Say.grams(
                                            cook.after().waterGrams()
                                                    - further.after().waterGrams(),
                                            0)),
                    HOT));
        } catch (Refusal refusal) {
            // No figure there.
        }
    }
}

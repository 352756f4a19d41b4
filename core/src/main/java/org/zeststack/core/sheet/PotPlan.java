package org.zeststack.core.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What goes into which pot of a batch, and when, frozen with its sheet.
 *
 * @param start what is in the first pot at first
 * @param pours what is poured into it while it cooks, in the order of the work
 * @param second what is cooked in a second pot; empty where there is none
 * @param bowl what is dried on the heat once all is joined; empty where nothing is
 */
public record PotPlan(Mass start, List<Pour> pours, Optional<Second> second, Optional<Bowl> bowl) {

    /** So much of it, as the pots of a batch of its own. */
    PotPlan of(String batch, double share) {
        List<Pour> poured = new ArrayList<>();
        for (Pour pour : pours) {
            poured.add(new Pour(Pour.step(batch, poured.size()), pour.names, pour.mass.times(share), pour.at));
        }
        return new PotPlan(start.times(share), poured, second.map(s -> s.times(share)), bowl.map(b -> b.times(share)));
    }

    /**
     * What is dried until it leaves the bowl.
     *
     * @param mass as it is joined
     * @param doneGrams what it weighs when it is dry enough; empty where the formula says nothing of that
     */
    public record Bowl(Mass mass, OptionalDouble doneGrams) {

        private Bowl times(double share) {
            return new Bowl(mass.times(share), Some.times(doneGrams, share));
        }
    }

    /**
     * Poured in while it cooks.
     *
     * @param step id of the step that does it
     * @param names of what is poured in
     * @param at when the pot is so hot; empty where its step ends by another sign
     */
    public record Pour(String step, List<String> names, Mass mass, Optional<At> at) {

        /** Id of the step that pours into the pot of a batch. */
        public static String step(String component, int number) {
            return "pour:" + component + ":" + number;
        }
    }

    /**
     * How hot a pot is when something is poured in, °C.
     *
     * @param seaLevel as at sea level
     * @param reading what this thermometer shows then
     */
    public record At(double seaLevel, double reading) {}

    /**
     * A second pot.
     *
     * @param names of what is in it
     * @param cookedGrams what it holds at the stop
     */
    public record Second(List<String> names, Mass mass, Stop stop, double cookedGrams) {

        private Second times(double share) {
            return new Second(names, mass.times(share), stop, cookedGrams * share);
        }
    }
}

package org.zeststack.core.run;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.sugar.Moistures;

/**
 * What goes into which pot of a batch, and when, frozen with its sheet.
 *
 * @param start what is in the first pot at first
 * @param pours what is poured into it while it cooks, in the order of the work
 * @param second what is cooked in a second pot; null where there is none
 * @param bowl what is dried on the heat once all is joined; null where nothing is
 */
public record PotPlan(Mass start, List<Pour> pours, Second second, Bowl bowl) {

    /** So much of it, as the pots of a batch of its own. */
    PotPlan of(String batch, double share) {
        List<Pour> poured = new ArrayList<>();
        for (Pour pour : pours) {
            poured.add(new Pour(
                    StepList.pour(batch, poured.size()),
                    pour.names,
                    pour.mass.times(share),
                    pour.atCelsius,
                    pour.reading));
        }
        return new PotPlan(
                start.times(share),
                poured,
                second == null ? null : second.times(share),
                bowl == null ? null : bowl.times(share));
    }

    /** A mass as a sheet keeps it. */
    public record Mass(Map<Part, Double> grams, double dextroseEquivalent) {

        static Mass of(Composition mass) {
            return new Mass(mass.byPart(), mass.dextroseEquivalent());
        }

        public Composition composition() {
            return Composition.of(grams, dextroseEquivalent);
        }

        static Map<Part, Double> times(Map<Part, Double> grams, double share) {
            Map<Part, Double> some = new LinkedHashMap<>();
            grams.forEach((part, of) -> some.put(part, of * share));
            return some;
        }

        private Mass times(double share) {
            return new Mass(times(grams, share), dextroseEquivalent);
        }
    }

    /**
     * What is dried until it leaves the bowl.
     *
     * @param mass as it is joined
     * @param doneGrams what it weighs when it is dry enough; null where the formula says nothing of that
     */
    public record Bowl(Mass mass, Double doneGrams) {

        /** How moist it is where it weighs so much; empty where it cannot weigh that. */
        public Optional<Double> moisture(double grams) {
            return Moistures.of(mass.composition(), grams);
        }

        private Bowl times(double share) {
            return new Bowl(mass.times(share), doneGrams == null ? null : Double.valueOf(doneGrams * share));
        }
    }

    /**
     * Poured in while it cooks.
     *
     * @param step id of the step that does it
     * @param names of what is poured in
     * @param atCelsius when the pot is so hot, as at sea level; null where its step ends by another sign
     * @param reading what this thermometer shows then; null likewise
     */
    public record Pour(String step, List<String> names, Mass mass, Double atCelsius, Double reading) {}

    /**
     * A second pot.
     *
     * @param names of what is in it
     * @param stopCelsius sea-level target
     * @param stopCelsiusHere true temperature at this place
     * @param stopReading what this thermometer shows then
     * @param cookedGrams what it holds at the stop
     */
    public record Second(
            List<String> names,
            Mass mass,
            double stopCelsius,
            double stopCelsiusHere,
            double stopReading,
            double cookedGrams) {

        private Second times(double share) {
            return new Second(names, mass.times(share), stopCelsius, stopCelsiusHere, stopReading, cookedGrams * share);
        }
    }
}

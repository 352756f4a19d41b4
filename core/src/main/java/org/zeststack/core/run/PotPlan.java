package org.zeststack.core.run;

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

    /** A mass as a sheet keeps it. */
    public record Mass(Map<Part, Double> grams, double dextroseEquivalent) {

        static Mass of(Composition mass) {
            return new Mass(mass.byPart(), mass.dextroseEquivalent());
        }

        public Composition composition() {
            return Composition.of(grams, dextroseEquivalent);
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
            double cookedGrams) {}
}

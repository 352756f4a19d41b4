package org.zeststack.core.household;

import java.util.ArrayList;
import java.util.List;

/**
 * A line as it was read. Nothing of it is dropped: what was not understood stands in the marks.
 *
 * @param source the line as written
 * @param amount number read; null where none
 * @param unit what the amount counts, for example {@code cup}; empty for pieces and where none was read
 * @param ingredient slug; null where none is known
 * @param grams null where not known
 * @param guesses what was taken without being certain, in words; empty where nothing was
 * @param others slugs that might be meant instead
 * @param toEffect whether the amount is left to hand and eye
 * @param optional whether the line says it may be left out
 * @param pieces counted pieces such as eggs; null where the line counts none
 * @param preparation what follows the name, as written
 * @param understood whether every word of the name is accounted for
 */
public record HouseholdLine(
        String source,
        Double amount,
        String unit,
        String ingredient,
        Double grams,
        List<String> guesses,
        List<String> others,
        boolean toEffect,
        boolean optional,
        Double pieces,
        String preparation,
        boolean understood) {

    public HouseholdLine {
        guesses = List.copyOf(guesses);
        others = List.copyOf(others);
    }

    /** The same, as part of another line. */
    HouseholdLine from(String line) {
        return new HouseholdLine(
                line,
                amount,
                unit,
                ingredient,
                grams,
                guesses,
                others,
                toEffect,
                optional,
                pieces,
                preparation,
                understood);
    }

    /** Whether its amount depends on whose cups, spoons and pints are meant. */
    public boolean ofTheKitchen() {
        return Unit.of(unit).map(Unit::ofTheKitchen).orElse(false) || unit.equals(Unit.FLUID_OUNCE.word());
    }

    /** The same with one thing more that is not certain. */
    public HouseholdLine marked(String guess) {
        List<String> all = new ArrayList<>(guesses);
        all.add(guess);
        return new HouseholdLine(
                source,
                amount,
                unit,
                ingredient,
                grams,
                all,
                others,
                toEffect,
                optional,
                pieces,
                preparation,
                understood);
    }

    /** Whether ingredient and grams are known without any guess. */
    public boolean certain() {
        return ingredient != null && grams != null && guesses.isEmpty();
    }
}

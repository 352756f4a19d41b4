package org.zeststack.core.formula;

import java.util.List;

/**
 * One line of a formula.
 *
 * @param ingredient slug, or the link of another formula's version, see {@link FormulaLink}
 * @param grams 0.01 to 1 000 000 g
 * @param role when it goes in
 * @param pieces counted pieces such as eggs, which are kept whole when scaled; null where nothing is counted
 * @param toEffect whether the grams are a starting point only and the bench records what was used
 * @param upToGrams the most that may be used to effect; null where that is not known
 * @param step number of the method's step it goes in at, from 1; null where none is named
 * @param written the line as it was typed or pasted; empty where grams were written
 * @param guesses what was taken without being certain and has not been confirmed
 */
public record FormulaLine(
        String ingredient,
        double grams,
        Role role,
        Double pieces,
        Boolean toEffect,
        Integer step,
        String written,
        List<String> guesses,
        Double upToGrams) {

    public FormulaLine {
        toEffect = toEffect != null && toEffect;
        written = written == null ? "" : written;
        guesses = guesses == null ? List.of() : List.copyOf(guesses);
    }

    /** A plain line of grams. */
    public FormulaLine(String ingredient, double grams, Role role) {
        this(ingredient, grams, role, null, false, null, "", List.of());
    }

    /** A line that is used as it is written, or to effect without anybody having said how much that may be. */
    public FormulaLine(
            String ingredient,
            double grams,
            Role role,
            Double pieces,
            Boolean toEffect,
            Integer step,
            String written,
            List<String> guesses) {
        this(ingredient, grams, role, pieces, toEffect, step, written, guesses, null);
    }

    /** The same line with another mass; counted pieces and what may be used to effect follow. */
    public FormulaLine withGrams(double other) {
        Double count = pieces == null ? null : Double.valueOf(pieces * other / grams);
        Double most = upToGrams == null ? null : Double.valueOf(upToGrams * other / grams);
        return new FormulaLine(ingredient, other, role, count, toEffect, step, written, guesses, most);
    }

    /** The same line going in at another place. */
    public FormulaLine at(Role other) {
        return new FormulaLine(ingredient, grams, other, pieces, toEffect, step, written, guesses, upToGrams);
    }

    /** The most of it that may go in. */
    public double mostGrams() {
        return toEffect && upToGrams != null ? upToGrams : grams;
    }

    public boolean counts() {
        return role != Role.OPTIONAL;
    }

    /** When a line goes in. */
    public enum Role {
        /** From the start; cooked with the rest. */
        POT("in the pot"),
        /** After the stop; its water stays. */
        OFF_HEAT("off the heat"),
        /** Once the mass has cooled a little: nuts, chocolate, whites. */
        WARM("folded in warm"),
        /** May be left out; not counted. */
        OPTIONAL("optional, not counted");

        private final String words;

        Role(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}

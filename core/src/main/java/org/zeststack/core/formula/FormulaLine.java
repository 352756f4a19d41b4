package org.zeststack.core.formula;

/**
 * One line of a formula.
 *
 * @param ingredient slug
 * @param grams 0.01 to 1 000 000 g
 * @param role when it goes in
 */
public record FormulaLine(String ingredient, double grams, Role role) {

    /** When a line goes in. */
    public enum Role {
        /** From the start; cooked with the rest. */
        POT("in the pot"),
        /** After the stop; its water stays. */
        OFF_HEAT("off the heat");

        private final String words;

        Role(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}

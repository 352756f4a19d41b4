package org.zeststack.core.sheet;

/**
 * One line of a scaled formula.
 *
 * @param toEffect whether the bench writes down what was really used
 * @param mostGrams the most of it that may be used: to have ready
 */
public record BatchLine(String ingredient, String name, double grams, String role, boolean toEffect, double mostGrams) {

    public BatchLine(String ingredient, String name, double grams, String role, boolean toEffect) {
        this(ingredient, name, grams, role, toEffect, grams);
    }

    /** Whether it has a range. */
    public boolean ranges() {
        return mostGrams > grams * 1.001;
    }

    /** The line for one of so many equal batches. */
    public BatchLine times(double share) {
        return new BatchLine(ingredient, name, grams * share, role, toEffect, mostGrams * share);
    }
}

package org.zeststack.core.quantity;

/**
 * The permitted range of a quantity, both ends included.
 *
 * @param least smallest permitted value, in {@code unit}
 * @param greatest largest permitted value, in {@code unit}
 * @param unit the unit as shown to people, for example {@code mm}
 */
public record Range(double least, double greatest, String unit) {

    public Range {
        if (!(least <= greatest)) {
            throw new IllegalArgumentException("range from " + least + " to " + greatest);
        }
    }

    /** Whether {@code amount} is a finite number inside the range. */
    public boolean holds(double amount) {
        return amount >= least && amount <= greatest;
    }

    /** The range in words, for example {@code 0 to 40 mm}. */
    public String inWords() {
        return Numbers.plain(least) + " to " + Numbers.plain(greatest) + (unit.isEmpty() ? "" : " " + unit);
    }
}

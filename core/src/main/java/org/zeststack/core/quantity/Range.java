package org.zeststack.core.quantity;

import java.util.Optional;

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
        Optional<Measure> measure = Measure.in(unit);
        return measure.map(m -> Say.range(Say.of(least, m), Say.of(greatest, m)))
                .orElseGet(() -> "%s %s".formatted(Say.range(Say.number(least), Say.number(greatest)), unit));
    }
}

package org.zeststack.core.sheet;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What is weighed out for a formula.
 *
 * @param factor what every line of the formula was multiplied by, apart from counted pieces
 * @param grams of everything
 * @param waterGrams water in it: no more can leave as steam; empty on older sheets
 * @param batches equal batches to make it in
 * @param sharedOut why there are several; empty where there is one
 */
public record WeighedOut(
        double factor, double grams, OptionalDouble waterGrams, List<BatchLine> lines, int batches, String sharedOut) {

    /** For one batch by itself, of so large a share. */
    WeighedOut times(double share) {
        return new WeighedOut(
                factor * share,
                grams * share,
                Some.times(waterGrams, share),
                lines.stream().map(l -> l.times(share)).toList(),
                1,
                "");
    }
}

package org.zeststack.core.sheet;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What is cooked of a formula, all its batches together.
 *
 * @param pot what goes into the first pot; nothing where it is not cooked, and by eye on older sheets
 * @param stop empty where it is not cooked to a reading
 * @param cookedGrams what the pots hold at the stop; empty where none is made to a reading, and on older sheets
 * @param plan what of it goes into which pot, and when; empty likewise
 */
public record Cooking(Mass pot, Optional<Stop> stop, OptionalDouble cookedGrams, Optional<PotPlan> plan) {

    /** In the pots of a batch of its own. */
    Cooking of(String batch, double share) {
        return new Cooking(pot.times(share), stop, Some.times(cookedGrams, share), plan.map(p -> p.of(batch, share)));
    }
}

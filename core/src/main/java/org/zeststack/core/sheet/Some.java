package org.zeststack.core.sheet;

import java.util.OptionalDouble;

/** Arithmetic on what may not be known. */
final class Some {

    private Some() {}

    static OptionalDouble times(OptionalDouble of, double share) {
        return of.isPresent() ? OptionalDouble.of(of.getAsDouble() * share) : of;
    }
}

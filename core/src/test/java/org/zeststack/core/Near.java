package org.zeststack.core;

import static org.testng.Assert.assertTrue;

/** Comparisons that say what was expected, within what, and where the figure comes from. */
public final class Near {

    private Near() {}

    public static void near(double actual, double expected, double tolerance, String provenance) {
        assertTrue(
                Math.abs(actual - expected) <= tolerance,
                "got %s, expected %s ± %s (%s)".formatted(actual, expected, tolerance, provenance));
    }
}

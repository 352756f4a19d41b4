package org.zeststack.core.sheet;

import java.util.Optional;

/**
 * What is to come of a formula.
 *
 * @param leastGrams finished mass to have, the least where it ends by eye: usable and handling loss
 * @param mostGrams the most it may come to
 * @param by how it comes to its finished mass
 * @param airFraction air that it is planned with; 0 where it is not whipped
 * @param fat in it; empty on older sheets
 */
public record Finished(double leastGrams, double mostGrams, By by, double airFraction, Optional<Fat> fat) {

    /** How a formula comes to its finished mass. */
    public enum By {
        READING("steam"),
        EYE("steam"),
        BAKED("oven"),
        MIXED("mill and bowl");

        private final String loses;

        By(String loses) {
            this.loses = loses;
        }

        /** What takes the difference between weighed out and finished. */
        public String loses() {
            return loses;
        }
    }

    /**
     * Fat in a gram of it, g.
     *
     * @param other milk fat, nut oil and all that is not cocoa butter
     */
    public record Fat(double cocoaButter, double other) {}

    /** Whether it may come to more than the least. */
    public boolean spreads() {
        return mostGrams > leastGrams * 1.001;
    }

    Finished times(double share) {
        return new Finished(leastGrams * share, mostGrams * share, by, airFraction, fat);
    }
}

package org.zeststack.core.bar;

import io.soabase.recordbuilder.core.RecordBuilder;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;

/**
 * How a layer is handled, beyond what of it stays on a piece.
 *
 * @param technique how it is brought on; null where not said
 * @param missesFraction share of what is used that lands beside the piece; null where the technique's usual one holds
 * @param keepsGrams what the tool keeps of a run; null likewise
 * @param cutFrom the sheet that it is cut from; null where it is not
 * @param spareFraction made beyond what is laid, because some break
 * @param level which size of a stack of sizes it lies in, from 1 at the bottom; 0 in all of them
 * @param cover what of its outline is covered
 * @param oneHalf whether it is in one of two joined halves only
 */
@RecordBuilder
public record Handling(
        Technique technique,
        Double missesFraction,
        Double keepsGrams,
        CutFrom cutFrom,
        Double spareFraction,
        Integer level,
        Cover cover,
        Boolean oneHalf) {

    public static final Range MISSES = new Range(0, 0.9, "");
    public static final Range KEEPS_GRAMS = new Range(0, 2000, "g");
    public static final Range SPARE = new Range(0, 0.5, "");
    public static final Range LEVEL = new Range(0, Body.Sheet.MOST_SIZES, "");

    public static final Handling PLAIN = HandlingBuilder.builder().build();

    /** What of its outline a layer covers; what is piped is laid on each piece by itself. */
    public enum Cover {
        WHOLE("spread whole", 1, false),
        FULL("piped full", 1, true),
        RINGS("piped in rings", 0.6, true),
        DOTS("piped in dots", 0.5, true);

        private final String words;
        private final double share;
        private final boolean piped;

        Cover(String words, double share, boolean piped) {
            this.words = words;
            this.share = share;
            this.piped = piped;
        }

        public String words() {
            return words;
        }

        /** Usual share of the outline that is covered (common practice, no source); a mass in grams needs none. */
        public double share() {
            return share;
        }

        /** What a cut through the middle shows of it: from and to, of its width. */
        public double[][] across() {
            return switch (this) {
                case WHOLE, FULL -> new double[][] {{0, 1}};
                case RINGS -> new double[][] {{0.04, 0.22}, {0.41, 0.59}, {0.78, 0.96}};
                case DOTS -> new double[][] {{0.05, 0.2}, {0.3, 0.45}, {0.55, 0.7}, {0.8, 0.95}};
            };
        }

        /** Whether it is laid on each piece by itself, so that nothing is cut off. */
        public boolean piped() {
            return piped;
        }
    }

    public Handling {
        spareFraction = spareFraction == null ? Double.valueOf(0) : spareFraction;
        level = level == null ? Integer.valueOf(0) : level;
        cover = cover == null ? Cover.WHOLE : cover;
        oneHalf = oneHalf != null && oneHalf;
    }

    public static Handling by(Technique technique, Double missesFraction, Double keepsGrams) {
        return HandlingBuilder.builder()
                .technique(technique)
                .missesFraction(missesFraction)
                .keepsGrams(keepsGrams)
                .build();
    }

    public static Handling cut(CutFrom from, double spareFraction) {
        return HandlingBuilder.builder()
                .cutFrom(from)
                .spareFraction(spareFraction)
                .build();
    }

    public static Handling on(int level, Cover cover) {
        return HandlingBuilder.builder().level(level).cover(cover).build();
    }

    public static Handling inOneHalf() {
        return HandlingBuilder.builder().oneHalf(true).build();
    }

    /** Share of what is used that lands beside the piece. */
    public double misses() {
        return missesFraction != null ? missesFraction : technique == null ? 0 : technique.missesFraction();
    }

    /** What its tool keeps of a run, g. */
    public double keeps() {
        return keepsGrams != null ? keepsGrams : technique == null ? 0 : technique.keepsGrams();
    }

    void check(Faults faults, String field) {
        if (missesFraction != null) {
            faults.within(field + "misses", missesFraction, MISSES);
        }
        if (keepsGrams != null) {
            faults.within(field + "keepsGrams", keepsGrams, KEEPS_GRAMS);
        }
        if (cutFrom != null) {
            cutFrom.check(faults, field);
        }
        faults.within(field + "spare", spareFraction, SPARE);
        faults.within(field + "level", level, LEVEL);
    }
}

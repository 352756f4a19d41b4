package org.zeststack.core.ledger;

import java.util.List;

/**
 * Where the mass of one component went, in grams. The outs of the plan add up to what was weighed out; so do the measured ones as far
 * as everything was measured that must be.
 *
 * @param key component key
 * @param weighed everything weighed out or melted
 * @param finished on the scale when it was done
 * @param outs where it went
 * @param question what about the figures cannot be or is not known; empty where nothing
 */
public record MassFlow(String key, String name, Amount weighed, Amount finished, List<Out> outs, Question question) {

    /**
     * One figure.
     *
     * @param measured null where it was not measured
     */
    public record Amount(double planned, Double measured) {}

    /** Ways that mass takes. */
    public enum Way {
        STEAM("steam"),
        OVEN("out of the oven"),
        MILL("stays in mill and bowl"),
        INTO("into"),
        GOOD("in good pieces"),
        NOT_GOOD("in pieces not good"),
        NOT_COUNTED("in pieces not counted"),
        OFFCUTS("off-cuts"),
        SPARE("spare pieces"),
        KEPT("kept in brush, gun, bag or tray"),
        BACK("comes back"),
        LEFT("left in pots and bags"),
        SCRAPED("scraped off and left behind"),
        OVER("not laid");

        private final String words;

        Way(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * One way out.
     *
     * @param into the formula that took it; empty for other ways
     */
    public record Out(Way way, String into, Amount amount) {

        public String words() {
            return into.isEmpty() ? way.words() : way.words() + " " + into;
        }
    }

    /** What cannot be, or is not known. */
    public enum Question {
        NONE(""),
        NOT_EVERY_BATCH_WEIGHED("Not every batch was weighed back: what came of it in all is not known."),
        MORE_THAN_ITS_WATER(
                "More went off as steam than there was water in it: was everything in the pot weighed, and the tare taken off?"),
        HEAVIER_THAN_WEIGHED_OUT("It weighs more than what was weighed out: is the pot's own weight in it?"),
        MORE_LAID_THAN_THERE_WAS("More was laid than there was: look at the weigh-ins and the count.");

        private final String words;

        Question(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** The same with a graver question, where there is one. */
    MassFlow asked(Question graver) {
        return graver == Question.NONE ? this : new MassFlow(key, name, weighed, finished, outs, graver);
    }

    /** The planned or measured mass that went one way, over all that took it. */
    public Amount of(Way way) {
        double planned = 0;
        Double measured = 0.0;
        for (Out out : outs) {
            if (out.way == way) {
                planned += out.amount.planned;
                measured = measured == null || out.amount.measured == null
                        ? null
                        : Double.valueOf(measured + out.amount.measured);
            }
        }
        return new Amount(planned, measured);
    }

    /** What the plan does not account for; 0 apart from rounding. */
    public double openPlanned() {
        return weighed.planned
                - outs.stream().mapToDouble(o -> o.amount.planned).sum();
    }

    /** Whether every way was measured or follows from what was. */
    public boolean measured() {
        return outs.stream().allMatch(o -> o.amount.measured != null);
    }
}

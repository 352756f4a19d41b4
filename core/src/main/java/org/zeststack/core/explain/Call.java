package org.zeststack.core.explain;

/**
 * A judgement with its arithmetic.
 *
 * @param weight how serious
 * @param code stable name, for example {@code back-thin}
 * @param message what will happen and what would change it, in one or two sentences
 * @param arithmetic the numbers behind it
 * @param source where the bound comes from
 */
public record Call(Weight weight, String code, String message, String arithmetic, String source) {

    /** Three weights, told by word and shape first. */
    public enum Weight {
        WILL_FAIL("Will fail"),
        TAKE_CARE("Take care"),
        GOOD_TO_KNOW("Good to know");

        private final String words;

        Weight(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}

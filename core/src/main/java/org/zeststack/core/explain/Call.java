package org.zeststack.core.explain;

import java.util.Map;

/**
 * A judgement with its arithmetic.
 *
 * @param weight how serious
 * @param code stable name, for example {@code back-too-thin}
 * @param message what will happen and what would change it, in one or two sentences
 * @param arithmetic the numbers behind it
 * @param source where the bound comes from
 * @param change what would mend it; null where nothing can be proposed
 */
public record Call(Weight weight, String code, String message, String arithmetic, String source, Change change) {

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

    /**
     * A change that can be applied to the design.
     *
     * @param words verb first, for example "Fill 37.2 g"
     * @param fields new texts of the design's fields, by field name
     */
    public record Change(String words, Map<String, String> fields) {

        public Change {
            fields = Map.copyOf(fields);
        }
    }

    public Call(Weight weight, String code, String message, String arithmetic, String source) {
        this(weight, code, message, arithmetic, source, null);
    }
}

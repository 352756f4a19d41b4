package org.zeststack.core.explain;

import java.util.ArrayList;
import java.util.List;

/**
 * The arithmetic behind one number.
 *
 * @param title the number explained
 * @param lines the steps, in order
 * @param source where the rule comes from
 */
public record Working(String title, List<Line> lines, String source) {

    public Working {
        lines = List.copyOf(lines);
    }

    /**
     * One step.
     *
     * @param what what this step gives
     * @param arithmetic the arithmetic with its inputs and result
     */
    public record Line(String what, String arithmetic) {}

    public static Builder of(String title) {
        return new Builder(title);
    }

    /** Gathers lines while the computation goes on. */
    public static final class Builder {
        private final String title;
        private final List<Line> lines = new ArrayList<>();

        private Builder(String title) {
            this.title = title;
        }

        public Builder line(String what, String pattern, Object... inputs) {
            lines.add(new Line(what, pattern.formatted(inputs)));
            return this;
        }

        public Working from(String source) {
            return new Working(title, lines, source);
        }
    }
}

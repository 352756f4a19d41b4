package org.zeststack.store.run;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.run.Allowances;
import org.zeststack.core.run.RunSheet;

/**
 * A run.
 *
 * @param thermometer {@link Runs#WITHOUT} where it is made without one
 * @param lots lot taken, by slug or link of what it is a lot of
 * @param said what else was said when it was planned
 * @param sheet frozen at the start; empty while planned
 * @param sequence number of the newest entry or reading
 */
public record Run(
        long id,
        long bar,
        int barVersion,
        String barName,
        LocalDate plannedFor,
        int pieces,
        long thermometer,
        Allowances allowances,
        Map<String, Long> lots,
        Runs.Said said,
        Status status,
        Optional<RunSheet> sheet,
        long sequence,
        int lock,
        Instant startedAt,
        Instant closedAt) {

    /** Where a run stands. */
    public enum Status {
        PLANNED("planned"),
        STARTED("on the bench"),
        CLOSED("closed");

        private final String words;

        Status(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}

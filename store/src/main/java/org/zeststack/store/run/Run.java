package org.zeststack.store.run;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.sheet.NewerSheet;

/**
 * A run.
 *
 * @param thermometer {@link Runs#WITHOUT} where it is made without one
 * @param lots lot taken, by slug or link of what it is a lot of
 * @param said what else was said when it was planned
 * @param sheet frozen at the start; empty while planned, and where a newer release wrote it
 * @param newerForm form of the sheet where a newer release wrote it; 0 otherwise
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
        int newerForm,
        long sequence,
        int lock,
        Instant startedAt,
        Instant closedAt) {

    /** Whether this release reads its sheet, or it has none yet. */
    public boolean readable() {
        return newerForm == 0;
    }

    /**
     * The sheet of a run that was started.
     *
     * @throws NewerSheet where a newer release wrote it
     */
    public RunSheet frozen() {
        if (!readable()) {
            throw new NewerSheet(newerForm);
        }
        return sheet.orElseThrow();
    }

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

package org.zeststack.store.run;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.store.Part;

/** Keeps runs. */
public interface Runs {

    /**
     * What a run is planned with.
     *
     * @param thermometer its id; {@link #WITHOUT} where it is done by minutes, look, feel and weight
     * @param lots lot taken, by slug or link of what it is a lot of
     * @param said what else was said when it was planned
     */
    record Plan(
            long bar,
            int barVersion,
            String barName,
            LocalDate plannedFor,
            int pieces,
            long thermometer,
            Allowances allowances,
            Map<String, Long> lots,
            Said said) {

        public Plan(
                long bar,
                int barVersion,
                String barName,
                LocalDate plannedFor,
                int pieces,
                long thermometer,
                Allowances allowances,
                Map<String, Long> lots) {
            this(bar, barVersion, barName, plannedFor, pieces, thermometer, allowances, lots, Said.NOTHING);
        }
    }

    /** Stands for no thermometer. */
    long WITHOUT = 0;

    /**
     * What else is said of a run.
     *
     * @param variants lines planned that may be left out, as link of the formula, # and number of the line
     * @param against the run that it is made beside; null where none
     * @param difference the one thing in which it differs from that one; empty where there is none
     */
    record Said(List<String> variants, Long against, String difference) {

        public static final Said NOTHING = new Said(List.of(), null, "");

        public Said {
            variants = List.copyOf(variants);
        }

        public Said with(List<String> planned) {
            return new Said(planned, against, difference);
        }
    }

    long plan(Plan plan);

    Optional<Run> find(long id);

    /**
     * A run by name only, for the path and for lists.
     *
     * @param sequence how often something happened in it
     * @param bar the design that it makes
     */
    record Brief(
            long id,
            long sequence,
            long bar,
            String barName,
            int barVersion,
            LocalDate plannedFor,
            int pieces,
            Run.Status status,
            Instant startedAt,
            Instant closedAt) {}

    /** A run without its sheet. */
    Optional<Brief> brief(long id);

    /** Runs of some states without their sheets, newest day first, at most {@code most}. */
    List<Brief> brief(List<Run.Status> states, int most);

    /** All of some states. */
    default List<Brief> brief(List<Run.Status> states) {
        return brief(states, Integer.MAX_VALUE);
    }

    /** What a list is sorted by. */
    enum By {
        DAY("day"),
        BAR("bar"),
        STATE("how it stands");

        private final String words;

        By(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Runs of some states, one page of them.
     *
     * @param words what the bar's name with the words for the state holds, in capitals or not
     */
    Part<Brief> page(List<Run.Status> states, String words, By by, int page);

    /** The newest run of each of these bars that is in one of these states, by bar, in one query. */
    Map<Long, Brief> newestOf(Collection<Long> bars, List<Run.Status> states);

    /** The runs planned last that made each of these formulas, by formula, newest day first, in one query. */
    Map<Long, List<Brief>> newestWith(Collection<Long> formulas, int most);

    /** Some runs with their sheets, in one query. */
    List<Run> find(Collection<Long> ids);

    /** Runs of some states, newest day first. Sheets are read with them. */
    List<Run> list(List<Run.Status> states);

    /** The other arms of a comparison: the run that this one is made beside, and those made beside it; by number, without sheets. */
    List<Arm> arms(long id);

    /**
     * A run compared with another.
     *
     * @param difference the one thing in which one of the two differs, as the one made beside the other says
     * @param differs whether it is this one that differs
     */
    record Arm(long id, String barName, LocalDate plannedFor, Run.Status status, String difference, boolean differs) {}

    /** Takes these lots for a run that has not begun; false if it has. */
    boolean chooseLots(long id, Map<String, Long> lots);

    /** Plans these lines that may be left out for a run that has not begun; false if it has. */
    boolean chooseVariants(long id, List<String> variants);

    /** The newest started and closed runs whose sheet holds a component, newest day first. */
    List<Run> with(String componentKey, int most);

    /** The same without their sheets. */
    List<Brief> briefWith(String componentKey, int most);

    /** The newest closed runs that made a formula, in any of its versions, newest day first. */
    List<Run> made(long formula, int most);

    /**
     * Freezes the sheet, makes the components and opens the bench.
     *
     * @return false if the run was already started
     */
    boolean start(long id, RunSheet sheet, Instant now);

    /** Closes a run on the bench; false if it was not there. */
    boolean close(long id, Instant now);
}

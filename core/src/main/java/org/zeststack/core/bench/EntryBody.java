package org.zeststack.core.bench;

import java.util.Optional;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Range;

/** What the bench can write down: one of the kinds of {@link EntryKind}. Entries are only added; a mistake is corrected by another entry. */
public interface EntryBody {

    Range GRAMS = new Range(0.01, 1_000_000, "g");
    Range PIECES = new Range(1, 100_000, "pieces");
    int LONGEST_TEXT = 2000;

    /** Something about a pot, or about what comes of it. */
    interface OfPot extends EntryBody {
        /** Key of the batch in it. */
        String component();
    }

    /** Something about a bowl that is tempered. */
    interface OfBowl extends EntryBody {
        /** Key of what is tempered. */
        String component();
    }

    /** Checks the body on its own. */
    void check(Faults faults);

    /**
     * What to ask before it is written down: it is possible, and not likely. Empty where nothing.
     *
     * @param run as it stands without it
     */
    default Optional<Fault> doubt(BenchState run, WeighingRules rules) {
        return Optional.empty();
    }

    /** Throws every fault of this body together. */
    default void check() {
        Faults faults = new Faults();
        check(faults);
        if (!faults.isEmpty()) {
            throw new InvalidInput(faults.list());
        }
    }

    /** That something is written in a field. */
    static void required(Faults faults, String field, String text) {
        if (text == null || text.isBlank()) {
            faults.add(Fault.of(field, "", "Write something here."));
        }
    }

    /** That no more is written in a field than anybody reads. */
    static void notTooLong(Faults faults, String field, String text) {
        if (text != null && text.length() > LONGEST_TEXT) {
            faults.add(Fault.of(field, text.length() + " characters", "At most " + LONGEST_TEXT + " characters."));
        }
    }
}

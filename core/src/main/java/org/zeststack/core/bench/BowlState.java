package org.zeststack.core.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What was written down of one bowl.
 *
 * @param entries oldest first
 */
public record BowlState(List<BenchEntry> entries) {

    private List<BenchEntry> all(Class<? extends EntryBody.OfBowl> body) {
        return entries.stream().filter(e -> body.isInstance(e.body())).toList();
    }

    private static Optional<BenchEntry> last(List<BenchEntry> all) {
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /** How it is brought into temper, by what was said last; empty where nobody said. */
    public Optional<TemperPlanned> planned() {
        return last(all(TemperPlanned.class)).map(e -> (TemperPlanned) e.body());
    }

    /** Steps that somebody said it is in, against its readings, oldest first. */
    public List<BenchEntry> overruled() {
        return all(Overruled.class);
    }

    /** When water got into it; empty where none did, and where it was emptied since: no plan takes water out. */
    public Optional<Instant> waterIn() {
        Optional<Instant> in = last(all(WaterIn.class)).map(BenchEntry::at);
        Optional<Instant> fresh = last(all(FreshBowl.class)).map(BenchEntry::at);
        return in.filter(i -> fresh.filter(f -> f.isAfter(i)).isEmpty());
    }

    /** Whether it was planned anew or filled afresh after a moment. */
    public boolean begunAnew(Instant after) {
        return entries.stream()
                .anyMatch(e ->
                        (e.body() instanceof TemperPlanned || e.body() instanceof FreshBowl) && e.at().isAfter(after));
    }

    /**
     * What was in it when it was planned last: what was left of it then, with what it was fed since that was weighed.
     *
     * @return empty where nothing was left of it before, or it was emptied since
     */
    public OptionalDouble gramsPlanned() {
        Double grams = null;
        Double planned = null;
        for (BenchEntry entry : entries) {
            if (entry.body() instanceof BowlLeft left) {
                grams = left.grams();
            } else if (entry.body() instanceof Fed fed && grams != null) {
                grams += fed.grams();
            } else if (entry.body() instanceof FreshBowl) {
                grams = null;
            } else if (entry.body() instanceof TemperPlanned) {
                planned = grams;
            }
        }
        return planned == null ? OptionalDouble.empty() : OptionalDouble.of(planned);
    }

    /** What was left of it, oldest first. */
    public List<BenchEntry> left() {
        return all(BowlLeft.class);
    }

    /** What it was fed, oldest first. */
    public List<BenchEntry> fed() {
        return all(Fed.class);
    }

    /** Its last proof; empty where none was dipped. */
    public Optional<BenchEntry> proof() {
        return last(all(Proof.class));
    }
}

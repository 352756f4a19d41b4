package org.zeststack.core.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * What was written down of one pot.
 *
 * @param entries oldest first
 */
public record PotState(List<BenchEntry> entries) {

    private <T extends EntryBody> List<T> all(Class<T> body) {
        return entries.stream()
                .map(BenchEntry::body)
                .filter(body::isInstance)
                .map(body::cast)
                .toList();
    }

    private List<Instant> when(Class<? extends EntryBody> body) {
        return entries.stream()
                .filter(e -> body.isInstance(e.body()))
                .map(BenchEntry::at)
                .toList();
    }

    private static <T> Optional<T> last(List<T> all) {
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /** How many pours are in. */
    public int pours() {
        return poured().size();
    }

    /** When something was poured in, oldest first. */
    public List<Instant> poured() {
        return when(Poured.class);
    }

    /** When the ring under it was turned, by hands that said so, oldest first. */
    public List<Instant> ringTurned() {
        return when(RingTurned.class);
    }

    /** When it was taken off the ring, oldest first. */
    public List<Instant> takenOff() {
        return when(TakenOff.class);
    }

    /** The last time another thermometer was held into it. */
    public Optional<BenchEntry> secondReading() {
        return last(
                entries.stream().filter(e -> e.body() instanceof SecondReading).toList());
    }

    /** The last time it was weighed with what is in it, at its cook. */
    public Optional<PotWeighed> weighed() {
        return weighed("");
    }

    /** The last time it was weighed at a step other than its cook. */
    public Optional<PotWeighed> weighed(String step) {
        return last(all(PotWeighed.class).stream()
                .filter(w -> w.step().equals(step))
                .toList());
    }

    /** What was in it when it was weighed last, off the ring; empty where it was not, or only on it. */
    Optional<Double> offTheRingGrams() {
        Double grams = null;
        boolean off = false;
        for (BenchEntry entry : entries) {
            if (entry.body() instanceof TakenOff) {
                off = true;
            } else if (entry.body() instanceof PotWeighed weighed
                    && weighed.step().isEmpty()) {
                grams = off ? Double.valueOf(weighed.massGrams()) : null;
            }
        }
        return Optional.ofNullable(grams);
    }

    /** Air that was measured in what was whipped, by the last cup weighed. */
    public Optional<Double> airFraction() {
        return last(all(Cup.class)).map(Cup::air);
    }

    /** Grams really used of a line that goes in to effect, the last ones written down. */
    Optional<Double> actualGrams(String ingredient) {
        return last(all(Actual.class).stream()
                        .filter(a -> a.ingredient().equals(ingredient))
                        .toList())
                .map(Actual::grams);
    }
}

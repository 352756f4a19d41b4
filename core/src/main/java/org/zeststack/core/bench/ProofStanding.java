package org.zeststack.core.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;

/**
 * How a bowl stands by its last proof.
 *
 * @param at when the dip was looked at
 * @param gone why it no longer holds; empty while it does
 * @param again why it must be proved again though it holds; empty where it need not
 */
public record ProofStanding(Instant at, Proof seen, String gone, List<String> again) {

    private static final Rule AGAIN = Rule.of(Rule.About.BENCH, "prove-again");

    /**
     * What the readings of a bowl say of its proofs.
     *
     * @param begunAt when the newest readings began; empty where there are none
     * @param lostAt when they said that it was lost; empty where they did not
     */
    public record Read(Optional<Instant> begunAt, Optional<Instant> lostAt) {}

    /** The last proof of a bowl; empty where none was dipped. */
    public static Optional<ProofStanding> of(InTemper bowl, BenchState state, Read read, Instant now, Bounds bounds) {
        return state.bowl(bowl.key()).proof().map(e -> {
            Proof seen = (Proof) e.body();
            String gone = gone(e.at(), bowl, state, read);
            boolean holds = seen.passed() && gone.isEmpty();
            return new ProofStanding(e.at(), seen, gone, holds ? again(e.at(), bowl, state, now, bounds) : List.of());
        });
    }

    /** Whether it says that the bowl is in temper now. */
    public boolean holds() {
        return seen.passed() && gone.isEmpty();
    }

    /** A proof is one bowl's: planned, begun or melted anew it is another, and one that was lost is none. */
    private static String gone(Instant at, InTemper bowl, BenchState state, Read read) {
        if (read.lostAt().filter(at::isBefore).isPresent()) {
            return "it was lost since";
        }
        boolean another = read.begunAt().filter(at::isBefore).isPresent()
                || state.bowl(bowl.key()).begunAnew(at);
        return another ? "another bowl was begun since" : "";
    }

    private static List<String> again(Instant at, InTemper bowl, BenchState state, Instant now, Bounds bounds) {
        List<String> why = new ArrayList<>();
        long minutes = Duration.between(at, now).toMinutes();
        if (minutes > bounds.of("proof-lasts").greatest()) {
            why.add("the proof is %s old".formatted(Say.of(minutes, 0, Measure.MINUTES)));
        }
        Bound share = bounds.of("feed-share");
        double fed = state.bowl(bowl.key()).fed().stream()
                .filter(e -> e.at().isAfter(at))
                .mapToDouble(e -> ((Fed) e.body()).grams())
                .sum();
        double inBowl = state.bowl(bowl.key()).left().stream()
                .reduce((earlier, later) -> later)
                .map(e -> ((BowlLeft) e.body()).grams())
                .orElse(bowl.grams());
        if (fed / (fed + inBowl) > share.greatest()) {
            why.add("more than %s of it was fed since".formatted(share.greatestWords()));
        }
        return List.copyOf(why);
    }

    /** On what it rests that a bowl is proved again. */
    public static String source(Bounds bounds) {
        return AGAIN.source(bounds);
    }
}

package org.zeststack.web.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.run.BenchEntry;
import org.zeststack.core.run.BenchState;
import org.zeststack.core.run.EntryBody;
import org.zeststack.core.run.RunSheet;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Feed;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperPlan;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.temper.Thickness;

/**
 * A bowl to be brought into temper and kept there, as its page shows it.
 *
 * @param bowl what is in it
 * @param measured whether there is a thermometer
 * @param planned how it was said to be done; empty where nobody said
 * @param plan what that asks for; empty where nobody said, and on sheets that do not know its cocoa butter
 * @param proof the last dip that was looked at; empty where none was
 * @param waterAt when water got in; empty where none did
 * @param left what was on the scale last; empty where nothing was
 * @param proveAgain why it must be proved again; empty where it need not
 */
public record TemperWork(
        RunSheet.InTemper bowl,
        boolean measured,
        Optional<EntryBody.TemperPlanned> planned,
        Optional<TemperPlan> plan,
        Optional<Proof> proof,
        Optional<Instant> waterAt,
        Optional<Left> left,
        List<String> proveAgain) {

    /** A bowl in temper is proved again after so many minutes (common practice, no source). */
    private static final long PROOF_LASTS_MINUTES = 30;

    /** Fed warm couverture stands at this where the person has not read it, °C. */
    private static final double USUAL_WARM_CELSIUS = 40;

    /**
     * A dip and when it was looked at.
     *
     * @param gone why it no longer holds; empty while it does
     */
    public record Proof(Instant at, EntryBody.Proof seen, String gone) {

        /** Whether it says that the bowl is in temper now. */
        public boolean holds() {
            return seen.passed() && gone.isEmpty();
        }
    }

    /**
     * What the readings of a bowl say of its proofs.
     *
     * @param begunAt when the newest readings began; empty where there are none
     * @param lostAt when they said that it was lost; empty where they did not
     */
    record Read(Optional<Instant> begunAt, Optional<Instant> lostAt) {

        static Read of(Optional<SeriesView> series) {
            return new Read(series.map(s -> s.series().startedAt()), series.flatMap(SeriesView::lostAt));
        }
    }

    /**
     * What is left of a bowl.
     *
     * @param serves what it is still good for
     * @param feed warm couverture that brings it up to the middle of its window; empty where it stands there or nobody read it
     */
    public record Left(Instant at, EntryBody.BowlLeft weighed, List<RunSheet.Serves> serves, Optional<Feed> feed) {

        /** Where what is fed stands. */
        public double warmCelsius() {
            return USUAL_WARM_CELSIUS;
        }
    }

    static TemperWork of(RunSheet sheet, RunSheet.InTemper bowl, BenchState state, Read read, Instant now) {
        Optional<EntryBody.TemperPlanned> planned = state.temperPlanned(bowl.key());
        Optional<TemperPlan> plan = planned.filter(p -> bowl.cocoaButterFraction() != null)
                .map(p -> TemperPlan.of(
                        p.method(),
                        new TemperPlan.Of(
                                bowl.window(),
                                bowl.grams(),
                                bowl.cocoaButterFraction(),
                                p.emptyBowl(),
                                p.roomCelsius(),
                                sheet.measured())));
        Optional<Proof> proof = state.proof(bowl.key())
                .map(e -> new Proof(e.at(), (EntryBody.Proof) e.body(), gone(e.at(), bowl, state, read)));
        return new TemperWork(
                bowl,
                sheet.measured(),
                planned,
                plan,
                proof,
                state.waterIn(bowl.key()),
                left(sheet, bowl, state, planned),
                proof.filter(Proof::holds)
                        .map(p -> proveAgain(bowl, state, p, now))
                        .orElse(List.of()));
    }

    /** A proof is one bowl's: planned, begun or melted anew it is another, and one that was lost is none. */
    private static String gone(Instant at, RunSheet.InTemper bowl, BenchState state, Read read) {
        if (read.lostAt().filter(at::isBefore).isPresent()) {
            return "it was lost since";
        }
        boolean another = read.begunAt().filter(at::isBefore).isPresent()
                || state.bowl(bowl.key()).stream()
                        .anyMatch(e -> e.body() instanceof EntryBody.TemperPlanned && e.at().isAfter(at));
        return another ? "another bowl was begun since" : "";
    }

    private static Optional<Left> left(
            RunSheet sheet, RunSheet.InTemper bowl, BenchState state, Optional<EntryBody.TemperPlanned> planned) {
        return state.left(bowl.key()).stream().reduce((earlier, later) -> later).map(e -> {
            EntryBody.BowlLeft weighed = (EntryBody.BowlLeft) e.body();
            Bowl in = planned.map(EntryBody.TemperPlanned::emptyBowl).orElse(Bowl.NONE);
            return new Left(e.at(), weighed, sheet.serves(bowl, weighed.grams()), feed(bowl, in, weighed));
        });
    }

    private static Optional<Feed> feed(RunSheet.InTemper bowl, Bowl in, EntryBody.BowlLeft weighed) {
        double middle = (bowl.window().work().least() + bowl.window().work().greatest()) / 2;
        if (weighed.celsius() == null || weighed.celsius() >= middle) {
            return Optional.empty();
        }
        try {
            return Optional.of(Feed.of(weighed.grams(), in, weighed.celsius(), middle, USUAL_WARM_CELSIUS));
        } catch (InvalidInput outside) {
            return Optional.empty();
        }
    }

    private static List<String> proveAgain(RunSheet.InTemper bowl, BenchState state, Proof proof, Instant now) {
        List<String> why = new ArrayList<>();
        long minutes = Duration.between(proof.at(), now).toMinutes();
        if (minutes > PROOF_LASTS_MINUTES) {
            why.add("the proof is %d min old".formatted(minutes));
        }
        List<EntryBody.Fed> fed = state.fed(bowl.key()).stream()
                .filter(e -> e.at().isAfter(proof.at()))
                .map(BenchEntry::body)
                .map(EntryBody.Fed.class::cast)
                .toList();
        double grams = fed.stream().mapToDouble(EntryBody.Fed::grams).sum();
        double inBowl = state.left(bowl.key()).stream()
                .reduce((earlier, later) -> later)
                .map(e -> ((EntryBody.BowlLeft) e.body()).grams())
                .orElse(bowl.grams());
        if (grams / (grams + inBowl) > Feed.PROVE_AGAIN) {
            why.add("more than a fifth of it was fed since");
        }
        return List.copyOf(why);
    }

    public Method[] methods() {
        return Method.values();
    }

    public Thickness[] thicknesses() {
        return Thickness.values();
    }

    /** Steps that this method has; all before one is chosen. */
    public List<TemperVerdict.Step> steps() {
        return Arrays.stream(TemperVerdict.Step.values())
                .filter(s -> s != TemperVerdict.Step.REWARM
                        || planned.map(p -> p.method().rewarms()).orElse(true))
                .toList();
    }

    /** Whether a dip said that it is in temper, nothing spoke against it since, and no water is in it. */
    public boolean inTemper() {
        return waterAt.isEmpty() && proof.filter(Proof::holds).isPresent();
    }
}

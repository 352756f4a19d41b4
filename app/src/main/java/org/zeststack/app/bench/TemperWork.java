package org.zeststack.app.bench;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.BowlLeft;
import org.zeststack.core.bench.InTemper;
import org.zeststack.core.bench.InTemper.Serves;
import org.zeststack.core.bench.ProofStanding;
import org.zeststack.core.bench.TemperPlanned;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.RunSheet;
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
 * @param sets within how long a dip of it sets in temper, in words
 * @param measured whether there is a thermometer
 * @param planned how it was said to be done; empty where nobody said
 * @param plan what that asks for; empty where nobody said, and on sheets that do not know its cocoa butter
 * @param proof the last dip that was looked at; empty where none was
 * @param waterAt when water got in; empty where none did
 * @param left what was on the scale last; empty where nothing was
 */
public record TemperWork(
        InTemper bowl,
        String sets,
        boolean measured,
        Optional<TemperPlanned> planned,
        Optional<TemperPlan> plan,
        Optional<ProofStanding> proof,
        Optional<Instant> waterAt,
        Optional<Left> left) {

    /** Fed warm couverture stands at this where the person has not read it, °C. */
    private static final double USUAL_WARM_CELSIUS = 40;

    /**
     * What is left of a bowl.
     *
     * @param serves what it is still good for
     * @param feed warm couverture that brings it up to the middle of its window; empty where it stands there or nobody read it
     * @param much that it is so much that the bowl is proved again; empty where it is not
     */
    public record Left(Instant at, BowlLeft weighed, List<Serves> serves, Optional<Feed> feed, String much) {

        /** Where what is fed stands. */
        public double warmCelsius() {
            return USUAL_WARM_CELSIUS;
        }
    }

    public static TemperWork of(
            RunSheet sheet, InTemper bowl, BenchState state, ProofStanding.Read read, Instant now, Bounds bounds) {
        Optional<TemperPlanned> planned = state.bowl(bowl.key()).planned();
        Optional<TemperPlan> plan = planned.filter(
                        p -> bowl.cocoaButterFraction().isPresent())
                .map(p -> TemperPlan.of(
                        p.method(),
                        new TemperPlan.Of(
                                bowl.window(),
                                state.bowl(bowl.key()).gramsPlanned().orElse(bowl.grams()),
                                bowl.cocoaButterFraction().getAsDouble(),
                                p.emptyBowl(),
                                p.roomCelsius(),
                                sheet.gauge().measured())));
        return new TemperWork(
                bowl,
                bowl.sets(bounds).words(),
                sheet.gauge().measured(),
                planned,
                plan,
                ProofStanding.of(bowl, state, read, now, bounds),
                state.bowl(bowl.key()).waterIn(),
                left(sheet, bowl, state, planned, bounds));
    }

    private static Optional<Left> left(
            RunSheet sheet, InTemper bowl, BenchState state, Optional<TemperPlanned> planned, Bounds bounds) {
        return state.bowl(bowl.key()).left().stream()
                .reduce((earlier, later) -> later)
                .map(e -> {
                    BowlLeft weighed = (BowlLeft) e.body();
                    Bowl in = planned.map(TemperPlanned::emptyBowl).orElse(Bowl.NONE);
                    Optional<Feed> feed = feed(bowl, in, weighed);
                    String much = feed.filter(f -> f.provesAgain(bounds))
                            .map(f -> " That is more than %s: prove it again."
                                    .formatted(bounds.of("feed-share").greatestWords()))
                            .orElse("");
                    return new Left(e.at(), weighed, bowl.serves(sheet, weighed.grams()), feed, much);
                });
    }

    private static Optional<Feed> feed(InTemper bowl, Bowl in, BowlLeft weighed) {
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

    /** Why it must be proved again though it is in temper; empty where it need not. */
    public List<String> proveAgain() {
        return proof.map(ProofStanding::again).orElse(List.of());
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
        return waterAt.isEmpty() && proof.filter(ProofStanding::holds).isPresent();
    }
}

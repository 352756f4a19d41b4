package org.zeststack.web.bench;

import java.time.Instant;
import java.util.Optional;
import org.zeststack.core.run.BenchEntry;
import org.zeststack.core.run.BenchState;
import org.zeststack.core.run.EntryBody;
import org.zeststack.core.run.RunSheet;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperPlan;

/**
 * A bowl to be brought into temper, as its page shows it.
 *
 * @param batch the couverture
 * @param planned how it was said to be done; empty where nobody said
 * @param plan what that asks for; empty where nobody said, and on sheets that do not know its cocoa butter
 * @param proof the last dip that was looked at; empty where none was
 */
public record TemperWork(
        RunSheet.CouvertureBatch batch,
        Optional<EntryBody.TemperPlanned> planned,
        Optional<TemperPlan> plan,
        Optional<Proof> proof) {

    /** A dip and when it was looked at. */
    public record Proof(Instant at, EntryBody.Proof seen) {}

    static TemperWork of(RunSheet.CouvertureBatch batch, BenchState state, boolean measured) {
        Optional<EntryBody.TemperPlanned> planned = state.temperPlanned(batch.key());
        Optional<TemperPlan> plan = planned.filter(p -> batch.cocoaButterFraction() != null)
                .map(p -> TemperPlan.of(
                        p.method(),
                        new TemperPlan.Of(
                                batch.window().orElseThrow(),
                                batch.meltGrams(),
                                batch.cocoaButterFraction(),
                                p.emptyBowl(),
                                p.roomCelsius(),
                                measured)));
        return new TemperWork(batch, planned, plan, state.proof(batch.key()).map(TemperWork::proof));
    }

    private static Proof proof(BenchEntry entry) {
        return new Proof(entry.at(), (EntryBody.Proof) entry.body());
    }

    public Method[] methods() {
        return Method.values();
    }
}

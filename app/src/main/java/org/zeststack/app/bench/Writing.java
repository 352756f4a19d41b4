package org.zeststack.app.bench;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.zeststack.app.Missing;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.EntryKind;
import org.zeststack.core.bench.GoingOn;
import org.zeststack.core.bench.Moments;
import org.zeststack.core.bench.StepDone;
import org.zeststack.core.bench.TypedEntry;
import org.zeststack.core.bench.WeighingRules;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.workshop.WorkshopStore;

/** Writes down what hands say at the bench: read against the run's own sheet, asked about where it is not likely, kept once. */
@Component
public class Writing {

    private final Runs runs;
    private final Bench bench;
    private final OwnBounds own;
    private final WorkshopStore workshop;
    private final Clock clock;

    Writing(Runs runs, Bench bench, OwnBounds own, WorkshopStore workshop, Clock clock) {
        this.runs = runs;
        this.bench = bench;
        this.own = own;
        this.workshop = workshop;
        this.clock = clock;
    }

    /**
     * An entry as typed.
     *
     * @param key under which it counts once; null where none was sent, which is a fault
     * @param kind the same
     * @param fields as typed; {@code sure} is yes where the person stands by what was asked about
     * @param at by its device's clock; null for now
     * @param corrects the entry that it takes the place of; null where none
     */
    public record Entry(
            UUID key,
            EntryKind kind,
            Map<String, String> fields,
            String component,
            String device,
            Instant at,
            UUID corrects) {}

    /** What came of it. */
    public enum Outcome {
        ACCEPTED,
        /** Written after the run was closed. */
        LATE,
        /** It was there already. */
        KNOWN,
        /** Something else stands under its key. */
        CONFLICT,
        /** The run is not on the bench, or what it corrects is not there. */
        REFUSED,
        /** It cannot be so; nothing was written. */
        FAULTY,
        /** It can be so, but is not likely; nothing was written until the person stands by it. */
        ASKED
    }

    /** @param faults what is wrong, or the one thing that is asked, beside its field */
    public record Written(Outcome outcome, List<Fault> faults) {}

    /**
     * Writes an entry down.
     *
     * @throws Missing where the run has no sheet
     */
    public Written write(long run, Entry entry, String by) {
        RunSheet sheet = runs.find(run).flatMap(Run::sheet).orElseThrow(() -> new Missing("This run"));
        FormInput form = FormInput.of(entry.fields());
        if (entry.key() == null || entry.kind() == null) {
            form.add(Fault.of("key", "", "An entry needs a key and a kind."));
        }
        Bounds bounds = own.bounds();
        Optional<EntryBody> read =
                form.faulty() ? Optional.empty() : entry.kind().read(new TypedEntry(form, sheet, this::others, bounds));
        Instant now = clock.instant();
        Moments moments = new Moments(bounds);
        if (read.isPresent() && entry.at() != null && !moments.ahead(entry.at(), now)) {
            moments.refusedEntry(entry.at(), now).ifPresent(form::add);
        }
        if (form.faulty()) {
            return faulty(form);
        }
        EntryBody body = read.orElseThrow();
        BenchState state = BenchState.of(sheet, bench.entries(run));
        unexplained(body, sheet, state).ifPresent(form::add);
        if (form.faulty()) {
            return faulty(form);
        }
        if (!form.text("sure").equals("yes")) {
            Optional<Fault> doubt = Optional.ofNullable(entry.at())
                    .flatMap(at -> moments.doubt(at, now))
                    .or(() -> body.doubt(state, new WeighingRules(bounds)));
            if (doubt.isPresent()) {
                return new Written(Outcome.ASKED, List.of(doubt.get()));
            }
        }
        var kept = new Bench.NewEntry(
                entry.key(),
                body,
                entry.component(),
                entry.device(),
                moments.asOf(entry.at(), now).orElse(null),
                entry.corrects());
        Bench.Outcome came = bench.append(run, kept, by, now);
        if (came == Bench.Outcome.ACCEPTED) {
            endCook(run, sheet, body, now);
        }
        return new Written(Outcome.valueOf(came.name()), List.of());
    }

    private static Written faulty(FormInput form) {
        return new Written(Outcome.FAULTY, form.faults());
    }

    /** What speaks against a step that is said to be done, where nobody says why it goes on. */
    private static Optional<Fault> unexplained(EntryBody body, RunSheet sheet, BenchState state) {
        return body instanceof StepDone done && done.reason() == null
                ? sheet.step(done.step())
                        .flatMap(step -> GoingOn.against(sheet, state, step))
                        .map(against -> Fault.of("reason", "", against + " Say why you go on."))
                : Optional.empty();
    }

    private List<TypedEntry.Other> others() {
        return workshop.thermometers().stream()
                .map(t -> new TypedEntry.Other(String.valueOf(t.id()), t.name(), t.content()))
                .toList();
    }

    /** A pot whose step is done is not read any more. */
    private void endCook(long run, RunSheet sheet, EntryBody body, Instant now) {
        Optional<BenchStep> cook = body instanceof StepDone done
                ? sheet.step(done.step()).filter(s -> s.kind() == StepKind.COOK)
                : Optional.empty();
        cook.ifPresent(step -> bench.seriesOf(run).stream()
                .filter(s -> s.component().equals(step.component()) && s.endedAt() == null)
                .forEach(s -> bench.endSeries(s.id(), now)));
    }
}

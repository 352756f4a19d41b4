package org.zeststack.core.bench;

import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sheet.Finished;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.typed.FormInput;

/**
 * A step is finished.
 *
 * @param step id on the run sheet
 * @param grams what the finished component weighs; null where it was not weighed
 * @param reason why somebody went on although something spoke against it; null where nothing did
 */
public record StepDone(String step, Double grams, String reason) implements EntryBody {

    /** A step that nothing spoke against. */
    public StepDone(String step, Double grams) {
        this(step, grams, null);
    }

    @Override
    public void check(Faults faults) {
        EntryBody.required(faults, "step", step);
        if (grams != null) {
            faults.within("grams", grams, EntryBody.GRAMS);
        }
        EntryBody.notTooLong(faults, "reason", reason);
    }

    static Optional<EntryBody> typed(TypedEntry typed) {
        String step = typed.step();
        FormInput form = typed.form();
        Double grams = form.has("grams") ? form.number("grams", EntryBody.GRAMS) : null;
        String reason = form.text("reason").strip();
        return form.build(() -> new StepDone(step, grams, reason.isEmpty() ? null : reason));
    }

    @Override
    public Optional<Fault> doubt(BenchState run, WeighingRules rules) {
        return grams == null
                ? Optional.empty()
                : run.sheet()
                        .step(step)
                        .flatMap(s -> run.sheet().pot(s.component()))
                        .flatMap(batch -> finished(batch, run.yields().rawGrams(batch), rules));
    }

    /** What came of a batch against what was weighed out for it. */
    private Optional<Fault> finished(FormulaBatch batch, double raw, WeighingRules rules) {
        double used = raw / batch.rawGrams();
        Optional<Fault> apart = rules.apart(
                "grams",
                grams,
                used * batch.finishedGrams(),
                Math.max(used, 1) * batch.finished().mostGrams());
        if (apart.isPresent()) {
            return apart;
        }
        double lost = raw - grams;
        if (rules.contradicts(-lost)) {
            return WeighingRules.ask(
                    "grams",
                    grams,
                    "%s is more than the %s weighed out. Is the pot's own weight in it?"
                            .formatted(Say.grams(grams, 0), Say.grams(raw, 0)));
        }
        boolean steams = batch.finished().by() == Finished.By.READING || batch.byEye();
        OptionalDouble water = batch.out().waterGrams();
        if (steams && water.isPresent() && rules.contradicts(lost - water.getAsDouble())) {
            return WeighingRules.ask(
                    "grams",
                    grams,
                    "%s would have gone off as steam, but only %s of water were in it. Was everything on the scale?"
                            .formatted(Say.grams(lost, 0), Say.grams(water.getAsDouble(), 0)));
        }
        return Optional.empty();
    }
}

package org.zeststack.web.bench;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.air.AfterCold;
import org.zeststack.core.air.DewPoint;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.quantity.DegreesText;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.run.EntryBody;
import org.zeststack.core.run.RunSheet;
import org.zeststack.core.run.StepEnd;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Feed;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.Room;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.Saved;
import org.zeststack.store.bench.EntryKind;
import org.zeststack.web.form.FormInput;

/** Reads an entry as typed at the bench, against the run's own sheet. */
final class EntryForm {

    private EntryForm() {}

    static Optional<EntryBody> read(
            EntryKind kind, FormInput form, RunSheet sheet, List<Saved<Thermometer>> thermometers, Bounds bounds) {
        Optional<EntryBody> body =
                switch (kind) {
                    case STEP_DONE -> stepDone(form, sheet);
                    case WEIGH_IN -> weighIn(form, sheet);
                    case TALLY -> tally(form);
                    case NOTE ->
                        form.build(() -> new EntryBody.Note(form.text("text").strip()));
                    case ROOM -> room(form);
                    case ACTUAL -> actual(form, sheet);
                    case CUP -> cup(form, sheet);
                    case RING -> ring(form, sheet);
                    case OFF -> off(form, sheet);
                    case POT -> pot(form, sheet);
                    case POURED -> poured(form, sheet);
                    case BEGUN -> begun(form, sheet);
                    case SIGN -> sign(form, sheet);
                    case TEMPER -> temper(form, sheet);
                    case PROOF -> proof(form, sheet, bounds);
                    case OVERRULED -> overruled(form, sheet);
                    case WATER -> water(form, sheet);
                    case FRESH -> fresh(form, sheet);
                    case LEFT -> left(form, sheet);
                    case FED -> fed(form, sheet);
                    case COLD -> cold(form, sheet);
                    case SECOND -> second(form, sheet, thermometers);
                    case UNDO -> Optional.of(new EntryBody.Undo());
                };
        Faults faults = new Faults();
        body.ifPresent(b -> b.check(faults));
        form.addAll(faults.list());
        return form.faulty() ? Optional.empty() : body;
    }

    private static Optional<EntryBody> stepDone(FormInput form, RunSheet sheet) {
        String step = step(form, sheet);
        Double grams = form.has("grams") ? form.number("grams", EntryBody.GRAMS) : null;
        String reason = form.text("reason").strip();
        return form.build(() -> new EntryBody.StepDone(step, grams, reason.isEmpty() ? null : reason));
    }

    /** Id of a step of this run. */
    private static String step(FormInput form, RunSheet sheet) {
        String step = form.text("step");
        if (sheet.step(step).isEmpty()) {
            form.add(Fault.of("step", step, "This run has no such step."));
        }
        return step;
    }

    private static Optional<EntryBody> poured(FormInput form, RunSheet sheet) {
        String component = batch(form, sheet, "component");
        if (sheet.pot(component).filter(b -> b.pours().isEmpty()).isPresent()) {
            form.add(Fault.of("component", component, "Nothing is poured into this pot while it cooks."));
        }
        return form.build(() -> new EntryBody.Poured(component));
    }

    private static Optional<EntryBody> begun(FormInput form, RunSheet sheet) {
        String step = step(form, sheet);
        return form.build(() -> new EntryBody.StepBegun(step));
    }

    private static Optional<EntryBody> sign(FormInput form, RunSheet sheet) {
        String step = step(form, sheet);
        String sign = form.text("sign");
        boolean known = sheet.step(step)
                .filter(s -> StepEnd.endings(sheet, s).stream()
                        .anyMatch(e -> e.words().equals(sign)))
                .isPresent();
        if (!known) {
            form.add(Fault.of("step", sign, "This step does not end by that."));
        }
        String found = form.text("found").strip();
        return form.build(() -> new EntryBody.Sign(step, sign, found));
    }

    private static Optional<EntryBody> temper(FormInput form, RunSheet sheet) {
        String component = inTemper(form, sheet, "method");
        Method method = form.choice("method", Method.class);
        Bowl.Material bowl = form.choice("bowl", Bowl.Material.class);
        double grams = form.has("bowlGrams") ? form.number("bowlGrams", Bowl.GRAMS) : 0;
        double seed = form.celsius("seedCelsius", Room.CELSIUS);
        Double humidity = form.has("roomHumidity")
                ? Double.valueOf(form.number("roomHumidity", DewPoint.RELATIVE_HUMIDITY_PERCENT))
                : null;
        return form.build(() -> new EntryBody.TemperPlanned(component, method, grams, bowl, seed, humidity));
    }

    private static Optional<EntryBody> proof(FormInput form, RunSheet sheet, Bounds bounds) {
        String component = inTemper(form, sheet, "proofMinutes");
        double minutes = form.number("proofMinutes", EntryBody.Proof.MINUTES);
        Double room = form.has("proofRoom") ? Double.valueOf(form.celsius("proofRoom", Room.CELSIUS)) : null;
        Double sets =
                sheet.inTemper(component).map(b -> b.sets(bounds).greatest()).orElse(null);
        Long photo = form.text("photo").matches("[0-9]{1,15}") ? Long.valueOf(form.text("photo")) : null;
        return form.build(() -> new EntryBody.Proof(
                component, minutes, room, form.has("dull"), form.has("streaks"), form.has("mark"), sets, photo));
    }

    private static Optional<EntryBody> overruled(FormInput form, RunSheet sheet) {
        String component = inTemper(form, sheet, "overruled");
        TemperVerdict.Step step = form.choice("overruled", TemperVerdict.Step.class);
        String reason = form.text("overruleReason").strip();
        return form.build(() -> new EntryBody.Overruled(component, step, reason));
    }

    private static Optional<EntryBody> water(FormInput form, RunSheet sheet) {
        String component = inTemper(form, sheet, "component");
        return form.build(() -> new EntryBody.WaterIn(component));
    }

    private static Optional<EntryBody> fresh(FormInput form, RunSheet sheet) {
        String component = inTemper(form, sheet, "component");
        return form.build(() -> new EntryBody.FreshBowl(component));
    }

    private static Optional<EntryBody> left(FormInput form, RunSheet sheet) {
        String component = inTemper(form, sheet, "leftGrams");
        double grams = form.number("leftGrams", EntryBody.GRAMS);
        Double celsius = form.has("leftCelsius") ? Double.valueOf(form.celsius("leftCelsius", Feed.IN_BOWL)) : null;
        return form.build(() -> new EntryBody.BowlLeft(component, grams, celsius));
    }

    private static Optional<EntryBody> fed(FormInput form, RunSheet sheet) {
        String component = inTemper(form, sheet, "fedGrams");
        double grams = form.number("fedGrams", EntryBody.GRAMS);
        double celsius = form.celsius("fedCelsius", Feed.WARM_CELSIUS);
        return form.build(() -> new EntryBody.Fed(component, grams, celsius));
    }

    /** Air that is too full to lay anything out in is told beside its humidity. */
    private static Optional<EntryBody> cold(FormInput form, RunSheet sheet) {
        double room = form.celsius("coldRoom", Room.CELSIUS);
        double humidity = form.number("humidity", DewPoint.RELATIVE_HUMIDITY_PERCENT);
        double bars = form.celsius("barCelsius", AfterCold.BAR_CELSIUS);
        if (!form.faulty()) {
            try {
                AfterCold.of(room, humidity, bars, sheet.section().depthMm());
            } catch (InvalidInput full) {
                form.addAll(full.faults());
            }
        }
        return form.build(() -> new EntryBody.OutOfCold(room, humidity, bars));
    }

    /** Key of something that this run tempers. */
    private static String inTemper(FormInput form, RunSheet sheet, String beside) {
        String component = form.text("component");
        if (sheet.inTemper(component).isEmpty()) {
            form.add(Fault.of(beside, component, "This run tempers no such thing."));
        }
        return component;
    }

    private static Optional<EntryBody> weighIn(FormInput form, RunSheet sheet) {
        String layer = form.text("layer");
        if (sheet.layer(layer).isEmpty()) {
            form.add(Fault.of("layer", layer, "This bar has no such layer."));
        }
        double gross = form.number("grossGrams", EntryBody.GRAMS);
        double tare = form.has("tareGrams") ? form.number("tareGrams", EntryBody.WeighIn.TARE) : 0;
        int cavities = form.has("cavities") ? form.whole("cavities", EntryBody.WeighIn.CAVITIES) : 1;
        return form.build(() -> new EntryBody.WeighIn(layer, gross, tare, cavities, form.has("whole")));
    }

    /** Read without a range here: the room's own check knows a likely slip. */
    private static Optional<EntryBody> room(FormInput form) {
        OptionalDouble celsius = DegreesText.parse(form.text("roomCelsius"));
        if (celsius.isEmpty()) {
            form.number("roomCelsius", Room.CELSIUS);
        }
        return form.build(() -> new EntryBody.RoomReading(celsius.orElseThrow()));
    }

    private static Optional<EntryBody> actual(FormInput form, RunSheet sheet) {
        String component = form.text("component");
        String ingredient = form.text("ingredient");
        boolean known = sheet.pot(component)
                .filter(f -> f.lines().stream().anyMatch(l -> l.ingredient().equals(ingredient)))
                .isPresent();
        if (!known) {
            form.add(Fault.of("actualGrams", ingredient, "This run has no such line."));
        }
        double grams = form.number("actualGrams", EntryBody.GRAMS);
        return form.build(() -> new EntryBody.Actual(component, ingredient, grams));
    }

    private static Optional<EntryBody> ring(FormInput form, RunSheet sheet) {
        String component = batch(form, sheet, "component");
        return form.build(() -> new EntryBody.RingTurned(component));
    }

    private static Optional<EntryBody> off(FormInput form, RunSheet sheet) {
        String component = batch(form, sheet, "component");
        return form.build(() -> new EntryBody.TakenOff(component));
    }

    private static Optional<EntryBody> second(FormInput form, RunSheet sheet, List<Saved<Thermometer>> thermometers) {
        String component = batch(form, sheet, "second");
        double shown = form.celsius("secondCelsius", EntryBody.SecondReading.CELSIUS);
        Optional<Saved<Thermometer>> second = thermometers.stream()
                .filter(t -> String.valueOf(t.id()).equals(form.text("second")))
                .findFirst();
        if (second.isEmpty()) {
            form.add(Fault.of("second", form.text("second"), "Choose which thermometer that is."));
            return Optional.empty();
        }
        return form.build(() -> new EntryBody.SecondReading(
                component, second.get().name(), second.get().content().trueCelsius(shown)));
    }

    private static Optional<EntryBody> pot(FormInput form, RunSheet sheet) {
        String component = batch(form, sheet, "potGrossGrams");
        double gross = form.number("potGrossGrams", EntryBody.GRAMS);
        double tare = form.has("potTareGrams") ? form.number("potTareGrams", EntryBody.PotWeighed.TARE) : 0;
        String step = form.has("step") ? step(form, sheet) : "";
        return form.build(() -> new EntryBody.PotWeighed(component, gross, tare, step));
    }

    /** Key of a batch of this run; what is none is told beside a field. */
    private static String batch(FormInput form, RunSheet sheet, String beside) {
        String component = form.text("component");
        if (sheet.pot(component).isEmpty()) {
            form.add(Fault.of(beside, component, "This run has nothing of that name."));
        }
        return component;
    }

    private static Optional<EntryBody> cup(FormInput form, RunSheet sheet) {
        String component = batch(form, sheet, "cupBeforeGrams");
        double before = form.number("cupBeforeGrams", Finish.CUP_GRAMS);
        double after = form.number("cupAfterGrams", Finish.CUP_GRAMS);
        return form.build(() -> new EntryBody.Cup(component, before, after));
    }

    private static Optional<EntryBody> tally(FormInput form) {
        EntryBody.Outcome outcome = form.choice("outcome", EntryBody.Outcome.class);
        int pieces = form.whole("pieces", EntryBody.PIECES);
        String reason = form.text("reason").strip();
        return form.build(() -> new EntryBody.Tally(outcome, pieces, reason));
    }
}

package org.zeststack.core.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.method.Ending;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.PotPlan;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.sugar.Stages;

/**
 * How far a step is from one of the signs that end it. What is measured is judged by its number; what is looked at or felt by the hand
 * that said so.
 *
 * @param ending the sign
 * @param reached whether it is there; never where nothing was measured or said
 * @param now what it stands at: °C as at sea level, minutes since the step was begun; empty where that is not known
 * @param found what a hand found instead; empty where it found the sign, or nobody looked
 */
public record StepEnd(Ending ending, boolean reached, OptionalDouble now, String found) {

    /** The signs that end a step; of a cook to a reading that nobody reads also what a drop of it is in cold water then. */
    public static List<Ending> endings(RunSheet sheet, BenchStep step) {
        List<Ending> endings = new ArrayList<>(step.how().endings());
        if (step.kind() == StepKind.COOK && !sheet.gauge().measured()) {
            sheet.pot(step.component())
                    .map(pot -> Stages.nameAt(pot.stop().seaLevel()) + " in cold water")
                    .ifPresent(words -> endings.add(new Ending(Ending.Kind.COLD_WATER, Double.NaN, Double.NaN, words)));
        }
        return endings;
    }

    /**
     * Words of a step with every reading in them as this thermometer shows it at this place: there is one stop on a screen. Words
     * without a reading, and where the step has none, stay as they are.
     */
    public static String asRead(RunSheet sheet, BenchStep step, String words) {
        Optional<Double> reading = sheet.gauge().measured() ? reading(sheet, step) : Optional.empty();
        String read = words;
        for (Ending ending : reading.isEmpty() ? List.<Ending>of() : Ending.read(words)) {
            if (ending.kind() == Ending.Kind.READING) {
                String here = "%s on %s"
                        .formatted(Say.celsius(reading.get(), 1), sheet.gauge().name());
                read = read.replace(ending.words(), here);
            }
        }
        return read;
    }

    /** What the thermometer shows where something is poured in at a step, or where its cook is over. */
    private static Optional<Double> reading(RunSheet sheet, BenchStep step) {
        return sheet.pots().stream()
                .flatMap(p -> p.pours().stream())
                .filter(p -> p.step().equals(step.id()))
                .flatMap(p -> p.at().stream())
                .map(PotPlan.At::reading)
                .findFirst()
                .or(() -> step.kind() == StepKind.COOK
                        ? sheet.pot(step.component()).map(b -> b.stop().reading())
                        : Optional.empty());
    }

    /** Minutes since a step was begun, to when it was done or to now; empty where nobody began it. */
    static OptionalDouble minutes(BenchStep step, BenchState state, Instant now, double scale) {
        return state.begun(step.id())
                .map(at -> OptionalDouble.of(
                        Duration.between(at, state.doneAt(step.id()).orElse(now))
                                        .toMillis()
                                / 60000.0
                                * scale))
                .orElse(OptionalDouble.empty());
    }

    /**
     * How far a step is from each of its signs.
     *
     * @param endings the signs
     * @param minutes since it was begun; empty where nobody began it
     * @param seaLevelCelsius where its pot stands; empty where it is not read, or the step does not watch it
     * @param cools whether the pot is off its ring by then, so that a reading is reached from above
     */
    static List<StepEnd> of(
            BenchStep step,
            BenchState state,
            List<Ending> endings,
            OptionalDouble minutes,
            OptionalDouble seaLevelCelsius,
            boolean cools) {
        return endings.stream()
                .map(ending -> switch (ending.kind()) {
                    case READING -> cools ? cooled(ending, seaLevelCelsius) : measured(ending, seaLevelCelsius);
                    case MINUTES -> measured(ending, minutes);
                    default -> said(ending, state.sign(step.id(), ending.words()));
                })
                .toList();
    }

    private static StepEnd measured(Ending ending, OptionalDouble now) {
        return new StepEnd(ending, now.isPresent() && now.getAsDouble() >= ending.least(), now, "");
    }

    private static StepEnd cooled(Ending ending, OptionalDouble now) {
        return new StepEnd(ending, now.isPresent() && now.getAsDouble() <= ending.greatest(), now, "");
    }

    private static StepEnd said(Ending ending, Optional<Sign> sign) {
        return new StepEnd(
                ending,
                sign.filter(Sign::seen).isPresent(),
                OptionalDouble.empty(),
                sign.map(Sign::found).orElse(""));
    }

    /** Whether a hand must look or feel. */
    public boolean byHand() {
        return switch (ending.kind()) {
            case READING, MINUTES -> false;
            default -> true;
        };
    }

    /** What is measured and not there yet: K or minutes to go; empty else. */
    public OptionalDouble toGo() {
        return byHand() || now.isEmpty() || reached || !ending.numbered()
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        now.getAsDouble() < ending.least()
                                ? ending.least() - now.getAsDouble()
                                : now.getAsDouble() - ending.greatest());
    }
}

package org.zeststack.core.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.Ending;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;

/**
 * The steps of a batch in its pots and bowl, each with how far it is.
 *
 * @param rows from the first step after the weighing to the last before the scale, in the order of the work
 */
public record PotProgram(List<Row> rows) {

    /** Where a step stands. */
    public enum Stand {
        DONE,
        NOW,
        LATER
    }

    /**
     * A step.
     *
     * @param ends the signs that end it; of a cook to a reading only what is measured, for its reading rules
     * @param gone minutes since it was begun; empty where nobody began it
     * @param pours whether it is what goes into the pot next
     */
    public record Row(BenchStep step, Stand stand, List<StepEnd> ends, OptionalDouble gone, boolean pours) {

        /** The time that ends it; empty where none does. */
        public Optional<Ending> timed() {
            return ends.stream()
                    .map(StepEnd::ending)
                    .filter(e -> e.kind() == Ending.Kind.MINUTES)
                    .findFirst();
        }
    }

    /**
     * The program as far as the bench is.
     *
     * @param seaLevelCelsius where its first pot stands; empty where it is not read
     * @param scale how many times as fast as the clock its pots go
     */
    public static PotProgram of(
            RunSheet sheet,
            FormulaBatch whole,
            BenchState state,
            OptionalDouble seaLevelCelsius,
            Instant now,
            double scale) {
        List<Row> rows = new ArrayList<>();
        boolean current = true;
        boolean cooked = false;
        int poured = 0;
        for (BenchStep step : sheet.program(whole)) {
            boolean over = state.done(step.id()) || state.passed(step);
            boolean pour = step.how().does() == Act.ADD;
            boolean pours = pour && !over && poured == state.pot(whole.key()).pours();
            poured += pour ? 1 : 0;
            boolean watches = step.component().equals(whole.key()) && !over && (current || pours);
            OptionalDouble celsius = watches ? seaLevelCelsius : OptionalDouble.empty();
            OptionalDouble gone = StepEnd.minutes(step, state, now, scale);
            boolean reads = step.kind() == StepKind.COOK && sheet.gauge().measured();
            List<StepEnd> ends = StepEnd.of(step, state, StepEnd.endings(sheet, step), gone, celsius, cooked).stream()
                    .filter(e -> !reads || !e.byHand())
                    .toList();
            rows.add(new Row(step, over ? Stand.DONE : current ? Stand.NOW : Stand.LATER, ends, gone, pours));
            current = current && over;
            cooked |= step.how().does() == Act.COOK;
        }
        return new PotProgram(rows);
    }
}

package org.zeststack.core.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.component.Component;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.explain.Working;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Range;

/**
 * A formula scaled to this run.
 *
 * @param key component key, {@code formula-ID-vN}; that of one of its batches ends with its number
 * @param method its steps in their own words
 * @param why how its masses come about
 */
public record FormulaBatch(
        String key,
        String name,
        String material,
        Uses uses,
        WeighedOut out,
        Finished finished,
        Cooking cooking,
        List<MethodStep> method,
        Working why) {

    /** Key of the formula that a batch or a pot is of; any other key as it is. */
    public static String wholeKey(String key) {
        return Component.made(key).map(m -> m.whole().key()).orElse(key);
    }

    private Component.Made made() {
        return Component.made(key).orElseThrow(() -> new IllegalStateException(key + " is no formula's key"));
    }

    /** The formula's id, as its key has it. */
    public long formula() {
        return made().formula();
    }

    /** The formula's version, as its key has it. */
    public int version() {
        return made().version();
    }

    /** Where what is laid of it ends up. */
    public Deposit deposit() {
        return uses.deposit();
    }

    /** What other formulas take of it, by their names, g. */
    public Map<String, Double> taken() {
        return uses.taken();
    }

    /** Everything weighed out, g. */
    public double rawGrams() {
        return out.grams();
    }

    public List<BatchLine> lines() {
        return out.lines();
    }

    /** Equal batches to make it in. */
    public int batches() {
        return out.batches();
    }

    /** Finished mass to have, g; the least where it ends by eye. */
    public double finishedGrams() {
        return finished.leastGrams();
    }

    public boolean byEye() {
        return finished.by() == Finished.By.EYE;
    }

    /** Whether it is cooked to a reading. */
    public boolean cooked() {
        return cooking.stop().isPresent();
    }

    /**
     * Where it is taken off.
     *
     * @throws java.util.NoSuchElementException where it is not cooked to a reading
     */
    public Stop stop() {
        return cooking.stop().orElseThrow();
    }

    /** Everything that goes into its first pot, of all its batches. */
    public Composition pot() {
        return cooking.pot().composition();
    }

    /** What goes into its first pot of one batch. */
    public Composition onePot() {
        return pot().times(1.0 / batches());
    }

    /** What is in one pot of it at first. */
    public Composition start() {
        return cooking.plan()
                .map(p -> p.start().composition())
                .orElseGet(this::pot)
                .times(1.0 / batches());
    }

    /** What one pot of it weighs when it is done, least and greatest; both 0 where it is not known what goes into it. */
    public Range doneGrams() {
        OptionalDouble read = cooking.cookedGrams();
        if (!cooking.pot().known() || cooked() && read.isEmpty()) {
            return new Range(0, 0, "g");
        }
        double later = rawGrams() - pot().totalGrams();
        double least = cooked() ? read.getAsDouble() : finished.leastGrams() - later;
        double most = cooked() ? read.getAsDouble() : finished.mostGrams() - later;
        return new Range(least / batches(), most / batches(), "g");
    }

    /** What is poured into a pot of it while it cooks. */
    public List<PotPlan.Pour> pours() {
        return cooking.plan().map(PotPlan::pours).orElse(List.of());
    }

    /** What is cooked in its second pot, as a batch of its own; empty where there is none. */
    public Optional<FormulaBatch> second() {
        return cooking.plan().flatMap(PotPlan::second).map(this::secondOf);
    }

    /** Whether it is the second pot of another. */
    public boolean inSecondPot() {
        return made().second();
    }

    private FormulaBatch secondOf(PotPlan.Second of) {
        Composition mass = of.mass().composition();
        List<BatchLine> lines =
                lines().stream().filter(l -> of.names().contains(l.name())).toList();
        return new FormulaBatch(
                made().secondPot().key(),
                String.join(", ", of.names()) + " for " + name,
                material,
                new Uses(Deposit.NOTHING, Map.of(), of.cookedGrams()),
                new WeighedOut(
                        out.factor(), mass.totalGrams(), OptionalDouble.of(mass.waterGrams()), lines, batches(), ""),
                new Finished(of.cookedGrams(), of.cookedGrams(), Finished.By.READING, 0, finished.fat()),
                new Cooking(of.mass(), Optional.of(of.stop()), OptionalDouble.of(of.cookedGrams()), Optional.empty()),
                List.of(),
                why);
    }
}

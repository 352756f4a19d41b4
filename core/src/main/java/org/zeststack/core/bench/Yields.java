package org.zeststack.core.bench;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.zeststack.core.method.Act;
import org.zeststack.core.sheet.BatchLine;
import org.zeststack.core.sheet.FormulaBatch;

/** What was really used of formulas and came of them. Of one that is made in several batches it is known once it is of each. */
public final class Yields {

    private final BenchState state;

    Yields(BenchState state) {
        this.state = state;
    }

    /** The sum over the batches of a formula of what is known of each; empty where one is not known. Of anything else its own. */
    private Optional<Double> all(String component, Function<String, Optional<Double>> known) {
        List<FormulaBatch> each = state.sheet().firstPots(component);
        if (each.size() < 2) {
            return known.apply(component);
        }
        List<Double> some =
                each.stream().flatMap(b -> known.apply(b.key()).stream()).toList();
        return some.size() < each.size()
                ? Optional.empty()
                : Optional.of(some.stream().mapToDouble(Double::doubleValue).sum());
    }

    /** What was weighed out for a batch, with what was really used of what goes in to effect, g. */
    public double rawGrams(FormulaBatch batch) {
        List<FormulaBatch> each = state.sheet().firstPots(batch.key());
        if (each.size() > 1) {
            return each.stream().mapToDouble(this::rawGrams).sum();
        }
        double grams = batch.rawGrams();
        for (BatchLine line : batch.lines()) {
            grams += actualGrams(batch.key(), line.ingredient()).orElse(line.grams()) - line.grams();
        }
        return grams;
    }

    /** What of a batch will be finished with what was really used of what goes in to effect: it loses as much of it as planned, g. */
    public double expectedGrams(FormulaBatch batch) {
        return batch.finishedGrams() * rawGrams(batch) / batch.rawGrams();
    }

    /** Grams really used of a line that goes in to effect, the last ones written down. */
    public Optional<Double> actualGrams(String component, String ingredient) {
        return all(component, key -> state.pot(key).actualGrams(ingredient));
    }

    /**
     * What a component weighed when it was put on the scale, at whichever of its steps; the last one stands. Where it was not, what its
     * pot held when it was weighed off the ring.
     */
    public Optional<Double> finishedGrams(String component) {
        return all(component, this::weighedBack);
    }

    private Optional<Double> weighedBack(String component) {
        return state.sheet().steps().stream()
                .filter(s -> s.component().equals(component))
                .map(s -> state.weighedGrams(s.id()))
                .flatMap(Optional::stream)
                .reduce((earlier, later) -> later)
                .or(() -> state.pot(component).offTheRingGrams());
    }

    /**
     * How moist a batch's pot was when it was done, by the scale: weighed in its pot at the cook or taken off, else by what came of
     * it less what went in after; empty where it was not weighed or cannot have weighed that. Of several batches the mean of those
     * weighed.
     */
    public Optional<Double> moisture(FormulaBatch batch) {
        List<FormulaBatch> each = state.sheet().firstPots(batch.key());
        if (each.size() > 1) {
            OptionalDouble mean = each.stream()
                    .flatMap(b -> moisture(b).stream())
                    .mapToDouble(Double::doubleValue)
                    .average();
            return mean.isPresent() ? Optional.of(mean.getAsDouble()) : Optional.empty();
        }
        PotState pot = state.pot(batch.key());
        Optional<Double> inPot = state.sheet().steps().stream()
                .filter(s -> s.component().equals(batch.key()) && s.how().does() == Act.COOK)
                .map(s -> pot.weighed(s.id()))
                .flatMap(Optional::stream)
                .map(PotWeighed::massGrams)
                .findFirst()
                .or(pot::offTheRingGrams);
        double later = batch.rawGrams() - batch.pot().totalGrams();
        return inPot.flatMap(g -> Pots.moisture(batch, g))
                .or(() -> finishedGrams(batch.key()).flatMap(g -> Pots.moisture(batch, (g - later) / batch.batches())));
    }
}

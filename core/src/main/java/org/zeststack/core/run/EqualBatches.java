package org.zeststack.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.zeststack.core.component.Component;
import org.zeststack.core.run.RunSheet.FormulaBatch;

/** A formula that one pot or bowl does not hold, as the equal batches that it is made in: each is cooked and weighed back on its own. */
final class EqualBatches {

    private EqualBatches() {}

    /** Its batches in the order of the work; itself where there is one. */
    static List<FormulaBatch> of(FormulaBatch whole) {
        List<FormulaBatch> each = new ArrayList<>();
        for (int number = 1; number <= whole.batches(); number++) {
            each.add(whole.batches() == 1 ? whole : batch(whole, number));
        }
        return each;
    }

    static String key(FormulaBatch whole, int number) {
        return Component.made(whole.key()).orElseThrow().batch(number).key();
    }

    private static FormulaBatch batch(FormulaBatch whole, int number) {
        double share = 1.0 / whole.batches();
        String key = key(whole, number);
        Map<String, Double> taken = new TreeMap<>();
        whole.taken().forEach((user, grams) -> taken.put(user, grams * share));
        return new FormulaBatch(
                key,
                "%s, batch %d of %d".formatted(whole.name(), number, whole.batches()),
                whole.version(),
                whole.material(),
                whole.depositGrams() * share,
                whole.usableGrams() * share,
                whole.factor() * share,
                whole.rawGrams() * share,
                whole.lines().stream().map(l -> l.times(share)).toList(),
                PotPlan.Mass.times(whole.potGrams(), share),
                whole.dextroseEquivalent(),
                whole.stopCelsius(),
                whole.stopCelsiusHere(),
                whole.stopReading(),
                whole.method(),
                whole.why(),
                whole.finishedGrams() * share,
                whole.mostFinishedGrams() * share,
                whole.deposit().times(share),
                taken,
                whole.waterGrams() * share,
                whole.ending(),
                1,
                "",
                whole.airFraction(),
                whole.cookedGrams() == null ? null : Double.valueOf(whole.cookedGrams() * share),
                whole.pots() == null ? null : whole.pots().of(key, share),
                whole.fat());
    }
}

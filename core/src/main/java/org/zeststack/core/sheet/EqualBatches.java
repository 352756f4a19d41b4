package org.zeststack.core.sheet;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.zeststack.core.component.Component;

/** A formula that one pot or bowl does not hold, as the equal batches that it is made in: each is cooked and weighed back on its own. */
public final class EqualBatches {

    private EqualBatches() {}

    /** Its batches in the order of the work; itself where there is one. */
    public static List<FormulaBatch> of(FormulaBatch whole) {
        return whole.batches() == 1
                ? List.of(whole)
                : IntStream.rangeClosed(1, whole.batches())
                        .mapToObj(number -> batch(whole, number))
                        .toList();
    }

    /** What the steps of a sheet make of its formulas: batches each on its own; on older sheets all of them as one. */
    static List<FormulaBatch> worked(List<FormulaBatch> formulas, List<BenchStep> steps) {
        Set<String> worked = steps.stream().map(BenchStep::component).collect(Collectors.toSet());
        return formulas.stream()
                .flatMap(f -> worked.contains(key(f, 1)) ? of(f).stream() : Stream.of(f))
                .toList();
    }

    private static String key(FormulaBatch whole, int number) {
        return Component.made(whole.key()).orElseThrow().batch(number).key();
    }

    private static FormulaBatch batch(FormulaBatch whole, int number) {
        double share = 1.0 / whole.batches();
        String key = key(whole, number);
        return new FormulaBatch(
                key,
                "%s, batch %d of %d".formatted(whole.name(), number, whole.batches()),
                whole.material(),
                whole.uses().times(share),
                whole.out().times(share),
                whole.finished().times(share),
                whole.cooking().of(key, share),
                whole.method(),
                whole.why());
    }
}

package org.zeststack.app.result;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sugar.Moistures;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** What came of formulas that are cooked by eye, by the scale: it narrows how moist the next one is reckoned to be. */
@Component
public class EyeCooks {

    private static final int MOST_COOKS = 8;

    private final Runs runs;
    private final Bench bench;

    EyeCooks(Runs runs, Bench bench) {
        this.runs = runs;
        this.bench = bench;
    }

    /**
     * Moistures of earlier cooks.
     *
     * @param cooks how many were weighed
     * @param least where the next one will be, with what the formula claims
     * @param greatest upper end of that
     */
    public record Weighed(int cooks, double least, double greatest) {}

    /** By the last runs that are closed; empty where it is not cooked by eye, or none was weighed. */
    public Optional<Weighed> of(long formula, Finish finish) {
        if (!finish.byEye()) {
            return Optional.empty();
        }
        List<Run> made = runs.made(formula, MOST_COOKS);
        Map<Long, List<BenchEntry>> entries =
                bench.entriesOf(made.stream().map(Run::id).toList());
        List<Double> weighed = made.stream()
                .map(run -> moisture(run, formula, entries.getOrDefault(run.id(), List.of())))
                .flatMap(Optional::stream)
                .toList();
        if (weighed.isEmpty()) {
            return Optional.empty();
        }
        Optional<Range> claimed = finish.moistureKnown() && finish.moistureLeast() <= finish.moistureGreatest()
                ? Optional.of(new Range(finish.moistureLeast(), finish.moistureGreatest(), ""))
                : Optional.empty();
        Range next = Moistures.next(weighed, claimed);
        double most = Math.max(
                claimed.map(Range::greatest).orElse(0.0),
                weighed.stream().max(Double::compare).orElseThrow());
        return Optional.of(new Weighed(weighed.size(), next.least(), Math.min(next.greatest(), most)));
    }

    private static Optional<Double> moisture(Run run, long formula, List<BenchEntry> entries) {
        RunSheet sheet = run.frozen();
        BenchState state = BenchState.of(sheet, entries);
        return sheet.formulas().stream()
                .filter(b -> b.formula() == formula && b.byEye())
                .findFirst()
                .flatMap(b -> state.yields().moisture(b));
    }

    /** The formula as it is reckoned with by what came of it before. */
    public NamedFormula narrowed(NamedFormula named) {
        return of(named.id(), named.formula().finish())
                .map(w -> new NamedFormula(
                        named.id(),
                        named.name(),
                        named.version(),
                        named.formula().finished(named.formula().finish().withMoisture(w.least(), w.greatest()))))
                .orElse(named);
    }
}

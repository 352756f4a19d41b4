package org.zeststack.app.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.zeststack.app.result.EyeCooks;
import org.zeststack.app.result.RunResults;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.Cup;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;
import org.zeststack.store.Part;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.design.Designs;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;

/** The runs made with a version, how they went, and what the bench used of lines that go in to effect. */
@Component
public class RunsMade {

    /** The newest runs that are asked what they weighed. */
    private static final int ASKED = 8;

    private final Runs runs;
    private final Bench bench;
    private final Designs<Formula> formulas;
    private final EyeCooks cooks;
    private final RunResults results;

    RunsMade(Runs runs, Bench bench, Designs<Formula> formulas, EyeCooks cooks, RunResults results) {
        this.runs = runs;
        this.bench = bench;
        this.formulas = formulas;
        this.cooks = cooks;
        this.results = results;
    }

    /** One run and how it went. */
    record Made(Runs.Brief run, RunResults.Result result) {}

    /** The newest runs made with a version, newest day first. */
    public List<Made> with(long formula, int version) {
        List<Runs.Brief> made =
                runs.briefWith(new FormulaLink(formula, version).component().key(), Part.ROWS);
        Map<Long, RunResults.Result> how = results.of(made);
        return made.stream()
                .filter(run -> how.get(run.id()).newerForm() == 0)
                .map(run -> new Made(run, how.get(run.id())))
                .toList();
    }

    /**
     * What the bench used of a line to effect, scaled back to the formula as written.
     *
     * @param grams in the formula's own scale
     */
    record Offer(int row, String ingredient, double grams, long run) {}

    /** Air that the bench measured, with the cups that it was measured by. */
    record Air(long run, double fraction, double before, double after) {}

    /** The last cup weighed of what is whipped, in the newest run of the version to be made; null where nobody weighed one. */
    public Air air(long id, FormInput form) {
        boolean whipped =
                form.has("overrunFraction") && !form.text("overrunFraction").equals("0") || form.has("cupAfterGrams");
        int current = whipped ? formulas.currentNumber(id) : 0;
        if (current == 0) {
            return null;
        }
        String key = new FormulaLink(id, current).component().key();
        List<Run> made = runs.with(key, ASKED);
        var entries = bench.entriesOf(made.stream().map(Run::id).toList());
        for (Run run : made) {
            var cup = BenchState.of(run.frozen(), entries.getOrDefault(run.id(), List.of())).entries().stream()
                    .map(BenchEntry::body)
                    .filter(b -> b instanceof Cup c
                            && FormulaBatch.wholeKey(c.component()).equals(key))
                    .map(Cup.class::cast)
                    .reduce((earlier, later) -> later);
            if (cup.isPresent()) {
                return new Air(
                        run.id(),
                        cup.get().air(),
                        cup.get().beforeGrams(),
                        cup.get().afterGrams());
            }
        }
        return null;
    }

    /** What weighed cooks of a formula that ends by eye say of the next one; null where none does. */
    public EyeCooks.Weighed weighed(long id, FormInput form) {
        return cooks.of(id, FormulaFields.finish(FormInput.of(form.typed()))).orElse(null);
    }

    /** Offers for the lines to effect in a form, from the newest run of the version to be made. */
    public List<Offer> offers(long id, FormInput form) {
        List<Integer> rows = Rows.used(form, "line").stream()
                .filter(n -> form.text("line." + n + ".effect").equals("yes"))
                .toList();
        int current = rows.isEmpty() ? 0 : formulas.currentNumber(id);
        if (current == 0) {
            return List.of();
        }
        String key = new FormulaLink(id, current).component().key();
        List<Offer> offers = new ArrayList<>();
        List<Run> made = runs.with(key, ASKED);
        var entries = bench.entriesOf(made.stream().map(Run::id).toList());
        for (Run run : made) {
            RunSheet sheet = run.frozen();
            BenchState state = BenchState.of(sheet, entries.getOrDefault(run.id(), List.of()));
            double factor = sheet.formula(key).orElseThrow().out().factor();
            for (int row : rows) {
                String slug = form.text("line." + row + ".slug");
                boolean told = offers.stream().anyMatch(o -> o.row == row);
                state.yields()
                        .actualGrams(key, slug)
                        .filter(g -> !told)
                        .ifPresent(g -> offers.add(new Offer(
                                row,
                                form.text("line." + row + ".ingredient"),
                                Math.round(g / factor * 10) / 10.0,
                                run.id())));
            }
        }
        return offers;
    }
}

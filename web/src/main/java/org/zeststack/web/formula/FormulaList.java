package org.zeststack.web.formula;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.app.result.RunResults;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.store.NewerRelease;
import org.zeststack.store.Part;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.store.run.Runs;

/** The list of formulas, each with what it is and what is made of it; everything is read at once. */
@Component
class FormulaList {

    /**
     * One formula.
     *
     * @param draft what its draft says; null where a newer release wrote it
     * @param usedIn names of the bars and formulas whose version to be made takes it, whichever version of it
     * @param last what came of it in the newest run that weighed it; null where none did
     * @param balance what it comes to; null where its draft cannot be reckoned
     */
    record Row(
            Designs.Listed listed, Formula draft, List<String> usedIn, RunResults.Batch last, FormulaBalance balance) {}

    /** What the list may be sorted by. */
    static final List<Designs.By> ORDERS = List.of(Designs.By.NAME, Designs.By.KIND, Designs.By.CHANGED);

    /** The newest runs that are asked what they weighed. */
    private static final int ASKED = 3;

    private final Designs<Formula> formulas;
    private final Shelf shelf;
    private final Runs runs;
    private final RunResults results;

    FormulaList(Designs<Formula> formulas, Shelf shelf, Runs runs, RunResults results) {
        this.formulas = formulas;
        this.shelf = shelf;
        this.runs = runs;
        this.results = results;
    }

    /** One page of them, reckoned. */
    Part<Row> of(Part<Designs.Listed> listed) {
        List<Long> ids = listed.rows().stream().map(Designs.Listed::id).toList();
        Map<Long, Saved<Formula>> drafts = formulas.drafts(ids);
        Map<Long, List<String>> users = formulas.usedIn(ids);
        Map<Long, List<Runs.Brief>> made = runs.newestWith(ids, ASKED);
        Map<Long, RunResults.Result> how =
                results.of(made.values().stream().flatMap(List::stream).toList());
        return listed.map(of -> {
            Formula draft =
                    Optional.ofNullable(drafts.get(of.id())).map(Saved::content).orElse(null);
            RunResults.Batch last = made.getOrDefault(of.id(), List.of()).stream()
                    .map(run -> how.get(run.id()).batches().get(of.id()))
                    .filter(Objects::nonNull)
                    .findFirst()
                    .orElse(null);
            return new Row(
                    of, draft, users.getOrDefault(of.id(), List.of()), last, draft == null ? null : balance(of, draft));
        });
    }

    private FormulaBalance balance(Designs.Listed of, Formula draft) {
        try {
            IngredientTable table = shelf.needs(of.id(), of.name(), draft).table();
            return FormulaBalance.of(draft, table, Atmosphere.SEA_LEVEL_KPA);
        } catch (IllegalArgumentException | Refusal | NewerRelease cannot) {
            return null;
        }
    }
}

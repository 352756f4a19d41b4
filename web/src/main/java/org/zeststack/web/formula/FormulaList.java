package org.zeststack.web.formula;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.web.page.Part;
import org.zeststack.web.result.LastResults;
import org.zeststack.web.shelf.Shelf;

/** The list of formulas, each with what it is and what is made of it; everything is read at once. */
@Component
class FormulaList {

    /**
     * One formula.
     *
     * @param draft what its draft says
     * @param usedIn names of the bars and formulas whose version to be made takes it, whichever version of it
     * @param last what came of it in the newest run that weighed it; null where none did
     * @param balance what it comes to; null until it is shown, and where its draft cannot be reckoned
     */
    record Row(
            Designs.Listed listed,
            Formula draft,
            List<String> usedIn,
            LastResults.Batch last,
            FormulaBalance balance) {}

    /** What the list is sorted by. */
    enum By {
        NAME("name", Comparator.comparing((Row r) -> r.listed().name().toLowerCase(Locale.ROOT))),
        FAMILY("family", Comparator.comparing((Row r) -> r.draft().family()).thenComparing(NAME.order)),
        CHANGED(
                "last changed",
                Comparator.comparing((Row r) -> r.listed().stamp().at()).reversed());

        private final String words;
        private final Comparator<Row> order;

        By(String words, Comparator<Row> order) {
            this.words = words;
            this.order = order;
        }

        public String words() {
            return words;
        }
    }

    private final Designs<Formula> formulas;
    private final Designs<Bar> bars;
    private final Shelf shelf;
    private final LastResults results;

    FormulaList(Designs<Formula> formulas, Designs<Bar> bars, Shelf shelf, LastResults results) {
        this.formulas = formulas;
        this.bars = bars;
        this.shelf = shelf;
        this.results = results;
    }

    /** Formulas whose name or family holds what was typed, sorted, one page of them reckoned. */
    Part<Row> of(List<Designs.Listed> listed, String typed, By by, int page) {
        Map<Long, Formula> drafts = formulas.drafts().stream().collect(Collectors.toMap(Saved::id, Saved::content));
        Map<Long, TreeSet<String>> users = users();
        Map<Long, LastResults.Batch> last = results.read().batches();
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        List<Row> found = listed.stream()
                .map(l -> new Row(
                        l,
                        drafts.get(l.id()),
                        List.copyOf(users.getOrDefault(l.id(), new TreeSet<>())),
                        last.get(l.id()),
                        null))
                .filter(r -> (r.listed.name() + " " + r.draft.family().title())
                        .toLowerCase(Locale.ROOT)
                        .contains(wanted))
                .sorted(by.order)
                .toList();
        return Part.of(found, page, this::reckoned);
    }

    private Row reckoned(Row row) {
        try {
            IngredientTable table =
                    shelf.needs(row.listed.id(), row.listed.name(), row.draft).table();
            FormulaBalance balance = FormulaBalance.of(row.draft, table, Atmosphere.SEA_LEVEL_KPA);
            return new Row(row.listed, row.draft, row.usedIn, row.last, balance);
        } catch (IllegalArgumentException | Refusal cannot) {
            return row;
        }
    }

    private Map<Long, TreeSet<String>> users() {
        Map<Long, TreeSet<String>> users = new HashMap<>();
        for (Designs.Version<Bar> bar : bars.current()) {
            bar.content().materials().forEach(of -> note(users, of, bar.name()));
        }
        for (Designs.Version<Formula> formula : formulas.current()) {
            formula.content().lines().stream()
                    .map(FormulaLine::ingredient)
                    .forEach(of -> note(users, of, formula.name()));
        }
        return users;
    }

    private static void note(Map<Long, TreeSet<String>> users, String of, String user) {
        FormulaLink.in(of).ifPresent(link -> users.computeIfAbsent(link.formula(), k -> new TreeSet<>())
                .add(user));
    }
}

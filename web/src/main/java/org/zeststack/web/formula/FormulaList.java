package org.zeststack.web.formula;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;

/** The list of formulas, each with what it is and what is made of it; everything is read at once. */
@Component
class FormulaList {

    /**
     * One formula.
     *
     * @param draft what its draft says
     * @param usedIn names of the bars and formulas whose version to be made takes it, whichever version of it
     */
    record Row(Designs.Listed listed, Formula draft, List<String> usedIn) {}

    private final Designs<Formula> formulas;
    private final Designs<Bar> bars;

    FormulaList(Designs<Formula> formulas, Designs<Bar> bars) {
        this.formulas = formulas;
        this.bars = bars;
    }

    /** Formulas whose name or family holds what was typed. */
    List<Row> of(List<Designs.Listed> listed, String typed) {
        Map<Long, Formula> drafts = formulas.drafts().stream().collect(Collectors.toMap(Saved::id, Saved::content));
        Map<Long, TreeSet<String>> users = users();
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        return listed.stream()
                .map(l -> new Row(l, drafts.get(l.id()), List.copyOf(users.getOrDefault(l.id(), new TreeSet<>()))))
                .filter(r -> (r.listed.name() + " " + r.draft.family().title())
                        .toLowerCase(Locale.ROOT)
                        .contains(wanted))
                .toList();
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

package org.zeststack.core.formula;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.zeststack.core.ingredient.IngredientTable;

/**
 * What can be made from what is there.
 *
 * @param formula the formula version
 * @param factor how many times over; 0 where something is missing altogether
 * @param usableGrams what would come of it; 0 where the moisture is not known
 * @param shortest name of the ingredient that ends it
 * @param missing names of ingredients that are not there at all
 */
public record Cupboard(NamedFormula formula, double factor, double usableGrams, String shortest, List<String> missing) {

    /** A formula with the table that its lines are looked up in and its balance. */
    public record Candidate(NamedFormula named, IngredientTable table, FormulaBalance balance) {}

    /** Slugs that every kitchen has from the tap. */
    private static final String TAP = "water";

    /** What can be made of every candidate, the most first, those that lack something last. */
    public static List<Cupboard> of(List<Candidate> candidates, Map<String, Double> gramsBySlug) {
        return candidates.stream()
                .map(c -> one(c, gramsBySlug))
                .sorted(Comparator.comparing((Cupboard c) -> c.missing.size())
                        .thenComparing(c -> -c.usableGrams)
                        .thenComparing(c -> c.formula.name()))
                .toList();
    }

    private static Cupboard one(Candidate candidate, Map<String, Double> have) {
        Formula formula = candidate.named.formula();
        Map<String, Double> need = formula.lines().stream()
                .filter(line -> line.counts() && !line.ingredient().equals(TAP))
                .collect(java.util.stream.Collectors.toMap(
                        FormulaLine::ingredient, FormulaLine::grams, Double::sum, java.util.LinkedHashMap::new));
        double factor = Double.POSITIVE_INFINITY;
        String shortest = "";
        for (var line : need.entrySet()) {
            double times = have.getOrDefault(line.getKey(), 0.0) / line.getValue();
            if (times < factor) {
                factor = times;
                shortest = candidate.table.get(line.getKey()).name();
            }
        }
        List<String> missing = need.keySet().stream()
                .filter(slug -> !(have.getOrDefault(slug, 0.0) > 0))
                .map(slug -> candidate.table.get(slug).name())
                .toList();
        double times = Double.isInfinite(factor) ? 0 : factor;
        double usable = candidate.balance.moistureKnown()
                ? times * candidate.balance.leastGrams() * (1 - formula.handlingLossFraction())
                : 0;
        return new Cupboard(candidate.named, times, usable, shortest, missing);
    }
}

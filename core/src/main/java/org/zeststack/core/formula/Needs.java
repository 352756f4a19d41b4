package org.zeststack.core.formula;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Refusal;

/**
 * The one place that multiplies formulas. What is laid of a formula and what other formulas take of it are summed, users first,
 * before any batch is made; so a caramel that is a layer and also goes into a ganache is cooked once, in the sum.
 *
 * <p>Usable mass = laid + taken by others; finished mass = usable / (1 − handling loss); every line is multiplied by finished mass over
 * the least finished mass of the formula, which carries cooking, baking and drying. Counted pieces are made whole, and the rest is
 * multiplied until the finished mass is there.
 */
public final class Needs {

    private static final int MOST_ROUNDS = 40;
    private static final double ENOUGH = 1e-9;

    private final Map<String, NamedFormula> formulas = new LinkedHashMap<>();
    private final Set<String> fromStock;
    private final IngredientTable table;
    private final double pressureKpa;
    private final Function<Formula, Scaling.Limits> limits;
    private final Map<String, Double> laid;
    private final Map<String, Map<String, Double>> taken = new LinkedHashMap<>();

    private Needs(Order order) {
        order.formulas.forEach(f -> formulas.put(f.link().text(), f));
        laid = order.laidGrams;
        fromStock = order.fromStock;
        table = order.table;
        pressureKpa = order.pressureKpa;
        limits = order.limits;
    }

    /**
     * What is asked for.
     *
     * @param laidGrams finished grams that are laid of a formula, by its link
     * @param formulas every formula that is laid or that one of them is made of
     * @param fromStock links of what others take from a jar: it is not made for them
     * @param table ingredients, and finished formulas under their links
     * @param limits what a formula's masses must fit into
     */
    public record Order(
            Map<String, Double> laidGrams,
            List<NamedFormula> formulas,
            Set<String> fromStock,
            IngredientTable table,
            double pressureKpa,
            Function<Formula, Scaling.Limits> limits) {}

    /**
     * One formula to be made.
     *
     * @param balance of the formula as written
     * @param made balance of the lines as they are weighed out
     * @param scaling lines and batches
     * @param laidGrams what is laid of it
     * @param takenGrams what other formulas take of it, by their names
     */
    public record Batch(
            NamedFormula named,
            FormulaBalance balance,
            FormulaBalance made,
            Scaling scaling,
            double laidGrams,
            Map<String, Double> takenGrams) {

        public double usableGrams() {
            return laidGrams
                    + takenGrams.values().stream()
                            .mapToDouble(Double::doubleValue)
                            .sum();
        }

        /** Finished mass to have, at the least. */
        public double finishedGrams() {
            return made.leastGrams();
        }
    }

    /**
     * Everything that is to be made, what others need first standing first.
     *
     * @throws YieldUnknown naming the formula whose finished mass is not known
     */
    public static List<Batch> of(Order order) {
        return new Needs(order).batches();
    }

    /** A formula by itself, multiplied until {@code usableGrams} are usable. */
    public static Batch of(
            NamedFormula named, double usableGrams, IngredientTable table, double pressureKpa, Scaling.Limits limits) {
        Order order = new Order(
                Map.of(named.link().text(), usableGrams),
                List.of(named),
                Set.of(),
                table,
                pressureKpa,
                formula -> limits);
        return of(order).get(0);
    }

    private List<Batch> batches() {
        List<Batch> batches = new ArrayList<>();
        for (NamedFormula named : usersFirst()) {
            double own = laid.getOrDefault(named.link().text(), 0.0);
            Map<String, Double> others = taken.getOrDefault(named.link().text(), Map.of());
            double usable = own
                    + others.values().stream().mapToDouble(Double::doubleValue).sum();
            if (usable > 0) {
                Batch batch = batch(named, own, usable, others);
                batch.scaling.lines().forEach(line -> take(line, named));
                batches.add(0, batch);
            }
        }
        return batches;
    }

    private void take(Scaling.Line line, NamedFormula user) {
        boolean counts = user.formula().lines().get(line.index()).counts();
        if (counts && formulas.containsKey(line.ingredient()) && !fromStock.contains(line.ingredient())) {
            taken.computeIfAbsent(line.ingredient(), k -> new LinkedHashMap<>())
                    .merge(user.name(), line.grams(), Double::sum);
        }
    }

    /** Every formula before those that it is made of. */
    private List<NamedFormula> usersFirst() {
        List<NamedFormula> partsFirst = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        formulas.keySet().forEach(link -> visit(link, seen, partsFirst));
        List<NamedFormula> users = new ArrayList<>();
        partsFirst.forEach(f -> users.add(0, f));
        return users;
    }

    private void visit(String link, Set<String> seen, List<NamedFormula> partsFirst) {
        NamedFormula named = formulas.get(link);
        if (named != null && seen.add(link)) {
            named.formula().lines().forEach(line -> visit(line.ingredient(), seen, partsFirst));
            partsFirst.add(named);
        }
    }

    private Batch batch(NamedFormula named, double own, double usable, Map<String, Double> others) {
        Formula formula = named.formula();
        FormulaBalance balance = FormulaBalance.of(formula, table, pressureKpa);
        double factor;
        try {
            factor = Scaling.factorForUsable(formula, balance, usable);
        } catch (Refusal refusal) {
            throw new YieldUnknown(named, refusal.getMessage());
        }
        double wanted = usable / (1 - formula.handlingLossFraction());
        boolean counted = formula.lines().stream().anyMatch(l -> l.counts() && l.pieces() != null);
        Scaling.Limits fits = limits.apply(formula);
        Scaling scaling = Scaling.of(formula, balance, factor, fits);
        double fitted = factor;
        FormulaBalance made = made(formula, scaling);
        for (int round = 0; counted && round < MOST_ROUNDS && off(made, wanted) > ENOUGH; round++) {
            fitted *= wanted / made.leastGrams();
            scaling = Scaling.of(formula, balance, fitted, factor, fits);
            made = made(formula, scaling);
        }
        return new Batch(named, balance, made, scaling, own, others);
    }

    private static double off(FormulaBalance made, double wanted) {
        return Math.abs(made.leastGrams() / wanted - 1);
    }

    private FormulaBalance made(Formula formula, Scaling scaling) {
        List<FormulaLine> lines = new ArrayList<>();
        for (Scaling.Line line : scaling.lines()) {
            lines.add(formula.lines().get(line.index()).withGrams(line.grams()));
        }
        return FormulaBalance.of(formula.withLines(lines), table, pressureKpa);
    }
}

package org.zeststack.core.ingredient;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import org.hipparchus.optim.MaxIter;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Nutrition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * The composition of a bought part from what its pack says: the nutrition panel and the order of its ingredients.
 *
 * <p>Ingredients stand in descending order as used, so the shares obey x₁ ≥ x₂ ≥ … ≥ 0 and Σx = 1. Each panel figure must be
 * met within its rounding and the tolerance labels have. A first linear programme finds the least total misfit; then every
 * part is made as small and as large as that misfit allows. The estimate is the mean of all those corner mixtures, itself a
 * permitted mixture, and the uncertainty of a part is half of its span.
 *
 * <p>Source: the order and the panel by Regulation (EU) 1169/2011; the method is ours. The tolerance of a panel figure, half
 * a unit in its last digit and 5 %, is common practice, no source; national guidance allows more.
 *
 * @param per100Grams the estimate, 100 g
 * @param plusMinus half span of each part, g per 100 g; parts that are nowhere are left out
 * @param shares estimated share of each ingredient, in the order given
 * @param misfit panel figures that no mixture meets, with what the estimate gives instead; empty where all are met
 */
public record PackFit(Composition per100Grams, Map<Part, Double> plusMinus, List<Double> shares, List<String> misfit) {

    private static final double TOLERANCE_SHARE = 0.05;
    private static final int MOST_ITERATIONS = 10_000;

    /** The figures of a panel, per 100 g. */
    public enum Figure {
        FAT("fat", new Range(0, 100, "g"), 0.3, Nutrition::fat),
        SATURATES("saturates", new Range(0, 100, "g"), 0.3, Nutrition::saturates),
        CARBOHYDRATE("carbohydrate", new Range(0, 100, "g"), 0.5, Nutrition::carbohydrate),
        SUGARS("sugars", new Range(0, 100, "g"), 0.5, Nutrition::sugars),
        FIBRE("fibre", new Range(0, 100, "g"), 0.5, Nutrition::fibre),
        PROTEIN("protein", new Range(0, 100, "g"), 0.3, Nutrition::protein),
        SALT("salt", new Range(0, 100, "g"), 0.05, Nutrition::salt);

        private final String words;
        private final Range range;
        private final double rounding;
        private final ToDoubleFunction<Nutrition> of;

        Figure(String words, Range range, double rounding, ToDoubleFunction<Nutrition> of) {
            this.words = words;
            this.range = range;
            this.rounding = rounding;
            this.of = of;
        }

        public String words() {
            return words;
        }

        public Range range() {
            return range;
        }
    }

    /**
     * Fits a mixture.
     *
     * @param panel figures of the pack; those it does not give are left out
     * @param ordered ingredients in the order of the pack
     * @throws org.zeststack.core.quantity.InvalidInput where there is nothing to fit or the panel contradicts itself
     */
    public static PackFit of(Map<Figure, Double> panel, List<Ingredient> ordered) {
        check(panel, ordered);
        return new Fit(panel, ordered).fit();
    }

    private static void check(Map<Figure, Double> panel, List<Ingredient> ordered) {
        Faults faults = new Faults();
        panel.forEach((figure, grams) -> faults.within(figure.name(), grams, figure.range));
        notMore(faults, panel, Figure.SATURATES, Figure.FAT);
        notMore(faults, panel, Figure.SUGARS, Figure.CARBOHYDRATE);
        if (panel.isEmpty()) {
            faults.add(Fault.of("FAT", "", "Write at least one figure of the pack."));
        }
        double sum = panel.entrySet().stream()
                .filter(e -> e.getKey() != Figure.SATURATES && e.getKey() != Figure.SUGARS)
                .mapToDouble(Map.Entry::getValue)
                .sum();
        if (sum > 101.5) {
            faults.add(Fault.of("CARBOHYDRATE", "", "The figures add up to %s in 100 g.".formatted(Say.grams(sum, 1))));
        }
        if (ordered.isEmpty()) {
            faults.add(Fault.of("ingredients", "", "Write the ingredients in the order of the pack."));
        }
        faults.throwIfAny();
    }

    private static void notMore(Faults faults, Map<Figure, Double> panel, Figure part, Figure whole) {
        Double a = panel.get(part);
        Double b = panel.get(whole);
        if (a != null && b != null && a > b) {
            faults.add(Fault.of(part.name(), String.valueOf(a), "More %s than %s.".formatted(part.words, whole.words)));
        }
    }

    /** Unknowns: y₁…yₙ with xᵢ = Σ_{j≥i} yⱼ/j, which keeps the order, then one excess and one lack per figure. */
    private static final class Fit {
        private final Map<Figure, Double> panel;
        private final List<Ingredient> ordered;
        private final List<Figure> figures;
        private final int n;
        private final int unknowns;

        Fit(Map<Figure, Double> panel, List<Ingredient> ordered) {
            this.panel = new EnumMap<>(panel);
            this.ordered = ordered;
            figures = List.copyOf(this.panel.keySet());
            n = ordered.size();
            unknowns = n + 2 * figures.size();
        }

        PackFit fit() {
            double[] misfit = new double[unknowns];
            for (int k = n; k < unknowns; k++) {
                misfit[k] = 1;
            }
            Collection<LinearConstraint> constraints = constraints();
            double least = solve(misfit, constraints, GoalType.MINIMIZE).value;
            constraints.add(new LinearConstraint(misfit, Relationship.LEQ, least + 1e-6));
            List<double[]> corners = new ArrayList<>();
            Map<Part, Double> spans = new EnumMap<>(Part.class);
            for (Part part : Part.values()) {
                double[] grams = coefficients(i -> ordered.get(i).grams(100).grams(part));
                if (java.util.Arrays.stream(grams).allMatch(g -> g == 0)) {
                    continue;
                }
                Solved low = solve(grams, constraints, GoalType.MINIMIZE);
                Solved high = solve(grams, constraints, GoalType.MAXIMIZE);
                corners.add(shares(low.point));
                corners.add(shares(high.point));
                spans.put(part, (high.value - low.value) / 2);
            }
            return result(corners, spans);
        }

        private PackFit result(List<double[]> corners, Map<Part, Double> spans) {
            double[] mean = new double[n];
            corners.forEach(c -> {
                for (int i = 0; i < n; i++) {
                    mean[i] += c[i] / corners.size();
                }
            });
            Composition mixture = Composition.NOTHING;
            double saturates = 0;
            double sodium = 0;
            List<Double> shares = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                mixture = mixture.plus(ordered.get(i).grams(100 * mean[i]));
                saturates += mean[i] * ordered.get(i).saturatesPer100Grams();
                sodium += mean[i] * ordered.get(i).sodiumPer100Grams();
                shares.add(mean[i]);
            }
            Nutrition told = Nutrition.of(mixture, saturates, sodium);
            List<String> off = new ArrayList<>();
            panel.forEach((figure, grams) -> {
                double got = figure.of.applyAsDouble(told);
                if (Math.abs(got - grams) > tolerance(figure) + 0.05) {
                    off.add("%s: the pack says %s, no mixture of these comes nearer than %s"
                            .formatted(figure.words, Say.grams(grams, 1), Say.grams(got, 1)));
                }
            });
            return new PackFit(mixture, Map.copyOf(spans), List.copyOf(shares), List.copyOf(off));
        }

        private double tolerance(Figure figure) {
            return figure.rounding + TOLERANCE_SHARE * panel.get(figure);
        }

        private Collection<LinearConstraint> constraints() {
            Collection<LinearConstraint> constraints = new ArrayList<>();
            double[] all = new double[unknowns];
            java.util.Arrays.fill(all, 0, n, 1);
            constraints.add(new LinearConstraint(all, Relationship.EQ, 1));
            for (int f = 0; f < figures.size(); f++) {
                Figure figure = figures.get(f);
                double[] row =
                        coefficients(i -> figure.of.applyAsDouble(ordered.get(i).panel()));
                double[] upper = row.clone();
                upper[n + 2 * f] = -1;
                double[] lower = row.clone();
                lower[n + 2 * f + 1] = 1;
                constraints.add(new LinearConstraint(upper, Relationship.LEQ, panel.get(figure) + tolerance(figure)));
                constraints.add(new LinearConstraint(lower, Relationship.GEQ, panel.get(figure) - tolerance(figure)));
            }
            return constraints;
        }

        private double[] coefficients(java.util.function.IntToDoubleFunction ofIngredient) {
            double[] row = new double[unknowns];
            double sum = 0;
            for (int j = 0; j < n; j++) {
                sum += ofIngredient.applyAsDouble(j);
                row[j] = sum / (j + 1);
            }
            return row;
        }

        private double[] shares(double[] point) {
            double[] shares = new double[n];
            double sum = 0;
            for (int i = n - 1; i >= 0; i--) {
                sum += point[i] / (i + 1);
                shares[i] = sum;
            }
            return shares;
        }

        private record Solved(double value, double[] point) {}

        private static Solved solve(double[] objective, Collection<LinearConstraint> constraints, GoalType goal) {
            var optimum = new SimplexSolver()
                    .optimize(
                            new MaxIter(MOST_ITERATIONS),
                            new LinearObjectiveFunction(objective, 0),
                            new LinearConstraintSet(constraints),
                            goal,
                            new NonNegativeConstraint(true));
            return new Solved(optimum.getValue(), optimum.getPoint());
        }
    }
}

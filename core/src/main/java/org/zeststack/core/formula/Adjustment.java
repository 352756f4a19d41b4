package org.zeststack.core.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;

/**
 * One thing about a formula that can be moved by changing lines: the share that keeps a caramel from graining, the firmness
 * of a ganache, the solid fat of a nut filling, the sweetness of what is left.
 *
 * @param lever what is moved
 * @param value where it stands now
 */
public record Adjustment(Lever lever, double value) {

    /** What can be moved, the values that may be wanted, and what the two ends mean. */
    public enum Lever {
        DOCTOR("Syrup and invert in the sugars", new Range(0.1, 0.7, ""), "grains · sticky"),
        FIRMNESS("Firmness of the ganache", new Range(0.5, 2.6, ""), "fills · cuts"),
        SOLID_FAT("Solid fat at 20 °C", new Range(0.02, 0.6, ""), "runny · sliceable"),
        BRIX("Dissolved solids of the gel", new Range(0.5, 0.8, ""), "wet · keeps");

        private final String title;
        private final Range range;
        private final String ends;

        Lever(String title, Range range, String ends) {
            this.title = title;
            this.range = range;
            this.ends = ends;
        }

        public String title() {
            return title;
        }

        public Range range() {
            return range;
        }

        public String ends() {
            return ends;
        }
    }

    /** What can be moved in a formula of its family, with its present value. */
    public static Optional<Adjustment> of(Formula formula, IngredientTable table) {
        return lever(formula)
                .map(l -> new Adjustment(l, measure(l, formula, table)))
                .filter(a -> Double.isFinite(a.value));
    }

    /**
     * The lines that bring the formula to {@code wanted} at the same total mass, as far as its lines allow; empty where no
     * line moves it.
     */
    public static Optional<List<FormulaLine>> to(double wanted, Formula formula, IngredientTable table) {
        return lever(formula).flatMap(lever -> solve(lever, wanted, formula, table));
    }

    private static Optional<Lever> lever(Formula formula) {
        return Optional.ofNullable(
                switch (formula.family().kind()) {
                    case CARAMEL, NOUGAT, FONDANT -> Lever.DOCTOR;
                    case GANACHE -> Lever.FIRMNESS;
                    case NUT -> Lever.SOLID_FAT;
                    case GEL -> Lever.BRIX;
                    default -> null;
                });
    }

    private static double measure(Lever lever, Formula formula, IngredientTable table) {
        Composition all = formula.lines().stream()
                .filter(FormulaLine::counts)
                .map(l -> table.get(l.ingredient()).grams(l.grams()))
                .reduce(Composition.NOTHING, Composition::plus);
        return switch (lever) {
            case DOCTOR -> Proportions.graining(all);
            case FIRMNESS -> Proportions.firmness(all);
            case BRIX -> all.dissolvedSolidsFraction();
            case SOLID_FAT -> {
                double liquid = formula.lines().stream()
                        .filter(FormulaLine::counts)
                        .mapToDouble(
                                l -> l.grams() / 100 * table.get(l.ingredient()).liquidFatPer100Grams())
                        .sum();
                double fat = all.grams(Part::isFat);
                yield fat == 0 ? Double.NaN : 1 - liquid / fat;
            }
        };
    }

    /** Multiplies the lines that push the lever up by x and the others so that the total stays. */
    private static Optional<List<FormulaLine>> solve(
            Lever lever, double wanted, Formula formula, IngredientTable table) {
        ToDoubleFunction<FormulaLine> pushes =
                line -> pushes(lever, table.get(line.ingredient()).per100Grams());
        double up = formula.lines().stream()
                .filter(l -> l.counts() && pushes.applyAsDouble(l) > 0)
                .mapToDouble(FormulaLine::grams)
                .sum();
        double down = formula.lines().stream()
                .filter(l -> l.counts() && pushes.applyAsDouble(l) < 0)
                .mapToDouble(FormulaLine::grams)
                .sum();
        if (up == 0 || down == 0) {
            return Optional.empty();
        }
        double most = (up + down) / up;
        ToDoubleFunction<Double> off =
                x -> measure(lever, moved(formula, pushes, x, (up + down - up * x) / down), table) - wanted;
        double least = 0.02;
        double greatest = most * 0.98;
        double x = off.applyAsDouble(least) > 0
                ? least
                : off.applyAsDouble(greatest) < 0
                        ? greatest
                        : new BrentSolver(1e-6).solve(100, off::applyAsDouble, least, greatest);
        return Optional.of(
                moved(formula, pushes, x, (up + down - up * x) / down).lines());
    }

    private static Formula moved(Formula formula, ToDoubleFunction<FormulaLine> pushes, double up, double down) {
        List<FormulaLine> lines = new ArrayList<>();
        for (FormulaLine line : formula.lines()) {
            double push = line.counts() ? pushes.applyAsDouble(line) : 0;
            double grams = line.grams() * (push > 0 ? up : push < 0 ? down : 1);
            lines.add(
                    push == 0
                            ? line
                            : line.withGrams(Math.max(Formula.LINE_GRAMS.least(), Math.round(grams * 10) / 10.0)));
        }
        return formula.withLines(lines);
    }

    /** Whether a line raises the lever (above 0), lowers it (below 0) or is left alone. */
    private static int pushes(Lever lever, Composition hundred) {
        double sucrose = hundred.grams(Part.SUCROSE);
        double syrup = hundred.grams(Part.SYRUP_SOLIDS) + hundred.grams(Part.GLUCOSE) + hundred.grams(Part.FRUCTOSE);
        double water = hundred.waterGrams();
        double fat = hundred.grams(Part::isFat);
        return switch (lever) {
            case DOCTOR -> syrup > 40 && syrup > sucrose ? 1 : sucrose > 85 ? -1 : 0;
            case FIRMNESS -> hundred.grams(Part.COCOA_BUTTER) > 15 ? 1 : water > 25 ? -1 : 0;
            case SOLID_FAT -> hundred.grams(Part.COCOA_BUTTER) > 20 ? 1 : hundred.grams(Part.OTHER_FAT) > 20 ? -1 : 0;
            case BRIX -> hundred.dissolvedGrams() > 60 && fat < 5 ? 1 : water > 60 ? -1 : 0;
        };
    }

    /** The value in words, with the unit of its lever. */
    public String words(Bounds bounds) {
        return lever == Lever.FIRMNESS
                ? Say.number(value, 2) + ", " + Proportions.use(value, bounds)
                : Say.percent(100 * value, 0);
    }
}

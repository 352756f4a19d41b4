package org.zeststack.core.formula;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.zeststack.core.quantity.Say;

/**
 * What changed between two versions.
 *
 * @param lines one per ingredient and role, in the order of the newer version, dropped ones last
 * @param steps method, both versions woven together
 * @param facts other things that changed: stop, losses, family
 */
public record FormulaDiff(List<LineChange> lines, List<StepChange> steps, List<Fact> facts) {

    /**
     * One ingredient in both versions; grams are 0 where it is absent.
     *
     * @param fromPercent of everything weighed out
     */
    public record LineChange(
            String ingredient,
            FormulaLine.Role role,
            double fromGrams,
            double toGrams,
            double fromPercent,
            double toPercent) {

        public String change() {
            return fromGrams == 0 ? "new" : toGrams == 0 ? "dropped" : fromGrams == toGrams ? "same" : "changed";
        }
    }

    /**
     * One step.
     *
     * @param change {@code same}, {@code new} or {@code dropped}
     */
    public record StepChange(String change, String words) {}

    /** Something with one value before and another after. */
    public record Fact(String what, String from, String to) {}

    private record Key(String ingredient, FormulaLine.Role role) {}

    /** What leads from one formula to another. */
    public static FormulaDiff between(Formula from, Formula to) {
        return new FormulaDiff(lines(from, to), steps(from, to), facts(from, to));
    }

    private static List<LineChange> lines(Formula from, Formula to) {
        Map<Key, Double> before = grams(from);
        Map<Key, Double> after = grams(to);
        double beforeSum = counted(before);
        double afterSum = counted(after);
        LinkedHashMap<Key, Double> all = new LinkedHashMap<>(after);
        before.forEach(all::putIfAbsent);
        return all.keySet().stream()
                .map(key -> {
                    double a = before.getOrDefault(key, 0.0);
                    double b = after.getOrDefault(key, 0.0);
                    return new LineChange(key.ingredient, key.role, a, b, 100 * a / beforeSum, 100 * b / afterSum);
                })
                .toList();
    }

    private static Map<Key, Double> grams(Formula formula) {
        Map<Key, Double> grams = new LinkedHashMap<>();
        formula.lines().forEach(l -> grams.merge(new Key(l.ingredient(), l.role()), l.grams(), Double::sum));
        return grams;
    }

    private static double counted(Map<Key, Double> grams) {
        return grams.entrySet().stream()
                .filter(e -> e.getKey().role != FormulaLine.Role.OPTIONAL)
                .mapToDouble(Map.Entry::getValue)
                .sum();
    }

    private static List<Fact> facts(Formula from, Formula to) {
        List<Fact> facts = new ArrayList<>();
        fact(facts, "Family", from.family().title(), to.family().title());
        fact(facts, "Stop", degrees(from), degrees(to));
        fact(facts, "Left in pot and bag", percent(from.handlingLossFraction()), percent(to.handlingLossFraction()));
        fact(
                facts,
                "Loss in the oven",
                percent(from.finish().bakedLossFraction()),
                percent(to.finish().bakedLossFraction()));
        fact(
                facts,
                "Air",
                percent(from.finish().overrunFraction()),
                percent(to.finish().overrunFraction()));
        for (School school : School.values()) {
            fact(
                    facts,
                    school.question(),
                    from.choices().getOrDefault(school.key(), ""),
                    to.choices().getOrDefault(school.key(), ""));
        }
        return facts;
    }

    private static void fact(List<Fact> facts, String what, String from, String to) {
        if (!Objects.equals(from, to)) {
            facts.add(new Fact(what, from, to));
        }
    }

    private static String degrees(Formula formula) {
        return formula.cooked()
                ? Say.celsius(formula.stopCelsius())
                : formula.finish().byEye() ? "by eye" : "not cooked";
    }

    private static String percent(double fraction) {
        return Say.percent(100 * fraction);
    }

    /** Longest common subsequence of the steps' words. */
    private static List<StepChange> steps(Formula from, Formula to) {
        List<String> a = words(from);
        List<String> b = words(to);
        int[][] common = new int[a.size() + 1][b.size() + 1];
        for (int i = a.size() - 1; i >= 0; i--) {
            for (int j = b.size() - 1; j >= 0; j--) {
                common[i][j] = a.get(i).equals(b.get(j))
                        ? common[i + 1][j + 1] + 1
                        : Math.max(common[i + 1][j], common[i][j + 1]);
            }
        }
        List<StepChange> steps = new ArrayList<>();
        int i = 0;
        int j = 0;
        while (i < a.size() || j < b.size()) {
            if (i < a.size() && j < b.size() && a.get(i).equals(b.get(j))) {
                steps.add(new StepChange("same", a.get(i)));
                i++;
                j++;
            } else if (j >= b.size() || i < a.size() && common[i + 1][j] >= common[i][j + 1]) {
                steps.add(new StepChange("dropped", a.get(i++)));
            } else {
                steps.add(new StepChange("new", b.get(j++)));
            }
        }
        return steps;
    }

    private static List<String> words(Formula formula) {
        return formula.method().stream()
                .map(s -> s.cue().isEmpty() ? s.action() : s.action() + " — until " + s.cue())
                .toList();
    }
}

package org.zeststack.core.rule;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.zeststack.core.quantity.CsvTable;

/**
 * What may be said of a bar, a box or a formula: one row of the table {@code rules.csv}.
 *
 * @param about what it is said of
 * @param code stable name; the same rule has the same code wherever it is shown
 * @param looksAt what it looks at, in words
 * @param basis what it rests on
 * @param source where it stands
 * @param bounds codes of the bounds that it judges by
 */
public record Rule(About about, String code, String looksAt, Basis basis, String source, List<String> bounds) {

    private static final Map<About, Map<String, Rule>> ALL = read();

    /** What a rule is about. */
    public enum About {
        BAR("Bars"),
        BOX("Boxes"),
        FORMULA("Formulas"),
        RUN("Runs"),
        BENCH("The bench");

        private final String words;

        About(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** What a rule rests on. */
    public enum Basis {
        GEOMETRY("geometry"),
        PUBLISHED("published"),
        PRACTICE("practice");

        private final String words;

        Basis(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    private static Map<About, Map<String, Rule>> read() {
        Map<About, Map<String, Rule>> all = new HashMap<>();
        for (CsvTable.Row row : CsvTable.load(Rule.class, "rules.csv").rows()) {
            Rule rule = new Rule(
                    row.constant(row.text("about"), About.class),
                    row.text("code"),
                    row.text("looks_at"),
                    row.constant(row.text("basis"), Basis.class),
                    row.text("source"),
                    row.words("bounds"));
            rule.bounds.forEach(Bounds.shipped()::of);
            if (all.computeIfAbsent(rule.about, a -> new LinkedHashMap<>()).put(rule.code, rule) != null) {
                throw row.bad("stands twice: " + rule.code);
            }
        }
        return all;
    }

    /** All rules, those about one thing together, in the order of the table. */
    public static List<Rule> all() {
        return List.of(About.values()).stream()
                .flatMap(a -> ALL.get(a).values().stream())
                .collect(Collectors.toUnmodifiableList());
    }

    /**
     * The rule of a code.
     *
     * @throws IllegalArgumentException where there is none: nothing is said that is not listed
     */
    public static Rule of(About about, String code) {
        Rule rule = ALL.get(about).get(code);
        if (rule == null) {
            throw new IllegalArgumentException("no rule " + code + " about " + about);
        }
        return rule;
    }

    /**
     * One of the bounds that this rule judges by.
     *
     * @throws IllegalArgumentException where the table does not list it for this rule
     */
    public Bound bound(Bounds all, String code) {
        if (!bounds.contains(code)) {
            throw new IllegalArgumentException(this.code + " does not judge by " + code);
        }
        return all.of(code);
    }

    /** Where the rule stands, with those of its bounds that are a workshop's own. */
    public String source(Bounds bounds) {
        String own = this.bounds.stream()
                .map(bounds::of)
                .filter(b -> b.basis() == Bound.Basis.OWN)
                .map(b -> " Judged by your workshop's own bound: %s, %s (shipped %s)."
                        .formatted(
                                b.about(),
                                b.words(),
                                Bounds.shipped().of(b.code()).words()))
                .collect(Collectors.joining());
        return source + "." + own;
    }
}

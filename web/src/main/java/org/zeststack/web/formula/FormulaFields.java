package org.zeststack.web.formula;

import static org.zeststack.web.form.FormInput.shown;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.sugar.Cook;
import org.zeststack.store.Saved;
import org.zeststack.web.form.FormInput;

/** Fields of a formula's form: {@code line.N.grams}, {@code step.N.action} and so on, to text and back. */
final class FormulaFields {

    private static final Pattern NUMBERED =
            Pattern.compile("(line|step)\\.([0-9]{1,4})\\.[a-z]+", Pattern.CASE_INSENSITIVE);
    private static final int MOST_ROWS = 60;

    private FormulaFields() {}

    static Map<String, String> of(Saved<Formula> saved) {
        Map<String, String> fields = of(saved.content());
        fields.put("name", saved.name());
        fields.put("lock", String.valueOf(saved.lock()));
        return fields;
    }

    static Map<String, String> of(Formula formula) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("family", formula.family().name());
        fields.put("stopCelsius", formula.cooked() ? shown(formula.stopCelsius()) : "");
        fields.put("handlingLossFraction", shown(100 * formula.handlingLossFraction()));
        for (int i = 0; i < formula.lines().size(); i++) {
            FormulaLine line = formula.lines().get(i);
            fields.put("line." + i + ".ingredient", line.ingredient());
            fields.put("line." + i + ".grams", shown(line.grams()));
            fields.put("line." + i + ".role", line.role().name());
        }
        for (int i = 0; i < formula.method().size(); i++) {
            MethodStep step = formula.method().get(i);
            fields.put("step." + i + ".action", step.action());
            fields.put("step." + i + ".cue", step.cue());
            fields.put("step." + i + ".caution", step.caution());
        }
        return fields;
    }

    /** Row numbers that appear in a form, with two empty ones to write in. */
    static List<Integer> rows(FormInput form, String what) {
        List<Integer> rows = new ArrayList<>(used(form, what));
        int next = rows.isEmpty() ? 0 : rows.get(rows.size() - 1) + 1;
        rows.add(next);
        return rows;
    }

    private static List<Integer> used(FormInput form, String what) {
        TreeSet<Integer> rows = new TreeSet<>();
        for (String field : form.typed().keySet()) {
            Matcher matcher = NUMBERED.matcher(field);
            if (matcher.matches() && matcher.group(1).equals(what)) {
                rows.add(Integer.parseInt(matcher.group(2)));
            }
        }
        return List.copyOf(rows);
    }

    /** Reads a formula; every fault is noted in the form under the row's own field. */
    static Optional<Formula> read(FormInput form, IngredientTable ingredients) {
        Family family = form.choice("family", Family.class);
        Double stop = form.has("stopCelsius") ? form.number("stopCelsius", Cook.STOP_CELSIUS) : null;
        double loss = form.percent("handlingLossFraction", Formula.LOSS_FRACTION);
        List<Integer> rows = new ArrayList<>();
        List<FormulaLine> lines = lines(form, rows);
        List<MethodStep> method = method(form);
        if (form.faulty()) {
            return Optional.empty();
        }
        Formula formula = new Formula(family, lines, stop, loss, method);
        try {
            formula.check(ingredients);
            return Optional.of(formula);
        } catch (InvalidInput input) {
            input.faults().forEach(fault -> form.add(atRow(fault, rows)));
            return Optional.empty();
        }
    }

    /** The formula counts its lines without the empty rows of the form; a fault goes back to the row typed. */
    private static Fault atRow(Fault fault, List<Integer> rows) {
        String[] parts = fault.field().split("\\.");
        return parts.length < 3 ? fault : fault.at("line." + rows.get(Integer.parseInt(parts[1])) + "." + parts[2]);
    }

    private static List<FormulaLine> lines(FormInput form, List<Integer> rows) {
        List<FormulaLine> lines = new ArrayList<>();
        for (int row : used(form, "line")) {
            String field = "line." + row;
            if (!form.has(field + ".ingredient") && !form.has(field + ".grams")) {
                continue;
            }
            FormulaLine.Role role = form.choice(field + ".role", FormulaLine.Role.class);
            double grams = form.number(field + ".grams", Formula.LINE_GRAMS);
            lines.add(new FormulaLine(form.text(field + ".ingredient"), grams, role));
            rows.add(row);
        }
        if (lines.size() > MOST_ROWS) {
            form.add(Fault.of("lines", String.valueOf(lines.size()), "At most " + MOST_ROWS + " lines."));
        }
        return lines;
    }

    private static List<MethodStep> method(FormInput form) {
        List<MethodStep> method = new ArrayList<>();
        for (int row : used(form, "step")) {
            String field = "step." + row;
            if (form.has(field + ".action") || form.has(field + ".cue") || form.has(field + ".caution")) {
                method.add(new MethodStep(
                        form.limited(field + ".action", 400),
                        form.limited(field + ".cue", 200),
                        form.limited(field + ".caution", 300)));
            }
        }
        return method;
    }
}

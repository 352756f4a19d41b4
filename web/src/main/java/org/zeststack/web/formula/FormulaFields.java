package org.zeststack.web.formula;

import static org.zeststack.web.form.FormInput.shown;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.School;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.sugar.Cook;
import org.zeststack.store.Saved;
import org.zeststack.web.form.FormInput;

/** Fields of a formula's form: {@code line.N.grams}, {@code step.N.action} and so on, to text and back. */
final class FormulaFields {

    private static final int MOST_ROWS = 60;
    private static final String YES = "yes";

    private final LineFields lines;

    FormulaFields(LineFields lines) {
        this.lines = lines;
    }

    Map<String, String> of(Saved<Formula> saved) {
        Map<String, String> fields = of(saved.content());
        fields.put("name", saved.name());
        fields.put("lock", String.valueOf(saved.lock()));
        return fields;
    }

    Map<String, String> of(Formula formula) {
        Map<String, String> fields = new LinkedHashMap<>();
        Finish finish = formula.finish();
        fields.put("family", formula.family().name());
        fields.put("stopCelsius", formula.cooked() ? shown(formula.stopCelsius()) : "");
        fields.put("handlingLossFraction", shown(100 * formula.handlingLossFraction()));
        fields.put("byEye", finish.byEye() ? YES : "");
        fields.put("moistureLeast", percent(finish.moistureLeast()));
        fields.put("moistureGreatest", percent(finish.moistureGreatest()));
        fields.put("bakedLossFraction", shown(100 * finish.bakedLossFraction()));
        fields.put("overrunFraction", shown(100 * finish.overrunFraction()));
        formula.choices().forEach((key, way) -> fields.put("choice." + key, way));
        for (int i = 0; i < formula.lines().size(); i++) {
            lines.put(fields, i, formula.lines().get(i));
        }
        for (int i = 0; i < formula.method().size(); i++) {
            put(fields, i, formula.method().get(i));
        }
        return fields;
    }

    private static String percent(Double fraction) {
        return fraction == null ? "" : shown(100 * fraction);
    }

    /** Writes a step into row {@code n}. */
    static void put(Map<String, String> fields, int n, MethodStep step) {
        String f = "step." + n + ".";
        fields.put(f + "action", step.action());
        fields.put(f + "cue", step.cue());
        fields.put(f + "caution", step.caution());
        fields.put(f + "tool", step.tool());
        fields.put(f + "setting", step.setting());
        fields.put(f + "handsOff", step.handsOff() ? YES : "");
        fields.put(f + "restLeast", step.restLeastMinutes() == null ? "" : shown(step.restLeastMinutes()));
        fields.put(f + "restGreatest", step.restGreatestMinutes() == null ? "" : shown(step.restGreatestMinutes()));
        fields.put(f + "right", step.right());
        fields.put(f + "wrong", step.wrong());
        fields.put(f + "rightPhoto", step.rightPhoto() == null ? "" : String.valueOf(step.rightPhoto()));
        fields.put(f + "wrongPhoto", step.wrongPhoto() == null ? "" : String.valueOf(step.wrongPhoto()));
    }

    /** Row numbers that appear in a form, with an empty one to write in. */
    static List<Integer> rows(FormInput form, String what) {
        List<Integer> rows = new ArrayList<>(used(form, what));
        int last = rows.isEmpty() ? -1 : rows.get(rows.size() - 1);
        String written = what.equals("line") ? ".ingredient" : ".action";
        boolean emptyRow = last >= 0
                && !form.has(what + "." + last + written)
                && !form.has(what + "." + last + ".grams")
                && !form.has(what + "." + last + ".cue");
        if (!emptyRow) {
            rows.add(last + 1);
        }
        return rows;
    }

    /** Numbers of the rows that a form has fields of, in order. */
    static List<Integer> used(FormInput form, String what) {
        TreeSet<Integer> rows = new TreeSet<>();
        String prefix = what + ".";
        for (String field : form.typed().keySet()) {
            int end = field.startsWith(prefix) ? field.indexOf('.', prefix.length()) : -1;
            if (end > prefix.length() && end <= prefix.length() + 4) {
                String number = field.substring(prefix.length(), end);
                if (number.chars().allMatch(c -> c >= '0' && c <= '9')) {
                    rows.add(Integer.parseInt(number));
                }
            }
        }
        return List.copyOf(rows);
    }

    /**
     * A formula read from a form.
     *
     * @param rows the form's row of each line
     */
    record Read(Formula formula, List<Integer> rows) {}

    /** Reads a formula; every fault is noted in the form under the row's own field. */
    Optional<Read> read(FormInput form) {
        Family family = form.choice("family", Family.class);
        Double stop = form.has("stopCelsius") ? form.number("stopCelsius", Cook.STOP_CELSIUS) : null;
        double loss = form.percent("handlingLossFraction", Formula.LOSS_FRACTION);
        Finish finish = finish(form);
        List<Integer> rows = new ArrayList<>();
        List<FormulaLine> read = lines(form, rows);
        List<MethodStep> method = method(form);
        return form.build(() -> new Read(
                new Formula(family, read, stop, loss, method, finish, choices(form, family)), List.copyOf(rows)));
    }

    /** Checks a formula that was read against what its lines point to; faults go back to the rows typed. */
    static boolean checked(FormInput form, Read read, org.zeststack.core.ingredient.IngredientTable table) {
        try {
            read.formula.check(table);
            return true;
        } catch (InvalidInput input) {
            input.faults().forEach(fault -> form.add(atRow(fault, read.rows)));
            return false;
        }
    }

    /** The formula counts its lines without the empty rows of the form; a fault goes back to the row typed. */
    static Fault atRow(Fault fault, List<Integer> rows) {
        String[] parts = fault.field().split("\\.");
        return parts.length < 3 || !parts[0].equals("line")
                ? fault
                : fault.at("line." + rows.get(Integer.parseInt(parts[1])) + "." + parts[2]);
    }

    private static Finish finish(FormInput form) {
        boolean byEye = form.text("byEye").equals(YES);
        Double least = byEye && form.has("moistureLeast") ? form.percent("moistureLeast", Finish.MOISTURE) : null;
        Double greatest =
                byEye && form.has("moistureGreatest") ? form.percent("moistureGreatest", Finish.MOISTURE) : null;
        double baked = form.has("bakedLossFraction") ? form.percent("bakedLossFraction", Finish.BAKED_LOSS) : 0;
        double air = form.has("overrunFraction") ? form.percent("overrunFraction", Finish.OVERRUN) : 0;
        return new Finish(byEye, least, greatest, baked, air);
    }

    private static Map<String, String> choices(FormInput form, Family family) {
        Map<String, String> choices = new LinkedHashMap<>();
        for (School school : School.of(family)) {
            String chosen = form.text("choice." + school.key());
            if (school.ways().stream().anyMatch(way -> way.key().equals(chosen))) {
                choices.put(school.key(), chosen);
            }
        }
        return choices;
    }

    private List<FormulaLine> lines(FormInput form, List<Integer> rows) {
        List<FormulaLine> read = new ArrayList<>();
        for (int row : used(form, "line")) {
            String field = "line." + row;
            if (!form.has(field + ".ingredient") && !form.has(field + ".grams")) {
                continue;
            }
            lines.read(form, row).ifPresent(line -> {
                read.add(line);
                rows.add(row);
            });
        }
        if (read.size() > MOST_ROWS) {
            form.add(Fault.of("lines", String.valueOf(read.size()), "At most " + MOST_ROWS + " lines."));
        }
        return read;
    }

    private static List<MethodStep> method(FormInput form) {
        List<MethodStep> method = new ArrayList<>();
        for (int row : used(form, "step")) {
            String f = "step." + row + ".";
            boolean written = List.of("action", "cue", "caution", "tool", "setting", "right", "wrong").stream()
                    .anyMatch(part -> form.has(f + part));
            if (written) {
                method.add(step(form, f));
            }
        }
        if (method.size() > MOST_ROWS) {
            form.add(Fault.of("steps", String.valueOf(method.size()), "At most " + MOST_ROWS + " steps."));
        }
        return method;
    }

    private static MethodStep step(FormInput form, String f) {
        Double least = rest(form, f + "restLeast");
        Double greatest = rest(form, f + "restGreatest");
        if (least != null && greatest != null && least > greatest) {
            form.add(Fault.of(f + "restLeast", form.text(f + "restLeast"), "The least wait is above the greatest."));
        }
        return new MethodStep(
                form.limited(f + "action", 600),
                form.limited(f + "cue", 300),
                form.limited(f + "caution", 300),
                form.limited(f + "tool", 120),
                form.limited(f + "setting", 120),
                form.text(f + "handsOff").equals(YES),
                least,
                greatest,
                form.limited(f + "right", 200),
                form.limited(f + "wrong", 200),
                photo(form.text(f + "rightPhoto")),
                photo(form.text(f + "wrongPhoto")));
    }

    private static Long photo(String id) {
        return id.matches("[0-9]{1,15}") ? Long.valueOf(id) : null;
    }

    /** A wait in minutes; hours and days are understood too. */
    private static Double rest(FormInput form, String field) {
        if (!form.has(field)) {
            return null;
        }
        var endings = org.zeststack.core.method.Ending.read(form.text(field));
        boolean told = endings.size() == 1
                && endings.get(0).kind() == org.zeststack.core.method.Ending.Kind.MINUTES
                && !endings.get(0).words().equals("overnight");
        return told
                ? Double.valueOf(endings.get(0).least())
                : Double.valueOf(form.number(field, MethodStep.REST_MINUTES));
    }
}

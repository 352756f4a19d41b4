package org.zeststack.app.formula;

import static org.zeststack.core.typed.FormInput.shown;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.app.design.MethodFields;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.School;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;
import org.zeststack.store.Saved;

/** Fields of a formula's form: {@code line.N.grams}, {@code step.N.action} and so on, to text and back. */
public final class FormulaFields {

    static final int MOST_ROWS = 60;
    private static final String YES = "yes";

    private final LineFields lines;

    public FormulaFields(LineFields lines) {
        this.lines = lines;
    }

    public Map<String, String> of(Saved<Formula> saved) {
        Map<String, String> fields = of(saved.content());
        fields.put("name", saved.name());
        fields.put("lock", String.valueOf(saved.lock()));
        return fields;
    }

    public Map<String, String> of(Formula formula) {
        Map<String, String> fields = new LinkedHashMap<>();
        Finish finish = formula.finish();
        fields.put("family", formula.family().name());
        fields.put(
                "measures", formula.measures() == null ? "" : formula.measures().name());
        fields.put("measuresChosen", formula.measures() == null ? "" : "yes");
        fields.put("stopCelsius", formula.cooked() ? shown(formula.stopCelsius()) : "");
        fields.put("handlingLossFraction", shown(100 * formula.handlingLossFraction()));
        fields.put("byEye", finish.byEye() ? YES : "");
        fields.put("moistureLeast", percent(finish.moistureLeast()));
        fields.put("moistureGreatest", percent(finish.moistureGreatest()));
        fields.put("bakedLossFraction", shown(100 * finish.bakedLossFraction()));
        boolean cups = finish.cupBeforeGrams() != null && finish.cupAfterGrams() != null;
        fields.put("overrunFraction", cups ? "" : shown(100 * finish.overrunFraction()));
        fields.put("cupBeforeGrams", finish.cupBeforeGrams() == null ? "" : shown(finish.cupBeforeGrams()));
        fields.put("cupAfterGrams", finish.cupAfterGrams() == null ? "" : shown(finish.cupAfterGrams()));
        formula.choices().forEach((key, way) -> fields.put("choice." + key, way));
        for (int i = 0; i < formula.lines().size(); i++) {
            lines.put(fields, i, formula.lines().get(i));
        }
        MethodFields.put(fields, formula.method());
        return fields;
    }

    private static String percent(Double fraction) {
        return fraction == null ? "" : shown(100 * fraction);
    }

    /** Rows of lines, with an empty one to write in. */
    public static List<Integer> rows(FormInput form) {
        List<Integer> rows = new ArrayList<>(Rows.used(form, "line"));
        int last = rows.isEmpty() ? -1 : rows.get(rows.size() - 1);
        if (last < 0 || form.has("line." + last + ".ingredient") || form.has("line." + last + ".grams")) {
            rows.add(last + 1);
        }
        return rows;
    }

    /**
     * A formula read from a form.
     *
     * @param rows the form's row of each line
     */
    public record Read(Formula formula, List<Integer> rows) {}

    /** Reads a formula; every fault is noted in the form under the row's own field. */
    public Optional<Read> read(FormInput form) {
        Family family = form.choice("family", Family.class);
        Double stop = form.has("stopCelsius") ? form.stop("stopCelsius", Cook.STOP_CELSIUS) : null;
        double loss = form.percent("handlingLossFraction", Formula.LOSS_FRACTION);
        Finish finish = finish(form);
        List<Integer> rows = new ArrayList<>();
        List<FormulaLine> read = lines(form, rows);
        List<MethodStep> method = MethodFields.read(form);
        return form.build(() -> new Read(
                new Formula(family, read, stop, loss, method, finish, choices(form, family), LineFields.own(form)),
                List.copyOf(rows)));
    }

    /** Checks a formula that was read against what its lines point to; faults go back to the rows typed. */
    public static boolean checked(FormInput form, Read read, org.zeststack.core.ingredient.IngredientTable table) {
        try {
            read.formula.check(table);
            return true;
        } catch (InvalidInput input) {
            input.faults().forEach(fault -> form.add(Rows.atRow(fault, "line", read.rows)));
            return false;
        }
    }

    /** How it is finished; faults are noted. */
    static Finish finish(FormInput form) {
        boolean byEye = form.text("byEye").equals(YES);
        Double least = byEye && form.has("moistureLeast") ? form.percent("moistureLeast", Finish.MOISTURE) : null;
        Double greatest =
                byEye && form.has("moistureGreatest") ? form.percent("moistureGreatest", Finish.MOISTURE) : null;
        double baked = form.has("bakedLossFraction") ? form.percent("bakedLossFraction", Finish.BAKED_LOSS) : 0;
        double air = form.has("overrunFraction") ? form.percent("overrunFraction", Finish.OVERRUN) : 0;
        return new Finish(byEye, least, greatest, baked, air, cup(form, "cupBeforeGrams"), cup(form, "cupAfterGrams"));
    }

    private static Double cup(FormInput form, String field) {
        return form.has(field) ? Double.valueOf(form.number(field, Finish.CUP_GRAMS)) : null;
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
        for (int row : Rows.used(form, "line")) {
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
}

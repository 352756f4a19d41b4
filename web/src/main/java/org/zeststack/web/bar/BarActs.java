package org.zeststack.web.bar;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.BuildMethods;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.explain.Call;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.stack.BarStack;
import org.zeststack.web.design.MethodFields;
import org.zeststack.web.form.FormInput;
import org.zeststack.web.form.Rows;

/** What the buttons of a bar's page do to what is typed in it. Nothing is saved by them. */
@Component
class BarActs {

    private final BarFields fields;

    BarActs(BarFields fields) {
        this.fields = fields;
    }

    /**
     * Does {@code act} to the form. An act that is not known changes nothing.
     *
     * @param stack the bar as it stands in the form; empty where it is faulty
     * @param rows the form's row of each layer
     */
    void act(String act, FormInput form, Optional<BarStack> stack, List<Integer> rows) {
        String[] words = act.split(":", 3);
        switch (words[0]) {
            case "add" -> add(form);
            case "drop" -> Rows.drop(form, words.length > 2 ? words[2] : "", number(words));
            case "up" -> Rows.up(form, words.length > 2 ? words[2] : "", number(words));
            case "apply" -> stack.ifPresent(s -> apply(form, BarCalls.of(s), number(words), rows));
            case "method" -> method(form);
            default -> {}
        }
    }

    private static int number(String[] words) {
        return words.length > 1 && words[1].matches("[0-9]{1,4}") ? Integer.parseInt(words[1]) : 0;
    }

    /** Adds a layer of the kind chosen where it belongs: below what closes or coats the piece. */
    private void add(FormInput form) {
        LayerKind kind = form.choice("newKind", LayerKind.class);
        if (kind == null) {
            return;
        }
        List<Integer> rows = Rows.used(form, "layer");
        int at = rows.isEmpty() ? 0 : rows.get(rows.size() - 1) + 1;
        for (int row : rows) {
            LayerKind there = form.choice("layer." + row + ".kind", LayerKind.class);
            if (there != null && kind.before(there)) {
                at = row;
                break;
            }
        }
        Rows.insert(form, "layer", at);
        fields.put(form.typed(), at, kind.usual());
    }

    private static void apply(FormInput form, List<Call> calls, int number, List<Integer> rows) {
        if (number >= calls.size() || calls.get(number).change() == null) {
            return;
        }
        Map<String, String> changed =
                new LinkedHashMap<>(calls.get(number).change().fields());
        changed.forEach((field, text) -> form.typed().put(atRow(field, rows), text));
    }

    private static String atRow(String field, List<Integer> rows) {
        String[] parts = field.split("\\.", 3);
        return parts[0].equals("layer") && parts.length == 3
                ? "layer." + rows.get(Integer.parseInt(parts[1])) + "." + parts[2]
                : field;
    }

    private static void method(FormInput form) {
        Build build = form.choice("build", Build.class);
        if (build == null) {
            return;
        }
        if (MethodFields.untouched(
                form, Arrays.stream(Build.values()).map(BuildMethods::of).toList())) {
            MethodFields.drop(form);
        }
        List<Integer> rows = MethodFields.rows(form);
        int next = rows.get(rows.size() - 1);
        for (var step : BuildMethods.of(build)) {
            MethodFields.put(form.typed(), next++, step);
        }
    }
}

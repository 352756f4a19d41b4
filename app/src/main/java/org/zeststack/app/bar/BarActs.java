package org.zeststack.app.bar;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.zeststack.app.design.MethodFields;
import org.zeststack.app.shelf.Names;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.BuildSteps;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;

/** What the buttons of a bar's page do to what is typed in it. Nothing is saved by them. */
@Component
public class BarActs {

    private final BarFields fields;
    private final Shelf shelf;
    private final Names names;

    BarActs(BarFields fields, Shelf shelf, Names names) {
        this.fields = fields;
        this.shelf = shelf;
        this.names = names;
    }

    /**
     * Does {@code act} to the form. An act that is not known changes nothing.
     *
     * @param stack the bar as it stands in the form; empty where it is faulty
     * @param rows the form's row of each layer
     */
    public void act(String act, FormInput form, Optional<BarStack> stack, List<Integer> rows) {
        String[] words = act.split(":", 3);
        switch (words[0]) {
            case "add" -> add(form);
            case "drop" -> Rows.drop(form, words.length > 2 ? words[2] : "", number(words));
            case "up" -> Rows.up(form, words.length > 2 ? words[2] : "", number(words));
            case "apply" -> stack.ifPresent(s -> apply(form, BarCalls.of(s), number(words), rows));
            case "made" -> made(form, number(words));
            case "method" -> stack.ifPresent(s -> method(form, s));
            default -> {}
        }
    }

    /** Layers of a formula's version that is not the one that is made, with that one, by their rows. */
    public Map<Integer, FormulaLink> madeInstead(FormInput form) {
        Map<Long, FormulaLink> made =
                shelf.made().stream().collect(Collectors.toMap(FormulaLink::formula, Function.identity()));
        Map<Integer, FormulaLink> others = new LinkedHashMap<>();
        for (int row : Rows.used(form, "layer")) {
            FormulaLink.in(form.text("layer." + row + ".slug"))
                    .filter(link -> !made.getOrDefault(link.formula(), link).equals(link))
                    .ifPresent(link -> others.put(row, made.get(link.formula())));
        }
        return others;
    }

    private void made(FormInput form, int row) {
        FormulaLink other = madeInstead(form).get(row);
        if (other != null) {
            String slug = other.text();
            form.typed().put("layer." + row + ".slug", slug);
            form.typed().put("layer." + row + ".ingredient", names.of(slug));
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

    /** The usual steps of its layers in their order, in the words that somebody gave them; what else is written stands behind. */
    private static void method(FormInput form, BarStack stack) {
        List<MethodStep> own = new ArrayList<>(stack.bar().method());
        List<MethodStep> steps = new ArrayList<>();
        for (MethodStep usual : BuildSteps.usual(stack)) {
            MethodStep worded = own.stream()
                    .filter(s -> s.equals(usual)
                            || s.acts() && s.does() == usual.does() && s.part().equals(usual.part()))
                    .findFirst()
                    .orElse(usual);
            own.remove(worded);
            steps.add(worded);
        }
        own.stream().filter(s -> !s.acts()).forEach(steps::add);
        MethodFields.replace(form, steps);
    }
}

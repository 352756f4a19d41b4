package org.zeststack.web.formula;

import static org.zeststack.web.form.FormInput.shown;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.zeststack.core.formula.Adjustment;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.household.HouseholdLine;
import org.zeststack.core.household.Recipe;
import org.zeststack.core.household.RecipeReader;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.AmountText;
import org.zeststack.web.design.MethodFields;
import org.zeststack.web.form.FormInput;
import org.zeststack.web.form.Rows;
import org.zeststack.web.shelf.Names;
import org.zeststack.web.shelf.Shelf;

/**
 * What the buttons of a formula's page do to what is typed in it. Nothing is saved by them; the page is drawn again from the
 * form that comes out.
 */
@Component
class FormulaActs {

    private static final int LONGEST_PASTE = 40_000;

    private final Shelf shelf;
    private final LineFields lines;
    private final Names names;

    FormulaActs(Shelf shelf, LineFields lines, Names names) {
        this.shelf = shelf;
        this.lines = lines;
        this.names = names;
    }

    /** Does {@code act} to the form. An act that is not known changes nothing. */
    void act(String act, FormInput form, FormulaFields fields) {
        String[] words = act.split(":", 3);
        switch (words[0]) {
            case "add" -> add(form);
            case "paste" -> paste(form);
            case "method" -> method(form);
            case "family" -> family(form);
            case "accept" -> {
                form.typed().put("line." + row(words) + ".guesses", "");
                form.typed().put("line." + row(words) + ".placed", "");
            }
            case "take" -> take(form, row(words), words.length > 2 ? words[2] : "");
            case "drop" -> Rows.drop(form, words.length > 2 ? words[2] : "", row(words));
            case "up" -> Rows.up(form, words.length > 2 ? words[2] : "", row(words));
            case "move" -> move(form, fields);
            case "air" -> {
                form.typed().put("overrunFraction", "");
                form.typed().put("cupBeforeGrams", words.length > 1 ? words[1] : "");
                form.typed().put("cupAfterGrams", words.length > 2 ? words[2] : "");
            }
            case "moisture" -> {
                form.typed().put("moistureLeast", words.length > 1 ? words[1] : "");
                form.typed().put("moistureGreatest", words.length > 2 ? words[2] : "");
            }
            case "use" -> form.typed().put("line." + row(words) + ".grams", words.length > 2 ? words[2] : "");
            default -> {}
        }
    }

    private static int row(String[] words) {
        return words.length > 1 && words[1].matches("[0-9]{1,4}") ? Integer.parseInt(words[1]) : 0;
    }

    private static int next(FormInput form, String what) {
        List<Integer> rows = what.equals("line") ? FormulaFields.rows(form) : MethodFields.rows(form);
        return rows.get(rows.size() - 1);
    }

    private void add(FormInput form) {
        String text = form.text("quick");
        int next = next(form, "line");
        for (String written : text.lines().filter(l -> !l.isBlank()).toList()) {
            for (HouseholdLine read : shelf.reader().readAll(written, LineFields.measures(form))) {
                lines.put(form.typed(), next++, read);
            }
        }
        form.typed().put("quick", "");
    }

    private void paste(FormInput form) {
        String text = form.text("paste");
        if (text.isBlank()) {
            return;
        }
        String taken = text.substring(0, Math.min(LONGEST_PASTE, text.length()));
        Recipe recipe = new RecipeReader(shelf.reader()).read(taken, LineFields.measures(form));
        Map<String, String> typed = form.typed();
        int line = next(form, "line");
        for (Recipe.Line read : recipe.lines()) {
            lines.put(typed, line++, read.read());
        }
        if (!recipe.steps().isEmpty() && untouched(form)) {
            MethodFields.drop(form);
        }
        int step = next(form, "step");
        for (Recipe.Step read : recipe.steps()) {
            MethodFields.put(typed, step++, step(read));
        }
        if (form.text("name").isBlank() && !recipe.title().isEmpty()) {
            typed.put(
                    "name",
                    recipe.title().substring(0, Math.min(120, recipe.title().length())));
        }
        if (!form.has("stopCelsius") && recipe.stopCelsius() != null) {
            typed.put("stopCelsius", shown(recipe.stopCelsius()));
        }
        List<String> left = new ArrayList<>(recipe.rest());
        if (!recipe.yields().isEmpty()) {
            left.add(0, recipe.yields());
        }
        if (taken.length() < text.length()) {
            left.add("Only the first 40\u202f000 characters were read.");
        }
        typed.put("left", String.join("\n", left));
        typed.put("paste", "");
    }

    private static MethodStep step(Recipe.Step read) {
        return new MethodStep(
                read.action(),
                read.cue(),
                "",
                "",
                "",
                read.restMinutes() != null,
                read.restMinutes(),
                null,
                "",
                "",
                null,
                null,
                Act.HAND,
                "",
                List.of(),
                null);
    }

    private void method(FormInput form) {
        Family family = form.choice("family", Family.class);
        if (family == null) {
            return;
        }
        int next = next(form, "step");
        for (MethodStep step : DefaultMethods.of(family)) {
            MethodFields.put(form.typed(), next++, step);
        }
    }

    /** A method that nobody has touched follows the family. */
    private void family(FormInput form) {
        if (untouched(form)) {
            MethodFields.drop(form);
            method(form);
        }
    }

    /** Whether the steps are those that some family brings, or none. */
    private static boolean untouched(FormInput form) {
        return MethodFields.untouched(
                form, Arrays.stream(Family.values()).map(DefaultMethods::of).toList());
    }

    /** Takes another ingredient for a line; the amount is read again from what was written. */
    private void take(FormInput form, int row, String slug) {
        String f = "line." + row + ".";
        if (slug.isEmpty() || shelf.table().find(slug).isEmpty()) {
            return;
        }
        String written = form.text(f + "written");
        form.typed().put(f + "slug", slug);
        form.typed().put(f + "ingredient", names.of(slug));
        form.typed().put(f + "guesses", "");
        form.typed().put(f + "others", "");
        if (!written.isEmpty()) {
            HouseholdLine read = shelf.reader().read(written, LineFields.measures(form), slug);
            if (read.grams() != null) {
                form.typed().put(f + "grams", shown(Math.round(read.grams() * 100) / 100.0));
            }
        }
    }

    /** Applies what the slider proposes. */
    private void move(FormInput form, FormulaFields fields) {
        FormInput copy = FormInput.of(form.typed());
        var wanted = AmountText.parse(form.text("slider"));
        var read = fields.read(copy);
        if (wanted.isEmpty() || read.isEmpty() || !FormulaFields.checked(copy, read.get(), shelf.table())) {
            return;
        }
        Adjustment.to(wanted.getAsDouble(), read.get().formula(), shelf.table()).ifPresent(moved -> {
            for (int i = 0; i < moved.size(); i++) {
                FormulaLine line = moved.get(i);
                form.typed().put("line." + read.get().rows().get(i) + ".grams", shown(line.grams()));
            }
        });
        form.typed().keySet().removeIf(field -> field.startsWith("slider"));
    }
}

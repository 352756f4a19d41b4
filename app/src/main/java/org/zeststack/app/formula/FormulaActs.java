package org.zeststack.app.formula;

import static org.zeststack.core.typed.FormInput.shown;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.zeststack.app.design.MethodFields;
import org.zeststack.app.shelf.Names;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.formula.Adjustment;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.household.HouseholdLine;
import org.zeststack.core.household.Measures;
import org.zeststack.core.household.Recipe;
import org.zeststack.core.household.RecipeReader;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.AmountText;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;

/**
 * What the buttons of a formula's page do to what is typed in it. Nothing is saved by them; the page is drawn again from the
 * form that comes out.
 */
@Component
public class FormulaActs {

    private static final int LONGEST_PASTE = 40_000;
    /** Says that somebody has chosen the measures, and not only a default stands there. */
    private static final String CHOSEN = "measuresChosen";

    private static final String WHICH_CUP = "read as %s: whose cups and spoons they are is not said";

    private final Shelf shelf;
    private final LineFields lines;
    private final Names names;

    FormulaActs(Shelf shelf, LineFields lines, Names names) {
        this.shelf = shelf;
        this.lines = lines;
        this.names = names;
    }

    /** Does {@code act} to the form. An act that is not known changes nothing. */
    public void act(String act, FormInput form, FormulaFields fields) {
        String[] words = act.split(":", 3);
        switch (words[0]) {
            case "add" -> add(form);
            case "paste" -> paste(form, words.length > 1 ? words[1] : "");
            case "measures" -> measures(form, words.length > 1 ? words[1] : "");
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
        List<String> written =
                form.text("quick").lines().filter(l -> !l.isBlank()).toList();
        int next = next(form, "line");
        for (String line : written.stream().limit(FormulaFields.MOST_ROWS).toList()) {
            for (HouseholdLine read : shelf.reader().readAll(line, LineFields.measures(form))) {
                lines.put(form.typed(), next++, marked(read, form));
            }
        }
        form.typed().put("quick", "");
        if (written.size() > FormulaFields.MOST_ROWS) {
            form.typed()
                    .put(
                            "left",
                            "%d lines; only the first %d were read."
                                    .formatted(written.size(), FormulaFields.MOST_ROWS));
        }
    }

    /** Whose cup it is has to be said; until then what was read with one is marked. */
    private static HouseholdLine marked(HouseholdLine read, FormInput form) {
        boolean open = read.ofTheKitchen() && read.grams() != null && !form.has(CHOSEN);
        return open ? read.marked(WHICH_CUP.formatted(LineFields.measures(form).words())) : read;
    }

    /** Whether a line was read with cups or spoons of which nobody has said whose they are. */
    public static boolean asksWhichCup(FormInput form) {
        String open = WHICH_CUP.formatted(LineFields.measures(form).words());
        return !form.has(CHOSEN)
                && Rows.used(form, "line").stream()
                        .anyMatch(row -> LineFields.guesses(form.text("line." + row + ".guesses"))
                                .contains(open));
    }

    /** Measures that somebody has chosen: what was read with others, and not changed since, is read again. */
    private void measures(FormInput form, String chosen) {
        Measures before = LineFields.measures(FormInput.of(Map.of("measures", form.text("measuresWas"))));
        Measures now = LineFields.own(FormInput.of(Map.of("measures", chosen)));
        if (now == null) {
            return;
        }
        form.typed().put("measures", chosen);
        form.typed().put("measuresWas", chosen);
        form.typed().put(CHOSEN, "yes");
        for (int row : Rows.used(form, "line")) {
            String f = "line." + row + ".";
            String written = form.text(f + "written");
            if (written.isBlank() || !form.has(f + "slug")) {
                continue;
            }
            HouseholdLine was = shelf.reader().read(written, before, form.text(f + "slug"));
            HouseholdLine is = shelf.reader().read(written, now, form.text(f + "slug"));
            if (was.ofTheKitchen() && LineFields.grams(was).equals(form.text(f + "grams"))) {
                form.typed().put(f + "grams", LineFields.grams(is));
            }
            String open = WHICH_CUP.formatted(before.words());
            form.typed()
                    .put(
                            f + "guesses",
                            LineFields.joined(LineFields.guesses(form.text(f + "guesses")).stream()
                                    .filter(guess -> !guess.equals(open))
                                    .toList()));
        }
    }

    /**
     * Reads a pasted recipe into lines and steps. Where an earlier one was read already it asks first whether that is to be replaced.
     *
     * @param how {@code replace}, {@code more}, or empty to ask
     */
    private void paste(FormInput form, String how) {
        String text = form.text("paste");
        if (text.isBlank()) {
            return;
        }
        boolean again = !form.text("pasted").isBlank() && hasPasted(form);
        if (again && how.isEmpty()) {
            form.typed().put("again", "yes");
            return;
        }
        if (again && how.equals("replace")) {
            dropPasted(form);
        }
        form.typed().remove("again");
        String taken = text.substring(0, Math.min(LONGEST_PASTE, text.length()));
        Recipe recipe = new RecipeReader(shelf.reader()).read(taken, LineFields.measures(form));
        Map<String, String> typed = form.typed();
        if (!recipe.steps().isEmpty() && untouched(form)) {
            MethodFields.drop(form);
        }
        int step = next(form, "step");
        int numbered = MethodFields.written(form).size();
        int line = next(form, "line");
        for (Recipe.Line read : recipe.lines()) {
            lines.put(typed, line, marked(read.read(), form));
            if (read.place() != null) {
                lines.place(typed, line, read.place(), numbered);
            }
            line++;
        }
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
        List<String> left = new ArrayList<>(recipe.questions());
        if (!recipe.yields().isEmpty()) {
            left.add(recipe.yields());
        }
        left.addAll(recipe.rest());
        if (taken.length() < text.length()) {
            left.add("Only the first 40\u202f000 characters were read.");
        }
        typed.put("left", String.join("\n", left));
        typed.put("pasted", taken);
        typed.put("paste", "");
    }

    /** Rows that came from the text that was pasted before. */
    private List<Integer> pastedRows(FormInput form, String what, String field, Set<String> written) {
        return Rows.used(form, what).stream()
                .filter(row -> written.contains(form.text(what + "." + row + "." + field)))
                .toList();
    }

    private Recipe before(FormInput form) {
        return new RecipeReader(shelf.reader()).read(form.text("pasted"), LineFields.measures(form));
    }

    private static Set<String> sources(Recipe recipe) {
        return recipe.lines().stream().map(l -> l.read().source().strip()).collect(Collectors.toSet());
    }

    private boolean hasPasted(FormInput form) {
        return !pastedRows(form, "line", "written", sources(before(form))).isEmpty();
    }

    private void dropPasted(FormInput form) {
        Recipe before = before(form);
        Set<String> steps = before.steps().stream().map(Recipe.Step::action).collect(Collectors.toSet());
        for (int row : reversed(pastedRows(form, "line", "written", sources(before)))) {
            Rows.drop(form, "line", row);
        }
        for (int row : reversed(pastedRows(form, "step", "action", steps))) {
            Rows.drop(form, "step", row);
        }
        if (form.text("name").equals(before.title())) {
            form.typed().put("name", "");
        }
        if (before.stopCelsius() != null && form.text("stopCelsius").equals(shown(before.stopCelsius()))) {
            form.typed().put("stopCelsius", "");
        }
    }

    private static List<Integer> reversed(List<Integer> rows) {
        List<Integer> reversed = new ArrayList<>(rows);
        Collections.reverse(reversed);
        return reversed;
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
                switch (read.does()) {
                    case COOK -> Act.COOK;
                    case POUR -> Act.ADD;
                    case SECOND_POT -> Act.SECOND_POT;
                    case HAND -> Act.HAND;
                },
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

    /** A method that nobody has touched follows the family, and so does the place of a line that nobody chose. */
    private void family(FormInput form) {
        if (untouched(form)) {
            MethodFields.drop(form);
            method(form);
        }
        Rows.used(form, "line").forEach(row -> lines.placeAnew(form.typed(), row));
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

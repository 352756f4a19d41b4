package org.zeststack.web.formula;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.zeststack.app.design.MethodFields;
import org.zeststack.app.formula.FormulaFields;
import org.zeststack.app.formula.LineFields;
import org.zeststack.app.formula.ScaleForm;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.app.words.Show;
import org.zeststack.core.explain.Call;
import org.zeststack.core.formula.Adjustment;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaBook;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.Makeup;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.judge.FormulaCalls;
import org.zeststack.core.quantity.AmountText;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;
import org.zeststack.core.workshop.Place;
import org.zeststack.store.ingredient.Lots;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.store.workshop.WorkshopStore;
import tools.jackson.databind.json.JsonMapper;

/** Works out everything that a formula's page shows beside what is typed. */
@Component
class FormulaWorkings {

    private static final double SLIDER_STEP = 0.01;
    private static final JsonMapper MAPPER = JsonMapper.shared();

    private final Shelf shelf;
    private final Lots lots;
    private final WorkshopStore workshop;
    private final ScaleForm scaling;
    private final OwnBounds own;

    FormulaWorkings(Shelf shelf, Lots lots, WorkshopStore workshop, ScaleForm scaling, OwnBounds own) {
        this.shelf = shelf;
        this.lots = lots;
        this.workshop = workshop;
        this.scaling = scaling;
        this.own = own;
    }

    /**
     * A formula with everything that it comes to.
     *
     * @param used formulas that it is made of, those made first standing first
     * @param names by slug or link
     */
    record Worked(
            Formula formula,
            IngredientTable table,
            List<NamedFormula> used,
            FormulaBalance balance,
            Makeup makeup,
            List<Call> calls,
            Bounds bounds,
            Map<String, String> names) {

        /** What it is judged by that is the workshop's own. */
        public List<Bound> ownBounds() {
            return bounds.ownAsked();
        }
    }

    /** Works a formula out at this workshop's place. */
    Worked work(long id, String name, Formula formula) {
        return work(formula, shelf.needs(id, name, formula), place());
    }

    private Worked work(Formula formula, FormulaBook.Needs gathered, Place place) {
        IngredientTable table = gathered.table();
        FormulaBalance balance = FormulaBalance.of(formula, table, place.pressureKpa());
        Makeup makeup = Makeup.of(formula, balance, table, lots.pricePerKg());
        Bounds bounds = own.bounds().watched();
        Map<String, String> names = new LinkedHashMap<>();
        formula.lines()
                .forEach(
                        l -> names.put(l.ingredient(), table.get(l.ingredient()).name()));
        return new Worked(
                formula,
                table,
                gathered.used(),
                balance,
                makeup,
                FormulaCalls.of(formula, balance, makeup, bounds),
                bounds,
                names);
    }

    Place place() {
        return workshop.surroundings().place();
    }

    /** The formula in a form, or its faults in the form. */
    Optional<Formula> checked(long id, FormInput form, FormulaFields fields) {
        Optional<FormulaFields.Read> read = fields.read(form);
        return read.flatMap(r -> worked(id, form, r, place())).map(Worked::formula);
    }

    private Optional<Worked> worked(long id, FormInput form, FormulaFields.Read read, Place place) {
        try {
            FormulaBook.Needs gathered = shelf.needs(id, form.text("name"), read.formula());
            if (!FormulaFields.checked(form, read, gathered.table())) {
                return Optional.empty();
            }
            return Optional.of(work(read.formula(), gathered, place));
        } catch (InvalidInput input) {
            input.faults()
                    .forEach(f -> form.add(
                            Rows.atRow(Rows.atRow(f, "line", read.rows()), "step", MethodFields.written(form))));
        } catch (Refusal refusal) {
            form.add(Fault.of("stopCelsius", form.text("stopCelsius"), refusal.getMessage()));
        }
        return Optional.empty();
    }

    /**
     * What stands beside one line.
     *
     * @param words its share of everything weighed out, and the grams that a household amount came to
     * @param others what may be meant instead, by slug
     */
    record RowNote(int row, String words, List<String> guesses, Map<String, String> others) {}

    /** Puts what a form comes to, or why it comes to nothing, into the model. */
    void compute(long id, FormInput form, FormulaFields fields, Model model) {
        model.addAttribute("form", form);
        Place place = place();
        model.addAttribute("place", place);
        model.addAttribute("currency", workshop.surroundings().currency());
        boolean empty = Rows.used(form, "line").stream().noneMatch(n -> form.has("line." + n + ".ingredient"));
        // What was refused is worked out all the same, as far as it can be: its numbers and marks stay.
        FormInput readable = form.faulty() ? FormInput.of(form.typed()) : form;
        Optional<FormulaFields.Read> read = empty ? Optional.empty() : fields.read(readable);
        Optional<Worked> worked = read.flatMap(r -> worked(id, readable, r, place));
        model.addAttribute("worked", worked.orElse(null));
        model.addAttribute("balance", worked.map(Worked::balance).orElse(null));
        Map<Integer, RowNote> rowNotes = rowNotes(form, read, worked);
        Map<Integer, String> stepNotes = MethodFields.notes(form);
        model.addAttribute("rowNotes", rowNotes);
        model.addAttribute(
                "marked",
                rowNotes.values().stream()
                        .filter(note -> !note.guesses().isEmpty())
                        .map(RowNote::row)
                        .toList());
        model.addAttribute("stepNotes", stepNotes);
        model.addAttribute("texts", texts(rowNotes, stepNotes));
        worked.ifPresent(w -> {
            adjustment(form, w, model);
            NamedFormula own = new NamedFormula(id, form.text("name"), 0, w.formula());
            var of = new ScaleForm.Scaled(own, w.balance(), w.used(), w.table(), place.pressureKpa());
            scaling.scale(form, read.orElseThrow(), of).ifPresent(s -> {
                model.addAttribute("scaling", s.scaling());
                model.addAttribute("parts", s.parts());
                model.addAttribute("scaled", ScaleForm.shown(s.scaling(), w.formula(), w.names()));
            });
        });
    }

    /** The short texts beside rows, by the name of the part that shows them, for the script to put in place. */
    private static String texts(Map<Integer, RowNote> rowNotes, Map<Integer, String> stepNotes) {
        Map<String, String> texts = new LinkedHashMap<>();
        rowNotes.forEach((row, note) -> texts.put("share-" + row, note.words()));
        stepNotes.forEach((row, words) -> texts.put("ends-" + row, words));
        return MAPPER.writeValueAsString(texts);
    }

    private static void adjustment(FormInput form, Worked worked, Model model) {
        Adjustment.of(worked.formula(), worked.table()).ifPresent(now -> {
            OptionalDouble wanted = AmountText.parse(form.text("slider"));
            double was = AmountText.parse(form.text("sliderWas")).orElse(now.value());
            model.addAttribute("adjustment", now);
            // A slider that nobody moved says again what it was drawn with, as far as its range and steps allow.
            double drawn = Math.max(
                    now.lever().range().least(), Math.min(now.lever().range().greatest(), was));
            boolean moved = wanted.isPresent()
                    && now.lever().range().holds(wanted.getAsDouble())
                    && Math.abs(wanted.getAsDouble() - drawn) > SLIDER_STEP;
            model.addAttribute("sliderAt", moved ? wanted.getAsDouble() : now.value());
            model.addAttribute("sliderWas", FormInput.shown(moved ? was : now.value()));
            if (moved) {
                List<FormulaLine> lines = Adjustment.to(wanted.getAsDouble(), worked.formula(), worked.table())
                        .orElse(List.of());
                model.addAttribute("proposal", proposal(worked, lines));
                if (!lines.isEmpty()) {
                    model.addAttribute(
                            "proposed",
                            Adjustment.of(worked.formula().withLines(lines), worked.table())
                                    .orElse(now));
                }
            }
        });
    }

    /** One line that the slider would change. */
    record Proposed(String name, double fromGrams, double toGrams) {}

    private static List<Proposed> proposal(Worked worked, List<FormulaLine> lines) {
        List<Proposed> changed = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            FormulaLine now = worked.formula().lines().get(i);
            if (Math.abs(now.grams() - lines.get(i).grams()) > 0.05) {
                changed.add(new Proposed(
                        worked.names().get(now.ingredient()),
                        now.grams(),
                        lines.get(i).grams()));
            }
        }
        return changed;
    }

    private Map<Integer, RowNote> rowNotes(FormInput form, Optional<FormulaFields.Read> read, Optional<Worked> worked) {
        Map<Integer, RowNote> notes = new LinkedHashMap<>();
        double total = worked.map(w -> w.balance().before().totalGrams()).orElse(0.0);
        for (int row : FormulaFields.rows(form)) {
            String f = "line." + row + ".";
            int index = read.map(r -> r.rows().indexOf(row)).orElse(-1);
            FormulaLine line = index < 0 ? null : read.get().formula().lines().get(index);
            List<String> guesses = line != null ? line.guesses() : LineFields.guesses(form.text(f + "guesses"));
            String words = line == null ? "" : words(line, total, form.text(f + "grams"));
            notes.put(row, new RowNote(row, words, guesses, others(form.text(f + "others"))));
        }
        return notes;
    }

    private static String words(FormulaLine line, double totalGrams, String typed) {
        String grams = AmountText.parse(typed).isPresent() ? "" : "= " + Show.INSTANCE.grams(line.grams()) + " ";
        return totalGrams == 0 || !line.counts()
                ? grams
                : grams + Show.INSTANCE.number(100 * line.grams() / totalGrams, 1) + " %";
    }

    private Map<String, String> others(String slugs) {
        Map<String, String> others = new LinkedHashMap<>();
        for (String slug : slugs.split(" ")) {
            shelf.table().find(slug).ifPresent(i -> others.put(slug, i.name()));
        }
        return others;
    }
}

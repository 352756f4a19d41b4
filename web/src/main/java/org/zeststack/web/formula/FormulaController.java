package org.zeststack.web.formula;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.workshop.Place;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.design.DesignDesk;
import org.zeststack.web.form.FormInput;
import org.zeststack.web.page.Page;
import org.zeststack.web.page.Trouble;
import org.zeststack.web.security.SignedIn;

/** Formulas: the list, one formula's lines and method, what they come to, its versions. */
@Page
class FormulaController {

    private static final Formula BLANK = new Formula(Family.CARAMEL, List.of(), null, 0.03, List.of());

    private final Designs<Formula> formulas;
    private final WorkshopStore workshop;
    private final IngredientTable ingredients;
    private final DesignDesk desk;

    FormulaController(Designs<Formula> formulas, WorkshopStore workshop, IngredientTable ingredients, DesignDesk desk) {
        this.formulas = formulas;
        this.workshop = workshop;
        this.ingredients = ingredients;
        this.desk = desk;
    }

    @GetMapping("/formulas")
    String list(Model model) {
        model.addAttribute("formulas", formulas.list());
        return "formula/list";
    }

    @PostMapping("/formulas")
    String create(@AuthenticationPrincipal SignedIn me) {
        return "redirect:/formulas/" + formulas.create("New formula", BLANK, desk.stamp(me));
    }

    @GetMapping("/formulas/{id}")
    String page(@PathVariable long id, Model model) {
        Saved<Formula> draft = draft(id);
        return page(id, FormInput.of(FormulaFields.of(draft)), Optional.of(draft.content()), model);
    }

    private String page(long id, FormInput form, Optional<Formula> formula, Model model) {
        compute(form, formula, model);
        model.addAttribute("id", id);
        model.addAttribute("lineRows", FormulaFields.rows(form, "line"));
        model.addAttribute("stepRows", FormulaFields.rows(form, "step"));
        model.addAttribute("ingredients", ingredients.all());
        model.addAttribute("families", Family.values());
        model.addAttribute("roles", FormulaLine.Role.values());
        model.addAttribute("versions", formulas.versions(id));
        return "formula/formula";
    }

    /** Puts what a formula comes to, or why it comes to nothing, into the model. */
    private void compute(FormInput form, Optional<Formula> formula, Model model) {
        Place place = workshop.place().orElseThrow().content();
        model.addAttribute("place", place);
        try {
            model.addAttribute("formula", formula.orElse(null));
            model.addAttribute(
                    "balance",
                    formula.filter(f -> !f.lines().isEmpty())
                            .map(f -> FormulaBalance.of(f, ingredients, place.pressureKpa()))
                            .orElse(null));
        } catch (InvalidInput input) {
            form.addAll(input.faults());
        } catch (Refusal refusal) {
            form.add(Fault.of("stopCelsius", form.text("stopCelsius"), refusal.getMessage()));
        }
        model.addAttribute("form", form);
    }

    @PostMapping("/formulas/{id}/compute")
    String compute(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
        FormInput form = FormInput.of(typed);
        compute(form, FormulaFields.read(form, ingredients), model);
        return "formula/computed";
    }

    @PostMapping("/formulas/{id}")
    String save(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        Optional<Formula> formula = FormulaFields.read(form, ingredients);
        compute(form, formula, model);
        return desk.save(formulas, id, form, formula, FormulaFields::of, me, response)
                ? "redirect:/formulas/" + id
                : page(id, form, form.faulty() ? Optional.empty() : formula, model);
    }

    @GetMapping("/formulas/{id}/versions/{number}")
    String version(@PathVariable long id, @PathVariable int number, Model model) {
        var version = formulas.version(id, number).orElseThrow(() -> Trouble.missing("This version"));
        Place place = workshop.place().orElseThrow().content();
        model.addAttribute("version", version);
        model.addAttribute("form", FormInput.of(Map.of()));
        model.addAttribute("names", names(version.content()));
        model.addAttribute("balance", FormulaBalance.of(version.content(), ingredients, place.pressureKpa()));
        model.addAttribute("place", place);
        return "formula/version";
    }

    private List<String> names(Formula formula) {
        List<String> names = new ArrayList<>();
        formula.lines().forEach(l -> names.add(ingredients.get(l.ingredient()).name()));
        return names;
    }

    private Saved<Formula> draft(long id) {
        return formulas.draft(id).orElseThrow(() -> Trouble.missing("This formula"));
    }
}

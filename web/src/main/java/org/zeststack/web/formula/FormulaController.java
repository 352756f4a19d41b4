package org.zeststack.web.formula;

import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.app.design.MethodFields;
import org.zeststack.app.formula.FormulaActs;
import org.zeststack.app.formula.FormulaFields;
import org.zeststack.app.formula.LineFields;
import org.zeststack.app.formula.RunsMade;
import org.zeststack.app.formula.ScaleForm;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.School;
import org.zeststack.core.household.Measures;
import org.zeststack.core.method.Act;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.web.design.DesignDesk;
import org.zeststack.web.design.Listing;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** Formulas: the list, and one formula's page on which everything follows what is typed. */
@Page
class FormulaController {

    /** What a step may do to a formula, in words, by its value in the form. */
    private static final Map<String, String> ACTS = Stream.of(
                    Act.WEIGH, Act.ADD, Act.COOK, Act.SECOND_POT, Act.WHISK, Act.DRY, Act.TEMPER, Act.YIELD)
            .collect(Collectors.toMap(Act::name, Act::words, (a, b) -> a, LinkedHashMap::new));

    static final Formula BLANK = new Formula(Family.CARAMEL, List.of(), null, 0.03, DefaultMethods.of(Family.CARAMEL));

    private final Designs<Formula> formulas;
    private final FormulaList list;
    private final FormulaWorkings workings;
    private final FormulaFields fields;
    private final FormulaActs acts;
    private final ScaleForm scaling;
    private final RunsMade runsMade;
    private final DesignDesk desk;

    FormulaController(
            Designs<Formula> formulas,
            FormulaList list,
            FormulaWorkings workings,
            LineFields lines,
            FormulaActs acts,
            ScaleForm scaling,
            RunsMade runsMade,
            DesignDesk desk) {
        this.formulas = formulas;
        this.list = list;
        this.workings = workings;
        this.fields = new FormulaFields(lines);
        this.acts = acts;
        this.scaling = scaling;
        this.runsMade = runsMade;
        this.desk = desk;
    }

    @GetMapping("/formulas")
    String list(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "NAME") Designs.By by,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        Listing.put(model, formulas, q, by, FormulaList.ORDERS, list.of(formulas.page(q, by, page)));
        return "formula/list";
    }

    /** A new one exists once it is saved. */
    @GetMapping("/formulas/new")
    String fresh(Model model) {
        Map<String, String> blank = fields.of(BLANK);
        blank.put("name", "");
        blank.put("lock", "0");
        return page(DesignDesk.NEW, FormInput.of(blank), model);
    }

    @GetMapping("/formulas/{id}")
    String page(@PathVariable long id, Model model) {
        return page(id, FormInput.of(fields.of(draft(id))), model);
    }

    /** The whole page for what stands in a form; an unfinished form is drawn without complaint until it is saved. */
    private String page(long id, FormInput form, Model model) {
        workings.compute(id, form, fields, model);
        model.addAttribute("id", id);
        model.addAttribute("actUrl", "/formulas/" + id + "/act");
        model.addAttribute("full", true);
        model.addAttribute("lineRows", FormulaFields.rows(form));
        model.addAttribute("stepRows", MethodFields.rows(form));
        model.addAttribute("stepActs", ACTS);
        model.addAttribute("families", Family.values());
        model.addAttribute("roles", FormulaLine.Role.values());
        model.addAttribute("measures", Measures.values());
        model.addAttribute("whichCup", FormulaActs.asksWhichCup(form));
        model.addAttribute("scaleBys", ScaleForm.By.values());
        model.addAttribute("scaleBars", scaling.barsWith(id));
        model.addAttribute("vessels", scaling.vessels());
        model.addAttribute("schools", schools(form));
        model.addAttribute("versions", formulas.versions(id));
        model.addAttribute("aside", formulas.archived(id).orElse(null));
        model.addAttribute("current", id == DesignDesk.NEW ? 0 : formulas.currentNumber(id));
        model.addAttribute("offers", runsMade.offers(id, form));
        model.addAttribute("airMade", runsMade.air(id, form));
        model.addAttribute("eyeMade", runsMade.weighed(id, form));
        return "formula/formula";
    }

    /** The page of a formula with fields that are not saved yet, as they came from elsewhere. */
    String unsaved(Map<String, String> typed, Model model) {
        model.addAttribute("unsaved", true);
        return page(DesignDesk.NEW, FormInput.of(typed), model);
    }

    private static List<School> schools(FormInput form) {
        try {
            return School.of(Family.valueOf(form.text("family")));
        } catch (IllegalArgumentException e) {
            return List.of();
        }
    }

    /** Puts it aside, or takes it back. */
    @PostMapping("/formulas/{id}/archive")
    String archive(
            @PathVariable long id, @RequestParam(defaultValue = "") String back, @AuthenticationPrincipal SignedIn me) {
        if (!formulas.archive(id, back.isEmpty(), desk.stamp(me))) {
            throw new Missing("This formula");
        }
        return back.isEmpty() ? "redirect:/formulas" : "redirect:/formulas/" + id;
    }

    @PostMapping("/formulas/{id}/compute")
    String compute(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
        FormInput form = FormInput.of(typed);
        workings.compute(id, form, fields, model);
        model.addAttribute("id", id);
        model.addAttribute("full", false);
        return "formula/computed";
    }

    /** Does what one of the page's buttons says and draws the page again; nothing is saved. */
    @PostMapping("/formulas/{id}/act")
    String act(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
        FormInput form = FormInput.of(typed);
        acts.act(form.text("act"), form, fields);
        form.typed().remove("act");
        return page(id, form, model);
    }

    @PostMapping("/formulas/{id}")
    String save(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        FormInput strict = FormInput.of(typed);
        Optional<Formula> formula = workings.checked(id, strict, fields);
        if (strict.text("keep").equals("yes") && formula.isPresent()) {
            unconfirmed(formula.get(), strict);
        }
        OptionalLong saved = desk.save(formulas, id, strict, formula, fields::of, me, response);
        if (saved.isPresent()) {
            return "redirect:/formulas/" + saved.getAsLong() + (id == DesignDesk.NEW ? "#first" : "");
        }
        model.addAttribute("unsaved", true);
        return page(id, strict.faulty() || !strict.clashedWith().isEmpty() ? strict : form, model);
    }

    /** A version is what others rely on: it is not kept while a guess in it is unconfirmed. */
    private static void unconfirmed(Formula formula, FormInput form) {
        long open = formula.lines().stream().filter(l -> !l.guesses().isEmpty()).count();
        if (open > 0) {
            form.add(Fault.of(
                    "why",
                    form.text("why"),
                    "%d %s: confirm or correct what is marked, then keep the version."
                            .formatted(
                                    open,
                                    open == 1 ? "line still has a guess in it" : "lines still have guesses in them")));
        }
    }

    private Saved<Formula> draft(long id) {
        return formulas.draft(id).orElseThrow(() -> new Missing("This formula"));
    }
}

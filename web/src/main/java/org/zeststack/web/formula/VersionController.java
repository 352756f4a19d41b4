package org.zeststack.web.formula;

import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.app.formula.RunsMade;
import org.zeststack.app.shelf.Names;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaDiff;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.design.Designs;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.page.Page;

/** A formula's versions: one of them, the difference of two, and which one is to be made. */
@Page
class VersionController {

    private final Designs<Formula> formulas;
    private final FormulaWorkings workings;
    private final RunsMade runsMade;
    private final WorkshopStore workshop;
    private final Names names;

    VersionController(
            Designs<Formula> formulas,
            FormulaWorkings workings,
            RunsMade runsMade,
            WorkshopStore workshop,
            Names names) {
        this.formulas = formulas;
        this.workings = workings;
        this.runsMade = runsMade;
        this.workshop = workshop;
        this.names = names;
    }

    @GetMapping("/formulas/{id}/versions/{number}")
    String version(@PathVariable long id, @PathVariable int number, Model model) {
        Designs.Version<Formula> version = find(id, number);
        FormulaWorkings.Worked worked = workings.work(id, version.name(), version.content());
        model.addAttribute("version", version);
        model.addAttribute("form", FormInput.of(Map.of()));
        model.addAttribute("full", true);
        model.addAttribute("names", worked.names());
        model.addAttribute("worked", worked);
        model.addAttribute("balance", worked.balance());
        model.addAttribute("place", workings.place());
        model.addAttribute("currency", workshop.surroundings().currency());
        model.addAttribute("current", formulas.currentNumber(id));
        model.addAttribute("made", runsMade.with(id, number));
        return "formula/version";
    }

    @PostMapping("/formulas/{id}/versions/{number}/choose")
    String choose(@PathVariable long id, @PathVariable int number) {
        if (!formulas.choose(id, number)) {
            throw new Missing("This version");
        }
        return "redirect:/formulas/" + id + "/versions/" + number;
    }

    @GetMapping("/formulas/{id}/compare")
    String compare(@PathVariable long id, @RequestParam int from, @RequestParam int to, Model model) {
        Designs.Version<Formula> older = find(id, from);
        Designs.Version<Formula> newer = find(id, to);
        FormulaDiff diff = FormulaDiff.between(older.content(), newer.content());
        Map<String, String> shown = new LinkedHashMap<>();
        diff.lines().forEach(l -> shown.computeIfAbsent(l.ingredient(), names::of));
        model.addAttribute("older", older);
        model.addAttribute("newer", newer);
        model.addAttribute("diff", diff);
        model.addAttribute("names", shown);
        model.addAttribute("before", workings.work(id, older.name(), older.content()));
        model.addAttribute("after", workings.work(id, newer.name(), newer.content()));
        model.addAttribute("madeBefore", runsMade.with(id, from));
        model.addAttribute("madeAfter", runsMade.with(id, to));
        model.addAttribute("versions", formulas.versions(id));
        return "formula/compare";
    }

    private Designs.Version<Formula> find(long id, int number) {
        return formulas.version(id, number).orElseThrow(() -> new Missing("This version"));
    }
}

package org.zeststack.web.bar;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.CrossSection;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.design.DesignDesk;
import org.zeststack.web.drawing.SectionDrawing;
import org.zeststack.web.form.FormInput;
import org.zeststack.web.page.Page;
import org.zeststack.web.page.Trouble;
import org.zeststack.web.security.SignedIn;
import org.zeststack.web.shelf.Shelf;

/** Bars: the list, the cross-section as the control, the versions. */
@Page
class BarController {

    private static final List<String> KINDS = List.of("dark", "milk", "white", "blond", "ruby");

    private final Designs<Bar> bars;
    private final Designs<Formula> formulas;
    private final WorkshopStore workshop;
    private final Shelf shelf;
    private final BarWorkings workings;
    private final DesignDesk desk;

    BarController(
            Designs<Bar> bars,
            Designs<Formula> formulas,
            WorkshopStore workshop,
            Shelf shelf,
            BarWorkings workings,
            DesignDesk desk) {
        this.bars = bars;
        this.formulas = formulas;
        this.workshop = workshop;
        this.shelf = shelf;
        this.workings = workings;
        this.desk = desk;
    }

    @GetMapping("/bars")
    String list(Model model) {
        model.addAttribute("bars", bars.list());
        model.addAttribute(
                "canCreate", !workshop.moulds().isEmpty() && !formulas.current().isEmpty());
        return "bar/list";
    }

    @PostMapping("/bars")
    String create(@AuthenticationPrincipal SignedIn me) {
        var mould = workshop.moulds().stream().findFirst().orElseThrow(() -> Trouble.missing("A mould"));
        var filling = formulas.current().stream().findFirst().orElseThrow(() -> Trouble.missing("A formula version"));
        String couverture = couvertures().get(0).slug();
        Bar bar = new Bar(
                mould.id(),
                couverture,
                1.5,
                couverture,
                2,
                1,
                3,
                List.of(new Bar.FillingLayer(filling.design(), filling.number(), 0)));
        return "redirect:/bars/" + bars.create("New bar", bar, desk.stamp(me));
    }

    @GetMapping("/bars/{id}")
    String page(@PathVariable long id, Model model) {
        Saved<Bar> draft = draft(id);
        return page(id, FormInput.of(BarFields.of(draft)), Optional.of(draft.content()), model);
    }

    private String page(long id, FormInput form, Optional<Bar> bar, Model model) {
        compute(form, bar, model);
        model.addAttribute("id", id);
        model.addAttribute("moulds", workshop.moulds());
        model.addAttribute("couvertures", couvertures());
        model.addAttribute("fillings", formulas.current());
        model.addAttribute("versions", bars.versions(id));
        return "bar/bar";
    }

    private List<Ingredient> couvertures() {
        return shelf.table().all().stream()
                .filter(Ingredient::isCouverture)
                .sorted(Comparator.comparingInt((Ingredient i) -> KINDS.indexOf(i.couverture()))
                        .thenComparing(Ingredient::name))
                .toList();
    }

    /** Puts the computed bar and its drawings into the model, or the faults into the form. */
    private void compute(FormInput form, Optional<Bar> bar, Model model) {
        model.addAttribute("form", form);
        if (bar.isEmpty()) {
            return;
        }
        try {
            var worked = workings.work(bar.get());
            model.addAttribute("worked", worked);
            model.addAttribute("stack", worked.stack());
            model.addAttribute("across", SectionDrawing.of(CrossSection.across(worked.stack())));
            model.addAttribute("along", SectionDrawing.of(CrossSection.along(worked.stack())));
            model.addAttribute("handles", Handle.of(worked.stack()));
        } catch (InvalidInput input) {
            form.addAll(input.faults());
        }
    }

    @PostMapping("/bars/{id}/compute")
    String compute(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
        FormInput form = FormInput.of(typed);
        compute(form, BarFields.read(form), model);
        return "bar/computed";
    }

    @PostMapping("/bars/{id}")
    String save(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        Optional<Bar> bar = BarFields.read(form);
        compute(form, bar, model);
        return desk.save(bars, id, form, bar, BarFields::of, me, response)
                ? "redirect:/bars/" + id
                : page(id, form, form.faulty() ? Optional.empty() : bar, model);
    }

    private Saved<Bar> draft(long id) {
        return bars.draft(id).orElseThrow(() -> Trouble.missing("This bar"));
    }
}

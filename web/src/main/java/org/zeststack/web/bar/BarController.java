package org.zeststack.web.bar;

import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.app.bar.BarActs;
import org.zeststack.app.bar.BarFields;
import org.zeststack.app.bar.NewBar;
import org.zeststack.app.design.MethodFields;
import org.zeststack.app.words.Show;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.Build;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.BuildSteps;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.typed.Rows;
import org.zeststack.core.workshop.Mould;
import org.zeststack.store.Saved;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.store.workshop.Aside;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.design.DesignDesk;
import org.zeststack.web.design.Listing;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** Bars: the list, a new one in three choices, the cross-section as the control, the versions. */
@Page
class BarController {

    private final Designs<Bar> bars;
    private final WorkshopStore workshop;
    private final Aside aside;
    private final BarFields fields;
    private final BarPage page;
    private final BarActs acts;
    private final NewBar newBar;
    private final BarList list;
    private final DesignDesk desk;

    BarController(
            Designs<Bar> bars,
            WorkshopStore workshop,
            Aside aside,
            BarFields fields,
            BarPage page,
            BarActs acts,
            NewBar newBar,
            BarList list,
            DesignDesk desk) {
        this.bars = bars;
        this.workshop = workshop;
        this.aside = aside;
        this.fields = fields;
        this.page = page;
        this.acts = acts;
        this.newBar = newBar;
        this.list = list;
        this.desk = desk;
    }

    @GetMapping("/bars")
    String list(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "NAME") Designs.By by,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        Listing.put(model, bars, q, by, BarList.ORDERS, list.of(bars.page(q, by, page)));
        model.addAttribute("currency", workshop.surroundings().currency());
        return "bar/list";
    }

    @GetMapping("/bars/new")
    String choose(@RequestParam(defaultValue = "") String madeIn, Model model) {
        Map<String, String> usual = new LinkedHashMap<>();
        usual.put("build", Build.MOULDED.name());
        usual.put("madeIn", madeIn);
        return choose(FormInput.of(usual), model);
    }

    private String choose(FormInput form, Model model) {
        model.addAttribute("form", form);
        model.addAttribute("choices", Choices.ALL);
        List<Saved<Mould>> moulds = newBar.moulds();
        model.addAttribute("moulds", moulds);
        model.addAttribute("buildDrawings", newBar.builds(moulds));
        model.addAttribute("mouldPlans", newBar.plans(moulds));
        model.addAttribute("vessels", newBar.flat());
        model.addAttribute("formulas", newBar.formulas());
        return "bar/new";
    }

    /** A new bar as the three choices make it; it exists once it is saved. */
    @GetMapping("/bars/new/drawn")
    String drawn(@RequestParam Map<String, String> typed, Model model, HttpServletResponse response) {
        FormInput choices = FormInput.of(typed);
        Optional<Bar> bar = newBar.read(choices);
        if (bar.isEmpty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return choose(choices, model);
        }
        Map<String, String> fresh = fields.of(bar.get());
        fresh.put("name", "");
        fresh.put("lock", "0");
        FormInput form = FormInput.of(fresh);
        return page(DesignDesk.NEW, form, page.compute(form), model);
    }

    @GetMapping("/bars/{id}")
    String page(@PathVariable long id, Model model) {
        FormInput form = page.saved(id);
        return page(id, form, page.compute(form), model);
    }

    private String page(long id, FormInput form, BarPage.Computed computed, Model model) {
        page.show(id, form, computed, model);
        Build build = form.choice("build", Build.class);
        model.addAttribute("id", id);
        model.addAttribute("build", build == null ? Build.MOULDED : build);
        model.addAttribute("choices", Choices.ALL);
        model.addAttribute("centreRow", BarFields.centreRow(form));
        Map<Long, Stamp> away = aside.of(Aside.Kind.MOULD);
        model.addAttribute(
                "moulds",
                workshop.moulds().stream()
                        .filter(m -> !away.containsKey(m.id())
                                || form.text("body.mould").equals(String.valueOf(m.id())))
                        .toList());
        model.addAttribute(
                "vessels",
                newBar.flat().stream()
                        .map(v -> Map.entry(
                                Show.INSTANCE.number(v.content().lengthMm(), 1) + " "
                                        + Show.INSTANCE.number(v.content().widthMm(), 1),
                                v.name()))
                        .toList());
        model.addAttribute("layerRows", Rows.used(form, "layer"));
        model.addAttribute("madeInstead", acts.madeInstead(form));
        computed.stack().ifPresent(stack -> {
            if (!form.faulty()) {
                List<MethodStep> steps = BuildSteps.of(stack);
                MethodFields.replace(form, steps);
                boolean usual = stack.bar().method().isEmpty();
                form.typed().put(BarFields.SHOWN_STEPS, usual ? MethodFields.mark(steps) : "");
            }
            model.addAttribute("stepActs", acts(stack));
        });
        model.addAttribute("stepRows", MethodFields.rows(form));
        model.addAttribute("stepNotes", MethodFields.notes(form));
        model.addAttribute("versions", bars.versions(id));
        model.addAttribute("aside", bars.archived(id).orElse(null));
        return "bar/bar";
    }

    /** Puts it aside, or takes it back. */
    @PostMapping("/bars/{id}/archive")
    String archive(
            @PathVariable long id, @RequestParam(defaultValue = "") String back, @AuthenticationPrincipal SignedIn me) {
        if (!bars.archive(id, back.isEmpty(), desk.stamp(me))) {
            throw new Missing("This bar");
        }
        return back.isEmpty() ? "redirect:/bars" : "redirect:/bars/" + id;
    }

    @PostMapping("/bars/{id}/compute")
    String compute(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
        FormInput form = FormInput.of(typed);
        BarPage.Computed computed = page.compute(form);
        Map<String, String> snapped = page.snap(form, computed);
        if (!snapped.isEmpty()) {
            computed = page.compute(form);
        }
        page.show(id, form, computed, model);
        model.addAttribute("set", snapped);
        return "bar/computed";
    }

    /** Does what one of the page's buttons says and draws the page again; nothing is saved. */
    @PostMapping("/bars/{id}/act")
    String act(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
        FormInput form = FormInput.of(typed);
        BarPage.Computed before = page.compute(FormInput.of(typed));
        acts.act(form.text("act"), form, before.stack(), before.rows());
        form.typed().remove("act");
        return page(id, form, page.compute(form), model);
    }

    @PostMapping("/bars/{id}")
    String save(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        BarPage.Computed computed = page.compute(form);
        Optional<Bar> bar = computed.bar().map(b -> kept(b, computed.stack()));
        OptionalLong saved = desk.save(bars, id, form, bar, fields::of, me, response);
        if (saved.isPresent()) {
            return "redirect:/bars/" + saved.getAsLong() + (id == DesignDesk.NEW ? "#first" : "");
        }
        model.addAttribute("unsaved", true);
        return page(id, form, computed, model);
    }

    /** What a step may do in this bar, in words, by its value in the form. */
    private static Map<String, String> acts(BarStack stack) {
        Map<String, String> words = new LinkedHashMap<>();
        for (MethodStep step : BuildSteps.usual(stack)) {
            if (step.acts()) {
                String what = stack.layer(BuildSteps.layerKey(step))
                        .map(l -> step.does() == Act.LAY
                                ? " " + l.kind().words() + ": " + l.name()
                                : " "
                                        + stack.parts()
                                                .materials()
                                                .get(BuildSteps.inTheBowl(stack, step))
                                                .name() + " for the " + l.kind().words())
                        .orElse("");
                words.put(MethodFields.does(step), step.does().words() + what);
            }
        }
        return words;
    }

    /** Steps that are the usual ones are not written down, so that they follow the layers. */
    private static Bar kept(Bar bar, Optional<BarStack> stack) {
        boolean usual = stack.isPresent() && bar.method().equals(BuildSteps.usual(stack.get()));
        return usual ? bar.withMethod(List.of()) : bar;
    }
}

package org.zeststack.web.box;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.app.bar.BarWorkings;
import org.zeststack.app.design.Titles;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.box.Box;
import org.zeststack.core.box.BoxContent;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Mould;
import org.zeststack.store.Saved;
import org.zeststack.store.design.Designs;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.design.DesignDesk;
import org.zeststack.web.design.Listing;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** Boxes: the list, and one box whose weights follow what is counted into it. */
@Page
class BoxController {

    private static final List<Designs.By> ORDERS = List.of(Designs.By.NAME, Designs.By.CHANGED);

    private final Designs<Box> boxes;
    private final Designs<Bar> bars;
    private final BarWorkings workings;
    private final WorkshopStore workshop;
    private final DesignDesk desk;

    BoxController(
            Designs<Box> boxes, Designs<Bar> bars, BarWorkings workings, WorkshopStore workshop, DesignDesk desk) {
        this.boxes = boxes;
        this.bars = bars;
        this.workings = workings;
        this.workshop = workshop;
        this.desk = desk;
    }

    @GetMapping("/boxes")
    String list(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "NAME") Designs.By by,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        Listing.put(model, boxes, q, by, ORDERS, boxes.page(q, by, page));
        model.addAttribute("canCreate", !bars.choices().isEmpty());
        return "box/list";
    }

    /** A new one exists once it is saved. */
    @GetMapping("/boxes/new")
    String fresh(Model model) {
        Designs.Choice first = bars.choices().stream().findFirst().orElseThrow(() -> new Missing("A bar's version"));
        Box box = new Box(List.of(new Box.Item(first.design(), first.number(), 6)), 30, null);
        Map<String, String> fields = BoxFields.of(box);
        fields.put("name", "");
        fields.put("lock", "0");
        return page(DesignDesk.NEW, FormInput.of(fields), model);
    }

    /** Puts it aside, or takes it back. */
    @PostMapping("/boxes/{id}/archive")
    String archive(
            @PathVariable long id, @RequestParam(defaultValue = "") String back, @AuthenticationPrincipal SignedIn me) {
        if (!boxes.archive(id, back.isEmpty(), desk.stamp(me))) {
            throw new Missing("This box");
        }
        return back.isEmpty() ? "redirect:/boxes" : "redirect:/boxes/" + id;
    }

    @GetMapping("/boxes/{id}")
    String page(@PathVariable long id, Model model) {
        return page(id, FormInput.of(BoxFields.of(draft(id))), model);
    }

    private String page(long id, FormInput form, Model model) {
        compute(form, model);
        model.addAttribute("id", id);
        model.addAttribute("rows", BoxFields.rows(form));
        List<Designs.Choice> current = bars.choices();
        model.addAttribute("bars", current);
        model.addAttribute("titles", Titles.of(current));
        model.addAttribute("versions", boxes.versions(id));
        model.addAttribute("aside", boxes.archived(id).orElse(null));
        return "box/box";
    }

    private Optional<Box> compute(FormInput form, Model model) {
        model.addAttribute("form", form);
        Optional<Box> box = BoxFields.read(form);
        box.flatMap(b -> content(b, form)).ifPresent(content -> {
            model.addAttribute("content", content);
            model.addAttribute("calls", content.calls());
            model.addAttribute("ownBounds", content.ownBounds());
            model.addAttribute("currency", workshop.surroundings().currency());
        });
        return box;
    }

    private Optional<BoxContent> content(Box box, FormInput form) {
        List<BoxContent.Part> parts = new ArrayList<>();
        Map<Long, Saved<Bar>> drafts =
                bars.drafts(box.items().stream().map(Box.Item::bar).toList());
        Map<Long, Saved<Mould>> moulds =
                workshop.moulds().stream().collect(Collectors.toMap(Saved::id, Function.identity()));
        for (Box.Item item : box.items()) {
            Optional<BarStack> stack = workings.version(item.bar(), item.version(), moulds);
            if (stack.isEmpty()) {
                form.add(Fault.of("items", "", "A bar in it has no such version any more, or cannot be computed."));
                return Optional.empty();
            }
            parts.add(new BoxContent.Part(drafts.get(item.bar()).name(), item.count(), stack.get()));
        }
        return Optional.of(new BoxContent(box, parts));
    }

    @PostMapping("/boxes/{id}/compute")
    String compute(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
        compute(FormInput.of(typed), model);
        return "box/computed";
    }

    @PostMapping("/boxes/{id}")
    String save(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        Optional<Box> box = compute(form, model);
        OptionalLong saved = desk.save(boxes, id, form, box, BoxFields::of, me, response);
        return saved.isPresent() ? "redirect:/boxes/" + saved.getAsLong() : page(id, form, model);
    }

    private Saved<Box> draft(long id) {
        return boxes.draft(id).orElseThrow(() -> new Missing("This box"));
    }
}

package org.zeststack.web.ingredient;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.app.shelf.Names;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.app.words.Show;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.Cupboard;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.Lot;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.NewerRelease;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.ingredient.Lots;
import org.zeststack.store.workshop.Aside;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** Lots: what came, what was made ahead, what is left, and what can be made of it. */
@Page
class LotController {

    private final Lots lots;
    private final Aside aside;
    private final Shelf shelf;
    private final Names names;
    private final WorkshopStore workshop;
    private final Clock clock;

    LotController(Lots lots, Aside aside, Shelf shelf, Names names, WorkshopStore workshop, Clock clock) {
        this.lots = lots;
        this.aside = aside;
        this.shelf = shelf;
        this.names = names;
        this.workshop = workshop;
        this.clock = clock;
    }

    private LocalDate today() {
        return LocalDate.now(clock.withZone(ZoneId.systemDefault()));
    }

    @GetMapping("/store-room/lots/new")
    String blank(@RequestParam(defaultValue = "") String of, Model model) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("received", Show.INSTANCE.day(today()));
        fields.put("slug", of);
        fields.put("ingredient", of.isEmpty() ? "" : shelf.names(List.of(of)).get(of));
        return blank(FormInput.of(fields), model);
    }

    private String blank(FormInput form, Model model) {
        model.addAttribute("form", form);
        model.addAttribute("parts", Part.values());
        model.addAttribute("currency", workshop.surroundings().currency());
        return "store/lot-new";
    }

    @PostMapping("/store-room/lots")
    String add(
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        Optional<String> what = what(form);
        double grams = form.number("grams", Lot.GRAMS);
        Optional<Lot> lot = LotFields.read(form);
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return blank(form, model);
        }
        Lots.Move how = FormulaLink.in(what.orElseThrow()).isPresent() ? Lots.Move.MADE : Lots.Move.RECEIVED;
        long id = lots.add(what.get(), lot.orElseThrow(), how, grams, UUID.randomUUID(), stamp(me));
        return "redirect:/store-room/lots/" + id;
    }

    private Optional<String> what(FormInput form) {
        String slug = form.text("slug").strip();
        String typed = form.text("ingredient").strip();
        Map<String, String> now = slug.isEmpty() ? Map.of() : shelf.names(List.of(slug));
        boolean meant = now.getOrDefault(slug, "").equals(typed)
                && shelf.usual(slug, shelf.table()).isPresent();
        Optional<String> what = meant
                ? Optional.of(slug)
                : shelf.table()
                        .find(typed)
                        .map(Ingredient::slug)
                        .or(() -> names.named(typed))
                        .or(() -> shelf.reader().named(typed));
        if (what.isEmpty()) {
            form.add(Fault.of("ingredient", typed, "Choose an ingredient or a finished formula from the list."));
        }
        return what;
    }

    @GetMapping("/store-room/lots/{id}")
    String page(@PathVariable long id, @RequestParam Map<String, String> asked, Model model) {
        Lots.Kept kept = find(id);
        Map<String, String> fields = LotFields.of(kept.lot());
        fields.put("lock", String.valueOf(kept.lock()));
        fields.put("stopCelsius", asked.getOrDefault("stopCelsius", ""));
        return page(kept, FormInput.of(fields), model);
    }

    private String page(Lots.Kept kept, FormInput form, Model model) {
        Ingredient usual =
                shelf.usual(kept.ingredient(), shelf.table()).orElseThrow(() -> new Missing("What this is a lot of"));
        Ingredient now = kept.lot().applied(usual);
        model.addAttribute("form", form);
        model.addAttribute("kept", kept);
        model.addAttribute("id", kept.id());
        model.addAttribute("aside", aside.of(Aside.Kind.LOT).get(kept.id()));
        model.addAttribute("usual", usual);
        model.addAttribute("now", now);
        model.addAttribute("made", FormulaLink.in(kept.ingredient()).isPresent());
        model.addAttribute("ageDays", ChronoUnit.DAYS.between(kept.lot().received(), today()));
        model.addAttribute("movements", lots.movements(kept.id()));
        model.addAttribute("moves", List.of(Lots.Move.USED, Lots.Move.COUNTED, Lots.Move.WASTED, Lots.Move.RECEIVED));
        model.addAttribute("parts", Part.values());
        model.addAttribute("currency", workshop.surroundings().currency());
        if (form.has("stopCelsius") && kept.gramsLeft() > 0) {
            again(now, kept.gramsLeft(), form, model);
        }
        return "store/lot";
    }

    /** What the lot would be if it were cooked again to a higher stop. */
    private void again(Ingredient now, double grams, FormInput form, Model model) {
        double stop = form.stop("stopCelsius", Cook.STOP_CELSIUS);
        if (form.faulty()) {
            return;
        }
        try {
            double pressure = workshop.surroundings().place().pressureKpa();
            model.addAttribute("again", Cook.to(now.grams(grams), stop, pressure));
        } catch (InvalidInput input) {
            form.addAll(input.faults());
        } catch (Refusal refusal) {
            form.add(Fault.of("stopCelsius", form.text("stopCelsius"), refusal.getMessage()));
        }
    }

    @PostMapping("/store-room/lots/{id}")
    String save(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        Lots.Kept kept = find(id);
        FormInput form = FormInput.of(typed);
        Optional<Lot> lot = LotFields.read(form);
        if (lot.isEmpty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return page(kept, form, model);
        }
        try {
            lots.save(id, lot.get(), form.lock(), stamp(me));
            return "redirect:/store-room/lots/" + id;
        } catch (StaleEdit stale) {
            Lots.Kept theirs = find(id);
            form.clash(theirs.stamp().by(), LotFields.of(theirs.lot()));
            form.typed().put("lock", String.valueOf(theirs.lock()));
            response.setStatus(HttpServletResponse.SC_CONFLICT);
            return page(theirs, form, model);
        }
    }

    /** Puts it aside, or takes it back. */
    @PostMapping("/store-room/lots/{id}/archive")
    String archive(
            @PathVariable long id, @RequestParam(defaultValue = "") String back, @AuthenticationPrincipal SignedIn me) {
        aside.put(Aside.Kind.LOT, find(id).id(), back.isEmpty(), new Stamp(me.name(), clock.instant()));
        return back.isEmpty() ? "redirect:/store-room" : "redirect:/store-room/lots/" + id;
    }

    /** Grams come or go; a count says what is there, and the difference is written down. */
    @PostMapping("/store-room/lots/{id}/moves")
    String move(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        Lots.Kept kept = find(id);
        FormInput form = FormInput.of(typed);
        Lots.Move move = form.choice("move", Lots.Move.class);
        boolean count = move == Lots.Move.COUNTED;
        double grams = form.number("grams", count ? new Range(0, Lot.GRAMS.greatest(), "g") : Lot.GRAMS);
        String why = form.limited("why", 200);
        if (!form.faulty() && lots.move(id, UUID.randomUUID(), move, grams, why, stamp(me)) == Lots.Moved.TOO_LITTLE) {
            kept = find(id);
            form.add(Fault.of(
                    "grams",
                    form.text("grams"),
                    "Only %s g are left; if more was used, count the lot again first."
                            .formatted(Numbers.fixed(kept.gramsLeft(), 0))));
        }
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            Map<String, String> all = LotFields.of(kept.lot());
            all.put("lock", String.valueOf(kept.lock()));
            form.typed().forEach(all::put);
            FormInput again = FormInput.of(all);
            again.addAll(form.faults());
            return page(kept, again, model);
        }
        return "redirect:/store-room/lots/" + id;
    }

    /** What can be made of what is there. */
    @GetMapping("/store-room/cupboard")
    String cupboard(Model model) {
        double pressure = workshop.surroundings().place().pressureKpa();
        List<Cupboard.Candidate> candidates = new ArrayList<>();
        List<String> unclear = new ArrayList<>();
        for (NamedFormula named : shelf.current()) {
            try {
                var table =
                        shelf.needs(named.id(), named.name(), named.formula()).table();
                candidates.add(
                        new Cupboard.Candidate(named, table, FormulaBalance.of(named.formula(), table, pressure)));
            } catch (InvalidInput | Refusal | NewerRelease e) {
                unclear.add(named.name() + ": " + e.getMessage());
            }
        }
        model.addAttribute("can", Cupboard.of(candidates, lots.gramsByIngredient()));
        model.addAttribute("unclear", unclear);
        return "store/cupboard";
    }

    private Lots.Kept find(long id) {
        return lots.find(id).orElseThrow(() -> new Missing("This lot"));
    }

    private Stamp stamp(SignedIn me) {
        return new Stamp(me.name(), clock.instant());
    }
}

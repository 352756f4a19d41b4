package org.zeststack.web.workshop;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.LongFunction;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.core.bench.ReadingRules;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Mould;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Vessel;
import org.zeststack.store.Part;
import org.zeststack.store.Saved;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.store.workshop.Aside;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** The place, thermometers and moulds. */
@Page
class WorkshopController {

    /** Where somebody who adds equipment goes on: {@code bar} to the bar that a mould was measured for. */
    private static final String THEN = "then";

    private static final String HOME = "redirect:/workshop";

    private final WorkshopStore workshop;
    private final OwnBounds own;
    private final Aside aside;
    private final Clock clock;

    WorkshopController(WorkshopStore workshop, OwnBounds own, Aside aside, Clock clock) {
        this.workshop = workshop;
        this.own = own;
        this.aside = aside;
        this.clock = clock;
    }

    @GetMapping("/workshop")
    String page(Model model) {
        model.addAttribute("workshop", place());
        List<PutAside> away = new ArrayList<>();
        model.addAttribute("today", LocalDate.now());
        model.addAttribute("reads", new ReadingRules(own.bounds()));
        model.addAttribute("thermometers", there("thermometers", workshop.thermometers(), away));
        List<Saved<Mould>> moulds = there("moulds", workshop.moulds(), away);
        model.addAttribute("moulds", moulds);
        model.addAttribute("shapes", moulds.stream().collect(Collectors.toMap(Saved::id, m -> MouldFields.Shape.of(
                        m.content().cavity())
                .words())));
        model.addAttribute("vessels", there("vessels", workshop.vessels(), away));
        model.addAttribute("lines", there("lines", workshop.lines(), away));
        model.addAttribute("archived", new Part<>(away, away.size(), 1, 1));
        return "workshop/workshop";
    }

    /**
     * Equipment that is put aside.
     *
     * @param id its kind and id as in its address
     */
    record PutAside(String id, String name, Stamp archived) {}

    /** Equipment of a kind that is in use; what is put aside is noted. */
    private <T> List<Saved<T>> there(String kind, List<Saved<T>> all, List<PutAside> away) {
        Map<Long, Stamp> put = aside.of(asideKind(kind));
        all.stream()
                .filter(e -> put.containsKey(e.id()))
                .forEach(e -> away.add(new PutAside(kind + "/" + e.id(), e.name(), put.get(e.id()))));
        return all.stream().filter(e -> !put.containsKey(e.id())).toList();
    }

    private static Aside.Kind asideKind(String kind) {
        return switch (kind) {
            case "thermometers" -> Aside.Kind.THERMOMETER;
            case "moulds" -> Aside.Kind.MOULD;
            case "lines" -> Aside.Kind.LINE;
            default -> Aside.Kind.VESSEL;
        };
    }

    /** Puts a piece of equipment aside, or takes it back. */
    @PostMapping("/workshop/{kind:thermometers|moulds|vessels|lines}/{id:[0-9]+}/archive")
    String archive(
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String back,
            @AuthenticationPrincipal SignedIn me) {
        long known = kind(kind).get(id).id();
        aside.put(asideKind(kind), known, back.isEmpty(), stamp(me));
        return HOME;
    }

    private Saved<Place> place() {
        return workshop.place().orElseThrow();
    }

    private Stamp stamp(SignedIn me) {
        return new Stamp(me.name(), clock.instant());
    }

    @GetMapping("/workshop/place")
    String placePage(Model model) {
        Map<String, String> fields = WorkshopFields.ofPlace(place());
        fields.put("currency", workshop.surroundings().currency());
        return edit(model, "place", FormInput.of(fields));
    }

    @PostMapping("/workshop/place")
    String savePlace(
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        String name = form.required("name", 80);
        var place = WorkshopFields.place(form);
        String currency = form.text("currency").strip().toUpperCase(Locale.ROOT);
        if (!currency.matches("[A-Z]{3}")) {
            form.add(Fault.of("currency", currency, "Write the three letters of your money, for example EUR."));
        }
        return save(
                form,
                "place",
                model,
                response,
                () -> {
                    workshop.savePlace(name, place.orElseThrow(), form.lock(), stamp(me));
                    workshop.saveCurrency(currency);
                    return HOME;
                },
                this::place,
                WorkshopFields::ofPlace);
    }

    /** Adds something new, as the store does for each kind of equipment. */
    private interface Adding<T> {
        long add(String name, T equipment, Stamp stamp);
    }

    /** Saves something changed; throws {@link StaleEdit}. */
    private interface Saving<T> {
        void save(long id, String name, T equipment, int lock, Stamp stamp);
    }

    /** A kind of equipment: what its page is called, and how it is read, shown, found and kept. */
    private record Kind<T>(
            String what,
            Supplier<Map<String, String>> blank,
            Function<Saved<T>, Map<String, String>> fields,
            Function<FormInput, Optional<T>> read,
            LongFunction<Optional<Saved<T>>> find,
            Adding<T> adding,
            Saving<T> saving) {

        Saved<T> get(String id) {
            return find.apply(number(id)).orElseThrow(() -> new Missing("This " + what));
        }
    }

    private Kind<?> kind(String name) {
        return switch (name) {
            case "thermometers" ->
                new Kind<>(
                        "thermometer",
                        () -> WorkshopFields.newThermometer(place().content()),
                        WorkshopFields::ofThermometer,
                        form -> WorkshopFields.thermometer(form, place().content()),
                        workshop::thermometer,
                        workshop::addThermometer,
                        workshop::saveThermometer);
            case "moulds" ->
                new Kind<>(
                        "mould",
                        MouldFields::blank,
                        WorkshopFields::ofMould,
                        MouldFields::read,
                        workshop::mould,
                        workshop::addMould,
                        workshop::saveMould);
            case "lines" ->
                new Kind<>(
                        "line",
                        Map::of,
                        WorkshopFields::ofLine,
                        WorkshopFields::line,
                        workshop::line,
                        workshop::addLine,
                        workshop::saveLine);
            default ->
                new Kind<>(
                        "vessel",
                        () -> Map.of("kind", "POT"),
                        WorkshopFields::ofVessel,
                        WorkshopFields::vessel,
                        workshop::vessel,
                        workshop::addVessel,
                        workshop::saveVessel);
        };
    }

    @GetMapping("/workshop/{kind:thermometers|moulds|vessels|lines}/{id}")
    String equipmentPage(
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String then,
            Model model) {
        if (!id.equals("new")) {
            model.addAttribute("id", kind + "/" + number(id));
            model.addAttribute("aside", aside.of(asideKind(kind)).get(number(id)));
        }
        return equipmentPage(kind(kind), id, then, model);
    }

    private <T> String equipmentPage(Kind<T> kind, String id, String then, Model model) {
        Map<String, String> fields =
                id.equals("new") ? kind.blank().get() : kind.fields().apply(kind.get(id));
        FormInput form = FormInput.of(fields);
        form.typed().put(THEN, then);
        return edit(model, kind.what(), form);
    }

    @PostMapping("/workshop/{kind:thermometers|moulds|vessels|lines}/{id}")
    String saveEquipment(
            @PathVariable String kind,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        return saveEquipment(kind(kind), id, FormInput.of(typed), me, model, response);
    }

    private <T> String saveEquipment(
            Kind<T> kind, String id, FormInput form, SignedIn me, Model model, HttpServletResponse response) {
        String name = form.required("name", 80);
        Optional<T> read = kind.read().apply(form);
        boolean toBar = kind.what().equals("mould") && form.text(THEN).equals("bar");
        Supplier<String> write = () -> {
            if (id.equals("new")) {
                long added = kind.adding().add(name, read.orElseThrow(), stamp(me));
                return toBar ? "redirect:/bars/new?madeIn=mould-" + added : HOME;
            }
            kind.saving().save(number(id), name, read.orElseThrow(), form.lock(), stamp(me));
            return HOME;
        };
        return save(form, kind.what(), model, response, write, () -> kind.get(id), kind.fields());
    }

    private static String edit(Model model, String what, FormInput form) {
        model.addAttribute("form", form);
        model.addAttribute("what", what);
        model.addAttribute("vesselKinds", Vessel.Kind.values());
        model.addAttribute("shapes", MouldFields.Shape.values());
        return "workshop/edit";
    }

    private <T> String save(
            FormInput form,
            String what,
            Model model,
            HttpServletResponse response,
            Supplier<String> write,
            Supplier<Saved<T>> current,
            Function<Saved<T>, Map<String, String>> fields) {
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return edit(model, what, form);
        }
        try {
            return write.get();
        } catch (StaleEdit stale) {
            Saved<T> saved = current.get();
            form.clash(saved.stamp().by(), fields.apply(saved));
            form.typed().put("lock", String.valueOf(saved.lock()));
            response.setStatus(HttpServletResponse.SC_CONFLICT);
            return edit(model, what, form);
        }
    }

    private static long number(String id) {
        try {
            return Long.parseLong(id);
        } catch (NumberFormatException e) {
            throw new Missing("This");
        }
    }
}

package org.zeststack.web.workshop;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.workshop.Mould;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.core.workshop.Vessel;
import org.zeststack.store.Saved;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.form.FormInput;
import org.zeststack.web.page.Page;
import org.zeststack.web.page.Trouble;
import org.zeststack.web.security.SignedIn;

/** The place, thermometers and moulds. */
@Page
class WorkshopController {

    private static final String HOME = "redirect:/workshop";

    private final WorkshopStore workshop;
    private final Clock clock;

    WorkshopController(WorkshopStore workshop, Clock clock) {
        this.workshop = workshop;
        this.clock = clock;
    }

    @GetMapping("/workshop")
    String page(Model model) {
        model.addAttribute("workshop", place());
        model.addAttribute("thermometers", workshop.thermometers());
        model.addAttribute("moulds", workshop.moulds());
        model.addAttribute("vessels", workshop.vessels());
        return "workshop/workshop";
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
                },
                this::place,
                WorkshopFields::ofPlace);
    }

    @GetMapping("/workshop/thermometers/{id}")
    String thermometerPage(@PathVariable String id, Model model) {
        Map<String, String> fields = id.equals("new")
                ? WorkshopFields.newThermometer(place().content())
                : WorkshopFields.ofThermometer(thermometer(id));
        return edit(model, "thermometer", FormInput.of(fields));
    }

    private Saved<Thermometer> thermometer(String id) {
        return workshop.thermometer(number(id)).orElseThrow(() -> Trouble.missing("This thermometer"));
    }

    @PostMapping("/workshop/thermometers/{id}")
    String saveThermometer(
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        String name = form.required("name", 80);
        var thermometer = WorkshopFields.thermometer(form, place().content());
        Runnable write = () -> {
            if (id.equals("new")) {
                workshop.addThermometer(name, thermometer.orElseThrow(), stamp(me));
            } else {
                workshop.saveThermometer(number(id), name, thermometer.orElseThrow(), form.lock(), stamp(me));
            }
        };
        return save(form, "thermometer", model, response, write, () -> thermometer(id), WorkshopFields::ofThermometer);
    }

    @GetMapping("/workshop/moulds/{id}")
    String mouldPage(@PathVariable String id, Model model) {
        Map<String, String> fields = id.equals("new") ? Map.of("owned", "1") : WorkshopFields.ofMould(mould(id));
        return edit(model, "mould", FormInput.of(fields));
    }

    private Saved<Mould> mould(String id) {
        return workshop.mould(number(id)).orElseThrow(() -> Trouble.missing("This mould"));
    }

    @PostMapping("/workshop/moulds/{id}")
    String saveMould(
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        String name = form.required("name", 80);
        var mould = WorkshopFields.mould(form);
        Runnable write = () -> {
            if (id.equals("new")) {
                workshop.addMould(name, mould.orElseThrow(), stamp(me));
            } else {
                workshop.saveMould(number(id), name, mould.orElseThrow(), form.lock(), stamp(me));
            }
        };
        return save(form, "mould", model, response, write, () -> mould(id), WorkshopFields::ofMould);
    }

    @GetMapping("/workshop/vessels/{id}")
    String vesselPage(@PathVariable String id, Model model) {
        Map<String, String> fields = id.equals("new") ? Map.of("kind", "POT") : WorkshopFields.ofVessel(vessel(id));
        return edit(model, "vessel", FormInput.of(fields));
    }

    private Saved<Vessel> vessel(String id) {
        return workshop.vessel(number(id)).orElseThrow(() -> Trouble.missing("This vessel"));
    }

    @PostMapping("/workshop/vessels/{id}")
    String saveVessel(
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        String name = form.required("name", 80);
        var vessel = WorkshopFields.vessel(form);
        Runnable write = () -> {
            if (id.equals("new")) {
                workshop.addVessel(name, vessel.orElseThrow(), stamp(me));
            } else {
                workshop.saveVessel(number(id), name, vessel.orElseThrow(), form.lock(), stamp(me));
            }
        };
        return save(form, "vessel", model, response, write, () -> vessel(id), WorkshopFields::ofVessel);
    }

    private static String edit(Model model, String what, FormInput form) {
        model.addAttribute("form", form);
        model.addAttribute("what", what);
        model.addAttribute("vesselKinds", Vessel.Kind.values());
        return "workshop/edit";
    }

    private <T> String save(
            FormInput form,
            String what,
            Model model,
            HttpServletResponse response,
            Runnable write,
            Supplier<Saved<T>> current,
            Function<Saved<T>, Map<String, String>> fields) {
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return edit(model, what, form);
        }
        try {
            write.run();
            return HOME;
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
            throw Trouble.missing("This");
        }
    }
}

package org.zeststack.web.workshop;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.zeststack.app.people.Passwords;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;
import org.zeststack.store.Stamp;
import org.zeststack.store.people.People;
import org.zeststack.store.people.Role;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.Loopback;

/** The first visit: an owner with a password, or just one local person. Only from this machine. */
@Page
class WelcomeController {

    private final WorkshopStore workshop;
    private final People people;
    private final PasswordEncoder passwords;
    private final TransactionTemplate transaction;
    private final Clock clock;

    WelcomeController(
            WorkshopStore workshop,
            People people,
            PasswordEncoder passwords,
            TransactionTemplate transaction,
            Clock clock) {
        this.workshop = workshop;
        this.people = people;
        this.passwords = passwords;
        this.transaction = transaction;
        this.clock = clock;
    }

    @GetMapping("/welcome")
    String welcome(HttpServletRequest request, Model model) {
        requireLocal(request);
        if (workshop.place().isPresent()) {
            return "redirect:/";
        }
        model.addAttribute("form", FormInput.of(Map.of("workshop", "", "placeAmount", "0")));
        return "welcome";
    }

    @PostMapping("/welcome")
    String setUp(HttpServletRequest request, @RequestParam Map<String, String> typed, Model model) {
        requireLocal(request);
        FormInput form = FormInput.of(typed);
        boolean justMe = typed.get("mode") != null && typed.get("mode").equals("just-me");
        String name = form.required("workshop", 80);
        double altitude = form.number("placeAmount", Place.By.ALTITUDE.range());
        NewPerson owner = justMe ? null : NewPerson.read(form);
        if (form.faulty()) {
            model.addAttribute("form", form);
            return "welcome";
        }
        Place place = new Place(Place.By.ALTITUDE, altitude);
        Stamp stamp = new Stamp(justMe ? "Me" : owner.name(), clock.instant());
        Boolean done = transaction.execute(tx -> {
            if (!workshop.setUp(name, justMe, place, stamp)) {
                return false;
            }
            if (owner != null) {
                people.add(owner.login(), owner.name(), passwords.encode(owner.password()), Role.OWNER, stamp.at());
            }
            double boils = place.waterBoilsCelsius();
            workshop.addThermometer(
                    "First thermometer (not checked yet)",
                    new Thermometer(Thermometer.Kind.PROBE, 0, boils, boils),
                    stamp);
            return true;
        });
        return Boolean.TRUE.equals(done) && !justMe ? "redirect:/sign-in?welcome" : "redirect:/";
    }

    private static void requireLocal(HttpServletRequest request) {
        if (!Loopback.is(request)) {
            throw new ResponseStatusException(
                    HttpStatus.FORBIDDEN,
                    "Set this workshop up on the machine it runs on, and not through a proxy. Where the proxy runs on that machine too,"
                            + " ./zest password NAME in a terminal there makes the first owner.");
        }
    }

    /** A person as typed. */
    record NewPerson(String login, String name, String password) {

        static NewPerson read(FormInput form) {
            String typed = form.required("login", 60);
            String login = Passwords.login(typed);
            if (!typed.isEmpty() && (!Passwords.isLogin(login) || Passwords.hidesSomething(typed))) {
                form.add(Fault.of("login", login, "Use letters, digits and . _ @ + - only."));
            }
            String name = form.required("name", 80);
            String password = form.text("password");
            Passwords.fault(password, List.of(login, name)).ifPresent(f -> form.add(Fault.of("password", "", f)));
            return new NewPerson(login, name, password);
        }
    }
}

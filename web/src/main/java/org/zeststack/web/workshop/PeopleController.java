package org.zeststack.web.workshop;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.zeststack.app.people.Passwords;
import org.zeststack.app.people.TokenText;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.people.People;
import org.zeststack.store.people.Person;
import org.zeststack.store.people.Role;
import org.zeststack.store.people.Tokens;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;
import org.zeststack.web.security.SignedOut;

/** People and tokens. The owner's alone. */
@Page
class PeopleController {

    private static final int EVENTS = 30;
    private static final String HOME = "redirect:/workshop/people";

    private final People people;
    private final Tokens tokens;
    private final PasswordEncoder passwords;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    PeopleController(
            People people,
            Tokens tokens,
            PasswordEncoder passwords,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            ApplicationEventPublisher events,
            Clock clock) {
        this.people = people;
        this.tokens = tokens;
        this.passwords = passwords;
        this.sessions = sessions;
        this.events = events;
        this.clock = clock;
    }

    @GetMapping("/workshop/people")
    String page(Model model) {
        return page(model, FormInput.of(Map.of()));
    }

    private String page(Model model, FormInput form) {
        model.addAttribute("form", form);
        model.addAttribute("people", people.all());
        model.addAttribute("tokens", tokens.all());
        model.addAttribute("roles", Role.values());
        model.addAttribute("events", people.events(EVENTS));
        return "workshop/people";
    }

    @PostMapping("/workshop/people")
    String add(@RequestParam Map<String, String> typed, @AuthenticationPrincipal SignedIn me, Model model) {
        FormInput form = FormInput.of(typed);
        WelcomeController.NewPerson person = WelcomeController.NewPerson.read(form);
        Role role = form.choice("role", Role.class);
        if (!form.faulty()
                && !people.add(
                        person.login(), person.name(), passwords.encode(person.password()), role, clock.instant())) {
            form.add(Fault.of("login", person.login(), "This sign-in name is taken."));
        }
        if (form.faulty()) {
            return page(model, form);
        }
        note(me, person.login(), "added as " + role.words());
        return HOME;
    }

    private void note(SignedIn me, String about, String what) {
        people.note(new People.Event(clock.instant(), me.login(), about, what));
    }

    @PostMapping("/workshop/people/{id}/active")
    String active(@PathVariable long id, @RequestParam boolean active, @AuthenticationPrincipal SignedIn me) {
        change(id, me, p -> {
            requireOwner(people.setActive(id, active));
            int revoked = active ? 0 : tokens.revokeOf(new Tokens.Maker(p.login(), p.name()), clock.instant());
            note(me, p.login(), active ? "let in" : "kept out" + (revoked == 0 ? "" : ", tokens revoked: " + revoked));
        });
        return HOME;
    }

    @PostMapping("/workshop/people/{id}/role")
    String role(@PathVariable long id, @RequestParam Role role, @AuthenticationPrincipal SignedIn me) {
        change(id, me, p -> {
            requireOwner(people.setRole(id, role));
            note(me, p.login(), "is now " + role.words());
        });
        return HOME;
    }

    /** Two owners may do without each other at the same moment. */
    private static void requireOwner(boolean done) {
        if (!done) {
            throw new ResponseStatusException(
                    HttpStatus.CONFLICT, "Then nobody would own the workshop: make somebody else an owner first.");
        }
    }

    /** Another password for somebody who has forgotten it; who signs in with the old one is out. */
    @PostMapping("/workshop/people/{id}/password")
    String password(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String password,
            @AuthenticationPrincipal SignedIn me,
            HttpServletResponse response,
            Model model) {
        FormInput form = FormInput.of(Map.of());
        change(id, me, p -> {
            Optional<String> fault = Passwords.fault(password, List.of(p.login(), p.name()));
            fault.ifPresent(f -> form.add(Fault.of("password-" + id, "", f)));
            if (fault.isEmpty()) {
                people.setPassword(id, passwords.encode(password));
                people.forgetFailures(p.login());
                note(me, p.login(), "given another password");
            }
        });
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return page(model, form);
        }
        return HOME;
    }

    /** Changes somebody else; whoever is signed in under that name must do so anew. */
    private void change(long id, SignedIn me, Consumer<Person> how) {
        people.all().stream()
                .filter(p -> p.id() == id && !p.login().equals(me.login()))
                .forEach(p -> {
                    how.accept(p);
                    sessions.findByPrincipalName(p.login()).keySet().forEach(sessions::deleteById);
                    events.publishEvent(new SignedOut(p.login()));
                });
    }

    @PostMapping("/workshop/tokens")
    String addToken(
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            RedirectAttributes once) {
        FormInput form = FormInput.of(typed);
        String label = form.required("label", 80);
        if (form.faulty()) {
            return page(model, form);
        }
        String token = TokenText.random();
        tokens.add(label, TokenText.hash(token), false, new Tokens.Maker(me.login(), me.name()), clock.instant());
        note(me, me.login(), "made a token: " + label);
        once.addFlashAttribute("newToken", token);
        return HOME;
    }

    @PostMapping("/workshop/tokens/{id}/revoke")
    String revoke(@PathVariable long id, @AuthenticationPrincipal SignedIn me) {
        tokens.all().stream().filter(t -> t.id() == id && !t.revoked()).forEach(t -> {
            tokens.revoke(id, clock.instant());
            note(me, me.login(), "revoked a token: " + t.label());
        });
        return HOME;
    }
}

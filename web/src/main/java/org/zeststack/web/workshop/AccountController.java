package org.zeststack.web.workshop;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.app.people.Passwords;
import org.zeststack.app.people.TokenText;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.people.People;
import org.zeststack.store.people.Person;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignInThrottle;
import org.zeststack.web.security.SignedIn;

/** One's own sign-in. */
@Page
class AccountController {

    private final People people;
    private final PasswordEncoder passwords;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final Clock clock;

    AccountController(
            People people,
            PasswordEncoder passwords,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            Clock clock) {
        this.people = people;
        this.passwords = passwords;
        this.sessions = sessions;
        this.clock = clock;
    }

    @GetMapping("/account")
    String page(Model model) {
        model.addAttribute("form", FormInput.of(Map.of()));
        return "workshop/account";
    }

    /** Another password for oneself; whoever else is signed in under the name is not any more. */
    @PostMapping("/account/password")
    String change(
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            HttpSession session,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Person person = people.find(me.login()).orElseThrow(() -> new Missing("A sign-in of your own"));
        FormInput form = FormInput.of(typed);
        People.Try one = guess(me, request);
        Duration wait = people.mayTry(one, SignInThrottle.WINDOW, SignInThrottle.WAITS);
        if (!wait.isZero()) {
            form.add(
                    Fault.of("current", "", "Too many wrong ones: try again in %d s.".formatted(wait.toSeconds() + 1)));
        } else if (passwords.matches(form.text("current"), person.passwordHash())) {
            people.succeeded(one);
        } else {
            form.add(Fault.of("current", "", "That is not your password now."));
        }
        Passwords.fault(form.text("password"), List.of(person.login(), person.name()))
                .ifPresent(f -> form.add(Fault.of("password", "", f)));
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            form.typed().remove("current");
            form.typed().remove("password");
            model.addAttribute("form", form);
            return "workshop/account";
        }
        people.setPassword(person.id(), passwords.encode(form.text("password")));
        people.note(new People.Event(clock.instant(), me.login(), me.login(), "changed their password"));
        sessions.findByPrincipalName(person.login()).keySet().stream()
                .filter(id -> !id.equals(session.getId()))
                .forEach(sessions::deleteById);
        return "redirect:/account?changed";
    }

    /** Guessing at an open session waits as guessing at the door does, and counts apart: it keeps nobody out there. */
    private People.Try guess(SignedIn me, HttpServletRequest request) {
        return new People.Try(
                me.login(),
                request.getRemoteAddr(),
                TokenText.hash("at the open page of " + me.login()),
                clock.instant());
    }
}

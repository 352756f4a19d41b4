package org.zeststack.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.SimpleUrlAuthenticationSuccessHandler;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.WebUtils;
import org.zeststack.app.people.Passwords;
import org.zeststack.app.people.TokenText;
import org.zeststack.store.people.People;

/**
 * Slows guessing down. After some failures of an account, or of an address, the next try waits, each time longer, up to a
 * bound; nobody is shut out for good. A device that somebody signed in from before counts for itself, so that whoever guesses
 * elsewhere does not keep its person out. Counted in the database, so any instance knows.
 */
@Component
public class SignInThrottle extends OncePerRequestFilter
        implements AuthenticationFailureHandler,
                org.springframework.security.web.authentication.AuthenticationSuccessHandler {

    public static final Duration WINDOW = Duration.ofHours(1);
    private static final Duration KNOWN_FOR = Duration.ofDays(365);
    private static final int LONGEST_DEVICE = 80;
    private static final String TRY = SignInThrottle.class.getName() + ".TRY";

    /** Five tries of an account are free, then 5 s, doubling up to 5 min; twenty of an address, then 2 s up to a minute. */
    public static final People.Waits WAITS = new People.Waits() {
        @Override
        public Duration ofAccount(int failures) {
            return doubling(failures - 5, Duration.ofSeconds(5), Duration.ofMinutes(5));
        }

        @Override
        public Duration ofAddress(int failures) {
            return doubling((failures - 20) / 5.0, Duration.ofSeconds(2), Duration.ofMinutes(1));
        }

        private static Duration doubling(double times, Duration first, Duration most) {
            if (times < 0) {
                return Duration.ZERO;
            }
            double seconds = first.toSeconds() * Math.pow(2, Math.floor(times));
            return Duration.ofSeconds((long) Math.min(seconds, most.toSeconds()));
        }
    };

    private final People people;
    private final Clock clock;
    private final String cookie;
    private final SimpleUrlAuthenticationSuccessHandler onwards = new SimpleUrlAuthenticationSuccessHandler() {
        @Override
        protected String determineTargetUrl(HttpServletRequest request, HttpServletResponse response) {
            return SignInTo.asked(request);
        }
    };

    SignInThrottle(People people, Clock clock, @Value("${zest.cookie:zest}-device") String cookie) {
        this.people = people;
        this.clock = clock;
        this.cookie = cookie;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("POST") || !request.getServletPath().equals("/sign-in");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String login = Passwords.login(request.getParameter("username"));
        byte[] device = device(request)
                .map(TokenText::hash)
                .filter(d -> people.knows(d, login))
                .orElse(null);
        var one = new People.Try(login, request.getRemoteAddr(), device, clock.instant());
        Duration wait = people.mayTry(one, WINDOW, WAITS);
        if (!wait.isZero()) {
            back(request, response, "wait", String.valueOf((wait.toMillis() + 999) / 1000));
            return;
        }
        request.setAttribute(TRY, one);
        chain.doFilter(request, response);
    }

    private Optional<String> device(HttpServletRequest request) {
        return Optional.ofNullable(WebUtils.getCookie(request, cookie))
                .map(Cookie::getValue)
                .filter(v -> !v.isBlank() && v.length() <= LONGEST_DEVICE);
    }

    @Override
    public void onAuthenticationFailure(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException e) throws IOException {
        back(request, response, "failed", "");
    }

    private static void back(HttpServletRequest request, HttpServletResponse response, String why, String value)
            throws IOException {
        String to = UriComponentsBuilder.fromPath(request.getContextPath() + "/sign-in")
                .queryParam(why, value.isEmpty() ? new Object[0] : new Object[] {value})
                .build()
                .toUriString();
        response.sendRedirect(SignInTo.along(to, SignInTo.asked(request)));
    }

    @Override
    public void onAuthenticationSuccess(
            HttpServletRequest request, HttpServletResponse response, Authentication authentication)
            throws IOException, ServletException {
        var one = (People.Try) request.getAttribute(TRY);
        people.succeeded(one);
        String device = device(request).orElseGet(TokenText::random);
        people.know(TokenText.hash(device), one.login(), one.at());
        people.note(new People.Event(one.at(), one.login(), one.login(), "signed in from " + one.address()));
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(cookie, device)
                        .httpOnly(true)
                        .sameSite("Lax")
                        .secure(request.isSecure())
                        .path("/sign-in")
                        .maxAge(KNOWN_FOR)
                        .build()
                        .toString());
        onwards.onAuthenticationSuccess(request, response, authentication);
    }
}

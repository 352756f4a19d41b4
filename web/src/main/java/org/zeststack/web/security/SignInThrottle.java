package org.zeststack.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.zeststack.store.people.People;

/**
 * Slows guessing down: after five failures within ten minutes for a login, or twenty-five from an address (a whole workshop
 * may share one), sign-in waits. Counted in the database, so any instance knows.
 */
@Component
class SignInThrottle extends OncePerRequestFilter
        implements AuthenticationFailureHandler,
                org.springframework.security.web.authentication.AuthenticationSuccessHandler {

    private static final int MOST_BY_LOGIN = 5;
    private static final int MOST_BY_ADDRESS = 25;
    private static final Duration WINDOW = Duration.ofMinutes(10);

    private final People people;
    private final Clock clock;
    private final SavedRequestAwareAuthenticationSuccessHandler onwards =
            new SavedRequestAwareAuthenticationSuccessHandler();

    SignInThrottle(People people, Clock clock) {
        this.people = people;
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("POST") || !request.getServletPath().equals("/sign-in");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Instant since = clock.instant().minus(WINDOW);
        People.Failures failures = people.failuresSince(login(request), request.getRemoteAddr(), since);
        if (failures.byLogin() >= MOST_BY_LOGIN || failures.byAddress() >= MOST_BY_ADDRESS) {
            response.sendRedirect(request.getContextPath() + "/sign-in?wait");
            return;
        }
        chain.doFilter(request, response);
    }

    @Override
    public void onAuthenticationFailure(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException e) throws IOException {
        people.noteFailure(login(request), request.getRemoteAddr(), clock.instant());
        response.sendRedirect(request.getContextPath() + "/sign-in?failed");
    }

    @Override
    public void onAuthenticationSuccess(
            HttpServletRequest request, HttpServletResponse response, Authentication authentication)
            throws IOException, ServletException {
        people.forgetFailures(login(request));
        onwards.onAuthenticationSuccess(request, response, authentication);
    }

    private static String login(HttpServletRequest request) {
        return Passwords.login(request.getParameter("username"));
    }
}

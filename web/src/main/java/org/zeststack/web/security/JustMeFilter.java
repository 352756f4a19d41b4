package org.zeststack.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.zeststack.store.people.Role;
import org.zeststack.store.workshop.WorkshopStore;

/**
 * Before the workshop is set up every page leads to the welcome page. In a workshop of one local person that person is let
 * in without a password, from this machine only.
 */
@Component
class JustMeFilter extends OncePerRequestFilter {

    private static final long TRUSTED_NANOS = Duration.ofSeconds(2).toNanos();

    private static final SignedIn ME = new SignedIn("me", "Me", "", Role.OWNER, true);

    private final WorkshopStore workshop;
    private volatile Known known = new Known(null, 0);

    /** How the workshop is worked in; null before it is set up. Set-up happens once, but a restore may bring another workshop. */
    private record Known(Boolean justMe, long readAt) {}

    JustMeFilter(WorkshopStore workshop) {
        this.workshop = workshop;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String path = request.getServletPath();
        boolean open = path.startsWith("/assets/")
                || path.startsWith("/webjars/")
                || path.equals("/welcome")
                || path.equals("/health");
        if (open) {
            chain.doFilter(request, response);
            return;
        }
        // The page for signing in asks the database for nothing once it is known that there is signing in.
        Boolean justMe = path.equals("/sign-in") && known.justMe != null ? known.justMe : justMe();
        if (justMe == null && path.equals("/welcome/demo")) {
            chain.doFilter(request, response);
            return;
        }
        if (justMe == null) {
            response.sendRedirect(request.getContextPath() + "/welcome");
            return;
        }
        if (justMe) {
            if (!Loopback.is(request)) {
                response.sendError(
                        HttpServletResponse.SC_FORBIDDEN,
                        "This workshop works without signing in, on its own machine only.");
                return;
            }
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(ME, null, ME.getAuthorities()));
            SecurityContextHolder.setContext(context);
        }
        chain.doFilter(request, response);
    }

    /** Read again now and then; while the database does not answer, it is what it was. */
    private Boolean justMe() {
        Known now = known;
        if (now.justMe == null || System.nanoTime() - now.readAt > TRUSTED_NANOS) {
            try {
                now = new Known(workshop.place().isPresent() ? workshop.justMe() : null, System.nanoTime());
                known = now;
            } catch (RuntimeException e) {
                if (now.justMe == null) {
                    throw e;
                }
            }
        }
        return now.justMe;
    }
}

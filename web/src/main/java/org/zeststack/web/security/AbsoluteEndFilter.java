package org.zeststack.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Being signed in ends after a week, however much it was used. */
@Component
class AbsoluteEndFilter extends OncePerRequestFilter {

    static final Duration LONGEST = Duration.ofDays(7);

    private final Clock clock;

    AbsoluteEndFilter(Clock clock) {
        this.clock = clock;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        HttpSession session = request.getSession(false);
        if (session != null && clock.millis() - session.getCreationTime() > LONGEST.toMillis()) {
            session.invalidate();
        }
        chain.doFilter(request, response);
    }
}

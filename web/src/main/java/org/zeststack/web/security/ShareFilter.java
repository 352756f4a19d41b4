package org.zeststack.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Nobody starves the others: of one person, one program, or one address where nobody is signed in, {@value #AT_WORK} requests are
 * worked on at once, {@value #WAITING} more wait for their turn without holding anything of the database, and what comes beyond is told
 * to come later. A stream of events is through as soon as it is opened.
 */
@Component
class ShareFilter extends OncePerRequestFilter {

    /** Half of the connections that there are. */
    static final int AT_WORK = 6;

    static final int WAITING = 40;
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(10);

    private final Map<String, Share> shares = new ConcurrentHashMap<>();

    /** What one of them has under way; gone with its last request. */
    private static final class Share {
        private final Semaphore atWork = new Semaphore(AT_WORK, true);
        private final AtomicInteger all = new AtomicInteger();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String of = of(request);
        Share share = enter(of);
        try {
            if (share.all.get() > AT_WORK + WAITING || !isTurn(share)) {
                response.setHeader(HttpHeaders.RETRY_AFTER, "1");
                response.sendError(
                        HttpStatus.TOO_MANY_REQUESTS.value(), "Too much at once from here: try again in a moment.");
                return;
            }
            try {
                chain.doFilter(request, response);
            } finally {
                share.atWork.release();
            }
        } finally {
            leave(of);
        }
    }

    private static boolean isTurn(Share share) {
        try {
            return share.atWork.tryAcquire(LONGEST_WAIT.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException stopping) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** How much one of them has under way. */
    int underWay(String of) {
        Share share = shares.get(of);
        return share == null ? 0 : share.all.get();
    }

    private Share enter(String of) {
        return shares.compute(of, (key, there) -> {
            Share share = there == null ? new Share() : there;
            share.all.incrementAndGet();
            return share;
        });
    }

    private void leave(String of) {
        shares.computeIfPresent(of, (key, share) -> share.all.decrementAndGet() == 0 ? null : share);
    }

    private static String of(HttpServletRequest request) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who == null || who instanceof AnonymousAuthenticationToken
                ? "at " + request.getRemoteAddr()
                : "of " + who.getName();
    }
}

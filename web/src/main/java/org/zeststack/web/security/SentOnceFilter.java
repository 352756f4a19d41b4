package org.zeststack.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Clock;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.filter.OncePerRequestFilter;
import org.zeststack.app.people.TokenText;
import org.zeststack.store.once.Made;

/**
 * What a form makes it makes once, however often it is sent: every form that makes something carries a key, and the same key
 * with the same content leads to what was made, two at once too. What a form makes and that it has made it are one
 * transaction; where it is sent back with faults, nothing is remembered.
 */
@Component
class SentOnceFilter extends OncePerRequestFilter {

    /** Name of the field with the key. */
    private static final String KEY = "once";

    private final Map<UUID, Turn> turns = new ConcurrentHashMap<>();
    private final Made made;
    private final TransactionTemplate transaction;
    private final Clock clock;

    SentOnceFilter(Made made, TransactionTemplate transaction, Clock clock) {
        this.made = made;
        this.transaction = transaction;
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("POST");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<UUID> key = key(request);
        if (key.isEmpty()) {
            chain.doFilter(request, response);
            return;
        }
        byte[] content = content(request);
        String by = SecurityContextHolder.getContext().getAuthentication().getName();
        // The same sent several times at once waits here, where it holds no connection; other instances' wait for the
        // row.
        Turn turn = turns.compute(key.get(), (k, there) -> there == null ? new Turn() : there.joined());
        turn.lock.lock();
        try {
            transaction.executeWithoutResult(tx -> {
                if (!made.begin(key.get(), content, by, clock.instant())) {
                    lead(response, made.address(key.get(), content));
                    return;
                }
                go(request, response, chain);
                if (response.getStatus() / 100 == 3) {
                    made.finish(key.get(), content, response.getHeader(HttpHeaders.LOCATION));
                } else {
                    tx.setRollbackOnly();
                }
            });
        } catch (Through through) {
            if (through.getCause() instanceof ServletException e) {
                throw e;
            }
            throw (IOException) through.getCause();
        } finally {
            turn.lock.unlock();
            turns.compute(key.get(), (k, there) -> there.left());
        }
    }

    /** Whose turn it is among those that carry one key. */
    private static final class Turn {
        private final ReentrantLock lock = new ReentrantLock(true);
        private int of = 1;

        private Turn joined() {
            of++;
            return this;
        }

        private Turn left() {
            of--;
            return of == 0 ? null : this;
        }
    }

    /** Carries what the rest of the chain threw through the transaction. */
    private static final class Through extends RuntimeException {
        private Through(Exception cause) {
            super(cause);
        }
    }

    private static void go(HttpServletRequest request, HttpServletResponse response, FilterChain chain) {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | IOException e) {
            throw new Through(e);
        }
    }

    private static void lead(HttpServletResponse response, String address) {
        try {
            response.sendRedirect(address);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Optional<UUID> key(HttpServletRequest request) {
        String text = request.getParameter(KEY);
        try {
            return text == null ? Optional.empty() : Optional.of(UUID.fromString(text));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** SHA-256 of everything that was typed and where it was sent, by whom; the page's own token is no content. */
    private static byte[] content(HttpServletRequest request) {
        StringBuilder text = new StringBuilder(
                        SecurityContextHolder.getContext().getAuthentication().getName())
                .append('\n')
                .append(request.getRequestURI());
        Map<String, String[]> fields = new TreeMap<>(request.getParameterMap());
        fields.remove("_csrf");
        fields.forEach(
                (name, values) -> text.append('\n').append(name).append('=').append(Arrays.toString(values)));
        MessageDigest digest = TokenText.sha256();
        return digest.digest(text.toString().getBytes(StandardCharsets.UTF_8));
    }
}

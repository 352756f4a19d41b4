package org.zeststack.web.page;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Where the database does not answer, a page that needs none says so, and what to do. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class OutOfReachFilter extends OncePerRequestFilter {

    private static final String RETRY_SECONDS = "5";
    private static final String JSON = """
            {"outcome":"unreached","message":"The workshop's memory does not answer. Nothing that was written down is lost.",\
            "faults":[]}""";

    private final String page = page();

    private static String page() {
        try (InputStream stream = OutOfReachFilter.class.getResourceAsStream("out-of-reach.html")) {
            return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** An error page may need the database as well. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        PatientDataSource.begin();
        try {
            chain.doFilter(request, response);
        } catch (ServletException | RuntimeException e) {
            if (!isUnreached(e)) {
                throw e;
            }
            answer(request, response);
        } finally {
            PatientDataSource.end();
        }
    }

    private void answer(HttpServletRequest request, HttpServletResponse response) throws IOException {
        if (response.isCommitted()) {
            return;
        }
        boolean program = request.getRequestURI().startsWith("/api/")
                || "fetch".equals(request.getHeader("X-Requested-With"))
                || Optional.ofNullable(request.getHeader("Accept")).orElse("").startsWith("application/json");
        response.reset();
        response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
        response.setHeader("Retry-After", RETRY_SECONDS);
        response.setHeader("Cache-Control", "no-store");
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.setContentType(program ? "application/json" : "text/html");
        response.getWriter().write(program ? JSON : page);
    }

    /** Classes of SQL's states: 08 no connection, 53 no room on the disk or in memory, 57 one that was ended, 58 a disk that fails. */
    private static boolean isUnreached(Throwable thrown) {
        for (Throwable cause = thrown; cause != null; cause = cause.getCause()) {
            String state = cause instanceof SQLException sql ? String.valueOf(sql.getSQLState()) : "";
            if (cause instanceof SQLTransientConnectionException
                    || state.startsWith("08")
                    || state.startsWith("53")
                    || state.startsWith("57")
                    || state.startsWith("58")) {
                return true;
            }
        }
        return false;
    }
}

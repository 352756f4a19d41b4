package org.zeststack.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Styles, scripts and pictures are everybody's: the filter that looks for a session in the database leaves them alone. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class FilesFilter extends OncePerRequestFilter {

    /** With this Spring Session marks a request that it has been through. */
    private static final String THROUGH = SessionRepositoryFilter.class.getName() + ".FILTERED";

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return !path.startsWith("/assets/") && !path.startsWith("/webjars/") && !path.equals("/favicon.ico");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        request.setAttribute(THROUGH, Boolean.TRUE);
        chain.doFilter(request, response);
    }
}

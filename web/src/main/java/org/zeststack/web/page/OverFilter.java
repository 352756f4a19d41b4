package org.zeststack.web.page;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What went out already, or is a stream of events that breaks off before its first, gets no page about its error: there is nowhere to
 * write it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class OverFilter extends OncePerRequestFilter {

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getDispatcherType() != DispatcherType.ERROR;
    }

    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = response.getContentType();
        boolean stream = type != null && type.startsWith(MediaType.TEXT_EVENT_STREAM_VALUE);
        if (!response.isCommitted() && !stream) {
            chain.doFilter(request, response);
        }
    }
}

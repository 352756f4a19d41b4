package org.zeststack.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.zeststack.app.people.TokenText;
import org.zeststack.store.people.Tokens;

/** Lets programs in by bearer token, and tells the others why not. */
@Component
class TokenFilter extends OncePerRequestFilter implements AuthenticationEntryPoint {

    private static final String BEARER = "Bearer ";

    private final Tokens tokens;

    TokenFilter(Tokens tokens) {
        this.tokens = tokens;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String header = request.getHeader("Authorization");
        if (header != null && header.startsWith(BEARER)) {
            tokens.findValid(TokenText.hash(header.substring(BEARER.length()).strip()))
                    .filter(token -> !token.loopbackOnly() || Loopback.is(request))
                    .ifPresent(TokenFilter::letIn);
        }
        chain.doFilter(request, response);
    }

    private static void letIn(Tokens.Token token) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                token.label(), null, List.copyOf(AuthorityUtils.createAuthorityList("ROLE_PROGRAM"))));
        SecurityContextHolder.setContext(context);
    }

    @Override
    public void commence(HttpServletRequest request, HttpServletResponse response, AuthenticationException e)
            throws IOException {
        response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
        response.setHeader("WWW-Authenticate", "Bearer");
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter()
                .write("{\"title\":\"A token is needed\",\"status\":401,\"detail\":\"Send Authorization: Bearer and a "
                        + "token that the owner made under Workshop; a demo token works on this machine only.\"}");
    }

    /** Only the security chain runs these filters, not the container as well. */
    @Configuration(proxyBeanMethods = false)
    static class NotTwice {

        @Bean
        FilterRegistrationBean<TokenFilter> tokenFilterNotTwice(TokenFilter filter) {
            return off(filter);
        }

        @Bean
        FilterRegistrationBean<JustMeFilter> justMeFilterNotTwice(JustMeFilter filter) {
            return off(filter);
        }

        @Bean
        FilterRegistrationBean<AbsoluteEndFilter> absoluteEndNotTwice(AbsoluteEndFilter filter) {
            return off(filter);
        }

        @Bean
        FilterRegistrationBean<SentOnceFilter> sentOnceNotTwice(SentOnceFilter filter) {
            return off(filter);
        }

        @Bean
        FilterRegistrationBean<ShareFilter> shareNotTwice(ShareFilter filter) {
            return off(filter);
        }

        @Bean
        FilterRegistrationBean<SignInThrottle> throttleNotTwice(SignInThrottle filter) {
            return off(filter);
        }

        private static <F extends jakarta.servlet.Filter> FilterRegistrationBean<F> off(F filter) {
            FilterRegistrationBean<F> bean = new FilterRegistrationBean<>(filter);
            bean.setEnabled(false);
            return bean;
        }
    }
}

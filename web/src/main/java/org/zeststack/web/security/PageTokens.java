package org.zeststack.web.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;

/**
 * Request tokens in a cookie, which pages get. What an open page sends by itself after its person signed out gets none: it would
 * take the place of the one in the sign-in form that stands beside it.
 */
final class PageTokens implements CsrfTokenRepository {

    private final CookieCsrfTokenRepository cookies = new CookieCsrfTokenRepository();

    PageTokens(String cookie) {
        cookies.setCookieName(cookie);
        cookies.setCookieCustomizer(c -> c.sameSite("Lax"));
        cookies.setHeaderName("X-CSRF-TOKEN");
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        return cookies.generateToken(request);
    }

    @Override
    public void saveToken(CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        boolean byItself = "POST".equals(request.getMethod()) && "fetch".equals(request.getHeader("X-Requested-With"));
        if (token == null || !byItself) {
            cookies.saveToken(token, request, response);
        }
    }

    @Override
    public CsrfToken loadToken(HttpServletRequest request) {
        return cookies.loadToken(request);
    }
}

package org.zeststack.web.security;

import jakarta.servlet.http.HttpServletRequest;
import java.util.regex.Pattern;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.web.util.UriComponentsBuilder;

/** Sends who is not signed in to do that, and remembers in the address what they came for, so that nothing is kept of strangers. */
final class SignInTo extends LoginUrlAuthenticationEntryPoint {

    static final String FIELD = "to";

    private static final int LONGEST = 500;

    /** A place of ours: what could lead elsewhere is none. */
    private static final Pattern OURS = Pattern.compile("/(?![/\\\\])[\\w/.?=&%+:,~-]*");

    SignInTo() {
        super("/sign-in");
    }

    @Override
    protected String determineUrlToUseForThisRequest(
            HttpServletRequest request, jakarta.servlet.http.HttpServletResponse response, AuthenticationException e) {
        if (!request.getMethod().equals("GET")) {
            return getLoginFormUrl();
        }
        String query = request.getQueryString();
        return along(getLoginFormUrl(), request.getServletPath() + (query == null ? "" : "?" + query));
    }

    /** An address of the sign-in page with where to go from there. */
    static String along(String signIn, String to) {
        return to.equals("/") || !isOurs(to)
                ? signIn
                : UriComponentsBuilder.fromUriString(signIn)
                        .queryParam(FIELD, "{to}")
                        .encode()
                        .buildAndExpand(to)
                        .toUriString();
    }

    private static boolean isOurs(String to) {
        return to.length() <= LONGEST && OURS.matcher(to).matches();
    }

    /** Where a request wants to go after signing in; the first page where it says nothing, or somewhere that is not ours. */
    static String asked(HttpServletRequest request) {
        return ours(request.getParameter(FIELD));
    }

    /** A place as asked for, or the first page. */
    static String ours(String to) {
        return to == null || !isOurs(to) ? "/" : to;
    }
}

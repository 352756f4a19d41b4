package org.zeststack.web.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.stereotype.Component;

/** Tells why something was not done: another role's, or sent from a page of before the last signing in. */
@Component
class Refused implements AccessDeniedHandler {

    private static final String OLD_PAGE =
            "This was sent from a page that was opened before the last signing in. Nothing was"
                    + " changed. Go back, load that page again and send it once more; what you typed into a design is still there.";
    private static final String OTHER_ROLE = "This part is for another role. Ask the owner of the workshop.";

    @Override
    public void handle(HttpServletRequest request, HttpServletResponse response, AccessDeniedException e)
            throws IOException {
        response.sendError(HttpServletResponse.SC_FORBIDDEN, e instanceof CsrfException ? OLD_PAGE : OTHER_ROLE);
    }
}

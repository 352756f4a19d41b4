package org.zeststack.web.page;

import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.GetMapping;

/** The sign-in page. */
@Page
class SignInController {

    @GetMapping("/sign-in")
    String signIn(CsrfToken token) {
        // Read here, or the session would be made only after the page has begun to go out.
        token.getToken();
        return "sign-in";
    }
}

package org.zeststack.web.page;

import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The sign-in page. */
@Page
class SignInController {

    @GetMapping("/sign-in")
    String signIn(
            @RequestParam(defaultValue = "") String wait,
            @RequestParam(defaultValue = "") String to,
            CsrfToken token,
            Model model) {
        // Read here, or its cookie would be set only after the page has begun to go out.
        token.getToken();
        model.addAttribute("wait", wait.matches("[0-9]{1,4}") ? Integer.valueOf(wait) : null);
        model.addAttribute("to", to);
        return "sign-in";
    }
}

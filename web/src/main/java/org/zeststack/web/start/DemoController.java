package org.zeststack.web.start;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.zeststack.demo.DemoPeople;
import org.zeststack.postgres.PostgresTrouble;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.Loopback;

/** Opens the demo beside this workshop, for somebody at this machine. */
@Page
class DemoController {

    private final DemoBeside beside;

    DemoController(DemoBeside beside) {
        this.beside = beside;
    }

    @PostMapping("/welcome/demo")
    String open(HttpServletRequest request, HttpServletResponse response, Model model) {
        try {
            if (!Loopback.is(request)) {
                throw new PostgresTrouble("The demo opens on the machine that Zest Stack runs on, and only there.");
            }
            model.addAttribute("address", beside.address());
            model.addAttribute("people", DemoPeople.ALL);
        } catch (PostgresTrouble trouble) {
            response.setStatus(HttpServletResponse.SC_CONFLICT);
            model.addAttribute("trouble", trouble.getMessage());
        }
        return "demo";
    }
}

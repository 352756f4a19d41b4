package org.zeststack.web.rehearse;

import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.zeststack.app.Missing;
import org.zeststack.core.rehearse.BowlRehearsal;
import org.zeststack.core.rehearse.BowlScenario;
import org.zeststack.core.rehearse.Deed;
import org.zeststack.core.rehearse.Practice;
import org.zeststack.core.rehearse.Scenario;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** Pages to rehearse a cook or a bowl on. */
@Page
class RehearsalController {

    /** What a button says: what is done, and how much. */
    private static final Pattern DEED = Pattern.compile(
            "(RING|OFF|WATER|CHECK|WHISK|POUR|HEAT|BURST|STIR|SEED|LIFT|BATH|SLAB|BACK|PROOF):([0-9]{1,3}(?:\\.[0-9])?)");

    private final Rehearsals rehearsals;
    private final OwnBounds own;

    RehearsalController(Rehearsals rehearsals, OwnBounds own) {
        this.rehearsals = rehearsals;
        this.own = own;
    }

    @GetMapping("/rehearse")
    String list(Model model) {
        model.addAttribute("scenarios", Scenario.values());
        model.addAttribute("bowls", BowlScenario.values());
        return "rehearse/list";
    }

    @PostMapping("/rehearse")
    String begin(@RequestParam Scenario scenario, @AuthenticationPrincipal SignedIn me) {
        return "redirect:/rehearse/" + rehearsals.begin(scenario, me.name());
    }

    @PostMapping("/rehearse/bowl")
    String beginBowl(@RequestParam BowlScenario scenario, @AuthenticationPrincipal SignedIn me) {
        return "redirect:/rehearse/" + rehearsals.begin(scenario, me.name());
    }

    @GetMapping("/rehearse/{id}")
    String page(@PathVariable UUID id, @AuthenticationPrincipal SignedIn me, Model model) {
        return shown(id, rehearsals.now(id, me.name()), model, "rehearse/page");
    }

    /** What changes on the page. */
    @GetMapping("/rehearse/{id}/now")
    String now(@PathVariable UUID id, @AuthenticationPrincipal SignedIn me, Model model) {
        return shown(id, rehearsals.now(id, me.name()), model, "rehearse/page :: now");
    }

    @PostMapping("/rehearse/{id}/deeds")
    String deed(
            @PathVariable UUID id,
            @RequestParam String deed,
            @RequestParam(defaultValue = "0") int pot,
            @AuthenticationPrincipal SignedIn me,
            Model model) {
        Matcher said = DEED.matcher(deed);
        if (!said.matches()) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST, "A deed is a word and an amount.");
        }
        Deed.What what = Deed.What.valueOf(said.group(1));
        double amount = Double.parseDouble(said.group(2));
        return shown(id, rehearsals.does(id, me.name(), what, pot, amount), model, "redirect:/rehearse/" + id);
    }

    @PostMapping("/rehearse/{id}/end")
    String end(@PathVariable UUID id, @AuthenticationPrincipal SignedIn me, Model model) {
        return shown(id, rehearsals.end(id, me.name()), model, "redirect:/rehearse/" + id);
    }

    private String shown(UUID id, Optional<Practice> found, Model model, String view) {
        model.addAttribute("id", id);
        model.addAttribute("speed", Rehearsals.SPEED);
        Practice practice = found.orElseThrow(() -> new Missing("This rehearsal"));
        model.addAttribute("r", practice);
        model.addAttribute("bowl", practice instanceof BowlRehearsal);
        if (practice instanceof BowlRehearsal bowl) {
            model.addAttribute("coach", bowl.coach(own.bounds()));
        }
        return view;
    }
}

package org.zeststack.web.rule;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** Shows what is judged by, as a page and as tables; an owner sets a bound that rests on practice for this workshop. */
@Page
class RulesController {

    private static final String HOME = "redirect:/workshop/rules";

    private final OwnBounds own;
    private final Clock clock;

    RulesController(OwnBounds own, Clock clock) {
        this.own = own;
        this.clock = clock;
    }

    @GetMapping("/workshop/rules")
    String page(Model model) {
        Bounds bounds = own.bounds();
        model.addAttribute(
                "rules",
                Rule.all().stream()
                        .collect(Collectors.groupingBy(Rule::about, LinkedHashMap::new, Collectors.toList())));
        model.addAttribute("count", Rule.all().size());
        model.addAttribute("bounds", bounds);
        model.addAttribute("shipped", Bounds.shipped());
        return "rule/rules";
    }

    @GetMapping(value = "/workshop/rules.csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<String> rulesCsv() {
        return csv("rules.csv", RulesCsv.rules());
    }

    @GetMapping(value = "/workshop/bounds.csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<String> boundsCsv() {
        return csv("bounds.csv", RulesCsv.bounds(own.bounds()));
    }

    private static ResponseEntity<String> csv(String name, String text) {
        return ResponseEntity.ok()
                .header("Content-Disposition", "attachment; filename=\"" + name + "\"")
                .body(text);
    }

    @GetMapping("/workshop/rules/{code}")
    String boundPage(@PathVariable String code, Model model) {
        Bound shipped = settable(code);
        Optional<OwnBounds.Own> now = own.find(code);
        return edit(
                model,
                shipped,
                now.isPresent(),
                FormInput.of(
                        now.map(o -> fields(shipped, o)).orElseGet(() -> BoundFields.of(shipped, shipped.figures()))));
    }

    private static Map<String, String> fields(Bound shipped, OwnBounds.Own own) {
        Map<String, String> fields = BoundFields.of(shipped, own.figures());
        fields.put("why", own.why());
        fields.put("lock", String.valueOf(own.lock()));
        return fields;
    }

    @PostMapping("/workshop/rules/{code}")
    String save(
            @PathVariable String code,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        Bound shipped = settable(code);
        FormInput form = FormInput.of(typed);
        try {
            if (form.text("act").equals("shipped")) {
                own.remove(code, form.lock());
                return HOME;
            }
            String why = form.limited("why", 200);
            Optional<Bound.Figures> figures = BoundFields.read(form, shipped);
            if (form.faulty()) {
                response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
                return edit(model, shipped, form.has("lock"), form);
            }
            Stamp stamp = new Stamp(me.name(), clock.instant());
            if (form.has("lock")) {
                own.save(code, figures.orElseThrow(), why, form.lock(), stamp);
            } else {
                own.add(code, figures.orElseThrow(), why, stamp);
            }
            return HOME;
        } catch (StaleEdit stale) {
            return clash(shipped, form, model, response);
        }
    }

    /** What another set meanwhile stands beside what was typed; where it was taken back, saving again sets it anew. */
    private String clash(Bound shipped, FormInput form, Model model, HttpServletResponse response) {
        Optional<OwnBounds.Own> theirs = own.find(shipped.code());
        form.clash(
                theirs.map(o -> o.stamp().by()).orElse("Somebody"),
                theirs.map(o -> fields(shipped, o)).orElseGet(() -> BoundFields.of(shipped, shipped.figures())));
        form.typed().put("lock", theirs.map(o -> String.valueOf(o.lock())).orElse(""));
        response.setStatus(HttpServletResponse.SC_CONFLICT);
        return edit(model, shipped, theirs.isPresent(), form);
    }

    private static String edit(Model model, Bound shipped, boolean set, FormInput form) {
        model.addAttribute("form", form);
        model.addAttribute("bound", shipped);
        model.addAttribute("set", set);
        model.addAttribute("permitted", BoundFields.permitted(shipped));
        model.addAttribute("figures", BoundFields.fields(shipped));
        List<Rule> users = Rule.all().stream()
                .filter(r -> r.bounds().contains(shipped.code()))
                .toList();
        model.addAttribute("users", users);
        return "rule/bound";
    }

    private static Bound settable(String code) {
        return Bounds.shipped()
                .find(code)
                .filter(Bound::ownAllowed)
                .orElseThrow(() -> new Missing("A bound of this name that a workshop may set"));
    }
}

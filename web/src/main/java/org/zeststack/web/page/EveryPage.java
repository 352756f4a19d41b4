package org.zeststack.web.page;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.zeststack.app.words.Show;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.web.security.SignedIn;

/** Puts the person, the path and the runs on the bench into every page that a template draws. */
@ControllerAdvice(annotations = Page.class)
class EveryPage {

    /** A station of the path. */
    record Station(String href, String name, boolean here, boolean active) {}

    private static final List<String[]> STATIONS = List.of(
            new String[] {"/bars", "Bars"},
            new String[] {"/formulas", "Formulas"},
            new String[] {"/runs", "Runs"},
            new String[] {"/bench", "Bench"},
            new String[] {"/ledger", "Ledger"});

    private final Runs runs;
    private final Release release;

    EveryPage(Runs runs, Release release) {
        this.runs = runs;
        this.release = release;
    }

    @ModelAttribute("release")
    String release() {
        return release.number();
    }

    @ModelAttribute("me")
    SignedIn me(@AuthenticationPrincipal SignedIn me) {
        return me;
    }

    @ModelAttribute("onBench")
    List<Runs.Brief> onBench(@AuthenticationPrincipal SignedIn me, HttpServletRequest request) {
        return me == null || isPart(request) ? List.of() : runs.brief(List.of(Run.Status.STARTED));
    }

    @ModelAttribute("path")
    List<Station> path(
            HttpServletRequest request, @ModelAttribute(name = "onBench", binding = false) List<Runs.Brief> onBench) {
        if (isPart(request)) {
            return List.of();
        }
        String here = request.getServletPath();
        return STATIONS.stream()
                .map(s -> new Station(
                        s[0],
                        s[1],
                        here.startsWith(s[0]) || s[0].equals("/bars") && here.startsWith("/boxes"),
                        s[0].equals("/bench") && !onBench.isEmpty()))
                .toList();
    }

    /** Parts of a page are asked for by scripts and have no path across the top. */
    private static boolean isPart(HttpServletRequest request) {
        return "fetch".equals(request.getHeader("X-Requested-With"));
    }

    /** The key of a form that makes something: sent twice it makes one. */
    @ModelAttribute("once")
    UUID once() {
        return UUID.randomUUID();
    }

    @ModelAttribute("here")
    String here(HttpServletRequest request) {
        return request.getServletPath();
    }

    /** How the screen is meant; null where that needs no words, and for parts of a page. */
    @ModelAttribute("help")
    Help help(HttpServletRequest request) {
        return isPart(request) ? null : Help.of(request.getServletPath()).orElse(null);
    }

    @ModelAttribute("show")
    Show show() {
        return Show.INSTANCE;
    }
}

package org.zeststack.web.bench;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.util.UriComponentsBuilder;
import org.zeststack.app.Missing;
import org.zeststack.app.bench.BowlHandling;
import org.zeststack.app.bench.CookDesk;
import org.zeststack.app.bench.CookLessons;
import org.zeststack.app.bench.Curve;
import org.zeststack.app.bench.FollowedPot;
import org.zeststack.app.bench.LivePots;
import org.zeststack.app.bench.PotStrip;
import org.zeststack.app.bench.PotWork;
import org.zeststack.app.bench.RunsOnBench;
import org.zeststack.app.bench.SeriesView;
import org.zeststack.app.bench.SeriesViews;
import org.zeststack.app.bench.TemperWork;
import org.zeststack.app.drawing.SectionDrawing;
import org.zeststack.app.drawing.WeighInStrip;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.GoingOn;
import org.zeststack.core.bench.InTemper;
import org.zeststack.core.bench.PieceOutcome;
import org.zeststack.core.bench.ProofStanding;
import org.zeststack.core.bench.SecondReading;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.sugar.Learned;
import org.zeststack.core.sugar.Stages;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.rule.OwnBounds;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.page.Page;
import org.zeststack.web.page.SharedParts;
import org.zeststack.web.security.SignedIn;

/** The bench's pages and its live stream. */
@Page
class BenchController {

    private static final int RECENT = 8;
    private static final String NAMING = "stages";
    private static final int YEAR_SECONDS = 365 * 24 * 3600;

    private final Runs runs;
    private final Bench bench;
    private final SeriesViews views;
    private final LiveHub hub;
    private final LivePots pots;
    private final RunsOnBench onBench;
    private final SharedParts parts;
    private final WorkshopStore workshop;
    private final OwnBounds own;
    private final CookLessons lessons;
    private final Clock clock;

    BenchController(
            Runs runs,
            Bench bench,
            SeriesViews views,
            LiveHub hub,
            LivePots pots,
            RunsOnBench onBench,
            SharedParts parts,
            CookLessons lessons,
            WorkshopStore workshop,
            OwnBounds own,
            Clock clock) {
        this.runs = runs;
        this.bench = bench;
        this.views = views;
        this.hub = hub;
        this.pots = pots;
        this.onBench = onBench;
        this.parts = parts;
        this.workshop = workshop;
        this.own = own;
        this.lessons = lessons;
        this.clock = clock;
    }

    @GetMapping("/bench")
    String bench(Model model) {
        List<Runs.Brief> started = runs.brief(List.of(Run.Status.STARTED));
        model.addAttribute("planned", runs.brief(List.of(Run.Status.PLANNED)));
        return started.size() == 1 ? "redirect:/bench/" + started.get(0).id() : "bench/list";
    }

    /** Every pot that is on a ring, each a strip. */
    @GetMapping("/bench/pots")
    String pots(Model model) {
        model.addAttribute("pots", pots.running());
        return "bench/pots";
    }

    @GetMapping("/bench/pots/strips")
    String strips(Model model) {
        model.addAttribute("pots", pots.running());
        return "bench/pots :: strips";
    }

    @GetMapping("/bench/events")
    SseEmitter everyRun(@AuthenticationPrincipal SignedIn me, HttpServletRequest request) {
        return hub.openAll(owner(me, request));
    }

    private static LiveHub.Owner owner(SignedIn me, HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return new LiveHub.Owner(me.login(), session == null ? null : session.getId());
    }

    /** How this device names stages. */
    @PostMapping("/bench/stages")
    String stages(
            @RequestParam Stages.Naming naming,
            @RequestParam long run,
            @RequestParam String step,
            HttpServletResponse response) {
        Cookie cookie = new Cookie(NAMING, naming.name());
        cookie.setPath("/");
        cookie.setHttpOnly(true);
        cookie.setMaxAge(YEAR_SECONDS);
        response.addCookie(cookie);
        return "redirect:"
                + UriComponentsBuilder.fromPath("/bench/{run}")
                        .queryParam("step", "{step}")
                        .build(run, step);
    }

    @GetMapping("/bench/{id:[0-9]+}")
    String page(
            @PathVariable long id,
            @RequestParam(required = false) String step,
            @CookieValue(name = NAMING, required = false) String naming,
            Model model) {
        RunsOnBench.Standing now = begun(id);
        if (now.run().status() == Run.Status.CLOSED) {
            return "redirect:/ledger/" + id;
        }
        fill(now, step, naming(naming), model);
        return "bench/bench";
    }

    /** What a panel is drawn for. */
    private record Watched(long run, String step, Stages.Naming naming, boolean works) {}

    /** The parts of the page that change, drawn again once for all who watch the same. */
    @GetMapping("/bench/{id}/panel")
    void panel(
            @PathVariable long id,
            @RequestParam(required = false) String step,
            @CookieValue(name = NAMING, required = false) String naming,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        RunsOnBench.Standing now = begun(id);
        parts.answer(
                new Watched(id, step, naming(naming), me.works()),
                now.run().sequence(),
                "bench/panel",
                () -> {
                    fill(now, step, naming(naming), model);
                    return model.asMap();
                },
                request,
                response);
    }

    private static Stages.Naming naming(String cookie) {
        return Stages.Naming.SOLIDS.name().equals(cookie) ? Stages.Naming.SOLIDS : Stages.Naming.PRINTED;
    }

    private void fill(RunsOnBench.Standing now, String step, Stages.Naming naming, Model model) {
        Runs.Brief run = now.run();
        RunSheet sheet = now.sheet();
        BenchState state = now.state();
        Optional<BenchStep> chosen =
                Optional.ofNullable(step).flatMap(sheet::step).or(state::next);
        model.addAttribute("today", LocalDate.now());
        model.addAttribute("run", run);
        model.addAttribute("sheet", sheet);
        model.addAttribute("state", state);
        model.addAttribute("step", chosen.orElse(null));
        model.addAttribute("outcomes", PieceOutcome.values());
        model.addAttribute("recent", recent(state));
        model.addAttribute("section", SectionDrawing.of(sheet.bar().section()));
        chosen.ifPresent(s -> {
            model.addAttribute(
                    "batch",
                    sheet.pot(s.component())
                            .or(() -> sheet.formula(s.component()))
                            .orElse(null));
            Optional<LayerTarget> layer = sheet.layer(s.layer());
            model.addAttribute("layer", layer.orElse(null));
            model.addAttribute(
                    "strip",
                    layer.map(l -> WeighInStrip.of(state.pieces().weighIns(l.key()), l.window()))
                            .orElse(null));
            Optional<SeriesView> series = newest(run, sheet, state, s);
            model.addAttribute("series", series.orElse(null));
            model.addAttribute("desk", desk(sheet, state, s, series, naming).orElse(null));
            model.addAttribute("work", work(run, sheet, state, s).orElse(null));
            Instant moment = clock.instant();
            model.addAttribute(
                    "tempering",
                    bowl(
                                    sheet,
                                    state,
                                    s.component().isEmpty()
                                            ? layer.map(LayerTarget::component).orElse("")
                                            : s.component())
                            .map(b -> TemperWork.of(
                                    sheet,
                                    b,
                                    state,
                                    read(s.kind() == StepKind.TEMPER ? series : newest(run, sheet, state, b.key())),
                                    moment,
                                    own.bounds()))
                            .orElse(null));
            model.addAttribute("handling", BowlHandling.of(sheet, s));
            model.addAttribute("roomAdvice", state.room().advice(own.bounds()).orElse(null));
            model.addAttribute("against", GoingOn.against(sheet, state, s).orElse(null));
        });
    }

    /** The bowl that is worked from: of several batches the last that something was written down of. */
    private static Optional<InTemper> bowl(RunSheet sheet, BenchState state, String component) {
        List<InTemper> bowls = InTemper.all(sheet, component);
        return bowls.stream()
                .filter(b -> !state.bowl(b.key()).entries().isEmpty())
                .reduce((earlier, later) -> later)
                .or(() -> bowls.stream().findFirst());
    }

    /** The batch that a step works on in its pots and bowl; empty where the step is another. */
    private Optional<PotWork> work(Runs.Brief run, RunSheet sheet, BenchState state, BenchStep step) {
        Optional<FormulaBatch> whole = sheet.whole(step.component())
                .filter(b -> b.cooked() || b.byEye())
                .filter(b -> sheet.program(b).contains(step));
        if (whole.isEmpty()) {
            return Optional.empty();
        }
        List<Bench.Series> series = bench.seriesOf(run.id());
        PotWork.Reads followed = new PotWork.Reads() {
            private final Map<String, Optional<FollowedPot>> once = new HashMap<>();

            @Override
            public Optional<FollowedPot> of(FormulaBatch pot) {
                return once.computeIfAbsent(pot.key(), key -> series.stream()
                        .filter(s -> s.component().equals(key))
                        .reduce((earlier, later) -> later)
                        .flatMap(s -> views.pot(sheet, state, s)));
            }

            @Override
            public Learned learned(FormulaBatch pot) {
                return of(pot).map(FollowedPot::learned).orElseGet(() -> lessons.of(pot));
            }
        };
        return whole.map(b -> PotWork.of(sheet, b, state, followed, clock.instant()));
    }

    /** What the page of a pot shows; empty for any other step, and where nothing is measured. */
    private Optional<CookDesk> desk(
            RunSheet sheet, BenchState state, BenchStep step, Optional<SeriesView> series, Stages.Naming naming) {
        if (step.kind() != StepKind.COOK || !sheet.gauge().measured()) {
            return Optional.empty();
        }
        List<PotStrip> others = pots.running().stream()
                .filter(p -> series.map(s -> s.series().id() != p.series().id()).orElse(true))
                .toList();
        return sheet.pot(step.component())
                .map(batch -> CookDesk.of(
                        sheet,
                        batch,
                        state,
                        own.bounds(),
                        series,
                        naming,
                        series.map(SeriesView::learned).orElseGet(() -> lessons.of(batch)),
                        series.flatMap(s -> second(sheet, state, s.series())),
                        workshop.thermometers(),
                        others));
    }

    /** The other thermometer that was held into this pot last, beside what the first one said then. */
    private Optional<CookDesk.Second> second(RunSheet sheet, BenchState state, Bench.Series series) {
        return state.pot(series.component())
                .secondReading()
                .filter(e -> !e.at().isBefore(series.startedAt()))
                .flatMap(e -> views.pot(sheet, state, series).flatMap(pot -> {
                    var other = (SecondReading) e.body();
                    OptionalDouble first = pot.trueCelsius(e.at());
                    return first.isEmpty()
                            ? Optional.empty()
                            : Optional.of(new CookDesk.Second(
                                    other.thermometer(), other.celsius(), other.celsius() - first.getAsDouble()));
                }));
    }

    /** The newest entries, newest first. */
    private static List<BenchEntry> recent(BenchState state) {
        List<BenchEntry> newest = new ArrayList<>(state.entries());
        Collections.reverse(newest);
        return newest.stream().limit(RECENT).toList();
    }

    private static ProofStanding.Read read(Optional<SeriesView> series) {
        return new ProofStanding.Read(series.map(s -> s.series().startedAt()), series.flatMap(SeriesView::lostAt));
    }

    /** The newest series of the step's component; earlier ones stand in the ledger. */
    private Optional<SeriesView> newest(Runs.Brief run, RunSheet sheet, BenchState state, BenchStep step) {
        boolean read = step.kind() == StepKind.COOK || step.kind() == StepKind.TEMPER;
        return read ? newest(run, sheet, state, step.component()) : Optional.empty();
    }

    private Optional<SeriesView> newest(Runs.Brief run, RunSheet sheet, BenchState state, String component) {
        return bench.seriesOf(run.id()).stream()
                .filter(s -> s.component().equals(component))
                .reduce((earlier, later) -> later)
                .map(s -> views.of(sheet, state, s));
    }

    /** Of the curve of a series what a page has not drawn yet. */
    @GetMapping("/bench/{id}/curve/{series}")
    @ResponseBody
    Curve curve(
            @PathVariable long id,
            @PathVariable long series,
            @RequestParam(defaultValue = "-1") int edition,
            @RequestParam(defaultValue = "0") int from) {
        Bench.Series of = bench.series(series).filter(s -> s.run() == id).orElseThrow(() -> new Missing("This series"));
        RunsOnBench.Standing now = begun(id);
        return views.curve(now.sheet(), now.state(), of, edition, from);
    }

    @GetMapping("/bench/{id}/events")
    SseEmitter events(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long seen,
            @RequestHeader(name = "Last-Event-ID", required = false) Long last,
            @AuthenticationPrincipal SignedIn me,
            HttpServletRequest request) {
        begun(id);
        return hub.open(id, last == null ? seen : last, owner(me, request));
    }

    private RunsOnBench.Standing begun(long id) {
        return onBench.find(id).orElseThrow(() -> new Missing("This run"));
    }
}

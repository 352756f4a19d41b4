package org.zeststack.web.run;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.app.bench.CookLessons;
import org.zeststack.app.design.Titles;
import org.zeststack.app.drawing.SectionDrawing;
import org.zeststack.app.run.Closing;
import org.zeststack.app.run.LotsOfRun;
import org.zeststack.app.run.RunSheets;
import org.zeststack.app.words.Show;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.GoingOn;
import org.zeststack.core.bench.Note;
import org.zeststack.core.formula.YieldUnknown;
import org.zeststack.core.plan.RunOrder;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sugar.Learned;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.Part;
import org.zeststack.store.bench.Bench;
import org.zeststack.store.bench.Devices;
import org.zeststack.store.design.Designs;
import org.zeststack.store.run.Run;
import org.zeststack.store.run.Runs;
import org.zeststack.store.workshop.Aside;
import org.zeststack.store.workshop.WorkshopStore;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** Plans runs, shows and prints their sheets, starts and closes them. */
@Page
class RunController {

    private final Runs runs;
    private final RunList list;
    private final RunSheets sheets;
    private final Designs<Bar> bars;
    private final WorkshopStore workshop;
    private final Aside aside;
    /** The longest reason: what it is for is written down beside it. */
    private static final int MOST_REASON = 400;

    private static final int MOST_BARS = 40;

    /** A run is made beside one of the newest. */
    private static final int MOST_BESIDE = 40;

    private final Bench bench;
    private final Closing closing;
    private final CookLessons lessons;
    private final LotsOfRun lotsOfRun;
    private final TransactionTemplate transaction;
    private final Clock clock;

    RunController(
            Runs runs,
            RunList list,
            RunSheets sheets,
            Designs<Bar> bars,
            WorkshopStore workshop,
            Aside aside,
            Bench bench,
            Closing closing,
            LotsOfRun lotsOfRun,
            CookLessons lessons,
            TransactionTemplate transaction,
            Clock clock) {
        this.runs = runs;
        this.list = list;
        this.sheets = sheets;
        this.bars = bars;
        this.workshop = workshop;
        this.aside = aside;
        this.bench = bench;
        this.closing = closing;
        this.lotsOfRun = lotsOfRun;
        this.lessons = lessons;
        this.transaction = transaction;
        this.clock = clock;
    }

    @GetMapping("/runs")
    String list(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "DAY") Runs.By by,
            @RequestParam(defaultValue = "1") int page,
            @RequestParam(defaultValue = "") String bar,
            Model model) {
        Allowances usual = Allowances.USUAL;
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("bar", bar);
        fields.put("pieces", "");
        fields.put("day", Show.INSTANCE.day(LocalDate.now(clock.withZone(ZoneId.systemDefault()))));
        fields.put("rejectFraction", FormInput.shown(100 * usual.rejectFraction()));
        fields.put("scrapeFraction", FormInput.shown(100 * usual.scrapeFraction()));
        fields.put("bowlGrams", FormInput.shown(usual.bowlGrams()));
        return list(model, FormInput.of(fields), q, by, page);
    }

    private String list(Model model, FormInput form, String q, Runs.By by, int page) {
        model.addAttribute("form", form);
        List<Run.Status> every = List.of(Run.Status.values());
        Part<RunList.Row> part = list.of(runs.page(every, q, by, page));
        model.addAttribute("any", part.found() > 0 || !q.isBlank());
        model.addAttribute("q", q);
        model.addAttribute("by", by);
        model.addAttribute("bys", Runs.By.values());
        model.addAttribute("newest", runs.brief(every, MOST_BESIDE));
        model.addAttribute("part", part);
        List<Designs.Choice> lately = bars.lately(MOST_BARS);
        List<Designs.Choice> offered = offered(lately, chosen(form));
        model.addAttribute("bars", offered);
        model.addAttribute("titles", Titles.of(offered));
        model.addAttribute("moreBars", lately.size() == MOST_BARS);
        model.addAttribute("thermometers", aside.inUse(Aside.Kind.THERMOMETER, workshop.thermometers()));
        return "run/list";
    }

    private Optional<Designs.Choice> chosen(FormInput form) {
        String bar = form.text("bar");
        return bar.matches("[0-9]{1,15}") ? bars.choice(Long.parseLong(bar)) : Optional.empty();
    }

    /** The bars that were changed last, and the one that was chosen. */
    private static List<Designs.Choice> offered(List<Designs.Choice> lately, Optional<Designs.Choice> chosen) {
        return Stream.concat(chosen.stream().filter(bar -> !lately.contains(bar)), lately.stream())
                .toList();
    }

    /** What earlier cooks of the sheet's formulas teach, by key. */
    private Map<String, Learned> learned(RunSheet sheet) {
        return sheet.formulas().stream()
                .filter(FormulaBatch::cooked)
                .collect(Collectors.toMap(FormulaBatch::key, lessons::of));
    }

    @PostMapping("/runs")
    String plan(@RequestParam Map<String, String> typed, Model model, HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        int pieces = form.whole("pieces", RunOrder.PIECES);
        double reject = form.percent("rejectFraction", Allowances.REJECT);
        double scrape = form.percent("scrapeFraction", Allowances.SCRAPE);
        double bowl = form.number("bowlGrams", Allowances.BOWL);
        Optional<LocalDate> day = form.day("day");
        Optional<Designs.Choice> bar = chosen(form);
        var thermometer = workshop.thermometers().stream()
                .filter(t -> String.valueOf(t.id()).equals(form.text("thermometer")))
                .findFirst();
        if (bar.isEmpty()) {
            form.add(Fault.of("bar", form.text("bar"), "Choose a bar that has a version."));
        }
        boolean without = form.text("thermometer").equals(String.valueOf(Runs.WITHOUT));
        Runs.Said said = said(form);
        if (thermometer.isEmpty() && !without) {
            form.add(Fault.of("thermometer", form.text("thermometer"), "Choose a thermometer."));
        }
        var allowances = form.build(() -> new Allowances(reject, scrape, bowl));
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return list(model, form, "", Runs.By.DAY, 1);
        }
        var version = bar.orElseThrow();
        var plan = new Runs.Plan(
                version.design(),
                version.number(),
                version.name(),
                day.orElseThrow(),
                pieces,
                without ? Runs.WITHOUT : thermometer.orElseThrow().id(),
                allowances.orElseThrow(),
                Map.of(),
                said);
        try {
            sheets.of(plan);
        } catch (YieldUnknown unknown) {
            form.add(Fault.of("bar", version.name(), unknown.getMessage()));
            model.addAttribute("unknown", unknown.formula());
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return list(model, form, "", Runs.By.DAY, 1);
        }
        return "redirect:/runs/" + runs.plan(plan);
    }

    /** The run that it is made beside, and the one thing in which it differs. */
    private Runs.Said said(FormInput form) {
        String against = form.text("against");
        String difference = form.limited("difference", 200).strip();
        if (against.isEmpty() && difference.isEmpty()) {
            return Runs.Said.NOTHING;
        }
        boolean known = against.matches("[0-9]{1,15}")
                && runs.find(Long.parseLong(against)).isPresent();
        if (!known) {
            form.add(Fault.of("against", against, "Choose the run that it is made beside."));
            return Runs.Said.NOTHING;
        }
        if (difference.isEmpty()) {
            form.add(Fault.of("difference", "", "Name the one thing that is done differently."));
        }
        return new Runs.Said(List.of(), Long.valueOf(against), difference);
    }

    @GetMapping("/runs/{id}")
    String sheet(@PathVariable long id, Model model) {
        Run run = find(id);
        RunSheet sheet;
        try {
            sheet = sheets.of(run);
        } catch (YieldUnknown unknown) {
            model.addAttribute("run", run);
            model.addAttribute("unknown", unknown.formula());
            model.addAttribute("why", unknown.getMessage());
            return "run/unknown";
        }
        model.addAttribute("run", run);
        model.addAttribute("sheet", sheet);
        model.addAttribute("goingOn", run.status() == Run.Status.PLANNED ? GoingOn.against(sheet) : List.of());
        model.addAttribute("learned", learned(sheet));
        model.addAttribute("across", SectionDrawing.of(sheet.bar().section()));
        model.addAttribute("lotChoices", lotsOfRun.choices(run, sheet));
        model.addAttribute("variants", sheets.variants(run));
        model.addAttribute(
                "against",
                Optional.ofNullable(run.said().against()).flatMap(runs::find).orElse(null));
        return "run/sheet";
    }

    /** Plans these lines that may be left out for a run that has not begun; the sheet follows them. */
    @PostMapping("/runs/{id}/variants")
    String variants(@PathVariable long id, @RequestParam(name = "variant", required = false) List<String> typed) {
        List<String> asked = typed == null ? List.of() : typed;
        runs.chooseVariants(
                id,
                sheets.variants(find(id)).stream()
                        .map(RunSheets.Variant::key)
                        .filter(asked::contains)
                        .toList());
        return "redirect:/runs/" + id;
    }

    /** Takes these lots for a run that has not begun; the sheet follows them. */
    @PostMapping("/runs/{id}/lots")
    String lots(@PathVariable long id, @RequestParam Map<String, String> typed) {
        Run run = find(id);
        runs.chooseLots(id, lotsOfRun.chosen(run, sheets.of(run), typed));
        return "redirect:/runs/" + id;
    }

    @PostMapping("/runs/{id}/start")
    String start(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        Run run = find(id);
        RunSheet sheet = sheets.of(run);
        List<String> against = GoingOn.against(sheet);
        String reason = form.limited("reason", MOST_REASON).strip();
        if (!against.isEmpty() && reason.isEmpty()) {
            form.add(Fault.of("reason", "", "Say why it is made all the same."));
        }
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            model.addAttribute("form", form);
            return sheet(id, model);
        }
        transaction.executeWithoutResult(tx -> {
            if (runs.start(id, sheet, clock.instant()) && !against.isEmpty()) {
                String all = "Made all the same, because %s (%s)".formatted(reason, String.join(" ", against));
                var note = new Note(all.substring(0, Math.min(all.length(), EntryBody.LONGEST_TEXT)));
                bench.append(
                        id,
                        new Bench.NewEntry(UUID.randomUUID(), note, "", "", null, null),
                        me.name(),
                        clock.instant());
            }
        });
        return "redirect:/bench/" + id;
    }

    @PostMapping("/runs/{id}/close")
    String close(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String sure,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        List<Devices.Device> unsent = sure.isEmpty() ? closing.unsent(id) : List.of();
        if (!unsent.isEmpty()) {
            model.addAttribute("run", find(id));
            model.addAttribute("unsent", unsent);
            response.setStatus(HttpServletResponse.SC_CONFLICT);
            return "run/unsent";
        }
        closing.close(id, me.name());
        return "redirect:/ledger/" + id;
    }

    private Run find(long id) {
        return runs.find(id).orElseThrow(() -> new Missing("This run"));
    }
}

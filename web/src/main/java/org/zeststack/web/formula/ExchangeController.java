package org.zeststack.web.formula;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.zeststack.app.Missing;
import org.zeststack.app.design.MethodFields;
import org.zeststack.app.exchange.FormulaJson;
import org.zeststack.app.exchange.LinesCsv;
import org.zeststack.app.exchange.RecipeLd;
import org.zeststack.app.formula.LineFields;
import org.zeststack.app.shelf.Names;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.household.HouseholdLine;
import org.zeststack.core.household.Measures;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.store.ingredient.StoreRoom;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** Formulas out in three open formats, and in from them. */
@Page
class ExchangeController {

    private static final int LONGEST_NAME = 120;

    private static final String NAMELESS = "Nameless formula";

    private final Designs<Formula> formulas;
    private final FormulaWorkings workings;
    private final LineFields lines;
    private final Names names;
    private final Shelf shelf;
    private final StoreRoom storeRoom;
    private final FormulaController pages;
    private final TransactionTemplate transaction;
    private final Clock clock;

    ExchangeController(
            Designs<Formula> formulas,
            FormulaWorkings workings,
            LineFields lines,
            Names names,
            Shelf shelf,
            StoreRoom storeRoom,
            FormulaController pages,
            TransactionTemplate transaction,
            Clock clock) {
        this.formulas = formulas;
        this.workings = workings;
        this.lines = lines;
        this.names = names;
        this.shelf = shelf;
        this.storeRoom = storeRoom;
        this.pages = pages;
        this.transaction = transaction;
        this.clock = clock;
    }

    @GetMapping("/formulas/{id}/versions/{number}/formula.json")
    @ResponseBody
    ResponseEntity<String> json(@PathVariable long id, @PathVariable int number) {
        Designs.Version<Formula> version = find(id, number);
        var needs = shelf.needs(id, version.name(), version.content());
        String json = FormulaJson.write(version.name(), version.why(), version.content(), needs.used(), needs.table());
        return file(version, "json", MediaType.APPLICATION_JSON, json);
    }

    @GetMapping("/formulas/{id}/versions/{number}/recipe.jsonld")
    @ResponseBody
    ResponseEntity<String> recipe(@PathVariable long id, @PathVariable int number) {
        Designs.Version<Formula> version = find(id, number);
        var worked = workings.work(id, version.name(), version.content());
        Double grams = worked.balance().moistureKnown()
                ? Double.valueOf(worked.balance().after().totalGrams())
                : null;
        String recipe = RecipeLd.write(version.name(), version.content(), worked.names(), grams);
        return file(version, "jsonld", MediaType.parseMediaType("application/ld+json"), recipe);
    }

    @GetMapping("/formulas/{id}/versions/{number}/lines.csv")
    @ResponseBody
    ResponseEntity<String> csv(@PathVariable long id, @PathVariable int number) {
        Designs.Version<Formula> version = find(id, number);
        Map<String, String> names =
                workings.work(id, version.name(), version.content()).names();
        return file(
                version,
                "csv",
                new MediaType("text", "csv", StandardCharsets.UTF_8),
                LinesCsv.write(version.content(), names));
    }

    private static ResponseEntity<String> file(
            Designs.Version<Formula> version, String ending, MediaType type, String body) {
        String name = version.name().replaceAll("[^\\p{L}\\p{N} -]", "") + " v" + version.number() + "." + ending;
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(body);
    }

    @GetMapping("/formulas/import")
    String form(Model model) {
        return form(FormInput.of(new HashMap<>()), model);
    }

    private static String form(FormInput form, Model model) {
        model.addAttribute("form", form);
        model.addAttribute("measures", Measures.values());
        return "formula/import";
    }

    /** Reads a file or pasted text of any of the three formats, told apart by what it begins with. */
    @PostMapping("/formulas/import")
    String bring(
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "file", required = false) MultipartFile file,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response)
            throws IOException {
        FormInput form = FormInput.of(typed);
        if (file != null && !file.isEmpty()) {
            form.typed().put("text", new String(file.getBytes(), StandardCharsets.UTF_8));
        }
        String text = form.required("text", 2_000_000).strip();
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return form(form, model);
        }
        Stamp stamp = new Stamp(me.name(), clock.instant());
        try {
            if (text.contains("\"zest-stack-formula\"")) {
                return "redirect:/formulas/" + own(FormulaJson.read(text), stamp);
            }
            boolean json = text.startsWith("{") || text.startsWith("[");
            Map<String, String> fields = json ? recipe(RecipeLd.read(text), form) : rows(LinesCsv.read(text), form);
            return pages.unsaved(fields, model);
        } catch (InvalidInput input) {
            form.addAll(input.faults().stream().map(f -> f.at("text")).toList());
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return form(form, model);
        }
    }

    /** Keeps a document's formula with all that it needs, whole or not at all; ingredients known here stay as they are. */
    private long own(FormulaJson.Read read, Stamp stamp) {
        return transaction.execute(tx -> {
            for (Ingredient ingredient : read.ingredients()) {
                storeRoom.add(ingredient, stamp);
            }
            Map<String, String> links = new LinkedHashMap<>();
            read.used().forEach((link, named) -> {
                long id = formulas.create(name(named.name()), relinked(named.formula(), links), stamp);
                formulas.keepVersion(id, 0, "Came with " + name(read.name()), stamp);
                links.put(link, "formula:" + id + ":1");
            });
            Formula formula = relinked(read.formula(), links);
            formula.check(shelf.needs(0, name(read.name()), formula).table());
            return formulas.create(name(read.name()), formula, stamp);
        });
    }

    private static String name(String name) {
        String plain = name == null || name.isBlank() ? NAMELESS : name.strip();
        return plain.substring(0, Math.min(LONGEST_NAME, plain.length()));
    }

    private static Formula relinked(Formula formula, Map<String, String> links) {
        List<FormulaLine> lines = new ArrayList<>();
        for (FormulaLine l : formula.lines()) {
            lines.add(new FormulaLine(
                    links.getOrDefault(l.ingredient(), l.ingredient()),
                    l.grams(),
                    l.role(),
                    l.pieces(),
                    l.toEffect(),
                    l.step(),
                    l.written(),
                    l.guesses(),
                    l.upToGrams()));
        }
        return formula.withLines(lines);
    }

    private Map<String, String> blank(FormInput form, String name, Family family) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("name", name == null ? "" : name.strip());
        fields.put("lock", "0");
        fields.put("family", family.name());
        fields.put("handlingLossFraction", "3");
        fields.put("measures", LineFields.measures(form).name());
        fields.put("measuresChosen", "yes");
        return fields;
    }

    private Map<String, String> recipe(RecipeLd.Read read, FormInput form) {
        Map<String, String> fields = blank(form, read.name(), read.family().orElse(Family.CARAMEL));
        int line = 0;
        for (String written : read.ingredients()) {
            for (HouseholdLine of : shelf.reader().readAll(written, LineFields.measures(form))) {
                lines.put(fields, line++, of);
            }
        }
        MethodFields.put(fields, read.steps());
        return fields;
    }

    private Map<String, String> rows(List<LinesCsv.Row> rows, FormInput form) {
        Map<String, String> fields = blank(form, "", Family.CARAMEL);
        for (int i = 0; i < rows.size(); i++) {
            LinesCsv.Row row = rows.get(i);
            String f = "line." + i + ".";
            boolean known = shelf.table().find(row.slug()).isPresent();
            fields.put(f + "ingredient", known ? names.of(row.slug()) : row.ingredient());
            fields.put(f + "slug", known ? row.slug() : "");
            fields.put(f + "grams", row.grams());
            fields.put(f + "role", role(row.role()));
            fields.put(f + "pieces", row.pieces());
            fields.put(f + "effect", row.toEffect() ? "yes" : "");
            fields.put(f + "step", row.step());
            fields.put(f + "written", row.written());
        }
        return fields;
    }

    private static String role(String typed) {
        String name = typed.toUpperCase(Locale.ROOT);
        for (FormulaLine.Role role : FormulaLine.Role.values()) {
            if (role.name().equals(name)) {
                return name;
            }
        }
        return FormulaLine.Role.POT.name();
    }

    private Designs.Version<Formula> find(long id, int number) {
        return formulas.version(id, number).orElseThrow(() -> new Missing("This version"));
    }
}

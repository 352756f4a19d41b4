package org.zeststack.web.ingredient;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.ingredient.PackFit;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;
import org.zeststack.store.StaleEdit;
import org.zeststack.store.Stamp;
import org.zeststack.store.ingredient.Lots;
import org.zeststack.store.ingredient.StoreRoom;
import org.zeststack.web.page.Page;
import org.zeststack.web.security.SignedIn;

/** What the ingredients are made of; adding and changing them; the search that every line uses. */
@Page
class StoreRoomController {

    private static final int MOST_FOUND = 12;
    private static final int MOST_OF_A_PACK = 60;
    private static final Ingredient NEW = new Ingredient(
            "",
            "",
            Composition.NOTHING,
            0,
            0,
            0,
            "",
            Nature.PLAIN,
            0,
            Bulk.MASSIVE,
            0,
            0,
            Map.of(),
            List.of(),
            List.of(),
            Ingredient.Basis.SHEET,
            Map.of(),
            "",
            "",
            null);

    private final StoreRoom storeRoom;
    private final Lots lots;
    private final Shelf shelf;
    private final Clock clock;

    StoreRoomController(StoreRoom storeRoom, Lots lots, Shelf shelf, Clock clock) {
        this.storeRoom = storeRoom;
        this.lots = lots;
        this.shelf = shelf;
        this.clock = clock;
    }

    /** A lot that is put aside. */
    record PutAside(long id, String name, Stamp archived) {}

    @GetMapping("/store-room")
    String page(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(name = "lots", defaultValue = "1") int lotPage,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        List<String> of = q.isBlank() ? List.of() : named(q);
        var kept = lots.page(q, of, lotPage);
        var away = lots.putAside(q, of);
        Map<String, String> names = shelf.names(
                Stream.concat(kept.rows().stream(), away.rows().stream().map(Lots.Away::lot))
                        .map(Lots.Kept::ingredient)
                        .toList());
        model.addAttribute("q", q);
        model.addAttribute("part", org.zeststack.store.Part.of(found(q), page));
        model.addAttribute("count", storeRoom.table().all().size());
        model.addAttribute("lots", kept);
        model.addAttribute(
                "archived",
                away.map(a -> new PutAside(
                        a.lot().id(),
                        names.get(a.lot().ingredient()) + ", " + a.lot().lot().code(),
                        a.aside())));
        model.addAttribute("names", names);
        return "store/room";
    }

    /** What there are lots of whose names hold what was typed. */
    private List<String> named(String typed) {
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        return shelf.names(lots.whats()).entrySet().stream()
                .filter(name -> name.getValue().toLowerCase(Locale.ROOT).contains(wanted))
                .map(Map.Entry::getKey)
                .toList();
    }

    private List<Ingredient> found(String q) {
        var table = storeRoom.table();
        return q.isBlank()
                ? List.copyOf(table.all())
                : table.search(q, table.all().size());
    }

    /** One thing that a line may point to. */
    record Found(String slug, String name, String what) {}

    /** Ingredients and finished formulas whose names begin with what is typed. */
    @GetMapping("/store-room/search")
    String search(@RequestParam(defaultValue = "") String q, Model model) {
        List<Found> found = new ArrayList<>();
        if (!q.isBlank()) {
            storeRoom.table().search(q, MOST_FOUND).forEach(i -> found.add(new Found(i.slug(), i.name(), "")));
            String begin = q.strip().toLowerCase(Locale.ROOT);
            Map<Long, String> titles = shelf.titles();
            for (NamedFormula named : shelf.current()) {
                if (found.size() < MOST_FOUND + 4
                        && named.name().toLowerCase(Locale.ROOT).contains(begin)) {
                    found.add(new Found(named.link().text(), titles.get(named.id()), "formula"));
                }
            }
        }
        model.addAttribute("found", found);
        return "store/found";
    }

    @GetMapping("/store-room/ingredients/{slug}")
    String edit(@PathVariable String slug, Model model) {
        if (slug.equals("new")) {
            return edit(NEW, FormInput.of(IngredientFields.of(NEW)), model);
        }
        StoreRoom.Kept kept = find(slug);
        Map<String, String> fields = IngredientFields.of(kept.ingredient());
        fields.put("lock", String.valueOf(kept.lock()));
        return edit(kept.ingredient(), FormInput.of(fields), model);
    }

    private String edit(Ingredient ingredient, FormInput form, Model model) {
        model.addAttribute("form", form);
        model.addAttribute("ingredient", ingredient);
        model.addAttribute("parts", Part.values());
        model.addAttribute("couvertures", IngredientFields.KINDS);
        model.addAttribute("natures", Nature.Kind.values());
        model.addAttribute("risks", Nature.Risk.values());
        model.addAttribute("bases", Ingredient.Basis.values());
        model.addAttribute("panel", ingredient.per100Grams().totalGrams() > 0 ? ingredient.panel() : null);
        model.addAttribute("lots", lots.of(List.of(ingredient.slug()), List.of()));
        return "store/ingredient";
    }

    @PostMapping("/store-room/ingredients/{slug}")
    String save(
            @PathVariable String slug,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        Ingredient before = slug.equals("new") ? NEW : find(slug).ingredient();
        Optional<Ingredient> read = IngredientFields.read(form, before);
        if (read.isEmpty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return edit(before, form, model);
        }
        Stamp stamp = new Stamp(me.name(), clock.instant());
        try {
            if (!slug.equals("new")) {
                storeRoom.save(read.get(), form.lock(), stamp);
            } else if (!storeRoom.add(read.get(), stamp)) {
                form.add(Fault.of("name", read.get().name(), "There is an ingredient of this name already."));
                response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
                return edit(before, form, model);
            }
            return "redirect:/store-room/ingredients/" + read.get().slug();
        } catch (StaleEdit stale) {
            StoreRoom.Kept kept = find(slug);
            form.clash(kept.stamp().by(), IngredientFields.of(kept.ingredient()));
            form.typed().put("lock", String.valueOf(kept.lock()));
            response.setStatus(HttpServletResponse.SC_CONFLICT);
            return edit(before, form, model);
        }
    }

    private StoreRoom.Kept find(String slug) {
        return storeRoom.find(slug).orElseThrow(() -> new Missing("This ingredient"));
    }

    @GetMapping("/store-room/pack")
    String pack(Model model) {
        return pack(FormInput.of(Map.of()), model);
    }

    private static String pack(FormInput form, Model model) {
        model.addAttribute("form", form);
        model.addAttribute("figures", PackFit.Figure.values());
        return "store/pack";
    }

    /** Estimates a composition from a pack; with {@code keep} it becomes an ingredient. */
    @PostMapping("/store-room/pack")
    String fit(
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal SignedIn me,
            Model model,
            HttpServletResponse response) {
        FormInput form = FormInput.of(typed);
        String name = form.required("name", 120);
        Map<PackFit.Figure, Double> panel = new EnumMap<>(PackFit.Figure.class);
        for (PackFit.Figure figure : PackFit.Figure.values()) {
            if (form.has(figure.name())) {
                panel.put(figure, form.number(figure.name(), figure.range()));
            }
        }
        List<Ingredient> ordered = ordered(form);
        Optional<PackFit> fit = form.build(() -> PackFit.of(panel, ordered));
        if (fit.isPresent() && form.has("keep") && keep(name, ordered, fit.get(), form, me)) {
            return "redirect:/store-room/ingredients/" + IngredientFields.slug(name);
        }
        if (form.faulty()) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
        }
        model.addAttribute("fit", fit.orElse(null));
        model.addAttribute("ordered", ordered);
        return pack(form, model);
    }

    private boolean keep(String name, List<Ingredient> ordered, PackFit fit, FormInput form, SignedIn me) {
        double saturates = 0;
        double liquid = 0;
        double sodium = 0;
        List<String> allergens = new ArrayList<>();
        for (int i = 0; i < ordered.size(); i++) {
            saturates += fit.shares().get(i) * ordered.get(i).saturatesPer100Grams();
            liquid += fit.shares().get(i) * ordered.get(i).liquidFatPer100Grams();
            sodium += fit.shares().get(i) * ordered.get(i).sodiumPer100Grams();
            allergens.addAll(ordered.get(i).allergens());
        }
        Ingredient ingredient = new Ingredient(
                IngredientFields.slug(name),
                name,
                fit.per100Grams(),
                saturates,
                liquid,
                sodium,
                "",
                Nature.PLAIN,
                0,
                Bulk.MASSIVE,
                0,
                0,
                Map.of(),
                List.of(),
                allergens.stream().distinct().toList(),
                Ingredient.Basis.PACK,
                fit.plusMinus(),
                "",
                "From the pack: " + form.text("ingredients").strip(),
                null);
        if (storeRoom.add(ingredient, new Stamp(me.name(), clock.instant()))) {
            return true;
        }
        form.add(Fault.of("name", name, "There is an ingredient of this name already."));
        return false;
    }

    /** Ingredients of a pack, one per line or separated by commas, as names. */
    private List<Ingredient> ordered(FormInput form) {
        List<Ingredient> ordered = new ArrayList<>();
        List<String> unknown = new ArrayList<>();
        String plain = form.limited("ingredients", 2000).replaceAll("\\([^)]*\\)|[0-9]+(?:[.,][0-9]+)? ?%", "");
        List<String> words = List.of(plain.split("[,;\\n]"));
        if (words.size() > MOST_OF_A_PACK) {
            form.add(Fault.of(
                    "ingredients", "", "%d ingredients; at most %d are read.".formatted(words.size(), MOST_OF_A_PACK)));
            return ordered;
        }
        for (String word : words) {
            String name = word.strip().replaceAll("\\.$", "");
            if (!name.isEmpty()) {
                var read = shelf.reader().read("100 g " + name, org.zeststack.core.household.Measures.METRIC);
                if (read.ingredient() == null) {
                    unknown.add(name);
                } else {
                    ordered.add(shelf.table().get(read.ingredient()));
                }
            }
        }
        if (!unknown.isEmpty()) {
            form.add(Fault.of(
                    "ingredients",
                    form.text("ingredients"),
                    "Not in the store room: %s. Write a name that is, or leave out what is under 1 %%."
                            .formatted(String.join(", ", unknown))));
        }
        return ordered;
    }
}

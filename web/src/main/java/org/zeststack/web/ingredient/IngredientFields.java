package org.zeststack.web.ingredient;

import static org.zeststack.core.typed.FormInput.shown;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.ingredient.Bulk;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.quantity.AmountText;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.core.typed.FormInput;

/** Fields of an ingredient's form: to text and back. */
final class IngredientFields {

    private static final Range PART = new Range(0, 100, "g");
    private static final Range DE = new Range(20, 98, "DE");
    private static final Range DENSITY = new Range(0, 3, "g/mL");
    private static final Range BULK = new Range(0.02, 2, "g/mL");
    private static final Range ACTIVITY = new Range(0, 1, "");

    private static final List<String> LIMITS = TemperWindow.Limits.NAMES;

    static final List<String> KINDS = List.of("dark", "milk", "white", "blond", "ruby");

    private IngredientFields() {}

    static Map<String, String> of(Ingredient ingredient) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("name", ingredient.name());
        parts(fields, ingredient.per100Grams().byPart());
        fields.put("de", shown(ingredient.per100Grams().dextroseEquivalent()));
        fields.put("saturates", shown(ingredient.saturatesPer100Grams()));
        fields.put("liquidFat", shown(ingredient.liquidFatPer100Grams()));
        fields.put("sodium", ingredient.sodiumPer100Grams() == 0 ? "" : shown(ingredient.sodiumPer100Grams()));
        fields.put("couverture", ingredient.couverture());
        fields.put("kind", ingredient.nature().kind().name());
        ingredient.nature().risks().forEach(risk -> fields.put("risk." + risk.name(), "yes"));
        fields.put("porous", ingredient.bulk().porous() ? "yes" : "");
        fields.put(
                "bulk",
                ingredient.bulk().gramsPerMl() == 0
                        ? ""
                        : shown(ingredient.bulk().gramsPerMl()));
        fields.put("density", ingredient.densityGramsPerMl() == 0 ? "" : shown(ingredient.densityGramsPerMl()));
        fields.put("dryActivity", ingredient.dryActivity() == 0 ? "" : shown(ingredient.dryActivity()));
        fields.put("wetActivity", ingredient.wetActivity() == 0 ? "" : shown(ingredient.wetActivity()));
        List<String> household = new ArrayList<>();
        new TreeMap<>(ingredient.household())
                .forEach((measure, weight) ->
                        household.add(measure + " " + shown(weight.grams()) + (weight.guess() ? "?" : "")));
        fields.put("household", String.join(", ", household));
        fields.put("also", String.join(", ", ingredient.also()));
        fields.put("allergens", String.join(", ", ingredient.allergens()));
        fields.put("basis", ingredient.basis().name());
        for (int i = 0; i < LIMITS.size(); i++) {
            fields.put(
                    LIMITS.get(i),
                    ingredient.windows() == null
                            ? ""
                            : shown(ingredient.windows().all().get(i)));
        }
        fields.put("caution", ingredient.caution());
        fields.put("note", ingredient.note());
        return fields;
    }

    static void parts(Map<String, String> fields, Map<Part, Double> grams) {
        grams.forEach((part, amount) -> fields.put("part." + part.name(), shown(Math.round(amount * 1000) / 1000.0)));
    }

    /** Reads grams by part; empty fields are nothing. */
    static Map<Part, Double> parts(FormInput form) {
        Map<Part, Double> grams = new EnumMap<>(Part.class);
        for (Part part : Part.values()) {
            String field = "part." + part.name();
            if (form.has(field)) {
                double amount = form.number(field, PART);
                if (amount > 0) {
                    grams.put(part, amount);
                }
            }
        }
        return grams;
    }

    static double de(FormInput form) {
        return form.has("de") ? form.number("de", DE) : Composition.USUAL_DE;
    }

    /** Reads an ingredient; what the form has no field for is kept from {@code before}. */
    static Optional<Ingredient> read(FormInput form, Ingredient before) {
        String name = form.required("name", 120);
        Map<Part, Double> parts = parts(form);
        double de = de(form);
        double saturates = form.has("saturates") ? form.number("saturates", PART) : 0;
        double liquid = form.has("liquidFat") ? form.number("liquidFat", PART) : 0;
        double sodium = form.has("sodium") ? form.number("sodium", PART) : 0;
        double density = form.has("density") ? form.number("density", DENSITY) : 0;
        Bulk bulk = form.has("bulk")
                ? Bulk.of(form.number("bulk", BULK))
                : form.text("porous").equals("yes") ? Bulk.UNKNOWN : Bulk.MASSIVE;
        double activity = form.has("dryActivity") ? form.number("dryActivity", ACTIVITY) : 0;
        double wet = form.has("wetActivity") ? form.number("wetActivity", ACTIVITY) : 0;
        String couverture = couverture(form, density);
        TemperWindow.Limits windows = windows(form);
        Nature nature = nature(form, before.nature());
        Map<String, Ingredient.Measure> household = household(form);
        Ingredient.Basis basis = form.choice("basis", Ingredient.Basis.class);
        return form.build(() -> {
            Ingredient ingredient = new Ingredient(
                    before.slug().isEmpty() ? slug(name) : before.slug(),
                    name,
                    Composition.of(parts, de),
                    saturates,
                    liquid,
                    sodium,
                    couverture,
                    nature,
                    density,
                    bulk,
                    activity,
                    wet,
                    household,
                    words(form.limited("also", 2000)),
                    words(form.limited("allergens", 200)),
                    basis,
                    basis == before.basis() ? before.plusMinus() : Map.of(),
                    form.limited("caution", 200),
                    form.limited("note", 300),
                    windows);
            ingredient.check();
            return ingredient;
        });
    }

    /** The kind of couverture; one must carry its density, since liquid fat would undersell it. */
    private static String couverture(FormInput form, double density) {
        String kind = form.text("couverture");
        if (!kind.isEmpty() && !KINDS.contains(kind)) {
            form.add(Fault.of("couverture", kind, "Choose one of " + String.join(", ", KINDS) + ", or none."));
        } else if (!kind.isEmpty() && density == 0) {
            form.add(Fault.of("density", "", "A couverture needs its set density, usually 1.24 to 1.30 g/mL."));
        }
        return kind;
    }

    /** Tempering temperatures of its own: all six of them or none. */
    private static TemperWindow.Limits windows(FormInput form) {
        if (LIMITS.stream().noneMatch(form::has)) {
            return null;
        }
        return TemperWindow.Limits.of(LIMITS.stream()
                .map(limit -> form.celsius(limit, TemperWindow.Limits.CELSIUS))
                .toList());
    }

    private static Nature nature(FormInput form, Nature before) {
        if (!form.has("kind")) {
            return before;
        }
        return new Nature(
                form.choice("kind", Nature.Kind.class),
                Stream.of(Nature.Risk.values())
                        .filter(risk -> form.text("risk." + risk.name()).equals("yes"))
                        .collect(Collectors.toSet()));
    }

    private static List<String> words(String text) {
        List<String> words = new ArrayList<>();
        for (String word : text.split("[,;]")) {
            if (!word.isBlank()) {
                words.add(word.strip());
            }
        }
        return words;
    }

    /** Reads {@code cup 200, piece 50?}. */
    private static Map<String, Ingredient.Measure> household(FormInput form) {
        Map<String, Ingredient.Measure> measures = new LinkedHashMap<>();
        for (String word : words(form.limited("household", 300))) {
            boolean guess = word.endsWith("?");
            String plain = guess ? word.substring(0, word.length() - 1) : word;
            int space = Math.max(plain.lastIndexOf(' '), plain.lastIndexOf('='));
            var grams = AmountText.parse(plain.substring(space + 1));
            if (space <= 0 || grams.isEmpty()) {
                form.add(Fault.of("household", word, "Write measure and grams, for example cup 200, piece 50."));
            } else {
                measures.put(plain.substring(0, space).strip(), new Ingredient.Measure(grams.getAsDouble(), guess));
            }
        }
        return measures;
    }

    /** A short name made from a name. */
    static String slug(String name) {
        String slug = Normalizer.normalize(name, Normalizer.Form.NFKD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        return slug.isEmpty() ? "ingredient" : slug.substring(0, Math.min(60, slug.length()));
    }
}

package org.zeststack.web.api;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.air.Atmosphere;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Needs;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.household.HouseholdLine;
import org.zeststack.core.household.Measures;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.sugar.Cook;
import tools.jackson.databind.JsonNode;

/** Household lines to grams, formulas scaled, and the ingredients, for programs. */
@Component
class FormulaApi {

    private static final int LONGEST_TEXT = 40_000;
    private static final int MOST_LINES = 200;
    private static final Map<String, Measures> MEASURES =
            Map.of("us", Measures.US, "metric", Measures.METRIC, "imperial", Measures.IMPERIAL);

    private static final ApiField STOP = ApiField.optional(
            "stopCelsius", Cook.STOP_CELSIUS, Double.NaN, "Stop temperature as at sea level; absent = not cooked");
    private static final ApiField ALTITUDE =
            ApiField.optional("altitudeMetres", Atmosphere.ALTITUDE_METRES, 0, "Altitude");
    private static final ApiField LOSS = ApiField.optional(
            "lossFraction", Formula.LOSS_FRACTION, 0, "Share of the finished mass that stays in pot and bag");
    private static final ApiField WANT =
            ApiField.required("wantGrams", Scaling.WANT_GRAMS, "Usable finished mass wanted");
    static final List<ApiField> SCALE_NUMBERS = List.of(STOP, ALTITUDE, LOSS, WANT);

    private final Shelf shelf;

    FormulaApi(Shelf shelf) {
        this.shelf = shelf;
    }

    /** One line as programs get it; what is not known is null. */
    record Line(String source, Double amount, String unit, String ingredient, Double grams, List<String> guesses) {}

    Map<String, Object> parse(JsonNode body) {
        Faults faults = new Faults();
        ApiInput.onlyFields(body, List.of("text", "measures"), faults);
        JsonNode text = body.path("text");
        if (!text.isString() || text.asString().length() > LONGEST_TEXT) {
            faults.add(Fault.of("text", text.toString(), "text is missing, not a string, or longer than 40000."));
        }
        String measures = body.path("measures").asString("metric");
        if (!MEASURES.containsKey(measures)) {
            faults.add(Fault.of("measures", measures, "measures must be us, metric or imperial."));
        }
        faults.throwIfAny();
        var reader = shelf.reader();
        List<Line> lines = text.asString()
                .lines()
                .filter(l -> !l.isBlank())
                .flatMap(l -> reader.readAll(l, MEASURES.get(measures)).stream())
                .map(FormulaApi::line)
                .toList();
        return Map.of("lines", lines);
    }

    private static Line line(HouseholdLine read) {
        return new Line(
                read.source(),
                read.amount(),
                read.unit().isEmpty() ? null : read.unit(),
                read.ingredient(),
                read.grams(),
                read.guesses());
    }

    Map<String, Object> scale(JsonNode body) {
        IngredientTable table = shelf.table();
        Faults faults = new Faults();
        List<String> names = new ArrayList<>(List.of("lines"));
        SCALE_NUMBERS.forEach(f -> names.add(f.name()));
        ApiInput.onlyFields(body, names, faults);
        ApiInput numbers = ApiInput.numbers(body, SCALE_NUMBERS, faults);
        List<FormulaLine> lines = lines(body.path("lines"), table, faults);
        faults.throwIfAny();
        Double stop = numbers.has(STOP.name()) ? Double.valueOf(numbers.get(STOP)) : null;
        Formula formula = new Formula(Family.OTHER, lines, stop, numbers.get(LOSS), List.of());
        double pressure = Atmosphere.pressureKpa(numbers.get(ALTITUDE));
        Needs.Batch batch = Needs.of(
                new NamedFormula(0, "formula", 0, formula), numbers.get(WANT), table, pressure, Scaling.Limits.NONE);
        double factor = batch.scaling().factor();
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("factor", factor);
        answer.put(
                "lines",
                lines.stream()
                        .map(l -> new Weighed(l.ingredient(), l.grams() * factor))
                        .toList());
        answer.put("pouredGrams", batch.made().before().totalGrams());
        answer.put("cookedGrams", batch.finishedGrams());
        answer.put("usableGrams", batch.usableGrams());
        return answer;
    }

    private record Weighed(String ingredient, double grams) {}

    private static List<FormulaLine> lines(JsonNode node, IngredientTable table, Faults faults) {
        List<FormulaLine> lines = new ArrayList<>();
        if (!node.isArray() || node.isEmpty() || node.size() > MOST_LINES) {
            faults.add(Fault.of("lines", "", "lines must be a list of 1 to 200 lines."));
            return lines;
        }
        for (int i = 0; i < node.size(); i++) {
            JsonNode line = node.get(i);
            String at = "lines/" + i;
            if (!line.isObject()) {
                faults.add(Fault.of(at, line.toString(), "A line is an object of ingredient and grams."));
                continue;
            }
            Faults own = new Faults();
            ApiInput.onlyFields(line, List.of("ingredient", "grams"), own);
            own.list().forEach(f -> faults.add(f.at(at + "/" + f.field())));
            String slug = line.path("ingredient").asString("");
            boolean known = table.find(slug).isPresent();
            if (!known) {
                faults.add(Fault.of(
                        at + "/ingredient", slug, "No ingredient %s; see /api/v1/ingredients.".formatted(slug)));
            }
            JsonNode grams = line.path("grams");
            if (!grams.isNumber()) {
                faults.add(Fault.of(at + "/grams", grams.toString(), "grams is missing or not a number."));
            } else if (faults.within(at + "/grams", grams.doubleValue(), Formula.LINE_GRAMS) && known) {
                lines.add(new FormulaLine(slug, grams.doubleValue(), FormulaLine.Role.POT));
            }
        }
        return lines;
    }

    /** One ingredient as programs get it. */
    record Listed(
            String slug,
            String name,
            Map<String, Double> composition,
            double dextroseEquivalent,
            double saturatesGrams,
            double liquidFatGrams,
            List<String> allergens,
            String basis) {}

    Map<String, Object> ingredients() {
        return Map.of(
                "ingredients",
                shelf.table().all().stream().map(FormulaApi::listed).toList());
    }

    private static Listed listed(Ingredient i) {
        Map<String, Double> composition = new LinkedHashMap<>();
        i.per100Grams().byPart().forEach((part, grams) -> composition.put(camel(part), grams));
        return new Listed(
                i.slug(),
                i.name(),
                composition,
                i.per100Grams().dextroseEquivalent(),
                i.saturatesPer100Grams(),
                i.liquidFatPer100Grams(),
                i.allergens(),
                i.basis().name().toLowerCase(Locale.ROOT));
    }

    private static String camel(Part part) {
        String[] words = part.name().toLowerCase(Locale.ROOT).split("_");
        StringBuilder name = new StringBuilder(words[0]);
        for (int i = 1; i < words.length; i++) {
            name.append(Character.toUpperCase(words[i].charAt(0))).append(words[i].substring(1));
        }
        return name.toString();
    }
}

package org.zeststack.web.api;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.zeststack.app.bar.LayerField;
import org.zeststack.app.bar.LayerFields;
import org.zeststack.app.bench.ReadingDoor;
import org.zeststack.core.quantity.Range;

/** The OpenAPI 3.1 description, made from the calculators' own fields so that it cannot disagree with them. */
final class OpenApi {

    private static final String JSON = "application/json";
    private static final String PROBLEM = "application/problem+json";

    private OpenApi() {}

    /**
     * Describes everything there is to ask.
     *
     * @param release which release answers
     * @param celsius what a thermometer may show
     */
    static Map<String, Object> describe(String release, Collection<Calculator> calculators, Range celsius) {
        Map<String, Object> paths = new LinkedHashMap<>();
        calculators.forEach(c -> paths.put("/api/v1" + c.path(), Map.of("post", operation(c))));
        paths.put("/api/v1/bar/assemble", Map.of("post", assemble()));
        paths.put("/api/v1/formula/parse", Map.of("post", parse()));
        paths.put("/api/v1/formula/scale", Map.of("post", scale()));
        paths.put("/api/v1/cooks/{id}/readings", readings("cook", "pot", celsius));
        paths.put("/api/v1/tempers/{id}/readings", readings("tempering", "bowl", celsius));
        paths.put("/api/v1/ingredients", Map.of("get", ingredients()));
        Map<String, Object> document = new LinkedHashMap<>();
        document.put("openapi", "3.1.0");
        document.put(
                "info",
                Map.of(
                        "title", "Zest Stack calculators",
                        "version", release,
                        "description", "Unknown fields are refused. Numbers are not rounded."));
        document.put("security", List.of(Map.of("token", List.of())));
        document.put("paths", paths);
        document.put(
                "components",
                Map.of(
                        "securitySchemes", Map.of("token", Map.of("type", "http", "scheme", "bearer")),
                        "schemas", Map.of("Problem", problem())));
        return document;
    }

    private static Map<String, Object> operation(Calculator calculator) {
        Map<String, Object> answers = new LinkedHashMap<>();
        calculator.answers().forEach((name, answer) -> answers.put(name, answer.schema()));
        Map<String, Object> needed = new LinkedHashMap<>();
        Map<String, Object> optional = new LinkedHashMap<>();
        for (ApiChoice choice : calculator.choices()) {
            Map<String, Object> words =
                    Map.of("type", "string", "enum", choice.words(), "description", choice.description());
            (choice.absent() == null ? needed : optional).put(choice.name(), words);
        }
        calculator.rows().forEach(r -> needed.put(r.name(), rows(r)));
        for (ApiObject object : calculator.objects()) {
            Map<String, Object> schema = new LinkedHashMap<>(request(object.fields(), Map.of(), Map.of()));
            schema.put("description", object.description());
            optional.put(object.name(), schema);
        }
        return post(calculator.summary(), request(calculator.fields(), needed, optional), object(answers));
    }

    /** A request of numbers and of other properties, which must be there. */
    private static Map<String, Object> request(List<ApiField> numbers, Map<String, Object> others) {
        return request(numbers, others, Map.of());
    }

    private static Map<String, Object> request(
            List<ApiField> numbers, Map<String, Object> needed, Map<String, Object> optional) {
        Map<String, Object> properties = new LinkedHashMap<>(needed);
        properties.putAll(optional);
        List<String> required = new ArrayList<>(needed.keySet());
        for (ApiField field : numbers) {
            properties.put(field.name(), property(field));
            if (field.absent() == null) {
                required.add(field.name());
            }
        }
        Map<String, Object> request = new LinkedHashMap<>(object(properties));
        request.put("additionalProperties", false);
        request.put("required", required);
        return request;
    }

    private static Map<String, Object> object(Map<String, Object> properties) {
        return Map.of("type", "object", "properties", properties);
    }

    private static Map<String, Object> list(Map<String, Object> items) {
        return Map.of("type", "array", "items", items);
    }

    private static Map<String, Object> lineSchema() {
        return object(Map.of(
                "ingredient", Map.of("type", "string", "description", "Slug"),
                "grams", Map.of("type", "number", "description", "g")));
    }

    private static Map<String, Object> parse() {
        Map<String, Object> line = new LinkedHashMap<>();
        line.put("source", Map.of("type", "string"));
        line.put("amount", Map.of("type", List.of("number", "null")));
        line.put("unit", Map.of("type", List.of("string", "null")));
        line.put("ingredient", Map.of("type", List.of("string", "null"), "description", "Slug"));
        line.put("grams", Map.of("type", List.of("number", "null"), "description", "g, null where not known"));
        line.put("guesses", list(Map.of("type", "string")));
        Map<String, Object> request = new LinkedHashMap<>(object(Map.of(
                "text", Map.of("type", "string", "description", "Household lines, one per line"),
                "measures", Map.of("type", "string", "enum", List.of("us", "metric", "imperial")))));
        request.put("additionalProperties", false);
        request.put("required", List.of("text"));
        return post("Household lines to grams, every guess marked", request, object(Map.of("lines", list(line))));
    }

    private static Map<String, Object> scale() {
        Map<String, Object> number = Map.of("type", "number");
        return post(
                "A formula scaled through its losses",
                request(FormulaApi.SCALE_NUMBERS, Map.of("lines", list(lineSchema()))),
                object(Map.of(
                        "factor", number,
                        "lines", list(lineSchema()),
                        "pouredGrams", number,
                        "cookedGrams", number,
                        "usableGrams", number)));
    }

    private static Map<String, Object> readings(String of, String vessel, Range celsius) {
        Map<String, Object> reading = new LinkedHashMap<>(object(Map.of(
                "at", Map.of("type", "string", "format", "date-time"),
                "celsius",
                        Map.of(
                                "type",
                                "number",
                                "minimum",
                                celsius.least(),
                                "maximum",
                                celsius.greatest(),
                                "description",
                                "What the thermometer shows, °C"),
                "key", Map.of("type", "string", "description", "Its own; sent again it counts once"))));
        reading.put("additionalProperties", false);
        reading.put("required", List.of("at", "celsius", "key"));
        Map<String, Object> list = new LinkedHashMap<>(list(reading));
        list.put("minItems", 1);
        list.put("maxItems", ReadingDoor.MOST);
        Map<String, Object> request = new LinkedHashMap<>(object(Map.of(
                "readings",
                list,
                "sure",
                Map.of(
                        "type",
                        "boolean",
                        "description",
                        "Whether what is not likely is meant: a spring, couverture that would scorch"))));
        request.put("additionalProperties", false);
        request.put("required", List.of("readings"));
        Map<String, Object> whole = Map.of("type", "integer");
        Map<String, Object> path = new LinkedHashMap<>();
        path.put(
                "parameters",
                List.of(Map.of(
                        "name", "id", "in", "path", "required", true, "schema", whole, "description", "Of the " + of)));
        path.put(
                "post",
                post(
                        "Readings of a " + vessel + ", in any order; a key that is known counts once",
                        request,
                        object(Map.of("accepted", whole, "known", whole, "refused", whole))));
        return path;
    }

    private static Map<String, Object> ingredients() {
        Map<String, Object> one = object(Map.of(
                "slug", Map.of("type", "string"),
                "name", Map.of("type", "string"),
                "composition", Map.of("type", "object", "additionalProperties", Map.of("type", "number"))));
        return Map.of(
                "summary",
                "The ingredients of the store room, grams in 100 g",
                "responses",
                Map.of(
                        "200",
                        response("All of them", JSON, object(Map.of("ingredients", list(one)))),
                        "401",
                        Map.of("description", "A token is needed")));
    }

    private static Map<String, Object> post(String summary, Map<String, Object> request, Map<String, Object> answer) {
        Map<String, Object> operation = new LinkedHashMap<>();
        operation.put("summary", summary);
        operation.put("requestBody", Map.of("required", true, "content", content(JSON, request)));
        operation.put(
                "responses",
                Map.of(
                        "200", response("The figures", JSON, answer),
                        "400", response("Faults, all of them", PROBLEM, reference()),
                        "401", Map.of("description", "A token is needed"),
                        "422", response("No number can be given, with the reason", PROBLEM, reference())));
        return operation;
    }

    private static Map<String, Object> property(ApiField field) {
        Map<String, Object> property = new LinkedHashMap<>();
        property.put("type", "number");
        property.put("minimum", field.range().least());
        property.put("maximum", field.range().greatest());
        property.put("description", field.description() + ", " + field.range().unit());
        if (field.absent() != null && !field.absent().isNaN()) {
            property.put("default", field.absent());
        }
        return property;
    }

    private static Map<String, Object> assemble() {
        Map<String, Object> properties = typed(BarApi.TOP);
        properties.put("body", object(typed(BarApi.BODY)));
        properties.put("cavity", object(typed(BarApi.CAVITY)));
        properties.put("layers", list(object(layerFields())));
        Map<String, Object> request = new LinkedHashMap<>(object(properties));
        request.put("additionalProperties", false);
        request.put("required", List.of("build", "layers"));
        Map<String, Object> text = Map.of("type", "string");
        Map<String, Object> number = Map.of("type", "number");
        Map<String, Object> layer = new LinkedHashMap<>();
        List.of("key", "kind", "of", "name").forEach(n -> layer.put(n, text));
        List.of("fromMm", "toMm", "thicknessMm", "volumeMl", "grams", "laidGrams", "leastGrams", "greatestGrams")
                .forEach(n -> layer.put(n, number));
        Map<String, Object> call = new LinkedHashMap<>();
        List.of("weight", "code", "message", "arithmetic", "source").forEach(n -> call.put(n, text));
        call.put("change", Map.of("type", List.of("object", "null")));
        Map<String, Object> answers = new LinkedHashMap<>();
        List.of("pieceGrams", "chocolateFraction", "piecesOfOne", "offcutFraction")
                .forEach(n -> answers.put(n, number));
        answers.put("allergens", list(text));
        answers.put("layers", list(object(layer)));
        Map<String, Object> keeps = new LinkedHashMap<>(
                object(Map.of("leastDays", number, "greatestDays", number, "onlyCold", Map.of("type", "boolean"))));
        keeps.put("type", List.of("object", "null"));
        keeps.put("description", "How long it may keep; null where nobody knows how free its water is");
        answers.put("keeps", keeps);
        answers.put("calls", list(object(call)));
        answers.put("ownBounds", list(text));
        String summary =
                "A whole bar: heights, volumes, grams, windows and calls of its layers. Give cavity, or body with kind"
                        + " mould, slab, tray, shaped, sheet, plate or spread.";
        return post(summary, request, object(answers));
    }

    /** Schemas of fields by the type that their reader expects. */
    private static Map<String, Object> typed(Map<String, String> types) {
        Map<String, Object> properties = new LinkedHashMap<>();
        types.forEach((name, type) -> properties.put(
                name,
                switch (type) {
                    case "number" -> Map.of("type", "number");
                    case "fraction" -> Map.of("type", "number", "minimum", 0, "maximum", 1);
                    case "boolean" -> Map.of("type", "boolean");
                    case "numbers" -> list(Map.of("type", "number"));
                    default -> Map.of("type", "string");
                }));
        return properties;
    }

    private static Map<String, Object> layerFields() {
        Map<String, Object> properties = new LinkedHashMap<>();
        LayerFields.ALL.forEach(field -> properties.put(field.name(), described(field)));
        return properties;
    }

    /** The schema of a field, with its words, unit, choices and range. */
    private static Map<String, Object> described(LayerField field) {
        Map<String, Object> schema = new LinkedHashMap<>();
        boolean number = field.type() == LayerField.Type.NUMBER || field.type() == LayerField.Type.FRACTION;
        schema.put("type", number ? "number" : field.type() == LayerField.Type.BOOLEAN ? "boolean" : "string");
        if (!field.label().isEmpty()) {
            boolean unit =
                    field.type() == LayerField.Type.NUMBER && !field.unit().isEmpty();
            schema.put("description", field.label() + (unit ? ", " + field.unit() : ""));
        }
        field.range().ifPresent(range -> {
            schema.put("minimum", range.least());
            schema.put("maximum", range.greatest());
        });
        if (!field.choices().isEmpty()) {
            schema.put(
                    "enum",
                    field.choices().stream()
                            .map(name -> name.toLowerCase(Locale.ROOT).replace('_', '-'))
                            .toList());
        }
        return schema;
    }

    private static Map<String, Object> rows(ApiRows rows) {
        Map<String, Object> flags = new LinkedHashMap<>();
        rows.flags().forEach(f -> flags.put(f, Map.of("type", "boolean")));
        Map<String, Object> schema = new LinkedHashMap<>(list(request(rows.fields(), Map.of(), flags)));
        schema.put("minItems", 1);
        schema.put("maxItems", rows.most());
        schema.put("description", rows.description());
        return schema;
    }

    private static Map<String, Object> response(String description, String type, Map<String, Object> schema) {
        return Map.of("description", description, "content", content(type, schema));
    }

    private static Map<String, Object> content(String type, Map<String, Object> schema) {
        return Map.of(type, Map.of("schema", schema));
    }

    private static Map<String, Object> reference() {
        return Map.of("$ref", "#/components/schemas/Problem");
    }

    private static Map<String, Object> problem() {
        Map<String, Object> error = new LinkedHashMap<>();
        for (String text : List.of("pointer", "value", "unit", "message")) {
            error.put(text, Map.of("type", List.of("string", "null")));
        }
        error.put("least", Map.of("type", List.of("number", "null")));
        error.put("greatest", Map.of("type", List.of("number", "null")));
        return Map.of(
                "type",
                "object",
                "properties",
                Map.of(
                        "title", Map.of("type", "string"),
                        "status", Map.of("type", "integer"),
                        "detail", Map.of("type", "string"),
                        "errors", Map.of("type", "array", "items", Map.of("type", "object", "properties", error))));
    }
}

package org.zeststack.web.api;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The OpenAPI 3.1 description, made from the calculators' own fields so that it cannot disagree with them. */
final class OpenApi {

    private static final String JSON = "application/json";
    private static final String PROBLEM = "application/problem+json";

    private OpenApi() {}

    static Map<String, Object> describe(Collection<Calculator> calculators) {
        Map<String, Object> paths = new LinkedHashMap<>();
        calculators.forEach(c -> paths.put("/api/v1" + c.path(), Map.of("post", operation(c))));
        Map<String, Object> document = new LinkedHashMap<>();
        document.put("openapi", "3.1.0");
        document.put(
                "info",
                Map.of(
                        "title", "Zest Stack calculators",
                        "version", "1",
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
        Map<String, Object> properties = new LinkedHashMap<>();
        List<String> required = new ArrayList<>();
        for (ApiField field : calculator.fields()) {
            properties.put(field.name(), property(field));
            if (field.absent() == null) {
                required.add(field.name());
            }
        }
        Map<String, Object> request = new LinkedHashMap<>();
        request.put("type", "object");
        request.put("additionalProperties", false);
        request.put("required", required);
        request.put("properties", properties);
        Map<String, Object> answers = new LinkedHashMap<>();
        calculator.answers().forEach((name, meaning) -> answers.put(name, answer(name, meaning)));
        Map<String, Object> operation = new LinkedHashMap<>();
        operation.put("summary", calculator.summary());
        operation.put("requestBody", Map.of("required", true, "content", content(JSON, request)));
        operation.put(
                "responses",
                Map.of(
                        "200", response("The figures", JSON, Map.of("type", "object", "properties", answers)),
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
        if (field.absent() != null) {
            property.put("default", field.absent());
        }
        return property;
    }

    private static Map<String, Object> answer(String name, String meaning) {
        List<String> types = meaning.contains("null") ? List.of("number", "null") : List.of("number");
        return name.equals("zone")
                ? Map.of("type", "string", "enum", List.of("supported", "estimate"), "description", meaning)
                : Map.of("type", types, "description", meaning);
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

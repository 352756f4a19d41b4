package org.zeststack.web.api;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a calculator gives under one name.
 *
 * @param schema as the description of the interface has it
 */
record ApiAnswer(Map<String, Object> schema) {

    private static ApiAnswer of(Object type, String meaning) {
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("type", type);
        schema.put("description", meaning);
        return new ApiAnswer(schema);
    }

    static ApiAnswer number(String meaning) {
        return of("number", meaning);
    }

    static ApiAnswer numberOrNull(String meaning) {
        return of(List.of("number", "null"), meaning);
    }

    static ApiAnswer yesOrNo(String meaning) {
        return of("boolean", meaning);
    }

    static ApiAnswer text(String meaning) {
        return of("string", meaning);
    }

    static ApiAnswer textOrNull(String meaning) {
        return of(List.of("string", "null"), meaning);
    }

    static ApiAnswer oneOf(String meaning, String... words) {
        ApiAnswer answer = of("string", meaning);
        answer.schema.put("enum", Arrays.asList(words));
        return answer;
    }

    static ApiAnswer numbers(String meaning) {
        ApiAnswer answer = of("array", meaning);
        answer.schema.put("items", Map.of("type", "number"));
        return answer;
    }

    static ApiAnswer wholes(String meaning) {
        ApiAnswer answer = of("array", meaning);
        answer.schema.put("items", Map.of("type", "integer"));
        return answer;
    }
}

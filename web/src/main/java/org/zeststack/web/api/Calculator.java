package org.zeststack.web.api;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * One calculator.
 *
 * @param path below {@code /api/v1}
 * @param fields numbers that it takes
 * @param choices words that it takes
 * @param rows lists that it takes
 * @param objects objects that it takes
 * @param notTogether names of which at most one may be given
 * @param answers names of what it gives
 * @param compute the calculation
 */
record Calculator(
        String path,
        String summary,
        List<ApiField> fields,
        List<ApiChoice> choices,
        List<ApiRows> rows,
        List<ApiObject> objects,
        List<String> notTogether,
        Map<String, ApiAnswer> answers,
        Function<ApiInput, Map<String, Object>> compute) {

    /** A calculator that takes numbers only. */
    static Calculator ofNumbers(
            String path,
            String summary,
            List<ApiField> fields,
            List<String> notTogether,
            Map<String, ApiAnswer> answers,
            Function<ApiInput, Map<String, Object>> compute) {
        return new Calculator(path, summary, fields, List.of(), List.of(), List.of(), notTogether, answers, compute);
    }

    /** A calculator that takes no objects. */
    Calculator(
            String path,
            String summary,
            List<ApiField> fields,
            List<ApiChoice> choices,
            List<ApiRows> rows,
            List<String> notTogether,
            Map<String, ApiAnswer> answers,
            Function<ApiInput, Map<String, Object>> compute) {
        this(path, summary, fields, choices, rows, List.of(), notTogether, answers, compute);
    }

    /** Names of everything that it takes. */
    List<String> names() {
        return Stream.of(
                        fields.stream().map(ApiField::name),
                        choices.stream().map(ApiChoice::name),
                        rows.stream().map(ApiRows::name),
                        objects.stream().map(ApiObject::name))
                .flatMap(names -> names)
                .toList();
    }
}

package org.zeststack.web.api;

import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * One calculator.
 *
 * @param path below {@code /api/v1}
 * @param fields what it takes
 * @param notTogether names of which at most one may be given
 * @param answers names of the numbers it gives, with their meaning and unit
 * @param compute the calculation
 */
record Calculator(
        String path,
        String summary,
        List<ApiField> fields,
        List<String> notTogether,
        Map<String, String> answers,
        Function<ApiInput, Map<String, Object>> compute) {}

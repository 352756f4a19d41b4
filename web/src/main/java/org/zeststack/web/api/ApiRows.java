package org.zeststack.web.api;

import java.util.List;
import java.util.stream.Stream;

/**
 * A field that is a list of objects.
 *
 * @param fields numbers of each of them
 * @param flags names of what each may be or not; it is not where it is absent
 * @param most how many may be given; one is needed
 */
record ApiRows(String name, List<ApiField> fields, List<String> flags, int most, String description) {

    /** A list of numbers only. */
    ApiRows(String name, List<ApiField> fields, int most, String description) {
        this(name, fields, List.of(), most, description);
    }

    /** Names of everything that each of them may have. */
    List<String> names() {
        return Stream.concat(fields.stream().map(ApiField::name), flags.stream())
                .toList();
    }
}

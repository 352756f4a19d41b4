package org.zeststack.web.api;

import org.zeststack.core.quantity.Range;

/**
 * A field of a calculator's request.
 *
 * @param absent value taken where it is absent; null where it must be given
 */
record ApiField(String name, Range range, Double absent, String description) {

    static ApiField required(String name, Range range, String description) {
        return new ApiField(name, range, null, description);
    }

    static ApiField optional(String name, Range range, double absent, String description) {
        return new ApiField(name, range, absent, description);
    }
}
